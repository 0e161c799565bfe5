import { useMemo } from 'react';
import { Link } from 'react-router';
import type { S, View } from '../api/client';
import { useCauseNames, useVocabulary } from '../api/hooks';
import { Mark } from '../plates/Mark';
import { Tilt } from '../ui/Tilt';
import { LeftOver } from './LeftOver';
import type { LookState } from './useLookState';

export const verdictWords: Record<string, string> = {
  settled: 'Settled',
  group: 'Settled to the group',
  working: 'Likely',
  open: 'Still open',
  undetermined: 'Send it on',
};

type Props = { view: View; onGo?: (finding: string) => void; look?: LookState };

/** The tilt, what must not be missed, the one look that would tell most, and the candidates with a reason each. */
export function Candidates({ view, onGo, look }: Props) {
  const r = view.reading;
  const names = useCauseNames();
  const none = r.looked === 0;
  return (
    <>
      <div className="row pad" style={{ paddingBottom: 0 }}>
        <h2 className="h3">What it points to</h2>
        <small
          data-verdict={r.verdict}
          aria-live="polite"
          title={none ? undefined : `${Math.abs(r.tiltTotal).toFixed(0)} decibans between the two on the beam`}
        >
          {none ? 'nothing weighed yet' : verdictWords[r.verdict]}
          {!none && r.candidates[0] && <span className="vh">: {r.candidates[0].name} leads</span>}
        </small>
      </div>
      {none ? (
        <p className="quiet" style={{ padding: '4px 16px 10px' }}>
          Each look lays a weight on the beam, on the side it speaks for.
        </p>
      ) : (
        <Tilt reading={r} names={names} />
      )}
      <div className="scroll">
        {r.alarms.map((a) => (
          <div
            key={a.cause}
            className={a.kind === 'helper' ? 'notice' : 'notice brick'}
            role={a.kind === 'people' ? 'alert' : undefined}
            data-alarm={a.kind}
            style={{ margin: '0 12px 6px' }}
          >
            {a.text}
          </div>
        ))}
        {r.verdict === 'undetermined' && (
          <div className="notice brick" style={{ margin: '0 12px 8px' }} data-unfit>
            <b>{r.why[0]}</b> Look again at the odd one out, or send it on.
          </div>
        )}
        {r.verdict === 'group' && (
          <div className="notice pond" style={{ margin: '0 12px 8px' }} data-group-verdict>
            <b>Settled to the group.</b> {r.why[0]}
          </div>
        )}
        <LeftOver view={view} keys={!!look} />
        <Next r={r} onGo={onGo} look={look} />
        {r.stop && (
          <div className="notice pond" style={{ margin: '0 12px 8px' }}>
            {r.stop}
          </div>
        )}
        {r.pairs.slice(0, 1).map((p) => (
          <div key={p.causes.join()} className="notice" style={{ margin: '0 12px 8px' }}>
            <b>Two at once?</b> {p.names.join(' and ')} together explain this better.
          </div>
        ))}
        <List r={r} none={none} />
        {!none && r.mustLook.length > 0 && r.verdict !== 'undetermined' && <Must r={r} onGo={onGo} />}
      </div>
    </>
  );
}

/** What an answer would do is said of the few that are likely. */
const likely = (o: { p: number }, i: number) => o.p > 0.02 && i < 4;

/** The look that would tell most, with what each answer would do. Where one looks, it is answered where it stands. */
export function Next({ r, onGo, look }: { r: S['Ranking']; onGo?: (finding: string) => void; look?: LookState }) {
  const next = r.next?.[0];
  if (!next) return null;
  const f = look?.byId.get(next.finding);
  const outcomes = [...(next.outcomes ?? [])].sort((a, b) => b.p - a.p);
  return (
    <div className="notice next" data-next={next.finding}>
      <button type="button" className="plain" onClick={() => onGo?.(next.finding)}>
        <b>Look next: {next.name.charAt(0).toLowerCase() + next.name.slice(1)}</b>
      </button>
      {outcomes.slice(0, f ? 8 : 3).map((o, i) =>
        f && look ? (
          <button
            type="button"
            className={likely(o, i) ? 'plain answer-here' : 'plain answer-here unlikely'}
            key={o.state}
            data-answer-here={o.state}
            onClick={() => look.press(f, o.state)}
          >
            {o.name} {likely(o, i) && <small>{o.text}</small>}
          </button>
        ) : (
          <small key={o.state} style={{ display: 'block' }}>
            {o.name}: {o.text}
          </small>
        ),
      )}
    </div>
  );
}

/** The candidates, and among them what is not in this book, by its share. */
function List({ r, none }: { r: S['Ranking']; none: boolean }) {
  const { data: kb } = useVocabulary();
  const drawings = useMemo(() => new Map((kb?.causes ?? []).map((c) => [c.id, c.drawing])), [kb]);
  const list = r.candidates.slice(0, 6);
  const u = r.unlisted;
  const at = list.findIndex((c) => c.p < u.p);
  const unlisted = u.p >= 0.02 && (
    <div className="cand" key="unlisted" data-unlisted>
      <span className="unlisted" aria-hidden="true">
        ?
      </span>
      <span>
        <b>Something not in this book</b>
        <small>
          most like {u.class}
          {u.few ? '; little of this plant is in the book' : ''}
        </small>
        <Bar p={u.p} />
      </span>
      <span className="pc num">{Math.round(u.p * 100)}</span>
    </div>
  );
  return (
    <>
      {list.map((c, i) => (
        <div key={c.cause}>
          {i === at && unlisted}
          <div className="cand" data-cause={c.cause}>
            <Mark drawing={drawings.get(c.cause) ?? {}} />
            <span>
              <Link to={`/plates/${c.cause}`} style={{ textDecoration: 'none', fontWeight: 650 }}>
                {c.name}
              </Link>
              {c.kind === 'helper' && <b style={{ color: 'var(--lichen)' }}> helper</b>}
              {!none && <small>{c.reason}</small>}
              <Bar p={c.p} />
            </span>
            <span className="pc num">{c.p >= 0.995 ? 99 : Math.round(c.p * 100)}</span>
          </div>
        </div>
      ))}
      {at < 0 && unlisted}
    </>
  );
}

const Bar = ({ p }: { p: number }) => (
  <div className="bar">
    <i style={{ width: `${Math.max(1, p * 100)}%` }} />
  </div>
);

/** What still has to be looked at before the leader may be called settled. */
function Must({ r, onGo }: { r: S['Ranking']; onGo?: (finding: string) => void }) {
  return (
    <div className="must" data-must>
      <b>Before it is settled</b>
      <ul className="tight">
        {r.mustLook.map((m) => (
          <li key={m.name}>
            {m.finding && onGo ? (
              <button type="button" className="plain" onClick={() => onGo(m.finding as string)}>
                {m.why}
              </button>
            ) : (
              m.why
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
