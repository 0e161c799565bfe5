import { useId } from 'react';
import { Habit } from '../habit/Habit';
import { blot, by3, by4, curve, lines, type P, soft, xy } from '../kit/geo';
import { bark, has, inBox, type PartProps, type Sign, Signs, Smalls, Spots } from './brush';

/** The whole plant is its habit drawn large: the sketch's 100 by 110 in this box. */
type K = { look: PartProps['look'] };
const big = 1.9;
const at = (x: number, y: number): P => [4 + x * big, 46 + y * big];

/** Three stems of the plant with their tops gone. */
function Bitten({ look, heights, end }: { look: K['look']; heights: readonly number[]; end: (p: P) => string }) {
  const stems = [52, 100, 146].map((x, i): P[] => [
    [x + (100 - x) * 0.3, 236],
    [x, (heights[i] ?? 100) + 4],
  ]);
  return (
    <>
      <path d={lines(stems)} stroke="var(--leaf-line)" strokeWidth="11" />
      <path d={lines(stems)} stroke="var(--leaf-stalk)" strokeWidth="9" />
      <Smalls
        leaf={look.leaf}
        at={stems.flatMap(([a, b], i) => [
          { x: ((a as P)[0] + (b as P)[0]) / 2, y: 224 - i * 6, turn: i === 1 ? -50 : -64, k: 0.26 },
          { x: ((a as P)[0] + (b as P)[0]) / 2 + 1, y: 212 - i * 5, turn: 60, k: 0.24 },
        ])}
      />
      {stems.map((q) => (
        <path key={(q[1] as P)[0]} d={end(q[1] as P)} fill="#f3e8bd" stroke="#6b4a2a" strokeWidth="1.6" strokeLinejoin="round" />
      ))}
    </>
  );
}

export const plantWords: Record<string, Sign<K>> = {
  blind: (_R, k) => (
    <g>
      {/* Leaves, and where the flower would be an empty dry tip. */}
      <path d={curve([at(52, 84), at(53, 50), at(52, 30)])} fill="none" stroke="var(--leaf-stalk)" strokeWidth="4" />
      <path d={curve([at(52, 30), at(53, 24), at(55, 20)])} fill="none" stroke="#9a7a4c" strokeWidth="5" strokeLinecap="round" />
      <path d={soft(blot(at(55, 18), 9, () => 0.4, 0.4, 9, 1, 1))} fill="#c9b078" {...bark} data-k={k.look.id} />
    </g>
  ),
  bolted: (_R, k) => (
    <g>
      <path d={curve([at(50, 84), at(51, 40), at(50, 4)])} fill="none" stroke="var(--leaf-line)" strokeWidth="9" />
      <path d={curve([at(50, 84), at(51, 40), at(50, 4)])} fill="none" stroke="var(--leaf-stalk)" strokeWidth="7" />
      <Smalls
        leaf={k.look.leaf}
        at={by3('52 50 60, 49 36 -60, 51 22 58, 50 10 -58').map(([x, y, t]) => ({
          x: at(x, 0)[0],
          y: at(0, y)[1],
          turn: t,
          k: 0.17,
        }))}
      />
      <path
        d={xy('-8 -10, 8 -12, 0 -20, -4 -4, 6 -4')
          .map(([x, y]) => soft(blot(at(50 + (x ?? 0), (y ?? 0) + 8), 7, () => 0.5, 0.3, 8)))
          .join('')}
        fill="#f4dc6a"
        {...bark}
      />
      <path
        d={lines([
          [at(50, 4), at(42, -2)],
          [at(50, 4), at(58, -4)],
          [at(50, 4), at(50, -12)],
        ])}
        stroke="var(--leaf-line)"
        strokeWidth="2"
      />
    </g>
  ),
  'black-tips': (R) => (
    <>
      <path
        d={xy('30 30, 50 22, 70 30, 40 40, 62 42')
          .map(([x, y]) => soft(blot(at(x as number, y as number), 15, R, 0.5, 9, 1, 1)))
          .join('')}
        fill="#1d1a17"
        opacity=".88"
      />
      <path
        d={lines(xy('30 30, 50 22, 70 30').map(([x, y]) => [at(x as number, y as number), at((x as number) - 4, (y as number) + 12)]))}
        stroke="#1d1a17"
        strokeWidth="3"
      />
      <Spots at={inBox(R, 40, 40, 70, 160, 130)} r={1} c="#eef6fb" />
    </>
  ),
  chill: (R) => (
    <path
      d={inBox(R, 9, 40, 90, 160, 170)
        .map((p) => soft(blot(p, 12, R, 0.5, 9)))
        .join('')}
      fill="#4f6f78"
      opacity=".55"
    />
  ),
  drawn: (_R, k) => (
    <>
      {/* Leans to the window; long gaps, small pale leaves. */}
      <path d="M176 8H196V120H176ZM176 62H196" fill="#fdf6d0" stroke="var(--quiet)" strokeWidth="1.4" />
      <path d="M172 22L146 36M172 52L140 60M172 84L146 84" stroke="#e3b93a" strokeWidth="2" strokeDasharray="5 4" />
      <path d="M96 232C92 180 108 120 142 66M96 232C100 190 118 150 160 106" fill="none" stroke="#c3d29a" strokeWidth="4" />
      <Smalls
        leaf={k.look.leaf}
        at={by3('98 186 -64, 104 150 44, 118 110 -70, 134 78 40, 112 176 74, 136 132 20').map(([x, y, t]) => ({
          x,
          y,
          turn: t,
          k: 0.15,
          fill: '#d9e2a4',
        }))}
      />
    </>
  ),
  pale: () => null,
  'even-yellow': () => null,
  'edge-burn': () => null,
  // Bitten off high, the ends ragged: no upper teeth to cut with.
  torn: (_R, k) => (
    <>
      <Bitten look={k.look} heights={[92, 70, 104]} end={(p) => `M${p[0] - 7} ${p[1] + 16}L${p[0] - 6} ${p[1] - 2}l3 6l2-12l3 9l3-7l3 11l1 13Z`} />
      <path
        d="M16 250c-4-10 0-16 4-18c2 8 0 14-4 18zM26 252c4-10 2-16 0-20c-4 8-4 14 0 20zM166 254c-4-10 0-16 4-18c2 8 0 14-4 18zM176 256c4-10 2-16 0-20c-4 8-4 14 0 20z"
        fill="#8a6a48"
      />
    </>
  ),
  // Bitten off low, slanting and clean.
  slanted: (_R, k) => (
    <>
      <Bitten look={k.look} heights={[168, 154, 176]} end={(p) => `M${p[0] - 6} ${p[1] + 14}V${p[1] + 4}L${p[0] + 6} ${p[1] - 8}V${p[1] + 14}Z`} />
      <g fill="#6b4a2a">
        {[30, 42, 52, 150, 164, 172].map((x, i) => (
          <circle key={x} cx={x} cy={248 + (i % 3) * 5} r="4.6" />
        ))}
      </g>
    </>
  ),
  'brown-side': (R) => (
    <path
      d={inBox(R, 18, 112, 112, 176, 220)
        .map((p) => soft(blot(p, 13, R, 0.4, 9)))
        .join('')}
      fill="#9a6a34"
      opacity=".85"
    />
  ),
  sucker: (_R, k) => (
    <>
      <path d="M112 234C134 224 156 190 164 112" stroke="var(--leaf-line)" strokeWidth="7" fill="none" />
      <path d="M112 234C134 224 156 190 164 112" stroke="#c9df8a" strokeWidth="5" fill="none" />
      <Smalls
        leaf={k.look.leaf}
        at={by3('152 176 70, 156 156 -60, 161 134 62, 164 116 -20').map(([x, y, t]) => ({
          x,
          y,
          turn: t,
          k: 0.19,
          fill: '#c3dd86',
        }))}
      />
      <path d="M104 236C112 236 116 234 122 228" stroke="#c2553a" strokeWidth="3" fill="none" />
      <circle cx="112" cy="233" r="9" fill="none" stroke="#c2553a" strokeWidth="2" />
    </>
  ),
  ribbon: (_R, k) => (
    <>
      <path d="M86 150C84 100 78 50 70 4Q100-12 132 4C122 50 116 100 114 150Z" fill="#a9c27c" stroke="var(--leaf-line)" strokeWidth="1.6" />
      <path
        d="M91 148C89 100 86 50 82 4M97 148C97 100 96 50 95 0M103 148C104 100 106 50 108 0M109 148C111 100 116 50 120 4"
        stroke="var(--leaf-line)"
        strokeWidth="1"
        fill="none"
      />
      {[74, 84, 94, 104, 114, 124].map((x, i) => (
        <path key={x} d={soft(blot([x, 9 - (i % 2) * 5], 8, () => 0.5, 0.3, 8))} fill="#d9a4c4" {...bark} />
      ))}
      <Smalls leaf={k.look.leaf} at={by3('80 60 -60, 120 70 60, 84 100 -56, 116 112 58').map(([x, y, t]) => ({ x, y, turn: t, k: 0.13 }))} />
    </>
  ),
  sheared: () => (
    <>
      <path d="M6 92H194" stroke="var(--ink)" strokeWidth="1.3" strokeDasharray="7 5" />
      <path
        d={lines(
          [30, 52, 70, 90, 108, 128, 146, 168].map(
            (x) =>
              [
                [x, 92],
                [x - 2, 106],
              ] as P[],
          ),
        )}
        stroke="var(--bark-line)"
        strokeWidth="5"
      />
      <path
        d={lines(
          [30, 52, 70, 90, 108, 128, 146, 168].map(
            (x) =>
              [
                [x - 2.4, 91],
                [x + 2.4, 91],
              ] as P[],
          ),
        )}
        stroke="#f4e4b8"
        strokeWidth="3"
      />
      <path d="M150 62L176 88M150 88L176 62" stroke="var(--quiet)" strokeWidth="3" />
      <circle cx="146" cy="58" r="6" fill="none" stroke="var(--quiet)" strokeWidth="3" />
      <circle cx="146" cy="92" r="6" fill="none" stroke="var(--quiet)" strokeWidth="3" />
    </>
  ),
  'red-broom': (R) => (
    <>
      {[-46, -32, -18, -6, 6, 18, 32, 46].map((a) => (
        <g key={a}>
          <path
            d={curve([
              [100, 122],
              [100 + a * 0.5, 76],
              [100 + a, 30],
            ])}
            fill="none"
            stroke="#b8323c"
            strokeWidth="5"
            strokeLinecap="round"
          />
          <path
            d={lines(
              [0.3, 0.5, 0.7, 0.9].flatMap(
                (t) =>
                  [
                    [
                      [100 + a * t * 0.9, 122 - 92 * t],
                      [100 + a * t * 0.9 + 6, 117 - 92 * t],
                    ],
                    [
                      [100 + a * t * 0.9, 118 - 92 * t],
                      [100 + a * t * 0.9 - 6, 113 - 92 * t],
                    ],
                  ] as P[][],
              ),
            )}
            stroke="#7d1d26"
            strokeWidth="1.6"
          />
          <path d={soft(blot([100 + a, 28], 7, R, 0.6, 8, 1, 1))} fill="#d9666c" stroke="#7d1d26" strokeWidth="1" />
        </g>
      ))}
    </>
  ),
  'dropped-leaves': (_R, k) => (
    <>
      <Smalls
        leaf={k.look.leaf}
        at={by4('18 252 96 0, 46 262 70 1, 82 266 110 0, 134 262 84 1, 164 250 100 0, 184 264 64 1').map(([x, y, t, c]) => ({
          x,
          y,
          turn: t,
          k: 0.15,
          fill: c ? '#d9c05a' : undefined,
        }))}
      />
    </>
  ),
  'buried-stem': () => (
    <>
      <path d="M6 234Q50 206 100 202T194 234V272H6Z" fill="var(--earth)" {...bark} />
      <path d="M94 204C94 226 92 244 84 266M106 204C106 226 110 246 118 266" fill="none" stroke="#f0dfb8" strokeWidth="2" strokeDasharray="5 4" />
      <path d="M22 262H72M128 262H178" stroke="#f6efdc" strokeWidth="1.4" strokeDasharray="3 3" />
      <path d="M150 206V258M144 212L150 204L156 212M144 252L150 260L156 252" fill="none" stroke="#fff" strokeWidth="2" />
    </>
  ),
  'grey-foot': (R) => (
    <>
      {xy('100 204, 92 212, 108 212').map(([x, y]) => (
        <path key={x} d={`M${x} ${y}V240`} stroke="#4b2f1a" strokeWidth="8" />
      ))}
      <path d={lines(inBox(R, 60, 82, 200, 118, 240).map((p) => [p, [p[0] + (R() - 0.5) * 5, p[1] - 7]] as P[]))} stroke="#9a9a92" strokeWidth="1.1" />
      <Spots at={inBox(R, 40, 82, 194, 118, 234)} r={1.8} c="#b3b3aa" />
    </>
  ),
};

/** The whole plant. */
export function Plant(p: PartProps) {
  const { d, seed, look, children, bare } = p;
  const id = useId();
  const cut = has(d, 'sheared');
  const k: K = { look };
  if (bare) return <Signs d={d} seed={seed} words={plantWords} k={k} />;
  const limp = d.posture === 'wilted' && !has(d, 'chill');
  const tint = has(d, 'even-yellow')
    ? { where: 'old' as const, colour: '#e2d05a' }
    : has(d, 'pale')
      ? { where: 'all' as const, colour: '#d3d98e' }
      : has(d, 'edge-burn')
        ? { where: 'tips' as const, colour: '#b5823f' }
        : has(d, 'brown-side')
          ? { where: 'side' as const, colour: '#9a6a34' }
          : undefined;
  const none = has(d, 'drawn', 'torn', 'slanted');
  const potted = has(d, 'drawn');
  return (
    <g>
      {cut && (
        <clipPath id={id}>
          <path d="M-20 92H220V290H-20Z" />
        </clipPath>
      )}
      <g clipPath={cut ? `url(#${id})` : undefined}>
        <g transform={`translate(4 46) scale(${big})`}>
          {!none && <Habit look={look.id ? look : { ...look, id: 'viburnum', habit: 'shrub' }} tint={tint} limp={limp} flowerless={has(d, 'blind')} />}
        </g>
      </g>
      {potted && (
        <g {...bark}>
          <path d="M64 226H132L124 274H72Z" fill="#c58a66" />
          <path d="M60 218H136V230H60Z" fill="#d39b76" />
        </g>
      )}
      {d.soil === 'dry' && <path d="M10 240l16 6l-6 8M60 246l10 8l-10 8M130 244l-8 9l14 6M176 242l-10 8" fill="none" stroke="#8a6a44" strokeWidth="1.6" />}
      <Signs d={d} seed={seed} words={plantWords} k={k} />
      {children}
    </g>
  );
}
