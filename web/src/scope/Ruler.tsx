import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { caseCalls, useChange } from '../api/change';
import { api, type Problem, type S, unwrap, type View } from '../api/client';
import { Chips, Trouble } from '../ui/bits';
import { useTyped } from '../ui/draft';
import { usePress } from '../ui/press';
import { LeafShare } from './LeafShare';
import { distance, type Mark, OnPicture, type Point } from './OnPicture';

type Tool = 'known' | 'across' | 'line' | 'area';
type Form = {
  known: Point[];
  millimetres: string;
  across: Point[];
  acrossMm: string;
  lines: Point[][];
  areas: Point[][];
};
const empty: Form = { known: [], millimetres: '', across: [], acrossMm: '', lines: [], areas: [] };
const number = (s: string) => Number(s.trim().replace(',', '.'));

const formOf = (m?: S['Marks']): Form =>
  m?.asked
    ? {
        known: m.asked.known ?? [],
        millimetres: String(m.asked.millimetres),
        across: m.asked.across ?? [],
        acrossMm: m.asked.acrossMm ? String(m.asked.acrossMm) : '',
        lines: m.asked.lines ?? [],
        areas: m.asked.areas ?? [],
      }
    : empty;

const requestOf = (f: Form): S['PhotoRequest'] | null => {
  const lines = f.lines.filter((l) => l.length === 2);
  const areas = f.areas.filter((a) => a.length > 2);
  if (f.known.length < 2 || !(number(f.millimetres) > 0)) return null;
  return {
    known: f.known,
    millimetres: number(f.millimetres),
    ...(f.across.length === 2 && number(f.acrossMm) > 0 ? { across: f.across, acrossMm: number(f.acrossMm) } : {}),
    ...(lines.length ? { lines } : {}),
    ...(areas.length ? { areas } : {}),
  };
};

/** Lengths and areas on a picture of the case, by something of known length in it; kept with the picture. */
export function Ruler({ view }: { view?: View }) {
  const [params, setParams] = useSearchParams();
  if (!view)
    return (
      <p className="sheet pad">
        Pictures belong to a sample. Open one on the <Link to="/bench">bench</Link>, and come from its Look step.
      </p>
    );
  const photo = view.photos.find((p) => p.id === params.get('photo')) ?? view.photos[0];
  if (!photo)
    return (
      <p className="sheet pad">
        {view.number} has no picture yet. <Link to={`/bench/${view.id}/look`}>Add one on its Look step</Link>, or keep a
        frame of the camera.
      </p>
    );
  const share = params.get('ask') === 'share';
  return (
    <>
      {view.photos.length > 1 && (
        <Chips
          label="Picture"
          options={view.photos.map((p) => ({ id: p.id, name: p.name }))}
          value={[photo.id]}
          onChange={(v) => {
            params.set('photo', v[0] ?? '');
            setParams(params, { replace: true });
          }}
          small
        />
      )}
      <Chips
        label="What is asked of it"
        options={[
          { id: 'lengths', name: 'lengths and areas' },
          { id: 'share', name: 'how much of a leaf is sick' },
        ]}
        value={[share ? 'share' : 'lengths']}
        onChange={(v) => {
          params.set('ask', v[0] ?? '');
          setParams(params, { replace: true });
        }}
        small
      />
      {share ? (
        <LeafShare key={photo.id} view={view} photo={photo} />
      ) : (
        <OnOne key={photo.id} view={view} photo={photo} />
      )}
    </>
  );
}

function OnOne({ view, photo }: { view: View; photo: View['photos'][number] }) {
  // Clicks outlive a reload until they are kept with the picture.
  const [form, setForm, clear] = useTyped<Form>(`ruler.${photo.id}`, formOf(photo.marks));
  const [tool, setTool] = useState<Tool>(photo.marks?.asked ? 'line' : 'known');
  const [hidden, setHidden] = useState(false);
  const change = useChange(view.id);
  const body = requestOf(form);
  const found = useQuery<S['PhotoScale'], Problem>({
    queryKey: ['photo-scale', JSON.stringify(body)],
    queryFn: () => unwrap<S['PhotoScale']>(api.POST('/api/v1/scope/photo', { body: body as S['PhotoRequest'] })),
    enabled: !!body,
    retry: false,
    placeholderData: (o) => o,
  });
  const point = (p: Point) =>
    setForm((f) => {
      if (tool === 'known' || tool === 'across') return { ...f, [tool]: f[tool].length < 2 ? [...f[tool], p] : [p] };
      const k = tool === 'line' ? 'lines' : 'areas';
      const last = f[k].at(-1);
      const open = last && (tool === 'line' ? last.length < 2 : !closed(last));
      if (!open) return { ...f, [k]: [...f[k], [p]] };
      const start = last[0] as Point;
      const near = tool === 'area' && last.length > 2 && distance(start, p) < photo.width / 40;
      return { ...f, [k]: [...f[k].slice(0, -1), near ? [...last, start] : [...last, p]] };
    });
  const send = (marks?: S['PhotoRequest']) =>
    change.mutate(
      caseCalls(view.id).marks(photo.id, {
        ...(marks ? { marks } : {}),
        ...(photo.marks?.leaf ? { leaf: photo.marks.leaf.asked } : {}),
      }),
      { onSuccess: clear },
    );
  const working = !!body && (found.isLoading || found.isPlaceholderData);
  const press = usePress(
    !body || found.error || change.isPending ? 'no' : working ? 'working' : 'ready',
    () => body && send(body),
    JSON.stringify(body),
  );
  return (
    <div className="two wide-and-form">
      <div className="sheet pad">
        <OnPicture
          src={`/api/v1/cases/${view.id}/photos/${photo.id}`}
          alt={photo.name}
          marks={hidden ? [] : marksOf(form, found.data)}
          onPoint={point}
        />
      </div>
      <div className="sheet pad stack">
        <Chips
          label="Each click is an end of"
          options={[
            { id: 'known', name: 'the known length' },
            { id: 'across', name: 'one square to it' },
            { id: 'line', name: 'a length' },
            { id: 'area', name: 'an outline' },
          ]}
          value={[tool]}
          onChange={(v) => setTool((v[0] ?? 'known') as Tool)}
          small
        />
        <TextField
          label="The known length, mm"
          value={form.millimetres}
          onChange={(e) => setForm({ millimetres: e.target.value })}
          name="known-mm"
          helperText="a ruler, a coin, a label laid beside it, in the same plane"
          slotProps={{ htmlInput: { inputMode: 'decimal', className: 'num' } }}
        />
        {(tool === 'across' || form.across.length > 0) && (
          <TextField
            label="The one square to it, mm"
            value={form.acrossMm}
            onChange={(e) => setForm({ acrossMm: e.target.value })}
            name="across-mm"
            helperText="shows whether the picture was taken at a slant"
            slotProps={{ htmlInput: { inputMode: 'decimal', className: 'num' } }}
          />
        )}
        <Trouble of={found.error} />
        {!body && (
          <p className="quiet">
            Click both ends of something you know, and give its length; then click what you ask for.
          </p>
        )}
        {body && found.data && <Found of={found.data} busy={working} />}
        {tool === 'area' && <small>An outline is closed by a click near its first point.</small>}
        <Trouble of={change.error} />
        <div className="wrap">
          <Button variant="contained" {...press.button} onClick={press.press} data-do="keep-marks">
            Keep with the picture
          </Button>
          <Button variant="outlined" onClick={() => setHidden((h) => !h)} aria-pressed={hidden}>
            {hidden ? 'Show the marks' : 'Hide the marks'}
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              setForm(empty);
              setTool('known');
              if (photo.marks) send();
            }}
          >
            Take them away
          </Button>
        </div>
        {photo.marks?.found && (
          <small>
            kept by {photo.marks.by}:{' '}
            {[...photo.marks.found.lines, ...photo.marks.found.areas].map((x) => x.text).join(', ')}
          </small>
        )}
      </div>
    </div>
  );
}

const closed = (a: Point[]) => a.length > 3 && a[0]?.x === a.at(-1)?.x && a[0]?.y === a.at(-1)?.y;

function marksOf(f: Form, found?: S['PhotoScale']): Mark[] {
  let [line, area] = [0, 0];
  return [
    { points: f.known, tone: 'known', text: f.millimetres ? `${f.millimetres} mm` : '' },
    { points: f.across, tone: 'known', text: f.acrossMm ? `${f.acrossMm} mm` : '' },
    ...f.lines.map(
      (points): Mark => ({ points, tone: 'line', text: points.length === 2 ? (found?.lines[line++]?.text ?? '') : '' }),
    ),
    ...f.areas.map(
      (points): Mark => ({
        points,
        closed: points.length > 2,
        tone: 'area',
        text: points.length > 2 ? (found?.areas[area++]?.text ?? '') : '',
      }),
    ),
  ];
}

function Found({ of, busy }: { of: S['PhotoScale']; busy: boolean }) {
  const first = of.lines[0];
  return (
    <div aria-busy={busy || undefined} data-found={[...of.lines, ...of.areas].map((x) => x.value.toFixed(3)).join(' ')}>
      <table className="lines">
        <tbody>
          {of.lines.map((x, i) => (
            <tr key={x.text + String(i)}>
              <th scope="row">length {i + 1}</th>
              <td className="num">{x.text}</td>
              <td className="num">{i > 0 && first ? `${(x.value / first.value).toFixed(2)} of the first` : ''}</td>
            </tr>
          ))}
          {of.areas.map((x, i) => (
            <tr key={x.text + String(i)}>
              <th scope="row">area {i + 1}</th>
              <td className="num">{x.text}</td>
              <td className="num">
                {i > 0 && of.areas[0] ? `${((100 * x.value) / of.areas[0].value).toFixed(0)} in 100 of the first` : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <small>
        {of.mmPerPixel < 0.01 ? `${(of.mmPerPixel * 1000).toFixed(2)} µm` : `${of.mmPerPixel.toFixed(4)} mm`} a pixel;
        the error stated is one standard deviation.
      </small>
      {of.warnings.map((w) => (
        <div key={w} className="notice">
          {w}
        </div>
      ))}
    </div>
  );
}
