import { useEffect, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { type Answer, useLooks } from '../api/change';
import type { Finding, View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import type { Spot } from '../plates/Sample';
import { useKeys, useWords } from '../ui/keys';
import { answerKeys, linesOf, ordered, parts, spoken, topicOf, topicsOf, underside } from './topics';
import { useSaid } from './useSaid';

/** How a state is answered. */
type AnswerOptions = {
  certainty?: Answer['body']['certainty'];
  spot?: Spot;
  not?: boolean;
  off?: boolean;
  told?: boolean;
};

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
  const [open, setOpen] = useState<Set<string>>(new Set());
  const [want, setWant] = useState('');
  const [passed, setPassed] = useState<Set<string>>(new Set());
  const [here, setHere] = useState<{ spot: Spot; zone: string } | null>(null);
  const [tool, setTool] = useState<'own' | 'eye'>('own');
  const box = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const moved = useRef(false);
  const last = useRef<{ f: Finding; state: string; not?: boolean } | null>(null);
  const answers = useMemo(() => {
    const all = new Map<string, View['looks']>();
    for (const l of looks) all.set(l.finding, [...(all.get(l.finding) ?? []), l]);
    return all;
  }, [looks]);
  const rank = useMemo(() => new Map((view.reading.next ?? []).map((n, i) => [n.finding, i])), [view.reading.next]);

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

  const answer = (f: Finding, chosen: string, as: AnswerOptions = {}) => {
    const was = answers.get(f.id)?.find((l) => l.state === chosen);
    last.current = chosen && !as.off ? { f, state: chosen, not: as.not } : null;
    const name = f.states.find((x) => x.id === chosen)?.name ?? 'not looked';
    send({
      finding: f.id,
      name: f.name,
      state: chosen,
      said: as.off ? `${name}, taken back` : as.not ? `not ${name}` : name,
      ...(f.many ? { none: f.states.filter((x) => x.absent).map((x) => x.id) } : {}),
      body: {
        state: chosen,
        ...(as.off ? { off: true } : {}),
        ...(as.not ? { not: true } : {}),
        certainty: as.certainty ?? (was ? was.certainty : 'sure'),
        ...(as.spot ? { spot: as.spot } : {}),
        ...(as.told
          ? { instrument: 'told' as const }
          : tool === 'eye' && f.how === 'lens'
            ? { instrument: 'eye' as const }
            : {}),
      },
    });
  };
  /** What a press on a state does: there, then (where several can stand together) not there, then not looked. */
  const press = (f: Finding, state: string) => {
    const was = answers.get(f.id)?.find((l) => l.state === state);
    const absent = f.states.find((x) => x.id === state)?.absent;
    if (!was || was.instrument === 'told') answer(f, state);
    else if (!f.many || absent) answer(f, '');
    else if (!was.not) answer(f, state, { not: true });
    else answer(f, state, { off: true });
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
  // "think so" and "a guess" speak of the answer just given, until one moves on.
  const sureness = (certainty: AnswerOptions['certainty']) => {
    const a = line && answers.get(line.id)?.at(-1);
    if (last.current) answer(last.current.f, last.current.state, { certainty, not: last.current.not });
    else if (line && a) answer(line, a.state, { certainty, not: a.not });
  };
  /** Enter on what was typed: where one state fits, it is written; else one goes to the lines. */
  const take = async () => {
    const only = (await said.fetch(say))?.find((x) => x.sure);
    const f = only && byId.get(only.finding);
    if (!f || !only.state) return false;
    answer(f, only.state);
    show(f.part, f.part === 'leaf' && underside(f)); // where it was written is where one looks
    return true;
  };
  const offers = view.spoken.filter((x) => !passed.has(`${x.finding}=${x.state}`));
  const passBy = (x: View['spoken'][number]) => setPassed((p) => new Set([...p, `${x.finding}=${x.state}`]));
  const told = (x: View['spoken'][number]) => {
    const f = byId.get(x.finding);
    if (f) answer(f, x.state, { told: true, certainty: 'think' });
  };
  const walk = (d: number) => {
    last.current = null;
    moved.current = true;
    setAt((a) => Math.max(0, Math.min(a + d, shown.length - 1)));
  };
  useWords((text) => {
    flushSync(() => setSay(text)); // the next letter already goes into the field
    setAt(0);
    box.current?.focus();
  });
  useKeys([
    {
      key: 'f',
      does: 'turn the leaf',
      run: () => show('leaf', part === 'leaf' ? !under : under),
    },
    {
      key: 's',
      does: 'say what you see',
      opens: true,
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
    ...answerKeys.map((key, i) => ({
      key,
      does: 'answer',
      hidden: i > 0,
      run: () => {
        const st = line?.states[i];
        if (line && st) {
          press(line, st.id);
          moved.current = true;
          setAt((a) => Math.min(a + 1, shown.length - 1));
        }
      },
    })),
    { key: 'Enter', does: 'to what is asked next', run: () => next && goTo(next.finding) },
    // Alt with a digit is the way to the rooms, here above all: digits answer.
    ...(offers[0]
      ? [
          { key: 'o', does: 'take over what was told', run: () => offers[0] && told(offers[0]) },
          { key: 'p', does: 'pass it by', run: () => offers[0] && passBy(offers[0]) },
        ]
      : []),
    { key: 'x', does: 'not looked', run: () => line && answer(line, '') },
    { key: 't', does: 'think so', run: () => sureness('think') },
    { key: 'g', does: 'a guess', run: () => sureness('guess') },
    { key: 'y', does: 'sure', hidden: true, run: () => sureness('sure') },
  ]);
  return {
    id: view.id,
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
    first,
    open,
    setOpen,
    offers,
    must: view.reading.mustLook,
    answer,
    press,
    take,
    told,
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
