import { Body } from '../bodies';
import { add, blot, by3, curve, lines, mix, type P, type Rand, ring, soft, taper } from '../kit/geo';
import { bark, inBox, type Sign, Spots } from './brush';
import type { K } from './root';

const along = (R: Rand, k: K, n: number): P[] => {
  const pts = k.roots.flatMap((r) => r.slice(1));
  return Array.from({ length: n }, () => pts[Math.floor(R() * pts.length)] as P);
};

const over = (R: Rand, k: K, n: number, r = 0.8): P[] =>
  Array.from({ length: n }, () => {
    const a = R() * 6.283;
    const q = Math.sqrt(R()) * r;
    return k.on(Math.cos(a) * q, Math.sin(a) * q);
  });

const guest = (d: Record<string, unknown>, p: P, k: number, turn: number, key: number | string = 0) => (
  <g key={key} transform={`translate(${p[0].toFixed(1)} ${p[1].toFixed(1)}) rotate(${turn.toFixed(0)}) scale(${k}) translate(-50 -50)`}>
    <Body d={d} />
  </g>
);

const lump = (R: Rand, p: P, r: number, fill: string, i: number, edge = 'var(--bark-line)') => {
  const o = blot(p, r, R, 0.3, 8);
  return (
    <g key={i}>
      <path d={soft(o)} fill={fill} stroke={edge} strokeWidth="1" />
      <path
        d={curve([mix(p, o[4] as P, 0.6), add(p, [-r * 0.2, -r * 0.45]), mix(p, o[7] as P, 0.55)])}
        fill="none"
        stroke="#fff"
        strokeWidth={Math.max(1, r * 0.18)}
        opacity=".6"
        strokeLinecap="round"
      />
    </g>
  );
};

export const rootWords: Record<string, Sign<K>> = {
  'rotten-roots': (R, k) => (
    <>
      {/* One sound root beside the rotten ones; the bark of two has slipped off its string. */}
      <path
        d={k.roots
          .slice(0, -4)
          .filter((_, i) => i % 4 === 1)
          .map((r) => curve(r.slice(4)))
          .join('')}
        fill="none"
        stroke="#e9d9b8"
        strokeWidth="1.3"
      />
      <path
        d={k.roots
          .slice(0, -4)
          .filter((_, i) => i % 4 === 1)
          .map((r) => ring(taper(r.slice(1, 5), 8, 5)))
          .join('')}
        fill="#3b2415"
      />
      <Spots at={along(R, k, 26)} r={2.2} c="#2b190d" o={0.7} />
    </>
  ),
  'chewed-roots': (R, k) => (
    <>
      {k.form === 'fibres' && (
        <path
          d={k.roots
            .filter((_, i) => i % 3 === 0)
            .map((r) => ring(blot(r[r.length - 1] as P, 6, R, 0.4, 7)))
            .join('')}
          fill="var(--earth-cut, #cdb48c)"
          opacity=".0"
        />
      )}
      <path
        d={k.roots
          .filter((r) => r.length > 4)
          .map((r) => {
            const p = r[5] ?? (r[r.length - 1] as P);
            return ring([add(p, [-5, -3]), add(p, [-2, 1]), add(p, [1, -2]), add(p, [5, 1]), add(p, [4, 5]), add(p, [-4, 5])]);
          })
          .join('')}
        fill="#f6e9c8"
        stroke="#6b4a2a"
        strokeWidth="1"
      />
    </>
  ),
  'root-wool': (R, k) => {
    const at = k.form === 'fibres' ? along(R, k, 13) : Array.from({ length: 9 }, (_, i): P => k.on(-0.8 + i * 0.2, 0.92 - Math.abs(i - 4) * 0.04));
    return (
      <>
        <path d={at.map((p) => soft(blot(p, 8 + R() * 5, R, 0.4, 10))).join('')} fill="#fbfbf7" stroke="#aeb3a8" strokeWidth=".9" />
        <path
          d={lines(
            at.flatMap((p) =>
              Array.from({ length: 9 }, () => {
                const a = R() * 6.283;
                return [add(p, [Math.cos(a) * 5, Math.sin(a) * 5]), add(p, [Math.cos(a + 0.5) * 15, Math.sin(a + 0.5) * 14])];
              }),
            ),
          )}
          stroke="#fff"
          strokeWidth="1.2"
        />
        <path
          d={lines(
            at.flatMap((p) =>
              Array.from({ length: 4 }, () => {
                const a = R() * 6.283;
                return [add(p, [Math.cos(a) * 5, Math.sin(a) * 5]), add(p, [Math.cos(a + 0.5) * 14, Math.sin(a + 0.5) * 13])];
              }),
            ),
          )}
          stroke="#9aa094"
          strokeWidth=".5"
        />
      </>
    );
  },
  'root-galls': (R, k) => along(R, k, 12).map((p, i) => lump(R, p, 7 + R() * 5, '#c9ab82', i)),
  beads: (R, k) =>
    k.roots.filter((r) => r.length > 4).flatMap((r, j) => [2, 5].flatMap((q, i) => (r[q] ? lump(R, r[q] as P, 6 + R() * 8, '#d0ae80', j * 10 + i) : []))),
  'pink-beads': (R, k) =>
    k.roots
      .filter((r) => r.length > 4)
      .flatMap((r, j) =>
        [2, 3, 5].flatMap((q, i) =>
          r[q]
            ? [
                lump(R, add(r[q] as P, [i % 2 ? 5 : -5, 1]), 4.6, '#eab4ac', j * 10 + i, '#a35c56'),
                <circle key={`c${j}${i}`} cx={((r[q] as P)[0] + (i % 2 ? 5 : -5)).toFixed(1)} cy={((r[q] as P)[1] + 1).toFixed(1)} r="1.7" fill="#c9574f" />,
              ]
            : [],
        ),
      ),
  clubs: (R, k) => (
    <>
      {k.roots
        .filter((r) => r.length > 4)
        .filter((_, i) => i % 2 === 0)
        .map((r, i) => {
          const q = r.slice(0, 7);
          const o = q.map((_, j) => [0, 9, 15, 17, 13, 8, 3][j] ?? 3);
          const left = q.map((p, j): P => add(p, [-(o[j] as number) * (0.8 + 0.4 * R()), 0]));
          const right = q.map((p, j): P => add(p, [(o[j] as number) * (0.8 + 0.4 * R()), 0]));
          return (
            <g key={i}>
              <path d={soft([...left, ...right.reverse()])} fill="#d9bd92" {...bark} />
              <path d={curve(left.map((p, j) => mix(p, q[j] as P, 0.4)))} fill="none" stroke="#fff" strokeWidth="2" opacity=".5" />
              <path d={lines(q.slice(1, 5).map((p) => [add(p, [-5, 0]), add(p, [5, 2])]))} stroke="var(--bark-line)" strokeWidth=".8" />
            </g>
          );
        })}
    </>
  ),
  'circling-roots': () => (
    <>
      <path d="M50 116H150L140 262H60Z" fill="none" stroke="#a8663c" strokeWidth="1.6" strokeDasharray="6 4" />
      {Array.from({ length: 13 }, (_, i) => {
        const y = 126 + i * 10.4;
        const w = 47 - i * 0.9;
        return (
          <path
            key={i}
            d={`M${100 - w} ${y}C${100 - w} ${y + 14} ${100 + w} ${y + 12} ${100 + w} ${y + 2}C${100 + w - 4} ${y - 6} ${100 - w + 16} ${y - 2} ${100 - w} ${y + 8}`}
            fill="none"
            stroke={i % 3 ? '#e0cda0' : '#c7ad7c'}
            strokeWidth={i % 2 ? 3.2 : 4.2}
            strokeLinecap="round"
          />
        );
      })}
    </>
  ),
  waterlogged: (R) => (
    <>
      <path d="M6 128Q60 120 100 128T194 126V276H6Z" fill="#7ea6b8" opacity=".42" />
      <path d="M6 128Q60 120 100 128T194 126" fill="none" stroke="#4f7f95" strokeWidth="1.6" />
      <path
        d={inBox(R, 11, 16, 140, 186, 262)
          .map((p) => soft(blot(p, 2 + R() * 2.4, R, 0.1, 7)))
          .join('')}
        fill="#e6f2f6"
        stroke="#4f7f95"
        strokeWidth=".8"
      />
    </>
  ),
  notches: () => null,
  rusty: (R, k) => {
    const ways =
      k.form === 'carrot'
        ? [0, 1, 2, 3].map((i): P[] => [
            k.on(-0.8 + i * 0.3, -0.6 + i * 0.34),
            k.on(-0.3 + i * 0.2, -0.5 + i * 0.34),
            k.on(0.2 + i * 0.05, -0.7 + i * 0.36),
            k.on(0.6 - i * 0.06, -0.4 + i * 0.34),
          ])
        : k.roots.filter((_, i) => i % 3 === 0).map((r) => r.slice(0, 5));
    return (
      <>
        <path d={ways.map(curve).join('')} fill="none" stroke="#6b3312" strokeWidth="7" strokeLinecap="round" />
        <path d={ways.map(curve).join('')} fill="none" stroke="#b9602a" strokeWidth="3.4" strokeLinecap="round" strokeDasharray="8 3" />
        {k.form === 'carrot' && guest({ body: 'maggot', colour: 'cream' }, k.on(0.2, 0.1), 0.3, 40)}
        <Spots at={over(R, k, k.form === 'carrot' ? 6 : 0, 0.6)} r={2.6} c="#4a210b" />
      </>
    );
  },
  'white-maggots': (R, k) =>
    (k.form === 'bulb' ? over(R, k, 5, 0.6) : along(R, k, 6)).map((p, i) => guest({ body: 'maggot', colour: 'white' }, add(p, [6, 0]), 0.26, R() * 360, i)),
  'big-grub': (R, k) => (
    <>
      <path d={soft(blot(k.on(0, 0.1), 34, R, 0.15, 13, 1, 1))} fill="#4b2f1a" {...bark} />
      <path d={soft(blot(k.on(0, 0.1), 28, R, 0.2, 12, 1, 1))} fill="#2c1a0d" />
      {guest({ body: 'grub-c', colour: 'cream', head: 'none', legs: 0 }, k.on(0, 0.1), 0.5, 20)}
    </>
  ),
  pinheads: (R, k) => {
    const at = Array.from({ length: 40 }, (_, i): P => k.on(Math.cos(i * 1.7) * 0.85, 0.25 + 0.65 * Math.abs(Math.sin(i * 2.3))));
    return (
      <>
        <Spots at={at} r={2} c="#14110f" />
        <Spots at={at.map((p): P => add(p, [-0.7 + R() * 0.1, -0.8]))} r={0.5} c="#8f8a84" />
      </>
    );
  },
  'slime-rot': (R, k) => (
    <>
      <path
        d={soft([k.on(-1.02, 0.0), k.on(-0.4, 0.24), k.on(0.1, -0.04), k.on(0.6, 0.26), k.on(1.04, 0.04), k.on(0.8, 0.9), k.on(0, 1.08), k.on(-0.8, 0.9)])}
        fill="#6a4a2a"
        opacity=".92"
        stroke="#3b2410"
        strokeWidth="1"
      />
      <path d={curve([k.on(-0.6, 0.5), k.on(-0.4, 0.34), k.on(-0.1, 0.36)])} fill="none" stroke="#e6d3ad" strokeWidth="3" strokeLinecap="round" />
      {[-0.5, 0.1, 0.56].map((x) => {
        const p = k.on(x, 0.9);
        return <path key={x} d={`M${p[0] - 5} ${p[1]}q1 20 5 26q5-6 5-26Z`} fill="#8a6a3c" stroke="#3b2410" strokeWidth=".9" />;
      })}
      <Spots at={over(R, k, 8, 0.5).map((p): P => add(p, [0, 24]))} r={1.8} c="#d9c48e" o={0.7} />
    </>
  ),
  'bulb-pearls': (R, k) => (
    <>
      <path d={soft([k.on(-0.7, 0.5), k.on(0, 0.3), k.on(0.7, 0.5), k.on(0.5, 0.96), k.on(-0.5, 0.96)])} fill="#a8703c" opacity=".8" />
      {Array.from({ length: 26 }, (_, i) => {
        const p = k.on((R() - 0.5) * 1.3, 0.45 + R() * 0.5);
        return lump(R, p, 3.2, '#fbf8ee', i, '#9c8d6a');
      })}
    </>
  ),
  scabs: (R, k) =>
    over(R, k, 15, 0.78).map((p, i) => {
      const o = blot(p, 5 + R() * 8, R, 0.6, 11);
      return (
        <g key={i}>
          <path d={soft(o)} fill="#8f6a44" stroke="#553518" strokeWidth="1.1" />
          <path
            d={lines([
              [mix(p, o[0] as P, 0.8), p, mix(p, o[5] as P, 0.8)],
              [mix(p, o[2] as P, 0.8), mix(p, o[8] as P, 0.8)],
            ])}
            fill="none"
            stroke="#3b220d"
            strokeWidth="1"
          />
        </g>
      );
    }),
  green: (R, k) => (
    <>
      <path
        d={soft([k.on(-0.98, 0), k.on(-0.6, -0.84), k.on(0.2, -1), k.on(0.9, -0.5), k.on(0.6, 0.06), k.on(0, 0.2), k.on(-0.6, 0.3)])}
        fill="#6f9a3c"
        opacity=".72"
      />
      <path d={soft(blot(k.on(-0.1, -0.46), 24, R, 0.3, 11))} fill="#4f7f2a" opacity=".6" />
    </>
  ),
  wires: (_R, k) => (
    <>
      {by3('-0.5 -0.2 20, 0.3 0.3 -50, 0.44 -0.46 70').map(([x, y, t], i) => {
        const p = k.on(x as number, y as number);
        return (
          <g key={i}>
            <circle cx={p[0]} cy={p[1]} r="6" fill="#3b220d" stroke="#8a6a40" strokeWidth="1.4" />
            <g transform={`translate(${p[0]} ${p[1]}) rotate(${t})`}>
              <path d="M0 0C12-8 22 6 34-2" fill="none" stroke="#6b4310" strokeWidth="8.4" strokeLinecap="round" />
              <path d="M0 0C12-8 22 6 34-2" fill="none" stroke="#dba53c" strokeWidth="6.4" strokeLinecap="round" />
              <path d="M6-3v6M12-4v6M18-1v6M24 1v5" stroke="#8a5c14" strokeWidth="1" />
              <circle cx="34" cy="-2" r="3.4" fill="#6b4310" />
            </g>
          </g>
        );
      })}
    </>
  ),
  cysts: (R, k) => {
    const at = k.roots.flatMap((r) => r.slice(1)).flatMap((p): P[] => (R() < 0.7 ? [add(p, [R() * 7 - 3, R() * 5])] : []));
    return (
      <>
        <Spots at={at} r={3} c="#7d5310" />
        <Spots at={at} r={2.3} c="#e0b13e" />
        <Spots at={at.map((p): P => add(p, [-0.8, -0.9]))} r={0.6} c="#fff4cc" />
      </>
    );
  },
  teeth: (_R, k) => (
    <>
      {(k.form === 'fibres'
        ? [
            [0, -0.7],
            [0.1, -0.3],
          ]
        : [
            [-0.5, -0.4],
            [0.5, 0.3],
          ]
      ).map(([x, y], i) => {
        const p = k.form === 'fibres' ? ([100, 100 + i * 22] as P) : k.on(x as number, y as number);
        return (
          <g key={i}>
            <path d={ring([add(p, [-17, -9]), add(p, [16, -12]), add(p, [19, 10]), add(p, [-15, 12])])} fill="#f2e2b8" stroke="#6b4a2a" strokeWidth="1.2" />
            <path d={lines([-12, -6, 0, 6, 12].map((q) => [add(p, [q, -9]), add(p, [q + 3, 9])]))} stroke="#a9834e" strokeWidth="2" />
          </g>
        );
      })}
    </>
  ),
  strangle: () => (
    <>
      <path
        d="M86 2H114L116 110C118 130 130 150 150 170L136 178C116 160 108 150 100 150C92 150 84 160 64 178L50 170C70 150 82 130 84 110Z"
        fill="var(--bark)"
        {...bark}
      />
      <path d="M40 128C66 96 120 92 156 118" fill="none" stroke="var(--bark-line)" strokeWidth="20" strokeLinecap="round" />
      <path d="M40 128C66 96 120 92 156 118" fill="none" stroke="#a98a60" strokeWidth="17" strokeLinecap="round" />
      <path d="M48 120C72 98 112 96 140 108" fill="none" stroke="#e6d0a8" strokeWidth="2.4" strokeLinecap="round" />
      <path d="M84 92C78 86 78 78 84 72M116 90C122 84 122 76 116 70M92 8V84M100 10V60M108 6V80" fill="none" stroke="var(--bark-line)" strokeWidth="2" />
    </>
  ),
  'black-parts': (_R, k) => (
    <path
      d={k.roots
        .map((r) => {
          const a = Math.floor(r.length * 0.3);
          return r.length > 3 ? ring(taper(r.slice(a, a + 3), 6, 5)) : '';
        })
        .join('')}
      fill="#12100e"
    />
  ),
  canker: (R, k) => (
    <>
      <path
        d={soft([
          k.on(-1, -0.7),
          k.on(-0.4, -0.86),
          k.on(0.4, -0.84),
          k.on(1, -0.66),
          k.on(0.86, -0.2),
          k.on(0.3, -0.04),
          k.on(-0.2, -0.26),
          k.on(-0.84, -0.1),
        ])}
        fill="#8a4519"
        stroke="#4b2008"
        strokeWidth="1.2"
      />
      <path
        d={Array.from({ length: 7 }, () => {
          const p = k.on((R() - 0.5) * 1.4, -0.7 + R() * 0.5);
          return curve([p, add(p, [7, 2]), add(p, [13, -2])]);
        }).join('')}
        fill="none"
        stroke="#3b1705"
        strokeWidth="1.6"
      />
    </>
  ),
  grains: (R, k) =>
    over(R, k, 11, 0.7).map((p, i) => (
      <g key={i}>
        <ellipse
          cx={p[0].toFixed(1)}
          cy={p[1].toFixed(1)}
          rx="6"
          ry="3"
          fill="#9a5a26"
          stroke="#4b2a10"
          strokeWidth=".9"
          transform={`rotate(${(R() * 180).toFixed(0)} ${p[0].toFixed(1)} ${p[1].toFixed(1)})`}
        />
      </g>
    )),
};
