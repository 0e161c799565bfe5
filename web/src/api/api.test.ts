import { describe, expect, it, vi } from 'vitest';
import { askedAt, desk, refusal } from '../test/desk';
import { api, onSignedOut, Problem, setToken, settled, unwrap } from './client';

describe('an answer of the desk', () => {
  it('is unwrapped', async () => {
    desk('GET /api/v1/today', { waiting: 3 });
    expect(await unwrap(api.GET('/api/v1/today'))).toEqual({ waiting: 3 });
  });
  it('is thrown with each field and its mend when it is a refusal', async () => {
    desk('POST /api/v1/convert', () => refusal(422, 'amount', 'is no number', 'write it in figures'));
    const p = await unwrap(api.POST('/api/v1/convert', { body: { amount: 'x', to: 'L' } })).catch((e) => e as Problem);
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
    const p = await unwrap(api.GET('/api/v1/people')).catch((e) => e as Problem);
    expect(p).toMatchObject({ status: 0 });
    expect((p as Problem).message).toContain('What you typed is kept');
  });
  it('ends the session on the page when the desk ended it', async () => {
    const out = vi.fn();
    onSignedOut(out);
    desk('GET /api/v1/today', () => refusal(401, '', 'signed out', 'sign in'));
    await unwrap(api.GET('/api/v1/today')).catch(() => undefined);
    expect(out).toHaveBeenCalledTimes(1);
  });
  it('carries the session’s own token on what changes, and only there', async () => {
    setToken('mine');
    desk('GET /api/v1/today', {});
    desk('POST /api/v1/convert', {});
    await unwrap(api.GET('/api/v1/today'));
    await unwrap(api.POST('/api/v1/convert', { body: { amount: '1 L', to: 'mL' } }));
    expect(askedAt('GET /api/v1/today')[0]?.headers.get('X-Botanik-Token')).toBeNull();
    expect(askedAt('POST /api/v1/convert')[0]?.headers.get('X-Botanik-Token')).toBe('mine');
    setToken('');
  });
});

describe('asking when typing rests', () => {
  it('gives up what another took the place of, and asks the last', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    try {
      document.dispatchEvent(new Event('input'));
      const older = new AbortController();
      const given = expect(settled(older.signal)).rejects.toThrow('another took its place');
      older.abort(new Error('another took its place'));
      await given;
      const last = settled(new AbortController().signal);
      await vi.advanceTimersByTimeAsync(200);
      await last;
    } finally {
      vi.useRealTimers();
    }
  });
});
