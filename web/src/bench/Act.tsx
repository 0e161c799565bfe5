import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import { api, type S, take, type View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Chips, Trouble } from '../ui/bits';
import { useTyped } from '../ui/draft';
import { useKeys } from '../ui/keys';
import { Answer, WhyHere } from './act/Answer';
import { asked, held, type Tallied } from './act/counts';
import { HowTo } from './act/HowTo';
import { Pad } from './act/Pad';
import { RunChart } from './act/RunChart';
import { ChangeTrouble } from './ChangeTrouble';

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

/** How a trouble is counted before anybody chose otherwise: of leaves that show it with or without, of animals each. */
const firstWay = (t?: S['Threshold']): Pick<Tallied, 'way' | 'of'> =>
  t?.share && !t.perUnit
    ? { way: 'with', of: [t.of || 'marks'] }
    : { way: 'each', of: [t?.of && t.of !== 'parasitised' ? t.of : 'pests'] };

/** Count, hold it against what is borne, and decide: leave, watch, act, pull or save. */
export function Act({ view }: { view: View }) {
  const { data: kb } = useVocabulary();
  const change = useChange(view.id);
  const { put } = useCaseCalls(view.id);
  const go = useNavigate();
  const a = view.act;
  const cause = kb?.causes.find((c) => c.id === view.verdict?.cause);
  const [form, set, clear] = useTyped(`act.${view.id}.${view.verdict?.cause}`, {
    tallied: (a
      ? {
          way: a.count?.quick ? 'with' : 'each',
          of: a.count?.of ?? ['pests'],
          leaves: a.count?.leaves ?? (a.counts ?? []).map((n) => [n]),
          hand: [],
          severity: a.severity ?? [],
        }
      : null) as Tallied | null,
    helpers: a?.helpers ?? false,
    stages: a?.stages as string[] | undefined,
    drought: a?.drought ?? false,
    badYear: a?.badYear,
    dormant: a?.dormant,
    calciumLow: a?.calciumLow,
    press: a?.pressure ?? '',
    standard: a?.standard ?? '',
    weeks: a?.weeksLeft === undefined || a.weeksLeft === null ? '' : String(a.weeksLeft),
  });
  const [odd, setOdd] = useState<string>();
  const { press, standard, weeks, ...seen } = form;
  const weeksLeft = /^\d{1,3}$/.test(weeks.trim()) ? { weeksLeft: Number(weeks) } : {};
  const oddWeeks = weeks.trim() !== '' && !('weeksLeft' in weeksLeft);
  const facts = {
    ...(form.tallied ? asked(form.tallied) : {}),
    ...(seen.helpers ? { helpers: true } : {}),
    ...(seen.badYear ? { badYear: true } : {}),
    ...(standard ? { standard: standard as 'show' } : {}),
    ...weeksLeft,
  };
  const body: S['Counted'] = { ...facts, ...(press ? { degree: press as 'light' } : {}) };
  const weighed = useQuery({
    queryKey: ['weigh', view.id, view.verdict?.cause, JSON.stringify(body)],
    queryFn: () =>
      take<S['Weighed']>(api.POST('/api/v1/cases/{id}/weigh', { params: { path: { id: view.id } }, body })),
    enabled: !!view.verdict?.cause,
    placeholderData: (old) => old,
  });
  const w = weighed.data;
  const d = w?.decision;
  const tallied: Tallied = form.tallied ?? { ...firstWay(w?.threshold), leaves: [], hand: [], severity: [] };
  const setTallied = (f: (old: Tallied) => Tallied) =>
    set((now) => ({ tallied: f(now.tallied ?? { ...firstWay(w?.threshold), leaves: [], hand: [], severity: [] }) }));
  const stages = seen.stages ?? w?.stages ?? [];
  const pressure = press || d?.pressure || 'moderate';
  const keep = (word: S['ActInput']['word'], choice: 'act' | 'wait' | 'pull') =>
    odd === undefined &&
    !oddWeeks &&
    change.mutate(
      put('/api/v1/cases/{id}/act', {
        ...facts,
        stages,
        drought: seen.drought,
        ...(seen.dormant === undefined ? {} : { dormant: seen.dormant }),
        ...(seen.calciumLow ? { calciumLow: true } : {}),
        choice,
        word,
        pressure,
      } as S['ActInput']),
      {
        onSuccess: () => {
          clear();
          go(`/bench/${view.id}/${choice === 'act' ? 'remedy' : 'handover'}`);
        },
      },
    );
  const waiting = (['leave', 'watch', 'spring', 'back', 'save', 'refer'] as const).find((x) => x === d?.act) ?? 'watch';
  const advised = d?.act === 'more' ? undefined : d?.act;
  const follow = () => advised && keep(advised, advised === 'act' ? 'act' : advised === 'pull' ? 'pull' : 'wait');
  useKeys([
    // A letter is no count: these act in the field of counts as well.
    { key: 'a', does: 'act', run: () => keep('act', 'act'), inFields: true },
    { key: 'w', does: 'wait', run: () => keep(waiting, 'wait'), inFields: true },
    { key: 'p', does: 'remove the plant', hidden: true, run: () => keep('pull', 'pull'), inFields: true },
    { key: 'Enter', does: 'as advised', run: follow },
  ]);
  if (!view.verdict?.cause)
    return (
      <p>
        Say what it is first; then there is something to count.{' '}
        <Link to={`/bench/${view.id}/verdict`}>To the verdict</Link>
      </p>
    );
  const unit = w?.threshold.unit || 'leaf';
  const running = w?.test && held(tallied, w.threshold.of || 'pests');
  const button = (word: S['ActInput']['word'], choice: 'act' | 'wait' | 'pull', name: string, key: string) => (
    <Button
      variant={(advised === word && word) || (choice === 'wait' && advised === waiting) ? 'contained' : 'outlined'}
      color={choice === 'pull' && advised !== 'pull' ? 'error' : 'primary'}
      onClick={() => keep(word, choice)}
      data-do={choice}
    >
      {name}&nbsp;<kbd>{key}</kbd>
    </Button>
  );
  return (
    <div className="two">
      <div className="sheet pad count-sheet">
        <h2>Count</h2>
        {w?.sampling && tallied.way !== 'match' && <HowTo of={w.sampling} />}
        <Pad
          of={tallied}
          set={setTallied}
          unit={unit}
          onOdd={setOdd}
          beside={w?.test && running && <RunChart test={w.test} counts={running} unit={unit} says={d?.step?.says} />}
        />
        {w && tallied.way !== 'match' && <Figures w={w} unit={unit} n={tallied.leaves.length} />}
        {w?.severity && (
          <p data-severity={w.severity.mean.toFixed(1)}>
            <b className="num">{w.severity.mean.toFixed(1)}</b> in 100 of the leaf area over {w.severity.n} leaves,{' '}
            {w.severity.hit} of them hit: {w.severity.word}. <small>Disease index {w.severity.index.toFixed(2)}.</small>
          </p>
        )}
      </div>
      <div className="stack">
        <div className="sheet pad stack">
          <Chips
            label={w?.seen && !press ? `How heavy; by the looks (${w.seen.said}) it is ${w.seen.degree}` : 'How heavy'}
            options={heavies}
            value={press || w?.seen || w?.summary || w?.severity ? [pressure] : []}
            onChange={(v) => set({ press: v[0] ?? '' })}
          />
          {cause && cause.stages.length > 0 && (
            <Chips
              label="Stages seen (decides what can reach them)"
              options={cause.stages.map((id) => ({ id, name: stageNames[id] ?? id }))}
              value={stages}
              onChange={(stages) => set({ stages })}
              many
              small
            />
          )}
        </div>
        <div className="sheet pad stack">
          <h2>Is it worth acting on?</h2>
          <p>
            <span className="quiet">Can be left alone up to: </span>
            {w?.borne ?? cause?.tolerable}
            <small> ({w?.threshold.source ?? 'judgement'})</small>
          </p>
          {d && <Answer d={d} />}
          <Trouble of={weighed.error} />
          <ChangeTrouble id={view.id} change={change} />
          <div className="wrap">
            {button('act', 'act', 'Act', 'a')}
            {button(waiting, 'wait', waits[waiting] ?? 'Wait', 'w')}
            {button('pull', 'pull', 'Remove the plant', 'p')}
          </div>
          {a && (
            <p data-decided>
              <b>Decided: {decided(a)}</b>
              <span className="quiet">
                , at {a.pressure} pressure, by {a.by}.
              </span>
            </p>
          )}
        </div>
        <div className="sheet pad stack">
          <Chips
            label="Kept for"
            options={[
              { id: '', name: 'the garden' },
              { id: 'food', name: 'eating' },
              { id: 'show', name: 'show' },
              { id: 'hedge', name: 'a hedge' },
            ]}
            value={[standard]}
            onChange={(v) => set({ standard: (v[0] ?? '') as '' })}
            small
          />
          <TextField
            label="Weeks of picking or flowering left, if it is nearly over"
            value={weeks}
            onChange={(e) => set({ weeks: e.target.value })}
            error={oddWeeks}
            helperText={oddWeeks && 'whole weeks, like 3'}
            name="weeks"
            slotProps={{ htmlInput: { inputMode: 'numeric', className: 'num' } }}
          />
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
            small
          />
          {w?.lastYear && !seen.badYear && (
            <div className="notice" data-last-year>
              {w.lastYear} Was it bad?{' '}
              <button type="button" className="plain link" onClick={() => set({ badYear: true })}>
                yes, a bad year
              </button>
            </div>
          )}
        </div>
        {w && <WhyHere of={w} />}
      </div>
    </div>
  );
}

const waits: Record<string, string> = {
  leave: 'Leave it',
  watch: 'Wait and watch',
  spring: 'Wait for the young',
  back: 'Bring it back',
  save: 'Save it',
  refer: 'Send it on',
};

const decided = (a: NonNullable<View['act']>) =>
  ({ act: 'Act', pull: 'Remove the plant', wait: waits[a.word ?? ''] ?? 'Wait and watch' })[a.choice];

/** The mean, the share and how many more would be enough, in a line or two. */
function Figures({ w, unit, n }: { w: S['Weighed']; unit: string; n: number }) {
  const s = w.summary;
  if (!s || n === 0) return null;
  return (
    <p data-figures>
      {w.quick ? (
        <>
          <b className="num">{s.infested}</b> of {s.n} with any{' '}
          <span className="quiet num">
            ({(100 * s.shareLow).toFixed(0)} to {(100 * s.shareHigh).toFixed(0)} in 100)
          </span>
          {w.threshold.perUnit ? <>: {w.quick.text}</> : '.'}
        </>
      ) : (
        <>
          Mean <b className="num">{s.mean.toFixed(1)}</b> a {unit}{' '}
          {s.n > 2 && (
            <span className="quiet num">
              (95 in 100: {s.low.toFixed(1)} to {s.high.toFixed(1)})
            </span>
          )}
          , <b className="num">{s.infested}</b> of {s.n} hit.{s.k > 0 && <small> In clumps, k {s.k.toFixed(1)}.</small>}
          {w.size && w.size.more > 0 && <small> {w.size.text}</small>}
        </>
      )}
    </p>
  );
}
