import type { ReactNode } from 'react';
import type { LeafShape } from '../leaves';
import { type Pt, scatter, seeded } from '../random';

/** What a sign looks like on a leaf in the 200 by 280 box, from a seed, an amount of 0 to 1 and the leaf it lies on. */
export type Layer = (seed: number, amount: number, leaf: LeafShape) => ReactNode;

export const dots = (pts: Pt[], f: (p: Pt, i: number) => ReactNode) => pts.map((p, i) => <g key={i}>{f(p, i)}</g>);

export const blob = (p: { x: number; y: number }, r: number, seed: number, wobble: number, n = 9) => {
  const R = seeded(seed);
  const pts = Array.from({ length: n }, (_, i) => {
    const a = (i / n) * 2 * Math.PI;
    const q = r * (1 - wobble / 2 + wobble * R());
    return `${(p.x + Math.cos(a) * q).toFixed(1)} ${(p.y + Math.sin(a) * q).toFixed(1)}`;
  });
  return `M${pts.join(' L')} Z`;
};

/** A spot with feathered rays, as of rose black spot. */
export const feather = (p: Pt, r: number, seed: number) => {
  const R = seeded(seed);
  const n = 34;
  const pts = Array.from({ length: n }, (_, i) => {
    const a = (i / n) * 2 * Math.PI;
    const q = i % 2 ? r * (0.8 + 0.08 * R()) : r * (1 + 0.18 * R());
    return `${(p.x + Math.cos(a) * q).toFixed(1)} ${(p.y + Math.sin(a) * q).toFixed(1)}`;
  });
  return `M${pts.join(' L')} Z`;
};

/** A patch with straight edges, as between veins. */
export const angular = (p: Pt, r: number) => {
  const a = r * (0.8 + p.r * 0.5);
  return `M${p.x - a} ${p.y - r * 0.5} L${p.x + r * 0.3} ${p.y - r} L${p.x + a} ${p.y + r * 0.1} L${p.x + r * 0.4} ${p.y + r} L${p.x - a * 0.8} ${p.y + r * 0.7} Z`;
};

export const spotsAt = (s: number, a: number) => scatter(s, Math.round(11 * a), 38, 44, 162, 236);

/** Plain shapes of one kind spread over the leaf. */
export const many =
  (n: number, f: (p: Pt, i: number, seed: number) => ReactNode): Layer =>
  (s, a) =>
    dots(scatter(s, Math.round(n * a), 36, 40, 164, 240), (p, i) => f(p, i, s));

export const wash =
  (fill: string, opacity: number, y = 0, h = 280): Layer =>
  () => <rect x="0" y={y} width="200" height={h} fill={fill} opacity={opacity} />;

export const wedge =
  (fill: string): Layer =>
  () => (
    <g fill={fill} stroke="#6b5a1e" strokeWidth="1">
      <path d="M0 120 L96 160 L10 214 Z M200 96 L104 146 L190 196 Z M120 0 L100 110 L70 6 Z" />
    </g>
  );

/** A band along the margin, whatever the leaf's shape. */
export const rim =
  (stroke: string, width: number, opacity = 0.9): Layer =>
  (_s, a, leaf) => (
    <path
      d={leaf.outline.join(' ')}
      fill="none"
      stroke={stroke}
      strokeWidth={width * 2 * (0.5 + a / 2)}
      opacity={opacity}
      strokeLinejoin="round"
    />
  );

/** Points on the margin, n of them evenly along each piece of the outline. */
export function edge(leaf: LeafShape, n: number): { x: number; y: number }[] {
  const out: { x: number; y: number }[] = [];
  for (const d of leaf.outline) {
    const pts: { x: number; y: number }[] = [];
    let at = { x: 0, y: 0 };
    for (const [, k, nums] of d.matchAll(/([MCL])([^MCLZ]*)/g)) {
      const v = (nums ?? '')
        .trim()
        .split(/[\s,]+/)
        .map(Number);
      const step = k === 'C' ? 6 : 2;
      for (let i = 0; i + step - 1 < v.length; i += step) {
        const q = (j: number) => ({ x: v[i + j] as number, y: v[i + j + 1] as number });
        const to = q(step - 2);
        if (k === 'C') {
          const [a, b] = [q(0), q(2)];
          for (let t = 0.1; t < 1.001; t += 0.1) {
            const u = 1 - t;
            pts.push({
              x: u * u * u * at.x + 3 * u * u * t * a.x + 3 * u * t * t * b.x + t * t * t * to.x,
              y: u * u * u * at.y + 3 * u * u * t * a.y + 3 * u * t * t * b.y + t * t * t * to.y,
            });
          }
        }
        at = to;
      }
    }
    const m = Math.max(2, Math.round(n / leaf.outline.length));
    for (let i = 0; i < m; i++) {
      const p = pts[Math.floor(((i + 0.5) / m) * pts.length)];
      if (p) out.push(p);
    }
  }
  return out;
}
