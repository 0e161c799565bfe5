import type { Drawing } from './bodies';

/** What of a drawing is lit beside others: which damage words, whether the animal, whether the part itself. */
export type Light = { words: Set<string>; body: boolean; part: boolean };

const bodyKeys = [
  'body',
  'colour',
  'marks',
  'wings',
  'shape',
  'cover',
  'wax',
  'tails',
  'front-legs',
  'prolegs',
  'feelers',
  'spot',
  'tubes',
  'head',
];
// Which plant it is drawn on is no difference between two causes.
const partKeys = ['subject', 'form', 'pores', 'grains', 'crust', 'posture', 'soil', 'roots'];
const of = (d: Drawing, keys: string[]) => JSON.stringify(keys.map((k) => d[k] ?? null));
const words = (d: Drawing) => (Array.isArray(d.damage) ? d.damage.map(String) : []);

/** For drawings side by side: a word all of them have is faded, and so is an animal or part that is the same in all. */
export function highlights(list: Drawing[]): Light[] {
  const shared = new Set(words(list[0] ?? {}).filter((w) => list.every((d) => words(d).includes(w))));
  const same = (keys: string[]) => list.every((d) => of(d, keys) === of(list[0] ?? {}, keys));
  const body = !same(bodyKeys);
  const part = !same(partKeys);
  return list.map((d) => ({ words: new Set(words(d).filter((w) => !shared.has(w))), body, part }));
}

/** Whether two causes are drawn alike but for the plant they are drawn on: then no drawing tells them apart. */
export const alike = (a: Drawing, b: Drawing) => {
  const told = (d: Drawing) =>
    JSON.stringify(
      Object.entries(d)
        .filter(([k]) => k !== 'plant' && k !== 'leaf')
        .sort(),
    );
  return told(a) === told(b);
};
