import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Finding, type Problem, type S, unwrap } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { linesOf, parts } from '../parts/topics';
import { Sample } from '../plates/Sample';
import { Trouble } from '../ui/bits';
import { useDraft } from '../ui/draft';
import { useDrawable } from './drawable';
import { Replay } from './Replay';
import { SayIt } from './SayIt';

/** A made-up sample on the Look step's own drawing: ask for looks, say what it is, hear what it was worth. */
export function OneCase() {
  const client = useQueryClient();
  const [kept, setKept] = useDraft<S['PracticeCase'] | null>('drill.case', null);
  const [score, setScore] = useState<S['Score'] | null>(null);
  const [judged, setJudged] = useState<S['PracticeCase'] | null>(null);
  const bring = useMutation<S['PracticeCase'], Problem, string>({
    mutationFn: (old) =>
      unwrap<S['PracticeCase']>(
        old ? api.POST('/api/v1/drill/old/{id}', { params: { path: { id: old } } }) : api.POST('/api/v1/drill/cases'),
      ),
    onSuccess: (c) => {
      setScore(null);
      setKept(c);
    },
  });
  const look = useMutation<S['PracticeCase'], Problem, string>({
    mutationFn: (finding) =>
      unwrap<S['PracticeCase']>(
        api.POST('/api/v1/drill/cases/{id}/look', { params: { path: { id: kept?.id ?? '' } }, body: { finding } }),
      ),
    onSuccess: setKept,
    onError: (e) => {
      if (e.status === 404) setKept(null); // judged before, or too old
    },
  });
  if (score && judged)
    return <Replay of={score} sample={judged} onNext={() => bring.mutate('')} trouble={bring.error} />;
  if (!kept)
    return (
      <div className="sheet pad stack">
        <p>
          A sample that nobody brought: drawn from the herbarium, with a story that may mislead. Look where you would
          look; each look costs its minutes, and one that destroys uses the sample up. Then say what it is, how sure you
          are, and what is done.
        </p>
        <Trouble of={bring.error} />
        <Button
          variant="contained"
          className="primary"
          style={{ justifySelf: 'start' }}
          onClick={() => bring.mutate('')}
          disabled={bring.isPending}
          data-do="bring-case"
        >
          Bring one
        </Button>
        <OldCases onPick={(id) => bring.mutate(id)} />
      </div>
    );
  return (
    <div className="two drillcase" data-drill-case={kept.looks.length}>
      <Looking of={kept} busy={look.isPending} onLook={(f) => look.mutate(f)} trouble={look.error} />
      <SayIt
        of={kept}
        onScore={(s) => {
          setJudged(kept);
          setKept(null);
          setScore(s);
          void client.invalidateQueries({ queryKey: ['practice'] });
        }}
        onLeave={() => setKept(null)}
      />
    </div>
  );
}

function Looking({
  of,
  busy,
  onLook,
  trouble,
}: {
  of: S['PracticeCase'];
  busy: boolean;
  onLook: (finding: string) => void;
  trouble: Problem | null;
}) {
  const { data: kb } = useVocabulary();
  const [part, setPart] = useState('leaf');
  const [under, setUnder] = useState(false);
  const view = useDrawable(of, of.looks);
  const lines = linesOf(kb?.findings ?? [], part, under);
  const seen = (f: Finding) =>
    of.looks.filter((l) => l.finding === f.id).map((l) => f.states.find((s) => s.id === l.state)?.name ?? l.state);
  return (
    <div className="stack">
      <div className="chips" role="radiogroup" aria-label="Part">
        {parts.map((p) => (
          <button
            type="button"
            key={p.id}
            role="radio"
            aria-checked={part === p.id}
            className="chip small"
            onClick={() => setPart(p.id)}
          >
            {p.name}
          </button>
        ))}
        {part === 'leaf' && (
          <button type="button" className="chip small" onClick={() => setUnder(!under)} aria-pressed={under}>
            turn the leaf
          </button>
        )}
      </div>
      <Trouble of={trouble} />
      <div className="drilllook">
        <div className="sheet pad">
          <Sample
            view={view}
            part={part}
            under={under}
            onFlip={() => setUnder(!under)}
            onGo={() => {}}
            onPlace={() => {}}
          />
        </div>
        <ul className="drilllines sheet" aria-label="Looks">
          {lines.map((f) => {
            const found = seen(f);
            return (
              <li key={f.id}>
                <button
                  type="button"
                  className="plain drillline"
                  disabled={busy || of.used || found.length > 0 || (!!of.only && !of.only.includes(f.id))}
                  onClick={() => onLook(f.id)}
                  data-look={f.id}
                >
                  <span>{f.name}</span>
                  {found.length > 0 ? (
                    <b>{found.join(', ')}</b>
                  ) : (
                    <small>
                      {of.only && !of.only.includes(f.id)
                        ? 'nobody looked then'
                        : f.minutes < 1
                          ? 'under a minute'
                          : `${f.minutes} min`}
                      {f.destructive && !of.only && ', destroys it'}
                    </small>
                  )}
                </button>
              </li>
            );
          })}
        </ul>
      </div>
    </div>
  );
}

/** Closed cases of this desk that the coordinator offers, without their people. */
function OldCases({ onPick }: { onPick: (id: string) => void }) {
  const { data } = useQuery<S['OldCase'][], Problem>({
    queryKey: ['old-cases'],
    queryFn: () => unwrap<S['OldCase'][]>(api.GET('/api/v1/drill/old')),
  });
  if (!data?.length) return null;
  return (
    <div data-old-cases={data.length}>
      <p>Or one this desk had, without its people; only what was looked at then can be looked at:</p>
      <div className="wrap">
        {data.map((c) => (
          <button key={c.id} type="button" className="chip small" onClick={() => onPick(c.id)}>
            {c.plant}, {c.place}
            <small> {c.done ? 'practised before' : `${c.looks} looks`}</small>
          </button>
        ))}
      </div>
    </div>
  );
}
