import { Link, useParams } from 'react-router';
import { useSession } from '../api/hooks';
import { KeyLine } from '../ui/keys';
import { FindCases } from './FindCases';
import { Over } from './Over';
import { Records } from './Records';

const tables = [
  { id: 'over', name: 'Look over', pane: Over },
  { id: 'find', name: 'Find', pane: FindCases },
  { id: 'records', name: 'Records', pane: Records },
];

/** The desk's memory: what came in and what worked, any case by what it is, and records that move. */
export default function Season() {
  const { table } = useParams();
  const session = useSession();
  const at = tables.find((t) => t.id === table) ?? tables[0];
  const Pane = at?.pane ?? Over;
  return (
    <>
      <main id="room">
        <h1 className="noprint">Season</h1>
        <nav className="steps noprint" aria-label="Tables of the season">
          {tables.map((t) => (
            <Link
              key={t.id}
              to={t.id === 'over' ? '/season' : `/season/${t.id}`}
              className={t.id === at?.id ? 'step on' : 'step'}
              aria-current={t.id === at?.id ? 'page' : undefined}
            >
              {t.name}
            </Link>
          ))}
        </nav>
        <Pane />
      </main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}
