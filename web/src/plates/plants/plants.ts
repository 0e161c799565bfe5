import type { BladeSpec, HandSpec, Margin } from '../kit/blade';
import { type Leaf, type LeafSpec, leafOf } from '../kit/leaf';
import { table } from './table';

const tips = ['round', 'blunt', 'sharp', 'drawn', 'notched'];
const bases = ['round', 'wedge', 'slim', 'heart', 'arrow'];
const margins = ['plain', 'fine', 'toothed', 'double', 'waved', 'scalloped', 'spiny', 'hairy'];
const tones = ['blue', 'dark', 'grey', 'red', 'light'];

/** Angles and lengths of a hand's main ribs, by how many there are. */
const hands: Record<number, readonly (readonly [number, number])[]> = {
  3: [
    [-62, 0.78],
    [0, 1],
    [62, 0.78],
  ],
  4: [
    [-104, 0.72],
    [-30, 1],
    [30, 1],
    [104, 0.72],
  ],
  5: [
    [-112, 0.62],
    [-54, 0.86],
    [0, 1],
    [54, 0.86],
    [112, 0.62],
  ],
  7: [
    [-128, 0.56],
    [-84, 0.78],
    [-40, 0.94],
    [0, 1],
    [40, 0.94],
    [84, 0.78],
    [128, 0.56],
  ],
  9: [
    [-150, 0.9],
    [-112, 0.94],
    [-74, 0.97],
    [-37, 1],
    [0, 1],
    [37, 1],
    [74, 0.97],
    [112, 0.94],
    [150, 0.9],
  ],
};

/** A leaf from its words; see the table for what they mean. */
export function leafFrom(text: string, seed: number): LeafSpec {
  const [head = 'simple', ...words] = text.split(' ');
  const [as, count] = head.split('*');
  const n = Number(count ?? 5);
  const o: Record<string, unknown> = { seed };
  const seen = { tip: false };
  for (const w of words) {
    const size = /^(\d+)(?:x(\d+))?$/.exec(w);
    const fig = /^([a-z])(\d+)$/.exec(w);
    if (size) {
      o.long = Number(size[1]);
      if (size[2]) o.wide = Number(size[2]);
    } else if (fig) {
      const v = Number(fig[2]);
      const key = ({ v: 'veins', n: 'teeth', h: 'tooth', l: 'lobes' } as Record<string, string>)[fig[1] as string];
      if (key) o[key] = v;
      else if (fig[1] === 'w') o.widest = v / 100;
      else if (fig[1] === 'd') o.deep = v / 100;
      else if (fig[1] === 'r') o.rise = v / 100;
      else if (fig[1] === 'b') o.bend = v / 100;
      else if (fig[1] === 'k') o.skew = v / 100;
      else if (fig[1] === 'f') o.first = v / 100;
      else if (fig[1] === 'e') o.end = v;
    } else if (w.startsWith('whorl')) o.whorl = Number(w.slice(5));
    else if (tones.includes(w)) o.tone = w;
    else if (as === 'hand' && ['point', 'round', 'narrow'].includes(w)) o.lobe = w;
    // The first of the words that both a tip and a base may have is the tip.
    else if (tips.includes(w) && !seen.tip) {
      o.tip = w;
      seen.tip = true;
    } else if (bases.includes(w)) o.base = w;
    else if (margins.includes(w)) o.margin = w as Margin;
    else o[w] = true;
  }
  if (as === 'hand') {
    const k = Number(o.long ?? 170);
    const ribs = (hands[n] ?? hands[5] ?? []).map(([a, l]): [number, number] => [a, l * k]);
    return {
      ...o,
      as: 'hand',
      ribs,
      deep: Number(o.deep ?? 0.3),
      reach: n >= 9 ? 178 : n === 3 ? 128 : n === 4 ? 140 : 160,
    } as LeafSpec & HandSpec;
  }
  if (as === 'spray') return { ...o, as: 'spray', pairs: n } as LeafSpec;
  if (as === 'pinnate') return { ...o, as: 'pinnate', pairs: n } as LeafSpec;
  if (as === 'fingers') return { ...o, as: 'fingers', fingers: n } as LeafSpec;
  if (as === 'twig' || as === 'rosette') return { ...o, as, n } as LeafSpec;
  return { ...(o as Partial<BladeSpec>), as } as LeafSpec;
}

/** What stands for a plant that is not in the table, by the leaf word the herbarium gives it. */
const byLeaf: Record<string, string> = {
  ovate: 'viburnum',
  lance: 'bay',
  round: 'pelargonium',
  strap: 'daffodil',
  needle: 'spruce',
  compound: 'rose',
  pinnate: 'ash',
  'pinnate-lobed': 'tomato',
  'palmate-lobed': 'grape',
  palmate: 'horse-chestnut',
  trifoliate: 'bean',
  lobed: 'oak',
  pad: 'prickly-pear',
  succulent: 'jade',
};
export const leafWords = Object.keys(byLeaf);

/** A leaf that is nobody's in particular, for what can happen to any plant. */
const generic = 'simple 210x122 sharp round plain v7';

const number = (s: string) => [...s].reduce((h, c) => (h * 31 + c.charCodeAt(0)) % 9973, 7);

export type PlantLook = { id: string; spec: LeafSpec; leaf: Leaf; habit: string; flower: string; fruit: string };
const known = new Map<string, PlantLook>();

/** How a plant looks: by its id, else by the leaf word of the herbarium, else nobody's in particular. */
export function plantOf(id?: unknown, leaf?: unknown): PlantLook {
  const own = typeof id === 'string' && id in table ? id : undefined;
  const name = own ?? (typeof leaf === 'string' && leaf !== 'ovate' ? byLeaf[leaf] : undefined) ?? '';
  const key = `${own ? '' : 'like '}${name}`; // a vine of the desk's own has the grape's leaf and not its habit
  const was = known.get(key);
  if (was) return was;
  const row = table[name];
  const spec = leafFrom(row?.[0] ?? generic, number(name));
  const look: PlantLook = {
    id: own ?? '',
    spec,
    leaf: leafOf(spec),
    habit: own ? (row?.[1] ?? 'shrub') : '',
    flower: row?.[2] ?? 'five',
    fruit: row?.[3] ?? 'tomato',
  };
  known.set(key, look);
  return look;
}

/** The plants that have a drawing of their own. */
export const drawn = Object.keys(table);
