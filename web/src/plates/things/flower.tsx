import { useId } from 'react';
import { Body } from '../bodies';
import { add, blot, by3, by4, curve, lines, mix, type P, placed, type Rand, ring, soft, xy } from '../kit/geo';
import { has, type PartProps, pen, type Sign, Signs, Smalls, Spots } from './brush';

/** A flower seen from the front: petals as rings about its middle. */
type K = { c: P; petals: { o: P[]; turn: number; ring: number }[]; tone: string; heart: string };

const petal = (long: number, wide: number, notch = 0): P[] => [
  [0, 0],
  [-wide * 0.3, -long * 0.25],
  [-wide * 0.5, -long * 0.62],
  [-wide * 0.34, -long * 0.93],
  [0, -long * (1 - notch)],
  [wide * 0.34, -long * 0.93],
  [wide * 0.5, -long * 0.62],
  [wide * 0.3, -long * 0.25],
];
const sharp = (long: number, wide: number): P[] => [
  [0, 0],
  [-wide * 0.36, -long * 0.3],
  [-wide * 0.46, -long * 0.55],
  [-wide * 0.2, -long * 0.85],
  [0, -long * 1.05],
  [wide * 0.2, -long * 0.85],
  [wide * 0.46, -long * 0.55],
  [wide * 0.36, -long * 0.3],
];

/** By flower: rings of [how many, how long, how wide, notch], colour, colour of the middle, and whether petals are pointed. */
const made: Record<string, { rings: [number, number, number, number?][]; tone: string; heart: string; pointed?: boolean; heartR?: number }> = {
  rose: {
    rings: by3('7 78 66, 6 56 52, 5 36 36, 3 20 22'),
    tone: '#dd94a4',
    heart: '#b8566c',
    heartR: 6,
  },
  camellia: {
    rings: by3('8 78 62, 7 58 50, 6 38 36, 4 20 22'),
    tone: '#e4a3ae',
    heart: '#e8c45a',
    heartR: 9,
  },
  peony: {
    rings: by4('9 80 60 0.1, 8 60 46 0.12, 7 40 32 0.12'),
    tone: '#d98aa2',
    heart: '#e8c45a',
    heartR: 13,
  },
  dahlia: {
    rings: by3('14 80 30, 12 62 26, 10 44 20, 8 28 14'),
    tone: '#cf6a4e',
    heart: '#e0a33c',
    heartR: 9,
    pointed: true,
  },
  carnation: {
    rings: by4('9 76 56 0.16, 8 56 42 0.18, 6 36 30 0.2'),
    tone: '#e48e9c',
    heart: '#d66a80',
    heartR: 5,
  },
  daisy: { rings: [[19, 78, 20]], tone: '#f3dbe6', heart: '#e4b93a', heartR: 23 },
  sunflower: { rings: [[20, 84, 22]], tone: '#f0c22e', heart: '#6b4320', heartR: 36, pointed: true },
  five: { rings: [[5, 76, 66, 0.06]], tone: '#f1c9d8', heart: '#e4c24a', heartR: 11 },
  trumpet: { rings: [[5, 78, 78, 0.05]], tone: '#e8c45c', heart: '#b8862c', heartR: 15 },
  trumpets: { rings: [[5, 74, 64, 0.05]], tone: '#cf86b0', heart: '#8a3f6c', heartR: 9 },
  tulip: {
    rings: [
      [3, 80, 66],
      [3, 72, 60],
    ],
    tone: '#e0a6c0',
    heart: '#3f2b3a',
    heartR: 10,
  },
  daffodil: { rings: [[6, 78, 50]], tone: '#f4e27a', heart: '#e8a83a', heartR: 26, pointed: true },
  lily: {
    rings: [
      [3, 86, 40],
      [3, 84, 48],
    ],
    tone: '#f2bd86',
    heart: '#9a5a2a',
    heartR: 8,
    pointed: true,
  },
  iris: {
    rings: [
      [3, 82, 62],
      [3, 56, 40],
    ],
    tone: '#9a90d0',
    heart: '#e8c45a',
    heartR: 8,
  },
  orchid: {
    rings: [
      [3, 76, 40],
      [2, 66, 74],
    ],
    tone: '#e8c6dc',
    heart: '#a83f6c',
    heartR: 13,
  },
  mallow: { rings: [[5, 80, 70, 0.1]], tone: '#dc8fa4', heart: '#8a2f48', heartR: 13 },
  hellebore: { rings: [[5, 74, 66]], tone: '#cbbac6', heart: '#dfe0a0', heartR: 20 },
  spike: {
    rings: [
      [6, 62, 40],
      [6, 42, 30],
    ],
    tone: '#a391cc',
    heart: '#efe4a0',
    heartR: 9,
  },
  cyclamen: { rings: [[5, 80, 44]], tone: '#de90ac', heart: '#8a2f58', heartR: 11 },
};
const same: Record<string, string> = {
  star: 'five',
  bells: 'five',
  cross: 'five',
  fuchsia: 'lily',
  umbel: 'five',
  pea: 'mallow',
  mophead: 'five',
  clematis: 'lily',
  passion: 'daisy',
  pansy: 'mallow',
  lips: 'orchid',
  wisteria: 'spike',
  thistle: 'dahlia',
  globe: 'daisy',
  bracts: 'dahlia',
  spathe: 'five',
  snowdrop: 'tulip',
  brush: 'daisy',
  catkin: 'five',
  tassel: 'spike',
};

function flowerOf(p: PartProps): K & { heartR: number } {
  const f = made[p.look.flower] ?? made[same[p.look.flower] ?? 'five'];
  const m = f as NonNullable<typeof f>;
  const c: P = [100, 108];
  const petals = m.rings.flatMap(([n, l, w, notch], r) =>
    Array.from({ length: n }, (_, i) => {
      const turn = (360 * i) / n + r * (180 / n) + ((i * 37) % 7) - 3;
      const k = 0.94 + ((i * 13) % 5) * 0.03;
      return { o: (m.pointed ? sharp(l * k, w) : petal(l * k, w, notch)).map(placed(c[0], c[1], turn)), turn, ring: r };
    }),
  );
  return {
    c,
    petals,
    tone: has(p.d, 'green-petals') ? '#b5cb86' : has(p.d, 'petal-specks') ? '#cfa58a' : m.tone,
    heart: m.heart,
    heartR: m.heartR ?? 12,
  };
}

const onPetals = (R: Rand, k: K, n: number): P[] =>
  Array.from({ length: n }, () => {
    const q = (k.petals[Math.floor(R() * Math.min(k.petals.length, 9))] as K['petals'][number]).o;
    return mix(mix(q[0] as P, q[4] as P, 0.45 + R() * 0.5), q[R() < 0.5 ? 2 : 6] as P, R() * 0.6);
  });
const bud = (fill: string, extra?: React.ReactNode, wide = 1) => (
  <g transform={`translate(100 96) scale(${wide} 1)`}>
    <path d="M0 46C-30 34-32-6-6-44Q0-54 6-44C32-6 30 34 0 46Z" fill={fill} {...pen} />
    <path d="M0 46C-12 20-10-20 0-48M-18 34C-22 6-14-22-4-40M18 34C22 6 14-22 4-40" fill="none" stroke="var(--ink)" strokeWidth=".9" opacity=".7" />
    <path d="M0 50C-22 46-34 26-28 8C-16 16-8 30 0 34C8 30 16 16 28 8C34 26 22 46 0 50Z" fill="var(--leaf)" stroke="var(--leaf-line)" strokeWidth="1.2" />
    {extra}
  </g>
);

/** What is missing of every other petal. */
const ragged = (k: K) =>
  k.petals
    .filter((q, i) => q.ring === 0 && i % 2 === 0)
    .flatMap(({ o }) => [3, 5].map((s) => ring(xy('-11 -6, -5 2, -1 -3, 4 6, 8 -1, 13 -8, 4 -20, -8 -16').map((p) => add(mix(o[s] as P, o[4] as P, 0.3), p)))))
    .join('');

export const flowerWords: Record<string, Sign<K>> = {
  'petal-specks': (R, k) => (
    <>
      <Spots at={onPetals(R, k, 60)} r={1.7} c="#8a5a34" />
      <path
        d={onPetals(R, k, 12)
          .map((p) => soft(blot(p, 4 + R() * 7, R, 0.4, 9)))
          .join('')}
        fill="#9a6a44"
        opacity=".8"
      />
    </>
  ),
  'petal-streaks': (_R, k) => (
    <>
      <path
        d={lines(
          k.petals
            .slice(0, 9)
            .flatMap(({ o }) => [0.2, 0.5, 0.8].map((x) => [mix(mix(o[2] as P, o[6] as P, x), o[0] as P, 0.3), mix(o[3] as P, o[5] as P, x)])),
        )}
        fill="none"
        stroke="#fffdf6"
        strokeWidth="4"
        strokeLinecap="round"
        opacity=".95"
      />
      <path
        d={k.petals
          .slice(0, 9)
          .map(({ o }) => curve([o[2] as P, o[3] as P, o[4] as P, o[5] as P, o[6] as P]))
          .join('')}
        fill="none"
        stroke="#9a7a5c"
        strokeWidth="2"
        opacity=".8"
      />
    </>
  ),
  mould: (R, k) => {
    const dead = k.petals.slice(0, 3);
    const at = dead.flatMap(({ o }) =>
      Array.from({ length: 30 }, (): P => mix(mix(o[0] as P, o[4] as P, 0.3 + R() * 0.6), o[R() < 0.5 ? 2 : 6] as P, R() * 0.7)),
    );
    return (
      <>
        <path d={dead.map(({ o }) => soft(o)).join('')} fill="#8a6a4a" stroke="#4b3420" strokeWidth="1.2" />
        <path d={soft(blot(k.c, 30, R, 0.3, 11))} fill="#7d5f42" />
        <path
          d={lines(
            [...at, ...Array.from({ length: 40 }, (): P => add(k.c, [(R() - 0.5) * 50, (R() - 0.5) * 50]))].map((p) => [p, add(p, [(R() - 0.5) * 4, -7])]),
          )}
          stroke="#8f8f88"
          strokeWidth="1"
        />
        <Spots at={at.map((p): P => add(p, [0, -7.6]))} r={1.6} c="#a9a9a2" />
      </>
    );
  },
  // The bites themselves are cut out of the petals; here only their brown edge.
  'ragged-petals': (_R, k) => <path d={ragged(k)} fill="none" stroke="#8a5a34" strokeWidth="1.8" />,
  'green-petals': (_R, k) => (
    <>
      {k.petals.slice(0, 9).map(({ o }, i) => (
        <g key={i}>
          <path d={soft(o)} fill="#9dbb6a" stroke="var(--leaf-line)" strokeWidth="1.2" />
          <path
            d={lines([
              [o[0] as P, mix(o[0] as P, o[4] as P, 0.9)],
              [mix(o[0] as P, o[4] as P, 0.4), o[2] as P],
              [mix(o[0] as P, o[4] as P, 0.4), o[6] as P],
            ])}
            stroke="var(--leaf-line)"
            strokeWidth="1"
            fill="none"
          />
        </g>
      ))}
      {[-30, 0, 30].map((a) => (
        <path key={a} d={soft(petal(32, 18).map(placed(k.c[0], k.c[1], a)))} fill="#b9cf86" stroke="var(--leaf-line)" strokeWidth="1.1" />
      ))}
    </>
  ),
  asleep: () => null,
  'bent-neck': () => null,
  'shed-buds': () => null,
  'brown-bud': () => null,
  'thick-bud': () => null,
  'bored-bud': () => null,
  pellets: (R) => <Spots at={Array.from({ length: 20 }, (): P => [88 + R() * 44, 88 + R() * 46])} r={2.3} c="#3a2c18" />,
};

/** A flower of the plant, or its bud where the bud is what is ill. */
export function Flower(p: PartProps) {
  const { d, seed, look, children, bare } = p;
  const id = useId();
  const k = flowerOf(p);
  const signs = <Signs d={d} seed={seed} words={flowerWords} k={k} />;
  if (bare) return signs;
  const stalk = (path: string) => (
    <>
      <path d={path} fill="none" stroke="var(--leaf-line)" strokeWidth="7" strokeLinecap="round" />
      <path d={path} fill="none" stroke="var(--leaf-stalk)" strokeWidth="5" strokeLinecap="round" />
    </>
  );
  const leaves = (
    <>
      <Smalls
        leaf={look.leaf}
        at={[
          { x: 104, y: 232, turn: 58, k: 0.34 },
          { x: 98, y: 256, turn: -54, k: 0.36 },
        ]}
      />
    </>
  );
  if (has(d, 'brown-bud'))
    return (
      <g>
        {stalk('M102 278C102 230 100 190 100 140')}
        {leaves}
        {bud('#7a5230', <path d="M-14 20C-18 0-10-20-4-30M8 26C14 4 10-16 6-28" fill="none" stroke="#3b220d" strokeWidth="2" />)}
        <g transform="translate(58 74) scale(.5) rotate(-26 100 96)">{bud('#6b4526')}</g>
        {children}
      </g>
    );
  if (has(d, 'thick-bud'))
    return (
      <g>
        {stalk('M102 278C102 230 100 190 100 140')}
        {leaves}
        {bud(
          '#c9b37c',
          <g stroke="#4b2a14" strokeWidth="1.6" fill="none">
            <path d="M-8-30q6 6 0 14M6-20q-6 8 2 16" />
            <path d="M-4-46l-5-9M4-46l4-9" stroke="#2b170a" strokeWidth="3" />
          </g>,
          1.4,
        )}
        {children}
      </g>
    );
  if (has(d, 'bored-bud'))
    return (
      <g>
        {stalk('M102 278C102 230 100 190 100 140')}
        {leaves}
        {bud(
          k.tone,
          <>
            <circle cx="6" cy="4" r="10" fill="#20150d" stroke="#7a4a22" strokeWidth="2" />
            <g transform="translate(18 -2) rotate(60) scale(.4) translate(-50 -50)">
              <Body d={{ body: 'caterpillar', colour: 'green', prolegs: 5 }} />
            </g>
          </>,
        )}
        {signs}
        {children}
      </g>
    );
  const shut = has(d, 'asleep');
  const bent = has(d, 'bent-neck');
  const turnAll = bent ? 'translate(132 128) rotate(156) scale(.66) translate(-100 -108)' : undefined;
  const list = shut ? k.petals.filter((q) => q.ring === 0).slice(0, 7) : k.petals;
  return (
    <g>
      {bent ? stalk('M84 278C84 200 82 130 92 92C100 66 128 70 134 104') : stalk('M102 278C102 230 100 190 100 150')}
      {leaves}
      {has(d, 'shed-buds') && (
        <>
          <path d="M100 150C90 130 76 120 58 114M100 150C112 128 126 118 144 112" fill="none" stroke="var(--leaf-line)" strokeWidth="3.4" />
          <path d="M52 112h9M141 109h9" stroke="var(--leaf-line)" strokeWidth="5" strokeLinecap="round" />
          {by3('40 258 40, 66 268 110, 150 262 -50, 176 252 80').map(([x, y, t]) => (
            <g key={x} transform={`translate(${x} ${y}) rotate(${t}) scale(.26) translate(-100 -96)`}>
              {bud(k.tone)}
            </g>
          ))}
        </>
      )}
      <g transform={turnAll}>
        {has(d, 'ragged-petals') && (
          <>
            <mask id={`${id}m`} maskUnits="userSpaceOnUse" x="0" y="0" width="200" height="280">
              <path d="M0 0H200V280H0Z" fill="#fff" />
              <path d={ragged(k)} fill="#000" />
            </mask>
            <clipPath id={id}>
              <path d={list.map(({ o }) => soft(o)).join('')} />
            </clipPath>
          </>
        )}
        <g mask={has(d, 'ragged-petals') ? `url(#${id}m)` : undefined}>
          {shut ? (
            <g transform="translate(100 150)">
              {[-34, 34, -16, 16, 0].map((a) => (
                <path key={a} d={soft(petal(94, 36).map(placed(0, 0, a * 0.62)))} fill={k.tone} {...pen} strokeWidth={1} />
              ))}
              <path d="M-12-92q12 10 24 0M-16-80q16 12 32 0" fill="none" stroke="var(--ink)" strokeWidth=".9" opacity=".6" />
              <path d="M0 6C-16 4-20-14-16-22Q0-8 16-22C20-14 16 4 0 6Z" fill="var(--leaf)" stroke="var(--leaf-line)" strokeWidth="1.1" />
            </g>
          ) : (
            <>
              {list.map(({ o, ring: r }, i) => (
                <g key={i}>
                  <path d={soft(o)} fill={`color-mix(in srgb, ${k.tone} ${100 - r * 9}%, #7a2a44)`} {...pen} strokeWidth=".9" />
                  <path
                    d={lines([
                      [mix(o[0] as P, o[4] as P, 0.25), mix(o[0] as P, o[4] as P, 0.85)],
                      [mix(o[0] as P, o[3] as P, 0.35), mix(o[0] as P, o[3] as P, 0.78)],
                      [mix(o[0] as P, o[5] as P, 0.35), mix(o[0] as P, o[5] as P, 0.78)],
                    ])}
                    fill="none"
                    stroke="var(--pen, #2b2a26)"
                    strokeWidth=".5"
                    opacity=".4"
                  />
                </g>
              ))}
              <circle cx={k.c[0]} cy={k.c[1]} r={k.heartR} fill={k.heart} {...pen} strokeWidth="1" />
              <Spots
                at={Array.from(
                  { length: 12 },
                  (_, i): P => [k.c[0] + Math.cos(i * 2.4) * k.heartR * Math.sqrt(i / 13), k.c[1] + Math.sin(i * 2.4) * k.heartR * Math.sqrt(i / 13)],
                )}
                r={1}
                c="#7a4a14"
              />
            </>
          )}
        </g>
        <g clipPath={has(d, 'ragged-petals') ? `url(#${id})` : undefined}>{signs}</g>
      </g>
      {children}
    </g>
  );
}
