import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { type Finding, Problem as P, type Problem, type S, type View } from '../api/client';
import { useCaseCalls, useChange, useVocabulary } from '../api/hooks';
import { Sample } from '../plates/Sample';
import { Trouble } from '../ui/bits';
import { useKeys } from '../ui/keys';
import { Candidates } from './Candidates';

/** The order advisors really look in. */
export const parts = [
  { id: 'asked', name: 'Asked' },
  { id: 'plant', name: 'Plant' },
  { id: 'shoot', name: 'Shoot' },
  { id: 'leaf', name: 'Leaf' },
  { id: 'flower', name: 'Flower' },
  { id: 'fruit', name: 'Fruit' },
  { id: 'stem', name: 'Stem' },
  { id: 'root', name: 'Root' },
  { id: 'pot', name: 'Pot' },
];

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
const underside = (f: Finding) => f.where === 'underside';

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
    const own = findings.filter((f) => f.part === part);
    if (part === 'leaf') return own.filter((f) => underside(f) === under);
    return own;
  }, [findings, part, under, say]);

  useEffect(() => {
    list.current?.querySelector('.find.at')?.scrollIntoView({ block: 'nearest' });
  });

  const answer = (f: Finding, state: string, certainty?: string) => {
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
    if (f.part === 'leaf') setUnder(underside(f));
    const own = findings.filter((x) => x.part === f.part && (f.part !== 'leaf' || underside(x) === underside(f)));
    setAt(own.findIndex((x) => x.id === id));
    (document.activeElement as HTMLElement | null)?.blur();
  };
  const turn = (d: number) => {
    const i = parts.findIndex((p) => p.id === part);
    const p = parts[(i + d + parts.length) % parts.length];
    if (p) {
      setPart(p.id);
      setAt(0);
      setSay('');
    }
  };
  // "think so" and "a guess" speak of the answer just given, until one moves on.
  const sureness = (c: string) => {
    const a = line && answers.get(line.id);
    if (last.current) answer(last.current.f, last.current.state, c);
    else if (line && a) answer(line, a.state, c);
  };
  const walk = (d: number) => {
    last.current = null;
    setAt((a) => Math.max(0, Math.min(a + d, shown.length - 1)));
  };
  useKeys([
    {
      key: 'f',
      does: 'turn the leaf',
      run: () => {
        setPart('leaf');
        setUnder((u) => (part === 'leaf' ? !u : u));
        setAt(0);
        setSay('');
      },
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
    ...Array.from({ length: 9 }, (_, i) => ({
      key: String(i + 1),
      does: `answer ${i + 1}`,
      hidden: i > 0,
      run: () => {
        const st = line?.states[i];
        if (line && st) {
          answer(line, st.id);
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
  const problem: Problem | null = change.error instanceof P ? change.error : null;
  return (
    <div className="look">
      <section className="sheet leafbox" aria-label="The sample">
        <div className="parts">
          {parts.map((p) => (
            <button
              type="button"
              key={p.id}
              aria-pressed={!say && p.id === part}
              onClick={() => {
                setPart(p.id);
                setSay('');
                setAt(0);
              }}
            >
              {p.name}
              <i>{counts.get(p.id) ?? ''}</i>
            </button>
          ))}
        </div>
        <Sample
          view={view}
          part={part}
          under={under}
          onFlip={() => setUnder((u) => !u)}
          next={next?.finding}
          onGo={goTo}
        />
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
        <div className="scroll" ref={list}>
          {shown.length === 0 && (
            <p className="pad quiet">{say ? 'No line says that. Try a plainer word.' : 'Nothing to look at here.'}</p>
          )}
          {shown.map((f, i) => {
            const a = answers.get(f.id);
            const wide = f.states.map((s) => s.name).join('').length > 34 || f.states.length > 4;
            const r = rank.get(f.id);
            return (
              <div
                key={f.id}
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
            );
          })}
        </div>
        <Trouble of={problem} />
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
