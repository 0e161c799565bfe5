import type { ReactNode } from 'react';
import { flapTone, fold, folded, grow, grows } from '../kit/bend';
import { cuts } from '../kit/bites';
import { Face } from '../kit/Face';
import { type LeafSpec, leafOf } from '../kit/leaf';
import { ctxOf } from '../kit/spread';
import { care } from './care';
import { chewed } from './chewed';
import { fungi } from './fungi';
import type { Mark } from './ink';
import { over, sap } from './sap';

/** Signs laid upon a leaf, by the herbarium's word. */
export const marks: Record<string, Mark> = { ...sap, ...chewed, ...fungi, ...care };

/** Every word a leaf can be drawn with: laid upon it, cut out of it, or in how it grew or folded. */
export const leafSigns = [...new Set([...Object.keys(marks), ...cuts, ...grows, ...folded])];
const known = new Set(leafSigns);
export const isLeafWord = (w: string) => known.has(w);

/** Signs that belong to the underside rather than the upper side. */
export const below = new Set([
  'tar-spots',
  'black-dots',
  'cast-skins',
  'down-below',
  'white-below',
  'pustules',
  'pustule-rings',
  'webbing',
  'eggs',
  'spore-rows',
]);

/** Washes and halos lie beneath whatever else is there, in whichever order they are named. */
const ground = new Set([
  'even-yellow',
  'yellow-fall',
  'narrow-white',
  'chlorosis-young',
  'chlorosis-old',
  'broad-green',
  'interveinal-young',
  'bloom',
  'mosaic',
  'old-edges',
  'bronzing',
  'blotchy-mottle',
  'red-roll',
  'acid',
]);
const middle = new Set([
  'purple-blotches',
  'yellow-halo',
  'yellow-spots',
  'yellow-dots',
  'angular-yellow',
  'orange-spots',
  'round-spots',
  'silvering',
  'wet-blotches',
  'burn-scars',
  'bleached-top',
  'cupped-yellow',
  'rolled-edge',
]);
const depth = (n: string) => (ground.has(n) ? 0 : middle.has(n) ? 1 : over.has(n) ? 3 : 2);

export type Laid = { name: string; amount?: number };

/** The leaf as signs of growth and folding leave it. */
export function leafUnder(spec: LeafSpec, signs: readonly Laid[]) {
  const names = signs.map((s) => s.name);
  return fold(leafOf(grow(spec, names)), names);
}

/** A leaf with signs laid upon it and cut out of it. */
export function SignedLeaf({
  spec,
  under,
  signs,
  seed,
  bare,
  name,
  again,
  children,
}: {
  spec: LeafSpec;
  under?: boolean;
  signs: readonly Laid[];
  seed: number /** The signs alone. */;
  bare?: boolean;
  /** A name for the face, and a face to use again: see Face. */
  name?: string;
  again?: string;
  children?: ReactNode;
}) {
  const { leaf, flaps } = leafUnder(spec, signs);
  const laid = signs.filter((s) => s.name in marks).sort((a, b) => depth(a.name) - depth(b.name));
  const draw = (s: Laid) => (
    <g key={s.name} data-layer={s.name}>
      {marks[s.name]?.(ctxOf(leaf, s.name, seed, s.amount ?? 1))}
    </g>
  );
  return (
    <Face
      leaf={leaf}
      flaps={flaps}
      flapFill={signs.map((s) => flapTone[s.name]).find(Boolean)}
      under={under}
      bare={bare}
      name={name}
      again={again}
      seed={seed}
      eaten={signs.filter((s) => cuts.includes(s.name))}
      over={
        <>
          {laid.filter((s) => over.has(s.name)).map(draw)}
          {children}
        </>
      }
    >
      {laid.filter((s) => !over.has(s.name)).map(draw)}
    </Face>
  );
}
