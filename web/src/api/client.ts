import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

export type S = components['schemas'];
export type View = S['View'];
export type Tag = S['Tag'];
export type Finding = S['Finding'];
export type Vocabulary = S['Vocabulary'];
export type Fault = S['Fault'];

/** A refusal of the desk, with each field and its mend. status 0: the desk was not reached. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly errors: Fault[] = [],
  ) {
    super(detail);
  }
  field(name: string): string | undefined {
    const f = this.errors.find(
      (e) => e.field === name || e.field.startsWith(`${name}.`) || e.field.startsWith(`${name}[`),
    );
    return f ? `${f.problem}; ${f.mend}` : undefined;
  }
}

let token = '';
export const setToken = (t: string) => {
  token = t;
};

let signedOut: () => void = () => {};
export const onSignedOut = (f: () => void) => {
  signedOut = f;
};

export const api = createClient<paths>({ baseUrl: '' });
api.use({
  onRequest({ request }) {
    if (request.method !== 'GET' && token) request.headers.set('X-Botanik-Token', token);
    return request;
  },
});

/** Unwraps an answer, or throws its problem. */
export async function unwrap<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let got: { data?: T; error?: unknown; response: Response };
  try {
    got = await call;
  } catch {
    throw new Problem(0, 'Not reached', 'The desk cannot be reached just now. What you typed is kept here; try again.');
  }
  if (got.error !== undefined || !got.response.ok) {
    const p = (got.error ?? {}) as { title?: string; detail?: string; errors?: Fault[] };
    if (got.response.status === 401 && !got.response.url.endsWith('/session')) signedOut();
    throw new Problem(
      got.response.status,
      p.title ?? 'Trouble',
      p.detail ?? 'The desk gave no reason.',
      p.errors ?? [],
    );
  }
  return got.data as T;
}

/** How long a hand that types rests before the desk is asked, ms. */
const rest = 120;
let typed = Number.NEGATIVE_INFINITY;
globalThis.document?.addEventListener('input', () => (typed = performance.now()), { capture: true, passive: true });

/**
 * Waits until typing rests; where nobody types, not at all. A question that another has taken the place of is given up
 * before it was asked; it counts as on its way all the while, so that nothing is pressed on an old answer.
 */
export const settled = async (signal: AbortSignal) => {
  const left = typed + rest - performance.now();
  if (left <= 0) return;
  await new Promise<void>((go, no) => {
    const give = () => {
      clearTimeout(timer);
      no(signal.reason);
    };
    const timer = setTimeout(() => {
      signal.removeEventListener('abort', give);
      go();
    }, left);
    signal.addEventListener('abort', give, { once: true });
  });
};
