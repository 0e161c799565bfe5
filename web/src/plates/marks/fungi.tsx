import { add, blot, curve, lines, mix, type P, rings, soft } from '../kit/geo';
import { band, type Ctx, cloud, ctxOf, fields, pick, piece, type Spot, some, zone } from '../kit/spread';
import { Dots, Fill, Fuzz, Ink, Lesions, type Mark, poly, soften } from './ink';

/** The spots of a leaf: the same places for every word that speaks of them, four times as large as the smallest. */
const spots = (c: Ctx, n = 13): Spot[] => pick(ctxOf(c.leaf, 'spots', c.seed, c.amount), n, { u: [0.1, 0.96], v: [-0.98, 0.98] });
const sized = (c: Ctx, k: number) => (s: Spot) => Math.min(s.b.wide / 4.2, k * (0.4 + 1.2 * s.r ** 2)) + (c.leaf.blades.length > 12 ? -0.4 : 0);

/** A spot whose edge runs out in fringes, as of rose black spot. */
function fringed(p: P, r: number, c: Ctx): P[] {
  const n = 30;
  const ph = c.R() * 6;
  return Array.from({ length: n }, (_, i): P => {
    const a = (i / n) * 6.283;
    const base = r * (0.85 + 0.18 * Math.sin(2 * a + ph));
    const q = i % 2 ? base * (0.72 + 0.14 * c.R()) : base * (1.05 + 0.32 * c.R());
    return [p[0] + Math.cos(a) * q, p[1] + Math.sin(a) * q];
  });
}

/** Patches that the veins bound, with ragged ends. */
const bounded = (c: Ctx, n: number, keep?: Parameters<typeof some>[2]) =>
  some(c, n, keep ?? ((f) => f.cell.u > 0.06 && f.b.area > 160)).map((f) => {
    const a0 = 0.1 + c.R() * 0.4;
    return { p: piece(f, a0, Math.min(1.02, a0 + 0.25 + c.R() * 0.3), 0.03, 0.97, 2) };
  });

export const fungi: Record<string, Mark> = {
  'feathery-spots': (c) => {
    const at = spots(c, 12);
    return (
      <>
        <Fill d={soften(at, (s) => sized(c, 12)(s) + 4, c.R, 0.5, 11)} c="#5a3a4a" o={0.3} />
        <Fill d={poly(at.map((s) => fringed(s.p, sized(c, 11)(s) + 1.5, c)))} c="#231a1d" />
      </>
    );
  },
  'yellow-halo': (c) => (
    <>
      <Fill d={soften(spots(c), (s) => sized(c, 17)(s) + 5, c.R, 0.5, 11)} c="#ecd452" o={0.5} />
      <Fill d={soften(spots(c), (s) => sized(c, 13)(s) + 3, c.R, 0.5, 11)} c="#ecd452" o={0.65} />
    </>
  ),
  'round-spots': (c) => <Lesions at={spots(c)} size={sized(c, 9)} c={c} body="#a9824e" heart="#d8c49a" rough={0.3} />,
  'dark-rim': (c) => <Fill d={soften(spots(c), (s) => sized(c, 9)(s) + 0.6, ctxOf(c.leaf, 'round-spots', c.seed).R, 0.3, 10)} c="none" e="#4f2036" w={2.6} />,
  'target-spots': (c) => {
    const at = spots(c, 9);
    const shapes = at.map((s) => blot(s.p, sized(c, 15)(s) + 3, c.R, 0.3, 11));
    const k = (f: number) => shapes.map((q, i) => soft(q.map((p) => mix((at[i] as Spot).p, p, f)))).join('');
    return (
      <>
        <Fill d={k(1)} c="#7a5432" e="#3d2613" w={1.3} />
        <Fill d={k(0.74)} c="#94683e" e="#3d2613" w={1.1} />
        <Fill d={k(0.5)} c="#6b4526" e="#3d2613" w={1.1} />
        <Fill d={k(0.24)} c="#b08a5c" e="#3d2613" w={0.9} />
      </>
    );
  },
  'fruit-dots': (c) => (
    <Dots
      at={cloud(
        c,
        spots(c).map((s) => s.p),
        c.leaf.as === 'needles' ? 4 : 7,
        c.leaf.as === 'needles' ? 3 : 4.4,
      )}
      r={0.85}
      c="#16100c"
    />
  ),
  'small-spots': (c) => (
    <Lesions at={pick(c, 46)} size={(s) => 1.8 + s.r * 2.4} c={c} body="#8a6a42" rim="#3d2613" heart="#e2d6b4" zone="#e6cf55" rough={0.25} rimW={0.9} />
  ),
  'greasy-spots': (c) => (
    <>
      <Lesions at={pick(c, 38)} size={(s) => 1.6 + s.r * 2.6} c={c} body="#3b3220" rim="#1b160c" zone="#e3cf4a" rough={0.6} rimW={0.7} />
      <Fill d={soften(pick(c, 12, { u: [0.6, 1] }), (s) => 3 + s.r * 3, c.R, 0.7, 7)} c="#2c2618" />
    </>
  ),
  'sunken-spots': (c) => {
    // Along the veins and running into one another, papery in the middle.
    const at = some(c, 15, (f) => f.cell.u < 0.95).map((f): Spot => ({ p: f.cell.at(c.R() * 0.75, 0), b: f.b, u: f.cell.u, v: 0, r: c.R() }));
    return (
      <>
        <Lesions at={at} size={(s) => Math.min(s.b.wide / 7, 4 + s.r * 8)} c={c} body="#6b4a33" rim="#2e1a12" heart="#b29673" rough={0.7} rimW={1.6} />
        <Ink d={lines(at.map((s) => [add(s.p, [-5, 4]), add(s.p, [5, -4])]))} c="#2e1a12" w={1.1} />
      </>
    );
  },
  'purple-spots': (c) => <Lesions at={pick(c, 24)} size={(s) => 2 + s.r * 4.4} c={c} body="#5d2347" rim="#381028" heart="#8f5a78" rough={0.25} />,
  'purple-blotches': (c) => (
    <>
      <Fill d={poly(fields(c, (_, i) => (i * 5) % 7 < 5).map((f) => piece(f, 0.3, 1, 0.1, 0.9)))} c="#7a3a68" o={0.62} />
      <Ink d={lines(c.leaf.blades.flatMap((b) => b.sides))} c="#6b2d5c" w={1.8} />
    </>
  ),
  'wet-blotches': (c) => {
    const at = pick(c, 6, { u: [0.35, 1], v: [0.4, 1], both: true });
    return (
      <>
        <Fill d={soften(at, (s) => Math.min(s.b.wide * 0.42, 14 + s.r * 16) + 5, c.R, 0.5, 12)} c="#9fae6c" o={0.85} />
        <Fill d={soften(at, (s) => Math.min(s.b.wide * 0.4, 12 + s.r * 14), c.R, 0.5, 12)} c="#4b3a22" e="#2c2011" w={1} />
        <Fill d={soften(at, (s) => Math.min(s.b.wide * 0.2, 5 + s.r * 7), c.R, 0.5, 9)} c="#7a5a34" o={0.8} />
      </>
    );
  },
  'white-edge': (c) => (
    <Fuzz
      at={pick(ctxOf(c.leaf, 'wet-blotches', c.seed, c.amount), 6, { u: [0.35, 1], v: [0.4, 1], both: true }).flatMap((s) =>
        Array.from(
          { length: 10 },
          (_, i): P => add(s.p, [Math.cos(i * 0.63) * Math.min(s.b.wide * 0.42, 17 + s.r * 12), Math.sin(i * 0.63) * Math.min(s.b.wide * 0.42, 17 + s.r * 12)]),
        ),
      )}
      each={4}
      spread={4}
      c={c}
      colour="#fff"
      h={4.4}
      head={0.7}
      w={0.8}
    />
  ),
  'angular-spots': (c) => <Fill d={poly(bounded(c, 20).map((x) => x.p))} c="#6b4a2a" e="#3d2613" w={1} />,
  'angular-yellow': (c) => (
    <>
      <Fill d={poly(bounded(c, 17).map((x) => x.p))} c="#e3cf4a" o={0.92} />
      <Fill d={poly(bounded(ctxOf(c.leaf, 'angular-yellow', c.seed, 0.5), 17).map((x) => x.p))} c="#b0883a" o={0.45} />
    </>
  ),
  'down-below': (c) => {
    const at = bounded(c, 12).map((x) => mix(x.p[0] as P, x.p[3] as P, 0.5));
    return <Fuzz at={at} each={24} spread={9} c={c} colour="#8d83a0" h={4} head={0.7} />;
  },
  'white-below': (c) => {
    const at = pick(c, 10);
    return (
      <>
        <Fill d={soften(at, (s) => 5 + s.r * 6, c.R, 0.5)} c="#fdfdf8" e="#c4c9bc" w={0.7} o={0.9} />
        <Fuzz at={at.map((s) => s.p)} each={14} spread={8} c={c} colour="#ffffff" h={3.4} head={0.8} w={0.7} />
        <Dots
          at={cloud(
            c,
            at.map((s) => s.p),
            6,
            7,
          )}
          r={0.5}
          c="#a9b0a0"
        />
      </>
    );
  },
  powder: (c) => {
    const at = pick(c, 12, { u: [0.05, 0.95], v: [-0.95, 0.95] });
    const size = (s: Spot) => Math.min(s.b.wide * 0.4, 9 + s.r * 19);
    return (
      <>
        <Fill d={soften(at, size, c.R, 0.6, 12)} c="#fff" o={0.55} />
        <Fill d={soften(at, (s) => size(s) * 0.62, c.R, 0.6, 11)} c="#fff" o={0.7} />
        <Dots
          at={cloud(
            c,
            at.map((s) => s.p),
            24,
            19,
          )}
          r={0.75}
          c="#fff"
        />
        <Dots
          at={cloud(
            c,
            at.map((s) => s.p),
            7,
            13,
          )}
          r={0.5}
          c="#9aa694"
        />
      </>
    );
  },
  pustules: (c) => {
    const at = pick(c, 42, { u: [0.06, 0.95] });
    return (
      <>
        <Fill d={soften(at, (s) => 3.2 + s.r * 2, c.R, 0.3, 7)} c="#e9c25a" o={0.55} />
        <Fill d={soften(at, (s) => 1.6 + s.r * 1.7, c.R, 0.3, 7)} c="#c8601a" e="#7a350a" w={0.7} />
        <Dots at={at.map((s): P => add(s.p, [-0.7, -0.8]))} r={0.5} c="#f6b46a" />
        <Dots
          at={cloud(
            c,
            at.map((s) => s.p),
            3,
            5,
          )}
          r={0.5}
          c="#b5541a"
        />
      </>
    );
  },
  'pustule-rings': (c) => {
    const at = pick(c, 10);
    return (
      <>
        <Fill d={soften(at, (s) => 9 + s.r * 3, c.R, 0.3)} c="#dfc95e" o={0.5} />
        {at.map((s, i) => {
          const r = 4.6 + s.r * 2.6;
          const ring0 = Array.from({ length: 9 }, (_, k): P => add(s.p, [Math.cos(k * 0.7) * r, Math.sin(k * 0.7) * r]));
          return (
            <g key={i}>
              <Dots at={[...ring0, s.p]} r={1.9} c="#4a2410" />
              <Dots at={[...ring0, s.p]} r={1.3} c="#8a4720" />
            </g>
          );
        })}
      </>
    );
  },
  'yellow-spots': (c) => <Fill d={soften(pick(c, 24), (s) => 4 + s.r * 5, c.R, 0.5)} c="#e8d35a" o={0.75} />,
  'orange-spots': (c) => {
    const at = pick(c, 10);
    return (
      <>
        <Lesions at={at} size={(s) => 5 + s.r * 6} c={c} body="#e2861f" rim="#b3471a" heart="#f3b23e" rough={0.3} zone="#e8d04e" />
        <Dots
          at={cloud(
            c,
            at.map((s) => s.p),
            6,
            4,
          )}
          r={0.7}
          c="#4a1c0c"
        />
      </>
    );
  },
  'brown-pimples': (c) =>
    pick(c, 16).map((s, i) => (
      <g key={i} transform={`translate(${s.p[0].toFixed(1)} ${s.p[1].toFixed(1)})`}>
        <ellipse cx=".8" cy="1.1" rx={3.4 + s.r} ry={2.6 + s.r} fill="#4b2a14" opacity=".5" />
        <ellipse rx={3.2 + s.r} ry={2.5 + s.r} fill="#a8663a" stroke="#5e3214" strokeWidth=".8" />
        <path d="M-1.6-1.2q1-1 2.4-.8" stroke="#f2d0a8" strokeWidth=".8" fill="none" />
      </g>
    )),
  'brown-dust': (c) => (
    <Dots
      at={cloud(
        c,
        pick(c, 14).map((s) => s.p),
        14,
        9,
      )}
      r={0.7}
      c="#6b3515"
    />
  ),
  glassy: (c) => {
    const at = pick(c, 8, { u: [0.25, 1], v: [0.25, 1], both: true });
    return (
      <>
        <Fill d={soften(at, (s) => 12 + s.r * 17, c.R, 0.6, 12)} c="#56684a" o={0.42} />
        <Fill d={soften(at, (s) => 7 + s.r * 9, c.R, 0.6, 12)} c="#3f5138" o={0.36} />
        <Ink d={at.map((s) => curve([add(s.p, [-9, 5]), add(s.p, [-5, -5]), add(s.p, [5, -8])])).join('')} c="#f4faf2" w={1.8} o={0.85} />
      </>
    );
  },
  mosaic: (c) => {
    const f = fields(c, (x) => x.b.area > 120);
    const [light, deep]: [P[][], P[][]] = [[], []];
    for (const x of f)
      for (let a = 0.04; a < 0.96; a += 0.26) {
        const r = c.R();
        if (r < 0.4) light.push(piece(x, a, a + 0.26, 0.02, 0.5 + c.R() * 0.46, 1));
        else if (r > 0.66) deep.push(piece(x, a, a + 0.26, 0.3 * c.R(), 0.98, 1));
      }
    return (
      <>
        <Fill d={poly(light)} c="#eddf86" o={0.85} />
        <Fill d={poly(deep)} c="#46702f" o={0.5} />
      </>
    );
  },
  'blotchy-mottle': (c) => {
    // Yellow that is not the same on both sides of the midrib.
    const one = pick(c, 9, { u: [0.15, 0.9], v: [0.15, 0.9] });
    const two = pick(c, 4, { u: [0.3, 0.9], v: [-0.8, -0.2] });
    return (
      <>
        <Fill d={soften(one, (s) => 14 + s.r * 12, c.R, 0.7, 11)} c="#e8d860" o={0.75} />
        <Fill d={soften(two, (s) => 9 + s.r * 8, c.R, 0.7, 11)} c="#e8d860" o={0.75} />
      </>
    );
  },
  'brown-patches': (c) => {
    const at = pick(c, c.leaf.blades.length > 8 ? 9 : 5, { v: [0.3, 1], both: true });
    return (
      <Lesions at={at} size={(s) => Math.min(s.b.wide * 0.46, 10 + s.r * 14)} c={c} body="#8a5c30" rim="#54340f" heart="#b58a56" rough={0.55} rimW={1.6} />
    );
  },
  'red-blisters': (c) => {
    const f = some(c, 11, (x) => x.cell.u > 0.12);
    return (
      <>
        {f.map((x, i) => {
          const m = x.cell.at(0.5, 0.5);
          const q = piece(x, 0.06, 0.92, 0.02, 0.98, 3);
          return (
            <g key={i}>
              <path d={soft(q.map((p) => add(p, [2, 2.4])))} fill="#5a1f22" opacity=".35" />
              <path d={soft(q)} fill={i % 3 ? '#c8474a' : '#d98a5a'} stroke="#7d2327" strokeWidth="1.1" />
              <path d={`M${(m[0] - 6).toFixed(1)} ${(m[1] - 1).toFixed(1)}q4-6 10-5`} fill="none" stroke="#fbd6cc" strokeWidth="1.7" strokeLinecap="round" />
            </g>
          );
        })}
      </>
    );
  },
  'v-wedges': (c) => {
    const w = some(c, 5, (f) => f.cell.u > 0.2).map(
      (f) => [f.cell.at(1.05, -0.5), f.cell.at(1.05, 1.5), f.cell.at(0.6, 0.95), f.cell.at(0.16, 0.5), f.cell.at(0.6, 0.05)] as P[],
    );
    const k = (t: number) =>
      w.map((q) => [q[0], q[1], mix(q[2] as P, q[1] as P, t), mix(q[3] as P, mix(q[0] as P, q[1] as P, 0.5), t), mix(q[4] as P, q[0] as P, t)] as P[]);
    return (
      <>
        <Fill d={poly(w)} c="#e6cf4e" />
        <Fill d={poly(k(0.32))} c="#a57c3c" e="#6b4a1e" w={1} />
      </>
    );
  },
  'black-veins': (c) => (
    <Ink d={lines(c.leaf.blades.flatMap((b) => [...b.sides.filter((_, i) => i % 3 !== 2), ...b.ribs.map((r) => r.slice(0, 9))]))} c="#1c1813" w={1.9} />
  ),
  wedges: (c) => {
    const w = some(c, 5, (f) => f.cell.u > 0.15).map((f) => piece(f, 0.12, 1.05, 0.02, 0.98, 3));
    return (
      <>
        <Fill d={poly(w.map((q) => q.map((p, i) => mix(p, q[(i + 4) % q.length] as P, -0.12))))} c="#e3cd52" o={0.8} />
        <Fill d={poly(w)} c="#7a5226" e="#4a2f10" w={1.1} />
      </>
    );
  },
  'clear-veins': (c) => (
    <>
      <Ink d={lines(c.leaf.blades.flatMap((b) => [...b.sides, ...b.ribs]))} c="#fbf8dc" w={7} o={0.9} />
      <Ink d={lines(c.leaf.blades.flatMap((b) => [...b.sides, ...b.ribs]))} c="#a9bd84" w={1} />
    </>
  ),
  'vein-strips': (c) => <Fill d={poly(some(c, 7).map((f) => piece(f, 0.04, 1.02, 0.04, 0.96)))} c="#6f4a24" e="#3f270c" w={1} />,
  rings: (c) => {
    const at = pick(c, 7);
    return (
      <>
        {[1, 0.66, 0.34].map((k) => (
          <Fill
            key={k}
            d={at.map((s) => soft(blot(s.p, (9 + s.r * 5) * k, ctxOf(c.leaf, `ring${s.r}`, c.seed).R, 0.25, 11))).join('')}
            c="none"
            e={k === 0.66 ? '#8a5a2a' : '#ecd968'}
            w={k === 0.66 ? 1.4 : 2.2}
          />
        ))}
      </>
    );
  },
  lines: (c) =>
    c.leaf.blades.map((b, i) => {
      const w = b.kind === 'hand' ? 0.5 : 0.6;
      const pts = Array.from({ length: 13 }, (_, k): P => b.at(0.16 + k * 0.06, w * (k % 2 ? 1 : 0.45) * (k < 7 ? -1 : 1) * (0.8 + 0.3 * c.R())));
      return <Ink key={i} d={curve(pts)} c="#f1e39a" w={b.long > 120 ? 6 : 4} />;
    }),
  zigzag: (c) =>
    c.leaf.as === 'needles' ? (
      <Ink d={lines(c.leaf.blades.flatMap((b) => [0.28, 0.55, 0.8].map((u) => [b.at(u, -1), b.at(u, 1)])))} c="#9a4a2a" w={2.4} />
    ) : (
      <Ink d={lines(c.leaf.blades.map((b) => Array.from({ length: 15 }, (_, k): P => b.at(0.1 + k * 0.058, k % 2 ? 0.62 : 0.3))))} c="#eee08a" w={3.4} />
    ),
  'red-roll': (c) => (
    <>
      <Fill d={poly(fields(c).map((f) => piece(f, 0.12, 1, 0.1, 0.9)))} c="#a3283c" o={0.72} />
    </>
  ),
  'cupped-yellow': (c) => (
    <>
      <Fill eo d={rings(band(c, (u) => 9 + 5 * Math.sin(u * 18)))} c="#eadb5c" o={0.85} />
      <Ink d={lines(fields(c, (f) => f.cell.u > 0.1).map((f) => [f.cell.at(0.2, 0.5), f.cell.at(0.55, 0.42), f.cell.at(0.9, 0.5)]))} c="#5f7d3c" w={1} />
    </>
  ),
  'red-rims': (c) => {
    const holes = pick(ctxOf(c.leaf, 'shot-holes', c.seed, c.amount), 34, { u: [0.08, 0.94] });
    const at = holes.length ? holes : spots(c);
    return (
      <>
        <Fill d={soften(at, (s) => Math.min(s.b.wide / 5, 3.6 + s.r * 3.4), c.R, 0.25)} c="none" e="#a12f3c" w={1.9} />
        <Fill d={soften(at.slice(0, 7), (s) => 2.4 + s.r * 3, c.R, 0.25)} c="#9a5a34" />
      </>
    );
  },
  tips: (c) => {
    // On a conifer the new shoot dies whole: its needles brown and short, resin on them.
    if (c.leaf.as === 'needles' || c.leaf.as === 'spray') {
      const young = c.leaf.blades.filter((b) => b.at(0.1, 0)[1] < 140);
      return (
        <>
          <Fill d={poly(young.map((b) => b.outline))} c="#a5682c" e="#5f3712" w={0.7} />
          <Dots at={young.filter((_, i) => i % 5 === 0).map((b) => b.at(0.2, 0))} r={1.8} c="#f0d9a0" />
        </>
      );
    }
    const f = (v: number) => 0.72 + 0.06 * Math.cos(v * 4);
    return (
      <>
        <Fill d={poly(zone(c, f))} c="#6f6a5a" o={0.85} />
        <Ink d={lines(zone(c, f).map((z) => z.slice(0, 9)))} c="#4a3a1e" w={1.1} />
      </>
    );
  },
  twisted: () => null,
  'tar-blotches': (c) => {
    const at = pick(c, 9);
    return (
      <>
        <Fill d={soften(at, (s) => 12 + s.r * 7, c.R, 0.3, 11)} c="#e6d254" o={0.8} />
        <Fill d={soften(at, (s) => 7 + s.r * 7, c.R, 0.35, 11)} c="#171310" />
        <Ink d={at.map((s) => curve([add(s.p, [-5, 1]), add(s.p, [-2, -4]), add(s.p, [4, -4])])).join('')} c="#6f675c" w={1.2} />
      </>
    );
  },
};
