import { type Blade, type BladeSpec, feather, type HandSpec, hand, strap } from './blade';
import { add, line, mix, type P, placed, taper, xy } from './geo';

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

const stalk = (pts: P[], w0 = 4, w1 = 3) => taper(pts, w0, w1);
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
    case 'needles': {
      // The twig ends where its longest needles still find room.
      const top = 10 + s.long;
      const axis: P[] = Array.from(
        { length: 9 },
        (_, i): P => [104 - i * 0.6 + Math.sin(i) * 1.4, 278 - (i * (278 - top)) / 8],
      );
      const blades: Blade[] = [];
      const n = s.pairs ? 17 : 30;
      for (let i = 0; i < n; i++) {
        const t = (i + 0.5) / n;
        const at = mix(axis[Math.floor(t * 8)] as P, axis[Math.min(8, Math.floor(t * 8) + 1)] as P, (t * 8) % 1);
        for (const side of [-1, 1])
          for (const q of s.pairs ? [0, 1] : [0]) {
            const turn = side * ((s.pairs ? 34 : 56) - t * 22 + ((i * 37) % 11) - 5 + q * 9);
            blades.push(
              feather(
                {
                  long: s.long * (0.86 + ((i * 13) % 7) / 24),
                  wide: s.wide ?? 5,
                  widest: 0.5,
                  tip: 'sharp',
                  base: 'slim',
                  veins: 1,
                  bend: 0.05 * side,
                  seed: i,
                },
                placed(at[0], at[1], turn),
                turn,
              ),
            );
          }
      }
      for (const turn of [-18, 4, 22])
        blades.push(
          feather(
            { long: s.long, wide: s.wide ?? 5, widest: 0.5, base: 'slim', veins: 1 },
            placed(99, top + 4, turn),
            turn,
          ),
        );
      return { as: s.as, blades, stalks: [taper(axis, 6, 2.4)] };
    }
    case 'spray': {
      const blades: Blade[] = [];
      const stalks: P[][] = [
        stalk(
          [
            [103, 280],
            [100, 180],
            [100, 24],
          ],
          5,
          1.6,
        ),
      ];
      for (let i = 0; i < s.pairs; i++) {
        const t = i / s.pairs;
        const y = 232 - t * 200;
        for (const side of [-1, 1]) {
          const l = s.long * (1 - t * 0.72);
          const turn = side * (50 - t * 16);
          const root: P = [100, y - (side > 0 ? 9 : 0)];
          const end = placed(root[0], root[1], turn)([0, -l]);
          stalks.push(taper([root, end], 2.2, 1));
          const n = Math.max(2, Math.round(l / 22));
          for (let k = 1; k <= n; k++) {
            const c = mix(root, end, k / (n + 0.4));
            for (const q of k === n ? [0] : [-1, 1]) {
              const tt = turn + q * 38;
              blades.push(
                feather(
                  {
                    long: (26 - k * 2) * (1 - t * 0.4),
                    wide: s.wide,
                    widest: 0.55,
                    tip: 'sharp',
                    base: 'slim',
                    margin: 'scalloped',
                    teeth: 4,
                    tooth: 1.1,
                    veins: 1,
                    seed: i + k,
                  },
                  placed(c[0], c[1], tt),
                  tt,
                ),
              );
            }
          }
        }
      }
      blades.push(
        feather(
          { long: 24, wide: s.wide, margin: 'scalloped', teeth: 4, tooth: 1.1, base: 'slim', veins: 1 },
          placed(100, 34),
        ),
      );
      return { as: s.as, blades, stalks };
    }
    case 'twig': {
      const blades: Blade[] = [];
      const axis: P[] = Array.from({ length: 8 }, (_, i): P => [103 - i * 0.5 + Math.sin(i * 1.3) * 2, 278 - i * 34]);
      for (let i = 0; i < s.n; i++) {
        const t = 0.08 + (0.84 * i) / (s.n - 1);
        const f = t * 7;
        const at = mix(axis[Math.floor(f)] as P, axis[Math.min(7, Math.floor(f) + 1)] as P, f % 1);
        const k = 0.82 + 0.18 * Math.sin(Math.PI * Math.min(1, t * 1.15)) - (t > 0.8 ? (t - 0.8) * 1.4 : 0);
        const turns = s.whorl
          ? Array.from({ length: s.whorl }, (_, q) => -74 + (148 * q) / ((s.whorl as number) - 1) + ((i * 29) % 13) - 6)
          : s.opposite
            ? [-58 + t * 16, 58 - t * 16]
            : [(i % 2 ? 1 : -1) * (56 - t * 16)];
        for (const turn of turns)
          blades.push(
            feather(
              {
                long: s.long * k,
                wide: s.wide * k,
                tip: s.tip ?? 'blunt',
                base: 'wedge',
                margin: s.margin,
                teeth: 9,
                tooth: 1.8,
                veins: s.wide > 24 ? 6 : s.wide > 9 ? 4 : 2,
                seed: i + Math.round(turn) + 90,
                bend: turn < 0 ? -0.05 : 0.05,
              },
              placed(at[0], at[1], turn),
              turn,
            ),
          );
      }
      const tipAt = axis[7] as P;
      for (const turn of [-22, 16])
        blades.push(
          feather(
            {
              long: s.long * 0.62,
              wide: s.wide * 0.6,
              tip: s.tip ?? 'blunt',
              base: 'wedge',
              veins: 3,
              seed: turn + 50,
            },
            placed(tipAt[0], tipAt[1], turn),
            turn,
          ),
        );
      return { as: s.as, blades, stalks: [taper(axis, 6.4, 3)] };
    }
    case 'pad': {
      const low = feather(
        { long: 130, wide: 118, widest: 0.58, tip: 'round', base: 'wedge', veins: 1, bend: 0, seed: 2 },
        placed(96, 276),
      );
      const up = feather(
        { long: 132, wide: 108, widest: 0.6, tip: 'round', base: 'wedge', veins: 1, bend: 0.02, seed: 3 },
        placed(112, 152, 9),
      );
      const areoles: P[] = [up, low].flatMap((b) =>
        Array.from({ length: 5 }, (_, r) =>
          Array.from({ length: 4 }, (_, k) => b.at(0.2 + r * 0.16, -0.72 + k * 0.48 + (r % 2) * 0.1)),
        ).flat(),
      );
      return { as: s.as, blades: [low, up], stalks: [], areoles };
    }
    case 'column': {
      const b = feather(
        {
          long: 256,
          wide: 84,
          widest: 0.5,
          tip: 'round',
          base: 'round',
          veins: 1,
          bend: 0,
          margin: 'waved',
          teeth: 13,
          tooth: 3,
        },
        placed(100, 272),
      );
      const v = [-0.78, -0.42, 0, 0.42, 0.78];
      return {
        as: s.as,
        blades: [{ ...b, ribs: v.map((x) => Array.from({ length: 12 }, (_, i) => b.at(0.03 + (0.94 * i) / 11, x))) }],
        stalks: [],
        areoles: v.flatMap((x) => Array.from({ length: 9 }, (_, i) => b.at(0.1 + i * 0.1, x))),
      };
    }
    case 'segments': {
      const one = (x: number, y: number, turn: number, seed: number) =>
        feather(
          {
            long: 78,
            wide: 46,
            widest: 0.55,
            tip: 'notched',
            base: 'wedge',
            margin: 'spiny',
            teeth: 4,
            tooth: 5,
            veins: 1,
            bend: 0,
            seed,
          },
          placed(x, y, turn),
          turn,
        );
      return {
        as: s.as,
        blades: [
          one(100, 276, 0, 1),
          one(98, 206, -16, 2),
          one(106, 204, 26, 3),
          one(78, 136, -30, 4),
          one(140, 138, 22, 5),
          one(44, 74, -18, 6),
        ],
        stalks: [],
        areoles: [],
      };
    }
    case 'rosette': {
      const blades: Blade[] = [];
      for (let ringNo = 0; ringNo < 3; ringNo++) {
        const k = 1 - ringNo * 0.3;
        for (let i = 0; i < s.n - ringNo; i++) {
          const turn = (360 * i) / (s.n - ringNo) + ringNo * 24;
          const [dx, dy] = placed(0, 0, turn)([0, -6 * k]);
          blades.push(
            feather(
              {
                long: s.long * k,
                wide: s.wide * k,
                widest: 0.66,
                tip: s.tip ?? 'sharp',
                base: 'wedge',
                veins: 1,
                bend: 0,
                seed: i,
              },
              placed(100 + dx, 150 + dy, turn),
              turn,
            ),
          );
        }
      }
      return { as: s.as, blades, stalks: [] };
    }
    case 'thick': {
      const blades: Blade[] = [];
      const st = stalk(
        [
          [104, 280],
          [100, 190],
          [100, 60],
        ],
        9,
        6,
      );
      for (let i = 0; i < 4; i++)
        for (const side of [-1, 1]) {
          const turn = side * (62 - i * 10);
          const k = 1 - Math.abs(i - 1.2) * 0.12;
          blades.push(
            feather(
              {
                long: s.long * k,
                wide: s.wide * k,
                widest: 0.6,
                tip: s.tip ?? 'round',
                base: 'wedge',
                veins: 1,
                bend: 0.06 * side,
                seed: i + side + 3,
              },
              placed(100 + side * 3, 226 - i * 52, turn),
              turn,
            ),
          );
        }
      blades.push(
        feather(
          { long: s.long * 0.6, wide: s.wide * 0.6, widest: 0.6, tip: 'round', base: 'wedge', veins: 1 },
          placed(100, 66),
        ),
      );
      return { as: s.as, blades, stalks: [st] };
    }
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
