import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { type Ref, useMemo } from 'react';
import type { Problem } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Chips } from '../ui/bits';
import { CameBefore } from './CameBefore';
import { Earlier } from './Earlier';
import { type Form, follow, householdFacts } from './intake';

const named = (id: string) => ({ id, name: id });

/** The fields of what was brought in, on the counter and on the bench. */
export function IntakeFields({
  form,
  setForm,
  trouble,
  growerRef,
}: {
  form: Form;
  setForm: (f: (old: Form) => Form) => void;
  trouble: Problem | null;
  growerRef?: Ref<HTMLInputElement>;
}) {
  const vocabulary = useVocabulary();
  const hosts = vocabulary.data?.hosts ?? [];
  const options = useMemo(
    () =>
      hosts.flatMap((h) => [
        { id: h.id, label: h.name, sci: h.scientific },
        ...(h.aliases ?? []).map((a) => ({ id: h.id, label: a, sci: h.scientific })),
      ]),
    [hosts],
  );
  const set = (k: keyof Form) => (v: unknown) =>
    setForm((f) => ({ ...f, [k]: v, ...(k === 'grower' ? { person: '' } : {}) }));
  const text = (k: keyof Form, label: string, more: object = {}) => (
    <TextField
      label={label}
      value={form[k] as string}
      onChange={(e) => set(k)(e.target.value)}
      error={!!trouble?.field(k)}
      helperText={trouble?.field(k)}
      name={k}
      {...more}
    />
  );
  const host = hosts.find((h) => h.id === form.host);
  const begun = form.plant.trim().toLowerCase();
  const fits = (label: string) => label.toLowerCase().includes(begun);
  const unknown = begun !== '' && !host && !options.some((o) => fits(o.label));
  return (
    <>
      <div className="halves">
        {text('grower', 'Grower', { inputRef: growerRef, required: true, autoComplete: 'off' })}
        {text('contact', 'How to reach them', { autoComplete: 'off' })}
      </div>
      {growerRef && <CameBefore form={form} setForm={setForm} />}
      <Autocomplete
        freeSolo
        autoHighlight
        options={options}
        filterOptions={(all) =>
          // What begins so comes first: a rose before a primrose.
          all
            .filter((o) => fits(o.label))
            .sort(
              (a, b) =>
                Number(b.label.toLowerCase().startsWith(begun)) - Number(a.label.toLowerCase().startsWith(begun)),
            )
        }
        inputValue={form.plant}
        getOptionLabel={(o) => (typeof o === 'string' ? o : o.label)}
        getOptionKey={(o) => (typeof o === 'string' ? o : o.id + o.label)}
        onInputChange={(_, v) => {
          const hit = options.find((o) => o.label.toLowerCase() === v.trim().toLowerCase());
          setForm((f) =>
            follow(
              { ...f, plant: v },
              vocabulary.data?.roomForms ?? [],
              hosts.find((h) => h.id === hit?.id),
            ),
          );
        }}
        renderOption={({ key, ...p }, o) => (
          <li key={key} {...p}>
            {o.label}&nbsp;<small>{o.sci}</small>
          </li>
        )}
        renderInput={(p) => (
          <TextField
            {...p}
            label="Plant"
            required
            name="plant"
            error={!!trouble?.field('plant')}
            helperText={
              trouble?.field('plant') ??
              (unknown ? 'Not known here: it is treated with care, by family and form.' : host?.scientific)
            }
          />
        )}
      />
      {unknown && (
        <Chips
          label="What kind of plant it is"
          options={(vocabulary.data?.forms ?? []).map(named)}
          value={form.form ? [form.form] : []}
          onChange={(v) => set('form')(v[0] ?? '')}
          small
        />
      )}
      <Chips
        label="Where it grows"
        options={(vocabulary.data?.places ?? []).map(named)}
        value={form.place ? [form.place] : []}
        onChange={(v) => set('place')(v[0] ?? '')}
        small
      />
      {trouble?.field('place') && <div className="err">{trouble.field('place')}</div>}
      <Chips label="Mind these" options={householdFacts} value={form.mind} onChange={set('mind')} many small />
      {form.mind.includes('eaten') &&
        text('harvest', 'Days until it is picked next', {
          type: 'number',
          error: !!trouble?.field('daysToHarvest'),
          helperText: trouble?.field('daysToHarvest'),
        })}
      <Earlier form={form} setForm={setForm} trouble={trouble} />
      <div className="halves">
        {text('brought', 'What was brought', { placeholder: 'a shoot in a bag' })}
        {text('square', 'Square of the district', { placeholder: 'A1 to I9, if they say' })}
      </div>
      {text('story', 'Their story', { multiline: true, minRows: 2, required: true })}
      <Chips
        label="How urgent"
        options={[
          { id: '0', name: 'can wait' },
          { id: '1', name: 'soon' },
          { id: '2', name: 'today' },
          { id: '3', name: 'now' },
        ]}
        value={[form.urgency]}
        onChange={(v) => set('urgency')(v[0] ?? '0')}
        small
      />
    </>
  );
}
