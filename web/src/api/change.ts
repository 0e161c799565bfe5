import { type QueryClient, useMutation, useMutationState, useQueryClient } from '@tanstack/react-query';
import type { PathsWithMethod } from 'openapi-typescript-helpers';
import { useMemo } from 'react';
import { api, Problem, type S, unwrap, type View } from './client';
import type { paths } from './schema';

/** A change of a case, made with the version that holds when its turn has come. */
export type Call = (version: string) => Promise<{ data?: View; error?: unknown; response: Response }>;

/** The case operations of a method that need no more than its id and a body. */
type CasePath<M extends 'put' | 'post'> = Exclude<
  Extract<PathsWithMethod<paths, M>, `/api/v1/cases/{id}/${string}`>,
  | `${string}{finding}`
  | `${string}{photo}`
  | `${string}/marks`
  | `${string}/photos`
  | `${string}/weigh`
  | `${string}/plan-days`
>;
type BodyOf<M extends 'put' | 'post', P extends CasePath<M>> = paths[P][M] extends {
  requestBody: { content: { 'application/json': infer B } };
}
  ? B
  : never;

/** Fills in path, version and body of the case operations. */
export function caseCalls(id: string) {
  const init = (body: unknown, v: string) =>
    ({ params: { path: { id }, header: { 'If-Match': v } }, body }) as unknown as never;
  return {
    put:
      <P extends CasePath<'put'>>(path: P, body: BodyOf<'put', P>): Call =>
      (v) =>
        api.PUT(path, init(body, v)) as ReturnType<Call>,
    post:
      <P extends CasePath<'post'>>(path: P, body: BodyOf<'post', P>): Call =>
      (v) =>
        api.POST(path, init(body, v)) as ReturnType<Call>,
    look:
      (finding: string, body: S['LookBody']): Call =>
      (v) =>
        api.PUT('/api/v1/cases/{id}/looks/{finding}', {
          params: { path: { id, finding }, header: { 'If-Match': v } },
          body,
        }),
    aside:
      (finding: string, state: string, why: string): Call =>
      (v) =>
        api.PUT('/api/v1/cases/{id}/looks/{finding}/aside', {
          params: { path: { id, finding }, header: { 'If-Match': v } },
          body: { state, why },
        }),
    photo:
      (file: File): Call =>
      (v) =>
        api.POST('/api/v1/cases/{id}/photos', {
          params: { path: { id }, query: { name: file.name }, header: { 'If-Match': v } },
          body: file as unknown as string,
          bodySerializer: (b) => b as unknown as Blob,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
    marks:
      (photo: string, body: S['MarksInput']): Call =>
      (v) =>
        api.PUT('/api/v1/cases/{id}/photos/{photo}/marks', {
          params: { path: { id, photo }, header: { 'If-Match': v } },
          body,
        }),
    dropPhoto:
      (photo: string): Call =>
      (v) =>
        api.DELETE('/api/v1/cases/{id}/photos/{photo}', { params: { path: { id, photo }, header: { 'If-Match': v } } }),
  };
}

export const useCaseCalls = (id: string) => useMemo(() => caseCalls(id), [id]);

/**
 * Sends a change with the version of the case at hand. When somebody else was quicker, what they made of it is read
 * before the next change of ours has its turn, so that one refusal does not bring a row of them.
 */
async function send(client: QueryClient, id: string, call: Call): Promise<View> {
  const now = client.getQueryData<View>(['case', id]);
  try {
    const view = await unwrap<View>(call(String(now?.version ?? 0)));
    client.setQueryData(['case', id], view);
    invalidateCase(client, view, now);
    return view;
  } catch (e) {
    if (e instanceof Problem && e.status === 412) await client.refetchQueries({ queryKey: ['case', id] });
    throw e;
  }
}

/** What is asked about one case, by the first word of its key; its id is the second. */
const ofCase = ['story', 'advice', 'sheet', 'together'];
/** What lists, rounds and figures say of a case among others. */
const lists = ['today', 'list', 'rounds', 'spray-days', 'workload', 'day'];
/** What a list shows of a case: while none of it changes, a list in sight stays as it is. */
const listed = (v: View) =>
  JSON.stringify([
    v.stage,
    v.intake,
    v.verdict?.cause,
    v.verdict?.degree,
    v.verdict?.needsReview,
    v.keeper,
    v.askOn,
    v.days?.on,
    v.round,
    v.given.length,
    v.treatment?.remedies,
    v.followUps.length,
    v.handover?.at,
    v.closing?.at,
    v.photos.length > 0,
  ]);

const invalidateCase = (client: QueryClient, now: View, was?: View) => {
  for (const key of ofCase) void client.invalidateQueries({ queryKey: [key, now.id] });
  // A list that is on the screen is read again only where the case would stand otherwise in it; the others when they are.
  const refetchType = was && listed(was) === listed(now) ? 'none' : 'active';
  for (const key of lists) void client.invalidateQueries({ queryKey: [key], refetchType });
};

/** A change of a case; the answer replaces what the bench shows. Changes of one case wait for each other. */
export function useChange(id: string) {
  const client = useQueryClient();
  return useMutation<View, Problem, Call>({
    scope: { id: `case-${id}` },
    mutationFn: (call) => send(client, id, call),
  });
}

/** A look as it was answered; an empty state takes it back. */
export type Answer = {
  finding: string;
  name: string;
  state: string;
  said: string;
  /** Of a finding whose states can stand together: which of them mean that none does. */
  none?: string[];
  body: S['LookBody'];
};

/** An answer the desk did not keep, with its reason. */
export type Refusal = { key: number; answer: Answer; problem: Problem };

type Looks = {
  /** What was seen, with the answers still on their way. */
  looks: View['looks'];
  refused: Refusal[];
  answer: (a: Answer) => void;
  /** Sends a refused answer once more. */
  again: (r: Refusal) => void;
  drop: (r: Refusal) => void;
};

/**
 * Looks are answered one after the other, quicker than a bad network carries them. Those on their way lie over what the
 * desk has; each that is refused is told by itself, and takes no other with it.
 */
export function useLooks(view: Pick<View, 'id' | 'looks'>): Looks {
  const client = useQueryClient();
  const { id } = view;
  const key = ['look', id];
  const mutation = useMutation<View, Problem, Answer>({
    mutationKey: key,
    scope: { id: `case-${id}` },
    gcTime: Number.POSITIVE_INFINITY,
    mutationFn: (a) => send(client, id, caseCalls(id).look(a.finding, a.body)),
    // A lost answer may have been kept all the same: asking again with the same version tells.
    retry: (n, e) => e.status === 0 && n < 2,
    retryDelay: (n) => 400 * 3 ** n,
    onSuccess: (_, a) => {
      for (const m of client.getMutationCache().findAll({ mutationKey: key, status: 'error' }))
        if ((m.state.variables as Answer | undefined)?.finding === a.finding) client.getMutationCache().remove(m);
    },
  });
  const pending = useMutationState({
    filters: { mutationKey: key, status: 'pending' },
    select: (m) => m.state.variables as Answer,
  });
  const failed = useMutationState<Refusal>({
    filters: { mutationKey: key, status: 'error' },
    select: (m) => ({ key: m.mutationId, answer: m.state.variables as Answer, problem: m.state.error as Problem }),
  });
  const drop = (r: Refusal) => {
    for (const m of client.getMutationCache().findAll({ mutationKey: key, status: 'error' }))
      if (m.mutationId === r.key) client.getMutationCache().remove(m);
  };
  const looks = overlay(view.looks, pending);
  return {
    looks,
    // What the desk has by now, by us in a try that seemed lost or by somebody else, is kept.
    refused: failed.filter((r) => !isSo(view.looks, r.answer)),
    answer: mutation.mutate,
    drop,
    again: (r) => {
      drop(r);
      mutation.mutate(r.answer);
    },
  };
}

const isSo = (looks: View['looks'], a: Answer) =>
  a.none && a.state
    ? looks.some((l) => l.finding === a.finding && l.state === a.state && !!l.not === !!a.body.not) !== !!a.body.off
    : (looks.find((l) => l.finding === a.finding)?.state ?? '') === a.state;

/** Whether an answer takes the place of what was written: of the same finding, or only of the same state of it. */
function replaced(l: View['looks'][number], a: Answer) {
  if (l.finding !== a.finding) return false;
  if (!a.state || !a.none || (a.none.includes(a.state) && !a.body.off)) return true;
  return l.state === a.state || (a.none.includes(l.state) && !a.body.off);
}

export function overlay(looks: View['looks'], pending: Answer[]): View['looks'] {
  let out = looks;
  for (const a of pending) {
    const was = out.find((l) => replaced(l, a) && l.spot);
    out = out.filter((l) => !replaced(l, a));
    if (a.state && !a.body.off)
      out = [
        ...out,
        {
          finding: a.finding,
          state: a.state,
          not: a.body.not,
          certainty: a.body.certainty,
          instrument: a.body.instrument,
          spot: a.body.spot ?? was?.spot,
          by: '',
          at: new Date().toISOString(),
        },
      ];
  }
  return out;
}
