import { useQuery } from '@tanstack/react-query';
import { api, Problem, type S, setToken, take, type View, type Vocabulary } from './client';

export const useSession = () =>
  useQuery({
    queryKey: ['session'],
    queryFn: async () => {
      const session = await take(api.GET('/api/v1/session'));
      setToken(session.token);
      return session;
    },
    retry: (n, e) => e instanceof Problem && e.status === 0 && n < 2,
    staleTime: Number.POSITIVE_INFINITY,
  });

export const useVocabulary = () =>
  useQuery({
    queryKey: ['vocabulary'],
    queryFn: () => take<Vocabulary>(api.GET('/api/v1/vocabulary')),
    staleTime: Number.POSITIVE_INFINITY,
  });

export const useToday = () =>
  useQuery({ queryKey: ['today'], queryFn: () => take(api.GET('/api/v1/today')), refetchInterval: 30_000 });

/** The house rules with the version a change of them has to send back. */
export const useHouse = () =>
  useQuery<{ rules: S['House']; version: string }, Problem>({
    queryKey: ['house'],
    queryFn: async () => {
      let version = '0';
      const rules = await take<S['House']>(
        api.GET('/api/v1/house').then((r) => {
          version = (r.response.headers.get('ETag') ?? '0').replaceAll('"', '');
          return r;
        }),
      );
      return { rules, version };
    },
  });

export const useCase = (id: string) =>
  useQuery({
    queryKey: ['case', id],
    queryFn: () => take<View>(api.GET('/api/v1/cases/{id}', { params: { path: { id } } })),
    enabled: id !== '',
    // Two people wait for each other while a verdict waits for its advisor.
    refetchInterval: (q) => (q.state.data?.verdict?.needsReview ? 5_000 : false),
  });
