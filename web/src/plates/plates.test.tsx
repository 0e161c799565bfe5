import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { load } from 'js-yaml';
import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { bodies, type Drawing, extent, hasBody } from './bodies';
import { cutLeaf } from './kit/bites';
import { area, inside, off, type P } from './kit/geo';
import { type Leaf, leafOf } from './kit/leaf';
import { alike } from './lit';
import { leafSigns, leafUnder } from './marks';
import { Plate, SlidePlate } from './Plate';
import { plantOf, drawn as plants } from './plants/plants';
import { scatter } from './random';
import type { Sign } from './signs';
import { knows, partOf } from './things';
import { drawingWords } from './words';

type Cause = { id: string; name: string; drawing: Drawing; size_mm?: number[]; look_alikes?: { cause: string }[] };

type Find = { id: string; part: string; states: { id: string; absent?: boolean; drawing?: Sign }[] };
const finds = readdirSync(resolve(import.meta.dirname, '../../../herbarium/findings')).flatMap(
  (f) => load(readFileSync(resolve(import.meta.dirname, '../../../herbarium/findings', f), 'utf8')) as Find[],
);
const signs = finds.flatMap((f) =>
  f.states.flatMap((x): [string, Sign][] => (x.drawing ? [[`${f.id}=${x.id}`, x.drawing]] : [])),
);

// The herbarium itself: what it asks for has to be drawn.
const dir = resolve(import.meta.dirname, '../../../herbarium/causes');
const causes = readdirSync(dir).flatMap((f) => load(readFileSync(resolve(dir, f), 'utf8')) as Cause[]);
const plain = (html: string) => html.replace(/_R_\w*_\w?/g, 'id').replace(/data-layer="[^"]*"/g, '');
/** Its markup as a tree, to ask things of. */
function tree(of: ReactNode): HTMLElement {
  const box = document.createElement('div');
  box.innerHTML = renderToStaticMarkup(of);
  return box;
}
const draw = (d: Record<string, unknown>, seed = 7) =>
  plain(
    renderToStaticMarkup(
      <>
        <Plate id="x" d={d} name="x" seed={seed} />
        <SlidePlate d={d} />
      </>,
    ),
  );

describe('drawings', () => {
  it('are the same for the same seed and vary with another', () => {
    const d = { subject: 'leaf', damage: ['stippling'] };
    expect(draw(d, 3)).toBe(draw(d, 3));
    expect(draw(d, 3)).not.toBe(draw(d, 4));
    expect(scatter(5, 40)).toEqual(scatter(5, 40));
  });
  it('change with every sign on a leaf, each in its own way', () => {
    const bare = draw({ subject: 'leaf', plant: 'camellia', damage: [] });
    const seen = new Map<string, string>();
    for (const name of leafSigns) {
      const html = draw({ subject: 'leaf', plant: 'camellia', damage: [name] });
      expect(html, name).not.toBe(bare);
      expect(seen.get(html), `${name} looks like another`).toBeUndefined();
      seen.set(html, name);
    }
  });
  it('differ for every body plan', () => {
    const animals = Object.keys(bodies).map((body) => draw({ subject: 'pest', body, colour: 'tan' }));
    expect(new Set(animals).size).toBe(animals.length);
  });
  it.each([
    ['two dark spots', { body: 'mite', colour: 'straw' }, { marks: 'two-spots' }],
    ['long front legs', { body: 'mite', colour: 'brown' }, { 'front-legs': 'long' }],
    ['colour', { body: 'mite', colour: 'straw' }, { colour: 'amber' }],
    ['nymph spots', { body: 'leafhopper', colour: 'pale' }, { marks: 'spots' }],
    ['prolegs', { body: 'caterpillar', colour: 'green', prolegs: 5 }, { prolegs: 2 }],
    ['cocoons', { body: 'caterpillar', colour: 'green', prolegs: 5 }, { marks: 'cocoons' }],
    ['long tails', { body: 'mealybug', colour: 'white', wax: 'short' }, { tails: 'long' }],
    ['a long cover', { body: 'armored-scale', colour: 'tan' }, { cover: 'boat' }],
    ['a nipple', { body: 'armored-scale', colour: 'tan' }, { cover: 'nipple' }],
    ['a half-ball', { body: 'soft-scale', colour: 'brown' }, { cover: 'half-ball' }],
    ['a shield', { body: 'bug', colour: 'brown' }, { shape: 'shield' }],
    ['banded wings', { body: 'thrips', colour: 'dark' }, { wings: 'banded' }],
  ])('change with %s', (_, base, more) => {
    expect(draw({ subject: 'pest', ...base, ...more })).not.toBe(draw({ subject: 'pest', ...base }));
  });
  const slide = { lobes: 3, pores: true, plates: 'long', opening_um: 9, lobe_um: 13, gap_um: 42 };
  it.each([
    ['lobes', { lobes: 1 }],
    ['pore clusters', { pores: false }],
    ['plates', { plates: 'clubbed' }],
    ['the opening', { opening_um: 14 }],
    ['the lobe', { lobe_um: 9 }],
    ['the gap', { gap_um: 18 }],
  ])('of a slide change with %s', (_, more) => {
    const d = (s: object) => draw({ subject: 'pest', body: 'armored-scale', colour: 'tan', slide: s });
    expect(d({ ...slide, ...more })).not.toBe(d(slide));
  });
  it('know every layer and animal a recorded sign asks for', () => {
    const words = ['root', 'stem', 'fruit', 'flower', 'pot', 'plant'];
    for (const [key, s] of signs) {
      for (const w of (s.add?.damage as string[]) ?? [])
        expect(
          words.some((p) => knows(p, w)),
          `${key}: ${w}`,
        ).toBe(true);
      for (const l of s.layers ?? []) expect(knows('leaf', l), `${key}: ${l}`).toBe(true);
      if (s.animals) expect(bodies[String(s.animals.body)], key).toBeDefined();
    }
  });
});

describe('the words there are for drawings', () => {
  it('each change what is drawn, but for those that say how it is anyhow', () => {
    const bare = [
      ...Object.keys(bodies).map((body) => ({ subject: 'pest', body })),
      ...['root', 'stem', 'fruit', 'pot', 'plant', 'leaf'].map((subject) => ({ subject })),
    ].map((d): [Drawing, string] => [d, draw(d)]);
    const same = Object.entries(drawingWords.traits).flatMap(([key, list]) =>
      list
        .filter((w) => bare.every(([d, without]) => draw({ ...d, [key]: /^\d+$/.test(w) ? Number(w) : w }) === without))
        .map((w) => `${key}: ${w}`),
    );
    const anyhow = [
      'wings: fringed, moth, lace',
      'legs: 6, 8',
      'prolegs: 5',
      'marks: none',
      'shape: oval',
      'wax: ribbed-sac, short, tuft',
      'head: brown',
      'cover: round-flat',
      'tails: short',
    ];
    expect(same).toEqual(
      anyhow.flatMap((x) => (x.split(': ')[1] ?? '').split(', ').map((w) => `${x.split(': ')[0]}: ${w}`)),
    );
  });
});

/** Each plate of the book is drawn once: drawing is what takes the time. */
const made = new Map<string, string>();
function plate(c: Cause): string {
  const was = made.get(c.id);
  if (was !== undefined) return was;
  const html = renderToStaticMarkup(
    <>
      <Plate id="x" d={c.drawing} name="x" size={c.size_mm} seed={7} />
      <SlidePlate d={c.drawing} />
    </>,
  );
  made.set(c.id, html);
  return html;
}

/** Every leaf of the book, by plant. */
const leaves: [string, Leaf][] = plants.map((id) => [id, plantOf(id).leaf]);
const closed = (p: P[]) => [...p, p[0] as P];

describe('the leaves of the book', () => {
  it('are there for every plant of the herbarium, and no two are the same', () => {
    const all = readdirSync(resolve(import.meta.dirname, '../../../herbarium/hosts')).flatMap(
      (f) =>
        load(readFileSync(resolve(import.meta.dirname, '../../../herbarium/hosts', f), 'utf8')) as { id: string }[],
    );
    expect(all.map((h) => h.id).filter((id) => !plants.includes(id))).toEqual([]);
    const seen = new Map<string, string>();
    const same: string[] = [];
    for (const [id, l] of leaves) {
      const was = seen.get(l.path);
      if (was) same.push(`${id} = ${was}`);
      seen.set(l.path, id);
    }
    expect(same).toEqual([]);
  });
  it('stay within their box', () => {
    const out = leaves.filter(([, l]) =>
      l.blades.some((b) => b.outline.some(([x, y]) => x < -2 || x > 202 || y < -4 || y > 284)),
    );
    expect(out.map(([id]) => id)).toEqual([]);
  });
  it('have side veins that reach the margin', () => {
    const short: string[] = [];
    for (const [id, l] of leaves)
      for (const b of l.blades.filter((x) => x.area > 900 && x.kind !== 'strap'))
        for (const v of b.sides) {
          const gap = off(closed(b.outline), v[v.length - 1] as P);
          if (gap > Math.max(3.6, b.wide * 0.07)) short.push(`${id} ${gap.toFixed(1)} of ${b.wide}`);
        }
    expect(short).toEqual([]);
  });
  it('have fields between their veins that lie on the blade', () => {
    for (const [id, l] of leaves)
      for (const b of l.blades.filter((x) => x.area > 2500 && x.kind === 'feather'))
        for (const c of b.cells)
          for (const [u, v] of [
            [0.2, 0.5],
            [0.5, 0.3],
            [0.8, 0.7],
          ] as const)
            expect(inside(b.outline, c.at(u, v)) || off(closed(b.outline), c.at(u, v)) < 3, id).toBe(true);
  });
});

describe('bites', () => {
  const eaters = [
    'eaten-margin',
    'notches',
    'half-circles',
    'shot-holes',
    'ragged-holes',
    'skeletonised',
    'tears',
    'tattered',
  ];
  it.each(eaters)('of %s only take from the blade: no crumbs are left, and the stalk stands', (name) => {
    for (const id of ['rose', 'tomato', 'grape', 'hosta', 'lily'])
      for (const seed of [1, 23]) {
        const leaf = plantOf(id).leaf;
        const cut = cutLeaf(leaf, [{ name }], seed);
        const whole = leaf.blades.reduce((s, b) => s + b.area, 0);
        const rings = cut?.rings ?? [];
        const left = rings.reduce((s, r) => s + (signed(r) > 0 ? 1 : -1) * area(r), 0);
        expect(Math.abs(left), `${id} ${seed}`).toBeLessThan(whole);
        expect(Math.abs(left), `${id} ${seed}`).toBeGreaterThan(whole * 0.15);
        for (const r of rings)
          for (const p of r)
            expect(
              leaf.blades.some((b) => inside(b.outline, p) || off(closed(b.outline), p) < 1),
              `${id} ${seed}: outside the leaf`,
            ).toBe(true);
        // Every piece that is left hangs on a rib.
        const solid = rings.filter((r) => Math.sign(signed(r)) === Math.sign(left));
        for (const r of solid)
          expect(
            leaf.blades.some((b) => b.ribs.some((rib) => rib.some((q) => inside(r, q)))),
            `${id} ${seed}: a crumb`,
          ).toBe(true);
        const html = (d: string[]) =>
          draw({ subject: 'leaf', plant: id, damage: d }).match(/<path d="([^"]*)"[^>]*data-stalk/)?.[1];
        if (seed === 1) expect(html([name])).toBe(html([]));
      }
  });
  it('of a weevil are small and on the margin, of a heavy feeder spare the midrib', () => {
    const leaf = plantOf('rhododendron').leaf;
    const b = leaf.blades[0];
    const notch = cutLeaf(leaf, [{ name: 'notches' }], 3);
    for (const bite of notch?.bites ?? []) {
      expect(area(bite)).toBeLessThan(160);
      expect(new Set(bite.map((p) => inside(b?.outline ?? [], p))).size, 'across the margin').toBe(2);
    }
    const eaten = cutLeaf(leaf, [{ name: 'eaten-margin' }], 3);
    const mid = (b?.ribs[0] ?? []).slice(1, -1);
    for (const p of mid)
      expect(
        eaten?.rings.some((r) => inside(r, p)),
        'the midrib is left',
      ).toBe(true);
  });
});

const signed = (r: P[]) =>
  r.reduce((s, p, i) => s + p[0] * (r[(i + 1) % r.length] as P)[1] - (r[(i + 1) % r.length] as P)[0] * p[1], 0);

describe('size bars', () => {
  const animals = causes.filter((c) => hasBody(c.drawing));
  it('are as long as the body that is drawn, and stand beside it', () => {
    for (const c of animals.filter((x) => x.size_mm)) {
      const r = document.createElement('div');
      r.innerHTML = plate(c);
      const [from, to] = extent(c.drawing);
      const k = Number(
        /scale\(([\d.]+)\)/.exec(r.querySelector('[data-body-at]')?.getAttribute('transform') ?? '')?.[1],
      );
      expect(Number(r.querySelector('[data-bar]')?.getAttribute('data-bar')), c.id).toBeCloseTo((to - from) * k, 1);
      const life = r.querySelector('[data-life]');
      // A millimetre is 96/25.4 pixels, and the plate of 340 units is 320 pixels wide here.
      const mm = c.size_mm?.[1] ?? c.size_mm?.[0] ?? 0;
      if (life)
        expect(
          Math.abs((Number(life.getAttribute('data-life')) * (to - from) * 320) / 340 - (mm * 96) / 25.4),
          c.id,
        ).toBeLessThan(0.1);
    }
  });
  it('measure from where the body begins to where it ends', () => {
    const wrong: string[] = [];
    for (const c of animals) {
      const r = tree(<svg aria-label="x">{bodies[String(c.drawing.body)]?.draw(c.drawing)}</svg>);
      const hulls = [...r.querySelectorAll('[data-hull]')].map(
        (e) => (e.getAttribute('data-hull') ?? '').split(' ').map(Number) as [number, number],
      );
      const [from, to] = extent(c.drawing);
      const inGroup = r.querySelector('g[transform] [data-hull]');
      // These are measured with their wings, their egg sac, their pincers or a head drawn apart.
      const longer = ['lace-bug', 'whitefly', 'psyllid', 'cottony-scale', 'earwig'].includes(String(c.drawing.body));
      if (hulls.length && !inGroup) {
        const [a, b] = [Math.min(...hulls.map((x) => x[0])), Math.max(...hulls.map((x) => x[1]))];
        const fits = longer ? a >= from - 2 && b <= to + 2 : Math.abs(a - from) <= 4 && Math.abs(b - to) <= 4;
        if (!fits) wrong.push(`${c.id}: ${from}-${to}, drawn ${a}-${b}`);
      }
    }
    expect(wrong).toEqual([]);
  });
});

/** The polygons of a path of straight and soft steps. */
function polygons(d: string): P[][] {
  const out: P[][] = [];
  let [x, y] = [0, 0];
  for (const [, k, rest] of d.matchAll(/([MlLQCZh])([^MlLQCZh]*)/g)) {
    const n = [...(rest ?? '').matchAll(/-?(?:\d+\.?\d*|\.\d+)/g)].map((m) => Number(m[0]));
    if (k === 'M') {
      [x, y] = [n[0] ?? 0, n[1] ?? 0];
      out.push([[x, y]]);
    } else if (k === 'l')
      for (let i = 0; i + 1 < n.length; i += 2) {
        [x, y] = [x + (n[i] ?? 0), y + (n[i + 1] ?? 0)];
        out[out.length - 1]?.push([x, y]);
      }
    else if (k === 'Q')
      for (let i = 0; i + 3 < n.length; i += 4) {
        out[out.length - 1]?.push([n[i] ?? 0, n[i + 1] ?? 0], [n[i + 2] ?? 0, n[i + 3] ?? 0]);
        [x, y] = [n[i + 2] ?? 0, n[i + 3] ?? 0];
      }
  }
  return out.filter((p) => p.length > 2);
}

/** What share of a region of the leaf is under a sign's filled shapes; u runs along a blade, v across. */
function covered(plant: string, words: string[], region: (u: number, v: number, p: P) => boolean): number {
  const d = { subject: 'leaf', plant, damage: words };
  const r = tree(<Plate id="x" d={d} name="x" seed={7} />);
  const organ = r.querySelector('[data-organ]');
  const shapes = [...(organ?.querySelectorAll('[data-layer] path') ?? [])]
    .filter((e) => (e.getAttribute('fill') ?? 'none') !== 'none')
    .map((e) => ({ rings: polygons(e.getAttribute('d') ?? ''), odd: e.getAttribute('fill-rule') === 'evenodd' }));
  const { leaf } = leafUnder(
    plantOf(plant).spec,
    words.map((name) => ({ name })),
  );
  let [n, hit] = [0, 0];
  for (const b of leaf.blades)
    for (let u = 0.04; u < 0.97; u += 0.06)
      for (let v = -0.95; v < 0.96; v += 0.1) {
        const p = b.at(u, v);
        if (!region(u, v, p)) continue;
        n++;
        if (
          shapes.some((s) =>
            s.odd ? s.rings.filter((q) => inside(q, p)).length % 2 === 1 : s.rings.some((q) => inside(q, p)),
          )
        )
          hit++;
      }
  return n ? hit / n : 0;
}
const drawing = (id: string) => (causes.find((c) => c.id === id) as Cause).drawing;
const on = (id: string, region: (u: number, v: number, p: P) => boolean) =>
  covered(String(drawing(id).plant ?? 'viburnum'), drawing(id).damage as string[], region);

describe('pairs that were told apart by nobody', () => {
  it('scorches: wind takes one side, urine the low leaves, lack of calcium the upper margin, salt the tip', () => {
    expect(on('wind-scorch', (_u, v) => v > 0.6)).toBeGreaterThan(0.9);
    expect(on('wind-scorch', (_u, v) => v < -0.1)).toBe(0);
    expect(on('urine', (_u, _v, p) => p[1] > 170)).toBeGreaterThan(0.8);
    expect(on('urine', (_u, _v, p) => p[1] < 60)).toBeLessThan(0.2);
    const burn = covered('lettuce', ['tip-burn'], (u, v) => u > 0.6 && Math.abs(v) > 0.9);
    expect(burn).toBeGreaterThan(0.7);
    expect(covered('lettuce', ['tip-burn'], (u) => u < 0.2)).toBeLessThan(0.1);
    expect(covered('peace-lily', ['tips-brown'], (u) => u > 0.9)).toBeGreaterThan(0.9);
    expect(covered('peace-lily', ['tips-brown'], (u, v) => u < 0.5 && Math.abs(v) < 0.5)).toBe(0);
  });
  it('blocked vessels leave a green middle, a bright line and a dead rim', () => {
    expect(covered('viburnum', ['blocked-edge'], (u, v) => u > 0.25 && u < 0.7 && Math.abs(v) < 0.3)).toBe(0);
    expect(covered('viburnum', ['blocked-edge'], (_u, v) => Math.abs(v) > 0.94)).toBeGreaterThan(0.9);
  });
  it('manganese pales up to the midrib, magnesium leaves a green wedge on it', () => {
    const paleMid = (w: string) => covered('camellia', [w], (u, v) => u > 0.2 && u < 0.8 && Math.abs(v) < 0.25);
    const paleRim = (w: string) => covered('camellia', [w], (u, v) => u > 0.2 && u < 0.8 && Math.abs(v) > 0.8);
    expect(paleMid('broad-green')).toBeGreaterThan(0.9);
    expect(paleMid('chlorosis-old')).toBeLessThan(0.15);
    expect(paleRim('chlorosis-old')).toBeGreaterThan(0.6);
  });
  it('iron is green to the finest net, manganese in broad bands', () => {
    const widths = (w: string) => {
      const r = tree(<Plate id="x" d={{ subject: 'leaf', plant: 'camellia', damage: [w] }} name="x" />);
      const found = [...r.querySelectorAll(`[data-organ] [data-layer="${w}"] path[fill="none"]`)].map((e) =>
        Number(e.getAttribute('stroke-width')),
      );
      return found;
    };
    expect(Math.max(...widths('chlorosis-young'))).toBeLessThan(2.5);
    expect(Math.min(...widths('chlorosis-young'))).toBeLessThan(1);
    expect(Math.max(...widths('broad-green'))).toBeGreaterThan(9);
  });
  it('copper and sulfur, the two round scales, leaf roll and blister mite, the two hoppers are other plants or other bodies', () => {
    const words = (id: string) => drawing(id).damage as string[];
    expect(words('copper-russet')).not.toEqual(words('sulfur-injury'));
    expect(drawing('copper-russet').plant).not.toBe(drawing('sulfur-injury').plant);
    const body = (id: string) => {
      const r = tree(<svg aria-label="x">{bodies[String(drawing(id).body)]?.draw(drawing(id))}</svg>);
      const html = r.innerHTML;
      return html;
    };
    expect(body('oriental-scale')).not.toBe(body('oleander-scale'));
    expect(body('grape-leafhopper')).not.toBe(body('rose-leafhopper'));
    expect(leafOf(plantOf(drawing('blister-mite').plant).spec).path).not.toBe(
      leafUnder(
        plantOf(drawing('leaf-roll-virus').plant).spec,
        words('leaf-roll-virus').map((name) => ({ name })),
      ).leaf.path,
    );
  });
  it('downy and nematode patches lie between veins: none crosses one', () => {
    for (const w of ['angular-yellow', 'angular-spots', 'vein-strips']) {
      const leaf = plantOf('camellia').leaf;
      const r = tree(<Plate id="x" d={{ subject: 'leaf', plant: 'camellia', damage: [w] }} name="x" seed={5} />);
      const shapes = [...r.querySelectorAll(`[data-organ] [data-layer="${w}"] path`)].flatMap((e) =>
        polygons(e.getAttribute('d') ?? ''),
      );
      expect(shapes.length, w).toBeGreaterThan(3);
      for (const s of shapes)
        for (const v of leaf.blades[0]?.sides ?? [])
          for (let i = 1; i + 1 < v.length; i++) {
            const p = v[i] as P;
            // A vein may run along a patch, not through its middle.
            if (inside(s, p)) expect(off(closed(s), p), w).toBeLessThan(1.6);
          }
    }
  });
});

describe('recorded signs', () => {
  it('are drawn for most of what can be seen on the plant', () => {
    const seen = finds.filter((f) => f.part !== 'asked').flatMap((f) => f.states.filter((x) => !x.absent));
    const drawn = seen.filter((x) => x.drawing);
    expect(drawn.length / seen.length).toBeGreaterThan(0.4);
  });
});

describe('the plates of the herbarium', () => {
  it('name a plant of the book where they name one', () => {
    expect(
      causes.filter((c) => typeof c.drawing.plant === 'string' && !plants.includes(c.drawing.plant)).map((c) => c.id),
    ).toEqual([]);
  });
  it('ask only for what the kit can draw', () => {
    const missing: string[] = [];
    for (const c of causes) {
      const part = partOf(c.drawing);
      for (const w of (c.drawing.damage as string[] | undefined) ?? [])
        if (part !== 'pest' && !knows(part, w)) missing.push(`${c.id}: ${w} on ${part}`);
      if (typeof c.drawing.body === 'string' && c.drawing.body !== 'none' && !hasBody(c.drawing))
        missing.push(`${c.id}: body ${c.drawing.body}`);
    }
    expect(missing).toEqual([]);
  });
  it('show something of every cause', () => {
    for (const c of causes)
      expect(
        hasBody(c.drawing) || ((c.drawing.damage as string[]) ?? []).length > 0 || Object.keys(c.drawing).length > 2,
        c.id,
      ).toBe(true);
  });
  const named = new Map(causes.map((c) => [c.id, c]));
  it('are never the same as a look-alike, from one seed', () => {
    const same: string[] = [];
    for (const c of causes)
      for (const l of c.look_alikes ?? [])
        if (c.id < l.cause && named.has(l.cause) && plain(plate(c)) === plain(plate(named.get(l.cause) as Cause)))
          same.push(`${c.id} = ${l.cause}`);
    expect(same).toEqual([]);
  });
  it('that no drawing tells apart stand on other plants, and are few', () => {
    const pairs = causes.flatMap((c) =>
      (c.look_alikes ?? []).flatMap((l) => {
        const o = named.get(l.cause);
        return o && c.id < o.id && alike(c.drawing, o.drawing) ? [[c, o] as const] : [];
      }),
    );
    for (const [a, b] of pairs) expect(a.drawing.plant, `${a.id} and ${b.id}`).not.toBe(b.drawing.plant);
    expect(pairs.length).toBeLessThan(9);
    expect(
      alike(
        { subject: 'leaf', plant: 'rose', damage: ['powder'] },
        { subject: 'leaf', plant: 'grape', damage: ['powder'] },
      ),
    ).toBe(true);
    expect(alike({ subject: 'leaf', damage: ['powder'] }, { subject: 'leaf', damage: ['powder', 'tips'] })).toBe(false);
  });
  it('differ from one another altogether', () => {
    const seen = new Map<string, string>();
    const same: string[] = [];
    for (const c of causes) {
      const html = plain(plate(c));
      const was = seen.get(html);
      if (was) same.push(`${c.id} = ${was}`);
      seen.set(html, c.id);
    }
    expect(same).toEqual([]);
  });
});
