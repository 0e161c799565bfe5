import { add, blot, by3, curve, lines, mix, type P, ring, soft, xy } from '../kit/geo';
import { bark, inBox, type Sign, Spots } from './brush';
import type { Stem } from './stem';
import { rots } from './stemrots';
import { holes, lumps, over } from './stemshapes';

/** What a stem can show: rots and wilts, and what grows on it, sits on it, bores into it or bites it. */
export const stemWords: Record<string, Sign<Stem>> = {
  ...rots,
  // Buds as round as they are long, beside the slim ones they should be.
  'fat-buds': (R, k) => (
    <>
      {[0.86, 0.7, 0.54, 0.36, 0.2].map((t, i) => {
        const s = i % 2 ? 1 : -1;
        const p = add(k.on(t, s * 1.1), [s * 11, -3]);
        const r = i === 3 ? 6 : 15;
        return (
          <g key={t} transform={`translate(${p[0].toFixed(1)} ${p[1].toFixed(1)}) rotate(${s * (i === 3 ? 24 : 40)})`}>
            <path d={soft(i === 3 ? xy('0 10, -4 2, -3 -8, 0 -15, 3 -8, 4 2') : blot([0, 0], r, R, 0.12, 10))} fill="#a9b56a" {...bark} />
            {i !== 3 && <path d="M-10 6C-6-8-2-12 0-15C2-12 6-8 10 6M-4 12C-3 0-1-6 0-14C1-6 3 0 4 12" fill="none" stroke="var(--bark-line)" strokeWidth="1" />}
            {i !== 3 && <path d="M-9-3q2-6 6-8" stroke="#fff" strokeWidth="2" fill="none" opacity=".7" strokeLinecap="round" />}
          </g>
        );
      })}
    </>
  ),
  'crown-gall': (R, k) => lumps(R, [k.on(0.12, -0.8), k.on(0.16, 1.2), k.on(0.07, 0.6), k.on(0.2, 0.1)], 21, '#a98a64'),
  'bark-galls': (R, k) =>
    lumps(
      R,
      [0.22, 0.34, 0.5, 0.66, 0.8].map((t, i) => k.on(t, i % 2 ? 0.9 : -0.8)),
      11,
      '#b39670',
    ),
  swelling: (R, k) => {
    const bulge = [0, 0.9, 1.3, 1, 0];
    const o = [
      ...[0.3, 0.38, 0.46, 0.56, 0.66].map((t, i) => k.on(t, -1 - (bulge[i] ?? 0))),
      ...[0.66, 0.56, 0.46, 0.38, 0.3].map((t, i) => k.on(t, 1 + (bulge[i] ?? 0))),
    ];
    return (
      <>
        <path d={soft(o)} fill={k.kind === 'herb' ? 'var(--leaf)' : '#a98f6c'} {...bark} />
        <path d={curve([k.on(0.36, -0.9), k.on(0.48, -1.2), k.on(0.58, -0.9)])} fill="none" stroke="#fff" strokeWidth="2" opacity=".4" />
        <Spots at={Array.from({ length: 9 }, () => k.on(0.38 + R() * 0.2, (R() * 2 - 1) * 1.1))} r={1.5} c="#2b1c10" />
      </>
    );
  },
  honeydew: (R, k) => (
    <>
      {[0.24, 0.4, 0.55, 0.7, 0.83].map((t, i) => {
        const p = k.on(t, i % 2 ? 0.8 : -0.7);
        const r = 2.4 + R() * 3;
        return (
          <g key={t} transform={`translate(${p[0].toFixed(1)} ${p[1].toFixed(1)})`}>
            <path
              d={`M0 ${-r}C${r} ${-r} ${r * 1.2} ${r} 0 ${r * 1.6}C${-r * 1.2} ${r} ${-r} ${-r} 0 ${-r}Z`}
              fill="#f3e6a8"
              stroke="#a08a3a"
              strokeWidth=".7"
              opacity=".92"
            />
            <path d={`M${-r * 0.5} 0A${r * 0.6} ${r * 0.6} 0 0 1 0 ${-r * 0.6}`} fill="none" stroke="#fff" strokeWidth="1.1" />
          </g>
        );
      })}
    </>
  ),
  sooty: (R, k) => (
    <>
      <path
        d={over(R, k, 22)
          .map((p) => soft(blot(p, 5 + R() * 6, R, 0.6, 9, 1.5, 1.5)))
          .join('')}
        fill="#1d1c1a"
        opacity=".55"
      />
      <Spots at={over(R, k, 60)} r={0.7} c="#12110f" />
    </>
  ),
  'grey-crust': (R, k) => {
    const at = over(R, k, 70, 0.12, 0.92);
    return (
      <>
        <path d={at.map((p) => soft(blot(p, 2.6 + R() * 2, R, 0.3, 8))).join('')} fill="#a7a79e" stroke="#5e5f58" strokeWidth=".7" />
        <Spots at={at.filter((_, i) => i % 2 === 0)} r={0.9} c="#4b4740" />
      </>
    );
  },
  'white-crust': (R, k) => {
    const at = over(R, k, 62, 0.12, 0.92);
    return (
      <>
        <path d={at.map((p) => soft(blot(p, 3 + R() * 2.4, R, 0.35, 8))).join('')} fill="#fdfcf5" stroke="#a9a698" strokeWidth=".7" />
        <Spots at={at.filter((_, i) => i % 3 === 0)} r={1} c="#d9a45a" />
        <path d={lines(at.filter((_, i) => i % 4 === 0).map((p) => [add(p, [3, 2]), add(p, [8, 4])]))} stroke="#fff" strokeWidth="1.6" />
      </>
    );
  },
  'red-rings': (R, k) => (
    <>
      {over(R, k, 7, 0.2, 0.85).map((p, i) => (
        <g key={i}>
          <circle cx={p[0].toFixed(1)} cy={p[1].toFixed(1)} r="8.6" fill="#c2304a" opacity=".32" />
          <circle cx={p[0].toFixed(1)} cy={p[1].toFixed(1)} r="7" fill="none" stroke="#b5243c" strokeWidth="2.2" />
          <circle cx={p[0].toFixed(1)} cy={p[1].toFixed(1)} r="3.6" fill="#8b8a82" stroke="#4b4740" strokeWidth=".8" />
          <circle cx={p[0].toFixed(1)} cy={p[1].toFixed(1)} r="1.1" fill="#2b2723" />
        </g>
      ))}
    </>
  ),
  'yellow-dots': (R, k) => (
    <path
      d={over(R, k, 16)
        .map((p) => soft(blot(p, 5 + R() * 3, R, 0.4, 9)))
        .join('')}
      fill="#e8d868"
      opacity=".8"
    />
  ),
  reddish: (R, k) => {
    const at = over(R, k, 30, 0.12, 0.92);
    return (
      <>
        {at.map((p, i) => (
          <g key={i}>
            <circle cx={p[0].toFixed(1)} cy={p[1].toFixed(1)} r="4.4" fill="#d9b9a4" opacity=".75" stroke="#8d5a44" strokeWidth=".6" />
            <circle cx={p[0].toFixed(1)} cy={p[1].toFixed(1)} r="2.6" fill="#c8582f" />
          </g>
        ))}
      </>
    );
  },
  'wax-threads': (R, k) => {
    const at = over(R, k, 34, 0.1, 0.95);
    return (
      <>
        <path
          d={at.map((p) => curve([p, add(p, [(R() - 0.5) * 26, 5 + R() * 5]), add(p, [(R() - 0.5) * 44, 12 + R() * 12])])).join('')}
          fill="none"
          stroke="#fff"
          strokeWidth="1.7"
          strokeLinecap="round"
        />
        <path
          d={at
            .slice(0, 14)
            .map((p) => curve([p, add(p, [(R() - 0.5) * 24, 6]), add(p, [(R() - 0.5) * 40, 15])]))
            .join('')}
          fill="none"
          stroke="#9aa69c"
          strokeWidth=".6"
        />
      </>
    );
  },
  'white-pads': (R, k) => (
    <>
      {xy('0.2 -0.4, 0.36 0.5, 0.52 -0.5, 0.68 0.4, 0.84 -0.2').map(([t, x]) => {
        const p = k.on(t as number, x as number);
        const o = blot(add(p, [0, 5]), 9, R, 0.25, 11);
        return (
          <g key={t}>
            <path d={soft(o)} fill="#fdfdf8" stroke="#a9aca0" strokeWidth=".9" />
            <path d={lines(o.slice(0, 6).map((q) => [mix(p, q, 0.4), q]))} stroke="#d5d8cc" strokeWidth=".8" />
            <path d={soft(blot(add(p, [0, -3]), 6, R, 0.2, 9))} fill="#7b4f2c" stroke="#35200f" strokeWidth=".9" />
          </g>
        );
      })}
    </>
  ),
  'borer-hole': (_R, k) =>
    holes(
      k,
      k.kind === 'trunk'
        ? [
            [0.58, -0.1],
            [0.36, 0.3],
          ]
        : [[0.52, 0]],
      k.kind === 'trunk' ? 6 : 4.6,
    ),
  'round-holes': (_R, k) => holes(k, xy('0.66 -0.36, 0.44 0.3, 0.26 -0.2'), 9),
  'd-holes': (_R, k) => (
    <>
      {xy('0.78 -0.4, 0.62 0.35, 0.46 -0.2, 0.3 0.5, 0.2 -0.5').map(([t, x]) => {
        const p = k.on(t as number, x as number);
        return <path key={t} d={`M${(p[0] - 7).toFixed(1)} ${p[1].toFixed(1)}h14a7 7 0 0 0-14 0Z`} fill="#140d07" stroke="#caa880" strokeWidth="1.4" />;
      })}
      <path
        d={curve([k.on(0.7, 0.1), k.on(0.64, -0.2), k.on(0.58, 0.2), k.on(0.52, -0.2), k.on(0.46, 0.1), k.on(0.4, -0.1)])}
        fill="none"
        stroke="#7a5a3c"
        strokeWidth="2.4"
        opacity=".7"
      />
    </>
  ),
  sawdust: (R, k) => {
    const p = k.on(0.5, 0.2);
    const f: P = [k.on(0, 1)[0] + 12, 270];
    return (
      <>
        <Spots at={Array.from({ length: 34 }, (): P => add(p, [(R() - 0.3) * 16, R() * 40]))} r={1.1} c="#e2c48a" />
        <path d={soft(blot(f, 15, R, 0.2, 12, 1.8))} fill="#d9b878" {...bark} />
        <Spots at={inBox(R, 50, f[0] - 24, f[1] - 8, f[0] + 24, f[1] + 9)} r={0.9} c="#a8834a" />
      </>
    );
  },
  lichen: (R, k) => (
    <>
      {by3('0.2 -0.3 17, 0.42 0.4 20, 0.62 -0.3 15, 0.78 0.35 18, 0.32 0.7 10').map(([t, x, r], i) => {
        const p = k.on(t as number, x as number);
        const n = 18;
        const o = Array.from({ length: n }, (_, j): P => {
          const a = (j / n) * 6.283;
          const q = (r as number) * (j % 2 ? 0.72 : 1) * (0.85 + 0.3 * R());
          return [p[0] + Math.cos(a) * q, p[1] + Math.sin(a) * q * 0.9];
        });
        return (
          <g key={i}>
            <path d={soft(o)} fill={i % 2 ? '#b9c9b4' : '#dfb94e'} stroke="#6e7d66" strokeWidth=".9" />
            <path d={lines(o.filter((_, j) => j % 2 === 0).map((q) => [mix(p, q, 0.45), mix(p, q, 0.85)]))} stroke="#6e7d66" strokeWidth=".7" />
            <Spots at={o.filter((_, j) => j % 4 === 0).map((q) => mix(p, q, 0.4))} r={1.9} c={i % 2 ? '#7c8f74' : '#b3701e'} />
          </g>
        );
      })}
    </>
  ),
  cut: (_R, k) => (
    <>
      <path d={ring([k.on(0.42, -1.05), k.on(0.5, 0.1), k.on(0.54, -1.05)])} fill="#f0dfb8" {...bark} />
      <path
        d={lines([
          [k.on(0.44, -0.9), k.on(0.5, -0.1)],
          [k.on(0.47, -0.9), k.on(0.5, -0.2)],
        ])}
        stroke="#c9a874"
        strokeWidth=".9"
      />
      <path d={ring([k.on(0.62, -1.02), k.on(0.72, -1.02), k.on(0.7, -0.4), k.on(0.64, -0.3)])} fill="#f0dfb8" {...bark} />
      <path d={curve([k.on(0.62, -1.02), add(k.on(0.58, -1.4), [-8, 6]), add(k.on(0.54, -1.6), [-12, 14])])} fill="none" stroke="var(--bark)" strokeWidth="5" />
    </>
  ),
  stripped: (R, k) => {
    const o = [k.on(0.78, -0.7), k.on(0.82, 0.1), k.on(0.74, 0.6), k.on(0.5, 0.74), k.on(0.28, 0.6), k.on(0.2, -0.1), k.on(0.34, -0.6), k.on(0.58, -0.76)];
    return (
      <>
        <path d={ring(o)} fill="#f0e0b6" {...bark} />
        <path
          d={lines(
            Array.from({ length: 11 }, (_, i) => {
              const t = 0.28 + i * 0.045;
              return [k.on(t, -0.5 + R() * 0.3), k.on(t + 0.03, 0.1 + R() * 0.5)];
            }),
          )}
          stroke="#b08c52"
          strokeWidth="1.7"
        />
        <path
          d={curve([k.on(0.2, 0), add(k.on(0.14, 0.2), [10, 0]), add(k.on(0.08, 0.4), [22, 6])])}
          fill="none"
          stroke="var(--bark)"
          strokeWidth="6"
          strokeLinecap="round"
        />
      </>
    );
  },
  wings: (_R, k) => (
    <>
      {[-1, 1].map((s) => (
        <path
          key={s}
          d={ring([
            k.on(0.12, s),
            ...[0.16, 0.3, 0.46, 0.6, 0.74, 0.86].flatMap((t, i) => [k.on(t, s * (2 + (i % 2) * 0.3)), k.on(t + 0.06, s * (1.9 - (i % 2) * 0.4))]),
            k.on(0.96, s),
          ])}
          fill="#b39a72"
          {...bark}
        />
      ))}
      <path
        d={lines(
          [0.2, 0.34, 0.5, 0.64, 0.78].flatMap((t) => [
            [k.on(t, -1.1), k.on(t + 0.01, -1.9)],
            [k.on(t + 0.04, 1.1), k.on(t + 0.03, 1.8)],
          ]),
        )}
        stroke="var(--bark-line)"
        strokeWidth=".9"
      />
    </>
  ),
  moss: (R, k) => {
    const at = Array.from({ length: 40 }, (): P => k.on(R() * 0.72, -0.95 + R() * 1.1));
    return (
      <>
        <path d={at.map((p) => soft(blot(p, 8 + R() * 7, R, 0.4, 9))).join('')} fill="#6f9a3f" stroke="#3f6420" strokeWidth=".6" />
        <path d={lines(at.flatMap((p) => [0, 1, 2].map((i) => [add(p, [i * 4 - 4, -2]), add(p, [i * 4 - 5, -9])])))} stroke="#a9cf6c" strokeWidth="1.1" />
      </>
    );
  },
  corked: (R, k) => (
    <>
      <path
        d={ring([
          ...[0, 0.12, 0.24, 0.36, 0.45].map((t) => k.on(t, -1.04)),
          k.on(0.5, -0.3),
          k.on(0.42, 0.3),
          k.on(0.48, 1),
          ...[0.36, 0.2, 0].map((t) => k.on(t, 1.04)),
        ])}
        fill="#b08e62"
        {...bark}
      />
      <path
        d={lines(
          Array.from({ length: 16 }, () => {
            const t = R() * 0.42;
            const x = R() * 1.6 - 0.9;
            return [k.on(t, x), k.on(t + 0.012, x + 0.24), k.on(t + 0.004, x + 0.42)];
          }),
        )}
        stroke="#6b4a2a"
        strokeWidth="1.1"
        fill="none"
      />
    </>
  ),
  'root-starts': (R, k) => (
    <>
      {Array.from({ length: 17 }, (_, i) => {
        const p = k.on(0.1 + (i / 17) * 0.75, i % 2 ? 0.95 : -0.95);
        const s = i % 2 ? 1 : -1;
        const air = k.kind === 'herb';
        return (
          <path
            key={i}
            d={air ? curve([p, add(p, [s * 16, 6]), add(p, [s * 24, 26 + R() * 16])]) : soft(blot(p, 4, R, 0.3, 8))}
            fill={air ? 'none' : '#e9d8b0'}
            stroke={air ? '#cfc9a4' : 'var(--bark-line)'}
            strokeWidth={air ? 4 : 1}
            strokeLinecap="round"
          />
        );
      })}
    </>
  ),
  'hair-gall': (R, k) => {
    const c = k.on(0.55, 0);
    const hair = Array.from({ length: 90 }, (_, i) => {
      const a = (i / 90) * 6.283 + R() * 0.2;
      const r = 30 + R() * 16;
      const p = add(c, [Math.cos(a) * 14, Math.sin(a) * 14]);
      return curve([
        p,
        add(c, [Math.cos(a + 0.15) * r * 0.7, Math.sin(a + 0.15) * r * 0.7]),
        add(c, [Math.cos(a + (R() - 0.3) * 0.7) * r, Math.sin(a + (R() - 0.3) * 0.7) * r]),
      ]);
    });
    return (
      <>
        <path d={soft(blot(c, 30, R, 0.2, 12))} fill="#c45a4a" stroke="#7a2a22" strokeWidth="1" />
        <path d={hair.join('')} fill="none" stroke="#a8382e" strokeWidth="1.3" strokeLinecap="round" />
        <path d={hair.filter((_, i) => i % 3 === 0).join('')} fill="none" stroke="#7fa04a" strokeWidth="1.1" strokeLinecap="round" />
        <path d={hair.filter((_, i) => i % 5 === 0).join('')} fill="none" stroke="#f0a890" strokeWidth=".9" strokeLinecap="round" />
      </>
    );
  },
};
