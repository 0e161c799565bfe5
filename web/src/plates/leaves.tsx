import type { ReactNode } from 'react';

/** A leaf shape in a box of 200 by 280: its outline pieces and its veins. */
export type LeafShape = { outline: string[]; veins: string[]; minor: string[]; stalk: string };

const oval = (cx: number, top: number, bottom: number, w: number) => {
  const h = bottom - top;
  return `M${cx} ${bottom} C${cx - w * 0.9} ${bottom - h * 0.12} ${cx - w * 1.05} ${top + h * 0.42} ${cx} ${top} C${cx + w * 1.05} ${top + h * 0.42} ${cx + w * 0.9} ${bottom - h * 0.12} ${cx} ${bottom} Z`;
};

const ribs = (cx: number, top: number, bottom: number, w: number, n: number) => {
  const out: string[] = [];
  for (let i = 1; i <= n; i++) {
    const t = i / (n + 1);
    const y = bottom - (bottom - top) * t;
    const l = w * 0.82 * Math.sin(Math.PI * Math.min(0.97, t * 0.8 + 0.2));
    out.push(
      `M${cx} ${y} q${-l * 0.5} ${-l * 0.18} ${-l} ${-l * 0.55}`,
      `M${cx} ${y} q${l * 0.5} ${-l * 0.18} ${l} ${-l * 0.55}`,
    );
  }
  return out;
};

const turned = (d: string, deg: number, cx: number, cy: number) => {
  const a = (deg * Math.PI) / 180;
  const c = Math.cos(a);
  const s = Math.sin(a);
  // Only absolute M/C/Q/Z and relative q are used above; relative ones turn without moving.
  return d.replace(/([MCQq])([^MCQqZz]*)/g, (_, k: string, nums: string) => {
    const v = nums
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    const o: string[] = [];
    for (let i = 0; i + 1 < v.length; i += 2) {
      const x = (v[i] as number) - (k === 'q' ? 0 : cx);
      const y = (v[i + 1] as number) - (k === 'q' ? 0 : cy);
      o.push(
        `${(x * c - y * s + (k === 'q' ? 0 : cx)).toFixed(1)} ${(x * s + y * c + (k === 'q' ? 0 : cy)).toFixed(1)}`,
      );
    }
    return k + o.join(' ');
  });
};

const single = (top: number, bottom: number, w: number, n: number): LeafShape => ({
  outline: [oval(100, top, bottom, w)],
  veins: [`M100 ${bottom} C100 ${bottom - 40} 100 ${top + 40} 100 ${top + 6}`],
  minor: ribs(100, top, bottom, w, n),
  stalk: `M100 ${bottom} C100 ${bottom + 8} 101 268 104 278`,
});

const leaflets = (list: [number, number, number, number, number][], axis: string): LeafShape => ({
  outline: list.map(([x, y, l, w, a]) => turned(oval(x, y - l, y, w), a, x, y)),
  veins: list.map(([x, y, l, , a]) => turned(`M${x} ${y} Q${x} ${y - l / 2} ${x} ${y - l + 4}`, a, x, y)),
  minor: list.flatMap(([x, y, l, w, a]) => ribs(x, y - l, y, w, 4).map((d) => turned(d, a, x, y))),
  stalk: axis,
});

const lobes = (n: number, depth: number): LeafShape => {
  // A palmate outline: n points on a fan, dipped between them.
  const cx = 100;
  const cy = 228;
  const spread = n >= 5 ? 250 : 200;
  const tips = Array.from({ length: n }, (_, i) => -spread / 2 + (spread * i) / (n - 1));
  const len = (a: number) => 150 + 46 * Math.cos((a * Math.PI) / 180);
  const at = (a: number, r: number) =>
    `${(cx + Math.sin((a * Math.PI) / 180) * r).toFixed(1)} ${(cy - Math.cos((a * Math.PI) / 180) * r * 1.02).toFixed(1)}`;
  let d = `M${cx} ${cy}`;
  tips.forEach((a, i) => {
    const L = len(a) * (Math.abs(a) > 95 ? 0.5 : Math.abs(a) > 55 ? 0.66 : 1);
    const step = spread / (n - 1);
    if (i === 0) d += ` C${at(a - 30, L * 0.3)} ${at(a - 24, L * 0.85)} ${at(a, L)}`;
    else {
      const prev = tips[i - 1] as number;
      const PL = len(prev) * (Math.abs(prev) > 95 ? 0.5 : Math.abs(prev) > 55 ? 0.66 : 1);
      const dip = Math.min(L, PL) * depth;
      const mid = a - step / 2;
      d += ` C${at(prev + step * 0.22, PL * 0.86)} ${at(mid - step * 0.12, dip * 1.05)} ${at(mid, dip)} C${at(mid + step * 0.12, dip * 1.05)} ${at(a - step * 0.22, L * 0.86)} ${at(a, L)}`;
    }
  });
  const lastA = tips[n - 1] as number;
  const lastL = len(lastA) * (Math.abs(lastA) > 95 ? 0.5 : 0.66);
  d += ` C${at(lastA + 24, lastL * 0.85)} ${at(lastA + 30, lastL * 0.3)} ${cx} ${cy} Z`;
  const veins = tips.map(
    (a) => `M${cx} ${cy} L${at(a, len(a) * (Math.abs(a) > 95 ? 0.42 : Math.abs(a) > 55 ? 0.58 : 0.93))}`,
  );
  const minor = tips.flatMap((a) => {
    const L = len(a) * (Math.abs(a) > 95 ? 0.4 : Math.abs(a) > 55 ? 0.55 : 0.9);
    return [0.45, 0.66].flatMap((t) => [-1, 1].map((s) => `M${at(a, L * t)} L${at(a + s * 11, L * (t + 0.14))}`));
  });
  return { outline: [d], veins, minor, stalk: `M100 228 C100 246 101 262 105 278` };
};

export const leafShapes: Record<string, LeafShape> = {
  ovate: single(18, 240, 88, 7),
  lance: single(10, 252, 48, 9),
  round: { ...single(40, 236, 112, 6) },
  strap: {
    outline: ['M82 276 C70 200 74 90 96 10 C118 90 126 200 118 276 Z'],
    veins: ['M100 276 C99 190 98 90 96 18'],
    minor: ['M91 274 C86 200 88 100 95 30', 'M109 274 C113 200 109 100 98 30'],
    stalk: '',
  },
  needle: {
    outline: Array.from({ length: 13 }, (_, i) => {
      const y = 250 - i * 18;
      const s = i % 2 ? 1 : -1;
      const tipX = 100 + s * 74;
      return `M100 ${y} C${100 + s * 20} ${y - 10} ${100 + s * 52} ${y - 30} ${tipX} ${y - 44} C${100 + s * 56} ${y - 22} ${100 + s * 22} ${y} 100 ${y + 6} Z`;
    }),
    veins: ['M100 276 L100 20'],
    minor: [],
    stalk: '',
  },
  pad: {
    outline: ['M100 262 C52 262 34 200 40 140 C46 70 74 26 104 26 C138 26 164 76 164 146 C164 208 146 262 100 262 Z'],
    veins: [],
    minor: [],
    stalk: '',
  },
  succulent: {
    outline: ['M100 240 C60 240 42 200 52 140 C60 92 84 64 104 60 C128 66 150 96 152 148 C154 204 138 240 100 240 Z'],
    veins: [],
    minor: ['M100 232 C92 190 94 120 104 72'],
    stalk: 'M100 240 V278',
  },
  lobed: lobes(5, 0.66),
  'palmate-lobed': lobes(5, 0.52),
  palmate: leaflets(
    [
      [100, 200, 182, 34, 0],
      [100, 204, 142, 30, -52],
      [100, 204, 142, 30, 52],
      [100, 208, 96, 24, -98],
      [100, 208, 96, 24, 98],
    ],
    'M100 200 C100 230 101 258 104 278',
  ),
  trifoliate: leaflets(
    [
      [100, 176, 158, 58, 0],
      [96, 196, 108, 48, -74],
      [104, 196, 108, 48, 74],
    ],
    'M100 176 V200 C100 232 101 258 104 278',
  ),
  compound: leaflets(
    [
      [100, 112, 104, 40, 0],
      [98, 150, 88, 32, -62],
      [102, 150, 88, 32, 62],
      [98, 216, 80, 29, -66],
      [102, 216, 80, 29, 66],
    ],
    'M100 112 V216 C100 240 101 262 104 278',
  ),
};
leafShapes.pinnate = leaflets(
  [
    [100, 78, 70, 20, 0],
    ...[102, 140, 178, 216].flatMap((y): [number, number, number, number, number][] => [
      [98, y, 78, 17, -62],
      [102, y, 78, 17, 62],
    ]),
  ],
  'M100 78 V216 C100 240 101 262 104 278',
);
leafShapes['pinnate-lobed'] = leaflets(
  [
    [100, 108, 96, 44, 0],
    [98, 146, 84, 38, -58],
    [102, 146, 84, 38, 58],
    [98, 214, 74, 33, -64],
    [102, 214, 74, 33, 64],
  ],
  'M100 108 V216 C100 240 101 262 104 278',
);

export const shapeOf = (name: unknown): LeafShape => leafShapes[String(name)] ?? (leafShapes.ovate as LeafShape);

/** A leaf with its layers clipped to it; the underside is paler with raised veins. */
export function Leaf({
  id,
  shape,
  under,
  fill,
  bare,
  children,
  over,
}: {
  id: string;
  shape: LeafShape;
  under?: boolean;
  bare?: boolean;
  fill?: string;
  children?: ReactNode;
  over?: ReactNode;
}) {
  const d = shape.outline.join(' ');
  return (
    <g>
      <clipPath id={id}>
        <path d={d} />
      </clipPath>
      {!bare && (
        <>
          {shape.stalk && (
            <path d={shape.stalk} fill="none" stroke="var(--leaf-line)" strokeWidth="4" strokeLinecap="round" />
          )}
          <path d={d} fill={fill ?? (under ? 'color-mix(in srgb, var(--leaf) 72%, var(--sheet))' : 'var(--leaf)')} />
          <g
            clipPath={`url(#${id})`}
            fill="none"
            stroke="var(--vein)"
            strokeLinecap="round"
            opacity={under ? 0.95 : 0.75}
          >
            {shape.minor.map((v) => (
              <path key={v} d={v} strokeWidth={under ? 1.3 : 1} />
            ))}
            {shape.veins.map((v) => (
              <path key={v} d={v} strokeWidth={under ? 3 : 2.2} />
            ))}
          </g>
        </>
      )}
      <g clipPath={`url(#${id})`}>{children}</g>
      {!bare && <path d={d} fill="none" stroke="var(--leaf-line)" strokeWidth="2" strokeLinejoin="round" />}
      {over}
    </g>
  );
}
