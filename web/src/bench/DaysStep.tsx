import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import type { S, View } from '../api/client';
import { useSession, useVocabulary } from '../api/hooks';
import { ChangeTrouble } from '../parts/ChangeTrouble';
import { Chips, daysBetween, shortDay, Trouble, weekday } from '../ui/bits';
import { DayPick } from '../ui/DayPick';
import { useDraft, useTyped } from '../ui/draft';
import { useKeys } from '../ui/keys';
import { usePress } from '../ui/press';
import { usePlan } from './usePlan';
import { Weeks } from './Weeks';

const byTheRule = {};

/** Days that were kept, and what the desk would make of them today where that is something else. */
function Anew(of: { kept?: string[]; gone: boolean; days?: string[]; take: () => void }) {
  const { kept, gone, days, take } = of;
  if (gone)
    return (
      <p className="quiet" data-gone>
        The days kept before have gone by. These are worked out for today.
      </p>
    );
  if (!kept) return null;
  const other = days && days.join() !== kept.join();
  return (
    <p data-kept>
      <small>
        These are the days as they were kept.{' '}
        {other && (
          <>
            Worked out anew today they would be <b>{days.map(shortDay).join(', ')}</b>.{' '}
            <button
              type="button"
              className="plain"
              style={{ textDecoration: 'underline' }}
              onClick={take}
              data-do="anew"
            >
              Take those
            </button>
          </>
        )}
      </small>
    </p>
  );
}

/** Repeats timed to the pest's life and the label, with the schools beside. */
export function DaysStep({ view }: { view: View }) {
  const session = useSession();
  const go = useNavigate();
  const change = useChange(view.id);
  const { put } = useCaseCalls(view.id);
  const [start, setStart] = useState(''); // the desk's first day until somebody sets one
  const [count, setCount] = useState(String(view.days?.on.length ?? 3));
  const { data: kb } = useVocabulary();
  const winter =
    kb?.hosts.find((h) => h.id === view.intake.host)?.dormant &&
    kb.causes.find((c) => c.id === view.verdict?.cause)?.winter;
  const question = kb?.schools.find((x) => x.id === 'rhythm');
  const [rhythm, setRhythm] = useState('');
  // Days set by hand on the picture outlive a reload, as long as what is given on them stays.
  const given = (view.treatment?.remedies ?? []).join();
  const [hand, setHand, forget] = useDraft<{ on?: string[]; rule?: boolean }>(
    `days.${view.id}.${view.round}.${given}`,
    byTheRule,
  );
  // What was kept stands until somebody changes it: the days as worked out today are an offer beside it.
  // Days that went by before anything was handed over are no plan any more: those of today are.
  const gone = !view.handover && !!view.days?.on[0] && view.days.on[0] < (session.data?.now ?? '');
  const kept = !hand.on && !hand.rule && !gone ? view.days?.on : undefined;
  const on = hand.on ?? kept;
  const setOn = (on?: string[]) => setHand(on ? { on } : { rule: true });
  const other =
    <T,>(set: (v: T) => void) =>
    (v: T) => {
      setOn(undefined);
      set(v);
    };
  const sheltered = !!kb?.sheltered.includes(view.intake.place);
  const [{ warm }, setWarm, forgetWarm] = useTyped(`warm.${view.id}`, {
    warm: view.days?.tempC === undefined ? '' : String(view.days.tempC),
  });
  const warmth = sheltered && Number(warm.replace(',', '.')) ? { tempC: Number(warm.replace(',', '.')) } : {};
  const byRule: S['DaysInput'] = {
    ...warmth,
    ...(start ? { start } : {}),
    ...(Number(count) ? { count: Number(count) } : {}),
    ...(rhythm ? { rhythm } : {}),
  };
  const body: S['DaysInput'] = on ? { on, ...warmth } : byRule;
  const [what, setWhat] = useState('');
  const plan = usePlan(view, what ? { ...body, if: what as 'half' } : body);
  // A day dragged where it may not be is named, and the picture stays to drag it back.
  const good = useRef<S['DaysPlan'] | undefined>(undefined);
  if (plan.data && !plan.error) good.current = plan.data;
  const drawn = on && good.current ? { ...good.current, on: [...on].sort() } : plan.data;
  const anew = usePlan(view, byRule, !!kept);
  const unchanged = !!kept && warm === (view.days?.tempC === undefined ? '' : String(view.days.tempC));
  const keep = () => {
    const on = () => {
      forget();
      forgetWarm();
      go(`/bench/${view.id}/handover`);
    };
    if (unchanged) on();
    else change.mutate(put('/api/v1/cases/{id}/days', body), { onSuccess: on });
  };
  const press = usePress(
    change.isPending || (plan.error && !unchanged) ? 'no' : plan.isLoading ? 'working' : 'ready',
    keep,
    JSON.stringify(body),
  );
  const does = unchanged ? 'leave them as kept' : 'keep the days';
  useKeys([{ key: 'Enter', does, run: press.press }]);
  const needless = plan.error?.field('remedy');
  if (!view.treatment || needless)
    return (
      <p>
        {view.treatment ? 'Nothing that was chosen has a rhythm; this step is not needed. ' : 'Nothing is chosen yet. '}
        <Link to={`/bench/${view.id}/${view.treatment ? 'handover' : 'remedy'}`}>
          {view.treatment ? 'On to the hand-over' : 'Choose a remedy'}
        </Link>
      </p>
    );
  return (
    <form
      className="two wide-and-form"
      onSubmit={(e) => {
        e.preventDefault();
        press.press();
      }}
    >
      <div className="sheet pad stack">
        <h2>On which days</h2>
        <Trouble of={plan.error} />
        {(!plan.error || on) && (
          <>
            <div className="days" data-answer="days">
              {(drawn?.on ?? kept ?? []).map((d, i, all) => (
                <div className="day" key={d}>
                  <small>{i === 0 ? 'first' : `${daysBetween(all[0] as string, d)} days on`}</small>
                  <b>{weekday(d).split(' ')[0]}</b>
                  {weekday(d).replace(/^\w+,? /, '')}
                </div>
              ))}
            </div>
            {plan.data?.beside?.map((x) => (
              <p key={x.remedy} data-beside={x.remedy}>
                <b>{x.name}:</b> {x.on.map(shortDay).join(', ')}. <small>{x.why}</small>
              </p>
            ))}
            {drawn && <Weeks plan={drawn} busy={plan.isFetching} onMove={setOn} />}
            {drawn?.weeks.course && (
              <Chips
                label="What if, for the picture"
                options={[
                  { id: '', name: 'as planned' },
                  { id: 'half', name: 'half the plant is missed' },
                  { id: 'skip', name: 'the second is left out' },
                  { id: 'warm', name: 'three degrees warmer' },
                ]}
                value={[what]}
                onChange={(v) => setWhat(v[0] ?? '')}
                small
              />
            )}
            <Anew kept={kept} gone={gone && !!drawn} days={anew.data?.on} take={() => setOn(undefined)} />
            {hand.on && (
              <p>
                <button
                  type="button"
                  className="plain"
                  style={{ textDecoration: 'underline' }}
                  onClick={() => setOn(undefined)}
                >
                  back to the days as worked out
                </button>
              </p>
            )}
            <ul className="tight">
              {plan.data?.notes.map((n) => (
                <li key={n}>{n}</li>
              ))}
            </ul>
          </>
        )}
        <ChangeTrouble id={view.id} change={change} />
        <Button
          type="submit"
          variant="contained"
          className="primary"
          {...press.button}
          style={{ justifySelf: 'start' }}
          data-do="keep-days"
        >
          {unchanged ? 'Leave them as kept' : 'Keep the days'}&nbsp;<kbd>Enter</kbd>
        </Button>
      </div>
      <div className="sheet pad form">
        <DayPick
          label="First day"
          name="start"
          today={session.data?.now.slice(0, 10) ?? ''}
          value={start || plan.data?.start || ''}
          onChange={other(setStart)}
        />
        <TextField
          label="Treatments in this round"
          type="number"
          value={count}
          onChange={(e) => other(setCount)(e.target.value)}
          slotProps={{ htmlInput: { min: 1, max: 12 } }}
          name="count"
        />
        <Chips
          label={question?.question ?? 'Rhythm'}
          options={[
            { id: '', name: 'as this house does' },
            ...(question?.options ?? []).map((o) => ({ id: o.id, name: o.name })),
          ]}
          value={[rhythm]}
          onChange={(v) => other(setRhythm)(v[0] ?? '')}
        />
        {sheltered && (
          <TextField
            label="How warm it stands there, °C"
            name="tempC"
            value={warm}
            placeholder={view.intake.place === 'indoors' ? String(kb?.roomC) : `${kb?.glassOverC} over the air outside`}
            onChange={(e) => setWarm({ warm: e.target.value })}
            error={!!plan.error?.field('tempC')}
            slotProps={{ inputLabel: { shrink: true }, htmlInput: { inputMode: 'decimal' } }}
          />
        )}
        <small>
          The label's shortest gap, longest gap, most per season and wait before picking always hold. The temperature is
          that of the forecast, of a usual year where there is none, or of the room.
        </small>
        {winter && (
          <Link to={`/spray-days/winter?case=${view.id}`} data-winter-link>
            Its winter programme
          </Link>
        )}
      </div>
    </form>
  );
}
