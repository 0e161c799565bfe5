import { scatter } from '../random';
import { has, line, type PartProps, type Sign, Signs } from './brush';
import { wider } from './wider';

const on = (seed: number, n: number) => scatter(seed, n, 88, 24, 114, 262);

export const stemWords: Record<string, Sign> = {
  ...wider.stem,
  'green-stem': () => null,
  'bark-galls': (s) =>
    scatter(s, 5, 86, 40, 114, 250).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={9 + p.r * 5} fill="#8a6b48" {...line} strokeWidth={1.4} />
    )),
  canker: () => (
    <g>
      <path
        d="M88 96 C78 130 82 174 96 194 C114 174 118 128 106 94 Z"
        fill="#6b4630"
        stroke="#2a150b"
        strokeWidth="2"
      />
      <path
        d="M92 108 C86 134 88 166 97 182 C108 166 110 132 102 106 Z"
        fill="#4d2c1c"
        stroke="#2a150b"
        strokeWidth="1.6"
      />
      <path d="M95 122 C92 140 93 158 98 168 C103 156 104 138 100 120 Z" fill="#2f1a10" />
    </g>
  ),
  'coral-dots': (s) =>
    on(s, 34).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={2.6 + p.r * 1.6} fill="#e46a4a" stroke="#9d3118" strokeWidth=".8" />
    )),
  'brown-ring': () => (
    <g>
      <ellipse cx="100" cy="8" rx="18" ry="8" fill="#efe6cf" {...line} />
      <ellipse cx="100" cy="8" rx="12" ry="5" fill="none" stroke="#6b3d18" strokeWidth="4" />
      <path
        d="M90 14 C88 60 90 90 88 130 M110 14 C112 60 110 90 112 130"
        stroke="#6b3d18"
        strokeWidth="3"
        fill="none"
      />
    </g>
  ),
  'half-wilted': () => (
    <path d="M150 30 C170 40 178 60 170 84 C158 78 150 58 150 30 Z" fill="#c9b25a" {...line} strokeWidth={1.6} />
  ),
  'yellow-half': () => (
    <g>
      <path d="M34 108 C14 104 4 84 10 62 C30 64 42 84 34 108 Z" fill="var(--leaf)" {...line} strokeWidth={1.6} />
      <path d="M34 108 C26 92 18 78 10 62 C30 64 42 84 34 108 Z" fill="#e3cc4e" />
    </g>
  ),
  'wet-stem': () => (
    <path
      d="M85 206 C83 240 83 262 86 280 H118 C116 262 115 240 117 206 C108 198 94 198 85 206 Z"
      fill="#2f2a20"
      opacity=".88"
    />
  ),
  'black-shoot': () => (
    <g>
      <path d="M114 96 C138 84 156 62 168 30" fill="none" stroke="#1d1915" strokeWidth="10" strokeLinecap="round" />
      <path
        d="M168 30 C182 40 184 62 176 80 C164 70 160 48 168 30 Z M150 66 C162 78 162 96 152 108 C142 96 142 80 150 66 Z"
        fill="#2c2621"
        {...line}
        strokeWidth={1.4}
      />
    </g>
  ),
  'crown-gall': () => (
    <path
      d="M84 236 C60 226 56 262 80 270 C98 284 136 276 132 254 C136 230 112 228 100 238 Z"
      fill="#b08b5f"
      {...line}
    />
  ),
  mould: (s) =>
    scatter(s, 40, 84, 150, 118, 270).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={3 + p.r * 3} fill="#f4f4ee" stroke="#b6b8ae" strokeWidth=".8" />
    )),
  sclerotia: (s) =>
    scatter(s + 2, 9, 86, 160, 116, 264).map((p, i) => (
      <ellipse key={i} cx={p.x} cy={p.y} rx="5" ry="3.4" fill="#1a1613" />
    )),
  honeydew: (s) =>
    on(s + 5, 9).map((p, i) => (
      <path key={i} d={`M${p.x} ${p.y} q4 8 0 12 q-4 -4 0 -12`} fill="#f1d58a" stroke="#b98f2f" strokeWidth=".8" />
    )),
  sooty: (s) =>
    on(s + 7, 14).map((p, i) => (
      <ellipse key={i} cx={p.x} cy={p.y} rx={5 + p.r * 7} ry={8 + p.r * 8} fill="#1e1e1c" opacity=".5" />
    )),
  'grey-crust': (s) =>
    on(s, 26).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={2.6 + p.r * 2} fill="#a5aaa3" stroke="#5e625d" strokeWidth=".8" />
    )),
  'white-crust': (s) =>
    on(s, 30).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={3 + p.r * 2.4} fill="#fdfdf8" stroke="#a3a79f" strokeWidth=".8" />
    )),
  'red-rings': (s) =>
    on(s, 12).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={6 + p.r * 2} fill="none" stroke="#b3413a" strokeWidth="2.4" />
    )),
  'yellow-dots': (s) =>
    on(s + 1, 12).map((p, i) => <circle key={i} cx={p.x} cy={p.y} r={5 + p.r * 3} fill="#e2cd56" opacity=".8" />),
  reddish: (s) =>
    on(s + 3, 16).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={3 + p.r * 2} fill="#c2573a" stroke="#7a2a18" strokeWidth=".8" />
    )),
  'wax-threads': (s) =>
    on(s, 16).map((p, i) => (
      <path
        key={i}
        d={`M${p.x} ${p.y} q${14 + p.r * 12} -6 ${20 + p.r * 14} ${8 - p.r * 16}`}
        stroke="#fff"
        strokeWidth="2"
        fill="none"
      />
    )),
  'white-pads': (s) =>
    on(s, 7).map((p, i) => (
      <g key={i}>
        <ellipse cx={p.x} cy={p.y + 6} rx="11" ry="7" fill="#fff" stroke="#a3a79f" strokeWidth="1" />
        <ellipse cx={p.x} cy={p.y} rx="7" ry="5" fill="#7b5334" {...line} strokeWidth={1.2} />
      </g>
    )),
  'borer-hole': () => (
    <g>
      <ellipse cx="100" cy="130" rx="10" ry="8" fill="#160e08" stroke="#3b2413" strokeWidth="2.4" />
      <ellipse cx="96" cy="200" rx="7" ry="6" fill="#160e08" stroke="#3b2413" strokeWidth="2" />
    </g>
  ),
  sawdust: (s) =>
    scatter(s, 40, 92, 140, 124, 176).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={1.6 + p.r * 1.4} fill="#e8cf9a" stroke="#a8834a" strokeWidth=".5" />
    )),
  lichen: (s) =>
    on(s, 16).map((p, i) => (
      <g key={i}>
        <circle
          cx={p.x}
          cy={p.y}
          r={6 + p.r * 7}
          fill="#b9c8b0"
          stroke="#7f917a"
          strokeWidth="1.2"
          strokeDasharray="3 1.6"
        />
        <circle cx={p.x} cy={p.y} r={2 + p.r * 2} fill="#93a58c" />
      </g>
    )),
  crook: () => (
    <g>
      <path
        d="M114 96 C138 84 160 60 164 34 C166 18 148 14 146 30"
        fill="none"
        stroke="#1d1915"
        strokeWidth="8"
        strokeLinecap="round"
      />
      <path
        d="M146 30 C138 44 128 48 120 44 C126 30 136 24 146 30 Z M160 50 C174 54 182 68 178 82 C166 78 160 64 160 50 Z"
        fill="#3a2a20"
        {...line}
        strokeWidth={1.4}
      />
    </g>
  ),
  ooze: (s) =>
    scatter(s, 5, 88, 110, 112, 180).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={3 + p.r * 2} fill="#e8c98a" stroke="#a87a2f" strokeWidth="1" />
    )),
  gum: () => (
    <g fill="#d98f2b" stroke="#8a4f10" strokeWidth="1.6" opacity=".92">
      <path d="M104 120 C122 122 126 146 116 156 C104 154 98 132 104 120 Z" />
      <path d="M92 150 C78 156 78 182 90 190 C100 182 102 160 92 150 Z" />
      <path d="M112 156 q6 18 0 34" fill="none" strokeWidth="4" stroke="#d98f2b" />
    </g>
  ),
  cut: () => (
    <g>
      <path d="M80 128 L122 108 L120 124 L82 146 Z" fill="#efe6cf" {...line} />
      <path d="M90 130 L114 118 M92 138 L112 128" stroke="#c9b58c" strokeWidth="1.4" />
    </g>
  ),
  'white-sheet': () => (
    <g>
      <path
        d="M86 180 C78 210 80 250 86 280 H104 C98 250 98 214 102 184 Z"
        fill="#fdfdf6"
        {...line}
        strokeWidth={1.6}
      />
      <path d="M86 182 C66 196 58 236 64 276 C72 250 78 220 92 196 Z" fill="#a58a66" {...line} strokeWidth={1.6} />
    </g>
  ),
  'honey-caps': () => (
    <g>
      {[
        [132, 268, 1],
        [150, 256, 1.25],
        [168, 270, 0.9],
      ].map(([x, y, k]) => (
        <g key={x} transform={`translate(${x} ${y}) scale(${k})`}>
          <path d="M-3 12 C-2 0 2 0 3 12 Z" fill="#efe0b4" {...line} strokeWidth={1.2} />
          <path d="M-13 2 C-11 -14 11 -14 13 2 Z" fill="#d9a441" {...line} strokeWidth={1.4} />
        </g>
      ))}
    </g>
  ),
};

export function Stem({ d, seed, children }: PartProps) {
  const green = has(d, 'green-stem');
  const woody = green ? 'var(--leaf)' : '#a58a66';
  return (
    <g>
      <path d="M86 280 C82 200 90 100 84 6 H114 C120 100 112 200 118 280 Z" fill={woody} {...line} />
      <path
        d="M114 96 C138 84 156 62 168 30 M86 170 C62 156 44 136 34 108"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="13"
        strokeLinecap="round"
      />
      <path
        d="M114 96 C138 84 156 62 168 30 M86 170 C62 156 44 136 34 108"
        fill="none"
        stroke={woody}
        strokeWidth="9.4"
        strokeLinecap="round"
      />
      {d.pores === 'rows' &&
        Array.from({ length: 13 }, (_, i) => (
          <ellipse
            key={i}
            cx={92 + (i % 3) * 8}
            cy={26 + i * 19}
            rx="4.6"
            ry="2.4"
            fill="#d9c39a"
            stroke="#6d5637"
            strokeWidth="1"
          />
        ))}
      <Signs d={d} seed={seed} words={stemWords} />
      {children}
    </g>
  );
}
