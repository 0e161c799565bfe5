import polygonClipping from 'polygon-clipping';
import type { Blade } from './blade';
import { add, area, blot, disc, dist, inside, left, type P, ring, rings, sub, taper, unit } from './geo';
import type { Leaf } from './leaf';
import { type Ctx, ctxOf, fields, pick, piece, some } from './spread';

/** Shapes that are missing, by the word for what ate them. Heavy feeders spare the ribs. */
type Biter = { spare: boolean; at: (c: Ctx) => P[][] };

const along = (b: Blade, i: number) => b.outline[((i % b.outline.length) + b.outline.length) % b.outline.length] as P;

/** A corner of a margin some way from the stalk. */
function rimSpot(c: Ctx, b: Blade): number {
  for (let k = 0; k < 12; k++) {
    const i = Math.floor(c.R() * b.outline.length);
    const [u] = b.uv[i] as P;
    if (b.kind === 'hand' ? Math.abs((b.uv[i] as P)[1]) < 0.9 : u > 0.1 && u < 0.97) return i;
  }
  return Math.floor(b.outline.length / 4);
}

/** Points on a margin at even steps of its length. */
function even(b: Blade, step: number): { p: P; n: P; u: number; v: number }[] {
  const out: { p: P; n: P; u: number; v: number }[] = [];
  let left0 = step / 2;
  for (let i = 0; i + 1 < b.outline.length; i++) {
    const [p, q] = [b.outline[i] as P, b.outline[i + 1] as P];
    const l = dist(p, q);
    while (left0 < l) {
      const [u, v] = b.uv[i] as P;
      out.push({ p: add(p, sub(q, p), left0 / l), n: left(unit(sub(q, p))), u, v });
      left0 += step;
    }
    left0 -= l;
  }
  return out;
}

/** A hole as a mouth makes it: small arcs that overlap. */
function nibbled(c: Ctx, p: P, r: number): P[][] {
  const n = 5 + Math.floor(c.R() * 2);
  const out: P[][] = [blot(p, r * 0.72, c.R, 0.3, 9)];
  for (let i = 0; i < n; i++) {
    const a = (i / n) * 6.283 + c.R();
    out.push(disc(add(p, [Math.cos(a) * r * 0.62, Math.sin(a) * r * 0.62]), r * (0.34 + 0.22 * c.R()), 9));
  }
  return out;
}

export const biters: Record<string, Biter> = {
  'eaten-margin': {
    spare: true,
    at: (c) =>
      c.leaf.blades.flatMap((b) => {
        const many = c.leaf.blades.length;
        if (many > 12 && c.R() < 0.62) return [];
        if (b.area < 160) return c.R() < 0.5 * c.amount ? [blot(b.at(0.9, 0), b.long * 0.3, c.R, 0.3)] : [];
        const bays = Math.max(1, Math.round((b.long > 120 ? 7 : b.long > 60 && many <= 12 ? 3 : 1) * c.amount));
        return Array.from({ length: bays }, () => {
          const at = rimSpot(c, b);
          const deep = Math.min(b.wide * 0.36, 9 + c.R() * 15);
          const run = 3 + Math.floor(c.R() * 4);
          return Array.from({ length: run }, (_, k) => {
            const p = along(b, at + k * 2);
            const [u, v] = b.uv[(at + k * 2) % b.uv.length] as P;
            const q = b.kind === 'hand' ? b.at(0.86 + 0.1 * c.R(), v) : b.at(u, v * (0.8 + 0.2 * c.R()));
            return disc(
              add(p, sub(q, p), c.R()),
              deep * (0.55 + 0.5 * Math.sin((Math.PI * (k + 0.5)) / run)),
              many > 6 ? 8 : 12,
            );
          });
        }).flat();
      }),
  },
  notches: {
    spare: false,
    at: (c) =>
      c.leaf.blades.flatMap((b) =>
        even(b, b.long > 120 ? 17 : 15)
          .filter((e) => c.R() < 0.62 * c.amount && (b.kind === 'hand' || (e.u > 0.12 && e.u < 0.96)))
          .map((e) => {
            const deep = Math.min(b.wide * 0.22, 6 + c.R() * 5);
            const w = 2.4 + c.R() * 1.4;
            const inn: P = [-e.n[0], -e.n[1]];
            const dir = inside(b.outline, add(e.p, inn, 2)) ? inn : e.n;
            const t = left(dir);
            // A U: straight sides, a round bottom.
            const foot = add(e.p, dir, deep);
            const arc = Array.from({ length: 7 }, (_, i): P => {
              const a = (Math.PI * i) / 6;
              return add(add(foot, t, Math.cos(a) * w), dir, Math.sin(a) * w);
            });
            return [add(add(e.p, t, w * 1.1), dir, -6), ...arc, add(add(e.p, t, -w * 1.1), dir, -6)];
          }),
      ),
  },
  'half-circles': {
    spare: false,
    at: (c) =>
      c.leaf.blades.flatMap((b) => {
        const n = Math.max(1, Math.round((b.long > 120 ? 5 : 2) * c.amount));
        return even(b, 34)
          .filter((e) => b.kind === 'hand' || (e.u > 0.16 && e.u < 0.9))
          .sort(() => c.R() - 0.5)
          .slice(0, n)
          .map((e) => disc(e.p, Math.min(b.wide * 0.3, 12 + c.R() * 4), 26));
      }),
  },
  'shot-holes': {
    spare: false,
    at: (c) =>
      pick(c, 34, { u: [0.08, 0.94] }).map((s) => blot(s.p, Math.min(s.b.wide / 6, 1.9 + s.r * 2.8), c.R, 0.18, 9)),
  },
  'ragged-holes': {
    spare: true,
    at: (c) =>
      pick(c, 7, { u: [0.16, 0.86], v: [0.3, 0.95], both: true }).flatMap((s) =>
        nibbled(c, s.p, Math.min(s.b.wide / 3.4, 9 + s.r ** 2 * 15)),
      ),
  },
  skeletonised: {
    spare: false,
    at: (c) =>
      fields(
        c,
        (f, i) =>
          f.b.area > 300 &&
          (c.leaf.blades.length < 9 || c.leaf.blades.indexOf(f.b) % 3 === 0) &&
          (Math.sin(i * 1.7 + c.seed) > -0.35 || f.cell.u > 0.5),
      ).flatMap((f) => {
        const n = f.b.kind === 'hand' ? 2 : f.b.long > 120 ? 5 : f.b.area < 1500 ? 1 : 2;
        return Array.from({ length: n }, (_, k) =>
          piece(f, 0.05 + (0.88 * k) / n, 0.05 + (0.88 * (k + 0.84)) / n, 0.12, 0.88, 2),
        ).filter(() => c.R() < 0.9 * c.amount);
      }),
  },
  tears: {
    spare: false,
    at: (c) =>
      some(c, c.leaf.blades.length > 1 ? 9 : 7, (f) => f.cell.u > 0.12 && f.cell.u < 0.92).map((f) => {
        const to = 0.2 + c.R() * 0.3;
        const [lo, hi] = [0.4 - c.R() * 0.12, 0.62 + c.R() * 0.14];
        return [
          f.cell.at(1.3, lo - 0.1),
          f.cell.at(0.9, lo),
          f.cell.at(0.7, lo + 0.08),
          f.cell.at(to, 0.5),
          f.cell.at(0.66, hi - 0.06),
          f.cell.at(0.88, hi),
          f.cell.at(1.3, hi + 0.1),
        ];
      }),
  },
  tattered: {
    spare: true,
    at: (c) => [
      ...pick(c, 12, { u: [0.3, 0.95] }).map((s) =>
        blot(s.p, Math.min(s.b.wide / 5, 3 + s.r * 8), c.R, 0.75, 8, 1.3, c.R() * 3),
      ),
      ...some(c, 5, (f) => f.cell.u > 0.4).map((f) => [
        f.cell.at(1.2, 0.2),
        f.cell.at(0.6 + c.R() * 0.2, 0.36),
        f.cell.at(0.3, 0.55),
        f.cell.at(0.75, 0.6),
        f.cell.at(1.2, 0.85),
      ]),
    ],
  },
  'bare-fern': {
    spare: true,
    at: (c) => c.leaf.blades.filter((_, i) => (i * 7) % 10 < 7 * c.amount).map((b) => [...b.outline]),
  },
};

/** The words that cut. */
export const cuts = Object.keys(biters);

type Poly = [number, number][][];
const fine = (pts: readonly P[]): Poly => [
  pts.map(([x, y]): [number, number] => [Math.round(x * 50) / 50, Math.round(y * 50) / 50]),
];

type Box = [number, number, number, number];
const boxOf = (pts: readonly P[]): Box => {
  const [xs, ys] = [pts.map((p) => p[0]), pts.map((p) => p[1])];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
};
const meet = (a: Box, b: Box) => a[0] <= b[2] && b[0] <= a[2] && a[1] <= b[3] && b[1] <= a[3];

export type Cut = {
  /** What is left, as one path. */
  path: string;
  /** Its outer and inner rings, apart. */
  rings: P[][];
  /** The bites themselves, to draw their rims by. */
  bites: P[][];
};

const done = new Map<string, Cut>();

/** The leaf without the union of its bites. Crumbs that hang on nothing fall; stalks are never cut. */
export function cutLeaf(
  leaf: Leaf,
  words: readonly { name: string; amount?: number }[],
  seed: number,
): Cut | undefined {
  const eaters = words.filter((w) => w.name in biters);
  if (!eaters.length) return undefined;
  const key = `${leaf.path} ${seed} ${eaters.map((w) => `${w.name}${w.amount ?? 1}`).join()}`;
  const was = done.get(key);
  if (was) return was;
  const bites: P[][] = [];
  const spared: P[][] = [];
  for (const w of eaters) {
    const e = biters[w.name] as Biter;
    const shapes = e.at(ctxOf(leaf, w.name, seed, w.amount ?? 1)).filter((p) => p.length > 2 && area(p) > 0.5);
    bites.push(...shapes);
    if (e.spare) spared.push(...shapes);
  }
  const left0: P[][] = [];
  const boxes = bites.map(boxOf);
  const gone = eaters.some((w) => w.name === 'bare-fern');
  for (const b of leaf.blades) {
    let rest: Poly[] = [fine(b.outline)];
    const mine = boxOf(b.outline);
    const near = bites.filter(
      (s, i) =>
        meet(mine, boxes[i] as Box) && (s.some((p) => inside(b.outline, p)) || b.outline.some((p) => inside(s, p))),
    );
    if (gone && near.some((q) => q.length === b.outline.length)) continue;
    if (near.length) {
      try {
        // One sweep takes away the union of them all.
        rest = polygonClipping.difference([fine(b.outline)] as Poly[], ...near.map(fine)) as Poly[];
        // A rib that was bitten into is given back.
        const ribs = b.ribs
          .filter((r) => spared.some((q) => r.some((p) => inside(q, p))))
          .map((r, n) => fine(taper(r.slice(0, -1), n ? 2 : 3, 1)));
        if (ribs.length && !gone && b.area > 300 && leaf.blades.length <= 14)
          rest = polygonClipping.union(
            rest as never,
            polygonClipping.intersection(fine(b.outline) as never, ribs as never),
          ) as Poly[];
      } catch {
        // Two edges that nearly touch can confuse the clipper: the leaf is then left as it is there.
        rest = [fine(b.outline)];
      }
    }
    const ribs = b.ribs;
    for (const poly of rest) {
      const outer = (poly[0] ?? []) as P[];
      // A crumb is a piece that does not hang on a rib.
      const hangs = near.length === 0 || ribs.some((r) => r.some((q) => inside(outer, q)));
      if (!hangs) continue;
      left0.push(...(poly as unknown as P[][]).filter((r, i) => i === 0 || area(r) > 1.5));
    }
  }
  const cut = { path: left0.map(ring).join(''), rings: left0, bites };
  done.set(key, cut);
  if (done.size > 500) done.delete(done.keys().next().value as string);
  return cut;
}

export const bitePath = (c: Cut) => rings(c.bites);
