import { drawBeetle, drawWeevil } from './beetles';
import { drawCaterpillar, drawGrub, drawJacket, drawMaggot, drawSawfly, tube } from './larvae';
import {
  add,
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
  mix,
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

const drawFly = (d: Drawing) => {
  const gnat = d.feelers === 'long';
  const hover = d.colour === 'yellow' && d.marks === 'bands';
  const abdomen: Profile = hover
    ? xy('40 10, 46 15, 60 16, 76 13, 88 6, 92 2')
    : gnat
      ? xy('38 5, 48 6, 64 5.6, 80 4, 92 1.6')
      : xy('40 9, 48 13, 62 13, 76 9, 86 3');
  return (
    <>
      {legs(gnat ? by6('6 28 26 20 36 2, 7 34 32 38 44 60, 6 38 26 60 34 98') : by6('9 28 22 20 28 8, 11 35 28 38 36 50, 10 40 24 56 26 84'), gnat ? 2 : 2.8)}
      <Hull p={abdomen} fill={hover ? '#e8c83a' : tone(d)} />
      {hover && <path d={bandsAt(abdomen, [48, 60, 72, 83], 2, 0.96)} fill="none" stroke="#201c18" strokeWidth="4" />}
      {!hover && <path d={bandsAt(abdomen, [48, 56, 64, 72, 80], 1)} fill="none" stroke={ink} strokeWidth=".8" />}
      {mirror((s) => (
        <>
          <path d={soft(side(s, '6 32, 22 32, 40 50, 42 68, 32 72, 16 56'))} fill="#eef4f5" fillOpacity=".72" stroke="#4a5052" strokeWidth="1" />
          <path d={curve(side(s, '8 34, 26 46, 40 66')) + curve(side(s, '12 40, 24 56, 33 70'))} fill="none" stroke="#6a7072" strokeWidth=".9" />
          {d.marks === 'bands' && !hover && (
            <path d={dots(side(s, '20 42, 30 50, 36 60, 24 54, 32 66'))} stroke="#fff" strokeWidth="5.4" strokeLinecap="round" />
          )}
          {d.marks === 'bands' && !hover && <path d={soft(side(s, '12 36, 24 36, 40 56, 36 68, 22 56'))} fill="#4a4640" opacity=".34" />}
        </>
      ))}
      <Hull p={xy('20 8, 26 13, 34 13, 41 9')} fill={hover ? '#5a5230' : `color-mix(in srgb, ${tone(d)} 84%, #000)`} />
      <Hull p={xy('8 7, 12 12, 17 12, 21 8')} fill={hover ? '#8a4a2c' : '#3a332e'} light={0} />
      <path
        d={dots([
          [41, 14],
          [59, 14],
        ])}
        stroke={gnat ? '#15110e' : '#8d2c1c'}
        strokeWidth="8"
        strokeLinecap="round"
      />
      {gnat ? feelers('bead', 3, 9, 17, -13, 1.5) : feelers('thread', 2, 8, 4, -5, 1.5)}
    </>
  );
};

const drawSlug = (d: Drawing) => (
  <>
    <path d="M44 98C40 110 60 116 52 128" fill="none" stroke="#dfe9e6" strokeWidth="6" opacity=".0" />
    <path d={soft(xy('44 22, 58 22, 66 34, 68 58, 62 80, 52 97, 48 97, 38 80, 33 58, 36 34'))} fill={tone(d)} {...pen} />
    <path d={soft(xy('58 24, 66 36, 67 58, 61 80, 52 95, 56 70, 57 46'))} fill="#1a1208" opacity=".24" />
    <path d={soft(xy('42 26, 58 26, 64 38, 60 50, 50 54, 40 50, 36 38'))} fill={`color-mix(in srgb, ${tone(d)} 82%, #f3dcb8)`} {...pen} strokeWidth="1.1" />
    <path d={curve(xy('41 34, 50 31, 59 34')) + curve(xy('40 41, 50 38, 61 41'))} fill="none" stroke={ink} strokeWidth=".8" opacity=".6" />
    <circle cx="60" cy="43" r="2.4" fill="#2b1c10" />
    <path
      d={[40, 44, 48, 52, 56, 60]
        .map((x) =>
          curve([
            [x, 58],
            [x + (50 - x) * 0.3, 74],
            [50 + (x - 50) * 0.3, 90],
          ]),
        )
        .join('')}
      fill="none"
      stroke={ink}
      strokeWidth=".9"
      opacity=".55"
    />
    <path
      d="M46 23C42 14 38 8 34 2M54 23C58 14 62 8 66 2M47 20C45 16 43 15 40 14M53 20C55 16 57 15 60 14"
      fill="none"
      stroke={tone(d)}
      strokeWidth="3.4"
      strokeLinecap="round"
    />
    <path
      d={dots([
        [34, 2],
        [66, 2],
      ])}
      stroke="#15110e"
      strokeWidth="5"
      strokeLinecap="round"
    />
    <path d={curve(xy('40 60, 39 70, 43 82'))} fill="none" stroke="#fff" strokeWidth="2.6" strokeLinecap="round" opacity=".5" />
  </>
);

const drawEarwig = (d: Drawing) => (
  <>
    {legs(by6('7 28 20 20 28 12, 8 36 24 36 32 44, 8 44 22 52 28 66'), 3, '#c9964c')}
    <Hull p={xy('42 8, 52 10, 64 11, 74 10, 80 8')} fill="#7a4a24" />
    <path d={bandsAt(xy('42 8, 52 10, 64 11, 74 10, 80 8'), [48, 54, 60, 66, 72], 1)} fill="none" stroke={ink} strokeWidth="1" />
    {mirror((s) => (
      <path d={ring(taper(side(s, '5 79, 12 86, 10 95, 2 100'), 4.4, 1.4))} fill="#b5742c" {...pen} strokeWidth="1" />
    ))}
    <Hull p={xy('21 6, 26 8, 32 8, 44 9, 45 7')} fill={tone(d)} />
    <path d="M42 33H58M50 33V45" {...pen} strokeWidth="1" />
    <Hull p={xy('8 5, 12 8, 18 7, 22 5')} fill="#8a4f22" />
    {feelers('bead', 4, 10, 22, -10, 1.6)}
    <path
      d={dots([
        [43.6, 14],
        [56.4, 14],
      ])}
      stroke="#15110e"
      strokeWidth="2.8"
      strokeLinecap="round"
    />
  </>
);

const drawWoodlouse = (d: Drawing) => {
  const p: Profile = xy('12 8, 18 18, 28 24, 42 27, 56 27, 70 24, 82 16, 92 7');
  return (
    <>
      {legs(
        Array.from({ length: 7 }, (_, i): [number, number, number, number, number, number] => [
          20,
          24 + i * 8.6,
          31 + Math.sin(i / 2) * 3,
          22 + i * 9.6,
          35 + Math.sin(i / 2) * 3,
          26 + i * 10,
        ]),
        2.2,
        '#6b6f6a',
      )}
      <Hull p={p} fill={tone(d)} />
      {Array.from({ length: 7 }, (_, i) => {
        const y = 22 + i * 8.6;
        const w = 22 + 6 * Math.sin((Math.PI * (i + 1)) / 8.4);
        return (
          <path
            key={i}
            d={`M${50 - w} ${y + 4}Q50 ${y - 5} ${50 + w} ${y + 4}L${50 + w + 1} ${y + 11}Q50 ${y + 3} ${50 - w - 1} ${y + 11}Z`}
            fill={i % 2 ? tone(d) : `color-mix(in srgb, ${tone(d)} 86%, #000)`}
            {...pen}
            strokeWidth=".9"
          />
        );
      })}
      <path
        d={dots(Array.from({ length: 28 }, (_, i): P => [50 + ((i % 4) - 1.5) * 9, 24 + Math.floor(i / 4) * 8.6]))}
        stroke="#d9dcd4"
        strokeWidth="2"
        strokeLinecap="round"
        opacity=".8"
      />
      <path d="M45 91l-3 9M55 91l3 9" stroke={ink} strokeWidth="3" strokeLinecap="round" />
      {feelers('elbow', 7, 14, 20, -8, 2)}
      <path
        d={dots([
          [43, 17],
          [57, 17],
        ])}
        stroke="#15110e"
        strokeWidth="3"
        strokeLinecap="round"
      />
    </>
  );
};

const drawMillipede = (d: Drawing) => {
  const way: P[] = xy('34 8, 58 22, 62 42, 42 58, 40 76, 60 94');
  const n = 30;
  const t = tube({ way, r: 5.8, n });
  return (
    <>
      <path
        d={lines(
          t.pts.slice(2, -1).flatMap((_, i): P[][] =>
            [-1, 1].map((k): P[] => {
              const p = t.side(k)[i + 2] as P;
              return [p, add(p, t.nor(i + 2), k * 5.6)];
            }),
          ),
        )}
        stroke="#6b4a2a"
        strokeWidth="1.3"
        strokeLinecap="round"
      />
      <path d={soft([...t.side(1), ...t.side(-1).reverse()])} fill={tone(d)} {...pen} />
      <path
        d={t.pts
          .slice(1)
          .map((_, i) => curve([t.side(-1)[i + 1] as P, mix(t.pts[i] as P, t.pts[i + 1] as P, 0.7), t.side(1)[i + 1] as P]))
          .join('')}
        fill="none"
        stroke="#2b180c"
        strokeWidth="1.2"
      />
      <path d={curve(t.side(-0.5).slice(2, 28))} fill="none" stroke="#e0b88c" strokeWidth="1.8" strokeDasharray="2.6 2" />
      <circle cx="33" cy="8" r="6" fill="#3b2413" {...pen} />
      <path d="M30 3l-8-6M36 3l2-9" stroke={ink} strokeWidth="1.8" strokeLinecap="round" />
    </>
  );
};

export const chewers: Record<string, Plan> = {
  beetle: { draw: drawBeetle, from: 7, to: 93 },
  weevil: { draw: drawWeevil, from: 2, to: 92 },
  caterpillar: { draw: drawCaterpillar, from: 0, to: 100 },
  'sawfly-larva': { draw: drawSawfly, from: 1, to: 97 },
  'grub-c': { draw: drawGrub, from: 8, to: 94 },
  maggot: { draw: drawMaggot, from: 6, to: 95 },
  jacket: { draw: drawJacket, from: 8, to: 93 },
  fly: { draw: drawFly, from: 8, to: 92, reach: (d) => [8, d.feelers === 'long' || d.colour === 'yellow' ? 92 : 86] },
  slug: { draw: drawSlug, from: 20, to: 97 },
  earwig: { draw: drawEarwig, from: 8, to: 100 },
  woodlouse: { draw: drawWoodlouse, from: 12, to: 92 },
  millipede: { draw: drawMillipede, from: 3, to: 96 },
};
