import { type Blade, type BladeSpec, feather, type HandSpec, hand, strap } from './blade';
import { add, line, type P, placed, xy } from './geo';
import { onStem, stalk } from './stemmed';

/** How a plant's leaf is made. Lengths are in the box of 200 by 280 the leaf is drawn in. */
export type LeafSpec = { tone?: 'blue' | 'dark' | 'grey' | 'red' | 'light' } & (
  | ({ as: 'simple' } & Partial<BladeSpec>)
  | ({ as: 'hand' } & HandSpec)
  | ({ as: 'strap'; keel?: boolean } & Partial<BladeSpec>)
  | ({ as: 'pinnate'; pairs: number; first?: number; small?: boolean; end?: number } & Partial<BladeSpec>)
  | ({ as: 'three' } & Partial<BladeSpec>)
  | ({ as: 'fingers'; fingers: number } & Partial<BladeSpec>)
  | { as: 'needles'; long: number; wide?: number; pairs?: boolean; soft?: boolean }
  | { as: 'spray'; pairs: number; long: number; wide: number }
  | {
      as: 'twig';
      long: number;
      wide: number;
      n: number;
      whorl?: number;
      opposite?: boolean;
      tip?: BladeSpec['tip'];
      margin?: BladeSpec['margin'];
    }
  | { as: 'pad' }
  | { as: 'column' }
  | { as: 'segments' }
  | { as: 'rosette'; n: number; long: number; wide: number; tip?: BladeSpec['tip'] }
  | { as: 'thick'; long: number; wide: number; tip?: BladeSpec['tip'] }
);

export type Leaf = {
  blades: Blade[];
  /** Stalks and axes as tapered polygons; what eats the leaf leaves them. */
  stalks: P[][];
  as: LeafSpec['as'];
  tone?: LeafSpec['tone'];
  /** Every blade's outline as one path. */
  path: string;
  /** Areoles of a cactus, told by themselves. */
  areoles?: P[];
};

const foot = (x: number, y: number) =>
  stalk(
    [
      [x + 5, 279],
      [x + 1.5, (y + 279) / 2],
      [x, y - 3],
    ],
    5,
    3.2,
  );

function build(s: LeafSpec): Omit<Leaf, 'path'> {
  switch (s.as) {
    case 'simple': {
      const b = { long: 228, wide: 116, ...s };
      const y = 16 + b.long + (260 - 16 - b.long) * 0.6;
      return { as: s.as, blades: [feather(b, placed(100, y))], stalks: [foot(100, y)] };
    }
    case 'hand':
      return { as: s.as, blades: [hand(s, placed(100, 196))], stalks: [foot(100, 196)] };
    case 'strap': {
      const b = { long: 262, wide: 40, widest: 0.4, base: 'slim' as const, bend: 0.06, ...s };
      return { as: s.as, blades: [strap(b, placed(100, 276))], stalks: [] };
    }
    case 'pinnate': {
      const { pairs, first = 0.9 } = s;
      const L = s.long ?? 74;
      const W = s.wide ?? 36;
      const end = s.end ?? 1.12;
      const top = 14 + L * end;
      const blades: Blade[] = [];
      const stalks: P[][] = [
        stalk(
          [
            [104, 280],
            [100, 240],
            [100, top],
          ],
          4.6,
          2,
        ),
      ];
      const low = 238;
      const small = { ...s, veins: Math.max(3, Math.round((s.veins ?? 6) * 0.6)), long: L * 0.34, wide: W * 0.42 };
      for (let i = 0; i < pairs; i++) {
        const y = low - ((low - top - L * 0.16) * i) / Math.max(1, pairs - 0.35);
        const k = first + (1 - first) * (i / Math.max(1, pairs - 1));
        for (const side of [-1, 1]) {
          const turn = side * (66 - (i / Math.max(1, pairs)) * 14);
          const p: P = [100 + side * (L > 40 ? 7 : 2), y - (L > 40 ? 2 : 0) - (side > 0 ? 3 : 0)];
          if (L > 40) stalks.push(stalk([[100, y + 2], p], 2.4, 1.8));
          blades.push(
            feather(
              { ...s, long: L * k, wide: W * k, seed: i * 2 + side + 9, bend: (s.bend ?? 0.06) * side } as BladeSpec,
              placed(p[0], p[1], turn),
              turn,
            ),
          );
          if (s.small && i < pairs) {
            const q: P = [100 + side * 5, y - (low - top) / pairs / 2];
            stalks.push(stalk([[100, q[1] + 2], q], 1.8, 1.4));
            blades.push(feather({ ...small, seed: i + 31 } as BladeSpec, placed(q[0], q[1], side * 74), side * 74));
          }
        }
      }
      if (end) blades.push(feather({ ...s, long: L * end, wide: W * end, seed: 3 } as BladeSpec, placed(100, top + 2)));
      return { as: s.as, blades, stalks };
    }
    case 'three': {
      const L = s.long ?? 132;
      const W = s.wide ?? 88;
      return {
        as: s.as,
        stalks: [
          stalk(xy('105 280, 101 240, 100 190'), 4.6, 3),
          stalk(xy('100 190, 100 168'), 2.6, 2.2),
          stalk(
            [
              [84, 196],
              [100, 192],
              [116, 196],
            ],
            2.6,
            2.6,
          ),
        ],
        blades: [
          feather({ ...s, long: L * 0.84, wide: W * 0.84, seed: 4, skew: 0.2 } as BladeSpec, placed(88, 196, -78), -78),
          feather({ ...s, long: L * 0.84, wide: W * 0.84, seed: 5, skew: 0.2 } as BladeSpec, placed(112, 196, 78), 78),
          feather({ ...s, long: L, wide: W, seed: 6 } as BladeSpec, placed(100, 172)),
        ],
      };
    }
    case 'fingers': {
      const L = s.long ?? 150;
      const W = s.wide ?? 44;
      const n = s.fingers;
      const list = Array.from({ length: n }, (_, i) => i - (n - 1) / 2).sort((a, b) => Math.abs(b) - Math.abs(a));
      const step = n >= 7 ? 42 : 50;
      return {
        as: s.as,
        stalks: [stalk(xy('105 280, 101 240, 100 190'), 4.6, 3.4)],
        blades: list.map((k) => {
          const f = 1 - 0.2 * Math.abs(k) ** 1.1 * (n >= 7 ? 0.75 : 1);
          const turn = k * step;
          const p = add([100, 188], [Math.sin((turn * Math.PI) / 180) * 4, -Math.cos((turn * Math.PI) / 180) * 4]);
          return feather(
            { ...s, long: L * f, wide: W * f, seed: 11 + Math.round(k), base: s.base ?? 'slim' } as BladeSpec,
            placed(p[0], p[1], turn),
            turn,
          );
        }),
      };
    }
    default:
      return onStem(s);
  }
}

/** A leaf that would leave its box is drawn smaller, until it fits. */
function fitted(s: LeafSpec): LeafSpec {
  let o = s as LeafSpec & { long?: number; wide?: number; ribs?: readonly (readonly [number, number])[] };
  for (let i = 0; i < 9; i++) {
    const pts = build(o).blades.flatMap((b) => b.outline);
    const wide = Math.max(...pts.map((p) => Math.abs(p[0] - 100)));
    const high = pts.some((p) => p[1] < 2 || p[1] > 281);
    const k = Math.min(94 / wide, high ? 0.93 : 1);
    if (k >= 1) return o;
    if (o.as === 'hand') o = { ...o, ribs: o.ribs.map(([a, r]) => [a, r * k] as const) };
    else
      o = {
        ...o,
        long: (o.long ?? (o.as === 'three' ? 132 : 74)) * k,
        wide: (o.wide ?? (o.as === 'three' ? 88 : 36)) * (wide > 94 ? k : 1),
      } as typeof o;
  }
  return o;
}

const made = new Map<string, Leaf>();

/** The leaf of a specification; the same one for the same words. */
export function leafOf(s: LeafSpec): Leaf {
  const key = JSON.stringify(s);
  const known = made.get(key);
  if (known) return known;
  const l = build(fitted(s));
  const leaf: Leaf = { ...l, tone: s.tone, path: l.blades.map((b) => line(b.outline, true)).join('') };
  made.set(key, leaf);
  return leaf;
}
