import Button from '@mui/material/Button';
import { useMutation, useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import { api, type Problem, type S, take, type View } from '../api/client';
import { useToday } from '../api/hooks';
import { ChangeTrouble } from '../parts/ChangeTrouble';
import { Messages } from '../parts/Messages';
import { SheetPage } from '../parts/Sheet';
import { Trouble, weekday } from '../ui/bits';
import { Code } from '../ui/Code';
import { useKeys } from '../ui/keys';
import { useToast } from '../ui/toast';

export function HandOver({ view }: { view: View }) {
  const change = useChange(view.id);
  const { post } = useCaseCalls(view.id);
  const say = useToast();
  const go = useNavigate();
  const today = useToday();
  const sheet = useQuery({
    queryKey: ['sheet', view.id, view.version],
    queryFn: () => take<S['Sheet']>(api.GET('/api/v1/cases/{id}/sheet', { params: { path: { id: view.id } } })),
    enabled: !!view.verdict,
    retry: false,
    placeholderData: (old) => old,
  });
  const step = view.steps.find((s) => s.id === 'handover');
  const shut = step?.state === 'shut';
  const give = () =>
    change.mutate(post('/api/v1/cases/{id}/handover', {}), {
      onSuccess: (v) => say({ text: `Handed over. We ask on ${weekday(v.askOn ?? '')}.` }),
    });
  const next = () => go(today.data?.waiting[0] ? `/bench/${today.data.waiting[0].id}` : '/?new=1');
  useKeys([
    ...(view.handover || shut ? [] : [{ key: 'Enter', does: 'hand it over', run: give }]),
    // What waits for an advisor leaves the desk on no way, paper included.
    ...(shut ? [] : [{ key: 'p', does: 'print', run: () => window.print() }]),
    ...(view.handover ? [{ key: 'Enter', does: 'next customer', run: next }] : []),
  ]);
  if (!view.verdict)
    return (
      <p>
        There is nothing to hand over before there is a verdict.{' '}
        <Link to={`/bench/${view.id}/verdict`}>Settle it, or send it on.</Link>
      </p>
    );
  return (
    <div className="two paper-and-notes">
      <div className="sheet">
        <Trouble of={sheet.error} />
        {sheet.data && <SheetPage s={sheet.data} />}
      </div>
      <div className="stack noprint" style={{ position: 'sticky', top: 0 }}>
        {shut && (
          <div className="notice">
            <b>Not yet:</b> {step?.note}.
          </div>
        )}
        <ChangeTrouble id={view.id} change={change} />
        {view.handover ? (
          <div className="sheet pad stack">
            <h2>Handed over</h2>
            <p>
              by {view.handover.by}. {view.askOn ? `We ask on ${weekday(view.askOn)}.` : 'It has been asked about.'}
            </p>
            <p>
              <small>The grower's own page, without an account:</small>
              <br />
              <a href={`/p/${view.handover.token}`} data-grower-page style={{ overflowWrap: 'anywhere' }}>
                {`${window.location.host}/p/${view.handover.token}`}
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
            <GrowersCalendar grower={view.intake.grower} />
            <Code of={`${window.location.origin}/p/${view.handover.token}`} />
            <div className="wrap">
              <Button
                variant="outlined"
                onClick={() =>
                  void navigator.clipboard
                    ?.writeText(`${window.location.origin}/p/${view.handover?.token}`)
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
        ) : (
          <Button
            variant="contained"
            className="primary"
            size="large"
            disabled={shut || change.isPending}
            onClick={give}
            data-do="hand-over"
          >
            Hand it over&nbsp;<kbd>Enter</kbd>
          </Button>
        )}
        {!view.handover && view.page && (
          <div className="notice pond" data-old-page>
            Until then the grower holds the page of the last round, at{' '}
            <a href={`/p/${view.page.token}`}>the same address</a>.
          </div>
        )}
        <Button variant="outlined" disabled={shut} onClick={() => window.print()}>
          Print&nbsp;<kbd>p</kbd>
        </Button>
        <small>
          Prints on A4 or US Letter. Everything on it is checked once more when you hand it over: a day, the house or
          the law may have changed since.
        </small>
      </div>
    </div>
  );
}

/** One calendar of all this grower's plants, by a private address, for who has more than one. */
function GrowersCalendar({ grower }: { grower: string }) {
  const open = useMutation<S['Feed'], Problem>({
    mutationFn: () => take<S['Feed']>(api.POST('/api/v1/calendars', { body: { grower } })),
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
