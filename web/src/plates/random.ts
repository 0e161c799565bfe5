/** A small seeded generator (mulberry32): same seed, same drawing. */
export function seeded(seed: number) {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

export const hash = (s: string) => [...s].reduce((h, c) => Math.imul(h ^ c.charCodeAt(0), 16777619) >>> 0, 2166136261);

export type Pt = { x: number; y: number; r: number };

/** Points spread over a box without crowding (best of three candidates). */
export function scatter(seed: number, n: number, x0 = 20, y0 = 20, x1 = 180, y1 = 260): Pt[] {
  const R = seeded(seed);
  const out: Pt[] = [];
  for (let i = 0; i < n; i++) {
    let best: Pt | null = null;
    let far = -1;
    for (let k = 0; k < 3; k++) {
      const p = { x: x0 + R() * (x1 - x0), y: y0 + R() * (y1 - y0), r: R() };
      const d = out.slice(-40).reduce((m, q) => Math.min(m, (q.x - p.x) ** 2 + (q.y - p.y) ** 2), 1e9);
      if (d > far) {
        far = d;
        best = p;
      }
    }
    if (best) out.push(best);
  }
  return out;
}
