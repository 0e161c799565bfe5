import { scatter, seeded } from '../random';
import { has, line, type PartProps, type Sign, Signs } from './brush';
import { wider } from './wider';

export const flowerWords: Record<string, Sign> = {
  ...wider.flower,
  'petal-specks': (s) => {
    const R = seeded(s);
    return Array.from({ length: 56 }, (_, i) => {
      const a = ((i % 7) * 2 * Math.PI) / 7 - Math.PI / 2 + (R() - 0.5) * 0.36;
      const r = 26 + R() * 44;
      return <circle key={i} cx={100 + Math.cos(a) * r} cy={118 + Math.sin(a) * r} r={2 + R() * 2} fill="#7a4a22" />;
    });
  },
  'petal-streaks': (s) =>
    scatter(s, 16, 40, 56, 160, 184).map((p, i) => (
      <path key={i} d={`M${p.x} ${p.y} l${10 * (p.r - 0.5)} 14`} stroke="#fff" strokeWidth="4" strokeLinecap="round" />
    )),
  mould: (s) =>
    scatter(s, 60, 40, 60, 160, 180).map((p, i) => (
      <path key={i} d={`M${p.x} ${p.y} v-7`} stroke="#8f8f86" strokeWidth="1.6" />
    )),
  'ragged-petals': () => (
    <g fill="var(--sheet)" {...line} strokeWidth={1.4}>
      <path d="M84 34 l10 14 l6 -10 l8 14 l8 -16 l4 -16 h-36 z M168 76 l-16 6 l4 8 l-14 4 l10 8 l24 -6 z M34 96 l14 2 l-2 9 l13 4 l-9 9 l-24 -4 z M128 196 l-8 -14 l-8 6 l-4 -14 l-10 12 l6 22 z" />
    </g>
  ),
  'green-petals': () => (
    <g>
      {Array.from({ length: 9 }, (_, i) => (
        <path
          key={i}
          d="M100 116 C88 100 88 74 100 60 C112 74 112 100 100 116 Z"
          transform={`rotate(${40 * i + 10} 100 118)`}
          fill="var(--leaf)"
          {...line}
          strokeWidth={1.4}
        />
      ))}
      {[88, 96, 104, 112].map((x) => (
        <path
          key={x}
          d={`M${x} 118 q${(x - 100) / 2} -40 ${(x - 100) * 1.6} -70`}
          stroke="var(--leaf-line)"
          strokeWidth="3"
          fill="none"
        />
      ))}
    </g>
  ),
};

export function Flower({ d, seed, children }: PartProps) {
  const limp = has(d, 'petal-specks') && d.colour === 'brown';
  return (
    <g>
      <path
        d="M100 278 C100 230 99 190 100 150"
        fill="none"
        stroke="var(--leaf-line)"
        strokeWidth="6"
        strokeLinecap="round"
      />
      {Array.from({ length: 7 }, (_, i) => (
        <path
          key={i}
          d={
            limp
              ? 'M100 118 C84 106 78 84 88 62 C104 58 118 84 112 112 Z'
              : 'M100 118 C78 92 80 56 100 34 C120 56 122 92 100 118 Z'
          }
          transform={`rotate(${(360 / 7) * i} 100 118)`}
          fill={d.colour === 'brown' ? '#b08a63' : d.colour === 'green' ? '#a9c27c' : '#d98fb0'}
          {...line}
          strokeWidth={1.6}
        />
      ))}
      <circle cx="100" cy="118" r="18" fill="#e4b93a" {...line} />
      <Signs d={d} seed={seed} words={flowerWords} />
      {children}
    </g>
  );
}
