import Button from '@mui/material/Button';
import { Link, useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import type { S, View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { ChangeTrouble } from '../parts/ChangeTrouble';
import { eligible } from '../parts/count/counts';
import { Pad } from '../parts/count/Pad';
import { Chips, Trouble } from '../ui/bits';
import { useKeys } from '../ui/keys';
import { usePress } from '../ui/press';
import { Answer, WhyHere } from './act/Answer';
import { Circumstances } from './act/Circumstances';
import { heavies } from './act/Heavy';
import { HowTo } from './act/HowTo';
import { RunChart } from './act/RunChart';
import { useActForm } from './act/useActForm';

const stageNames: Record<string, string> = {
  egg: 'eggs',
  crawler: 'crawlers',
  young: 'young',
  grub: 'grubs',
  resting: 'pupa or cocoon',
  adult: 'grown ones',
};

/** Count, hold it against what is borne, and decide: leave, watch, act, pull or save. */
export function Act({ view }: { view: View }) {
  const { data: kb } = useVocabulary();
  const change = useChange(view.id);
  const { put } = useCaseCalls(view.id);
  const go = useNavigate();
  const a = view.act;
  const cause = kb?.causes.find((c) => c.id === view.verdict?.cause);
  const f = useActForm(view);
  const { form, set, clear, facts, w, tallied, setTallied, stages } = f;
  const d = w?.decision;
  const pressure = form.press || d?.pressure || 'moderate';
  const keep = (word: S['ActInput']['word'], choice: 'act' | 'wait' | 'pull') =>
    !f.odd &&
    change.mutate(
      put('/api/v1/cases/{id}/act', {
        ...facts,
        stages,
        drought: form.drought,
        ...(form.dormant === undefined ? {} : { dormant: form.dormant }),
        ...(form.calciumLow ? { calciumLow: true } : {}),
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
  const press = usePress(change.isPending || f.odd ? 'no' : f.working ? 'working' : advised ? 'ready' : 'no', follow);
  useKeys([
    // A letter is no count: these act in the field of counts as well.
    { key: 'a', does: 'act', run: () => keep('act', 'act'), inFields: true },
    { key: 'w', does: 'wait', run: () => keep(waiting, 'wait'), inFields: true },
    { key: 'p', does: 'remove the plant', hidden: true, run: () => keep('pull', 'pull'), inFields: true },
    { key: 'Enter', does: 'as advised', run: press.press },
  ]);
  if (!view.verdict?.cause)
    return (
      <p>
        Say what it is first; then there is something to count.{' '}
        <Link to={`/bench/${view.id}/verdict`}>To the verdict</Link>
      </p>
    );
  const unit = w?.threshold.unit || 'leaf';
  const running = w?.test && eligible(tallied, w.threshold.of || 'pests');
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
          onOdd={f.setOdd}
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
            label={
              w?.seen && !form.press ? `How heavy; by the looks (${w.seen.said}) it is ${w.seen.degree}` : 'How heavy'
            }
            options={heavies}
            value={form.press || w?.seen || w?.summary || w?.severity ? [pressure] : []}
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
          <Trouble of={f.error} />
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
        <Circumstances of={f} />
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
