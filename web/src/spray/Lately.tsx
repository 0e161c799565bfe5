import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useSession, useVocabulary } from '../api/hooks';
import { shortDay, Trouble } from '../ui/bits';
import { clock } from './HourWeek';

/** What the air of the last days did, and what of the protecting sprays still lies out there. */
export function Lately() {
  const { data, error } = useQuery<S['RecentWeather'], Problem>({
    queryKey: ['spray-days', 'lately'],
    queryFn: () => unwrap<S['RecentWeather']>(api.GET('/api/v1/spray-days/lately')),
  });
  return (
    <div className="two wide-and-form">
      <div className="sheet pad stack" data-lately={data ? data.out.length : ''}>
        <h2>What still protects them</h2>
        <Trouble of={error} />
        {data?.out.length === 0 && (
          <p className="quiet">No open case has copper, sulfur or the like on its leaves outdoors.</p>
        )}
        {data && data.out.length > 0 && (
          <table className="lines">
            <tbody>
              {data.out.map((x) => (
                <tr key={x.case + x.remedy}>
                  <th scope="row">
                    <Link to={`/bench/${x.case}/days`}>{x.number}</Link>
                    <small style={{ display: 'block' }}>
                      {x.plant}, {x.grower}
                    </small>
                  </th>
                  <td>
                    {x.name}, {shortDay(x.since.on)}
                    <Left of={x.since} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <SinceOne />
        <small>
          A rule of thumb: an inch of rain takes half off, and it grows thin by itself. What the label says of rain
          comes first.
        </small>
      </div>
      <div className="stack">
        <div className="sheet pad stack">
          <h2>The last {data?.days ?? 14} days</h2>
          {data?.pressure.map((p) => (
            <div key={p.id} data-pressure={p.id}>
              <b>
                {p.name}: {p.word}
              </b>
              <Bars of={p} />
              <small>{p.why}</small>
            </div>
          ))}
          {data?.pressure.length === 0 && <p className="quiet">No weather is known of these days.</p>}
          {data && data.pressure.length > 0 && (
            <small>
              {data.rainMm.toFixed(0)} mm of rain; {data.from}. Rules of thumb for the open air, no finding.
            </small>
          )}
        </div>
        <div className="sheet pad stack" data-wet-spells={data?.events.length}>
          <h2>Wet spells that let a disease in</h2>
          {data?.events.length === 0 && (
            <p className="quiet">{data.pressure.length ? 'None in these days.' : 'Not known.'}</p>
          )}
          {data && data.events.length > 0 && (
            <ul className="tight">
              {spells(data.events).map((e) => (
                <li key={e.from}>
                  {shortDay(e.from)}, {clock(e.from)}, {e.hours} h at {e.meanC.toFixed(0)} °C: {e.names.join(', ')}
                </li>
              ))}
            </ul>
          )}
        </div>
      </div>
    </div>
  );
}

/** One line a wet spell, with all it lets in; the latest five. */
function spells(events: S['Event'][]) {
  const out = new Map<string, { from: string; hours: number; meanC: number; names: string[] }>();
  for (const e of events) {
    const at = out.get(e.spell.from) ?? { from: e.spell.from, hours: e.spell.hours, meanC: e.spell.meanC, names: [] };
    at.names.push(at.names.length ? e.name.toLowerCase() : e.name);
    out.set(e.spell.from, at);
  }
  return [...out.values()].slice(0, 5);
}

const leftWords: Record<string, string> = { lies: 'lies on the leaf', thin: 'thin', gone: 'nearly gone' };

/** How much is left, as a leaf's worth of bar, with the rain and the clock in words. */
function Left({ of: s }: { of: S['Since'] }) {
  return (
    <div data-left={s.word}>
      <span className="bar" style={{ display: 'block', maxWidth: 260 }}>
        <i style={{ width: `${Math.max(2, 100 * s.left)}%` }} />
      </span>
      <b>{leftWords[s.word]}</b>{' '}
      <small>
        {s.days} {s.days === 1 ? 'day' : 'days'}, {s.rainMm.toFixed(0)} mm of rain
        {s.known < 0.99 && ` (${Math.round(100 * s.known)} in 100 of the hours known)`}.{' '}
        {s.may ? 'The label’s gap has passed.' : `Not again before ${shortDay(s.again)}.`}
      </small>
    </div>
  );
}

/** The question across the counter: I sprayed on that day; is it still there, and may I again? */
function SinceOne() {
  const { data: kb } = useVocabulary();
  const session = useSession();
  const [remedy, setRemedy] = useState('copper');
  const [on, setOn] = useState('');
  const { data, error } = useQuery<S['Since'], Problem>({
    queryKey: ['spray-days', 'since', remedy, on],
    queryFn: () => unwrap<S['Since']>(api.GET('/api/v1/spray-days/since', { params: { query: { remedy, on } } })),
    enabled: !!on,
    retry: false,
  });
  return (
    <section className="stack" aria-label="Asked across the counter" data-since>
      <h3>Somebody asks: I put it on that day</h3>
      <div className="halves">
        <TextField
          select
          label="What was put on"
          value={remedy}
          onChange={(e) => setRemedy(e.target.value)}
          slotProps={{ htmlInput: { name: 'since-remedy' } }}
        >
          {(kb?.remedies ?? [])
            .filter((r) => r.acts === 'protects')
            .map((r) => (
              <MenuItem key={r.id} value={r.id}>
                {r.name}
              </MenuItem>
            ))}
        </TextField>
        <TextField
          type="date"
          label="On which day"
          value={on}
          onChange={(e) => setOn(e.target.value)}
          slotProps={{
            htmlInput: { name: 'since-on', max: session.data?.now.slice(0, 10) },
            inputLabel: { shrink: true },
          }}
        />
      </div>
      <Trouble of={error} />
      {data && !error && (
        <div aria-live="polite">
          <Left of={data} />
          <p>{data.says}</p>
        </div>
      )}
    </section>
  );
}

/** Fourteen days as bars, the line of "high" across. */
function Bars({ of: p }: { of: S['Pressure'] }) {
  const w = 100 / p.days.length;
  return (
    <svg
      viewBox="0 0 100 30"
      preserveAspectRatio="none"
      className="pressure"
      role="img"
      aria-label={`${p.name}, by day, of 100: ${p.days.join(', ')}`}
    >
      {p.days.map((d, i) => (
        <rect
          key={i}
          x={i * w + 0.4}
          width={w - 0.8}
          y={30 - Math.max(0.8, d * 0.3)}
          height={Math.max(0.8, d * 0.3)}
          className={d >= 60 ? 'high' : undefined}
        />
      ))}
      <line x1="0" x2="100" y1="12" y2="12" />
    </svg>
  );
}
