import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from 'react-router';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useSession } from '../api/hooks';
import { Trouble } from '../ui/bits';
import { KeyLine, useKeys } from '../ui/keys';
import { RoundsTables } from './RoundsTables';

/** What a day at the desk was, on one page: for the book on the wall, and for whoever comes on Monday. */
export default function Day() {
  const { day } = useParams();
  const session = useSession();
  const go = useNavigate();
  const { data, error } = useQuery<S['DaySummary'], Problem>({
    queryKey: ['day', day ?? ''],
    queryFn: () => unwrap<S['DaySummary']>(api.GET('/api/v1/day', { params: { query: day ? { day } : {} } })),
    placeholderData: (old) => old,
  });
  useKeys([
    { key: 'ArrowLeft', does: 'the day before', run: () => data && go(`/rounds/day/${data.before}`) },
    ...(data?.after
      ? [{ key: 'ArrowRight', does: 'the day after', run: () => data.after && go(`/rounds/day/${data.after}`) }]
      : []),
    { key: 'p', does: 'print', run: () => window.print() },
  ]);
  return (
    <>
      <main id="room">
        <h1 className="noprint">Rounds</h1>
        <RoundsTables at="day" />
        <Trouble of={error} />
        {data && (
          <>
            <div className="wrap noprint" style={{ marginBottom: 10 }}>
              <Button component={Link} to={`/rounds/day/${data.before}`} variant="outlined" size="small">
                Before&nbsp;<kbd>←</kbd>
              </Button>
              <Button
                component={Link}
                to={`/rounds/day/${data.after ?? data.day}`}
                variant="outlined"
                size="small"
                disabled={!data.after}
              >
                After&nbsp;<kbd>→</kbd>
              </Button>
              <Button variant="outlined" size="small" onClick={() => window.print()}>
                Print&nbsp;<kbd>p</kbd>
              </Button>
            </div>
            <Summary of={data} />
          </>
        )}
      </main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}

const whole = (m: number) => (m >= 90 ? `${(m / 60).toFixed(1)} h` : `${Math.round(m)} min`);

function Summary({ of }: { of: S['DaySummary'] }) {
  const most = Math.max(1, ...of.named.map((n) => n.n));
  const figures = [
    [of.brought, 'brought in'],
    [of.handed, 'handed over'],
    [of.heard, 'growers heard'],
    [of.silent, 'without an answer'],
    [of.closed, 'closed'],
  ] as const;
  return (
    <article className="sheet pad stack daypage" data-day={of.day}>
      <div className="row">
        <h2>{of.name}</h2>
        <small>{of.desk}</small>
      </div>
      <ul className="figures">
        {figures.map(([n, name]) => (
          <li key={name}>
            <b className="num">{n}</b>
            <small>{name}</small>
          </li>
        ))}
      </ul>
      {of.waits.n > 0 && (
        <p>
          From bag to page: half within <b>{whole(of.waits.median)}</b>, nine in ten within{' '}
          <b>{whole(of.waits.nineTen)}</b>, the longest {whole(of.waits.longest)} ({of.waits.n} of this day).
        </p>
      )}
      {of.brought === 0 && of.by.length === 0 && <p className="quiet">Nothing was done on this day.</p>}
      <div className="halves">
        {of.named.length > 0 && (
          <section>
            <h3>What it was</h3>
            <table className="lines counts">
              <tbody>
                {of.named.map((n) => (
                  <tr key={n.cause ?? ''}>
                    <th scope="row">{n.name}</th>
                    <td>
                      <i style={{ width: `${(100 * n.n) / most}%` }} />
                    </td>
                    <td className="num">{n.n}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        )}
        {of.by.length > 0 && (
          <section>
            <h3>Who did what</h3>
            <table className="lines">
              <thead>
                <tr>
                  <th scope="col">
                    <span className="vh">who</span>
                  </th>
                  <th scope="col">in</th>
                  <th scope="col">looked at</th>
                  <th scope="col">handed</th>
                  <th scope="col">asked</th>
                </tr>
              </thead>
              <tbody>
                {of.by.map((p) => (
                  <tr key={p.name}>
                    <th scope="row">{p.name}</th>
                    {[p.in, p.looked, p.handed, p.asked].map((n, i) => (
                      <td key={i} className="num">
                        {n || '·'}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        )}
      </div>
      {of.left.length > 0 && (
        <section>
          <h3>Left for another day</h3>
          <ul className="tight plainlist">
            {of.left.map((t) => (
              <li key={t.id}>
                <Link to={`/bench/${t.id}`}>
                  <span className="num">{t.number}</span> {t.plant}
                </Link>{' '}
                <small>
                  {t.causeName ?? 'not known yet'}, {t.stage}
                </small>
              </li>
            ))}
          </ul>
        </section>
      )}
    </article>
  );
}
