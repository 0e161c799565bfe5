import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import type { S, View } from '../api/client';
import { useSession, useVocabulary } from '../api/hooks';
import { ChangeTrouble } from '../parts/ChangeTrouble';
import { SplitTable, TwoOrThree, useSplit } from '../plates/Apart';
import { Chips, shortDay } from '../ui/bits';
import { useTyped } from '../ui/draft';
import { useKeys } from '../ui/keys';
import { Candidates, verdictWords } from './Candidates';

const degrees = [
  { id: 'settled', name: 'settled' },
  { id: 'group', name: 'settled to the group' },
  { id: 'working', name: 'likely' },
  { id: 'open', name: 'open, best guess' },
  { id: 'undetermined', name: 'undetermined, send it on' },
];

export function VerdictStep({ view }: { view: View }) {
  const { data: kb } = useVocabulary();
  const session = useSession();
  const change = useChange(view.id);
  const { put, post } = useCaseCalls(view.id);
  const go = useNavigate();
  const r = view.reading;
  const v = view.verdict;
  const [cause, setCause] = useState(v?.cause ?? (r.looked ? r.leader : ''));
  const lab = (id: string) => kb?.causes.find((c) => c.id === id);
  const suggest = (id: string) => (id ? (id === r.leader ? r.verdict : r.other) : 'undetermined');
  const [also, setAlso] = useState(v?.also ?? '');
  const [degree, setDegree] = useState<string>(v?.degree ?? suggest(cause));
  const [{ note }, type, typed] = useTyped(`verdict.${view.id}`, { note: '' });
  const trainee = session.data?.person.role === 'trainee';
  const known = lab(cause);
  const pick = (id: string) => {
    setCause(id);
    setDegree(suggest(id));
  };
  const settle = () =>
    change.mutate(
      put('/api/v1/cases/{id}/verdict', {
        ...(degree === 'undetermined' ? {} : { cause, ...(also && also !== cause ? { also } : {}) }),
        degree,
        note,
      } as S['VerdictInput']),
      {
        onSuccess: (n) => {
          typed();
          go(
            `/bench/${view.id}/${n.verdict?.needsReview ? 'verdict' : degree === 'undetermined' || lab(cause)?.regulated ? 'handover' : 'act'}`,
          );
        },
      },
    );
  useKeys([
    // While a trainee's verdict waits, Enter decides nothing: the advisor agrees or sends back by hand.
    ...(v?.needsReview && !trainee
      ? []
      : [{ key: 'Enter', does: trainee ? 'put it to an advisor' : 'keep this verdict', run: settle }]),
    ...r.candidates
      .slice(0, 5)
      .map((c, i) => ({ key: String(i + 1), does: `candidate ${i + 1}`, hidden: i > 0, run: () => pick(c.cause) })),
  ]);
  // What was decided for a cause goes with it: said before, not found out after.
  const rests = [
    view.act && 'act or wait',
    view.treatment && 'the remedy',
    view.mix && 'the mix',
    view.days && 'the days',
  ].filter(Boolean);
  const same = !!known && known.group === lab(v?.cause ?? '')?.group;
  const changed = v && v.cause !== (degree === 'undetermined' ? '' : cause);
  return (
    <div className="two">
      <div className="stack">
        {v?.needsReview && (
          <Review
            view={view}
            trainee={trainee}
            onAgree={(agree, why, done) =>
              change.mutate(post('/api/v1/cases/{id}/review', { agree, note: why }), { onSuccess: done })
            }
          />
        )}
        <div className="sheet pad stack">
          <div className="row">
            <h2>What is it?</h2>
            <span className="quiet">
              the looks say <b>{verdictWords[r.verdict]?.toLowerCase()}</b>
            </span>
          </div>
          <ul className="tight">
            {r.why.map((w) => (
              <li key={w}>{w}</li>
            ))}
          </ul>
          <fieldset>
            <legend>The cause</legend>
            <div className="chips">
              {r.candidates.slice(0, 5).map((c, i) => (
                <button
                  type="button"
                  key={c.cause}
                  className="chip"
                  aria-pressed={degree !== 'undetermined' && cause === c.cause}
                  onClick={() => pick(c.cause)}
                  data-cause={c.cause}
                >
                  {i + 1} {c.name} {r.looked > 0 && <span className="num">{Math.round(c.p * 100)}</span>}
                </button>
              ))}
            </div>
          </fieldset>
          <Autocomplete
            options={kb?.causes ?? []}
            getOptionLabel={(c) => c.name}
            getOptionKey={(c) => c.id}
            value={known ?? null}
            onChange={(_, c) => pick(c?.id ?? '')}
            renderInput={(p) => <TextField {...p} label="or another from the herbarium" />}
          />
          {degree !== 'undetermined' && cause && (
            <Besides view={view} cause={cause} also={also === cause ? '' : also} onChange={setAlso} />
          )}
          <Chips
            label="How sure"
            options={degrees.filter((d) => !kb?.sure.includes(d.id) || !(known?.regulated || known?.labOnly))}
            value={[degree]}
            onChange={(x) => setDegree(x[0] ?? 'open')}
          />
          <OfDegree known={known} degree={degree} />
          <TextField
            label={changed ? 'What changed your mind (kept in the story)' : 'A word on why, if it is not plain'}
            value={note}
            name="note"
            onChange={(e) => type({ note: e.target.value })}
            error={!!change.error && 'field' in change.error && !!change.error.field('note')}
          />
          {changed && rests.length > 0 && (
            <div className="notice" data-clears>
              <b>Keeping another cause takes back {rests.join(', ')}</b>: they were for{' '}
              {lab(v.cause ?? '')?.name ?? 'the last verdict'}. One undo brings all of it back.
              {same && ' The two are treated the same way: the same remedy will stand at the top of the ladder.'}
            </div>
          )}
          <ChangeTrouble id={view.id} change={change} />
          <div className="wrap">
            <Button
              variant="contained"
              className="primary"
              disabled={change.isPending || (degree !== 'undetermined' && !cause)}
              onClick={settle}
              data-do="settle"
            >
              {trainee ? 'Put it to an advisor' : 'Keep this verdict'}&nbsp;<kbd>Enter</kbd>
            </Button>
            <Button variant="outlined" onClick={() => go(`/bench/${view.id}/look`)}>
              Look again
            </Button>
          </div>
          {v && !v.needsReview && (
            <small>
              {v.degree} by {v.by}
              {v.reviewedBy && `, agreed by ${v.reviewedBy}`}
              {v.note && `: ${v.note}`}
            </small>
          )}
        </div>
        <SplitSheet first={r.candidates.slice(0, 3).map((c) => c.cause)} />
      </div>
      <div className="sheet" style={{ paddingBottom: 10 }}>
        <Candidates view={view} onGo={() => go(`/bench/${view.id}/look`)} />
      </div>
    </div>
  );
}

/** What goes with how sure one is: what is never settled here, and what is sent on. */
function OfDegree({ known, degree }: { known?: S['CauseName']; degree: string }) {
  const session = useSession();
  return (
    <>
      {known?.regulated && degree !== 'undetermined' && (
        <div className="notice brick">
          <b>May be regulated.</b> It is never settled or treated at the desk: isolate it and call{' '}
          {session.data?.desk.authority}.
        </div>
      )}
      {known?.labOnly && !known.regulated && (
        <div className="notice">Only a laboratory can settle this one: “likely” is as far as the desk goes.</div>
      )}
      {degree === 'group' && known && (
        <div className="notice pond">
          Treated as {known.group}: which kind of them it is makes no difference to what to do.
        </div>
      )}
      {degree === 'undetermined' && (
        <div className="notice">
          “I don't know, send it on” is a right answer. Send it to {session.data?.desk.lab}. The grower is told to keep
          it apart and to spray nothing.
        </div>
      )}
    </>
  );
}

/** A second trouble on the same plant: what was seen beside the first suggests a few, and any of the book can be named. */
function Besides({
  view,
  cause,
  also,
  onChange,
}: {
  view: View;
  cause: string;
  also: string;
  onChange: (id: string) => void;
}) {
  const { data: kb } = useVocabulary();
  const near = [
    ...view.reading.pairs.filter((p) => p.causes.includes(cause)).flatMap((p) => p.causes),
    ...view.reading.leftOver.flatMap((x) => x.by),
    ...(also ? [also] : []),
  ];
  const offered = [...new Set(near)].filter((id) => id !== cause).slice(0, 5);
  const name = (id: string) => kb?.causes.find((c) => c.id === id)?.name ?? id;
  const others = (kb?.causes ?? []).filter((c) => c.id !== cause);
  return (
    <fieldset data-besides>
      <legend>And besides it, on the same plant</legend>
      <div className="chips">
        {offered.map((id) => (
          <button
            type="button"
            key={id}
            className="chip"
            aria-pressed={also === id}
            onClick={() => onChange(also === id ? '' : id)}
            data-also={id}
          >
            {name(id)}
          </button>
        ))}
      </div>
      <Autocomplete
        options={others}
        getOptionLabel={(c) => c.name}
        getOptionKey={(c) => c.id}
        value={others.find((c) => c.id === also) ?? null}
        onChange={(_, c) => onChange(c?.id ?? '')}
        renderInput={(p) => <TextField {...p} label="a second trouble, if there is one" />}
      />
    </fieldset>
  );
}

function Review({
  view,
  trainee,
  onAgree,
}: {
  view: View;
  trainee: boolean;
  onAgree: (agree: boolean, note: string, done: () => void) => void;
}) {
  const { data: kb } = useVocabulary();
  const [{ note }, type, done] = useTyped(`review.${view.id}.${view.verdict?.by}`, { note: '' });
  const v = view.verdict;
  if (!v) return null;
  const called = (id?: string) => kb?.causes.find((c) => c.id === id)?.name;
  const name = called(v.cause) ?? 'undetermined';
  const besides = called(v.also);
  return (
    <div className="sheet pad stack" style={{ borderColor: 'var(--pond)' }}>
      <h2>
        {v.by} says: {degrees.find((d) => d.id === v.degree)?.name ?? v.degree}, {name}
        {besides && `, and ${besides} besides it`}
      </h2>
      {v.note && <p>“{v.note}”</p>}
      <Prepared view={view} />
      {trainee ? (
        <p className="quiet">
          An advisor looks at it before anything goes to the grower. Meanwhile look at the look-alikes below.
        </p>
      ) : (
        <>
          <TextField
            label="A word to the trainee"
            helperText="to send it back, say what to look at again"
            value={note}
            onChange={(e) => type({ note: e.target.value })}
            name="review-note"
          />
          <div className="wrap">
            <Button variant="contained" onClick={() => onAgree(true, note, done)} data-do="agree">
              Agree
            </Button>
            <Button
              variant="outlined"
              disabled={!note.trim()}
              onClick={() => onAgree(false, note, done)}
              data-do="send-back"
            >
              Send it back
            </Button>
          </div>
        </>
      )}
    </div>
  );
}

/** All that goes to the grower with the verdict, so that nothing is released unseen. */
export function Prepared({ view }: { view: View }) {
  const { data: kb } = useVocabulary();
  const name = (id: string) => kb?.remedies.find((r) => r.id === id)?.name ?? id;
  const lines = [
    view.act && ['act', `decided to ${view.act.choice}, at ${view.act.pressure} pressure`],
    view.treatment && ['remedy', view.treatment.remedies.map(name).join(', ')],
    view.mix && ['mix', `${name(view.mix.remedy)}, ${view.mix.use}, ${view.mix.volume}`],
    view.days && ['days', view.days.on.map((d) => shortDay(d)).join(', ')],
  ].filter(Boolean) as [string, string][];
  if (lines.length === 0) return <p className="quiet">Nothing else is prepared yet.</p>;
  return (
    <div data-prepared>
      <b>With it go to the grower:</b>
      <ul className="tight">
        {lines.map(([step, text]) => (
          <li key={step}>
            <Link to={`/bench/${view.id}/${step}`}>{step}</Link>: {text}
          </li>
        ))}
      </ul>
      <Link to={`/bench/${view.id}/handover`}>See the whole page</Link>
    </div>
  );
}

/** What would tell any two or three causes apart. */
function SplitSheet({ first }: { first: string[] }) {
  const [own, setOwn] = useState<string[] | null>(null);
  const causes = own ?? first;
  const { data } = useSplit(causes);
  return (
    <div className="sheet pad">
      <h2>What tells them apart</h2>
      <TwoOrThree causes={causes} set={setOwn} name="split" />
      {causes.length < 2 ? (
        <p className="quiet">Choose two or three.</p>
      ) : (
        <SplitTable causes={causes} looks={data?.slice(0, 6) ?? []} />
      )}
    </div>
  );
}
