import type { S } from '../../api/client';

const howSure: Record<string, string> = { sure: 'surely', likely: 'likely', near: 'a near thing' };

/** What is advised, why, and what would change it. */
export function Answer({ d }: { d: S['Decision'] }) {
  return (
    <div className="decision" data-decision={d.act} aria-live="polite">
      <h2>
        {d.words}
        {d.act !== 'more' && <small> · {howSure[d.sure]}</small>}
      </h2>
      <ul className="tight">
        {d.why.map((x) => (
          <li key={x}>{x}</li>
        ))}
      </ul>
      {d.step?.says === 'more' && d.act === 'more' && (
        <p data-least>
          <b>{d.step.least === 1 ? 'One more could be enough' : `${d.step.least} more could be enough`} to tell.</b>
        </p>
      )}
      {d.unfit && <div className="notice">{d.unfit}</div>}
      {d.change.length > 0 && (
        <p>
          <small>What would change it: {d.change.join(' ')}</small>
        </p>
      )}
    </div>
  );
}

/** What favours it here, each with the change that would help. */
export function WhyHere({ of: w }: { of: S['Weighed'] }) {
  return (
    <div className="sheet pad stack" data-why-here={w.here.length}>
      <h2>Why here?</h2>
      {w.here.length === 0 && <p className="quiet">Nothing that was asked favours it. In general:</p>}
      {w.here.length > 0 && (
        <table className="lines">
          <tbody>
            {w.here.map((x) => (
              <tr key={x.said}>
                <th scope="row">
                  {x.said}
                  {x.told && <small style={{ display: 'block' }}>told</small>}
                </th>
                <td>{x.change}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <ul className="tight">
        {w.else.map((x) => (
          <li key={x}>
            <small>{x}</small>
          </li>
        ))}
      </ul>
    </div>
  );
}
