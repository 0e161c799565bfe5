import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { useChange } from '../api/change';
import { api, Problem, unwrap } from '../api/client';
import { Trouble } from '../ui/bits';

/** A refused change. When somebody else was quicker, both sides are shown, and one's own can be put on top. */
export function ChangeTrouble({ id, change }: { id: string; change: ReturnType<typeof useChange> }) {
  const stale = change.error instanceof Problem && change.error.status === 412;
  const story = useQuery({
    queryKey: ['story', id, 'stale', change.submittedAt],
    queryFn: () => unwrap(api.GET('/api/v1/cases/{id}/story', { params: { path: { id } } })),
    enabled: stale,
  });
  if (!stale) return <Trouble of={change.error} />;
  const last = story.data?.[story.data.length - 1];
  return (
    <div className="notice brick" role="alert" data-stale>
      <b>Somebody was quicker.</b> {last ? `${last.who}: ${last.text}.` : 'The case was changed meanwhile.'} The page
      now shows that; what you sent is not kept yet.
      <div style={{ display: 'flex', gap: 8, marginTop: 6 }}>
        <Button
          size="small"
          variant="contained"
          data-do="mine"
          onClick={() => change.variables && change.mutate(change.variables)}
        >
          Put mine on top
        </Button>
        <Button size="small" data-do="theirs" onClick={() => change.reset()}>
          Leave it as it is
        </Button>
      </div>
    </div>
  );
}
