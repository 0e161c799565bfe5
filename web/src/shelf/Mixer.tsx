import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { api, type Problem, type S, take } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Chips, Trouble } from '../ui/bits';

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

const volumes = ['mL', 'L', 'US fl oz', 'US quart', 'US gal', 'Imperial pint', 'Imperial gal'];
export const spoonWorlds = [
  { id: 'metric', name: '5 and 15 mL' },
  { id: 'au', name: '5 and 20 mL' },
  { id: 'us', name: 'US spoons' },
  { id: 'imperial', name: 'Imperial spoons' },
];

export const mixInput = (f: MixForm): S['MixInput'] => ({
  remedy: f.remedy,
  ...(f.rate ? { rate: f.rate } : {}),
  use: f.use === 'custom' ? f.custom : f.use,
  volume: `${f.volume || f.sprayer} ${f.volume ? f.vUnit : f.sUnit}`,
  sprayer: `${f.sprayer} ${f.sUnit}`,
  spoons: f.spoons as 'metric',
});

/** The same physical amount in another unit, so that switching never changes the mix. */
async function convert(amount: string, from: string, to: string): Promise<string> {
  const size: Record<string, number> = {
    mL: 1,
    L: 1000,
    'US fl oz': 29.5735295625,
    'US quart': 946.352946,
    'US gal': 3785.411784,
    'Imperial pint': 568.26125,
    'Imperial gal': 4546.09,
  };
  const n = Number(amount.replace(',', '.'));
  if (!Number.isFinite(n) || !size[from] || !size[to]) return amount;
  return String(Number(((n * size[from]) / size[to]).toPrecision(6)));
}

export function useBlend(f: MixForm) {
  const ready = !!f.remedy && !!f.sprayer && (f.use !== 'custom' || !!f.custom.trim());
  return useQuery<S['Mixed'], Problem>({
    queryKey: ['blend', JSON.stringify(mixInput(f))],
    queryFn: () => take<S['Mixed']>(api.POST('/api/v1/blend', { body: mixInput(f) })),
    enabled: ready,
    retry: false,
    placeholderData: (old) => old,
  });
}

export function MixFields({ form, set, only }: { form: MixForm; set: (f: MixForm) => void; only?: string[] }) {
  const { data: kb } = useVocabulary();
  const mixed = (kb?.remedies ?? []).filter((r) => (r.rates?.length ?? 0) > 0 && (!only || only.includes(r.id)));
  const r = mixed.find((x) => x.id === form.remedy);
  const rate = r?.rates?.find((x) => x.id === form.rate) ?? r?.rates?.[0];
  const unit = (k: 'vUnit' | 'sUnit', of: 'volume' | 'sprayer') => (
    <TextField
      select
      label="unit"
      value={form[k]}
      onChange={async (e) =>
        set({ ...form, [k]: e.target.value, [of]: await convert(form[of], form[k], e.target.value) })
      }
      style={{ width: 140 }}
    >
      {volumes.map((v) => (
        <MenuItem key={v} value={v}>
          {v}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <div className="form">
      <TextField
        select
        label="What is mixed"
        value={mixed.some((m) => m.id === form.remedy) ? form.remedy : ''}
        onChange={(e) => set({ ...form, remedy: e.target.value, rate: '' })}
      >
        {mixed.map((m) => (
          <MenuItem key={m.id} value={m.id}>
            {m.name}
          </MenuItem>
        ))}
      </TextField>
      <div style={{ display: 'grid', gridTemplateColumns: '1fr 140px', gap: 12 }}>
        <TextField
          label="The sprayer holds"
          name="sprayer"
          value={form.sprayer}
          onChange={(e) => set({ ...form, sprayer: e.target.value })}
          slotProps={{ htmlInput: { className: 'num', inputMode: 'decimal' } }}
        />
        {unit('sUnit', 'sprayer')}
      </div>
      <div style={{ display: 'grid', gridTemplateColumns: '1fr 140px', gap: 12 }}>
        <TextField
          label="Mix needed in all"
          name="volume"
          value={form.volume}
          placeholder="one filling"
          onChange={(e) => set({ ...form, volume: e.target.value })}
          slotProps={{ htmlInput: { className: 'num', inputMode: 'decimal' } }}
        />
        {unit('vUnit', 'volume')}
      </div>
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
            label={`Strength, within the usual label range of ${rate.low} to ${rate.high}`}
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

/** One filling drawn as it is made: water, what is added, the line to fill to. */
function Bottle({ tank }: { tank: S['Tank'] }) {
  const parts = tank.doses.map((d) => ({ name: d.name, share: d.unit === 'mL' ? d.amount / tank.volume : 0.012 }));
  let y = 150;
  const water = 1 - parts.reduce((a, p) => a + p.share, 0);
  const h = 112;
  const fills = ['var(--mari)', 'var(--lichen)', 'var(--brick)', 'var(--ochre)'];
  const blocks = [
    { name: 'water', share: water, fill: 'color-mix(in srgb, var(--pond) 30%, var(--sheet))' },
    ...parts.map((p, i) => ({ ...p, share: Math.max(p.share, 0.02), fill: fills[i % 4] as string })),
  ];
  return (
    <svg
      viewBox="0 0 132 170"
      width="132"
      role="img"
      aria-label={`A filling of ${tank.text}: ${tank.waterText} of water and ${tank.doses.map((d) => `${d.text} of ${d.name}`).join(', ')}`}
    >
      {blocks.map((b) => {
        const bh = Math.min(h, b.share * h);
        y -= bh;
        return <rect key={b.name} x="25" y={y} width="60" height={bh} fill={b.fill} />;
      })}
      <path
        d="M33 18 H77 V30 C77 34 86 36 86 44 V150 a6 6 0 0 1 -6 6 H30 a6 6 0 0 1 -6 -6 V44 C24 36 33 34 33 30 Z"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.8"
        strokeLinejoin="round"
      />
      <path
        d="M40 18 V8 H84 L98 14 V22 L84 18 M62 18 C70 24 76 26 74 36"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.8"
        strokeLinejoin="round"
      />
      <path d={`M18 ${150 - h} H30`} stroke="var(--brick)" strokeWidth="2" />
      <text x="90" y={150 - h + 4} fontSize="12" fill="var(--ink)">
        {tank.text}
      </text>
    </svg>
  );
}

export function MixAnswer({ mixed, error }: { mixed?: S['Mixed']; error?: Problem | null }) {
  if (error) return <Trouble of={error} />;
  if (!mixed)
    return <p className="quiet">Choose what is mixed and say what the sprayer holds; the amounts appear here.</p>;
  const p = mixed.plan;
  return (
    <div className="stack" data-answer="mix">
      {p.tanks.map((t, i) => (
        <div
          key={i}
          style={{ display: 'grid', gridTemplateColumns: '132px minmax(0,1fr)', gap: 14, alignItems: 'center' }}
        >
          <Bottle tank={t} />
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
      <p>
        One treatment uses {p.buy.map((b) => `${b.text} of ${b.name.toLowerCase()}`).join(', ')}; {p.leftOver}.
      </p>
    </div>
  );
}
