import { QueryClient } from '@tanstack/react-query';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import type { View } from '../api/client';
import { useCase } from '../api/hooks';
import { type Asked, aCase, askedAt, desk, refusal, show, vocabulary } from '../test/desk';
import { Look } from './Look';
import { RefusedLooks } from './RefusedLooks';
import { VerdictStep } from './VerdictStep';

const find = (id: string, part: string, over: object = {}) => ({
  id,
  name: id,
  short: id,
  topic: 'who is there',
  part,
  how: 'eye',
  minutes: 0.3,
  states: [
    { id: 'yes', name: 'yes', said: `${id} seen`, background: 'seldom' },
    { id: 'no', name: 'none', background: 'often', absent: true },
  ],
  ...over,
});
const findings = [
  find('flecks', 'leaf', { name: 'Pale flecks', topic: 'colour and flecks' }),
  find('walkers', 'leaf', { name: 'Specks that walk', where: 'underside', how: 'lens' }),
  find('eggs', 'leaf', { name: 'Eggs', where: 'underside', how: 'lens' }),
  find('bark', 'stem', { name: 'Bark' }),
];
const reading = {
  looked: 0,
  leader: '',
  verdict: 'open',
  candidates: [],
  alarms: [],
  other: 'open',
  why: [],
  tilt: [],
  tiltTotal: 0,
  next: [{ finding: 'walkers', name: 'Specks that walk', outcomes: [], score: 1, bits: 1, minutes: 1 }],
  unlisted: { p: 0, class: 'a fungus' },
  mustLook: [],
  leftOver: [],
  tell: [],
  rival: '',
  pairs: [],
  stop: '',
};
const view = (over: Partial<View> = {}) =>
  aCase({ reading: reading as unknown as View['reading'], photos: [], spoken: [], ...over });
const shown = (ui: React.ReactNode, v: View) => {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(['case', v.id], v);
  return show(ui, client);
};
/** The step as the bench shows it: of whatever the page now holds of the case. */
function Live({ id }: { id: string }) {
  const { data } = useCase(id);
  return data ? (
    <>
      <RefusedLooks view={data} />
      <Look view={data} />
    </>
  ) : null;
}
const line = (id: string) => document.querySelector(`[data-finding=${id}]`) as HTMLElement;
const state = (id: string, s: string) => line(id).querySelector(`[data-state=${s}]`) as HTMLElement;
const press = (k: string) => userEvent.keyboard(k);

beforeEach(() => {
  desk('GET /api/v1/vocabulary', { ...vocabulary, findings });
  desk('GET /api/v1/session', {
    person: { name: 'Ansel', role: 'advisor' },
    desk: { lab: 'the laboratory' },
    now: '2026-07-11',
  });
});

describe('looking', () => {
  const look = (a: Asked) => ({
    body: view({
      version: Number(a.headers.get('If-Match')) + 1,
      looks: [{ finding: a.at.split('/').pop(), ...(a.body as object) }] as never,
    }),
  });
  const open = async () => {
    for (const f of findings) desk(`PUT /api/v1/cases/01X/looks/${f.id}`, look);
    desk('GET /api/v1/cases/01X', view());
    shown(<Live id="01X" />, view());
    await waitFor(() => expect(line('flecks')).toBeTruthy());
  };
  it('answers the line it stands on by digit, and goes on to the next', async () => {
    await open();
    await press('f');
    expect(line('walkers').classList.contains('at')).toBe(true);
    await press('2');
    await waitFor(() => expect(askedAt('PUT /api/v1/cases/01X/looks/walkers')).toHaveLength(1));
    expect(askedAt('PUT /api/v1/cases/01X/looks/walkers')[0]?.body).toEqual({ state: 'no', certainty: 'sure' });
    expect(line('eggs').classList.contains('at')).toBe(true);
    expect(state('walkers', 'no').getAttribute('aria-checked')).toBe('true');
  });
  it('asks first what strikes one first, and then puts the lines in the order that tells', async () => {
    const sight = find('sight', 'plant', { name: 'What strikes you first', fresh: true });
    desk('GET /api/v1/vocabulary', { ...vocabulary, findings: [...findings, find('spots', 'leaf'), sight] });
    const told = (tell: string[], over: Partial<View> = {}) =>
      view({ reading: { ...reading, tell } as unknown as View['reading'], ...over });
    const seen = { finding: 'sight', state: 'yes', by: '', at: '', certainty: 'sure' as const };
    desk('PUT /api/v1/cases/01X/looks/sight', told(['spots', 'flecks'], { version: 4, looks: [seen] }));
    desk('GET /api/v1/cases/01X', told(['flecks', 'spots']));
    shown(<Live id="01X" />, told(['flecks', 'spots']));
    await waitFor(() => expect(line('flecks')).toBeTruthy());
    const order = () => [...document.querySelectorAll<HTMLElement>('[data-finding]')].map((l) => l.dataset.finding);
    expect(order()).toEqual(['sight', 'flecks', 'spots']);
    await press('1');
    await waitFor(() => expect(order()).toEqual(['sight', 'spots', 'flecks']));
    await press('f');
    expect(line('sight')).toBeNull();
  });
  it('does not ask for a first impression once others were looked at', async () => {
    const sight = find('sight', 'plant', { name: 'What strikes you first', fresh: true });
    desk('GET /api/v1/vocabulary', { ...vocabulary, findings: [...findings, sight] });
    const seen = { finding: 'flecks', state: 'yes', by: '', at: '' };
    desk('GET /api/v1/cases/01X', view({ looks: [seen] }));
    shown(<Live id="01X" />, view({ looks: [seen] }));
    await waitFor(() => expect(document.querySelector('[data-finding]')).toBeTruthy());
    await press('f');
    await press('f');
    await waitFor(() => expect(line('flecks')).toBeTruthy());
    expect(line('sight')).toBeNull();
  });
  it('answers beyond nine with 0 and letters, and shows the keys of the line in hand', async () => {
    const states = Array.from({ length: 12 }, (_, i) => ({
      id: `s${i + 1}`,
      name: `state ${i + 1}`,
      background: 'seldom',
    }));
    desk('GET /api/v1/vocabulary', { ...vocabulary, findings: [find('marks', 'leaf', { states })] });
    desk('PUT /api/v1/cases/01X/looks/marks', look);
    desk('GET /api/v1/cases/01X', view());
    shown(<Live id="01X" />, view());
    await waitFor(() => expect(line('marks').querySelectorAll('.key')).toHaveLength(12));
    expect(state('marks', 's11').querySelector('.key')?.textContent).toBe('a');
    await press('0');
    await waitFor(() => expect(askedAt('PUT /api/v1/cases/01X/looks/marks')[0]?.body).toMatchObject({ state: 's10' }));
    await press('c');
    await waitFor(() => expect(askedAt('PUT /api/v1/cases/01X/looks/marks')[1]?.body).toMatchObject({ state: 's12' }));
  });
  it('moves within the answers of a line by arrows, which choose nothing and turn no part', async () => {
    await open();
    state('flecks', 'yes').focus();
    await press('{ArrowRight}');
    expect(document.activeElement).toBe(state('flecks', 'no'));
    expect(document.querySelector('[data-sample]')?.getAttribute('data-sample')).toBe('leaf');
    expect(askedAt('PUT /api/v1/cases/01X/looks/flecks')).toHaveLength(0);
  });
  it('has in short what it points to, the next look with its answers, and the way on', async () => {
    desk('PUT /api/v1/cases/01X/looks/walkers', look);
    const v = view({
      reading: {
        ...reading,
        looked: 2,
        verdict: 'working',
        candidates: [{ cause: 'two-spotted-mite', name: 'Two-spotted spider mite', p: 0.82, reason: '' }],
        tiltTotal: 9,
        tiltPrior: 3,
        leader: 'two-spotted-mite',
        next: [
          {
            ...reading.next[0],
            outcomes: [
              { state: 'yes', name: 'yes', p: 0.7, text: 'mite 95' },
              { state: 'no', name: 'none', p: 0.3, text: 'thrips 60' },
            ],
          },
        ],
      } as unknown as View['reading'],
    });
    desk('GET /api/v1/cases/01X', v);
    shown(<Live id="01X" />, v);
    const strip = await waitFor(() => document.querySelector('.lookstrip') as HTMLElement);
    expect(strip.textContent).toContain('82 in 100');
    expect(strip.querySelector('a')?.getAttribute('href')).toBe('/bench/01X/verdict');
    expect(screen.getByRole('img', { name: /The tilt/ }).textContent).toContain('known before');
    await userEvent.click(strip.querySelector('.fold') as HTMLElement);
    await userEvent.click(strip.querySelector('[data-answer-here=yes]') as HTMLElement);
    await waitFor(() =>
      expect(askedAt('PUT /api/v1/cases/01X/looks/walkers')[0]?.body).toMatchObject({ state: 'yes' }),
    );
  });
  it('speaks of the answer just given with t, g and y', async () => {
    await open();
    await press('f');
    await press('1');
    await press('t');
    await waitFor(() => expect(askedAt('PUT /api/v1/cases/01X/looks/walkers')).toHaveLength(2));
    expect(askedAt('PUT /api/v1/cases/01X/looks/walkers')[1]?.body).toMatchObject({ state: 'yes', certainty: 'think' });
    expect(askedAt('PUT /api/v1/cases/01X/looks/eggs')).toHaveLength(0);
  });
  it('takes an answer back when it is given once more', async () => {
    await open();
    await userEvent.click(state('flecks', 'yes'));
    await waitFor(() => expect(state('flecks', 'yes').getAttribute('aria-checked')).toBe('true'));
    await userEvent.click(state('flecks', 'yes'));
    await waitFor(() => expect(askedAt('PUT /api/v1/cases/01X/looks/flecks')).toHaveLength(2));
    expect(askedAt('PUT /api/v1/cases/01X/looks/flecks')[1]?.body).toMatchObject({ state: '' });
  });
  it('writes several states of one line beside each other, one as not there, and takes one back', async () => {
    const holes = find('holes', 'leaf', {
      name: 'Holes',
      many: true,
      states: [
        { id: 'ragged', name: 'ragged', background: 'rare' },
        { id: 'shot', name: 'like shot', background: 'never' },
        { id: 'none', name: 'none', background: 'usually', absent: true },
      ],
    });
    desk('GET /api/v1/vocabulary', { ...vocabulary, findings: [...findings, holes] });
    const kept: Record<string, unknown>[] = [];
    desk('PUT /api/v1/cases/01X/looks/holes', (a: Asked) => {
      const b = a.body as { state: string; off?: boolean };
      const i = kept.findIndex((l) => l.state === b.state);
      if (i >= 0) kept.splice(i, 1);
      if (!b.off) kept.push({ finding: 'holes', ...b });
      return { body: view({ version: Number(a.headers.get('If-Match')) + 1, looks: [...kept] as never }) };
    });
    desk('GET /api/v1/cases/01X', view());
    shown(<Live id="01X" />, view());
    await waitFor(() => expect(line('holes')).toBeTruthy());
    const checked = (st: string) => state('holes', st).getAttribute('aria-checked');
    await userEvent.click(state('holes', 'ragged'));
    await userEvent.click(state('holes', 'shot'));
    await waitFor(() => expect([checked('ragged'), checked('shot')]).toEqual(['true', 'true']));
    await userEvent.click(state('holes', 'shot'));
    await waitFor(() => expect(checked('shot')).toBe('mixed'));
    expect(state('holes', 'shot').textContent).toContain('not there');
    await userEvent.click(state('holes', 'shot'));
    await waitFor(() => expect([checked('ragged'), checked('shot')]).toEqual(['true', 'false']));
    expect(askedAt('PUT /api/v1/cases/01X/looks/holes').map((a) => a.body)).toEqual([
      { state: 'ragged', certainty: 'sure' },
      { state: 'shot', certainty: 'sure' },
      { state: 'shot', not: true, certainty: 'sure' },
      { state: 'shot', off: true, certainty: 'sure' },
    ]);
  });
  it('offers what the story speaks of, each taken by its key as told, and says that it is weak', async () => {
    for (const f of findings) desk(`PUT /api/v1/cases/01X/looks/${f.id}`, look);
    const spoken = [{ finding: 'flecks', state: 'yes', words: 'speckled' }];
    desk('GET /api/v1/cases/01X', view({ spoken }));
    shown(<Live id="01X" />, view({ spoken }));
    await screen.findByText(/flecks seen/);
    expect(askedAt('PUT /api/v1/cases/01X/looks/flecks')).toHaveLength(0);
    await press('o');
    await waitFor(() => expect(line('flecks').textContent).toContain('told, not seen'));
    expect(askedAt('PUT /api/v1/cases/01X/looks/flecks')[0]?.body).toEqual({
      state: 'yes',
      certainty: 'think',
      instrument: 'told',
    });
    await userEvent.click(state('flecks', 'yes'));
    await waitFor(() => expect(line('flecks').textContent).not.toContain('told'));
  });
  it('passes an offer of the story by, and takes the one after it', async () => {
    for (const f of findings) desk(`PUT /api/v1/cases/01X/looks/${f.id}`, look);
    const spoken = [
      { finding: 'flecks', state: 'yes', words: 'speckled' },
      { finding: 'bark', state: 'yes', words: 'bark' },
    ];
    desk('GET /api/v1/cases/01X', view({ spoken }));
    shown(<Live id="01X" />, view({ spoken }));
    await screen.findByText(/flecks seen/);
    await press('p');
    await waitFor(() => expect(document.querySelector('[data-told="flecks=yes"]')).toBeNull());
    await new Promise((r) => setTimeout(r, 300)); // two commands, not a word that is typed
    await press('o');
    await waitFor(() => expect(askedAt('PUT /api/v1/cases/01X/looks/bark')).toHaveLength(1));
    expect(askedAt('PUT /api/v1/cases/01X/looks/flecks')).toHaveLength(0);
  });
  it('takes a sentence typed with nothing in focus as what was seen, and not as commands', async () => {
    await open();
    await press('cotton wool');
    const say = screen.getByLabelText('Say what you see');
    await waitFor(() => expect(say).toHaveProperty('value', 'cotton wool'));
    expect(document.activeElement).toBe(say);
    for (const f of findings) expect(askedAt(`PUT /api/v1/cases/01X/looks/${f.id}`)).toHaveLength(0);
  });
  it('answers what is asked next where it stands', async () => {
    for (const f of findings) desk(`PUT /api/v1/cases/01X/looks/${f.id}`, look);
    const asked = {
      ...reading,
      next: [
        {
          ...reading.next[0],
          outcomes: [
            { state: 'no', name: 'none', p: 0.3, top: '', topP: 0.5, text: 'Rust 50' },
            { state: 'yes', name: 'yes', p: 0.7, top: '', topP: 0.9, text: 'Mite 90' },
          ],
        },
      ],
    } as unknown as View['reading'];
    desk('GET /api/v1/cases/01X', view({ reading: asked }));
    shown(<Live id="01X" />, view({ reading: asked }));
    const answers = await waitFor(() => {
      const all = [...document.querySelectorAll<HTMLElement>('[data-answer-here]')];
      expect(all.map((b) => b.textContent)).toEqual(['yes Mite 90', 'none Rust 50']);
      return all;
    });
    await userEvent.click(answers[0] as HTMLElement);
    await waitFor(() =>
      expect(askedAt('PUT /api/v1/cases/01X/looks/walkers')[0]?.body).toMatchObject({ state: 'yes' }),
    );
  });
  it('writes what was typed with Enter when one answer fits, and only then', async () => {
    desk('GET /api/v1/cases/01X/say', (a: { at: string }) => ({
      body: {
        lines: a.at.includes('bark')
          ? [{ finding: 'bark', state: 'yes', sure: true }]
          : [{ finding: 'bark' }, { finding: 'flecks' }],
      },
    }));
    await open();
    await press('s');
    await userEvent.keyboard('seen{Enter}');
    await waitFor(() => expect(document.querySelectorAll('[data-finding]').length).toBeGreaterThan(1));
    await waitFor(() => expect(document.activeElement).toBe(document.body));
    expect(askedAt('PUT /api/v1/cases/01X/looks/bark')).toHaveLength(0);
    await press('s');
    await userEvent.keyboard('bark seen{Enter}');
    await waitFor(() => expect(askedAt('PUT /api/v1/cases/01X/looks/bark')[0]?.body).toMatchObject({ state: 'yes' }));
    expect(screen.getByLabelText('Say what you see')).toHaveProperty('value', '');
  });
  it('stands the lines that tell most first and folds the rest by topic', async () => {
    const more = Array.from({ length: 14 }, (_, i) =>
      find(`f${i}`, 'leaf', { name: `Line ${i}`, topic: i % 2 ? 'odd' : 'even' }),
    );
    desk('GET /api/v1/vocabulary', { ...vocabulary, findings: more });
    const v = view({
      reading: { ...reading, next: [], tell: ['f9', 'f3', ...more.map((f) => f.id)] } as unknown as View['reading'],
    });
    desk('GET /api/v1/cases/01X', v);
    shown(<Live id="01X" />, v);
    await waitFor(() => expect(line('f9')).toBeTruthy());
    const lines = () => [...document.querySelectorAll('[data-finding]')].map((e) => e.getAttribute('data-finding'));
    expect(lines().slice(0, 3)).toEqual(['f9', 'f3', 'f0']);
    expect(lines()).toHaveLength(9);
    const before = lines();
    await userEvent.click(document.querySelector('[data-fold=odd]') as HTMLElement);
    expect(lines().slice(0, 9)).toEqual(before);
    expect(lines()).toContain('f13');
  });
  it('shows an answer at once, and puts the old one back when it is refused', async () => {
    await open();
    let refuse = () => {};
    const later = new Promise<void>((done) => {
      refuse = done;
    });
    desk('PUT /api/v1/cases/01X/looks/flecks', async () => {
      await later;
      return refusal(422, 'state', 'is not known', 'use one of its states');
    });
    await userEvent.click(state('flecks', 'yes'));
    await waitFor(() => expect(state('flecks', 'yes').getAttribute('aria-checked')).toBe('true'));
    refuse();
    await screen.findByRole('alert');
    expect(state('flecks', 'yes').getAttribute('aria-checked')).toBe('false');
  });
  describe('answered quicker than the desk takes them', () => {
    const held = new Map<string, string>();
    /** A desk that keeps looks by version, refuses a stale one, and what `say` refuses. */
    const keeping = (say: (finding: string, n: number) => ReturnType<typeof refusal> | 'lost' | 'kept' | undefined) => {
      let version = 3;
      let n = 0;
      held.clear();
      const now = () =>
        view({ version, looks: [...held].map(([finding, state]) => ({ finding, state })) as unknown as View['looks'] });
      desk('GET /api/v1/cases/01X', () => ({ body: now() }));
      desk('GET /api/v1/cases/01X/story', [
        { seq: 1, who: 'Brann', text: 'Eggs: yes', kind: 'look', at: '2026-07-11' },
      ]);
      for (const f of findings)
        desk(`PUT /api/v1/cases/01X/looks/${f.id}`, (a: Asked) => {
          n++;
          const word = say(f.id, n);
          if (word === 'lost') throw new Error('no wifi');
          if (typeof word === 'object') return word;
          if (Number(a.headers.get('If-Match')) !== version) return refusal(412, 'If-Match', 'is older', 'read again');
          held.set(f.id, (a.body as { state: string }).state);
          version++;
          if (word === 'kept') throw new Error('the answer was lost on the way back');
          return { body: now() };
        });
      shown(<Live id="01X" />, view());
    };
    const checked = (id: string, s: string) => state(id, s).getAttribute('aria-checked');
    const both = async () => {
      await waitFor(() => expect(line('flecks')).toBeTruthy());
      await press('f');
      await press('11');
    };
    it('tells of the first when that is refused, and keeps the second', async () => {
      keeping((f) => (f === 'walkers' ? refusal(422, 'state', 'is not known', 'use another') : undefined));
      await both();
      const alert = await screen.findByRole('alert');
      expect(alert.textContent).toContain('Not kept: Specks that walk, yes');
      expect(alert.textContent).toContain('is not known');
      await waitFor(() => expect(held.get('eggs')).toBe('yes'));
      expect(checked('walkers', 'yes')).toBe('false');
      expect(checked('eggs', 'yes')).toBe('true');
    });
    it('tells of the second when that is refused, and takes a third with the version that holds', async () => {
      keeping((f) => (f === 'eggs' ? refusal(422, 'state', 'is not known', 'use another') : undefined));
      await both();
      expect((await screen.findByRole('alert')).textContent).toContain('Not kept: Eggs, yes');
      expect(checked('walkers', 'yes')).toBe('true');
      await userEvent.click(state('walkers', 'no'));
      await waitFor(() => expect(held.get('walkers')).toBe('no'));
      expect(screen.getAllByRole('alert')).toHaveLength(1);
      expect(document.querySelector('[data-stale]')).toBeNull();
    });
    it('tries a lost one again, and says so only when it stays lost', async () => {
      keeping((_, n) => (n === 1 ? 'lost' : undefined));
      await both();
      await waitFor(() => expect(held.get('walkers')).toBe('yes'), { timeout: 5000 });
      await waitFor(() => expect(held.get('eggs')).toBe('yes'), { timeout: 5000 });
      expect(screen.queryByRole('alert')).toBeNull();
    });
    it('takes one whose answer was lost on the way back as kept', async () => {
      keeping((_, n) => (n === 1 ? 'kept' : undefined));
      await both();
      await waitFor(() => expect(held.get('eggs')).toBe('yes'), { timeout: 5000 });
      expect(screen.queryByRole('alert')).toBeNull();
      expect(checked('walkers', 'yes')).toBe('true');
    });
    it('says which were not kept when the desk stays out of reach, each to be sent again', async () => {
      let away = true;
      keeping(() => (away ? 'lost' : undefined));
      await both();
      await waitFor(() => expect(screen.getAllByRole('alert')).toHaveLength(2), { timeout: 12_000 });
      expect(document.querySelector('[data-refused=walkers]')?.textContent).toContain('cannot be reached');
      away = false;
      for (const b of screen.getAllByText('Send it again')) await userEvent.click(b);
      await waitFor(() => expect([...held.keys()].sort()).toEqual(['eggs', 'walkers']));
      await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    }, 20_000);
    it('shows both sides when somebody else was quicker, and puts ours on top', async () => {
      let first = true;
      keeping((f) => {
        if (f !== 'walkers' || !first) return undefined;
        first = false;
        return refusal(412, 'If-Match', 'is older', 'read again');
      });
      await both();
      const alert = await screen.findByRole('alert');
      await waitFor(() => expect(alert.textContent).toContain('Brann, Eggs: yes'));
      await waitFor(() => expect(held.get('eggs')).toBe('yes'));
      await userEvent.click(screen.getByText('Put mine on top'));
      await waitFor(() => expect(held.get('walkers')).toBe('yes'));
      await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    });
  });
  it('moves within the answers of a line by arrow keys, one stop for the tab key', async () => {
    await open();
    const stops = [...line('flecks').querySelectorAll('[role=radio]')].filter((b) => (b as HTMLElement).tabIndex === 0);
    expect(stops).toHaveLength(1);
    state('flecks', 'yes').focus();
    await press('{ArrowRight}');
    expect(document.activeElement).toBe(state('flecks', 'no'));
    await press('{ArrowRight}');
    expect(document.activeElement).toBe(state('flecks', 'yes'));
  });
  it('says which tool it was seen with, where a lens would tell more', async () => {
    await open();
    await press('f');
    await userEvent.click(screen.getByText('with the lens'));
    await userEvent.click(state('walkers', 'yes'));
    await waitFor(() => expect(askedAt('PUT /api/v1/cases/01X/looks/walkers')).toHaveLength(1));
    expect(askedAt('PUT /api/v1/cases/01X/looks/walkers')[0]?.body).toMatchObject({ instrument: 'eye' });
  });
  it('finds a line by what is said, on any part and side', async () => {
    await open();
    await press('s');
    await userEvent.type(screen.getByLabelText('Say what you see'), 'eggs seen');
    expect(line('eggs')).toBeTruthy();
    expect(line('flecks')).toBeNull();
    await userEvent.clear(screen.getByLabelText('Say what you see'));
    await userEvent.type(screen.getByLabelText('Say what you see'), 'unicorn');
    expect(screen.getByText(/No line says that/)).toBeTruthy();
    await press('{Escape}');
    expect(line('flecks')).toBeTruthy();
  });
  it('goes where it is asked to look next, turning the leaf', async () => {
    await open();
    expect(line('walkers')).toBeNull();
    await press('{Enter}');
    expect(line('walkers').classList.contains('at')).toBe(true);
    expect(line('walkers').textContent).toContain('look here next');
  });
  it('walks part by part, the leaf in two stops', async () => {
    await open();
    const title = () => document.querySelector('section[aria-label=Findings] h2')?.textContent;
    expect(title()).toBe('Leaf, upper side');
    await press('{ArrowRight}');
    expect(title()).toBe('Leaf, underside');
    await press('{ArrowRight}');
    expect(title()).toBe('Flower');
    await press('{ArrowLeft}{ArrowLeft}{ArrowLeft}');
    expect(title()).toBe('Shoot');
  });
});

const ranked = {
  ...reading,
  looked: 3,
  leader: 'two-spotted-mite',
  verdict: 'working',
  candidates: [
    { cause: 'two-spotted-mite', name: 'Two-spotted spider mite', p: 0.9, for: [], against: [] },
    { cause: 'aphid', name: 'Aphid', p: 0.05, for: [], against: [] },
  ],
  why: ['Against aphid: nothing was sticky, and you looked.'],
} as unknown as View['reading'];

describe('the verdict', () => {
  const kb = {
    ...vocabulary,
    findings,
    causes: [
      ...vocabulary.causes,
      { ...vocabulary.causes[0], id: 'aphid', name: 'Aphid' },
      { ...vocabulary.causes[0], id: 'virus', name: 'Mosaic virus', labOnly: true },
    ],
  };
  const open = (over: Partial<View> = {}, role = 'advisor') => {
    desk('GET /api/v1/vocabulary', kb);
    desk('GET /api/v1/session', { person: { name: 'Wren', role }, desk: { lab: 'the laboratory' }, now: '2026-07-11' });
    desk('GET /api/v1/split', []);
    const v = view({ reading: ranked, verdict: undefined, ...over });
    return shown(<VerdictStep view={v} />, v);
  };
  const keep = () => screen.getByText(/Keep this verdict|Put it to an advisor/i, { selector: 'button' });
  const pressed = (id: string) => document.querySelector(`[data-cause=${id}]`)?.getAttribute('aria-pressed');
  it('says before it is kept what another cause takes back', async () => {
    open({
      verdict: { cause: 'two-spotted-mite', degree: 'settled', by: 'Ansel' } as View['verdict'],
      treatment: { remedies: ['soap'] } as View['treatment'],
      act: { choice: 'act' } as View['act'],
    });
    await waitFor(() => expect(pressed('two-spotted-mite')).toBe('true'));
    expect(document.querySelector('[data-clears]')).toBeNull();
    await userEvent.click(document.querySelector('[data-cause=aphid]') as HTMLElement);
    expect(document.querySelector('[data-clears]')?.textContent).toContain('takes back act or wait, the remedy');
  });
  it('starts from the leader, with its reasons, and is kept with one key', async () => {
    desk('PUT /api/v1/cases/01X/verdict', view({ version: 4 }));
    open();
    await waitFor(() => expect(pressed('two-spotted-mite')).toBe('true'));
    expect(screen.getByText(/nothing was sticky, and you looked/)).toBeTruthy();
    await press('{Enter}');
    await waitFor(() => expect(screen.getByTestId('at').textContent).toBe('/bench/01X/act'));
    expect(askedAt('PUT /api/v1/cases/01X/verdict')[0]?.body).toMatchObject({
      cause: 'two-spotted-mite',
      degree: 'working',
    });
  });
  it('takes a candidate by its digit, and is then no more than a best guess', async () => {
    desk('PUT /api/v1/cases/01X/verdict', view({ version: 4 }));
    open();
    await waitFor(() => expect(pressed('two-spotted-mite')).toBe('true'));
    await press('2');
    expect(pressed('aphid')).toBe('true');
    await press('{Enter}');
    await waitFor(() => expect(askedAt('PUT /api/v1/cases/01X/verdict')).toHaveLength(1));
    expect(askedAt('PUT /api/v1/cases/01X/verdict')[0]?.body).toMatchObject({ cause: 'aphid', degree: 'open' });
  });
  it('sends an undetermined one on without a cause', async () => {
    desk('PUT /api/v1/cases/01X/verdict', view({ version: 4 }));
    open();
    await userEvent.click(await screen.findByText('undetermined, send it on'));
    expect(screen.getByText(/Send it to the laboratory/)).toBeTruthy();
    await press('{Enter}');
    await waitFor(() => expect(screen.getByTestId('at').textContent).toBe('/bench/01X/handover'));
    expect(askedAt('PUT /api/v1/cases/01X/verdict')[0]?.body).toEqual({ degree: 'undetermined', note: '' });
  });
  it('asks for the reason of a change of mind, and keeps it through a reload', async () => {
    desk('PUT /api/v1/cases/01X/verdict', () =>
      refusal(422, 'note', 'no reason is given', 'write what changed your mind'),
    );
    const was = { verdict: { cause: 'aphid', degree: 'working', by: 'Ansel' } as unknown as View['verdict'] };
    const first = open(was);
    await userEvent.click(await screen.findByText(/Two-spotted spider mite/, { selector: '.chip' }));
    const note = screen.getByLabelText(/What changed your mind/);
    await userEvent.click(keep());
    await waitFor(() => expect(note.getAttribute('aria-invalid')).toBe('true'));
    await userEvent.type(note, 'they walk');
    first.unmount();
    open(was);
    await userEvent.click(await screen.findByText(/Two-spotted spider mite/, { selector: '.chip' }));
    expect(screen.getByLabelText(/What changed your mind/)).toHaveProperty('value', 'they walk');
  });
  it('puts a trainee’s to an advisor, who may send it back with a word', async () => {
    desk('POST /api/v1/cases/01X/review', view({ version: 4 }));
    const waits = {
      verdict: { cause: 'aphid', degree: 'working', by: 'Wren', needsReview: true } as unknown as View['verdict'],
    };
    const first = open(waits, 'trainee');
    expect(await screen.findByText(/An advisor looks at it before anything goes to the grower/)).toBeTruthy();
    expect(screen.queryByText('Agree')).toBeNull();
    expect(screen.getByText(/^Wren says: likely, /)).toBeTruthy();
    first.unmount();
    open(waits);
    const back = await screen.findByText('Send it back', { selector: 'button' });
    expect(back).toHaveProperty('disabled', true);
    await userEvent.type(screen.getByLabelText('A word to the trainee'), 'look below');
    await userEvent.click(back);
    await waitFor(() =>
      expect(askedAt('POST /api/v1/cases/01X/review')[0]?.body).toEqual({ agree: false, note: 'look below' }),
    );
  });
});
