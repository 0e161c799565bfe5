/** Counts as they are said aloud: whole numbers with blanks or commas between. `odd` is the first word that is none. */
export function readCounts(text: string): { counts: number[]; odd?: string } {
  const words = text.split(/[\s,;]+/).filter(Boolean);
  const odd = words.find((w) => !/^\d{1,5}$/.test(w));
  return odd === undefined ? { counts: words.map(Number) } : { counts: [], odd };
}
