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

export const topicOf = (f: Finding) => f.topic || 'more';
export const underside = (f: Finding) => f.where === 'underside';

/** The lines of a part (of one side of the leaf), in the order the desk gives them: that of looking. */
export const linesOf = (findings: Finding[], part: string, under: boolean) =>
  findings.filter((f) => f.part === part && (part !== 'leaf' || underside(f) === under));

export const topicsOf = (lines: Finding[]) => [...new Set(lines.map(topicOf))];

/** Where a finding is looked for, for the glow on the drawing. */
export type Next = S['NextLook'];
