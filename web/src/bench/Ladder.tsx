import type { ReactNode } from 'react';
import type { S } from '../api/client';
import { StatusMark } from '../ui/bits';

/** Where what only prevents stands: below the ladder, apart. */
export const prevention = 99;

/** A stop on the ladder: an offer in sight, or a rung with what is folded on it. */
export type Stop = { rung: number; offer?: S['Offer']; folded: S['Offer'][] };

const rungOf = (o: S['Offer']) => (o.prevents && o.meant ? prevention : o.rung);

/** The ladder as it is walked, mildest rung first: each rung, then the offers of it that are in sight. */
export function stops(offers: S['Offer'][], inSight: (o: S['Offer']) => boolean, open: (rung: number) => boolean) {
  const rungs = [...new Set(offers.map(rungOf))].sort((a, b) => a - b);
  return rungs.flatMap((rung): Stop[] => {
    const on = offers.filter((o) => rungOf(o) === rung);
    const folded = on.filter((o) => !inSight(o));
    const seen = open(rung) ? [...on.filter(inSight), ...folded] : on.filter(inSight);
    return [{ rung, folded }, ...seen.map((offer) => ({ rung, offer, folded: [] }))];
  });
}

/** One rung: its name, and as marks what is folded on it. */
export function Rung({
  stop,
  name,
  open,
  at,
  onFlip,
}: {
  stop: Stop;
  name: string;
  open: boolean;
  at: boolean;
  onFlip: () => void;
}) {
  const n = stop.folded.length;
  const said = ['go', 'care', 'not now', 'no']
    .map((s) => [stop.folded.filter((o) => o.status === s).length, s] as const)
    .filter(([k]) => k > 0)
    .map(([k, s]) => `${k} ${s}`)
    .join(', ');
  const line: ReactNode = (
    <>
      <span className="n">{stop.rung === prevention ? '' : stop.rung}</span>
      <span className="lab">{name}</span>
      {!open && (
        <span className="folded" aria-hidden="true">
          {stop.folded.map((o) => (
            <StatusMark key={o.remedy} status={o.status}>
              {''}
            </StatusMark>
          ))}
        </span>
      )}
    </>
  );
  if (!n)
    return (
      <div className="rung" data-rung={stop.rung}>
        {line}
      </div>
    );
  return (
    <button
      type="button"
      className="rung"
      data-rung={stop.rung}
      data-at={at}
      aria-expanded={open}
      title={`${n} more: ${said}`}
      onClick={onFlip}
    >
      {line}
      <span className="vh">
        , {n} more: {said}
      </span>
      <span aria-hidden="true" className="more">
        {open ? '−' : '+'}
      </span>
    </button>
  );
}
