import type { ReactNode } from 'react';
import { add, blot, line, type P, type Rand, ring, soft } from '../kit/geo';
import { type Ctx, cloud, type Spot } from '../kit/spread';

/** How a sign is drawn on a leaf. */
export type Mark = (c: Ctx) => ReactNode;

export const Fill = ({
  d,
  c,
  o,
  e,
  w,
  eo,
}: {
  d: string;
  c: string;
  o?: number /** the line round it, and its width */;
  e?: string;
  w?: number /** rings cut out one another */;
  eo?: boolean;
}) => <path d={d} fill={c} opacity={o} stroke={e} strokeWidth={w} strokeLinejoin="round" fillRule={eo ? 'evenodd' : undefined} />;
export const Ink = ({ d, c, w, o, s }: { d: string; c: string; w: number; o?: number; s?: string }) => (
  <path d={d} fill="none" stroke={c} strokeWidth={w} opacity={o} strokeLinecap="round" strokeLinejoin="round" strokeDasharray={s} />
);

/** Many dots of one size, as round ends of lines of no length. */
export const dotted = (pts: readonly P[]) => pts.map(([x, y]) => `M${Math.round(x * 10) / 10} ${Math.round(y * 10) / 10}h0`).join('');
export const Dots = ({ at, r, c, o }: { at: readonly P[]; r: number; c: string; o?: number }) => <Ink d={dotted(at)} c={c} w={r * 2} o={o} />;

/** Lesions of many sizes as soft outlines in one path. */
export const soften = (spots: readonly Spot[], size: (s: Spot) => number, R: Rand, rough = 0.4, n = 9) =>
  spots.map((s) => soft(blot(s.p, size(s), R, rough, size(s) < 3 ? 6 : n, 1 + R() * 0.35, R() * 3))).join('');

/** Lesions as an illustrator lays them: a yellow zone, a body, a darker ring, a pale middle. */
export function Lesions({
  at,
  size,
  c,
  body,
  rim,
  heart,
  zone,
  rough = 0.4,
  rimW = 1.4,
}: {
  at: readonly Spot[];
  size: (s: Spot) => number;
  c: Ctx;
  body: string;
  rim?: string;
  heart?: string;
  zone?: string;
  rough?: number;
  rimW?: number;
}) {
  // Small spots need few corners to look round.
  const shapes = at.map((s) => blot(s.p, size(s), c.R, rough, at.length > 30 ? 6 : 9, 1 + c.R() * 0.4, c.R() * 3));
  const grown = (k: number) =>
    shapes.map((q, i) => soft(q.map((p) => add((at[i] as Spot).p, [p[0] - (at[i] as Spot).p[0], p[1] - (at[i] as Spot).p[1]], k)))).join('');
  return (
    <>
      {zone && at.length <= 30 && <Fill d={grown(1.9)} c={zone} o={0.4} />}
      {zone && <Fill d={grown(1.5)} c={zone} o={0.55} />}
      <Fill d={grown(1)} c={body} e={rim} w={rimW} />
      {heart && <Fill d={grown(0.55)} c={heart} o={0.85} />}
    </>
  );
}

/** Short hairs or stalks standing out of a patch, with tiny heads. */
export function Fuzz({
  at,
  each,
  spread,
  c,
  colour,
  h = 4,
  head = 0.8,
  w = 0.6,
}: {
  at: readonly P[];
  each: number;
  spread: number;
  c: Ctx;
  colour: string;
  h?: number;
  head?: number;
  w?: number;
}) {
  const pts = cloud(c, at, each, spread);
  const tips = pts.map((p): P => add(p, [(c.R() - 0.5) * h * 0.8, -h * (0.6 + 0.6 * c.R())]));
  return (
    <>
      <Ink d={pts.map((p, i) => line([p, tips[i] as P])).join('')} c={colour} w={w} />
      {head > 0 && <Dots at={tips} r={head} c={colour} />}
    </>
  );
}

export const poly = (all: readonly (readonly P[])[]) => all.map(ring).join('');
