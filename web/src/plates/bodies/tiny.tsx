import {
  bandsAt,
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
  type Profile,
  ring,
  side,
  soft,
  taper,
  tone,
  xy,
} from './pen';

export const drawMite = (d: Drawing) => {
  const pear = d.shape === 'pear';
  const long = d['front-legs'] === 'long';
  const worm = d.shape === 'worm';
  const p: Profile = pear ? xy('22 8, 30 14, 42 19, 58 24, 74 25, 86 18, 91 6') : xy('20 7, 27 16, 38 23, 54 26, 70 24, 82 17, 90 5');
  const leg = tone(d) === '#f8f8f1' ? '#efe9da' : `color-mix(in srgb, ${tone(d)} 70%, #3a2c1a)`;
  if (worm) return drawGallMite();
  return (
    <>
      {legs(
        [
          [11, 32, 24, long ? 12 : 20, long ? 34 : 31, long ? -14 : 8],
          [18, 40, 33, 34, 43, 26],
          [20, 58, 35, 62, 45, 70],
          [16, 70, 28, 82, 34, 96],
        ],
        3.4,
        leg,
      )}
      <Hull p={p} fill={tone(d)} light={d.marks === 'shiny' ? 0.95 : 0.5} />
      <path d="M46 21L44 12M54 21L56 12" stroke={ink} strokeWidth="2.4" strokeLinecap="round" />
      {d.marks === 'two-spots' && (
        <path d={soft(xy('28 46, 36 42, 41 50, 39 62, 32 66, 27 58')) + soft(xy('72 46, 64 42, 59 50, 61 62, 68 66, 73 58'))} fill="#33351f" opacity=".92" />
      )}
      {d.marks === 'bristles' ? (
        <>
          <path
            d={xy('40 34, 60 34, 36 46, 64 46, 41 56, 59 56, 35 66, 65 66, 42 76, 58 76')
              .map(([x, y]) =>
                curve([
                  [x ?? 0, y ?? 0],
                  [(x ?? 0) + ((x ?? 0) < 50 ? -5 : 5), (y ?? 0) - 5],
                  [(x ?? 0) + ((x ?? 0) < 50 ? -13 : 13), (y ?? 0) - 7],
                ]),
              )
              .join('')}
            fill="none"
            stroke="#fff8ea"
            strokeWidth="1.6"
            strokeLinecap="round"
          />
          <path d={dots(xy('40 34, 60 34, 36 46, 64 46, 41 56, 59 56, 35 66, 65 66, 42 76, 58 76'))} stroke="#f7d9c4" strokeWidth="4.4" strokeLinecap="round" />
        </>
      ) : (
        <path
          d={lines([
            [
              [36, 40],
              [30, 34],
            ],
            [
              [64, 40],
              [70, 34],
            ],
            [
              [34, 58],
              [26, 56],
            ],
            [
              [66, 58],
              [74, 56],
            ],
            [
              [38, 74],
              [31, 78],
            ],
            [
              [62, 74],
              [69, 78],
            ],
            [
              [46, 84],
              [43, 93],
            ],
            [
              [54, 84],
              [57, 93],
            ],
          ])}
          stroke={ink}
          strokeWidth=".8"
        />
      )}
      {d.marks === 'shiny' && <path d={curve(xy('37 60, 36 50, 40 38'))} fill="none" stroke="#fff" strokeWidth="4" strokeLinecap="round" />}
      <path
        d={dots([
          [42, 30],
          [58, 30],
        ])}
        stroke="#8d1f14"
        strokeWidth="3.6"
        strokeLinecap="round"
      />
    </>
  );
};

function drawGallMite() {
  return (
    <>
      <path d="M30 8C20 40 24 70 52 94" fill="none" stroke={ink} strokeWidth="15" strokeLinecap="round" />
      <path d="M30 8C20 40 24 70 52 94" fill="none" stroke="#f1ead2" strokeWidth="12.4" strokeLinecap="round" />
      <path
        d={Array.from({ length: 24 }, (_, i) => {
          const t = i / 24;
          return `M${(22 + 20 * t * t).toFixed(1)} ${(14 + 78 * t).toFixed(1)}l11 ${(-3 - t * 5).toFixed(1)}`;
        }).join('')}
        stroke="#b9ac7c"
        strokeWidth="1"
      />
      <path d="M24 12l-9-6M37 12l8-7M22 18l-10-1M36 18l10-2" stroke={ink} strokeWidth="2" strokeLinecap="round" />
    </>
  );
}

const fringe = (s: 1 | -1, banded: boolean) => (
  <>
    <path
      d={lines(
        Array.from({ length: 15 }, (_, i): P[] => [
          [50 + s * (9 + Math.sin(i / 5) * 4), 42 + i * 3.6],
          [50 + s * (21 + Math.sin(i / 5) * 4), 46 + i * 3.9],
        ]),
      )}
      stroke={ink}
      strokeWidth=".7"
    />
    <path d={ring(taper(side(s, '5 40, 12 56, 12 78, 6 94'), 4.6, 2))} fill={banded ? '#f4efe2' : '#e7e2c9'} stroke={ink} strokeWidth=".9" />
    {banded && (
      <path
        d={
          ring(
            taper(
              [
                [50 + s * 10.4, 52],
                [50 + s * 12.4, 62],
              ],
              5,
              5,
            ),
          ) +
          ring(
            taper(
              [
                [50 + s * 12, 73],
                [50 + s * 10, 84],
              ],
              4.4,
              3.6,
            ),
          )
        }
        fill="#2a2521"
      />
    )}
  </>
);

export const drawThrips = (d: Drawing) => {
  const p: Profile = xy('13 4, 17 6.6, 24 6.4, 28 6, 33 8.6, 42 9.2, 50 8.8, 58 9.6, 70 9.2, 82 6.6, 92 3, 98 1');
  return (
    <>
      {legs(by6('6 31 16 26 23 16, 8 42 20 44 27 54, 8 50 18 60 24 76'), 3, `color-mix(in srgb, ${tone(d)} 80%, #3a2c1a)`)}
      <Hull p={p} fill={tone(d)} />
      <path d={bandsAt(p, [28, 34, 51, 58, 65, 72, 79, 86], 1)} fill="none" stroke={ink} strokeWidth=".8" />
      {d.marks === 'bands' && <path d="M42 48h16v7h-16zM42 64h16v6h-16z" fill="#f3ead2" opacity=".9" />}
      {mirror((s) => fringe(s, d.wings === 'banded' || d.marks === 'bands'))}
      {feelers('bead', 3, 13, 7, -12, 1.5)}
      <path
        d={dots([
          [45, 17],
          [55, 17],
        ])}
        stroke="#4d120c"
        strokeWidth="3"
        strokeLinecap="round"
      />
    </>
  );
};

/** Curls of wax out of the back of a woolly aphid. */
const curls = Array.from({ length: 26 }, (_, i) => {
  const a = (i / 26) * 6.28;
  const r = 24 + (i % 3) * 7;
  return curve([
    [50 + Math.cos(a) * 14, 64 + Math.sin(a) * 16],
    [50 + Math.cos(a + 0.3) * r, 64 + Math.sin(a + 0.3) * r],
    [50 + Math.cos(a + 0.9) * (r + 8), 64 + Math.sin(a + 0.9) * (r + 6)],
  ]);
}).join('');

export const drawAphid = (d: Drawing) => {
  const p: Profile = xy('22 5, 27 9, 33 11, 42 17, 56 23, 68 24, 80 18, 88 8, 91 3');
  const wool = d.wax === 'wool';
  const dark = ['black', 'dark', 'purple'].includes(String(d.colour));
  const leg = dark ? '#1f1b19' : `color-mix(in srgb, ${tone(d)} 60%, #4a3a20)`;
  return (
    <>
      {legs(by6('10 36 24 28 32 14, 14 46 30 46 42 54, 18 60 32 70 38 90'), 2.6, leg)}
      {feelers('thread', 5, 24, 26, -10, 1.3)}
      {d.tubes !== undefined &&
        mirror((s) => (
          <path
            d={ring(
              taper(
                [
                  [50 + s * 15, 74],
                  [50 + s * 23, 92],
                ],
                4.2,
                3,
              ),
            )}
            fill={['green', 'pink', 'yellow'].includes(String(d.colour)) && d.colour !== 'yellow' ? (d.colour === 'pink' ? '#2b2523' : tone(d)) : '#26211e'}
            stroke={ink}
            strokeWidth=".8"
          />
        ))}
      <Hull p={p} fill={tone(d)} />
      <path d={bandsAt(p, [34, 44, 52, 60, 68], 2, 0.7)} fill="none" stroke={ink} strokeWidth=".6" opacity=".6" />
      <path
        d={ring(
          taper(
            [
              [50, 86],
              [50, 97],
            ],
            5,
            2.6,
          ),
        )}
        fill={tone(d)}
        stroke={ink}
        strokeWidth=".9"
      />
      <path
        d={dots([
          [42.5, 27],
          [57.5, 27],
        ])}
        stroke="#4a0f0f"
        strokeWidth="4.2"
        strokeLinecap="round"
      />
      {d.wax === 'meal' && (
        <path d={bandsAt(p, [40, 48, 56, 64, 72, 80], 2, 0.84)} fill="none" stroke="#fff" strokeWidth="3" strokeDasharray="2.4 2" opacity=".95" />
      )}
      {wool && (
        <>
          <path d={curls} fill="none" stroke="#b7bcb2" strokeWidth="4.6" strokeLinecap="round" />
          <path d={curls} fill="none" stroke="#fff" strokeWidth="3.2" strokeLinecap="round" />
        </>
      )}
    </>
  );
};
