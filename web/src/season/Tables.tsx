import { Link } from 'react-router';
import type { S } from '../api/client';
import { casesOf, per100 } from './links';

/** Samples by plant. */
export function Plants({ of }: { of: S['Season'] }) {
  const most = Math.max(1, ...of.hosts.map((h) => h.n));
  if (!of.hosts.length) return null;
  return (
    <section className="sheet pad stack" data-plants={of.hosts.length}>
      <h2>On what</h2>
      <table className="lines counts">
        <tbody>
          {of.hosts.map((h) => (
            <tr key={h.id ?? ''}>
              <th scope="row">
                <Link to={casesOf({ host: h.id || '-', from: of.from, to: of.to })}>{h.name}</Link>
              </th>
              <td>
                <i style={{ width: `${(100 * h.n) / most}%` }} />
              </td>
              <td className="num">{h.n}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What was advised and what it did: from five known ends on, with how sure that is. */
export function WhatWorked({ of }: { of: S['Season'] }) {
  return (
    <section className="sheet pad stack" data-worked={of.advised.length}>
      <h2>What was advised and what it did</h2>
      {of.advised.length === 0 ? (
        <p className="quiet">Fewer than five ends are known of any; close cases with how they ended.</p>
      ) : (
        <table className="lines worked">
          <thead className="vh">
            <tr>
              <th scope="col">Against and with what</th>
              <th scope="col">Share that got better</th>
              <th scope="col">Cases</th>
            </tr>
          </thead>
          <tbody>
            {of.advised.slice(0, 12).map((a) => (
              <tr key={a.cause + a.remedy}>
                <th scope="row">
                  <Link to={casesOf({ cause: a.cause, remedy: a.remedy, from: of.from, to: of.to })}>
                    {a.causeName}
                  </Link>
                  <small style={{ display: 'block' }}>{a.remedyName}</small>
                </th>
                <td>
                  <svg viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
                    <line x1="0" x2="100" y1="6" y2="6" className="base" />
                    <line x1={100 * a.low} x2={100 * a.high} y1="6" y2="6" className="span" />
                    <rect x={(100 * a.better) / a.n - 1} width="2" y="1" height="10" className="now" />
                  </svg>
                </td>
                <td>
                  <b className="num">
                    {a.better} of {a.n}
                  </b>
                  <small style={{ display: 'block' }}>
                    {per100(a.low)} to {per100(a.high)}
                  </small>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

/** Verdicts that were changed later: what this desk takes for what. */
export function Mistaken({ of }: { of: S['Season'] }) {
  return (
    <section className="sheet pad stack" data-mistaken={of.mistaken.length}>
      <h2>Taken for something else at first</h2>
      {of.mistaken.length === 0 ? (
        <p className="quiet">No verdict was changed over these weeks.</p>
      ) : (
        <table className="lines">
          <tbody>
            {of.mistaken.slice(0, 12).map((m) => (
              <tr key={m.was + (m.became ?? '')}>
                <td>
                  <Link to={casesOf({ was: m.was, ...(m.became ? { cause: m.became } : {}) })}>{m.wasName}</Link> was{' '}
                  {m.becameName.toLowerCase()}
                </td>
                <td className="num">{m.n}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
