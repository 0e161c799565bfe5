import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { useCaseCalls, type useChange } from '../api/change';
import { api, type Problem, type S, unwrap, type View } from '../api/client';
import { Messages } from '../parts/Messages';
import { Trouble, weekday } from '../ui/bits';
import { Code, NoCode, useDeskAddress } from '../ui/Code';
import { useToast } from '../ui/toast';

/** What the grower holds now, and the ways it reaches them. */
export function Handed({
  view,
  handover,
  next,
  change,
}: {
  view: View;
  handover: S['Handover'];
  next: () => void;
  change: ReturnType<typeof useChange>;
}) {
  const { post } = useCaseCalls(view.id);
  const say = useToast();
  const { base, reaches } = useDeskAddress();
  const page = `${base}/p/${handover.token}`;
  return (
    <div className="sheet pad stack">
      <h2>Handed over</h2>
      <p>
        by {handover.by}. {view.askOn ? `We ask on ${weekday(view.askOn)}.` : 'It has been asked about.'}
      </p>
      <p>
        <small>The grower's own page, without an account:</small>
        <br />
        <a href={`/p/${handover.token}`} data-grower-page style={{ overflowWrap: 'anywhere' }}>
          {page.replace(/^https?:\/\//, '')}
        </a>
      </p>
      {view.page && !view.page.ended ? (
        <Button
          style={{ justifySelf: 'start' }}
          onClick={() =>
            change.mutate(post('/api/v1/cases/{id}/page/end', {}), {
              onSuccess: () => say({ text: 'Taken back: the address leads nowhere now.' }),
            })
          }
          data-do="end-page"
        >
          Take the address back
        </Button>
      ) : (
        <p className="notice">This address was taken back; the next hand-over gets another.</p>
      )}
      <Messages view={view} kind="page" />
      {view.intake.person && <GrowersCalendar person={view.intake.person} grower={view.intake.grower} />}
      {reaches ? <Code of={page} /> : <NoCode />}
      <div className="wrap">
        <Button
          variant="outlined"
          onClick={() =>
            void navigator.clipboard
              ?.writeText(page)
              .then(() => say({ text: 'The address is copied: paste it into a message.' }))
          }
          data-do="copy-page"
        >
          Copy the address
        </Button>
        <Button variant="contained" className="primary" onClick={next} data-do="next-customer">
          Next customer&nbsp;<kbd>Enter</kbd>
        </Button>
      </div>
    </div>
  );
}

/** One calendar of all this grower's plants, by a private address, for who has more than one. */
function GrowersCalendar({ person, grower }: { person: string; grower: string }) {
  const open = useMutation<S['Feed'], Problem>({
    mutationFn: () => unwrap<S['Feed']>(api.POST('/api/v1/calendars', { body: { person } })),
  });
  if (open.data)
    return (
      <p>
        <small>All of {grower}'s days, for a calendar program:</small>
        <br />
        <a href={open.data.path} style={{ overflowWrap: 'anywhere' }} data-growers-feed>
          {window.location.host + open.data.path}
        </a>
      </p>
    );
  return (
    <>
      <Trouble of={open.error} />
      <Button style={{ justifySelf: 'start' }} onClick={() => open.mutate()} data-do="growers-calendar">
        A calendar of all {grower}'s plants
      </Button>
    </>
  );
}
