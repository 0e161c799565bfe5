/** Where the cases behind a figure are found. */
export const casesOf = (q: Record<string, string | undefined>) =>
  `/season/find?${new URLSearchParams(Object.entries(q).filter((x): x is [string, string] => !!x[1]))}`;

/** A day so many days on, YYYY-MM-DD. */
export const later = (iso: string, days: number) => {
  const d = new Date(`${iso}T12:00:00Z`);
  d.setUTCDate(d.getUTCDate() + days);
  return d.toISOString().slice(0, 10);
};

/** Minutes as one says them. */
export const minutes = (m: number) =>
  m >= 2880 ? `${Math.round(m / 1440)} days` : m >= 90 ? `${(m / 60).toFixed(1)} h` : `${Math.round(m)} min`;

/** A share as so many in a hundred. */
export const per100 = (x: number) => `${Math.round(x * 100)} %`;
