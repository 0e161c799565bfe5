import type { Drawing } from './bodies';
import { isLeafWord, SignedLeaf } from './marks';
import { type PlantLook, plantOf } from './plants/plants';
import type { PartProps } from './things/brush';
import { Flower, flowerWords } from './things/flower';
import { Fruit } from './things/fruit';
import { fruitWords } from './things/fruitsigns';
import { Plant, plantWords } from './things/plant';
import { Pot, potWords } from './things/pot';
import { Root } from './things/root';
import { rootWords } from './things/rootsigns';
import { Stem } from './things/stem';
import { stemWords } from './things/stemsigns';
import { Turf, turfWords } from './things/turf';

export const partWords: Record<string, object> = {
  root: rootWords,
  stem: stemWords,
  fruit: fruitWords,
  flower: flowerWords,
  pot: potWords,
  plant: plantWords,
  turf: turfWords,
};
const parts: Record<string, (p: PartProps) => React.ReactNode> = {
  root: Root,
  stem: Stem,
  fruit: Fruit,
  flower: Flower,
  pot: Pot,
  plant: Plant,
  turf: Turf,
};

/** The part of the plant a drawing shows. */
export const partOf = (d: Drawing): string => {
  const s = String(d.subject ?? 'leaf');
  if (s.startsWith('root')) return 'root';
  if (s.startsWith('stem')) return 'stem';
  return ['fruit', 'flower', 'pot', 'plant', 'pest', 'turf'].includes(s) ? s : 'leaf';
};

/** Whether the kit can draw a damage word on a part. */
export const knows = (part: string, word: string) =>
  part === 'leaf' ? isLeafWord(word) : word in (partWords[part] ?? {});

/** The plant a drawing names, else what its leaf word stands for. */
export const lookOf = (d: Drawing): PlantLook => plantOf(d.plant, d.leaf);

export const damageOf = (d: Drawing): string[] => (Array.isArray(d.damage) ? d.damage.map(String) : []);

type Props = {
  part: string;
  d: Drawing;
  seed: number;
  look?: PlantLook;
  amount?: number /** The signs alone. */;
  bare?: boolean;
  under?: boolean;
  /** A name for a leaf's face, and a face to use again. */
  name?: string;
  again?: string;
  children?: React.ReactNode;
};

/** Any part of a plant with its signs. */
export function Part({ part, d, seed, look = lookOf(d), amount = 1, bare, under, name, again, children }: Props) {
  if (part === 'leaf')
    return (
      <SignedLeaf
        bare={bare}
        under={under}
        name={name}
        again={again}
        spec={look.spec}
        signs={damageOf(d).map((name) => ({ name, amount }))}
        seed={seed}
      >
        {children}
      </SignedLeaf>
    );
  const P = parts[part];
  return P ? (
    <P d={d} seed={seed} look={look} bare={bare}>
      {children}
    </P>
  ) : null;
}
