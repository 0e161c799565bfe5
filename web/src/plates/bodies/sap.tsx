import { drawBug, drawLace } from './bugs';
import {
  by3,
  by6,
  curve,
  type Drawing,
  dots,
  feelers,
  Hull,
  ink,
  legs,
  lines,
  mirror,
  type P,
  type Plan,
  type Profile,
  pen,
  side,
  soft,
  tone,
  xy,
} from './pen';
import { drawAphid, drawMite, drawThrips } from './tiny';

const drawHopper = (d: Drawing) => {
  const broad = d.colour === 'white';
  const p: Profile = broad ? xy('12 8, 18 16, 28 20, 40 25, 60 30, 78 31, 92 26, 95 10') : xy('10 5, 15 12, 22 16, 32 17, 48 16, 66 13, 84 9, 95 4');
  const big = d.marks === 'stripes';
  return (
    <>
      {legs(by6('10 30 22 24 29 14, 12 38 26 42 34 52, 12 52 30 64 26 96'), 2.6, `color-mix(in srgb, ${tone(d)} 70%, #4a3a20)`)}
      <path
        d={lines([
          [
            [77, 70],
            [81, 68],
          ],
          [
            [76, 78],
            [80, 77],
          ],
          [
            [75, 86],
            [79, 86],
          ],
          [
            [23, 70],
            [19, 68],
          ],
          [
            [24, 78],
            [20, 77],
          ],
          [
            [25, 86],
            [21, 86],
          ],
        ])}
        stroke={ink}
        strokeWidth="1"
      />
      <Hull p={p} fill={tone(d)} />
      <path d={`M${broad ? 30 : 35} 30Q50 38 ${broad ? 70 : 65} 30M41 33L50 45L59 33M50 45V94`} fill="none" {...pen} strokeWidth="1" />
      <path d={curve(xy('42 44, 40 62, 45 88')) + curve(xy('58 44, 60 62, 55 88'))} fill="none" stroke={ink} strokeWidth=".6" opacity=".7" />
      {broad && (
        <path
          d={lines(
            [0, 1, 2, 3, 4].flatMap((i): P[][] => [
              [
                [24 + i * 2, 60 + i * 7],
                [46, 50 + i * 9],
              ],
              [
                [76 - i * 2, 60 + i * 7],
                [54, 50 + i * 9],
              ],
            ]),
          )}
          stroke="#8f9a92"
          strokeWidth=".8"
        />
      )}
      {d.marks === 'spots' && (
        <path d={dots(xy('42 22, 58 22, 42 30, 58 30, 44 54, 56 54, 43 70, 57 70'))} stroke="#33201a" strokeWidth="4.6" strokeLinecap="round" />
      )}
      {d.marks === 'zigzag' && (
        <path d="M41 40l6 8l-7 8l7 9l-5 9l5 9M59 40l-6 8l7 8l-7 9l5 9l-5 9" stroke="#a8402a" strokeWidth="3" fill="none" strokeLinejoin="round" />
      )}
      {d.marks === 'bands' && <path d="M34.6 40h30.8l-.6 9H35.2zM36.6 62h26.8l-1.4 9H38zM40 82h20l-1 6H41z" fill="#7d2a20" opacity=".9" />}
      {big && <path d="M40 42C38 60 42 78 46 92M60 42C62 60 58 78 54 92" fill="none" stroke="#c8362c" strokeWidth="4" />}
      {big && <path d="M37 24Q50 18 63 24" fill="none" stroke="#e8c22c" strokeWidth="4" />}
      <path
        d={dots([
          [36, 20],
          [64, 20],
        ])}
        stroke="#35302a"
        strokeWidth="6"
        strokeLinecap="round"
      />
      {feelers('bristle', 5, 12, 5, -9, 0.8)}
    </>
  );
};

const drawWhitefly = (d: Drawing) => {
  if (d.colour === 'black') {
    // Young that are stuck to the leaf: parasitised black beside the pale sound ones.
    const scale = (x: number, y: number, k: number, c: string) => (
      <g key={`${x}${y}`} transform={`translate(${x} ${y}) scale(${k})`}>
        <path d={soft(xy('0 -17, 11 -11, 13 4, 7 16, 0 18, -7 16, -13 4, -11 -11'))} fill={c} {...pen} />
        <path d="M-7-4Q0 0 7-4M-8 3Q0 7 8 3M-6 10Q0 13 6 10M0-14V6" fill="none" stroke={c === '#2f2b29' ? '#7d766e' : '#9aa27c'} strokeWidth="1.1" />
        <path d="M-7-8q3-5 7-5" fill="none" stroke="#fff" strokeWidth="1.8" opacity=".8" />
      </g>
    );
    return (
      <>
        {[
          [30, 28, 1.15, '#2f2b29'],
          [70, 34, 1.05, '#2f2b29'],
          [48, 64, 1.2, '#2f2b29'],
          [80, 74, 0.95, '#eef0cf'],
          [20, 70, 0.9, '#eef0cf'],
          [58, 92, 0.8, '#2f2b29'],
        ].map(([x, y, k, c]) => scale(x as number, y as number, k as number, c as string))}
      </>
    );
  }
  const roof = d.wings === 'roof' || d.colour === 'yellow';
  return (
    <>
      {legs(
        [
          [6, 32, 16, 24, 22, 14],
          [7, 40, 22, 42, 28, 52],
        ],
        2,
        '#e8d898',
      )}
      <Hull p={xy('12 5, 18 8, 24 8, 32 9, 44 9, 58 7, 68 3')} fill="#e9d176" />
      {mirror((s) => {
        const w: P[] = roof ? side(s, '1 26, 15 30, 22 54, 20 82, 9 94, 1 88') : side(s, '2 26, 20 30, 33 54, 31 80, 18 93, 3 78');
        return (
          <>
            <path d={soft(w)} fill={d.colour === 'yellow' ? '#fbfaf2' : '#ffffff'} stroke="#5f645c" strokeWidth="1.2" />
            <path d={curve(side(s, '5 32, 15 54, 17 84'))} fill="none" stroke="#b4bab0" strokeWidth="1" />
            {s > 0 && (
              <path
                d={soft(
                  w
                    .map(([x, y]): P => [50 + (x - 50) * 0.98, y])
                    .slice(0, 5)
                    .concat([[60, 60]]),
                )}
                fill="#3a4a3a"
                opacity=".1"
              />
            )}
            {roof && d.colour !== 'yellow' && (
              <path
                d={dots([
                  [50 + s * 13, 52],
                  [50 + s * 14, 72],
                ])}
                stroke="#8f958c"
                strokeWidth="5.6"
                strokeLinecap="round"
              />
            )}
          </>
        );
      })}
      <path
        d={dots([
          [43.6, 17],
          [56.4, 17],
        ])}
        stroke="#8d1f14"
        strokeWidth="4.8"
        strokeLinecap="round"
      />
      {feelers('thread', 3, 12, 8, -8, 1)}
    </>
  );
};

const drawPsyllid = (d: Drawing) => (
  <>
    {legs(by6('8 32 20 24 26 12, 9 40 23 42 30 54, 9 48 20 60 17 82'), 2.6, `color-mix(in srgb, ${tone(d)} 70%, #3a2c1a)`)}
    <Hull p={xy('13 7, 18 13, 25 14, 31 12, 40 13, 52 11, 66 7, 78 3')} fill={tone(d)} />
    <path d="M38 28Q50 33 62 28M39 38Q50 43 61 38M41 50Q50 54 59 50" fill="none" stroke={ink} strokeWidth=".9" />
    {mirror((s) => (
      <>
        <path d={soft(side(s, '6 34, 22 42, 26 66, 20 92, 8 84, 3 56'))} fill="#eef3ee" fillOpacity=".72" stroke="#5a5f52" strokeWidth="1.2" />
        <path d={curve(side(s, '7 38, 15 58, 19 88')) + curve(side(s, '12 50, 22 60, 23 80'))} fill="none" stroke="#7d7460" strokeWidth="1.1" />
        {d.colour === 'brown' && <path d={dots(side(s, '16 76, 20 66, 12 64'))} stroke="#6b4a2a" strokeWidth="4" strokeLinecap="round" opacity=".8" />}
      </>
    ))}
    <path
      d={dots([
        [37, 20],
        [63, 20],
      ])}
      stroke="#6b1d14"
      strokeWidth="6.4"
      strokeLinecap="round"
    />
    {feelers('thread', 4, 12, 11, -13, 1.4)}
  </>
);

const drawSpittle = (d: Drawing) => (
  <>
    <g fill="#fff" stroke="#8fa5aa" strokeWidth="1.1">
      {by3('30 62 17, 54 74 19, 74 60 16, 42 42 16, 64 40 13, 24 42 10, 82 78 10, 30 82 11, 50 58 12, 78 42 8').map(([x, y, r]) => (
        <g key={`${x}${y}`}>
          <circle cx={x} cy={y} r={r} />
          <path
            d={`M${(x as number) - (r as number) * 0.5} ${(y as number) - (r as number) * 0.1}A${(r as number) * 0.6} ${(r as number) * 0.6} 0 0 1 ${(x as number) - (r as number) * 0.1} ${(y as number) - (r as number) * 0.55}`}
            fill="none"
          />
        </g>
      ))}
    </g>
    <g transform="translate(50 54) rotate(24) scale(.62) translate(-50 -50)">
      {legs(by6('12 34 24 26 30 16, 14 46 28 50 36 58, 12 58 26 70 28 86'), 3.6, '#9db36a')}
      <Hull p={xy('14 9, 22 17, 32 20, 46 19, 62 15, 78 9, 88 3')} fill={tone(d)} />
      <path d="M31 34Q50 42 69 34M32 46Q50 52 68 46M35 58Q50 63 65 58M39 70Q50 74 61 70" fill="none" stroke={ink} strokeWidth="1.1" />
      <path
        d={dots([
          [35, 22],
          [65, 22],
        ])}
        stroke={ink}
        strokeWidth="7"
        strokeLinecap="round"
      />
    </g>
  </>
);

export const sap: Record<string, Plan> = {
  mite: { draw: drawMite, from: 20, to: 90 },
  thrips: { draw: drawThrips, from: 13, to: 98 },
  aphid: { draw: drawAphid, from: 22, to: 91 },
  leafhopper: { draw: drawHopper, from: 10, to: 95 },
  'lace-bug': { draw: drawLace, from: 8, to: 94 },
  whitefly: { draw: drawWhitefly, from: 12, to: 94 },
  psyllid: { draw: drawPsyllid, from: 13, to: 92 },
  froghopper: { draw: drawSpittle, from: 33, to: 76 },
  bug: { draw: drawBug, from: 10, to: 93 },
};
