import { useQueries } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { api, type S, unwrap } from '../api/client';
import { Trouble } from '../ui/bits';
import { SplitTable, TwoOrThree, useSplit } from './Apart';
import { alike, highlights } from './lit';
import { Plate, SlidePlate } from './Plate';

/** Two or three plates side by side: what they share is faded, only the differences are lit. */
export function Compare() {
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
      queryFn: () => unwrap<S['Cause']>(api.GET('/api/v1/causes/{id}', { params: { path: { id } } })),
      staleTime: Number.POSITIVE_INFINITY,
    })),
  });
  const split = useSplit(ids);
  const shown = texts.flatMap((t) => (t.data ? [t.data] : []));
  const lights = highlights(shown.map((c) => c.drawing));
  const pairs = shown.flatMap((a, i) =>
    shown.slice(i + 1).map((b) => ({ a, b, say: a.lookAlikes.find((l) => l.cause === b.id)?.split })),
  );
  const sizes = shown.map((c) => c.sizeMm?.join('–'));
  return (
    <div className="stack">
      <div className="row mid" style={{ gap: 14 }}>
        <h1>Side by side</h1>
        <TwoOrThree causes={ids} set={set} name="compare" />
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
          {pairs
            .filter((x) => alike(x.a.drawing, x.b.drawing))
            .map((x) => (
              <div key={x.a.id + x.b.id} className="notice" data-alike>
                {x.a.name} and {x.b.name} are drawn alike but for the plant: a drawing does not tell them, what stands
                below does.
              </div>
            ))}
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
          <div className="sheet pad">
            <h2>Where they differ</h2>
            <SplitTable causes={ids} looks={split.data?.slice(0, 10) ?? []} />
          </div>
        </>
      )}
    </div>
  );
}
