import { useMemo, useRef, useState } from 'react';
import { type Answer, useLooks } from '../../api/change';
import type { Finding, View } from '../../api/client';
import type { Spot } from '../../plates/Sample';

/** How a state is answered. */
export type AnswerOptions = {
  certainty?: Answer['body']['certainty'];
  spot?: Spot;
  not?: boolean;
  off?: boolean;
  told?: boolean;
};

/** What was answered so far, and answering: a press, how sure, what the grower told. */
export function useAnswers(view: View, byId: Map<string, Finding>) {
  const { looks, answer: send } = useLooks(view);
  const [tool, setTool] = useState<'own' | 'eye'>('own');
  const [passed, setPassed] = useState<Set<string>>(new Set());
  const last = useRef<{ f: Finding; state: string; not?: boolean } | null>(null);
  const answers = useMemo(() => {
    const all = new Map<string, View['looks']>();
    for (const l of looks) all.set(l.finding, [...(all.get(l.finding) ?? []), l]);
    return all;
  }, [looks]);
  const instrument = (f: Finding, as: AnswerOptions) =>
    as.told
      ? { instrument: 'told' as const }
      : tool === 'eye' && f.how === 'lens'
        ? { instrument: 'eye' as const }
        : {};
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
        ...instrument(f, as),
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
  // "think so" and "a guess" speak of the answer just given, until one moves on.
  const sureness = (certainty: AnswerOptions['certainty'], line?: Finding) => {
    const a = line && answers.get(line.id)?.at(-1);
    if (last.current) answer(last.current.f, last.current.state, { certainty, not: last.current.not });
    else if (line && a) answer(line, a.state, { certainty, not: a.not });
  };
  const offers = view.spoken.filter((x) => !passed.has(`${x.finding}=${x.state}`));
  const passBy = (x: View['spoken'][number]) => setPassed((p) => new Set([...p, `${x.finding}=${x.state}`]));
  const told = (x: View['spoken'][number]) => {
    const f = byId.get(x.finding);
    if (f) answer(f, x.state, { told: true, certainty: 'think' });
  };
  const movedOn = () => {
    last.current = null;
  };
  return { looks, answers, answer, press, sureness, offers, passBy, told, movedOn, tool, setTool };
}

export type Answers = ReturnType<typeof useAnswers>;
