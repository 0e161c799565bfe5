import { by4, type P, xy } from '../kit/geo';
import { type Pen, pot, type Sketch, type Spot } from './draw';

/** What stands in pots and vases. */
export function pots({ h, look, stem, alongs, crown, fan }: Pen): Sketch | undefined {
  switch (h) {
    case 'trailing': {
      const s: P[][] = [
        xy('44 50, 26 44, 16 64, 14 96'),
        xy('56 50, 74 44, 84 66, 88 100'),
        xy('48 50, 40 30, 30 34, 26 60'),
        xy('52 50, 60 30, 70 34, 72 58'),
      ];
      return {
        stems: s,
        leaves: s.flatMap((q) => alongs(q, 5, 20, 70)),
        extra: (
          <g stroke="var(--bark-line)" strokeWidth="1">
            <path d="M38 50h24l-3 24h-18Z" fill="#c58a66" />
            <path d="M36 47h28v5h-28Z" fill="#d39b76" />
          </g>
        ),
      };
    }
    case 'potted': {
      const s = [-26, -10, 8, 26].map((x) => stem(50 + x, 34 + Math.abs(x) * 0.5, x * 0.1, [50, 80]));
      return {
        stems: s,
        leaves: s.flatMap((q, i): Spot[] => [
          [(q[5] as P)[0], (q[5] as P)[1] + 6, -44 + i * 29, 32],
          [(q[3] as P)[0], (q[3] as P)[1], (i < 2 ? -1 : 1) * 70, 22],
        ]),
        extra: pot(),
      };
    }
    case 'potrosette':
      return {
        stems: [],
        leaves: fan(11, 46, 88, 50, 80),
        flowers: look.flower === 'five' ? xy('46 60, 54 58, 50 64') : [],
        size: 4,
        extra: pot(),
      };
    case 'pottree':
    case 'bonsai':
      return {
        wood: true,
        stems: [stem(50, 46, h === 'bonsai' ? 12 : 0, [50, 80])],
        ...crown(50, 34, 28, 24, 26, h === 'bonsai' ? 10 : 16),
        extra: pot(),
      };
    case 'potpalm':
    case 'fern':
      return { stems: [], leaves: fan(9, 56, 74, 50, h === 'fern' ? 92 : 80), extra: h === 'fern' ? undefined : pot() };
    case 'orchid':
      return {
        stems: [xy('50 76, 54 46, 64 22, 80 16, 90 22')],
        leaves: fan(4, 44, 78, 50, 80),
        flowers: xy('66 22, 76 17, 86 20, 59 32'),
        size: 6,
        extra: pot(),
      };
    case 'spider':
      return {
        stems: [xy('50 74, 24 52, 10 82'), xy('50 74, 78 54, 92 88')],
        leaves: [...fan(15, 50, 96, 50, 80), ...fan(5, 15, 70, 10, 86), ...fan(5, 15, 70, 92, 92)],
        extra: pot(),
      };
    case 'pads':
      return {
        stems: [],
        leaves: by4('50 82 0 62, 40 60 -34 34, 60 46 36 30'),
        extra: pot(80, 26),
      };
    case 'jade':
      return {
        wood: true,
        stems: [stem(34, 50, 0, [50, 80]), stem(66, 48, 0, [50, 80]), stem(50, 40, 0, [50, 80])],
        leaves: by4('34 60 -14 38, 66 58 14 38, 50 52 0 40'),
        extra: pot(),
      };
    case 'vase':
      return {
        stems: [
          xy('44 96, 38 50, 30 26'),
          [
            [50, 96],
            [50, 20],
          ],
          xy('56 96, 62 50, 70 28'),
        ],
        leaves: by4('40 60 -50 20, 60 58 50 20, 50 50 24 18'),
        flowers: xy('30 24, 50 18, 70 26'),
        size: 8,
        extra: <path d="M38 62H62L58 102H42Z" fill="#bcd8e2" opacity=".8" stroke="var(--quiet)" strokeWidth="1" />,
      };
    default:
      return undefined;
  }
}
