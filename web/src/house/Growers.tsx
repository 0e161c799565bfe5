import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Problem, type S, take } from '../api/client';
import { Trouble } from '../ui/bits';
import { useToast } from '../ui/toast';

/** What is kept of a person: given to them, written under one name, or taken out on request. */
export function Growers() {
  const client = useQueryClient();
  const say = useToast();
  const [name, setName] = useState('');
  const [into, setInto] = useState('');
  const [sure, setSure] = useState(false);
  const found = useQuery<S['Grower'][], Problem>({
    queryKey: ['growers', name],
    queryFn: () => take<S['Grower'][]>(api.GET('/api/v1/growers', { params: { query: { q: name } } })),
    enabled: name.trim().length >= 2,
    placeholderData: (old) => old,
  });
  const one = found.data?.find((g) => g.name === name);
  const done = (text: string) => {
    say({ text });
    setSure(false);
    setInto('');
    setName('');
    void client.invalidateQueries();
  };
  const give = useMutation<S['GrowerFile'], Problem>({
    mutationFn: () => take<S['GrowerFile']>(api.GET('/api/v1/growers/export', { params: { query: { name } } })),
    onSuccess: (file) => {
      const a = document.createElement('a');
      a.href = URL.createObjectURL(new Blob([JSON.stringify(file, null, 1)], { type: 'application/json' }));
      a.download = 'what-is-kept.json';
      a.click();
      URL.revokeObjectURL(a.href);
    },
  });
  const forget = useMutation<S['CountBody'], Problem>({
    mutationFn: () => take<S['CountBody']>(api.POST('/api/v1/growers/forget', { body: { name } })),
    onSuccess: (r) => done(`Taken out: ${r.cases} ${r.cases === 1 ? 'case stays' : 'cases stay'} without a name.`),
  });
  const merge = useMutation<S['CountBody'], Problem>({
    mutationFn: () => take<S['CountBody']>(api.POST('/api/v1/growers/merge', { body: { from: name, into } })),
    onSuccess: (r) => done(`${r.cases} ${r.cases === 1 ? 'case is' : 'cases are'} under ${into} now.`),
  });
  return (
    <section className="sheet pad stack" data-house-growers>
      <h2>Growers</h2>
      <p className="quiet">
        Kept of a person: name, how to be reached, what was brought, said and done, messages. Backups made before still
        hold who is taken out, until they are overwritten. A first name alone in a note is not found: read the notes.
      </p>
      <TextField label="Whose" name="whose" value={name} onChange={(e) => setName(e.target.value)} autoComplete="off" />
      {!one && (
        <div className="wrap">
          {found.data?.map((g) => (
            <button key={g.name} type="button" className="chip small" onClick={() => setName(g.name)}>
              {g.name}, {g.cases}
            </button>
          ))}
        </div>
      )}
      <Trouble of={give.error ?? forget.error ?? merge.error} />
      {one && (
        <>
          <div className="wrap">
            <Button variant="outlined" onClick={() => give.mutate()}>
              Give them what is kept
            </Button>
            {sure ? (
              <Button variant="contained" color="error" onClick={() => forget.mutate()} data-do="forget">
                Take {one.name} out of {one.cases} {one.cases === 1 ? 'case' : 'cases'}, for good
              </Button>
            ) : (
              <Button variant="outlined" onClick={() => setSure(true)} data-do="forget-ask">
                Take the person out
              </Button>
            )}
          </div>
          <div className="row mid">
            <TextField label="Is the same as" name="same-as" value={into} onChange={(e) => setInto(e.target.value)} />
            <Button disabled={!into.trim()} onClick={() => merge.mutate()}>
              Write under that name
            </Button>
          </div>
        </>
      )}
    </section>
  );
}
