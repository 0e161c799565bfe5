import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useCaseCalls, useChange } from '../api/change';
import type { S, View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Chips, moment } from '../ui/bits';
import { useTyped } from '../ui/draft';
import { ChangeTrouble } from './ChangeTrouble';
import { OfferPractice } from './OfferPractice';

type Outcome = S['CloseInput']['outcome'];
const nothing = { note: '', confirmed: '', found: '', followed: '' };

/** Closing a case, with what it was in the end and whether the advice was followed. */
export function Ending({ view }: { view: View }) {
  const change = useChange(view.id);
  const { post } = useCaseCalls(view.id);
  const [picked, setOutcome] = useState<Outcome | ''>('');
  // Nothing is chosen for anybody: a case closed by one click too many is a grower forgotten.
  const outcome = picked || (view.followUps.at(-1)?.result?.word === 'better' ? 'better' : '');
  const [form, set, clear] = useTyped(`closing.${view.id}`, nothing);
  const { data: kb } = useVocabulary();
  const causes = kb?.causes ?? [];
  if (view.closing)
    return (
      <div className="sheet pad stack">
        <h2>Closed: {view.closing.outcome}</h2>
        <p className="quiet">
          {moment(view.closing.at)} by {view.closing.by}. {view.closing.note}
        </p>
        {view.closing.confirmed && (
          <p>
            It was <b>{causes.find((c) => c.id === view.closing?.confirmed)?.name}</b>, shown by {view.closing.found}.
          </p>
        )}
        <Button variant="outlined" onClick={() => change.mutate(post('/api/v1/cases/{id}/reopen', {}))}>
          Open it again
        </Button>
        <OfferPractice id={view.id} />
      </div>
    );
  return (
    <form
      className="sheet pad form"
      onSubmit={(e) => {
        e.preventDefault();
        change.mutate(
          post('/api/v1/cases/{id}/close', {
            outcome: outcome as Outcome,
            note: form.note,
            ...(form.followed ? { followed: form.followed as 'yes' } : {}),
            ...(form.confirmed ? { confirmed: form.confirmed, found: form.found as 'outcome' } : {}),
          }),
          { onSuccess: clear },
        );
      }}
    >
      <h2>Close the case</h2>
      <Chips
        label="What came of it"
        options={((kb?.outcomes ?? []) as Outcome[]).map((id) => ({ id, name: id }))}
        value={outcome ? [outcome] : []}
        onChange={(v) => setOutcome((v[0] ?? '') as Outcome | '')}
        small
      />
      <Chips
        label="Was it done as advised"
        options={['yes', 'partly', 'no'].map((id) => ({ id, name: id }))}
        value={form.followed ? [form.followed] : []}
        onChange={(v) => set({ followed: v[0] ?? '' })}
        small
      />
      <Chips
        label="Who or what showed what it was"
        options={[
          { id: 'outcome', name: 'what came of it' },
          { id: 'specialist', name: 'a specialist' },
          { id: 'laboratory', name: 'the laboratory' },
          ...(form.found ? [{ id: 'nothing', name: 'nothing more' }] : []),
        ]}
        value={form.found ? [form.found] : []}
        onChange={(v) => {
          const found = v[0] === 'nothing' ? '' : (v[0] ?? '');
          set({ found, confirmed: found ? form.confirmed || (view.verdict?.cause ?? '') : '' });
        }}
        small
      />
      {form.found && (
        <Autocomplete
          autoHighlight
          options={causes}
          getOptionLabel={(c) => c.name}
          value={causes.find((c) => c.id === form.confirmed) ?? null}
          onChange={(_, c) => set({ confirmed: c?.id ?? '' })}
          renderInput={(p) => <TextField {...p} label="It was" name="confirmed" />}
        />
      )}
      <TextField label="A last word" value={form.note} onChange={(e) => set({ note: e.target.value })} />
      <ChangeTrouble id={view.id} change={change} />
      <Button type="submit" variant="outlined" disabled={!outcome || (!!form.found && !form.confirmed)} data-do="close">
        Close it
      </Button>
    </form>
  );
}
