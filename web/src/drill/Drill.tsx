import { Link, useParams } from 'react-router';
import { useSession } from '../api/hooks';
import { KeyLine } from '../ui/keys';
import { HowYouDo } from './HowYouDo';
import { OneCase } from './OneCase';
import { Short } from './Short';

const tables = [
  { id: 'short', name: 'Ten minutes', pane: Short },
  { id: 'case', name: 'A whole case', pane: OneCase },
  { id: 'you', name: 'How you do', pane: HowYouDo },
];

/** Practice: made-up samples and short questions. Nothing here is a real case. */
export default function Drill() {
  const { table } = useParams();
  const session = useSession();
  const at = tables.find((t) => t.id === table) ?? tables[0];
  const Pane = at?.pane ?? Short;
  return (
    <>
      <main id="room">
        <h1>Drill</h1>
        <nav className="steps" aria-label="Tables of the drill">
          {tables.map((t) => (
            <Link
              key={t.id}
              to={t.id === 'short' ? '/drill' : `/drill/${t.id}`}
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
