import { describe, expect, it } from 'vitest';
import { readDay } from './DayPick';

describe('a day as one says it', () => {
  it.each([
    ['today', '2026-11-26'],
    ['tomorrow', '2026-11-27'],
    ['sat', '2026-11-28'],
    ['Saturday', '2026-11-28'],
    ['thu', '2026-12-03'], // today is a Thursday: the next one
    ['28', '2026-11-28'],
    ['3', '2026-12-03'],
    ['31', '2026-12-31'],
    ['28.11.', '2026-11-28'],
    ['1/2', '2027-02-01'],
    ['2026-12-05', '2026-12-05'],
    ['someday', 'someday'],
    ['45', '45'],
  ])('%s is %s', (said, want) => {
    expect(readDay(said, '2026-11-26')).toBe(want);
  });
});
