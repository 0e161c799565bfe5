import { describe, expect, it } from 'vitest';
import { leafFrom, plantOf } from '../plants/plants';
import { seeded } from '../random';
import { fold, grow } from './bend';
import { area, blot, curve, disc, inside, line, off, type P, placed, soft, taper, xy } from './geo';
import { leafOf } from './leaf';
import { ctxOf, fields, pick, piece } from './spread';

/** Reads a path of straight steps back as anybody would who knows the SVG grammar and not how it was written. */
function read(d: string): P[] {
  const nums = (t: string) => [...t.matchAll(/-?(?:\d+\.?\d*|\.\d+)/g)].map((m) => Number(m[0]));
  const [head = '', rest = ''] = d.replace('Z', '').split('l');
  const out: P[] = [nums(head) as unknown as P];
  const n = nums(rest);
  for (let i = 0; i + 1 < n.length; i += 2) {
    const [x, y] = out[out.length - 1] as P;
    out.push([x + (n[i] as number), y + (n[i + 1] as number)]);
  }
  return out;
}

describe('paths', () => {
  it('come back as the points they were made of, a tenth fine, however many steps there are', () => {
    const R = seeded(5);
    for (let k = 0; k < 40; k++) {
      const pts = Array.from({ length: 60 }, (): P => [R() * 300 - 40, R() * 300 - 40]);
      const back = read(line(pts, true));
      expect(back).toHaveLength(pts.length);
      back.forEach((p, i) => {
        expect(Math.abs(p[0] - (pts[i] as P)[0])).toBeLessThan(0.051);
        expect(Math.abs(p[1] - (pts[i] as P)[1])).toBeLessThan(0.051);
      });
    }
  });
  it('are nothing for nothing, and never say NaN', () => {
    expect(line([]) + curve([])).toBe('');
    expect(
      soft(blot([10, 10], 4, seeded(1))) +
        curve([
          [0, 0],
          [5, 5],
          [9, 0],
        ]),
    ).not.toMatch(/NaN|undefined/);
  });
  it('refuse rows that are no points, saying which', () => {
    expect(xy('1 2, -3 .5')).toEqual([
      [1, 2],
      [-3, 0.5],
    ]);
    expect(() => xy('1 2, 3')).toThrow('not rows of 2 figures: 1 2, 3');
    expect(() => xy('1 a')).toThrow('1 a');
  });
});

describe('polygons', () => {
  it('have the areas geometry gives them', () => {
    expect(area(xy('0 0, 10 0, 10 10, 0 10'))).toBe(100);
    expect(area(disc([3, 4], 10, 720))).toBeCloseTo(Math.PI * 100, 1);
    expect(area(taper(xy('0 0, 0 50, 0 100'), 6, 2))).toBeCloseTo(400, 6);
  });
  it('know what lies in them, and how far off a line is', () => {
    expect(inside(disc([0, 0], 10, 90), [6, 6])).toBe(true);
    expect(inside(disc([0, 0], 10, 90), [8, 8])).toBe(false);
    expect(off(xy('0 0, 10 0'), [4, 3])).toBe(3);
    expect(off(xy('0 0, 10 0'), [14, 3])).toBe(5);
    const [x, y] = placed(10, 20, 90, 2)([0, -5]);
    expect([Math.round(x), Math.round(y)]).toEqual([20, 20]);
  });
});

describe('leaves from words', () => {
  it('read figures, tips before bases, and tones', () => {
    expect(leafFrom('simple 196x118 round round toothed n17 h3 w54 d20 v7 dark', 3)).toMatchObject({
      as: 'simple',
      long: 196,
      wide: 118,
      tip: 'round',
      base: 'round',
      margin: 'toothed',
      teeth: 17,
      tooth: 3,
      widest: 0.54,
      deep: 0.2,
      veins: 7,
      tone: 'dark',
      seed: 3,
    });
    expect(leafFrom('hand*5 160 d30 point', 1)).toMatchObject({ as: 'hand', lobe: 'point', deep: 0.3 });
    expect(leafFrom('twig*9 92x19 drawn whorl4', 1)).toMatchObject({ as: 'twig', n: 9, whorl: 4 });
  });
  it('fall back for a plant the desk added on its herbarium word, and for none on nobody’s leaf', () => {
    expect(plantOf('our-own-vine', 'palmate-lobed').leaf.path).toBe(plantOf('grape').leaf.path);
    expect(plantOf('our-own-vine', 'palmate-lobed').habit).toBe('');
    expect(plantOf('grape').habit).not.toBe('');
    expect(plantOf(undefined, undefined).leaf.path).toBe(plantOf('no such', 'ovate').leaf.path);
  });
  it('grow narrow where a weedkiller says so, and fold by showing their other face', () => {
    const spec = plantOf('camellia').spec;
    const whole = leafOf(spec);
    expect(leafOf(grow(spec, ['strap-leaf'])).blades[0]?.area).toBeLessThan((whole.blades[0]?.area ?? 0) * 0.6);
    expect(grow(spec, ['powder'])).toBe(spec);
    const rolled = fold(whole, ['rolled']);
    expect(rolled.flaps.length).toBe(2);
    expect(area(rolled.leaf.blades[0]?.outline ?? [])).toBeLessThan((whole.blades[0]?.area ?? 0) * 0.75);
    expect(fold(whole, ['powder'])).toEqual({ leaf: whole, flaps: [] });
  });
});

describe('places on a leaf', () => {
  it('are on it, the same for a seed, and fewer for a smaller amount', () => {
    for (const id of ['rose', 'grape', 'camellia', 'leek']) {
      const { leaf } = plantOf(id);
      const at = pick(ctxOf(leaf, 'x', 4), 40);
      for (const s of at) expect(inside(s.b.outline, s.p) || off(s.b.outline, s.p) < 3, id).toBe(true);
      expect(pick(ctxOf(leaf, 'x', 4), 40).map((s) => s.p)).toEqual(at.map((s) => s.p));
      expect(pick(ctxOf(leaf, 'x', 4, 0.25), 40)).toHaveLength(10);
    }
  });
  it('lie within the field they are a piece of, whatever part of it', () => {
    const c = ctxOf(plantOf('camellia').leaf, 'x', 1);
    for (const f of fields(c).slice(2, 8))
      expect(area(piece(f, 0.2, 0.5, 0.2, 0.8))).toBeLessThan(area(piece(f, 0, 1, 0, 1)));
  });
});
