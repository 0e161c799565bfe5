import { Body } from '../bodies';
import { scatter } from '../random';
import { line, type PartProps, type Sign, Signs } from './brush';

/** A dot of a colour at each of some scattered places. */
const dots = (s: number, n: number, box: [number, number, number, number], fill: string, r = 4) =>
  scatter(s, n, ...box).map((p, i) => <circle key={i} cx={p.x} cy={p.y} r={r * (0.6 + p.r * 0.7)} fill={fill} />);

const torn = (d: string) => <path d={d} fill="var(--sheet)" {...line} strokeWidth={1.4} />;

/** A creature of the kit, set small on a part. */
const guest = (d: Record<string, unknown>, x: number, y: number, k = 0.3) => (
  <g transform={`translate(${x} ${y}) scale(${k}) translate(-50 -50)`}>
    <Body d={d} />
  </g>
);

const plant: Record<string, Sign> = {
  torn: () => torn('M84 40 l8 14 l8 -10 l8 12 l8 -16 l6 -20 h-42 z M18 120 l14 6 l-2 12 l12 4 l-8 12 l-20 -4 z'),
  slanted: () => torn('M78 60 L122 34 L126 10 H78 Z M10 128 L36 108 L30 88 L4 96 Z'),
  'brown-side': () => <path d="M104 20 C150 20 190 70 186 180 H104 Z" fill="#8a5a2b" opacity=".55" />,
  'bare-low': () => torn('M30 150 L78 176 L70 216 L20 206 Z M170 150 L122 176 L130 216 L180 206 Z'),
  sucker: () => (
    <g>
      <path d="M118 246 C140 230 160 200 164 140" stroke="#7fa35a" strokeWidth="6" fill="none" strokeLinecap="round" />
      {[150, 176, 204].map((y) => (
        <ellipse key={y} cx={158} cy={y} rx="13" ry="6" fill="#a9c27c" {...line} strokeWidth={1.3} />
      ))}
    </g>
  ),
  ribbon: () => (
    <g>
      <path d="M84 92 L88 -20 H118 L116 92 Z" fill="#a9c27c" {...line} strokeWidth={1.6} />
      <path d="M94 90 V-16 M101 90 V-18 M108 90 V-16" stroke="var(--leaf-line)" strokeWidth="1.4" />
    </g>
  ),
  sheared: () => torn('M20 30 H180 V74 H20 Z'),
  'red-broom': () => (
    <g stroke="#a5383c" strokeWidth="4" strokeLinecap="round">
      {[-40, -26, -12, 0, 12, 26, 40].map((a) => (
        <path key={a} d={`M100 96 q${a / 2} -40 ${a} -86`} fill="none" />
      ))}
      {[-30, -10, 10, 30].map((a) => (
        <path key={a} d={`M${100 + a * 0.6} 50 l6 -4 M${100 + a * 0.7} 36 l-6 -4`} strokeWidth="2.4" />
      ))}
    </g>
  ),
  'dropped-leaves': (s) =>
    scatter(s, 9, 10, 246, 190, 274).map((p, i) => (
      <ellipse key={i} cx={p.x} cy={p.y} rx="13" ry="5" fill="#cdbb4e" {...line} strokeWidth={1.2} />
    )),
  'buried-stem': () => <path d="M50 206 Q100 176 150 206 V226 H50 Z" fill="#6d5637" {...line} strokeWidth={1.6} />,
  'grey-foot': (s) => (
    <g>
      <path d="M92 196 H108 V226 H92 Z" fill="#5b3a22" />
      {dots(s, 26, [84, 190, 116, 226], '#a3a79f', 3)}
    </g>
  ),
};

const fruit: Record<string, Sign> = {
  'yellow-tip': () => <path d="M52 200 C66 176 134 176 148 200 C134 250 66 250 52 200 Z" fill="#d9c65a" opacity=".9" />,
  fallen: () => <path d="M100 64 V40 M92 40 l16 -8" stroke="#6b4a2a" strokeWidth="5" strokeLinecap="round" />,
  'ribbon-scar': () => (
    <path d="M58 120 C90 96 120 190 148 150" fill="none" stroke="#b08a5a" strokeWidth="9" strokeLinecap="round" />
  ),
  tunnel: () => (
    <path d="M150 150 C120 150 112 170 100 164" fill="none" stroke="#4a2a16" strokeWidth="8" strokeLinecap="round" />
  ),
  threads: () => (
    <path
      d="M64 120 q20 20 34 4 t34 10 M70 160 q18 16 30 0 t36 8 M80 200 q14 10 26 0"
      fill="none"
      stroke="#7a4a22"
      strokeWidth="4"
    />
  ),
  pecked: () => torn('M120 100 l26 -8 l-4 26 z M78 150 l22 6 l-16 18 z'),
  'soft-dents': (s) => (
    <g>
      {scatter(s, 5, 60, 110, 140, 210).map((p, i) => (
        <ellipse key={i} cx={p.x} cy={p.y} rx="14" ry="10" fill="#7c2d2a" opacity=".6" />
      ))}
    </g>
  ),
  maggots: () => (
    <g>{[0, 1, 2, 3].map((i) => guest({ body: 'maggot', colour: 'white' }, 78 + i * 16, 150 + (i % 2) * 26, 0.26))}</g>
  ),
  mummy: () => (
    <path
      d="M60 110 C70 130 64 150 76 168 C90 196 118 196 128 170 C140 150 132 128 142 108 C122 96 82 96 60 110 Z"
      fill="#3b2a26"
      {...line}
    />
  ),
  'smut-balls': (s) => (
    <g>
      {scatter(s, 7, 64, 110, 136, 200).map((p, i) => (
        <circle key={i} cx={p.x} cy={p.y} r={10 + p.r * 7} fill="#c9ccd0" {...line} strokeWidth={1.3} />
      ))}
    </g>
  ),
  'black-wet': (s) => dots(s, 12, [60, 110, 140, 216], '#15110e', 9),
  pellets: (s) => dots(s, 22, [70, 150, 130, 226], '#2b2118', 4),
};

const flower: Record<string, Sign> = {
  asleep: () => (
    <path d="M70 60 C96 84 104 84 130 60 C140 100 128 150 100 156 C72 150 60 100 70 60 Z" fill="#c98aa8" {...line} />
  ),
  'bent-neck': () => (
    <path d="M100 150 C100 110 140 100 150 150" fill="none" stroke="var(--leaf-line)" strokeWidth="6" />
  ),
  'shed-buds': (s) =>
    scatter(s, 5, 20, 236, 180, 270).map((p, i) => (
      <path key={i} d={`M${p.x} ${p.y} q8 -18 16 0 q-8 8 -16 0`} fill="#9db36a" {...line} strokeWidth={1.3} />
    )),
  'brown-bud': () => (
    <path d="M84 120 C80 90 92 66 100 60 C108 66 120 90 116 120 Z" fill="#6b4326" {...line} strokeWidth={1.6} />
  ),
  'thick-bud': () => (
    <path d="M66 130 C56 96 84 60 100 56 C116 60 144 96 134 130 C124 144 76 144 66 130 Z" fill="#b9c27c" {...line} />
  ),
  'bored-bud': () => (
    <g>
      <path d="M80 124 C76 92 92 66 100 60 C108 66 124 92 120 124 Z" fill="#9db36a" {...line} strokeWidth={1.6} />
      <circle cx="102" cy="100" r="8" fill="#20150d" />
    </g>
  ),
  pellets: (s) => dots(s, 16, [60, 150, 140, 190], '#2b2118', 4),
};

const stem: Record<string, Sign> = {
  bracket: () => (
    <g fill="#b08a5a" {...line} strokeWidth={1.8}>
      <path d="M112 210 C150 200 176 214 178 228 C150 236 128 234 112 228 Z" />
      <path d="M112 250 C140 244 160 252 162 264 C140 270 124 268 112 264 Z" />
    </g>
  ),
  diamond: () => <path d="M100 90 L122 140 L100 196 L80 140 Z" fill="#8a5a3a" {...line} strokeWidth={1.8} />,
  'd-holes': () => (
    <g fill="#160e08">
      {[110, 150, 196, 232].map((y, i) => (
        <path key={y} d={`M${92 + (i % 2) * 14} ${y - 7} v14 a8 7 0 0 0 0 -14 z`} />
      ))}
    </g>
  ),
  'round-holes': () => (
    <g fill="#160e08" stroke="#3b2413" strokeWidth="2">
      <circle cx="98" cy="130" r="14" />
      <circle cx="106" cy="204" r="14" />
    </g>
  ),
  stripped: () => <path d="M82 90 L104 84 L112 214 L88 226 Z" fill="#efe0b4" {...line} strokeWidth={1.6} />,
  wings: () => (
    <g fill="#a98f6a" {...line} strokeWidth={1.3}>
      <path d="M78 80 H62 V260 H78 Z M122 80 H138 V260 H122 Z" />
    </g>
  ),
  moss: (s) => dots(s, 46, [82, 90, 118, 250], '#6f9a3f', 7),
  corked: () => <path d="M80 170 H122 V278 H80 Z" fill="#a98f6a" {...line} strokeWidth={1.6} />,
  'root-starts': (s) =>
    scatter(s, 16, 84, 180, 118, 262).map((p, i) => (
      <circle key={i} cx={p.x} cy={p.y} r="4.4" fill="#f0e6c4" {...line} strokeWidth={1.2} />
    )),
  'hair-gall': () => (
    <g stroke="#b0453f" strokeWidth="2.4" strokeLinecap="round">
      <circle cx="100" cy="136" r="30" fill="#c96a52" strokeWidth="1.6" />
      {Array.from({ length: 26 }, (_, i) => {
        const a = (i / 26) * 2 * Math.PI;
        return (
          <path
            key={i}
            d={`M${100 + 28 * Math.cos(a)} ${136 + 28 * Math.sin(a)} l${16 * Math.cos(a + 0.3)} ${16 * Math.sin(a + 0.3)}`}
          />
        );
      })}
    </g>
  ),
  swelling: () => <path d="M78 120 C60 140 62 190 80 206 H122 C140 190 140 140 122 120 Z" fill="#a98f6a" {...line} />,
  'purple-stains': () => (
    <g fill="#5d3a5a" opacity=".85">
      <path d="M80 110 H106 V146 H80 Z M96 186 H122 V222 H96 Z" />
    </g>
  ),
  rust: (s) => dots(s, 30, [84, 110, 118, 250], '#b5651d', 4),
  'black-foot': () => <path d="M80 214 H122 V280 H80 Z" fill="#1d1512" {...line} />,
  streams: () => (
    <g>
      <path d="M40 200 V280 H160 V200" fill="#cfe3ea" opacity=".7" {...line} />
      <path d="M100 220 q8 20 0 40 M108 220 q10 20 4 44" stroke="#fff" strokeWidth="4" fill="none" />
    </g>
  ),
  'leaf-rain': (s) => dots(s, 20, [50, 110, 150, 250], '#7a4a22', 3),
};

const root: Record<string, Sign> = {
  scabs: (s) => dots(s, 22, [60, 120, 140, 230], '#8a6a48', 8),
  green: () => (
    <path d="M60 150 C70 120 130 120 140 150 C150 210 130 236 100 238 C70 236 50 210 60 150 Z" fill="#7fa35a" />
  ),
  wires: () => (
    <g stroke="#d9a441" strokeWidth="7" strokeLinecap="round" fill="none">
      <path d="M62 150 q18 10 36 2 M104 190 q18 12 34 2" />
    </g>
  ),
  cysts: (s) => dots(s, 34, [58, 120, 142, 238], '#c9952f', 4),
  teeth: () => torn('M60 120 l30 8 l-6 20 l-30 -6 z M116 180 l24 4 l-6 20 l-22 -4 z'),
  strangle: () => (
    <path d="M66 108 C96 132 120 132 140 108" fill="none" stroke="#6d5637" strokeWidth="14" strokeLinecap="round" />
  ),
  'black-parts': () => (
    <path d="M80 130 v40 M100 160 v50 M122 136 v46" stroke="#15110e" strokeWidth="8" strokeLinecap="round" />
  ),
  canker: () => <path d="M56 104 H144 L138 136 H62 Z" fill="#8a4a22" {...line} strokeWidth={1.6} />,
  grains: (s) => dots(s, 12, [70, 130, 130, 220], '#7a4a22', 6),
};

const pot: Record<string, Sign> = {
  'white-mould': (s) => dots(s, 60, [34, 134, 166, 156], '#fff', 5),
};

const turf: Record<string, Sign> = {
  cushions: (s) => dots(s, 40, [20, 96, 180, 130], '#7fa33a', 11),
  felt: () => <path d="M10 128 H190 V158 H10 Z" fill="#a5793f" {...line} strokeWidth={1.4} />,
  packed: () => (
    <g stroke="#3b2c20" strokeWidth="5">
      {[150, 170, 190, 210, 230].map((y) => (
        <path key={y} d={`M14 ${y} H186`} />
      ))}
    </g>
  ),
  dusty: (s) => dots(s, 70, [14, 160, 186, 250], '#e0cfa4', 4),
  straw: () => <path d="M14 134 V70 Q60 40 100 66 T186 70 V134 Z" fill="#d8c07a" opacity=".75" />,
  chafers: () => (
    <g>{[50, 110, 160].map((x) => guest({ body: 'grub-c', colour: 'cream', head: 'brown', legs: 6 }, x, 190, 0.5))}</g>
  ),
  jackets: () => <g>{[50, 104, 158].map((x) => guest({ body: 'maggot', colour: 'grey' }, x, 186, 0.5))}</g>,
  bugs: () => <g>{[44, 84, 124, 164].map((x) => guest({ body: 'bug', colour: 'black' }, x, 122, 0.26))}</g>,
  pink: (s) => dots(s, 60, [16, 40, 184, 110], '#d9647f', 4),
  snow: (s) => dots(s, 60, [30, 84, 170, 132], '#f7f9fb', 9),
  smoky: () => <path d="M30 120 Q100 60 170 120" fill="none" stroke="#4a4d48" strokeWidth="14" opacity=".8" />,
  coins: (s) =>
    scatter(s, 7, 20, 80, 180, 126).map((p, i) => <ellipse key={i} cx={p.x} cy={p.y} rx="15" ry="7" fill="#e6d39a" />),
  orange: (s) => dots(s, 70, [16, 40, 184, 120], '#d9822b', 3),
  ring: () => (
    <g>
      <path d="M26 126 Q100 70 174 126" fill="none" stroke="#2f5a24" strokeWidth="16" />
      {[46, 78, 122, 154].map((x) => (
        <path key={x} d={`M${x - 9} 104 a9 8 0 0 1 18 0 z M${x} 104 v12`} fill="#e9d9b0" {...line} strokeWidth={1.3} />
      ))}
    </g>
  ),
};

/** A block of turf cut out of a lawn: blades, and the soil below. */
export function Turf({ d, seed, children }: PartProps) {
  return (
    <g>
      <path d="M10 130 H190 V262 H10 Z" fill="#7a5c3c" {...line} />
      {scatter(seed, 60, 14, 50, 186, 84).map((p, i) => (
        <path
          key={i}
          d={`M${p.x} 132 Q${p.x + 8 * (p.r - 0.5)} 100 ${p.x + 26 * (p.r - 0.5)} ${p.y}`}
          fill="none"
          stroke="var(--leaf-line)"
          strokeWidth="3.4"
          strokeLinecap="round"
        />
      ))}
      <Signs d={d} seed={seed} words={turf} />
      {children}
    </g>
  );
}

/** What the wider book draws on parts beyond their own words. */
export const wider = { plant, fruit, flower, stem, root, pot, turf };
