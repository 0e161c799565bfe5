import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { eligible } from '../parts/count/counts';
import { overlay } from './change';
import type { View } from './client';

type Look = {
  what: string;
  many: boolean;
  absent: string[];
  looks: string[];
  answer: { state: string; not?: boolean; off?: boolean };
  then: string[];
};
type Tally = { what: string; of: string[]; leaves: number[][]; tally: string; then: number[] | null };
const cases = JSON.parse(readFileSync(resolve(import.meta.dirname, '../../../core/testdata/shared.json'), 'utf8')) as {
  looks: Look[];
  tallies: Tally[];
};

// The same cases as internal/desk/shared_test.go and core/scouting/shared_test.go.
describe('what the page works out as the desk does', () => {
  it.each(cases.looks)('a look: $what', (c) => {
    const record = (s: string) => ({
      finding: 'f',
      state: s.replace('not ', ''),
      not: s.startsWith('not '),
      by: '',
      at: '',
    });
    const { state, ...body } = c.answer;
    const now = overlay(c.looks.map(record) as View['looks'], [
      { finding: 'f', name: '', said: '', state, body: { state, ...body }, ...(c.many ? { none: c.absent } : {}) },
    ]);
    expect(now.map((l) => (l.not ? `not ${l.state}` : l.state)).sort()).toEqual([...c.then].sort());
  });
  it.each(cases.tallies)('a tally: $what', (c) => {
    expect(eligible(c, c.tally) ?? null).toEqual(c.then);
  });
});
