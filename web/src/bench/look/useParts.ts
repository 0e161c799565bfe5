import { useEffect, useMemo, useRef, useState } from 'react';
import type { Finding, View } from '../../api/client';
import { linesOf, ordered, parts, spoken, topicOf, topicsOf, underside } from '../../parts/topics';
import type { Spot } from '../../plates/Sample';
import { useSaid } from '../useSaid';
import type { Answers } from './useAnswers';

/** Where on the plant one is: the part, the side, the group, the line, and what was typed to get there. */
export function useParts(view: View, findings: Finding[], byId: Map<string, Finding>, { looks, answers }: Answers) {
  const next = view.reading.next?.[0];
  const [part, setPart] = useState(() => (next && looks.length ? (byId.get(next.finding)?.part ?? 'leaf') : 'leaf'));
  const [under, setUnder] = useState(false);
  const [say, setSay] = useState('');
  const [at, setAt] = useState(0);
  const [topic, setTopic] = useState('');
  const [open, setOpen] = useState<Set<string>>(new Set());
  const [want, setWant] = useState('');
  const [here, setHere] = useState<{ spot: Spot; zone: string } | null>(null);
  const list = useRef<HTMLDivElement>(null);
  const moved = useRef(false);

  // Lines stand by what they would tell, as it was when one came to this part, or once it is said what strikes one
  // first: else under a finger nothing moves.
  const tell = useRef<string[]>([]);
  const fresh = useRef(false);
  const impression = findings.find((f) => f.fresh);
  const struck = view.looks.some((l) => l.finding === impression?.id); // and the desk has weighed it
  // biome-ignore lint/correctness/useExhaustiveDependencies: the order is taken anew only then
  useMemo(() => {
    tell.current = view.reading.tell ?? [];
    // After other looks a first impression is half hindsight: it leads only while it can be one.
    fresh.current = struck || !looks.some((l) => l.instrument !== 'told');
  }, [part, under, topic, struck]);
  const said = useSaid(view.id, say);
  const fits = useMemo(() => said.lines ?? spoken(findings, say), [said.lines, findings, say]);
  const { shown, first } = useMemo(() => {
    if (say.trim()) return { shown: fits.flatMap((x) => byId.get(x.finding) ?? []), first: 0 };
    const own = linesOf(findings, part, under);
    if (topic) return { shown: own.filter((f) => topicOf(f) === topic), first: 0 };
    const { shown, first } = ordered(own, tell.current, (f) => answers.has(f.id), open);
    // What strikes one first is asked where the sample opens, whatever part it is of.
    if (!impression || !fresh.current || own.includes(impression) || part !== 'leaf' || under) return { shown, first };
    return { shown: [impression, ...shown], first: first + 1 };
  }, [findings, impression, byId, part, under, say, topic, fits, answers, open]);
  const topics = useMemo(() => topicsOf(linesOf(findings, part, under)), [findings, part, under]);

  // The line one was sent to, as soon as it is there.
  useEffect(() => {
    const i = want ? shown.findIndex((f) => f.id === want) : -1;
    if (i < 0) return;
    moved.current = true;
    setAt(i);
    setWant('');
  }, [want, shown]);

  // Only a key moves the view: what is opened or clicked stands where it is.
  useEffect(() => {
    if (moved.current) list.current?.querySelector('.find.at')?.scrollIntoView({ block: 'nearest' });
    moved.current = false;
  });

  const goTo = (id: string) => {
    const f = byId.get(id);
    if (!f) return;
    setSay('');
    setPart(f.part);
    setTopic('');
    setHere(null);
    if (f.part === 'leaf') setUnder(underside(f));
    setOpen((o) => new Set([...o, topicOf(f)]));
    setWant(id);
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
  /** By keys from line to line; the view follows. */
  const step = (d: number) => {
    moved.current = true;
    setAt((a) => Math.max(0, Math.min(a + d, shown.length - 1)));
  };
  return {
    part,
    under,
    say,
    setSay,
    at: Math.min(at, shown.length - 1),
    setAt,
    line: shown[Math.min(at, shown.length - 1)],
    topic,
    setTopic,
    topics,
    turnTopic,
    open,
    setOpen,
    here,
    setHere,
    onPlace,
    list,
    shown,
    first,
    next,
    said,
    goTo,
    show,
    turn,
    step,
  };
}

export type Parts = ReturnType<typeof useParts>;
