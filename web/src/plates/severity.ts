import { feather } from './kit/blade';
import { lerp, placed } from './kit/geo';
import { hash, seeded } from './random';

/** Shares of leaf area, in per cent, that are drawn to be matched with. */
export const shares = [0, 1, 3, 5, 10, 15, 25, 40, 60, 80] as const;

/** The leaf stands in a box of 100 by 140; half its width at a height, tip up. */
const wide = 100;
const tall = 140;
const top = 4;
const foot = 136;
/** A blade of the kit that is the same on both sides, so that its area can be reckoned. */
export const blade = feather(
  { long: foot - top, wide: 88, widest: 0.44, tip: 'sharp', base: 'round', veins: 6, bend: 0, skew: 0 },
  placed(wide / 2, foot),
);
const step = 0.25;
const halves = Array.from({ length: (foot - top) / step + 1 }, (_, i) =>
  Math.abs(blade.at(1 - (i * step) / (foot - top), 1)[0] - wide / 2),
);
export function halfWidth(y: number): number {
  const v = (y - top) / step;
  if (v <= 0 || v >= halves.length - 1) return 0;
  const i = Math.floor(v);
  return lerp(halves[i] ?? 0, halves[i + 1] ?? 0, v - i);
}

/** The outline as a path. */
export const outline = (() => {
  const right: string[] = [];
  const left: string[] = [];
  for (let y = top; y <= foot; y += 2) {
    const w = halfWidth(y);
    right.push(`${(wide / 2 + w).toFixed(2)} ${y}`);
    left.unshift(`${(wide / 2 - w).toFixed(2)} ${y}`);
  }
  return `M${right.join(' L')} L${left.join(' L')} Z`;
})();

/** Its area, by Simpson's rule. */
export const leafArea = (() => {
  const n = 2000;
  const h = (foot - top) / n;
  let sum = 0;
  for (let i = 0; i <= n; i++) sum += (i % 2 ? 4 : i && i < n ? 2 : 1) * 2 * halfWidth(top + i * h);
  return (sum * h) / 3;
})();

const nx = 100;
const ny = 140;
type Point = [number, number];

/** How deep inside a blotch each corner of the grid would lie: seeded bumps, each with its own size. */
function bumps(seed: string): Float64Array {
  const r = seeded(hash(`severity ${seed}`));
  const spots = Array.from({ length: 16 }, () => {
    const y = top + 8 + r() * (foot - top - 16);
    return { y, x: wide / 2 + (r() * 2 - 1) * halfWidth(y) * 0.92, s: 5 + r() * 6, a: 0.7 + r() * 0.6 };
  });
  const out = new Float64Array((nx + 1) * (ny + 1));
  for (let j = 0; j <= ny; j++)
    for (let i = 0; i <= nx; i++) {
      const [x, y] = [(i * wide) / nx, (j * tall) / ny];
      let sum = 0;
      for (const p of spots) sum += p.a * Math.exp(-((x - p.x) ** 2 + (y - p.y) ** 2) / (2 * p.s * p.s));
      // Far from every spot the field still falls, so that any share can be reached.
      out[j * (nx + 1) + i] = Math.log(sum + 1e-9);
    }
  return out;
}

/** Loops round what lies above zero, the inside always on the same hand: marching squares. */
function loops(g: (i: number, j: number) => number): Point[][] {
  const next = new Map<string, { to: Point; key: string }>();
  const at = (i: number, j: number, a: number, k: number, l: number, b: number): [string, Point] => {
    const f = a / (a - b);
    const [x, y] = [((i + (k - i) * f) * wide) / nx, ((j + (l - j) * f) * tall) / ny];
    return [j === l ? `h${Math.min(i, k)},${j}` : `v${i},${Math.min(j, l)}`, [x, y]];
  };
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const c: [number, number, number][] = [
        [i, j, g(i, j)],
        [i + 1, j, g(i + 1, j)],
        [i + 1, j + 1, g(i + 1, j + 1)],
        [i, j + 1, g(i, j + 1)],
      ];
      // Edges walked round the cell: where it goes in and where it comes out.
      const ins: [string, Point][] = [];
      const outs: [string, Point][] = [];
      const order: ('in' | 'out')[] = [];
      for (let e = 0; e < 4; e++) {
        const [p, q] = [c[e] as [number, number, number], c[(e + 1) % 4] as [number, number, number]];
        if (p[2] > 0 === q[2] > 0) continue;
        const x = at(p[0], p[1], p[2], q[0], q[1], q[2]);
        if (p[2] > 0) {
          outs.push(x);
          order.push('out');
        } else {
          ins.push(x);
          order.push('in');
        }
      }
      // From where the rim leaves the inside back to where it entered: the inside stays on one hand.
      const middle = (c[0]?.[2] ?? 0) + (c[1]?.[2] ?? 0) + (c[2]?.[2] ?? 0) + (c[3]?.[2] ?? 0) > 0;
      outs.forEach((o, k) => {
        const twin = outs.length === 2 && (order[0] === 'in') === middle ? (k + 1) % 2 : k;
        const to = ins[outs.length === 2 ? twin : 0];
        if (to) next.set(o[0], { to: to[1], key: to[0] });
      });
    }
  const out: Point[][] = [];
  while (next.size) {
    const [start] = next.keys();
    const loop: Point[] = [];
    for (let k = start as string | undefined; k !== undefined; ) {
      const step = next.get(k);
      if (!step) break;
      next.delete(k);
      loop.push(step.to);
      k = step.key;
    }
    if (loop.length > 2) out.push(loop);
  }
  return out;
}

const area = (all: Point[][]) =>
  Math.abs(
    all.reduce(
      (sum, p) =>
        sum +
        p.reduce(
          (s, [x, y], i) => s + x * (p[(i + 1) % p.length]?.[1] ?? 0) - y * (p[(i + 1) % p.length]?.[0] ?? 0),
          0,
        ) /
          2,
      0,
    ),
  );

const drawn = new Map<string, string>();

/** The sick part of a leaf as a path, of a share of its area in per cent: the level is set by the area of the path itself. */
export function sick(seed: string, share: number): string {
  if (share <= 0) return '';
  const id = `${seed} ${share}`;
  const known = drawn.get(id);
  if (known !== undefined) return known;
  const f = bumps(seed);
  const inside = (i: number, j: number) => (halfWidth((j * tall) / ny) - Math.abs((i * wide) / nx - wide / 2)) / 8;
  const at = (level: number) =>
    loops((i, j) => {
      const v = Math.min((f[j * (nx + 1) + i] ?? 0) - level, inside(i, j));
      return v === 0 ? -1e-9 : v;
    });
  // Corners of the grid tell nearly where the level lies; from there by halves.
  const on = Array.from({ length: (nx + 1) * (ny + 1) }, (_, k) => k)
    .filter((k) => inside(k % (nx + 1), Math.floor(k / (nx + 1))) > 0)
    .map((k) => f[k] ?? 0)
    .sort((a, b) => b - a);
  const near = on[Math.min(on.length - 1, Math.round((share / 100) * on.length))] ?? 0;
  let [lo, hi] = [near - 0.4, near + 0.4];
  let best: Point[][] = [];
  for (let n = 0; n < 13; n++) {
    const mid = (lo + hi) / 2;
    best = at(mid);
    if (area(best) > (share / 100) * leafArea) lo = mid;
    else hi = mid;
  }
  const path = best.map((p) => `M${p.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`).join('');
  drawn.set(id, path);
  return path;
}
