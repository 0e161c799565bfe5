import type { ReactNode } from 'react';
import { add, by3, by4, by6, curve, line, lines, mix, type P, placed, ring, soft, taper, xy } from '../kit/geo';

/** What a drawing is told by the herbarium. */
export type Drawing = Record<string, unknown>;
/** One animal seen from above (or a larva from its side), head up, in a box of 100. */
export type Plan = {
  draw: (d: Drawing) => ReactNode /** Where its body begins and ends, without feelers, legs and tails: what is measured. */;
  from: number;
  to: number;
  /** Where that depends on what kind it is. */
  reach?: (d: Drawing) => [number, number];
};

export const tones: Record<string, string> = {
  straw: '#ccd18a',
  green: '#94b552',
  brick: '#b3452f',
  brown: '#84593a',
  amber: '#dc9440',
  pale: '#e8e9c8',
  white: '#f8f8f1',
  dark: '#453d36',
  black: '#2f2b29',
  purple: '#754a68',
  crimson: '#a3203c',
  tan: '#cdac7d',
  cream: '#f1e7ca',
  yellow: '#e6cb46',
  red: '#c93f30',
  grey: '#979d98',
  orange: '#dd7a30',
  pink: '#dea0a0',
  blue: '#6b86a8',
};
export const tone = (d: Drawing, other = '#b9b39a') => tones[String(d.colour)] ?? other;
export const ink = '#2b2a26';
export const pen = { stroke: ink, strokeWidth: 1.3, strokeLinecap: 'round' as const, strokeLinejoin: 'round' as const };

/** A leg in three parts, each thinner than the last: from the body over two joints to the foot. */
export const leg = (a: P, b: P, c: P, w = 3.2, colour = ink) => {
  const foot = add(c, [(c[0] - b[0]) * 0.3, (c[1] - b[1]) * 0.3 + 0.6]);
  return (
    <path
      key={`${a}${c}`}
      d={ring(taper([a, b], w, w * 0.78)) + ring(taper([b, c], w * 0.66, w * 0.42)) + ring(taper([c, foot], w * 0.4, w * 0.26))}
      fill={colour}
      stroke={ink}
      strokeWidth=".5"
      strokeLinejoin="round"
    />
  );
};
/** Pairs of legs mirrored about the middle; x is counted from it. */
export const legs = (pairs: readonly (readonly [number, number, number, number, number, number])[], w = 3.2, colour = ink) =>
  pairs.flatMap(([x1, y1, x2, y2, x3, y3]) => [1, -1].map((s) => leg([50 + s * x1, y1], [50 + s * x2, y2], [50 + s * x3, y3], w, colour)));

/** Feelers mirrored: thread, bead, club, comb or elbow. */
export function feelers(kind: 'thread' | 'bead' | 'club' | 'elbow' | 'bristle', x: number, y: number, dx: number, dy: number, w = 1.2): ReactNode {
  return [1, -1].map((s) => {
    const a: P = [50 + s * x, y];
    const e: P = [50 + s * (x + dx), y + dy];
    const m = add(mix(a, e, 0.5), kind === 'elbow' ? [s * 5, 3] : [s * 1.6, -2]);
    const path = curve([a, m, e]);
    return (
      <g key={s}>
        <path d={path} fill="none" stroke={ink} strokeWidth={w} strokeLinecap="round" />
        {kind === 'bead' && <path d={path} fill="none" stroke={ink} strokeWidth={w * 2.1} strokeDasharray="1.6 1.9" strokeLinecap="round" />}
        {kind === 'club' && <path d={line([mix(m, e, 0.6), e])} stroke={ink} strokeWidth={w * 2.8} strokeLinecap="round" />}
        {kind === 'bristle' && <circle cx={a[0]} cy={a[1]} r={w * 1.5} fill={ink} />}
      </g>
    );
  });
}

/** Half widths down the body as [y, half width]: a shape that is the same on both sides. */
export type Profile = readonly (readonly [number, number])[];
const outline = (p: Profile, k = 1): P[] => [...p.map(([y, w]): P => [50 - w * k, y]), ...[...p].reverse().map(([y, w]): P => [50 + w * k, y])];
export const hullPath = (p: Profile, k = 1) => soft(outline(p, k));

/** A body in three tones under one light from the upper left: itself, its shade on the right, its light on the left. */
export function Hull({ p, fill, light = 0.5, shade = 0.24, w = 1.3, o }: { p: Profile; fill: string; light?: number; shade?: number; w?: number; o?: number }) {
  const dark: P[] = [...p.map(([y, x]): P => [50 + x * 0.28, y]), ...[...p].reverse().map(([y, x]): P => [50 + x * 0.97, y])];
  const n = p.length;
  const lit = p.slice(Math.max(0, Math.floor(n * 0.2)), Math.ceil(n * 0.58)).map(([y, x]): P => [50 - x * 0.56, y]);
  return (
    <g opacity={o}>
      <path d={soft(outline(p))} fill={fill} data-hull={`${p[0]?.[0] ?? 0} ${p[p.length - 1]?.[0] ?? 0}`} />
      <path d={soft(dark)} fill="#1a1208" opacity={shade} />
      {light > 0 && lit.length > 1 && (
        <path
          d={curve(lit)}
          fill="none"
          stroke="#fff"
          strokeWidth={Math.max(1.2, Math.max(...p.map((q) => q[1])) * 0.16)}
          strokeLinecap="round"
          opacity={light}
        />
      )}
      <path d={soft(outline(p))} fill="none" {...pen} strokeWidth={w} />
    </g>
  );
}

/** Lines across a body, following its width. */
export const bandsAt = (p: Profile, ys: readonly number[], bow = 3, k = 0.94): string =>
  ys
    .map((y) => {
      let w = 0;
      for (let i = 0; i + 1 < p.length; i++) {
        const [a, b] = [p[i] as readonly [number, number], p[i + 1] as readonly [number, number]];
        if (y >= a[0] && y <= b[0]) w = a[1] + ((b[1] - a[1]) * (y - a[0])) / Math.max(0.01, b[0] - a[0]);
      }
      return curve([
        [50 - w * k, y],
        [50, y + bow],
        [50 + w * k, y],
      ]);
    })
    .join('');

/** Points told by how far they lie from the middle, on one side of it. */
export const side = (s: 1 | -1, text: string): P[] => xy(text).map(([x, y]): P => [50 + s * x, y]);
export const mirror = (f: (s: 1 | -1) => ReactNode) => (
  <>
    <g>{f(1)}</g>
    <g>{f(-1)}</g>
  </>
);
export const shadow = (x = 52, y = 88, rx = 30, ry = 7) => <ellipse cx={x} cy={y} rx={rx} ry={ry} fill="#000" opacity=".14" />;
export const dots = (pts: readonly P[]) => pts.map(([x, y]) => `M${x.toFixed(1)} ${y.toFixed(1)}h0`).join('');
export { add, by3, by4, by6, curve, line, lines, mix, type P, placed, ring, soft, taper, xy };
