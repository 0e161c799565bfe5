import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import type { S, View } from '../api/client';
import { weekday } from '../ui/bits';
import { useTyped } from '../ui/draft';
import { ChangeTrouble } from './ChangeTrouble';
import { eligible, type Tallied } from './count/counts';
import { Pad } from './count/Pad';

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

type Move = S['RoundBody']['move'];
const moves: Move[] = ['repeat', 'step up', 'switch', 'bring back'];

/** What the grower tells: a word, a recount on the same pad, silence; and what is advised next. */
export function HowItWent({ view, onTold }: { view: View; onTold?: () => void }) {
  const change = useChange(view.id);
  const { post } = useCaseCalls(view.id);
  const go = useNavigate();
  // The same leaves in the same way as before the round: what was counted then says how.
  const first = view.act?.count;
  const counts = (first && eligible(first, first.of.includes('marks') ? 'marks' : 'pests')) ?? view.act?.counts ?? [];
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
      const found = eligible(tallied, tallied.of.includes('marks') ? 'marks' : 'pests') ?? [];
      return { tallied, after: found.join(' ') };
    });
  const last = view.followUps.at(-1);
  const send = (body: S['FollowUpInput']) => {
    onTold?.();
    change.mutate(post('/api/v1/cases/{id}/followup', body), { onSuccess: clear });
  };
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
