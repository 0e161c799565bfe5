import { parts } from '../parts/topics';
import type { LookState } from './useLookState';

/** The parts of the plant, with how many looks each has. */
export function PartBar({ s }: { s: LookState }) {
  const counts = new Map<string, number>();
  for (const l of s.looks) {
    const p = s.byId.get(l.finding)?.part ?? '';
    counts.set(p, (counts.get(p) ?? 0) + 1);
  }
  return (
    <div className="parts">
      {parts.map((p) => (
        <button type="button" key={p.id} aria-pressed={!s.say && p.id === s.part} onClick={() => s.show(p.id)}>
          {p.name}
          <i>{counts.get(p.id) ?? ''}</i>
        </button>
      ))}
    </div>
  );
}
