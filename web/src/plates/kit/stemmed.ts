import { type Blade, feather } from './blade';
import { mix, type P, placed, taper } from './geo';
import type { Leaf, LeafSpec } from './leaf';

export const stalk = (pts: P[], w0 = 4, w1 = 3) => taper(pts, w0, w1);

type OnStem = Extract<
  LeafSpec,
  { as: 'needles' | 'spray' | 'twig' | 'pad' | 'column' | 'segments' | 'rosette' | 'thick' }
>;

/** Leaves that are shown by the piece of stem they stand on: needles, sprays, small leaves of a twig, cacti and succulents. */
export function onStem(s: OnStem): Omit<Leaf, 'path'> {
  switch (s.as) {
    case 'needles': {
      // The twig ends where its longest needles still find room.
      const top = 10 + s.long;
      const axis: P[] = Array.from(
        { length: 9 },
        (_, i): P => [104 - i * 0.6 + Math.sin(i) * 1.4, 278 - (i * (278 - top)) / 8],
      );
      const blades: Blade[] = [];
      const n = s.pairs ? 17 : 30;
      for (let i = 0; i < n; i++) {
        const t = (i + 0.5) / n;
        const at = mix(axis[Math.floor(t * 8)] as P, axis[Math.min(8, Math.floor(t * 8) + 1)] as P, (t * 8) % 1);
        for (const side of [-1, 1])
          for (const q of s.pairs ? [0, 1] : [0]) {
            const turn = side * ((s.pairs ? 34 : 56) - t * 22 + ((i * 37) % 11) - 5 + q * 9);
            blades.push(
              feather(
                {
                  long: s.long * (0.86 + ((i * 13) % 7) / 24),
                  wide: s.wide ?? 5,
                  widest: 0.5,
                  tip: 'sharp',
                  base: 'slim',
                  veins: 1,
                  bend: 0.05 * side,
                  seed: i,
                },
                placed(at[0], at[1], turn),
                turn,
              ),
            );
          }
      }
      for (const turn of [-18, 4, 22])
        blades.push(
          feather(
            { long: s.long, wide: s.wide ?? 5, widest: 0.5, base: 'slim', veins: 1 },
            placed(99, top + 4, turn),
            turn,
          ),
        );
      return { as: s.as, blades, stalks: [taper(axis, 6, 2.4)] };
    }
    case 'spray': {
      const blades: Blade[] = [];
      const stalks: P[][] = [
        stalk(
          [
            [103, 280],
            [100, 180],
            [100, 24],
          ],
          5,
          1.6,
        ),
      ];
      for (let i = 0; i < s.pairs; i++) {
        const t = i / s.pairs;
        const y = 232 - t * 200;
        for (const side of [-1, 1]) {
          const l = s.long * (1 - t * 0.72);
          const turn = side * (50 - t * 16);
          const root: P = [100, y - (side > 0 ? 9 : 0)];
          const end = placed(root[0], root[1], turn)([0, -l]);
          stalks.push(taper([root, end], 2.2, 1));
          const n = Math.max(2, Math.round(l / 22));
          for (let k = 1; k <= n; k++) {
            const c = mix(root, end, k / (n + 0.4));
            for (const q of k === n ? [0] : [-1, 1]) {
              const tt = turn + q * 38;
              blades.push(
                feather(
                  {
                    long: (26 - k * 2) * (1 - t * 0.4),
                    wide: s.wide,
                    widest: 0.55,
                    tip: 'sharp',
                    base: 'slim',
                    margin: 'scalloped',
                    teeth: 4,
                    tooth: 1.1,
                    veins: 1,
                    seed: i + k,
                  },
                  placed(c[0], c[1], tt),
                  tt,
                ),
              );
            }
          }
        }
      }
      blades.push(
        feather(
          { long: 24, wide: s.wide, margin: 'scalloped', teeth: 4, tooth: 1.1, base: 'slim', veins: 1 },
          placed(100, 34),
        ),
      );
      return { as: s.as, blades, stalks };
    }
    case 'twig': {
      const blades: Blade[] = [];
      const axis: P[] = Array.from({ length: 8 }, (_, i): P => [103 - i * 0.5 + Math.sin(i * 1.3) * 2, 278 - i * 34]);
      for (let i = 0; i < s.n; i++) {
        const t = 0.08 + (0.84 * i) / (s.n - 1);
        const f = t * 7;
        const at = mix(axis[Math.floor(f)] as P, axis[Math.min(7, Math.floor(f) + 1)] as P, f % 1);
        const k = 0.82 + 0.18 * Math.sin(Math.PI * Math.min(1, t * 1.15)) - (t > 0.8 ? (t - 0.8) * 1.4 : 0);
        const turns = s.whorl
          ? Array.from({ length: s.whorl }, (_, q) => -74 + (148 * q) / ((s.whorl as number) - 1) + ((i * 29) % 13) - 6)
          : s.opposite
            ? [-58 + t * 16, 58 - t * 16]
            : [(i % 2 ? 1 : -1) * (56 - t * 16)];
        for (const turn of turns)
          blades.push(
            feather(
              {
                long: s.long * k,
                wide: s.wide * k,
                tip: s.tip ?? 'blunt',
                base: 'wedge',
                margin: s.margin,
                teeth: 9,
                tooth: 1.8,
                veins: s.wide > 24 ? 6 : s.wide > 9 ? 4 : 2,
                seed: i + Math.round(turn) + 90,
                bend: turn < 0 ? -0.05 : 0.05,
              },
              placed(at[0], at[1], turn),
              turn,
            ),
          );
      }
      const tipAt = axis[7] as P;
      for (const turn of [-22, 16])
        blades.push(
          feather(
            {
              long: s.long * 0.62,
              wide: s.wide * 0.6,
              tip: s.tip ?? 'blunt',
              base: 'wedge',
              veins: 3,
              seed: turn + 50,
            },
            placed(tipAt[0], tipAt[1], turn),
            turn,
          ),
        );
      return { as: s.as, blades, stalks: [taper(axis, 6.4, 3)] };
    }
    case 'pad': {
      const low = feather(
        { long: 130, wide: 118, widest: 0.58, tip: 'round', base: 'wedge', veins: 1, bend: 0, seed: 2 },
        placed(96, 276),
      );
      const up = feather(
        { long: 132, wide: 108, widest: 0.6, tip: 'round', base: 'wedge', veins: 1, bend: 0.02, seed: 3 },
        placed(112, 152, 9),
      );
      const areoles: P[] = [up, low].flatMap((b) =>
        Array.from({ length: 5 }, (_, r) =>
          Array.from({ length: 4 }, (_, k) => b.at(0.2 + r * 0.16, -0.72 + k * 0.48 + (r % 2) * 0.1)),
        ).flat(),
      );
      return { as: s.as, blades: [low, up], stalks: [], areoles };
    }
    case 'column': {
      const b = feather(
        {
          long: 256,
          wide: 84,
          widest: 0.5,
          tip: 'round',
          base: 'round',
          veins: 1,
          bend: 0,
          margin: 'waved',
          teeth: 13,
          tooth: 3,
        },
        placed(100, 272),
      );
      const v = [-0.78, -0.42, 0, 0.42, 0.78];
      return {
        as: s.as,
        blades: [{ ...b, ribs: v.map((x) => Array.from({ length: 12 }, (_, i) => b.at(0.03 + (0.94 * i) / 11, x))) }],
        stalks: [],
        areoles: v.flatMap((x) => Array.from({ length: 9 }, (_, i) => b.at(0.1 + i * 0.1, x))),
      };
    }
    case 'segments': {
      const one = (x: number, y: number, turn: number, seed: number) =>
        feather(
          {
            long: 78,
            wide: 46,
            widest: 0.55,
            tip: 'notched',
            base: 'wedge',
            margin: 'spiny',
            teeth: 4,
            tooth: 5,
            veins: 1,
            bend: 0,
            seed,
          },
          placed(x, y, turn),
          turn,
        );
      return {
        as: s.as,
        blades: [
          one(100, 276, 0, 1),
          one(98, 206, -16, 2),
          one(106, 204, 26, 3),
          one(78, 136, -30, 4),
          one(140, 138, 22, 5),
          one(44, 74, -18, 6),
        ],
        stalks: [],
        areoles: [],
      };
    }
    case 'rosette': {
      const blades: Blade[] = [];
      for (let ringNo = 0; ringNo < 3; ringNo++) {
        const k = 1 - ringNo * 0.3;
        for (let i = 0; i < s.n - ringNo; i++) {
          const turn = (360 * i) / (s.n - ringNo) + ringNo * 24;
          const [dx, dy] = placed(0, 0, turn)([0, -6 * k]);
          blades.push(
            feather(
              {
                long: s.long * k,
                wide: s.wide * k,
                widest: 0.66,
                tip: s.tip ?? 'sharp',
                base: 'wedge',
                veins: 1,
                bend: 0,
                seed: i,
              },
              placed(100 + dx, 150 + dy, turn),
              turn,
            ),
          );
        }
      }
      return { as: s.as, blades, stalks: [] };
    }
    case 'thick': {
      const blades: Blade[] = [];
      const st = stalk(
        [
          [104, 280],
          [100, 190],
          [100, 60],
        ],
        9,
        6,
      );
      for (let i = 0; i < 4; i++)
        for (const side of [-1, 1]) {
          const turn = side * (62 - i * 10);
          const k = 1 - Math.abs(i - 1.2) * 0.12;
          blades.push(
            feather(
              {
                long: s.long * k,
                wide: s.wide * k,
                widest: 0.6,
                tip: s.tip ?? 'round',
                base: 'wedge',
                veins: 1,
                bend: 0.06 * side,
                seed: i + side + 3,
              },
              placed(100 + side * 3, 226 - i * 52, turn),
              turn,
            ),
          );
        }
      blades.push(
        feather(
          { long: s.long * 0.6, wide: s.wide * 0.6, widest: 0.6, tip: 'round', base: 'wedge', veins: 1 },
          placed(100, 66),
        ),
      );
      return { as: s.as, blades, stalks: [st] };
    }
  }
}
