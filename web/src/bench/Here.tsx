import { useEffect, useRef, useState } from 'react';
import type { Finding } from '../api/client';

type Choice = { f: Finding; state: string; text: string };

/** After a click on the drawing: what is seen at this place? Signs of that very place stand first. */
export function Here({
  lines,
  zone,
  rank,
  answered,
  onPick,
  onClose,
}: {
  lines: Finding[];
  zone: string;
  rank: Map<string, number>;
  answered: Set<string>;
  onPick: (f: Finding, state: string) => void;
  onClose: () => void;
}) {
  const [q, setQ] = useState('');
  const [at, setAt] = useState(0);
  const box = useRef<HTMLInputElement>(null);
  useEffect(() => box.current?.focus(), []);
  const words = q.toLowerCase().split(/\s+/).filter(Boolean);
  const score = (f: Finding) =>
    (f.where === zone ? -1000 : 0) + (answered.has(f.id) ? 500 : 0) + (rank.get(f.id) ?? 100);
  const choices: Choice[] = [...lines]
    .sort((a, b) => score(a) - score(b))
    .flatMap((f) =>
      f.states.filter((s) => !s.absent).map((s) => ({ f, state: s.id, text: s.said || `${f.short}: ${s.name}` })),
    )
    .filter((c) => words.every((w) => `${c.text} ${c.f.name}`.toLowerCase().includes(w)));
  const pick = (c?: Choice) => c && onPick(c.f, c.state);
  return (
    <div className="here" role="dialog" aria-label="What is here?" data-here={zone}>
      <input
        ref={box}
        value={q}
        aria-label="What is here?"
        placeholder={`what is here${zone ? `, at the ${zone}` : ''}?`}
        onChange={(e) => {
          setQ(e.target.value);
          setAt(0);
        }}
        onKeyDown={(e) => {
          if (e.key === 'Escape') onClose();
          if (e.key === 'ArrowDown') setAt((a) => Math.min(a + 1, choices.length - 1));
          if (e.key === 'ArrowUp') setAt((a) => Math.max(a - 1, 0));
          if (e.key === 'Enter') pick(choices[at]);
          if (['Escape', 'ArrowDown', 'ArrowUp', 'Enter'].includes(e.key)) {
            e.preventDefault();
            e.stopPropagation();
          }
        }}
      />
      <ul>
        {choices.slice(0, 40).map((c, i) => (
          <li key={c.f.id + c.state}>
            <button
              type="button"
              className={i === at ? 'at' : ''}
              data-choice={`${c.f.id}=${c.state}`}
              onClick={() => pick(c)}
            >
              {c.text}
            </button>
          </li>
        ))}
        {choices.length === 0 && <li className="quiet pad">No sign of this part says that.</li>}
      </ul>
      <button type="button" className="plain" onClick={onClose}>
        Nothing here <kbd>Esc</kbd>
      </button>
    </div>
  );
}
