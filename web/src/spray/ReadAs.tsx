import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap } from '../api/client';
import { shortDay, Trouble } from '../ui/bits';
import { clock } from './HourWeek';
import type { Brought } from './WeatherFiles';

const quantities: [string, string, string[]][] = [
  ['at', 'Time', []],
  ['clock', 'Hour, where apart', []],
  ['temp', 'Temperature', ['°C', '°F', 'K']],
  ['humidity', 'Humidity', ['%', 'share']],
  ['dew', 'Dew point', ['°C', '°F', 'K']],
  ['wind', 'Wind', ['m/s', 'km/h', 'mph', 'kn']],
  ['gust', 'Gusts', ['m/s', 'km/h', 'mph', 'kn']],
  ['side', 'Wind comes from', []],
  ['rain', 'Rain', ['mm', 'in', 'cm']],
];

/** How a file is understood, before it is kept: which column is what, in which unit, what is refused and why. */
export function ReadAs({
  file,
  onChange,
  onKeep,
  busy,
}: {
  file: Brought;
  onChange: (f: Brought) => void;
  onKeep: (f: Brought) => void;
  busy: boolean;
}) {
  const { data, error } = useQuery<S['WeatherReading'], Problem>({
    queryKey: ['read-weather', file.name, file.text.length, JSON.stringify(file.mapping)],
    queryFn: () => unwrap<S['WeatherReading']>(api.POST('/api/v1/weather/read', { body: file })),
    retry: false,
    placeholderData: (old) => old,
  });
  const names = data?.columns ?? headOf(file.text);
  const used = data?.used;
  const map = (part: Partial<S['Mapping']>) =>
    onChange({ ...file, sure: false, mapping: { ...file.mapping, ...part } });
  const says = (q: string) => error?.field(`columns.${q}`) ?? error?.field(`units.${q}`);
  return (
    <div className="stack" data-reading={data?.count ?? ''}>
      <h3>{file.name}</h3>
      <Trouble of={error} />
      <div className="mapping">
        {quantities.map(([q, label, units]) => (
          <div key={q} className="one">
            <TextField
              select
              size="small"
              label={label}
              error={!!says(q)}
              value={known(file.mapping?.columns?.[q] ?? used?.columns?.[q], names)}
              onChange={(e) => map({ columns: { ...file.mapping?.columns, [q]: e.target.value } })}
              slotProps={{
                htmlInput: { name: `column-${q}` },
                inputLabel: { shrink: true },
                select: { displayEmpty: true },
              }}
            >
              <MenuItem value="-">not in the file</MenuItem>
              {names.map((n) => (
                <MenuItem key={n} value={n}>
                  {n}
                </MenuItem>
              ))}
            </TextField>
            {units.length > 0 && (
              <TextField
                select
                size="small"
                label="in"
                value={file.mapping?.units?.[q] ?? used?.units?.[q] ?? ''}
                onChange={(e) => map({ units: { ...file.mapping?.units, [q]: e.target.value } })}
                slotProps={{ htmlInput: { name: `unit-${q}` }, inputLabel: { shrink: true } }}
              >
                {units.map((u) => (
                  <MenuItem key={u} value={u}>
                    {u}
                  </MenuItem>
                ))}
              </TextField>
            )}
          </div>
        ))}
        {(error?.field('order') || file.mapping?.order) && (
          <TextField
            select
            size="small"
            label="A date like 3/4/2026"
            value={file.mapping?.order ?? ''}
            onChange={(e) => map({ order: e.target.value as 'dmy' })}
            slotProps={{ htmlInput: { name: 'order' }, inputLabel: { shrink: true } }}
          >
            <MenuItem value="dmy">is 3 April</MenuItem>
            <MenuItem value="mdy">is 4 March</MenuItem>
          </TextField>
        )}
      </div>
      {data && !error && <Understood of={data} />}
      {data && !error && data.doubts.length > 0 && (
        <div className="notice" data-doubts={data.doubts.length}>
          <b>Look at this first.</b>
          <ul className="tight">
            {data.doubts.map((d) => (
              <li key={d}>{d}</li>
            ))}
          </ul>
          <FormControlLabel
            control={
              <Checkbox
                name="sure"
                checked={!!file.sure}
                onChange={(e) => onChange({ ...file, sure: e.target.checked })}
              />
            }
            label="It is right as it is read"
          />
        </div>
      )}
      <Button
        variant="contained"
        className="primary"
        style={{ justifySelf: 'start' }}
        disabled={busy || !data || !!error || (data.doubts.length > 0 && !file.sure)}
        onClick={() => onKeep(file)}
        data-do="keep-weather"
      >
        Keep {data && !error ? `${data.count} hours` : 'the hours'}
      </Button>
    </div>
  );
}

const known = (name: string | undefined, names: string[]) => (name && names.includes(name) ? name : '-');

const headOf = (text: string) =>
  (text.split('\n').find((l) => /[;,\t]/.test(l)) ?? '')
    .split(/[;,\t]/)
    .map((x) => x.trim())
    .filter((x, i, all) => x && all.indexOf(x) === i)
    .slice(0, 60);

function Understood({ of: r }: { of: S['WeatherReading'] }) {
  return (
    <>
      <p>
        <b>{r.count} hours</b>, {shortDay(r.first)} {clock(r.first)} to {shortDay(r.last)} {clock(r.last)}:{' '}
        {r.ranges.map((x) => `${names[x.what]} ${x.low} to ${x.high} ${x.unit}`).join(', ')}.
      </p>
      {r.refused > 0 && (
        <div className="notice" data-refused={r.refused}>
          <b>
            {r.refused} of {r.rows} rows cannot be used.
          </b>
          <ul className="tight">
            {r.why.slice(0, 5).map((w) => (
              <li key={w.row}>
                Row {w.row}: {w.problem}; {w.mend}.
              </li>
            ))}
          </ul>
        </div>
      )}
      {r.gaps.length > 0 && (
        <p data-gaps={r.gaps.length}>
          Missing:{' '}
          {r.gaps
            .slice(0, 4)
            .map((g) => `${g.hours} h from ${shortDay(g.from)}, ${clock(g.from)}`)
            .join('; ')}
          {r.gaps.length > 4 && ` and ${r.gaps.length - 4} more gaps`}. There the station’s hours stand, if there is
          one.
        </p>
      )}
    </>
  );
}

const names: Record<string, string> = { temp: 'temperature', humidity: 'humidity', wind: 'wind', rain: 'rain' };
