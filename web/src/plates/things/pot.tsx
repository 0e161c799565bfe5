import { Body } from '../bodies';
import { add, blot, by3, by4, curve, lines, type P, type Rand, soft, xy } from '../kit/geo';
import { seeded } from '../random';
import { bark, has, inBox, type PartProps, type Sign, Signs, Smalls, Spots } from './brush';

type K = { ground: (t: number) => P };
const ground = (t: number): P => [40 + t * 120, 152 + Math.sin(t * 9) * 2];
const onSoil = (R: Rand, n: number, y0 = -4, y1 = 12): P[] => Array.from({ length: n }, () => add(ground(R()), [0, y0 + R() * (y1 - y0)]));
const seedling = (x: number, y: number, k = 1) => (
  <g key={x} transform={`translate(${x} ${y}) scale(${k})`}>
    <path d="M0 0V-26" stroke="var(--leaf-line)" strokeWidth="3.6" strokeLinecap="round" />
    <path d="M0-26C-16-38-22-28-20-20C-10-16-4-20 0-26C4-20 10-16 20-20C22-28 16-38 0-26Z" fill="var(--leaf)" stroke="var(--leaf-line)" strokeWidth="1.2" />
  </g>
);

export const potWords: Record<string, Sign<K>> = {
  crust: (R) => (
    <>
      <path
        d={Array.from({ length: 30 }, (_, i) => soft(blot([34 + i * 4.6, 140 + (i % 2) * 5], 4 + R() * 3, R, 0.5, 7))).join('')}
        fill="#f8f5ec"
        stroke="#b3ab98"
        strokeWidth=".8"
      />
      <path
        d={Array.from({ length: 12 }, (_, i) => soft(blot([46 + i * 10, 166 + R() * 60], 3 + R() * 4, R, 0.6, 7, 1, 1))).join('')}
        fill="#f6f2e6"
        opacity=".9"
      />
      <path
        d={Array.from({ length: 9 }, (_, i) => soft(blot([40 + i * 15, 153 + R() * 5], 4 + R() * 3, R, 0.5, 7))).join('')}
        fill="#fdfbf4"
        stroke="#b3ab98"
        strokeWidth=".7"
      />
    </>
  ),
  toadstools: () => (
    <>
      {xy('66 1, 96 0.7, 134 1.15, 150 0.6').map(([x, k]) => (
        <g key={x} transform={`translate(${x} 154) scale(${k})`}>
          <path d="M-3.4 2C-2-10-3-20-2-30H3C3-20 3-8 4 2Z" fill="#f6e9b4" stroke="#8a6a1c" strokeWidth="1" />
          <path d="M-19-28C-18-52 18-54 20-28Q0-20-19-28Z" fill="#f0d453" stroke="#8a6a1c" strokeWidth="1.2" />
          <path d="M-14-27Q0-32 15-27M-8-28v4M-2-29v5M4-29v5M10-28v4" fill="none" stroke="#b38f2c" strokeWidth="1" />
          <path d="M-9-38h0M-1-43h0M8-39h0M-3-34h0" stroke="#fbf3c4" strokeWidth="4" strokeLinecap="round" />
        </g>
      ))}
    </>
  ),
  slime: (R) => {
    const o: P[] = xy('34 156, 40 138, 56 146, 70 128, 88 142, 104 126, 120 144, 138 130, 152 146, 166 154, 150 164, 120 170, 96 162, 72 170, 48 164');
    return (
      <>
        <path d={soft(o)} fill="#efdb5a" stroke="#a88a1c" strokeWidth="1.3" />
        <path
          d={[0, 1, 2, 3]
            .map((i) =>
              curve([
                [46 + i * 26, 162],
                [52 + i * 24, 150],
                [60 + i * 25, 142],
              ]),
            )
            .join('')}
          fill="none"
          stroke="#c9ab2c"
          strokeWidth="3"
          strokeLinecap="round"
        />
        <Spots at={inBox(R, 22, 48, 140, 150, 160)} r={2} c="#f9efae" />
        <path d="M150 158C160 170 166 186 160 204C154 196 152 180 146 166Z" fill="#efdb5a" stroke="#a88a1c" strokeWidth="1.2" />
      </>
    );
  },
  collapsed: () => (
    <>
      {xy('56 1, 92 -1, 120 1').map(([x, s], i) => (
        <g key={x} transform={`translate(${x} 153) scale(${s} 1)`}>
          <path d="M0 2C0-6 3-9 8-10" fill="none" stroke="#4b2f18" strokeWidth="3.4" strokeLinecap="round" />
          <path d={`M8-10C20-12 30-8 38-${i * 2}`} fill="none" stroke="#9db36a" strokeWidth="4" strokeLinecap="round" />
          <path d="M38-2C46-14 54-8 54 0C48 4 42 4 38-2C42 8 40 12 34 12C32 6 34 0 38-2Z" fill="#a9b86a" stroke="var(--leaf-line)" strokeWidth="1.1" />
        </g>
      ))}
      {seedling(146, 154, 0.9)}
    </>
  ),
  'cut-seedling': () => (
    <>
      {[66, 128].map((x) => (
        <g key={x}>
          <path d={`M${x} 154V140l4-3`} stroke="var(--leaf-line)" strokeWidth="5" fill="none" />
          <path d={`M${x} 154V141`} stroke="#a9c07a" strokeWidth="3.4" />
          <g transform={`translate(${x + 8} 148) rotate(96)`}>{seedling(0, 0, 1)}</g>
        </g>
      ))}
      {seedling(44, 154, 0.9)}
    </>
  ),
  gnats: () => (
    <>
      {by3('44 116 -30, 72 96 10, 136 108 40, 160 86 -10, 112 132 70, 54 72 20, 98 66 -50').map(([x, y, t]) => (
        <g key={x} transform={`translate(${x} ${y}) rotate(${t}) scale(.2) translate(-50 -50)`}>
          <Body d={{ body: 'fly', colour: 'dark', feelers: 'long' }} />
        </g>
      ))}
    </>
  ),
  'green-skin': (R) => (
    <>
      <path d="M38 150Q100 138 162 150Q160 162 100 164Q42 162 38 150Z" fill="#4f8a34" stroke="#2c5a1a" strokeWidth="1.1" />
      <path
        d={inBox(R, 14, 50, 147, 150, 158)
          .map((p) => soft(blot(p, 5, R, 0.4, 8, 1.6)))
          .join('')}
        fill="#7fb84e"
        opacity=".8"
      />
      <path d="M60 150q10-4 20-3M110 149q12-3 24 0" stroke="#d6f0b0" strokeWidth="2" fill="none" />
    </>
  ),
  'white-mould': (R) => (
    <>
      <path
        d={onSoil(R, 16, -4, 6)
          .map((p) => soft(blot(p, 6 + R() * 5, R, 0.5, 9, 1.5)))
          .join('')}
        fill="#fff"
        stroke="#b9bdb2"
        strokeWidth=".7"
      />
      <path d={lines(onSoil(R, 60, -6, 4).map((p) => [p, add(p, [(R() - 0.5) * 10, -7])]))} stroke="#fff" strokeWidth="1.1" />
      <path d={lines(onSoil(R, 26, -6, 4).map((p) => [p, add(p, [(R() - 0.5) * 10, -7])]))} stroke="#9aa094" strokeWidth=".5" />
    </>
  ),
  waterlogged: () => <path d="M38 148Q100 136 162 148Q160 160 100 162Q42 160 38 148Z" fill="#8fb8cc" stroke="#4f7f95" strokeWidth="1.2" opacity=".9" />,
};

/** A pot with its soil, and the plant's foot. */
export function Pot(p: PartProps) {
  const { d, seed, look, children, bare } = p;
  const k: K = { ground };
  if (bare) return <Signs d={d} seed={seed} words={potWords} k={k} />;
  const sown = has(d, 'collapsed', 'cut-seedling');
  return (
    <g>
      {!sown && (
        <>
          <path d="M98 152C96 128 94 116 92 100M102 152C106 130 112 118 118 104" fill="none" stroke="var(--leaf-line)" strokeWidth="4.4" />
          <Smalls
            leaf={look.leaf}
            at={by4('92 104 -46 0.3, 96 128 62 0.28, 118 106 24 0.34').map(([x, y, turn, k]) => ({
              x,
              y,
              turn,
              k,
              fill: d.soil === 'dry' ? '#c9bd7a' : undefined,
            }))}
          />
        </>
      )}
      <path d="M34 140H166L150 268Q100 276 50 268Z" fill="#c98d68" {...bark} />
      <path d="M120 140H166L150 268Q134 272 118 273Z" fill="#7a4a30" opacity=".28" />
      <path d="M28 134H172V156H28Z" fill="#d59d78" {...bark} />
      <path d="M128 134H172V156H128Z" fill="#7a4a30" opacity=".22" />
      <path d="M38 150Q100 138 162 150Q160 160 100 162Q42 160 38 150Z" fill={d.soil === 'dry' ? '#b08f68' : '#5f4630'} {...bark} />
      {d.soil === 'dry' && <path d="M56 150l12 5l-4 5M96 146l6 8l-8 6M132 148l-6 7l10 4" fill="none" stroke="#4b3420" strokeWidth="1.4" />}
      <path d="M44 178C48 214 52 240 56 258" fill="none" stroke="#fff" strokeWidth="3.4" strokeLinecap="round" opacity=".4" />
      {d.grains === 'white' && (
        <path
          d={Array.from({ length: 34 }, (_, i) => {
            const R = seeded(i * 7 + 3);
            return soft(blot([46 + ((i * 37) % 108), 147 + ((i * 11) % 12)], 2.4 + (i % 3), R, 0.5, 7));
          }).join('')}
          fill="#fdfdfa"
          stroke="#a9a99c"
          strokeWidth=".7"
        />
      )}
      {d.crust === 'rim' && !has(d, 'crust') && <path d="M28 136H172" stroke="#f8f5ec" strokeWidth="5" strokeDasharray="9 3" />}
      <g transform={sown ? 'translate(100 156) scale(1.5 1.9) translate(-100 -156)' : undefined}>
        <Signs d={d} seed={seed} words={potWords} k={k} />
      </g>
      {children}
    </g>
  );
}
