import type { ReactNode } from 'react';
import { hash, type Pt, scatter, seeded } from './random';

/** What each sign looks like on a leaf in the 200 by 280 box. Colours are the sign's own, in both themes. */
type Layer = (seed: number, amount: number) => ReactNode;

const dots = (pts: Pt[], f: (p: Pt, i: number) => ReactNode) => pts.map((p, i) => <g key={i}>{f(p, i)}</g>);

const blob = (p: Pt, r: number, seed: number, wobble: number, n = 9) => {
  const R = seeded(seed);
  const pts = Array.from({ length: n }, (_, i) => {
    const a = (i / n) * 2 * Math.PI;
    const q = r * (1 - wobble / 2 + wobble * R());
    return `${(p.x + Math.cos(a) * q).toFixed(1)} ${(p.y + Math.sin(a) * q).toFixed(1)}`;
  });
  return `M${pts.join(' L')} Z`;
};

/** A spot with feathered rays, as of rose black spot. */
const feather = (p: Pt, r: number, seed: number) => {
  const R = seeded(seed);
  const n = 34;
  const pts = Array.from({ length: n }, (_, i) => {
    const a = (i / n) * 2 * Math.PI;
    const q = i % 2 ? r * (0.8 + 0.08 * R()) : r * (1 + 0.18 * R());
    return `${(p.x + Math.cos(a) * q).toFixed(1)} ${(p.y + Math.sin(a) * q).toFixed(1)}`;
  });
  return `M${pts.join(' L')} Z`;
};

/** A patch with straight edges, as between veins. */
const angular = (p: Pt, r: number) => {
  const a = r * (0.8 + p.r * 0.5);
  return `M${p.x - a} ${p.y - r * 0.5} L${p.x + r * 0.3} ${p.y - r} L${p.x + a} ${p.y + r * 0.1} L${p.x + r * 0.4} ${p.y + r} L${p.x - a * 0.8} ${p.y + r * 0.7} Z`;
};

const spotsAt = (s: number, a: number) => scatter(s, Math.round(11 * a), 38, 44, 162, 236);

export const layers: Record<string, Layer> = {
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
  'feathery-spots': (s, a) => dots(spotsAt(s, a), (p, i) => <path d={feather(p, 8 + p.r * 7, s + i)} fill="#241d1f" />),
  'yellow-halo': (s, a) =>
    dots(spotsAt(s, a), (p) => <circle cx={p.x} cy={p.y} r={16 + p.r * 10} fill="#e8c83f" opacity=".75" />),
  'round-spots': (s, a) => dots(spotsAt(s, a), (p) => <circle cx={p.x} cy={p.y} r={7 + p.r * 6} fill="#b99a6b" />),
  'dark-rim': (s, a) =>
    dots(spotsAt(s, a), (p) => (
      <circle cx={p.x} cy={p.y} r={8 + p.r * 6} fill="none" stroke="#5a2a3c" strokeWidth="3" />
    )),
  'target-spots': (s, a) =>
    dots(spotsAt(s, a), (p) => (
      <>
        <circle cx={p.x} cy={p.y} r={14 + p.r * 6} fill="#7a5432" />
        {[11, 8, 5, 2].map((r) => (
          <circle key={r} cx={p.x} cy={p.y} r={r + p.r * 4} fill="none" stroke="#3d2613" strokeWidth="1.4" />
        ))}
      </>
    )),
  'fruit-dots': (s, a) =>
    dots(spotsAt(s, a), (p) => (
      <>
        {scatter(hash(String(p.x)), 7, p.x - 6, p.y - 6, p.x + 6, p.y + 6).map((q, i) => (
          <circle key={i} cx={q.x} cy={q.y} r="1.1" fill="#1d1410" />
        ))}
      </>
    )),
  'angular-spots': (s, a) => dots(spotsAt(s, a), (p) => <path d={angular(p, 12)} fill="#6b4a2a" />),
  'angular-yellow': (s, a) =>
    dots(scatter(s, Math.round(12 * a), 34, 40, 166, 240), (p) => (
      <path d={angular(p, 17)} fill="#d9c64b" stroke="#b7a032" strokeWidth=".8" />
    )),
  'purple-blotches': (s, a) =>
    dots(spotsAt(s, a), (p, i) => <path d={blob(p, 15 + p.r * 8, s + i, 0.4)} fill="#6b3a5e" opacity=".9" />),
  'down-below': (s, a) =>
    dots(scatter(s, Math.round(10 * a), 34, 40, 166, 240), (p) => (
      <>
        {scatter(hash(String(p.y)), 34, p.x - 15, p.y - 14, p.x + 15, p.y + 14).map((q, i) => (
          <path key={i} d={`M${q.x} ${q.y} l${q.r * 4 - 2} -4`} stroke="#8d83a0" strokeWidth="1.1" />
        ))}
      </>
    )),
  powder: (s, a) =>
    dots(scatter(s, Math.round(11 * a), 34, 34, 166, 240), (p, i) => (
      <>
        <path d={blob(p, 20 + p.r * 14, s + i, 0.35, 12)} fill="#fff" opacity=".72" />
        {scatter(s + i * 7, 26, p.x - 24, p.y - 24, p.x + 24, p.y + 24).map((q, k) => (
          <circle key={k} cx={q.x} cy={q.y} r={0.8 + q.r} fill="#fff" stroke="#c9cfc6" strokeWidth=".3" />
        ))}
      </>
    )),
  pustules: (s, a) =>
    dots(scatter(s, Math.round(30 * a), 34, 40, 166, 240), (p) => (
      <>
        <circle cx={p.x} cy={p.y} r={3.4 + p.r * 1.6} fill="#c8641b" stroke="#7a350a" strokeWidth=".9" />
        <circle cx={p.x - 1} cy={p.y - 1} r="1.2" fill="#f0a35a" />
      </>
    )),
  'pustule-rings': (s, a) =>
    dots(scatter(s, Math.round(9 * a), 40, 44, 160, 236), (p) => (
      <>
        {Array.from({ length: 8 }, (_, i) => (
          <circle
            key={i}
            cx={p.x + 9 * Math.cos((i * Math.PI) / 4)}
            cy={p.y + 9 * Math.sin((i * Math.PI) / 4)}
            r="2.4"
            fill="#7a3f1d"
            stroke="#45200a"
            strokeWidth=".6"
          />
        ))}
        <circle cx={p.x} cy={p.y} r="2.8" fill="#7a3f1d" />
      </>
    )),
  'yellow-spots': (s, a) =>
    dots(scatter(s, Math.round(30 * a), 34, 40, 166, 240), (p) => (
      <circle cx={p.x} cy={p.y} r={7 + p.r * 3} fill="#e2cd56" opacity=".8" />
    )),
  'burn-scars': (s, a) =>
    dots(scatter(s, Math.round(7 * a), 60, 40, 176, 200), (p, i) => (
      <path d={blob(p, 16 + p.r * 14, s + i, 0.75, 8)} fill="#c9812f" stroke="#7d4512" strokeWidth="1.6" />
    )),
  glassy: (s, a) =>
    dots(spotsAt(s, a), (p, i) => (
      <>
        <path d={blob(p, 20 + p.r * 8, s + i, 0.4)} fill="#5e7f63" opacity=".75" />
        <path d={blob(p, 12 + p.r * 5, s + i + 40, 0.4)} fill="#9fc0a6" opacity=".8" />
        <path d={`M${p.x - 8} ${p.y - 6} q5 -6 11 -4`} stroke="#fff" strokeWidth="2" fill="none" />
      </>
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
    dots(scatter(s, Math.round(4 * a), 50, 60, 140, 200), (p) => (
      <>
        <path
          d={`M${p.x} ${p.y} c12 -16 26 -2 18 12 s-30 16 -26 30 s28 10 34 26`}
          fill="none"
          stroke="#f2ecd0"
          strokeWidth="5"
          strokeLinecap="round"
        />
        <path
          d={`M${p.x} ${p.y} c12 -16 26 -2 18 12 s-30 16 -26 30 s28 10 34 26`}
          fill="none"
          stroke="#6d6238"
          strokeWidth="1"
          strokeDasharray="3 3"
        />
      </>
    )),
  'eaten-margin': (s, a) =>
    dots(
      scatter(s, Math.round(7 * a), 0, 30, 14, 230).flatMap((p, i) =>
        i % 2 ? [{ ...p, x: p.x + 28 }] : [{ ...p, x: 172 - p.x }],
      ),
      (p, i) => (
        <path
          d={blob(p, 24 + p.r * 18, s + i, 0.35, 12)}
          fill="var(--sheet)"
          stroke="var(--leaf-line)"
          strokeWidth="1.8"
        />
      ),
    ),
  notches: (s) =>
    dots(
      Array.from({ length: 9 }, (_, i) => ({
        x: i % 2 ? 176 - Math.abs(4 - i) * 9 : 24 + Math.abs(4 - i) * 9,
        y: 62 + i * 18,
        r: seeded(s + i)(),
      })),
      (p) => (
        <circle cx={p.x} cy={p.y} r={8 + p.r * 4} fill="var(--sheet)" stroke="var(--leaf-line)" strokeWidth="1.8" />
      ),
    ),
  'shot-holes': (s, a) =>
    dots(scatter(s, Math.round(26 * a), 34, 34, 166, 240), (p) => (
      <circle cx={p.x} cy={p.y} r={3 + p.r * 4} fill="var(--sheet)" stroke="#7a5432" strokeWidth="1.4" />
    )),
  'ragged-holes': (s, a) =>
    dots(scatter(s, Math.round(6 * a), 46, 50, 154, 226), (p, i) => (
      <path
        d={blob(p, 13 + p.r * 12, s + i, 0.7, 10)}
        fill="var(--sheet)"
        stroke="var(--leaf-line)"
        strokeWidth="1.6"
      />
    )),
  skeletonised: (s, a) =>
    dots(scatter(s, Math.round(34 * a), 40, 40, 160, 236), (p) => (
      <rect
        x={p.x - 6}
        y={p.y - 6}
        width={8 + p.r * 6}
        height={8 + p.r * 6}
        rx="2"
        fill="var(--sheet)"
        stroke="#8aa46a"
        strokeWidth="1"
      />
    )),
  'edge-burn': () => (
    <path
      d="M-10 -10 H210 V290 H-10 Z M100 40 C52 90 40 160 62 226 Q100 250 138 226 C160 160 148 90 100 40 Z"
      fillRule="evenodd"
      fill="#8a5a2b"
      opacity=".85"
    />
  ),
  mosaic: (s, a) =>
    dots(scatter(s, Math.round(26 * a), 24, 24, 176, 256), (p, i) => (
      <path d={blob(p, 10 + p.r * 12, s + i, 0.5, 7)} fill={i % 2 ? '#dfe39a' : '#5d7d3c'} opacity=".75" />
    )),
  'blotchy-mottle': (s) => (
    <>
      {scatter(s, 9, 100, 40, 170, 236).map((p, i) => (
        <path key={i} d={blob(p, 17 + p.r * 12, s + i, 0.5)} fill="#dcd66a" opacity=".85" />
      ))}
      {scatter(s + 8, 3, 40, 90, 90, 220).map((p, i) => (
        <path key={i} d={blob(p, 12 + p.r * 6, s + i, 0.5)} fill="#dcd66a" opacity=".7" />
      ))}
    </>
  ),
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
  sooty: (s, a) =>
    dots(scatter(s, Math.round(14 * a), 30, 30, 170, 240), (p, i) => (
      <path d={blob(p, 18 + p.r * 16, s + i, 0.5, 12)} fill="#20201e" opacity=".6" />
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
};

/** Plain shapes of one kind spread over the leaf. */
const many =
  (n: number, f: (p: Pt, i: number, seed: number) => ReactNode): Layer =>
  (s, a) =>
    dots(scatter(s, Math.round(n * a), 36, 40, 164, 240), (p, i) => f(p, i, s));
const wash = (fill: string, opacity: number, y = 0, h = 280): Layer => {
  return () => <rect x="0" y={y} width="200" height={h} fill={fill} opacity={opacity} />;
};
const wedge = (fill: string): Layer => {
  return () => (
    <g fill={fill} stroke="#6b5a1e" strokeWidth="1">
      <path d="M0 120 L96 160 L10 214 Z M200 96 L104 146 L190 196 Z M120 0 L100 110 L70 6 Z" />
    </g>
  );
};

Object.assign(layers, {
  'small-spots': many(40, (p) => (
    <circle cx={p.x} cy={p.y} r={2.6 + p.r * 1.6} fill="#c9c2b0" stroke="#4d3a2a" strokeWidth="1.4" />
  )),
  'greasy-spots': many(18, (p) => (
    <path d={angular(p, 6 + p.r * 4)} fill="#2c3323" stroke="#d9c64b" strokeWidth="2.4" />
  )),
  'sunken-spots': many(9, (p, i, s) => (
    <path d={blob(p, 9 + p.r * 5, s + i, 0.3)} fill="#7a4a2a" stroke="#3b2112" strokeWidth="2.6" />
  )),
  'purple-spots': many(16, (p) => (
    <circle cx={p.x} cy={p.y} r={5 + p.r * 4} fill="#7d2f4f" stroke="#4a1730" strokeWidth="1.6" />
  )),
  'wet-blotches': many(5, (p, i, s) => (
    <path d={blob(p, 30 + p.r * 18, s + i, 0.5, 12)} fill="#3d3a28" stroke="#8d9a6a" strokeWidth="3" />
  )),
  'white-edge': many(5, (p, i, s) => (
    <path
      d={blob(p, 34 + p.r * 18, s + i, 0.5, 12)}
      fill="none"
      stroke="#fff"
      strokeWidth="2.4"
      strokeDasharray="2 3"
    />
  )),
  'brown-patches': many(7, (p, i, s) => (
    <path d={blob(p, 16 + p.r * 12, s + i, 0.5)} fill="#8a5a2b" stroke="#3b2413" strokeWidth="1.6" />
  )),
  'white-below': many(12, (p) => (
    <path d={`M${p.x} ${p.y} l4 -5 M${p.x + 4} ${p.y} l3 -5`} stroke="#fff" strokeWidth="1.6" />
  )),
  'red-galls': many(9, (p, i, s) => (
    <path d={blob(p, 11 + p.r * 7, s + i, 0.5)} fill="#b3413a" stroke="#6b1d18" strokeWidth="1.4" />
  )),
  'red-blisters': many(8, (p, i, s) => (
    <path d={blob(p, 18 + p.r * 12, s + i, 0.6)} fill="#c9524a" stroke="#7a241e" strokeWidth="2" />
  )),
  'fleshy-galls': many(4, (p, i, s) => (
    <path d={blob(p, 22 + p.r * 12, s + i, 0.4)} fill="#dfe8cf" stroke="#8aa46a" strokeWidth="2.4" />
  )),
  'v-wedges': wedge('#dcc64a'),
  wedges: wedge('#c9a24a'),
  'black-veins': () => (
    <path
      d="M100 240 V30 M100 190 L46 150 M100 190 L154 150 M100 140 L54 104 M100 140 L146 104"
      stroke="#1c1916"
      strokeWidth="3.4"
      fill="none"
    />
  ),
  'clear-veins': () => (
    <path
      d="M100 244 V26 M100 200 L40 160 M100 200 L160 160 M100 150 L46 112 M100 150 L154 112 M100 100 L60 70 M100 100 L140 70"
      stroke="#eef2c8"
      strokeWidth="7"
      fill="none"
    />
  ),
  'vein-strips': () => (
    <path
      d="M100 210 L44 172 L50 138 L100 176 Z M100 120 L150 84 L146 118 L100 156 Z M100 90 L62 62 L74 46 L100 66 Z"
      fill="#6b4a2a"
    />
  ),
  rings: many(6, (p) => (
    <g fill="none" stroke="#d9c64b" strokeWidth="2.6">
      <circle cx={p.x} cy={p.y} r="15" />
      <circle cx={p.x} cy={p.y} r="8" />
    </g>
  )),
  lines: many(5, (p) => (
    <path d={`M${p.x - 24} ${p.y} l10 -9 l10 9 l10 -9 l10 9`} fill="none" stroke="#e2cd56" strokeWidth="4" />
  )),
  'half-circles': () => (
    <g fill="var(--sheet)" stroke="var(--leaf-line)" strokeWidth="2">
      <circle cx="56" cy="60" r="22" />
      <circle cx="146" cy="60" r="20" />
      <circle cx="36" cy="180" r="20" />
      <circle cx="168" cy="176" r="22" />
    </g>
  ),
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
  'bleached-top': wash('#f4eed8', 0.8, 0, 120),
  'one-side': wash('#8a5a2b', 0.35, 0, 280),
  'low-patch': wash('#8a5a2b', 0.75, 190, 90),
  glossy: many(8, (p) => (
    <path d={`M${p.x - 14} ${p.y + 10} q8 -20 26 -20`} stroke="#fff" strokeWidth="5" fill="none" opacity=".85" />
  )),
  pale: wash('#eef0c0', 0.5),
  'yellow-fall': wash('#e3cc4e', 0.6),
  'sulfur-yellow': many(30, (p) => <circle cx={p.x} cy={p.y} r={2 + p.r} fill="#f2e04a" />),
  'bleached-spots': many(16, (p) => (
    <circle cx={p.x} cy={p.y} r={5 + p.r * 4} fill="#f4eed8" stroke="#a8835a" strokeWidth="1.4" />
  )),
  russet: many(40, (p) => <path d={`M${p.x} ${p.y} l5 3`} stroke="#a8743c" strokeWidth="2" />),
  tears: many(6, (p) => (
    <path d={`M${p.x - 12} ${p.y - 14} l10 12 l-4 6 l14 12`} stroke="var(--sheet)" strokeWidth="6" fill="none" />
  )),
  'tip-burn': wash('#8a5a2b', 0.8, 0, 70),
  'old-edges': () => (
    <path
      d="M-10 -10 H210 V290 H-10 Z M100 30 C44 84 32 160 56 232 Q100 256 144 232 C168 160 156 84 100 30 Z"
      fillRule="evenodd"
      fill="#d9c64b"
      opacity=".9"
    />
  ),
  crusted: many(14, (p, i, s) => (
    <path d={blob(p, 4 + p.r * 4, s + i, 0.8, 6)} fill="#fff" stroke="#b9b3a2" strokeWidth="1" />
  )),
  'narrow-white': wash('#fbfbf0', 0.85),
  'strap-leaf': () => (
    <path
      d="M-10 -10 H76 C62 90 62 190 80 290 H-10 Z M210 -10 H124 C138 90 138 190 120 290 H210 Z"
      fill="var(--sheet)"
    />
  ),
  'fern-leaf': () => (
    <path
      d="M-10 -10 H64 L74 60 L58 90 L76 130 L58 170 L78 290 H-10 Z M210 -10 H136 L126 60 L142 90 L124 130 L142 170 L122 290 H210 Z"
      fill="var(--sheet)"
    />
  ),
  crumpled: () => (
    <path
      d="M40 80 q30 20 60 0 t60 0 M36 130 q32 22 64 0 t64 0 M44 180 q28 20 56 0 t56 0"
      fill="none"
      stroke="#4f6d29"
      strokeWidth="5"
    />
  ),
  rolled: () => (
    <path
      d="M60 30 C30 100 30 190 70 250 C84 190 84 100 60 30 Z M140 30 C170 100 170 190 130 250 C116 190 116 100 140 30 Z"
      fill="#a9bd8c"
      stroke="#39502a"
      strokeWidth="2"
    />
  ),
  'red-roll': wash('#a63a2b', 0.35),
  'rolled-edge': () => (
    <path d="M30 60 C10 120 20 190 60 240 C56 190 44 120 30 60 Z" fill="#d9c98a" stroke="#6b5a2e" strokeWidth="2" />
  ),
  'rolled-leaf': () => <path d="M30 150 H170 V260 H30 Z" fill="#b3c48f" stroke="#39502a" strokeWidth="2" />,
  tubes: () => (
    <path
      d="M36 40 C66 90 66 190 40 250 M164 40 C134 90 134 190 160 250"
      fill="none"
      stroke="#39502a"
      strokeWidth="9"
    />
  ),
  'cupped-yellow': () => (
    <path
      d="M-10 -10 H210 V290 H-10 Z M100 50 C56 100 46 160 64 218 Q100 240 136 218 C154 160 144 100 100 50 Z"
      fillRule="evenodd"
      fill="#e3cc4e"
      opacity=".95"
    />
  ),
  wax: many(26, (p) => <path d={`M${p.x} ${p.y} q6 -8 3 -16`} stroke="#fff" strokeWidth="2.6" fill="none" />),
  'clear-drops': many(14, (p) => (
    <circle cx={p.x} cy={p.y} r="4.4" fill="#eaf4f6" stroke="#8fb3bd" strokeWidth="1.2" />
  )),
  peel: () => <path d="M90 40 L160 70 L150 150 L104 120 Z" fill="#cbd8b4" stroke="#20201e" strokeWidth="2" />,
  'silver-lines': many(4, (p) => (
    <path d={`M${p.x} ${p.y} q20 10 8 26 t10 30`} stroke="#f4f6f4" strokeWidth="6" fill="none" />
  )),
  'hopper-burn': wash('#c9a24a', 0.4, 0, 110),
  froth: many(10, (p) => <circle cx={p.x} cy={p.y} r={8 + p.r * 8} fill="#fff" stroke="#b9c4c4" strokeWidth="1.4" />),
  windows: many(12, (p) => (
    <rect x={p.x} y={p.y} width="14" height="10" fill="#f2f4e6" stroke="#8aa46a" strokeWidth="1" />
  )),
  'big-droppings': many(8, (p) => <circle cx={p.x} cy={p.y} r="5" fill="#2c3323" />),
  'brown-blotch': many(4, (p, i, s) => <path d={blob(p, 18, s + i, 0.5)} fill="#a8743c" opacity=".7" />),
  'orange-spots': many(8, (p) => <circle cx={p.x} cy={p.y} r={10 + p.r * 4} fill="#e8862b" opacity=".85" />),
  'brown-pimples': many(24, (p) => (
    <circle cx={p.x} cy={p.y} r="3.4" fill="#9a5a28" stroke="#5d2f10" strokeWidth="1" />
  )),
  'brown-dust': many(40, (p) => <circle cx={p.x} cy={p.y} r="2" fill="#5d3a1c" />),
  'red-rims': many(12, (p) => (
    <circle cx={p.x} cy={p.y} r={6 + p.r * 3} fill="none" stroke="#a63a2b" strokeWidth="2" />
  )),
  tips: wash('#ffffff', 0.55, 0, 90),
  chill: wash('#9fc0c6', 0.4),
});

/** Layers that belong to the underside rather than the upper side. */
export const below = new Set([
  'tar-spots',
  'black-dots',
  'cast-skins',
  'down-below',
  'pustules',
  'pustule-rings',
  'webbing',
  'felt',
  'eggs',
]);

export function Layers({ names, seed, amount = 1 }: { names: string[]; seed: number; amount?: number }) {
  return (
    <>
      {names.map((n) => {
        const f = layers[n];
        return f ? (
          <g key={n} data-layer={n}>
            {f(seed, amount)}
          </g>
        ) : null;
      })}
    </>
  );
}
