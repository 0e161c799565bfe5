import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { render } from '@testing-library/react';
import { load } from 'js-yaml';
import { describe, expect, it } from 'vitest';
import { bodies, type Drawing, hasBody } from './bodies';
import { cuts, layers } from './layers';
import { leafShapes } from './leaves';
import { Plate, SlidePlate } from './Plate';
import { scatter } from './random';
import type { Sign } from './signs';
import { knows, partOf } from './things';

type Cause = { id: string; name: string; drawing: Drawing; sizeMm?: number[]; look_alikes?: { cause: string }[] };

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
const plain = (html: string) =>
  html
    .replace(/_r_\w+_m?/g, 'id')
    .replace(/:r\w+:m?/g, 'id')
    .replace(/data-layer="[^"]*"/g, '');
const draw = (d: Record<string, unknown>, seed = 7) => {
  const r = render(
    <>
      <Plate id="x" d={d} name="x" seed={seed} />
      <SlidePlate d={d} />
    </>,
  );
  const html = plain(r.container.innerHTML);
  r.unmount();
  return html;
};

describe('drawings', () => {
  it('are the same for the same seed and vary with another', () => {
    const d = { subject: 'leaf', damage: ['stippling'] };
    expect(draw(d, 3)).toBe(draw(d, 3));
    expect(draw(d, 3)).not.toBe(draw(d, 4));
    expect(scatter(5, 40)).toEqual(scatter(5, 40));
  });
  it('change with every layer of damage, each in its own way', () => {
    const bare = draw({ subject: 'leaf', damage: [] });
    const seen = new Map<string, string>();
    for (const name of new Set([...Object.keys(layers), ...Object.keys(cuts)])) {
      const html = draw({ subject: 'leaf', damage: [name] });
      expect(html, name).not.toBe(bare);
      expect(seen.get(html), `${name} looks like another`).toBeUndefined();
      seen.set(html, name);
    }
  });
  it('cut bites at the margin of whatever leaf it is', () => {
    const shapes = Object.keys(leafShapes).map((leaf) => draw({ subject: 'leaf', leaf, damage: ['notches'] }));
    expect(new Set(shapes).size).toBe(shapes.length);
    for (const html of shapes) expect(html.match(/<mask[\s\S]*?<\/mask>/)?.[0]).toContain('<circle');
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

describe('recorded signs', () => {
  it('are drawn for most of what can be seen on the plant', () => {
    const seen = finds.filter((f) => f.part !== 'asked').flatMap((f) => f.states.filter((x) => !x.absent));
    const drawn = seen.filter((x) => x.drawing);
    expect(drawn.length / seen.length).toBeGreaterThan(0.4);
  });
});

describe('the plates of the herbarium', () => {
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
  // Each is drawn once: drawing is what takes the time.
  const plates = new Map<string, string>();
  const drawn = () => {
    if (!plates.size) for (const c of causes) plates.set(c.id, draw(c.drawing));
    return plates;
  };
  it('are never the same as a look-alike, from one seed', () => {
    const same: string[] = [];
    for (const c of causes)
      for (const l of c.look_alikes ?? [])
        if (c.id < l.cause && drawn().get(c.id) === drawn().get(l.cause)) same.push(`${c.id} = ${l.cause}`);
    expect(same).toEqual([]);
  });
  it('differ from one another altogether', () => {
    const seen = new Map<string, string>();
    const same: string[] = [];
    for (const c of causes) {
      const html = drawn().get(c.id) ?? '';
      const was = seen.get(html);
      if (was) same.push(`${c.id} = ${was}`);
      seen.set(html, c.id);
    }
    expect(same).toEqual([]);
  });
});
