import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useLooks } from '../api/change';
import { api, unwrap, type View } from '../api/client';

/** Each answer the desk did not keep: which it was, why, and what to do. It stays until one decides, on every step. */
export function RefusedLooks({ view }: { view: View }) {
  const { refused, again, drop } = useLooks(view);
  const stale = refused.some((r) => r.problem.status === 412);
  const story = useQuery({
    queryKey: ['story', view.id, view.version],
    queryFn: () => unwrap(api.GET('/api/v1/cases/{id}/story', { params: { path: { id: view.id } } })),
    enabled: stale,
  });
  const last = story.data?.[story.data.length - 1];
  return refused.map((r) => (
    <div
      key={r.key}
      className="notice brick"
      role="alert"
      style={{ marginBottom: 10 }}
      data-refused={r.answer.finding}
      {...(r.problem.status === 412 ? { 'data-stale': true } : {})}
    >
      <b>
        Not kept: {r.answer.name}, {r.answer.said}.
      </b>{' '}
      {r.problem.status === 412 ? (
        <>Somebody was quicker{last ? `: ${last.who}, ${last.text}.` : '.'} The page now shows that.</>
      ) : (
        r.problem.message
      )}
      <div style={{ display: 'flex', gap: 8, marginTop: 6 }}>
        <Button size="small" variant="contained" data-do="mine" onClick={() => again(r)}>
          {r.problem.status === 412 ? 'Put mine on top' : 'Send it again'}
        </Button>
        <Button size="small" data-do="theirs" onClick={() => drop(r)}>
          Leave it as it is
        </Button>
      </div>
    </div>
  ));
}
