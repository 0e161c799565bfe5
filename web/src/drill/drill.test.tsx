import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import type { S } from '../api/client';
import { OfferPractice } from '../parts/OfferPractice';
import { askedAt, desk, refusal, show, vocabulary } from '../test/desk';
import { HowYouDo } from './HowYouDo';
import { OneCase } from './OneCase';
import { Replay } from './Replay';
import { Short } from './Short';

const practice = {
  course: { name: 'scales before spring', classes: [], kinds: [] },
  version: 3,
  today: 2,
  days: 1,
  due: 4,
  calibration: {
    n: 12,
    levels: [{ sure: 0.7, n: 12, right: 6 }],
    brier: 0.29,
    reliability: 0.04,
    resolution: 0,
    uncertainty: 0.25,
    says: ['You are surer than you are right.'],
  },
  kinds: [{ kind: 'plate', name: 'Name the plate', n: 4, right: 3 }],
  cases: [40, 72],
  sureties: [
    { sure: 0.3, name: 'a guess' },
    { sure: 0.97, name: 'sure' },
  ],
};
const question = {
  id: 'q1',
  kind: 'plate',
  name: 'Name the plate',
  ask: 'What is drawn here?',
  plate: 'rust',
  facts: [],
  options: [
    { id: 'rust', text: 'Rust' },
    { id: 'gall', text: 'Gall' },
  ],
};
const sample = {
  id: 'c1',
  host: '',
  plant: 'Rose',
  place: 'garden',
  month: 6,
  story: 'I think it is rust.',
  looks: [],
  minutes: 0,
};

beforeEach(() => {
  localStorage.clear();
  desk('GET /api/v1/vocabulary', {
    ...vocabulary,
    findings: [
      {
        id: 'spots',
        name: 'Spots',
        short: 'spots',
        part: 'leaf',
        how: 'eye',
        minutes: 0.5,
        states: [{ id: 'brown', name: 'brown' }],
      },
    ],
  });
  desk('GET /api/v1/drill', practice);
  desk('POST /api/v1/drill/questions', question);
  desk('GET /api/v1/drill/old', []);
});

describe('a short question', () => {
  it('is answered by digits, then how sure, and goes on with Enter', async () => {
    desk('POST /api/v1/drill/questions/q1', { right: false, option: 'rust', why: 'Its pustules.', againDays: 0.5 });
    show(<Short />);
    await screen.findByText('What is drawn here?');
    await screen.findByText(/4 fading/);
    await userEvent.keyboard('2');
    await screen.findByText('How sure are you?');
    await userEvent.keyboard('1');
    await waitFor(() =>
      expect(document.querySelector('[data-marked]')?.textContent).toContain(
        'Not this time. Its pustules. It comes back in about some hours.',
      ),
    );
    expect(askedAt('POST /api/v1/drill/questions/q1')[0]?.body).toEqual({ choice: 'gall', sure: 0.3 });
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(askedAt('POST /api/v1/drill/questions')).toHaveLength(2));
  });
});

describe('a whole case', () => {
  it('is looked at, judged and shown once more', async () => {
    desk('POST /api/v1/drill/cases', sample);
    desk('POST /api/v1/drill/cases/c1/look', {
      ...sample,
      minutes: 0.5,
      looks: [{ finding: 'spots', state: 'brown' }],
    });
    desk('POST /api/v1/drill/cases/c1/verdict', {
      points: 61,
      faults: ['It would have been treated, and it is a friend.'],
      right: 'no',
      truth: 'Ladybird',
      truthId: 'ladybird',
      parts: [{ name: 'How sure', points: 8, most: 15, why: '97 in 100 sure, and not right' }],
      steps: [],
      expert: [],
      minutes: 0.5,
      expertMinutes: 2,
      firstUseful: 0,
      brier: 0.9,
      tilt: 'Legs split it: six.',
    } as unknown as S['Score']);
    show(<OneCase />);
    await userEvent.click(screen.getByText('Bring one'));
    await userEvent.click(await screen.findByText('Spots'));
    expect((await screen.findAllByText('brown')).length).toBeGreaterThan(0);
    expect(screen.getByText('What was it?')).toHaveProperty('disabled', true);
    await userEvent.click(screen.getByText('undetermined: it is sent on'));
    await userEvent.click(await screen.findByText('sure'));
    await userEvent.click(screen.getByText('send it on'));
    await userEvent.click(screen.getByText('What was it?'));
    expect((await screen.findByRole('alert')).textContent).toContain('it is a friend');
    expect(askedAt('POST /api/v1/drill/cases/c1/verdict')[0]?.body).toEqual({ sure: 0.97, act: 'refer' });
  });
  it('asks how much of what is mixed, into the grower’s own sprayer, and when again', async () => {
    desk('GET /api/v1/vocabulary', {
      ...vocabulary,
      remedies: [
        { id: 'soap', name: 'Soap', rates: [{ id: 's' }], repeatMinDays: 4 },
        { id: 'hand', name: 'By hand' },
      ],
    } as unknown as typeof vocabulary);
    desk('POST /api/v1/drill/cases', { ...sample, sprayer: '2 L' });
    desk('POST /api/v1/drill/cases/c1/verdict', () => refusal(422, 'amount', 'is unreadable', 'write 20 mL'));
    show(<OneCase />);
    await userEvent.click(screen.getByText('Bring one'));
    await userEvent.click(await screen.findByText('undetermined: it is sent on'));
    await userEvent.click(await screen.findByText('sure'));
    await userEvent.click(screen.getByText('something now'));
    await userEvent.type(screen.getByLabelText('First of all'), 'By hand{Enter}');
    expect(screen.queryByLabelText(/How much of it/)).toBeNull();
    await userEvent.clear(screen.getByLabelText('First of all'));
    await userEvent.type(screen.getByLabelText('First of all'), 'Soap{Enter}');
    await userEvent.type(screen.getByLabelText(/sprayer of 2 L/), 'a glug');
    await userEvent.type(screen.getByLabelText('Again after how many days'), '7');
    await userEvent.click(screen.getByText('What was it?'));
    expect(await screen.findByText(/is unreadable/)).toBeTruthy();
    expect(askedAt('POST /api/v1/drill/cases/c1/verdict')[0]?.body).toMatchObject({ amount: 'a glug', every: 7 });
  });
  it('may be one this desk had: what nobody looked at then cannot be looked at', async () => {
    desk('GET /api/v1/drill/old', [{ id: 'x1', plant: 'Bean', place: 'garden', looks: 4 }]);
    desk('POST /api/v1/drill/old/x1', { ...sample, only: ['silk'] });
    show(<OneCase />);
    await userEvent.click(await screen.findByText('Bean, garden'));
    expect(await screen.findByText('nobody looked then')).toBeTruthy();
    expect((document.querySelector('[data-look=spots]') as HTMLButtonElement).disabled).toBe(true);
  });
  it('is offered by the coordinator, once it is closed', async () => {
    desk('GET /api/v1/session', {
      person: { id: 'o', name: 'Odile', role: 'coordinator' },
      may: ["change the house's rules, words and course", 'see how others practise'],
      desk: {},
    });
    desk('PUT /api/v1/drill/old/x1', [{ id: 'x1', plant: 'Bean', place: 'garden', looks: 4 }]);
    show(<OfferPractice id="x1" />);
    await userEvent.click(await screen.findByText('Offer it as practice'));
    expect(askedAt('PUT /api/v1/drill/old/x1')[0]?.body).toEqual({ offer: true });
    expect(await screen.findByText('No longer offer it as practice')).toBeTruthy();
  });
  it('says what told nothing, and what would have told', () => {
    const step = {
      finding: 'a',
      name: 'Legs',
      saw: ['six'],
      looks: [],
      minutes: 1,
      bits: 0,
      p: 0.2,
      leads: 'Mite',
      needless: true,
      better: 'Silk',
      betterBits: 2,
    };
    const score = {
      points: 5,
      faults: [],
      right: 'no',
      truth: 'Mite',
      parts: [],
      steps: [step],
      expert: [{ ...step, needless: false, p: 0.9 }],
      minutes: 1,
      expertMinutes: 1,
      firstUseful: 0,
      brier: 0,
      tilt: '',
    };
    show(
      <Replay
        of={score as unknown as S['Score']}
        sample={sample as unknown as S['PracticeCase']}
        onNext={() => {}}
        trouble={null}
      />,
    );
    expect(screen.getByText(/told nothing/)).toBeTruthy();
    expect(screen.getByText(/silk \(2.0 bits, yours 0.0\)/)).toBeTruthy();
  });
});

describe('how one does', () => {
  it('says how far certainty can be trusted, and lets the coordinator set a course', async () => {
    desk('GET /api/v1/session', {
      person: { id: 'o', name: 'Odile', role: 'coordinator' },
      may: ["change the house's rules, words and course", 'see how others practise'],
      desk: {},
    });
    desk('GET /api/v1/drill/learners', [
      { id: 'w', name: 'Wren', role: 'trainee', n: 0, right: 0, days: 0, due: 0, says: [], course: 0 },
    ]);
    desk('PUT /api/v1/drill/course', () => refusal(422, 'kinds[0]', 'is no short form', 'use another'));
    show(<HowYouDo />);
    expect(await screen.findByText('You are surer than you are right.')).toBeTruthy();
    expect(await screen.findByText('has not begun')).toBeTruthy();
    await userEvent.click(await screen.findByText('mite'));
    await userEvent.click(screen.getByText('Keep it'));
    expect((await screen.findByRole('alert')).textContent).toContain('is no short form');
    const sent = askedAt('PUT /api/v1/drill/course')[0];
    expect(sent?.body).toEqual({ name: 'scales before spring', classes: ['mite'], kinds: [] });
    expect(sent?.headers.get('If-Match')).toBe('3');
  });
});
