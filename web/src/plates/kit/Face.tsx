import { type ReactNode, useId, useMemo } from 'react';
import { bitePath, cutLeaf } from './bites';
import type { Blade } from './blade';
import { clamp, line, lines, type P, ring, rings, taper } from './geo';
import type { Leaf } from './leaf';

const body: Record<string, string> = {
  blue: 'color-mix(in srgb, var(--leaf) 66%, #9fb9bd)',
  dark: 'color-mix(in srgb, var(--leaf) 78%, #56763f)',
  grey: 'color-mix(in srgb, var(--leaf) 66%, #b4bba8)',
  red: 'color-mix(in srgb, var(--leaf) 86%, #b0506a)',
  light: 'color-mix(in srgb, var(--leaf) 82%, #e2ea9c)',
};
/** The veins of a red leaf are red. */
export const veinOf = (leaf: Leaf) =>
  leaf.tone === 'red' ? 'color-mix(in srgb, var(--vein) 40%, #b0466a)' : 'var(--vein)';
export const bodyOf = (leaf: Leaf) => body[leaf.tone ?? ''] ?? 'var(--leaf)';

/** The half of a blade that lies away from the light, which comes from the upper left. */
function shade(b: Blade): P[] {
  const t = (b.turn * Math.PI) / 180;
  const side = Math.cos(t) + Math.sin(t) > 0 ? 1 : -1;
  const n = b.kind === 'hand' ? 16 : 14;
  if (b.kind === 'hand')
    return [b.at(0, 0), ...Array.from({ length: n + 1 }, (_, i) => b.at(1, (side * i) / n)), b.at(0, 0)];
  const rib = Array.from({ length: n + 1 }, (_, i) => b.at(i / n, 0));
  return [...rib, ...Array.from({ length: n + 1 }, (_, i) => b.at(1 - i / n, side))];
}

/** Rungs between side veins: the finest net that is drawn. */
export function net(b: Blade, every = 0.17): P[][] {
  if (b.kind === 'strap' || b.area < 1500) return [];
  const out: P[][] = [];
  b.cells.forEach((c, k) => {
    for (let a = every; a < 0.98; a += every) {
      const j = ((k * 7 + Math.round(a * 40)) % 5) * 0.02 - 0.04;
      out.push([c.at(a + j, 0), c.at(a - j * 0.5 + 0.03, 0.5), c.at(a + j + 0.01, 1)]);
    }
  });
  return out;
}

export type FaceParts = {
  fill: string;
  shade: string;
  net: string;
  sides: string;
  ribs: string;
  stalks: string;
  areoles: string;
};
const drawn = new WeakMap<Leaf, FaceParts>();

/** The paths of a leaf's face, made once for each leaf. */
export function faceOf(leaf: Leaf): FaceParts {
  const was = drawn.get(leaf);
  if (was) return was;
  const big = leaf.blades.filter((b) => b.area > (leaf.blades.length > 20 ? 260 : 120));
  const f = {
    fill: leaf.path,
    shade: big.map((b) => ring(shade(b))).join(''),
    net: lines(
      leaf.blades.length > 12
        ? []
        : leaf.blades.flatMap((b) => net(b, leaf.blades.length > 4 ? 0.34 : leaf.blades.length > 2 ? 0.26 : 0.17)),
    ),
    sides: lines(leaf.blades.flatMap((b) => (b.area < (leaf.blades.length > 14 ? 900 : 200) ? [] : b.sides))),
    ribs: rings(big.flatMap((b) => b.ribs.map((r, i) => taper(r, clamp(b.long / 70, 0.8, 3.2) * (i ? 0.8 : 1), 0.5)))),
    stalks: rings(leaf.stalks),
    areoles: (leaf.areoles ?? [])
      .map(
        (p) =>
          line([p, [p[0] - 2.4, p[1] - 4]]) + line([p, [p[0] + 2.6, p[1] - 3.6]]) + line([p, [p[0] + 0.4, p[1] - 5.4]]),
      )
      .join(''),
  };
  drawn.set(leaf, f);
  return f;
}

type Props = {
  leaf: Leaf;
  under?: boolean;
  /** Signs that cut, by name. */
  eaten?: readonly { name: string; amount?: number }[];
  seed: number;
  /** The body's colour, where a sign changes it all. */
  fill?: string;
  /** Edges that are folded over, showing the other face. */
  flaps?: P[][];
  /** The colour of that other face, where the sign gives it one. */
  flapFill?: string;
  /** The signs alone, without the leaf under them. */
  bare?: boolean;
  /** A face drawn already in the same picture, to be used again: the same leaf, eaten alike. */
  again?: string;
  /** The name it is to be used again by. */
  name?: string;
  /** Signs on the leaf, clipped to what is left of it. */
  children?: ReactNode;
  /** Signs that stand out over its edge. */
  over?: ReactNode;
};

/** A leaf's face: body, shade, veins, the signs upon it, and what is missing of it. */
export function Face({
  leaf,
  under,
  eaten = [],
  seed,
  fill,
  flaps,
  flapFill,
  bare,
  again,
  name,
  children,
  over,
}: Props) {
  const own = useId();
  const id = again ?? name ?? own;
  const f = faceOf(leaf);
  const names = eaten.map((w) => `${w.name}${w.amount ?? 1}`).join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the names and amounts stand for the list
  const cut = useMemo(() => cutLeaf(leaf, eaten, seed), [leaf, names, seed]);
  const d = cut?.path ?? f.fill;
  const green = fill ?? bodyOf(leaf);
  const vein = veinOf(leaf);
  const colour = under ? `color-mix(in srgb, ${green} 58%, var(--leaf-under))` : green;
  return (
    <g>
      {!again && (
        <defs>
          <path id={`${id}b`} d={d} strokeLinejoin="round" />
          <clipPath id={id}>
            <use href={`#${id}b`} />
          </clipPath>
        </defs>
      )}
      {again && <use href={`#${id}f`} />}
      {!bare && !again && (
        <g id={`${id}f`}>
          <path d={f.stalks} fill="var(--leaf-stalk)" stroke="var(--leaf-line)" strokeWidth=".9" data-stalk />
          {/* The line is thick in the shade and thin in the light: the body's own shape, moved a little. */}
          <use
            href={`#${id}b`}
            fill="var(--leaf-line)"
            transform="translate(.9 .8)"
            stroke="var(--leaf-line)"
            strokeWidth=".8"
          />
          <use href={`#${id}b`} fill={colour} data-body />
          <g clipPath={`url(#${id})`}>
            <path d={f.shade} fill="var(--leaf-shade)" opacity={under ? 0.1 : 0.17} />
            <path d={f.net} fill="none" stroke={vein} strokeWidth=".7" opacity={under ? 0.5 : 0.42} />
            <path
              d={f.sides}
              fill="none"
              stroke={vein}
              strokeWidth={under ? 1.7 : 1.2}
              opacity=".9"
              strokeLinecap="round"
            />
            {under && (
              <path
                d={f.sides}
                fill="none"
                stroke="var(--leaf-line)"
                strokeWidth=".5"
                opacity=".5"
                transform="translate(.9 .7)"
              />
            )}
            <path d={f.ribs} fill={vein} stroke={under ? 'var(--leaf-line)' : 'none'} strokeWidth=".5" />
          </g>
        </g>
      )}
      <g clipPath={`url(#${id})`}>{children}</g>
      {!bare && (
        <>
          {cut && (
            <g clipPath={`url(#${id})`}>
              <path
                data-bites={cut.bites.length}
                d={bitePath(cut)}
                fill="none"
                stroke="#8a6636"
                strokeWidth="2.4"
                opacity=".9"
              />
            </g>
          )}
          {flaps && flaps.length > 0 && (
            <g>
              <path
                d={rings(flaps)}
                fill={
                  flapFill ??
                  `color-mix(in srgb, ${green} ${under ? 100 : 58}%, ${under ? 'var(--leaf)' : 'var(--leaf-under)'})`
                }
                stroke="var(--leaf-line)"
                strokeWidth="1"
              />
            </g>
          )}
          <use href={`#${id}b`} fill="none" stroke="var(--leaf-line)" strokeWidth=".9" />
          {f.areoles && (
            <path d={f.areoles} fill="none" stroke="var(--leaf-line)" strokeWidth=".8" strokeLinecap="round" />
          )}
        </>
      )}
      {over}
    </g>
  );
}
