import { QueryClient } from '@tanstack/react-query';
import { describe, expect, it, vi } from 'vitest';
import { aCase, askedAt, desk, refusal } from '../test/desk';
import { api, onSignedOut, Problem, setToken, take } from './client';
import { queueChange } from './hooks';

describe('an answer of the desk', () => {
  it('is unwrapped', async () => {
    desk('GET /api/v1/today', { waiting: 3 });
    expect(await take(api.GET('/api/v1/today'))).toEqual({ waiting: 3 });
  });
  it('is thrown with each field and its mend when it is a refusal', async () => {
    desk('POST /api/v1/convert', () => refusal(422, 'amount', 'is no number', 'write it in figures'));
    const p = await take(api.POST('/api/v1/convert', { body: { amount: 'x', to: 'L' } })).catch((e) => e as Problem);
    expect(p).toBeInstanceOf(Problem);
    expect(p).toMatchObject({ status: 422, title: 'Refused' });
    expect((p as Problem).field('amount')).toBe('is no number; write it in figures');
    expect((p as Problem).field('am')).toBeUndefined();
  });
  it('finds a field by what lies inside it', () => {
    const p = new Problem(422, 't', 'd', [{ field: 'treated[0].on', problem: 'is in the future', mend: 'correct it' }]);
    expect(p.field('treated')).toContain('future');
    expect(p.field('treat')).toBeUndefined();
  });
  it('says that nothing was lost when the desk is not reached', async () => {
    const p = await take(api.GET('/api/v1/people')).catch((e) => e as Problem);
    expect(p).toMatchObject({ status: 0 });
    expect((p as Problem).message).toContain('What you typed is kept');
  });
  it('ends the session on the page when the desk ended it', async () => {
    const out = vi.fn();
    onSignedOut(out);
    desk('GET /api/v1/today', () => refusal(401, '', 'signed out', 'sign in'));
    await take(api.GET('/api/v1/today')).catch(() => undefined);
    expect(out).toHaveBeenCalledTimes(1);
  });
  it('carries the session’s own token on what changes, and only there', async () => {
    setToken('mine');
    desk('GET /api/v1/today', {});
    desk('POST /api/v1/convert', {});
    await take(api.GET('/api/v1/today'));
    await take(api.POST('/api/v1/convert', { body: { amount: '1 L', to: 'mL' } }));
    expect(askedAt('GET /api/v1/today')[0]?.headers.get('X-Botanik-Token')).toBeNull();
    expect(askedAt('POST /api/v1/convert')[0]?.headers.get('X-Botanik-Token')).toBe('mine');
    setToken('');
  });
});

describe('changes of one case', () => {
  const client = new QueryClient();
  const undo = (v: string) =>
    api.POST('/api/v1/cases/{id}/undo', { params: { path: { id: '01X' }, header: { 'If-Match': v } }, body: {} });
  it('wait for each other, each with the version the last one made', async () => {
    client.setQueryData(['case', '01X'], aCase({ version: 3 }));
    desk('POST /api/v1/cases/01X/undo', (a: { headers: Headers }) => ({
      body: aCase({ version: Number(a.headers.get('If-Match')) + 1 }),
    }));
    await Promise.all([undo, undo, undo].map((call) => queueChange(client, '01X', call)));
    expect(askedAt('POST /api/v1/cases/01X/undo').map((a) => a.headers.get('If-Match'))).toEqual(['3', '4', '5']);
  });
  it('go on after one was refused', async () => {
    client.setQueryData(['case', '01X'], aCase({ version: 3 }));
    let n = 0;
    desk('POST /api/v1/cases/01X/undo', () =>
      ++n === 1 ? refusal(422, '', 'nothing to take back', '') : { body: aCase({ version: 4 }) },
    );
    const both = [queueChange(client, '01X', undo), queueChange(client, '01X', undo)] as const;
    await expect(both[0]).rejects.toBeInstanceOf(Problem);
    expect((await both[1]).version).toBe(4);
  });
});
