import type { Finding } from '../api/client';
import { folded, linesOf, parts, topicOf } from '../parts/topics';
import { FindingRow } from './FindingRow';
import { StoryOffers } from './StoryOffers';
import type { LookState } from './useLookState';

/** The lines of the part in hand, or those that fit what was typed. */
export function FindingList({ s }: { s: LookState }) {
  const title = s.say
    ? 'Lines that fit'
    : s.part === 'leaf'
      ? `Leaf, ${s.under ? 'underside' : 'upper side'}`
      : (parts.find((p) => p.id === s.part)?.name ?? '');
  const open = s.shown.filter((f) => !s.answers.has(f.id)).length;
  return (
    <section className="sheet" aria-label="Findings">
      <Say s={s} />
      <div className="row" style={{ padding: '6px 12px 4px' }}>
        <h2 className="h3">{title}</h2>
        <small>
          {s.shown.length - open} looked at, {open} open
          {' · '}
          <button
            type="button"
            className="plain"
            style={{ textDecoration: 'underline' }}
            aria-pressed={s.tool === 'eye'}
            onClick={() => s.setTool((t) => (t === 'eye' ? 'own' : 'eye'))}
          >
            {s.tool === 'eye' ? 'naked eye' : 'with the lens'}
          </button>
        </small>
      </div>
      <Topics s={s} />
      <div className="scroll" ref={s.list}>
        <StoryOffers s={s} />
        {s.shown.length === 0 && (
          <p className="pad quiet">{s.say ? 'No line says that. Try a plainer word.' : 'Nothing to look at here.'}</p>
        )}
        {s.shown.map((f, i) => {
          const before = s.shown[i - 1];
          const head =
            !s.say && !s.topic && i >= s.first && (i === s.first || topicOf(before as Finding) !== topicOf(f));
          return (
            <div key={f.id}>
              {head && <h4 className="topic">{topicOf(f)}</h4>}
              <FindingRow s={s} f={f} i={i} />
            </div>
          );
        })}
        <Folded s={s} />
      </div>
    </section>
  );
}

/** What is left of this part, folded by topic. */
function Folded({ s }: { s: LookState }) {
  if (s.say || s.topic) return null;
  const rest = folded(linesOf([...s.byId.values()], s.part, s.under), s.shown);
  return rest.map(([t, n]) => (
    <button
      type="button"
      key={t}
      className="plain fold"
      data-fold={t}
      onClick={() => s.setOpen((o) => new Set([...o, t]))}
    >
      {t} <small>{n === 1 ? 'one more line' : `${n} more lines`}</small>
    </button>
  ));
}

function Say({ s }: { s: LookState }) {
  return (
    <div className="say">
      <input
        ref={s.box}
        value={s.say}
        aria-label="Say what you see"
        placeholder="say what you see; Enter writes it when one answer fits"
        onChange={(e) => {
          s.setSay(e.target.value);
          s.setAt(0);
        }}
        onKeyDown={(e) => {
          if (e.key === 'Escape') {
            s.setSay('');
            s.box.current?.blur();
          }
          if (e.key === 'Enter') {
            e.preventDefault();
            void s.take().then((written) => written || s.box.current?.blur());
          } else if (e.key === 'ArrowDown') {
            e.preventDefault();
            s.box.current?.blur();
          }
        }}
      />
      <kbd>s</kbd>
    </div>
  );
}

function Topics({ s }: { s: LookState }) {
  if (s.say || s.topics.length < 2) return null;
  const asked = s.next && s.byId.get(s.next.finding);
  return (
    <div className="topics" role="group" aria-label="Groups of lines">
      {['', ...s.topics].map((t) => (
        <button
          type="button"
          key={t}
          aria-pressed={s.topic === t}
          data-topic={t}
          className={t && asked && topicOf(asked) === t ? 'next' : ''}
          onClick={() => {
            s.setTopic(t);
            s.setAt(0);
          }}
        >
          {t || 'all'}
        </button>
      ))}
    </div>
  );
}
