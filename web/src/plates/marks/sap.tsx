import { add, blot, curve, lines, mix, type P, soft } from '../kit/geo';
import { type Ctx, cloud, pick, piece, some, zone } from '../kit/spread';
import { Dots, Fill, Ink, type Mark, poly, soften } from './ink';

/** Sweet drops: each its own size, clear, lit from the upper left. */
const drops = (c: Ctx, n: number, big: number, body = '#f1e4a6') => {
  const at = pick(c, n, { u: [0.06, 0.94] });
  return (
    <>
      <Fill d={at.map((s) => soft(blot(s.p, 1.2 + big * s.r ** 2, c.R, 0.2, 7, 1.25, c.R()))).join('')} c={body} e="#a08a3a" w={0.6} o={0.8} />
      <Ink d={lines(at.filter((s) => s.r > 0.4).map((s) => [add(s.p, [-1.2 * s.r - 0.4, -0.6]), add(s.p, [-0.2, -1.5 * s.r - 0.3])]))} c="#fff" w={1} />
    </>
  );
};

const wool = (c: Ctx, at: readonly P[], r: number, n = 26) => (
  <>
    <Fill d={at.map((p) => soft(blot(p, r, c.R, 0.5, 11, 1.2, c.R() * 3))).join('')} c="#fbfbf6" e="#b9beb2" w={0.7} />
    <Ink
      d={at
        .flatMap((p) =>
          Array.from({ length: n }, () => {
            const a = c.R() * 6.283;
            const q = add(p, [Math.cos(a) * r * (0.5 + c.R() * 0.5), Math.sin(a) * r * (0.4 + c.R() * 0.5)]);
            const b = a + 1.3 * (c.R() - 0.5);
            const e = add(q, [Math.cos(b) * r * 0.7, Math.sin(b) * r * 0.7]);
            return curve([q, add(mix(q, e, 0.5), [(c.R() - 0.5) * r * 0.5, (c.R() - 0.5) * r * 0.5]), e]);
          }),
        )
        .join('')}
      c="#fff"
      w={0.9}
    />
    <Ink
      d={at
        .flatMap((p) =>
          Array.from({ length: 5 }, () =>
            curve([
              add(p, [(c.R() - 0.5) * r, (c.R() - 0.5) * r]),
              add(p, [(c.R() - 0.5) * r * 1.4, (c.R() - 0.5) * r]),
              add(p, [(c.R() - 0.5) * r * 1.8, (c.R() - 0.5) * r * 1.4]),
            ]),
          ),
        )
        .join('')}
      c="#a9b0a2"
      w={0.5}
    />
  </>
);

/** What suckers, mites and gall makers leave. Colours are the sign's own, in both themes. */
export const sap: Record<string, Mark> = {
  stippling: (c) => {
    const centres = pick(c, 22, { u: [0.05, 0.8], v: [-0.6, 0.6] }).map((s) => s.p);
    return (
      <>
        <Dots at={cloud(c, centres, 17 * c.amount, c.leaf.blades.length > 6 ? 12 : 17)} r={0.85} c="#f6f2c4" />
        <Dots at={cloud(c, centres.slice(0, 12), 8 * c.amount, 10)} r={0.6} c="#fffdee" />
      </>
    );
  },
  'coarse-flecks': (c) => <Fill d={soften(pick(c, 95, { u: [0.05, 0.94] }), (s) => 1 + s.r ** 2 * 2.4, c.R, 0.7, 6)} c="#fbf9e2" />,
  'vein-flecks': (c) => (
    <Dots
      at={cloud(
        c,
        c.leaf.blades.flatMap((b) => [...(b.ribs[0] ?? []).filter((_, i) => i % 2), ...b.sides.flatMap((s) => [s[2] as P])]),
        5 * c.amount,
        4,
      )}
      r={1}
      c="#f8f5cf"
    />
  ),
  bronzing: (c) => (
    <>
      <Fill d={soften(pick(c, 26, { u: [0.05, 0.85] }), (s) => 10 + s.r * 16, c.R, 0.5)} c="#a8672c" o={0.26} />
      <Fill d={soften(pick(c, 14, { u: [0.05, 0.7], v: [-0.4, 0.4] }), (s) => 8 + s.r * 12, c.R, 0.5)} c="#8a4d1c" o={0.24} />
      <Dots
        at={cloud(
          c,
          pick(c, 16).map((s) => s.p),
          12,
          15,
        )}
        r={0.6}
        c="#6b3a14"
        o={0.7}
      />
    </>
  ),
  silvering: (c) => {
    const f = some(c, 13, (x) => x.cell.u > 0.08);
    const bits = f.map((x) => piece(x, 0.12 + c.R() * 0.2, 0.6 + c.R() * 0.35, 0.12, 0.86, 3));
    return (
      <>
        <Fill d={bits.map(soft).join('')} c="#eef1ee" o={0.85} />
        <Ink d={lines(f.flatMap((x) => [0.2, 0.4, 0.62, 0.8].map((a) => [x.cell.at(a, 0.2 + c.R() * 0.2), x.cell.at(a + 0.12, 0.7)])))} c="#a9b3ae" w={0.7} />
      </>
    );
  },
  'black-dots': (c) => {
    const at = cloud(
      c,
      pick(c, 9).map((s) => s.p),
      6,
      9,
    );
    return (
      <>
        <Dots at={at} r={1.15} c="#17130f" />
        <Dots at={at.map((p): P => [p[0] - 0.4, p[1] - 0.4])} r={0.3} c="#fff" />
      </>
    );
  },
  'tar-spots': (c) => {
    const at = pick(c, 34, { u: [0.06, 0.9], v: [-0.5, 0.5] });
    return (
      <>
        <Fill d={soften(at, (s) => 1.2 + s.r * 2, c.R, 0.4, 6)} c="#2b1c10" />
        <Dots at={at.map((s): P => add(s.p, [-0.7, -0.7]))} r={0.45} c="#e9dcc0" />
      </>
    );
  },
  'cast-skins': (c) =>
    pick(c, 7, { u: [0.12, 0.85] }).map((s, i) => {
      const a = c.R() * 360;
      return (
        <g key={i} transform={`translate(${s.p[0].toFixed(1)} ${s.p[1].toFixed(1)}) rotate(${a.toFixed(0)})`}>
          <path d="M-3.4-1.6L-6-4M-3.4 1.6L-6 4M0-2L1-5.4M0 2L1 5.4M3-1.4L6.4-3.6M3 1.4L6.4 3.6" fill="none" stroke="#8f8a72" strokeWidth=".6" />
          <path d="M-6 0C-4-3 3-2.6 7 0C3 2.6-4 3-6 0Z" fill="#fffef6" stroke="#8f8a72" strokeWidth=".6" />
          <path d="M-3 0H4" stroke="#bdb89c" strokeWidth=".6" />
        </g>
      );
    }),
  honeydew: (c) => drops(c, 30, 4.4),
  'clear-drops': (c) => {
    const at = c.leaf.blades.flatMap((b) => b.outline.filter((_, i) => i % Math.max(4, Math.round(b.outline.length / 9)) === 2));
    return at.map((p, i) => {
      const r = 2.6 + c.R() * 2.2;
      return (
        <g key={i} transform={`translate(${p[0].toFixed(1)} ${(p[1] + r * 0.5).toFixed(1)})`}>
          <path
            d={`M0 ${-r * 1.7}C${r * 0.4} ${-r * 0.7} ${r} ${-r * 0.2} ${r} ${r * 0.3}A${r} ${r} 0 1 1 ${-r} ${r * 0.3}C${-r} ${-r * 0.2} ${-r * 0.4} ${-r * 0.7} 0 ${-r * 1.7}Z`}
            fill="#d6eaf2"
            stroke="#5b7f90"
            strokeWidth=".8"
          />
          <path d={`M${-r * 0.5} ${r * 0.2}A${r * 0.6} ${r * 0.6} 0 0 0 ${-r * 0.1} ${r * 0.7}`} fill="none" stroke="#fff" strokeWidth="1.1" />
        </g>
      );
    });
  },
  sooty: (c) => (
    <>
      <Fill d={soften(pick(c, 20), (s) => 9 + s.r * 16, c.R, 0.6, 11)} c="#1d1c1a" o={0.5} />
      <Fill d={soften(pick(c, 14), (s) => 5 + s.r * 9, c.R, 0.6)} c="#12110f" o={0.55} />
      <Dots
        at={cloud(
          c,
          pick(c, 16).map((s) => s.p),
          12,
          14,
        )}
        r={0.6}
        c="#12110f"
      />
    </>
  ),
  peel: (c) => {
    const s = pick(c, 1, { u: [0.4, 0.6], v: [-0.3, 0.3] })[0];
    const p = s?.p ?? [100, 140];
    return (
      <>
        <Fill d={soft(blot(p, 26, c.R, 0.35, 11))} c="var(--leaf)" />
        <path d={`M${p[0] + 4} ${p[1] + 20}q26-2 26-26q-4-10-12-12q4 22-14 38z`} fill="#2a2926" stroke="#4c4a45" strokeWidth="1" />
        <path d={`M${p[0] + 4} ${p[1] + 20}q26-2 26-26q-12 10-26 26z`} fill="#6f6d66" />
      </>
    );
  },
  'yellow-dots': (c) => (
    <>
      <Fill d={soften(pick(c, 17), (s) => 5 + s.r * 6, c.R, 0.4)} c="#e9d45c" o={0.55} />
      <Fill d={soften(pick(c, 17), (s) => 3 + s.r * 3, c.R, 0.4)} c="#f1e27a" o={0.7} />
    </>
  ),
  webbing: (c) => {
    const b = c.leaf.blades[c.leaf.blades.length - 1];
    const n = 15;
    const a = Array.from({ length: n }, (_, i) => b?.at(0.1 + (0.85 * i) / n, -0.9) ?? [0, 0]) as P[];
    const z = Array.from({ length: n }, (_, i) => b?.at(0.3 + (0.68 * i) / n, 0.9) ?? [0, 0]) as P[];
    return (
      <>
        <Ink d={a.map((p, i) => curve([p, add(mix(p, z[(i * 5) % n] as P, 0.5), [0, 6]), z[(i * 5) % n] as P])).join('')} c="#fff" w={0.6} o={0.9} />
        <Dots
          at={cloud(
            c,
            a.filter((_, i) => i % 4 === 0),
            5,
            14,
          )}
          r={0.8}
          c="#b9a24c"
        />
      </>
    );
  },
  eggs: (c) => {
    const s = pick(c, 3, { u: [0.25, 0.75], v: [-0.5, 0.5] });
    return s.map((x, k) => (
      <g key={k}>
        {Array.from({ length: 9 }, (_, i) => (
          <circle
            key={i}
            cx={(x.p[0] + (i % 3) * 3.4 - 3.4).toFixed(1)}
            cy={(x.p[1] + Math.floor(i / 3) * 3.2 + (i % 2)).toFixed(1)}
            r="1.7"
            fill="#f2e9c2"
            stroke="#9c8d4e"
            strokeWidth=".5"
          />
        ))}
      </g>
    ));
  },
  felt: (c) => {
    const f = some(c, 13, (x) => x.cell.u > 0.1 && x.cell.u < 0.9);
    const patches = f.map((x) => piece(x, 0.22, 0.82, 0.08, 0.92, 4));
    const hairs = patches.flatMap((q) => cloud(c, [q[2] as P, q[7] as P, mix(q[1] as P, q[6] as P, 0.5)], 9, 7));
    return (
      <>
        <Fill d={patches.map(soft).join('')} c="#d9b48c" e="#8a5a34" w={1} />
        <Ink d={lines(hairs.map((p) => [p, add(p, [(c.R() - 0.5) * 3, -2.6])]))} c="#fbf1de" w={0.8} />
        <Ink d={lines(hairs.slice(0, 60).map((p) => [add(p, [1, 0.6]), add(p, [1.6, -1.2])]))} c="#a4683c" w={0.6} />
      </>
    );
  },
  'red-galls': (c) => {
    const at = pick(c, 7, { u: [0.55, 1], v: [-0.7, 0.7] });
    return (
      <>
        <Fill d={soften(at, (s) => 7 + s.r * 9, c.R, 0.4)} c="#c2453f" e="#7d2622" w={1.2} />
        <Ink
          d={lines(
            cloud(
              c,
              at.map((s) => s.p),
              12,
              12,
            ).map((p) => [p, add(p, [(c.R() - 0.5) * 4, -3])]),
          )}
          c="#f6dcd2"
          w={0.7}
        />
      </>
    );
  },
  'pimple-galls': (c) => (
    <>
      {pick(c, 15).map((s, i) => (
        <g key={i} transform={`translate(${s.p[0].toFixed(1)} ${s.p[1].toFixed(1)})`}>
          <ellipse cx="1" cy="1.6" rx={4.6 + s.r * 2} ry="3" fill="#39401f" opacity=".35" />
          <circle r={(3.6 + s.r * 2.4).toFixed(1)} fill="#c98a5a" stroke="#6b3d1c" strokeWidth=".9" />
          <circle r="1.2" fill="#6b3d1c" />
          <path d="M-2-2q1-1.6 2.6-1.4" stroke="#f6e0c2" strokeWidth=".9" fill="none" />
        </g>
      ))}
    </>
  ),
  'fleshy-galls': (c) => {
    const at = pick(c, 7, { u: [0.2, 0.95], v: [-0.8, 0.8] });
    return at.map((s, i) => {
      const r = 7 + s.r * 8;
      return (
        <g key={i} transform={`translate(${s.p[0].toFixed(1)} ${s.p[1].toFixed(1)})`}>
          <path d={soft(blot([2, 3], r, c.R, 0.3, 9))} fill="#39401f" opacity=".3" />
          <path d={soft(blot([0, 0], r, c.R, 0.35, 9))} fill="#e6c4c0" stroke="#8d4a52" strokeWidth="1.1" />
          <path
            d={`M${-r * 0.5} ${-r * 0.3}q${r * 0.3} ${-r * 0.5} ${r * 0.8} ${-r * 0.3}`}
            fill="none"
            stroke="#fff"
            strokeWidth="1.8"
            strokeLinecap="round"
          />
          <path d={`M${r * 0.1} ${r * 0.5}q${r * 0.5} 0 ${r * 0.6} ${-r * 0.5}`} fill="none" stroke="#b56a70" strokeWidth="1.4" />
        </g>
      );
    });
  },
  scars: (c) => <Ink d={lines(pick(c, 26).map((s) => [s.p, add(s.p, [4 * (s.r - 0.5), 6])]))} c="#a98a5e" w={1.2} />,
  tufts: (c) =>
    wool(
      c,
      pick(c, c.leaf.as === 'needles' ? 24 : 7, { u: [0.02, 0.5], v: [-0.5, 0.5] }).map((s) => s.p),
      c.leaf.as === 'needles' ? 4.6 : 11,
      c.leaf.as === 'needles' ? 7 : 26,
    ),
  'male-fluff': (c) =>
    wool(
      c,
      pick(c, 9, { u: [0.1, 0.85], v: [-0.7, 0.7] }).map((s) => s.p),
      7,
      18,
    ),
  'white-males': (c) =>
    pick(c, 26, { u: [0.1, 0.9] }).map((s, i) => (
      <g key={i} transform={`translate(${s.p[0].toFixed(1)} ${s.p[1].toFixed(1)}) rotate(${(c.R() * 180).toFixed(0)})`}>
        <path d="M-4.6-1.3L4.2-1.6Q5.4 0 4.2 1.6L-4.6 1.3Z" fill="#fff" stroke="#8e918a" strokeWidth=".6" />
        <path d="M-4-.0H4" stroke="#c3c6bd" strokeWidth=".6" />
      </g>
    )),
  wax: (c) => {
    const at = pick(c, 20, { u: [0.15, 0.9], v: [0.5, 0.95] });
    return (
      <Ink d={at.map((s) => curve([s.p, add(s.p, [3, -4]), add(s.p, [7, -2 - s.r * 3]), add(s.p, [6, 3]), add(s.p, [2.4, 2])])).join('')} c="#fff" w={1.7} />
    );
  },
  'rolled-edge': (c) => (
    <Fill
      d={poly(
        c.leaf.blades.map((b) => [
          ...Array.from({ length: 12 }, (_, i) => b.at(0.08 + i * 0.075, 1)),
          ...Array.from({ length: 12 }, (_, i) => b.at(0.9 - i * 0.075, 0.34 + 0.05 * Math.sin(i * 2))),
        ]),
      )}
      c="#d98f5a"
      o={0.55}
    />
  ),
  'hopper-burn': (c) => (
    <>
      <Fill d={poly(zone(c, (v) => 0.5 + Math.abs(v) * 0.12 - (Math.abs(v) > 0.7 ? 0.28 : 0)))} c="#e6cf55" o={0.85} />
      <Fill d={poly(zone(c, (v) => 0.74 + 0.05 * Math.cos(v * 5) - (Math.abs(v) > 0.8 ? 0.3 : 0)))} c="#9a6428" e="#6b4216" w={1.2} />
    </>
  ),
  'bud-blast': (c) => {
    const b = c.leaf.blades[0];
    const p = b?.at(0.02, 0) ?? [100, 250];
    return (
      <g transform={`translate(${p[0]} ${p[1] - 14}) rotate(-20)`}>
        <path d="M0 24C-18 10-17-16 0-34C17-16 18 10 0 24Z" fill="#6b4326" stroke="#33200f" strokeWidth="1.6" />
        <path d="M0 24C-6 6-6-14 0-34M-12 14C-12 0-8-14-2-28M12 14C12 0 8-14 2-28" fill="none" stroke="#33200f" strokeWidth="1.1" />
        <path
          d="M-8-12l-5-7M-3-20l-4-8M4-22l3-8M9-10l5-7M-10 2l-7-5M11 2l7-4M0-4l-2-7M5 8l5-6M-6 12l-5-6"
          stroke="#15110e"
          strokeWidth="1.6"
          strokeLinecap="round"
        />
      </g>
    );
  },
  froth: (c) => {
    const b = c.leaf.blades[Math.floor(c.leaf.blades.length / 2)];
    const p = b?.at(0.03, 0) ?? [100, 200];
    const at = Array.from({ length: 30 }, (): [P, number] => {
      const a = c.R() * 6.283;
      const q = 17 * Math.sqrt(c.R());
      return [add(p, [Math.cos(a) * q, Math.sin(a) * q * 1.2]), 2.4 + c.R() * 5];
    });
    return (
      <>
        <path d={soft(blot(p, 24, c.R, 0.3, 12))} fill="#fff" stroke="#9fb2b4" strokeWidth="1" />
        {at.map(([q, r], i) => (
          <circle key={i} cx={q[0].toFixed(1)} cy={q[1].toFixed(1)} r={r.toFixed(1)} fill="#ffffffcc" stroke="#a9bcc0" strokeWidth=".7" />
        ))}
        <Ink d={lines(at.filter((_, i) => i % 2).map(([q, r]) => [add(q, [-r * 0.5, -r * 0.1]), add(q, [-r * 0.1, -r * 0.55])]))} c="#7fa0a8" w={0.7} />
      </>
    );
  },
  tubes: () => null,
  curl: () => null,
  'curl-tips': () => null,
};

/** Signs of these words stand out over the leaf's edge and are not clipped to it. */
export const over = new Set([
  'webbed-nest',
  'webbing',
  'froth',
  'clear-drops',
  'bud-blast',
  'tufts',
  'fleshy-galls',
  'red-galls',
  'rolled-leaf',
  'pimple-galls',
  'wax',
  'white-edge-fuzz',
]);
