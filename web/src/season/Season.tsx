import { useParams } from 'react-router';
import { useSession } from '../api/hooks';
import { KeyLine } from '../ui/keys';
import { Tables } from '../ui/Tables';
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
        <Tables
          room="season"
          at={at?.id}
          tables={tables.map((t) => ({ ...t, to: t.id === 'over' ? '/season' : `/season/${t.id}` }))}
        />
        <Pane />
      </main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}
