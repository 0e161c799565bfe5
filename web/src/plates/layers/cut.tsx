import { scatter, seeded } from '../random';
import { blob, dots, edge, type Layer, many } from './brush';

/** What is missing from the leaf: each shape is cut out of it, and its edge drawn with the leaf's own line. */
export const cut: Record<string, Layer> = {
  'eaten-margin': (s, a, leaf) => {
    const R = seeded(s);
    return edge(leaf, Math.round(12 * a)).map((p, i) => <path key={i} d={blob(p, 15 + R() * 17, s + i, 0.35, 12)} />);
  },
  notches: (s, a, leaf) => {
    const R = seeded(s);
    return edge(leaf, Math.round(22 * a)).map((p, i) => <circle key={i} cx={p.x} cy={p.y} r={5 + R() * 4} />);
  },
  'half-circles': (s, a, leaf) => {
    const R = seeded(s);
    return edge(leaf, Math.round(7 * a)).map((p, i) => <circle key={i} cx={p.x} cy={p.y} r={15 + R() * 4} />);
  },
  'shot-holes': many(26, (p) => <circle cx={p.x} cy={p.y} r={3 + p.r * 4} />),
  'ragged-holes': many(6, (p, i, s) => <path d={blob(p, 13 + p.r * 12, s + i, 0.7, 10)} />),
  skeletonised: many(40, (p) => <rect x={p.x - 6} y={p.y - 6} width={8 + p.r * 6} height={8 + p.r * 6} rx="2" />),
  tears: (s, a) =>
    dots(scatter(s, Math.round(7 * a), 36, 40, 164, 240), (p) => (
      <path d={`M${p.x - 14} ${p.y - 16} l12 14 l-5 6 l17 16 l-8 -18 l6 -5 z`} />
    )),
  'strap-leaf': () => (
    <path d="M-10 -10 H82 C68 90 68 190 84 290 H-10 Z M210 -10 H118 C132 90 132 190 116 290 H210 Z" />
  ),
  'fern-leaf': () => (
    <path d="M-10 -10 H78 L84 60 L60 92 L82 122 L58 160 L82 196 L70 290 H-10 Z M210 -10 H122 L116 60 L140 92 L118 122 L142 160 L118 196 L130 290 H210 Z" />
  ),
  curl: () => <path d="M-10 -10 H58 C34 70 34 190 62 290 H-10 Z M210 -10 H142 C166 70 166 190 138 290 H210 Z" />,
  twisted: () => (
    <path d="M-10 -10 H70 C40 60 96 110 62 160 C36 200 40 240 60 290 H-10 Z M210 -10 H132 C150 70 116 110 150 150 C174 190 140 240 132 290 H210 Z" />
  ),
  'curl-tips': () => (
    <path d="M-10 -10 H96 C56 20 56 70 88 96 C40 100 20 60 -10 60 Z M210 -10 H150 C160 30 150 60 210 70 Z" />
  ),
  'narrow-white': () => (
    <path d="M-10 -10 H88 C78 90 78 190 90 290 H-10 Z M210 -10 H112 C122 90 122 190 110 290 H210 Z" />
  ),
  'bare-fern': many(34, (p, i) => <rect x={p.x - 20} y={p.y - 5} width="34" height="10" rx="3" key={i} />),
  tattered: many(9, (p, i, s) => <path d={blob(p, 8 + p.r * 12, s + i, 0.9, 7)} />),
};
