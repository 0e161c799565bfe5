import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Problem, type S, unwrap } from '../api/client';
import { Chips, dayAndMonth, Trouble, weekday } from '../ui/bits';
import { useToast } from '../ui/toast';

const useGrowers = (words: string) =>
  useQuery<S['Grower'][], Problem>({
    queryKey: ['growers', words],
    queryFn: () => unwrap<S['Grower'][]>(api.GET('/api/v1/growers', { params: { query: { q: words } } })),
    enabled: words.trim().length >= 2,
    placeholderData: (old) => old,
  });

const says = (n: number, one: string, many: string) => (n === 1 ? one : `${n} ${many}`);

/** What is kept of a person: given to them, put together or parted, taken out on request. */
export function Growers() {
  const [words, setWords] = useState('');
  const [one, setOne] = useState<S['Grower'] | null>(null);
  const found = useGrowers(one ? '' : words);
  return (
    <section className="sheet pad stack" data-house-growers>
      <h2>Growers</h2>
      <p className="quiet">
        Kept of a person: name, how to be reached, what was brought, said and done, messages. Backups made before still
        hold who is taken out, until they are overwritten.
      </p>
      {one ? (
        <One key={one.id} of={one} done={() => setOne(null)} />
      ) : (
        <>
          <TextField
            label="Whose"
            name="whose"
            value={words}
            onChange={(e) => setWords(e.target.value)}
            autoComplete="off"
          />
          <Pick list={found.data ?? []} onPick={setOne} />
        </>
      )}
    </section>
  );
}

function Pick({ list, onPick }: { list: S['Grower'][]; onPick: (g: S['Grower']) => void }) {
  return (
    <div className="wrap">
      {list.map((g) => (
        <button key={g.id} type="button" className="chip small" onClick={() => onPick(g)} data-grower={g.name}>
          {g.name}, {g.cases}
          {g.contact && <small> {g.contact}</small>}
        </button>
      ))}
    </div>
  );
}

function One({ of, done }: { of: S['Grower']; done: () => void }) {
  const client = useQueryClient();
  const say = useToast();
  const [way, setWay] = useState('');
  const after = (text: string) => {
    say({ text });
    done();
    void client.invalidateQueries();
  };
  const give = useMutation<S['GrowerFile'], Problem>({
    mutationFn: () =>
      unwrap<S['GrowerFile']>(api.GET('/api/v1/growers/export', { params: { query: { person: of.id } } })),
    onSuccess: (file) => {
      const a = document.createElement('a');
      a.href = URL.createObjectURL(new Blob([JSON.stringify(file, null, 1)], { type: 'application/json' }));
      a.download = 'what-is-kept.json';
      a.click();
      URL.revokeObjectURL(a.href);
    },
  });
  const Way = { merge: Merge, split: Split, forget: Forget }[way];
  return (
    <>
      <div className="row mid">
        <b>
          {of.name}
          {of.contact && <span className="quiet"> · {of.contact}</span>}
        </b>
        <Button size="small" onClick={done}>
          Another
        </Button>
      </div>
      <small>
        {of.earlier.map((c) => `${c.plant}, ${dayAndMonth(c.createdAt)}`).join(' · ')}
        {of.cases > of.earlier.length && ` and ${of.cases - of.earlier.length} more`}
      </small>
      <Trouble of={give.error} />
      <div className="wrap">
        <Button variant="outlined" size="small" onClick={() => give.mutate()}>
          Give them what is kept
        </Button>
        <Button variant="outlined" size="small" onClick={() => setWay('merge')} data-do="merge">
          Is the same as…
        </Button>
        {of.cases > 1 && (
          <Button variant="outlined" size="small" onClick={() => setWay('split')} data-do="split">
            Are two people…
          </Button>
        )}
        <Button variant="outlined" size="small" onClick={() => setWay('forget')} data-do="forget-ask">
          Take the person out
        </Button>
      </div>
      {Way && <Way of={of} done={after} />}
    </>
  );
}

type Part = { of: S['Grower']; done: (said: string) => void };

function Merge({ of, done }: Part) {
  const [words, setWords] = useState('');
  const found = useGrowers(words);
  const merge = useMutation<S['CountBody'], Problem, S['Grower']>({
    mutationFn: (g) => unwrap<S['CountBody']>(api.POST('/api/v1/growers/merge', { body: { from: of.id, into: g.id } })),
    onSuccess: (r, g) => done(`${says(r.cases, 'One case is', 'cases are')} under ${g.name} now.`),
  });
  return (
    <div className="stack" data-merge>
      <TextField
        label={`${of.name} is the same as`}
        name="same-as"
        value={words}
        onChange={(e) => setWords(e.target.value)}
        autoComplete="off"
      />
      <Trouble of={merge.error} />
      <Pick list={(found.data ?? []).filter((g) => g.id !== of.id)} onPick={(g) => merge.mutate(g)} />
    </div>
  );
}

function Split({ of, done }: Part) {
  const [chosen, setChosen] = useState<string[]>([]);
  const [name, setName] = useState(of.name);
  const [contact, setContact] = useState('');
  const split = useMutation<S['Grower'], Problem>({
    mutationFn: () =>
      unwrap<S['Grower']>(api.POST('/api/v1/growers/split', { body: { person: of.id, name, contact, cases: chosen } })),
    onSuccess: (g) => done(`${says(g.cases, 'One case is', 'cases are')} another ${g.name}'s now.`),
  });
  return (
    <div className="stack" data-split>
      <Chips
        label="Which are the other person's"
        options={of.earlier.map((c) => ({ id: c.id, name: `${c.number} ${c.plant}` }))}
        value={chosen}
        onChange={setChosen}
        many
        small
      />
      <div className="halves">
        <TextField label="The other's name" name="split-name" value={name} onChange={(e) => setName(e.target.value)} />
        <TextField label="How to reach them" value={contact} onChange={(e) => setContact(e.target.value)} />
      </div>
      <Trouble of={split.error} />
      <Button
        variant="contained"
        disabled={!chosen.length}
        onClick={() => split.mutate()}
        style={{ justifySelf: 'start' }}
        data-do="split-now"
      >
        Part them
      </Button>
    </div>
  );
}

function Forget({ of, done }: Part) {
  const [also, setAlso] = useState<string[]>([]);
  const said = useQuery<S['Mention'][], Problem>({
    queryKey: ['mentions', of.id],
    queryFn: () =>
      unwrap<S['Mention'][]>(api.GET('/api/v1/growers/mentions', { params: { query: { person: of.id } } })),
  });
  const forget = useMutation<S['ForgottenAs'], Problem>({
    mutationFn: () => unwrap<S['ForgottenAs']>(api.POST('/api/v1/growers/forget', { body: { person: of.id, also } })),
    onSuccess: (r) =>
      done(
        [
          `Taken out: ${says(r.cases, 'one case stays', 'cases stay')} without a name; their page is ended and their pictures are gone.`,
          r.exports > 0 &&
            `${says(r.exports, 'One finished file of records was', 'finished files of records were')} taken away.`,
          r.copies > 0 &&
            (r.gone
              ? `${says(r.copies, 'One copy of the desk still holds', 'copies of the desk still hold')} them; the last goes on ${weekday(r.gone)}. Restore none of before.`
              : `${says(r.copies, 'One copy of the desk still holds', 'copies of the desk still hold')} them, and none goes by itself: take them away by hand.`),
        ]
          .filter(Boolean)
          .join(' '),
      ),
  });
  const alone = [...new Set(said.data?.map((m) => m.word))];
  return (
    <div className="stack" data-forget>
      {alone.length > 0 && (
        <>
          <Chips
            label="Stands alone in their cases; take it out as well?"
            options={alone.map((w) => ({ id: w, name: w }))}
            value={also}
            onChange={setAlso}
            many
            small
          />
          <ul className="tight">
            {said.data?.map((m) => (
              <li key={m.case + m.word + m.text}>
                <span className="num">{m.number}</span> “{m.text}”
              </li>
            ))}
          </ul>
        </>
      )}
      <Trouble of={forget.error ?? said.error} />
      <Button
        variant="contained"
        color="error"
        disabled={!said.data}
        onClick={() => forget.mutate()}
        style={{ justifySelf: 'start' }}
        data-do="forget"
      >
        Take {of.name} out of {says(of.cases, 'one case', 'cases')}, for good
      </Button>
    </div>
  );
}
