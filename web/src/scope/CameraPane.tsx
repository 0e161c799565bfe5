import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { caseCalls, useChange } from '../api/change';
import { api, type Problem, type S, unwrap, type View } from '../api/client';
import { useCalibrations } from '../api/scope';
import { Chips, Trouble } from '../ui/bits';
import { useToast } from '../ui/toast';
import { distance, type Mark, OnPicture, type Point } from './OnPicture';

const useCamera = () =>
  useQuery<S['Device'], Problem>({
    queryKey: ['camera'],
    queryFn: () => unwrap<S['Device']>(api.GET('/api/v1/scope/camera')),
    retry: false,
  });

/** A frame that stands still: it is fetched anew when the slide or objective changes, or when asked. */
function useFrame(of: S['Device'] | undefined, n: number) {
  return useQuery<{ url: string; blob: Blob; objective: string }, Problem>({
    queryKey: ['frame', of?.slide, of?.objective, of?.exposure, n],
    queryFn: async () => {
      const { data, error, response } = await api.GET('/api/v1/scope/camera/frame', { parseAs: 'blob' });
      const blob = await unwrap<Blob>(Promise.resolve({ data: data as unknown as Blob, error, response }));
      // Under which objective it was taken the frame itself says: somebody else may have turned it since.
      return { blob, url: URL.createObjectURL(blob), objective: response.headers.get('X-Objective') ?? '' };
    },
    enabled: !!of,
    retry: false,
    gcTime: 0,
  });
}

/** The microscope's camera: a frame, on which the two ends of each length are set in turn. */
export function CameraPane({
  turn,
  onLength,
  view,
}: {
  /** What is measured now. */
  turn: string;
  /** The length between two points, in pixels, and under which objective. */
  onLength: (px: number, objective: string) => void;
  view?: View;
}) {
  const client = useQueryClient();
  const say = useToast();
  const { data: device, error } = useCamera();
  const [n, setN] = useState(0);
  const frame = useFrame(device, n);
  const objective = frame.data?.objective || (device?.objective ?? '');
  const url = frame.data?.url;
  useEffect(() => () => void (url && URL.revokeObjectURL(url)), [url]);
  const [from, setFrom] = useState<Point | null>(null);
  const [done, setDone] = useState<Mark[]>([]);
  const set = useMutation<S['Device'], Problem, S['DeviceChange']>({
    mutationFn: (body) => unwrap<S['Device']>(api.PUT('/api/v1/scope/camera', { body })),
    onSuccess: (d) => client.setQueryData(['camera'], d),
  });
  const kept = useCalibrations().data?.list.find((c) => c.unit === 'pixel' && c.objective === objective);
  const [last, setLast] = useState(0);
  const keep = useChange(view?.id ?? '');
  const here = `${device?.slide}${device?.objective}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: another slide or objective has none of these marks
  useEffect(() => {
    setDone([]);
    setFrom(null);
  }, [here]);
  const point = (p: Point) => {
    if (!from) return setFrom(p);
    const px = distance(from, p);
    setFrom(null);
    if (px < 2) return;
    setLast(px);
    setDone((d) => [...d.slice(-5), { points: [from, p], tone: 'line' }]);
    onLength(px, objective);
  };
  if (error) return <Trouble of={error} />;
  if (!device) return null;
  return (
    <div className="stack" data-camera={frame.data ? here : ''}>
      <div className="halves">
        {device.slides.length > 0 && (
          <TextField
            select
            label={device.kind}
            value={device.slide ?? ''}
            onChange={(e) => set.mutate({ slide: e.target.value })}
            slotProps={{ htmlInput: { 'data-slides': true } }}
          >
            {device.slides.map((s) => (
              <MenuItem key={s.id} value={s.id}>
                {s.name}
              </MenuItem>
            ))}
          </TextField>
        )}
        <Chips
          label="Objective"
          options={device.objectives.map((id) => ({ id, name: id }))}
          value={[device.objective]}
          onChange={(v) => set.mutate({ objective: v[0] ?? '' })}
          small
        />
      </div>
      <Trouble of={set.error ?? frame.error} />
      <p aria-live="polite">
        {from ? 'Now the other end of' : 'Set one end of'} <b>{turn}</b>.{' '}
        {!from && last > 0 && (
          <span className="quiet" data-last>
            The last: {last.toFixed(1)} px
            {kept ? `, ${(last * kept.factor.perDivision).toFixed(1)} µm` : ''}
          </span>
        )}
      </p>
      {kept?.old && <div className="notice">{kept.old}</div>}
      {frame.data && (
        <OnPicture
          src={frame.data.url}
          alt={`Frame of the camera, ${device.objective}`}
          marks={[...done, ...(from ? [{ points: [from], tone: 'now' as const }] : [])]}
          onPoint={point}
        />
      )}
      <div className="wrap">
        <Button variant="outlined" size="small" onClick={() => setN((k) => k + 1)}>
          New frame
        </Button>
        {view && (
          <Button
            variant="outlined"
            size="small"
            disabled={!frame.data || keep.isPending}
            onClick={() =>
              frame.data &&
              keep.mutate(
                caseCalls(view.id).photo(new File([frame.data.blob], `slide ${device.slide}, ${objective}.jpg`)),
                {
                  onSuccess: (v) => {
                    say({ text: `The frame is kept with ${view.number}.` });
                    const photo = v.photos.at(-1);
                    // With its scale, where the camera is calibrated under this objective: 100 pixels are so many mm.
                    if (kept && photo)
                      keep.mutate(
                        caseCalls(view.id).marks(photo.id, {
                          marks: {
                            known: [
                              { x: 20, y: 20 },
                              { x: 120, y: 20 },
                            ],
                            millimetres: kept.factor.perDivision / 10,
                          },
                        }),
                      );
                  },
                },
              )
            }
            data-do="keep-frame"
          >
            Keep the frame with {view.number}
          </Button>
        )}
      </div>
      <Trouble of={keep.error} />
    </div>
  );
}
