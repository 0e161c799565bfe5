/** Counts as they are said aloud: whole numbers with blanks or commas between. `odd` is the first word that is none. */
export function readCounts(text: string): { counts: number[]; odd?: string } {
  const words = text.split(/[\s,;]+/).filter(Boolean);
  const odd = words.find((w) => !/^\d{1,5}$/.test(w));
  return odd === undefined ? { counts: words.map(Number) } : { counts: [], odd };
}

/** A way of counting: each one, only with or without, or by matching the leaf with drawn ones. */
export type Way = 'each' | 'with' | 'match';

/** What was tallied leaf by leaf, and the cells of the leaf in hand. */
export type Tallied = { way: Way; of: string[]; leaves: number[][]; hand: number[]; severity: number[] };

export const tallies = [
  { id: 'pests', name: 'pests' },
  { id: 'young', name: 'young' },
  { id: 'adults', name: 'grown ones' },
  { id: 'upper', name: 'on the upper side' },
  { id: 'helpers', name: 'helpers' },
  { id: 'parasitised', name: 'parasitised' },
  { id: 'marks', name: 'marked, whoever is on it' },
];

const animals = ['pests', 'young', 'adults', 'upper'];

/** Pests and young or grown ones are the same animals told apart: one takes the other's place. */
export function chooseTallies(now: string[], picked: string[]): string[] {
  const fresh = picked.filter((t) => !now.includes(t));
  let out = picked;
  if (fresh.includes('pests')) out = out.filter((t) => t !== 'young' && t !== 'adults');
  if (fresh.includes('young') || fresh.includes('adults')) out = out.filter((t) => t !== 'pests');
  const order = tallies.map((t) => t.id);
  return out.length ? [...out].sort((a, b) => order.indexOf(a) - order.indexOf(b)) : now;
}

const most = 100_000;

/** A digit of the pad: the next cell of the leaf in hand, and when that is full the next leaf. */
export function put(t: Tallied, n: number): Tallied {
  const v = t.way === 'with' || t.of[t.hand.length] === 'marks' ? Math.min(n, 1) : n;
  const hand = [...t.hand, v];
  return hand.length < t.of.length ? { ...t, hand } : { ...t, hand: [], leaves: [...t.leaves, hand] };
}

/** Backspace: the last cell, of the leaf in hand or of the one before it. */
export function takeBack(t: Tallied): Tallied {
  if (t.hand.length) return { ...t, hand: t.hand.slice(0, -1) };
  const last = t.leaves.at(-1);
  if (!last) return t;
  return { ...t, leaves: t.leaves.slice(0, -1), hand: last.slice(0, -1) };
}

/** Ten more on the last cell, for what is more than nine. */
export function addTen(t: Tallied): Tallied {
  const more = (row: number[]) => row.map((n, i) => (i === row.length - 1 ? Math.min(most, n + 10) : n));
  if (t.way === 'with') return t;
  if (t.hand.length) return { ...t, hand: more(t.hand) };
  const last = t.leaves.at(-1);
  return last && t.of.at(-1) !== 'marks' ? { ...t, leaves: [...t.leaves.slice(0, -1), more(last)] } : t;
}

/** Leaf by leaf what a level of one tally is held against; nothing where the count does not speak of it. */
export function eligible(t: { of: string[]; leaves: number[][] }, tally: string): number[] | undefined {
  const at = (row: number[], id: string) => row[t.of.indexOf(id)] ?? 0;
  if (tally === 'pests' && animals.some((a) => t.of.includes(a)))
    return t.leaves.map((row) => Math.max(0, animals.reduce((n, a) => n + at(row, a), 0) - at(row, 'parasitised')));
  return tally !== 'pests' && t.of.includes(tally) ? t.leaves.map((row) => at(row, tally)) : undefined;
}

/** Plain counts of pests are sent as they always were; everything else with its tallies. */
export function asked(t: Tallied) {
  const severity = t.severity.length ? { severity: t.severity } : {};
  if (!t.leaves.length) return severity;
  if (t.way === 'each' && t.of.join() === 'pests') return { counts: t.leaves.map((r) => r[0] ?? 0), ...severity };
  return { count: { of: t.of, leaves: t.leaves, ...(t.way === 'with' ? { quick: true } : {}) }, ...severity };
}
