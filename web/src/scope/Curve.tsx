import type { S } from '../api/client';

const [w, h, pad] = [520, 150, 26];

/** How likely each ratio is, given what was read, on a scale on which double and half lie equally far; the key's line across. */
export function Curve({ of }: { of: S['Ratio'] }) {
  const sd = Math.max(of.sd / of.ratio, 0.004);
  const mid = Math.log(of.ratio);
  const line = Math.log(of.line);
  const lo = Math.min(mid - 4 * sd, line - sd);
  const hi = Math.max(mid + 4 * sd, line + sd);
  const x = (v: number) => pad + ((v - lo) / (hi - lo)) * (w - 2 * pad);
  const y = (v: number) => h - 30 - Math.exp(-0.5 * ((v - mid) / sd) ** 2) * (h - 50);
  const steps = Array.from({ length: 121 }, (_, i) => lo + ((hi - lo) * i) / 120);
  const area = (list: number[]) =>
    list.length
      ? `M${x(list[0] as number)} ${h - 30} ${list.map((v) => `L${x(v)} ${y(v)}`).join(' ')} L${x(list.at(-1) as number)} ${h - 30} Z`
      : '';
  const above = [line, ...steps.filter((v) => v >= line)];
  const below = [...steps.filter((v) => v <= line), line];
  const p = Math.round(Math.min(99, 100 * Math.max(of.above, 1 - of.above)));
  return (
    <svg
      viewBox={`0 0 ${w} ${h}`}
      role="img"
      aria-label={`Ratio ${of.ratio.toFixed(2)}, 95 in 100 between ${of.low.toFixed(2)} and ${of.high.toFixed(2)}; ${p} in 100 ${of.above >= 0.5 ? 'above' : 'below'} ${of.line}`}
      style={{ width: '100%', maxWidth: 620, display: 'block' }}
      data-curve
    >
      <path d={area(below)} fill="var(--wood)" opacity=".75" />
      <path d={area(above)} fill="var(--aub2)" opacity=".8" />
      <path d={`M${pad} ${h - 30} H${w - pad}`} stroke="var(--ink)" strokeWidth="1.4" />
      <path d={`M${x(line)} 8 V${h - 30}`} stroke="var(--brick)" strokeWidth="2.4" />
      <text x={x(line)} y={h - 12} textAnchor="middle" fontSize="13" fill="var(--brick)">
        the key’s line, {of.line}
      </text>
      {[Math.log(of.low), Math.log(of.high)].map((v) => (
        <path key={v} d={`M${x(v)} ${h - 36} V${h - 24}`} stroke="var(--ink)" strokeWidth="1.6" />
      ))}
      <text x={x(mid)} y={16} textAnchor="middle" fontSize="15" fontWeight="700" fill="var(--ink)">
        {of.ratio.toFixed(2)}
      </text>
    </svg>
  );
}
