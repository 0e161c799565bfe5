import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type Problem, type S, unwrap } from '../api/client';
import { dayAndMonth, shortDay, Trouble } from '../ui/bits';
import { useToast } from '../ui/toast';
import { ReadAs } from './ReadAs';

export type Brought = S['WeatherInput'];

/** Whose weather it is: hours somebody brought in a file stand before those of the station. */
export function WeatherFiles() {
  const client = useQueryClient();
  const say = useToast();
  const picker = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<Brought>();
  const [unread, setUnread] = useState('');
  const kept = useQuery<S['WeatherFile'][], Problem>({
    queryKey: ['weather-files'],
    queryFn: () => unwrap<S['WeatherFile'][]>(api.GET('/api/v1/weather/files')),
  });
  const done = (list: S['WeatherFile'][], text: string) => {
    client.setQueryData(['weather-files'], list);
    void client.invalidateQueries({ queryKey: ['spray-days'] });
    void client.invalidateQueries({ queryKey: ['today'] });
    setFile(undefined);
    say({ text });
  };
  const keep = useMutation<S['WeatherFile'][], Problem, Brought>({
    mutationFn: (body) => unwrap<S['WeatherFile'][]>(api.POST('/api/v1/weather/files', { body })),
    onSuccess: (list) => done(list, 'Kept. These hours stand before any others from now on.'),
  });
  const drop = useMutation<S['WeatherFile'][], Problem, string>({
    mutationFn: (id) =>
      unwrap<S['WeatherFile'][]>(api.DELETE('/api/v1/weather/files/{id}', { params: { path: { id } } })),
    onSuccess: (list) => done(list, 'Taken out again.'),
  });
  const pick = async (f?: File) => {
    if (!f) return;
    setUnread(f.size > 8_000_000 ? `${f.name} is larger than 8 MB: bring a season at a time.` : '');
    if (f.size <= 8_000_000) setFile({ name: f.name, text: await f.text(), mapping: {} });
    if (picker.current) picker.current.value = '';
  };
  return (
    <div className="two wide-and-form">
      <div className="sheet pad stack">
        <h2>Weather from a file</h2>
        <p className="quiet">
          A row an hour, as CSV or JSON, with time, temperature, humidity or dew point, wind and rain. What is
          understood is shown before anything is kept.
        </p>
        <label
          className="dropzone"
          onDragOver={(e) => e.preventDefault()}
          onDrop={(e) => {
            e.preventDefault();
            void pick(e.dataTransfer.files[0]);
          }}
        >
          <b>Choose a file</b> or drop it here
          <input
            ref={picker}
            type="file"
            name="weather-file"
            accept=".csv,.txt,.tsv,.json,text/csv,application/json"
            onChange={(e) => void pick(e.target.files?.[0])}
          />
        </label>
        {unread && (
          <div className="notice brick" role="alert">
            {unread}
          </div>
        )}
        {file && <ReadAs file={file} onChange={setFile} onKeep={(f) => keep.mutate(f)} busy={keep.isPending} />}
        <Trouble of={keep.error} />
      </div>
      <div className="sheet pad stack" data-weather-files={kept.data?.length}>
        <h2>Brought in</h2>
        <Trouble of={kept.error ?? drop.error} />
        {kept.data?.length === 0 && (
          <p className="quiet">
            None. The hours are from the station named in House rules; without one no weather is known, and only the
            demo desk makes it up.
          </p>
        )}
        {kept.data?.map((f) => (
          <div key={f.id} className="row mid" data-file={f.name}>
            <span>
              <b>{f.name}</b>
              <small style={{ display: 'block' }}>
                {f.hours} hours, {dayAndMonth(f.first)} to {dayAndMonth(f.last)}; {f.who}, {shortDay(f.at)}
              </small>
            </span>
            <Button onClick={() => drop.mutate(f.id)} data-do="drop-weather">
              Take out
            </Button>
          </div>
        ))}
        <small>
          A station of your own is asked every twenty minutes when its address stands in House rules. Anything a file or
          the station does not know stays unknown (made up on the demo desk), and every hour says whose it is.
        </small>
      </div>
    </div>
  );
}
