import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type S, unwrap } from '../api/client';

/** The lines that what was typed could mean, as the desk finds them; undefined while nothing is known yet or without connection. */
export function useSaid(id: string, say: string) {
  const client = useQueryClient();
  const options = (words: string) => ({
    queryKey: ['say', id, words],
    queryFn: () =>
      unwrap<S['Lines']>(api.GET('/api/v1/cases/{id}/say', { params: { path: { id }, query: { words } } })),
    staleTime: 60_000,
    retry: false,
  });
  const { data } = useQuery({ ...options(say), enabled: !!say.trim(), placeholderData: keepPreviousData });
  return {
    lines: say.trim() ? data?.lines : undefined,
    fetch: (words: string) =>
      client.fetchQuery(options(words)).then(
        (x) => x.lines,
        () => undefined,
      ),
  };
}
