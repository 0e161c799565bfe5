import { useMemo, useRef } from 'react';
import type { View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { underside } from '../parts/topics';
import { useAnswers } from './look/useAnswers';
import { useLookKeys } from './look/useLookKeys';
import { useParts } from './look/useParts';

/** Everything the Look step knows of where one is and what was answered; the drawing and the lists only show it. */
export function useLookState(view: View) {
  const { data: kb } = useVocabulary();
  const findings = kb?.findings ?? [];
  const byId = useMemo(() => new Map(findings.map((f) => [f.id, f])), [findings]);
  const answers = useAnswers(view, byId);
  const where = useParts(view, findings, byId, answers);
  const box = useRef<HTMLInputElement>(null);
  useLookKeys(where, answers, box);
  const rank = useMemo(() => new Map((view.reading.next ?? []).map((n, i) => [n.finding, i])), [view.reading.next]);
  /** Enter on what was typed: where one state fits, it is written; else one goes to the lines. */
  const take = async () => {
    const only = (await where.said.fetch(where.say))?.find((x) => x.sure);
    const f = only && byId.get(only.finding);
    if (!f || !only.state) return false;
    answers.answer(f, only.state);
    where.show(f.part, f.part === 'leaf' && underside(f)); // where it was written is where one looks
    return true;
  };
  return { id: view.id, must: view.reading.mustLook, box, byId, rank, take, ...where, ...answers };
}

export type LookState = ReturnType<typeof useLookState>;
