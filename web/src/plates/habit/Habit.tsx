import { useId } from 'react';
import { bodyOf } from '../kit/Face';
import { add, blot, curve, type P, placed, rings, soft, taper } from '../kit/geo';
import type { Leaf } from '../kit/leaf';
import type { PlantLook } from '../plants/plants';
import { beds } from './beds';
import { borders } from './borders';
import { penOf, type Spot } from './draw';
import { pots } from './pots';
import { trees } from './trees';

/** How the plant itself looks to a passer-by, with the leaves that show it in their own colour: a sketch of 100 by 110, the ground at 100. */
export type Tint = { where: 'young' | 'old' | 'all' | 'side' | 'tips'; colour: string };

const stamps = new WeakMap<Leaf, P[][]>();

/** The leaf's outline with few corners, its foot at 0,0 and its tip at 0,-1. */
function stamp(leaf: Leaf): P[][] {
  const was = stamps.get(leaf);
  if (was) return was;
  if (leaf.as === 'needles' || leaf.as === 'spray') {
    // A twig of needles this small is a feather.
    const w = leaf.as === 'needles' ? 0.12 : 0.2;
    const teeth = Array.from({ length: 5 }, (_, i): P[] => [
      [-w * (1 - i * 0.16), -0.14 - i * 0.18],
      [-w * 0.3, -0.16 - i * 0.18],
    ]).flat();
    const made0 = [[[0, 0] as P, ...teeth, [0, -1] as P, ...[...teeth].reverse().map((q): P => [-q[0], q[1]])]];
    stamps.set(leaf, made0);
    return made0;
  }
  const most = leaf.as === 'twig' ? 9 : 14;
  const few = leaf.blades.length > most ? leaf.blades.filter((_, i) => i % Math.ceil(leaf.blades.length / most) === 0) : leaf.blades;
  const each = leaf.as === 'twig' ? 4 : leaf.blades.length > 4 ? 6 : leaf.blades[0]?.kind === 'hand' ? 22 : 14;
  const made = few.map((b) =>
    b.outline.filter((_, i) => i % Math.max(1, Math.round(b.outline.length / each)) === 0).map((p): P => [(p[0] - 100) / 262, (p[1] - 276) / 262]),
  );
  stamps.set(leaf, made);
  return made;
}

const flowerTone: Record<string, string> = {
  rose: '#d98a9a',
  five: '#f6e9ee',
  bells: '#eadcf0',
  spike: '#9a86c4',
  daisy: '#f4d9e4',
  dahlia: '#cf6a4e',
  trumpet: '#f0c14a',
  trumpets: '#d98fb0',
  lily: '#f0b46a',
  mophead: '#a9b8e0',
  umbel: '#f4f2e2',
  pea: '#d67f86',
  star: '#f6ec9c',
  tulip: '#e4b3c6',
  camellia: '#e3a0ac',
  lips: '#8f86cf',
  cross: '#f2e79a',
  peony: '#d77f98',
  iris: '#8f86c9',
  daffodil: '#f2d64a',
  snowdrop: '#ffffff',
  mallow: '#d9829a',
  hellebore: '#c9b8c4',
  orchid: '#e4b8d4',
  sunflower: '#f0c22e',
  bracts: '#d9484e',
  spathe: '#ffffff',
  fuchsia: '#d2476a',
  pansy: '#7d6bb8',
  passion: '#cfc6ea',
  clematis: '#9a86c4',
  wisteria: '#b3a2dc',
  thistle: '#a48ac4',
  globe: '#b89ad0',
  carnation: '#e58a9a',
  cyclamen: '#dd88a4',
  brush: '#d9584a',
  catkin: '#cdbb6a',
  tassel: '#d9c98a',
};

/** The sketch itself. */
export function Habit({ look, tint, limp, flowerless }: { look: PlantLook; tint?: Tint; limp?: boolean; flowerless?: boolean }) {
  const id = useId();
  const pen = penOf(look);
  const R = pen.R;
  const s = trees(pen) ?? beds(pen) ?? borders(pen) ?? pots(pen) ?? { stems: [pen.stem(50, 30)], leaves: [] };
  const st = stamp(look.leaf);
  const sag = (p: Spot): Spot => (limp ? [p[0], p[1], p[2] + (p[0] < 50 ? -1 : 1) * (p[2] * (p[0] < 50 ? -1 : 1) < 60 ? 74 : 30), p[3]] : p);
  const ys = s.leaves.map((l) => l[1]);
  const [top, low] = [Math.min(...ys), Math.max(...ys)];
  const hit = (l: Spot, i: number) => {
    if (!tint) return false;
    const t = low > top ? (l[1] - top) / (low - top) : (i % 3) / 3;
    return tint.where === 'all' || (tint.where === 'young' ? t < 0.34 : tint.where === 'old' ? t > 0.62 : tint.where === 'side' ? l[0] > 54 : i % 3 === 0);
  };
  // A leaf of many corners is drawn once and set down again and again; a plain one is as short written out.
  const once = rings(st.map((b) => b.map((p): P => [p[0] * 100, p[1] * 100]))).length > 110;
  const leaves = (list: Spot[], fill: string) =>
    once ? (
      list
        .map(sag)
        .map(([x, y, turn, k], i) => (
          <use
            key={i}
            href={`#${id}`}
            fill={fill}
            transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})rotate(${turn.toFixed(0)})scale(${(k / 100).toFixed(3)})`}
          />
        ))
    ) : (
      <path
        d={rings(list.map(sag).flatMap(([x, y, turn, k]) => st.map((b) => b.map(placed(x, y, turn, k)))))}
        fill={fill}
        stroke="var(--leaf-line)"
        strokeWidth=".5"
        strokeLinejoin="round"
      />
    );
  const sick = s.leaves.filter(hit);
  const green = bodyOf(look.leaf);
  return (
    <g data-habit={look.habit}>
      {once && (
        <defs>
          <path
            id={id}
            d={rings(st.map((b) => b.map((p): P => [p[0] * 100, p[1] * 100])))}
            stroke="var(--leaf-line)"
            strokeWidth="2.6"
            strokeLinejoin="round"
          />
        </defs>
      )}
      <path d="M4 101Q50 98 96 101" fill="none" stroke="var(--quiet)" strokeWidth=".8" opacity=".6" />
      {s.behind}
      {s.back && <path d={s.back} fill={`color-mix(in srgb, ${green} 80%, var(--leaf-shade))`} stroke="var(--leaf-line)" strokeWidth=".8" />}
      <path
        d={rings(s.stems.map((q) => taper(q, s.wood ? 3.6 : 2, s.wood ? 1.2 : 1)))}
        fill={s.wood ? 'var(--bark)' : 'var(--leaf-stalk)'}
        stroke={s.wood ? 'var(--bark-line)' : 'var(--leaf-line)'}
        strokeWidth=".6"
      />
      {leaves(
        s.leaves.filter((l, i) => !hit(l, i)),
        green,
      )}
      {sick.length > 0 && leaves(sick, tint?.colour ?? green)}
      {s.extra}
      {(flowerless ? [] : (s.flowers ?? [])).map((p, i) => (
        <g key={i}>
          <path d={soft(blot(p, s.size ?? 4, R, 0.3, 9))} fill={flowerTone[look.flower] ?? '#f0d8e0'} stroke="var(--bark-line)" strokeWidth=".6" />
          {(s.size ?? 0) >= 5 && (
            <path d={curve([add(p, [-2, 0]), add(p, [0, -2]), add(p, [2, 0]), add(p, [0, 1.6])])} fill="none" stroke="var(--bark-line)" strokeWidth=".5" />
          )}
        </g>
      ))}
    </g>
  );
}
