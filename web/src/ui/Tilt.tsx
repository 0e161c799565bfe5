import type { S } from '../api/client';

type Props = { reading: S['Ranking']; names: Map<string, string> };

const short = (s: string, n: number) => (s.length > n ? `${s.slice(0, n - 1)}…` : s);

/**
 * Two leading causes on a beam; every look a weight on the side it speaks for,
 * sized by its decibans. The beam tilts by the whole evidence.
 */
export function Tilt({ reading, names }: Props) {
  const left = names.get(reading.leader) ?? 'nothing yet';
  // A rival of next to no weight is not worth a name: all that is treated differently stands on that side.
  const rival = reading.candidates.find((c) => c.cause === reading.rival);
  const right = !reading.rival ? '' : rival && rival.p >= 0.02 ? (names.get(reading.rival) ?? '') : 'any other plan';
  const total = reading.tiltTotal;
  const angle = reading.looked === 0 ? 0 : -Math.max(-11, Math.min(11, total / 2.2));
  // What was known before looking is a weight of its own: the plant, the place, the season.
  const known = { finding: '', short: 'known before', said: 'known before looking', decibans: reading.tiltPrior };
  const heavy = [known, ...reading.tilt].filter((w) => Math.abs(w.decibans) >= 0.5).slice(0, 7);
  const sides = { l: heavy.filter((w) => w.decibans > 0), r: heavy.filter((w) => w.decibans < 0) };
  const place = (list: typeof heavy, dir: -1 | 1) => {
    let x = 165 + dir * 140;
    let row = 0;
    return list.map((w) => {
      const label = short(w.short, 13);
      const wd = label.length * 6.4 + 12;
      const ht = Math.min(24, 15 + Math.abs(w.decibans) * 0.6);
      let cx = x - dir * (wd / 2);
      if (Math.abs(cx - 165) - wd / 2 < 12) {
        row += 1;
        x = 165 + dir * 140;
        cx = x - dir * (wd / 2);
      }
      x -= dir * (wd + 4);
      return { w, label, wd, ht, cx, row };
    });
  };
  const boxes = [...place(sides.l, -1), ...place(sides.r, 1)];
  const said = reading.looked
    ? `The tilt: ${Math.abs(total).toFixed(0)} decibans towards ${total >= 0 ? left : right}. ${heavy.map((w) => `${w.said}: ${w.decibans.toFixed(1)}`).join('; ')}`
    : 'The tilt: nothing weighed yet';
  return (
    <svg
      viewBox="6 0 318 168"
      role="img"
      aria-label={said}
      style={{ width: '100%', display: 'block', padding: '0 16px', boxSizing: 'border-box' }}
    >
      <path
        d="M165 92 L150 144 H180 Z"
        fill="var(--chip)"
        stroke="var(--ink)"
        strokeWidth="1.3"
        strokeLinejoin="round"
      />
      <path d="M138 145 H192" stroke="var(--ink)" strokeWidth="1.6" strokeLinecap="round" />
      <g className="beam" style={{ transform: `rotate(${angle}deg)`, transformOrigin: '165px 92px' }}>
        <path d="M20 90 C110 86 220 86 310 90" stroke="var(--ink)" strokeWidth="4" fill="none" strokeLinecap="round" />
        {boxes.map(({ w, label, wd, ht, cx, row }) => (
          <g key={w.finding}>
            <rect
              x={cx - wd / 2}
              y={86 - ht - row * 26}
              width={wd}
              height={ht}
              rx="3"
              fill={w.decibans > 0 ? 'var(--aub2)' : 'var(--wood)'}
            />
            <text
              x={cx}
              y={86 - ht / 2 - row * 26 + 4}
              textAnchor="middle"
              fontSize="11.5"
              fontWeight="600"
              fill={w.decibans > 0 ? 'var(--sheet)' : '#1f2a2c'}
            >
              {label}
            </text>
          </g>
        ))}
      </g>
      <circle cx="165" cy="92" r="4.5" fill="var(--ink)" />
      <text x="6" y="163" fontSize="13" fontWeight="700" fill="var(--ink)">
        {short(left, 24)}
      </text>
      <text x="324" y="163" fontSize="13" textAnchor="end" fill="var(--quiet)">
        {short(right, 24)}
      </text>
    </svg>
  );
}
