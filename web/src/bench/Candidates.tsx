import { useMemo } from 'react';
import { Link } from 'react-router';
import type { View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Mark } from '../plates/Mark';
import { Tilt } from '../ui/Tilt';

export const verdictWords: Record<string, string> = {
  settled: 'Settled',
  working: 'Likely',
  open: 'Still open',
  undetermined: 'Nothing fits',
};

/** The tilt, the candidates with a reason each, and the one look that would tell most. */
export function Candidates({ view, onGo }: { view: View; onGo?: (finding: string) => void }) {
  const { data: kb } = useVocabulary();
  const r = view.reading;
  const names = useMemo(() => new Map((kb?.causes ?? []).map((c) => [c.id, c.name])), [kb]);
  const drawings = useMemo(() => new Map((kb?.causes ?? []).map((c) => [c.id, c.drawing])), [kb]);
  const next = r.next?.[0];
  const none = r.looked === 0;
  return (
    <>
      <div className="row pad" style={{ paddingBottom: 0 }}>
        <h3>The tilt</h3>
        <small data-verdict={r.verdict}>
          {none ? 'nothing weighed yet' : `${verdictWords[r.verdict]} · ${Math.abs(r.tiltTotal).toFixed(0)} decibans`}
        </small>
      </div>
      <Tilt reading={r} names={names} />
      <div className="scroll">
        {r.alarms.map((a) => (
          <div key={a} className="notice brick" style={{ margin: '0 12px 6px' }}>
            {a}
          </div>
        ))}
        {next && (
          <button
            type="button"
            className="plain notice"
            style={{ margin: '0 12px 8px', display: 'block' }}
            onClick={() => onGo?.(next.finding)}
            data-next={next.finding}
          >
            <b>Look next: {next.name.charAt(0).toLowerCase() + next.name.slice(1)}</b>
            {next.outcomes
              .filter((o) => o.p > 0.02)
              .sort((a, b) => b.p - a.p)
              .slice(0, 3)
              .map((o) => (
                <small key={o.state} style={{ display: 'block' }}>
                  {o.name}: {o.text}
                </small>
              ))}
          </button>
        )}
        {r.stop && (
          <div className="notice pond" style={{ margin: '0 12px 8px' }}>
            {r.stop}
          </div>
        )}
        {r.noneFits && (
          <div className="notice brick" style={{ margin: '0 12px 8px' }}>
            <b>What was seen fits nothing here well.</b> Look again at the odd one out, or send it on.
          </div>
        )}
        {r.pairs.map((p) => (
          <div key={p.causes.join()} className="notice" style={{ margin: '0 12px 8px' }}>
            <b>Two at once?</b> {p.names.join(' and ')} together explain this better.
          </div>
        ))}
        {r.candidates.slice(0, 8).map((c) => (
          <div className="cand" key={c.cause} data-cause={c.cause}>
            <Mark drawing={drawings.get(c.cause) ?? {}} />
            <span>
              <Link to={`/plates/${c.cause}`} style={{ textDecoration: 'none', fontWeight: 650 }}>
                {c.name}
              </Link>
              {c.kind === 'helper' && <b style={{ color: 'var(--lichen)' }}> helper</b>}
              {!none && <small>{c.reason}</small>}
              <div className="bar">
                <i style={{ width: `${Math.max(1, c.p * 100)}%` }} />
              </div>
            </span>
            <span className="pc num">{c.p >= 0.995 ? 99 : Math.round(c.p * 100)}</span>
          </div>
        ))}
      </div>
    </>
  );
}
