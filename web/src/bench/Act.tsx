import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import { api, type S, take, type View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Mark } from '../plates/Mark';
import { Chips, Trouble } from '../ui/bits';
import { useTyped } from '../ui/draft';
import { useKeys } from '../ui/keys';
import { ChangeTrouble } from './ChangeTrouble';
import { readCounts } from './counts';

const also = ['helpers', 'drought', 'badYear', 'dormant', 'calciumLow'] as const;

/** How heavy it is, by what anybody sees. */
const heavies = [
  { id: 'light', name: 'light: a few, one has to look for them', mark: <Sprig hit={[0, 2, 0, 0]} /> },
  { id: 'moderate', name: 'moderate: on many leaves, the plant grows on', mark: <Sprig hit={[5, 4, 6, 3]} /> },
  { id: 'heavy', name: 'heavy: leaves yellow, curl or fall, growth stops', mark: <Sprig hit={[9, 8]} sick /> },
];

/** A sprig of four leaves as it looks at each degree: so many specks on each; sick, they are yellow, hang, and two are gone. */
function Sprig({ hit, sick }: { hit: number[]; sick?: boolean }) {
  const places = [
    [14, -50],
    [22, 40],
    [30, -60],
    [38, 55],
  ] as const;
  return (
    <svg viewBox="0 0 48 56" width="40" height="46" aria-hidden="true" style={{ flex: 'none' }}>
      <path
        d={sick ? 'M24 55 V20 Q24 10 32 8' : 'M24 55 V6'}
        stroke="var(--leaf-line)"
        strokeWidth="2.2"
        fill="none"
        strokeLinecap="round"
      />
      {places.slice(0, hit.length).map(([y, turn], i) => (
        <g key={y} transform={`translate(24 ${y + 4}) rotate(${sick ? turn * 2.4 : turn})`}>
          <path
            d="M0 0 C-9 -6 -8 -16 0 -20 C8 -16 9 -6 0 0 Z"
            fill={sick ? '#e3cf6a' : 'var(--leaf)'}
            stroke="var(--leaf-line)"
            strokeWidth="1.3"
          />
          {Array.from({ length: hit[i] ?? 0 }, (_, k) => (
            <circle key={k} cx={((k * 5) % 9) - 4} cy={-5 - ((k * 7) % 12)} r="1.5" fill="#3a2c12" />
          ))}
        </g>
      ))}
    </svg>
  );
}
const stageNames: Record<string, string> = {
  egg: 'eggs',
  crawler: 'crawlers',
  young: 'young',
  grub: 'grubs',
  resting: 'pupa or cocoon',
  adult: 'grown ones',
};

/** Count, hold it against what is borne, and decide: act, wait, or pull. */
export function Act({ view }: { view: View }) {
  const { data: kb } = useVocabulary();
  const change = useChange(view.id);
  const { put } = useCaseCalls(view.id);
  const go = useNavigate();
  const a = view.act;
  const cause = kb?.causes.find((c) => c.id === view.verdict?.cause);
  const [form, set, clear] = useTyped(`act.${view.id}.${view.verdict?.cause}`, {
    text: (a?.counts ?? []).join(' '),
    helpers: a?.helpers ?? false,
    stages: a?.stages ?? [],
    drought: a?.drought ?? false,
    badYear: a?.badYear,
    dormant: a?.dormant,
    calciumLow: a?.calciumLow,
    press: a?.pressure ?? '',
  });
  const { text, press, ...seen } = form;
  const { counts, odd } = readCounts(text);
  const weighed = useQuery({
    queryKey: ['weigh', view.id, view.verdict?.cause, counts.join(), seen.helpers],
    queryFn: () =>
      take<S['Weighed']>(
        api.POST('/api/v1/cases/{id}/weigh', {
          params: { path: { id: view.id } },
          body: { counts, helpers: seen.helpers },
        }),
      ),
    enabled: !!view.verdict?.cause,
  });
  const d = weighed.data?.decision;
  const s = weighed.data?.summary;
  const pressure = press || d?.pressure || 'moderate';
  const keep = (choice: 'act' | 'wait' | 'pull') =>
    odd === undefined &&
    change.mutate(put('/api/v1/cases/{id}/act', { counts, ...seen, choice, pressure } as S['ActInput']), {
      onSuccess: () => {
        clear();
        go(`/bench/${view.id}/${choice === 'act' ? 'remedy' : 'handover'}`);
      },
    });
  useKeys([
    // A letter is no count: these act in the field of counts as well.
    { key: 'a', does: 'act', run: () => keep('act'), inFields: true },
    { key: 'w', does: 'wait and watch', run: () => keep('wait'), inFields: true },
    { key: 'p', does: 'remove the plant', hidden: true, run: () => keep('pull'), inFields: true },
  ]);
  if (!view.verdict) return <p>Say what it is first; then there is something to count.</p>;
  const wording: Record<string, string> = {
    act: 'Act',
    wait: 'Wait and watch',
    'count more': 'Count more',
    judge: 'Judge by the plant',
  };
  return (
    <div className="two">
      <div className="sheet pad stack">
        {cause && (
          <div className="row" style={{ justifyContent: 'flex-start', alignItems: 'center', gap: 12 }}>
            <Mark drawing={cause.drawing} size={96} />
            <span>
              <b>{cause.name}</b>
              <small style={{ display: 'block' }}>{cause.scientific}</small>
            </span>
          </div>
        )}
        <Chips label="How heavy" options={heavies} value={[pressure]} onChange={(v) => set({ press: v[0] ?? '' })} />
        {cause && cause.stages.length > 0 && (
          <Chips
            label="Stages seen (decides what can reach them)"
            options={cause.stages.map((id) => ({ id, name: stageNames[id] ?? id }))}
            value={seen.stages}
            onChange={(stages) => set({ stages })}
            many
          />
        )}
        <Chips
          label="Also"
          options={[
            { id: 'helpers', name: 'helpers are at work' },
            { id: 'drought', name: 'the plant is thirsty' },
            { id: 'badYear', name: 'last year was bad' },
            { id: 'dormant', name: 'without leaves' },
            { id: 'calciumLow', name: 'soil test: little calcium' },
          ]}
          value={also.filter((k) => seen[k])}
          onChange={(v) => {
            const on = (k: (typeof also)[number]) => v.includes(k);
            set({
              helpers: on('helpers'),
              drought: on('drought'),
              badYear: on('badYear'),
              calciumLow: on('calciumLow'),
              // Said only when the advisor touched it; otherwise plant and month decide.
              ...(on('dormant') !== !!seen.dormant ? { dormant: on('dormant') } : {}),
            });
          }}
          many
        />
      </div>
      <div className="sheet pad stack">
        <h2>Is it worth acting on?</h2>
        <p>
          <span className="quiet">Can be left alone up to: </span>
          {weighed.data?.borne ?? cause?.tolerable}
          <small> ({weighed.data?.threshold.source ?? 'judgement'})</small>
        </p>
        <TextField
          label={`Counted on each ${cause?.unit || 'leaf'}, undersides, several of them`}
          placeholder="12 0 7 31 4"
          value={text}
          onChange={(e) => set({ text: e.target.value })}
          error={odd !== undefined}
          helperText={odd !== undefined && `“${odd}” is not a count: whole numbers with blanks between, like 12 0 7`}
          slotProps={{ htmlInput: { inputMode: 'numeric', className: 'num' } }}
          name="counts"
          autoFocus
        />
        {counts.length > 0 && <Strip counts={counts} borne={weighed.data?.threshold.perUnit ?? 0} />}
        {s && (
          <p>
            Mean <b className="num">{s.mean.toFixed(1)}</b> a {cause?.unit || 'leaf'}{' '}
            <span className="quiet num">
              (95 in 100: {s.low.toFixed(1)} to {s.high.toFixed(1)})
            </span>
            , <b className="num">{s.infested}</b> of {s.n} hit.
          </p>
        )}
        {d && (
          <div className={d.act === 'act' ? 'notice' : 'notice pond'} data-decision={d.act}>
            <b>{wording[d.act]}.</b> {d.why.join(' ')}
          </div>
        )}
        <Trouble of={weighed.error} />
        <ChangeTrouble id={view.id} change={change} />
        <div className="wrap">
          <Button variant="contained" onClick={() => keep('act')} data-do="act">
            Act&nbsp;<kbd>a</kbd>
          </Button>
          <Button variant="outlined" onClick={() => keep('wait')} data-do="wait">
            Wait and watch&nbsp;<kbd>w</kbd>
          </Button>
          <Button variant="outlined" color="error" onClick={() => keep('pull')}>
            Remove the plant&nbsp;<kbd>p</kbd>
          </Button>
        </div>
        {a && (
          <p data-decided>
            <b>Decided: {wording[a.choice] ?? 'Remove the plant'}</b>
            <span className="quiet">
              , at {a.pressure} pressure, by {a.by}.
            </span>
          </p>
        )}
        <small>
          A little damage on a strong plant is nothing to treat. An annual past its prime is pulled and replanted.
        </small>
      </div>
    </div>
  );
}

/** Each leaf a bar, the level that is borne a line across. */
function Strip({ counts, borne }: { counts: number[]; borne: number }) {
  const top = Math.max(...counts, borne * 1.3, 1);
  const w = Math.min(34, 460 / counts.length);
  const y = (v: number) => 74 - (v / top) * 66;
  return (
    <svg
      viewBox="0 0 480 92"
      role="img"
      aria-label={`Counts ${counts.join(', ')}${borne ? `; ${borne} can be left alone` : ''}`}
      style={{ width: '100%', maxWidth: 520 }}
    >
      {counts.map((c, i) => (
        <g key={i}>
          <rect
            x={6 + i * w}
            y={y(c)}
            width={w - 5}
            height={74 - y(c)}
            fill={borne && c > borne ? 'var(--aub2)' : 'var(--wood)'}
          />
          <text
            x={6 + i * w + (w - 5) / 2}
            y={88}
            fontSize="12"
            textAnchor="middle"
            fill="var(--quiet)"
            className="num"
          >
            {c}
          </text>
        </g>
      ))}
      <path d="M2 74.5 H478" stroke="var(--ink)" strokeWidth="1.2" />
      {borne > 0 && (
        <>
          <path d={`M2 ${y(borne)} H478`} stroke="var(--pond)" strokeWidth="1.6" strokeDasharray="6 4" />
          <text x="476" y={y(borne) - 4} fontSize="12.5" textAnchor="end" fill="var(--pond)">
            left alone up to {borne}
          </text>
        </>
      )}
    </svg>
  );
}
