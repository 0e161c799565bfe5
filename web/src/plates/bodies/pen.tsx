import type { ReactNode } from 'react';

/** What a drawing is told by the herbarium. */
export type Drawing = Record<string, unknown>;

const tones: Record<string, string> = {
  straw: '#c6cf7f',
  green: '#8fb04c',
  brick: '#b3452f',
  brown: '#7b5334',
  amber: '#d98f3d',
  pale: '#e6e7c4',
  white: '#f7f7f0',
  dark: '#3a342f',
  black: '#2a2726',
  purple: '#6d4560',
  crimson: '#a3203c',
  tan: '#c9a878',
  cream: '#f0e6c8',
  yellow: '#e4c940',
  red: '#c23b2e',
  grey: '#8f9590',
  orange: '#d9742b',
  pink: '#d99a9a',
  blue: '#6b86a8',
};
export const tone = (d: Drawing) => tones[String(d.colour)] ?? '#b9b39a';
export const pen = {
  stroke: 'var(--pen, #2b2a26)',
  strokeWidth: 1.8,
  strokeLinecap: 'round' as const,
  strokeLinejoin: 'round' as const,
};

export const legs = (pairs: [number, number, number, number, number, number][]) =>
  pairs.flatMap(([x1, y1, x2, y2, x3, y3], i) =>
    [1, -1].map((s) => (
      <path
        key={`${i}${s}`}
        d={`M${50 + s * x1} ${y1} L${50 + s * x2} ${y2} L${50 + s * x3} ${y3}`}
        fill="none"
        {...pen}
        strokeWidth={1.6}
      />
    )),
  );

export const sixLegs = legs([
  [9, 40, 20, 32, 27, 22],
  [10, 50, 24, 50, 32, 56],
  [9, 58, 20, 66, 26, 82],
]);

export type Plan = (d: Drawing) => ReactNode;
