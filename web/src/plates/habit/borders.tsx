import { add, mix, type P, xy } from '../kit/geo';
import type { Pen, Sketch, Spot } from './draw';

/** What grows in borders: perennials, bulbs, grasses. */
export function borders({ h, R, stem, alongs, crown, fan, over }: Pen): Sketch | undefined {
  switch (h) {
    case 'upright':
    case 'daisies':
    case 'sunflower': {
      const s = h === 'sunflower' ? [stem(50, 22)] : [stem(30, 28, -3), stem(50, 16), stem(70, 30, 3)];
      return {
        stems: s,
        leaves: s.flatMap((q) => alongs(q, h === 'sunflower' ? 6 : 6, h === 'sunflower' ? 30 : 20, 66)),
        flowers: s.map((q) => q[5] as P),
        size: h === 'sunflower' ? 13 : 6,
      };
    }
    case 'spike': {
      const s = [stem(50, 8), stem(34, 30, -2), stem(66, 34, 2)];
      return {
        stems: s,
        leaves: [...fan(7, 34, 84), ...alongs(s[0] as P[], 4, 17, 62, 0.1)],
        flowers: s.flatMap((q) => [0.55, 0.64, 0.73, 0.82, 0.9, 0.97].map((t, i) => add(mix(q[0] as P, q[5] as P, t), [(i % 2 ? 1 : -1) * 2.6, 0]))),
        size: 3.4,
      };
    }
    case 'lily': {
      const s = [stem(40, 20, -2), stem(62, 28, 2)];
      return {
        stems: s,
        leaves: s.flatMap((q) => alongs(q, 13, 21, 74)),
        flowers: xy('40 16, 32 22, 62 24'),
        size: 7,
      };
    }
    case 'rosette':
      return { stems: [], leaves: fan(11, 46, 86) };
    case 'cushion':
      return { stems: [], ...crown(50, 84, 36, 15, 34, 14), flowers: over(7, 28, 76, 8), size: 3.6 };
    case 'fan':
      return { stems: [stem(56, 18)], leaves: fan(7, 72, 34), flowers: [[56, 16]], size: 7 };
    case 'bulb':
      return {
        stems: [stem(52, 24)],
        leaves: fan(5, 62, 34, 50, 86),
        flowers: [[52, 22]],
        size: 9,
        extra: <path d="M50 82C60 84 62 98 50 100C38 98 40 84 50 82Z" fill="#c9a06c" stroke="var(--bark-line)" strokeWidth="1" />,
      };
    case 'grass':
      return {
        stems: [stem(40, 16, -4), stem(62, 20, 4)],
        leaves: fan(15, 66, 54, 50, 100, 2),
        flowers: [
          [40, 14],
          [62, 18],
        ],
        size: 4,
      };
    case 'lawn':
      return {
        stems: [],
        leaves: Array.from({ length: 26 }, (_, i): Spot => [6 + i * 3.5, 100, (R() - 0.5) * 40, 18 + R() * 12]),
      };
    default:
      return undefined;
  }
}
