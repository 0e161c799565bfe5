import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap, type View } from '../api/client';
import { moment, Trouble } from '../ui/bits';

const states: Record<string, string> = {
  waiting: 'waits to go out',
  sending: 'going out',
  sent: 'sent',
  delivered: 'arrived',
  failed: 'did not go out',
  bounced: 'came back',
  answered: 'answered',
  held: 'not sent',
};
const kinds: Record<string, string> = { page: 'The page', moved: 'The moved days', ask: 'How did it go?' };

export const useMessages = (id: string) => {
  const client = useQueryClient();
  const list = useQuery<S['Sent'][], Problem>({
    queryKey: ['messages', id],
    queryFn: () => unwrap<S['Sent'][]>(api.GET('/api/v1/cases/{id}/messages', { params: { path: { id } } })),
    refetchInterval: (q) =>
      q.state.data?.some((m) => ['waiting', 'sending', 'sent'].includes(m.state)) ? 5000 : false,
  });
  const send = useMutation<S['Sent'][], Problem, 'page' | 'ask'>({
    mutationFn: (kind) =>
      unwrap<S['Sent'][]>(api.POST('/api/v1/cases/{id}/messages', { params: { path: { id } }, body: { kind } })),
    onSuccess: (now) => client.setQueryData(['messages', id], now),
  });
  return { list, send };
};

/** What was written to the grower, how far it has come, and the one thing to send from here. */
export function Messages({ view, kind }: { view: View; kind: 'page' | 'ask' }) {
  const { list, send } = useMessages(view.id);
  const none = useMutation<unknown, Problem>({
    mutationFn: () =>
      unwrap(api.PUT('/api/v1/cases/{id}/messages/none', { params: { path: { id: view.id } }, body: { none: true } })),
    onSuccess: () => void list.refetch(),
  });
  return (
    <div className="stack" data-messages={list.data?.length}>
      <Trouble of={send.error ?? none.error} />
      {list.data?.map((m) => (
        <p key={m.id} data-message={m.state}>
          <b>{kinds[m.kind]}</b> {states[m.state]} <small>{moment(m.at)}</small>
          {m.said && <small style={{ display: 'block' }}>{m.said}</small>}
        </p>
      ))}
      <div className="wrap">
        <Button variant="outlined" disabled={send.isPending} onClick={() => send.mutate(kind)} data-do={`send-${kind}`}>
          {kind === 'page' ? 'Send the page' : 'Send the question'}
        </Button>
        {(list.data?.length ?? 0) > 0 && <Button onClick={() => none.mutate()}>Wants no messages</Button>}
      </div>
    </div>
  );
}
