import { Link } from 'react-router';
import type { S } from '../api/client';
import { dayAndMonth } from '../ui/bits';
import { casesOf } from './links';

const yearDay = (iso: string) => (Date.parse(iso) - Date.parse(`${iso.slice(0, 4)}-01-01`)) / 86_400_000;

/** When each pest first came in this year, against its usual day and what warmth it had had. */
export function Arrivals({ of }: { of: S['Season'] }) {
  const list = of.arrivals.slice(0, 14);
  const year = of.to.slice(0, 4);
  const x = (iso: string) => (100 * yearDay(iso)) / 366;
  return (
    <section className="sheet pad stack arrivals" data-arrivals={of.arrivals.length}>
      <h2>First of the year</h2>
      {list.length === 0 && <p className="quiet">Nothing was settled yet this year, and no two earlier years.</p>}
      <table className="lines">
        <thead className="vh">
          <tr>
            <th scope="col">Cause</th>
            <th scope="col">First this year and usual day</th>
            <th scope="col">In words</th>
          </tr>
        </thead>
        <tbody>
          {list.map((a) => (
            <tr key={a.cause}>
              <th scope="row">
                <Link to={casesOf({ cause: a.cause, from: `${year}-01-01`, to: of.to })}>{a.name}</Link>
              </th>
              <td className="yearline">
                <svg viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
                  <line x1="0" x2="100" y1="6" y2="6" className="base" />
                  {a.usual && (
                    <rect
                      x={x(a.usual) - (100 * (a.within ?? 0)) / 366}
                      width={Math.max(1, (200 * (a.within ?? 0)) / 366)}
                      y="3"
                      height="6"
                      className="usual"
                    />
                  )}
                  {a.day && <rect x={x(a.day) - 0.7} width="1.4" y="0" height="12" className="now" />}
                </svg>
              </td>
              <td>
                {a.day ? dayAndMonth(a.day) : `not yet; usually ${dayAndMonth(a.usual ?? '')}`}
                <small>
                  {a.day && a.usual && `, ${(a.within ?? 0) > anyTime ? 'comes at any time' : when(a.early)}`}
                  {(a.within ?? 0) <= anyTime &&
                    a.degreeDays !== undefined &&
                    ` · ${Math.round(a.degreeDays)} °D${a.usualDegreeDays === undefined ? '' : ` (usual ${Math.round(a.usualDegreeDays)})`}`}
                </small>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {list.length > 0 && (
        <small>
          The pale stretch is where earlier years lay. °D: degree-days above the pest's own threshold since 1 January,
          from {of.weather}.
        </small>
      )}
    </section>
  );
}

/** Days by which earlier years lie apart, beyond which nothing is early or late. */
const anyTime = 40;

const when = (early: number) =>
  early === 0
    ? 'on its usual day'
    : `${Math.abs(early)} ${Math.abs(early) === 1 ? 'day' : 'days'} ${early > 0 ? 'early' : 'late'}`;
