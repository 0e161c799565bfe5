import { useState } from 'react';
import { Link } from 'react-router';
import type { View } from '../api/client';
import { linesOf } from '../parts/topics';
import { Sample } from '../plates/Sample';
import { Candidates } from './Candidates';
import { FindingList } from './FindingList';
import { Here } from './Here';
import { LookStrip } from './LookStrip';
import { PartBar } from './PartBar';
import { Photos } from './Photos';
import { useLookState } from './useLookState';

/** The sample drawn, the lines to answer, and what it could be by now. */
export function Look({ view }: { view: View }) {
  const s = useLookState(view);
  const [drawn, setDrawn] = useState(false);
  return (
    <div className="look">
      <LookStrip view={view} look={s} />
      <section className="sheet leafbox" aria-label="The sample">
        <PartBar s={s} />
        <button type="button" className="fold drawn" aria-expanded={drawn} onClick={() => setDrawn(!drawn)}>
          {drawn ? 'Fold the drawing away' : 'Show the drawing'}
        </button>
        <div className={drawn ? 'drawing open' : 'drawing'}>
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
        </div>
      </section>
      <FindingList s={s} />
      <section className="sheet" aria-label="What it could be">
        <Candidates view={view} onGo={s.goTo} look={s} />
        <Link to={`/bench/${view.id}/verdict`} className="onward" data-do="to-verdict">
          To the verdict
        </Link>
      </section>
    </div>
  );
}
