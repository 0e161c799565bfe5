import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Problem, type S, unwrap } from '../api/client';
import { Trouble } from '../ui/bits';
import { useDraft } from '../ui/draft';

const part = 2 << 20;

/** Sends a file in parts and says how far it is. */
async function send(file: File, tell: (share: number) => void): Promise<S['Upload']> {
  const up = await unwrap<S['Upload']>(api.POST('/api/v1/imports', { body: { name: file.name } }));
  for (let at = 0; at < file.size; at += part) {
    await unwrap<S['Upload']>(
      api.PUT('/api/v1/imports/{id}', {
        params: { path: { id: up.id }, query: { offset: at } },
        body: file.slice(at, at + part) as unknown as string,
        bodySerializer: (b) => b as unknown as Blob,
        headers: { 'Content-Type': 'application/octet-stream' },
      }),
    );
    tell(Math.min(1, (at + part) / file.size));
  }
  return up;
}

const fresh = { up: null, map: {} };

/** Another desk's bundle, or an old card index as CSV: looked at first, kept when it is right. */
export function BringIn() {
  const client = useQueryClient();
  const [share, setShare] = useState<number | null>(null);
  // The file lies with the desk once it is sent: a reload goes on with it and the columns chosen.
  const [begun, setBegun, drop] = useDraft<{ up: S['Upload'] | null; map: S['ImportInput'] }>('bring-in', fresh);
  const { up, map } = begun;
  const setMap = (m: S['ImportInput']) => setBegun((old) => ({ ...old, map: m }));
  const bring = useMutation<S['Upload'], Error, File>({
    mutationFn: (f) => send(f, setShare),
    onSuccess: (sent) => setBegun({ up: sent, map: {} }),
    onSettled: () => setShare(null),
  });
  const reading = useQuery<S['ImportReading'], Problem>({
    queryKey: ['read-import', up?.id, JSON.stringify(map)],
    queryFn: () =>
      unwrap<S['ImportReading']>(
        api.POST('/api/v1/imports/{id}/read', { params: { path: { id: up?.id ?? '' } }, body: map }),
      ).catch((e: Problem) => {
        if (e.status === 404) drop(); // brought in, or thrown away, since
        throw e;
      }),
    enabled: !!up,
    retry: false,
    placeholderData: (old) => old,
  });
  const keep = useMutation<S['Job'], Problem>({
    mutationFn: () =>
      unwrap<S['Job']>(
        api.POST('/api/v1/imports/{id}/keep', {
          params: { path: { id: up?.id ?? '' } },
          body: { ...map, name: up?.name },
        }),
      ),
    onSuccess: () => {
      drop();
      bring.reset();
      void client.invalidateQueries({ queryKey: ['jobs'] });
      setTimeout(() => void client.invalidateQueries({ queryKey: ['imports'] }), 1500);
    },
  });
  const r = reading.data;
  return (
    <section className="sheet pad stack" data-bring-in>
      <h2>Bring in</h2>
      <p className="quiet">
        A bundle of another desk (zip), old records as CSV, or sheets of your own for the herbarium (zip). No case is
        ever overwritten, and what came in can be taken out again.
      </p>
      <label className="chip filechip">
        {share === null ? 'Choose a file' : `Sending, ${Math.round(share * 100)} %`}
        <input
          type="file"
          className="vh"
          accept=".csv,.tsv,.txt,.zip"
          onChange={(e) => {
            const f = e.target.files?.[0];
            if (f) bring.mutate(f);
            e.target.value = '';
          }}
        />
      </label>
      <Trouble of={bring.error ?? reading.error ?? keep.error} />
      {up && r?.kind === 'bundle' && !reading.error && (
        <div className="stack" data-reading="bundle">
          <p>
            <b>{r.desk}</b>: {r.cases} cases and {r.photos} pictures, every file of it as its checksum says.
          </p>
          <Rules of={r} take={map.take ?? []} setTake={(take) => setMap({ ...map, take })} />
        </div>
      )}
      {up && r?.kind === 'herbarium' && !reading.error && (
        <div className="stack" data-reading="herbarium">
          <p>
            <b>Sheets for the herbarium</b>: {r.rows} causes and remedies of your own.{' '}
            {r.refused === 0 ? 'The book is sound with them; they count at once.' : 'They do not count like this:'}
          </p>
          <ul className="tight">
            {r.refusals.slice(0, 20).map((x) => (
              <li key={x.text}>{x.text}</li>
            ))}
          </ul>
        </div>
      )}
      {up && r?.kind === 'csv' && <Cards of={r} error={reading.error} map={map} setMap={setMap} />}
      {up && r && (
        <div className="wrap">
          <Button
            variant="contained"
            disabled={!!reading.error || (r.good === 0 && (r.kind !== 'herbarium' || r.refused > 0)) || keep.isPending}
            onClick={() => keep.mutate()}
            data-do="keep-import"
          >
            {r.kind === 'herbarium'
              ? 'Lay them over the book'
              : r.kind === 'csv' && r.refused > 0
                ? `Take the ${r.good} that can be taken`
                : `Take ${r.good} in`}
          </Button>
          <Button onClick={drop}>Not this one</Button>
        </div>
      )}
    </section>
  );
}

/** What of the other desk's house could come along: nothing, unless it is ticked. */
function Rules({ of, take, setTake }: { of: S['ImportReading']; take: string[]; setTake: (keys: string[]) => void }) {
  if (!of.rules?.length) return null;
  return (
    <fieldset className="stack" data-rules>
      <legend>Its house rules differ from yours. None comes along unless you tick it.</legend>
      {of.rules.map((x) => (
        <div key={x.key}>
          <FormControlLabel
            control={
              <Checkbox
                checked={take.includes(x.key)}
                disabled={!!x.problem}
                onChange={(e) => setTake(e.target.checked ? [...take, x.key] : take.filter((k) => k !== x.key))}
                slotProps={{ input: { name: `take-${x.key}` } }}
              />
            }
            label={`${x.name}${x.own ? ' (in the place of yours)' : ''}`}
          />
          {x.problem ? (
            <div className="notice brick">Cannot be taken: {x.problem}.</div>
          ) : (
            <ul className="tight">
              {x.says.map((t) => (
                <li key={t}>{t}</li>
              ))}
            </ul>
          )}
        </div>
      ))}
      {(of.stays?.length ?? 0) > 0 && (
        <small>Devices, addresses, copies and who is who belong to the other desk and never come along.</small>
      )}
    </fieldset>
  );
}

function Cards({
  of,
  error,
  map,
  setMap,
}: {
  of: S['ImportReading'];
  error: Problem | null;
  map: S['ImportInput'];
  setMap: (m: S['ImportInput']) => void;
}) {
  const used = of.used.columns ?? {};
  return (
    <div className="stack" data-reading="csv">
      <p>
        <b>
          {of.good} of {of.rows} rows
        </b>{' '}
        can be taken; read as {of.encoding}.
      </p>
      {of.doubts.map((d) => (
        <div key={d} className="notice">
          {d}
        </div>
      ))}
      <div className="mapping">
        {of.targets.map((t) => (
          <TextField
            key={t.id}
            select
            size="small"
            label={t.name}
            value={used[t.id] ?? ''}
            error={!!error?.field(`columns.${t.id}`)}
            helperText={error?.field(`columns.${t.id}`)}
            onChange={(e) => setMap({ ...map, columns: { ...used, [t.id]: e.target.value } })}
            slotProps={{
              htmlInput: { name: `card-${t.id}` },
              select: { displayEmpty: true },
              inputLabel: { shrink: true },
            }}
          >
            <MenuItem value="">{t.needs ? 'choose one' : 'none'}</MenuItem>
            {of.columns.map((c) => (
              <MenuItem key={c} value={c}>
                {c}
              </MenuItem>
            ))}
          </TextField>
        ))}
        <TextField
          select
          size="small"
          label="3/4 is"
          value={of.used.days ?? 'day first'}
          onChange={(e) => setMap({ ...map, columns: used, days: e.target.value as 'day first' })}
        >
          <MenuItem value="day first">3 April</MenuItem>
          <MenuItem value="month first">4 March</MenuItem>
        </TextField>
      </div>
      <FormControlLabel
        control={<Checkbox checked={!!map.loose} onChange={(e) => setMap({ ...map, loose: e.target.checked })} />}
        label="keep names the herbarium does not know as a note, undetermined"
      />
      {of.refusals.length > 0 && (
        <details open data-refused={of.refused}>
          <summary>{of.refused === 1 ? 'One row cannot' : `${of.refused} rows cannot`} be taken</summary>
          <ul className="tight">
            {of.refusals.slice(0, 20).map((x) => (
              <li key={x.line}>
                <b className="num">line {x.line}</b> {x.text}
              </li>
            ))}
          </ul>
        </details>
      )}
      {of.first.length > 0 && (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
        <div className="scrolls" tabIndex={0} role="group" aria-label="The first as they are understood">
          <table className="lines">
            <thead>
              <tr>
                <th scope="col">Day</th>
                <th scope="col">Plant</th>
                <th scope="col">Grower</th>
                <th scope="col">It was</th>
                <th scope="col">End</th>
              </tr>
            </thead>
            <tbody>
              {of.first.slice(0, 6).map((c, i) => (
                <tr key={i}>
                  <td className="num">{c.brought}</td>
                  <td>
                    {c.plant}
                    {!c.host && <small> not in the book</small>}
                  </td>
                  <td>{c.grower}</td>
                  <td>{c.cause || c.called || 'undetermined'}</td>
                  <td>{c.outcome}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </div>
  );
}
