import { useParams } from 'react-router';
import { useSession } from '../api/hooks';
import { KeyLine } from '../ui/keys';
import { Tables } from '../ui/Tables';
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
        <Tables
          room="drill"
          at={at?.id}
          tables={tables.map((t) => ({ ...t, to: t.id === 'short' ? '/drill' : `/drill/${t.id}` }))}
        />
        <Pane />
      </main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}
