import { add, type P, type Rand, ring, taper, xy } from '../kit/geo';
import { seeded } from '../random';
import { bark, has, type PartProps, Signs, Smalls } from './brush';
import { rootWords } from './rootsigns';

/** What lies under the ground: a form, the roots as polylines, and places on the main body. */
export type K = { form: 'fibres' | 'bulb' | 'carrot' | 'tuber'; roots: P[][]; on: (x: number, y: number) => P; body?: string };

const bodies: Record<string, { path: string; tone: string; c: P; rx: number; ry: number }> = {
  bulb: {
    path: 'M100 96C112 112 152 122 156 170C158 206 130 226 100 228C70 226 42 206 44 170C48 122 88 112 100 96Z',
    tone: '#d3a668',
    c: [100, 172],
    rx: 54,
    ry: 52,
  },
  carrot: {
    path: 'M66 96C60 84 140 84 134 96C136 150 116 220 101 268C86 220 64 150 66 96Z',
    tone: '#e08a3a',
    c: [100, 148],
    rx: 28,
    ry: 60,
  },
  tuber: {
    path: 'M50 150C54 110 104 96 138 116C172 136 172 192 142 218C108 240 54 224 46 190Q44 166 50 150Z',
    tone: '#d6b67e',
    c: [106, 168],
    rx: 56,
    ry: 52,
  },
};

function rootsOf(form: K['form'], R: Rand): P[][] {
  const out: P[][] = [];
  const n = form === 'fibres' ? 11 : form === 'bulb' ? 9 : 5;
  for (let i = 0; i < n; i++) {
    const f = n > 1 ? i / (n - 1) - 0.5 : 0;
    const start: P =
      form === 'bulb'
        ? [100 + f * 40, 226]
        : form === 'carrot'
          ? [100 + (i % 2 ? 16 : -16), 120 + i * 24]
          : form === 'tuber'
            ? [100 + f * 10, 96]
            : [100 + f * 12, 92];
    const pts: P[] = [start];
    let a = form === 'carrot' ? (i % 2 ? 0.3 : 2.84) : Math.PI / 2 - f * (form === 'fibres' ? 2.5 : 1.5);
    const steps = form === 'fibres' ? 9 : form === 'bulb' ? 5 : 4;
    const len = form === 'fibres' ? 20 - Math.abs(f) * 5 : 10;
    for (let k = 0; k < steps; k++) {
      a += (R() - 0.5) * 0.6 + (Math.PI / 2 - a) * 0.09;
      const p = add(pts[pts.length - 1] as P, [Math.cos(a) * len, Math.sin(a) * len]);
      pts.push([Math.min(174, Math.max(26, p[0])), Math.min(256, p[1])]);
    }
    out.push(pts);
    if (form === 'fibres')
      for (const k of [3, 5, 7]) {
        const p = pts[k] as P;
        const b = a + (k % 2 ? 0.9 : -0.9);
        out.push([p, add(p, [Math.cos(b) * 12, Math.sin(b) * 12]), add(p, [Math.cos(b + 0.2) * 25, Math.sin(b + 0.2) * 23])]);
      }
  }
  return out;
}

/** Roots in the ground below the plant's foot. */
export function Root(p: PartProps) {
  const { d, seed, look, children, bare } = p;
  const own =
    look.fruit === 'potato'
      ? 'tuber'
      : ['carrot', 'parsnip', 'turnip'].includes(look.fruit)
        ? 'carrot'
        : ['bulb', 'onion', 'leek'].includes(look.fruit)
          ? 'bulb'
          : 'fibres';
  const tuberish = has(d, 'scabs', 'green', 'wires');
  const form = (
    d.form === 'bulb' ? 'bulb' : d.form === 'carrot' ? 'carrot' : tuberish ? 'tuber' : own === 'bulb' && !has(d, 'rotten-roots') ? 'bulb' : 'fibres'
  ) as K['form'];
  const R = seeded(11);
  const b = bodies[form];
  const k: K = {
    form,
    roots: rootsOf(form, R),
    on: (x, y) => (b ? [b.c[0] + x * b.rx, b.c[1] + y * b.ry] : [100 + x * 70, 170 + y * 70]),
    body: b?.path,
  };
  if (bare) return <Signs d={d} seed={seed} words={rootWords} k={k} />;
  const brown = d.roots === 'brown' || has(d, 'waterlogged');
  const ill = brown || has(d, 'circling-roots', 'strangle', 'chewed-roots', 'clubs', 'beads');
  const hide = has(d, 'circling-roots', 'strangle');
  const tone = look.fruit === 'parsnip' ? '#efe0b4' : look.fruit === 'turnip' ? '#c06a78' : look.fruit === 'leek' ? '#f2f0de' : b?.tone;
  return (
    <g>
      <path d="M4 92Q50 86 100 90T196 92V276Q100 282 4 276Z" fill="var(--ground-cut)" />
      <path d="M4 92Q50 86 100 90T196 92" fill="none" stroke="var(--bark-line)" strokeWidth="1.4" />
      {form === 'bulb' || form === 'carrot' ? (
        <Smalls
          leaf={look.leaf}
          at={[-34, -12, 10, 30].map((t, i) => ({
            x: 100 + (i - 1.5) * 5,
            y: form === 'bulb' ? 104 : 92,
            turn: t,
            k: 0.36,
            fill: has(d, 'rusty', 'white-maggots', 'big-grub') && i > 1 ? '#d9c254' : undefined,
          }))}
        />
      ) : (
        <>
          <path
            d={ring(taper(xy('100 96, 101 60, 99 18'), 13, 8))}
            fill={['tree', 'shrub', 'conifer', 'cypress', 'pine', 'ball', ''].includes(look.habit) ? 'var(--bark)' : 'var(--leaf-stalk)'}
            {...bark}
          />
          {!has(d, 'strangle') && (
            <Smalls
              leaf={look.leaf}
              at={xy('-70 74, 66 62, -56 48, 52 42').map(([t, y], i) => ({
                x: 100 + Math.sign(t) * 4,
                y,
                turn: brown ? t * 2.1 : t,
                k: 0.24,
                fill: ill && i < 2 ? '#e0cc56' : undefined,
              }))}
            />
          )}
        </>
      )}
      {!hide && (
        <>
          <path
            d={k.roots.map((r, i) => (brown && i % 5 ? '' : ring(taper(r, form === 'fibres' ? (r.length > 4 ? 6 : 2.2) : 2.4, 1)))).join('')}
            fill="#f0e2c0"
            stroke="var(--bark-line)"
            strokeWidth=".8"
          />
          {brown && (
            <path
              d={k.roots
                .filter((_, i) => i % 5)
                .map((r) => ring(taper(r, r.length > 4 ? 5.8 : 2, 1)))
                .join('')}
              fill="#7a5230"
              stroke="var(--bark-line)"
              strokeWidth=".8"
            />
          )}
        </>
      )}
      {b && (
        <>
          <path d={b.path} fill="var(--bark-line)" transform="translate(1.4 1.4)" />
          <path d={b.path} fill={tone} {...bark} />
          <path
            d={
              form === 'bulb'
                ? 'M100 98C86 124 70 160 82 222M100 98C112 124 130 160 118 222M100 98V226'
                : form === 'carrot'
                  ? 'M72 112H88M112 124H126M76 148H90M108 166H118M84 186H94M98 214H106'
                  : 'M66 150q6-3 10 2M128 136q6-2 9 3M112 206q7-3 11 2M80 198q5-3 8 1M146 180q4-2 7 2'
            }
            fill="none"
            stroke="var(--bark-line)"
            strokeWidth="1"
            opacity=".7"
          />
          <path
            d={form === 'bulb' ? 'M58 160C60 140 74 130 84 124' : form === 'carrot' ? 'M76 106C76 140 84 180 92 214' : 'M62 152C68 128 94 116 112 116'}
            fill="none"
            stroke="#fff"
            strokeWidth="4"
            strokeLinecap="round"
            opacity=".5"
          />
        </>
      )}
      {d.roots === undefined && form === 'tuber' && <path d="M104 92C100 104 98 108 100 116" fill="none" stroke="var(--bark-line)" strokeWidth="3.4" />}
      <Signs d={d} seed={seed} words={rootWords} k={k} />
      {children}
    </g>
  );
}

/** Where whoever lives on the roots sits. */
export const rootPerches: P[] = xy('72 150, 128 144, 100 196, 60 214, 142 220');
