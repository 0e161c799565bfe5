import { useRef, useState } from 'react';
import type { S } from '../api/client';

export type Point = S['Point'];

/** Something drawn over the picture, in its own pixels. */
export type Mark = { points: Point[]; closed?: boolean; tone: 'known' | 'line' | 'area' | 'now'; text?: string };

/**
 * A picture one measures on: a click sets a point; by keyboard the arrows move the cross (a pixel, with Shift ten) and Enter
 * sets it. Points are pixels of the picture itself, however large it is shown.
 */
export function OnPicture({
  src,
  alt,
  marks,
  onPoint,
  onStroke,
  over,
}: {
  src: string;
  alt: string;
  marks: Mark[];
  onPoint: (p: Point) => void;
  /** A brush: what was drawn between press and release. */
  onStroke?: (points: Point[]) => void;
  /** A picture of the same size laid over it. */
  over?: string;
}) {
  const img = useRef<HTMLImageElement>(null);
  const [size, setSize] = useState<[number, number]>([960, 720]);
  const [cross, setCross] = useState<Point | null>(null);
  const [w, h] = size;
  const stroke = useRef<Point[]>([]);
  const place = (e: React.MouseEvent): Point | null => {
    const r = img.current?.getBoundingClientRect();
    // Before the picture is there nobody knows how large it is: a click then would measure nothing.
    if (!r?.width || !img.current?.naturalWidth) return null;
    const p = { x: ((e.clientX - r.left) / r.width) * w, y: ((e.clientY - r.top) / r.height) * h };
    return { x: Math.round(p.x * 10) / 10, y: Math.round(p.y * 10) / 10 };
  };
  const at = (e: React.MouseEvent) => {
    const p = place(e);
    if (!onStroke && p) onPoint(p);
  };
  const draw = (e: React.PointerEvent) => {
    const p = onStroke && e.buttons === 1 && place(e);
    if (!p) return;
    const last = stroke.current.at(-1);
    if (!last || distance(last, p) > w / 200) stroke.current.push(p);
  };
  const lift = () => {
    if (stroke.current.length) onStroke?.(stroke.current);
    stroke.current = [];
  };
  const key = (e: React.KeyboardEvent) => {
    const step = e.shiftKey ? 10 : 1;
    const d = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[e.key];
    const now = cross ?? { x: w / 2, y: h / 2 };
    if (d) {
      setCross({
        x: Math.max(0, Math.min(w, now.x + (d[0] as number))),
        y: Math.max(0, Math.min(h, now.y + (d[1] as number))),
      });
    } else if (e.key === 'Enter' || e.key === ' ') onPoint(now);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <div
      className="onpicture"
      role="application"
      aria-label={`${alt}. Arrows move the cross, with Shift ten times as far; Enter sets a point.`}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: it is worked by keys
      tabIndex={0}
      onKeyDown={key}
      onFocus={() => setCross((c) => c ?? { x: w / 2, y: h / 2 })}
      onClick={at}
      onPointerDown={draw}
      onPointerMove={draw}
      onPointerUp={lift}
      onPointerLeave={lift}
      style={onStroke ? { touchAction: 'none' } : undefined}
      data-onpicture
    >
      <img
        ref={img}
        src={src}
        alt=""
        draggable={false}
        onLoad={(e) => {
          const i = e.currentTarget;
          setSize([i.naturalWidth, i.naturalHeight]);
        }}
      />
      {over && <img src={over} alt="" className="over" draggable={false} />}
      <svg viewBox={`0 0 ${w} ${h}`} aria-hidden="true">
        {marks.map((m, i) => (
          <g key={i} data-tone={m.tone}>
            {m.points.length > 1 && (
              <path
                d={`${m.points.map((p, k) => `${k ? 'L' : 'M'}${p.x} ${p.y}`).join(' ')}${m.closed ? ' Z' : ''}`}
                fill={m.closed ? 'currentColor' : 'none'}
                fillOpacity=".18"
              />
            )}
            {m.points.map((p, k) => (
              <path key={k} d={`M${p.x - w / 90} ${p.y} h${w / 45} M${p.x} ${p.y - w / 90} v${w / 45}`} />
            ))}
            {m.text && m.points[0] && (
              <text x={m.points[0].x + w / 70} y={m.points[0].y - w / 90} fontSize={w / 38}>
                {m.text}
              </text>
            )}
          </g>
        ))}
        {cross && (
          <path
            className="cross"
            d={`M${cross.x - w / 30} ${cross.y} h${w / 15} M${cross.x} ${cross.y - w / 30} v${w / 15}`}
          />
        )}
      </svg>
    </div>
  );
}

export const distance = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);
