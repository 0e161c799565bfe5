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
  type Plan,
  type Profile,
  pen,
  ring,
  side,
  soft,
  taper,
  tone,
  xy,
} from './pen';

const drawLadyLarva = (d: Drawing) => {
  const shaggy = d.wax === 'shaggy';
  const p: Profile = xy('16 9, 24 14, 34 17, 46 19, 60 17, 74 13, 86 8, 95 3');
  if (shaggy)
    return (
      <>
        {legs(by6('12 30 26 22 32 14, 14 40 30 42 37 50, 14 50 28 60 32 74'), 3, '#7d746a')}
        <Hull p={p} fill="#f1ebdc" light={0.3} />
        {Array.from({ length: 5 }, (_, r) =>
          [-2, -1, 0, 1, 2].map((c) => {
            const a: P = [50 + c * 7, 24 + r * 15];
            const e: P = [50 + c * (13 + r), 34 + r * 16 + Math.abs(c) * 2];
            return (
              <path
                key={`${r}${c}`}
                d={ring(taper([a, [(a[0] + e[0]) / 2 + c, (a[1] + e[1]) / 2 - 2], e], 9, 4))}
                fill="#fff"
                stroke="#8f958c"
                strokeWidth=".9"
              />
            );
          }),
        )}
        <Hull p={xy('10 5, 14 8, 19 7')} fill="#6b5a48" light={0} />
      </>
    );
  return (
    <>
      {legs(by6('12 28 30 18 39 8, 14 36 34 38 44 50, 14 44 32 58 40 74'), 3.4, '#1f1b19')}
      <Hull p={p} fill={tone(d)} />
      <path d={bandsAt(p, [26, 35, 44, 53, 62, 71, 80, 88], 2)} fill="none" stroke="#15110e" strokeWidth="1.3" />
      <path
        d={dots(
          Array.from({ length: 7 }, (_, i): P[] => [
            [50 - 12 + i, 31 + i * 9],
            [50 + 12 - i, 31 + i * 9],
            [45, 31 + i * 9],
            [55, 31 + i * 9],
          ]).flat(),
        )}
        stroke="#15110e"
        strokeWidth="3.6"
        strokeLinecap="round"
      />
      <path
        d={lines(
          Array.from({ length: 7 }, (_, i): P[][] => [
            [
              [50 - 14 + i, 31 + i * 9],
              [50 - 20 + i, 28 + i * 9],
            ],
            [
              [50 + 14 - i, 31 + i * 9],
              [50 + 20 - i, 28 + i * 9],
            ],
          ]).flat(),
        )}
        stroke="#15110e"
        strokeWidth="1.3"
      />
      <path d={dots(xy('37 44, 63 44, 36 53, 64 53, 39 71, 61 71'))} stroke="#ee8a2c" strokeWidth="6.6" strokeLinecap="round" />
      <Hull p={xy('9 5, 13 8, 18 7')} fill="#15110e" light={0.2} />
    </>
  );
};
const drawEggs = () => (
  <>
    {Array.from({ length: 13 }, (_, i) => {
      const x = 22 + (i % 5) * 14 + (Math.floor(i / 5) % 2) * 7;
      const y = 22 + Math.floor(i / 5) * 24;
      return (
        <g key={i}>
          <ellipse cx={x + 2} cy={y + 12} rx="6" ry="3" fill="#000" opacity=".18" />
          <path
            d={soft([
              [x, y - 12],
              [x + 5.4, y - 4],
              [x + 5.4, y + 6],
              [x, y + 11],
              [x - 5.4, y + 6],
              [x - 5.4, y - 4],
            ])}
            fill="#f0c02c"
            {...pen}
            strokeWidth="1.1"
          />
          <path d={`M${x - 2.4} ${y - 4}v7`} stroke="#fff6d0" strokeWidth="2" strokeLinecap="round" />
        </g>
      );
    })}
  </>
);
const drawPupa = (d: Drawing) => {
  const p: Profile = xy('12 12, 20 20, 34 25, 50 25, 64 22, 76 16, 84 10');
  return (
    <>
      <path d="M38 82Q50 100 62 82Z" fill="#3a302a" {...pen} />
      <path d="M36 86l-6 8M44 90l-2 9M56 90l2 9M64 86l6 8" stroke={ink} strokeWidth="2" strokeLinecap="round" />
      <Hull p={p} fill={tone(d)} />
      <path d={bandsAt(p, [38, 47, 56, 65, 74], 3)} fill="none" stroke="#5a2c0c" strokeWidth="1.3" />
      <path
        d={dots(xy('38 26, 62 26, 32 42, 42 42, 58 42, 68 42, 32 52, 43 51, 57 51, 68 52, 36 62, 64 62, 46 60, 54 60'))}
        stroke="#231f1d"
        strokeWidth="5"
        strokeLinecap="round"
      />
      <path d="M32 24C40 36 60 36 68 24" fill="none" stroke="#5a2c0c" strokeWidth="1.6" />
    </>
  );
};
const drawLaceEgg = () => (
  <>
    <path d="M2 96Q50 88 98 96V104H2Z" fill="var(--leaf)" stroke="var(--leaf-line)" strokeWidth="1.2" />
    {xy('16 26, 33 14, 51 22, 68 12, 85 28').map(([x, y]) => (
      <g key={x}>
        <path
          d={curve([
            [x as number, 94],
            [(x as number) + 2, 60],
            [x as number, (y as number) + 10],
          ])}
          fill="none"
          stroke="#7d8274"
          strokeWidth="1.1"
        />
        <path
          d={soft([
            [x as number, (y as number) - 11],
            [(x as number) + 5, (y as number) - 3],
            [(x as number) + 4.6, (y as number) + 6],
            [x as number, (y as number) + 11],
            [(x as number) - 4.6, (y as number) + 6],
            [(x as number) - 5, (y as number) - 3],
          ])}
          fill="#eef3cf"
          {...pen}
          strokeWidth="1.1"
        />
        <path d={`M${(x as number) - 2} ${(y as number) - 4}v6`} stroke="#fff" strokeWidth="1.8" strokeLinecap="round" />
      </g>
    ))}
  </>
);
const drawLaceLarva = (d: Drawing) => {
  const p: Profile = xy('22 6, 28 9, 38 13, 52 16, 66 14, 80 8, 96 3');
  return (
    <>
      {legs(by6('9 32 24 24 34 14, 11 40 30 42 40 52, 13 50 28 62 34 80'), 2.8, '#8a6a44')}
      {mirror((s) => (
        <path d={ring(taper(side(s, '4 15, 13 6, 11 -6, 3 -12'), 4, 1.4))} fill="#6b4520" {...pen} strokeWidth="1" />
      ))}
      <path
        d={lines(
          Array.from({ length: 8 }, (_, i): P[][] => {
            const y = 34 + i * 7;
            const w = 12 + 4 * Math.sin((i + 1) / 2.6);
            return [-5, 0, 5].flatMap((q): P[][] => [
              [
                [50 - w, y],
                [50 - w - 8, y + q],
              ],
              [
                [50 + w, y],
                [50 + w + 8, y + q],
              ],
            ]);
          }).flat(),
        )}
        stroke={ink}
        strokeWidth=".9"
      />
      <Hull p={p} fill={tone(d)} />
      <path d={bandsAt(p, [30, 38, 46, 54, 62, 70, 78, 86], 2)} fill="none" stroke="#6b4520" strokeWidth="1.1" />
      <path d={curve(xy('42 36, 39 54, 46 84')) + curve(xy('58 36, 61 54, 54 84'))} fill="none" stroke="#8a4a24" strokeWidth="3.4" />
      <Hull p={xy('12 5, 16 7.4, 22 6.4')} fill="#c9a46c" light={0.3} />
      <path d="M46 14v7M54 14v7" stroke="#4a2c12" strokeWidth="1.8" />
    </>
  );
};
const drawHoverLarva = (d: Drawing) => {
  const p: Profile = xy('8 2, 20 7, 36 12, 54 16, 72 17, 86 14, 94 8');
  return (
    <>
      <Hull p={p} fill={tone(d)} light={0.6} shade={0.16} />
      <path d={bandsAt(p, [22, 31, 40, 49, 58, 67, 76, 85], 3)} fill="none" stroke="#3f5a1c" strokeWidth=".8" opacity=".6" />
      <path d={curve(xy('50 14, 49 50, 50 90'))} fill="none" stroke="#f7f6d8" strokeWidth="5" />
      <path d={curve(xy('46 30, 44 56, 46 86'))} fill="none" stroke="#6b3a1c" strokeWidth="1.4" strokeDasharray="4 3" />
      <path
        d={dots([
          [46, 95],
          [54, 95],
        ])}
        stroke="#5a3a1c"
        strokeWidth="3.6"
        strokeLinecap="round"
      />
      <path d="M49 8l-2-5M51 8l2-5" stroke={ink} strokeWidth="1.6" strokeLinecap="round" />
    </>
  );
};
const drawMummy = (d: Drawing) => {
  const p: Profile = xy('22 8, 30 17, 44 25, 60 28, 74 24, 84 13, 88 5');
  return (
    <>
      {legs(by6('12 34 24 26 29 16, 18 48 32 48 38 56, 18 64 30 74 32 88'), 2, '#b59a6a')}
      {feelers('thread', 5, 22, 20, -8, 1.1)}
      <Hull p={p} fill={tone(d)} light={0.85} />
      <path d={bandsAt(p, [36, 46, 70], 3, 0.8)} fill="none" stroke="#8a6f40" strokeWidth="1" />
      <ellipse cx="58" cy="66" rx="9" ry="8" fill="#1d150c" {...pen} />
      <path d={soft(xy('66 58, 76 52, 80 60, 72 68'))} fill={tone(d)} {...pen} strokeWidth="1.1" />
      <path d="M37 76l-6 12M62 80l7 10" stroke={tone(d)} strokeWidth="4.4" strokeLinecap="round" />
    </>
  );
};
const drawSpider = (d: Drawing) => (
  <>
    {legs(by6('9 30 30 6 34 -12, 10 33 38 20 50 8, 10 37 38 50 50 66, 9 40 28 66 34 96'), 3.6, `color-mix(in srgb, ${tone(d)} 80%, #000)`)}
    <Hull p={xy('42 8, 48 17, 60 22, 74 20, 86 11, 92 4')} fill={tone(d)} />
    <path
      d="M50 48V84M50 56L40 52M50 56L60 52M50 66L38 62M50 66L62 62M50 76L41 73M50 76L59 73"
      stroke="#f1e2c4"
      strokeWidth="2.2"
      fill="none"
      strokeLinecap="round"
    />
    <Hull p={xy('22 6, 27 11, 35 12, 43 9')} fill={`color-mix(in srgb, ${tone(d)} 84%, #000)`} />
    <path d="M46 22L44 14M54 22L56 14" stroke={ink} strokeWidth="3.6" strokeLinecap="round" />
    <path d={dots(xy('46 25, 54 25, 48.4 28, 51.6 28'))} stroke="#15110e" strokeWidth="2.2" strokeLinecap="round" />
  </>
);
const drawSpringtail = (d: Drawing) => (
  <>
    {legs(by6('7 34 20 28 25 20, 8 42 22 44 28 52, 8 50 20 58 24 68'), 2.2, '#cfd2c6')}
    <path d="M48 86C44 100 40 104 34 108M52 86C56 100 60 104 66 108M48 86L52 86" fill="none" stroke="#6f746c" strokeWidth="2.4" strokeLinecap="round" />
    <Hull p={xy('26 6, 34 9, 48 11, 64 12, 78 11, 88 6')} fill={tone(d)} light={0.5} />
    <path d={bandsAt(xy('26 6, 34 9, 48 11, 64 12, 78 11, 88 6'), [36, 46, 56, 66, 76], 2)} fill="none" stroke="#8f958c" strokeWidth="1.1" />
    <Hull p={xy('12 5, 17 8, 24 7, 28 5')} fill={tone(d)} light={0.4} />
    {feelers('bead', 4, 13, 12, -10, 2)}
    <path
      d={dots([
        [45, 18],
        [55, 18],
      ])}
      stroke="#15110e"
      strokeWidth="2.6"
      strokeLinecap="round"
    />
  </>
);
const drawPsocid = (d: Drawing) => (
  <>
    {legs(by6('7 34 20 26 28 18, 8 42 24 44 34 54, 9 52 26 64 32 84'), 3, '#b59a6a')}
    <Hull p={xy('46 9, 54 16, 68 19, 82 14, 92 5')} fill={tone(d)} />
    <path d={bandsAt(xy('46 9, 54 16, 68 19, 82 14, 92 5'), [58, 66, 74, 82], 2)} fill="none" stroke="#7d5f34" strokeWidth="1.2" />
    <Hull p={xy('30 6, 36 9, 46 9')} fill={tone(d)} light={0.2} />
    <Hull p={xy('8 9, 14 15, 22 15, 30 8')} fill={`color-mix(in srgb, ${tone(d)} 82%, #5a3a1c)`} light={0.4} />
    <path d="M40 12Q50 7 60 12M44 14v8M50 13v9M56 14v8" fill="none" stroke="#5a3a1c" strokeWidth="1.1" />
    <path d="M42 11C26 6 16 16 8 8M58 11C74 6 84 16 92 8" fill="none" stroke={ink} strokeWidth="1.5" strokeLinecap="round" />
    <path
      d={dots([
        [35, 21],
        [65, 21],
      ])}
      stroke="#15110e"
      strokeWidth="5.4"
      strokeLinecap="round"
    />
  </>
);
const drawBee = (d: Drawing) => (
  <>
    {legs(by6('10 34 24 26 30 16, 12 42 28 44 35 56, 11 48 26 62 28 84'), 3.4)}
    <Hull p={xy('48 13, 54 18, 66 19, 80 14, 91 4')} fill={tone(d)} />
    <path d={bandsAt(xy('48 13, 54 18, 66 19, 80 14, 91 4'), [56, 64, 72, 80], 2, 0.96)} fill="none" stroke="#2b1c10" strokeWidth="3" />
    <path d={bandsAt(xy('48 13, 54 18, 66 19, 80 14, 91 4'), [60, 68, 76], 2, 0.9)} fill="none" stroke="#f0dca6" strokeWidth="1.8" />
    {mirror((s) => (
      <>
        <path d={soft(side(s, '8 36, 26 34, 43 50, 40 66, 24 60'))} fill="#eef4f5" fillOpacity=".76" stroke="#4a5052" strokeWidth="1" />
        <path d={curve(side(s, '10 38, 28 46, 40 60')) + curve(side(s, '20 42, 26 56, 34 62'))} fill="none" stroke="#6a7072" strokeWidth=".8" />
      </>
    ))}
    <Hull p={xy('26 9, 32 15, 42 16, 50 12')} fill="#9a6a38" light={0.2} />
    <path
      d={lines(
        Array.from({ length: 26 }, (_, i): P[] => {
          const a = i * 0.9;
          const q: P = [50 + Math.cos(a) * 12, 38 + Math.sin(a) * 9];
          return [q, [50 + Math.cos(a) * 18, 38 + Math.sin(a) * 13]];
        }),
      )}
      stroke="#e0b878"
      strokeWidth="1.2"
    />
    <Hull p={xy('10 7, 15 12, 22 11, 27 8')} fill="#3a2a1c" light={0.3} />
    <path d={soft(xy('40 4, 60 4, 66 -4, 50 -10, 34 -4'))} fill="var(--leaf)" stroke="var(--leaf-line)" strokeWidth="1.2" />
    {feelers('elbow', 4, 12, 14, -2, 1.6)}
    <path
      d={dots([
        [40, 18],
        [60, 18],
      ])}
      stroke="#15110e"
      strokeWidth="6"
      strokeLinecap="round"
    />
  </>
);
const drawAnt = (d: Drawing) => (
  <>
    {legs(by6('6 36 24 24 36 8, 6 42 28 44 42 56, 6 47 24 62 34 90'), 2.8, '#2b2522')}
    <Hull p={xy('62 4, 67 12, 78 16, 90 11, 97 3')} fill={tone(d)} />
    <path d={bandsAt(xy('62 4, 67 12, 78 16, 90 11, 97 3'), [72, 80, 88], 2)} fill="none" stroke="#000" strokeWidth="1" />
    <ellipse cx="50" cy="58" rx="3.6" ry="4" fill={tone(d)} {...pen} />
    <Hull p={xy('30 4, 35 8, 44 7, 54 4')} fill={tone(d)} />
    <Hull p={xy('10 6, 15 11, 22 11, 30 6')} fill={tone(d)} />
    <path d="M46 11L42 4M54 11L58 4" stroke={ink} strokeWidth="2.6" strokeLinecap="round" />
    <path d="M44 14C36 8 34 2 24 4M56 14C64 8 66 2 76 4" fill="none" stroke={ink} strokeWidth="1.8" strokeLinecap="round" />
    <path
      d={dots([
        [41, 19],
        [59, 19],
      ])}
      stroke="#8f8a84"
      strokeWidth="2.8"
      strokeLinecap="round"
    />
  </>
);

export const helpers: Record<string, Plan> = {
  'ladybird-larva': { draw: drawLadyLarva, from: 9, to: 95 },
  'beetle-eggs': { draw: drawEggs, from: 10, to: 82 },
  pupa: { draw: drawPupa, from: 12, to: 84 },
  'lacewing-egg': { draw: drawLaceEgg, from: 3, to: 94 },
  'lacewing-larva': { draw: drawLaceLarva, from: 12, to: 96 },
  'hover-larva': { draw: drawHoverLarva, from: 8, to: 94 },
  mummy: { draw: drawMummy, from: 22, to: 88 },
  spider: { draw: drawSpider, from: 22, to: 92 },
  springtail: { draw: drawSpringtail, from: 12, to: 88 },
  psocid: { draw: drawPsocid, from: 8, to: 92 },
  bee: { draw: drawBee, from: 10, to: 91 },
  ant: { draw: drawAnt, from: 10, to: 97 },
};
