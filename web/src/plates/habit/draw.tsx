import type { ReactNode } from 'react';
import { add, mix, type P, soft } from '../kit/geo';
import type { PlantLook } from '../plants/plants';
import { hash, seeded } from '../random';

/** A leaf of the sketch: its foot, which way it points in degrees, how long it is. */
export type Spot = readonly [x: number, y: number, turn: number, k: number];

/** What a habit is made of. */
export type Sketch = {
  stems: P[][];
  wood?: boolean;
  leaves: Spot[];
  back?: string;
  flowers?: P[];
  size?: number;
  extra?: ReactNode;
  behind?: ReactNode;
};

export const pot = (y = 78, w = 26) => (
  <g stroke="var(--bark-line)" strokeWidth="1">
    <path d={`M${50 - w / 2} ${y}h${w}l-3 ${102 - y}h${-(w - 6)}Z`} fill="#c58a66" />
    <path d={`M${50 - w / 2 - 2} ${y - 3}h${w + 4}v5h${-(w + 4)}Z`} fill="#d39b76" />
  </g>
);

/** The pen a habit is sketched with; leaves and stems stand a little differently on every kind of plant. */
export function penOf(look: PlantLook) {
  const R = seeded(hash(look.id));
  const ground: P = [50, 100];
  const stem = (x: number, y: number, bow = 0, from: P = ground): P[] =>
    Array.from({ length: 6 }, (_, i): P => add(mix(from, [x, y], i / 5), [bow * Math.sin((Math.PI * i) / 5), 0]));
  const alongs = (s: P[], n: number, k: number, fan = 58, from = 0.2): Spot[] =>
    Array.from({ length: n }, (_, i): Spot => {
      const t = from + ((1 - from) * (i + 0.5)) / n;
      const f = t * (s.length - 1);
      const j = Math.min(s.length - 2, Math.floor(f));
      const [a, b] = [s[j] as P, s[j + 1] as P];
      const p = mix(a, b, f - j);
      const lean = (Math.atan2(b[0] - a[0], a[1] - b[1]) * 180) / Math.PI;
      return [p[0], p[1], lean + (i % 2 ? 1 : -1) * (fan - t * 20), k * (1.05 - 0.35 * t)];
    });
  const crown = (cx: number, cy: number, rx: number, ry: number, n: number, k: number): { back: string; leaves: Spot[] } => ({
    back: soft(
      Array.from({ length: 14 }, (_, i): P => {
        const a = (i / 14) * 6.283;
        const q = 0.9 + 0.22 * R();
        return [cx + Math.cos(a) * rx * q, cy + Math.sin(a) * ry * q];
      }),
    ),
    leaves: Array.from({ length: n }, (_, i): Spot => {
      const a = i * 2.4;
      const q = Math.sqrt((i + 0.5) / n) * 0.94;
      return [cx + Math.cos(a) * rx * q, cy + Math.sin(a) * ry * q + k * 0.4, Math.cos(a) * 80 + (R() - 0.5) * 50, k * (0.8 + 0.4 * R())];
    }),
  });
  const fan = (n: number, k: number, spread: number, x = 50, y = 100, sag = 0): Spot[] =>
    Array.from(
      { length: n },
      (_, i): Spot => [x + (i - (n - 1) / 2) * sag, y, -spread + (2 * spread * i) / Math.max(1, n - 1) + (R() - 0.5) * 6, k * (0.8 + 0.3 * R())],
    );
  const over = (n: number, rx: number, cy: number, ry = 10): P[] =>
    Array.from({ length: n }, (_, i): P => [50 + Math.cos(i * 2.4) * rx * Math.sqrt((i + 1) / n), cy + Math.sin(i * 2.4) * ry]);

  return { h: look.habit, look, R, ground, stem, alongs, crown, fan, over };
}
export type Pen = ReturnType<typeof penOf>;
