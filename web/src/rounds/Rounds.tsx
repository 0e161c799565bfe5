import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useCase, useSession } from '../api/hooks';
import { ChangeTrouble } from '../parts/ChangeTrouble';
import { Ending } from '../parts/Ending';
import { HowItWent } from '../parts/HowItWent';
import { Messages } from '../parts/Messages';
import { WhoseCase } from '../parts/WhoseCase';
import { arrows, Chips, Trouble } from '../ui/bits';
import { KeyLine, useKeys } from '../ui/keys';
import { useToast } from '../ui/toast';
import { AllRounds } from './AllRounds';
import { RoundsTables } from './RoundsTables';

export const kinds: Record<string, { name: string; why: string }> = {
  answered: { name: 'Answered', why: 'told on their own page' },
  call: { name: 'Telephone', why: 'two without an answer' },
  boss: { name: 'For the coordinator', why: 'a regulated suspect: ask the authority how it stands' },
  late: { name: 'Late', why: 'should have been asked before today' },
  due: { name: 'Today', why: 'to be asked today' },
  decide: { name: 'To decide', why: 'heard, and no next step taken' },
  moved: { name: 'Moved by the weather', why: 'may not have read it' },
  soon: { name: 'Soon', why: 'in the next days' },
};

/** Everybody to be asked how it went, the most pressing first; gone through by keys. */
export default function Rounds() {
  const { id } = useParams();
  const session = useSession();
  const go = useNavigate();
  const { data, error } = useQuery<S['Rounds'], Problem>({
    queryKey: ['rounds'],
    queryFn: () => unwrap<S['Rounds']>(api.GET('/api/v1/rounds')),
  });
  const me = session.data?.person.id;
  const [mine, setMine] = useState('all');
  const rows = (data?.rows ?? []).filter((r) => mine === 'all' || r.keeper === me || r.id === id);
  const at = Math.max(
    0,
    rows.findIndex((r) => r.id === id),
  );
  const row = rows.find((r) => r.id === id) ?? (id ? undefined : rows[0]);
  const open = row?.id ?? id ?? '';
  const { data: view, refetch } = useCase(open);
  // What was told meanwhile is in the queue before it is in the case as it was last seen here.
  const older = !!row && !!view && view.id === row.id && view.version < row.version;
  useEffect(() => {
    if (older) void refetch();
  }, [older, refetch]);
  const change = useChange(open);
  const { post } = useCaseCalls(open);
  const say = useToast();
  const to = (n: number) => {
    const next = rows[Math.max(0, Math.min(rows.length - 1, n))];
    if (next) go(`/rounds/${next.id}`);
  };
  const advised = view?.followUps.at(-1)?.next?.move;
  const mayTake = !!advised && !['call', 'refer'].includes(advised) && view?.stage !== 'closed' && !!view?.handover;
  const takeNext = () =>
    change.mutate(post('/api/v1/cases/{id}/next', {}), {
      onSuccess: (v) => {
        if (v.closing) {
          say({ text: `Closed: ${v.closing.outcome}.` });
          to(at + 1);
          return;
        }
        const step = { repeat: 'handover', 'step up': 'remedy', switch: 'remedy', 'bring back': 'look' }[advised ?? ''];
        say({
          text: advised === 'repeat' ? 'The next round has its days: hand the new page over.' : 'Back on the bench.',
        });
        go(`/bench/${v.id}/${step ?? 'look'}`);
      },
    });
  // Whoever is worked on stays in hand, though the queue puts them elsewhere: what was judged is read before the next.
  const stay = () => open && go(`/rounds/${open}`, { replace: true });
  useKeys([
    { key: 'ArrowDown', does: 'next', run: () => to(at + 1) },
    { key: 'ArrowUp', does: 'back', hidden: true, run: () => to(at - 1) },
    ...(mayTake ? [{ key: 'y', does: `take it: ${advised}`, run: takeNext }] : []),
    ...(open ? [{ key: 'b', does: 'on the bench', run: () => go(`/bench/${open}/story`) }] : []),
  ]);
  return (
    <>
      <main id="room">
        <h1>Rounds</h1>
        <RoundsTables at="queue" />
        <Trouble of={error} />
        {data && rows.length === 0 && !id && (
          <div className="sheet pad stack">
            <p>
              {mine === 'mine' && data.rows.length > 0
                ? 'None of yours is due.'
                : 'Nobody is due. What is handed over comes up here on its day.'}
            </p>
            {mine === 'mine' && data.rows.length > 0 && (
              <button
                type="button"
                className="chip small"
                onClick={() => setMine('all')}
                style={{ justifySelf: 'start' }}
              >
                Show everybody’s, {data.rows.length}
              </button>
            )}
          </div>
        )}
        {(rows.length > 0 || (id && view)) && (
          <div className="two roundsroom">
            <div className="stack">
              <Chips
                label="Whose"
                options={[
                  { id: 'all', name: 'everybody’s' },
                  { id: 'mine', name: 'mine' },
                ]}
                value={[mine]}
                onChange={(v) => setMine(v[0] ?? 'all')}
                small
              />
              <Queue rows={rows} at={row?.id ?? ''} more={data?.more ?? 0} />
            </div>
            {view && view.id === open && (
              <div className="stack" data-round-case={view.number} key={view.id}>
                {row && <Script row={row} view={view} />}
                {view.page && view.stage !== 'closed' && (
                  <div className="sheet pad">
                    <Messages view={view} kind="ask" />
                  </div>
                )}
                {mayTake && (
                  <div className="sheet pad stack" data-advised={advised}>
                    <ChangeTrouble id={view.id} change={change} />
                    <button type="button" className="chip primary" onClick={takeNext} data-do="take-next">
                      Take it: {moveNames[advised ?? ''] ?? advised} <kbd>y</kbd>
                    </button>
                  </div>
                )}
                {view.handover && view.stage !== 'closed' && <HowItWent view={view} onTold={stay} />}
                {view.followUps.some((f) => f.result) && <AllRounds of={view.followUps} />}
                {view.followUps.length > 0 && <Ending view={view} />}
              </div>
            )}
          </div>
        )}
      </main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}

export const moveNames: Record<string, string> = {
  done: 'it is done, close it',
  repeat: 'repeat a round, its days set',
  'step up': 'one rung up',
  switch: 'another way of killing',
  'bring back': 'bring it back',
};

function Queue({ rows, at, more }: { rows: S['RoundRow'][]; at: string; more: number }) {
  const on = useRef<HTMLAnchorElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the one in hand is kept in sight
  useEffect(() => {
    on.current?.scrollIntoView({ block: 'nearest' });
  }, [at]);
  const groups = Object.keys(kinds)
    .map((k) => ({ k, list: rows.filter((r) => r.kind === k) }))
    .filter((g) => g.list.length);
  return (
    <div className="sheet pad stack queue" data-queue={rows.length}>
      {groups.map(({ k, list }) => (
        <section key={k} aria-label={kinds[k]?.name}>
          <h2>
            {kinds[k]?.name} <small>{list.length}</small>
          </h2>
          {/* biome-ignore lint/a11y/noStaticElementInteractions: arrows go through what can be opened */}
          <div onKeyDown={(e) => arrows(e, 'a')}>
            {list.map((r) => (
              <Link
                key={r.id}
                ref={r.id === at ? on : undefined}
                to={`/rounds/${r.id}`}
                className={r.id === at ? 'ask on' : 'ask'}
                aria-current={r.id === at ? 'true' : undefined}
                data-row={r.number}
              >
                <span className="num">{r.number}</span>
                <span>
                  <b>{r.grower}</b>, {r.plant}
                  <small style={{ display: 'block' }}>
                    {r.what}
                    {r.told && `; “${r.told}”`}
                  </small>
                </span>
                <small>{k === 'moved' ? kinds.moved?.why : r.when}</small>
              </Link>
            ))}
          </div>
        </section>
      ))}
      {more > 0 && <small>and {more} more that are due, when these are done</small>}
    </div>
  );
}

/** Whom to reach, what was done, and the three questions that matter. */
function Script({ row, view }: { row: S['RoundRow']; view: S['View'] }) {
  const counted = view.act?.counts ?? [];
  const signs = counted.length
    ? `Count ${counted.length} leaves again, as before: ${counted.join(', ')} then. How many now?`
    : 'Is there less of it than then, as much, or more?';
  const done = view.days?.on.length
    ? `Was everything done: ${view.days.on.length === 1 ? 'the one treatment' : `all ${view.days.on.length} treatments`}, and on the days?`
    : 'Was everything done that is on the page?';
  return (
    <div className="sheet pad stack" data-script>
      <div className="row mid">
        <h2>
          {row.grower}: {row.plant}
        </h2>
        <Link to={`/bench/${view.id}/story`}>{view.number}</Link>
      </div>
      <WhoseCase view={view} />
      <p>
        <b>{row.contact || 'no way to reach them is written down'}</b>
        {row.silent ? ` · ${row.silent} without an answer` : ''} · {row.what} · {kinds[row.kind]?.why}
      </p>
      {row.told && (
        <div className="notice pond">
          They told: <b>{row.told}</b>
        </div>
      )}
      <ol className="tight">
        <li>{done}</li>
        <li>{signs}</li>
        <li>Did anything look hurt by it: leaves, people, pets?</li>
      </ol>
    </div>
  );
}
