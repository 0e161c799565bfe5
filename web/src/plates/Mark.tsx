import { useId } from 'react';
import { Body, type Drawing, hasBody } from './bodies';
import { Layers } from './layers';
import { Leaf, shapeOf } from './leaves';
import { partOf } from './Plate';
import { hash } from './random';
import { Flower, Fruit, Plant, Pot, Root, Stem } from './things';

/** The drawing at the size of a list: the animal where there is one, else the part with its damage. */
export function Mark({ drawing: d, size = 36 }: { drawing: Drawing; size?: number }) {
  const clip = useId();
  if (hasBody(d))
    return (
      <svg width={size} height={size} viewBox="-4 -8 108 122" aria-hidden="true">
        <Body d={d} />
      </svg>
    );
  const part = partOf(d);
  const seed = hash(String(d.subject) + String(d.damage));
  return (
    <svg width={size} height={size} viewBox="0 -6 200 290" aria-hidden="true">
      {part === 'leaf' && (
        <Leaf id={clip} shape={shapeOf(d.leaf)}>
          <Layers names={Array.isArray(d.damage) ? d.damage.map(String) : []} seed={seed} amount={0.8} />
        </Leaf>
      )}
      {part === 'root' && <Root d={d} seed={seed} />}
      {part === 'stem' && <Stem d={d} seed={seed} />}
      {part === 'fruit' && <Fruit d={d} seed={seed} />}
      {part === 'flower' && <Flower d={d} seed={seed} />}
      {part === 'pot' && <Pot d={d} seed={seed} />}
      {part === 'plant' && <Plant d={d} seed={seed} />}
    </svg>
  );
}
