import { Link } from 'react-router';
import type { Tag as TagData } from '../api/client';

/** How full the foot is: how sure we are. */
const fillOf = (certainty: number) => Math.max(0, Math.min(1, certainty));

const cut = (s: string, n: number) => (s.length > n ? `${s.slice(0, n - 1).trimEnd()}…` : s);

const urgent = ['can wait', 'soon', 'today', 'now'];

function Notches({ n, x, y, dx, dy }: { n: number; x: number; y: number; dx: number; dy: number }) {
  return (
    <>
      {Array.from({ length: n }, (_, i) => (
        <path
          key={i}
          d={dx ? `M${x - i * 14 - 5} ${y} l5 8 l5 -8 Z` : `M${x} ${y + i * 12 - 4} l-8 4 l8 4 Z`}
          fill="var(--ground)"
          stroke="var(--ink)"
          strokeWidth={1.2}
          data-dy={dy}
        />
      ))}
    </>
  );
}

/** A plant label standing in soil: number, plant, one line; foot filled by certainty, edge notched by urgency. */
export function StandingTag({ tag, to }: { tag: TagData; to: string }) {
  const w = 174;
  const m = w / 2;
  const d = `M5 1 H${w - 5} a4 4 0 0 1 4 4 V57 a4 4 0 0 1 -4 4 H${m + 26} C${m + 17} 61 ${m + 15} 65 ${m + 14} 71 L${m + 2} 100 H${m - 2} L${m - 14} 71 C${m - 15} 65 ${m - 17} 61 ${m - 26} 61 H5 a4 4 0 0 1 -4 -4 V5 a4 4 0 0 1 4 -4 Z`;
  const fill = fillOf(tag.certainty);
  const line = tag.stage === 'review' ? 'waits for an advisor' : tag.causeName || tag.line;
  return (
    <Link className="tag" to={to} data-case={tag.number} data-plant={tag.plant}>
      <span className="vh">
        {tag.number}, {tag.plant}, {line}, {urgent[tag.urgency]}
      </span>
      <svg width={w} height={101} aria-hidden="true">
        <clipPath id={`foot-${tag.id}`}>
          <path d={d} />
        </clipPath>
        <path className="body" d={d} />
        <rect x={0} y={101 - 40 * fill} width={w} height={41} fill="var(--aub2)" clipPath={`url(#foot-${tag.id})`} />
        <path d={d} fill="none" stroke="var(--ink)" strokeWidth={1.3} />
        <Notches n={tag.urgency} x={w - 14} y={0} dx={1} dy={0} />
        <text x={11} y={20} fontSize={15} fontWeight={700} className="num">
          {tag.number}
        </text>
        <text x={11} y={37} fontSize={14.5}>
          {cut(tag.plant, 21)}
        </text>
        <text x={11} y={53} fontSize={12.5} className="tq">
          {cut(line, 27)}
        </text>
      </svg>
    </Link>
  );
}

/** The same label lying on the bench, foot to the left. */
export function LyingTag({
  tag,
}: {
  tag: { number: string; plant: string; line: string; certainty: number; urgency: number; id: string };
}) {
  const w = 430;
  const d = `M2 27 L44 14 C54 11 60 10 60 4 H${w - 8} a4 4 0 0 1 4 4 V50 a4 4 0 0 1 -4 4 H60 C60 48 54 47 44 44 L2 31 Z`;
  return (
    <svg
      className="tag"
      viewBox={`0 0 ${w} 58`}
      width={w}
      style={{ maxWidth: '100%', height: 'auto' }}
      role="img"
      aria-label={`${tag.number}, ${tag.plant}: ${tag.line}`}
    >
      <clipPath id="lying">
        <path d={d} />
      </clipPath>
      <path className="body" d={d} />
      <rect x={0} y={0} width={60 * fillOf(tag.certainty)} height={58} fill="var(--aub2)" clipPath="url(#lying)" />
      <path d={d} fill="none" stroke="var(--ink)" strokeWidth={1.3} />
      <Notches n={tag.urgency} x={w - 4} y={18} dx={0} dy={1} />
      <text x={76} y={25} fontSize={17.5} fontWeight={700} className="num">
        {tag.number}
      </text>
      <text x={164} y={25} fontSize={16}>
        {cut(tag.plant, 30)}
      </text>
      <text x={76} y={44} fontSize={13.5} className="tq">
        {cut(tag.line, 50)}
      </text>
    </svg>
  );
}
