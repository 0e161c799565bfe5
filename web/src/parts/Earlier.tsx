import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Problem, S } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { weekday } from '../ui/bits';
import { type Form, readEarlier } from './intake';

/** A value once it has stood still for a moment. */
function useSettled<T>(value: T, ms = 300): T {
  const [settled, set] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => set(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return settled;
}

/** What was sprayed before, in the grower's words. The desk reads them; a word that could be two remedies is asked about. */
export function Earlier({
  form,
  setForm,
  trouble,
}: {
  form: Form;
  setForm: (f: (old: Form) => Form) => void;
  trouble: Problem | null;
}) {
  const { data: kb } = useVocabulary();
  const name = (id: string) => kb?.remedies.find((r) => r.id === id)?.name ?? id;
  const text = useSettled(form.treated);
  const { data } = useQuery({
    queryKey: ['earlier', text],
    queryFn: () => readEarlier({ treated: text, treatedFor: '', treatedList: [] }),
    enabled: text.trim() !== '' && text !== form.treatedFor,
    staleTime: 60_000,
  });
  useEffect(() => {
    if (data && text === form.treated && text !== form.treatedFor)
      setForm((f) => ({ ...f, treatedList: data, treatedFor: text }));
  }, [data, text, form.treated, form.treatedFor, setForm]);
  const read = form.treated.trim() && form.treatedFor === form.treated ? form.treatedList : [];
  const choose = (t: S['Treated'], id: string) =>
    setForm((f) => {
      const at = f.treated.toLowerCase().indexOf(t.what.toLowerCase());
      return at < 0
        ? { ...f, treatedList: f.treatedList.map((x) => (x === t ? { what: t.what, on: t.on, remedy: id } : x)) }
        : { ...f, treated: f.treated.slice(0, at) + name(id) + f.treated.slice(at + t.what.length) };
    });
  return (
    <div className="stack" style={{ gap: 6 }}>
      <TextField
        label="Already sprayed with, and when"
        name="treated"
        value={form.treated}
        placeholder="soap 9 days ago, copper on Tuesday"
        onChange={(e) => setForm((f) => ({ ...f, treated: e.target.value }))}
        error={!!trouble?.field('treated')}
        helperText={
          trouble?.field('treated') ??
          read
            .map(
              (t) =>
                `${t.remedy ? name(t.remedy) : t.couldBe?.length ? t.what : `${t.what} (not matched)`}, ${weekday(t.on)}`,
            )
            .join(' · ')
        }
      />
      {read
        .filter((t) => t.couldBe?.length)
        .map((t) => (
          <fieldset key={t.what + t.on} data-which={t.what}>
            <legend>Which {t.what} was it? Until it is known, the waits of all hold.</legend>
            <div className="chips">
              {t.couldBe?.map((id) => (
                <button type="button" className="chip small" key={id} data-chip={id} onClick={() => choose(t, id)}>
                  {name(id)}
                </button>
              ))}
            </div>
          </fieldset>
        ))}
    </div>
  );
}
