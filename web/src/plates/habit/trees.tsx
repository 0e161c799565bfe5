import { add, type P, xy } from '../kit/geo';
import { type Pen, pot, type Sketch, type Spot } from './draw';

/** Trees, shrubs, climbers and conifers. */
export function trees({ h, look, R, stem, alongs, crown, fan, over }: Pen): Sketch | undefined {
  switch (h) {
    case 'tree':
      return {
        wood: true,
        stems: [stem(50, 60), stem(36, 44, 0, [50, 70]), stem(64, 42, 0, [50, 66])],
        ...crown(50, 36, 37, 30, 34, 15),
      };
    case 'birch':
      return { wood: true, stems: [stem(48, 20, 2)], ...crown(49, 38, 24, 34, 36, 11) };
    case 'weeping': {
      const s = [-32, -20, -8, 6, 18, 30].map((x): P[] => [
        [50, 34],
        [50 + x * 0.7, 18],
        [50 + x, 34],
        [50 + x * 1.15, 78],
      ]);
      return { wood: true, stems: [stem(50, 30), ...s], leaves: s.flatMap((q) => alongs(q, 9, 15, 150)) };
    }
    case 'column':
      if (look.leaf.as === 'column') return { stems: [], leaves: [[50, 82, 0, 70]], extra: pot(80, 24) };
      return { wood: true, stems: [stem(50, 40)], ...crown(50, 46, 15, 42, 34, 11) };
    case 'shrub':
    case 'thorny':
      return {
        wood: true,
        stems: [stem(30, 50, -4), stem(50, 44), stem(70, 50, 4)],
        ...crown(50, 58, 36, 30, 34, 15),
        extra:
          h === 'thorny' ? <path d="M30 84l-5-3M38 76l-5-4M62 78l5-3M70 86l5-3M50 70l5-3M46 88l-5-3" stroke="var(--bark-line)" strokeWidth="1" /> : undefined,
      };
    case 'mophead':
      return {
        wood: true,
        stems: [stem(34, 60), stem(66, 60)],
        ...crown(50, 68, 36, 24, 20, 18),
        flowers: xy('30 50, 50 42, 70 50'),
        size: 10,
      };
    case 'ball':
      return { wood: true, stems: [stem(50, 70)], ...crown(50, 62, 33, 31, 40, 11) };
    case 'hedge':
      return {
        wood: true,
        stems: [],
        back: 'M8 40Q50 34 92 40V100H8Z',
        leaves: Array.from({ length: 40 }, (_, i): Spot => [13 + ((i * 29) % 75), 46 + ((i * 17) % 53), (R() - 0.5) * 120, 12]),
      };
    case 'cone':
      return {
        wood: true,
        stems: [stem(50, 60)],
        back: 'M50 8Q60 40 80 94Q50 100 20 94Q40 40 50 8Z',
        leaves: Array.from({ length: 34 }, (_, i): Spot => {
          const t = (i + 0.5) / 34;
          return [50 + (((i * 37) % 100) / 100 - 0.5) * 56 * t, 18 + 76 * t, (R() - 0.5) * 120, 13];
        }),
      };
    case 'spreading': {
      const s = [-40, -22, 22, 40].map((x) => stem(50 + x, 74 + Math.abs(x) * 0.2, 0));
      return { wood: true, stems: s, leaves: s.flatMap((q) => alongs(q, 9, 11)) };
    }
    case 'arching':
    case 'rosebush': {
      const s = [-34, -16, 4, 22, 38].map((x, i): P[] => [
        [50, 100],
        [50 + x * 0.4, 64],
        [50 + x * 0.8, 32 + (i % 2) * 8],
        [50 + x * 1.1, 36 + Math.abs(x) * 0.5],
      ]);
      return {
        wood: h === 'arching',
        stems: s,
        leaves: s.flatMap((q) => alongs(q, 6, h === 'rosebush' ? 21 : 17)),
        flowers: s.map((q) => add(q[3] as P, [0, -3])),
        size: h === 'rosebush' ? 6 : 4,
      };
    }
    case 'climber':
    case 'vine': {
      const s: P[][] = [xy('30 100, 34 74, 24 50, 38 28, 30 8'), xy('36 70, 54 60, 66 40, 60 16'), xy('40 84, 66 80, 78 60, 82 34')];
      return {
        wood: true,
        stems: s,
        leaves: s.flatMap((q) => alongs(q, 7, h === 'vine' ? 18 : 16)),
        flowers: h === 'vine' ? [] : over(4, 22, 34, 18),
        behind: (
          <path
            d={h === 'vine' ? 'M6 26H94M6 50H94M6 74H94M12 12V100M88 12V100' : 'M20 6V100M40 6V100M60 6V100M80 6V100M12 20H88M12 44H88M12 68H88'}
            stroke="var(--quiet)"
            strokeWidth=".8"
            opacity=".5"
            fill="none"
          />
        ),
      };
    }
    case 'palmtree':
      return { wood: true, stems: [stem(50, 36, 5)], leaves: fan(9, 42, 124, 50, 38) };
    case 'banana':
      return { stems: [stem(50, 50)], leaves: fan(7, 60, 74, 50, 58) };
    case 'conifer':
    case 'cedar':
    case 'pine':
    case 'cypress': {
      const tiers = h === 'cypress' ? 9 : 6;
      const s: P[][] = [stem(50, 6)];
      const leaves: Spot[] = [];
      for (let i = 0; i < tiers; i++) {
        const y = 90 - (i * 80) / tiers;
        const w =
          h === 'cypress'
            ? 12 * Math.sin(((i + 1) / (tiers + 1)) * 3.1) + 5
            : h === 'pine'
              ? i < 2
                ? 0
                : 30 - Math.abs(i - 3) * 5
              : (40 * (tiers - i)) / tiers + 3;
        if (w < 2) continue;
        for (const side of [-1, 1]) {
          const q: P[] = [
            [50, y],
            [50 + side * w * 0.6, y + (h === 'cedar' ? -2 : h === 'pine' ? -8 : 4)],
            [50 + side * w, y + (h === 'cedar' ? -1 : h === 'pine' ? -14 : 9)],
          ];
          s.push(q);
          leaves.push(...alongs(q, 4, h === 'cypress' ? 15 : 17, 40, 0.1));
          leaves.push([q[2]?.[0] ?? 50, q[2]?.[1] ?? 50, side * 96, 13]);
        }
      }
      leaves.push([50, 20, 0, 18]);
      const back =
        h === 'cypress'
          ? 'M50 4Q70 40 63 88Q50 96 37 88Q30 40 50 4Z'
          : h === 'conifer'
            ? 'M50 6L60 26L56 26L70 46L64 46L80 66L74 67L92 96Q50 88 8 96L26 67L20 66L36 46L30 46L44 26L40 26Z'
            : undefined;
      return { wood: true, stems: s, leaves, back };
    }
    default:
      return undefined;
  }
}
