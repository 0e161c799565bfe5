import type { S } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { StatusMark, shortDay } from '../ui/bits';

const worths: Record<string, string> = { good: 'much', fair: 'a fair amount', some: 'a little' };

/** How much it does, as one, two or three of three: seen quicker than read. */
function Worth({ of }: { of: string }) {
  const n = { good: 3, fair: 2, some: 1 }[of] ?? 0;
  return (
    <span className="worth" role="img" aria-label={`does ${worths[of]}`} title={`does ${worths[of]}`}>
      {[1, 2, 3].map((k) => (
        <i key={k} data-on={k <= n} />
      ))}
    </span>
  );
}

/** One line of the ladder: may it be chosen, what it does, and why it is or is not the rung to stand on. */
export function OfferRow({
  o,
  on,
  at,
  full,
  next,
  onFlip,
  onAt,
}: {
  o: S['Offer'];
  on: boolean;
  at: boolean;
  /** All that is to be said of it is shown. */
  full: boolean;
  /** The best of what is not chosen: why it is not. */
  next: boolean;
  onFlip: () => void;
  onAt: () => void;
}) {
  // A gate that spoke is always heard: of what is chosen every word stands under Chosen, above the button that keeps it.
  const reasons = full ? o.reasons : on ? [] : o.reasons.slice(0, 1);
  const ladder = (full || (!on && (next || !reasons.length))) && o.ladder !== o.reasons[0]?.text;
  return (
    <div
      className={on ? 'offer on' : 'offer'}
      data-open={full}
      data-remedy={o.remedy}
      data-status={o.status}
      data-at={at}
      style={at ? { outline: '1.5px solid var(--ink)', outlineOffset: -2 } : undefined}
    >
      <input
        type="checkbox"
        checked={on}
        disabled={!o.open}
        onChange={onFlip}
        aria-label={`Choose ${o.name}`}
        style={{ width: 20, height: 20, marginTop: 2, accentColor: 'var(--aub2)' }}
      />
      <span>
        <button type="button" className="plain" aria-expanded={full} onClick={onAt} style={{ textAlign: 'left' }}>
          <b>{o.name}</b>
          {o.worth && <Worth of={o.worth} />}
        </button>
        {full && o.when && <small> · {o.when}</small>}
        {full && o.how && <small> · {o.how}</small>}
        {reasons.length > 0 && <small style={{ display: 'block' }}>{reasons.map((r) => r.text).join(' ')}</small>}
        {ladder && <small style={{ display: 'block' }}>{o.ladder}</small>}
        {full && o.open && o.kills.length > 0 && <Kills of={o.kills} />}
      </span>
      <StatusMark status={o.status}>
        {o.status === 'not now' && o.until ? `not now, until ${shortDay(o.until)}` : (o.not ?? o.status)}
      </StatusMark>
    </div>
  );
}

/** What stands beside the ladder whatever is chosen. */
export function GoodToKnow({ of }: { of: S['CaseAdvice'] }) {
  const { data: kb } = useVocabulary();
  return (
    <div className="sheet pad stack">
      {of.worked.length > 0 && (
        <div data-worked={of.worked.length}>
          <h3>What worked here</h3>
          <ul className="tight">
            {of.worked.map((w) => (
              <li key={w.remedy}>
                {kb?.remedies.find((r) => r.id === w.remedy)?.name ?? w.remedy}: better in {w.better} of {w.n}{' '}
                <small>
                  ({Math.round(100 * w.low)} to {Math.round(100 * w.high)} in 100)
                </small>
              </li>
            ))}
          </ul>
        </div>
      )}
      <h3>Why it happened</h3>
      <ul className="tight">
        {of.because.map((b) => (
          <li key={b}>{b}</li>
        ))}
      </ul>
      {of.mustNot.length > 0 && (
        <>
          <h3>Must not</h3>
          <ul className="tight">
            {of.mustNot.map((m) => (
              <li key={m.what}>
                {m.what}: {m.why}
              </li>
            ))}
          </ul>
        </>
      )}
      <h3>Always</h3>
      <ul className="tight">
        {of.always.map((b) => (
          <li key={b}>{b}</li>
        ))}
      </ul>
    </div>
  );
}

const stageWords: Record<string, string> = {
  egg: 'eggs',
  crawler: 'crawlers',
  young: 'young',
  grub: 'grubs',
  resting: 'resting',
  adult: 'adults',
  protects: 'protects',
  cures: 'cures',
};

/** What it does to each stage, as small bars: a tenth of the bar is one in ten. */
function Kills({ of }: { of: S['StageKill'][] }) {
  return (
    <span
      className="kills"
      role="img"
      aria-label={of.map((k) => `${stageWords[k.stage] ?? k.stage} ${Math.round(k.share * 10)} in 10`).join(', ')}
    >
      {of.map((k) => (
        <span key={k.stage}>
          <small>{stageWords[k.stage] ?? k.stage}</small>
          <i>
            <b style={{ width: `${k.share * 100}%` }} />
          </i>
        </span>
      ))}
    </span>
  );
}
