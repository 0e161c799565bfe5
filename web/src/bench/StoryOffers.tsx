import type { LookState } from './useLookState';

/** What the grower's story speaks of: each a look to take over with one press, as told and not seen. */
export function StoryOffers({ s }: { s: LookState }) {
  if (!s.offers.length || s.say) return null;
  return (
    <div className="offers" role="group" aria-label="The story speaks of">
      <small>
        The story speaks of · told, not seen
        <span className="keyhint">
          {' '}
          · <kbd>o</kbd> takes the first over, <kbd>p</kbd> passes it by
        </span>
      </small>
      {s.offers.slice(0, 6).map((x) => {
        const f = s.byId.get(x.finding);
        const state = f?.states.find((st) => st.id === x.state);
        if (!f || !state) return null;
        return (
          <button
            type="button"
            className="chip"
            key={x.finding + x.state}
            data-told={`${x.finding}=${x.state}`}
            title={`“${x.words}”`}
            onClick={() => s.told(x)}
          >
            {state.said || `${f.short}: ${state.name}`}
          </button>
        );
      })}
    </div>
  );
}
