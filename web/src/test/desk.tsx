import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { MemoryRouter, useLocation } from 'react-router';
import type { View } from '../api/client';
import { KeyHost } from '../ui/keys';

/** What a test's desk was asked, in order. */
export type Asked = { at: string; body: unknown; headers: Headers };
type Answer = { status?: number; body: unknown; headers?: Record<string, string> };
type Reply = (a: Asked) => Answer | Promise<Answer>;

let replies: Record<string, Reply> = {};
export let asked: Asked[] = [];
export const forget = () => {
  replies = {};
  asked = [];
};

/** Teaches the desk an answer: desk('POST /api/v1/convert', () => ({ body })). */
export const desk = (at: string, reply: Reply | unknown) => {
  replies[at] = typeof reply === 'function' ? (reply as Reply) : () => ({ body: reply });
};

/** A refusal as the desk words it. */
export const refusal = (status: number, field: string, problem: string, mend: string): Answer => ({
  status,
  body: { title: 'Refused', detail: `${field}: ${problem}; ${mend}`, status, errors: [{ field, problem, mend }] },
});

export async function answer(r: Request): Promise<Response> {
  const url = new URL(r.url);
  const at = `${r.method} ${url.pathname}`;
  const text = r.method === 'GET' ? '' : await r.clone().text();
  const a: Asked = { at: at + url.search, body: text ? JSON.parse(text) : undefined, headers: r.headers };
  asked.push(a);
  const reply = replies[at];
  if (!reply) throw new Error(`the test's desk knows no answer to ${at}`);
  const { status = 200, body, headers } = await reply(a);
  return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json', ...headers } });
}

export const askedAt = (at: string) => asked.filter((a) => a.at === at || a.at.startsWith(`${at}?`));

/** Where the page has gone, for a test to read. */
function Whereabouts() {
  return <output data-testid="at">{useLocation().pathname}</output>;
}

/** Renders as the page does: data, addresses and keys around it. */
/** Puts words into a field at once: key by key is for a test of the keys. */
export async function write(field: Element, words: string) {
  await userEvent.click(field);
  await userEvent.paste(words);
}

export function show(ui: ReactNode, client = new QueryClient({ defaultOptions: { queries: { retry: false } } })) {
  return {
    client,
    ...render(
      <QueryClientProvider client={client}>
        <MemoryRouter>
          <KeyHost>{ui}</KeyHost>
          <Whereabouts />
        </MemoryRouter>
      </QueryClientProvider>,
    ),
  };
}

/** A small vocabulary: enough of the herbarium for one mite on one plant. */
export const vocabulary = {
  findings: [],
  hosts: [],
  places: ['indoors', 'greenhouse', 'balcony', 'garden', 'orchard'],
  forms: ['annual', 'perennial', 'woody', 'fern'],
  rungs: [
    'Leave it',
    'By hand',
    'What feeds it',
    'Living helpers',
    'Smother and dry',
    'From plants',
    'Minerals',
    'Referred',
  ],
  stages: ['waiting', 'bench', 'review', 'ready', 'handed', 'referred', 'closed'],
  outcomes: ['better', 'cleared', 'no change', 'lost', 'referred', 'unknown'],
  sure: ['settled', 'group'],
  sheltered: ['indoors', 'greenhouse'],
  roomC: 20,
  glassOverC: 6,
  roomForms: ['houseplant', 'orchid', 'fern', 'succulent'],
  regions: ['Europe', 'Africa'],
  policed: ['soap', 'alcohol', 'iron-bait'],
  causes: [
    {
      id: 'two-spotted-mite',
      name: 'Two-spotted spider mite',
      kind: 'pest',
      class: 'mite',
      group: 'mites',
      stages: ['egg', 'young', 'adult'],
      regulated: false,
      labOnly: false,
      drawing: {},
      tolerable: 'fewer than five a leaf',
      unit: 'leaf',
    },
  ],
  remedies: [
    {
      id: 'soap',
      name: 'Insecticidal soap',
      kind: 'product',
      rung: 4,
      repeatMinDays: 7,
      mostPerSeason: 6,
      rates: [
        { id: 'spray', name: 'spray', low: '10 mL per L', high: '20 mL per L', form: 'soap' },
        { id: 'wipe', name: 'wiped leaf by leaf', low: '10 mL per L', high: '20 mL per L', form: 'soap' },
      ],
    },
    {
      id: 'alcohol',
      name: 'Alcohol, cut and dabbed',
      kind: 'product',
      rung: 4,
      rates: [
        { id: 'dab', name: 'dab', low: '40 % from 70 %', high: '45 % from 70 %', form: 'alcohol', stock: '70 %' },
      ],
    },
    {
      id: 'spinosad',
      name: 'Spinosad',
      kind: 'product',
      rung: 5,
      bottle: true,
      active: { of: 'spinosad', lowGramsPerL: 0.06, highGramsPerL: 0.1 },
      rates: [{ id: 'spray', name: 'spray', low: '1 mL per L', high: '2 mL per L', form: 'liquid' }],
    },
    {
      id: 'iron-bait',
      name: 'Iron phosphate bait, thinly strewn',
      kind: 'product',
      rung: 5,
      rates: [],
      doses: [{ id: 'soil', name: 'on the soil', per: 'm2', low: 2, high: 5, unit: 'g' }],
    },
    { id: 'hose-off', name: 'Hose it off', kind: 'action', rung: 1 },
  ],
  schools: [
    {
      id: 'soap',
      question: 'Which soap?',
      options: [
        { id: 'insecticidal', name: 'insecticidal soap', does: 'insecticidal soap first' },
        { id: 'castile', name: 'castile', does: 'castile as good' },
      ],
      default: 'insecticidal',
      why: 'its strength is known',
      source: 'judgement',
    },
    {
      id: 'aim',
      question: 'What is beating a pest?',
      options: [
        { id: 'below-harm', name: 'keep it below harm', does: 'some are borne' },
        { id: 'eradicate', name: 'be rid of it', does: 'none are borne' },
      ],
      default: 'below-harm',
      why: 'helpers need prey',
      source: 'judgement',
    },
  ],
};

/** A case with a verdict, as the desk answers it. */
export const aCase = (over: Partial<View> = {}): View =>
  ({
    id: '01X',
    number: '26-0001',
    version: 3,
    stage: 'bench',
    intake: { grower: 'Ilse', plant: 'Bean', story: 'pale' },
    looks: [],
    verdict: { cause: 'two-spotted-mite', degree: 'working', by: 'Ansel' },
    doses: [],
    followUps: [],
    given: [],
    photos: [],
    leftOver: [],
    steps: [
      { id: 'remedy', state: 'done' },
      { id: 'mix', state: 'open' },
    ],
    ...over,
  }) as unknown as View;
