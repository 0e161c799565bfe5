import Button from '@mui/material/Button';
import { Link, useParams } from 'react-router';
import type { Tag } from '../api/client';
import { useCase, useSession, useToday } from '../api/hooks';
import { Code, NoCode, useDeskAddress } from '../ui/Code';
import { KeyLine, useKeys } from '../ui/keys';

/** The desk's own day of a moment, YYYY-MM-DD: shortly after midnight in the north it is still yesterday in UTC. */
export const deskDay = (at: string, zone = 'UTC') =>
  new Intl.DateTimeFormat('en-CA', { timeZone: zone }).format(new Date(at));

/** Tags for the bags, one case's or all that lie at the desk: number, plant, a code that opens the case. */
export default function BagTags() {
  const { id = '' } = useParams();
  const { data } = useToday();
  const { data: view } = useCase(id);
  const session = useSession();
  const { base, reaches } = useDeskAddress();
  useKeys([{ key: 'p', does: 'print', run: () => window.print() }]);
  const tags: Pick<Tag, 'id' | 'number' | 'plant' | 'createdAt'>[] = id
    ? view
      ? [{ id: view.id, number: view.number, plant: view.intake.plant, createdAt: view.createdAt }]
      : []
    : [...(data?.waiting ?? []), ...(data?.bench ?? []), ...(data?.ready ?? [])];
  return (
    <>
      <main id="room">
        <div className="row mid noprint" style={{ marginBottom: 10 }}>
          <h1>Tags for the bags</h1>
          <Button variant="contained" className="primary" onClick={() => window.print()}>
            Print&nbsp;<kbd>p</kbd>
          </Button>
        </div>
        <p className="quiet noprint">
          Fourteen on a sheet of A4 or Letter; cut along the lines.
          {reaches && ' The code opens the case, for who is signed in.'} <Link to="/">Back to the counter</Link>
        </p>
        {!reaches && (
          <div className="noprint" style={{ marginBottom: 14 }}>
            <NoCode />
          </div>
        )}
        <div className="bagtags" data-tags={tags.length}>
          {tags.map((t) => (
            <div key={t.id} className="bagtag" data-bagtag={t.id}>
              <svg className="cut" viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
                <path d="M0 0H88L100 50 88 100H0Z" />
              </svg>
              {reaches ? <Code of={`${base}/bench/${t.id}`} size={104} /> : <i className="nocode" aria-hidden="true" />}
              <span>
                <b className="num">{t.number}</b>
                <span>{t.plant}</span>
                <small>
                  {session.data?.desk.name},{' '}
                  <span style={{ whiteSpace: 'nowrap' }}>{deskDay(t.createdAt, session.data?.desk.zone)}</span>
                </small>
              </span>
            </div>
          ))}
        </div>
        {tags.length === 0 && <p className="quiet">Nothing lies at the desk.</p>}
      </main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}
