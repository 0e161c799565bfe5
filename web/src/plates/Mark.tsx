import { memo } from 'react';
import { Body, type Drawing, hasBody } from './bodies';
import { hash } from './random';
import { Part, partOf } from './things';

/** The drawing at the size of a list: the animal where there is one, else the part with its damage. Drawn once for a drawing, however often the list round it changes. */
export const Mark = memo(function Mark({ drawing: d, size = 36 }: { drawing: Drawing; size?: number }) {
  if (hasBody(d))
    return (
      <svg width={size} height={size} viewBox="-4 -8 108 122" aria-hidden="true">
        <rect x="-4" y="-8" width="108" height="122" rx="18" fill="var(--behind)" />
        <Body d={d} />
      </svg>
    );
  return (
    <svg width={size} height={size} viewBox="0 -4 200 288" aria-hidden="true">
      <Part part={partOf(d)} d={d} seed={hash(String(d.subject) + String(d.damage))} />
    </svg>
  );
});
