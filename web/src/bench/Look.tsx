import { Link } from 'react-router';
import type { View } from '../api/client';
import { Sample } from '../plates/Sample';
import { Candidates } from './Candidates';
import { FindingList } from './FindingList';
import { Here } from './Here';
import { PartBar } from './PartBar';
import { Photos } from './Photos';
import { linesOf } from './topics';
import { useLookState } from './useLookState';

/** The sample drawn, the lines to answer, and what it could be by now. */
export function Look({ view }: { view: View }) {
  const s = useLookState(view);
  return (
    <div className="look">
      <section className="sheet leafbox" aria-label="The sample">
        <PartBar s={s} />
        <Sample
          view={{ ...view, looks: s.looks }}
          part={s.part}
          under={s.under}
          onFlip={() => s.show('leaf', !s.under)}
          next={s.next?.finding}
          onGo={s.goTo}
          onPlace={s.onPlace}
        />
        {s.here && (
          <Here
            lines={linesOf([...s.byId.values()], s.part, s.under)}
            zone={s.here.zone}
            rank={s.rank}
            answered={new Set(s.answers.keys())}
            onClose={() => s.setHere(null)}
            onPick={(f, st) => {
              s.answer(f, st, { spot: s.here?.spot });
              s.goTo(f.id);
            }}
          />
        )}
        <Photos view={view} />
      </section>
      <FindingList s={s} />
      <section className="sheet" aria-label="What it could be">
        <Candidates view={view} onGo={s.goTo} look={s} />
        <Link to={`/bench/${view.id}/verdict`} className="skip">
          To the verdict
        </Link>
      </section>
    </div>
  );
}
