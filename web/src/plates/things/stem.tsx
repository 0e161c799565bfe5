import { add, blot, by3, by4, curve, lines, type P, ring, soft, xy } from '../kit/geo';
import { bark, has, type PartProps, Signs, Smalls } from './brush';
import { stemWords } from './stemsigns';

/** A piece of stem: on(t, x) is a place by t from its foot (0) to its top (1) and x across it (-1 to 1). */
export type Stem = { kind: 'trunk' | 'twig' | 'herb' | 'cane'; on: (t: number, x: number) => P; w: number };

const trunkish = ['bracket', 'd-holes', 'round-holes', 'diamond', 'rust', 'moss', 'lichen', 'white-sheet', 'honey-caps', 'stripped', 'ooze', 'leaf-rain'];

const soil = ['crown-gall', 'black-foot', 'honey-caps', 'wet-stem', 'white-sheet', 'bracket', 'corked'];

const stemOf = (p: PartProps): Stem => {
  const woody =
    [
      'tree',
      'birch',
      'weeping',
      'shrub',
      'thorny',
      'ball',
      'hedge',
      'cone',
      'arching',
      'mophead',
      'spreading',
      'conifer',
      'pine',
      'cypress',
      'cedar',
      'vine',
      'pottree',
      'palmtree',
      'column',
      'bonsai',
    ].includes(p.look.habit) || p.look.habit === '';
  const kind = has(p.d, ...trunkish) && woody && !has(p.d, 'crook') ? 'trunk' : woody ? 'twig' : ['cane', 'rosebush'].includes(p.look.habit) ? 'cane' : 'herb';
  const w = { trunk: 74, twig: 23, cane: 19, herb: 19 }[kind];
  const axis = (t: number): P => [(kind === 'trunk' ? 96 : 86) + t * (kind === 'trunk' ? 6 : 26) + Math.sin(t * 5) * 3, 274 - t * 264];
  return { kind, w, on: (t, x) => add(axis(t), [x * (w / 2) * (1.08 - 0.22 * t), x * 1.5]) };
};

/** Lenticels: short lines across the bark. */
const pores = (k: Stem) =>
  lines(
    Array.from({ length: 26 }, (_, i) => {
      const [t, x] = [0.06 + ((i * 0.41) % 0.9), ((i * 0.53) % 1.5) - 0.75];
      return [k.on(t, x), k.on(t, x + 0.26)];
    }),
  );

/** A piece of stem of the plant, with its leaves. */
export function Stem(p: PartProps) {
  const { d, seed, look, children, bare } = p;
  const k = stemOf(p);
  if (bare) return <Signs d={d} seed={seed} words={stemWords} k={k} />;
  const woody = k.kind !== 'herb';
  const ts = Array.from({ length: 15 }, (_, i) => i / 14);
  const cutShort = has(d, 'crook') ? 0.78 : 1;
  const outline = [...ts.map((t) => k.on(t * cutShort, -1)), ...[...ts].reverse().map((t) => k.on(t * cutShort, 1))];
  const ground = has(d, ...soil);
  const wilt = has(d, 'half-wilted', 'streams', 'black-foot', 'wet-stem', 'borer-hole') && k.kind === 'herb';
  const black = has(d, 'black-shoot', 'crook');
  const leaves: [number, number, number, number][] = k.kind === 'trunk' ? [] : by4('0.8 -1 -66 0.36, 0.62 1 66 0.38, 0.4 -1 -70 0.36');
  const half = has(d, 'half-wilted', 'yellow-half');
  return (
    <g>
      {ground && <path d="M8 262Q60 252 100 258T192 262V280H8Z" fill="var(--earth)" {...bark} />}
      <Smalls
        leaf={look.leaf}
        dark={black}
        at={leaves.map(([t, s, turn, q]) => {
          const a = k.on(t * cutShort, s);
          const sick = black || (half ? s > 0 : wilt);
          const droop = black ? (s > 0 ? 150 : -158) : sick && !has(d, 'yellow-half') ? (s > 0 ? 138 : -142) : turn;
          return {
            x: a[0],
            y: a[1],
            turn: droop,
            k: q,
            fill: black ? '#3d2c1c' : half && s > 0 ? '#e6d052' : undefined,
          };
        })}
      />
      <path d={ring(outline)} fill={woody ? 'var(--bark)' : 'var(--leaf-stalk)'} {...bark} stroke={woody ? 'var(--bark-line)' : 'var(--leaf-line)'} />
      <path
        d={ring([...ts.map((t) => k.on(t * cutShort, 0.3)), ...[...ts].reverse().map((t) => k.on(t * cutShort, 1))])}
        fill={woody ? 'var(--bark-shade)' : 'var(--leaf-shade)'}
        opacity=".3"
      />
      {woody ? (
        <path
          d={lines(
            Array.from({ length: k.kind === 'trunk' ? 30 : 16 }, (_, i) => {
              const t = ((i * 0.37) % 1) * cutShort;
              const x = ((i * 0.61) % 1.7) - 0.85;
              return k.kind === 'trunk'
                ? [k.on(t, x), k.on(Math.min(cutShort, t + 0.05), x + 0.03), k.on(Math.min(cutShort, t + 0.09), x - 0.02)]
                : [k.on(t, x), k.on(t + 0.004, x + 0.14)];
            }),
          )}
          fill="none"
          stroke="var(--bark-line)"
          strokeWidth=".9"
          opacity=".65"
        />
      ) : (
        <path d={lines([-0.45, 0.1].map((x) => ts.map((t) => k.on(t * cutShort, x))))} fill="none" stroke="var(--vein)" strokeWidth="1" opacity=".8" />
      )}
      {k.kind === 'twig' && (
        <path
          d={leaves.map(([t, s]) => soft(blot(k.on(Math.min(0.97, t * cutShort + 0.035), s * 0.9), 5, () => 0.5, 0.2, 8, 1.5, -1.2))).join('')}
          fill="var(--bark-shade)"
          {...bark}
        />
      )}
      {k.kind === 'cane' && look.habit === 'rosebush' && (
        <path
          d={[0.14, 0.3, 0.44, 0.62, 0.8]
            .map((t, i) => {
              const s = i % 2 ? 1 : -1;
              const q = k.on(t, s);
              return ring([add(q, [0, -5]), add(q, [s * 9, 2]), add(q, [0, 5])]);
            })
            .join('')}
          fill="#b0554c"
          {...bark}
        />
      )}
      {d.pores === 'rows' && (
        <>
          <path d={pores(k)} stroke="#f0e2c4" strokeWidth="3.2" strokeLinecap="round" />
          <path d={pores(k)} stroke="#7a5a3c" strokeWidth=".8" />
        </>
      )}
      {has(d, 'black-shoot', 'crook') && (
        <path d={curve([k.on(0.5 * cutShort, 0), k.on(0.7 * cutShort, 0), k.on(cutShort, 0)])} fill="none" stroke="#221a13" strokeWidth={k.w * 0.86} />
      )}
      {has(d, 'crook') && (
        <path
          d={curve([k.on(0.76, 0), k.on(0.9, 0.4), add(k.on(0.96, 1.6), [10, 0]), add(k.on(0.86, 3), [14, 2]), add(k.on(0.76, 3), [10, 4])])}
          fill="none"
          stroke="#221a13"
          strokeWidth={k.w * 0.72}
          strokeLinecap="round"
        />
      )}
      {has(d, 'leaf-rain') && (
        <Smalls
          leaf={look.leaf}
          at={by3('30 200 40, 160 150 -70, 150 230 100, 40 120 20, 24 262 80, 170 268 -60').map(([x, y, turn]) => ({
            x,
            y,
            turn,
            k: 0.2,
            fill: '#b07a3c',
          }))}
        />
      )}
      <Signs d={d} seed={seed} words={stemWords} k={k} />
      {children}
    </g>
  );
}

/** Where on a stem whoever lives there sits: a place and the way the stem runs. */
export const perches = (p: PartProps): P[] => {
  const k = stemOf(p);
  return xy('0.82 0.1, 0.66 -0.3, 0.54 0.4, 0.4 -0.2, 0.26 0.3, 0.16 -0.3').map(([t, x]) => k.on(t as number, x as number));
};
