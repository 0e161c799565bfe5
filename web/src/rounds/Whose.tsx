import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useMay, useSession } from '../api/hooks';
import { useWorkload } from '../parts/WhoseCase';
import { shortDay, Trouble } from '../ui/bits';
import { KeyLine } from '../ui/keys';
import { useToast } from '../ui/toast';
import { RoundsTables } from './RoundsTables';

/** Who has what in hand, who is away, and what waits with them. */
export default function Whose() {
  const session = useSession();
  const { data, error } = useWorkload();
  const me = session.data?.person;
  const most = Math.max(1, ...(data ? [...data.people, data.nobodys].map((p) => p.bench + p.out) : []));
  return (
    <>
      <main id="room">
        <h1>Rounds</h1>
        <RoundsTables at="whose" />
        <Trouble of={error} />
        {data && data.uncaught > 0 && (
          <div className="notice" style={{ marginBottom: 12 }} data-uncaught={data.uncaught}>
            <b>{data.uncaught === 1 ? 'One grower is' : `${data.uncaught} growers are`} due</b> whose advisor is not
            there today. Ask them from the queue, or give the cases to somebody.
          </div>
        )}
        <div className="whosegrid">
          {data &&
            [...data.people, ...(data.nobodys.bench + data.nobodys.out ? [data.nobodys] : [])].map((p) => (
              <Hand key={p.id || 'nobody'} of={p} all={data.people} me={me} most={most} />
            ))}
        </div>
      </main>
      <KeyLine end={me?.name} />
    </>
  );
}

function Hand({ of, all, me, most }: { of: S['Load']; all: S['Load'][]; me?: S['Person']; most: number }) {
  const client = useQueryClient();
  const say = useToast();
  const allowed = useMay();
  const may =
    allowed("give somebody cases that are another's") ||
    me?.id === of.id ||
    (of.id === '' && allowed("give somebody cases that are nobody's"));
  const renew = () => void client.invalidateQueries();
  const give = useMutation<S['CountBody'], Problem, string>({
    mutationFn: (to) => unwrap<S['CountBody']>(api.POST('/api/v1/workload/give', { body: { from: of.id, to } })),
    onSuccess: (r) => {
      say({ text: r.cases === 1 ? 'One case was given.' : `${r.cases} cases were given.` });
      renew();
    },
  });
  const back = useMutation<S['Workload'], Problem, string>({
    mutationFn: (first) =>
      unwrap<S['Workload']>(api.POST('/api/v1/workload/away/end', { body: { account: of.id, first } })),
    onSuccess: renew,
  });
  return (
    <section className="sheet pad stack" data-hand={of.name} aria-label={of.name}>
      <div className="row mid">
        <h2>{of.id ? of.name : 'Nobody’s'}</h2>
        {of.awayToday ? <b className="away">away</b> : <small>{of.role}</small>}
      </div>
      <svg
        viewBox="0 0 300 16"
        className="loadbar"
        role="img"
        preserveAspectRatio="none"
        aria-label={`${of.bench} on the bench, ${of.due} to be asked today, ${of.out - of.due} out and not due`}
      >
        <rect className="b" width={(300 * of.bench) / most} height="16" />
        <rect className="d" x={(300 * of.bench) / most} width={(300 * of.due) / most} height="16" />
        <rect
          className="o"
          x={(300 * (of.bench + of.due)) / most}
          width={(300 * (of.out - of.due)) / most}
          height="16"
        />
      </svg>
      <small>
        <i className="key b" /> {of.bench} on the bench · <i className="key d" /> {of.due} to ask today ·{' '}
        <i className="key o" /> {of.out - of.due} out
      </small>
      {of.away.map((a) => (
        <div key={a.first} className="row mid">
          <small>
            away {shortDay(a.first)} to {shortDay(a.last)}
          </small>
          {may && (
            <Button size="small" onClick={() => back.mutate(a.first)}>
              Take back
            </Button>
          )}
        </div>
      ))}
      {of.cases.length > 0 && (
        <details>
          <summary>{of.cases.length === 1 ? 'the case' : `the ${of.cases.length} cases`}</summary>
          <ul className="tight plainlist">
            {of.cases.map((c) => (
              <li key={c.id}>
                <Link to={`/bench/${c.id}`}>
                  <span className="num">{c.number}</span> {c.plant}
                </Link>
                <small>
                  {' '}
                  {c.grower}, {c.what}
                </small>
              </li>
            ))}
          </ul>
        </details>
      )}
      <Trouble of={give.error ?? back.error} />
      {may && (
        <div className="wrap">
          {of.cases.length > 0 && (
            <TextField
              select
              size="small"
              className="giveall"
              value=""
              onChange={(e) => give.mutate(e.target.value)}
              slotProps={{
                htmlInput: { 'aria-label': `Give all cases of ${of.name || 'nobody'} to` },
                select: { displayEmpty: true, renderValue: () => 'Give all to…' },
              }}
            >
              {all
                .filter((p) => p.id !== of.id)
                .map((p) => (
                  <MenuItem key={p.id} value={p.id} disabled={p.awayToday}>
                    {p.name}
                  </MenuItem>
                ))}
            </TextField>
          )}
          {of.id && <AwayForm of={of} onDone={renew} />}
        </div>
      )}
    </section>
  );
}

function AwayForm({ of, onDone }: { of: S['Load']; onDone: () => void }) {
  const [days, setDays] = useState<{ first: string; last: string } | null>(null);
  const keep = useMutation<S['Workload'], Problem>({
    mutationFn: () =>
      unwrap<S['Workload']>(
        api.POST('/api/v1/workload/away', {
          body: { account: of.id, first: days?.first ?? '', last: days?.last ?? '' },
        }),
      ),
    onSuccess: () => {
      setDays(null);
      onDone();
    },
  });
  if (!days)
    return (
      <Button size="small" onClick={() => setDays({ first: '', last: '' })} data-do="away">
        Days away
      </Button>
    );
  const field = (k: 'first' | 'last', label: string) => (
    <TextField
      type="date"
      size="small"
      label={label}
      name={k}
      value={days[k]}
      onChange={(e) => setDays({ ...days, [k]: e.target.value })}
      error={!!keep.error?.field(k)}
      helperText={keep.error?.field(k)}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
  return (
    <form
      className="wrap"
      onSubmit={(e) => {
        e.preventDefault();
        keep.mutate();
      }}
    >
      {field('first', 'From')}
      {field('last', 'Until, with it')}
      <Button type="submit" variant="contained" size="small" disabled={!days.first || !days.last}>
        Keep
      </Button>
      <Button size="small" onClick={() => setDays(null)}>
        Not now
      </Button>
    </form>
  );
}
