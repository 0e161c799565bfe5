import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { bodies } from './bodies';
import { layers } from './layers';
import { leafShapes } from './leaves';
import { Plate } from './Plate';
import { scatter } from './random';
import { signs } from './signs';

const draw = (d: Record<string, unknown>, seed = 7) =>
  render(<Plate id="x" d={d} name="x" seed={seed} />).container.innerHTML.replace(/:r\w+:|_r_\w+_/g, 'id');

describe('drawings', () => {
  it('are the same for the same seed and vary with another', () => {
    const d = { subject: 'leaf', damage: ['stippling'] };
    expect(draw(d, 3)).toBe(draw(d, 3));
    expect(draw(d, 3)).not.toBe(draw(d, 4));
    expect(scatter(5, 40)).toEqual(scatter(5, 40));
  });
  it('change with every layer of damage', () => {
    const bare = draw({ subject: 'leaf', damage: [] });
    const seen = new Map<string, string>();
    for (const name of Object.keys(layers)) {
      const html = draw({ subject: 'leaf', damage: [name] }).replace(/data-layer="[^"]*"/, '');
      expect(html, name).not.toBe(bare);
      expect(seen.get(html), `${name} looks like another`).toBeUndefined();
      seen.set(html, name);
    }
  });
  it('differ for every leaf and every body plan', () => {
    const leaves = Object.keys(leafShapes).map((leaf) => draw({ subject: 'leaf', leaf, damage: [] }));
    expect(new Set(leaves).size).toBe(leaves.length);
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
    ['the cover', { body: 'armored-scale', colour: 'tan' }, { cover: 'long' }],
  ])('change with %s', (_, base, more) => {
    expect(draw({ subject: 'pest', ...base, ...more })).not.toBe(draw({ subject: 'pest', ...base }));
  });
  it('know every layer and animal a recorded sign asks for', () => {
    for (const [key, s] of Object.entries(signs)) {
      for (const l of s.layers ?? []) expect(layers[l], `${key}: ${l}`).toBeDefined();
      if (s.animals) expect(bodies[String(s.animals.body)], key).toBeDefined();
    }
  });
});
