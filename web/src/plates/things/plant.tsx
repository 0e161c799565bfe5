import { seeded } from '../random';
import { has, line, type PartProps, type Sign, Signs } from './brush';
import { wider } from './wider';

const tips: [number, number, number][] = [
  [72, 130, -58],
  [128, 128, 58],
  [66, 180, -72],
  [134, 178, 72],
  [100, 92, 0],
  [84, 100, -28],
  [116, 100, 28],
];

export const plantWords: Record<string, Sign> = {
  ...wider.plant,
  blind: () => (
    <g>
      <path
        d="M92 40 C92 24 108 24 108 40 C110 56 104 66 100 68 C96 66 90 56 92 40 Z"
        fill="#a98f5a"
        {...line}
        strokeWidth={1.6}
      />
      <path d="M96 44 q4 8 8 0 M96 54 q4 6 8 0" stroke="#5a4626" strokeWidth="1.6" fill="none" />
    </g>
  ),
  bolted: () => (
    <g>
      <path d="M100 92 V-30" stroke="var(--leaf-line)" strokeWidth="8" strokeLinecap="round" />
      {Array.from({ length: 9 }, (_, i) => (
        <circle
          key={i}
          cx={100 + (i % 2 ? 11 : -11)}
          cy={-26 + i * 9}
          r="6"
          fill="#e9d46a"
          {...line}
          strokeWidth={1.3}
        />
      ))}
      <circle cx="100" cy="-34" r="7" fill="#e9d46a" {...line} strokeWidth={1.3} />
    </g>
  ),
  'black-tips': () => (
    <g fill="#211d1a" opacity=".92">
      <path d="M84 44 C80 26 92 12 100 8 C108 14 120 26 116 46 C106 52 94 52 84 44 Z M22 130 C14 120 12 104 18 96 C28 96 38 106 40 118 C34 126 28 130 22 130 Z M178 128 C186 118 188 102 182 94 C172 94 162 104 160 116 C166 124 172 128 178 128 Z" />
    </g>
  ),
  chill: () => (
    <g>
      <path
        d="M4 250 C14 262 34 264 46 256 C34 246 16 242 4 250 Z M160 262 C170 252 188 250 196 258 C186 268 170 270 160 262 Z M150 240 C162 232 178 234 186 244 C174 252 158 250 150 240 Z"
        fill="var(--leaf)"
        {...line}
        strokeWidth={1.5}
      />
      <path d="M168 20 v40 M150 30 l36 20 M150 50 l36 -20" stroke="#7fa6b5" strokeWidth="3" strokeLinecap="round" />
    </g>
  ),
  drawn: () => null,
  pale: () => null,
  'even-yellow': () => null,
  'edge-burn': () => null,
};

/** A whole plant in a pot: standing, wilted, or drawn out for want of light. */
export function Plant({ d, seed, children }: PartProps) {
  const wilt = d.posture === 'wilted' && !has(d, 'black-tips');
  const drawn = has(d, 'drawn');
  const R = seeded(seed);
  const fill = has(d, 'even-yellow') ? '#d8c65a' : drawn ? '#c9d69a' : 'var(--leaf)';
  const small = has(d, 'pale') ? 0.66 : drawn ? 0.6 : 1;
  const leaf = (x: number, y: number, a: number) => (
    <g key={`${x}${y}`} transform={`translate(${x} ${y}) rotate(${a}) scale(${small})`}>
      <path d="M0 0 C-22 -14 -20 -50 0 -66 C20 -50 22 -14 0 0 Z" fill={fill} {...line} strokeWidth={1.7} />
      <path d="M0 0 V-58" stroke="var(--vein)" strokeWidth="1.6" />
      {has(d, 'edge-burn') && <path d="M-8 -58 C-22 -44 -20 -20 -4 -6 C-12 -24 -12 -42 0 -60 Z" fill="#8a5a2b" />}
    </g>
  );
  const wilted: [number, number, number][] = [
    [70, 120, -150],
    [132, 124, 150],
    [58, 170, -160],
    [142, 172, 164],
    [100, 84, 176],
  ];
  const stretched: [number, number, number][] = [
    [110, 190, 60],
    [104, 140, -60],
    [122, 96, 66],
    [120, 50, -56],
    [142, 12, 40],
  ];
  const list = wilt ? wilted : drawn ? stretched : tips;
  return (
    <g>
      <path
        d={
          wilt
            ? 'M100 236 C100 180 98 120 104 84'
            : drawn
              ? 'M100 236 C98 190 108 110 142 12'
              : 'M100 236 C100 180 100 130 100 70'
        }
        fill="none"
        stroke="var(--leaf-line)"
        strokeWidth={drawn ? 4 : 6}
        strokeLinecap="round"
      />
      {list.map(([x, y, a]) => leaf(x, y, a + (R() - 0.5) * 10))}
      <path d="M54 228 H146 L136 276 H64 Z" fill="#b8714c" {...line} />
      <ellipse
        cx="100"
        cy="229"
        rx="44"
        ry="7"
        fill={d.soil === 'dry' ? '#cdb08a' : '#4d3c2d'}
        {...line}
        strokeWidth={1.5}
      />
      {d.soil === 'dry' && <path d="M74 229 l12 2 l8 -4 l14 4 l14 -2" fill="none" stroke="#7a5f3f" strokeWidth="1.6" />}
      <Signs d={d} seed={seed} words={plantWords} />
      {children}
    </g>
  );
}
