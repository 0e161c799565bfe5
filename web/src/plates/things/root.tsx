import { Body } from '../bodies';
import { scatter, seeded } from '../random';
import { has, line, type PartProps, type Sign, Signs } from './brush';
import { wider } from './wider';

const at = (seed: number, n: number) => scatter(seed, n, 58, 118, 142, 238);

export const rootWords: Record<string, Sign> = {
  ...wider.root,
  'rotten-roots': (s) =>
    at(s, 12).map((p, i) => <circle key={i} cx={p.x} cy={p.y} r={3 + p.r * 4} fill="#241811" opacity=".8" />),
  'chewed-roots': (s) =>
    at(s + 1, 7).map((p, i) => (
      <path key={i} d={`M${p.x - 5} ${p.y} q5 -6 10 0`} stroke="#3b2413" strokeWidth="3" fill="none" />
    )),
  'root-wool': (s) =>
    at(s, 26).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={4 + p.r * 4} fill="#f4f8fb" stroke="#aebcc4" strokeWidth=".9" />
    )),
  'root-galls': (s) =>
    at(s, 14).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r={5 + p.r * 5} fill="#efe2c4" stroke="#8a7448" strokeWidth="1.4" />
    )),
  beads: (s) =>
    at(s + 4, 20).map((p, i) => (
      <ellipse
        key={i}
        cx={p.x}
        cy={p.y}
        rx={4 + p.r * 5}
        ry={6 + p.r * 4}
        fill="#d9c08a"
        stroke="#6d5637"
        strokeWidth="1.4"
      />
    )),
  'pink-beads': (s) =>
    at(s + 4, 22).map((p, i) => (
      <g key={i}>
        <circle cx={p.x} cy={p.y} r={4 + p.r * 3} fill="#f0c7bd" stroke="#a5605a" strokeWidth="1.2" />
        <circle cx={p.x} cy={p.y} r="1.8" fill="#c9544e" />
      </g>
    )),
  clubs: () => (
    <g fill="#e3cfa0" {...line} strokeWidth={1.6}>
      <path d="M96 104 C76 120 56 150 62 196 C66 222 92 222 94 196 C96 170 104 140 100 112 Z" />
      <path d="M104 104 C122 118 146 150 140 200 C136 226 112 224 110 198 C108 170 98 140 102 112 Z" />
    </g>
  ),
  'circling-roots': () =>
    [120, 150, 180, 210, 240].map((y) => (
      <path
        key={y}
        d={`M${40 + (y - 100) * 0.09} ${y} Q100 ${y + 26} ${160 - (y - 100) * 0.09} ${y}`}
        fill="none"
        stroke="#f6efdf"
        strokeWidth="5"
      />
    )),
  waterlogged: () => <path d="M36 130 Q68 122 100 130 T164 130 L152 262 H48 Z" fill="#6f9db0" opacity=".45" />,
  notches: () => (
    <g fill="var(--sheet)" {...line} strokeWidth={1.4}>
      <circle cx="82" cy="30" r="4" />
      <circle cx="64" cy="24" r="4" />
      <circle cx="118" cy="40" r="4" />
      <circle cx="136" cy="32" r="4" />
      <circle cx="94" cy="20" r="4" />
    </g>
  ),
  rusty: (s) => {
    const R = seeded(s);
    return Array.from({ length: 7 }, (_, i) => (
      <path
        key={i}
        d={`M${86 + R() * 26} ${110 + i * 18} q${10 - R() * 20} 8 ${14 - R() * 28} 18`}
        stroke="#8a3a14"
        strokeWidth="4.4"
        fill="none"
        strokeLinecap="round"
      />
    ));
  },
  'white-maggots': (s) =>
    at(s + 9, 9).map((p, i) => (
      <path
        key={i}
        d={`M${p.x - 7} ${p.y} q7 -7 14 1`}
        stroke="#fffdf2"
        strokeWidth="5"
        fill="none"
        strokeLinecap="round"
      />
    )),
  'big-grub': () => (
    <g transform="translate(74 150) scale(.56)">
      <path d="M10 40 C10 10 90 10 92 42 C90 66 12 66 10 40 Z" fill="#e8d8b0" {...line} strokeWidth={3} />
      {[26, 42, 58, 74].map((x) => (
        <path key={x} d={`M${x} 20 q-6 20 0 40`} fill="none" {...line} strokeWidth={2} />
      ))}
    </g>
  ),
  pinheads: (s) =>
    scatter(s, 40, 62, 196, 138, 240).map((p, i) => <circle key={i} cx={p.x} cy={p.y} r="2.2" fill="#16120e" />),
  'slime-rot': (s) => (
    <g>
      <path
        d="M56 150 C70 128 130 128 146 152 C150 200 128 240 100 240 C72 240 50 200 56 150 Z"
        fill="#5a4a2c"
        opacity=".75"
      />
      {scatter(s, 8, 60, 216, 140, 250).map((p, i) => (
        <path
          key={i}
          d={`M${p.x} ${p.y} q3 12 0 20`}
          stroke="#8a7a4a"
          strokeWidth="5"
          fill="none"
          strokeLinecap="round"
        />
      ))}
    </g>
  ),
  'bulb-pearls': (s) =>
    scatter(s, 30, 64, 150, 136, 230).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r="3" fill="#fdfdf6" stroke="#9a9484" strokeWidth="1" />
    )),
};

/** A pot cut open with its roots, a bulb cut through, or a carrot. */
export function Root({ d, seed, children }: PartProps) {
  if (d.form === 'bulb') return <Bulb d={d} seed={seed} />;
  if (d.form === 'carrot') return <Carrot d={d} seed={seed} />;
  const rotten = has(d, 'rotten-roots') || d.roots === 'brown';
  const R = seeded(seed);
  const chewed = has(d, 'chewed-roots');
  const n = chewed ? 7 : has(d, 'clubs') ? 4 : 13;
  return (
    <g>
      <path d="M34 96 H166 L152 262 H48 Z" fill={rotten ? '#5a4a3c' : '#8b6f52'} {...line} />
      <path d="M28 78 H172 V98 H28 Z" fill="#b8714c" {...line} />
      <path
        d="M100 92 C98 60 102 40 100 12 M100 50 C84 44 76 30 72 18 M100 60 C118 52 126 40 130 24"
        fill="none"
        stroke="var(--leaf-line)"
        strokeWidth="5"
        strokeLinecap="round"
      />
      <path
        d="M100 12 C86 6 86 -8 98 -14 C112 -6 114 6 100 12 Z M72 18 C58 22 48 14 50 2 C64 0 74 8 72 18 Z M130 24 C144 28 154 18 152 8 C138 6 128 12 130 24 Z"
        fill="var(--leaf)"
        {...line}
        strokeWidth={1.6}
      />
      {Array.from({ length: n }, (_, i) => {
        const x = 60 + (80 / n) * i + R() * 6;
        const l = chewed ? 24 + R() * 26 : 90 + R() * 56;
        return (
          <path
            key={i}
            d={`M100 98 C${x} 120 ${x + 10 * (R() - 0.5)} ${110 + l * 0.5} ${x + 8 * (R() - 0.5)} ${104 + l}`}
            fill="none"
            stroke={rotten ? '#2f2018' : '#f6efdf'}
            strokeWidth={rotten ? 4.4 : 3}
            strokeLinecap="round"
          />
        );
      })}
      <Signs d={d} seed={seed} words={rootWords} />
      {children}
    </g>
  );
}

function Bulb({ d, seed }: PartProps) {
  return (
    <g>
      <path
        d="M88 96 C84 60 78 34 70 8 M100 94 C100 60 100 34 102 2 M112 96 C118 62 126 38 136 12"
        stroke="var(--leaf-line)"
        strokeWidth="11"
        fill="none"
        strokeLinecap="round"
      />
      <path
        d="M88 96 C84 60 78 34 70 8 M100 94 C100 60 100 34 102 2 M112 96 C118 62 126 38 136 12"
        stroke="var(--leaf)"
        strokeWidth="7"
        fill="none"
        strokeLinecap="round"
      />
      <path
        d="M84 92 C56 116 40 156 52 200 C60 228 80 240 100 242 C120 240 140 228 148 200 C160 156 144 116 116 92 Z"
        fill="#c78f4e"
        {...line}
      />
      <path
        d="M86 104 C64 126 54 160 62 196 C70 222 84 232 100 234 C116 232 130 222 138 196 C146 160 136 126 114 104 Z"
        fill="#f6efdf"
        {...line}
        strokeWidth={1.4}
      />
      <path
        d="M92 110 C78 136 74 176 88 224 M108 110 C122 136 126 176 112 224 M100 108 V230"
        fill="none"
        stroke="#c9b58c"
        strokeWidth="2"
      />
      {[70, 84, 100, 116, 130].map((x) => (
        <path key={x} d={`M${x} 236 q-3 14 ${(x - 100) / 5} 30`} stroke="#e8d9b5" strokeWidth="3.4" fill="none" />
      ))}
      <Signs d={d} seed={seed} words={rootWords} />
      {typeof d.body === 'string' && d.body === 'mite' && (
        <g transform="translate(118 60) scale(.3)">
          <Body d={d} />
        </g>
      )}
    </g>
  );
}

function Carrot({ d, seed }: PartProps) {
  return (
    <g>
      <path
        d="M100 84 C96 50 84 24 70 6 M100 84 C100 50 102 24 104 0 M100 84 C106 52 122 28 136 12"
        fill="none"
        stroke="var(--leaf-line)"
        strokeWidth="6"
        strokeLinecap="round"
      />
      {[70, 104, 136].map((x, i) => (
        <path
          key={x}
          d={`M${x} ${6 + i * 2} q-14 4 -16 16 M${x} ${10 + i * 2} q14 6 14 18`}
          stroke="var(--leaf)"
          strokeWidth="6"
          fill="none"
        />
      ))}
      <path d="M64 90 C80 76 120 76 136 90 C140 130 118 220 100 270 C82 220 60 130 64 90 Z" fill="#e2893a" {...line} />
      {[112, 140, 170, 200].map((y, i) => (
        <path
          key={y}
          d={`M${78 + i * 4} ${y} q${18 - i * 3} 6 ${34 - i * 7} 0`}
          stroke="#b8641f"
          strokeWidth="1.8"
          fill="none"
        />
      ))}
      <Signs d={d} seed={seed} words={rootWords} />
    </g>
  );
}
