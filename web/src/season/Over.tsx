import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useAddress } from '../ui/address';
import { Chips, shortDay, Trouble } from '../ui/bits';
import { useKeys } from '../ui/keys';
import { Arrivals } from './Arrivals';
import { Bands } from './Bands';
import { District } from './District';
import { casesOf, later, minutes, per100 } from './links';
import { Mistaken, Plants, WhatWorked } from './Tables';

/** What came in over some weeks, what was done, and what came of it; one page when printed. */
export function Over() {
  const [params, set] = useAddress({ replace: false });
  const from = params.get('from') ?? '';
  const to = params.get('to') ?? '';
  const { data, error } = useQuery<S['Season'], Problem>({
    queryKey: ['season', from, to],
    queryFn: () =>
      unwrap<S['Season']>(
        api.GET('/api/v1/season', { params: { query: { ...(from && { from }), ...(to && { to }) } } }),
      ),
    placeholderData: (old) => old,
    retry: false,
  });
  useKeys([{ key: 'p', does: 'print', run: () => window.print() }]);
  const today = new Date().toISOString().slice(0, 10);
  const spans = [
    { id: '', name: 'a year', from: '', to: '' },
    { id: 'this', name: 'this year', from: `${today.slice(0, 4)}-01-01`, to: today },
    { id: 'eight', name: 'eight weeks', from: later(today, -55), to: today },
  ];
  const span = spans.find((s) => s.from === from && s.to === to)?.id ?? 'own';
  return (
    <>
      <div className="wrap noprint seasonbar">
        <Chips
          label="Which weeks"
          options={[...spans, ...(span === 'own' ? [{ id: 'own', name: 'these' }] : [])]}
          value={[span]}
          onChange={(v) => {
            const s = spans.find((x) => x.id === v[0]);
            if (s) set({ from: s.from, to: s.to });
          }}
          small
        />
        {data &&
          (['from', 'to'] as const).map((k) => (
            <TextField
              key={k}
              type="date"
              size="small"
              name={k}
              label={k === 'from' ? 'From' : 'To, with it'}
              value={k === 'from' ? from || data.from : to || data.to}
              onChange={(e) => set({ [k]: e.target.value })}
              error={!!error?.field(k)}
              helperText={error?.field(k)}
              slotProps={{ inputLabel: { shrink: true } }}
            />
          ))}
        <Button variant="outlined" onClick={() => window.print()}>
          Print&nbsp;<kbd>p</kbd>
        </Button>
      </div>
      {error && error.errors.length === 0 && <Trouble of={error} />}
      {data && <Report of={data} />}
    </>
  );
}

function Report({ of }: { of: S['Season'] }) {
  const range = { from: of.from, to: of.to };
  const more = of.before ? of.n - of.before : 0;
  return (
    <article className="season" data-season={of.n}>
      <header className="row">
        <h2>
          {of.desk}: {shortDay(of.from)} {of.from.slice(0, 4)} to {shortDay(of.to)} {of.to.slice(0, 4)}
        </h2>
      </header>
      <ul className="figures">
        <li>
          <b className="num">
            <Link to={casesOf(range)}>{of.n}</Link>
          </b>
          <small>
            samples
            {of.before > 0 && `, ${Math.abs(more)} ${more < 0 ? 'fewer' : 'more'} than a year before`}
          </small>
        </li>
        <li>
          <b className="num">
            <Link to={casesOf({ ...range, degree: 'undetermined' })}>{of.unknown}</Link>
          </b>
          <small>undetermined{of.n > 0 && `, ${per100(of.unknown / of.n)}`}</small>
        </li>
        {of.waits.n > 0 && (
          <li>
            <b className="num">{minutes(of.waits.median)}</b>
            <small>
              from bag to page for half, {minutes(of.waits.nineTen)} for nine in ten ({of.waits.n})
            </small>
          </li>
        )}
      </ul>
      {of.surges.map((s) => (
        <div key={s.cause} className="notice" data-surge={s.cause}>
          <b>
            <Link to={casesOf({ cause: s.cause, from: later(of.to, 1 - 7 * s.weeks), to: of.to })}>
              {s.n} of {s.name.toLowerCase()}
            </Link>{' '}
            in {s.weeks === 1 ? 'a week' : 'two weeks'}.
          </b>{' '}
          {s.usual.toFixed(s.usual < 10 ? 1 : 0)} would be usual; so many come by chance{' '}
          {s.chance < 1e-6
            ? 'less than once in a million weeks'
            : `once in ${Math.round(1 / s.chance).toLocaleString('en-GB')} weeks`}
          .
        </div>
      ))}
      <div className="seasongrid">
        <Bands of={of} />
        <District of={of} />
        <Arrivals of={of} />
        <Plants of={of} />
        <WhatWorked of={of} />
        <Mistaken of={of} />
      </div>
    </article>
  );
}
