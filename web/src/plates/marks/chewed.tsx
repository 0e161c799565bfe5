import { add, blot, curve, dist, lines, mix, type P, soft, taper } from '../kit/geo';
import { cloud, pick, piece, some } from '../kit/spread';
import { Dots, dotted, Fill, Ink, type Mark, poly, soften } from './ink';

/** What miners, slugs, caterpillars and their silk leave; what they cut away is in the kit's bites. */
export const chewed: Record<string, Mark> = {
  'winding-mines': (c) => {
    const runs = pick(c, c.leaf.blades.length > 3 ? 6 : 3, { u: [0.2, 0.7], v: [-0.6, 0.6] }).map((s) => {
      // A grub goes its own way, stays between the margins, and grows: the mine widens.
      let [u, v, a] = [s.u, s.v, c.R() * 6.283];
      const pts: P[] = [s.b.at(u, v)];
      for (let i = 0; i < 34; i++) {
        a += (c.R() - 0.5) * 1.5;
        u += Math.sin(a) * 0.026;
        v += Math.cos(a) * 0.07;
        if (u < 0.08 || u > 0.92 || Math.abs(v) > 0.84) a += 2.2;
        u = Math.min(0.94, Math.max(0.06, u));
        v = Math.min(0.88, Math.max(-0.88, v));
        pts.push(s.b.at(u, v));
      }
      return pts;
    });
    return (
      <>
        <Fill d={poly(runs.map((r) => taper(r, 1.4, 6.4)))} c="#f7f3dc" e="#8f8f5e" w={0.8} />
        <Ink d={runs.map((r) => dotted(r.filter((_, i) => i % 2 === 0))).join('')} c="#4a4630" w={1.3} />
      </>
    );
  },
  'blotch-mines': (c) => {
    const f = some(c, c.leaf.blades.length > 12 ? 14 : c.leaf.blades.length > 3 ? 6 : 3, (x) => x.cell.u > 0.15 && x.cell.u < 0.85 && x.b.area > 90);
    const shapes = f.map((x) => {
      const m = x.cell.at(0.5, 0.5);
      const r = Math.max(x.b.wide * (c.leaf.blades.length > 3 ? 0.3 : 0.14), dist(x.cell.at(0.15, 0.5), x.cell.at(0.85, 0.5)) * 0.55);
      return { m, p: blot(m, r, c.R, 0.5, 13, 1.35, c.R() * 3) };
    });
    return (
      <>
        <Fill d={shapes.map((s) => soft(s.p)).join('')} c="#efe4bd" e="#8b7442" w={1.3} o={0.96} />
        <Fill d={shapes.map((s) => soft(s.p.map((q) => mix(s.m, q, 0.62)))).join('')} c="#cdb67c" o={0.8} />
        <Dots
          at={cloud(
            c,
            shapes.map((s) => s.m),
            9,
            7,
          )}
          r={0.9}
          c="#3d2c14"
        />
        {shapes.slice(0, 2).map((s, i) => (
          <path
            key={i}
            d={`M${(s.m[0] - 6).toFixed(1)} ${s.m[1].toFixed(1)}q3-3.4 7-1.6t6 1`}
            fill="none"
            stroke="#f4efd2"
            strokeWidth="3"
            strokeLinecap="round"
          />
        ))}
      </>
    );
  },
  'silver-lines': (c) => <Ink d={lines(some(c, 6).map((f) => [f.cell.at(0.1, 0.5), f.cell.at(0.5, 0.3), f.cell.at(0.9, 0.6)]))} c="#f4f7f4" w={2.4} />,
  'brown-blotch': (c) => (
    <>
      <Fill
        d={soften(
          some(c, 2).map((f) => ({ p: f.cell.at(0.6, 0.5), b: f.b, u: 0, v: 0, r: c.R() })),
          (s) => 17 + s.r * 10,
          c.R,
          0.5,
          12,
        )}
        c="#8f5c2a"
        e="#5a3614"
        w={1.6}
      />
    </>
  ),
  slime: (c) => {
    const b = c.leaf.blades[0];
    const way = Array.from({ length: 12 }, (_, i): P => b?.at(0.04 + i * 0.078, 0.5 * Math.sin(i * 0.9)) ?? [0, 0]);
    return (
      <>
        <Ink d={curve(way)} c="#f6faf9" w={8} o={0.85} />
        <Ink d={curve(way)} c="#a9c2c2" w={4.4} o={0.5} />
        <Ink d={curve(way)} c="#fff" w={1.2} s="7 5" />
      </>
    );
  },
  windows: (c) => {
    const f = some(c, 22, (x) => x.b.area > 120);
    const panes = f.map((x) => piece(x, 0.16 + c.R() * 0.2, 0.62 + c.R() * 0.25, 0.14, 0.86, 3));
    return (
      <>
        <Fill d={panes.map(soft).join('')} c="#f6f3e2" e="#9a8a5a" w={0.9} o={0.92} />
        <Ink d={lines(f.flatMap((x) => [0.35, 0.55, 0.72].map((a) => [x.cell.at(a, 0.2), x.cell.at(a + 0.03, 0.82)])))} c="#cfc79c" w={0.6} />
      </>
    );
  },
  'big-droppings': (c) => {
    const at = pick(c, 12, { u: [0.05, 0.5] });
    return at.map((s, i) => (
      <g key={i} transform={`translate(${s.p[0].toFixed(1)} ${s.p[1].toFixed(1)}) rotate(${(s.r * 180).toFixed(0)})`}>
        <path d="M-4-2.6H4Q5.4 0 4 2.6H-4Q-5.4 0-4-2.6Z" fill="#2f2a17" stroke="#14120a" strokeWidth=".6" />
        <path d="M-1.4-2.6V2.6M1.4-2.6V2.6" stroke="#6b6238" strokeWidth=".8" />
      </g>
    ));
  },
  'webbed-nest': (c) => {
    const at = c.leaf.blades.filter((_, i) => i % Math.max(1, Math.round(c.leaf.blades.length / 5)) === 0).map((b) => b.at(0.5, 0));
    const centre = at[Math.floor(at.length / 2)] ?? ([100, 110] as P);
    const rim = blot(centre, 56, c.R, 0.3, 16, 0.85);
    return (
      <>
        <path d={soft(rim)} fill="#ffffff" opacity=".5" />
        <Ink
          d={rim.map((p, i) => curve([p, add(mix(p, centre, 0.6), [(c.R() - 0.5) * 20, (c.R() - 0.5) * 20]), rim[(i * 7 + 5) % rim.length] as P])).join('')}
          c="#fff"
          w={0.7}
        />
        <Ink
          d={rim.map((p, i) => curve([p, add(mix(p, centre, 0.4), [(c.R() - 0.5) * 30, (c.R() - 0.5) * 30]), rim[(i * 5 + 3) % rim.length] as P])).join('')}
          c="#9aa69a"
          w={0.45}
        />
        <Dots at={cloud(c, [centre], 26, 42)} r={1.3} c="#33301a" />
      </>
    );
  },
  'rolled-leaf': (c) => {
    const b = c.leaf.blades[0];
    const ties = [0.25, 0.45, 0.65].map((u): P[] => [b?.at(u, 0.36) ?? [0, 0], b?.at(u + 0.06, -0.36) ?? [0, 0]]);
    return (
      <Ink
        d={ties
          .map(([p, q]) => [0, 3, 6].map((k) => curve([add(p as P, [0, k]), add(mix(p as P, q as P, 0.5), [0, k + 3]), add(q as P, [0, k * 0.5])])).join(''))
          .join('')}
        c="#fff"
        w={0.9}
      />
    );
  },
};
