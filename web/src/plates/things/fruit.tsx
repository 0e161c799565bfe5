import { scatter } from '../random';
import { line, type PartProps, type Sign, Signs } from './brush';
import { wider } from './wider';

const over = (s: number, n: number) => scatter(s, n, 46, 90, 154, 226);

export const fruitWords: Record<string, Sign> = {
  ...wider.fruit,
  'blossom-end': () => (
    <g>
      <path
        d="M52 206 C62 184 138 184 148 206 C134 244 114 254 100 254 C86 254 66 244 52 206 Z"
        fill="#33231a"
        stroke="#1c120c"
        strokeWidth="2"
      />
      <path d="M66 210 q34 -12 68 0 M74 226 q26 -8 52 0" fill="none" stroke="#6b5546" strokeWidth="2" />
    </g>
  ),
  cracks: () => (
    <path
      d="M70 80 C60 110 60 140 66 170 M132 80 C142 110 144 140 136 176 M100 92 C98 120 102 150 100 178"
      fill="none"
      stroke="#5d1d12"
      strokeWidth="5"
      strokeLinecap="round"
    />
  ),
  'cat-face': () => (
    <path
      d="M64 208 C78 184 92 226 100 196 C108 230 124 184 138 210 M80 234 q20 -14 40 0 M100 196 V150"
      fill="none"
      stroke="#6b4a2a"
      strokeWidth="7"
      strokeLinecap="round"
    />
  ),
  sunscald: () => (
    <path
      d="M114 92 C154 96 168 130 156 164 C134 178 108 152 108 126 C106 108 108 98 114 92 Z"
      fill="#f1e6c8"
      stroke="#b9a274"
      strokeWidth="2"
    />
  ),
  dimples: (s) =>
    over(s, 14).map((p, i) => (
      <g key={i}>
        <circle cx={p.x} cy={p.y} r="6" fill="#f0d27a" />
        <circle cx={p.x} cy={p.y} r="1.8" fill="#5d1d12" />
      </g>
    )),
  scab: (s) =>
    over(s, 8).map((p, i) => (
      <g key={i}>
        <circle cx={p.x} cy={p.y} r={8 + p.r * 6} fill="#4d4a2f" stroke="#2b2a18" strokeWidth="1.6" />
        <path d={`M${p.x - 6} ${p.y} h12 M${p.x} ${p.y - 6} v12`} stroke="#8a8460" strokeWidth="1.2" />
      </g>
    )),
  'fruit-rot': () => (
    <g>
      <path d="M60 130 C56 190 96 226 130 200 C150 170 120 110 90 108 C72 108 62 116 60 130 Z" fill="#7a4a26" />
      {[0, 1, 2].map((k) =>
        Array.from({ length: 9 }, (_, i) => (
          <circle
            key={`${k}${i}`}
            cx={98 + (14 + k * 14) * Math.cos(i * 0.7)}
            cy={160 + (12 + k * 13) * Math.sin(i * 0.7)}
            r="3.4"
            fill="#e9dcc0"
          />
        )),
      )}
    </g>
  ),
  'grub-hole': () => (
    <g>
      <path
        d="M100 66 C128 96 132 130 128 150"
        stroke="#6b3d18"
        strokeWidth="9"
        fill="none"
        strokeLinecap="round"
        opacity=".8"
      />
      <circle cx="128" cy="152" r="10" fill="#3b1d10" />
      <path d="M128 162 q6 12 -2 22" stroke="#6b3d18" strokeWidth="6" fill="none" />
    </g>
  ),
  pits: (s) =>
    scatter(s, 18, 50, 120, 150, 232).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r="4.6" fill="#6b3d22" stroke="#3b1d10" strokeWidth="1" />
    )),
  rings: () =>
    [
      [74, 130],
      [122, 170],
    ].map(([x, y]) => (
      <g key={x}>
        {[18, 12, 6].map((r) => (
          <circle key={r} cx={x} cy={y} r={r} fill="none" stroke="#f0d27a" strokeWidth="3" />
        ))}
      </g>
    )),
  'brown-wrinkles': (s) => (
    <g>
      <path
        d="M52 120 C60 100 96 108 96 136 C92 168 58 160 52 120 Z M108 150 C124 138 150 152 146 180 C134 204 108 188 108 150 Z"
        fill="#8a5a34"
        opacity=".9"
      />
      {over(s, 18).map((p, i) => (
        <path key={i} d={`M${p.x - 8} ${p.y} q4 -5 8 0 t8 0`} stroke="#4d2c17" strokeWidth="2" fill="none" />
      ))}
    </g>
  ),
  'fruit-mould': (s) =>
    scatter(s, 80, 60, 110, 150, 220).map((p, i) => (
      <path key={i} d={`M${p.x} ${p.y} v-8`} stroke="#8f8f86" strokeWidth="2" />
    )),
  'stalk-target': () => (
    <g>
      {[26, 19, 12, 6].map((r, i) => (
        <ellipse key={r} cx="100" cy="86" rx={r * 1.3} ry={r} fill={i % 2 ? '#5a3a22' : '#2f1d12'} />
      ))}
    </g>
  ),
};

/** A tomato, an apple or a citrus fruit. */
export function Fruit({ d, seed, children }: PartProps) {
  const apple = d.form === 'apple';
  const fill = d.form === 'citrus' ? '#e8a62f' : apple ? '#c9553a' : d.colour === 'green' ? '#8fb04c' : '#d9472f';
  return (
    <g>
      <path
        d={
          apple
            ? 'M100 76 C124 50 178 58 182 120 C186 186 140 254 116 254 C108 254 106 248 100 248 C94 248 92 254 84 254 C60 254 14 186 18 120 C22 58 76 50 100 76 Z'
            : 'M100 60 C150 44 186 92 178 150 C170 216 134 252 100 252 C66 252 30 216 22 150 C14 92 50 44 100 60 Z'
        }
        fill={fill}
        {...line}
      />
      {apple ? (
        <g>
          <path d="M100 78 C100 60 104 44 110 30" fill="none" stroke="#6b4a2a" strokeWidth="6" strokeLinecap="round" />
          <path
            d="M108 46 C124 26 150 28 160 40 C146 56 122 58 108 46 Z"
            fill="var(--leaf)"
            {...line}
            strokeWidth={1.6}
          />
          <path d="M40 110 C42 90 56 80 70 80" stroke="#f2b9a4" strokeWidth="6" fill="none" strokeLinecap="round" />
        </g>
      ) : (
        <path
          d="M100 62 V26 M100 62 C84 50 70 50 58 58 M100 62 C116 50 130 50 142 58 M100 62 C90 70 84 76 82 84 M100 62 C110 70 116 76 118 84"
          fill="none"
          stroke="var(--leaf-line)"
          strokeWidth="5"
          strokeLinecap="round"
        />
      )}
      <Signs d={d} seed={seed} words={fruitWords} />
      {children}
    </g>
  );
}
