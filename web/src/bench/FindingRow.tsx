import { Link } from 'react-router';
import type { Finding } from '../api/client';
import { answerKeys } from '../parts/topics';
import { arrows } from '../ui/bits';
import type { LookState } from './useLookState';

const howWords: Record<string, string> = {
  asked: 'ask',
  eye: 'eye',
  lens: '10x lens',
  test: 'test',
  scope: 'microscope',
  meter: 'meter',
  lab: 'laboratory',
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

/** One line: what to look at, how, and its answers. Within the answers the arrow keys move, as in any group of them. */
export function FindingRow({ s, f, i }: { s: LookState; f: Finding; i: number }) {
  const all = s.answers.get(f.id) ?? [];
  const told = all.length > 0 && all.every((l) => l.instrument === 'told');
  const doubt = all.find((l) => l.certainty && sure[l.certainty])?.certainty;
  const wide = f.states.map((x) => x.name).join('').length > 34 || f.states.length > 4;
  const asked = s.rank.get(f.id) === 0;
  const stop = Math.max(
    0,
    f.states.findIndex((x) => all.some((l) => l.state === x.id)),
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
          {doubt && sure[doubt]}
          {told && <b> · told, not seen: weak</b>}
          {f.where === 'slide' && (
            <>
              {' · '}
              <Link to={`/scope?case=${s.id}&finding=${f.id}`} data-measure={f.id}>
                at the scope
              </Link>
            </>
          )}
        </small>
      </span>
      <States s={s} f={f} wide={wide} stop={stop} keys={i === s.at} onPick={() => s.setAt(i)} />
    </div>
  );
}

/** The answers of a line. Where several can stand together each is there, not there, or not looked. */
export function States({
  s,
  f,
  wide,
  stop,
  keys,
  onPick,
}: {
  s: LookState;
  f: Finding;
  wide: boolean;
  stop: number;
  /** It is the line in hand: each answer shows its key. */
  keys?: boolean;
  onPick: () => void;
}) {
  const all = s.answers.get(f.id) ?? [];
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: its role follows the kind of line
    <div
      className={wide ? 'seg wide' : 'seg'}
      {...(f.many
        ? { role: 'group', 'aria-label': `${f.name}; several can be there` }
        : { role: 'radiogroup', 'aria-label': f.name })}
      onKeyDown={(e) => arrows(e, '[data-state]')}
    >
      {f.states.map((x, n) => {
        const l = all.find((r) => r.state === x.id);
        const there = !!l && !l.not;
        return (
          <button
            type="button"
            key={x.id}
            {...{ role: f.many ? 'checkbox' : 'radio', 'aria-checked': l?.not ? 'mixed' : there }}
            tabIndex={n === stop ? 0 : -1}
            className={[x.absent && 'absent', l?.not && 'nothere', l?.instrument === 'told' && 'told']
              .filter(Boolean)
              .join(' ')}
            data-state={x.id}
            title={f.many && !x.absent ? 'once: there; twice: looked for, not there' : undefined}
            onClick={() => {
              onPick();
              s.press(f, x.id);
            }}
          >
            {keys && answerKeys[n] && (
              <i className="key" aria-hidden="true">
                {answerKeys[n]}
              </i>
            )}
            {l?.not && <span className="vh">not there: </span>}
            {x.name}
          </button>
        );
      })}
    </div>
  );
}
