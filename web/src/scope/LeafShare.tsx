import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { caseCalls, useChange } from '../api/change';
import { api, type Problem, type S, unwrap, type View } from '../api/client';
import { Chips, Trouble } from '../ui/bits';
import { useTyped } from '../ui/draft';
import { OnPicture, type Point } from './OnPicture';

type Tool = 'outline' | 'paint' | 'wipe';
type Leaf = { outline: Point[]; strokes: S['Stroke'][]; threshold?: number };

/** How much of a leaf is sick: an outline round it, a threshold on its green, and a brush that outranks both. */
export function LeafShare({ view, photo }: { view: View; photo: View['photos'][number] }) {
  const kept = photo.marks?.leaf;
  // What was set on the picture outlives a reload until it is kept with it.
  const [leaf, set, clear] = useTyped<Leaf>(`leaf.${photo.id}`, {
    outline: kept?.asked.outline ?? [],
    strokes: kept?.asked.strokes ?? [],
    ...(kept?.asked.threshold === undefined ? {} : { threshold: kept.asked.threshold }),
  });
  const { outline, strokes, threshold } = leaf;
  const paint = (points: Point[]) =>
    set((l) => ({ strokes: [...l.strokes, { points, radius, ...(tool === 'wipe' ? { sound: true } : {}) }] }));
  const [tool, setTool] = useState<Tool>(kept ? 'paint' : 'outline');
  const [hidden, setHidden] = useState(false);
  const change = useChange(view.id);
  const body: S['ShareRequest'] = {
    outline,
    ...(strokes.length ? { strokes } : {}),
    ...(threshold === undefined ? {} : { threshold }),
  };
  const share = useQuery<S['ShareAnswer'], Problem>({
    queryKey: ['leaf-share', photo.id, JSON.stringify(body)],
    queryFn: () =>
      unwrap<S['ShareAnswer']>(
        api.POST('/api/v1/cases/{id}/photos/{photo}/share', {
          params: { path: { id: view.id, photo: photo.id } },
          body,
        }),
      ),
    enabled: outline.length > 2,
    retry: false,
    placeholderData: (o) => o,
  });
  const found = outline.length > 2 ? share.data?.found : undefined;
  const radius = Math.max(4, photo.width / 60);
  return (
    <div className="two wide-and-form">
      <div className="sheet pad">
        <OnPicture
          src={`/api/v1/cases/${view.id}/photos/${photo.id}`}
          alt={photo.name}
          over={hidden || !found ? undefined : share.data?.mask}
          marks={hidden ? [] : [{ points: outline, tone: 'known', closed: outline.length > 2 }]}
          onPoint={(p) => (tool === 'outline' ? set((l) => ({ outline: [...l.outline, p] })) : paint([p]))}
          onStroke={tool === 'outline' ? undefined : paint}
        />
      </div>
      <div className="sheet pad stack" data-share={found?.share.toFixed(4) ?? ''}>
        <Chips
          label="On the picture"
          options={[
            { id: 'outline', name: 'click round the leaf' },
            { id: 'paint', name: 'paint what is sick' },
            { id: 'wipe', name: 'wipe away' },
          ]}
          value={[tool]}
          onChange={(v) => setTool((v[0] ?? 'outline') as Tool)}
          small
        />
        {outline.length < 3 && (
          <p className="quiet">
            Click round the leaf, three points or more; what is not green in it is then taken as sick.
          </p>
        )}
        <Trouble of={outline.length > 2 ? share.error : null} />
        {found && (
          <>
            <p style={{ fontSize: 20 }}>
              <b>{found.text}</b>
            </p>
            <label>
              <small>
                How green is sound: {found.threshold.toFixed(2)}
                {found.chosen ? ', chosen between the two' : ''}
              </small>
              <input
                type="range"
                min={-0.4}
                max={0.7}
                step={0.01}
                value={threshold ?? found.threshold}
                onChange={(e) => set({ threshold: Number(e.target.value) })}
                name="threshold"
                style={{ width: '100%', accentColor: 'var(--aub2)' }}
              />
            </label>
            {found.warnings.map((w) => (
              <div key={w} className="notice">
                {w}
              </div>
            ))}
            <small>
              In brackets: with the threshold a little lower and higher, and the outline half a pixel in or out.
            </small>
          </>
        )}
        <Trouble of={change.error} />
        <div className="wrap">
          <Button
            variant="contained"
            disabled={!found || !!share.error || change.isPending}
            onClick={() =>
              change.mutate(
                caseCalls(view.id).marks(photo.id, {
                  ...(photo.marks?.asked ? { marks: photo.marks.asked } : {}),
                  leaf: body,
                }),
                { onSuccess: clear },
              )
            }
            data-do="keep-share"
          >
            Keep with the picture
          </Button>
          <Button variant="outlined" onClick={() => setHidden((h) => !h)} aria-pressed={hidden}>
            {hidden ? 'Show the marks' : 'Hide the marks'}
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              set({ outline: [], strokes: [], threshold: undefined });
              setTool('outline');
            }}
          >
            Begin anew
          </Button>
        </div>
        {kept && (
          <small>
            kept by {photo.marks?.by}: {kept.found.text}
          </small>
        )}
      </div>
    </div>
  );
}
