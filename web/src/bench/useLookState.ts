import { useEffect, useMemo, useRef, useState } from 'react';
import { type Answer, useLooks } from '../api/change';
import type { Finding, View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import type { Spot } from '../plates/Sample';
import { useKeys } from '../ui/keys';
import { linesOf, parts, topicOf, topicsOf, underside } from './topics';

/** Everything the Look step knows of where one is and what was answered; the drawing and the lists only show it. */
export function useLookState(view: View) {
  const { data: kb } = useVocabulary();
  const { looks, answer: send } = useLooks(view);
  const next = view.reading.next?.[0];
  const findings = kb?.findings ?? [];
  const byId = useMemo(() => new Map(findings.map((f) => [f.id, f])), [findings]);
  const [part, setPart] = useState(() => (next && looks.length ? (byId.get(next.finding)?.part ?? 'leaf') : 'leaf'));
  const [under, setUnder] = useState(false);
  const [say, setSay] = useState('');
  const [at, setAt] = useState(0);
  const [topic, setTopic] = useState('');
  const [here, setHere] = useState<{ spot: Spot; zone: string } | null>(null);
  const [tool, setTool] = useState<'own' | 'eye'>('own');
  const box = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const last = useRef<{ f: Finding; state: string } | null>(null);
  const answers = useMemo(() => new Map(looks.map((l) => [l.finding, l])), [looks]);
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

  const answer = (f: Finding, chosen: string, certainty?: Answer['body']['certainty'], spot?: Spot) => {
    const was = answers.get(f.id);
    last.current = chosen ? { f, state: chosen } : null;
    send({
      finding: f.id,
      name: f.name,
      state: chosen,
      said: f.states.find((x) => x.id === chosen)?.name ?? 'not looked',
      body: {
        state: chosen,
        certainty: certainty ?? (was?.state === chosen ? was.certainty : 'sure'),
        ...(spot ? { spot } : {}),
        ...(tool === 'eye' && f.how === 'lens' ? { instrument: 'eye' as const } : {}),
      },
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
  const sureness = (c: 'sure' | 'think' | 'guess') => {
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
  return {
    part,
    under,
    say,
    at: Math.min(at, shown.length - 1),
    topic,
    here,
    tool,
    box,
    list,
    next,
    byId,
    answers,
    rank,
    shown,
    topics,
    looks,
    answer,
    goTo,
    show,
    onPlace,
    setSay,
    setAt,
    setTopic,
    setHere,
    setTool,
  };
}

export type LookState = ReturnType<typeof useLookState>;
