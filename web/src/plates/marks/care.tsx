import type { Blade } from '../kit/blade';
import { add, blot, curve, lines, mix, type P, rings, soft } from '../kit/geo';
import { band, type Ctx, cloud, fields, innerLine, pick, piece, zone } from '../kit/spread';
import { Dots, Fill, Ink, Lesions, type Mark, poly, soften } from './ink';

const veins = (c: Ctx) => lines(c.leaf.blades.flatMap((b) => [...b.sides, ...b.ribs]));
const rungs = (c: Ctx) =>
  lines(fields(c, (f) => f.b.area > 900).flatMap((f) => [0.2, 0.38, 0.56, 0.74, 0.9].map((a) => [f.cell.at(a, 0), f.cell.at(a + 0.03, 0.5), f.cell.at(a, 1)])));

/** How deep a scorch reaches: deeper between the side veins than on them, and never even. */
const scallop = (c: Ctx, deep: number) => {
  const p = c.R() * 6;
  return (u: number, v: number, _i: number, b: Blade) => {
    const n = b.kind === 'hand' ? Math.abs(v) * 15 : u * Math.max(3, b.sides.length / 2);
    const k = b.long > 120 ? 1 : 0.62;
    return k * deep * (0.45 + 0.55 * Math.abs(Math.sin(Math.PI * n)) + 0.28 * Math.sin(9 * u + p + 4 * v));
  };
};

/** A dead rim: a yellow zone, dead tissue, a darker line on its inner side. */
const scorch = (c: Ctx, deep: number, dead: string, edge: string, zoneC = '#e8d562', only?: (u: number, v: number, b: Blade) => boolean) => {
  const f = scallop(c, deep);
  const g = (k: number, more: number) => (u: number, v: number, i: number, b: Blade) => (only && !only(u, v, b) ? 0.01 : f(u, v, i, b) * k + more);
  return (
    <>
      <Fill eo d={rings(band(c, g(1, deep * 0.5)))} c={zoneC} o={0.7} />
      <Fill eo d={rings(band(c, g(1, 0)))} c={dead} />
      <Ink d={lines(innerLine(c, g(1, 0)))} c={edge} w={1.5} />
      <Ink d={lines(innerLine(c, g(0.55, 0)))} c={edge} w={0.6} o={0.5} />
    </>
  );
};

/** What water, food, light, weather and our own hands leave on a leaf. Colours are the sign's own, in both themes. */
export const care: Record<string, Mark> = {
  'burn-scars': (c) => (
    <Lesions
      at={pick(c, 9, { u: [0.15, 0.95] })}
      size={(s) => Math.min(s.b.wide * 0.4, 7 + s.r * 13)}
      c={c}
      body="#c39355"
      rim="#6f3f14"
      heart="#e3c796"
      rough={0.9}
      rimW={1.5}
    />
  ),
  'residue-runs': (c) => {
    const at = pick(c, 15, { u: [0.25, 0.95] });
    return (
      <>
        <Ink d={lines(at.map((s) => [s.p, add(s.p, [1.5, 10 + s.r * 18])]))} c="#fbfbf5" w={1.8} o={0.85} />
        <Fill d={at.map((s) => soft(blot(add(s.p, [1.5, 14 + s.r * 18]), 3.4 + s.r * 2, c.R, 0.2, 9))).join('')} c="#ffffff66" e="#fff" w={1.7} />
        <Fill d={soften(pick(c, 16), (s) => 2.4 + s.r * 3, c.R, 0.2)} c="none" e="#fbfbf5" w={1.3} />
      </>
    );
  },
  crust: (c) => <Fill d={soften(pick(c, 22), (s) => 3 + s.r * 5, c.R, 0.9, 7)} c="#f2efe6" e="#b9b3a2" w={0.8} />,
  crusted: (c) => (
    <>
      <Fill eo d={rings(band(c, (u) => 2.6 + 2 * Math.abs(Math.sin(u * 34))))} c="#fdfcf6" e="#b5ae9a" w={0.6} />
      <Dots
        at={cloud(
          c,
          c.leaf.blades.flatMap((b) => b.outline.filter((_, i) => i % 5 === 0)),
          2,
          5,
        )}
        r={1}
        c="#fffdf4"
      />
    </>
  ),
  'even-yellow': (c) => (
    <>
      <Fill d={c.leaf.path} c="#e8d257" o={0.86} />
      <Ink d={veins(c)} c="#c9b23c" w={1} />
    </>
  ),
  'yellow-fall': (c) => (
    <>
      <Fill d={c.leaf.path} c="#e8d257" o={0.62} />
      <Fill d={poly(zone(c, (v) => 0.62 + 0.08 * Math.cos(v * 4)))} c="#c7a13a" o={0.6} />
    </>
  ),
  // Iron, and lime: green lines to the finest net on lemon.
  'chlorosis-young': (c) => (
    <>
      <Fill d={c.leaf.path} c="#f2ec92" o={0.94} />
      <Ink d={rungs(c)} c="#86a84f" w={0.8} />
      <Ink d={veins(c)} c="#4f7a2c" w={1.8} />
    </>
  ),
  'interveinal-young': (c) => (
    <>
      <Fill d={poly(fields(c).map((f) => piece(f, 0.06, 1.02, 0.1, 0.9)))} c="#efe788" o={0.86} />
    </>
  ),
  // Magnesium: a green wedge on the midrib, yellow from the margin between the veins, a tint of red.
  'chlorosis-old': (c) => (
    <>
      <Fill
        d={poly(
          fields(c).map((f) => [
            f.cell.at(1.04, 0.02),
            f.cell.at(0.7, 0.1),
            f.cell.at(0.34, 0.42),
            f.cell.at(0.34, 0.56),
            f.cell.at(0.7, 0.9),
            f.cell.at(1.04, 0.98),
          ]),
        )}
        c="#e9d44c"
      />
      <Fill
        d={poly(fields(c).map((f) => [f.cell.at(1.04, 0.1), f.cell.at(0.8, 0.28), f.cell.at(0.6, 0.5), f.cell.at(0.8, 0.74), f.cell.at(1.04, 0.9)]))}
        c="#c8693f"
        o={0.6}
      />
    </>
  ),
  // Manganese: feathered green bands along the veins, pale between.
  'broad-green': (c) => (
    <>
      <Fill d={c.leaf.path} c="#eee6a0" o={0.9} />
      <Ink d={veins(c)} c="#6d9a3f" w={13} o={0.35} />
      <Ink d={veins(c)} c="#5b8a34" w={7} o={0.6} />
      <Ink
        d={lines(
          fields(c, (f) => f.b.area > 900).flatMap((f) =>
            [0.16, 0.34, 0.52, 0.7, 0.86].flatMap((a) => [
              [f.cell.at(a, 0), f.cell.at(a + 0.05, 0.26)],
              [f.cell.at(a, 1), f.cell.at(a + 0.05, 0.76)],
            ]),
          ),
        )}
        c="#5b8a34"
        w={1.5}
        o={0.6}
      />
    </>
  ),
  acid: (c) => (
    <>
      <Fill eo d={rings(band(c, (u) => 12 + 5 * Math.sin(u * 9)))} c="#a63a2b" o={0.5} />
    </>
  ),
  'edge-burn': (c) => scorch(c, 15, '#a9742f', '#5f3a12'),
  'old-edges': (c) => (
    <>
      <Fill eo d={rings(band(c, scallop(c, 30)))} c="#e6d04c" o={0.72} />
    </>
  ),
  // Vessels blocked: a green middle, a bright yellow line, a dead rim.
  'blocked-edge': (c) => {
    const f = scallop(c, 15);
    return (
      <>
        <Fill eo d={rings(band(c, (u, v, i, b) => f(u, v, i, b) + 6))} c="#f0dc3e" />
        <Fill eo d={rings(band(c, f))} c="#8d6a44" />
        <Ink d={lines(innerLine(c, f))} c="#4f2f14" w={2} />
      </>
    );
  },
  // One side of every leaf, the side the wind came from, torn and bleached.
  'one-side': (c) => {
    if (c.leaf.as === 'needles' || c.leaf.as === 'spray') {
      const side = c.leaf.blades.filter((b) => b.turn > 0);
      return <Fill d={poly(side.map((b) => b.outline))} c="#a8713a" o={0.95} />;
    }
    return (
      <>
        <Fill
          d={poly(
            c.leaf.blades.map((b) => [
              ...Array.from({ length: 15 }, (_, i) => b.at(i / 14, 0.28 + 0.14 * Math.sin(i * 2.2))),
              ...Array.from({ length: 15 }, (_, i) => b.at(1 - i / 14, 1.05)),
            ]),
          )}
          c="#e5d48c"
          o={0.75}
        />
        <Fill
          d={poly(
            c.leaf.blades.map((b) => [
              ...Array.from({ length: 15 }, (_, i) => b.at(i / 14, 0.46 + 0.16 * Math.sin(i * 2.2))),
              ...Array.from({ length: 15 }, (_, i) => b.at(1 - i / 14, 1.05)),
            ]),
          )}
          c="#a57b47"
          e="#6b4720"
          w={1.3}
        />
        <Ink
          d={lines(c.leaf.blades.flatMap((b) => [0.25, 0.42, 0.6, 0.76].map((u) => [b.at(u, 1.02), b.at(u - 0.02, 0.7), b.at(u + 0.02, 0.6)])))}
          c="#4f3413"
          w={1}
        />
      </>
    );
  },
  // Low down on the side that was splashed.
  'low-patch': (c) => {
    if (c.leaf.blades.length > 6) {
      const needles = c.leaf.as === 'needles' || c.leaf.as === 'spray';
      const low = c.leaf.blades.filter((b) => {
        const p = b.at(0.5, 0);
        return needles ? p[1] > 130 && Math.abs(p[0] - 100) < 44 : p[1] > 130;
      });
      return (
        <>
          <Fill d={poly(low.map((b) => b.outline))} c={needles ? '#c9a24a' : '#9a6a34'} />
          <Ink d={lines(low.flatMap((b) => b.ribs))} c="#5f3a12" w={0.8} />
        </>
      );
    }
    const edge = c.leaf.blades.map((b): P[] => [
      b.at(0, -1.1),
      b.at(0.1, -1.1),
      b.at(0.36, -1.1),
      b.at(0.42, -0.6),
      b.at(0.3, -0.1),
      b.at(0.4, 0.4),
      b.at(0.32, 1.1),
      b.at(0, 1.1),
    ]);
    return <Fill d={edge.map(soft).join('')} c="#7d5426" e="#4b2d0e" w={1.4} />;
  },
  'bleached-top': (c) => (
    <>
      <Fill d={soften(pick(c, 7, { u: [0.35, 0.95], v: [-0.6, 0.9] }), (s) => Math.min(s.b.wide * 0.36, 14 + s.r * 14), c.R, 0.6, 12)} c="#e9dba6" o={0.8} />
      <Fill
        d={soften(pick(c, 6, { u: [0.4, 0.9], v: [-0.5, 0.8] }), (s) => Math.min(s.b.wide * 0.3, 9 + s.r * 13), c.R, 0.6, 12)}
        c="#fbf5e2"
        e="#b3945a"
        w={1.3}
      />
    </>
  ),
  'tip-burn': (c) => {
    if (c.leaf.as === 'strap' || c.leaf.as === 'needles' || c.leaf.as === 'spray') {
      const f = (v: number) => 0.8 + 0.05 * Math.cos(v * 3);
      return (
        <>
          <Fill d={poly(zone(c, (v) => f(v) - 0.06))} c="#e8d562" o={0.8} />
          <Fill d={poly(zone(c, f))} c="#94642f" />
          <Ink d={lines(zone(c, f).map((z) => z.slice(0, 9)))} c="#4f2f0e" w={1.6} />
        </>
      );
    }
    return scorch(c, 17, '#4d3018', '#2a1708', '#c9b45a', (u, v, b) => (b.kind === 'hand' ? Math.abs(v) < 0.7 : u > 0.42));
  },
  // Salts gather where the leaf gives off its water last: at the tip, then down the edge.
  'tips-brown': (c) => (
    <>
      <Fill d={poly(zone(c, (v) => 0.72 - 0.22 * Math.abs(v) ** 3))} c="#e8d562" o={0.85} />
      <Fill d={poly(zone(c, (v) => 0.8 - 0.3 * Math.abs(v) ** 4))} c="#96632c" />
      <Ink d={lines(zone(c, (v) => 0.8 - 0.3 * Math.abs(v) ** 4).map((z) => z.slice(0, 9)))} c="#4f2f0e" w={1.6} />
    </>
  ),
  rolled: () => null,
  crumpled: (c) => {
    const f = fields(c, (x, i) => x.b.area > 200 && i % 2 === 0);
    return (
      <>
        <Fill d={f.map((x) => soft(piece(x, 0.14, 0.8, 0.1, 0.9, 3))).join('')} c="#ffffff" o={0.2} />
        <Ink d={f.map((x) => curve([x.cell.at(0.14, 0.2), x.cell.at(0.45, 0.02), x.cell.at(0.8, 0.25)])).join('')} c="#39502a" w={1.5} o={0.6} />
        <Ink d={f.map((x) => curve([x.cell.at(0.2, 0.7), x.cell.at(0.5, 0.95), x.cell.at(0.82, 0.75)])).join('')} c="#39502a" w={0.9} o={0.5} />
      </>
    );
  },
  hollow: (c) => {
    const b = c.leaf.blades[0];
    const p = b?.at(0, 0) ?? [100, 250];
    return (
      <g transform={`translate(${p[0]} ${p[1] - 2})`}>
        <ellipse rx="17" ry="9" fill="#efe6cf" stroke="#5a4a2c" strokeWidth="1.4" />
        <path d="M-9-1Q0-7 9-1Q6 5 0 4Q-7 5-9-1Z" fill="#2c2118" />
        <path d="M-5 0Q0-3 5 0" stroke="#8a6a44" strokeWidth="1" fill="none" />
      </g>
    );
  },
  'strap-leaf': (c) => (
    <Ink
      d={lines(
        c.leaf.blades.flatMap((b) =>
          [-0.62, -0.3, 0.3, 0.62].map((v) =>
            Array.from({ length: 12 }, (_, i) => b.at(b.kind === 'hand' ? 0.1 + i * 0.075 : 0.04 + i * 0.082, b.kind === 'hand' ? v * 0.8 : v)),
          ),
        ),
      )}
      c="#f3f2cf"
      w={1.3}
    />
  ),
  'narrow-white': (c) => (
    <>
      <Fill d={c.leaf.path} c="#fbf8e2" o={0.9} />
      <Ink d={veins(c)} c="#b9c48a" w={0.9} />
    </>
  ),
  glossy: (c) => (
    <Ink
      d={
        c.leaf.blades
          .filter((b) => b.area > 160)
          .map((b) => curve(Array.from({ length: 8 }, (_, i) => b.at(0.16 + i * 0.095, -0.46 + 0.05 * Math.sin(i)))))
          .join('') +
        c.leaf.blades
          .filter((b) => b.area > 160)
          .map((b) => curve(Array.from({ length: 4 }, (_, i) => b.at(0.3 + i * 0.1, 0.42))))
          .join('')
      }
      c="#fff"
      w={7}
      o={0.8}
    />
  ),
  bloom: (c) => {
    // A leaf half wiped by a finger: its own green shows where the bloom is gone.
    const b = c.leaf.blades[0];
    const way = Array.from(
      { length: 9 },
      (_, i): P => b?.at(b.kind === 'hand' ? 0.3 + 0.06 * i : 0.2 + 0.07 * i, b.kind === 'hand' ? -0.16 + i * 0.05 : -0.55 + 0.13 * i) ?? [0, 0],
    );
    return (
      <>
        <Fill d={c.leaf.path} c="#dfe9f0" o={0.78} />
        <Ink d={curve(way)} c="#c3d3dc" w={29} />
        <Ink d={curve(way)} c="#6f9a55" w={24} />
        <Ink d={curve(way.map((p) => add(p, [-5, -5])))} c="#8fb873" w={2} />
        <Dots at={cloud(c, [way[way.length - 1] as P], 16, 15)} r={1.2} c="#f6fafc" />
      </>
    );
  },
  chill: (c) => <Fill d={soften(pick(c, 9), (s) => 12 + s.r * 15, c.R, 0.6, 11)} c="#7fa0a4" o={0.5} />,
  russet: (c) => {
    const f = fields(c, (x) => x.b.area > 200);
    const cracks = f.flatMap((x) =>
      [0.25, 0.5, 0.75]
        .filter(() => c.R() < 0.55)
        .map((a) => [x.cell.at(a, 0.1), x.cell.at(a + 0.05, 0.35), x.cell.at(a - 0.02, 0.6), x.cell.at(a + 0.04, 0.9)]),
    );
    return (
      <>
        <Fill d={soften(pick(c, 12), (s) => 8 + s.r * 12, c.R, 0.8, 12)} c="#a8743c" o={0.6} />
        <Ink d={lines(cracks)} c="#5f3a16" w={1} />
        <Fill d={soften(pick(c, 14), (s) => 2 + s.r * 2, c.R, 0.2)} c="#3f7fa0" o={0.75} />
      </>
    );
  },
  'sulfur-yellow': (c) => (
    <>
      <Dots
        at={cloud(
          c,
          pick(c, 18).map((s) => s.p),
          16,
          13,
        )}
        r={0.9}
        c="#f4ea6a"
      />
      <Fill d={soften(pick(c, 9), (s) => 5 + s.r * 6, c.R, 0.6)} c="#f6ee86" o={0.7} />
      <Fill eo d={rings(band(c, (u, v) => 4 + 4 * Math.abs(Math.sin(u * 13 + v * 9))))} c="#e3cba0" o={0.9} />
    </>
  ),
  'bleached-spots': (c) => <Lesions at={pick(c, 22)} size={(s) => 2 + s.r * 4.5} c={c} body="#fbf5e2" rim="#9a7444" rough={0.35} zone="#efe6b0" />,
  'corky-bumps': (c) => (
    <>
      {pick(c, 30).map((s, i) => (
        <g key={i} transform={`translate(${s.p[0].toFixed(1)} ${s.p[1].toFixed(1)})`}>
          <ellipse cx=".9" cy="1.2" rx={3.2 + s.r * 2} ry={2.6 + s.r} fill="#4b3216" opacity=".45" />
          <path d={soft(blot([0, 0], 3 + s.r * 2.2, c.R, 0.35, 8))} fill="#bf9d69" stroke="#7a5a34" strokeWidth=".9" />
          <path d="M-1.6-.8q1.4-1.4 3-.4M-1 .8q1 .8 2.4 0" stroke="#6b4a24" strokeWidth=".6" fill="none" />
        </g>
      ))}
    </>
  ),
  'spore-rows': (c) => {
    const at = c.leaf.blades.flatMap((b) => [-0.42, 0.42].flatMap((v) => [0.16, 0.32, 0.48, 0.64, 0.8].map((u) => b.at(u, v))));
    return (
      <>
        <Dots at={at} r={2.3} c="#3d1f0a" />
        <Dots at={at} r={1.6} c="#8a5526" />
      </>
    );
  },
  dust: (c) => (
    <>
      <Dots
        at={cloud(
          c,
          pick(c, 30).map((s) => s.p),
          14,
          18,
        )}
        r={1.25}
        c="#f6cf1c"
      />
      <Dots
        at={cloud(
          c,
          pick(c, 10).map((s) => s.p),
          9,
          12,
        )}
        r={0.6}
        c="#a8830e"
      />
    </>
  ),
  'splash-low': (c) => {
    // One low side, with a sharp front and a bright green band where it fed before it burned.
    const low = c.leaf.blades.filter((b) => b.at(0.4, 0)[1] > 118);
    return (
      <>
        <Fill d={poly(low.map((b) => b.outline))} c="#b98f4a" />
        <Fill d={poly(low.filter((_, i) => i % 3 !== 0).map((b) => b.outline.map((p) => mix(b.at(0.6, 0), p, 0.72))))} c="#6f4a1e" />
        <Fill d={poly(c.leaf.blades.filter((b) => b.at(0.4, 0)[1] <= 118 && b.at(0.4, 0)[1] > 70).map((b) => b.outline))} c="#2f6b2a" o={0.45} />
      </>
    );
  },
};
