import type { ReactNode } from 'react';
import type { Drawing } from './bodies';
import { scatter, seeded } from './random';

const has = (d: Drawing, k: string) => Array.isArray(d.damage) && d.damage.includes(k);
const line = {
  stroke: 'var(--ink)',
  strokeWidth: 2,
  strokeLinejoin: 'round' as const,
  strokeLinecap: 'round' as const,
};

/** A pot cut open, roots to be seen, in the 200 by 280 box. */
export function Root({ d, seed }: { d: Drawing; seed: number }) {
  const rotten = has(d, 'rotten-roots') || d.roots === 'brown';
  const R = seeded(seed);
  const chewed = has(d, 'chewed-roots');
  const n = chewed ? 7 : 13;
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
      {rotten &&
        scatter(seed, 10, 60, 130, 140, 240).map((p, i) => (
          <circle key={i} cx={p.x} cy={p.y} r={3 + p.r * 3} fill="#241811" opacity=".8" />
        ))}
      {has(d, 'root-wool') &&
        scatter(seed, 26, 56, 116, 144, 240).map((p, i) => (
          <circle key={i} cx={p.x} cy={p.y} r={4 + p.r * 4} fill="#f4f8fb" stroke="#aebcc4" strokeWidth=".9" />
        ))}
      {has(d, 'root-galls') &&
        scatter(seed, 16, 60, 120, 140, 236).map((p, i) => (
          <circle key={i} cx={p.x} cy={p.y} r={6 + p.r * 6} fill="#efe2c4" stroke="#8a7448" strokeWidth="1.4" />
        ))}
      {has(d, 'circling-roots') &&
        [120, 150, 180, 210, 240].map((y) => (
          <path
            key={y}
            d={`M${40 + (y - 100) * 0.09} ${y} Q100 ${y + 26} ${160 - (y - 100) * 0.09} ${y}`}
            fill="none"
            stroke="#f6efdf"
            strokeWidth="5"
          />
        ))}
      {has(d, 'waterlogged') && (
        <path d="M36 130 Q68 122 100 130 T164 130 L152 262 H48 Z" fill="#6f9db0" opacity=".45" />
      )}
    </g>
  );
}

export function Stem({ d, seed, children }: { d: Drawing; seed: number; children?: ReactNode }) {
  const woody = '#a58a66';
  return (
    <g>
      <path
        d="M86 280 C82 200 90 100 84 6 H114 C120 100 112 200 118 280 Z"
        fill={has(d, 'green-stem') ? 'var(--leaf)' : woody}
        {...line}
      />
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
      {has(d, 'bark-galls') &&
        scatter(seed, 5, 86, 40, 114, 250).map((p, i) => (
          <circle key={i} cx={p.x} cy={p.y} r={9 + p.r * 5} fill="#8a6b48" {...line} strokeWidth={1.4} />
        ))}
      {has(d, 'canker') && (
        <path
          d="M90 100 C82 130 86 170 96 188 C110 172 114 130 104 98 Z"
          fill="#4d2c1c"
          stroke="#2a150b"
          strokeWidth="2"
        />
      )}
      {has(d, 'coral-dots') &&
        scatter(seed, 34, 88, 30, 112, 260).map((p, i) => (
          <circle key={i} cx={p.x} cy={p.y} r={2.6 + p.r * 1.6} fill="#e46a4a" stroke="#9d3118" strokeWidth=".8" />
        ))}
      {has(d, 'brown-ring') && (
        <g>
          <ellipse cx="100" cy="10" rx="16" ry="6" fill="#efe6cf" {...line} />
          <ellipse cx="100" cy="10" rx="10" ry="3.6" fill="none" stroke="#6b3d18" strokeWidth="3.4" />
        </g>
      )}
      {has(d, 'wet-stem') && (
        <path d="M86 210 C84 240 84 262 86 280 H118 C116 262 114 240 116 210 Z" fill="#2f2a20" opacity=".85" />
      )}
      {has(d, 'crown-gall') && (
        <path
          d="M84 236 C60 226 56 262 80 270 C98 284 136 276 132 254 C136 230 112 228 100 238 Z"
          fill="#b08b5f"
          {...line}
        />
      )}
      {has(d, 'mould') &&
        scatter(seed, 40, 84, 150, 118, 270).map((p, i) => (
          <circle key={i} cx={p.x} cy={p.y} r={3 + p.r * 3} fill="#f4f4ee" stroke="#b6b8ae" strokeWidth=".8" />
        ))}
      {children}
    </g>
  );
}

export function Fruit({ d, seed }: { d: Drawing; seed: number }) {
  const fill = d.colour === 'green' ? '#8fb04c' : '#d9472f';
  return (
    <g>
      <path
        d="M100 60 C150 44 186 92 178 150 C170 216 134 252 100 252 C66 252 30 216 22 150 C14 92 50 44 100 60 Z"
        fill={fill}
        {...line}
      />
      <path
        d="M100 62 V26 M100 62 C84 50 70 50 58 58 M100 62 C116 50 130 50 142 58 M100 62 C90 70 84 76 82 84 M100 62 C110 70 116 76 118 84"
        fill="none"
        stroke="var(--leaf-line)"
        strokeWidth="5"
        strokeLinecap="round"
      />
      {has(d, 'blossom-end') && (
        <path
          d="M56 216 C62 190 138 190 144 216 C130 246 112 252 100 252 C88 252 70 246 56 216 Z"
          fill="#33231a"
          stroke="#1c120c"
          strokeWidth="2"
        />
      )}
      {has(d, 'cracks') && (
        <path
          d="M70 80 C60 110 60 140 66 170 M132 80 C142 110 144 140 136 176 M100 92 C98 120 102 150 100 178"
          fill="none"
          stroke="#5d1d12"
          strokeWidth="5"
          strokeLinecap="round"
        />
      )}
      {has(d, 'cat-face') && (
        <path
          d="M70 214 C80 190 92 226 100 200 C108 230 122 188 132 216 M84 236 q16 -12 34 0"
          fill="none"
          stroke="#6b4a2a"
          strokeWidth="7"
          strokeLinecap="round"
        />
      )}
      {has(d, 'sunscald') && (
        <path
          d="M118 96 C150 100 162 130 152 158 C134 170 112 150 112 126 C110 110 112 100 118 96 Z"
          fill="#f1e6c8"
          stroke="#b9a274"
          strokeWidth="2"
        />
      )}
      {has(d, 'dimples') &&
        scatter(seed, 14, 46, 90, 154, 226).map((p, i) => (
          <g key={i}>
            <circle cx={p.x} cy={p.y} r="6" fill="#f0d27a" />
            <circle cx={p.x} cy={p.y} r="1.8" fill="#5d1d12" />
          </g>
        ))}
      {has(d, 'scab') &&
        scatter(seed, 8, 46, 90, 154, 226).map((p, i) => (
          <circle key={i} cx={p.x} cy={p.y} r={8 + p.r * 6} fill="#4d4a2f" stroke="#2b2a18" strokeWidth="1.6" />
        ))}
      {has(d, 'fruit-rot') && (
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
      )}
      {has(d, 'grub-hole') && (
        <g>
          <circle cx="128" cy="150" r="10" fill="#3b1d10" />
          <path d="M128 160 q6 14 -2 22" stroke="#6b3d18" strokeWidth="6" fill="none" />
        </g>
      )}
      {has(d, 'pits') &&
        scatter(seed, 16, 50, 90, 150, 226).map((p, i) => <circle key={i} cx={p.x} cy={p.y} r="5" fill="#6b3d22" />)}
      {has(d, 'rings') &&
        [
          [74, 130],
          [122, 170],
        ].map(([x, y]) => (
          <g key={x}>
            {[18, 12, 6].map((r) => (
              <circle key={r} cx={x} cy={y} r={r} fill="none" stroke="#f0d27a" strokeWidth="3" />
            ))}
          </g>
        ))}
    </g>
  );
}

export function Flower({ d, seed }: { d: Drawing; seed: number }) {
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
          d="M100 118 C78 92 80 56 100 34 C120 56 122 92 100 118 Z"
          transform={`rotate(${(360 / 7) * i} 100 118)`}
          fill={d.colour === 'brown' ? '#b08a63' : '#d98fb0'}
          {...line}
          strokeWidth={1.6}
        />
      ))}
      <circle cx="100" cy="118" r="18" fill="#e4b93a" {...line} />
      {has(d, 'petal-specks') &&
        scatter(seed, 46, 30, 48, 170, 190).map((p, i) => (
          <circle key={i} cx={p.x} cy={p.y} r={2.4 + p.r * 2} fill="#8a5a2b" />
        ))}
      {has(d, 'petal-streaks') &&
        scatter(seed, 16, 40, 56, 160, 184).map((p, i) => (
          <path
            key={i}
            d={`M${p.x} ${p.y} l${10 * (p.r - 0.5)} 14`}
            stroke="#fff"
            strokeWidth="4"
            strokeLinecap="round"
          />
        ))}
      {has(d, 'mould') &&
        scatter(seed, 60, 40, 60, 160, 180).map((p, i) => (
          <path key={i} d={`M${p.x} ${p.y} v-7`} stroke="#8f8f86" strokeWidth="1.6" />
        ))}
    </g>
  );
}

export function Pot({ d, seed }: { d: Drawing; seed: number }) {
  return (
    <g>
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
      <path d="M36 168 H164 L150 270 H50 Z" fill="#b8714c" {...line} />
      <path d="M28 148 H172 V172 H28 Z" fill="#c98560" {...line} />
      <ellipse cx="100" cy="149" rx="66" ry="10" fill="#5d4a38" {...line} />
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
      {d.crust === 'rim' &&
        scatter(seed, 30, 28, 146, 172, 174).map((p, i) => (
          <circle key={i} cx={p.x} cy={p.y} r={3 + p.r * 4} fill="#f4f1e8" stroke="#bdb7a6" strokeWidth="1" />
        ))}
      {has(d, 'toadstools') &&
        [70, 126].map((x) => (
          <g key={x}>
            <path d={`M${x} 148 v-22`} stroke="#f2e3b0" strokeWidth="6" />
            <path
              d={`M${x - 16} 128 C${x - 14} 108 ${x + 14} 108 ${x + 16} 128 Z`}
              fill="#d9a441"
              {...line}
              strokeWidth={1.6}
            />
          </g>
        ))}
      {has(d, 'slime') && (
        <path
          d="M44 150 C60 130 80 146 96 138 C118 128 140 150 158 144 C150 158 60 160 44 150 Z"
          fill="#e9d46a"
          {...line}
          strokeWidth={1.4}
        />
      )}
      {has(d, 'collapsed') && (
        <path
          d="M70 146 C80 130 96 138 112 142 M120 148 C130 136 144 140 152 146"
          stroke="#8aa46a"
          strokeWidth="4"
          fill="none"
        />
      )}
    </g>
  );
}

export function Plant({ d, seed }: { d: Drawing; seed: number }) {
  const wilt = d.posture === 'wilted';
  const R = seeded(seed);
  const fill = has(d, 'even-yellow') ? '#d8c65a' : 'var(--leaf)';
  const tip = (x: number, y: number, a: number, s = 1) => (
    <g key={`${x}${y}`} transform={`translate(${x} ${y}) rotate(${a}) scale(${s})`}>
      <path d="M0 0 C-22 -14 -20 -50 0 -66 C20 -50 22 -14 0 0 Z" fill={fill} {...line} strokeWidth={1.7} />
      <path d="M0 0 V-58" stroke="var(--vein)" strokeWidth="1.6" />
      {has(d, 'edge-burn') && <path d="M-8 -58 C-22 -44 -20 -20 -4 -6 C-12 -24 -12 -42 0 -60 Z" fill="#8a5a2b" />}
    </g>
  );
  const list = wilt
    ? [
        [70, 120, -150],
        [132, 124, 150],
        [58, 170, -160],
        [142, 172, 164],
        [100, 84, 176],
      ]
    : [
        [72, 130, -58],
        [128, 128, 58],
        [66, 180, -72],
        [134, 178, 72],
        [100, 92, 0],
        [84, 100, -28],
        [116, 100, 28],
      ];
  return (
    <g>
      <path
        d={wilt ? 'M100 236 C100 180 98 120 104 84' : 'M100 236 C100 180 100 130 100 70'}
        fill="none"
        stroke="var(--leaf-line)"
        strokeWidth="6"
        strokeLinecap="round"
      />
      {list.map(([x, y, a]) => tip(x as number, y as number, (a as number) + (R() - 0.5) * 10))}
      <path d="M54 228 H146 L136 276 H64 Z" fill="#b8714c" {...line} />
      <ellipse
        cx="100"
        cy="229"
        rx="44"
        ry="7"
        fill={d.soil === 'dry' ? '#cdb08a' : '#4d3c2d'}
        {...line}
        strokeWidth={1.5}
      />
      {d.soil === 'dry' && <path d="M74 229 l12 2 l8 -4 l14 4 l14 -2" fill="none" stroke="#7a5f3f" strokeWidth="1.6" />}
    </g>
  );
}
