import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { api, type Problem, type S, take } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Chips, Trouble } from '../ui/bits';

export type PlaceForm = {
  remedy: string;
  use: string;
  area: string;
  aUnit: string;
  pots: string;
  size: string;
  sUnit: string;
  plants: string;
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

const areas: Record<string, number> = { m2: 1, 'sq ft': 0.09290304, 'sq yd': 0.83612736 };

export const placeInput = (f: PlaceForm, per: string): S['PlaceInput'] => ({
  remedy: f.remedy,
  use: f.use as 'middle',
  ...(per === 'm2' ? { area: `${f.area} ${f.aUnit}` } : {}),
  ...(per === 'pot L' ? { pots: [{ count: Number(f.pots) || 0, size: `${f.size} ${f.sUnit}` }] } : {}),
  ...(per === 'plant' ? { plants: Number(f.plants) || 0 } : {}),
});

export function usePlace(f: PlaceForm, per: string) {
  const ready = !!f.remedy && (per === 'm2' ? !!f.area : per === 'pot L' ? !!f.size : !!f.plants);
  return useQuery<S['Dosed'], Problem>({
    queryKey: ['place', JSON.stringify(placeInput(f, per))],
    queryFn: () => take<S['Dosed']>(api.POST('/api/v1/place', { body: placeInput(f, per) })),
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
  const field = (k: 'area' | 'pots' | 'size' | 'plants', label: string) => (
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
        <div style={{ display: 'grid', gridTemplateColumns: '1fr 140px', gap: 12, alignItems: 'end' }}>
          {field('area', 'Over an area of')}
          <TextField
            select
            label="unit"
            value={form.aUnit}
            onChange={(e) => {
              const n = Number(form.area.replace(',', '.'));
              const to = e.target.value;
              const same =
                form.area && Number.isFinite(n)
                  ? String(Number(((n * (areas[form.aUnit] ?? 1)) / (areas[to] ?? 1)).toPrecision(5)))
                  : form.area;
              set({ ...form, aUnit: to, area: same });
            }}
          >
            {Object.keys(areas).map((u) => (
              <MenuItem key={u} value={u}>
                {u}
              </MenuItem>
            ))}
          </TextField>
        </div>
      )}
      {per === 'pot L' && (
        <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr 140px', gap: 12, alignItems: 'end' }}>
          {field('pots', 'Pots')}
          {field('size', 'each holds')}
          <TextField select label="unit" value={form.sUnit} onChange={(e) => set({ ...form, sUnit: e.target.value })}>
            {['L', 'US gal', 'Imperial gal'].map((u) => (
              <MenuItem key={u} value={u}>
                {u}
              </MenuItem>
            ))}
          </TextField>
        </div>
      )}
      {per === 'plant' && field('plants', 'Plants')}
      {dose && (
        <Chips
          label={`${dose.low} to ${dose.high} ${dose.unit} per ${per === 'm2' ? 'square metre' : per === 'pot L' ? 'litre of pot' : 'plant'}`}
          options={['low', 'middle', 'top'].map((id) => ({ id, name: id }))}
          value={[form.use]}
          onChange={(v) => set({ ...form, use: v[0] ?? 'middle' })}
          small
        />
      )}
      <Trouble of={error} />
      {data && (
        <div className="notice pond">
          <b className="num" data-placed>
            {data.placed.text}
          </b>{' '}
          of {r?.name.toLowerCase().replace('release ', '').replace(', on a soil test only', '')} <small>the range here is {data.placed.range}</small>
          {data.placed.lines.map((l) => (
            <div key={l}>{l}</div>
          ))}
        </div>
      )}
    </div>
  );
}
