import { add, blot, curve, mix, type P, type Rand, soft } from '../kit/geo';
import { bark } from './brush';
import type { Stem } from './stem';

/** A patch on the stem: sunken, its rim raised. */
export const sunken = (R: Rand, k: Stem, t: number, r: number, body = '#6b4a30', rim = '#caa888') => {
  const c = k.on(t, 0.08);
  const long = k.kind === 'trunk' ? 1.7 : 2.1;
  const o = blot(c, r, R, 0.3, 13, long, Math.PI / 2);
  return (
    <>
      <path d={soft(o.map((p) => mix(c, p, 1.28)))} fill={rim} {...bark} />
      <path d={soft(o)} fill={body} {...bark} />
      <path d={soft(o.map((p) => add(mix(c, p, 0.7), [1.5, 2])))} fill="#2e1c10" opacity=".55" />
      <path d={curve([mix(c, o[4] as P, 0.9), add(c, [-1, 2]), mix(c, o[10] as P, 0.8)])} fill="none" stroke="#24150a" strokeWidth="1.2" />
    </>
  );
};

export const holes = (k: Stem, at: readonly (readonly [number, number])[], r: number) => (
  <>
    {at.map(([t, x]) => {
      const p = k.on(t, x);
      return (
        <g key={`${t} ${x}`} transform={`translate(${p[0].toFixed(1)} ${p[1].toFixed(1)})`}>
          <ellipse rx={r + 2} ry={r + 2.6} fill="#caa880" stroke="var(--bark-line)" strokeWidth="1" />
          <ellipse rx={r} ry={r + 0.6} fill="#140d07" />
          <path d={`M${-r * 0.6} ${r * 0.4}A${r} ${r} 0 0 0 ${r * 0.6} ${r * 0.5}`} fill="none" stroke="#7a5a3c" strokeWidth="1" />
        </g>
      );
    })}
  </>
);

export const lumps = (R: Rand, at: readonly P[], r: number, fill: string) =>
  at.map((p, i) => {
    const q = r * (0.7 + 0.6 * R());
    const o = blot(p, q, R, 0.5, 11);
    return (
      <g key={i}>
        <path d={soft(o.map((x) => add(x, [2, 2.6])))} fill="#2e2114" opacity=".35" />
        <path d={soft(o)} fill={fill} {...bark} />
        <path
          d={curve([mix(p, o[6] as P, 0.6), add(p, [-q * 0.1, -q * 0.4]), mix(p, o[9] as P, 0.6)])}
          fill="none"
          stroke="#fff"
          strokeWidth="1.4"
          opacity=".45"
        />
        <path
          d={curve([mix(p, o[1] as P, 0.7), p, mix(p, o[4] as P, 0.7)]) + curve([mix(p, o[2] as P, 0.3), mix(p, o[3] as P, 0.9)])}
          fill="none"
          stroke="var(--bark-line)"
          strokeWidth=".9"
        />
      </g>
    );
  });

export const over = (R: Rand, k: Stem, n: number, t0 = 0.08, t1 = 0.95): P[] =>
  Array.from({ length: n }, () => k.on(t0 + R() * (t1 - t0), (R() * 2 - 1) * 0.86));
