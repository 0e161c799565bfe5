import Button from '@mui/material/Button';
import { caseCalls, useChange } from '../api/change';
import type { S, View } from '../api/client';
import { Trouble } from '../ui/bits';
import { useToast } from '../ui/toast';

const sure: Record<string, string> = { sure: 'sure', think: 'think so', guess: 'a guess' };

/** Writes what was measured or keyed into the case, as a look with its certainty. */
export function TakeLook({ view, look }: { view: View; look: S['KeyLook'] }) {
  const change = useChange(view.id);
  const say = useToast();
  const has = view.looks.find((l) => l.finding === look.finding);
  const same = has?.state === look.state && (has?.certainty || 'sure') === look.certainty;
  const write = () =>
    change.mutate(
      caseCalls(view.id).look(look.finding, {
        state: look.state,
        certainty: look.certainty as 'sure',
        instrument: 'scope',
        ...(look.measured ? { measured: look.measured } : {}),
      }),
      { onSuccess: () => say({ text: `Written into ${view.number}: ${look.said}.` }) },
    );
  return (
    <div className="takelook" data-take={look.finding} data-state={look.state} data-certainty={look.certainty}>
      <span>
        <b>{look.said}</b>, {sure[look.certainty] ?? look.certainty}
        <small style={{ display: 'block' }}>{look.name}</small>
      </span>
      <Button variant="outlined" size="small" disabled={same || change.isPending} onClick={write}>
        {same ? 'in the case' : 'Write it in'}
      </Button>
      <Trouble of={change.error} />
    </div>
  );
}
