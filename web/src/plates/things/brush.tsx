import { Children, type ReactNode } from 'react';
import type { Drawing } from '../bodies';

/** A sign on a part, from its seed. */
export type Sign = (seed: number) => ReactNode;
export type PartProps = { d: Drawing; seed: number; children?: ReactNode };

export const has = (d: Drawing, k: string) => Array.isArray(d.damage) && d.damage.includes(k);
export const line = {
  stroke: 'var(--ink)',
  strokeWidth: 2,
  strokeLinejoin: 'round' as const,
  strokeLinecap: 'round' as const,
};

/** The signs a drawing names, in the order it names them. */
export function Signs({ d, seed, words }: { d: Drawing; seed: number; words: Record<string, Sign> }) {
  const names = Array.isArray(d.damage) ? d.damage.map(String) : [];
  return (
    <>
      {names.map((n, i) => {
        const f = words[n];
        return f ? (
          <g key={n + i} data-layer={n}>
            {Children.toArray(f(seed))}
          </g>
        ) : null;
      })}
    </>
  );
}
