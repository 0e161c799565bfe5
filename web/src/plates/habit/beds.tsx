import { bodyOf } from '../kit/Face';
import { mix, type P, xy } from '../kit/geo';
import type { Pen, Sketch, Spot } from './draw';

/** What grows for the kitchen. */
export function beds({ h, look, stem, alongs, fan }: Pen): Sketch | undefined {
  switch (h) {
    case 'cane': {
      const s = [28, 44, 60, 74].map((x, i) => stem(x, 14 + (i % 2) * 8, 2, [x + 4, 100]));
      return {
        stems: s,
        leaves: s.flatMap((q) => alongs(q, 7, 17)),
        behind: <path d="M8 34H92M8 66H92" stroke="var(--quiet)" strokeWidth=".8" opacity=".6" />,
      };
    }
    case 'staked': {
      const s = stem(50, 14, 3);
      return {
        stems: [s],
        leaves: alongs(s, 9, 31, 76, 0.06),
        extra: (
          <g fill="#d2503a" stroke="#7d2a1c" strokeWidth=".7">
            {xy('42 62, 46 67, 57 46, 40 80').map(([x, y]) => (
              <circle key={`${x}${y}`} cx={x} cy={y} r="4" />
            ))}
          </g>
        ),
        behind: <path d="M56 6V102" stroke="var(--bark-line)" strokeWidth="1.6" />,
      };
    }
    case 'bushy':
    case 'herb': {
      const s = [-26, -12, 0, 12, 26].map((x) => stem(50 + x, 46 + Math.abs(x) * 0.5, x * 0.1));
      return {
        stems: s,
        leaves: s.flatMap((q) => alongs(q, h === 'herb' ? 6 : 4, h === 'herb' ? 15 : 27, 62)),
        flowers:
          h === 'herb'
            ? []
            : [
                [40, 44],
                [58, 42],
              ],
        size: 3,
      };
    }
    case 'pole': {
      const s: P[][] = [xy('26 100, 33 78, 36 54, 44 30, 49 8'), xy('74 100, 66 78, 62 54, 56 30, 51 8'), xy('50 100, 54 76, 47 50, 52 26, 50 8')];
      return {
        stems: s,
        leaves: s.flatMap((q) => alongs(q, 7, 17, 70)),
        flowers: xy('36 40, 62 36, 48 58'),
        size: 3,
        behind: <path d="M24 102L52 2M76 102L48 2M50 102V2" stroke="var(--bark-line)" strokeWidth="1.2" />,
      };
    }
    case 'head':
      return {
        stems: [],
        leaves: fan(8, 48, 88),
        extra: (
          <g fill={bodyOf(look.leaf)} stroke="var(--leaf-line)" strokeWidth="1">
            <circle cx="50" cy="74" r="20" />
            <path d="M36 88Q34 66 56 58M44 92Q42 72 66 66M58 93Q66 84 66 70" fill="none" />
          </g>
        ),
      };
    case 'clump':
    case 'strawberry': {
      const s = [-27, -18, -7, 6, 16, 26].map((x) => stem(50 + x, 66 - (38 - Math.abs(x)) * 0.6, x * 0.12));
      return {
        stems: s,
        leaves: s.map((q, i): Spot => [(q[5] as P)[0], (q[5] as P)[1] + 4, -56 + i * 22, h === 'strawberry' ? 26 : 33]),
        flowers:
          h === 'strawberry'
            ? [
                [44, 84],
                [60, 88],
              ]
            : [
                [46, 20],
                [56, 24],
              ],
        size: 4,
        extra:
          h === 'strawberry' ? (
            <g fill="#d2403a" stroke="#7d221c" strokeWidth=".7">
              <path d="M30 92q5-5 8 0q0 6-4 9q-5-3-4-9zM66 94q5-5 8 0q0 6-4 9q-5-3-4-9z" />
            </g>
          ) : undefined,
      };
    }
    case 'rootcrop': {
      const root =
        look.fruit === 'turnip' ? 'M36 76C36 90 46 94 50 108C54 94 64 90 64 76Q50 68 36 76Z' : 'M42 74C42 90 48 100 50 110C52 100 58 90 58 74Q50 70 42 74Z';
      return {
        stems: [],
        leaves: fan(9, 62, 46, 50, 76),
        extra: (
          <path
            d={root}
            fill={look.fruit === 'carrot' ? '#dd8a3c' : look.fruit === 'parsnip' ? '#ecdcb0' : '#a34a58'}
            stroke="var(--bark-line)"
            strokeWidth="1"
          />
        ),
      };
    }
    case 'onion':
      return {
        stems: [],
        leaves: fan(6, 76, 34, 50, 82),
        extra: (
          <path
            d={look.fruit === 'leek' ? 'M44 60H56V98Q50 104 44 98Z' : 'M50 76C64 78 66 98 50 100C34 98 36 78 50 76Z'}
            fill={look.fruit === 'leek' ? '#f0f0de' : '#d9a55c'}
            stroke="var(--bark-line)"
            strokeWidth="1"
          />
        ),
      };
    case 'corn': {
      const s = stem(50, 14, 2);
      return {
        stems: [s],
        leaves: alongs(s, 8, 44, 56, 0.1),
        extra: (
          <g>
            <path d="M50 14V2M50 12L42 4M50 12L58 4" stroke="#b9a24c" strokeWidth="1.4" />
            <path d="M54 66q8-10 7-22q-9 4-9 20z" fill="#c9d48a" stroke="var(--leaf-line)" strokeWidth=".8" />
          </g>
        ),
      };
    }
    case 'fennel':
    case 'lavender': {
      const s = [-30, -18, -6, 6, 18, 30].map((x) => stem(50 + x, 20 + Math.abs(x) * 0.5, x * 0.1));
      return {
        stems: s,
        leaves: s.flatMap((q) => alongs(q, h === 'lavender' ? 2 : 6, h === 'lavender' ? 24 : 22, 40, 0.05)),
        flowers: h === 'lavender' ? s.flatMap((q) => [1, 0.94, 0.88, 0.82].map((t) => mix(q[0] as P, q[5] as P, t))) : [],
        size: 2.6,
      };
    }
    case 'sprawl': {
      const s: P[][] = [stem(24, 84, 0), stem(76, 82, 0), stem(36, 64, 0), stem(64, 62, 0), stem(50, 52)];
      return {
        stems: s,
        leaves: s.map((q, i): Spot => [(q[5] as P)[0], (q[5] as P)[1] + 8, [-50, 50, -22, 22, 0][i] as number, 42]),
        flowers: [
          [40, 88],
          [62, 90],
        ],
        size: 5,
      };
    }
    default:
      return undefined;
  }
}
