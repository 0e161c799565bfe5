import { useNavigate, useParams, useSearchParams } from 'react-router';
import { useSession } from '../api/hooks';
import { KeyLine, useKeys } from '../ui/keys';
import { Tables } from '../ui/Tables';
import { Lately } from './Lately';
import { WeatherFiles } from './WeatherFiles';
import { Week } from './Week';
import { Winter } from './Winter';

const tables = [
  { id: 'week', name: 'The week', key: 'w', pane: Week },
  { id: 'lately', name: 'On the leaves', key: 'l', pane: Lately },
  { id: 'winter', name: 'Winter', key: 'd', pane: Winter },
  { id: 'weather', name: 'Weather', key: 'e', pane: WeatherFiles },
];

/** The room of days: when it may be sprayed, what still lies on the leaves, the winter programme, whose weather it is. */
export default function SprayDays() {
  const { table } = useParams();
  const [params] = useSearchParams();
  const session = useSession();
  const go = useNavigate();
  const at = tables.find((t) => t.id === table) ?? tables[0];
  const query = params.toString() ? `?${params}` : '';
  useKeys(
    tables.map((t) => ({ key: t.key, does: t.name.toLowerCase(), run: () => go(`/spray-days/${t.id}${query}`) })),
  );
  const Pane = at?.pane ?? Week;
  return (
    <>
      <main id="room">
        <h1>Spray days</h1>
        <Tables
          room="spray days"
          at={at?.id}
          tables={tables.map((t) => ({ ...t, to: `/spray-days/${t.id}${query}` }))}
        />
        <Pane />
      </main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}
