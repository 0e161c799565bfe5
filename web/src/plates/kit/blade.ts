import { seeded } from '../random';
import { add, area, clamp, left, lerp, mix, type P, sub, unit } from './geo';

/** A field between two side veins: a goes from the midrib (0) to the margin (1), b from the lower vein (0) to the upper (1). */
export type Cell = {
  at: (a: number, b: number) => P /** Middle of the field along the blade, 0 at its base. */;
  u: number;
  side: number;
};

/** One blade, or one leaflet of a compound leaf. */
export type Blade = {
  /** Closed, from the base up one side over the tip and down the other. */
  outline: P[];
  /** The main ribs, the midrib first, each from base to tip. */
  ribs: P[][];
  /** Side veins, each from a rib to the margin. */
  sides: P[][];
  cells: Cell[];
  /** A place by u along (0 base, 1 tip) and v across (-1 and 1 are the margins). */
  at: (u: number, v: number) => P;
  /** The point d units inside the margin at a corner of the outline. */
  inner: (i: number, d: number) => P;
  /** u and v of each corner of the outline. */
  uv: P[];
  area: number;
  long: number;
  wide: number;
  /** Which way it points, in degrees; 0 is up. */
  turn: number;
  kind: 'feather' | 'hand' | 'strap' | 'needle';
};

export type Margin = 'plain' | 'fine' | 'toothed' | 'double' | 'waved' | 'scalloped' | 'spiny' | 'hairy';

export type BladeSpec = {
  long: number;
  wide: number;
  /** Where it is widest, 0 at the base. */
  widest?: number;
  tip?: 'round' | 'blunt' | 'sharp' | 'drawn' | 'notched';
  base?: 'round' | 'wedge' | 'slim' | 'heart' | 'arrow';
  margin?: Margin;
  teeth?: number;
  /** Height of teeth or waves in units. */
  tooth?: number;
  veins?: number;
  /** How far a side vein climbs towards the tip on its way out. */
  rise?: number;
  /** Lobes a side, and how deep they are cut. */
  lobes?: number;
  deep?: number;
  bend?: number;
  skew?: number;
  seed?: number;
};

type To = (p: P) => P;

/** What is reckoned when first asked for, and then kept. */
function once<T>(f: () => T): () => T {
  let made: { value: T } | undefined;
  return () => {
    made ??= { value: f() };
    return made.value;
  };
}

const tips = {
  round: [2, 0.5],
  blunt: [2, 0.68],
  sharp: [1.9, 0.98],
  drawn: [1.55, 1.6],
  notched: [2.4, 0.42],
} as const;
const bases = { round: [2, 0.5], wedge: [1.6, 0.95], slim: [1.4, 1.5], heart: [2, 0.42], arrow: [1.8, 0.6] } as const;

/** Displacement at the margin, outwards, as a list of corners a tooth: [where in the tooth, how high]. */
const profiles: Record<Margin, readonly (readonly [number, number])[]> = {
  plain: [[0, 0]],
  fine: [
    [0, 0],
    [0.72, 1],
  ],
  toothed: [
    [0, 0],
    [0.4, 0.55],
    [0.78, 1],
  ],
  double: [
    [0, 0],
    [0.22, 0.5],
    [0.36, 0.3],
    [0.74, 1],
    [0.86, 0.45],
  ],
  waved: [
    [0, 0],
    [0.2, 0.7],
    [0.5, 1],
    [0.8, 0.7],
  ],
  scalloped: [
    [0, 0],
    [0.14, 0.75],
    [0.5, 1],
    [0.86, 0.75],
  ],
  spiny: [
    [0, 1],
    [0.14, 0.3],
    [0.35, -0.1],
    [0.65, -0.1],
    [0.86, 0.3],
  ],
  hairy: [[0, 0]],
};

/** A blade with a midrib and side veins. */
export function feather(s: BladeSpec, to: To = (p) => p, turn = 0): Blade {
  const R = seeded((s.seed ?? 1) * 7919 + 13);
  const { long: L, wide: W, widest = 0.42, margin = 'plain', veins = 7, rise = 0.2, lobes = 0, deep = 0.4 } = s;
  const [tp, tq] = tips[s.tip ?? 'sharp'];
  const [bp, bq] = bases[s.base ?? 'round'];
  const bend = (s.bend ?? 0.05) * L;
  const skew = (s.skew ?? 0.05) * (R() < 0.5 ? -1 : 1);
  const back = s.base === 'heart' ? 0.2 * L : s.base === 'arrow' ? 0.42 * L : 0;
  const prof = (t: number) =>
    t < widest
      ? (1 - (1 - t / widest) ** bp) ** bq
      : (1 - ((t - widest) / (1 - widest)) ** tp) ** tq * (s.tip === 'notched' && t > 0.93 ? 1 : 1);
  const cut = (t: number) => {
    if (!lobes) return 1;
    const fade = Math.min(1, t * 6) * clamp((1 - t) * 4.5);
    return 1 - deep * fade * (0.5 + 0.5 * Math.cos(2 * Math.PI * (lobes * t ** 0.92 + 0.1)));
  };
  const half = (t: number, side: number) => (W / 2) * prof(clamp(t)) * cut(t) * (1 + side * skew);
  const mid = (t: number): P => [bend * Math.sin(Math.PI * t * 0.9) * t, -L * t];
  const dir = (t: number) => unit(sub(mid(Math.min(1, t + 0.02)), mid(Math.max(0, t - 0.02))));
  const raw = (u: number, v: number, extra = 0): P => {
    const t = clamp(u);
    const side = v < 0 ? -1 : 1;
    const d = dir(t);
    const n = left(d); // to the left of the way up
    const w = half(t, side) * Math.abs(v) + (v === 0 ? 0 : extra);
    let p = add(mid(t), n, -side * w);
    if (back) p = add(p, d, -back * Math.abs(v) ** 1.2 * (t / 0.075) * Math.exp(1 - t / 0.075));
    if (s.tip === 'notched' && t > 0.9) p = add(p, d, (t - 0.9) * 0.9 * L * 0.12 * Math.abs(v));
    return p;
  };
  const at = (u: number, v: number) => to(raw(u, v));

  const n = s.teeth ?? (margin === 'fine' ? 22 : margin === 'spiny' ? 5 : margin === 'waved' ? 7 : 12);
  const h = s.tooth ?? (margin === 'spiny' ? W * 0.09 : margin === 'waved' ? W * 0.03 : margin === 'fine' ? 1.6 : 3.4);
  const uv: P[] = [];
  const outline: P[] = [];
  const smooth = margin === 'plain' || margin === 'hairy';
  const rimU: [number, number][] = [];
  if (smooth) {
    const m = lobes ? Math.max(26, lobes * 12) : W < 9 ? 4 : W < 16 ? 6 : Math.round(clamp(L / 7, 8, 30));
    for (let i = 0; i <= m; i++) rimU.push([(1 - Math.cos((Math.PI * i) / m)) / 2, 0]);
  } else {
    const dense = lobes ? 3 : 1;
    for (let k = 0; k < n; k++)
      for (const [f, up] of profiles[margin])
        for (let q = 0; q < (f === 0 && dense > 1 ? 1 : 1); q++) {
          const u = (k + f) / n;
          // Teeth point forwards, and are smaller towards both ends.
          rimU.push([clamp(u + (up * 0.15) / n), up * h * Math.min(1, (u + 0.06) * 5, (1.02 - u) * 4)]);
        }
    rimU.push([1, 0]);
  }
  for (const side of [-1, 1]) {
    const list = side < 0 ? rimU : [...rimU].reverse();
    for (const [u, up] of list) {
      if (side > 0 && u === 1) continue;
      outline.push(to(raw(u, side, up)));
      uv.push([u, side]);
    }
  }

  // Made when first asked for: a leaf that is only measured needs its outline alone.
  const veined = once(() => {
    const sides: P[][] = [];
    const cells: Cell[] = [];
    for (const side of [-1, 1]) {
      const starts = Array.from(
        { length: veins },
        (_, k) => 0.03 + (0.9 * (k + 0.55 + (side > 0 ? 0.28 : 0) + (R() - 0.5) * 0.16)) / (veins + 0.45),
      );
      const way = (t: number) => (a: number) => Math.min(0.995, t + rise * (1 - t * 0.62) * a ** 1.45);
      const ways = starts.map(way);
      const steps = L < 60 ? 2 : L < 110 ? 3 : 6;
      for (const f of ways)
        sides.push(
          Array.from({ length: steps + 1 }, (_, i) =>
            // A large tooth has its vein: it runs on into it.
            i === steps && h > 3.5 && margin !== 'spiny'
              ? to(raw(f(1), side, h * 0.5))
              : at(f(i / steps), side * (i / steps)),
          ),
        );
      const all = [
        (a: number) => 0.0 + 0.02 * a,
        ...ways,
        (a: number) => lerp(starts[veins - 1] ?? 0.9, 1, 0.6) + 0.1 * a,
      ];
      for (let k = 0; k + 1 < all.length; k++) {
        const [lo, hi] = [all[k] as (a: number) => number, all[k + 1] as (a: number) => number];
        cells.push({ at: (a, b) => at(lerp(lo(a), hi(a), b), side * a), u: (lo(0.5) + hi(0.5)) / 2, side });
      }
    }
    return { sides, cells };
  });
  const rib = Array.from({ length: 13 }, (_, i) => at(i / 12, 0));
  return {
    outline,
    uv,
    ribs: [rib],
    get sides() {
      return veined().sides;
    },
    get cells() {
      return veined().cells;
    },
    at,
    inner: (i, d) => {
      const [u, v] = uv[i] as P;
      const w = half(clamp(u), v) || 0.01;
      // Near the tip and the base the margin runs across: the depth is along the blade there.
      const uu = u > 0.5 ? Math.min(u, 1 - d / L) : Math.max(u, d / L);
      return at(uu, v * clamp(1 - d / w));
    },
    area: area(outline),
    long: L,
    wide: W,
    turn,
    kind: 'feather',
  };
}

export type HandSpec = {
  /** Main ribs: angle in degrees from straight up, and length. */
  ribs: readonly (readonly [number, number])[];
  /** How deep the outline dips between ribs, 0 to 1. */
  deep: number;
  lobe?: 'point' | 'round' | 'narrow';
  /** How far round the blade reaches, in degrees from straight up. */
  reach?: number;
  margin?: Margin;
  teeth?: number;
  tooth?: number;
  seed?: number;
};

/** A blade with several main ribs from its base, as of vine, maple or cranesbill. */
export function hand(s: HandSpec, to: To = (p) => p): Blade {
  const R = seeded((s.seed ?? 1) * 104729 + 5);
  const ribs = s.ribs.map(([a, l]): [number, number] => [a + (R() - 0.5) * 4, l * (1 + (R() - 0.5) * 0.04)]);
  const reach = s.reach ?? 165;
  const margin = s.margin ?? 'toothed';
  const [first, last] = [ribs[0] as [number, number], ribs[ribs.length - 1] as [number, number]];
  const dip = (x: number) =>
    s.lobe === 'round'
      ? Math.sin(Math.PI * x) ** 2
      : s.lobe === 'narrow'
        ? 1 - Math.abs(2 * x - 1) ** 3.2
        : 1 - Math.abs(2 * x - 1) ** 1.7;
  const far = (deg: number) => {
    const outer = deg < first[0] ? first : deg > last[0] ? last : undefined;
    if (outer) {
      const y = Math.abs(deg - outer[0]) / Math.max(1, reach - Math.abs(outer[0]));
      return outer[1] * (1 - 0.5 * clamp(y) ** 1.3);
    }
    for (let i = 0; i + 1 < ribs.length; i++) {
      const [a, b] = [ribs[i] as [number, number], ribs[i + 1] as [number, number]];
      if (deg > b[0]) continue;
      const x = clamp((deg - a[0]) / (b[0] - a[0]));
      return lerp(a[1], b[1], x * x * (3 - 2 * x)) * (1 - s.deep * dip(x));
    }
    return last[1];
  };
  const polar = (deg: number, rho: number): P => {
    const l = far(deg) * rho;
    return [Math.sin((deg * Math.PI) / 180) * l, -Math.cos((deg * Math.PI) / 180) * l];
  };
  const at = (u: number, v: number) => to(polar(v * reach, clamp(u)));
  const n = s.teeth ?? 40;
  const h = s.tooth ?? (margin === 'plain' ? 0 : 4.5);
  const uv: P[] = [];
  const outline: P[] = [];
  const push = (deg: number, up: number) => {
    const l = far(deg) + up;
    outline.push(to([Math.sin((deg * Math.PI) / 180) * l, -Math.cos((deg * Math.PI) / 180) * l]));
    uv.push([1, deg / reach]);
  };
  const span = 2 * reach;
  if (margin === 'plain') for (let i = 0; i <= 110; i++) push(-reach + (span * i) / 110, 0);
  else
    for (let k = 0; k < n; k++)
      for (const [f, up] of profiles[margin]) push(-reach + (span * (k + f)) / n, up * h * (0.75 + 0.5 * R()));
  outline.push(to([0, -6]));
  uv.push([0, 1]);

  const veined = once(() => {
    const sides: P[][] = [];
    const cells: Cell[] = [];
    const starts = [0.2, 0.42, 0.63, 0.8];
    ribs.forEach(([deg], i) => {
      for (const side of [-1, 1]) {
        const next = ribs[i + side];
        const gap = Math.abs((next ? next[0] : side * reach) - deg) / (next ? 2 : 1.15);
        const way =
          (k: number) =>
          (a: number): P => {
            const t = starts[k] ?? 1;
            return polar(deg + side * gap * (1 - t) * 0.96 * a, Math.min(1, lerp(t, 1, a ** 1.15)));
          };
        const ways = starts.map((_, k) => way(k));
        ways.forEach((f) => {
          sides.push(Array.from({ length: 5 }, (_, j) => to(f(j / 4))));
        });
        const all = [(a: number): P => polar(deg + side * gap * clamp(a * 3), a), ...ways, (): P => polar(deg, 1)];
        for (let k = 0; k + 1 < all.length; k++) {
          const [lo, hi] = [all[k] as (a: number) => P, all[k + 1] as (a: number) => P];
          cells.push({ at: (a, b) => to(mix(lo(a), hi(a), b)), u: 0.15 + 0.2 * k, side });
        }
      }
    });
    return { sides, cells };
  });
  return {
    outline,
    uv,
    ribs: [...ribs]
      .sort((a, b) => Math.abs(a[0]) - Math.abs(b[0]))
      .map(([deg]) =>
        Array.from({ length: 6 }, (_, i) => to(polar(deg + Math.sin((i / 5) * 3) * 1.5, (i / 5) * 0.985))),
      ),
    get sides() {
      return veined().sides;
    },
    get cells() {
      return veined().cells;
    },
    at,
    inner: (i, d) => {
      const [, v] = uv[i] as P;
      const l = far(v * reach);
      return at(clamp(1 - d / l), v);
    },
    area: area(outline),
    long: Math.max(...ribs.map((r) => r[1])),
    wide: Math.max(...ribs.map((r) => r[1])) * 1.6,
    turn: 0,
    kind: 'hand',
  };
}

/** A long blade with veins side by side, as of lily, onion or orchid. */
export function strap(s: BladeSpec, to: To = (p) => p, turn = 0): Blade {
  const b = feather({ ...s, veins: 1, lobes: 0 }, to, turn);
  const n = s.veins ?? 6;
  const vs = Array.from({ length: n + 1 }, (_, k) => -1 + (2 * k) / n);
  const sides = vs
    .slice(1, -1)
    .flatMap((v) => (Math.abs(v) < 0.05 ? [] : [Array.from({ length: 15 }, (_, i) => b.at(i / 14, v))]));
  const rows = 9;
  const cells: Cell[] = [];
  for (let k = 0; k < n; k++)
    for (let r = 0; r < rows; r++) {
      const [v0, v1] = [vs[k] as number, vs[k + 1] as number];
      const [u0, u1] = [r / rows, (r + 1) / rows];
      cells.push({
        at: (a, c) => b.at(lerp(u0, u1, a), lerp(v0, v1, c)),
        u: (u0 + u1) / 2,
        side: v0 + v1 < 0 ? -1 : 1,
      });
    }
  return { ...b, sides, cells, kind: 'strap' };
}
