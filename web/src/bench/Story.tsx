import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import { api, type S, take, type View } from '../api/client';
import { Chips, moment, weekday } from '../ui/bits';
import { useTyped } from '../ui/draft';
import { held, type Tallied } from './act/counts';
import { Pad } from './act/Pad';
import { ChangeTrouble } from './ChangeTrouble';

const words = (t: string) => t.split(/[\s;]+/).filter(Boolean);
/** One number alone is a mean; several are the counts themselves. */
const isMean = (t: string) => words(t).length === 1;

/** What was typed as a recount: what is no number is sent as none, and the desk names the field. */
function recount(f: { before: string; after: string; units: string; checkBefore: string; checkAfter: string }) {
  const side = (name: 'before' | 'after'): Partial<S['Recount']> =>
    words(f[name]).length > 1
      ? { [`${name}Counts`]: words(f[name]).map((w) => Math.round(Number(w.replace(',', '.')))) }
      : { [name]: num(f[name]) };
  const [cb, ca] = [num(f.checkBefore), num(f.checkAfter)];
  return {
    ...side('before'),
    ...side('after'),
    units: num(f.units),
    ...(cb !== undefined ? { checkBefore: cb } : {}),
    ...(ca !== undefined ? { checkAfter: ca } : {}),
  };
}

const num = (t: string) => (t.trim() === '' ? undefined : Number(t.replace(',', '.')));

/** How it went, what comes next, and every step with who and when. */
export function Story({ view }: { view: View }) {
  const { data } = useQuery({
    queryKey: ['story', view.id, view.version],
    queryFn: () => take(api.GET('/api/v1/cases/{id}/story', { params: { path: { id: view.id } } })),
    placeholderData: (old) => old,
  });
  return (
    <div className="two">
      <div className="sheet pad">
        <h2 style={{ marginBottom: 6 }}>The story so far</h2>
        {data?.map((l) => (
          <div className="storyline" key={l.seq} data-kind={l.kind}>
            <small>{moment(l.at)}</small>
            <small>{l.who}</small>
            <span>{l.text}</span>
          </div>
        ))}
      </div>
      <div className="stack">
        {view.handover && view.stage !== 'closed' && <HowItWent view={view} />}
        <Ending view={view} />
      </div>
    </div>
  );
}

type Move = S['RoundBody']['move'];
const moves: Move[] = ['repeat', 'step up', 'switch', 'bring back'];

function HowItWent({ view }: { view: View }) {
  const change = useChange(view.id);
  const { post } = useCaseCalls(view.id);
  const go = useNavigate();
  // The same leaves in the same way as before the round: what was counted then says how.
  const first = view.act?.count;
  const counts = (first && held(first, first.of.includes('marks') ? 'marks' : 'pests')) ?? view.act?.counts ?? [];
  const [form, set, clear] = useTyped(`recount.${view.id}`, {
    tallied: {
      way: first?.quick ? 'with' : 'each',
      of: first?.of ?? ['pests'],
      leaves: [],
      hand: [],
      severity: [],
    } as Tallied,
    before: counts.join(' '),
    after: '',
    units: String(counts.length || 5),
    checkBefore: '',
    checkAfter: '',
    note: '',
  });
  const field = (k: Exclude<keyof typeof form, 'tallied'>, label: string, name?: string) => (
    <TextField label={label} name={name} value={form[k]} onChange={(e) => set({ [k]: e.target.value })} />
  );
  const count = (change: (old: Tallied) => Tallied) =>
    set((now) => {
      const tallied = change(now.tallied);
      const found = held(tallied, tallied.of.includes('marks') ? 'marks' : 'pests') ?? [];
      return { tallied, after: found.join(' ') };
    });
  const last = view.followUps.at(-1);
  const send = (body: S['FollowUpInput']) =>
    change.mutate(post('/api/v1/cases/{id}/followup', body), { onSuccess: clear });
  const round = (move: Move) =>
    change.mutate(post('/api/v1/cases/{id}/round', { move }), {
      onSuccess: () =>
        go(
          `/bench/${view.id}/${{ repeat: 'days', 'step up': 'remedy', switch: 'remedy', 'bring back': 'look' }[move] ?? 'look'}`,
        ),
    });
  const named: Record<string, string> = {
    done: 'It is done',
    repeat: 'Repeat a round',
    'step up': 'Go one rung up',
    switch: 'Change the way of killing',
    'bring back': 'Bring it back',
    refer: 'Send it on',
    call: 'Telephone',
  };
  return (
    <div className="sheet pad stack">
      <div className="row">
        <h2>How did it go?</h2>
        <small>{view.askOn ? `ask on ${weekday(view.askOn)}` : 'asked'}</small>
      </div>
      {last?.result && (
        <div className={last.result.word === 'better' ? 'notice pond' : 'notice'} data-result={last.result.word}>
          <b>{last.result.text}</b> {last.next?.why}
        </div>
      )}
      {last?.word && last.next && (
        <div className="notice pond" data-told={last.word}>
          <b>They say: {last.word === 'same' ? 'much the same' : last.word}.</b> {last.next.why}
        </div>
      )}
      {last?.next && last.next.move === 'call' && <div className="notice brick">{last.next.why}</div>}
      <fieldset>
        <legend>In a word, as they tell it</legend>
        <div className="chips">
          {(['gone', 'better', 'same', 'worse'] as const).map((word) => (
            <button
              type="button"
              className="chip"
              key={word}
              data-went={word}
              onClick={() => send({ word, note: form.note })}
            >
              {word === 'same' ? 'much the same' : word}
            </button>
          ))}
        </div>
      </fieldset>
      <form
        className="form"
        onSubmit={(e) => {
          e.preventDefault();
          send({ ...(form.after.trim() ? { count: recount(form) } : {}), note: form.note });
        }}
      >
        {field('before', 'Before: a number for each leaf, or the mean', 'before')}
        <Pad of={form.tallied} set={count} unit="leaf" ways={false} typed={false} />
        {field('after', 'Now: a number for each leaf, or the mean', 'after')}
        {(isMean(form.before) || isMean(form.after) || form.checkBefore) &&
          field('units', 'Leaves the mean is of', 'units')}
        <div className="halves">
          {field('checkBefore', 'Untreated neighbour before')}
          {field('checkAfter', 'and now')}
        </div>
        {field('note', 'What they say', 'told')}
        <ChangeTrouble id={view.id} change={change} />
        <div className="wrap">
          <Button type="submit" variant="contained" disabled={change.isPending} data-do="recount">
            Judge it
          </Button>
          <Button variant="outlined" onClick={() => send({ silent: true })}>
            No answer
          </Button>
        </div>
      </form>
      {last?.next && last.next.move !== 'call' && (
        <div className="stack" style={{ gap: 6 }}>
          <span className="lab">Next: {named[last.next.move]?.toLowerCase()}</span>
          <div className="wrap">
            {moves.map((m) => (
              <Button
                key={m}
                size="small"
                variant={m === last.next?.move ? 'contained' : 'outlined'}
                onClick={() => round(m)}
                data-move={m}
              >
                {named[m]}
              </Button>
            ))}
          </div>
        </div>
      )}
    </div>
  );
}

type Outcome = S['CloseBody']['outcome'];
const outcomes: Outcome[] = ['better', 'cleared', 'no change', 'lost', 'referred', 'unknown'];

function Ending({ view }: { view: View }) {
  const change = useChange(view.id);
  const { post } = useCaseCalls(view.id);
  const [picked, setOutcome] = useState<Outcome | ''>('');
  // Nothing is chosen for anybody: a case closed by one click too many is a grower forgotten.
  const outcome = picked || (view.followUps.at(-1)?.result?.word === 'better' ? 'better' : '');
  const [{ note }, set, clear] = useTyped(`closing.${view.id}`, { note: '' });
  if (view.closing)
    return (
      <div className="sheet pad stack">
        <h2>Closed: {view.closing.outcome}</h2>
        <p className="quiet">
          {moment(view.closing.at)} by {view.closing.by}. {view.closing.note}
        </p>
        <Button variant="outlined" onClick={() => change.mutate(post('/api/v1/cases/{id}/reopen', {}))}>
          Open it again
        </Button>
      </div>
    );
  return (
    <form
      className="sheet pad form"
      onSubmit={(e) => {
        e.preventDefault();
        change.mutate(post('/api/v1/cases/{id}/close', { outcome: outcome as Outcome, note }), { onSuccess: clear });
      }}
    >
      <h2>Close the case</h2>
      <Chips
        label="What came of it"
        options={outcomes.map((id) => ({ id, name: id }))}
        value={outcome ? [outcome] : []}
        onChange={(v) => setOutcome((v[0] ?? '') as Outcome | '')}
        small
      />
      <TextField label="A last word" value={note} onChange={(e) => set({ note: e.target.value })} />
      <ChangeTrouble id={view.id} change={change} />
      <Button type="submit" variant="outlined" disabled={!outcome} data-do="close">
        Close it
      </Button>
    </form>
  );
}
