import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap } from '../api/client';
import { shortDay, Trouble } from '../ui/bits';
import { useToast } from '../ui/toast';

/** Private addresses at which a calendar program reads the desk's days, or one grower's, always anew. */
export function Calendars() {
  const client = useQueryClient();
  const say = useToast();
  const list = useQuery<S['Feed'][], Problem>({
    queryKey: ['feeds'],
    queryFn: () => unwrap<S['Feed'][]>(api.GET('/api/v1/calendars')),
    retry: false,
  });
  const open = useMutation<S['Feed'], Problem>({
    mutationFn: () => unwrap<S['Feed']>(api.POST('/api/v1/calendars', { body: {} })),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['feeds'] }),
  });
  const end = useMutation<S['Feed'][], Problem, string>({
    mutationFn: (token) =>
      unwrap<S['Feed'][]>(api.DELETE('/api/v1/calendars/{token}', { params: { path: { token } } })),
    onSuccess: (now) => {
      client.setQueryData(['feeds'], now);
      say({ text: 'Ended. Who has the address reads nothing there any more.' });
    },
  });
  if (list.error?.status === 403) return null; // a trainee opens none
  return (
    <section className="sheet pad stack" data-calendars={list.data?.length}>
      <h2>Calendars</h2>
      <p className="quiet">
        A private address for a calendar program, read anew whenever it looks: every planned day and every day to ask.
        Whoever has it can read it, until it is ended. The desk's own names no grower.
      </p>
      <Trouble of={list.error ?? open.error ?? end.error} />
      {list.data?.map((f) => (
        <div key={f.token} className="row mid">
          <span style={{ minWidth: 0 }}>
            <b>{f.grower ? `${f.grower}'s plants` : 'The desk'}</b>{' '}
            <small>
              {f.who}, {shortDay(f.at)}
            </small>
            <a href={f.path} style={{ display: 'block', overflowWrap: 'anywhere' }} data-feed>
              {window.location.origin + f.path}
            </a>
          </span>
          <Button onClick={() => end.mutate(f.token)}>End it</Button>
        </div>
      ))}
      <Button variant="outlined" style={{ justifySelf: 'start' }} onClick={() => open.mutate()} data-do="open-feed">
        A new address for the desk's calendar
      </Button>
    </section>
  );
}
