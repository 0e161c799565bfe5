/** What is measured on the hind end of a cleared and mounted scale; lengths in micrometres. */
export type SlideForm = {
  lobes: 1 | 2 | 3;
  pores: boolean;
  plates: 'long' | 'short' | 'clubbed' | 'spines';
  opening_um: number;
  lobe_um: number;
  gap_um: number;
};

export const slideForm = (x: unknown): SlideForm | null => {
  const s = x as Partial<SlideForm> | undefined;
  return s && typeof s === 'object' && typeof s.opening_um === 'number' ? (s as SlideForm) : null;
};

/** The hind end, tip down, drawn to its own lengths: one micrometre is a fixed step, so ratios can be read off the picture. */
export function Slide({ form: f, width = 320 }: { form: SlideForm; width?: number }) {
  const k = 2.6; // units of the drawing per micrometre
  const L = f.lobe_um * k;
  const base = 196;
  const gap = f.gap_um * k;
  const hole = f.opening_um * k;
  const holeY = base - gap - hole / 2;
  const lobe = (x: number, h: number, w: number, key: string) => (
    <path
      key={key}
      d={`M${x - w / 2} ${base} V${base + h * 0.62} C${x - w / 2} ${base + h * 0.9} ${x - w * 0.2} ${base + h} ${x} ${base + h} C${x + w * 0.2} ${base + h} ${x + w / 2} ${base + h * 0.9} ${x + w / 2} ${base + h * 0.62} V${base} Z`}
      fill="#e8c88a"
      stroke="var(--ink)"
      strokeWidth="1.6"
    />
  );
  const point = (x: number, key: string) => (
    <path
      key={key}
      d={`M${x - 4} ${base} L${x} ${base + 9} L${x + 4} ${base} Z`}
      fill="#e8c88a"
      stroke="var(--ink)"
      strokeWidth="1.3"
    />
  );
  const sides = [-1, 1];
  const plate = (x: number, key: string) => {
    if (f.plates === 'spines')
      return (
        <path
          key={key}
          d={`M${x} ${base} l1.5 ${L * 0.9} l1.5 -${L * 0.9}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.1"
        />
      );
    const h = f.plates === 'short' ? L * 0.6 : L * 1.25;
    return (
      <g key={key} stroke="var(--ink)" strokeWidth="1.1" fill="none">
        <path d={`M${x - 3} ${base} L${x - 2.4} ${base + h} M${x + 3} ${base} L${x + 2.4} ${base + h}`} />
        {f.plates === 'clubbed' ? (
          <circle cx={x} cy={base + h} r="4.4" fill="#f3e6c8" />
        ) : (
          <path d={`M${x - 2.4} ${base + h} l-2 5 M${x} ${base + h} v6 M${x + 2.4} ${base + h} l2 5`} />
        )}
      </g>
    );
  };
  const places = [30, 62, 92];
  return (
    <svg
      viewBox="0 0 320 270"
      width={width}
      role="img"
      aria-label={slideText(f)}
      style={{ display: 'block', maxWidth: '100%' }}
      data-slide
    >
      <path
        d={`M14 24 C60 10 260 10 306 24 C312 90 300 150 272 ${base} H48 C20 150 8 90 14 24 Z`}
        fill="#f3e2b8"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {[44, 66, 88].map((y) => (
        <path
          key={y}
          d={`M${40 + (y - 44) * 0.7} ${y} Q160 ${y + 10} ${280 - (y - 44) * 0.7} ${y}`}
          fill="none"
          stroke="#c9ae72"
          strokeWidth="1.2"
        />
      ))}
      {f.pores &&
        [
          [104, 74],
          [130, 56],
          [190, 56],
          [216, 74],
        ].map(([x, y]) => (
          <g key={x} fill="none" stroke="#6b4a1c" strokeWidth="1.4">
            {Array.from({ length: 7 }, (_, i) => (
              <circle
                key={i}
                cx={(x as number) + 6 * Math.cos(i * 0.9) * (i ? 1 : 0)}
                cy={(y as number) + 6 * Math.sin(i * 0.9) * (i ? 1 : 0)}
                r="2.4"
              />
            ))}
          </g>
        ))}
      <path d="M146 62 q14 -8 28 0" fill="none" stroke="var(--ink)" strokeWidth="1.6" />
      <ellipse cx="160" cy={holeY} rx={hole * 0.42} ry={hole / 2} fill="#fffdf5" stroke="var(--ink)" strokeWidth="2" />
      {sides.map((s) => (
        <g key={s}>
          {lobe(160 + s * (L * 0.42 + 2), L, L * 0.72, `m${s}`)}
          {places
            .slice(0, 2)
            .map((p, i) =>
              f.lobes > i + 1
                ? lobe(160 + s * (p + 10), L * (0.82 - i * 0.14), L * 0.6, `l${s}${i}`)
                : point(160 + s * (p + 10), `p${s}${i}`),
            )}
          {[20, 54, 84, 100].map((p) => plate(160 + s * (p + 4), `f${s}${p}`))}
        </g>
      ))}
      <g stroke="var(--aub2, #5b2a4d)" strokeWidth="1.4" fill="none" fontSize="11">
        <path
          d={`M${178 + hole * 0.4} ${holeY - hole / 2} h10 M${178 + hole * 0.4} ${holeY + hole / 2} h10 M${183 + hole * 0.4} ${holeY - hole / 2} V${holeY + hole / 2}`}
        />
        <text x={194 + hole * 0.4} y={holeY + 4} fill="var(--ink)" stroke="none">
          opening {f.opening_um} µm
        </text>
        <path d={`M132 ${base - gap} h-12 M132 ${base} h-12 M126 ${base - gap} V${base}`} />
        <text x="116" y={base - gap / 2 + 4} textAnchor="end" fill="var(--ink)" stroke="none">
          gap {f.gap_um} µm
        </text>
        <path d={`M${160 + L * 0.9} ${base + L} H216 M216 ${base} V${base + L}`} strokeDasharray="3 2" />
        <text x="222" y={base + L + 4} fill="var(--ink)" stroke="none">
          lobe {f.lobe_um} µm
        </text>
      </g>
    </svg>
  );
}

const slideText = (f: SlideForm) =>
  `Hind end on a slide: ${['', 'one pair of good lobes, the rest points', 'two pairs of good lobes', 'three pairs of good lobes'][f.lobes]}; ${f.pores ? 'pores in clusters' : 'no pore clusters'}; opening ${f.opening_um}, lobe ${f.lobe_um}, gap ${f.gap_um} micrometres`;
