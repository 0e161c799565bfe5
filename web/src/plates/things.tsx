import type { Drawing } from './bodies';
import { isLeafWord, SignedLeaf } from './layers';
import { shapeOf } from './leaves';
import { type PartProps, type Sign, Signs } from './things/brush';
import { Flower, flowerWords } from './things/flower';
import { Fruit, fruitWords } from './things/fruit';
import { Plant, plantWords } from './things/plant';
import { Pot, potWords } from './things/pot';
import { Root, rootWords } from './things/root';
import { Stem, stemWords } from './things/stem';
import { Turf, wider } from './things/wider';

const words: Record<string, Record<string, Sign>> = {
  root: rootWords,
  stem: stemWords,
  fruit: fruitWords,
  flower: flowerWords,
  pot: potWords,
  plant: plantWords,
  turf: wider.turf,
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
export const knows = (part: string, word: string) => (part === 'leaf' ? isLeafWord(word) : word in (words[part] ?? {}));

/** Any part with its signs; bare leaves the part itself out and draws the signs alone. */
export function Part({
  part,
  d,
  seed,
  children,
  amount = 1,
  bare,
}: PartProps & { part: string; amount?: number; bare?: boolean }) {
  if (part === 'leaf') {
    const names = Array.isArray(d.damage) ? d.damage.map(String) : [];
    return (
      <SignedLeaf bare={bare} shape={shapeOf(d.leaf)} signs={names.map((name) => ({ name, amount }))} seed={seed}>
        {children}
      </SignedLeaf>
    );
  }
  if (bare) return <Signs d={d} seed={seed} words={words[part] ?? {}} />;
  const P = parts[part];
  return P ? (
    <P d={d} seed={seed}>
      {children}
    </P>
  ) : null;
}
