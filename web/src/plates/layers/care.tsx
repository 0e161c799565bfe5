import { scatter } from '../random';
import { blob, dots, type Layer, many, rim, wash } from './brush';

/** What water, food, light, weather and our own hands leave on a leaf. Colours are the sign's own, in both themes. */
export const care: Record<string, Layer> = {
  'burn-scars': (s, a) =>
    dots(scatter(s, Math.round(7 * a), 60, 40, 176, 200), (p, i) => (
      <path d={blob(p, 16 + p.r * 14, s + i, 0.75, 8)} fill="#c9812f" stroke="#7d4512" strokeWidth="1.6" />
    )),
  'residue-runs': (s, a) =>
    dots(scatter(s, Math.round(16 * a), 40, 20, 160, 200), (p) => (
      <>
        <path d={`M${p.x} ${p.y} v${22 + p.r * 30}`} stroke="#f4f4ee" strokeWidth="3" strokeLinecap="round" />
        <circle cx={p.x} cy={p.y + 24 + p.r * 30} r="4.4" fill="none" stroke="#f4f4ee" strokeWidth="2.2" />
      </>
    )),
  crust: (s, a) =>
    dots(scatter(s, Math.round(24 * a), 30, 30, 170, 240), (p, i) => (
      <path d={blob(p, 6 + p.r * 9, s + i, 0.9, 6)} fill="#f2efe6" stroke="#b9b3a2" strokeWidth="1" />
    )),
  'even-yellow': () => <rect x="0" y="0" width="200" height="280" fill="#e3cc4e" opacity=".85" />,
  'interveinal-young': () => <rect x="0" y="0" width="200" height="280" fill="#e9dd7a" opacity=".7" />,
  'spore-rows': () => (
    <g fill="#6b3d18">
      {[0, 1].flatMap((k) =>
        Array.from({ length: 16 }, (_, i) => (
          <circle key={`${k}${i}`} cx={k ? 112 + (i % 4) * 16 : 88 - (i % 4) * 16} cy={64 + i * 11} r="4" />
        )),
      )}
    </g>
  ),
  dust: many(120, (p) => <circle cx={p.x} cy={p.y} r={1.6 + p.r} fill="#ecc82f" />),
  'corky-bumps': many(26, (p) => (
    <circle cx={p.x} cy={p.y} r={4 + p.r * 2} fill="#b99a6b" stroke="#7a5a34" strokeWidth="1.4" />
  )),
  'chlorosis-young': () => (
    <>
      <rect x="0" y="0" width="200" height="280" fill="#ecdf6a" opacity=".85" />
      <path
        d="M100 250 V20 M100 205 L34 160 M100 205 L166 160 M100 150 L38 108 M100 150 L162 108 M100 96 L56 62 M100 96 L144 62"
        stroke="#5d7d3c"
        strokeWidth="3"
        fill="none"
      />
    </>
  ),
  'chlorosis-old': () => (
    <>
      <rect x="0" y="0" width="200" height="280" fill="#d9b54a" opacity=".75" />
      <path
        d="M100 250 V20 M100 205 L34 160 M100 205 L166 160 M100 150 L38 108 M100 150 L162 108 M100 96 L56 62 M100 96 L144 62"
        stroke="#4f6d29"
        strokeWidth="15"
        fill="none"
        opacity=".8"
      />
    </>
  ),
  glossy: many(8, (p) => (
    <path d={`M${p.x - 14} ${p.y + 10} q8 -20 26 -20`} stroke="#fff" strokeWidth="5" fill="none" opacity=".85" />
  )),
  'yellow-fall': wash('#e3cc4e', 0.6),
  'sulfur-yellow': many(30, (p) => <circle cx={p.x} cy={p.y} r={2 + p.r} fill="#f2e04a" />),
  'bleached-spots': many(16, (p) => (
    <circle cx={p.x} cy={p.y} r={5 + p.r * 4} fill="#f4eed8" stroke="#a8835a" strokeWidth="1.4" />
  )),
  crusted: many(14, (p, i, s) => (
    <path d={blob(p, 4 + p.r * 4, s + i, 0.8, 6)} fill="#fff" stroke="#b9b3a2" strokeWidth="1" />
  )),
  'edge-burn': rim('#8a5a2b', 17),
  'old-edges': rim('#d9c64b', 30, 0.75),
  'one-side': () => <rect x="118" y="0" width="90" height="280" fill="#8a5a2b" opacity=".75" />,
  'low-patch': () => <path d="M0 280 H200 V196 C150 176 120 214 84 190 C50 170 24 200 0 186 Z" fill="#8a5a2b" />,
  'bleached-top': () => (
    <path
      d="M0 -4 H200 V96 C160 128 130 84 96 110 C60 132 30 100 0 116 Z"
      fill="#f4eed8"
      stroke="#b39a63"
      strokeWidth="1.6"
    />
  ),
  'tip-burn': () => <path d="M0 -4 H200 V60 C150 84 120 46 92 66 C60 84 30 56 0 68 Z" fill="#7a4a22" />,
  rolled: () => (
    <path
      d="M-10 -10 H62 C40 90 40 200 70 290 H-10 Z M210 -10 H138 C160 90 160 200 130 290 H210 Z"
      fill="#a9bd8c"
      stroke="#39502a"
      strokeWidth="2.4"
    />
  ),
  crumpled: () => (
    <g fill="none" stroke="#4f6d29" strokeWidth="4">
      <path d="M36 76 q16 18 32 0 t32 0 t32 0 t32 0 M30 116 q17 20 34 0 t34 0 t34 0 t34 0 M34 158 q16 20 33 0 t33 0 t33 0 t33 0 M44 200 q14 18 28 0 t28 0 t28 0 t28 0" />
    </g>
  ),
  hollow: () => (
    <g>
      <ellipse cx="100" cy="252" rx="16" ry="9" fill="#efe6cf" stroke="#5a4a2c" strokeWidth="2" />
      <ellipse cx="100" cy="252" rx="8" ry="4" fill="#2c2118" />
    </g>
  ),
  'broad-green': (_s, _a, leaf) => (
    <path d={[...leaf.veins, ...leaf.minor].join(' ')} fill="none" stroke="#5d7d3c" strokeWidth="11" opacity=".85" />
  ),
  acid: (_s, _a, leaf) => (
    <path d={leaf.outline.join(' ')} fill="none" stroke="#a63a2b" strokeWidth="22" opacity=".55" />
  ),
  bloom: (s) => (
    <g>
      <rect x="0" y="0" width="200" height="280" fill="#cfe0ea" opacity=".62" />
      {scatter(s, 3, 60, 70, 140, 210).map((p, i) => (
        <path key={i} d={`M${p.x - 18} ${p.y} q18 -9 36 2`} stroke="var(--leaf)" strokeWidth="8" fill="none" />
      ))}
    </g>
  ),
  'narrow-white': () => <rect x="0" y="0" width="200" height="280" fill="#fbfbf0" opacity=".9" />,
  chill: wash('#9fc0c6', 0.4),
  russet: many(40, (p) => <path d={`M${p.x} ${p.y} l6 3 l2 -3`} stroke="#a8743c" strokeWidth="2.4" fill="none" />),
};
