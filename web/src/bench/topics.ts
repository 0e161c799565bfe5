import type { Finding, S } from '../api/client';

/** The order advisors really look in, part by part. */
export const parts = [
  { id: 'asked', name: 'Asked' },
  { id: 'plant', name: 'Plant' },
  { id: 'shoot', name: 'Shoot' },
  { id: 'leaf', name: 'Leaf' },
  { id: 'flower', name: 'Flower' },
  { id: 'fruit', name: 'Fruit' },
  { id: 'stem', name: 'Stem' },
  { id: 'root', name: 'Root' },
  { id: 'pot', name: 'Pot' },
];

/** Inside a part, the groups of lines in the order one looks. */
const order = [
  'at first sight',
  'the story',
  'care',
  'the whole plant',
  'growth',
  'who is there',
  'what they leave',
  'helpers',
  'colour and flecks',
  'spots',
  'coating and stickiness',
  'eaten and mined',
  'shape and feel',
  'fluff and bumps',
  'flowers',
  'fruit',
  'stem and bark',
  'roots',
  'soil and pot',
  'on a slide',
];
const place = (t: string) => {
  const i = order.indexOf(t);
  return i < 0 ? order.length : i;
};
export const topicOf = (f: Finding) => f.topic || 'more';
export const underside = (f: Finding) => f.where === 'underside';

/** The lines of a part (of one side of the leaf), grouped in the order one looks. */
export function linesOf(findings: Finding[], part: string, under: boolean): Finding[] {
  return findings
    .filter((f) => f.part === part && (part !== 'leaf' || underside(f) === under))
    .map((f, i) => ({ f, i }))
    .sort((a, b) => place(topicOf(a.f)) - place(topicOf(b.f)) || a.i - b.i)
    .map((x) => x.f);
}

export const topicsOf = (lines: Finding[]) => [...new Set(lines.map(topicOf))];

/** Where a finding is looked for, for the glow on the drawing. */
export type Next = S['NextLook'];
