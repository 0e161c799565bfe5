import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap } from '../api/client';
import { moment, Trouble } from '../ui/bits';
import { useTyped } from '../ui/draft';
import { useToast } from '../ui/toast';

const size = (b: number) => (b > 1 << 20 ? `${(b / (1 << 20)).toFixed(1)} MB` : `${Math.ceil(b / 1024)} kB`);

/** How the desk's file and its copies stand; when it is copied by itself. For the coordinator. */
export function Keeping() {
  const client = useQueryClient();
  const say = useToast();
  const { data, error } = useQuery<S['FileHealth'], Problem>({
    queryKey: ['keeping'],
    queryFn: () => unwrap<S['FileHealth']>(api.GET('/api/v1/keeping')),
  });
  const renew = () => void client.invalidateQueries({ queryKey: ['keeping'] });
  const now = useMutation<S['Backup'], Problem>({
    mutationFn: () => unwrap<S['Backup']>(api.POST('/api/v1/keeping/now')),
    onSuccess: (b) => {
      say({ text: `Copied and looked over: ${b.file}.` });
      renew();
    },
  });
  const check = useMutation<S['Checked'], Problem>({
    mutationFn: () => unwrap<S['Checked']>(api.POST('/api/v1/keeping/check')),
  });
  if (!data) return <Trouble of={error} />;
  const last = data.backups.find((b) => !b.trouble);
  return (
    <section className="sheet pad stack" data-keeping={data.backups.length}>
      <h2>The desk's file</h2>
      <p>
        {size(data.bytes)}: {data.cases} cases with {data.lines.toLocaleString('en-GB')} lines of story, {data.photos}{' '}
        pictures, {data.people} growers. Herbarium: {data.book.causes} causes, {data.book.remedies} remedies
        {data.book.own > 0 && `, ${data.book.own} of this desk's own`}{' '}
        <small className="num">({data.book.version})</small>. Looked over {moment(data.looked)}.
      </p>
      <When of={data} />
      <p>
        {last
          ? `Copied last ${moment(last.at)}, ${size(last.bytes)}, ${last.cases} cases.`
          : 'Never copied by itself yet.'}{' '}
        {data.next && `Next ${moment(data.next)}.`} <small style={{ overflowWrap: 'anywhere' }}>In {data.folder}</small>
      </p>
      {data.backups[0]?.trouble && (
        <div className="notice brick">
          <b>The last copy failed:</b> {data.backups[0].trouble}
        </div>
      )}
      <Trouble of={now.error ?? check.error} />
      {check.data && (
        <div className={check.data.whole ? 'notice pond' : 'notice brick'} data-checked={check.data.whole}>
          The file: {check.data.said}.
        </div>
      )}
      <div className="wrap">
        <Button
          variant="outlined"
          size="small"
          onClick={() => now.mutate()}
          disabled={now.isPending}
          data-do="backup-now"
        >
          Copy it now
        </Button>
        <Button variant="outlined" size="small" onClick={() => check.mutate()} disabled={check.isPending}>
          Look it over
        </Button>
      </div>
      {data.book.own > 0 && <OwnSheets />}
      {data.backups.length > 0 && (
        <details>
          <summary>the last {data.backups.length} copies</summary>
          <ul className="tight">
            {data.backups.map((b) => (
              <li key={b.at}>
                <span className="num">{b.file}</span>{' '}
                <small>{b.trouble || `${size(b.bytes)}, ${b.cases} cases${b.there ? '' : ', taken away since'}`}</small>
              </li>
            ))}
          </ul>
        </details>
      )}
      <Troubles />
    </section>
  );
}

function When({ of }: { of: S['FileHealth'] }) {
  const client = useQueryClient();
  const [now, type, settle] = useTyped('keeping', of.keeping);
  const changed = (Object.keys(now) as (keyof typeof now)[]).some((k) => now[k] !== of.keeping[k]);
  const save = useMutation<S['FileHealth'], Problem>({
    mutationFn: () =>
      unwrap<S['FileHealth']>(
        api.PUT('/api/v1/keeping', { params: { header: { 'If-Match': String(of.version) } }, body: now }),
      ),
    onSuccess: (h) => {
      settle();
      client.setQueryData(['keeping'], h);
    },
  });
  const number = (k: 'hour' | 'keep', label: string) => (
    <TextField
      type="number"
      size="small"
      label={label}
      name={`keeping-${k}`}
      value={now[k]}
      onChange={(e) => type({ [k]: Number(e.target.value) })}
      error={!!save.error?.field(k)}
      helperText={save.error?.field(k)}
    />
  );
  return (
    <div className="row mid">
      <TextField
        select
        size="small"
        label="Copied by itself"
        value={now.every}
        onChange={(e) => type({ every: e.target.value as 'day' })}
      >
        <MenuItem value="never">never</MenuItem>
        <MenuItem value="day">every day</MenuItem>
        <MenuItem value="week">every Monday</MenuItem>
      </TextField>
      {now.every !== 'never' && number('hour', 'at the hour')}
      {now.every !== 'never' && number('keep', 'copies kept')}
      {changed && (
        <Button size="small" variant="contained" onClick={() => save.mutate()} data-do="keep-keeping">
          Keep
        </Button>
      )}
    </div>
  );
}

/** Back to the book as it ships. */
function OwnSheets() {
  const client = useQueryClient();
  const drop = useMutation<S['FileHealth'], Problem>({
    mutationFn: () => unwrap<S['FileHealth']>(api.DELETE('/api/v1/keeping/herbarium')),
    onSuccess: () => void client.invalidateQueries(),
  });
  return (
    <>
      <Trouble of={drop.error} />
      <Button size="small" style={{ justifySelf: 'start' }} onClick={() => drop.mutate()} data-do="drop-book">
        Take this desk's own sheets out of the herbarium
      </Button>
    </>
  );
}

/** What went wrong inside the program of late. */
function Troubles() {
  const { data } = useQuery<S['Logged'][], Problem>({
    queryKey: ['troubles'],
    queryFn: () => unwrap<S['Logged'][]>(api.GET('/api/v1/keeping/troubles')),
  });
  if (!data) return null;
  if (!data.length)
    return <small>Nothing went wrong inside the program in the last seven days, or since it was started.</small>;
  return (
    <details>
      <summary>
        {data.length === 1 ? 'one trouble' : `${data.length} troubles`} inside the program in seven days
      </summary>
      <ul className="tight">
        {data.map((t) => (
          <li key={t.at + t.what}>
            <small>{moment(t.at)}</small> {t.what}
            {t.why && `: ${t.why}`}
          </li>
        ))}
      </ul>
    </details>
  );
}
