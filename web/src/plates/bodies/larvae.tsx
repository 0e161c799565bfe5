import { add, bandsAt, curve, type Drawing, dots, Hull, ink, leg, lines, type P, type Profile, pen, ring, soft, taper, tone, xy } from './pen';

const spine = (way: P[], n: number): P[] => {
  const out: P[] = [];
  for (let i = 0; i < n; i++) {
    const t = (i / (n - 1)) * (way.length - 1);
    const k = Math.min(way.length - 2, Math.floor(t));
    const f = t - k;
    const [a, b, c, e] = [way[Math.max(0, k - 1)], way[k], way[k + 1], way[Math.min(way.length - 1, k + 2)]] as [P, P, P, P];
    const h = (j: 0 | 1) =>
      0.5 * (2 * b[j] + (c[j] - a[j]) * f + (2 * a[j] - 5 * b[j] + 4 * c[j] - e[j]) * f * f + (3 * b[j] - a[j] - 3 * c[j] + e[j]) * f ** 3);
    out.push([h(0), h(1)]);
  }
  return out;
};

/** A larva from its side, climbing: the way of its back, and how thick it is from head to tail. */
type Larva = { way: P[]; r: number; n: number };

export const tube = (l: Larva) => {
  const pts = spine(l.way, l.n);
  const w = (i: number) => l.r * (0.8 + 0.24 * Math.sin((Math.PI * (i + 1)) / (l.n + 1))) * (i > l.n - 3 ? 0.82 : 1);
  const nor = (i: number): P => {
    const [a, b] = [pts[Math.max(0, i - 1)] as P, pts[Math.min(l.n - 1, i + 1)] as P];
    const d: P = [b[0] - a[0], b[1] - a[1]];
    const m = Math.hypot(d[0], d[1]) || 1;
    return [d[1] / m, -d[0] / m];
  };
  const side = (k: number) => pts.map((p, i) => add(p, nor(i), k * w(i)));
  return { pts, w, nor, side };
};

export const drawCaterpillar = (d: Drawing) => {
  const few = Number(d.prolegs) === 2;
  const curled = d.marks === 'curled';
  const way: P[] = curled
    ? xy('46 20, 74 28, 80 56, 60 80, 32 74, 28 50, 44 42')
    : few
      ? xy('40 9, 40 26, 58 44, 62 58, 44 72, 40 92')
      : xy('40 8, 43 26, 40 50, 44 72, 41 93');
  const r = d.marks === 'horn' ? 12.6 : curled ? 9 : few ? 8 : 10;
  const n = 14;
  const t = tube({ way, r, n });
  const out = [...t.side(1), ...t.side(-1).reverse()];
  const body = tone(d);
  const bag = d.marks === 'cocoons' && d.colour === 'brown';
  const legsAt = few ? [1, 2, 3] : [1, 2, 3];
  const pro = few ? [9, 12] : Number(d.prolegs) === 7 ? [5, 6, 7, 8, 9, 10, 12] : [6, 7, 8, 9, 12];
  if (bag)
    return (
      <>
        <path d={soft(xy('50 14, 62 26, 70 52, 66 80, 52 98, 38 82, 32 54, 40 26'))} fill="#8a6a44" {...pen} />
        <path
          d={lines(
            Array.from({ length: 24 }, (_, i): P[] => {
              const y = 24 + ((i * 17) % 66);
              const x = 38 + ((i * 11) % 26);
              return [
                [x, y],
                [x + (i % 2 ? 9 : -9), y + 14],
              ];
            }),
          )}
          stroke="#4f6b34"
          strokeWidth="3.4"
          strokeLinecap="round"
        />
        <path
          d={lines(
            Array.from({ length: 16 }, (_, i): P[] => {
              const y = 22 + ((i * 19) % 66);
              const x = 38 + ((i * 13) % 26);
              return [
                [x, y],
                [x + (i % 2 ? 8 : -8), y + 12],
              ];
            }),
          )}
          stroke="#b08a52"
          strokeWidth="2"
          strokeLinecap="round"
        />
        <path d="M50 14C50 8 50 4 50-4" stroke="#f4f0e2" strokeWidth="2.4" />
        <path d={soft(xy('44 16, 50 6, 57 14, 54 22, 46 22'))} fill="#3a2a1c" {...pen} />
      </>
    );
  return (
    <>
      {!curled && (
        <path d={lines(pro.map((i): P[] => [t.side(1)[i] as P, add(t.side(1)[i] as P, t.nor(i), 5)]))} stroke={ink} strokeWidth="8" strokeLinecap="round" />
      )}
      {!curled && (
        <path d={lines(pro.map((i): P[] => [t.side(1)[i] as P, add(t.side(1)[i] as P, t.nor(i), 5)]))} stroke={body} strokeWidth="6" strokeLinecap="round" />
      )}
      {!curled &&
        legsAt.map((i) => leg(t.side(0.8)[i] as P, add(t.side(1)[i] as P, t.nor(i), 3), add(add(t.side(1)[i] as P, t.nor(i), 7), [0, -2]), 3, '#6b4a2a'))}
      {d.marks === 'tufts' && (
        <path
          d={lines(
            t.pts.flatMap((_, i) =>
              [-1, -0.6, 0.7].flatMap((k) =>
                [-9, 0, 9].map((q): P[] => {
                  const p = t.side(k)[i] as P;
                  return [p, add(add(p, t.nor(i), (k > 0 ? 1 : -1) * 11), [0, q])];
                }),
              ),
            ),
          )}
          stroke={d.colour === 'orange' ? '#c8863c' : '#8a5a2c'}
          strokeWidth="1"
          strokeLinecap="round"
        />
      )}
      <path d={soft(out)} fill={body} />
      <path d={soft([...t.side(1), ...t.side(0.3).reverse()])} fill="#1a1208" opacity=".2" />
      {d.marks === 'stripes' && (
        <>
          <path d={curve(t.side(-0.5))} fill="none" stroke={d.colour === 'black' ? '#f6f3e6' : '#2f3f1c'} strokeWidth="3.4" />
          <path d={curve(t.side(0.06))} fill="none" stroke={d.colour === 'black' ? '#d9823c' : '#f3f2d4'} strokeWidth="2.4" />
          <path d={curve(t.side(0.5))} fill="none" stroke={d.colour === 'black' ? '#5f86b8' : '#2f3f1c'} strokeWidth="2.4" />
          <path
            d={dots(t.pts.slice(1, -1).flatMap((_, i): P[] => [t.side(-0.76)[i + 1] as P, t.side(0.3)[i + 1] as P]))}
            stroke={ink}
            strokeWidth="3.6"
            strokeLinecap="round"
          />
          <path
            d={lines(
              t.pts.slice(1, -1).flatMap((_, i): P[][] => [
                [t.side(-0.8)[i + 1] as P, add(t.side(-1)[i + 1] as P, t.nor(i + 1), -8)],
                [t.side(0.3)[i + 1] as P, add(t.side(1)[i + 1] as P, t.nor(i + 1), 5)],
              ]),
            )}
            stroke="#f6f3e6"
            strokeWidth=".9"
          />
        </>
      )}
      <path
        d={t.pts
          .slice(1, -1)
          .map((_, i) => curve([t.side(-0.96)[i + 1] as P, add(t.pts[i + 1] as P, [0, 1]), t.side(0.96)[i + 1] as P]))
          .join('')}
        fill="none"
        stroke={ink}
        strokeWidth=".8"
        opacity=".55"
      />
      {d.marks === 'horn' && (
        <path
          d={lines(Array.from({ length: 7 }, (_, i): P[] => [t.side(-0.5)[i + 4] as P, add(t.side(0.7)[i + 4] as P, [1, 4])]))}
          stroke="#fdfdf4"
          strokeWidth="3"
          strokeLinecap="round"
        />
      )}
      {d.marks === 'horn' && (
        <path d={dots(Array.from({ length: 9 }, (_, i): P => t.side(0.6)[i + 3] as P))} stroke="#23320f" strokeWidth="3.6" strokeLinecap="round" />
      )}
      {d.marks === 'horn' && (
        <path
          d={ring(taper([t.side(-0.9)[n - 2] as P, add(t.side(-1)[n - 2] as P, [-6, 6]), add(t.side(-1)[n - 2] as P, [-15, 8])], 6, 1.4))}
          fill="#a8362c"
          {...pen}
          strokeWidth="1"
        />
      )}
      {d.marks === 'tufts' && (
        <path d={dots(t.pts.slice(1, -1).map((_, i) => t.side(-0.3)[i + 1] as P))} stroke="#4b2a14" strokeWidth="4.6" strokeLinecap="round" />
      )}
      {d.marks === 'tufts' &&
        d.colour !== 'orange' &&
        [3, 5, 7, 9].map((i) => (
          <path
            key={i}
            d={lines([-4, -2, 0, 2, 4].map((q): P[] => [t.side(-0.8)[i] as P, add(add(t.side(-1)[i] as P, t.nor(i), -12), [0, q])]))}
            stroke="#f3e9c2"
            strokeWidth="2.4"
            strokeLinecap="round"
          />
        ))}
      {d.marks === 'cocoons' &&
        t.pts.slice(2, -2).map((_, i) => {
          const p = add(t.side(-0.9)[i + 2] as P, t.nor(i + 2), -5);
          return (
            <ellipse
              key={i}
              cx={p[0].toFixed(1)}
              cy={p[1].toFixed(1)}
              rx="3.4"
              ry="6.6"
              transform={`rotate(${i % 2 ? -70 : -50} ${p[0].toFixed(1)} ${p[1].toFixed(1)})`}
              fill="#fff"
              stroke="#8f958c"
              strokeWidth=".9"
            />
          );
        })}
      <path d={curve(t.side(-0.6).slice(1, 9))} fill="none" stroke="#fff" strokeWidth="2.2" strokeLinecap="round" opacity=".5" />
      <path d={soft(out)} fill="none" {...pen} />
      <g transform={`translate(${(t.pts[0] as P)[0]} ${(t.pts[0] as P)[1]})`}>
        <circle
          r={r * 0.86}
          fill={d.head === 'black' || d.marks === 'tufts' || d.colour === 'black' ? '#2b2420' : d.marks === 'horn' ? body : '#b07a3c'}
          {...pen}
        />
        <path
          d={`M${r * 0.3} ${-r * 0.3}h0M${r * 0.5} ${-r * 0.02}h0`}
          stroke={d.marks === 'tufts' || d.colour === 'black' ? '#eee' : '#1a1208'}
          strokeWidth="2.4"
          strokeLinecap="round"
        />
        <path d={`M${-r * 0.4} ${-r * 0.4}q${r * 0.2}-${r * 0.2} ${r * 0.5}-${r * 0.2}`} stroke="#fff" strokeWidth="1.4" fill="none" opacity=".7" />
      </g>
    </>
  );
};

export const drawSawfly = (d: Drawing) => {
  const slug = d.colour === 'black';
  if (slug)
    return (
      <>
        <path d={soft(xy('34 10, 58 8, 70 26, 62 50, 56 72, 52 95, 44 94, 40 72, 34 50, 26 28'))} fill="#3d3f2a" {...pen} />
        <path d={curve(xy('40 20, 50 15, 60 24')) + curve(xy('38 34, 44 44, 45 60'))} fill="none" stroke="#c9cfa0" strokeWidth="3.4" strokeLinecap="round" />
        <path
          d={lines([
            [
              [32, 40],
              [62, 40],
            ],
            [
              [36, 54],
              [60, 54],
            ],
            [
              [40, 68],
              [56, 68],
            ],
            [
              [42, 80],
              [54, 80],
            ],
          ])}
          stroke="#1f2014"
          strokeWidth=".9"
        />
        <path
          d={dots([
            [38, 8],
            [54, 6],
          ])}
          stroke="#15110e"
          strokeWidth="3"
          strokeLinecap="round"
        />
      </>
    );
  // Tail curled up, one eye, a row of legs all along.
  const way: P[] = xy('38 9, 42 28, 40 52, 44 72, 58 88, 72 80');
  const n = 15;
  const t = tube({ way, r: 9, n });
  const pro = [5, 6, 7, 8, 9, 10, 11];
  return (
    <>
      <path d={lines(pro.map((i): P[] => [t.side(1)[i] as P, add(t.side(1)[i] as P, t.nor(i), 4)]))} stroke={ink} strokeWidth="6" strokeLinecap="round" />
      <path d={lines(pro.map((i): P[] => [t.side(1)[i] as P, add(t.side(1)[i] as P, t.nor(i), 4)]))} stroke={tone(d)} strokeWidth="4.4" strokeLinecap="round" />
      {[1, 2, 3].map((i) => leg(t.side(0.8)[i] as P, add(t.side(1)[i] as P, t.nor(i), 3), add(add(t.side(1)[i] as P, t.nor(i), 7), [0, -2]), 3, '#231f1d'))}
      <path d={soft([...t.side(1), ...t.side(-1).reverse()])} fill={tone(d)} />
      <path d={soft([...t.side(1), ...t.side(0.3).reverse()])} fill="#1a1208" opacity=".2" />
      <path
        d={t.pts
          .slice(1, -1)
          .map((_, i) => curve([t.side(-0.96)[i + 1] as P, t.pts[i + 1] as P, t.side(0.96)[i + 1] as P]))
          .join('')}
        fill="none"
        stroke={ink}
        strokeWidth=".7"
        opacity=".5"
      />
      <path
        d={dots(t.pts.slice(1, -2).flatMap((_, i): P[] => [t.side(-0.6)[i + 1] as P, t.side(-0.1)[i + 1] as P, t.side(0.5)[i + 1] as P]))}
        stroke={d.colour === 'grey' ? '#4b4f4a' : '#231f1d'}
        strokeWidth="2.4"
        strokeLinecap="round"
      />
      <path d={soft([...t.side(1), ...t.side(-1).reverse()])} fill="none" {...pen} />
      <circle cx="38" cy="9" r="8.6" fill="#231f1d" {...pen} />
      <circle cx="42" cy="8" r="2.4" fill="#f6f3e6" />
    </>
  );
};

export const drawGrub = (d: Drawing) => {
  const way: P[] = xy('34 22, 58 14, 80 30, 82 58, 62 80, 36 78, 24 66');
  const n = 15;
  const t = tube({ way, r: 14, n });
  const legless = Number(d.legs) === 0 || d.head === 'none';
  return (
    <>
      <ellipse cx="54" cy="90" rx="36" ry="6" fill="#000" opacity=".12" />
      {!legless && [2, 3, 4].map((i) => leg(t.side(0.9)[i] as P, add(t.side(1)[i] as P, [-2, 9]), add(t.side(1)[i] as P, [-8, 18]), 3.4, '#c9964c'))}
      <path d={soft([...t.side(1), ...t.side(-1).reverse()])} fill={tone(d)} />
      <path d={soft([...t.side(-0.1).slice(6), ...t.side(1).slice(6).reverse()])} fill="#8f8a78" opacity={legless ? 0.16 : 0.42} />
      <path
        d={t.pts
          .slice(1, -1)
          .map((_, i) => curve([t.side(-1)[i + 1] as P, t.side(-0.1)[i + 1] as P, t.side(0.7)[i + 1] as P]))
          .join('')}
        fill="none"
        stroke="#a3946c"
        strokeWidth="1.4"
      />
      <path d={dots(t.pts.slice(2, -1).map((_, i) => t.side(0.1)[i + 2] as P))} stroke="#b98a44" strokeWidth="2.4" strokeLinecap="round" />
      <path d={curve(t.side(-0.66).slice(2, 9))} fill="none" stroke="#fff" strokeWidth="3.4" strokeLinecap="round" opacity=".8" />
      <path d={soft([...t.side(1), ...t.side(-1).reverse()])} fill="none" {...pen} />
      {d.head !== 'none' && (
        <>
          <circle cx="32" cy="23" r="11" fill="#a4622a" {...pen} />
          <path d="M24 30l-5 6M29 33l-2 7" stroke="#3b200c" strokeWidth="3.4" strokeLinecap="round" />
          <path d="M27 18q3-4 8-3" stroke="#fff" strokeWidth="1.8" fill="none" opacity=".7" />
        </>
      )}
    </>
  );
};

export const drawMaggot = (d: Drawing) => {
  const p: Profile = xy('6 1.6, 14 4.6, 26 7.4, 42 9.8, 60 11.2, 78 11.4, 90 10, 95 7');
  return (
    <>
      <ellipse cx="56" cy="60" rx="12" ry="34" fill="#000" opacity=".1" />
      <Hull p={p} fill={tone(d)} light={0.8} shade={0.14} />
      <path d={bandsAt(p, [18, 27, 36, 45, 54, 63, 72, 81], 2)} fill="none" stroke="#a8986c" strokeWidth="1" />
      {d.head === 'black' ? (
        <path d={soft(xy('45 4, 55 4, 57 13, 43 13'))} fill="#15110e" {...pen} />
      ) : (
        <path d="M48.6 6v7M51.4 6v7" stroke="#15110e" strokeWidth="1.8" />
      )}
      {d.head !== 'black' && (
        <path
          d={dots([
            [45, 92],
            [55, 92],
          ])}
          stroke="#5f4620"
          strokeWidth="4"
          strokeLinecap="round"
        />
      )}
    </>
  );
};

export const drawJacket = (d: Drawing) => {
  const p: Profile = xy('8 5, 18 9, 34 11, 54 11.6, 74 11.4, 88 10, 93 8');
  return (
    <>
      <Hull p={p} fill={tone(d)} light={0.4} />
      <path d={bandsAt(p, [16, 24, 32, 40, 48, 56, 64, 72, 80], 2)} fill="none" stroke={ink} strokeWidth="1" />
      <path d="M42 92l-6 7M47 94l-2 7M53 94l2 7M58 92l6 7" stroke={ink} strokeWidth="2.4" strokeLinecap="round" />
      <path
        d={dots([
          [46, 91],
          [54, 91],
        ])}
        stroke="#15110e"
        strokeWidth="4"
        strokeLinecap="round"
      />
    </>
  );
};
