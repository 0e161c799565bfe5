import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useCase, useSession } from '../api/hooks';
import { useSlideKey } from '../api/scope';
import { KeyLine, useKeys } from '../ui/keys';
import { Tables } from '../ui/Tables';
import { Calibrate } from './Calibrate';
import { Measure } from './Measure';
import { Protocols } from './Protocols';
import { Ruler } from './Ruler';
import { SlideKey } from './SlideKey';

const tables = [
  { id: 'key', name: 'Slide key', key: 'k', pane: SlideKey },
  { id: 'ratio', name: 'Ratio', key: 'm', pane: Measure },
  { id: 'picture', name: 'Picture', key: 'p', pane: Ruler },
  { id: 'mounts', name: 'Mounts', key: 'b', pane: Protocols },
  { id: 'calibrate', name: 'Calibrate', key: 'c', pane: Calibrate },
];

/** The microscope's room: a slide key, ratios measured in turn, and what a division is long. */
export default function Scope() {
  const { table } = useParams();
  const [params] = useSearchParams();
  const { data: key } = useSlideKey();
  // A line of the Look step leads to where it is answered: a ratio is measured, the rest is seen.
  const asked = key?.characters.find((c) => c.looks?.finding === params.get('finding'));
  const session = useSession();
  const go = useNavigate();
  const id = params.get('case') ?? '';
  const { data: view } = useCase(id);
  const query = params.toString() ? `?${params}` : '';
  const at = tables.find((t) => t.id === (table ?? (asked?.measure ? 'ratio' : 'key'))) ?? tables[0];
  useKeys(tables.map((t) => ({ key: t.key, does: t.name.toLowerCase(), run: () => go(`/scope/${t.id}${query}`) })));
  const Pane = at?.pane ?? SlideKey;
  return (
    <>
      <main id="room" className="scoperoom">
        <div className="row mid" style={{ justifyContent: 'flex-start', gap: 18 }}>
          <h1>Scope</h1>
          {view && (
            <span>
              for <b>{view.number}</b> {view.intake.plant}{' '}
              <Link to={`/bench/${view.id}/look`} data-back>
                back to its looks
              </Link>
            </span>
          )}
        </div>
        <Tables room="scope" at={at?.id} tables={tables.map((t) => ({ ...t, to: `/scope/${t.id}${query}` }))} />
        <Pane view={view} />
      </main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}
