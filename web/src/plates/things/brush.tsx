import { type ReactNode, useId } from 'react';
import type { Drawing } from '../bodies';
import { bodyOf, faceOf } from '../kit/Face';
import type { P, Rand } from '../kit/geo';
import type { Leaf } from '../kit/leaf';
import type { PlantLook } from '../plants/plants';
import { hash, seeded } from '../random';

/** What a part is drawn from: the drawing's characters, a seed, and the plant it belongs to. */
export type PartProps = {
  d: Drawing;
  seed: number;
  look: PlantLook;
  children?: ReactNode /** The signs alone, without the part itself. */;
  bare?: boolean;
};

/** A sign on a part: from a generator of its own and whatever the part knows of itself. */
export type Sign<K = object> = (R: Rand, k: K) => ReactNode;

export const has = (d: Drawing, ...k: string[]) => Array.isArray(d.damage) && k.some((x) => (d.damage as unknown[]).includes(x));
export const pen = {
  stroke: 'var(--ink)',
  strokeWidth: 1.2,
  strokeLinejoin: 'round' as const,
  strokeLinecap: 'round' as const,
};
export const bark = {
  stroke: 'var(--bark-line)',
  strokeWidth: 1.1,
  strokeLinejoin: 'round' as const,
  strokeLinecap: 'round' as const,
};

/** The signs a drawing names, in the order it names them. */
export function Signs<K>({ d, seed, words, k }: { d: Drawing; seed: number; words: Record<string, Sign<K>>; k: K }) {
  const names = Array.isArray(d.damage) ? d.damage.map(String) : [];
  return (
    <>
      {names.map((n) => {
        const f = words[n];
        return f ? (
          <g key={n} data-layer={n}>
            {f(seeded(seed ^ hash(n)), k)}
          </g>
        ) : null;
      })}
    </>
  );
}

export type Sprig = { x: number; y: number; turn?: number; k?: number; fill?: string };

/** Leaves of the plant, small: one drawn, the others the same again. Foot at x and y, k the size against the leaf's own box. */
export function Smalls({ leaf, at, dark }: { leaf: Leaf; at: readonly Sprig[]; dark?: boolean }) {
  const id = useId();
  const f = faceOf(leaf);
  const many = leaf.blades.length > 16;
  return (
    <>
      <defs>
        <g id={id}>
          <path d={f.stalks} fill="var(--leaf-stalk)" stroke="var(--leaf-line)" strokeWidth="2.4" />
          <path d={f.fill} stroke="var(--leaf-line)" strokeWidth="2.6" strokeLinejoin="round" />
          {!many && <path d={f.shade} fill="var(--leaf-shade)" opacity=".17" />}
          {!many && <path d={f.sides} fill="none" stroke={dark ? '#1d1812' : 'var(--vein)'} strokeWidth="2" />}
          {!many && <path d={f.ribs} fill={dark ? '#1d1812' : 'var(--vein)'} />}
        </g>
      </defs>
      {at.map(({ x, y, turn = 0, k = 0.36, fill }) => (
        <use
          key={`${x} ${y}`}
          href={`#${id}`}
          fill={fill ?? bodyOf(leaf)}
          transform={`translate(${x.toFixed(1)} ${y.toFixed(1)}) rotate(${turn.toFixed(0)}) scale(${k}) translate(-104 -279)`}
        />
      ))}
    </>
  );
}
export const Small = ({ leaf, dark, ...at }: { leaf: Leaf; dark?: boolean } & Sprig) => <Smalls leaf={leaf} dark={dark} at={[at]} />;

/** Round dots in one path. */
export const dotPath = (pts: readonly P[]) => pts.map(([x, y]) => `M${x.toFixed(1)} ${y.toFixed(1)}h0`).join('');
export const Spots = ({ at, r, c, o }: { at: readonly P[]; r: number; c: string; o?: number }) => (
  <path d={dotPath(at)} fill="none" stroke={c} strokeWidth={r * 2} strokeLinecap="round" opacity={o} />
);

export const inBox = (R: Rand, n: number, x0: number, y0: number, x1: number, y1: number): P[] =>
  Array.from({ length: n }, (): P => [x0 + R() * (x1 - x0), y0 + R() * (y1 - y0)]);
