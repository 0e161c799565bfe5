import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { S, View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { useCalibrations, useRatio, useSlideKey } from '../api/scope';
import { Where } from '../plates/things/where';
import { Chips, Trouble } from '../ui/bits';
import { useDraft } from '../ui/draft';
import { useKeys } from '../ui/keys';
import { CameraPane } from './CameraPane';
import { Curve } from './Curve';
import { TakeLook } from './TakeLook';

type Readings = { a: number[]; b: number[]; by: 'eye' | 'camera'; objective: string };
const none: Readings = { a: [], b: [], by: 'eye', objective: '' };

/** Two lengths read in turn under one objective, repeat after repeat, against the line of a key. */
export function Measure({ view }: { view?: View }) {
  const { data: key } = useSlideKey();
  const [params, setParams] = useSearchParams();
  const measured = (key?.characters ?? []).filter((c) => c.measure?.b);
  const wanted = params.get('finding');
  const at = measured.find((c) => c.id === params.get('ratio') || c.looks?.finding === wanted) ?? measured[0];
  const [readings, set] = useDraft<Readings>(`ratio.${view?.id ?? 'none'}.${at?.id ?? ''}`, none);
  const camera = readings.by === 'camera';
  const ratio = useRatio({
    a: readings.a,
    b: readings.b,
    line: at?.measure?.line,
    clicks: camera,
  });
  if (!at?.measure) return null;
  // Two lengths under two objectives are no ratio: a change of objective begins anew.
  const length = (px: number, objective: string) =>
    set((old) => {
      const o = old.objective === objective ? old : { ...none, by: 'camera' as const, objective };
      const v = Math.round(px * 10) / 10;
      return o.a.length === o.b.length ? { ...o, a: [...o.a, v] } : { ...o, b: [...o.b, v] };
    });
  const choose = (id: string) => {
    params.delete('finding');
    params.set('ratio', id);
    setParams(params, { replace: true });
  };
  return (
    <div className={camera ? 'two' : 'two asked-and-answered'}>
      <div className="sheet pad stack">
        <Chips
          label="Which ratio"
          options={measured.map((c) => ({ id: c.id, name: c.name }))}
          value={[at.id]}
          onChange={(v) => choose(v[0] ?? '')}
          small
        />
        <Chips
          label="Read"
          options={[
            { id: 'eye', name: 'by eye, in divisions' },
            { id: 'camera', name: 'on the camera, by clicks' },
          ]}
          value={[readings.by]}
          onChange={(v) => set({ ...none, by: (v[0] ?? 'eye') as 'eye' })}
          small
        />
        {camera ? (
          <CameraPane
            turn={(readings.a.length === readings.b.length ? at.measure.a : at.measure.b) ?? ''}
            onLength={length}
            view={view}
          />
        ) : (
          <InTurn at={at} readings={readings} set={set} />
        )}
        <SoFar at={at} readings={readings} clear={() => set({ ...none, by: readings.by })} />
        <Objective />
      </div>
      <div className="sheet pad stack" data-ratio={ratio.data?.ratio.toFixed(3) ?? ''}>
        {ratio.error && <Trouble of={ratio.error} />}
        {readings.a.length > 0 && readings.b.length > 0 && ratio.data ? (
          <>
            <h2>
              {at.measure.a.slice(0, 1).toUpperCase() + at.measure.a.slice(1)}, against the {at.measure.b}
            </h2>
            <Curve of={ratio.data} />
            <p aria-live="polite" data-says>
              {ratio.data.text}
            </p>
            {ratio.data.warnings.map((w) => (
              <div key={w} className="notice">
                {w}
              </div>
            ))}
            {view && at.looks && <Taken view={view} at={at} of={ratio.data} />}
            <Where group={at.group} spot={at.spot} form={{}} width={300} />
          </>
        ) : (
          <>
            <h2>Where to measure</h2>
            <p className="quiet">
              {at.hint}. <span className="term">{at.term}</span>
            </p>
            <Where group={at.group} spot={at.spot} form={{}} width={360} />
          </>
        )}
      </div>
    </div>
  );
}

function Taken({ view, at, of }: { view: View; at: S['Character']; of: S['Ratio'] }) {
  const above = of.above >= 0.5;
  const state = at.looks?.states[above ? 'above' : 'below'];
  const { data: kb } = useVocabulary();
  const said = kb?.findings.find((f) => f.id === at.looks?.finding)?.states.find((s) => s.id === state)?.name;
  if (!at.looks || !state) return null;
  return (
    <TakeLook
      view={view}
      look={{
        finding: at.looks.finding,
        name: at.name,
        state,
        said: said ?? state,
        certainty: of.certainty,
        measured: of.text,
      }}
    />
  );
}

/** One field: what is typed goes to the length whose turn it is; Backspace in the empty field takes the last one back. */
function InTurn({
  at,
  readings: r,
  set,
}: {
  at: S['Character'];
  readings: Readings;
  set: (f: (old: Readings) => Readings) => void;
}) {
  const [text, setText] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const first = r.a.length === r.b.length;
  const name = (first ? at.measure?.a : at.measure?.b) ?? '';
  const value = Number(text.replace(',', '.'));
  const bad = text.trim() !== '' && !(value > 0 && value <= 1e6);
  useEffect(() => field.current?.focus(), []);
  const take = () => {
    if (!text.trim() || bad) return;
    set((old) => (first ? { ...old, a: [...old.a, value] } : { ...old, b: [...old.b, value] }));
    setText('');
  };
  const back = () => set((old) => (first ? { ...old, b: old.b.slice(0, -1) } : { ...old, a: old.a.slice(0, -1) }));
  useKeys([{ key: 'Enter', does: `take the ${name}`, run: take, inFields: true }]);
  return (
    <TextField
      label={`${first ? 'First' : 'Second'}: ${name}, in divisions${r.a.length ? `, reading ${(first ? r.a : r.b).length + 1}` : ''}`}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onKeyDown={(e) => e.key === 'Backspace' && text === '' && back()}
      error={bad}
      helperText={
        bad ? 'give what was read, above 0, to half a division' : 'Enter takes it, Backspace takes the last back'
      }
      inputRef={field}
      name="reading"
      autoComplete="off"
      slotProps={{ htmlInput: { inputMode: 'decimal', className: 'num' } }}
    />
  );
}

/** What was read so far, and the way to begin anew. */
function SoFar({ at, readings: r, clear }: { at: S['Character']; readings: Readings; clear: () => void }) {
  return (
    <>
      <table className="lines readings">
        <tbody>
          {(['a', 'b'] as const).map((k) => (
            <tr key={k}>
              <th scope="row">{at.measure?.[k]}</th>
              <td className="num" data-readings={k}>
                {r[k].join(' · ') || '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {r.a.length > 0 && (
        <button
          type="button"
          className="plain"
          style={{ textDecoration: 'underline', justifySelf: 'start' }}
          onClick={clear}
        >
          Start anew
        </button>
      )}
    </>
  );
}

/** A ratio needs no calibration, only that the objective stays; a length in µm does. */
function Objective() {
  const { data } = useCalibrations();
  const old = data?.list.find((c) => c.old);
  return (
    <small>
      Leave the objective as it is between the two: its factor then cancels, and no calibration is needed.
      {old ? ` Your ${old.microscope} at ${old.objective}: ${old.old}` : ''}
    </small>
  );
}
