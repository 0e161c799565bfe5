import { Body, type Drawing, hasBody } from './bodies';
import type { Light } from './lit';
import { hash } from './random';
import { Part, partOf } from './things';
import { Slide, slideForm } from './things/slide';

/** A cause's drawing from its own characters: the part with its damage, and whoever did it, enlarged beside a size bar. */
export function Plate({
  id,
  d,
  name,
  size,
  seed = hash(id),
  width = 320,
  light,
}: {
  id: string;
  d: Drawing;
  name: string;
  size?: number[];
  seed?: number;
  width?: number;
  /** Beside others: what differs is lit, the rest faded. */
  light?: Light;
}) {
  const part = partOf(d);
  const who = hasBody(d);
  const alone = part === 'pest';
  const mm = size?.[1] ?? size?.[0];
  const bar = mm ? (mm < 1 ? mm : mm < 12 ? Math.round(mm * 10) / 10 : Math.round(mm)) : 0;
  return (
    <svg
      viewBox={alone || who ? '0 0 330 290' : '0 0 220 290'}
      width={width}
      role="img"
      aria-label={`Drawing of ${name}`}
      style={{ display: 'block', maxWidth: '100%' }}
      data-plate={id}
    >
      {!alone && (
        <g transform="translate(8 4)">
          {light && (
            <g opacity=".22" data-faded>
              <Part part={part} d={d} seed={seed} />
            </g>
          )}
          <g data-lit={light ? 'part' : undefined}>
            {light && !light.part ? (
              <Part part={part} d={{ ...d, damage: [...light.words] }} seed={seed} bare />
            ) : (
              <Part part={part} d={light ? { ...d, damage: [...light.words] } : d} seed={seed}>
                {part === 'stem' && (!light || light.body) && <Small d={d} />}
              </Part>
            )}
          </g>
        </g>
      )}
      {who && (
        <g transform={alone ? 'translate(82 40) scale(1.66)' : 'translate(212 62) scale(1.05)'}>
          {/* Whoever is drawn lies on light ground in either theme: a black insect on black is not seen. */}
          {alone ? (
            <rect x="-14" y="-16" width="128" height="126" rx="16" fill="var(--behind)" />
          ) : (
            <circle cx="50" cy="52" r="56" fill="var(--lens)" stroke="var(--quiet)" strokeWidth="1.4" data-lens />
          )}
          <g transform={alone ? '' : 'translate(9 9) scale(.82)'}>
            <g opacity={light && !light.body ? 0.22 : 1}>
              <Body d={d} />
            </g>
          </g>
          {bar > 0 && (
            <g transform={alone ? 'translate(0 -2)' : ''}>
              <path d="M24 118 H76 M24 114 V122 M76 114 V122" stroke="var(--ink)" strokeWidth="1.6" fill="none" />
              <text x="50" y="134" fontSize="12" textAnchor="middle" fill="var(--ink)">
                {bar} mm
              </text>
            </g>
          )}
        </g>
      )}
    </svg>
  );
}

/** The plate of a scale that is settled on a slide: the hind end at stated lengths, below the drawing. */
export function SlidePlate({ d, width }: { d: Drawing; width?: number }) {
  const f = slideForm(d.slide);
  return f ? <Slide form={f} width={width} /> : null;
}

/** The culprits at their own small size, on the stem. */
function Small({ d }: { d: Drawing }) {
  if (!hasBody(d)) return null;
  return (
    <>
      {[
        [88, 60, 0],
        [100, 118, 40],
        [92, 182, -20],
        [106, 226, 10],
        [136, 70, 50],
        [50, 132, -40],
      ].map(([x, y, a]) => (
        <g key={`${x}${y}`} transform={`translate(${x} ${y}) rotate(${a}) scale(.24) translate(-50 -50)`}>
          <Body d={d} />
        </g>
      ))}
    </>
  );
}
