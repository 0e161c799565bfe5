import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { S } from '../api/client';
import { useCalibrate, useCalibrations, useReticle } from '../api/scope';
import { Chips, shortDay, Trouble } from '../ui/bits';
import { useDraft } from '../ui/draft';
import { usePress } from '../ui/press';
import { CameraPane } from './CameraPane';

type Row = { divisions: string; micrometres: string };
type Form = { microscope: string; objective: string; rows: Row[]; by: 'division' | 'pixel'; over: string };
const blank: Row = { divisions: '', micrometres: '' };
const empty: Form = {
  microscope: 'bench microscope',
  objective: '40x',
  rows: [blank, blank, blank],
  by: 'division',
  over: '100',
};
const objectives = ['4x', '10x', '40x', '100x'];

const number = (s: string) => Number(s.trim().replace(',', '.'));
const asked = (rows: Row[]): S['Reading'][] =>
  rows
    .filter((r) => r.divisions.trim() && r.micrometres.trim())
    .map((r) => ({ divisions: number(r.divisions), micrometres: number(r.micrometres) }));

/** What one division of the eyepiece is long, against a stage micrometer; kept per microscope, objective and person. */
export function Calibrate() {
  const [form, set] = useDraft<Form>('calibrate', empty);
  const readings = asked(form.rows);
  const sound = readings.every((r) => Number.isFinite(r.divisions) && Number.isFinite(r.micrometres));
  const factor = useReticle(sound ? readings : [], form.by);
  const keep = useCalibrate();
  // Kept readings are done with: the next objective begins with an empty table.
  const press = usePress(
    factor.error || !readings.length || keep.isPending
      ? 'no'
      : factor.data && !factor.isPlaceholderData
        ? 'ready'
        : 'working',
    () =>
      keep.mutate(
        { microscope: form.microscope, objective: form.objective, unit: form.by, readings },
        { onSuccess: () => set((f) => ({ ...f, rows: [blank, blank, blank] })) },
      ),
    JSON.stringify(form),
  );
  const row = (i: number, patch: Partial<Row>) =>
    set((f) => {
      const rows = f.rows.map((r, k) => (k === i ? { ...r, ...patch } : r));
      const last = rows.at(-1);
      return { ...f, rows: last?.divisions && last.micrometres && rows.length < 12 ? [...rows, blank] : rows };
    });
  return (
    <div className="two asked-and-answered">
      <form
        className="sheet pad stack"
        onSubmit={(e) => {
          e.preventDefault();
          press.press();
        }}
      >
        <TextField
          label="Microscope"
          value={form.microscope}
          onChange={(e) => set((f) => ({ ...f, microscope: e.target.value }))}
          name="microscope"
        />
        <Chips
          label="What is counted"
          options={[
            { id: 'division', name: 'divisions of the eyepiece' },
            { id: 'pixel', name: 'pixels of the camera' },
          ]}
          value={[form.by]}
          onChange={(v) => set((f) => ({ ...f, by: (v[0] ?? 'division') as 'division', rows: [blank, blank, blank] }))}
          small
        />
        {form.by === 'pixel' ? (
          <>
            <TextField
              label="Click two lines of the stage micrometer that lie so many µm apart"
              value={form.over}
              onChange={(e) => set((f) => ({ ...f, over: e.target.value }))}
              name="over"
              slotProps={{ htmlInput: { inputMode: 'decimal', className: 'num' } }}
            />
            <CameraPane
              turn={`${form.over} µm of the stage micrometer`}
              onLength={(px, objective) =>
                set((f) => {
                  const rows = f.objective === objective ? f.rows.filter((r) => r.divisions) : [];
                  return { ...f, objective, rows: [...rows, { divisions: px.toFixed(1), micrometres: f.over }] };
                })
              }
            />
            <ol className="tight" data-pixels={readings.length}>
              {readings.map((r, i) => (
                <li key={i} className="num">
                  {r.divisions} px over {r.micrometres} µm
                </li>
              ))}
            </ol>
          </>
        ) : (
          <ByEye form={form} set={set} row={row} />
        )}
        <Trouble of={keep.error} />
        <Button type="submit" variant="contained" className="primary" {...press.button} data-do="keep-calibration">
          Keep it for {form.objective}
        </Button>
      </form>
      <div className="stack">
        <div className="sheet pad stack">
          <h2>{form.by === 'pixel' ? 'One pixel' : 'One division'}</h2>
          {factor.error ? (
            <Trouble of={factor.error} />
          ) : readings.length && factor.data ? (
            <>
              <p className="num" style={{ fontSize: 26 }} data-factor={factor.data.perDivision.toFixed(4)}>
                {factor.data.perDivision.toFixed(3)} µm
              </p>
              <p>
                95 in 100: {factor.data.low.toFixed(3)} to {factor.data.high.toFixed(3)} µm
                {readings.length > 1 && `; repeats lie ${(100 * factor.data.spread).toFixed(1)} in 100 apart`}
              </p>
              {factor.data.warnings.map((w) => (
                <div key={w} className="notice">
                  {w}
                </div>
              ))}
            </>
          ) : (
            <Scales />
          )}
        </div>
        <Kept
          onDrop={(c) => keep.mutate({ ...named(c), readings: [] })}
          onChanged={(c) => keep.mutate({ ...named(c), readings: [], changed: true })}
        />
      </div>
    </div>
  );
}

const named = (c: S['Calibration']) => ({ microscope: c.microscope, objective: c.objective, unit: c.unit });

/** Readings typed: objective, divisions, and the length of the stage micrometer they cover. */
function ByEye({
  form,
  set,
  row,
}: {
  form: Form;
  set: (f: (old: Form) => Form) => void;
  row: (i: number, patch: Partial<Row>) => void;
}) {
  return (
    <>
      <Chips
        label="Objective, as it is marked"
        options={objectives.map((id) => ({ id, name: id }))}
        value={[form.objective]}
        onChange={(v) =>
          // What was read under one objective says nothing of another.
          set((f) => (f.objective === v[0] ? f : { ...f, objective: v[0] ?? '40x', rows: [blank, blank, blank] }))
        }
      />
      <fieldset>
        <legend>Divisions of the eyepiece laid over the stage micrometer; repeat, moving the slide between</legend>
        {form.rows.map((r, i) => (
          <div className="halves" key={i}>
            <TextField
              label={`${i + 1}. divisions`}
              value={r.divisions}
              onChange={(e) => row(i, { divisions: e.target.value })}
              name={`divisions-${i}`}
              slotProps={{ htmlInput: { inputMode: 'decimal', className: 'num' } }}
            />
            <TextField
              label="over µm"
              value={r.micrometres}
              onChange={(e) => row(i, { micrometres: e.target.value })}
              name={`micrometres-${i}`}
              slotProps={{ htmlInput: { inputMode: 'decimal', className: 'num' } }}
            />
          </div>
        ))}
      </fieldset>
    </>
  );
}

/** The two scales as they are seen one over the other. */
function Scales() {
  return (
    <svg
      viewBox="0 0 420 120"
      role="img"
      aria-label="The eyepiece scale laid over the stage micrometer"
      style={{ width: '100%' }}
    >
      {Array.from({ length: 41 }, (_, i) => (
        <path
          key={i}
          d={`M${10 + i * 10} ${20 + (i % 10 ? 10 : 0)} V46`}
          stroke="var(--ink)"
          strokeWidth={i % 10 ? 1 : 2}
        />
      ))}
      {Array.from({ length: 17 }, (_, i) => (
        <path key={i} d={`M${10 + i * 24.6} 60 V${i % 4 ? 82 : 92}`} stroke="var(--pond)" strokeWidth="2" />
      ))}
      <text x="10" y="14" fontSize="13" fill="var(--ink)">
        eyepiece: count divisions
      </text>
      <text x="10" y="112" fontSize="13" fill="var(--pond)">
        stage micrometer: read µm, usually 10 between lines
      </text>
    </svg>
  );
}

function Kept({
  onDrop,
  onChanged,
}: {
  onDrop: (c: S['Calibration']) => void;
  onChanged: (c: S['Calibration']) => void;
}) {
  const { data, error } = useCalibrations();
  return (
    <div className="sheet pad stack" data-calibrations={data?.list.length ?? 0}>
      <h2>Kept for you</h2>
      <Trouble of={error} />
      {data?.list.length === 0 && <p className="quiet">Nothing yet. Ratios need none; lengths in µm do.</p>}
      {(data?.list.length ?? 0) > 0 && (
        <table className="lines">
          <tbody>
            {data?.list.map((c) => (
              <tr key={c.microscope + c.objective + c.unit}>
                <th scope="row">
                  {c.microscope}, {c.objective}
                </th>
                <td className="num">
                  {c.factor.perDivision.toFixed(3)} µm a {c.unit}
                </td>
                <td>
                  {shortDay(c.at)}
                  {c.old && <div className="notice">{c.old}</div>}
                </td>
                <td>
                  {!c.changed && (
                    <button
                      type="button"
                      className="plain"
                      style={{ textDecoration: 'underline', display: 'block' }}
                      title="an objective, the eyepiece or the camera"
                      onClick={() => onChanged(c)}
                      data-do="changed"
                    >
                      was changed
                    </button>
                  )}
                  <button
                    type="button"
                    className="plain"
                    style={{ textDecoration: 'underline' }}
                    onClick={() => onDrop(c)}
                  >
                    drop
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
