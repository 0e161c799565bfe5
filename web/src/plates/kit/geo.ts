/** Points, polylines and polygons of the drawings, and how they become paths. Units are those of the box a thing is drawn in. */
export type P = readonly [number, number];

export const add = (a: P, b: P, k = 1): P => [a[0] + b[0] * k, a[1] + b[1] * k];
export const sub = (a: P, b: P): P => [a[0] - b[0], a[1] - b[1]];
export const mix = (a: P, b: P, t: number): P => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
export const dist = (a: P, b: P) => Math.hypot(a[0] - b[0], a[1] - b[1]);
export const clamp = (x: number, lo = 0, hi = 1) => Math.min(hi, Math.max(lo, x));
export const lerp = (a: number, b: number, t: number) => a + (b - a) * t;
export const rad = (deg: number) => (deg * Math.PI) / 180;

/** Turns by degrees about the origin, then moves. */
export const placed = (x: number, y: number, deg = 0, k = 1) => {
  const [c, s] = [Math.cos(rad(deg)) * k, Math.sin(rad(deg)) * k];
  return (p: P): P => [p[0] * c - p[1] * s + x, p[0] * s + p[1] * c + y];
};

export const unit = (a: P): P => {
  const l = Math.hypot(a[0], a[1]) || 1;
  return [a[0] / l, a[1] / l];
};
export const left = (a: P): P => [a[1], -a[0]];

const tenth = (n: number) => Math.round(n * 10);
const shown = (n: number) => {
  const t = String(n / 10);
  return t.startsWith('0.') ? t.slice(1) : t.startsWith('-0.') ? `-${t.slice(2)}` : t;
};
/** Numbers of a path side by side: a minus is space enough. */
const packed = (nums: readonly number[]) => nums.reduce((d, n, i) => d + (i && n >= 0 ? ' ' : '') + shown(n), '');

/** A polyline as a path of relative steps, a tenth of a unit fine. */
export function line(pts: readonly P[], close = false): string {
  if (!pts.length) return '';
  let [x, y] = [tenth(pts[0]?.[0] ?? 0), tenth(pts[0]?.[1] ?? 0)];
  const head = `M${packed([x, y])}`;
  const steps: number[] = [];
  for (let i = 1; i < pts.length; i++) {
    const p = pts[i] as P;
    const [nx, ny] = [tenth(p[0]), tenth(p[1])];
    if (nx === x && ny === y) continue;
    steps.push(nx - x, ny - y);
    [x, y] = [nx, ny];
  }
  return head + (steps.length ? `l${packed(steps)}` : '') + (close ? 'Z' : '');
}
export const ring = (pts: readonly P[]) => line(pts, true);
export const rings = (all: readonly (readonly P[])[]) => all.map(ring).join('');
export const lines = (all: readonly (readonly P[])[]) => all.map((p) => line(p)).join('');

/** A closed curve that passes the middles between its corners: soft, and never beyond them. */
export function soft(pts: readonly P[]): string {
  const n = pts.length;
  const m = (i: number) => mix(pts[i % n] as P, pts[(i + 1) % n] as P, 0.5);
  const f = (p: P) => packed([tenth(p[0]), tenth(p[1])]);
  let d = `M${f(m(0))}`;
  for (let i = 1; i <= n; i++) d += `Q${f(pts[i % n] as P)} ${f(m(i))}`;
  return `${d}Z`;
}

/** A curve through points (Catmull and Rom), open. */
export function curve(pts: readonly P[]): string {
  if (!pts.length) return '';
  const f = (p: P) => packed([tenth(p[0]), tenth(p[1])]);
  let d = `M${f(pts[0] as P)}`;
  for (let i = 0; i + 1 < pts.length; i++) {
    const [a, b, c, e] = [pts[Math.max(0, i - 1)], pts[i], pts[i + 1], pts[Math.min(pts.length - 1, i + 2)]] as [
      P,
      P,
      P,
      P,
    ];
    d += `C${f(add(b, sub(c, a), 1 / 6))} ${f(add(c, sub(e, b), -1 / 6))} ${f(c)}`;
  }
  return d;
}

/** A polyline with a width that goes from one to another: a tapered stroke as a polygon. */
export function taper(pts: readonly P[], w0: number, w1: number): P[] {
  const [one, two]: [P[], P[]] = [[], []];
  pts.forEach((p, i) => {
    const n = left(unit(sub((pts[i + 1] ?? p) as P, (pts[i - 1] ?? p) as P)));
    const w = lerp(w0, w1, i / Math.max(1, pts.length - 1)) / 2;
    one.push(add(p, n, w));
    two.push(add(p, n, -w));
  });
  return [...one, ...two.reverse()];
}

export const area = (pts: readonly P[]) =>
  Math.abs(
    pts.reduce((s, p, i) => {
      const q = pts[(i + 1) % pts.length] as P;
      return s + p[0] * q[1] - q[0] * p[1];
    }, 0) / 2,
  );

export function inside(outline: readonly P[], p: P): boolean {
  let odd = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [a, b] = [outline[i] as P, outline[j] as P];
    if (a[1] > p[1] !== b[1] > p[1] && p[0] < ((b[0] - a[0]) * (p[1] - a[1])) / (b[1] - a[1]) + a[0]) odd = !odd;
  }
  return odd;
}

/** How far a point lies from a polyline. */
export function off(pts: readonly P[], p: P): number {
  let best = Number.POSITIVE_INFINITY;
  for (let i = 0; i + 1 < pts.length; i++) {
    const [a, b] = [pts[i] as P, pts[i + 1] as P];
    const d = sub(b, a);
    const l = d[0] ** 2 + d[1] ** 2;
    const t = l ? clamp(((p[0] - a[0]) * d[0] + (p[1] - a[1]) * d[1]) / l) : 0;
    best = Math.min(best, dist(p, add(a, d, t)));
  }
  return best;
}

export type Rand = () => number;

/** A ring of corners with a wandering radius: a lesion, a patch, a lump. */
export function blot(c: P, r: number, R: Rand, rough = 0.35, n = 9, long = 1, turn = 0): P[] {
  const [p1, p2] = [R() * 6.28, R() * 6.28];
  const [co, si] = [Math.cos(turn), Math.sin(turn)];
  return Array.from({ length: n }, (_, i): P => {
    const a = (i / n) * 2 * Math.PI;
    const q = r * (1 + rough * (0.45 * Math.sin(2 * a + p1) + 0.3 * Math.sin(3 * a + p2) + 0.5 * (R() - 0.5)));
    const [x, y] = [Math.cos(a) * q * long, Math.sin(a) * q];
    return [c[0] + x * co - y * si, c[1] + x * si + y * co];
  });
}

export const disc = (c: P, r: number, n = 16): P[] =>
  Array.from({ length: n }, (_, i): P => {
    const a = (i / n) * 2 * Math.PI;
    return [c[0] + r * Math.cos(a), c[1] + r * Math.sin(a)];
  });

/** Many dots as one path. */
export const specks = (pts: readonly (readonly [number, number, number])[]) =>
  pts
    .map(([x, y, r]) => {
      const q = Math.max(1, tenth(r));
      return `M${shown(tenth(x) - q)} ${shown(tenth(y))}a${shown(q)} ${shown(q)} 0 1 0 ${shown(2 * q)} 0 ${shown(q)} ${shown(q)} 0 1 0 -${shown(2 * q)} 0`;
    })
    .join('');

const read = new Map<string, readonly (readonly number[])[]>();
/** Rows of figures out of a text, the rows apart by commas: long lists of corners are read easier so. */
function rows(n: number, text: string): readonly (readonly number[])[] {
  const was = read.get(text);
  if (was) return was;
  const made = text.split(',').map((r) => r.trim().split(' ').map(Number));
  if (made.some((r) => r.length !== n || r.some(Number.isNaN))) throw new Error(`not rows of ${n} figures: ${text}`);
  read.set(text, made);
  return made;
}
/** Points, as "x y, x y". */
export const xy = (text: string) => rows(2, text) as unknown as P[];
export const by3 = (text: string) => rows(3, text) as unknown as [number, number, number][];
export const by4 = (text: string) => rows(4, text) as unknown as [number, number, number, number][];
export const by6 = (text: string) => rows(6, text) as unknown as [number, number, number, number, number, number][];
