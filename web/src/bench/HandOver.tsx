import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import { api, type S, unwrap, type View } from '../api/client';
import { useMay, useToday } from '../api/hooks';
import { ChangeTrouble } from '../parts/ChangeTrouble';
import { SheetPage } from '../parts/Sheet';
import { Trouble, weekday } from '../ui/bits';
import { useKeys } from '../ui/keys';
import { usePress } from '../ui/press';
import { useToast } from '../ui/toast';
import { Handed } from './Handed';
import { AlsoTheirs, TogetherPages, usePairing, useTogether } from './Together';

export function HandOver({ view }: { view: View }) {
  const change = useChange(view.id);
  const { post } = useCaseCalls(view.id);
  const say = useToast();
  const go = useNavigate();
  const today = useToday();
  const sheet = useQuery({
    queryKey: ['sheet', view.id, view.version],
    queryFn: () => unwrap<S['Sheet']>(api.GET('/api/v1/cases/{id}/sheet', { params: { path: { id: view.id } } })),
    enabled: !!view.verdict,
    retry: false,
    placeholderData: (old) => old,
  });
  const step = view.steps.find((s) => s.id === 'handover');
  // What a trainee prepared is handed over by an advisor, unless it is to leave it alone.
  const may = useMay();
  const held = !!view.release && !may('hand over what a trainee prepared');
  const shut = step?.state === 'shut' || held;
  const together = useTogether(view);
  const [also, setAlso] = useState<string[]>([]);
  const pair = usePairing(view, (v) => say({ text: `Handed over. We ask on ${weekday(v.askOn ?? '')}.` }));
  const give = () => {
    const others = (together.data?.ready ?? []).filter((r) => also.includes(r.id));
    if (others.length) {
      pair.mutate(others);
      return;
    }
    change.mutate(post('/api/v1/cases/{id}/handover', {}), {
      onSuccess: (v) => say({ text: `Handed over. We ask on ${weekday(v.askOn ?? '')}.` }),
    });
  };
  const next = () => go(today.data?.waiting[0] ? `/bench/${today.data.waiting[0].id}` : '/?new=1');
  // Nobody hands over a page they could not see: a press waits until it is there.
  const press = usePress(
    shut || change.isPending || pair.isPending ? 'no' : sheet.isLoading ? 'working' : 'ready',
    give,
    also.join(),
  );
  useKeys([
    ...(view.handover || shut ? [] : [{ key: 'Enter', does: 'hand it over', run: press.press }]),
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
        {(together.data?.sheets.length ?? 0) > 1 && together.data ? (
          <TogetherPages of={together.data} />
        ) : (
          sheet.data && <SheetPage s={sheet.data} />
        )}
      </div>
      <div className="stack noprint" style={{ position: 'sticky', top: 0 }}>
        {shut && (
          <div className="notice" data-release={held || undefined}>
            <b>Not yet:</b>{' '}
            {held ? 'an advisor looks it over and hands it over. Leave it on the bench, and say so.' : `${step?.note}.`}
          </div>
        )}
        <ChangeTrouble id={view.id} change={change} />
        <Trouble of={pair.error} />
        {view.handover ? (
          <Handed view={view} handover={view.handover} next={next} change={change} />
        ) : (
          <>
            {together.data && <AlsoTheirs of={together.data} chosen={also} choose={setAlso} />}
            <Button
              variant="contained"
              className="primary"
              size="large"
              {...press.button}
              onClick={press.press}
              data-do="hand-over"
            >
              {also.length ? `Hand all ${also.length + 1} over` : 'Hand it over'}&nbsp;<kbd>Enter</kbd>
            </Button>
          </>
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
