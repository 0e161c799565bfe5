import type { ReactNode } from 'react';
import { useId } from 'react';
import type { Layer } from './layers/brush';
import { care } from './layers/care';
import { cut } from './layers/cut';
import { disease } from './layers/disease';
import { pests } from './layers/pests';
import { Leaf, type LeafShape } from './leaves';

/** Signs laid upon the leaf, and signs cut out of it; a word may be both. */
export const layers: Record<string, Layer> = { ...pests, ...disease, ...care };
export const cuts = cut;
export const isLeafWord = (w: string) => w in layers || w in cuts;

/** Layers that belong to the underside rather than the upper side. */
export const below = new Set([
  'tar-spots',
  'black-dots',
  'cast-skins',
  'down-below',
  'pustules',
  'pustule-rings',
  'webbing',
  'felt',
  'eggs',
]);

/** Washes and halos lie beneath whatever else is there, in whichever order they are named. */
const ground = new Set([
  'yellow-halo',
  'yellow-spots',
  'yellow-dots',
  'even-yellow',
  'angular-yellow',
  'interveinal-young',
  'chlorosis-young',
  'chlorosis-old',
  'orange-spots',
  'round-spots',
  'bronzing',
  'silvering',
]);
const depth = (n: string) => (ground.has(n) ? 0 : 1);

export type Laid = { name: string; amount?: number };

/** A leaf with signs laid upon it and cut out of it. */
export function SignedLeaf({
  shape,
  under,
  signs,
  seed,
  bare,
  children,
}: {
  shape: LeafShape;
  under?: boolean;
  signs: Laid[];
  seed: number;
  /** The signs alone, without the leaf under them. */
  bare?: boolean;
  children?: ReactNode;
}) {
  const id = useId();
  const holes = signs.filter((s) => s.name in cuts);
  const shapes = holes.map((s) => <g key={s.name}>{cuts[s.name]?.(seed, s.amount ?? 1, shape)}</g>);
  return (
    <g>
      {holes.length > 0 && (
        <mask id={`${id}m`} maskUnits="userSpaceOnUse" x="-20" y="-20" width="240" height="320">
          <rect x="-20" y="-20" width="240" height="320" fill="#fff" />
          <g fill="#000">{shapes}</g>
        </mask>
      )}
      <g mask={holes.length ? `url(#${id}m)` : undefined}>
        <Leaf id={id} shape={shape} under={under} bare={bare}>
          {[...signs]
            .sort((a, b) => depth(a.name) - depth(b.name))
            .map((s) =>
              layers[s.name] ? (
                <g key={s.name} data-layer={s.name}>
                  {layers[s.name]?.(seed, s.amount ?? 1, shape)}
                </g>
              ) : null,
            )}
          {children}
        </Leaf>
      </g>
      {holes.length > 0 && (
        <g clipPath={`url(#${id})`} fill="none" stroke="var(--leaf-line)" strokeWidth="1.8">
          {shapes}
        </g>
      )}
    </g>
  );
}
