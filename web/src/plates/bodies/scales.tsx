import { bandsAt, by3, curve, type Drawing, dots, Hull, lines, type P, type Plan, type Profile, pen, ring, soft, taper, tone, xy } from './pen';

const tuft = (c: P, a: number, l: number, w = 4.4) =>
  ring(taper([c, [c[0] + Math.cos(a) * l * 0.6, c[1] + Math.sin(a) * l * 0.6], [c[0] + Math.cos(a + 0.12) * l, c[1] + Math.sin(a + 0.12) * l]], w, w * 0.45));

const drawMealy = (d: Drawing) => {
  const dusty = d.wax === 'dusty';
  const p: Profile = dusty ? xy('20 8, 28 14, 42 18, 58 19, 74 16, 86 8') : xy('20 10, 28 19, 40 25, 56 27, 72 23, 84 13, 89 5');
  return (
    <>
      {!dusty && (
        <path
          d={Array.from({ length: 34 }, (_, i) => {
            const a = -1.25 + (i * (6.283 - 0.64)) / 33;
            const end = Math.abs(((i + 17) % 34) - 17) > 14;
            return tuft([50 + 24 * Math.cos(a), 55 + 31 * Math.sin(a)], a, end && d.tails !== 'long' ? 13 : 8.5, 3.6);
          }).join('')}
          fill="#fff"
          stroke="#9aa096"
          strokeWidth=".7"
        />
      )}
      {d.tails === 'long' && (
        <path
          d={by3('44 84 1.78, 56 84 1.36, 40 80 2.0, 60 80 1.14')
            .map(([x, y, a], i) => tuft([x as number, y as number], a as number, i < 2 ? 40 : 24, 4.4))
            .join('')}
          fill="#fff"
          stroke="#8f958c"
          strokeWidth=".8"
        />
      )}
      <Hull p={p} fill={dusty ? '#f4efe8' : '#f3e4df'} light={0.7} shade={0.12} />
      <path d={bandsAt(p, [30, 37, 44, 51, 58, 65, 72, 79], 3, 0.9)} fill="none" stroke="#c79f90" strokeWidth="1.5" />
      <path
        d={dots(Array.from({ length: 70 }, (_, i): P => [50 + Math.sin(i * 2.4) * 20 * Math.sqrt(((i * 7) % 70) / 70), 26 + ((i * 11) % 58)]))}
        stroke="#fff"
        strokeWidth="2"
        strokeLinecap="round"
      />
      {!dusty && <path d={curve(xy('50 30, 50 50, 50 80'))} stroke="#e2c8be" strokeWidth="3.4" fill="none" />}
      <path d="M44 21L39 13M56 21L61 13" {...pen} strokeWidth="1.6" />
      {dusty && <path d="M36 44l-9-3M64 44l9-3M35 60l-9 4M65 60l9 4" {...pen} strokeWidth="1.4" />}
    </>
  );
};

const drawCochineal = (d: Drawing) => (
  <>
    <path d={soft(xy('16 66, 12 46, 26 28, 42 20, 62 24, 80 34, 88 54, 84 74, 68 88, 46 88, 26 82'))} fill="#fdfdf8" stroke="#8f958c" strokeWidth="1.2" />
    <path
      d={Array.from({ length: 24 }, (_, i) => {
        const x = 20 + ((i * 37) % 62);
        const y = 30 + ((i * 23) % 50);
        return curve([
          [x, y],
          [x + 6, y - 5],
          [x + 9, y + 3],
          [x + 4, y + 7],
        ]);
      }).join('')}
      fill="none"
      stroke="#cdd1c6"
      strokeWidth="1.6"
    />
    <path d={soft(xy('36 58, 42 46, 56 44, 66 52, 66 66, 56 76, 42 74'))} fill={tone(d)} {...pen} />
    <path d="M40 56Q52 62 65 56M40 64Q52 70 65 64M46 49Q54 52 61 49" fill="none" stroke="#5d0f20" strokeWidth="1.3" />
    <path d="M44 52q4-4 9-4" stroke="#e89aa8" strokeWidth="2.4" fill="none" strokeLinecap="round" />
    <path d="M72 78C84 82 90 92 84 98C74 98 66 92 68 84Z" fill="#a3203c" stroke="#5d0f20" strokeWidth="1" />
  </>
);

const drawCottony = (d: Drawing) => {
  const pad = d.cover === 'dome';
  return (
    <>
      <path
        d={pad ? soft(xy('18 52, 20 78, 36 94, 64 94, 80 78, 82 52, 66 42, 34 42')) : soft(xy('27 40, 25 66, 28 90, 38 96, 62 96, 72 90, 75 66, 73 40'))}
        fill="#fefefa"
        {...pen}
        stroke="#7d8278"
      />
      <path
        d={
          pad
            ? Array.from({ length: 16 }, (_, i) =>
                curve([
                  [24 + i * 3.6, 56],
                  [22 + i * 3.8, 74],
                  [28 + i * 2.8, 90],
                ]),
              ).join('')
            : lines(
                [31, 37, 43, 50, 57, 63, 69].map((x): P[] => [
                  [x, 46],
                  [x + (x - 50) * 0.04, 70],
                  [50 + (x - 50) * 0.9, 94],
                ]),
              )
        }
        fill="none"
        stroke="#b9beb2"
        strokeWidth={pad ? 1 : 1.9}
      />
      <Hull p={xy('12 10, 17 20, 26 27, 36 28, 46 22, 52 10')} fill={tone(d)} light={0.55} />
      <path d="M50 14V50M28 28Q50 34 72 28M28 38Q50 44 72 38" fill="none" stroke={pad ? '#3b2413' : '#e8b27a'} strokeWidth="1.5" />
    </>
  );
};

const drawSoft = (d: Drawing) => {
  const ball = d.cover === 'half-ball';
  const waxy = d.cover === 'waxy';
  const black = d.colour === 'black';
  const p: Profile = ball
    ? xy('12 14, 20 30, 32 39, 48 42, 64 40, 78 32, 88 16')
    : waxy
      ? xy('10 16, 18 33, 32 42, 50 43, 66 41, 80 33, 90 16')
      : xy('10 8, 18 17, 32 23, 50 24, 68 22, 82 15, 92 6');
  return (
    <>
      {ball && <ellipse cx="53" cy="90" rx="42" ry="8" fill="#000" opacity=".18" />}
      <Hull p={p} fill={tone(d)} light={ball ? 0.85 : 0.5} shade={ball ? 0.36 : 0.22} />
      {ball && !black && (
        <path
          d={dots(Array.from({ length: 40 }, (_, i): P => [18 + ((i * 29) % 66), 26 + ((i * 17) % 52)]))}
          stroke="#5f3a1c"
          strokeWidth="1.8"
          strokeLinecap="round"
          opacity=".6"
        />
      )}
      {ball && !black && <path d="M11 76Q50 98 89 76" fill="none" stroke="#3b2413" strokeWidth="1.6" />}
      {black && <path d="M22 36H78M22 64H78M50 18V84" stroke="#6b6560" strokeWidth="4" strokeLinecap="round" />}
      {waxy && (
        <path
          d="M16 40q14 10 28 2t34 6M13 58q16 10 30 2t40 4M22 74q14 8 28 0t28 2"
          fill="none"
          stroke="#f6ece0"
          strokeWidth="4.4"
          strokeLinecap="round"
          opacity=".9"
        />
      )}
      {waxy && <path d="M30 24q16-9 36 0" stroke="#fff" strokeWidth="4" fill="none" strokeLinecap="round" />}
      {!ball && !waxy && (
        <path d={curve(xy('50 16, 50 50, 50 82')) + bandsAt(p, [34, 46, 58, 70], 4, 0.8)} fill="none" stroke="#54381d" strokeWidth="1.2" opacity=".85" />
      )}
      {!ball && !waxy && <path d={dots(xy('30 40, 70 40, 29 56, 71 56'))} stroke="#f3e2c2" strokeWidth="2.6" strokeLinecap="round" />}
      <path d="M44 91L50 79L56 91" fill="none" {...pen} strokeWidth="1.4" />
    </>
  );
};

/** A dome seen aslant: the cover lifted on its hinge, and the soft animal under it. */
const drawArmored = (d: Drawing) => {
  const cover = String(d.cover ?? 'round-flat');
  const slim: Record<string, Profile> = {
    boat: xy('6 3, 14 9, 28 14, 46 16, 64 15, 80 11, 92 4'),
    oyster: xy('6 3, 14 7, 28 10, 46 15, 64 20, 80 20, 92 11'),
    pear: xy('6 4, 14 9, 26 12, 40 17, 58 27, 74 28, 86 22, 94 9'),
  };
  const shape = slim[cover];
  const turn = cover === 'oyster' ? 'rotate(7 50 50)' : undefined;
  const lifted = (
    <g transform="translate(84 86)">
      <ellipse rx="15" ry="12" fill="#f4f1e6" stroke="#a9a08c" strokeWidth=".9" />
      <path d={soft(xy('0 -10, 7 -6, 8 2, 4 8, -4 8, -8 2, -7 -6'))} fill={cover === 'clear' ? '#e2803c' : '#ecd24d'} {...pen} strokeWidth="1" />
      <path d="M-5 0Q0 3 5 0M-4 4Q0 6 4 4" fill="none" stroke="#8f7410" strokeWidth=".9" />
      <path d="M-3-6q2-2 4-2" stroke="#fff" strokeWidth="1.4" fill="none" />
    </g>
  );
  if (shape)
    return (
      <>
        <g transform={turn}>
          <Hull p={shape} fill={tone(d)} light={0.55} />
          <path
            d={bandsAt(shape, [26, 34, 42, 50, 58, 66, 74, 82], 4, 0.92)}
            fill="none"
            stroke={d.colour === 'white' ? '#b3ab98' : '#3b2614'}
            strokeWidth=".9"
            opacity=".8"
          />
          {cover === 'boat' && <path d="M50 18V92" {...pen} strokeWidth="2.2" />}
          <path d={soft(xy('50 4, 56 9, 55 18, 50 22, 45 18, 44 9'))} fill="#c07a34" {...pen} strokeWidth="1" />
        </g>
        {lifted}
      </>
    );
  const small = cover === 'small';
  const r = small ? 25 : 36;
  const off: P = cover === 'nipple' ? [0, -2] : cover === 'round-flat' ? [0, -3] : cover === 'dome' ? [-2, -4] : [0, 0];
  const c: P = [46, 48];
  const clear = cover === 'clear';
  const rim = Array.from({ length: 18 }, (_, i): P => {
    const a = (i / 18) * 6.283;
    const q = r * (1 + 0.05 * Math.sin(3 * a + 1) + 0.03 * Math.sin(7 * a));
    return [c[0] + Math.cos(a) * q, c[1] + Math.sin(a) * q * (cover === 'dome' ? 0.94 : 0.98)];
  });
  const to = (k: number) => rim.map(([x, y]): P => [c[0] + off[0] * (1 - k) + (x - c[0]) * k, c[1] + off[1] * (1 - k) + (y - c[1]) * k]);
  const ridge = cover === 'dome' || cover === 'nipple' ? [0.8, 0.6, 0.42] : [0.84, 0.66, 0.5, 0.36];
  const spot = d.spot ? String(d.spot) : cover === 'nipple' ? '#2b211a' : cover === 'dome' ? '#e6d8b8' : d.colour === 'white' ? '#dfa14a' : '#9a6128';
  return (
    <>
      <path d={soft(rim.map((p) => [p[0] + 2.4, p[1] + 3] as P))} fill="#000" opacity=".2" />
      <path d={soft(rim)} fill={tone(d)} fillOpacity={clear ? 0.5 : 1} {...pen} />
      {!clear && (
        <path
          d={soft(
            rim
              .filter((_, i) => i < 6 || i > 15)
              .concat([
                [c[0] + r * 0.3, c[1] + r * 0.5],
                [c[0] + r * 0.34, c[1] - r * 0.4],
              ]),
          )}
          fill="#1a1208"
          opacity={cover === 'dome' ? 0.3 : 0.16}
        />
      )}
      {!clear && (
        <path d={ridge.map((k) => soft(to(k))).join('')} fill="none" stroke={d.colour === 'white' ? '#b9b19c' : '#4a3a28'} strokeWidth=".9" opacity=".7" />
      )}
      {cover === 'dome' && (
        <path
          d={curve([
            [c[0] - r * 0.66, c[1] - r * 0.1],
            [c[0] - r * 0.5, c[1] - r * 0.5],
            [c[0] - r * 0.1, c[1] - r * 0.72],
          ])}
          fill="none"
          stroke="#fff"
          strokeWidth="5"
          strokeLinecap="round"
          opacity=".8"
        />
      )}
      {clear && (
        <>
          <path d={soft(xy('46 26, 58 32, 62 46, 56 60, 50 66, 42 66, 36 60, 30 46, 34 32'))} fill="#d9622c" {...pen} strokeWidth="1" />
          <path d="M40 62C34 56 34 52 38 50M52 62C58 56 58 52 54 50M38 40Q46 44 54 40" fill="none" stroke="#7d2a10" strokeWidth="1.2" />
          <path d={curve(xy('16 46, 22 26, 38 15'))} fill="none" stroke="#fff" strokeWidth="3.4" strokeLinecap="round" opacity=".9" />
        </>
      )}
      {!clear && <ellipse cx={c[0] + off[0]} cy={c[1] + off[1]} rx={small ? 6 : 8.4} ry={small ? 5.4 : 7.4} fill={spot} {...pen} strokeWidth="1" />}
      {cover === 'nipple' && (
        <>
          <ellipse cx={c[0]} cy={c[1] - 2} rx="15" ry="13.4" fill="none" stroke="#e9e4d6" strokeWidth="2.6" />
          <path d={`M${c[0] - 4} ${c[1] - 5}q2-3 5-3`} stroke="#fff" strokeWidth="1.8" fill="none" />
        </>
      )}
      {lifted}
    </>
  );
};

export const scales: Record<string, Plan> = {
  mealybug: { draw: drawMealy, from: 20, to: 88 },
  cochineal: { draw: drawCochineal, from: 44, to: 76 },
  'cottony-scale': { draw: drawCottony, from: 12, to: 96 },
  'soft-scale': { draw: drawSoft, from: 10, to: 91 },
  'armored-scale': {
    draw: drawArmored,
    from: 13,
    to: 83,
    reach: (d) => (['boat', 'oyster', 'pear'].includes(String(d.cover)) ? [6, 93] : d.cover === 'small' ? [23.5, 72.5] : [13, 83]),
  },
};
