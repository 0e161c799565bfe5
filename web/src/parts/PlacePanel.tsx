import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { api, type Problem, type S, settled, unwrap } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Chips, Mind, Trouble } from '../ui/bits';
import { amountText, Measure } from './Measure';

export type PlaceForm = {
  remedy: string;
  use: string;
  area: string;
  aUnit: string;
  pots: string;
  size: string;
  sUnit: string;
  plants: string;
  spoons?: string;
};
export const emptyPlace: PlaceForm = {
  remedy: '',
  use: 'middle',
  area: '',
  aUnit: 'm2',
  pots: '1',
  size: '',
  sUnit: 'L',
  plants: '1',
};

export const placeInput = (f: PlaceForm, per: string): S['PlaceInput'] => ({
  remedy: f.remedy,
  use: f.use as 'middle',
  ...(f.spoons ? { spoons: f.spoons as 'metric' } : {}),
  ...(per === 'm2' ? { area: amountText({ number: f.area, unit: f.aUnit }) } : {}),
  ...(per === 'pot L'
    ? { pots: [{ count: Number(f.pots) || 0, size: amountText({ number: f.size, unit: f.sUnit }) }] }
    : {}),
  ...(per === 'plant' ? { plants: Number(f.plants) || 0 } : {}),
});

export function usePlace(f: PlaceForm, per: string) {
  const ready = !!f.remedy && (per === 'm2' ? !!f.area : per === 'pot L' ? !!f.size : !!f.plants);
  return useQuery<S['Dosed'], Problem>({
    queryKey: ['place', JSON.stringify(placeInput(f, per))],
    queryFn: async ({ signal }) => {
      await settled(signal);
      return unwrap<S['Dosed']>(api.POST('/api/v1/place', { body: placeInput(f, per) }));
    },
    enabled: ready,
    retry: false,
  });
}

/** Dust on a bed, a drench in pots, helpers on leaves: amounts over a place rather than in water. */
export function PlacePanel({ form, set, only }: { form: PlaceForm; set: (f: PlaceForm) => void; only?: string[] }) {
  const { data: kb } = useVocabulary();
  const list = (kb?.remedies ?? []).filter((r) => (r.doses?.length ?? 0) > 0 && (!only || only.includes(r.id)));
  const r = list.find((x) => x.id === form.remedy);
  const dose = r?.doses?.[0];
  const per = dose?.per ?? '';
  const { data, error } = usePlace(form, per);
  const field = (k: 'pots' | 'plants', label: string) => (
    <TextField
      label={label}
      name={`place-${k}`}
      value={form[k]}
      onChange={(e) => set({ ...form, [k]: e.target.value })}
      slotProps={{ htmlInput: { className: 'num', inputMode: 'decimal' } }}
    />
  );
  return (
    <div className="form" data-place>
      <TextField
        select
        label="What is spread, poured or let loose"
        value={r ? form.remedy : ''}
        onChange={(e) => set({ ...form, remedy: e.target.value })}
        slotProps={{ htmlInput: { name: 'place-remedy' } }}
      >
        {list.map((m) => (
          <MenuItem key={m.id} value={m.id}>
            {m.name}
          </MenuItem>
        ))}
      </TextField>
      {per === 'm2' && (
        <Measure
          label="Over an area of"
          name="place-area"
          units={['m2', 'sq ft', 'sq yd']}
          value={{ number: form.area, unit: form.aUnit }}
          set={(a) => set({ ...form, area: a.number, aUnit: a.unit })}
        />
      )}
      {per === 'pot L' && (
        <>
          {field('pots', 'Pots')}
          <Measure
            label="Each holds"
            name="place-size"
            units={['L', 'US gal', 'Imperial gal']}
            value={{ number: form.size, unit: form.sUnit }}
            set={(a) => set({ ...form, size: a.number, sUnit: a.unit })}
          />
        </>
      )}
      {per === 'plant' && field('plants', 'Plants')}
      {dose && (
        <Chips
          label={`${dose.low.toLocaleString('en')} to ${dose.high.toLocaleString('en')} ${dose.unit} per ${per === 'm2' ? 'square metre' : per === 'pot L' ? 'litre of pot' : 'plant'}`}
          options={['low', 'middle', 'top'].map((id) => ({ id, name: id }))}
          value={[form.use]}
          onChange={(v) => set({ ...form, use: v[0] ?? 'middle' })}
          small
        />
      )}
      <Trouble of={error} />
      {data && (
        <div className="notice pond">
          {r?.name}:{' '}
          <b className="num" data-placed>
            {data.placed.text}
          </b>{' '}
          <small>the range here is {data.placed.range}</small>
          {data.placed.lines.map((l) => (
            <div key={l}>{l}</div>
          ))}
          {(data.placed.order?.length ?? 0) > 0 && (
            <ol className="tight" data-order>
              {data.placed.order?.map((o) => (
                <li key={o}>{o}</li>
              ))}
            </ol>
          )}
        </div>
      )}
      <Mind of={data?.mind} />
    </div>
  );
}
