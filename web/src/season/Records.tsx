import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useMay } from '../api/hooks';
import { Chips, moment, Trouble } from '../ui/bits';
import { BringIn } from './BringIn';
import { casesOf } from './links';

type What = S['ExportInput']['what'];

/** Records that move: out as tables, bundle or archive, in from another desk or an old card index. */
export function Records() {
  const may = useMay();
  if (!may('take tables without people out')) return <p>Advisors and the coordinator take records out and in.</p>;
  const boss = may('bring records or sheets in, and take them out again');
  return (
    <div className="two">
      <div className="stack">
        <TakeOut boss={boss} />
        <Work />
      </div>
      <div className="stack">
        {boss && <BringIn />}
        {boss && <Brought />}
      </div>
    </div>
  );
}

const kinds: { id: What; name: string; boss?: boolean; says: string }[] = [
  { id: 'cases', name: 'Cases', says: 'CSV, one row a case.' },
  { id: 'looks', name: 'Looks', says: 'CSV, one row for each line looked at.' },
  { id: 'treatments', name: 'Treatments', says: 'CSV, one row for each remedy on each day.' },
  {
    id: 'bundle',
    name: 'The whole desk',
    boss: true,
    says: 'A zip of open JSON with stories, pictures and house rules, each file with its checksum; another desk takes it in. It holds names and addresses. Passwords and private addresses of calendars stay here.',
  },
  {
    id: 'darwin-core',
    name: 'Occurrences',
    boss: true,
    says: 'A Darwin Core archive of what was settled on which plant and when, for biodiversity records. Nobody is named in it.',
  },
];

function TakeOut({ boss }: { boss: boolean }) {
  const client = useQueryClient();
  const [what, setWhat] = useState<What>('cases');
  const [people, setPeople] = useState(false);
  const [license, setLicense] = useState('CC-BY-4.0');
  const [coarse, setCoarse] = useState('desk');
  const out = useMutation<S['Job'], Problem>({
    mutationFn: () =>
      unwrap<S['Job']>(
        api.POST('/api/v1/records/export', {
          body: {
            what,
            ...(people && { people }),
            ...(what === 'darwin-core' && { license: license as 'CC-BY-4.0', coarse: coarse as 'desk' }),
          },
        }),
      ),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['jobs'] }),
  });
  const kind = kinds.find((k) => k.id === what);
  return (
    <section className="sheet pad stack" data-take-out>
      <h2>Take out</h2>
      <Chips
        label="What"
        options={kinds.filter((k) => boss || !k.boss)}
        value={[what]}
        onChange={(v) => setWhat((v[0] ?? 'cases') as What)}
      />
      <p className="quiet">{kind?.says}</p>
      {boss && kind && !kind.boss && what === 'cases' && (
        <FormControlLabel
          control={<Checkbox checked={people} onChange={(e) => setPeople(e.target.checked)} />}
          label="with names and addresses"
        />
      )}
      {what === 'darwin-core' && (
        <>
          <Chips
            label="Others may use it under"
            options={[
              { id: 'CC0-1.0', name: 'no conditions (CC0)' },
              { id: 'CC-BY-4.0', name: 'naming the desk (CC BY)' },
              { id: 'CC-BY-NC-4.0', name: 'naming it, not for profit (CC BY-NC)' },
            ]}
            value={[license]}
            onChange={(v) => setLicense(v[0] ?? 'CC-BY-4.0')}
            small
          />
          <Chips
            label="It says where"
            options={[
              { id: 'desk', name: 'the district as a whole' },
              { id: 'square', name: 'the square' },
              { id: 'none', name: 'nothing' },
            ]}
            value={[coarse]}
            onChange={(v) => setCoarse(v[0] ?? 'desk')}
            small
          />
        </>
      )}
      <Trouble of={out.error} />
      <div className="wrap">
        <Button variant="contained" onClick={() => out.mutate()} disabled={out.isPending} data-do="export">
          Write the file
        </Button>
        <small>
          To take out only some, <Link to="/season/find">find them</Link> first.
        </small>
      </div>
      <Columns what={what} />
    </section>
  );
}

function Columns({ what }: { what: What }) {
  const { data } = useQuery<S['Table'][], Problem>({
    queryKey: ['record-tables'],
    queryFn: () => unwrap<S['Table'][]>(api.GET('/api/v1/records')),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const t = data?.find((x) => x.name === what);
  if (!t) return null;
  return (
    <details>
      <summary>
        its {t.columns.length} columns: a row is {t.row}
      </summary>
      <table className="lines">
        <tbody>
          {t.columns.map((c) => (
            <tr key={c.name}>
              <th scope="row" className="num">
                {c.name}
              </th>
              <td>
                {c.doc}
                {c.unit && <small> · {c.unit}</small>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

/** Long work: how far it is, what came of it, and its file. */
function Work() {
  const client = useQueryClient();
  const { data } = useQuery<S['Job'][], Problem>({
    queryKey: ['jobs'],
    queryFn: () => unwrap<S['Job'][]>(api.GET('/api/v1/jobs')),
    refetchInterval: (q) => (q.state.data?.some((j) => j.state === 'running') ? 700 : false),
  });
  const stop = useMutation<S['Job'][], Problem, string>({
    mutationFn: (id) => unwrap<S['Job'][]>(api.DELETE('/api/v1/jobs/{id}', { params: { path: { id } } })),
    onSuccess: (list) => {
      client.setQueryData(['jobs'], list);
      void client.invalidateQueries();
    },
  });
  if (!data?.length) return null;
  return (
    <section className="sheet pad stack" data-jobs={data.length}>
      <h2>Going on and done</h2>
      {data.map((j) => (
        <div key={j.id} className="jobline" data-job={j.state}>
          <div className="row mid">
            <b>{j.name}</b>
            {j.state === 'running' ? (
              <Button size="small" onClick={() => stop.mutate(j.id)}>
                Cancel
              </Button>
            ) : j.file ? (
              <Button size="small" variant="outlined" component="a" href={`/files/${j.id}`} download={j.name}>
                Fetch
              </Button>
            ) : (
              <small>{j.state}</small>
            )}
          </div>
          {j.state === 'running' ? (
            <progress
              max={j.total || 1}
              value={j.total ? j.done : undefined}
              aria-label={`${j.name}: ${j.done} of ${j.total}`}
            />
          ) : (
            <small>{j.said}</small>
          )}
          {j.import && <CameOf of={j.import} />}
        </div>
      ))}
    </section>
  );
}

function CameOf({ of }: { of: S['Imported'] }) {
  const lists = [
    ['Here already and otherwise; ours stay', of.conflicts],
    ['With another number', of.renamed],
    ['House documents taken over', of.taken],
    ['Not taken', of.refusals?.map((r) => `line ${r.line}: ${r.text}`)],
  ] as const;
  return (
    <>
      {of.same ? <small> {of.same} were here already, as they are.</small> : null}
      {lists.map(([name, list]) =>
        list?.length ? (
          <details key={name}>
            <summary>
              {name}: {name === 'Not taken' ? of.refused : list.length}
            </summary>
            <ul className="tight">
              {list.map((x) => (
                <li key={x}>{x}</li>
              ))}
            </ul>
          </details>
        ) : null,
      )}
    </>
  );
}

/** What was brought in, to be taken out again as a whole. */
function Brought() {
  const client = useQueryClient();
  const [sure, setSure] = useState('');
  const { data } = useQuery<S['ImportBatch'][], Problem>({
    queryKey: ['imports'],
    queryFn: () => unwrap<S['ImportBatch'][]>(api.GET('/api/v1/imports')),
  });
  const undo = useMutation<S['Undone'], Problem, string>({
    mutationFn: (id) => unwrap<S['Undone']>(api.POST('/api/v1/imports/{id}/undo', { params: { path: { id } } })),
    onSuccess: () => {
      setSure('');
      void client.invalidateQueries();
    },
  });
  const list = data?.filter((b) => b.cases > 0 || !b.undone || b.torn);
  if (!list?.length) return null;
  return (
    <section className="sheet pad stack" data-brought={list.length}>
      <h2>Brought in before</h2>
      <Trouble of={undo.error} />
      {undo.data && (
        <div className="notice pond" data-undone={undo.data.gone}>
          {undo.data.gone} went out again.
          {undo.data.stay.length > 0 && ` ${undo.data.stay.join(', ')} stay: somebody worked on them since.`}
        </div>
      )}
      {list.map((b) => (
        <div key={b.id} className="row mid" data-batch={b.name}>
          <span>
            <Link to={casesOf({ import: b.id })}>{b.name}</Link>{' '}
            <small>
              {b.cases} cases, {b.who}, {moment(b.at)}
            </small>
          </span>
          {b.torn ? (
            <small data-torn>broken off when the program stopped; taken out again. Bring it once more.</small>
          ) : b.undone ? (
            <small>taken out again</small>
          ) : sure === b.id ? (
            <Button
              size="small"
              variant="contained"
              color="error"
              onClick={() => undo.mutate(b.id)}
              data-do="undo-import"
            >
              Take all of it out
            </Button>
          ) : (
            <Button size="small" onClick={() => setSure(b.id)} data-do="undo-ask">
              Undo
            </Button>
          )}
        </div>
      ))}
    </section>
  );
}
