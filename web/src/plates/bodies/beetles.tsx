import { by6, curve, type Drawing, dots, feelers, Hull, ink, legs, mirror, type P, type Profile, pen, side, soft, tone, xy } from './pen';

export const drawBeetle = (d: Drawing) => {
  const s = String(d.shape ?? (d.marks === 'cross' ? 'long' : 'oval'));
  const wings: Profile =
    s === 'shield' || s === 'dome'
      ? xy('32 16, 36 28, 46 35, 60 36, 74 31, 86 19, 91 6')
      : s === 'long'
        ? xy('33 15, 36 18, 48 19, 64 20, 78 19, 88 13, 93 4')
        : s === 'flea'
          ? xy('30 14, 35 22, 48 26, 64 26, 78 20, 88 10, 91 3')
          : xy('33 20, 37 26, 48 28, 64 29, 78 26, 86 19, 90 8');
  const red = s === 'long' && d.marks === 'none' && d.colour === 'red';
  const metal = d.marks === 'tufts';
  const chafer = s === 'chafer';
  const front = metal
    ? '#3f7a4c'
    : red
      ? tone(d)
      : d.marks === 'cross'
        ? '#b8402c'
        : s === 'shield'
          ? '#1f1b19'
          : s === 'dome' && d.colour === 'yellow'
            ? '#e09a3c'
            : d.colour === 'yellow'
              ? '#d9a53c'
              : tone(d);
  const elytra = metal ? '#b06a36' : d.marks === 'cross' ? '#2b3f4c' : tone(d);
  const w = s === 'long' ? 0.82 : 1;
  return (
    <>
      {legs(
        [
          [12 * w, 27, 28 * w, 20, 37 * w, 10],
          [18 * w, 44, 38 * w, 42, 47 * w, 54],
          [17 * w, 60, 35 * w, 70, 40 * w, 94],
        ],
        s === 'flea' ? 3 : 3.8,
        d.colour === 'brown' ? '#7a5430' : '#231f1d',
      )}
      {s === 'flea' && mirror((q) => <path d={soft(side(q, '16 62, 33 66, 36 78, 26 84'))} fill={elytra} {...pen} strokeWidth="1" />)}
      {metal && (
        <path
          d={dots(xy('20 52, 19 60, 20 68, 23 76, 27 83, 80 52, 81 60, 80 68, 77 76, 73 83, 44 92, 56 92'))}
          stroke="#5a5f5c"
          strokeWidth="7"
          strokeLinecap="round"
        />
      )}
      {metal && (
        <path
          d={dots(xy('20 52, 19 60, 20 68, 23 76, 27 83, 80 52, 81 60, 80 68, 77 76, 73 83, 44 92, 56 92'))}
          stroke="#fdfdfa"
          strokeWidth="5.4"
          strokeLinecap="round"
        />
      )}
      <Hull p={wings} fill={elytra} light={0.62} shade={0.28} />
      <path d="M50 33V91" {...pen} strokeWidth="1.1" />
      {d.marks === 'stripes' && d.colour === 'yellow' && (
        <path
          d={(s === 'dome' ? [0.12, 0.32, 0.52, 0.72, 0.9] : [0.3, 0.78])
            .flatMap((k) =>
              [1, -1].map((q) =>
                curve([
                  [50 + q * 26 * k * w, 37],
                  [50 + q * 34 * k * w, 58],
                  [50 + q * 26 * k * w, 82],
                ]),
              ),
            )
            .join('')}
          fill="none"
          stroke="#241f1b"
          strokeWidth={s === 'dome' ? 3.4 : 5.4}
          strokeLinecap="round"
        />
      )}
      {d.marks === 'stripes' && d.colour === 'purple' && (
        <path
          d={[0.2, 0.5, 0.8]
            .flatMap((k) =>
              [1, -1].map((q) =>
                curve([
                  [50 + q * 24 * k, 38],
                  [50 + q * 32 * k, 58],
                  [50 + q * 22 * k, 84],
                ]),
              ),
            )
            .join('')}
          fill="none"
          stroke="#3f9a5c"
          strokeWidth="3.6"
          strokeLinecap="round"
        />
      )}
      {d.marks === 'cross' && (
        <path d="M37 38h9v9h-9zM54 38h9v9h-9zM35 54h10v9H35zM55 54h10v9H55zM38 71h8v9h-8zM54 71h8v9h-8z" fill="#f3e6b0" stroke={ink} strokeWidth=".7" />
      )}
      {d.marks === 'cross' && <path d={curve(xy('32 40, 31 60, 38 86')) + curve(xy('68 40, 69 60, 62 86'))} fill="none" stroke="#c8502c" strokeWidth="2.6" />}
      {s === 'shield' && <path d={dots(xy('38 48, 62 48, 30 62, 70 62, 42 76, 58 76, 50 38'))} stroke="#1f1b19" strokeWidth="9" strokeLinecap="round" />}
      {chafer && <path d="M33 52l7 3M60 55l7-3M34 68l8 2M58 70l8-2M40 80l6-1M54 79l6 1" stroke="#f6f6e6" strokeWidth="2.6" strokeLinecap="round" />}
      {chafer && <path d="M43 34L50 48L57 34Z" fill={elytra} {...pen} strokeWidth="1" />}
      {(d.colour === 'brown' || red) && (
        <path
          d={dots(Array.from({ length: 40 }, (_, i): P => [50 + (i % 2 ? 1 : -1) * (3 + ((i * 7) % 13)), 40 + ((i * 13) % 46)]))}
          stroke={ink}
          strokeWidth=".9"
          strokeLinecap="round"
          opacity=".5"
        />
      )}
      <Hull
        p={s === 'long' ? xy('17 8, 22 11, 28 11, 33 12') : s === 'shield' ? xy('17 11, 22 22, 29 25, 33 21') : xy('16 10, 21 17, 28 21, 33 20')}
        fill={front}
        light={0.5}
      />
      {s === 'shield' && (
        <path
          d={dots([
            [33, 26],
            [67, 26],
          ])}
          stroke="#fdfaf0"
          strokeWidth="6"
          strokeLinecap="round"
        />
      )}
      {s === 'dome' && d.colour === 'yellow' && (
        <path d="M46 22l4 5l4-5M40 20h0M60 20h0M36 26h0M64 26h0" stroke={ink} strokeWidth="2.6" strokeLinecap="round" fill="none" />
      )}
      <Hull
        p={xy('7 5, 10 8, 14 9, 18 8')}
        fill={red || s === 'shield' || d.colour === 'black' || d.marks === 'cross' || s === 'long' ? '#231f1d' : front}
        light={0.3}
        w={1.1}
      />
      {feelers(metal || chafer ? 'club' : 'bead', 4, 9, 19, metal || chafer ? -4 : -12, metal || chafer ? 1.5 : 1.7)}
      <path
        d={dots([
          [42, 12],
          [58, 12],
        ])}
        stroke={red || s === 'shield' ? '#8f8a84' : '#15110e'}
        strokeWidth="2.6"
        strokeLinecap="round"
      />
    </>
  );
};

export const drawWeevil = (d: Drawing) => (
  <>
    {legs(by6('10 34 29 26 38 12, 17 48 37 46 46 60, 15 62 34 72 38 97'), 4, '#231f1c')}
    <Hull p={xy('40 14, 46 23, 58 27, 70 25, 82 17, 92 5')} fill={tone(d)} light={0.5} />
    <path d="M50 42V92" {...pen} strokeWidth="1" />
    <path
      d={[0.3, 0.6, 0.86]
        .flatMap((k) =>
          [1, -1].map((q) =>
            curve([
              [50 + q * 22 * k, 46],
              [50 + q * 26 * k, 64],
              [50 + q * 12 * k, 86],
            ]),
          ),
        )
        .join('')}
      fill="none"
      stroke="#fff"
      strokeWidth="1"
      strokeDasharray="1 2.4"
      opacity=".6"
    />
    {d.colour === 'black' && <path d={dots(xy('36 56, 64 58, 42 70, 60 76, 33 68, 55 52'))} stroke="#c9a25c" strokeWidth="3.4" strokeLinecap="round" />}
    {d.colour === 'grey' && <path d={curve(xy('44 44, 42 62, 46 86')) + curve(xy('56 44, 58 62, 54 86'))} stroke="#e3e3da" strokeWidth="3" fill="none" />}
    <Hull p={xy('25 8, 31 13, 37 14, 41 12')} fill={tone(d)} light={0.4} />
    <Hull p={xy('2 4, 8 3.4, 15 4, 20 7, 26 7')} fill={tone(d)} light={0.3} />
    {feelers('elbow', 3, 6, 20, -3, 1.7)}
    <path
      d={dots([
        [44, 21],
        [56, 21],
      ])}
      stroke="#8f8a80"
      strokeWidth="2.4"
      strokeLinecap="round"
    />
  </>
);
