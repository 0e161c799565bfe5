import { Body } from '../bodies';
import { add, blot, by3, curve, lines, type P, type Rand, ring, soft, taper, xy } from '../kit/geo';
import { scatter, seeded } from '../random';
import { bark, has, inBox, type PartProps, type Sign, Signs, Spots } from './brush';

type K = { top: number };
const guest = (d: Record<string, unknown>, x: number, y: number, k: number, turn = 0) => (
  <g key={`${x}${y}`} transform={`translate(${x} ${y}) rotate(${turn}) scale(${k}) translate(-50 -50)`}>
    <Body d={d} />
  </g>
);
/** Blades of grass from some feet, of some height. */
const blades = (R: Rand, feet: P[], h: number, lean = 16): P[][] =>
  feet.map((p) => {
    const dx = (R() - 0.5) * lean * 2;
    const k = h * (0.7 + 0.6 * R());
    return taper([p, add(p, [dx * 0.3, -k * 0.6]), add(p, [dx, -k])], 3.4, 0.6);
  });

const words: Record<string, Sign<K>> = {
  cushions: (R) => (
    <>
      {by3('42 128 26, 92 130 30, 146 127 27').map(([x, y, r]) => (
        <g key={x}>
          <path
            d={`M${(x as number) - (r as number) * 1.2} ${(y as number) + 6}C${(x as number) - (r as number)} ${(y as number) - (r as number)} ${(x as number) + (r as number)} ${(y as number) - (r as number)} ${(x as number) + (r as number) * 1.2} ${(y as number) + 6}Z`}
            fill="#6f9a34"
            stroke="#3f5f1a"
            strokeWidth="1.2"
          />
          <path
            d={lines(
              Array.from({ length: 34 }, (): P[] => {
                const p: P = [(x as number) + (R() - 0.5) * (r as number) * 2, (y as number) - R() * (r as number) * 0.6];
                return [p, add(p, [(R() - 0.5) * 3, -6])];
              }),
            )}
            stroke="#b5d66a"
            strokeWidth="1.3"
          />
        </g>
      ))}
    </>
  ),
  felt: (R) => (
    <>
      <path d="M10 130H190V162H10Z" fill="#b98f54" {...bark} />
      <path
        d={Array.from({ length: 34 }, () => {
          const p: P = [14 + R() * 160, 134 + R() * 24];
          return curve([p, add(p, [8, (R() - 0.5) * 8]), add(p, [17, (R() - 0.5) * 6])]);
        }).join('')}
        fill="none"
        stroke="#6b4a1e"
        strokeWidth="1.2"
      />
      <path d="M194 131v30M190 131h8M190 161h8" stroke="var(--ink)" strokeWidth="1.3" />
    </>
  ),
  packed: () => (
    <>
      <path
        d={lines(
          [148, 160, 172, 184, 196].map(
            (y) =>
              [
                [12, y],
                [60, y + 2],
                [120, y - 1],
                [188, y + 1],
              ] as P[],
          ),
        )}
        fill="none"
        stroke="#2f2014"
        strokeWidth="4"
      />
      <path d="M14 131Q60 124 100 131T188 129" fill="none" stroke="#8fb8cc" strokeWidth="5" opacity=".9" />
      <path d="M30 210C34 202 40 214 44 204M140 210C146 202 150 214 156 204" fill="none" stroke="#f0e2c0" strokeWidth="2" />
      <g fill="none" stroke="var(--ink)" strokeWidth="2.4">
        <path d="M84 30V62M76 54L84 64L92 54M116 30V62M108 54L116 64L124 54" />
      </g>
    </>
  ),
  dusty: (R) => (
    <>
      <path d="M10 150H190V236H10Z" fill="#d9c498" opacity=".85" />
      <Spots at={inBox(R, 60, 14, 152, 186, 232)} r={1.6} c="#b39a66" />
      {[50, 100, 150].map((x) => (
        <g key={x}>
          <circle cx={x} cy="141" r="6" fill="#cfe6f0" stroke="#5b8ca0" strokeWidth="1.1" />
          <path d={`M${x - 3} 139a3 3 0 0 1 2-2`} stroke="#fff" strokeWidth="1.4" fill="none" />
        </g>
      ))}
    </>
  ),
  straw: (R) => (
    <path
      d={blades(
        R,
        Array.from({ length: 44 }, (): P => [40 + R() * 120, 132]),
        56,
        26,
      )
        .map(ring)
        .join('')}
      fill="#dcc479"
      stroke="#8a7434"
      strokeWidth=".6"
    />
  ),
  chafers: (R) => (
    <>
      <path d="M20 128C10 110 40 96 90 100L84 130Z" fill="#8fae5c" stroke="var(--leaf-line)" strokeWidth="1.2" />
      <path
        d={lines(
          Array.from(
            { length: 16 },
            (_, i) =>
              [
                [24 + i * 4, 128],
                [22 + i * 4 + R() * 4, 138],
              ] as P[],
          ),
        )}
        stroke="#f0e2c0"
        strokeWidth="1.2"
      />
      {by3('50 172 0, 112 190 40, 158 168 -30').map(([x, y, t]) =>
        guest({ body: 'grub-c', colour: 'cream', head: 'brown', legs: 6 }, x as number, y as number, 0.5, t),
      )}
    </>
  ),
  jackets: () => (
    <>{by3('46 168 20, 104 186 -60, 156 166 70').map(([x, y, t]) => guest({ body: 'jacket', colour: 'grey' }, x as number, y as number, 0.5, t))}</>
  ),
  bugs: () => (
    <>
      {by3('34 124 10, 74 120 70, 116 126 -30, 158 120 40').map(([x, y, t]) =>
        guest({ body: 'bug', colour: 'black', shape: 'chinch' }, x as number, y as number, 0.27, t),
      )}
    </>
  ),
  pink: (R) => (
    <>
      <path
        d={Array.from({ length: 26 }, () => {
          const p: P = [20 + R() * 160, 126 - R() * 60];
          return curve([p, add(p, [3, -9]), add(p, [10, -15])]) + curve([p, add(p, [-4, -8]), add(p, [-9, -12])]);
        }).join('')}
        fill="none"
        stroke="#d8486c"
        strokeWidth="2.2"
        strokeLinecap="round"
      />
      <path
        d={inBox(R, 12, 20, 70, 180, 118)
          .map((p) => soft(blot(p, 5, R, 0.5, 8, 1.6)))
          .join('')}
        fill="#f3a4b8"
        opacity=".9"
      />
    </>
  ),
  snow: (R) => (
    <>
      <path
        d={xy('52 116, 100 112, 146 118, 76 122, 124 122')
          .map(([x, y]) => soft(blot([x as number, y as number], 22, R, 0.3, 11, 1.4)))
          .join('')}
        fill="#fafafa"
        stroke="#b9bec0"
        strokeWidth="1"
        opacity=".94"
      />
      <path
        d={Array.from({ length: 30 }, () => {
          const p: P = [34 + R() * 130, 98 + R() * 30];
          return curve([p, add(p, [(R() - 0.5) * 16, -5]), add(p, [(R() - 0.5) * 26, 2])]);
        }).join('')}
        fill="none"
        stroke="#c6a8ae"
        strokeWidth=".8"
      />
      <path d="M30 122C60 92 140 90 172 120" fill="none" stroke="#d98a96" strokeWidth="3" opacity=".7" />
    </>
  ),
  smoky: (R) => (
    <>
      <ellipse cx="100" cy="112" rx="74" ry="24" fill="#a8803c" opacity=".85" />
      <path d="M26 112a74 24 0 1 0 148 0a74 24 0 1 0-148 0" fill="none" stroke="#3c4a44" strokeWidth="9" opacity=".75" />
      <Spots at={inBox(R, 40, 60, 100, 140, 124)} r={1.2} c="#6b4a1e" />
    </>
  ),
  coins: (R) => (
    <>
      {xy('36 116, 74 104, 110 118, 148 104, 170 122, 60 126, 128 128').map(([x, y]) => (
        <g key={x}>
          <path d={soft(blot([x as number, y as number], 10, R, 0.15, 10, 1.4))} fill="#f0e2b4" stroke="#a5843c" strokeWidth="1.2" />
          <path
            d={lines([
              [
                [(x as number) - 6, (y as number) - 2],
                [(x as number) + 6, (y as number) - 8],
              ],
              [
                [(x as number) - 4, (y as number) + 3],
                [(x as number) + 8, (y as number) - 3],
              ],
            ] as P[][])}
            stroke="#fff"
            strokeWidth=".8"
          />
        </g>
      ))}
      <g transform="translate(100 70)">
        <path d="M-26-30L-20 16L-10 18L-4-30Z" fill="var(--leaf)" stroke="var(--leaf-line)" strokeWidth="1.2" />
        <path d="M-24-14C-16-18-12-6-6-14L-7 0C-12 4-18-6-22 2Z" fill="#f3e8c4" stroke="#7d4a22" strokeWidth="1.6" />
      </g>
    </>
  ),
  orange: (R) => (
    <>
      <path
        d={blades(
          R,
          Array.from({ length: 14 }, (_, i): P => [20 + i * 12, 132]),
          78,
          14,
        )
          .map(ring)
          .join('')}
        fill="#b9c27c"
        stroke="var(--leaf-line)"
        strokeWidth=".7"
      />
      <path
        d={inBox(R, 80, 18, 60, 182, 122)
          .map((p) => soft(blot(p, 2.2, R, 0.3, 7, 1.5, 1.5)))
          .join('')}
        fill="#e0781e"
        stroke="#9a4a0c"
        strokeWidth=".5"
      />
      <Spots at={inBox(R, 60, 14, 40, 186, 126)} r={0.8} c="#d97a24" />
    </>
  ),
  ring: () => (
    <>
      <ellipse cx="100" cy="112" rx="80" ry="26" fill="none" stroke="#2f6a24" strokeWidth="14" />
      <ellipse cx="100" cy="112" rx="64" ry="19" fill="none" stroke="#c9a85c" strokeWidth="5" opacity=".8" />
      {xy('30 104, 56 92, 96 88, 140 92, 170 106, 150 128, 60 130').map(([x, y]) => (
        <g key={x} transform={`translate(${x} ${y})`}>
          <path d="M-1.6 8V-6H2V8Z" fill="#f4e8c8" stroke="#7a5a2c" strokeWidth=".8" />
          <path d="M-10-5C-9-17 10-17 11-5Q0-1-10-5Z" fill="#dcb67c" stroke="#7a5a2c" strokeWidth="1" />
        </g>
      ))}
    </>
  ),
};
export const turfWords = words;

/** A block cut out of a lawn: blades, and the soil below with its roots. */
export function Turf({ d, seed, children, bare }: PartProps) {
  const k: K = { top: 130 };
  if (bare) return <Signs d={d} seed={seed} words={words} k={k} />;
  const R = seeded(seed);
  const feet = scatter(seed, 70, 14, 128, 186, 134).map((p): P => [p.x, p.y]);
  const thin = has(d, 'straw', 'packed', 'chafers');
  return (
    <g>
      <path
        d={blades(
          R,
          feet.filter((_, i) => !thin || i % 2 === 0),
          62,
        )
          .map(ring)
          .join('')}
        fill="var(--leaf)"
        stroke="var(--leaf-line)"
        strokeWidth=".6"
      />
      <path d="M10 130Q60 126 100 130T190 130V252Q100 262 10 252Z" fill="var(--earth)" {...bark} />
      <path d="M190 130V252L150 256V132Z" fill="#000" opacity=".14" />
      <path
        d={Array.from({ length: 26 }, (_, i) =>
          curve([
            [16 + i * 6.6, 132],
            [14 + i * 6.6 + R() * 6, 150 + R() * 10],
            [14 + i * 6.6 + R() * 8, 168 + R() * (thin ? 6 : 34)],
          ]),
        ).join('')}
        fill="none"
        stroke="#f0e2c0"
        strokeWidth="1"
      />
      <path
        d={inBox(R, 14, 20, 190, 180, 246)
          .map((p) => soft(blot(p, 3 + R() * 4, R, 0.4, 7)))
          .join('')}
        fill="#a08a70"
        opacity=".8"
      />
      <path
        d={blades(
          R,
          Array.from({ length: 20 }, (_, i): P => [14 + i * 9, 133]),
          24,
          12,
        )
          .map(ring)
          .join('')}
        fill="color-mix(in srgb, var(--leaf) 80%, var(--leaf-shade))"
        stroke="var(--leaf-line)"
        strokeWidth=".5"
      />
      <Signs d={d} seed={seed} words={words} k={k} />
      {children}
    </g>
  );
}
