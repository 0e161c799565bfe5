import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import type { S } from '../api/client';
import { askedAt, desk, refusal, show, vocabulary } from '../test/desk';
import { Arrivals } from './Arrivals';
import { Bands } from './Bands';
import { District } from './District';
import { casesOf, later, minutes } from './links';
import { Over } from './Over';
import { Records } from './Records';

const season = {
  from: '2026-06-01',
  to: '2026-06-21',
  desk: 'Merrin Sound',
  weeks: ['2026-06-01', '2026-06-08', '2026-06-15'],
  n: 9,
  before: 12,
  unknown: 1,
  bands: [
    { key: 'rust', name: 'Rust', n: 6, weeks: [1, 0, 5] },
    { key: 'undetermined', name: 'not known, or not yet', n: 3, weeks: [0, 3, 0] },
  ],
  hosts: [{ id: 'rose', name: 'Rose', n: 9 }],
  squares: [{ square: 'C4', n: 4, most: [{ id: 'rust', name: 'Rust', n: 4 }] }],
  nowhere: 5,
  arrivals: [
    { cause: 'rust', name: 'Rust', day: '2026-06-02', years: 3, usual: '2026-06-12', within: 4, early: 10 },
    { cause: 'scale', name: 'Scale', day: '2026-01-02', years: 3, usual: '2026-04-12', within: 90, early: 100 },
  ],
  surges: [{ cause: 'rust', name: 'Rust', weeks: 1, n: 5, usual: 0.6, chance: 0.00001 }],
  waits: { n: 4, median: 5, nineTen: 100, longest: 3000 },
  advised: [],
  mistaken: [{ was: 'rust', wasName: 'Rust', became: '', becameName: 'undetermined', n: 2 }],
  gridKm: 2,
  weather: 'simulated forecast',
} as unknown as S['Season'];
const at = () => screen.getByTestId('at').textContent;

describe('the season', () => {
  it('says its figures, each a way to its cases', async () => {
    desk('GET /api/v1/season', season);
    show(<Over />);
    expect(await screen.findByText('samples, 3 fewer than a year before')).toBeTruthy();
    expect(screen.getByText(/5 of rust/).getAttribute('href')).toBe(
      '/season/find?cause=rust&from=2026-06-15&to=2026-06-21',
    );
    expect(screen.getByText(/once in 100,000 weeks/)).toBeTruthy();
    expect(document.querySelector('[data-mistaken]')?.textContent).toContain('Rust was undetermined');
    expect(screen.getByText(/Fewer than five ends/)).toBeTruthy();
  });
  it('is gone through week by week with arrows, and stands as a table', async () => {
    show(<Bands of={season} />);
    const weeks = screen.getByRole('slider', { name: 'Week' });
    weeks.focus();
    await userEvent.keyboard('{ArrowLeft}{ArrowLeft}');
    expect(weeks.getAttribute('aria-valuetext')).toContain('3 not known');
    await userEvent.keyboard('{Enter}');
    expect(at()).toBe('/season/find');
    await userEvent.click(screen.getByText('as a table'));
    expect(within(screen.getByRole('table')).getAllByRole('row')).toHaveLength(4);
  });
  it('shows the squares that brought something, to be opened by key', async () => {
    show(<District of={season} />);
    const c4 = screen.getByRole('button', { name: 'C4: 4, 4 rust' });
    fireEvent.keyDown(c4, { key: 'Enter' });
    expect(at()).toBe('/season/find');
    expect(screen.getByText(/2 km wide/)).toBeTruthy();
  });
  it('calls nothing early that comes at any time', () => {
    show(<Arrivals of={season} />);
    expect(screen.getByText(/10 days early/)).toBeTruthy();
    expect(screen.getByText(/comes at any time/)).toBeTruthy();
    expect(screen.queryByText(/100 days early/)).toBeNull();
  });
  it('reckons days and minutes as one says them', () => {
    expect(later('2026-02-27', 2)).toBe('2026-03-01');
    expect([5, 100, 3000].map(minutes)).toEqual(['5 min', '1.7 h', '2 days']);
    expect(casesOf({ cause: 'a b', from: undefined, to: '' })).toBe('/season/find?cause=a+b');
  });
});

describe('records', () => {
  const reading = {
    kind: 'csv',
    columns: ['Date', 'Plant'],
    targets: [
      { id: 'brought', name: 'Day it was brought in', needs: true },
      { id: 'plant', name: 'Plant', needs: true },
      { id: 'cause', name: 'What it was' },
    ],
    used: { columns: { brought: 'Date', plant: 'Plant' }, days: 'day first' },
    encoding: 'UTF-8',
    doubts: [],
    rows: 3,
    good: 2,
    refused: 1,
    refusals: [{ line: 3, text: 'brought "31.2." is not a day; write it as YYYY-MM-DD' }],
    first: [{ brought: '2024-04-03', plant: 'Rose', host: 'rose', place: 'garden', outcome: 'unknown' }],
  };
  const job = {
    id: 'j1',
    kind: 'import',
    name: 'cards.csv',
    state: 'done',
    done: 3,
    total: 3,
    said: '2 cases came in',
    begun: '2026-07-11T10:00:00Z',
  };
  const open = (role: string) => {
    const may = {
      trainee: [],
      advisor: ['take tables without people out'],
      coordinator: ['take tables without people out', 'bring records or sheets in, and take them out again'],
    }[role];
    desk('GET /api/v1/session', { person: { id: 'o', name: 'Odile', role }, may, desk: {} });
    desk('GET /api/v1/vocabulary', vocabulary);
    show(<Records />);
  };
  beforeEach(() => {
    desk('GET /api/v1/jobs', [job]);
    desk('GET /api/v1/imports', [
      { id: 'b1', name: 'cards.csv', kind: 'csv', who: 'Odile', at: '2026-07-11T10:00:00Z', cases: 2 },
    ]);
    desk('GET /api/v1/records', [{ name: 'cases', row: 'a sample', columns: [{ name: 'number', doc: 'of the tag' }] }]);
  });

  it('are looked at before they are taken in: columns, rows refused with their mend', async () => {
    desk('POST /api/v1/imports', { id: 'u1', name: 'cards.csv', bytes: 0 });
    desk('POST /api/v1/imports/u1/read', reading);
    desk('POST /api/v1/imports/u1/keep', job);
    open('coordinator');
    await screen.findByText('Choose a file');
    const field = document.querySelector('input[type=file]') as HTMLInputElement;
    // Without bytes: jsdom's blobs are none to the fetch of this test; the journey sends real ones.
    await userEvent.upload(field, new File([], 'cards.csv', { type: 'text/csv' }));
    expect(await screen.findByText('2 of 3 rows')).toBeTruthy();
    expect(screen.getByText(/is not a day; write it/)).toBeTruthy();
    await userEvent.click(screen.getByText('Take the 2 that can be taken'));
    await waitFor(() => expect(askedAt('POST /api/v1/imports/u1/keep')[0]?.body).toEqual({ name: 'cards.csv' }));
  });
  it('that were brought in go out again as a whole, asked twice', async () => {
    desk('POST /api/v1/imports/b1/undo', { gone: 2, stay: ['24-0001'] });
    open('coordinator');
    await userEvent.click(await screen.findByText('Undo'));
    expect(askedAt('POST /api/v1/imports/b1/undo')).toEqual([]);
    await userEvent.click(screen.getByText('Take all of it out'));
    expect((await screen.findByText(/2 went out again/)).textContent).toContain('24-0001 stay');
  });
  it('leave the desk under a licence and as coarsely as was chosen', async () => {
    desk('POST /api/v1/records/export', () => refusal(422, '', 'other long work is going on', 'wait'));
    open('coordinator');
    await userEvent.click(await screen.findByText('Occurrences'));
    await userEvent.click(screen.getByText('no conditions (CC0)'));
    await userEvent.click(screen.getByText('Write the file'));
    expect((await screen.findByRole('alert')).textContent).toContain('other long work');
    expect(askedAt('POST /api/v1/records/export')[0]?.body).toEqual({
      what: 'darwin-core',
      license: 'CC0-1.0',
      coarse: 'desk',
    });
  });
  it('are not for trainees, and the whole desk only for the coordinator', async () => {
    open('advisor');
    await screen.findByText('Treatments');
    expect(screen.queryByText('The whole desk')).toBeNull();
    expect(screen.queryByText('Choose a file')).toBeNull();
  });
});
