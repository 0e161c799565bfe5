import { Body } from '../bodies';
import { scatter } from '../random';
import { has, line, type PartProps, type Sign, Signs } from './brush';
import { wider } from './wider';

export const potWords: Record<string, Sign> = {
  ...wider.pot,
  crust: (s) =>
    scatter(s, 34, 28, 146, 172, 176).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={3 + p.r * 4} fill="#f4f1e8" stroke="#bdb7a6" strokeWidth="1" />
    )),
  toadstools: () =>
    [70, 126].map((x) => (
      <g key={x}>
        <path d={`M${x} 148 v-22`} stroke="#f2e3b0" strokeWidth="6" />
        <path
          d={`M${x - 16} 128 C${x - 14} 108 ${x + 14} 108 ${x + 16} 128 Z`}
          fill="#e9cf4a"
          {...line}
          strokeWidth={1.6}
        />
      </g>
    )),
  slime: () => (
    <path
      d="M40 150 C52 126 76 146 92 136 C114 122 140 146 162 140 C156 162 56 166 40 150 Z"
      fill="#e9d46a"
      {...line}
      strokeWidth={1.4}
    />
  ),
  collapsed: () => (
    <g fill="none" stroke="#7d9a5a" strokeWidth="4.4" strokeLinecap="round">
      <path d="M66 146 C76 128 96 136 112 142 M118 148 C128 134 144 138 154 146 M84 150 C78 140 66 138 54 142" />
      <path d="M66 146 l3 -4 M118 148 l3 -4 M84 150 l-3 -4" stroke="#3b2413" />
    </g>
  ),
  'cut-seedling': () => (
    <g>
      <path d="M80 148 v-12 M122 148 v-10" stroke="#7d9a5a" strokeWidth="5" />
      <path d="M84 140 C96 132 110 134 128 140" stroke="#7d9a5a" strokeWidth="5" fill="none" strokeLinecap="round" />
      <path
        d="M128 140 C140 132 150 136 156 144 C146 150 136 150 128 140 Z"
        fill="var(--leaf)"
        {...line}
        strokeWidth={1.4}
      />
    </g>
  ),
  gnats: () => (
    <g>
      {[
        [44, 120],
        [72, 102],
        [136, 112],
        [158, 90],
        [116, 132],
        [54, 78],
      ].map(([x, y]) => (
        <g key={`${x}${y}`} transform={`translate(${x} ${y}) scale(.16) translate(-50 -50)`}>
          <Body d={{ body: 'fly', colour: 'dark', feelers: 'long' }} />
        </g>
      ))}
    </g>
  ),
  'green-skin': () => (
    <g>
      <ellipse cx="100" cy="149" rx="62" ry="8.4" fill="#6f8f3a" />
      <path d="M46 150 q12 -6 24 0 t24 0 t24 0 t30 0" stroke="#9cbb5a" strokeWidth="2" fill="none" />
    </g>
  ),
};

export function Pot({ d, seed, children }: PartProps) {
  const seedlings = has(d, 'collapsed') || has(d, 'cut-seedling');
  return (
    <g>
      {!seedlings && (
        <>
          <path
            d="M100 150 C98 110 102 70 100 26 M100 110 C80 100 70 84 64 66 M100 96 C120 86 132 70 138 50"
            fill="none"
            stroke="var(--leaf-line)"
            strokeWidth="5"
            strokeLinecap="round"
          />
          <path
            d="M64 66 C44 64 38 46 40 34 C58 34 66 48 64 66 Z M138 50 C158 50 166 32 162 18 C144 18 136 34 138 50 Z M100 26 C88 18 88 4 98 -6 C110 2 112 16 100 26 Z"
            fill="var(--leaf)"
            {...line}
            strokeWidth={1.6}
          />
        </>
      )}
      <path d="M36 168 H164 L150 270 H50 Z" fill="#b8714c" {...line} />
      <path d="M28 148 H172 V172 H28 Z" fill="#c98560" {...line} />
      <ellipse cx="100" cy="149" rx="66" ry="10" fill="#5d4a38" {...line} />
      {seedlings && <path d="M52 148 v-18 M150 148 v-16" stroke="#7d9a5a" strokeWidth="3.4" />}
      {seedlings && (
        <path
          d="M52 130 q-10 -2 -11 -10 q10 0 11 10 q1 -10 11 -10 q0 9 -11 10 M150 132 q-10 -2 -11 -10 q10 0 11 10 q1 -10 11 -10 q0 9 -11 10"
          fill="var(--leaf)"
          {...line}
          strokeWidth={1.2}
        />
      )}
      {d.grains === 'white' &&
        scatter(seed, 26, 44, 142, 156, 156).map((p, i) => (
          <path
            key={i}
            d={`M${p.x - 4} ${p.y} l3 -4 l5 1 l2 4 l-4 3 z`}
            fill="#fff"
            stroke="#9c9c92"
            strokeWidth=".9"
          />
        ))}
      <Signs d={d} seed={seed} words={potWords} />
      {children}
    </g>
  );
}
