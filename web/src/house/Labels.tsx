import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Problem, S } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { activeText } from '../parts/Mixer';

const whole = ['gap', 'most', 'wait'] as const;

type Draft = { low: string; high: string; strength: string; gap: string; most: string; wait: string; crops: string };

/** The bottles on this desk's shelf, by generic name: their own rates, gap, most a season, wait and crops win over the usual ones. */
export function Labels({
  rules,
  boss,
  error,
  onChange,
}: {
  rules?: S['House'];
  boss: boolean;
  error?: Problem | null;
  onChange: (h: S['House']) => void;
}) {
  const { data: kb } = useVocabulary();
  const [open, setOpen] = useState('');
  const [d, setD] = useState<Draft | null>(null);
  const products = (kb?.remedies ?? [])
    .filter((r) => r.kind === 'product')
    .sort((a, b) => a.name.localeCompare(b.name));
  const kept = Object.keys(rules?.labels ?? {});
  const take = (id: string) => {
    const l = rules?.labels?.[id];
    setOpen(id);
    setD({
      low: l?.low ?? '',
      high: l?.high ?? '',
      strength: l?.strength ?? '',
      gap: l?.repeatMinDays ? String(l.repeatMinDays) : '',
      most: l?.mostPerSeason ? String(l.mostPerSeason) : '',
      wait: l?.waitDays ? String(l.waitDays) : '',
      crops: (l?.crops ?? []).join(', '),
    });
  };
  const r = products.find((p) => p.id === open);
  const wrong = d ? whole.filter((k) => d[k].trim() && !/^\d+$/.test(d[k].trim())) : [];
  const save = () => {
    if (!rules || !d || wrong.length) return;
    const n = (s: string) => (s.trim() ? Number(s) : undefined);
    const label: S['Label'] = {
      ...(d.low.trim() ? { low: d.low.trim() } : {}),
      ...(d.high.trim() ? { high: d.high.trim() } : {}),
      ...(d.strength.trim() ? { strength: d.strength.trim() } : {}),
      ...(n(d.gap) ? { repeatMinDays: n(d.gap) } : {}),
      ...(n(d.most) ? { mostPerSeason: n(d.most) } : {}),
      ...(n(d.wait) ? { waitDays: n(d.wait) } : {}),
      ...(d.crops.trim()
        ? {
            crops: d.crops
              .split(',')
              .map((c) => c.trim().toLowerCase())
              .filter(Boolean),
          }
        : {}),
    };
    const labels = { ...rules.labels, [open]: label };
    if (Object.keys(label).length === 0) delete labels[open];
    onChange({ ...rules, labels });
  };
  const field = (k: keyof Draft, label: string, usual?: string | number, name = k as string) => (
    <TextField
      label={label}
      name={`label-${name}`}
      value={d?.[k] ?? ''}
      placeholder={usual ? `usual ${usual}` : ''}
      disabled={!boss}
      helperText={wrong.includes(k as 'gap') ? 'a whole number, like 7' : ''}
      error={
        wrong.includes(k as 'gap') ||
        !!error?.field(
          `labels.${open}.${{ gap: 'repeatMinDays', most: 'mostPerSeason', wait: 'waitDays' }[k as string] ?? k}`,
        )
      }
      onChange={(e) => d && setD({ ...d, [k]: e.target.value })}
    />
  );
  const rate = r?.rates?.[0];
  return (
    <section className="sheet pad stack" data-labels>
      <h2>Bottles on this shelf</h2>
      <p className="quiet">
        The rates on your bottle replace the usual ones, for every case at once. Of gaps, times a season and days before
        harvest the stricter counts, yours or the usual.
      </p>
      {kept.length > 0 && (
        <ul className="tight">
          {kept.map((id) => {
            const l = rules?.labels?.[id];
            return (
              <li key={id}>
                <button
                  type="button"
                  className="plain"
                  style={{ textDecoration: 'underline' }}
                  onClick={() => take(id)}
                >
                  {kb?.remedies.find((x) => x.id === id)?.name ?? id}
                </button>{' '}
                <small>
                  {[
                    l?.low ? `from ${l.low}` : '',
                    l?.high ? `up to ${l.high}` : '',
                    l?.strength ? `holding ${l.strength}` : '',
                    l?.repeatMinDays ? `gap ${l.repeatMinDays} days` : '',
                    l?.mostPerSeason ? `${l.mostPerSeason} a season` : '',
                    l?.waitDays ? `${l.waitDays} days before harvest` : '',
                    l?.crops?.length ? `for ${l.crops.join(', ')}` : '',
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </small>
              </li>
            );
          })}
        </ul>
      )}
      <TextField
        select
        label="Bottle"
        value={open}
        onChange={(e) => take(e.target.value)}
        slotProps={{ htmlInput: { name: 'label-remedy' } }}
      >
        {products.map((p) => (
          <MenuItem key={p.id} value={p.id}>
            {p.name}
          </MenuItem>
        ))}
      </TextField>
      {r && d && (
        <div className="form" data-label={open}>
          {r.bottle && (
            <p className="quiet">
              Its bottles differ many times in strength: copy the rate off yours. Where it gives none, its strength is
              reckoned with; a litre of mix should hold about {activeText(r.active)}.
            </p>
          )}
          {r.active?.highGramsPerL && field('strength', 'How strong, like 80 g per L or 0.5 %')}
          <div className="halves">
            {field('low', 'Lowest rate', r.bottle ? '' : rate?.low)}
            {field('high', 'Top rate', r.bottle ? '' : rate?.high)}
          </div>
          <div className="thirds">
            {field('gap', 'Gap, days', r.repeatMinDays)}
            {field('most', 'Most a season', r.mostPerSeason)}
            {field('wait', 'Before harvest, days', r.waitDays)}
          </div>
          {field('crops', 'Crops it names, by plant, group or family', 'not written down')}
          <div>
            <Button
              variant="contained"
              disabled={!boss || !rules || wrong.length > 0}
              onClick={save}
              data-do="keep-label"
            >
              Keep this label
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
