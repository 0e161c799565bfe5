import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Chips, Trouble } from '../ui/bits';
import { useDraft } from '../ui/draft';
import { usePractice } from './practice';

const months = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

/** Fields whose trouble is said beside them. */
const named = ['cause', 'amount', 'every'];

const unsaid = { of: '', cause: '', open: false, sure: '', act: '', remedy: '', amount: '', every: '' };

/** What is it, how sure, and what is done. */
export function SayIt({
  of,
  onScore,
  onLeave,
}: {
  of: S['PracticeCase'];
  onScore: (s: S['Score']) => void;
  onLeave: () => void;
}) {
  const { data: kb } = useVocabulary();
  const { data: practice } = usePractice();
  const [said, setSaid] = useDraft('drill.said', unsaid);
  const { cause, open, sure, act, remedy, amount, every } = said.of === of.id ? said : unsaid;
  const say = (patch: Partial<typeof unsaid>) =>
    setSaid((old) => ({ ...(old.of === of.id ? old : unsaid), ...patch, of: of.id }));
  const causes = useMemo(() => (kb?.causes ?? []).map((c) => ({ id: c.id, label: c.name })), [kb]);
  const remedies = useMemo(() => (kb?.remedies ?? []).map((r) => ({ id: r.id, label: r.name })), [kb]);
  const chosen = act === 'act' ? kb?.remedies.find((r) => r.id === remedy) : undefined;
  const mixed = !!chosen?.rates?.length && !chosen.bottle;
  const repeated = !!chosen?.repeatMinDays;
  const judge = useMutation<S['Score'], Problem>({
    mutationFn: () =>
      unwrap<S['Score']>(
        api.POST('/api/v1/drill/cases/{id}/verdict', {
          params: { path: { id: of.id } },
          body: {
            ...(open || !cause ? {} : { cause }),
            sure: Number(sure || 0.5),
            act: act as 'act',
            ...(act === 'act' && remedy ? { remedy } : {}),
            ...(mixed && amount.trim() ? { amount } : {}),
            ...(repeated && every ? { every: Number(every) } : {}),
          },
        }),
      ),
    onSuccess: onScore,
  });
  return (
    <div className="stack">
      <div className="sheet pad stack">
        <h2>
          {of.plant}, {of.place}, {months[of.month - 1]}
        </h2>
        <p className="told">“{of.story}”</p>
        <p>
          <b className="num">{of.minutes < 10 ? of.minutes.toFixed(1) : Math.round(of.minutes)} min</b> of looking
          {of.used && '; the sample is used up'}
        </p>
      </div>
      <form
        className="sheet pad stack"
        data-say-it
        onSubmit={(e) => {
          e.preventDefault();
          judge.mutate();
        }}
      >
        <Autocomplete
          options={causes}
          autoHighlight
          disabled={open}
          value={causes.find((c) => c.id === cause) ?? null}
          onChange={(_, c) => say({ cause: c?.id ?? '' })}
          renderInput={(p) => (
            <TextField
              {...p}
              label="It is"
              name="drill-cause"
              error={!!judge.error?.field('cause')}
              helperText={judge.error?.field('cause')}
            />
          )}
        />
        <button
          type="button"
          className="chip small"
          aria-pressed={open}
          onClick={() => say({ open: !open })}
          data-undetermined
        >
          undetermined: it is sent on
        </button>
        <Chips
          label="How sure"
          options={(practice?.sureties ?? []).map((s) => ({ id: String(s.sure), name: s.name }))}
          value={[sure]}
          onChange={(v) => say({ sure: v[0] ?? '' })}
          small
        />
        <Chips
          label="What is done"
          options={[
            { id: 'act', name: 'something now' },
            { id: 'wait', name: 'leave it, watch' },
            { id: 'refer', name: 'send it on' },
          ]}
          value={[act]}
          onChange={(v) => say({ act: v[0] ?? '' })}
          small
        />
        {act === 'act' && (
          <Autocomplete
            options={remedies}
            autoHighlight
            value={remedies.find((r) => r.id === remedy) ?? null}
            onChange={(_, r) => say({ remedy: r?.id ?? '' })}
            renderInput={(p) => <TextField {...p} label="First of all" name="drill-remedy" />}
          />
        )}
        {mixed && (
          <TextField
            label={`How much of it into the grower's sprayer of ${of.sprayer}`}
            name="drill-amount"
            value={amount}
            onChange={(e) => say({ amount: e.target.value })}
            error={!!judge.error?.field('amount')}
            helperText={judge.error?.field('amount') || 'with its unit: mL, g, metric tsp'}
          />
        )}
        {repeated && (
          <TextField
            label="Again after how many days"
            name="drill-every"
            type="number"
            slotProps={{ htmlInput: { min: 1, max: 365 } }}
            value={every}
            onChange={(e) => say({ every: e.target.value })}
            error={!!judge.error?.field('every')}
            helperText={judge.error?.field('every')}
          />
        )}
        <Trouble of={judge.error && !named.some((n) => judge.error?.field(n)) ? judge.error : null} />
        <div className="wrap">
          <Button
            type="submit"
            variant="contained"
            className="primary"
            disabled={judge.isPending || !act || !sure || (!cause && !open)}
            data-do="judge"
          >
            What was it?
          </Button>
          <Button onClick={onLeave}>Leave this one</Button>
        </div>
      </form>
    </div>
  );
}
