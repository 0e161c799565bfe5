import { useMemo } from 'react';
import type { Finding, S, View } from '../api/client';
import type { Drawing } from './bodies';

/** How a recorded state shows on the sample, as the herbarium writes it. */
export type Sign = S['StateDrawing'];

type Looked = { l: View['looks'][number]; f: Finding };

/** What of a case is drawn on one part and side of it: what was seen there, and what was looked for and absent. */
export function useSigns(view: View, finds: Map<string, Finding>, part: string, under: boolean) {
  return useMemo(() => {
    const onThis = (f?: Finding) => !!f && f.part === part && (part !== 'leaf' || (f.where === 'underside') === under);
    const state = (x: Looked) => x.f.states.find((s) => s.id === x.l.state);
    const all = view.looks.map((l) => ({ l, f: finds.get(l.finding) })).filter((x): x is Looked => x.f !== undefined);
    const looked = all.filter((x) => onThis(x.f));
    const seen = looked.filter((x) => !state(x)?.absent);
    const absent = looked.filter((x) => state(x)?.absent);
    const found = seen.map((x) => state(x)?.drawing).filter((d): d is Sign => !!d && !d.refine);
    // A colour or a mark of the walkers holds for those already there, whatever side they were seen on.
    const extra: Drawing = Object.assign({}, ...all.map((x) => state(x)?.drawing?.refine ?? {}));
    const add: Drawing = { damage: found.flatMap((s) => (s.add?.damage as string[]) ?? []) };
    for (const s of found) for (const [k, v] of Object.entries(s.add ?? {})) if (k !== 'damage') add[k] = v;
    return { seen, absent, found, extra, add, animals: found.filter((s) => s.animals), onThis, state };
  }, [view.looks, finds, part, under]);
}
