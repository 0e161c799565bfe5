import type { Finding } from '../api/client';
import type { LookState } from './useLookState';

const howWords: Record<string, string> = {
  asked: 'ask',
  eye: 'eye',
  lens: '10x lens',
  test: 'test',
  scope: 'microscope',
  meter: 'meter',
};
const minutes = (m: number) =>
  m < 0.5
    ? 'seconds'
    : m < 1
      ? 'half a minute'
      : m >= 120
        ? `${Math.round(m / 60)} hours`
        : m === 1
          ? 'a minute'
          : `${m} minutes`;

const sure: Record<string, string> = { think: ' · think so', guess: ' · a guess' };

/** One line: what to look at, how, and its answers. Within the answers the arrow keys move, as in any radio group. */
export function FindingRow({ s, f, i }: { s: LookState; f: Finding; i: number }) {
  const a = s.answers.get(f.id);
  const wide = f.states.map((x) => x.name).join('').length > 34 || f.states.length > 4;
  const asked = s.rank.get(f.id) === 0;
  const stop = Math.max(
    0,
    f.states.findIndex((x) => x.id === a?.state),
  );
  return (
    <div className={`find${i === s.at ? ' at' : ''}${asked ? ' next' : ''}`} data-finding={f.id}>
      <span>
        {f.name}
        <small>
          {asked && <b style={{ color: 'var(--mari-ink)' }}>look here next · </b>}
          {howWords[f.how]} · {minutes(f.minutes)}
          {f.destructive ? ' · uses it up' : ''}
          {f.hint ? ` · ${f.hint}` : ''}
          {(a?.certainty && sure[a.certainty]) ?? ''}
        </small>
      </span>
      <div
        className={wide ? 'seg wide' : 'seg'}
        role="radiogroup"
        aria-label={f.name}
        onKeyDown={(e) => {
          const d = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[e.key];
          if (!d) return;
          const all = [...e.currentTarget.querySelectorAll<HTMLElement>('[role=radio]')];
          const to = all[(all.indexOf(e.target as HTMLElement) + d + all.length) % all.length];
          to?.focus();
          e.preventDefault();
          e.stopPropagation();
        }}
      >
        {f.states.map((x, n) => (
          <button
            type="button"
            key={x.id}
            role="radio"
            tabIndex={n === stop ? 0 : -1}
            aria-checked={a?.state === x.id}
            className={x.absent ? 'absent' : ''}
            data-state={x.id}
            onClick={() => {
              s.setAt(i);
              s.answer(f, a?.state === x.id ? '' : x.id);
            }}
          >
            {x.name}
          </button>
        ))}
      </div>
    </div>
  );
}
