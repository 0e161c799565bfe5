import { useState } from 'react';
import { Link } from 'react-router';
import type { View } from '../api/client';
import { useCauseNames } from '../api/hooks';
import { Next, verdictWords } from './Candidates';
import type { LookState } from './useLookState';

/** On a narrow page what it points to, the next look with its answers, and the way on stand in reach of a thumb. */
export function LookStrip({ view, look }: { view: View; look: LookState }) {
  const names = useCauseNames();
  const [open, setOpen] = useState(false);
  const r = view.reading;
  const lead = r.candidates[0];
  const next = r.next?.[0];
  return (
    <section className="lookstrip sheet" aria-label="In short">
      <div className="row mid">
        <span>
          <small>{r.looked ? verdictWords[r.verdict] : 'nothing looked at yet'}</small>
          {r.looked > 0 && lead && (
            <b>
              {names.get(lead.cause)} <span className="num">{Math.min(99, Math.round(lead.p * 100))}</span> in 100
            </b>
          )}
        </span>
        <Link to={`/bench/${view.id}/verdict`} className="chip">
          To the verdict
        </Link>
      </div>
      {next && (
        <button type="button" className="fold" aria-expanded={open} onClick={() => setOpen(!open)}>
          Look next: {next.name.charAt(0).toLowerCase() + next.name.slice(1)}
        </button>
      )}
      {open && <Next r={r} onGo={look.goTo} look={look} />}
    </section>
  );
}
