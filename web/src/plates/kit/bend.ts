import type { Blade } from './blade';
import { clamp, lerp, line, type P } from './geo';
import type { Leaf, LeafSpec } from './leaf';

/** Words that change how the leaf grew. */
const grown: Record<string, (s: Record<string, unknown>) => Record<string, unknown>> = {
  'strap-leaf': (s) => ({
    ...s,
    wide: Number(s.wide ?? 110) * 0.36,
    margin: 'waved',
    teeth: 8,
    tooth: 4,
    rise: 0.5,
    bend: 0.16,
    lobes: 0,
    deep: s.as === 'hand' ? 0.36 : s.deep,
  }),
  'fern-leaf': (s) => ({
    ...s,
    wide: Number(s.wide ?? 110) * 0.3,
    lobes: 4,
    deep: 0.62,
    bend: 0.2,
    rise: 0.3,
    margin: 'plain',
  }),
  'narrow-white': (s) => ({ ...s, wide: Number(s.wide ?? 110) * 0.34, bend: 0.08, rise: 0.4 }),
  crumpled: (s) => ({ ...s, margin: 'waved', teeth: 12, tooth: s.as === 'hand' ? 9 : 6, skew: 0.22, bend: 0.12 }),
  twisted: (s) => ({ ...s, bend: 0.24, skew: 0.28, margin: s.margin === 'plain' || !s.margin ? 'waved' : s.margin }),
};
export const grows = Object.keys(grown);

/** A leaf's words as they are after what changed its growth. */
export function grow(s: LeafSpec, words: readonly string[]): LeafSpec {
  let o = s as unknown as Record<string, unknown>;
  for (const w of words) {
    const f = grown[w];
    if (!f) continue;
    o = f(o);
    if (o.as === 'hand' && w !== 'crumpled' && w !== 'twisted') {
      // A hand draws its fingers together like a fan, its veins side by side.
      o.ribs = (o.ribs as [number, number][]).map(([a, l]) => [a * 0.42, l * 1.04]);
      o.reach = Number(o.reach ?? 160) * 0.44;
      o.margin = 'toothed';
      o.tooth = 10;
    }
  }
  return o as unknown as LeafSpec;
}

/** How far out the fold lies, from 0 (the midrib) to 1 (not folded), by how far along, which side and which blade. */
export type Fold = (u: number, side: number, b: Blade) => number;

const folds: Record<string, Fold> = {
  curl: (u) => 0.7 - 0.16 * Math.sin(u * 9),
  rolled: (u) => 0.5 + 0.1 * Math.cos(u * 5),
  'red-roll': (u) => 0.58 + 0.08 * Math.cos(u * 4),
  'cupped-yellow': (u) => 0.8 - 0.1 * Math.sin(u * 11),
  'rolled-edge': (u, side) => (side > 0 ? 0.6 - 0.2 * Math.sin(Math.PI * u) : 1),
  'rolled-leaf': (u, side) => (side > 0 ? 0.34 + 0.2 * (1 - u) : 0.9),
  tubes: (u) => 0.26 + 0.04 * Math.cos(u * 7),
  'curl-tips': (u) => (u < 0.5 ? 1 : lerp(1, 0.36, ((u - 0.5) / 0.5) ** 0.8)),
};
export const folded = Object.keys(folds);

/** The colour a fold's own sign gives its flaps. */
export const flapTone: Record<string, string> = {
  'red-roll': '#c2576c',
  'cupped-yellow': '#e9da5e',
  'rolled-edge': '#dba070',
};

const turn = new Map<string, { leaf: Leaf; flaps: P[][] }>();

/** A leaf with its edges folded over; the flaps show its other face. */
export function fold(leaf: Leaf, words: readonly string[]): { leaf: Leaf; flaps: P[][] } {
  const fs = words.flatMap((w) => folds[w] ?? []);
  if (!fs.length || leaf.as === 'needles' || leaf.as === 'spray') return { leaf, flaps: [] };
  const key = `${leaf.path} ${words.filter((w) => w in folds).join()}`;
  const was = turn.get(key);
  if (was) return was;
  const at = (u: number, side: number, b: Blade) =>
    clamp(
      fs.reduce((m, f) => Math.min(m, f(u, side, b)), 1),
      0.08,
      1,
    );
  const flaps: P[][] = [];
  const blades = leaf.blades.map((b) => {
    const n = b.long > 120 ? 22 : b.long > 50 ? 12 : 7;
    const outline: P[] = [];
    const uv: P[] = [];
    for (const side of [-1, 1]) {
      const flap: P[] = [];
      for (let i = 0; i <= n; i++) {
        const k = side < 0 ? i : n - i;
        const t = k / n;
        if (b.kind === 'hand') {
          // Folded from its rim inwards, all round.
          const v = side < 0 ? -1 + t : 1 - (1 - (n - i) / n);
          // All round it is folded less deep, or little would be left.
          const f = 0.56 + 0.44 * at(0.9, side, b);
          const wobble = f + 0.05 * Math.sin(v * 17);
          outline.push(b.at(Math.min(1, wobble), v));
          uv.push([1, v]);
          flap.push(b.at(clamp(2 * wobble - 1, 0.15), v));
        } else {
          const f = at(t, side, b);
          outline.push(b.at(t, side * f));
          uv.push([t, side]);
          flap.push(b.at(t, side * Math.max(f - (1 - f) * 0.86, -0.1)));
        }
      }
      const mine = outline.slice(-(n + 1));
      if (mine.some((p, i) => Math.hypot(p[0] - (flap[i] as P)[0], p[1] - (flap[i] as P)[1]) > 1.5))
        flaps.push([...mine, ...flap.reverse()]);
    }
    return { ...b, outline, uv };
  });
  const made = { leaf: { ...leaf, blades, path: blades.map((b) => line(b.outline, true)).join('') }, flaps };
  turn.set(key, made);
  return made;
}
