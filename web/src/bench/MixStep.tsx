import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import type { View } from '../api/client';
import { useSession, useVocabulary } from '../api/hooks';
import { ChangeTrouble } from '../parts/ChangeTrouble';
import { emptyMix, MixAnswer, MixFields, type MixForm, mixInput, useBlend } from '../parts/Mixer';
import { emptyPlace, type PlaceForm, PlacePanel, placeInput, usePlace } from '../parts/PlacePanel';
import { shortDay } from '../ui/bits';
import { useDraft } from '../ui/draft';
import { useKeys } from '../ui/keys';
import { usePress } from '../ui/press';
import { usePlan } from './usePlan';

export function MixStep({ view }: { view: View }) {
  const { data: kb } = useVocabulary();
  const session = useSession();
  const go = useNavigate();
  const change = useChange(view.id);
  const { put } = useCaseCalls(view.id);
  const only = (view.treatment?.remedies ?? []).filter(
    (id) => (kb?.remedies.find((r) => r.id === id)?.rates?.length ?? 0) > 0,
  );
  const placed = (view.treatment?.remedies ?? []).filter(
    (id) => (kb?.remedies.find((r) => r.id === id)?.doses?.length ?? 0) > 0,
  );
  // A sprayer and its spoons belong to a grower, not to this desk.
  const [last, setLast] = useDraft<MixForm>(`mixing.${view.intake.grower.trim().toLowerCase()}`, {
    ...emptyMix,
    spoons: session.data?.desk.units ?? 'metric',
  });
  // Days nobody set yet go with the mix as the desk proposes them, unless somebody wants to change them.
  const unset = !['done', 'needless'].includes(view.steps.find((s) => s.id === 'days')?.state ?? '');
  const plan = usePlan(view, {}, unset && only.length > 0);
  const proposed = unset && !plan.error ? plan.data?.on : undefined;
  const jarred = kb?.remedies.find((r) => r.id === only[0])?.rates?.[0]?.id === 'dab';
  // What is bought lasts for all of them, unless somebody said otherwise.
  const times = last.times ?? (proposed && proposed.length > 1 ? String(proposed.length) : undefined);
  const form: MixForm = only.includes(last.remedy)
    ? { ...last, times }
    : {
        ...last,
        times,
        remedy: only[0] ?? '',
        rate: '',
        use: last.use === 'custom' ? 'middle' : last.use,
        beside: '',
        stock: '',
        // What is dabbed or brushed on is mixed in a small jar, whatever sprayer they own.
        ...(jarred ? { sprayer: '50', sUnit: 'mL', volume: '' } : {}),
      };
  const blend = useBlend(form);
  // More than anybody carries on the back is more likely a slip of the unit.
  const much = blend.data?.plan.much ? blend.data.plan.volume : '';
  const [meant, setMeant] = useState('');
  const asked = !!much && meant !== much;
  const keep = (withDays: boolean) =>
    change.mutate(put('/api/v1/cases/{id}/mix', { ...mixInput(form), ...(withDays ? { withDays } : {}) }), {
      onSuccess: (v) => {
        setLast({ ...form, times: undefined }); // the grower's sprayer and spoons; how often is the next plan's
        const days = v.steps.find((s) => s.id === 'days')?.state ?? '';
        go(`/bench/${view.id}/${['done', 'needless'].includes(days) ? 'handover' : 'days'}`);
      },
    });
  // Until the days are known, the press means both: that is what the desk would propose.
  const working = !blend.data || blend.isPlaceholderData || plan.isLoading || plan.isPlaceholderData;
  const both = proposed || plan.isLoading ? 'keep the mix and these days' : 'keep the mix';
  const press = usePress(
    blend.error || change.isPending || asked || !form.remedy ? 'no' : working ? 'working' : 'ready',
    () => keep(!!proposed),
    JSON.stringify(mixInput({ ...form, times: last.times })),
  );
  useKeys([{ key: 'Enter', does: both, run: press.press }]);
  if (!only.length && placed.length) return <Places view={view} placed={placed} spoons={last.spoons} />;
  if (!only.length)
    return (
      <p>
        {view.treatment ? 'Nothing that was chosen is mixed; this step is not needed. ' : 'Nothing is chosen yet. '}
        <Link to={`/bench/${view.id}/${view.treatment ? 'days' : 'remedy'}`}>
          {view.treatment ? 'On to the days' : 'Choose a remedy'}
        </Link>
      </p>
    );
  return (
    <form
      className="two asked-and-answered"
      onSubmit={(e) => {
        e.preventDefault();
        press.press();
      }}
    >
      <div className="sheet pad stack">
        <h2>For {view.intake.grower}'s own sprayer</h2>
        <MixFields form={form} set={setLast} only={only} />
        {asked && (
          <div className="notice brick" data-much>
            <b>{much} of mix?</b> That is more than a sprayer on the back holds. Check the unit, or{' '}
            <button
              type="button"
              className="plain"
              style={{ textDecoration: 'underline' }}
              onClick={() => setMeant(much)}
            >
              yes, {much} is meant
            </button>
            .
          </div>
        )}
        <ChangeTrouble id={view.id} change={change} />
        <Button type="submit" variant="contained" className="primary" {...press.button} data-do="keep-mix">
          {`${both.slice(0, 1).toUpperCase()}${both.slice(1)}`}&nbsp;<kbd>Enter</kbd>
        </Button>
        {/* Below, so that the button does not move away under the hand when the days are known. */}
        {proposed && (
          <p data-proposed>
            <small>
              {proposed.length === 1 ? 'Once, on' : 'On'} <b>{proposed.map(shortDay).join(', ')}</b>, as the desk works
              the days out.{' '}
              <button
                type="button"
                className="plain"
                style={{ textDecoration: 'underline' }}
                onClick={() => keep(false)}
                data-do="other-days"
              >
                Other days
              </button>
            </small>
          </p>
        )}
      </div>
      <div className="stack">
        <div className="sheet pad">
          <MixAnswer mixed={blend.data} error={blend.error} />
        </div>
        {placed.length > 0 && <Places view={view} placed={placed} spoons={last.spoons} />}
      </div>
    </form>
  );
}

/** Dust, drench or helpers among what was chosen: how much for the grower's own bed or pots. */
function Places({ view, placed, spoons }: { view: View; placed: string[]; spoons: string }) {
  const { data: kb } = useVocabulary();
  const change = useChange(view.id);
  const { put } = useCaseCalls(view.id);
  const [last, setLast] = useDraft<PlaceForm>('place', emptyPlace);
  const form = { ...last, spoons, remedy: placed.includes(last.remedy) ? last.remedy : (placed[0] ?? '') };
  const per = kb?.remedies.find((r) => r.id === form.remedy)?.doses?.[0]?.per ?? '';
  const answer = usePlace(form, per);
  return (
    <div className="sheet pad stack">
      <h2>Without water: on a bed, in pots, on leaves</h2>
      <PlacePanel form={form} set={setLast} only={placed} />
      {view.doses.map((d) => (
        <small key={d.remedy}>
          kept: {kb?.remedies.find((r) => r.id === d.remedy)?.name}, {d.placed.text}
        </small>
      ))}
      <ChangeTrouble id={view.id} change={change} />
      <div className="wrap">
        <Button
          variant="contained"
          disabled={!answer.data || change.isPending}
          onClick={() => change.mutate(put('/api/v1/cases/{id}/dose', placeInput(form, per)))}
          data-do="keep-dose"
        >
          Keep this amount
        </Button>
        <Button component={Link} to={`/bench/${view.id}/days`}>
          On to the days
        </Button>
      </div>
    </div>
  );
}
