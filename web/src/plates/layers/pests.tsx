import { scatter } from '../random';
import { blob, dots, type Layer, many } from './brush';

/** What animals leave on a leaf. Colours are the sign's own, in both themes. */
export const pests: Record<string, Layer> = {
  stippling: (s, a) =>
    dots(scatter(s, Math.round(420 * a)), (p) => <circle cx={p.x} cy={p.y} r={0.8 + p.r} fill="#f6f2d8" />),
  'coarse-flecks': (s, a) =>
    dots(scatter(s, Math.round(130 * a)), (p) => (
      <ellipse cx={p.x} cy={p.y} rx={1.6 + p.r * 2} ry={1.3 + p.r * 1.2} fill="#fbf8e6" />
    )),
  'vein-flecks': (s, a) =>
    dots(scatter(s, Math.round(260 * a), 70, 20, 130, 250), (p) => (
      <circle cx={p.x} cy={p.y} r={0.9 + p.r} fill="#f6f2d8" />
    )),
  bronzing: (s) => (
    <>
      <rect x="0" y="130" width="200" height="150" fill="#a9743c" opacity=".55" />
      {dots(scatter(s, 90, 20, 100, 180, 260), (p) => (
        <circle cx={p.x} cy={p.y} r={2 + p.r * 3} fill="#8a5a2b" opacity=".4" />
      ))}
    </>
  ),
  silvering: (s, a) =>
    dots(scatter(s, Math.round(9 * a), 40, 40, 160, 240), (p, i) => (
      <g transform={`rotate(${p.r * 60 - 30} ${p.x} ${p.y})`}>
        <path d={blob(p, 12 + p.r * 12, s + i, 0.7)} fill="#e9edf0" stroke="#aab4b8" strokeWidth=".8" />
        <path d={`M${p.x - 8} ${p.y} h14 M${p.x - 5} ${p.y + 4} h10`} stroke="#fff" strokeWidth="1.4" />
      </g>
    )),
  'black-dots': (s, a) =>
    dots(scatter(s + 3, Math.round(46 * a), 40, 40, 160, 240), (p) => (
      <circle cx={p.x} cy={p.y} r={1.5 + p.r * 0.8} fill="#161a1a" />
    )),
  'tar-spots': (s, a) =>
    dots(scatter(s + 5, Math.round(26 * a), 40, 40, 160, 240), (p, i) => (
      <path d={blob(p, 3.4 + p.r * 2, s + i, 0.5, 7)} fill="#3a2417" stroke="#160d07" strokeWidth=".6" />
    )),
  'cast-skins': (s, a) =>
    dots(scatter(s + 9, Math.round(9 * a), 40, 60, 160, 230), (p) => (
      <g transform={`rotate(${p.r * 360} ${p.x} ${p.y})`} fill="#fdfdf8" stroke="#8d9789" strokeWidth=".8">
        <path d={`M${p.x} ${p.y - 7} c4 3 3 9 0 13 c-3 -4 -4 -10 0 -13 z`} />
        <path
          d={`M${p.x} ${p.y - 4} l-5 -3 M${p.x} ${p.y - 4} l5 -3 M${p.x} ${p.y} l-5 1 M${p.x} ${p.y} l5 1`}
          fill="none"
        />
      </g>
    )),
  'blotch-mines': (s, a) =>
    dots(scatter(s, Math.round(4 * a), 60, 60, 150, 210), (p, i) => (
      <>
        <path d={blob(p, 26 + p.r * 12, s + i, 0.55, 11)} fill="#e8dfb9" stroke="#8c7a45" strokeWidth="1.5" />
        <path
          d={`M${p.x - 6} ${p.y} c3 -4 9 -4 12 0 c-3 4 -9 4 -12 0`}
          fill="#f6f6ea"
          stroke="#6b6b52"
          strokeWidth="1"
        />
      </>
    )),
  'winding-mines': (s, a) =>
    dots(scatter(s, Math.round(5 * a), 66, 60, 124, 190), (p) => {
      const d = `M${p.x} ${p.y} c12 -16 26 -2 18 12 s-30 16 -26 30 s28 10 34 26`;
      return (
        <g fill="none" strokeLinecap="round">
          <path d={d} stroke="#6d6238" strokeWidth="7" />
          <path d={d} stroke="#fffbe8" strokeWidth="4.6" />
          <path d={d} stroke="#6d6238" strokeWidth="1" strokeDasharray="2 4" />
        </g>
      );
    }),
  honeydew: (s, a) =>
    dots(scatter(s, Math.round(20 * a), 40, 40, 160, 236), (p) => (
      <>
        <ellipse
          cx={p.x}
          cy={p.y}
          rx={3 + p.r * 3}
          ry={4 + p.r * 3}
          fill="#f1d58a"
          opacity=".8"
          stroke="#b98f2f"
          strokeWidth=".7"
        />
        <path d={`M${p.x - 1.4} ${p.y - 2} q1 -1.6 2.4 -1`} stroke="#fff" strokeWidth="1.2" fill="none" />
      </>
    )),
  'yellow-dots': (s, a) =>
    dots(scatter(s, Math.round(16 * a), 40, 40, 160, 236), (p) => (
      <circle cx={p.x} cy={p.y} r={8 + p.r * 4} fill="#e2cd56" opacity=".75" />
    )),
  webbing: (s, a) =>
    dots(scatter(s, Math.round(16 * a), 20, 20, 180, 250), (p) => (
      <path
        d={`M${p.x} ${p.y} Q${100 + (p.x - 100) * 0.3} ${p.y + 20} ${200 - p.x} ${p.y + 34 * p.r}`}
        fill="none"
        stroke="#fff"
        strokeWidth="1"
        opacity=".9"
      />
    )),
  felt: (s, a) =>
    dots(scatter(s, Math.round(5 * a), 46, 60, 154, 220), (p, i) => (
      <path
        d={blob(p, 18 + p.r * 8, s + i, 0.4)}
        fill="#c9b08a"
        stroke="#8b7248"
        strokeWidth="1.2"
        strokeDasharray="2 1.6"
      />
    )),
  'pimple-galls': (s, a) =>
    dots(scatter(s, Math.round(22 * a), 40, 40, 160, 236), (p) => (
      <>
        <circle cx={p.x} cy={p.y} r={4 + p.r * 2} fill="#b3503d" stroke="#6f2418" strokeWidth="1" />
        <circle cx={p.x - 1.3} cy={p.y - 1.3} r="1.2" fill="#f0b9a8" />
      </>
    )),
  scars: (s, a) =>
    dots(scatter(s, Math.round(6 * a), 50, 60, 150, 220), (p) => (
      <path d={`M${p.x - 10} ${p.y} q10 -5 20 2`} stroke="#a8835a" strokeWidth="3" fill="none" />
    )),
  eggs: (s, a) =>
    dots(scatter(s + 21, Math.round(26 * a), 50, 60, 150, 230), (p) => (
      <circle cx={p.x} cy={p.y} r="2.1" fill="#fffdf0" stroke="#8f8a62" strokeWidth=".7" />
    )),
  'red-galls': many(9, (p, i, s) => (
    <path d={blob(p, 11 + p.r * 7, s + i, 0.5)} fill="#b3413a" stroke="#6b1d18" strokeWidth="1.4" />
  )),
  slime: () => (
    <path
      d="M30 220 C70 190 60 140 110 130 S150 70 170 50"
      stroke="#e9eef0"
      strokeWidth="8"
      fill="none"
      strokeLinecap="round"
      opacity=".9"
    />
  ),
  windows: many(12, (p) => (
    <rect x={p.x} y={p.y} width="14" height="10" fill="#f2f4e6" stroke="#8aa46a" strokeWidth="1" />
  )),
  'big-droppings': many(8, (p) => <circle cx={p.x} cy={p.y} r="5" fill="#2c3323" />),
  'brown-blotch': many(4, (p, i, s) => <path d={blob(p, 18, s + i, 0.5)} fill="#a8743c" opacity=".7" />),
  froth: many(10, (p) => <circle cx={p.x} cy={p.y} r={8 + p.r * 8} fill="#fff" stroke="#b9c4c4" strokeWidth="1.4" />),
  'clear-drops': many(14, (p) => (
    <circle cx={p.x} cy={p.y} r="4.4" fill="#eaf4f6" stroke="#8fb3bd" strokeWidth="1.2" />
  )),
  curl: () => (
    <path
      d="M58 -10 C34 70 34 190 62 290 L80 290 C70 190 70 70 76 -10 Z M142 -10 C166 70 166 190 138 290 L120 290 C130 190 130 70 124 -10 Z"
      fill="color-mix(in srgb, var(--leaf) 55%, var(--sheet))"
      stroke="var(--leaf-line)"
      strokeWidth="1.6"
    />
  ),
  'curl-tips': () => (
    <path
      d="M96 -10 C56 20 56 70 88 96 C112 80 120 40 96 -10 Z"
      fill="color-mix(in srgb, var(--leaf) 55%, var(--sheet))"
      stroke="var(--leaf-line)"
      strokeWidth="1.6"
    />
  ),
  'webbed-nest': (s) => (
    <>
      <path
        d="M30 150 C60 120 140 120 172 156 C150 214 52 214 30 150 Z"
        fill="#dfe3d6"
        opacity=".85"
        stroke="#8d9789"
        strokeWidth="1"
      />
      {scatter(s, 22, 44, 134, 158, 196).map((p, i) => (
        <path key={i} d={`M${p.x - 16} ${p.y} q16 ${p.r * 10 - 5} 32 0`} stroke="#fff" strokeWidth="1.2" fill="none" />
      ))}
      {scatter(s + 3, 12, 50, 150, 150, 200).map((p, i) => (
        <circle key={`p${i}`} cx={p.x} cy={p.y} r="3" fill="#4d5a2b" />
      ))}
    </>
  ),
  'male-fluff': many(30, (p) => (
    <path d={`M${p.x} ${p.y} q5 -5 2 -11 q8 3 7 10`} stroke="#fff" strokeWidth="2" fill="none" />
  )),
  'white-males': many(38, (p) => (
    <rect
      x={p.x}
      y={p.y}
      width="3"
      height="11"
      rx="1.4"
      transform={`rotate(${p.r * 180} ${p.x} ${p.y})`}
      fill="#fff"
      stroke="#9aa09a"
      strokeWidth=".6"
    />
  )),
  tufts: many(7, (p, i, s) => (
    <path d={blob(p, 11 + p.r * 7, s + i, 0.7, 12)} fill="#fff" stroke="#c3c7c0" strokeWidth="1.2" />
  )),
  wax: many(26, (p) => <path d={`M${p.x} ${p.y} q6 -8 3 -16`} stroke="#fff" strokeWidth="2.6" fill="none" />),
  'rolled-edge': (_s, _a, leaf) => (
    <g>
      <path d={leaf.outline.join(' ')} fill="none" stroke="#6b5a2e" strokeWidth="44" />
      <path d={leaf.outline.join(' ')} fill="none" stroke="#d9c98a" strokeWidth="40" />
    </g>
  ),
  'rolled-leaf': () => (
    <g>
      <path d="M-10 140 H210 V290 H-10 Z" fill="#b3c48f" stroke="#39502a" strokeWidth="2" />
      <path
        d="M40 150 q60 -14 120 0 M40 172 q60 -14 120 0 M44 196 q56 -12 112 0"
        stroke="#fff"
        strokeWidth="1.4"
        fill="none"
      />
    </g>
  ),
  tubes: (_s, _a, leaf) => (
    <path d={leaf.outline.join(' ')} fill="none" stroke="#39502a" strokeWidth="26" opacity=".85" />
  ),
  'hopper-burn': (_s, _a, leaf) => (
    <g>
      <path d={leaf.outline.join(' ')} fill="none" stroke="#d9c64b" strokeWidth="34" opacity=".8" />
      <rect x="0" y="0" width="200" height="70" fill="#8a5a2b" opacity=".7" />
    </g>
  ),
  'silver-lines': many(4, (p) => (
    <path
      d={`M${p.x} ${p.y} c14 -14 24 0 14 12 s-24 12 -14 26 s20 6 26 18`}
      stroke="#f4f6f4"
      strokeWidth="7"
      strokeLinecap="round"
      fill="none"
    />
  )),
  'bud-blast': () => (
    <path
      d="M78 20 C78 -6 122 -6 122 20 C128 40 116 58 100 60 C84 58 72 40 78 20 Z"
      fill="#2c2420"
      stroke="#120d0a"
      strokeWidth="2"
    />
  ),
  tattered: many(9, (p, i, s) => (
    <path d={blob(p, 8 + p.r * 12, s + i, 0.9, 7)} fill="none" stroke="#7a4a22" strokeWidth="7" />
  )),
};
