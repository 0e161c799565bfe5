import { hash, seeded } from '../random';
import type { Blade, Cell } from './blade';
import { add, dist, type P, type Rand } from './geo';
import type { Leaf } from './leaf';

/** What a sign is drawn with: the leaf, a generator of its own, how much of it there is (0 to 1). */
export type Ctx = { leaf: Leaf; R: Rand; amount: number; seed: number };

export const ctxOf = (leaf: Leaf, word: string, seed: number, amount = 1): Ctx => ({
  leaf,
  seed,
  amount,
  R: seeded(seed ^ hash(word)),
});

export type Spot = { p: P; b: Blade; u: number; v: number; r: number };

/** One blade, the larger the likelier. */
export function blade(c: Ctx): Blade {
  const all = c.leaf.blades;
  let x = c.R() * all.reduce((s, b) => s + b.area, 0);
  for (const b of all) {
    x -= b.area;
    if (x <= 0) return b;
  }
  return all[all.length - 1] as Blade;
}

/** Places on the leaf, kept apart from one another: u and v say from where to where along and across a blade. */
export function pick(
  c: Ctx,
  n: number,
  o: { u?: [number, number]; v?: [number, number]; both?: boolean; apart?: boolean } = {},
): Spot[] {
  const [u0, u1] = o.u ?? [0.1, 0.92];
  const [v0, v1] = o.v ?? [-0.86, 0.86];
  const out: Spot[] = [];
  const many = Math.max(1, Math.round(n * c.amount));
  for (let i = 0; i < many; i++) {
    let best: Spot | undefined;
    let far = -1;
    for (let k = 0; k < (o.apart === false ? 1 : 3); k++) {
      const b = blade(c);
      let v = v0 + c.R() * (v1 - v0);
      if (o.both && c.R() < 0.5) v = -v;
      const u = u0 + c.R() * (u1 - u0);
      const s = { p: b.at(b.kind === 'hand' ? Math.sqrt(u) : u, v), b, u, v, r: c.R() };
      const d = out.slice(-24).reduce((m, q) => Math.min(m, dist(q.p, s.p)), 1e9);
      if (d > far) {
        far = d;
        best = s;
      }
    }
    if (best) out.push(best);
  }
  return out;
}

/** Points thick in the middle of some places and thin at their rim. */
export const cloud = (c: Ctx, at: readonly P[], each: number, spread: number): P[] =>
  at.flatMap((p) =>
    Array.from({ length: Math.round(each) }, (): P => {
      const a = c.R() * 6.283;
      const d = spread * c.R() ** 0.9;
      return add(p, [Math.cos(a) * d, Math.sin(a) * d]);
    }),
  );

export type Field = { cell: Cell; b: Blade };

/** The fields between the veins, those that pass. */
export const fields = (c: Ctx, keep: (f: Field, i: number) => boolean = () => true): Field[] =>
  c.leaf.blades.flatMap((b) => b.cells.map((cell) => ({ cell, b }))).filter(keep);

/** Some of the fields, drawn by lot. */
export function some(c: Ctx, n: number, keep?: (f: Field, i: number) => boolean): Field[] {
  const all = fields(c, keep);
  for (let i = all.length - 1; i > 0; i--) {
    const j = Math.floor(c.R() * (i + 1));
    [all[i], all[j]] = [all[j] as Field, all[i] as Field];
  }
  return all.slice(0, Math.max(1, Math.round(n * c.amount)));
}

/** A piece of a field as a polygon: from a0 to a1 on its way out, from b0 to b1 between its veins. */
export function piece(f: Field, a0: number, a1: number, b0 = 0.06, b1 = 0.94, steps = f.b.long > 120 ? 4 : 2): P[] {
  const up = Array.from({ length: steps + 1 }, (_, i) => f.cell.at(a0 + ((a1 - a0) * i) / steps, b0));
  const down = Array.from({ length: steps + 1 }, (_, i) => f.cell.at(a1 + ((a0 - a1) * i) / steps, b1));
  return [...up, ...down];
}

/** A band along the margin of each blade; its depth in units is asked for by u, v and the corner's number. */
export function band(c: Ctx, depth: (u: number, v: number, i: number, b: Blade) => number): P[][] {
  return c.leaf.blades.map((b) => {
    const inner = b.outline.map((_, i) => {
      const [u, v] = b.uv[i] as P;
      return b.inner(i, Math.max(0.01, depth(u, v, i, b)));
    });
    return [...b.outline, b.outline[0] as P, inner[0] as P, ...inner.reverse()];
  });
}

/** The line on the inner side of such a band. */
export const innerLine = (c: Ctx, depth: (u: number, v: number, i: number, b: Blade) => number): P[][] =>
  c.leaf.blades.map((b) =>
    b.outline.map((_, i) => {
      const [u, v] = b.uv[i] as P;
      return b.inner(i, Math.max(0.01, depth(u, v, i, b)));
    }),
  );

/** All of each blade beyond some u, or below it, with an uneven front. */
export function zone(c: Ctx, from: (v: number, b: Blade) => number, to = 1.02): P[][] {
  return c.leaf.blades.map((b) => {
    if (b.kind === 'hand') {
      const vs = Array.from({ length: 41 }, (_, i) => -1 + i / 20);
      return [...vs.map((v) => b.at(from(v, b), v)), ...vs.reverse().map((v) => b.at(1, v))];
    }
    const vs = Array.from({ length: 9 }, (_, i) => -1.02 + (2.04 * i) / 8);
    const near = vs.map((v) => b.at(from(v, b), v));
    const steps = [0.25, 0.5, 0.75, 1];
    const right = steps.map((k) => b.at(from(1, b) + (to - from(1, b)) * k, 1.06));
    const leftSide = [...steps].reverse().map((k) => b.at(from(-1, b) + (to - from(-1, b)) * k, -1.06));
    return [...near, ...right, ...leftSide];
  });
}
