import { describe, expect, it } from 'vitest';
import { halfWidth, leafArea, shares, sick } from './severity';

/** The area of a path as anybody would count it: points of a fine grid that lie inside by the even-odd rule. */
function counted(path: string): number {
  const loops = path
    .split('M')
    .filter(Boolean)
    .map((s) =>
      s
        .replace('Z', '')
        .split('L')
        .map((p) => p.split(' ').map(Number) as [number, number]),
    );
  const step = 0.1;
  let n = 0;
  for (let y = step / 2; y < 140; y += step) {
    const cuts: number[] = [];
    for (const l of loops)
      for (let i = 0; i < l.length; i++) {
        const [x1, y1] = l[i] as [number, number];
        const [x2, y2] = l[(i + 1) % l.length] as [number, number];
        if (y1 > y !== y2 > y) cuts.push(x1 + ((y - y1) / (y2 - y1)) * (x2 - x1));
      }
    cuts.sort((a, b) => a - b);
    for (let i = 0; i + 1 < cuts.length; i += 2)
      n += Math.round((cuts[i + 1] as number) / step) - Math.round((cuts[i] as number) / step);
  }
  return n * step * step;
}

const seeds = ['a', 'b', 'c'];

describe('the drawn leaves to match with', () => {
  it('have their stated share of area, within half a per cent of it, by another way of measuring', () => {
    for (const seed of seeds)
      for (const s of shares.filter((x) => x > 0 && (seed === 'a' || x === 1 || x === 25))) {
        const got = (100 * counted(sick(seed, s))) / leafArea;
        expect(Math.abs(got - s) / s, `${seed}: ${s} per cent measured as ${got.toFixed(3)}`).toBeLessThan(0.005);
      }
  }, 60_000);
  it('know the area of the whole leaf', () => {
    let sum = 0;
    for (let y = 0; y < 140; y += 0.01) sum += 2 * halfWidth(y) * 0.01;
    expect(Math.abs(sum - leafArea) / leafArea).toBeLessThan(1e-3);
  });
  it('lie wholly on the leaf', () => {
    for (const s of shares.filter((x) => x > 0))
      for (const m of sick('a', s).matchAll(/([\d.]+) ([\d.]+)/g)) {
        const [x, y] = [Number(m[1]), Number(m[2])];
        expect(Math.abs(x - 50), `${x} ${y}`).toBeLessThan(halfWidth(y) + 0.9);
      }
  });
  it('are the same for a seed, another for another, and grow out of each other', () => {
    expect(sick('a', 10)).toBe(sick('a', 10));
    expect(sick('a', 10)).not.toBe(sick('b', 10));
  });
  it('are told apart: a leaf nobody drew for it lies nearest the picture whose area is nearest its own', () => {
    const refs = shares.map((s) => (s ? (100 * counted(sick('a', s))) / leafArea : 0));
    for (const [seed, s] of [
      ['x', 1.7],
      ['y', 8],
      ['z', 19],
      ['v', 33],
      ['w', 52],
      ['u', 74],
    ] as const) {
      const own = (100 * counted(sick(seed, s))) / leafArea;
      const near = (list: readonly number[]) =>
        list.reduce((b, v, i) => (Math.abs(v - own) < Math.abs((list[b] as number) - own) ? i : b), 0);
      expect(near(refs), `${s}`).toBe(near(shares));
    }
  });
});
