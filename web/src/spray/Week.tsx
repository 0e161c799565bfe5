import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Chips, Trouble, weekday } from '../ui/bits';
import { useDraft } from '../ui/draft';
import { useKeys } from '../ui/keys';
import { clock, HourWeek, type Spot } from './HourWeek';

type Ask = { remedy: string; bloom: boolean; place: string };
const first: Ask = { remedy: 'soap', bloom: false, place: 'garden' };

/** The coming week hour by hour for one treatment: when it may be done, and every reason when it may not. */
export function Week() {
  const { data: kb } = useVocabulary();
  const [ask, set] = useDraft<Ask>('spraydays', first);
  const { data, error } = useQuery<S['SprayWeek'], Problem>({
    queryKey: ['spray-days', ask.remedy, ask.bloom, ask.place],
    queryFn: () =>
      unwrap<S['SprayWeek']>(
        api.GET('/api/v1/spray-days', {
          params: { query: { remedy: ask.remedy, bloom: ask.bloom, place: ask.place } },
        }),
      ),
    retry: false,
    placeholderData: (old) => old,
  });
  const [spot, setSpot] = useState<Spot>();
  const now = data?.now ?? '';
  const best = data?.best[0];
  const at: Spot = spot ?? spotOf(data, best?.from ?? now);
  const move = (days: number, hours: number) => {
    if (!data) return;
    const day = Math.max(0, Math.min(data.days.length - 1, at.day + days));
    const most = (data.days[day]?.hours.length ?? 1) - 1;
    setSpot({ day, hour: Math.max(0, Math.min(most, at.hour + hours)) });
  };
  useKeys([
    { key: 'ArrowRight', does: 'hour', run: () => move(0, 1) },
    { key: 'ArrowLeft', does: 'hour', hidden: true, run: () => move(0, -1) },
    { key: 'ArrowDown', does: 'day', run: () => move(1, 0) },
    { key: 'ArrowUp', does: 'day', hidden: true, run: () => move(-1, 0) },
    { key: 'f', does: 'in flower', run: () => set((a) => ({ ...a, bloom: !a.bloom })) },
    { key: 'g', does: 'the best hours', run: () => setSpot(undefined) },
  ]);
  const sprayed = (kb?.remedies ?? []).filter((r) => r.kind === 'product');
  const hour = data?.days[at.day]?.hours[at.hour];
  return (
    <div className="two wide-and-form">
      <div className="sheet pad stack" data-spray-week={data?.remedy ?? ''}>
        <Best of={data} onAt={(when) => setSpot(spotOf(data, when))} />
        <Trouble of={error} />
        {data?.indoors && (
          <ul className="tight" data-room>
            {data.indoors.map((x) => (
              <li key={x}>{x}</li>
            ))}
          </ul>
        )}
        {data && !data.indoors && data.days.length > 0 && <HourWeek of={data} at={at} now={now} onAt={setSpot} />}
        {data && !data.indoors && data.days.length > 0 && (
          <small>
            {data.weather}, {data.at}; {data.rainMm.toFixed(1)} mm of rain in these days. The label and what you see
            outside come first.
          </small>
        )}
      </div>
      <div className="stack">
        <div className="sheet pad form">
          <TextField
            select
            label="What is put on"
            value={sprayed.some((r) => r.id === ask.remedy) ? ask.remedy : ''}
            onChange={(e) => set((a) => ({ ...a, remedy: e.target.value }))}
            slotProps={{ htmlInput: { name: 'spray-remedy' } }}
          >
            {sprayed.map((r) => (
              <MenuItem key={r.id} value={r.id}>
                {r.name}
              </MenuItem>
            ))}
          </TextField>
          <Chips
            label="Mind these"
            options={[{ id: 'bloom', name: 'in flower' }]}
            value={ask.bloom ? ['bloom'] : []}
            onChange={(v) => set((a) => ({ ...a, bloom: v.includes('bloom') }))}
            many
            small
          />
          <Chips
            label="Where it grows"
            options={[
              { id: 'garden', name: 'outdoors' },
              { id: 'indoors', name: 'in a room or under glass' },
            ]}
            value={[ask.place]}
            onChange={(v) => set((a) => ({ ...a, place: v[0] ?? 'garden' }))}
            small
          />
        </div>
        {hour && !data?.indoors && <OneHour of={hour} />}
        {data && !data.indoors && data.days.length > 0 && <WetLeaf of={data} />}
      </div>
    </div>
  );
}

/** Where a moment lies in the week. */
function spotOf(data: S['SprayWeek'] | undefined, when: string): Spot {
  for (const [day, d] of (data?.days ?? []).entries()) {
    const hour = d.hours.findIndex((h) => Date.parse(h.at) + 3_600_000 > Date.parse(when));
    if (hour >= 0) return { day, hour };
  }
  return { day: 0, hour: 0 };
}

function Best({ of: w, onAt }: { of?: S['SprayWeek']; onAt: (when: string) => void }) {
  if (!w || w.indoors) return <h2>{w ? `${w.name}, in a room` : 'One moment…'}</h2>;
  if (!w.days.length)
    return (
      <>
        <h2>No weather is known for the coming days</h2>
        <p>
          Look at the sky and a thermometer: dry leaves, light air, no rain and no frost until it is dry, bees at home.
          A coordinator names a station under <Link to="/house#desk-weatherStation">House rules, the desk</Link>, or
          brings its hours as a file under Weather.
        </p>
      </>
    );
  if (!w.best.length)
    return (
      <>
        <h2>No good hour in these seven days for {w.name.toLowerCase()}</h2>
        <p className="quiet">Choose an hour to see every reason; what is poor may still be done with care.</p>
      </>
    );
  return (
    <div className="bests" data-best={w.best[0]?.from}>
      <h2>{w.name}: the best hours</h2>
      <div className="wrap">
        {w.best.map((b) => (
          <button type="button" key={b.from} className="chip" onClick={() => onAt(b.from)}>
            {b.text}
          </button>
        ))}
      </div>
    </div>
  );
}

const words: Record<string, string> = { good: 'Good', poor: 'Poor, with care', no: 'No' };

function OneHour({ of: h }: { of: S['Judged'] }) {
  return (
    <div className="sheet pad stack" data-hour={h.says} aria-live="polite">
      <h2>
        {weekday(h.at)}, {clock(h.at)}: {words[h.says]}
      </h2>
      {h.why.length > 0 && (
        <ul className="tight">
          {h.why.map((x) => (
            <li key={x}>{x}</li>
          ))}
        </ul>
      )}
      <p className="quiet">
        {h.air.tempC.toFixed(0)} °C, {h.air.humidity.toFixed(0)} in 100 damp, wind {h.air.windMs.toFixed(1)} m/s
        {h.stand && ` from the ${h.stand}: stand on that side of the plant`}
        {h.air.rainMm > 0 && `, ${h.air.rainMm.toFixed(1)} mm of rain`}; the sun{' '}
        {h.sunHeight > 0 ? `${h.sunHeight.toFixed(0)}° high` : 'is down'}
        {h.driesHours !== undefined &&
          `; a sprayed leaf is dry in ${h.driesHours < 1 ? `${Math.max(5, Math.round(h.driesHours * 12) * 5)} minutes` : `${h.driesHours.toFixed(1)} hours`}`}
        .
      </p>
    </div>
  );
}

/** Which wet spells of the week let a disease in. */
function WetLeaf({ of: w }: { of: S['SprayWeek'] }) {
  return (
    <div className="sheet pad stack" data-wet={w.events.length}>
      <h2>Wet leaves</h2>
      {w.events.length === 0 && <p className="quiet">No spell in these days is long and warm enough for a disease.</p>}
      {w.events.length > 0 && (
        <table className="lines">
          <tbody>
            {w.events.map((e) => (
              <tr key={e.disease + e.spell.from}>
                <th scope="row">{e.name}</th>
                <td>
                  {weekday(e.spell.from).replace(/ \d{4}$/, '')}, {clock(e.spell.from)}: {e.spell.hours} h wet at{' '}
                  {e.spell.meanC.toFixed(0)} °C
                  <small style={{ display: 'block' }}>it needs {e.neededHours.toFixed(0)} h there</small>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <small>A spell is a warning and no finding: what protects has to lie on the leaf before it.</small>
    </div>
  );
}
