import Button from '@mui/material/Button';
import { useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import type { Problem, View } from '../api/client';
import { ChangeTrouble } from '../parts/ChangeTrouble';
import { IntakeFields } from '../parts/IntakeFields';
import { fromIntake, readEarlier, toIntake } from '../parts/intake';
import { useTyped } from '../ui/draft';
import { useToast } from '../ui/toast';

/** What was written at the counter, to be corrected; each correction stays in the story. */
export function BroughtIn({ view }: { view: View }) {
  const [form, setForm, clear] = useTyped(`brought.${view.id}`, fromIntake(view.intake));
  const change = useChange(view.id);
  const { put } = useCaseCalls(view.id);
  const say = useToast();
  const go = useNavigate();
  const clean = JSON.stringify(form) === JSON.stringify(fromIntake(view.intake));
  const save = async () => {
    const treated = await readEarlier(form).catch((e: Problem) => say({ text: e.message }));
    if (!treated) return;
    change.mutate(put('/api/v1/cases/{id}/intake', toIntake(form, treated)), {
      onSuccess: () => {
        clear();
        say({ text: 'Corrected. The story keeps what stood before.' });
      },
    });
  };
  return (
    <form
      className="two"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
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
