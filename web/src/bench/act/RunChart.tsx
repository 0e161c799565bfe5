import type { S } from '../../api/client';

const W = 480;
const H = 212;
const left = 34;
const foot = 176;

const plural = (unit: string) => ({ leaf: 'leaves', bush: 'bushes' })[unit] ?? unit.replace(/^(\w+)/, '$1s');

/** The running test: what was counted leaf by leaf, and the zones that say keep counting, stop and wait, stop and act. */
export function RunChart({
  test,
  counts,
  unit,
  says,
}: {
  test: S['Sequential'];
  counts: number[];
  unit: string;
  says?: string;
}) {
  const hits = test.of === 'hit';
  let sum = 0;
  const run = counts.map((c, i) => {
    sum += hits ? Math.min(c, 1) : c;
    return [i + 1, sum] as const;
  });
  const n = Math.max(12, Math.ceil(counts.length * 1.15));
  const top = Math.max(test.h1 + test.slope * n, sum) * 1.06;
  const x = (v: number) => left + (v / n) * (W - left - 8);
  const y = (v: number) => foot - (v / top) * (foot - 10);
  const low = (v: number) => test.h0 + test.slope * v;
  const high = (v: number) => test.h1 + test.slope * v;
  const from = -test.h0 / test.slope; // before that no number is few enough
  const lowFrom = Math.min(n, Math.max(from, 0));
  const wait = `M${x(lowFrom)} ${foot} L${x(n)} ${y(Math.max(0, low(n)))} V${foot} Z`;
  const act = `M${x(0)} ${y(high(0))} L${x(n)} ${y(high(n))} V4 H${x(0)} Z`;
  const said = { more: 'keep counting', wait: 'stop: wait', act: 'stop: act' }[says ?? ''] ?? '';
  const every = n > 30 ? 10 : 5;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={`Running count: ${sum} ${hits ? `of ${counts.length} hit` : `on ${counts.length}`}${said ? `, ${said}` : ''}`}
      className="runchart"
      data-says={says ?? ''}
    >
      <path d={wait} fill="var(--pond)" opacity=".16" />
      <path d={act} fill="var(--brick)" opacity=".14" />
      <path
        d={`M${x(lowFrom)} ${foot} L${x(n)} ${y(Math.max(0, low(n)))}`}
        stroke="var(--pond)"
        strokeWidth="2"
        fill="none"
      />
      <path d={`M${x(0)} ${y(high(0))} L${x(n)} ${y(high(n))}`} stroke="var(--brick)" strokeWidth="2" fill="none" />
      <text x={left + 8} y="20" fontSize="14" fontWeight="700" fill="var(--brick)">
        stop: act
      </text>
      <text x={W - 14} y={foot - 8} fontSize="14" fontWeight="700" fill="var(--pond)" textAnchor="end">
        stop: wait
      </text>
      {sum < high(n) && (
        <text
          x={x(n * 0.7)}
          y={y((Math.max(0, low(n * 0.7)) + high(n * 0.7)) / 2) + 5}
          fontSize="14"
          fill="var(--quiet)"
          textAnchor="middle"
        >
          keep counting
        </text>
      )}
      <path d={`M${left} 4 V${foot} H${W - 6}`} stroke="var(--ink)" strokeWidth="1.2" fill="none" />
      {Array.from({ length: Math.floor(n / every) }, (_, i) => (i + 1) * every).map((v) => (
        <text key={v} x={x(v)} y={foot + 14} fontSize="12" fill="var(--quiet)" textAnchor="middle" className="num">
          {v}
        </text>
      ))}
      <text x={W - 6} y={H - 3} fontSize="12" fill="var(--quiet)" textAnchor="end">
        {plural(unit)} counted
      </text>
      <text x={left - 6} y={y(top / 1.06) + 6} fontSize="12" fill="var(--quiet)" textAnchor="end" className="num">
        {Math.round(top / 1.06)}
      </text>
      <text x={left} y={H - 3} fontSize="12" fill="var(--quiet)">
        up: {hits ? `${plural(unit)} hit` : 'found in all'}
      </text>
      {run.length > 0 && (
        <>
          <path
            d={`M${x(0)} ${y(0)} ${run.map(([i, v]) => `L${x(i)} ${y(v)}`).join(' ')}`}
            stroke="var(--aub2)"
            strokeWidth="2.4"
            fill="none"
          />
          <circle cx={x(counts.length)} cy={y(sum)} r="5" fill="var(--aub2)" />
        </>
      )}
    </svg>
  );
}
