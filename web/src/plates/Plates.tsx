import { useParams } from 'react-router';
import { useSession } from '../api/hooks';
import { KeyLine } from '../ui/keys';
import { Browse } from './Browse';
import { Compare } from './Compare';
import { Contact } from './Contact';
import { OnePlate } from './OnePlate';

/** The Plates room: browse, one plate, two or three side by side, or all on one sheet. */
export default function Plates() {
  const { id } = useParams();
  const session = useSession();
  return (
    <>
      <main id="room">
        {!id ? <Browse /> : id === 'compare' ? <Compare /> : id === 'sheet' ? <Contact /> : <OnePlate id={id} />}
      </main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}
