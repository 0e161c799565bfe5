import type { ReactNode } from 'react';
import { by3, type P, ring, xy } from '../kit/geo';
import type { PartProps } from './brush';

/** A fruit: its outline, its colour unripe and ripe, where its middle is and how far it reaches. */
type Form = {
  path: string;
  tone: string;
  green?: string;
  c: P;
  rx: number;
  ry: number;
  calyx?: ReactNode;
  face?: ReactNode;
  globes?: readonly (readonly [number, number, number])[];
};

const stalk = (d: string) => <path d={d} fill="none" stroke="#6b5a34" strokeWidth="5" strokeLinecap="round" />;

const star = (x: number, y: number, r: number) => (
  <g>
    <path
      d={ring(
        Array.from({ length: 10 }, (_, i): P => {
          const a = (i / 10) * 6.283 - 1.57;
          const q = i % 2 ? r * 0.34 : r;
          return [x + Math.cos(a) * q, y + Math.sin(a) * q * 0.62];
        }),
      )}
      fill="var(--leaf)"
      stroke="var(--leaf-line)"
      strokeWidth="1.2"
    />
    <path d={`M${x} ${y}V${y - 26}`} stroke="var(--leaf-line)" strokeWidth="4.4" strokeLinecap="round" />
  </g>
);

export const round = (rx: number, ry: number, cy = 164): string =>
  `M100 ${cy - ry}C${100 + rx * 0.7} ${cy - ry * 1.05} ${100 + rx} ${cy - ry * 0.4} ${100 + rx} ${cy}C${100 + rx} ${cy + ry * 0.66} ${100 + rx * 0.52} ${cy + ry} 100 ${cy + ry}C${100 - rx * 0.52} ${cy + ry} ${100 - rx} ${cy + ry * 0.66} ${100 - rx} ${cy}C${100 - rx} ${cy - ry * 0.4} ${100 - rx * 0.7} ${cy - ry * 1.05} 100 ${cy - ry}Z`;

const globesOf = (list: readonly (readonly [number, number, number])[]) =>
  list.map(([x, y, r]) => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0-${2 * r} 0`).join('');

const bunch = by3('84 96 19, 116 96 19, 66 124 19, 100 122 20, 134 124 19, 80 152 19, 118 152 20, 98 178 19, 124 180 17, 84 204 17, 106 208 17, 98 234 15');

const drupes = by3(
  '76 112 17, 102 104 17, 128 112 17, 62 140 17, 90 134 18, 118 134 18, 142 140 16, 70 168 17, 100 164 18, 130 168 17, 82 196 17, 112 196 17, 98 222 15',
);

const few = by3('70 120 24, 124 112 24, 96 160 26, 142 162 22, 62 184 22, 108 212 22');

const forms: Record<string, Form> = {
  tomato: {
    path: 'M100 84C150 68 186 108 180 160C174 212 138 236 100 236C62 236 26 212 20 160C14 108 50 68 100 84Z',
    tone: '#d8492f',
    green: '#a3bd5c',
    c: [100, 160],
    rx: 78,
    ry: 74,
    calyx: star(100, 86, 36),
  },
  apple: {
    path: 'M100 92C124 66 178 72 182 134C186 196 144 246 118 246C108 246 106 240 100 240C94 240 92 246 82 246C56 246 14 196 18 134C22 72 76 66 100 92Z',
    tone: '#c95f44',
    green: '#b6c768',
    c: [100, 164],
    rx: 80,
    ry: 78,
    calyx: (
      <>
        {stalk('M100 94C100 78 104 62 111 50')}
        <path d="M88 94q12 8 24 0" fill="none" stroke="#6b2a1c" strokeWidth="1.6" />
      </>
    ),
  },
  pear: {
    path: 'M100 60C122 62 118 100 132 124C156 150 170 170 164 202C156 236 128 250 100 250C72 250 44 236 36 202C30 170 44 150 68 124C82 100 78 62 100 60Z',
    tone: '#c9c25e',
    green: '#b1c466',
    c: [100, 186],
    rx: 64,
    ry: 62,
    calyx: stalk('M100 62C99 48 104 36 108 28'),
  },
  plum: {
    path: round(62, 78),
    tone: '#7d4b7a',
    green: '#a9bd6c',
    c: [100, 164],
    rx: 58,
    ry: 72,
    calyx: <>{stalk('M100 88V54')}</>,
    face: <path d="M100 88C82 130 84 200 98 240" fill="none" stroke="#4a2547" strokeWidth="2" opacity=".7" />,
  },
  peach: {
    path: round(74, 76),
    tone: '#e6a25a',
    green: '#b7c46a',
    c: [100, 164],
    rx: 70,
    ry: 72,
    calyx: stalk('M100 90V62'),
    face: <path d="M100 90C78 130 80 204 98 238" fill="none" stroke="#a8562c" strokeWidth="2" />,
  },
  cherry: {
    path: globesOf([
      [68, 186, 44],
      [140, 190, 42],
    ]),
    tone: '#b32b3a',
    green: '#b7c46a',
    c: [68, 186],
    rx: 40,
    ry: 40,
    globes: [
      [68, 186, 44],
      [140, 190, 42],
    ],
    calyx: <path d="M68 144C74 100 92 70 108 40M140 150C132 104 120 72 108 40" fill="none" stroke="#6f8a3c" strokeWidth="3.4" />,
  },
  citrus: {
    path: round(74, 74),
    tone: '#eba733',
    green: '#9fb54c',
    c: [100, 164],
    rx: 72,
    ry: 72,
    calyx: star(100, 92, 16),
  },
  pepper: {
    path: 'M62 96C44 96 34 120 38 156C42 200 56 244 76 246C86 247 92 240 100 242C108 240 114 247 124 246C144 244 158 200 162 156C166 120 156 96 138 96C126 88 112 92 100 96C88 92 74 88 62 96Z',
    tone: '#cf3e2e',
    green: '#7ea341',
    c: [100, 166],
    rx: 58,
    ry: 74,
    calyx: <>{star(100, 94, 26)}</>,
    face: <path d="M84 100C74 140 76 200 84 238M118 100C128 140 126 200 118 238" fill="none" stroke="#6b1d14" strokeWidth="1.6" opacity=".7" />,
  },
  courgette: {
    path: 'M84 60C66 90 62 160 70 214C76 254 124 254 130 214C138 160 134 90 116 60Q100 52 84 60Z',
    tone: '#587f3a',
    c: [100, 164],
    rx: 33,
    ry: 92,
    calyx: <path d="M92 60L90 36H110L108 60Z" fill="#8fae5a" stroke="var(--leaf-line)" strokeWidth="1.4" />,
    face: (
      <path d="M84 70C74 120 76 180 82 230M100 64V244M116 70C126 120 124 180 118 230" fill="none" stroke="#a9c77a" strokeWidth="2.2" strokeDasharray="9 6" />
    ),
  },
  cucumber: {
    path: 'M82 58C70 90 68 170 76 220C82 254 120 254 126 218C134 168 130 90 116 58Q100 50 82 58Z',
    tone: '#4f7a35',
    c: [100, 162],
    rx: 28,
    ry: 92,
    calyx: <path d="M95 56L93 34H105L104 56Z" fill="#8fae5a" stroke="var(--leaf-line)" strokeWidth="1.4" />,
    face: <path d="M84 90h0M112 104h0M92 126h0M118 150h0M84 160h0M104 184h0M90 212h0M116 206h0" stroke="#a9c77a" strokeWidth="5" strokeLinecap="round" />,
  },
  pumpkin: {
    path: 'M100 100C130 84 184 100 186 164C188 224 140 244 100 238C60 244 12 224 14 164C16 100 70 84 100 100Z',
    tone: '#e0913a',
    c: [100, 168],
    rx: 82,
    ry: 66,
    calyx: <path d="M92 102L88 70L112 64L108 102Z" fill="#8f9a5a" stroke="var(--leaf-line)" strokeWidth="1.4" />,
    face: <path d="M100 100C98 140 98 200 100 238M76 98C58 130 56 206 78 238M124 98C142 130 144 206 122 238" fill="none" stroke="#a05a1c" strokeWidth="1.8" />,
  },
  melon: {
    path: round(78, 76),
    tone: '#d9c68a',
    c: [100, 164],
    rx: 76,
    ry: 74,
    calyx: stalk('M100 90V62'),
    face: (
      <path
        d="M40 130L70 110L104 132L140 108L168 140M34 172L66 150L100 176L136 150L170 178M48 212L80 190L112 216L150 196"
        fill="none"
        stroke="#f6efd6"
        strokeWidth="2.4"
      />
    ),
  },
  raspberry: {
    path: globesOf(drupes),
    tone: '#c8304c',
    green: '#cfcf8a',
    c: [100, 160],
    rx: 58,
    ry: 70,
    globes: drupes,
    calyx: star(100, 92, 34),
  },
  berries: {
    path: globesOf(few),
    tone: '#5a6aa0',
    green: '#a9bd6c',
    c: [100, 160],
    rx: 24,
    ry: 24,
    globes: few,
    calyx: (
      <path
        d="M104 30C100 70 98 120 100 150M102 60L72 100M102 76L124 92M100 120L140 142M100 130L64 166M100 150L108 192"
        fill="none"
        stroke="#6f8a3c"
        strokeWidth="2.6"
      />
    ),
  },
  grapes: {
    path: globesOf(bunch),
    tone: '#6f5a8f',
    green: '#b7cd7a',
    c: [100, 150],
    rx: 58,
    ry: 74,
    globes: bunch,
    calyx: <path d="M100 30V96M100 60H128" fill="none" stroke="#7a6a3c" strokeWidth="3.4" />,
  },
  strawberry: {
    path: 'M100 92C150 78 178 112 164 156C152 200 122 236 100 248C78 236 48 200 36 156C22 112 50 78 100 92Z',
    tone: '#d23a36',
    green: '#d9d6a0',
    c: [100, 154],
    rx: 60,
    ry: 70,
    calyx: star(100, 92, 46),
    face: (
      <path
        d="M64 120h0M96 118h0M130 122h0M54 150h0M84 148h0M116 150h0M146 150h0M70 178h0M100 178h0M130 180h0M86 206h0M114 206h0M100 230h0"
        stroke="#f4d77a"
        strokeWidth="4.6"
        strokeLinecap="round"
      />
    ),
  },
  gooseberry: {
    path: round(62, 70),
    tone: '#b3c46a',
    c: [100, 164],
    rx: 58,
    ry: 66,
    calyx: stalk('M100 96V58'),
    face: <path d="M100 96V232M76 100C60 140 62 196 80 226M124 100C140 140 138 196 120 226" fill="none" stroke="#e9f0c4" strokeWidth="1.8" />,
  },
  pea: {
    path: 'M44 70C84 84 150 150 172 236C120 232 44 160 34 84Q34 70 44 70Z',
    tone: '#9dbb5a',
    c: [102, 150],
    rx: 44,
    ry: 44,
    calyx: <path d="M44 72C36 58 30 48 26 34" stroke="var(--leaf-line)" strokeWidth="4.4" fill="none" />,
    face: (
      <g fill="#c3d982" stroke="#5d7d2f" strokeWidth="1.3">
        {xy('66 100, 86 124, 106 150, 126 176, 144 202').map(([x, y]) => (
          <circle key={x} cx={x} cy={y} r="14" />
        ))}
      </g>
    ),
  },
  bean: {
    path: 'M78 40C96 60 104 130 112 180C116 220 112 250 106 262C94 240 82 200 76 150C72 100 66 60 70 44Z',
    tone: '#8fae50',
    c: [94, 150],
    rx: 18,
    ry: 90,
    calyx: stalk('M74 44L70 22'),
    face: <path d="M84 80q8 6 6 16M90 120q9 6 8 18M96 164q9 8 8 20M102 208q6 8 5 18" fill="none" stroke="#5d7d2f" strokeWidth="1.6" />,
  },
  corn: {
    path: 'M74 110C74 70 90 40 100 34C110 40 126 70 126 110V236Q100 254 74 236Z',
    tone: '#f0cf5c',
    c: [100, 150],
    rx: 26,
    ry: 90,
    calyx: (
      <>
        <path
          d="M74 120C44 140 40 210 58 262C76 256 80 180 74 120ZM126 120C156 140 160 210 142 262C124 256 120 180 126 120Z"
          fill="var(--leaf)"
          stroke="var(--leaf-line)"
          strokeWidth="1.6"
        />
        <path d="M96 40C90 22 84 18 76 12M100 36C100 20 102 14 98 6M104 40C110 22 116 20 124 14" stroke="#b3843c" strokeWidth="1.8" fill="none" />
      </>
    ),
    face: (
      <path
        d="M82 70V240M91 52V246M100 44V248M109 52V246M118 70V240M76 90H124M75 108H125M74 126H126M74 144H126M74 162H126M74 180H126M74 198H126M74 216H126M76 234H124"
        fill="none"
        stroke="#b38a24"
        strokeWidth="1.1"
      />
    ),
  },
  walnut: { path: round(66, 74), tone: '#9db25e', c: [100, 164], rx: 64, ry: 72, calyx: stalk('M100 90V56') },
  fig: {
    path: 'M100 60C112 84 168 130 164 186C160 232 128 246 100 246C72 246 40 232 36 186C32 130 88 84 100 60Z',
    tone: '#7a5a86',
    green: '#a9bd6c',
    c: [100, 186],
    rx: 62,
    ry: 60,
    calyx: stalk('M100 62V36'),
  },
};

const same: Record<string, string> = {
  olive: 'plum',
  aubergine: 'fig',
  hip: 'tomato',
  acorn: 'walnut',
  keys: 'walnut',
  potato: 'tomato',
  '': 'tomato',
};

export const formOf = (p: PartProps): Form & { name: string } => {
  const f = String(p.look.id ? p.look.fruit : (p.d.form ?? 'tomato'));
  const name = f in forms ? f : (same[f] ?? 'tomato');
  return { ...(forms[name] as Form), name };
};

export type K = Form & { name: string };
