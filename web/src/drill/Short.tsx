import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type Problem, type S, unwrap } from '../api/client';
import { Chips, Trouble } from '../ui/bits';
import { useKeys } from '../ui/keys';
import { usePractice } from './practice';

/** Short questions, one after the other: what fades comes back. Digits choose, then say how sure, Enter goes on. */
export function Short() {
  const client = useQueryClient();
  const { data: practice } = usePractice();
  const [kind, setKind] = useState('');
  const [choice, setChoice] = useState('');
  const ask = useMutation<S['Asked'], Problem, string>({
    mutationFn: (k) => unwrap<S['Asked']>(api.POST('/api/v1/drill/questions', { body: k ? { kind: k } : {} })),
  });
  const mark = useMutation<S['MarkedAnswer'], Problem, number>({
    mutationFn: (sure) =>
      unwrap<S['MarkedAnswer']>(
        api.POST('/api/v1/drill/questions/{id}', {
          params: { path: { id: ask.data?.id ?? '' } },
          body: { choice, sure },
        }),
      ),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['practice'] }),
  });
  const next = (k = kind) => {
    setChoice('');
    mark.reset();
    ask.mutate(k);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: the first question comes by itself
  useEffect(() => next(), []);
  const q = ask.data;
  const sureties = practice?.sureties ?? [];
  useKeys([
    ...(q && !mark.data && !choice
      ? q.options.map((o, i) => ({
          key: String(i + 1),
          does: `answer ${i + 1}`,
          hidden: i > 0,
          run: () => setChoice(o.id),
        }))
      : []),
    ...(q && !mark.data && choice
      ? sureties.map((s, i) => ({
          key: String(i + 1),
          does: `${s.name}`,
          hidden: i > 0,
          run: () => mark.mutate(s.sure),
        }))
      : []),
    ...(mark.data ? [{ key: 'Enter', does: 'the next one', run: () => next() }] : []),
  ]);
  return (
    <div className="stack drillroom">
      <div className="row mid">
        <small>
          {practice && (
            <>
              {practice.course.name && <b>{practice.course.name} · </b>}
              {practice.today} today · {practice.due} fading · practised on {practice.days}{' '}
              {practice.days === 1 ? 'day' : 'days'} of four weeks
            </>
          )}
        </small>
      </div>
      <Chips
        label="Which"
        options={[
          { id: '', name: 'whatever fades' },
          ...(practice?.kinds ?? []).map((k) => ({ id: k.kind, name: k.name })),
        ]}
        value={[kind]}
        onChange={(v) => {
          setKind(v[0] ?? '');
          next(v[0] ?? '');
        }}
        small
      />
      <Trouble of={ask.error ?? mark.error} />
      {q && (
        <section className="sheet pad stack question" data-question={q.kind} key={q.id}>
          <small>{q.name}</small>
          <h2>{q.ask}</h2>
          <div className={q.plate ? 'withplate' : 'stack'}>
            {q.plate && (
              <img className="drillplate" src={`/drawings/${q.plate}.svg`} alt="A drawn plate, to be named" />
            )}
            <div className="stack">
              {q.facts.length > 0 && (
                <ul className="tight">
                  {q.facts.map((f) => (
                    <li key={f}>{f}</li>
                  ))}
                </ul>
              )}
              <div className="answers" role="radiogroup" aria-label="Answers">
                {q.options.map((o, i) => (
                  <button
                    type="button"
                    key={o.id}
                    role="radio"
                    aria-checked={choice === o.id}
                    className={`chip ${mark.data ? (o.id === mark.data.option ? 'right' : o.id === choice ? 'wrong' : '') : ''}`}
                    disabled={!!mark.data}
                    onClick={() => setChoice(o.id)}
                    data-answer={o.id}
                  >
                    <kbd>{i + 1}</kbd> {o.text}
                  </button>
                ))}
              </div>
            </div>
          </div>
          {choice && !mark.data && (
            <fieldset data-how-sure>
              <legend>How sure are you?</legend>
              <div className="chips">
                {sureties.map((s, i) => (
                  <button
                    type="button"
                    key={s.sure}
                    className="chip small"
                    onClick={() => mark.mutate(s.sure)}
                    disabled={mark.isPending}
                    data-sure={s.sure}
                  >
                    <kbd>{i + 1}</kbd> {s.name}
                  </button>
                ))}
              </div>
            </fieldset>
          )}
          {mark.data && (
            <div className={mark.data.right ? 'notice pond' : 'notice'} role="status" data-marked={mark.data.right}>
              <b>{mark.data.right ? 'Right.' : 'Not this time.'}</b> {mark.data.why}{' '}
              <small>It comes back in about {again(mark.data.againDays)}.</small>
            </div>
          )}
          {mark.data && (
            <Button
              variant="contained"
              className="primary"
              onClick={() => next()}
              style={{ justifySelf: 'start' }}
              data-do="next-question"
            >
              The next one&nbsp;<kbd>Enter</kbd>
            </Button>
          )}
        </section>
      )}
    </div>
  );
}

const again = (days: number) => (days < 1 ? 'some hours' : days < 2 ? 'a day' : `${Math.round(days)} days`);
