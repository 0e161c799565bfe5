import Button from '@mui/material/Button';
import { useNavigate } from 'react-router';
import type { View } from '../api/client';
import { useCaseCalls, useChange, useSession } from '../api/hooks';
import { IntakeFields } from '../counter/IntakeFields';
import { fromIntake, toIntake } from '../counter/intake';
import { useTyped } from '../ui/draft';
import { useToast } from '../ui/toast';
import { ChangeTrouble } from './ChangeTrouble';

/** What was written at the counter, to be corrected; each correction stays in the story. */
export function BroughtIn({ view }: { view: View }) {
  const [form, setForm, clear] = useTyped(`brought.${view.id}`, fromIntake(view.intake));
  const change = useChange(view.id);
  const { put } = useCaseCalls(view.id);
  const session = useSession();
  const say = useToast();
  const go = useNavigate();
  const clean = JSON.stringify(form) === JSON.stringify(fromIntake(view.intake));
  const save = () =>
    change.mutate(put('/api/v1/cases/{id}/intake', toIntake(form, session.data?.now ?? '')), {
      onSuccess: () => {
        clear();
        say({ text: 'Corrected. The story keeps what stood before.' });
      },
    });
  return (
    <form
      className="two"
      onSubmit={(e) => {
        e.preventDefault();
        save();
      }}
    >
      <div className="sheet pad form">
        <IntakeFields form={form} setForm={setForm} trouble={change.error} />
      </div>
      <div className="stack">
        <div className="sheet pad stack">
          <h2>Why it matters</h2>
          <ul className="tight">
            <li>In flower or near a pond rules some remedies out.</li>
            <li>Eaten, and how soon, decides the wait before harvest.</li>
            <li>What was sprayed before decides what is safe next, and is often itself the cause.</li>
            <li>An unknown plant is treated with care, like its relatives.</li>
          </ul>
        </div>
        <ChangeTrouble id={view.id} change={change} />
        <div className="wrap">
          <Button type="submit" variant="contained" disabled={clean || change.isPending}>
            Keep the correction
          </Button>
          <Button variant="outlined" onClick={() => go(`/bench/${view.id}/look`)}>
            Look at it
          </Button>
        </div>
      </div>
    </form>
  );
}
