import { useRef } from 'react';
import type { S } from '../api/client';
import { dayAndMonth, daysBetween, shortDay, weekday } from '../ui/bits';

const names: Record<string, string> = { egg: 'eggs', young: 'young', resting: 'resting', adult: 'adults' };
const tall = 130; // of the colony's field, in its own units

/** The coming weeks of one round: the pest's life under the days set, the weather, the picking; a treatment is a pin. */
export function Weeks({
  plan,
  busy = false,
  onMove,
}: {
  plan: S['DaysPlan'];
  busy?: boolean;
  onMove?: (on: string[]) => void;
}) {
  const { weeks } = plan;
  const at = (day: string) => (daysBetween(weeks.from, day) / weeks.length) * 100;
  const has = (i: number) => (weeks.course?.days ?? []).some((d) => (d[i] ?? 0) > 0.004);
  return (
    <figure className="weeks" data-weeks aria-busy={busy}>
      <div className="field" style={{ height: weeks.course ? 168 : 78 }}>
        {weeks.course && (
          <Colony of={weeks.course} length={weeks.length} hit={plan.on.map((d) => daysBetween(weeks.from, d))} />
        )}
        {weeks.course && (
          <span className="asmany" style={{ top: `${(1 - 1 / ceiling(weeks.course)) * 100}%` }}>
            as many as today
          </span>
        )}
        {plan.on.map((d, i) => (
          <Pin
            key={i}
            n={i + 1}
            day={d}
            at={at(d)}
            weeks={weeks}
            onMove={onMove && ((to) => onMove(plan.on.map((x, k) => (k === i ? to : x))))}
          />
        ))}
        {plan.beside?.flatMap((x) =>
          x.on
            .filter((d) => at(d) >= 0 && at(d) < 100)
            .map((d) => (
              <span key={x.remedy + d} className="pin beside" style={{ left: `${at(d)}%` }} title={x.name}>
                <small>{x.name.split(' ')[0]?.toLowerCase()}</small>
              </span>
            )),
        )}
        {weeks.picking && at(weeks.picking) < 100 && (
          <span className="pin picking" style={{ left: `${at(weeks.picking)}%` }}>
            <small>picking</small>
          </span>
        )}
      </div>
      {weeks.hatchBy && weeks.layFrom && <LifeBar plan={plan} at={at} />}
      <Sky of={weeks} />
      <div className="weekline">
        {Array.from({ length: Math.ceil(weeks.length / 7) }, (_, w) => (
          <small key={w} style={{ left: `${((w * 7) / weeks.length) * 100}%` }}>
            {dayAndMonth(new Date(Date.parse(weeks.from) + w * 7 * 86_400_000).toISOString())}
          </small>
        ))}
      </div>
      {onMove && weeks.rhythms.length > 2 && <Rhythms of={weeks} onTake={onMove} />}
      {weeks.course && (
        <figcaption>
          <span className="legend">
            {weeks.course.stages.map((s, i) =>
              has(i) ? (
                <small key={s}>
                  <i data-stage={s} />
                  {names[s]}
                </small>
              ) : null,
            )}
            <small>
              <i data-stage="alone" />
              left alone
            </small>
          </span>
          {weeks.course.says.map((s) => (
            <p key={s}>{s}</p>
          ))}
          {weeks.course.soil && (
            <p>
              <b>Out of reach of what is sprayed:</b> {weeks.course.soil.join(', ')}.
              {weeks.soilWith && ` What reaches them: ${weeks.soilWith.join(', ').toLowerCase()}.`}
            </p>
          )}
          <small>A sketch of timing, not a forecast of numbers: {weeks.course.source}.</small>
        </figcaption>
      )}
    </figure>
  );
}

/** How many times today's number the field is high: what is treated fits, what is left alone may leave it. */
const ceiling = (c: S['ColonyWeeks']) => {
  const most = Math.max(...c.days.map((d) => d.reduce((a, b) => a + b, 0)));
  return Math.min(5, Math.max(1.3, most * 1.15));
};

function Colony({ of, length, hit }: { of: S['ColonyWeeks']; length: number; hit: number[] }) {
  const top = ceiling(of);
  const x = (i: number) => ((i / length) * 1000).toFixed(1);
  const y = (n: number) => (tall - (Math.min(n, top * 1.02) / top) * tall).toFixed(1);
  // On the day of a treatment the numbers fall at once: what there was the day before stands just before it.
  const shown = of.days.flatMap((d, day) => [
    ...(hit.includes(day) && day > 0 ? [{ day, d: of.days[day - 1] ?? d }] : []),
    { day, d },
  ]);
  const below = (d: number[], upTo: number) => d.slice(0, upTo).reduce((a, b) => a + b, 0);
  return (
    <svg viewBox={`0 0 1000 ${tall}`} preserveAspectRatio="none" role="img" aria-label={of.says.join(' ')}>
      <title>{of.says.join(' ')}</title>
      <defs>
        <pattern id="egg-dots" width="9" height="5" patternUnits="userSpaceOnUse">
          <ellipse cx="4" cy="2.5" rx="2.4" ry="1.1" fill="var(--mari-ink)" />
        </pattern>
      </defs>
      {of.stages.map((s, i) => {
        const points = [
          ...shown.map(({ d, day }) => `${x(day)},${y(below(d, i + 1))}`),
          ...shown.map(({ d, day }) => `${x(day)},${y(below(d, i))}`).reverse(),
        ].join(' ');
        return (
          <g key={s}>
            <polygon data-stage={s} points={points} />
            {s === 'egg' && <polygon points={points} fill="url(#egg-dots)" />}
          </g>
        );
      })}
      <line x1="0" x2="1000" y1={y(1)} y2={y(1)} className="today" />
      <polyline className="alone" points={of.alone.map((n, day) => `${x(day)},${y(n)}`).join(' ')} />
    </svg>
  );
}

/** When the eggs that a treatment spared hatch, and when what hatched lays: between the two is the time to come again. */
function LifeBar({ plan, at }: { plan: S['DaysPlan']; at: (day: string) => number }) {
  const { weeks } = plan;
  const [a, b, c] = [at(plan.on[0] as string), at(weeks.hatchBy as string), at(weeks.layFrom as string)];
  const wide = (from: number, to: number) => ({ left: `${from}%`, width: `${Math.max(0, Math.min(100, to) - from)}%` });
  return (
    <div className="lifebar">
      <small style={wide(a, Math.min(b, c))}>eggs hatch</small>
      {c > b && b < 100 && (
        <small data-gap style={wide(b, c)}>
          repeat in here
        </small>
      )}
      {c < 100 && <small style={wide(Math.max(b, c), 100)}>their young lay</small>}
    </div>
  );
}

/** The forecast, a day a column: rain as a bar, the warmest hour as a figure. */
function Sky({ of }: { of: S['Weeks'] }) {
  if (!of.sky.length)
    return (
      <div className="sky">
        <small className="what" style={{ left: 0 }}>
          no forecast is known here
        </small>
      </div>
    );
  return (
    <div className="sky" role="img" aria-label={`Forecast for ${of.sky.length} days: rain and warmest hour`}>
      {of.sky.map((d, i) => (
        <span key={i} style={{ left: `${(i / of.length) * 100}%`, width: `${100 / of.length}%` }}>
          <i style={{ height: Math.min(16, d.rainMm * 2) }} />
          {i % 2 === 0 && <small>{Math.round(d.maxC)}°</small>}
        </span>
      ))}
      <small className="what" style={{ left: `${(of.sky.length / of.length) * 100}%` }}>
        rain and warmest hour, as forecast
      </small>
    </div>
  );
}

const later = (day: string, n: number) =>
  new Date(Date.parse(`${day}T12:00:00Z`) + n * 86_400_000).toISOString().slice(0, 10);

/** A treatment on its day: dragged along the weeks, or moved a day by the arrow keys; everything is worked out anew at once. */
function Pin({
  n,
  day,
  at,
  weeks,
  onMove,
}: {
  n: number;
  day: string;
  at: number;
  weeks: S['Weeks'];
  onMove?: (to: string) => void;
}) {
  const held = useRef(false);
  if (!onMove)
    return (
      <span className="pin" style={{ left: `${at}%` }}>
        <b>{n}</b>
      </span>
    );
  const to = (d: string) => {
    const i = daysBetween(weeks.from, d);
    if (i >= 0 && i < weeks.length && d !== day) onMove(d);
  };
  return (
    <button
      type="button"
      className="pin moves"
      style={{ left: `${at}%` }}
      aria-label={`Treatment ${n}, ${weekday(day)}; arrow keys move it a day`}
      data-pin={n}
      data-day={day}
      onKeyDown={(e) => {
        const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
        if (!by) return;
        e.preventDefault();
        e.stopPropagation();
        to(later(day, by));
      }}
      onPointerDown={(e) => {
        held.current = true;
        e.currentTarget.setPointerCapture?.(e.pointerId);
      }}
      onPointerMove={(e) => {
        const field = e.currentTarget.parentElement?.getBoundingClientRect();
        if (!held.current || !field?.width) return;
        to(later(weeks.from, Math.round(((e.clientX - field.left) / field.width) * weeks.length)));
      }}
      onPointerUp={() => {
        held.current = false;
      }}
    >
      <b>{n}</b>
    </button>
  );
}

/** What each rhythm leaves of the pest over these weeks, fewest first; any of them is taken with a press. */
function Rhythms({ of: w, onTake }: { of: S['Weeks']; onTake: (on: string[]) => void }) {
  return (
    <table className="lines rhythms" data-rhythms={w.rhythms.length}>
      <caption>
        <b>What each would leave of it</b>{' '}
        <small>pest-days, of 100 when it is left alone; one or two more or less is the same</small>
      </caption>
      <tbody>
        {w.rhythms.map((r) => (
          <tr key={r.id} data-rhythm={r.id}>
            <th scope="row">{r.name}</th>
            <td className="num">{Math.round(100 * r.share)}</td>
            <td>
              <span className="bar">
                <i style={{ width: `${Math.max(1, 100 * r.share)}%` }} />
              </span>
            </td>
            <td>
              {r.id !== 'set' && r.on.length > 0 && (
                <button
                  type="button"
                  className="plain"
                  style={{ textDecoration: 'underline' }}
                  onClick={() => onTake(r.on)}
                >
                  {r.on.map((d) => shortDay(d).slice(4)).join(', ')}
                </button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
