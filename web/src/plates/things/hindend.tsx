/** The hind end of an armored scale as a key tells it: each character by the state it has; what is not told is drawn as most have it. */
export type HindEndForm = {
  lobes?: string;
  medians?: string;
  second?: string;
  plates?: string;
  'birth-pores'?: string;
  ducts?: string;
  rows?: string;
  thickenings?: string;
  patches?: string;
  /** Lengths in units of the drawing. */
  lobe?: number;
  opening?: number;
  gap?: number;
};

const line = 'var(--slide-ink)';
const base = 196; // where the lobes begin; the tip points down
const mid = 160;

function Lobe({ x, h, w, twin, lean = 0 }: { x: number; h: number; w: number; twin?: boolean; lean?: number }) {
  const one = (cx: number, cw: number, ch: number) => (
    <path
      d={`M${cx - cw / 2} ${base} V${base + ch * 0.62} C${cx - cw / 2} ${base + ch * 0.9} ${cx - cw * 0.2} ${base + ch} ${cx} ${base + ch} C${cx + cw * 0.2} ${base + ch} ${cx + cw / 2} ${base + ch * 0.9} ${cx + cw / 2} ${base + ch * 0.62} V${base} Z`}
      fill="#e8c88a"
      stroke={line}
      strokeWidth="1.6"
    />
  );
  return (
    <g transform={lean ? `rotate(${lean} ${x} ${base})` : undefined}>
      {twin ? (
        <>
          {one(x - w * 0.28, w * 0.55, h)}
          {one(x + w * 0.32, w * 0.45, h * 0.82)}
        </>
      ) : (
        one(x, w, h)
      )}
    </g>
  );
}

const Point = ({ x }: { x: number }) => <path d={`M${x - 4} ${base} L${x} ${base + 9} L${x + 4} ${base} Z`} fill="#e8c88a" stroke={line} strokeWidth="1.3" />;

function Plate({ x, kind, h }: { x: number; kind: string; h: number }) {
  if (kind === 'spines') return <path d={`M${x} ${base} l1.5 ${h * 0.9} l1.5 -${h * 0.9}`} fill="none" stroke={line} strokeWidth="1.1" />;
  const tall = kind === 'short' ? h * 0.6 : h * 1.25;
  return (
    <g stroke={line} strokeWidth="1.1" fill="none">
      <path d={`M${x - 3} ${base} L${x - 2.4} ${base + tall} M${x + 3} ${base} L${x + 2.4} ${base + tall}`} />
      {kind === 'clubbed' ? (
        <circle cx={x} cy={base + tall} r="4.4" fill="#f3e6c8" />
      ) : (
        <path d={`M${x - 2.4} ${base + tall} l-2 5 M${x} ${base + tall} v6 M${x + 2.4} ${base + tall} l2 5`} />
      )}
    </g>
  );
}

/** Five little chambers make a disc, seven discs a group. */
const Group = ({ x, y }: { x: number; y: number }) => (
  <g fill="none" stroke="#6b4a1c" strokeWidth="1.4">
    {Array.from({ length: 7 }, (_, i) => (
      <circle key={i} cx={x + (i ? 6 * Math.cos(i * 1.05) : 0)} cy={y + (i ? 6 * Math.sin(i * 1.05) : 0)} r="2.4" />
    ))}
  </g>
);

const four = [
  [104, 74],
  [130, 54],
  [190, 54],
  [216, 74],
] as const;

/** The mouths of ducts lie along the margin of every species, and are no pores round the birth opening. */
function Ducts({ rows = 'few', kind }: { rows?: string; kind?: string }) {
  const along = [58, 84, 236, 262].map((x) => [x, 176] as const);
  const inner = rows === 'few' ? [] : [70, 92, 228, 250].flatMap((x) => [118, 146].map((y) => [x, y] as const));
  const more = rows === 'many' ? [110, 134, 186, 210].flatMap((x) => [96, 128].map((y) => [x, y] as const)) : [];
  return (
    <g fill="none" stroke="#8a6a30" strokeWidth="1.1">
      {[...along, ...inner, ...more].map(([x, y]) => (
        <g key={`${x} ${y}`}>
          <ellipse cx={x} cy={y} rx="3.6" ry="2.2" />
          <path d={kind === 'two' ? `M${x - 1.5} ${y} v-9 M${x + 1.5} ${y} v-9` : `M${x} ${y} v-13`} />
        </g>
      ))}
    </g>
  );
}

function Rods({ kind }: { kind?: string }) {
  if (!kind || kind === 'none') return null;
  const tall = kind === 'long' ? 46 : 14;
  return (
    <g fill="#7a5a26" stroke="none">
      {[124, 96, 196, 224].map((x) => (
        <path key={x} d={`M${x - 1.5} ${base} L${x - 3} ${base - tall} a3 3 0 0 1 6 0 L${x + 1.5} ${base} Z`} opacity=".8" />
      ))}
    </g>
  );
}

/** The drawing without its frame, tip down, in a box of 320 by 270. */
export function HindEnd({ form: f }: { form: HindEndForm }) {
  const L = f.lobe ?? 34;
  const hole = f.opening ?? 22;
  const holeY = base - (f.gap ?? 80) - hole / 2;
  const kind = f.plates ?? 'short';
  const pairs = { one: 1, two: 2, three: 3 }[f.lobes ?? 'three'] ?? 3;
  const apart = { apart: 7, close: 1, joined: 0, sunken: 4 }[f.medians ?? 'apart'] ?? 4;
  const twin = f.second === 'twin';
  const pores = f['birth-pores'];
  return (
    <>
      <path
        d={`M14 24 C60 10 260 10 306 24 C312 90 300 150 272 ${base} H${mid + 22} ${f.medians === 'sunken' ? `q-22 -16 -44 0` : 'h-44'} H48 C20 150 8 90 14 24 Z`}
        fill="#f3e2b8"
        stroke={line}
        strokeWidth="2"
      />
      {[44, 66, 88].map((y) => (
        <path key={y} d={`M${40 + (y - 44) * 0.7} ${y} Q160 ${y + 10} ${280 - (y - 44) * 0.7} ${y}`} fill="none" stroke="#c9ae72" strokeWidth="1.2" />
      ))}
      <Ducts rows={f.rows} kind={f.ducts} />
      <Rods kind={f.thickenings} />
      {pores && pores !== 'none' && four.map(([x, y]) => <Group key={x} x={x} y={y} />)}
      {pores === 'five' && <Group x={mid} y={40} />}
      {f.patches === 'there' && <path d="M148 50 h8 v5 h-8 z M164 50 h8 v5 h-8 z" fill="#7a5a26" />}
      <path d="M146 64 q14 -8 28 0" fill="none" stroke={line} strokeWidth="1.6" />
      <ellipse cx={mid} cy={holeY} rx={hole * 0.42} ry={hole / 2} fill="#fffdf5" stroke={line} strokeWidth="2" />
      {f.medians === 'joined' && <path d={`M148 ${base - 3} h24`} stroke="#7a5a26" strokeWidth="5" />}
      {[-1, 1].map((s) => (
        <g key={s}>
          <Lobe x={mid + s * (L * 0.36 + apart)} h={L} w={L * 0.72} lean={f.medians === 'sunken' ? -s * 16 : 0} />
          {[40, 72].map((p, i) =>
            pairs > i + 1 ? (
              <Lobe key={p} x={mid + s * (p + 6)} h={L * (0.82 - i * 0.14)} w={L * 0.62} twin={twin && i === 0} />
            ) : twin && i === 0 ? (
              <Lobe key={p} x={mid + s * (p + 6)} h={L * 0.4} w={L * 0.5} twin />
            ) : (
              <Point key={p} x={mid + s * (p + 6)} />
            ),
          )}
          {[27, 60, 90, 104].map((p) => (
            <Plate key={p} x={mid + s * (p + 2)} kind={kind} h={L} />
          ))}
        </g>
      ))}
    </>
  );
}

/** The two lengths of a ratio on the hind end, as they are read: which first, which second. */
export function HindEndLengths({ form: f, spot }: { form: HindEndForm; spot: string }) {
  const L = f.lobe ?? 34;
  const hole = f.opening ?? 22;
  const bottom = base - (f.gap ?? 80);
  const opening = [mid + hole * 0.42 + 12, bottom - hole, bottom] as const;
  const pair: readonly (readonly [number, number, number])[] = spot === 'gap' ? [[mid, bottom, base], opening] : [opening, [mid + 34, base, base + L]];
  return (
    <g stroke="var(--mari)" strokeWidth="2.4" fill="none">
      {pair.map(([x, from, to], i) => (
        <g key={x}>
          <path d={`M${x} ${from} V${to} M${x - 6} ${from} h12 M${x - 6} ${to} h12`} />
          <text
            x={to > base ? x - 22 : x + 10}
            y={to > base ? to + 18 : (from + to) / 2 + 5}
            fontSize="14"
            fontWeight="700"
            stroke="none"
            fill="var(--slide-ink)"
          >
            {i ? 'second' : 'first'}
          </text>
        </g>
      ))}
    </g>
  );
}

/** Where on the drawing a character lies: centre and size of the ring round it. */
export const hindEndSpots: Record<string, [number, number, number, number]> = {
  lobes: [160, 212, 118, 30],
  medians: [160, 212, 34, 28],
  second: [114, 210, 20, 24],
  plates: [84, 212, 34, 26],
  'birth-pores': [160, 62, 74, 34],
  ducts: [80, 140, 30, 44],
  rows: [80, 132, 36, 56],
  thickenings: [110, 178, 34, 24],
  patches: [160, 52, 24, 12],
  opening: [160, 104, 26, 26],
  gap: [160, 156, 18, 44],
};
