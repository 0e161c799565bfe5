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

/** Without the desk (no connection) the lines whose words hold all that was typed, as well as the page can tell. */
export function spoken(findings: Finding[], say: string): S['Line'][] {
  const words = say.toLowerCase().split(/\s+/).filter(Boolean);
  if (!words.length) return [];
  return findings.flatMap((f) => {
    const all = f.states.map((s) => `${s.name} ${s.said ?? ''} ${(s.words ?? []).join(' ')}`);
    const whole = `${f.name} ${f.short} ${f.hint ?? ''} ${all.join(' ')}`.toLowerCase();
    return words.every((w) => whole.includes(w)) ? [{ finding: f.id }] : [];
  });
}

/** The keys that answer the line in hand: digits, then letters that do nothing else while one looks. */
export const answerKeys = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0', 'a', 'c', 'd', 'e', 'h', 'i', 'j', 'k'];

/** How many lines stand open before the rest folds by topic. */
const telling = 9;

/**
 * The lines of a part: first what is answered and what would tell most here, in the order of telling; then the rest by
 * topic, of which only those unfolded are shown.
 */
export function ordered(own: Finding[], tell: string[], answered: (f: Finding) => boolean, open: Set<string>) {
  const at = (f: Finding) => {
    const i = tell.indexOf(f.id);
    return i < 0 ? tell.length : i;
  };
  const by = [...own].sort((a, b) => at(a) - at(b));
  const lead = new Set([...by.filter((f) => at(f) < tell.length).slice(0, telling), ...own.filter(answered)]);
  if (own.length <= telling + 2) return { shown: by, first: by.length };
  const top = by.filter((f) => lead.has(f));
  const rest = own.filter((f) => !lead.has(f) && open.has(topicOf(f)));
  return { shown: [...top, ...rest], first: top.length };
}

/** The topics folded away below the lines that tell most, with how many lines each holds. */
export function folded(own: Finding[], shown: Finding[]) {
  const out = new Map<string, number>();
  for (const f of own) if (!shown.includes(f)) out.set(topicOf(f), (out.get(topicOf(f)) ?? 0) + 1);
  return [...out];
}
