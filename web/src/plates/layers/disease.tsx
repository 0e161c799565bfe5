import { hash, scatter } from '../random';
import { angular, blob, dots, feather, type Layer, many, rim, spotsAt, wash, wedge } from './brush';

/** What fungi, bacteria and viruses leave on a leaf. Colours are the sign's own, in both themes. */
export const disease: Record<string, Layer> = {
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
  glassy: (s, a) =>
    dots(spotsAt(s, a), (p, i) => (
      <>
        <path d={blob(p, 20 + p.r * 8, s + i, 0.4)} fill="#5e7f63" opacity=".75" />
        <path d={blob(p, 12 + p.r * 5, s + i + 40, 0.4)} fill="#9fc0a6" opacity=".8" />
        <path d={`M${p.x - 8} ${p.y - 6} q5 -6 11 -4`} stroke="#fff" strokeWidth="2" fill="none" />
      </>
    )),
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
  sooty: (s, a) =>
    dots(scatter(s, Math.round(14 * a), 30, 30, 170, 240), (p, i) => (
      <path d={blob(p, 18 + p.r * 16, s + i, 0.5, 12)} fill="#20201e" opacity=".6" />
    )),
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
  'red-roll': wash('#a63a2b', 0.35),
  peel: () => <path d="M90 40 L160 70 L150 150 L104 120 Z" fill="#cbd8b4" stroke="#20201e" strokeWidth="2" />,
  'orange-spots': many(8, (p) => <circle cx={p.x} cy={p.y} r={10 + p.r * 4} fill="#e8862b" opacity=".85" />),
  'brown-pimples': many(24, (p) => (
    <circle cx={p.x} cy={p.y} r="3.4" fill="#9a5a28" stroke="#5d2f10" strokeWidth="1" />
  )),
  'brown-dust': many(40, (p) => <circle cx={p.x} cy={p.y} r="2" fill="#5d3a1c" />),
  'red-rims': many(12, (p) => (
    <circle cx={p.x} cy={p.y} r={6 + p.r * 3} fill="none" stroke="#a63a2b" strokeWidth="2" />
  )),
  'cupped-yellow': rim('#e3cc4e', 20, 0.95),
  tips: (s) => (
    <g>
      <rect x="0" y="0" width="200" height="110" fill="#fff" opacity=".6" />
      {scatter(s, 60, 40, 10, 160, 116).map((p, i) => (
        <circle key={i} cx={p.x} cy={p.y} r={1.4 + p.r} fill="#fff" stroke="#c9cfc6" strokeWidth=".4" />
      ))}
    </g>
  ),
  twisted: () => (
    <path
      d="M70 -10 C40 60 96 110 62 160 C36 200 40 240 60 290 M132 -10 C150 70 116 110 150 150 C174 190 140 240 132 290"
      fill="none"
      stroke="var(--leaf-line)"
      strokeWidth="2"
    />
  ),
  zigzag: many(4, (p) => (
    <path d={`M${p.x - 20} ${p.y + 6} l8 -12 l8 12 l8 -12 l8 12`} fill="none" stroke="#f4ec9a" strokeWidth="5" />
  )),
};
