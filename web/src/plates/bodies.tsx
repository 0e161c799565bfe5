import { chewers } from './bodies/chewers';
import { helpers } from './bodies/helpers';
import type { Drawing, Plan } from './bodies/pen';
import { sap } from './bodies/sap';
import { scales } from './bodies/scales';

export type { Drawing } from './bodies/pen';
export { tone } from './bodies/pen';

/** One body plan each, in a box of 100, head up; how big it really is, the bar beside it says. */
export const bodies: Record<string, Plan> = { ...sap, ...scales, ...chewers, ...helpers };

export const hasBody = (d: Drawing) => typeof d.body === 'string' && d.body in bodies;
export const Body = ({ d }: { d: Drawing }) => <>{bodies[String(d.body)]?.draw(d)}</>;
/** Where the body itself begins and ends in its box: what the size bar measures. */
export const extent = (d: Drawing): [number, number] => {
  const b = bodies[String(d.body)];
  return b?.reach?.(d) ?? (b ? [b.from, b.to] : [0, 100]);
};
