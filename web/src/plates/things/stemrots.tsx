import { add, blot, by3, curve, line, lines, mix, type P, ring, soft, taper, xy } from '../kit/geo';
import { bark, type Sign, Spots } from './brush';
import type { Stem } from './stem';
import { over, sunken } from './stemshapes';

/** What rots, cankers and wilts show on a stem. */
export const rots: Record<string, Sign<Stem>> = {
  canker: (R, k) => sunken(R, k, 0.5, k.kind === 'trunk' ? 26 : 15),
  'coral-dots': (R, k) => {
    const at = over(R, k, 34, 0.15, 0.85);
    return (
      <>
        <path
          d={ring([...Array.from({ length: 9 }, (_, i) => k.on(0.1 + i * 0.1, -0.98)), ...Array.from({ length: 9 }, (_, i) => k.on(0.9 - i * 0.1, 0.98))])}
          fill="#6e5a48"
          opacity=".55"
        />
        {at.map((p, i) => (
          <g key={i}>
            <circle cx={(p[0] + 0.8).toFixed(1)} cy={(p[1] + 1).toFixed(1)} r="3" fill="#5a2a1c" opacity=".6" />
            <circle cx={p[0].toFixed(1)} cy={p[1].toFixed(1)} r={(2 + R() * 1.2).toFixed(1)} fill="#ea6f4c" stroke="#a8381c" strokeWidth=".7" />
          </g>
        ))}
        <Spots at={at.map((p): P => add(p, [-0.8, -0.9]))} r={0.6} c="#ffd9c6" />
      </>
    );
  },
  'brown-ring': (_R, k) => {
    const c = k.on(0.06, 0);
    const w = Math.max(16, k.w * 0.78);
    return (
      <g transform={`translate(${c[0] + (k.kind === 'trunk' ? 0 : 40)} ${c[1] - 12})`}>
        <ellipse cx="1.5" cy="2" rx={w + 2} ry={w * 0.72 + 2} fill="#2e2114" opacity=".3" />
        <ellipse rx={w + 2} ry={w * 0.72 + 2} fill={k.kind === 'herb' ? 'var(--leaf)' : 'var(--bark)'} {...bark} />
        <ellipse rx={w - 2} ry={w * 0.72 - 1.5} fill="#f3ead0" stroke="#cdbb8c" strokeWidth=".8" />
        <ellipse rx={w * 0.66} ry={w * 0.48} fill="none" stroke="#7a4318" strokeWidth="4.4" strokeDasharray="9 2.4 5 1.8 12 2" />
        <ellipse rx={w * 0.2} ry={w * 0.14} fill="#fbf6e4" stroke="#cdbb8c" strokeWidth=".8" />
      </g>
    );
  },
  'half-wilted': () => null,
  'yellow-half': () => null,
  'green-stem': () => null,
  'black-shoot': (_R, k) => (
    <path d={ring([...[0.5, 0.64, 0.78, 0.9, 1].map((t) => k.on(t, -1)), ...[1, 0.9, 0.78, 0.64, 0.5].map((t) => k.on(t, 1))])} fill="#1d1812" />
  ),
  'wet-stem': (R, k) => {
    const o = [
      ...[0, 0.1, 0.2, 0.3, 0.38].map((t, i) => k.on(t, -1.02 + (i === 4 ? 0.5 : 0))),
      k.on(0.44, 0),
      ...[0.36, 0.26, 0.14, 0].map((t) => k.on(t, 1.02)),
    ];
    return (
      <>
        <path d={ring(o)} fill="#3f2a1a" opacity=".9" />
        <path d={curve([k.on(0.08, -0.5), k.on(0.18, -0.6), k.on(0.28, -0.4)])} fill="none" stroke="#b89a7c" strokeWidth="1.8" opacity=".8" />
        <Spots at={over(R, k, 9, 0.02, 0.34)} r={1.3} c="#c9ae92" o={0.6} />
      </>
    );
  },
  mould: (R, k) => {
    const lobes = [0.3, 0.38, 0.46, 0.54, 0.6].map((t, i) => blot(k.on(t, i % 2 ? 0.7 : -0.6), 15 + R() * 6, R, 0.4, 12));
    return (
      <>
        {lobes.map((o, i) => (
          <path key={i} d={soft(o)} fill="#fbfbf7" stroke="#bfc4ba" strokeWidth=".8" />
        ))}
        <path d={lines(lobes.flatMap((o) => o.map((p) => [p, add(p, [(R() - 0.5) * 9, (R() - 0.5) * 9])])))} stroke="#fff" strokeWidth="1.2" fill="none" />
        <path d={lines(lobes.flatMap((o) => o.map((p) => [p, add(p, [(R() - 0.5) * 8, (R() - 0.5) * 8])])))} stroke="#a9b0a2" strokeWidth=".5" fill="none" />
      </>
    );
  },
  sclerotia: (R, k) => (
    <>
      {xy('0.34 -0.4, 0.42 0.8, 0.5 -0.8, 0.57 0.3, 0.28 0.5').map(([t, x], i) => {
        const p = k.on(t as number, x as number);
        return (
          <g key={i}>
            <path d={soft(blot(p, 5.6 + R() * 2, R, 0.5, 8, 1.4, R() * 3))} fill="#1a1613" stroke="#000" strokeWidth=".7" />
            <path d={line([add(p, [-3, -1.6]), add(p, [0, -2.8])])} stroke="#7d776e" strokeWidth="1.2" />
          </g>
        );
      })}
    </>
  ),
  crook: () => null,
  ooze: (R, k) => (
    <>
      {(k.kind === 'trunk'
        ? [
            [0.6, -0.2],
            [0.4, 0.3],
          ]
        : [
            [0.48, 0.4],
            [0.3, -0.3],
          ]
      ).map(([t, x]) => {
        const p = k.on(t as number, x as number);
        const long = k.kind === 'trunk' ? 46 : 15;
        return (
          <g key={t}>
            {k.kind === 'trunk' && <path d={soft(blot(p, 13, R, 0.4, 11, 1.3, 1.5))} fill="#2b1b14" />}
            <path
              d={`M${(p[0] - 4).toFixed(1)} ${p[1].toFixed(1)}q4-4 8 0l${k.kind === 'trunk' ? 2 : 1} ${long}q-5 6-9 0Z`}
              fill={k.kind === 'trunk' ? '#3a2418' : '#d98f3a'}
              stroke="#5a2f10"
              strokeWidth=".8"
            />
            <path d={`M${(p[0] - 1.6).toFixed(1)} ${(p[1] + 3).toFixed(1)}v${long * 0.6}`} stroke="#f6d49a" strokeWidth="1.3" />
          </g>
        );
      })}
    </>
  ),
  gum: (R, k) => (
    <>
      {xy('0.46 0.7, 0.38 0.9, 0.56 0.5').map(([t, x]) => {
        const p = k.on(t as number, x as number);
        const o = blot(p, 7 + R() * 4, R, 0.35, 9, 1.3, 1.4);
        return (
          <g key={t}>
            <path d={soft(o)} fill="#d9932e" stroke="#8a4d10" strokeWidth=".9" opacity=".95" />
            <path d={curve([add(p, [-3, 1]), add(p, [-1, -4]), add(p, [3, -4])])} fill="none" stroke="#fff1cc" strokeWidth="1.6" />
          </g>
        );
      })}
    </>
  ),
  'white-sheet': (R, k) => {
    const o = [k.on(0.08, -0.7), k.on(0.2, -0.8), k.on(0.36, -0.6), k.on(0.46, -0.1), k.on(0.38, 0.5), k.on(0.22, 0.7), k.on(0.08, 0.6)];
    return (
      <>
        <path d={soft(o.map((p) => mix(k.on(0.25, 0), p, 1.16)))} fill="#6e4f34" {...bark} />
        <path d={soft(o)} fill="#faf8ee" stroke="#bdb59c" strokeWidth="1" />
        <path
          d={Array.from({ length: 9 }, (_, i) =>
            curve([k.on(0.1 + i * 0.01, -0.5 + i * 0.12), k.on(0.24, -0.6 + i * 0.15 + (R() - 0.5) * 0.2), k.on(0.38, -0.3 + i * 0.07)]),
          ).join('')}
          fill="none"
          stroke="#cfc8b0"
          strokeWidth="1"
        />
      </>
    );
  },
  'honey-caps': (_R, k) => {
    const b = k.on(0, 0);
    return (
      <>
        {by3('-58 -4 1, -40 4 1.3, -66 6 0.7, 50 0 1.2, 66 6 0.9').map(([dx, dy, q]) => (
          <g key={dx} transform={`translate(${b[0] + (dx as number)} ${b[1] + (dy as number) - 4}) scale(${q})`}>
            <path d="M-3 0C-3-10-2-16-1-22H3C3-14 4-8 4 0Z" fill="#efe0bc" stroke="#6b4a20" strokeWidth="1" />
            <path d="M-3-12H5" stroke="#cdb27c" strokeWidth="2" />
            <path d="M-15-20C-12-34 14-34 17-20Q1-15-15-20Z" fill="#d9a24a" stroke="#6b4a20" strokeWidth="1.1" />
            <path d="M-6-27q4-2 8-1" stroke="#8a5a1c" strokeWidth="1.4" fill="none" />
          </g>
        ))}
      </>
    );
  },
  bracket: (_R, k) => {
    const p = k.on(0.24, 0.86);
    const q = k.on(0.12, 0.9);
    return (
      <>
        {[p, q].map((c, i) => (
          <g key={i} transform={`translate(${c[0].toFixed(1)} ${c[1].toFixed(1)}) scale(${i ? 0.78 : 1})`}>
            <path d="M-6-9C18-22 52-14 58 4C36 14 8 14-6 10Z" fill="#a9744a" {...bark} />
            <path d="M-4-2C20-10 44-6 57 3M-4 4C18 0 38 2 50 7" fill="none" stroke="#6b4022" strokeWidth="1.4" />
            <path d="M58 4C36 14 8 14-6 10L-6 14C10 20 38 18 58 8Z" fill="#f4ead0" {...bark} />
          </g>
        ))}
      </>
    );
  },
  diamond: (R, k) => {
    const o = [k.on(0.78, -0.1), k.on(0.6, -0.62), k.on(0.5, -0.74), k.on(0.4, -0.6), k.on(0.2, 0), k.on(0.42, 0.6), k.on(0.5, 0.72), k.on(0.6, 0.55)];
    const c = k.on(0.5, 0);
    const stub = k.on(0.5, 0.05);
    return (
      <>
        <path d={ring(o)} fill="#8d5f40" {...bark} />
        <path d={ring(o.map((p) => mix(c, p, 0.66)))} fill="#5f3a22" />
        <path d={lines(o.map((p) => [mix(c, p, 0.7), mix(c, p, 0.95)]))} stroke="#3b2112" strokeWidth="1" />
        <path d={ring(taper([stub, add(stub, [26, -30]), add(stub, [44, -60])], 13, 7))} fill="#9a8064" {...bark} />
        <Spots at={over(R, k, 12, 0.3, 0.7)} r={1} c="#3b2112" />
      </>
    );
  },
  'purple-stains': (R, k) => (
    <>
      {[0.3, 0.52, 0.74].map((t, i) => (
        <path key={t} d={soft(blot(k.on(t, i % 2 ? 0.3 : -0.3), 11, R, 0.4, 11, 2, 1.5))} fill="#5d2f55" opacity=".9" stroke="#34182f" strokeWidth=".8" />
      ))}
      <Spots at={over(R, k, 26, 0.24, 0.8)} r={0.9} c="#1b0f1a" />
    </>
  ),
  rust: (R, k) => (
    <path
      d={over(R, k, 20, 0.2, 0.6)
        .map((p) => soft(blot(p, 4 + R() * 6, R, 0.5, 9)))
        .join('')}
      fill="#b5551d"
      opacity=".8"
    />
  ),
  'black-foot': (R, k) => (
    <>
      <path
        d={ring([...[0, 0.1, 0.2, 0.3].map((t) => k.on(t, -1.06)), k.on(0.4, -0.2), k.on(0.34, 0.4), ...[0.28, 0.14, 0].map((t) => k.on(t, 1.06))])}
        fill="#191311"
      />
      <path d={curve([k.on(0.06, -0.4), k.on(0.16, -0.5), k.on(0.24, -0.3)])} fill="none" stroke="#6f655c" strokeWidth="1.6" />
      <Spots at={over(R, k, 8, 0.02, 0.3)} r={1.2} c="#4d423a" />
    </>
  ),
  streams: (R, k) => {
    const c = k.on(0.16, 0);
    return (
      <>
        <path d={`M${c[0] - 44} ${c[1] - 16}V276H${c[0] + 44}V${c[1] - 16}`} fill="#cfe4ec" opacity=".75" stroke="var(--quiet)" strokeWidth="1.2" />
        <path d={`M${c[0] - 44} ${c[1] - 4}H${c[0] + 44}`} stroke="#8fb4c4" strokeWidth="1.2" />
        <path
          d={Array.from({ length: 7 }, (_, i) =>
            curve([add(c, [(i - 3) * 3, 24]), add(c, [(i - 3) * 5 + (R() - 0.5) * 8, 36]), add(c, [(i - 3) * 7 + (R() - 0.5) * 10, 52])]),
          ).join('')}
          fill="none"
          stroke="#fffef6"
          strokeWidth="2.4"
          strokeLinecap="round"
        />
        <path
          d={Array.from({ length: 4 }, (_, i) => curve([add(c, [(i - 1.5) * 5, 26]), add(c, [(i - 1.5) * 8, 40]), add(c, [(i - 1.5) * 9, 56])])).join('')}
          fill="none"
          stroke="#a9a48c"
          strokeWidth=".6"
        />
      </>
    );
  },
  'leaf-rain': () => null,
};
