import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap } from '../api/client';
import { moment, Trouble } from '../ui/bits';

/** Where somebody is signed in, each to be ended. */
export function SignedIn({ id, name }: { id: string; name: string }) {
  const client = useQueryClient();
  const { data, error } = useQuery<S['OpenSession'][], Problem>({
    queryKey: ['sessions', id],
    queryFn: () => unwrap<S['OpenSession'][]>(api.GET('/api/v1/people/{id}/sessions', { params: { path: { id } } })),
  });
  const end = useMutation<S['OpenSession'][], Problem, string>({
    mutationFn: (session) =>
      unwrap<S['OpenSession'][]>(
        api.DELETE('/api/v1/people/{id}/sessions/{session}', { params: { path: { id, session } } }),
      ),
    onSuccess: (list) => client.setQueryData(['sessions', id], list),
  });
  return (
    <div className="stack" style={{ gap: 4 }} data-signed-in={data?.length}>
      <Trouble of={error ?? end.error} />
      {data?.length === 0 && <small>{name} is signed in nowhere.</small>}
      {data?.map((s) => (
        <div key={s.id} className="row mid">
          <small>
            since {moment(s.begun)}, used {moment(s.last)}
            {s.here && ', here'}
          </small>
          {!s.here && (
            <Button size="small" onClick={() => end.mutate(s.id)}>
              End it
            </Button>
          )}
        </div>
      ))}
    </div>
  );
}

/** Who let whom in, switched whom off, gave whom which role. */
export function Trace() {
  const { data } = useQuery<S['Done'][], Problem>({
    queryKey: ['people-trace'],
    queryFn: () => unwrap<S['Done'][]>(api.GET('/api/v1/people/trace')),
  });
  if (!data?.length) return null;
  return (
    <details data-trace={data.length}>
      <summary>what was done about people</summary>
      <ul className="tight">
        {data.slice(0, 30).map((d) => (
          <li key={d.at + d.text}>
            <small>{moment(d.at)}</small> {d.who}: {d.text}
          </li>
        ))}
      </ul>
    </details>
  );
}
