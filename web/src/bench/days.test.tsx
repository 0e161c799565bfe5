import { QueryClient } from '@tanstack/react-query';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { S, View } from '../api/client';
import { type Asked, aCase, askedAt, desk, show } from '../test/desk';
import { DaysStep } from './DaysStep';

const proposed = ['2026-07-12', '2026-07-19'];
const plans = (on: string[]): Partial<S['DaysPlan']> => ({
  on,
  start: on[0],
  gapDays: 7,
  notes: [],
  by: 'Ansel',
  weeks: { from: '2026-07-11', length: 21, rhythms: [], sky: [] },
});
const at = (now: string, over: Partial<View>) => {
  desk('GET /api/v1/session', { person: { id: 'a', name: 'Ansel', role: 'advisor' }, may: [], desk: {}, now });
  desk('POST /api/v1/cases/01X/plan-days', (a: Asked) => ({
    body: plans((a.body as S['DaysInput']).on ?? proposed),
  }));
  const v = aCase({ treatment: { remedies: ['soap'], by: 'Ansel' } as View['treatment'], ...over });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(['case', v.id], v);
  return show(<DaysStep view={v} />, client);
};
const drawn = () => [...document.querySelectorAll('[data-answer=days] .day')].map((d) => d.textContent);
const kept = { start: '2026-07-14', gapDays: 9, on: ['2026-07-14', '2026-07-23'], notes: [], by: 'Wren' };

describe('days that were kept', () => {
  it('stand when the step is opened again, with those of today as an offer', async () => {
    at('2026-07-11', { days: kept as View['days'] });
    await waitFor(() => expect(drawn()[0]).toContain('14 July'));
    expect(screen.getByText(/These are the days as they were kept/)).toBeTruthy();
    await userEvent.click(await screen.findByText('Leave them as kept', { exact: false, selector: 'button' }));
    expect(askedAt('PUT /api/v1/cases/01X/days')).toHaveLength(0);
  });
  it('give way to those of today only when somebody takes them', async () => {
    at('2026-07-11', { days: kept as View['days'] });
    await userEvent.click(await screen.findByText('Take those'));
    await waitFor(() => expect(drawn()[0]).toContain('12 July'));
    expect(document.querySelector('[data-do=anew]')).toBeNull();
  });
  it('are no plan any more once the first has gone by', async () => {
    at('2026-07-20', { days: kept as View['days'] });
    await waitFor(() => expect(document.querySelector('[data-gone]')).toBeTruthy());
    await waitFor(() => expect(drawn()[0]).toContain('12 July'));
    expect(screen.queryByText('Leave them as kept', { exact: false })).toBeNull();
  });
});
