import { type QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api, Problem, type S, take, type View, type Vocabulary } from './client';
import type { paths } from './schema';

export const useSession = () =>
  useQuery({
    queryKey: ['session'],
    queryFn: () => take(api.GET('/api/v1/session')),
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
  });

/** Changes of one case wait for each other, so that each sends the version the last one made. */
const lines = new Map<string, Promise<unknown>>();

type Call = (version: string) => Promise<{ data?: unknown; error?: unknown; response: Response }>;

export function queueChange(client: QueryClient, id: string, call: Call): Promise<View> {
  const before = lines.get(id) ?? Promise.resolve();
  const next = before
    .catch(() => undefined)
    .then(async () => {
      const now = client.getQueryData<View>(['case', id]);
      const view = (await take(call(String(now?.version ?? 0)))) as View;
      client.setQueryData(['case', id], view);
      return view;
    });
  lines.set(id, next);
  return next;
}

/** A change of a case; the answer replaces what the bench shows. */
export function useChange(id: string) {
  const client = useQueryClient();
  return useMutation<View, Problem, Call>({
    mutationFn: (call) => queueChange(client, id, call),
    onSuccess: () => {
      for (const key of ['today', 'story', 'advice', 'sheet', 'list'])
        void client.invalidateQueries({ queryKey: [key] });
    },
    onError: (e) => {
      if (e.status === 412) void client.invalidateQueries({ queryKey: ['case', id] });
    },
  });
}

type Paths = keyof paths & `/api/v1/cases/{id}/${string}`;

/** Helpers that fill in path, version and body of the case operations. */
export function useCaseCalls(id: string) {
  const put = useCallback(
    (path: Paths, body: unknown): Call =>
      (v) =>
        // biome-ignore lint/suspicious/noExplicitAny: the union of all case paths is one shape here
        (api.PUT as any)(path, { params: { path: { id }, header: { 'If-Match': v } }, body }),
    [id],
  );
  const post = useCallback(
    (path: Paths, body: unknown = {}): Call =>
      (v) =>
        // biome-ignore lint/suspicious/noExplicitAny: as above
        (api.POST as any)(path, { params: { path: { id }, header: { 'If-Match': v } }, body }),
    [id],
  );
  const look = useCallback(
    (finding: string, body: S['LookBody']): Call =>
      (v) =>
        api.PUT('/api/v1/cases/{id}/looks/{finding}', {
          params: { path: { id, finding }, header: { 'If-Match': v } },
          body,
        }),
    [id],
  );
  const photo = useCallback(
    (file: File): Call =>
      (v) =>
        api.POST('/api/v1/cases/{id}/photos', {
          params: { path: { id }, query: { name: file.name }, header: { 'If-Match': v } },
          body: file as unknown as string,
          bodySerializer: (b) => b as unknown as Blob,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
    [id],
  );
  const dropPhoto = useCallback(
    (photo: string): Call =>
      (v) =>
        api.DELETE('/api/v1/cases/{id}/photos/{photo}', { params: { path: { id, photo }, header: { 'If-Match': v } } }),
    [id],
  );
  return { put, post, look, photo, dropPhoto };
}
