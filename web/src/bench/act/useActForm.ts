import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type S, settled, unwrap, type View } from '../../api/client';
import { asked, type Tallied } from '../../parts/count/counts';
import { useTyped } from '../../ui/draft';

/** How a trouble is counted before anybody chose otherwise: of leaves that show it with or without, of animals each. */
const firstWay = (t?: S['Threshold']): Pick<Tallied, 'way' | 'of'> =>
  t?.share && !t.perUnit
    ? { way: 'with', of: [t.of || 'marks'] }
    : { way: 'each', of: [t?.of && t.of !== 'parasitised' ? t.of : 'pests'] };

/** What was counted and said of a case so far, kept through a reload, and what the desk makes of it. */
export function useActForm(view: View) {
  const a = view.act;
  const [form, set, clear] = useTyped(`act.${view.id}.${view.verdict?.cause}`, {
    tallied: (a
      ? {
          way: a.count?.quick ? 'with' : 'each',
          of: a.count?.of ?? ['pests'],
          leaves: a.count?.leaves ?? (a.counts ?? []).map((n) => [n]),
          hand: [],
          severity: a.severity ?? [],
        }
      : null) as Tallied | null,
    helpers: a?.helpers ?? false,
    stages: a?.stages as string[] | undefined,
    drought: a?.drought ?? false,
    badYear: a?.badYear,
    dormant: a?.dormant,
    calciumLow: a?.calciumLow,
    press: a?.pressure ?? '',
    standard: a?.standard ?? '',
    weeks: a?.weeksLeft === undefined || a.weeksLeft === null ? '' : String(a.weeksLeft),
  });
  const [odd, setOdd] = useState<string>();
  const { press, standard, weeks, ...seen } = form;
  const weeksLeft = /^\d{1,3}$/.test(weeks.trim()) ? { weeksLeft: Number(weeks) } : {};
  const oddWeeks = weeks.trim() !== '' && !('weeksLeft' in weeksLeft);
  const facts = {
    ...(form.tallied ? asked(form.tallied) : {}),
    ...(seen.helpers ? { helpers: true } : {}),
    ...(seen.badYear ? { badYear: true } : {}),
    ...(standard ? { standard: standard as 'show' } : {}),
    ...weeksLeft,
  };
  const body: S['Counted'] = { ...facts, ...(press ? { degree: press as 'light' } : {}) };
  const weighed = useQuery({
    queryKey: ['weigh', view.id, view.verdict?.cause, JSON.stringify(body)],
    queryFn: async ({ signal }) => {
      await settled(signal);
      return unwrap<S['Weighed']>(api.POST('/api/v1/cases/{id}/weigh', { params: { path: { id: view.id } }, body }));
    },
    enabled: !!view.verdict?.cause,
    placeholderData: (old) => old,
  });
  const w = weighed.data;
  const tallied: Tallied = form.tallied ?? { ...firstWay(w?.threshold), leaves: [], hand: [], severity: [] };
  const setTallied = (f: (old: Tallied) => Tallied) =>
    set((now) => ({ tallied: f(now.tallied ?? { ...firstWay(w?.threshold), leaves: [], hand: [], severity: [] }) }));
  return {
    form,
    set,
    clear,
    setOdd,
    odd: odd !== undefined || oddWeeks,
    oddWeeks,
    facts,
    w,
    error: weighed.error,
    /** What was counted last is still being weighed. */
    working: weighed.isLoading || weighed.isPlaceholderData,
    tallied,
    setTallied,
    stages: seen.stages ?? w?.stages ?? [],
  };
}

export type ActForm = ReturnType<typeof useActForm>;
