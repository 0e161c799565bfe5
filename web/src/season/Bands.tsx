import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { S } from '../api/client';
import { shortDay } from '../ui/bits';
import { casesOf, later } from './links';

const tones = ['var(--aub2)', 'var(--pond)', 'var(--mari)', 'var(--lichen)', 'var(--brick)', 'var(--ochre)'];

/** One small band for each cause over the weeks. Arrows move over the weeks, Enter opens the cases of one. */
export function Bands({ of }: { of: S['Season'] }) {
  const go = useNavigate();
  const [table, setTable] = useState(false);
  const [at, setAt] = useState<number | null>(null);
  const weeks = of.weeks.length;
  const most = Math.max(1, ...of.bands.flatMap((b) => b.weeks));
  const cause = (b: S['NamedBand']) => (b.key === 'undetermined' ? undefined : b.key);
  const open = (b: S['NamedBand'], w?: number) =>
    casesOf({
      ...(b.key === 'other' ? {} : b.key === 'undetermined' ? { degree: 'undetermined' } : { cause: cause(b) }),
      from: w === undefined ? of.from : of.weeks[w],
      to: w === undefined ? of.to : later(of.weeks[w] ?? of.to, 6),
    });
  const months = of.weeks
    .map((w, i) => ({ w, i }))
    .filter(({ w, i }) => i === 0 || w.slice(5, 7) !== of.weeks[i - 1]?.slice(5, 7));
  return (
    <section className="sheet pad stack bands" data-bands={of.bands.length}>
      <div className="row mid">
        <h2>What came in, week by week</h2>
        <button type="button" className="chip small noprint" onClick={() => setTable(!table)} aria-pressed={table}>
          {table ? 'as bands' : 'as a table'}
        </button>
      </div>
      {of.n === 0 && <p className="quiet">Nothing came in over these weeks.</p>}
      {table ? (
        <BandTable of={of} />
      ) : (
        <>
          <div
            className="bandrows"
            role="slider"
            tabIndex={0}
            aria-label="Week"
            aria-valuemin={1}
            aria-valuemax={weeks}
            aria-valuenow={(at ?? weeks - 1) + 1}
            aria-valuetext={said(of, at ?? weeks - 1)}
            onKeyDown={(e) => {
              const step = { ArrowRight: 1, ArrowLeft: -1 }[e.key];
              if (step) {
                setAt(Math.max(0, Math.min(weeks - 1, (at ?? weeks) + step)));
                e.preventDefault();
                e.stopPropagation();
              } else if (e.key === 'Enter' && at !== null) {
                go(casesOf({ from: of.weeks[at], to: later(of.weeks[at] ?? '', 6) }));
                e.preventDefault();
                e.stopPropagation();
              }
            }}
            onPointerLeave={() => setAt(null)}
          >
            {of.bands.map((b, k) => (
              <div key={b.key} className="band">
                <Link to={open(b)} tabIndex={-1}>
                  {b.name} <b className="num">{b.n}</b>
                </Link>
                <svg
                  viewBox={`0 0 ${weeks * 10} 26`}
                  preserveAspectRatio="none"
                  aria-hidden="true"
                  onPointerMove={(e) => {
                    const r = e.currentTarget.getBoundingClientRect();
                    setAt(Math.max(0, Math.min(weeks - 1, Math.floor(((e.clientX - r.left) / r.width) * weeks))));
                  }}
                  onClick={() => at !== null && go(open(b, at))}
                >
                  {at !== null && <rect x={at * 10} width="10" height="26" className="cursor" />}
                  <line x1="0" x2={weeks * 10} y1="25.5" y2="25.5" className="base" />
                  {b.weeks.map(
                    (n, w) =>
                      n > 0 && (
                        <rect
                          key={of.weeks[w]}
                          x={w * 10 + 1}
                          width="8"
                          y={25 - Math.max(3, (24 * n) / most)}
                          height={Math.max(3, (24 * n) / most)}
                          fill={b.key === 'other' || b.key === 'undetermined' ? 'var(--wood)' : tones[k % tones.length]}
                        />
                      ),
                  )}
                </svg>
              </div>
            ))}
            <div className="band months" aria-hidden="true">
              <span />
              <div>
                {months.map(({ w, i }, k) =>
                  (months[k + 1]?.i ?? weeks) - i < 3 ? null : (
                    <span key={w} style={{ left: `${(100 * i) / weeks}%` }}>
                      {new Date(`${w}T12:00:00`).toLocaleDateString('en-GB', { month: 'short' })}
                    </span>
                  ),
                )}
              </div>
            </div>
          </div>
          <small aria-live="polite" className="noprint">
            {at === null ? `The highest bar is ${most} in a week.` : said(of, at)}
          </small>
        </>
      )}
    </section>
  );
}

const said = (of: S['Season'], w: number) => {
  const in_ = of.bands.filter((b) => (b.weeks[w] ?? 0) > 0).map((b) => `${b.weeks[w]} ${b.name.toLowerCase()}`);
  return `Week of ${shortDay(of.weeks[w] ?? of.to)}: ${in_.length ? in_.join(', ') : 'nothing'}`;
};

function BandTable({ of }: { of: S['Season'] }) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
    <div className="scrolls" tabIndex={0} role="group" aria-label="Samples by week and cause">
      <table className="lines">
        <thead>
          <tr>
            <th scope="col">Week of</th>
            {of.bands.map((b) => (
              <th key={b.key} scope="col">
                {b.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {of.weeks.map((w, i) => (
            <tr key={w}>
              <th scope="row">
                <Link to={casesOf({ from: w, to: later(w, 6) })}>{shortDay(w)}</Link>
              </th>
              {of.bands.map((b) => (
                <td key={b.key} className="num">
                  {b.weeks[i] || '·'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
