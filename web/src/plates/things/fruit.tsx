import { useId } from 'react';
import { has, type PartProps, pen, Signs, Small } from './brush';
import { formOf } from './fruitforms';
import { fruitWords } from './fruitsigns';

/** A fruit of the plant. */
export function Fruit(p: PartProps) {
  const { d, seed, look, children, bare } = p;
  const id = useId();
  const k = formOf(p);
  const unripe = d.colour === 'green' || has(d, 'yellow-tip', 'grub-hole', 'ribbon-scar', 'scab') || (has(d, 'fallen') && k.name !== 'apple');
  const fill = unripe && k.green ? k.green : k.tone;
  const signs = <Signs d={d} seed={seed} words={fruitWords} k={k} />;
  const spill = has(d, 'smut-balls', 'mummy');
  if (bare)
    return (
      <g>
        <clipPath id={id}>
          <path d={k.path} />
        </clipPath>
        <g clipPath={spill ? undefined : `url(#${id})`}>{signs}</g>
      </g>
    );
  const fallen = has(d, 'fallen');
  return (
    <g>
      {fallen && <path d="M4 262Q60 252 196 262V276H4Z" fill="var(--earth)" opacity=".8" />}
      {look.id && !fallen && (
        <Small
          leaf={look.leaf}
          x={k.name === 'courgette' || k.name === 'cucumber' ? 108 : 112}
          y={k.globes ? 44 : Math.max(40, k.c[1] - k.ry - 14)}
          turn={64}
          k={0.27}
        />
      )}
      <g transform={fallen ? 'translate(30 74) scale(.72)' : undefined}>
        <clipPath id={id}>
          <path d={k.path} />
        </clipPath>
        <path d={k.path} fill="var(--ink)" transform="translate(1.4 1.4)" opacity=".7" />
        <path d={k.path} fill={fill} />
        <g clipPath={`url(#${id})`}>
          {k.globes ? (
            k.globes.map(([x, y, r]) => (
              <g key={`${x}${y}`}>
                <circle cx={x} cy={y} r={r} fill={fill} stroke="var(--pen, #2b2a26)" strokeWidth="1" />
                <path d={`M${x} ${y + r}A${r} ${r} 0 0 0 ${x + r} ${y}A${r * 1.4} ${r * 1.4} 0 0 1 ${x} ${y + r}Z`} fill="#000" opacity=".25" />
                <path
                  d={`M${x - r * 0.6} ${y - r * 0.1}A${r * 0.66} ${r * 0.66} 0 0 1 ${x - r * 0.1} ${y - r * 0.6}`}
                  fill="none"
                  stroke="#fff"
                  strokeWidth={r > 30 ? 5 : 2.4}
                  strokeLinecap="round"
                  opacity=".75"
                />
              </g>
            ))
          ) : (
            <>
              <ellipse cx={k.c[0] - k.rx * 0.3} cy={k.c[1] - k.ry * 0.3} rx={k.rx * 0.86} ry={k.ry * 0.86} fill="#fff" opacity=".1" />
              <path
                d={`M${k.c[0] + k.rx * 1.3} ${k.c[1] - k.ry * 1.3}V${k.c[1] + k.ry * 1.4}H${k.c[0] - k.rx * 0.9}C${k.c[0] + k.rx * 0.3} ${k.c[1] + k.ry * 0.9} ${k.c[0] + k.rx * 0.86} ${k.c[1] + k.ry * 0.2} ${k.c[0] + k.rx * 0.6} ${k.c[1] - k.ry * 1.3}Z`}
                fill="#000"
                opacity=".16"
              />
              <path
                d={`M${k.c[0] - k.rx * 0.7} ${k.c[1] - k.ry * 0.05}C${k.c[0] - k.rx * 0.74} ${k.c[1] - k.ry * 0.4} ${k.c[0] - k.rx * 0.5} ${k.c[1] - k.ry * 0.62} ${k.c[0] - k.rx * 0.34} ${k.c[1] - k.ry * 0.68}`}
                fill="none"
                stroke="#fff"
                strokeWidth={Math.max(3, k.rx * 0.08)}
                strokeLinecap="round"
                opacity=".7"
              />
            </>
          )}
          {k.face}
          {!spill && signs}
        </g>
        <path d={k.path} fill="none" {...pen} strokeWidth={1.1} />
        {k.calyx}
        {spill && signs}
        {fallen && k.calyx && <path d="M104 60l14-6" stroke="#6b5a34" strokeWidth="6" strokeLinecap="round" />}
      </g>
      {fallen && (
        <g transform="translate(126 204) scale(.3)">
          <path d={k.path} fill={k.green ?? fill} {...pen} strokeWidth={3} />
          {k.calyx}
        </g>
      )}
      {children}
    </g>
  );
}
