import type { S } from '../api/client';
import { shortDay, weekday } from '../ui/bits';

export type Spot = { day: number; hour: number };

/** The hour of a moment as the desk's clock has it: what the desk sends carries its own offset. */
export const clock = (at: string) => at.slice(11, 16);

const minutes = (at: string) => Number(at.slice(11, 13)) * 60 + Number(at.slice(14, 16));

/** Seven days, an hour a cell: its shape says good, poor or no; the night is shaded, wet leaves underlined, rain above. */
export function HourWeek({
  of: w,
  at,
  now,
  onAt,
}: {
  of: S['SprayWeek'];
  at: Spot;
  now: string;
  onAt: (s: Spot) => void;
}) {
  return (
    <table className="hourweek">
      <caption className="vh">The week hour by hour; arrows move, the hour's reasons stand beside</caption>
      <thead>
        <tr>
          <td />
          {[0, 6, 12, 18].map((h) => (
            <th key={h} colSpan={6} scope="colgroup" className="num">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {w.days.map((d, day) => (
          <tr key={d.day}>
            <th scope="row">{shortDay(d.day).replace(/ \w+$/, '')}</th>
            {d.hours.map((h, hour) => {
              const m = minutes(h.at);
              const dark =
                d.light.polar === 'night' ||
                (d.light.polar !== 'day' && (m + 30 < minutes(d.light.rise) || m + 30 > minutes(d.light.set)));
              const here = at.day === day && at.hour === hour;
              const past = Date.parse(h.at) + 3_600_000 <= Date.parse(now);
              return (
                <td key={h.at} data-dark={dark} data-wet={d.wet[hour]} data-past={past}>
                  <button
                    type="button"
                    tabIndex={here ? 0 : -1}
                    aria-label={`${weekday(d.day)} ${clock(h.at)}: ${h.says}${h.why.length ? `. ${h.why.join(' ')}` : ''}`}
                    aria-pressed={here}
                    data-says={h.says}
                    onClick={() => onAt({ day, hour })}
                  >
                    {h.air.rainMm >= 0.1 && <i style={{ height: Math.min(9, 2 + h.air.rainMm * 2) }} />}
                    <svg viewBox="0 0 16 16" aria-hidden="true">
                      {h.says === 'good' && <circle cx="8" cy="8" r="5.5" fill="currentColor" />}
                      {h.says === 'poor' && (
                        <path d="M8 3 L13.5 12.5 H2.5 Z" fill="none" stroke="currentColor" strokeWidth="2" />
                      )}
                      {h.says === 'no' && (
                        <path d="M5.5 5.5 l5 5 M10.5 5.5 l-5 5" stroke="currentColor" strokeWidth="1.6" />
                      )}
                    </svg>
                  </button>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td />
          <td colSpan={24}>
            <small>
              <span data-says="good">● good</span> <span data-says="poor">△ poor</span> <span data-says="no">× no</span>{' '}
              · shaded: the sun is down · blue line: leaves are wet · bar: rain
            </small>
          </td>
        </tr>
      </tfoot>
    </table>
  );
}
