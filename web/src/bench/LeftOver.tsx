import { useCaseCalls, useChange } from '../api/change';
import type { View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { useKeys } from '../ui/keys';

/** Why something that was really seen is no part of the trouble. */
const reasons = [
  { key: 'l', why: 'an old scar' },
  { key: 'm', why: 'another matter' },
];

/**
 * What was seen for sure and nothing that is named explains. It stays until it is explained or somebody says why it is
 * no part of this; while it stays, nothing is settled.
 */
export function LeftOver({ view, keys }: { view: View; keys?: boolean }) {
  const change = useChange(view.id);
  const { aside } = useCaseCalls(view.id);
  const { data: kb } = useVocabulary();
  const first = view.leftOver[0];
  const gone = view.looks.filter((l) => l.aside);
  useKeys(
    keys && first
      ? reasons.map(({ key, why }) => ({
          key,
          does: `let go: ${why}`,
          run: () => change.mutate(aside(first.finding, first.state, why)),
        }))
      : [],
  );
  if (!first && gone.length === 0) return null;
  const called = (finding: string, state: string) => {
    const f = kb?.findings.find((x) => x.id === finding);
    const s = f?.states.find((x) => x.id === state);
    return s?.said || `${f?.short ?? finding}: ${s?.name ?? state}`;
  };
  return (
    <div className="leftover" data-left-over={first?.finding ?? ''}>
      {first && (
        <div className="notice">
          <b>Left over.</b> While it stands, nothing is settled.
          {view.leftOver.map((x, i) => (
            <div key={x.finding + x.state} data-line={x.finding}>
              <span>
                {x.said}
                <small>{x.names.length > 0 && `goes with ${x.names.join(', or ')}`}</small>
              </span>
              <span className="wrap">
                {reasons.map(({ key, why }) => (
                  <button
                    type="button"
                    key={why}
                    className="plain link"
                    disabled={change.isPending}
                    onClick={() => change.mutate(aside(x.finding, x.state, why))}
                    data-let-go={why}
                  >
                    {why} {keys && i === 0 && <kbd>{key}</kbd>}
                  </button>
                ))}
              </span>
            </div>
          ))}
        </div>
      )}
      {gone.map((l) => (
        <small key={l.finding + l.state} data-aside={l.finding}>
          Let go as {l.aside}: {called(l.finding, l.state)}.{' '}
          <button
            type="button"
            className="plain link"
            onClick={() => change.mutate(aside(l.finding, l.state, ''))}
            data-do="count-again"
          >
            It counts after all
          </button>
        </small>
      ))}
    </div>
  );
}
