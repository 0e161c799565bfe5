import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { api, type Problem, type S, settled, unwrap } from '../api/client';
import { useHouse, useVocabulary } from '../api/hooks';
import { Chips, Mind, Trouble } from '../ui/bits';
import { Fill } from './Fill';
import { amountText, Measure } from './Measure';
import { NeedPanel } from './NeedPanel';

export type MixForm = {
  remedy: string;
  rate: string;
  use: string;
  custom: string;
  volume: string;
  vUnit: string;
  sprayer: string;
  sUnit: string;
  spoons: string;
  /** A second remedy in the same tank, and the word that both labels allow it. */
  beside?: string;
  bothLabels?: boolean;
  /** What the bottle of a strength says, in per cent. */
  stock?: string;
  times?: string;
};

export const emptyMix: MixForm = {
  remedy: '',
  rate: '',
  use: 'middle',
  custom: '',
  volume: '',
  vUnit: 'L',
  sprayer: '1',
  sUnit: 'L',
  spoons: 'metric',
};

const vessels: Record<string, string> = { dab: 'jar', wick: 'jar', wipe: 'bowl', drench: 'watering can' };

/** What a litre of mix of a concentrate should hold. */
export const activeText = (a?: S['Active']) =>
  a ? (a.highGramsPerL ? `${a.lowGramsPerL} to ${a.highGramsPerL} g of ${a.of}` : a.of) : '';

const volumes = ['mL', 'L', 'US fl oz', 'US quart', 'US gal', 'Imperial pint', 'Imperial gal'];
const spoonWorlds = [
  { id: 'metric', name: '5 and 15 mL' },
  { id: 'au', name: '5 and 20 mL' },
  { id: 'us', name: 'US spoons' },
  { id: 'imperial', name: 'Imperial spoons' },
];

export const mixInput = (f: MixForm): S['MixInput'] => ({
  remedy: f.remedy,
  ...(f.rate ? { rate: f.rate } : {}),
  use: f.use === 'custom' ? f.custom : f.use,
  volume: f.volume ? amountText({ number: f.volume, unit: f.vUnit }) : amountText({ number: f.sprayer, unit: f.sUnit }),
  sprayer: amountText({ number: f.sprayer, unit: f.sUnit }),
  spoons: f.spoons as 'metric',
  ...(f.beside ? { with: [{ remedy: f.beside, use: 'middle' }], bothLabels: !!f.bothLabels } : {}),
  ...(f.stock?.trim() ? { stock: f.stock } : {}),
  ...(Number(f.times) > 1 ? { treatments: Number(f.times) } : {}),
});

export function useBlend(f: MixForm) {
  const ready = !!f.remedy && !!f.sprayer && (f.use !== 'custom' || !!f.custom.trim());
  return useQuery<S['Mixed'], Problem>({
    queryKey: ['blend', JSON.stringify(mixInput(f))],
    queryFn: async ({ signal }) => {
      await settled(signal);
      return unwrap<S['Mixed']>(api.POST('/api/v1/blend', { body: mixInput(f) }));
    },
    enabled: ready,
    retry: false,
    placeholderData: (old) => old,
  });
}

/** Where a refusal belongs when it speaks of the tank rather than of one field. */
const tankWord = (e: Problem | null | undefined) => e?.errors.find((x) => x.field.startsWith('with['));

export function MixFields({ form, set, only }: { form: MixForm; set: (f: MixForm) => void; only?: string[] }) {
  const { data: kb } = useVocabulary();
  const mixed = (kb?.remedies ?? []).filter((r) => (r.rates?.length ?? 0) > 0 && (!only || only.includes(r.id)));
  const r = mixed.find((x) => x.id === form.remedy);
  const rate = r?.rates?.find((x) => x.id === form.rate) ?? r?.rates?.[0];
  const way = rate?.id ?? '';
  const bottle = useHouse().data?.rules.labels?.[r?.id ?? ''];
  const range = `${bottle?.low ?? rate?.low} to ${bottle?.high ?? rate?.high}`;
  return (
    <div className="form">
      <TextField
        select
        label="What is mixed"
        slotProps={{ htmlInput: { name: 'mixed' } }}
        value={mixed.some((m) => m.id === form.remedy) ? form.remedy : ''}
        onChange={(e) => set({ ...form, remedy: e.target.value, rate: '', stock: '' })}
      >
        {mixed.map((m) => (
          <MenuItem key={m.id} value={m.id}>
            {m.name}
          </MenuItem>
        ))}
      </TextField>
      {(r?.rates?.length ?? 0) > 1 && (
        <Chips
          label="Put on how"
          options={(r?.rates ?? []).map((x) => ({ id: x.id, name: x.name }))}
          value={[rate?.id ?? '']}
          onChange={(v) => set({ ...form, rate: v[0] ?? '' })}
          small
        />
      )}
      <Measure
        label={`The ${vessels[way] ?? 'sprayer'} holds`}
        name="sprayer"
        units={volumes}
        value={{ number: form.sprayer, unit: form.sUnit }}
        set={(a) => set({ ...form, sprayer: a.number, sUnit: a.unit })}
      />
      <Measure
        label="Mix needed in all"
        name="volume"
        placeholder="one filling"
        units={volumes}
        value={{ number: form.volume, unit: form.vUnit }}
        set={(a) => set({ ...form, volume: a.number, vUnit: a.unit })}
      />
      <Chips
        label="The grower's spoons"
        options={spoonWorlds}
        value={[form.spoons]}
        onChange={(v) => set({ ...form, spoons: v[0] ?? 'metric' })}
        small
      />
      {rate && (
        <>
          <Chips
            label={
              r?.bottle && !bottle?.high
                ? `Strength, so that a litre holds ${activeText(r.active)}`
                : bottle?.low || bottle?.high
                  ? `Strength, within the ${range} of the bottle on this shelf`
                  : `Strength, within the usual label range of ${range}`
            }
            options={[
              { id: 'low', name: 'low' },
              { id: 'middle', name: 'middle' },
              { id: 'top', name: 'top' },
              { id: 'custom', name: 'as their label says' },
            ]}
            value={[form.use]}
            onChange={(v) => set({ ...form, use: v[0] ?? 'middle' })}
            small
          />
          {form.use === 'custom' && (
            <TextField
              label="Rate on their label"
              name="rate"
              placeholder="15 mL per L, 1:50 of water, 2 %"
              value={form.custom}
              onChange={(e) => set({ ...form, custom: e.target.value })}
            />
          )}
        </>
      )}
      {(rate?.stock || (r?.active?.highGramsPerL && !bottle?.high)) && (
        <TextField
          label={rate?.stock ? 'The bottle says, per cent' : 'How strong is their bottle?'}
          name="stock"
          value={form.stock ?? ''}
          placeholder={rate?.stock?.replace(' %', '') ?? (bottle?.strength || '80 g per L, or 0.5 %')}
          onChange={(e) => set({ ...form, stock: e.target.value })}
          slotProps={{ htmlInput: { className: 'num', inputMode: rate?.stock ? 'decimal' : 'text' } }}
        />
      )}
      <NeedPanel
        onTake={(v) => {
          const [volume, vUnit] = v.split(' ');
          set({ ...form, volume: volume ?? '', vUnit: vUnit ?? 'L' });
        }}
      />
      <div className="measure">
        <TextField
          select
          label="In the same tank"
          value={mixed.some((m) => m.id === form.beside) ? form.beside : ''}
          onChange={(e) => set({ ...form, beside: e.target.value, bothLabels: false })}
          slotProps={{ htmlInput: { name: 'beside' }, select: { displayEmpty: true } }}
        >
          <MenuItem value="">nothing else</MenuItem>
          {mixed
            .filter((m) => m.id !== form.remedy)
            .map((m) => (
              <MenuItem key={m.id} value={m.id}>
                {m.name}
              </MenuItem>
            ))}
        </TextField>
        <TextField
          label="Treatments"
          name="times"
          value={form.times ?? '1'}
          onChange={(e) => set({ ...form, times: e.target.value })}
          slotProps={{ htmlInput: { className: 'num', inputMode: 'numeric' } }}
        />
      </div>
      {form.beside && (
        <FormControlLabel
          control={
            <Checkbox
              checked={!!form.bothLabels}
              onChange={(e) => set({ ...form, bothLabels: e.target.checked })}
              slotProps={{ input: { name: 'both-labels' } as object }}
            />
          }
          label="I read it on both labels: they may be mixed"
        />
      )}
    </div>
  );
}

function SpoonIcon({ name, n }: { name: string; n: number }) {
  const r = { tbsp: 13, tsp: 9, '1/2 tsp': 7, '1/4 tsp': 5.2 }[name] ?? 8;
  return (
    <span style={{ display: 'inline-flex', alignItems: 'center', gap: 2 }}>
      {Array.from({ length: Math.min(n, 8) }, (_, i) => (
        <svg key={i} width={30 + r} height="30" viewBox={`0 0 ${30 + r} 30`} aria-hidden="true">
          <ellipse cx={r + 1} cy="15" rx={r} ry={r * 0.78} fill="var(--mari2)" stroke="var(--ink)" strokeWidth="1.4" />
          <path
            d={`M${2 * r + 1} 15 C${2 * r + 5} 13 ${2 * r + 9} 15 ${29 + r} 15`}
            stroke="var(--ink)"
            strokeWidth="2.4"
            fill="none"
            strokeLinecap="round"
          />
        </svg>
      ))}
      {n > 8 && <b>×{n}</b>}
    </span>
  );
}

export function MixAnswer({
  mixed,
  error,
  forGrower,
}: {
  mixed?: S['Mixed'];
  error?: Problem | null;
  forGrower?: boolean;
}) {
  if (error)
    return tankWord(error) ? (
      <div className="notice brick" role="alert" data-tank>
        <b>{tankWord(error)?.problem}.</b> {(tankWord(error)?.mend ?? '').replace(/^./, (c) => c.toUpperCase())}.
      </div>
    ) : (
      <Trouble of={error} />
    );
  if (!mixed)
    return <p className="quiet">Choose what is mixed and say what the sprayer holds; the amounts appear here.</p>;
  const p = mixed.plan;
  return (
    <div className="stack" data-answer="mix">
      {!forGrower && <Mind of={mixed.mind} />}
      {p.tanks.map((t, i) => (
        <div key={i} className="stack" style={{ gap: 8 }}>
          <div className="stack" style={{ gap: 6 }}>
            <h3>
              {p.fillings > 1
                ? `${t.count === 1 ? 'One filling' : `${t.count} fillings`} of ${t.text}`
                : `${t.text} of finished mix`}
            </h3>
            {t.doses.map((d) => (
              <div key={d.name}>
                <div style={{ fontSize: 20 }}>
                  <b className="num" data-dose>
                    {d.text}
                  </b>{' '}
                  {d.name.toLowerCase()}
                </div>
                {d.spoons?.text && (
                  <div className="wrap" style={{ alignItems: 'center' }}>
                    {d.spoons.spoons.map((s) => (
                      <SpoonIcon key={s.name} name={s.name} n={s.count} />
                    ))}
                    <b>{d.spoons.text}</b>
                    <small className="num">
                      holds {d.spoons.ml.toFixed(1)} mL,{' '}
                      {Math.abs(d.spoons.errorPct) < 0.05
                        ? 'exact'
                        : `${Math.abs(d.spoons.errorPct).toFixed(0)} % ${d.spoons.errorPct > 0 ? 'over' : 'under'}`}
                    </small>
                  </div>
                )}
              </div>
            ))}
            <div className="quiet">
              with <span className="num">{t.waterText}</span> of water
            </div>
          </div>
          <Fill tank={t} vessel={p.vessel} />
        </div>
      ))}
      {p.marks.map((m) => (
        <svg
          key={m.name}
          viewBox="0 0 400 44"
          role="img"
          aria-label={`${m.rate}, between the label's ${m.low} and ${m.high}`}
          style={{ maxWidth: 460 }}
        >
          <path d="M10 16 H390" stroke="var(--ink)" strokeWidth="2" />
          <path d="M10 9 V23 M390 9 V23" stroke="var(--ink)" strokeWidth="2" />
          <path
            d={`M${10 + 380 * Math.max(0, Math.min(1, m.share))} 14 l-7 -11 h14 Z`}
            fill="var(--mari)"
            stroke="var(--ink)"
            strokeWidth="1"
          />
          <text x="10" y="40" fontSize="13" fill="var(--quiet)">
            label low {m.low}
          </text>
          <text x="390" y="40" fontSize="13" textAnchor="end" fill="var(--quiet)">
            top {m.high}
          </text>
        </svg>
      ))}
      {p.warnings.map((w) => (
        <div key={w} className="notice">
          {w}
        </div>
      ))}
      <div>
        <h3>In this order</h3>
        <ol className="tight">
          {p.order.map((o) => (
            <li key={o}>{o}</li>
          ))}
        </ol>
      </div>
      <p data-buy>
        {(mixed.treatments ?? 1) > 1 ? `All ${mixed.treatments} treatments use` : 'One treatment uses'}{' '}
        {p.buy.map((b) => `${b.text} of ${b.name.toLowerCase()}`).join(', ')}; {p.leftOver}.
      </p>
    </div>
  );
}
