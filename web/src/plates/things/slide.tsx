import { HindEnd } from './hindend';

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
  return (
    <svg viewBox="0 0 320 270" width={width} role="img" aria-label={slideText(f)} style={{ display: 'block', maxWidth: '100%' }} data-slide>
      <HindEnd
        form={{
          lobes: ['', 'one', 'two', 'three'][f.lobes],
          second: f.lobes > 1 ? 'like' : 'point',
          plates: f.plates,
          'birth-pores': f.pores ? 'four' : 'none',
          lobe: L,
          opening: hole,
          gap,
        }}
      />
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
