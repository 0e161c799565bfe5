import type { S } from '../api/client';
import { shortDay } from '../ui/bits';

/** Every recount of the case as a bar with its interval: how much of what was there is gone. */
export function AllRounds({ of }: { of: S['FollowUp'][] }) {
  const told = of.filter((f) => f.result);
  const x = (share: number) => 50 + 50 * Math.max(-1, Math.min(1, share));
  return (
    <figure className="sheet pad stack" data-all-rounds={told.length}>
      <h2>All recounts</h2>
      <table className="lines allrounds">
        <caption className="vh">Share gone of what was there before, with its 95 in 100 interval</caption>
        <tbody>
          {told.map((f) => (
            <tr key={f.at}>
              <th scope="row">{shortDay(f.at)}</th>
              <td>
                <svg viewBox="0 0 100 14" preserveAspectRatio="none" role="img" aria-label={f.result?.text}>
                  <line x1="50" x2="50" y1="0" y2="14" className="zero" />
                  <line x1={x(f.result?.low ?? 0)} x2={x(f.result?.high ?? 0)} y1="7" y2="7" className="span" />
                  <rect x={x(f.result?.reduction ?? 0) - 1.2} width="2.4" y="2" height="10" />
                </svg>
              </td>
              <td>{f.result?.word}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <small>Left of the middle: more than before; right: gone, all at the edge. The line is what it may be.</small>
    </figure>
  );
}
