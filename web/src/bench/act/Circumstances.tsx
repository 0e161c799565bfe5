import TextField from '@mui/material/TextField';
import { Chips } from '../../ui/bits';
import type { ActForm } from './useActForm';

const also = ['helpers', 'drought', 'badYear', 'dormant', 'calciumLow'] as const;

/** What else weighs: what the plant is kept for, how long it has left, helpers, the year before. */
export function Circumstances({ of: f }: { of: ActForm }) {
  const { form, set, w } = f;
  return (
    <div className="sheet pad stack">
      <Chips
        label="Kept for"
        options={[
          { id: '', name: 'the garden' },
          { id: 'food', name: 'eating' },
          { id: 'show', name: 'show' },
          { id: 'hedge', name: 'a hedge' },
        ]}
        value={[form.standard]}
        onChange={(v) => set({ standard: (v[0] ?? '') as '' })}
        small
      />
      <TextField
        label="Weeks of picking or flowering left, if it is nearly over"
        value={form.weeks}
        onChange={(e) => set({ weeks: e.target.value })}
        error={f.oddWeeks}
        helperText={f.oddWeeks && 'whole weeks, like 3'}
        name="weeks"
        slotProps={{ htmlInput: { inputMode: 'numeric', className: 'num' } }}
      />
      <Chips
        label="Also"
        options={[
          { id: 'helpers', name: 'helpers are at work' },
          { id: 'drought', name: 'the plant is thirsty' },
          { id: 'badYear', name: 'last year was bad' },
          { id: 'dormant', name: 'without leaves' },
          { id: 'calciumLow', name: 'soil test: little calcium' },
        ]}
        value={also.filter((k) => form[k])}
        onChange={(v) => {
          const on = (k: (typeof also)[number]) => v.includes(k);
          set({
            helpers: on('helpers'),
            drought: on('drought'),
            badYear: on('badYear'),
            calciumLow: on('calciumLow'),
            // Said only when the advisor touched it; otherwise plant and month decide.
            ...(on('dormant') !== !!form.dormant ? { dormant: on('dormant') } : {}),
          });
        }}
        many
        small
      />
      {w?.lastYear && !form.badYear && (
        <div className="notice" data-last-year>
          {w.lastYear} Was it bad?{' '}
          <button type="button" className="plain link" onClick={() => set({ badYear: true })}>
            yes, a bad year
          </button>
        </div>
      )}
    </div>
  );
}
