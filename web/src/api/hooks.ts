import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, Problem, type S, setToken, unwrap, type View, type Vocabulary } from './client';

export const useSession = () =>
  useQuery({
    queryKey: ['session'],
    queryFn: async () => {
      const session = await unwrap(api.GET('/api/v1/session'));
      setToken(session.token);
      return session;
    },
    retry: (n, e) => e instanceof Problem && e.status === 0 && n < 2,
    staleTime: Number.POSITIVE_INFINITY,
  });

export const useVocabulary = () =>
  useQuery({
    queryKey: ['vocabulary'],
    queryFn: () => unwrap<Vocabulary>(api.GET('/api/v1/vocabulary')),
    staleTime: Number.POSITIVE_INFINITY,
  });

export const useToday = () =>
  useQuery({ queryKey: ['today'], queryFn: () => unwrap(api.GET('/api/v1/today')), refetchInterval: 30_000 });

/** What is kept under a version that a change of it has to send back. */
export async function versioned<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>) {
  let version = '0';
  const body = await unwrap<T>(
    call.then((r) => {
      version = (r.response.headers.get('ETag') ?? '0').replaceAll('"', '');
      return r;
    }),
  );
  return { body, version };
}

/** The house rules with their version. */
export const useHouse = () =>
  useQuery<{ rules: S['House']; version: string }, Problem>({
    queryKey: ['house'],
    queryFn: async () => {
      const { body, version } = await versioned<S['House']>(api.GET('/api/v1/house'));
      return { rules: body, version };
    },
  });

/** Who and where the desk is, with its version. */
export const useIdentity = () =>
  useQuery<{ identity: S['Identity']; version: string }, Problem>({
    queryKey: ['identity'],
    queryFn: async () => {
      const { body, version } = await versioned<S['Identity']>(api.GET('/api/v1/identity'));
      return { identity: body, version };
    },
  });

export const useCase = (id: string) =>
  useQuery({
    queryKey: ['case', id],
    queryFn: () => unwrap<View>(api.GET('/api/v1/cases/{id}', { params: { path: { id } } })),
    enabled: id !== '',
    // Two people wait for each other while a verdict, or what a trainee prepared, waits for its advisor.
    refetchInterval: (q) => {
      const v = q.state.data;
      return v?.verdict?.needsReview || (v?.release && !v.handover) ? 5_000 : false;
    },
  });

/** The names of the causes by id. */
export function useCauseNames() {
  const { data: kb } = useVocabulary();
  return useMemo(() => new Map((kb?.causes ?? []).map((c) => [c.id, c.name])), [kb]);
}

/** Whether whoever is signed in may do something, by the desk's own table. */
export function useMay(): (deed: S['SessionBody']['may'][number]) => boolean {
  const may = useSession().data?.may ?? [];
  return (deed) => may.includes(deed);
}
