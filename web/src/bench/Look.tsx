import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Finding, S, View } from '../api/client';
import { useCaseCalls, useChange, useVocabulary } from '../api/hooks';
import { Sample, type Spot } from '../plates/Sample';
import { useKeys } from '../ui/keys';
import { Candidates } from './Candidates';
import { ChangeTrouble } from './ChangeTrouble';
import { Here } from './Here';
import { Photos } from './Photos';
import { linesOf, parts, topicOf, topicsOf, underside } from './topics';

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

export function Look({ view }: { view: View }) {
  const { data: kb } = useVocabulary();
  const client = useQueryClient();
  const change = useChange(view.id);
  const calls = useCaseCalls(view.id);
  const next = view.reading.next?.[0];
  const findings = kb?.findings ?? [];
  const byId = useMemo(() => new Map(findings.map((f) => [f.id, f])), [findings]);
  const [part, setPart] = useState(() =>
    next && view.looks.length ? (byId.get(next.finding)?.part ?? 'leaf') : 'leaf',
  );
  const [under, setUnder] = useState(false);
  const [say, setSay] = useState('');
  const [at, setAt] = useState(0);
  const [topic, setTopic] = useState('');
  const [here, setHere] = useState<{ spot: Spot; zone: string } | null>(null);
  const [tool, setTool] = useState<'own' | 'eye'>('own');
  const box = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const last = useRef<{ f: Finding; state: string } | null>(null);
  const answers = useMemo(() => new Map(view.looks.map((l) => [l.finding, l])), [view.looks]);
  const rank = useMemo(() => new Map((view.reading.next ?? []).map((n, i) => [n.finding, i])), [view.reading.next]);

  const shown = useMemo(() => {
    const words = say.toLowerCase().split(/\s+/).filter(Boolean);
    if (words.length) {
      const text = (f: Finding) =>
        `${f.name} ${f.short} ${f.hint ?? ''} ${f.states.map((s) => `${s.name} ${s.said ?? ''}`).join(' ')}`.toLowerCase();
      return findings.filter((f) => words.every((w) => text(f).includes(w)));
    }
    const own = linesOf(findings, part, under);
    return topic ? own.filter((f) => topicOf(f) === topic) : own;
  }, [findings, part, under, say, topic]);
  const topics = useMemo(() => topicsOf(linesOf(findings, part, under)), [findings, part, under]);

  // Only a key moves the view: what is opened or clicked stands where it is.
  const moved = useRef(false);
  useEffect(() => {
    if (moved.current) list.current?.querySelector('.find.at')?.scrollIntoView({ block: 'nearest' });
    moved.current = false;
  });

  const answer = (f: Finding, state: string, certainty?: string, spot?: Spot) => {
    const was = answers.get(f.id);
    last.current = state ? { f, state } : null;
    // The answer shows at once; a refusal puts the old one back.
    const before = client.getQueryData<View>(['case', view.id]);
    if (before) {
      const rest = before.looks.filter((l) => l.finding !== f.id);
      client.setQueryData<View>(['case', view.id], {
        ...before,
        looks: state
          ? [
              ...rest,
              {
                finding: f.id,
                state,
                certainty: (certainty ?? 'sure') as 'sure',
                spot: spot ?? was?.spot,
                by: '',
                at: new Date().toISOString(),
              },
            ]
          : rest,
      });
    }
    const body: S['LookBody'] = {
      state,
      certainty: (certainty ?? (was?.state === state ? was.certainty : 'sure')) as 'sure',
      ...(spot ? { spot } : {}),
      ...(tool === 'eye' && f.how === 'lens' ? { instrument: 'eye' as const } : {}),
    };
    change.mutate(calls.look(f.id, body), {
      onError: () => before && client.setQueryData(['case', view.id], before),
    });
  };

  const line = shown[Math.min(at, shown.length - 1)];
  const goTo = (id: string) => {
    const f = byId.get(id);
    if (!f) return;
    setSay('');
    setPart(f.part);
    setTopic('');
    setHere(null);
    if (f.part === 'leaf') setUnder(underside(f));
    moved.current = true;
    setAt(linesOf(findings, f.part, underside(f)).findIndex((x) => x.id === id));
    (document.activeElement as HTMLElement | null)?.blur();
  };
  const show = (id: string, below = under) => {
    setPart(id);
    setUnder(below);
    setTopic('');
    setHere(null);
    setAt(0);
    setSay('');
  };
  const turn = (d: number) => {
    // The leaf is two stops: its upper side, then its underside.
    const stops = parts.flatMap((p) => (p.id === 'leaf' ? [`leaf 0`, `leaf 1`] : [p.id]));
    const i = stops.indexOf(part === 'leaf' ? `leaf ${under ? 1 : 0}` : part);
    const [id, side] = (stops[(i + d + stops.length) % stops.length] as string).split(' ');
    show(id as string, side === '1');
  };
  const turnTopic = (d: number) => {
    const all = ['', ...topics];
    setTopic(all[(all.indexOf(topic) + d + all.length) % all.length] as string);
    setAt(0);
    setSay('');
  };
  const onPlace = (spot: Spot, zone: string) => {
    if (part === 'plant' && zone) show(zone, false);
    else setHere({ spot, zone });
  };
  // "think so" and "a guess" speak of the answer just given, until one moves on.
  const sureness = (c: string) => {
    const a = line && answers.get(line.id);
    if (last.current) answer(last.current.f, last.current.state, c);
    else if (line && a) answer(line, a.state, c);
  };
  const walk = (d: number) => {
    last.current = null;
    moved.current = true;
    setAt((a) => Math.max(0, Math.min(a + d, shown.length - 1)));
  };
  useKeys([
    {
      key: 'f',
      does: 'turn the leaf',
      run: () => show('leaf', part === 'leaf' ? !under : under),
    },
    {
      key: 's',
      does: 'say what you see',
      run: () => {
        setSay('');
        box.current?.focus();
      },
    },
    { key: 'ArrowDown', does: 'line', run: () => walk(1) },
    { key: 'ArrowUp', does: 'line', hidden: true, run: () => walk(-1) },
    { key: 'ArrowRight', does: 'next part', run: () => turn(1) },
    { key: 'ArrowLeft', does: 'part before', hidden: true, run: () => turn(-1) },
    { key: 'PageDown', does: 'next group', run: () => turnTopic(1) },
    { key: 'PageUp', does: 'group before', hidden: true, run: () => turnTopic(-1) },
    ...Array.from({ length: 9 }, (_, i) => ({
      key: String(i + 1),
      does: `answer ${i + 1}`,
      hidden: i > 0,
      run: () => {
        const st = line?.states[i];
        if (line && st) {
          answer(line, st.id);
          moved.current = true;
          setAt((a) => Math.min(a + 1, shown.length - 1));
        }
      },
    })),
    { key: 'Enter', does: 'to what is asked next', run: () => next && goTo(next.finding) },
    { key: 'x', does: 'not looked', run: () => line && answer(line, '') },
    { key: 't', does: 'think so', run: () => sureness('think') },
    { key: 'g', does: 'a guess', run: () => sureness('guess') },
    { key: 'y', does: 'sure', hidden: true, run: () => sureness('sure') },
  ]);
  const counts = new Map<string, number>();
  for (const l of view.looks) {
    const p = byId.get(l.finding)?.part ?? '';
    counts.set(p, (counts.get(p) ?? 0) + 1);
  }
  const title = say
    ? 'Lines that fit'
    : part === 'leaf'
      ? `Leaf, ${under ? 'underside' : 'upper side'}`
      : (parts.find((p) => p.id === part)?.name ?? '');
  const open = shown.filter((f) => !answers.has(f.id)).length;
  return (
    <div className="look">
      <section className="sheet leafbox" aria-label="The sample">
        <div className="parts">
          {parts.map((p) => (
            <button type="button" key={p.id} aria-pressed={!say && p.id === part} onClick={() => show(p.id)}>
              {p.name}
              <i>{counts.get(p.id) ?? ''}</i>
            </button>
          ))}
        </div>
        <Sample
          view={view}
          part={part}
          under={under}
          onFlip={() => show('leaf', !under)}
          next={next?.finding}
          onGo={goTo}
          onPlace={onPlace}
        />
        {here && (
          <Here
            lines={linesOf(findings, part, under)}
            zone={here.zone}
            rank={rank}
            answered={new Set(answers.keys())}
            onClose={() => setHere(null)}
            onPick={(f, st) => {
              answer(f, st, undefined, here.spot);
              setTopic('');
              setAt(linesOf(findings, part, under).findIndex((x) => x.id === f.id));
              setHere(null);
            }}
          />
        )}
        <Photos view={view} />
      </section>
      <section className="sheet" aria-label="Findings">
        <div className="say">
          <input
            ref={box}
            value={say}
            aria-label="Say what you see"
            placeholder="say what you see, or arrow to a line"
            onChange={(e) => {
              setSay(e.target.value);
              setAt(0);
            }}
            onKeyDown={(e) => {
              if (e.key === 'Escape') {
                setSay('');
                box.current?.blur();
              }
              if (e.key === 'Enter' || e.key === 'ArrowDown') {
                e.preventDefault();
                box.current?.blur();
              }
            }}
          />
          <kbd>s</kbd>
        </div>
        <div className="row" style={{ padding: '6px 12px 4px' }}>
          <h3>{title}</h3>
          <small>
            {shown.length - open} looked at, {open} open
            {' · '}
            <button
              type="button"
              className="plain"
              style={{ textDecoration: 'underline' }}
              aria-pressed={tool === 'eye'}
              onClick={() => setTool((t) => (t === 'eye' ? 'own' : 'eye'))}
            >
              {tool === 'eye' ? 'naked eye' : 'with the lens'}
            </button>
          </small>
        </div>
        {!say && topics.length > 1 && (
          <div className="topics" role="group" aria-label="Groups of lines">
            {['', ...topics].map((t) => (
              <button
                type="button"
                key={t}
                aria-pressed={topic === t}
                data-topic={t}
                className={
                  t &&
                  rank.get(next?.finding ?? '') === 0 &&
                  topicOf(byId.get(next?.finding ?? '') ?? ({} as Finding)) === t
                    ? 'next'
                    : ''
                }
                onClick={() => {
                  setTopic(t);
                  setAt(0);
                }}
              >
                {t || 'all'}
              </button>
            ))}
          </div>
        )}
        <div className="scroll" ref={list}>
          {shown.length === 0 && (
            <p className="pad quiet">{say ? 'No line says that. Try a plainer word.' : 'Nothing to look at here.'}</p>
          )}
          {shown.map((f, i) => {
            const a = answers.get(f.id);
            const wide = f.states.map((s) => s.name).join('').length > 34 || f.states.length > 4;
            const r = rank.get(f.id);
            const before = shown[i - 1];
            const head = !say && !topic && topics.length > 1 && (!before || topicOf(before) !== topicOf(f));
            return (
              <div key={f.id}>
                {head && <h4 className="topic">{topicOf(f)}</h4>}
                <div
                  className={`find${i === Math.min(at, shown.length - 1) ? ' at' : ''}${r === 0 ? ' next' : ''}`}
                  data-finding={f.id}
                >
                  <span>
                    {f.name}
                    <small>
                      {r === 0 && <b style={{ color: 'var(--mari-ink)' }}>look here next · </b>}
                      {howWords[f.how]} · {minutes(f.minutes)}
                      {f.destructive ? ' · uses it up' : ''}
                      {f.hint ? ` · ${f.hint}` : ''}
                      {a && a.certainty !== 'sure' ? ` · ${a.certainty === 'think' ? 'think so' : 'a guess'}` : ''}
                    </small>
                  </span>
                  <div className={wide ? 'seg wide' : 'seg'} role="radiogroup" aria-label={f.name}>
                    {f.states.map((s) => (
                      <button
                        type="button"
                        key={s.id}
                        role="radio"
                        aria-checked={a?.state === s.id}
                        className={s.absent ? 'absent' : ''}
                        data-state={s.id}
                        onClick={() => {
                          setAt(i);
                          answer(f, a?.state === s.id ? '' : s.id);
                        }}
                      >
                        {s.name}
                      </button>
                    ))}
                  </div>
                </div>
              </div>
            );
          })}
        </div>
        <ChangeTrouble id={view.id} change={change} />
      </section>
      <section className="sheet" aria-label="What it could be">
        <Candidates view={view} onGo={goTo} />
        <Link to={`/bench/${view.id}/verdict`} className="skip">
          To the verdict
        </Link>
      </section>
    </div>
  );
}
