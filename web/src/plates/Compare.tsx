import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useQueries, useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { api, type S, take } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Trouble } from '../ui/bits';
import { lit } from './lit';
import { Plate, SlidePlate } from './Plate';

/** Two or three plates side by side: what they share is faded, only the differences are lit. */
export function Compare() {
  const { data: kb } = useVocabulary();
  const [p, setP] = useSearchParams();
  const ids = p.getAll('cause').slice(0, 3);
  const set = (v: string[]) =>
    setP(
      v.map((x): [string, string] => ['cause', x]),
      { replace: true },
    );
  const texts = useQueries({
    queries: ids.map((id) => ({
      queryKey: ['cause', id],
      queryFn: () => take<S['Cause']>(api.GET('/api/v1/causes/{id}', { params: { path: { id } } })),
      staleTime: Number.POSITIVE_INFINITY,
    })),
  });
  const split = useQuery({
    queryKey: ['split', ...ids],
    queryFn: () => take(api.GET('/api/v1/split', { params: { query: { cause: ids } } })),
    enabled: ids.length >= 2,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const shown = texts.flatMap((t) => (t.data ? [t.data] : []));
  const name = (id: string) => kb?.causes.find((c) => c.id === id)?.name ?? id;
  const lights = lit(shown.map((c) => c.drawing));
  const pairs = shown.flatMap((a, i) =>
    shown.slice(i + 1).map((b) => ({ a, b, say: a.lookAlikes.find((l) => l.cause === b.id)?.split })),
  );
  const sizes = shown.map((c) => c.sizeMm?.join('–'));
  return (
    <div className="stack">
      <div className="row mid" style={{ gap: 14 }}>
        <h1>Side by side</h1>
        <Autocomplete
          multiple
          size="small"
          sx={{ flex: 1 }}
          options={kb?.causes ?? []}
          value={ids.flatMap((id) => kb?.causes.find((c) => c.id === id) ?? [])}
          getOptionLabel={(c) => c.name}
          getOptionKey={(c) => c.id}
          getOptionDisabled={() => ids.length >= 3}
          onChange={(_, v) => set(v.map((c) => c.id).slice(0, 3))}
          renderInput={(x) => <TextField {...x} label="Any two or three causes" name="compare" />}
        />
        <Link to="/plates" className="quiet">
          all plates
        </Link>
      </div>
      <Trouble of={split.error ?? texts.find((t) => t.error)?.error} />
      {ids.length < 2 && <p>Choose two or three causes to see them beside one another.</p>}
      {ids.length >= 2 && (
        <>
          <div className="beside" style={{ gridTemplateColumns: `repeat(${ids.length}, minmax(0, 1fr))` }}>
            {shown.map((c, i) => (
              <section key={c.id} className="sheet pad" aria-label={c.name} data-beside={c.id}>
                <h2>
                  <Link to={`/plates/${c.id}`}>{c.name}</Link>
                </h2>
                <small>
                  {c.kind} · {c.class}
                  {sizes[i] && ` · ${sizes[i]} mm`}
                </small>
                <Plate id={c.id} d={c.drawing} name={c.name} size={c.sizeMm} seed={7} width={300} light={lights[i]} />
                <SlidePlate d={c.drawing} width={300} />
              </section>
            ))}
          </div>
          {pairs.some((x) => x.say) && (
            <div className="sheet pad">
              <h2>The look that tells</h2>
              <ul className="tight">
                {pairs
                  .filter((x) => x.say)
                  .map((x) => (
                    <li key={x.a.id + x.b.id}>
                      {shown.length > 2 && (
                        <b>
                          {x.a.name} or {x.b.name}:{' '}
                        </b>
                      )}
                      {x.say}
                    </li>
                  ))}
              </ul>
            </div>
          )}
          <div className="sheet pad" style={{ overflowX: 'auto' }}>
            <h2>Where they differ</h2>
            <table className="lines">
              <thead>
                <tr>
                  <th scope="col">Look</th>
                  {ids.map((c) => (
                    <th scope="col" key={c}>
                      {name(c)}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {split.data?.slice(0, 10).map((l) => (
                  <tr key={l.finding} data-differs={l.finding}>
                    <th scope="row">{l.name}</th>
                    {l.expect.map((e, i) => (
                      <td key={ids[i]}>{e.join(' or ') || <span className="quiet">it varies</span>}</td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </>
      )}
    </div>
  );
}
