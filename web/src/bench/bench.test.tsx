import { QueryClient } from '@tanstack/react-query';
import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Finding, S, View } from '../api/client';
import { readCounts } from '../parts/count/counts';
import { linesOf, parts, topicsOf } from '../parts/topics';
import { aCase, asked, askedAt, desk, refusal, show, vocabulary, write } from '../test/desk';
import { Act } from './Act';
import { MixStep } from './MixStep';
import { RemedyStep } from './RemedyStep';
import { Story } from './Story';
import { Prepared } from './VerdictStep';

const press = (k: string) => userEvent.keyboard(k);
const shown = (ui: React.ReactNode, view: View) => {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(['case', view.id], view);
  return show(ui, client);
};

const weighed: S['Weighed'] = {
  threshold: { perUnit: 5, unit: 'leaf', source: 'house judgement' },
  borne: 'fewer than five a leaf',
  before: [],
  decision: {
    act: 'act',
    words: 'Act now',
    pressure: 'heavy',
    sure: 'likely',
    why: ['16.7 a leaf, where 5 is borne here (house judgement).'],
    change: ['As a hedge: watch it weekly.'],
  },
  sampling: {
    id: 'leaf',
    take: 10,
    where: 'ten grown leaves',
    how: 'turn each over',
    spots: 'leaves',
    source: 'general scouting guides',
  },
  test: { of: 'pests', slope: 4.3, h0: -12, h1: 12, level: 5, borne: 2.5, harm: 8, least: 5, most: 60 },
  here: [{ said: 'Watering: often dry', change: 'Water before the leaves hang.', told: true }],
  else: ['heat'],
  stages: ['egg'],
};

beforeEach(() => {
  desk('GET /api/v1/vocabulary', vocabulary);
  desk('POST /api/v1/cases/01X/weigh', weighed);
});

describe('counts as they are said', () => {
  it.each([
    ['12 7 31', [12, 7, 31]],
    ['12,7;31\n4', [12, 7, 31, 4]],
    ['', []],
    ['0', [0]],
  ])('%j', (text, counts) => expect(readCounts(text)).toEqual({ counts }));
  it.each([
    ['12.5 3', '12.5'],
    ['-3', '-3'],
    ['some', 'some'],
    ['3 123456', '123456'],
  ])('%j is not read as something else', (text, odd) => expect(readCounts(text)).toEqual({ counts: [], odd }));
});

describe('the order of looking', () => {
  const f = (id: string, part: string, topic: string, where?: string) => ({ id, part, topic, where }) as Finding;
  const list = [
    f('mined', 'leaf', 'eaten and mined'),
    f('eggs', 'leaf', 'who is there', 'underside'),
    f('odd', 'leaf', 'never heard of'),
    f('walkers', 'leaf', 'who is there', 'underside'),
    f('flecks', 'leaf', 'colour and flecks'),
    f('bark', 'stem', 'stem and bark'),
  ];
  it('is the one the desk gives', () => {
    expect(linesOf(list, 'leaf', false).map((x) => x.id)).toEqual(['mined', 'odd', 'flecks']);
    expect(topicsOf(linesOf(list, 'leaf', false))).toEqual(['eaten and mined', 'never heard of', 'colour and flecks']);
  });
  it('turns the leaf, and only the leaf', () => {
    expect(linesOf(list, 'leaf', true).map((x) => x.id)).toEqual(['eggs', 'walkers']);
    expect(linesOf(list, 'stem', true)).toEqual(linesOf(list, 'stem', false));
  });
  it('shows each line on one part and side', () => {
    const all = parts.flatMap((p) => [
      ...linesOf(list, p.id, false),
      ...(p.id === 'leaf' ? linesOf(list, p.id, true) : []),
    ]);
    expect(all.map((x) => x.id).sort()).toEqual(list.map((x) => x.id).sort());
  });
});

describe('act or wait', () => {
  const open = (over?: Partial<View>) => shown(<Act view={aCase(over)} />, aCase(over));
  const counts = () => document.querySelector('input[name=counts]') as HTMLInputElement;
  const cells = () => [...document.querySelectorAll('.leafcells li')].map((x) => x.textContent).slice(0, -1);
  it('keeps what was counted through a reload, and lets it go once the case holds it', async () => {
    desk('PUT /api/v1/cases/01X/act', aCase({ version: 4 }));
    const first = open();
    await write(counts(), '12 7 31');
    await userEvent.click(screen.getByText(/^heavy/));
    first.unmount();
    open();
    expect(counts().value).toBe('12 7 31');
    expect(screen.getByText(/^heavy/).getAttribute('aria-checked')).toBe('true');
    await userEvent.click(screen.getByText('Act', { selector: 'button' }));
    await waitFor(() => expect(screen.getByTestId('at').textContent).toBe('/bench/01X/remedy'));
    const sent = askedAt('PUT /api/v1/cases/01X/act')[0];
    expect(sent?.body).toMatchObject({ counts: [12, 7, 31], choice: 'act', pressure: 'heavy' });
    expect(sent?.headers.get('If-Match')).toBe('3');
    expect(localStorage.getItem('botanik.draft.act.01X.two-spotted-mite')).toBeNull();
  });
  it('takes one key a leaf, adds ten, and takes back what was one too many', async () => {
    desk('PUT /api/v1/cases/01X/act', aCase({ version: 4 }));
    const first = open();
    await waitFor(() => expect(screen.getByText(/Count ten grown leaves/)).toBeTruthy());
    for (const k of ['4', '0', '9', '{Backspace}', '3', '+']) await press(k);
    expect(cells()).toEqual(['4', '0', '13']);
    await waitFor(() =>
      expect(askedAt('POST /api/v1/cases/01X/weigh').at(-1)?.body).toMatchObject({ counts: [4, 0, 13] }),
    );
    first.unmount();
    open();
    await waitFor(() => expect(cells()).toEqual(['4', '0', '13']));
    await press('{Enter}'); // as advised
    await waitFor(() => expect(askedAt('PUT /api/v1/cases/01X/act')).toHaveLength(1));
    expect(askedAt('PUT /api/v1/cases/01X/act')[0]?.body).toMatchObject({
      counts: [4, 0, 13],
      choice: 'act',
      word: 'act',
      stages: ['egg'],
    });
  });
  it('keeps tallies apart leaf by leaf, and says which is the next', async () => {
    open();
    await waitFor(() => expect(screen.getByText(/Count ten grown leaves/)).toBeTruthy());
    await userEvent.click(document.querySelector('.pad-count [data-chip=young]') as Element);
    expect(screen.getByText('pests', { selector: '.chip' }).getAttribute('aria-checked')).toBe('false');
    await userEvent.click(screen.getByText('helpers', { selector: '.chip' }));
    (document.activeElement as HTMLElement).blur();
    for (const k of ['7', '2', '5']) await press(k);
    expect(cells()).toEqual(['72']);
    expect(screen.getByText('helpers', { selector: 'b' })).toBeTruthy();
    await waitFor(() =>
      expect(askedAt('POST /api/v1/cases/01X/weigh').at(-1)?.body).toMatchObject({
        count: { of: ['young', 'helpers'], leaves: [[7, 2]] },
      }),
    );
  });
  it('matches leaves with drawn ones, and says what favours it here', async () => {
    open();
    await waitFor(() => expect(screen.getByText('Water before the leaves hang.')).toBeTruthy());
    await userEvent.click(screen.getByText('match the leaf'));
    await userEvent.click(document.querySelector('[data-share-of="25"]') as Element);
    await waitFor(() => expect(askedAt('POST /api/v1/cases/01X/weigh').at(-1)?.body).toMatchObject({ severity: [25] }));
  });
  it('names a count that is none, and keeps nothing', async () => {
    open();
    await write(counts(), '12 7.5');
    expect(screen.getByText(/“7.5” is not a count/)).toBeTruthy();
    await userEvent.click(screen.getByText('Act', { selector: 'button' }));
    expect(askedAt('PUT /api/v1/cases/01X/act')).toHaveLength(0);
  });
  it('says whether it is dormant only when somebody touched it', async () => {
    desk('PUT /api/v1/cases/01X/act', aCase({ version: 4 }));
    open();
    await userEvent.click(screen.getByText('the plant is thirsty'));
    await press('w');
    await waitFor(() => expect(screen.getByTestId('at').textContent).toBe('/bench/01X/handover'));
    const body = askedAt('PUT /api/v1/cases/01X/act')[0]?.body as Record<string, unknown>;
    expect(body).toMatchObject({ drought: true, choice: 'wait' });
    expect(body).not.toHaveProperty('dormant');
  });
  it('sends an explicit no once dormant was taken back', async () => {
    desk('PUT /api/v1/cases/01X/act', aCase({ version: 4 }));
    open({ act: { counts: [], dormant: true, choice: 'act', pressure: 'light' } as unknown as View['act'] });
    await userEvent.click(screen.getByText('without leaves'));
    await press('a');
    await waitFor(() => expect(askedAt('PUT /api/v1/cases/01X/act')).toHaveLength(1));
    expect(askedAt('PUT /api/v1/cases/01X/act')[0]?.body).toMatchObject({ dormant: false });
  });
  it('waits for a verdict', () => {
    open({ verdict: undefined });
    expect(screen.getByText(/Say what it is first/)).toBeTruthy();
  });
});

const offer = (remedy: string, rung: number, over: Partial<S['Offer']> = {}) => ({
  remedy,
  name: remedy,
  rung,
  kind: 'product',
  status: 'go',
  reasons: [],
  meant: true,
  worth: 'good',
  cautions: ['mind'],
  hazard: 1,
  ladder: 'the mildest that does enough',
  kills: [],
  open: !['no', 'not now'].includes(over.status ?? 'go'),
  ...over,
});
const advice = {
  next: 'soap',
  cause: 'two-spotted-mite',
  date: '2026-07-10',
  offers: [
    offer('hose-off', 1),
    offer('soap', 4, {
      status: 'care',
      reasons: [{ gate: 'people', status: 'care', text: 'Keep the bottle out of reach.' }],
    }),
    offer('sulfur', 6, {
      status: 'not now',
      until: '2026-07-31',
      reasons: [{ gate: 'earlier', status: 'not now', text: 'Oil was used on Wed 1 Jul.' }],
    }),
    offer('pyrethrins', 5, {
      status: 'no',
      reasons: [{ gate: 'house', status: 'no', text: 'This house does not recommend it.' }],
    }),
    offer('copper', 6, {
      meant: false,
      status: 'no',
      reasons: [{ gate: 'meant', status: 'no', text: 'Not meant for mites.' }],
    }),
  ],
  pick: ['hose-off', 'soap'],
  why: ['Soap is the mildest that does enough here.'],
  because: ['dry air'],
  mustNot: [{ what: 'an insecticide', why: 'mites come back worse' }],
  always: ['The label comes first.'],
  combine: ['Hose off in the morning.'],
  schools: [
    { school: 'soap', option: 'castile', by: 'case', near: true },
    { school: 'aim', option: 'below-harm', by: 'default', near: false },
  ],
  unknown: [],
  apart: [],
  worked: [{ remedy: 'soap', n: 9, better: 7, low: 0.45, high: 0.94 }],
  weather: 'simulated',
};

describe('a sprayer', () => {
  it('belongs to the grower, not to the desk: the last one is not taken for the next (F8)', async () => {
    desk('POST /api/v1/mix', () => refusal(422, 'volume', 'is missing', 'give it'));
    const of = (grower: string) => {
      const treatment = { remedies: ['soap'], by: 'Ansel' } as View['treatment'];
      const v = aCase({ treatment });
      return shown(<MixStep view={{ ...v, intake: { ...v.intake, grower } }} />, v);
    };
    const first = of('Maud Lister');
    const holds = () => document.querySelector('input[name=sprayer]') as HTMLInputElement;
    await waitFor(() => expect(holds()).toBeTruthy());
    await userEvent.clear(holds());
    await write(holds(), '500');
    first.unmount();
    const second = of('Joss Trewin');
    await waitFor(() => expect(holds()?.value).toBe('1'));
    second.unmount();
    of('Maud Lister');
    await waitFor(() => expect(holds()?.value).toBe('500'));
  });
});

describe('what is bought', () => {
  it('buys for all the days the desk proposes, and for what somebody said instead', async () => {
    desk('POST /api/v1/blend', () => refusal(422, 'volume', 'is missing', 'give it'));
    desk('POST /api/v1/cases/01X/plan-days', { on: ['2026-07-12', '2026-07-19', '2026-07-26'], notes: [] });
    const treatment = { remedies: ['soap'], by: 'Ansel' } as View['treatment'];
    const v = aCase({ treatment, steps: [{ id: 'days', name: 'Days', state: 'open', note: '' }] });
    shown(<MixStep view={v} />, v);
    const times = () => document.querySelector('input[name=times]') as HTMLInputElement;
    await waitFor(() => expect(times()?.value).toBe('3'));
    await waitFor(() => expect(askedAt('POST /api/v1/blend').at(-1)?.body).toMatchObject({ treatments: 3 }));
    await userEvent.clear(times());
    await write(times(), '2');
    await waitFor(() => expect(askedAt('POST /api/v1/blend').at(-1)?.body).toMatchObject({ treatments: 2 }));
  });
});

describe('the ladder', () => {
  const line = (id: string) => document.querySelector(`.offer[data-remedy="${id}"]`) as HTMLElement;
  const on = (id: string) => line(id).classList.contains('on');
  const unfold = (rung: number) => userEvent.click(document.querySelector(`button[data-rung="${rung}"]`) as Element);
  const open = async (over?: Partial<View>) => {
    desk('GET /api/v1/cases/01X/advice', advice);
    const r = shown(<RemedyStep view={aCase(over)} />, aCase(over));
    await screen.findByText('The ladder, mildest first');
    await waitFor(() => expect(line('hose-off')).toBeTruthy());
    return r;
  };
  it('stands on what was picked and says why each other is not', async () => {
    await open();
    await waitFor(() => expect(on('hose-off') && on('soap')).toBe(true));
    expect(document.querySelector('button[data-rung="6"]')?.textContent).toContain('1 more: 1 not now');
    for (const rung of [5, 6]) await unfold(rung);
    expect(line('sulfur').textContent).toContain('not now, until Fri 31 Jul');
    expect(line('sulfur').textContent).toContain('Oil was used');
    expect(line('pyrethrins').textContent).toContain('This house does not recommend it');
    expect(screen.getByText('Hose off in the morning.')).toBeTruthy();
    expect(document.querySelector('[data-chosen="soap"]')?.textContent).toContain('Keep the bottle out of reach.');
    expect(line('soap').textContent).not.toContain('Keep the bottle');
    expect(screen.getByText(/mites come back worse/)).toBeTruthy();
    expect(document.querySelector('[data-worked]')?.textContent).toMatch(/better in 7 of 9.*45 to 94 in 100/);
  });
  it('lets nobody choose what is refused, by mouse or by key', async () => {
    await open();
    await waitFor(() => expect(on('soap')).toBe(true));
    // down to the rung, unfold it, on to what it holds, try; and the same on the next
    for (const k of ['{ArrowDown}', '{ArrowDown}', ' ', '{ArrowDown}', ' ']) await press(k);
    expect(within(line('pyrethrins')).getByRole('checkbox')).toHaveProperty('disabled', true);
    for (const k of ['{ArrowDown}', ' ', '{ArrowDown}', ' ']) await press(k);
    expect(line('sulfur').dataset.at).toBe('true');
    expect(on('sulfur') || on('pyrethrins')).toBe(false);
  });
  it('is walked with the keys and kept with Enter', async () => {
    desk('PUT /api/v1/cases/01X/remedy', aCase({ version: 4 }));
    await open();
    await waitFor(() => expect(on('soap')).toBe(true));
    for (const k of [' ', '{Enter}']) await press(k);
    await waitFor(() => expect(screen.getByTestId('at').textContent).toBe('/bench/01X/mix'));
    expect(askedAt('PUT /api/v1/cases/01X/remedy')[0]?.body).toEqual({ remedies: ['soap'] });
  });
  it('keeps what the case already chose, whatever is picked today', async () => {
    await open({ treatment: { remedies: ['hose-off'], by: 'Ansel' } as View['treatment'] });
    expect(on('hose-off')).toBe(true);
    expect(on('soap')).toBe(false);
    expect(asked.find((a) => a.at.includes('/advice'))?.at).toContain('chosen=hose-off');
  });
  it('hides what is not meant until it is asked for, and then with its reason', async () => {
    await open();
    expect(line('copper')).toBeNull();
    await userEvent.click(screen.getByText(/Show the 1 not meant for this/));
    expect(line('copper').textContent).toContain('Not meant for mites');
  });
  it('shows the disputed questions that bear on it, and the way back to the house', async () => {
    desk('PUT /api/v1/cases/01X/school', aCase({ version: 4 }));
    await open();
    expect(await screen.findByText('castile as good.', { exact: false })).toBeTruthy();
    expect(screen.queryByText('some are borne.', { exact: false })).toBeNull();
    await userEvent.click(screen.getByText('As the house'));
    await waitFor(() =>
      expect(askedAt('PUT /api/v1/cases/01X/school')[0]?.body).toEqual({ school: 'soap', option: '' }),
    );
    await userEvent.click(screen.getByText('All 2 questions'));
    expect(await screen.findByText('some are borne.', { exact: false })).toBeTruthy();
  });
  it('shows a refusal with its mend and keeps the choice', async () => {
    desk('PUT /api/v1/cases/01X/remedy', () =>
      refusal(422, 'remedies[1]', 'Insecticidal soap: this house does not recommend it', 'choose another'),
    );
    await open();
    await waitFor(() => expect(on('soap')).toBe(true));
    await press('{Enter}');
    expect((await screen.findByRole('alert')).textContent).toContain('choose another');
    expect(on('soap')).toBe(true);
    expect(screen.getByTestId('at').textContent).toBe('/');
  });
});

describe('two at the same case', () => {
  it('sees what the other did, and may put one’s own on top', async () => {
    let taken = false;
    desk('GET /api/v1/cases/01X/advice', advice);
    desk('GET /api/v1/cases/01X', aCase({ version: 9 }));
    desk('GET /api/v1/cases/01X/story', [
      { seq: 1, at: '2026-07-10T10:00:00Z', who: 'Brann', kind: 'look', text: 'silk: none' },
    ]);
    desk('PUT /api/v1/cases/01X/remedy', (a: { headers: Headers }) => {
      if (a.headers.get('If-Match') === '3') return refusal(412, 'If-Match', 'is old', 'read it again');
      taken = true;
      return { body: aCase({ version: 10 }) };
    });
    const { client } = shown(<RemedyStep view={aCase()} />, aCase());
    await screen.findByText(/Keep what is chosen/);
    await waitFor(() => expect(document.querySelectorAll('.offer.on')).toHaveLength(2));
    await press('{Enter}');
    expect(await screen.findByText(/Brann: silk: none/)).toBeTruthy();
    expect(taken).toBe(false);
    act(() => {
      client.setQueryData(['case', '01X'], aCase({ version: 9 }));
    });
    await userEvent.click(screen.getByText('Put mine on top'));
    await waitFor(() => expect(taken).toBe(true));
  });
});

describe('how it went', () => {
  const handed = aCase({
    stage: 'handed',
    handover: { token: 't', at: '2026-07-01T10:00:00Z', by: 'Ansel' } as unknown as View['handover'],
    act: { counts: [12, 7, 31], choice: 'act', pressure: 'heavy' } as unknown as View['act'],
  });
  beforeEach(() => desk('GET /api/v1/cases/01X/story', []));
  it('starts from the count before, and sends the neighbour only when there is one', async () => {
    desk('POST /api/v1/cases/01X/followup', { ...handed, version: 4 });
    shown(<Story view={handed} />, handed);
    expect(screen.getByLabelText(/^Before: a number/)).toHaveProperty('value', '12 7 31');
    await write(screen.getByLabelText(/^Now: a number/), '1,5');
    await userEvent.click(screen.getByText('Judge it'));
    await waitFor(() => expect(askedAt('POST /api/v1/cases/01X/followup')).toHaveLength(1));
    expect(askedAt('POST /api/v1/cases/01X/followup')[0]?.body).toEqual({
      count: { beforeCounts: [12, 7, 31], after: 1.5, units: 3 },
      note: '',
    });
    await waitFor(() => expect(screen.getByLabelText(/^Now: a number/)).toHaveProperty('value', ''));
  });
  it('keeps what was typed when the desk cannot be reached', async () => {
    desk('POST /api/v1/cases/01X/followup', () => {
      throw new Error('no wifi');
    });
    const first = shown(<Story view={handed} />, handed);
    await write(screen.getByLabelText('What they say'), 'clean new leaves');
    await userEvent.click(screen.getByText('No answer'));
    expect((await screen.findByRole('alert')).textContent).toContain('cannot be reached');
    first.unmount();
    shown(<Story view={handed} />, handed);
    expect(screen.getByLabelText('What they say')).toHaveProperty('value', 'clean new leaves');
  });
  it('closes nothing before somebody said what came of it', async () => {
    desk('POST /api/v1/cases/01X/close', { ...handed, version: 4 });
    shown(<Story view={handed} />, handed);
    const close = screen.getByText('Close it').closest('button') as HTMLButtonElement;
    expect(close.disabled).toBe(true);
    await userEvent.click(await screen.findByText('lost'));
    await userEvent.click(close);
    await waitFor(() => expect(askedAt('POST /api/v1/cases/01X/close')[0]?.body).toMatchObject({ outcome: 'lost' }));
  });
});

describe('the ladder folded', () => {
  it('shows what is chosen and the next best, folds the rest on its rung, and sets prevention apart', async () => {
    const offers = [
      offer('hose-off', 1, { worth: 'good', ladder: 'the mildest that does enough' }),
      offer('soap', 4, { worth: 'good', ladder: 'harsher than is needed yet' }),
      offer('sulfur', 6, { worth: 'some', ladder: 'harsher still' }),
      offer('net', 2, { worth: 'good', prevents: true, ladder: 'so that it does not come back' }),
    ];
    desk('GET /api/v1/cases/01X/advice', { ...advice, offers, pick: ['hose-off'], next: 'soap' });
    shown(<RemedyStep view={aCase()} />, aCase());
    const row = (id: string) => document.querySelector(`.offer[data-remedy=${id}]`) as HTMLElement;
    await waitFor(() => expect(row('hose-off')?.classList.contains('on')).toBe(true));
    expect(row('soap').textContent).toContain('harsher than is needed yet');
    expect(row('sulfur')).toBeNull();
    await userEvent.click(document.querySelector('button[data-rung="6"]') as Element);
    await userEvent.click(within(row('sulfur')).getAllByRole('button')[0] as HTMLElement);
    expect(row('sulfur').textContent).toContain('harsher still');
    const rungs = [...document.querySelectorAll<HTMLElement>('.rung')].map((o) => o.textContent);
    expect(rungs.at(-1)).toContain('So that it does not come back');
  });
});

describe('what goes with a verdict that waits', () => {
  it('is shown before anybody agrees to it', async () => {
    const waits = aCase({
      verdict: {
        cause: 'two-spotted-mite',
        degree: 'settled',
        by: 'Wren',
        needsReview: true,
        p: 1,
        at: '2026-07-10T10:00:00Z',
      },
      treatment: { remedies: ['soap'], by: 'Wren' },
      days: { start: '2026-07-12', gapDays: 7, on: ['2026-07-12'], notes: [], by: 'Wren' },
    } as unknown as Partial<View>);
    shown(<Prepared view={waits} />, waits);
    const list = await waitFor(() => document.querySelector('[data-prepared]') as HTMLElement);
    expect(list.textContent).toContain('remedy: ');
    expect(list.textContent).toContain('days');
  });
});
