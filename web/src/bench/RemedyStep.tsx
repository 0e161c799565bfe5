import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import { api, type S, unwrap, type View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { ChangeTrouble } from '../parts/ChangeTrouble';
import { Trouble } from '../ui/bits';
import { useKeys } from '../ui/keys';
import { usePress } from '../ui/press';
import { prevention, Rung, stops } from './Ladder';
import { GoodToKnow, OfferRow } from './OfferRow';
import { Schools } from './Schools';

const names = (of: S['CaseAdvice'], ids: string[]) =>
  ids.map((id) => of.offers.find((o) => o.remedy === id)?.name ?? id).join(', ') || 'nothing today';

/** The ladder, mildest first; each rung says why it is, or is not, the one to stand on. */
export function RemedyStep({ view }: { view: View }) {
  const { data: kb } = useVocabulary();
  const change = useChange(view.id);
  const { put } = useCaseCalls(view.id);
  const go = useNavigate();
  const [chosen, setChosen] = useState<string[] | null>(view.treatment?.remedies ?? null);
  const { data, error } = useQuery({
    queryKey: ['advice', view.id, view.version, ...(chosen ?? [])],
    queryFn: () =>
      unwrap<S['CaseAdvice']>(
        api.GET('/api/v1/cases/{id}/advice', {
          params: { path: { id: view.id }, query: { chosen: (chosen ?? []).slice(0, 6) } },
        }),
      ),
    enabled: !!view.verdict?.cause,
    placeholderData: (old) => old,
  });
  const [at, setAt] = useState<string>(); // the stop one is on, a remedy or a rung
  const [all, setAll] = useState(false);
  const [open, setOpen] = useState<number[]>([]);
  useEffect(() => {
    if (data && !chosen) setChosen(data.pick);
  }, [data, chosen]);
  const barred = new Set((data?.mustNot ?? []).map((m) => m.remedy));
  const offers = (data?.offers ?? []).filter((o) => o.meant || all || barred.has(o.remedy));
  const pick = chosen ?? [];
  const flip = (o?: S['Offer']) => {
    if (!o?.open) return;
    setChosen(pick.includes(o.remedy) ? pick.filter((x) => x !== o.remedy) : [...pick, o.remedy]);
  };
  const keep = () =>
    change.mutate(put('/api/v1/cases/{id}/remedy', { remedies: pick }), {
      onSuccess: (v) =>
        go(
          `/bench/${view.id}/${v.steps.find((s) => ['mix', 'days', 'handover'].includes(s.id) && !['done', 'needless'].includes(s.state))?.id ?? 'handover'}`,
        ),
    });
  const press = usePress(
    view.handover || change.isPending ? 'no' : !data && !error ? 'working' : pick.length ? 'ready' : 'no',
    keep,
  );
  // In sight are what is chosen, and the next best; the rest is folded on its rung.
  const ladder = stops(
    offers,
    (o) => pick.includes(o.remedy) || o.remedy === data?.next,
    (r) => all || open.includes(r),
  );
  const fold = (r: number) => setOpen(open.includes(r) ? open.filter((x) => x !== r) : [...open, r]);
  const keyOf = (s: (typeof ladder)[number]) => s.offer?.remedy ?? `rung ${s.rung}`;
  const walked = ladder.filter((s) => s.offer || s.folded.length > 0);
  const here = walked.find((s) => keyOf(s) === at) ?? walked.find((s) => s.offer);
  const moved = useRef(false);
  useEffect(() => {
    if (moved.current) document.querySelector('.ladder [data-at=true]')?.scrollIntoView({ block: 'nearest' });
    moved.current = false;
  });
  const walk = (d: number) => {
    const to = walked[Math.max(0, Math.min((here ? walked.indexOf(here) : 0) + d, walked.length - 1))];
    moved.current = true;
    if (to) setAt(keyOf(to));
  };
  useKeys([
    { key: 'ArrowDown', does: 'line', run: () => walk(1) },
    { key: 'ArrowUp', does: 'line', hidden: true, run: () => walk(-1) },
    {
      key: ' ',
      does: here?.offer ? 'choose or leave out' : 'fold out',
      run: () => here && (here.offer ? flip(here.offer) : fold(here.rung)),
    },
    { key: 'Enter', does: 'keep what is chosen', run: press.press },
  ]);
  if (!view.verdict?.cause)
    return (
      <p>
        Nothing can be advised before it is known what it is.{' '}
        <Link to={`/bench/${view.id}/verdict`}>Settle the verdict</Link>, or send the sample on.
      </p>
    );
  return (
    <div className="two">
      <div className="sheet" style={{ paddingBottom: 6 }}>
        <div className="row pad" style={{ paddingBottom: 8 }}>
          <h2>The ladder, mildest first</h2>
          <small>{data?.weather}</small>
        </div>
        <Trouble of={error} />
        <div className="ladder">
          {ladder.map((s) =>
            s.offer ? (
              <OfferRow
                key={s.offer.remedy}
                o={s.offer}
                on={pick.includes(s.offer.remedy)}
                at={s === here}
                full={s.offer.remedy === at}
                next={s.offer.remedy === data?.next}
                onAt={() => setAt(at === s.offer?.remedy ? undefined : s.offer?.remedy)}
                onFlip={() => flip(s.offer)}
              />
            ) : (
              <Rung
                key={keyOf(s)}
                stop={s}
                name={s.rung === prevention ? 'So that it does not come back' : (kb?.rungs[s.rung] ?? '')}
                open={all || open.includes(s.rung)}
                at={s === here}
                onFlip={() => fold(s.rung)}
              />
            ),
          )}
        </div>
        <button
          type="button"
          className="plain pad"
          onClick={() => setAll((x) => !x)}
          data-do="show-all"
          style={{ textDecoration: 'underline' }}
        >
          {all
            ? 'Hide what is not meant for this'
            : `Show the ${(data?.offers.length ?? 0) - offers.length} not meant for this, and why`}
        </button>
      </div>
      <div className="stack">
        <div className="sheet pad stack chosen">
          <h2>Chosen</h2>
          {pick.length === 0 && <p className="quiet">Nothing yet. Space chooses the line you are on.</p>}
          <ul className="tight">
            {pick.map((p) => {
              const o = data?.offers.find((x) => x.remedy === p);
              return (
                <li key={p} data-chosen={p}>
                  {o?.name ?? p}
                  {o?.reasons.map((r) => (
                    <small key={r.text}>{r.text}</small>
                  ))}
                </li>
              );
            })}
          </ul>
          {data && pick.length > 0 && pick.slice().sort().join() !== data.pick.slice().sort().join() && (
            <p className="quiet">Your own choice; the ladder itself would take {names(data, data.pick)}.</p>
          )}
          {(pick.slice().sort().join() === data?.pick.slice().sort().join() ? data.why : []).map((w) => (
            <p key={w} className="quiet">
              {w}
            </p>
          ))}
          {data && data.combine.length > 0 && (
            <>
              <h3>Together</h3>
              <ol className="tight" data-combine>
                {data.combine.map((w) => (
                  <li key={w}>{w}</li>
                ))}
              </ol>
            </>
          )}
          {data?.apart.map((w) => (
            <div key={w} className="notice brick">
              {w}
            </div>
          ))}
          <ChangeTrouble id={view.id} change={change} />
          <Button variant="contained" className="primary" {...press.button} onClick={press.press} data-do="keep-remedy">
            Keep what is chosen&nbsp;<kbd>Enter</kbd>
          </Button>
        </div>
        {data && <Schools view={view} chosen={data.schools} />}
        {data?.refer && <div className="notice brick">{data.refer}</div>}
        {data?.unknown.map((u) => (
          <div key={u} className="notice">
            {u}
          </div>
        ))}
        {data && <GoodToKnow of={data} />}
      </div>
    </div>
  );
}
