import { Body } from '../bodies';
import { add, blot, by3, curve, lines, mix, type P, type Rand, ring, soft } from '../kit/geo';
import { inBox, type Sign, Spots } from './brush';
import type { K } from './fruitforms';

const on = (k: K, x: number, y: number): P => [k.c[0] + x * k.rx, k.c[1] + y * k.ry];

const over = (R: Rand, k: K, n: number, r = 0.86): P[] =>
  Array.from({ length: n }, () => {
    if (k.globes && k.name !== 'cherry') {
      const g = k.globes[Math.floor(R() * k.globes.length)] as readonly [number, number, number];
      return [g[0] + (R() - 0.5) * g[2] * 1.2, g[1] + (R() - 0.5) * g[2] * 1.2];
    }
    const a = R() * 6.283;
    const q = Math.sqrt(R()) * r;
    return on(k, Math.cos(a) * q, Math.sin(a) * q);
  });

const grub = (x: number, y: number, k = 0.3, d: Record<string, unknown> = { body: 'maggot', colour: 'white' }, turn = 60) => (
  <g key={`${x}${y}`} transform={`translate(${x.toFixed(1)} ${y.toFixed(1)}) rotate(${turn}) scale(${k}) translate(-50 -50)`}>
    <Body d={d} />
  </g>
);

const oneGlobe = (k: K, i = 3) => (k.globes?.[Math.min(i, k.globes.length - 1)] ?? [...k.c, Math.min(k.rx, k.ry)]) as readonly [number, number, number];

export const fruitWords: Record<string, Sign<K>> = {
  'blossom-end': (R, k) => {
    const o = Array.from({ length: 14 }, (_, i): P => {
      const a = (i / 14) * 6.283;
      return on(k, Math.cos(a) * (0.66 + 0.08 * R()), 0.74 + Math.sin(a) * (0.3 + 0.04 * R()));
    });
    const c = on(k, 0, 0.74);
    return (
      <>
        <path d={soft(o.map((p) => mix(c, p, 1.16)))} fill="#b58a4a" opacity=".7" />
        <path d={soft(o)} fill="#33231a" stroke="#1a100a" strokeWidth="1.2" />
        <path d={[0.35, 0.6, 0.82].map((q) => curve(o.slice(0, 8).map((p) => mix(c, p, q)))).join('')} fill="none" stroke="#6f5746" strokeWidth="1.3" />
      </>
    );
  },
  cracks: (_R, k) => {
    const c = [-0.62, -0.2, 0.3, 0.7].map((x): P[] => [on(k, x * 0.3, -0.9), on(k, x * 0.8, -0.4), on(k, x * 0.95, 0.1), on(k, x * 0.8, 0.44)]);
    return (
      <>
        <path d={c.map(curve).join('')} fill="none" stroke="#5a1a10" strokeWidth="7" strokeLinecap="round" />
        <path d={c.map(curve).join('')} fill="none" stroke="#e6bd8a" strokeWidth="3" strokeLinecap="round" />
      </>
    );
  },
  'cat-face': (R, k) => (
    <>
      <path
        d={soft([on(k, -0.6, 0.6), on(k, -0.3, 0.3), on(k, 0.05, 0.5), on(k, 0.35, 0.26), on(k, 0.62, 0.6), on(k, 0.3, 0.96), on(k, -0.3, 0.96)])}
        fill="#a5855a"
        stroke="#5a3a1c"
        strokeWidth="1.4"
      />
      <path
        d={curve([on(k, -0.5, 0.66), on(k, -0.2, 0.5), on(k, 0.1, 0.72), on(k, 0.4, 0.52)]) + curve([on(k, -0.36, 0.84), on(k, 0, 0.74), on(k, 0.34, 0.86)])}
        fill="none"
        stroke="#4a2c14"
        strokeWidth="3.4"
      />
      <path d={curve([on(k, 0.05, 0.5), on(k, -0.05, 0), on(k, 0.04, -0.4)])} fill="none" stroke="#7d2a1c" strokeWidth="4" />
      <Spots at={Array.from({ length: 14 }, () => on(k, (R() - 0.5) * 0.9, 0.6 + R() * 0.3))} r={1.2} c="#d9bd92" />
    </>
  ),
  sunscald: (R, k) => {
    const o = blot(on(k, 0.38, -0.18), k.rx * 0.46, R, 0.25, 12, 1, 0.4);
    const c = on(k, 0.38, -0.18);
    return (
      <>
        <path d={soft(o.map((p) => mix(c, p, 1.16)))} fill="#e8b77c" opacity=".8" />
        <path d={soft(o)} fill="#f6ecd2" stroke="#b59a68" strokeWidth="1.2" />
        <path
          d={curve([mix(c, o[2] as P, 0.7), c, mix(c, o[8] as P, 0.6)]) + curve([mix(c, o[5] as P, 0.8), mix(c, o[6] as P, 0.3)])}
          fill="none"
          stroke="#c9b384"
          strokeWidth="1.2"
        />
      </>
    );
  },
  dimples: (R, k) =>
    over(R, k, k.globes ? 9 : 13, 0.78).map((p, i) => (
      <g key={i}>
        <path d={soft(blot(p, 7 + R() * 3, R, 0.2, 9))} fill="#f0dc8a" opacity=".9" />
        <path d={soft(blot(add(p, [0.5, 0.7]), 3.6, R, 0.2, 8))} fill="#8f4a24" opacity=".7" />
        <circle cx={p[0].toFixed(1)} cy={p[1].toFixed(1)} r="1.4" fill="#3b160a" />
      </g>
    )),
  scab: (R, k) =>
    over(R, k, 9, 0.72).map((p, i) => {
      const r = 5 + R() ** 2 * 13;
      const o = blot(p, r, R, 0.5, 12);
      return (
        <g key={i}>
          <path d={soft(o.map((q) => mix(p, q, 1.2)))} fill="#e3d08a" opacity=".7" />
          <path d={soft(o)} fill="#4a4a2e" stroke="#25251a" strokeWidth="1.2" />
          <path
            d={lines([
              [mix(p, o[1] as P, 0.9), p, mix(p, o[6] as P, 0.8)],
              [mix(p, o[3] as P, 0.4), mix(p, o[9] as P, 0.9)],
            ])}
            fill="none"
            stroke="#a29a6a"
            strokeWidth="1.1"
          />
        </g>
      );
    }),
  'fruit-rot': (R, k) => {
    const g = oneGlobe(k, 0);
    const c: P = k.globes ? [g[0], g[1]] : on(k, 0.12, 0.1);
    const r = k.globes ? g[2] * 0.86 : k.rx * 0.72;
    return (
      <>
        <path d={soft(blot(c, r, R, 0.14, 14))} fill="#8a5a30" stroke="#5a3414" strokeWidth="1.2" />
        {[0.28, 0.54, 0.8].map((q) => (
          <Spots
            key={q}
            at={Array.from({ length: Math.round(22 * q) }, (_, i): P => {
              const a = (i / Math.round(22 * q)) * 6.283 + q * 3;
              return [c[0] + Math.cos(a) * r * q, c[1] + Math.sin(a) * r * q];
            })}
            r={2.5}
            c="#efe4ca"
          />
        ))}
        <Spots at={[c]} r={2.6} c="#efe4ca" />
      </>
    );
  },
  'grub-hole': (_R, k) => {
    const p = on(k, 0.34, 0.2);
    return (
      <>
        <path
          d={`M${p[0]} ${p[1]}C${p[0] - 8} ${p[1] - 22} ${k.c[0] + 4} ${k.c[1] - 16} ${k.c[0]} ${k.c[1] - k.ry * 0.4}`}
          fill="none"
          stroke="#5a3016"
          strokeWidth="8"
          strokeLinecap="round"
          opacity=".55"
        />
        <path d={`M${p[0] - 13} ${p[1] - 2}q4-12 16-10t12 12q-2 12-14 12t-14-14z`} fill="#7a4a22" stroke="#3b1d0c" strokeWidth="1.2" />
        <circle cx={p[0]} cy={p[1]} r="6.4" fill="#1d0f07" />
        <Spots
          at={[
            [p[0] + 3, p[1] + 12],
            [p[0] - 3, p[1] + 16],
            [p[0] + 6, p[1] + 20],
            [p[0], p[1] + 24],
            [p[0] + 3, p[1] + 30],
            [p[0] - 4, p[1] + 22],
          ]}
          r={2.6}
          c="#6b3a18"
        />
        {grub(p[0] - 3, p[1] - 2, 0.34, { body: 'caterpillar', colour: k.name === 'plum' || k.name === 'apple' ? 'cream' : 'pink', prolegs: 5 }, -30)}
      </>
    );
  },
  pits: (R, k) =>
    over(R, k, 20, 0.8).map((p, i) => (
      <g key={i}>
        <path d={soft(blot(p, 4.4 + R() * 1.6, R, 0.3, 8))} fill="#8a5a34" stroke="#4d2a14" strokeWidth=".9" />
        <path d={`M${(p[0] - 2.4).toFixed(1)} ${(p[1] - 0.6).toFixed(1)}q2.6-2 5 0`} fill="none" stroke="#2b1408" strokeWidth="1.3" />
      </g>
    )),
  rings: (_R, k) =>
    [on(k, -0.36, -0.2), on(k, 0.34, 0.26), on(k, 0.2, -0.5)].map((c, i) => (
      <g key={i}>
        {[20, 13, 6].map((r) => (
          <ellipse key={r} cx={c[0]} cy={c[1]} rx={r - i * 2} ry={r * 0.9 - i * 2} fill="none" stroke="#f2dc86" strokeWidth="3" />
        ))}
      </g>
    )),
  'brown-wrinkles': (R, k) => (
    <>
      <path
        d={[on(k, -0.42, -0.1), on(k, 0.4, 0.3), on(k, 0.3, -0.44)].map((c, i) => soft(blot(c, k.rx * (0.34 - i * 0.05), R, 0.5, 12))).join('')}
        fill="#8d6136"
        opacity=".9"
        stroke="#5a3414"
        strokeWidth="1"
      />
      <path
        d={over(R, k, 26, 0.7)
          .map((p) => curve([p, add(p, [4, -3]), add(p, [9, 0]), add(p, [14, -3])]))
          .join('')}
        fill="none"
        stroke="#4d2c17"
        strokeWidth="1.5"
      />
    </>
  ),
  'fruit-mould': (R, k) => {
    const at = over(R, k, 90, 0.6);
    return (
      <>
        <path d={soft(blot(on(k, 0, 0), k.rx * 0.62, R, 0.3, 12))} fill="#8a6a44" />
        <path d={lines(at.map((p) => [p, add(p, [(R() - 0.5) * 4, -8])]))} stroke="#8f8f86" strokeWidth="1" />
        <Spots at={at.map((p): P => add(p, [0, -8.4]))} r={1.7} c="#a5a59c" />
      </>
    );
  },
  'stalk-target': (R, k) => (
    <>
      {[1, 0.72, 0.46, 0.22].map((q, i) => (
        <path key={q} d={soft(blot(on(k, 0, -0.66), k.rx * 0.5 * q, R, 0.2, 11, 1.2))} fill={i % 2 ? '#5a3a22' : '#2f1d12'} />
      ))}
    </>
  ),
  'yellow-tip': (_R, k) => (
    <>
      <path
        d={`M${k.c[0] - k.rx * 1.2} ${k.c[1] + k.ry * 0.2}Q${k.c[0]} ${k.c[1] + k.ry * 0.02} ${k.c[0] + k.rx * 1.2} ${k.c[1] + k.ry * 0.2}V${k.c[1] + k.ry * 1.2}H${k.c[0] - k.rx * 1.2}Z`}
        fill="#e3cf6a"
      />
      <path
        d={`M${k.c[0] - k.rx * 1.2} ${k.c[1] + k.ry * 0.72}Q${k.c[0]} ${k.c[1] + k.ry * 0.6} ${k.c[0] + k.rx * 1.2} ${k.c[1] + k.ry * 0.72}V${k.c[1] + k.ry * 1.2}H${k.c[0] - k.rx * 1.2}Z`}
        fill="#a8803c"
      />
      <path d={lines([[on(k, -0.5, 0.86), on(k, -0.1, 0.8), on(k, 0.4, 0.88)]])} stroke="#6b4a1e" strokeWidth="1.4" fill="none" />
    </>
  ),
  fallen: () => null,
  'ribbon-scar': (_R, k) => (
    <>
      <path
        d={curve([on(k, -0.1, 0.9), on(k, -0.66, 0.4), on(k, -0.7, -0.2), on(k, -0.2, -0.62), on(k, 0.36, -0.5)])}
        fill="none"
        stroke="#7a5a34"
        strokeWidth="14"
        strokeLinecap="round"
      />
      <path
        d={curve([on(k, -0.1, 0.9), on(k, -0.66, 0.4), on(k, -0.7, -0.2), on(k, -0.2, -0.62), on(k, 0.36, -0.5)])}
        fill="none"
        stroke="#d9b98a"
        strokeWidth="9"
        strokeLinecap="round"
      />
      <path
        d={curve([on(k, -0.1, 0.9), on(k, -0.66, 0.4), on(k, -0.7, -0.2), on(k, -0.2, -0.62), on(k, 0.36, -0.5)])}
        fill="none"
        stroke="#8a6a40"
        strokeWidth="1.2"
        strokeDasharray="5 4"
      />
    </>
  ),
  tunnel: (R, k) => {
    const g = oneGlobe(k, 4);
    const c: P = k.globes ? [g[0], g[1]] : on(k, 0.1, 0.1);
    const r = k.globes ? g[2] * 0.8 : Math.min(k.rx, k.ry) * 0.66;
    // A beetle's grub feeds at the stalk end first: there the drupelets are brown and dry.
    const dry = k.name === 'raspberry' ? (k.globes ?? []).filter((_, n) => n < 5) : [];
    return (
      <>
        {dry.map(([x, y, q]) => (
          <path key={`${x} ${y}`} d={soft(blot([x, y], q * 0.94, R, 0.3, 10))} fill="#a98455" stroke="#5f3c1c" strokeWidth="1.2" />
        ))}
        <path d={soft(blot(c, r, R, 0.12, 13))} fill="#f2dcae" stroke="#8a5a30" strokeWidth="1.4" />
        {!k.globes && <path d={soft(blot(add(c, [2, 6]), r * 0.4, R, 0.15, 11, 1, 1))} fill="#a5784a" stroke="#5f3c1c" strokeWidth="1.2" />}
        <path
          d={curve([add(c, [-r * 0.8, -r * 0.3]), add(c, [-r * 0.3, -r * 0.5]), add(c, [r * 0.3, -r * 0.3]), add(c, [r * 0.5, r * 0.2])])}
          fill="none"
          stroke="#5a3016"
          strokeWidth="7"
          strokeLinecap="round"
        />
        <Spots at={inBox(R, 12, c[0] - r * 0.5, c[1] - r * 0.6, c[0] + r * 0.6, c[1])} r={1.6} c="#3b1d0c" />
        {grub(c[0] + r * 0.45, c[1] + r * 0.1, k.globes ? 0.24 : 0.34, { body: 'caterpillar', colour: 'pink', prolegs: 5 }, 70)}
      </>
    );
  },
  threads: (R, k) => (
    <>
      <path d={soft(blot(on(k, 0, 0.08), Math.min(k.rx, k.ry) * 0.78, R, 0.06, 16))} fill="#f6ecc8" stroke="#a88a4c" strokeWidth="1.3" />
      <path
        d={[0, 1, 2, 3]
          .map((i) => curve([on(k, -0.6, -0.34 + i * 0.28), on(k, -0.24, -0.18 + i * 0.24), on(k, 0.1, -0.4 + i * 0.3), on(k, 0.54, -0.2 + i * 0.26)]))
          .join('')}
        fill="none"
        stroke="#8a5426"
        strokeWidth="3.4"
        strokeLinecap="round"
      />
      <path d={soft([on(k, 0, -0.1), on(k, 0.1, 0.1), on(k, 0, 0.3), on(k, -0.1, 0.1)])} fill="#c9a06a" stroke="#6b4a20" strokeWidth="1.1" />
      {grub(on(k, 0.3, 0.34)[0], on(k, 0.3, 0.34)[1], 0.26)}
    </>
  ),
  pecked: (R, k) =>
    [on(k, 0.3, -0.2), on(k, -0.3, 0.34)].map((c, i) => {
      const o = ring([
        [c[0] - 17, c[1] - 4],
        [c[0] - 6, c[1] - 13],
        [c[0] + 1, c[1] - 7],
        [c[0] + 14, c[1] - 12],
        [c[0] + 11, c[1] + 2],
        [c[0] + 18, c[1] + 10],
        [c[0] + 2, c[1] + 8],
        [c[0] - 8, c[1] + 14],
        [c[0] - 10, c[1] + 3],
      ]);
      return (
        <g key={i}>
          <path d={o} fill="#f7e2b4" stroke="#5a1d10" strokeWidth="2" strokeLinejoin="bevel" />
          <path d={soft(blot(c, 5.4, R, 0.3, 7))} fill="#8a3a20" opacity=".7" />
        </g>
      );
    }),
  // Soft and sunken where the fly laid, leaking; on a berry of many, some of the drupelets have collapsed.
  'soft-dents': (R, k) =>
    (k.globes && k.name !== 'cherry' ? k.globes.filter((_, i) => i > 5 && i % 2 === 0).map(([x, y]): P => [x, y]) : over(R, k, 6, 0.6)).map((p, i) => (
      <g key={i}>
        <path d={soft(blot(p, k.globes ? 20 : 12, R, 0.3, 10, 1.2))} fill="#5a1420" opacity=".8" />
        <path d={soft(blot(add(p, [1.5, 2]), 8, R, 0.3, 9, 1.3))} fill="#2b070c" opacity=".6" />
        <path d={`M${(p[0] - 3).toFixed(1)} ${(p[1] + 8).toFixed(1)}q1 14 3 18q4-4 3-18Z`} fill="#a3203c" opacity=".85" />
        <path
          d={lines([
            [add(p, [0, -3]), add(p, [-3, -12])],
            [add(p, [1, -3]), add(p, [4, -12])],
          ])}
          stroke="#fff"
          strokeWidth="1.4"
        />
      </g>
    )),
  maggots: (_R, k) =>
    [0, 1, 2, 3].map((i) =>
      grub(
        on(k, -0.5 + i * 0.3, i % 2 ? 0.32 : -0.06)[0],
        on(k, -0.5 + i * 0.3, i % 2 ? 0.32 : -0.06)[1],
        0.24,
        { body: 'maggot', colour: 'white' },
        40 + i * 50,
      ),
    ),
  mummy: (R, k) => {
    const g = k.globes ?? [[k.c[0], k.c[1], Math.min(k.rx, k.ry)] as const];
    return (
      <>
        {g
          .filter((_, i) => i % 2 === 0 || g.length < 3)
          .map(([x, y, r], i) => {
            const o = blot([x, y], r * 0.98, R, 0.34, 13);
            return (
              <g key={i}>
                <path d={soft(o)} fill="#3b2b28" stroke="#1a1010" strokeWidth="1.3" />
                <path
                  d={o
                    .filter((_, j) => j % 2 === 0)
                    .map((q) => curve([mix([x, y], q, 0.9), mix([x, y], q, 0.5), [x + 2, y]]))
                    .join('')}
                  fill="none"
                  stroke="#7d6860"
                  strokeWidth="1.3"
                />
              </g>
            );
          })}
      </>
    );
  },
  'smut-balls': (R, k) =>
    by3('-1.1 -0.3 26, 0.7 -0.1 30, -0.4 0.3 24, 1.1 0.35 20, 0.2 -0.6 20').map(([x, y, r], i) => {
      const c = on(k, x as number, y as number);
      const o = blot(c, r as number, R, 0.24, 11);
      return (
        <g key={i}>
          <path d={soft(o.map((q) => add(q, [2, 3])))} fill="#222" opacity=".3" />
          <path d={soft(o)} fill="#d3d5d6" stroke="#5c6064" strokeWidth="1.3" />
          <path d={curve([mix(c, o[6] as P, 0.6), add(c, [-4, -10]), mix(c, o[9] as P, 0.6)])} fill="none" stroke="#fff" strokeWidth="3" />
          {i < 2 && <path d={soft(blot(add(c, [4, 6]), (r as number) * 0.42, R, 0.6, 9))} fill="#1b1a19" />}
          {i < 2 && <Spots at={inBox(R, 24, c[0] - 16, c[1] + 4, c[0] + 24, c[1] + 40)} r={1} c="#1b1a19" />}
        </g>
      );
    }),
  'black-wet': (R, k) => (
    <>
      {[on(k, -0.2, 0.5), on(k, 0.4, -0.1), on(k, -0.44, -0.3)].map((c, i) => (
        <g key={i}>
          <path d={soft(blot(c, k.rx * (0.4 - i * 0.07), R, 0.5, 12))} fill="#15110e" />
          <path d={curve([add(c, [-9, 2]), add(c, [-5, -7]), add(c, [3, -9])])} fill="none" stroke="#77706a" strokeWidth="2" />
        </g>
      ))}
    </>
  ),
  pellets: (R, k) => {
    const p = k.name === 'pea' || k.name === 'bean' ? on(k, -0.1, -0.1) : on(k, 0.1, 0.3);
    return (
      <>
        <Spots at={Array.from({ length: 22 }, (): P => add(p, [(R() - 0.5) * 34, (R() - 0.5) * 34]))} r={2.2} c="#3a2c18" />
        {grub(p[0] + 8, p[1] + 6, 0.3, { body: 'caterpillar', colour: 'cream', prolegs: 5, head: 'black' }, 40)}
      </>
    );
  },
};
