import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import { api, type Tag, unwrap, type View } from '../api/client';
import { useCase, useSession, useVocabulary } from '../api/hooks';
import { WhoseCase } from '../parts/WhoseCase';
import { Boundary } from '../ui/Boundary';
import { clock, moment, Trouble } from '../ui/bits';
import { KeyLine, useKeys } from '../ui/keys';
import { LyingTag, StandingTag } from '../ui/Tag';
import { useToast } from '../ui/toast';
import { Act } from './Act';
import { BroughtIn } from './BroughtIn';
import { DaysStep } from './DaysStep';
import { HandOver } from './HandOver';
import { Look } from './Look';
import { MixStep } from './MixStep';
import { RefusedLooks } from './RefusedLooks';
import { RemedyStep } from './RemedyStep';
import { Story } from './Story';
import { VerdictStep } from './VerdictStep';

const panes: Record<string, (p: { view: View }) => React.ReactNode> = {
  in: BroughtIn,
  look: Look,
  verdict: VerdictStep,
  act: Act,
  remedy: RemedyStep,
  mix: MixStep,
  days: DaysStep,
  handover: HandOver,
  story: Story,
};

function StepMark({ state }: { state: string }) {
  const common = { cx: 7, cy: 7, r: 5.4, strokeWidth: 1.7 };
  return (
    <svg viewBox="0 0 14 14" aria-hidden="true">
      {state === 'done' && <circle {...common} fill="var(--ink)" stroke="var(--ink)" />}
      {state === 'next' && <circle {...common} fill="var(--mari)" stroke="var(--mari-ink)" />}
      {state === 'open' && <circle {...common} fill="none" stroke="var(--quiet)" />}
      {state === 'waits' && <circle {...common} fill="none" stroke="var(--pond)" strokeDasharray="2.5 2" />}
      {state === 'needless' && <path d="M3 7 H11" stroke="var(--quiet)" strokeWidth="1.7" strokeLinecap="round" />}
      {state === 'shut' && <circle {...common} fill="none" stroke="var(--quiet)" strokeDasharray="2 2.4" />}
    </svg>
  );
}

const words: Record<string, string> = {
  done: 'done',
  next: 'needs you',
  open: 'open',
  waits: 'waits',
  shut: 'not yet',
  needless: 'not needed',
};

export default function Bench() {
  const { id = '', step } = useParams();
  return id ? <One id={id} step={step} /> : <Empty />;
}

/** No sample in hand: what lies on the bench and what waits. */
function Empty() {
  const session = useSession();
  const { data } = useQuery({
    queryKey: ['list', 'bench'],
    queryFn: async () => {
      const stages = ['bench', 'review', 'waiting', 'ready'] as const;
      const all = await Promise.all(
        stages.map((stage) => unwrap(api.GET('/api/v1/cases', { params: { query: { stage } } }))),
      );
      return all.map((a) => a.cases);
    },
  });
  const groups = ['Half done', 'Waits for an advisor', 'Waiting', 'Ready to hand over'];
  return (
    <>
      <main id="room">
        <h1 style={{ marginBottom: 10 }}>The bench</h1>
        {data?.every((g) => g.length === 0) && <p>Nothing here. Check a sample in at the counter first.</p>}
        {data?.map((tags: Tag[], i) =>
          tags.length === 0 ? null : (
            <div className="shelf" key={groups[i]}>
              <h2>
                {groups[i]} <span className="quiet">· {tags.length}</span>
              </h2>
              <div className="tags">
                {tags.map((t) => (
                  <StandingTag key={t.id} tag={t} to={`/bench/${t.id}`} />
                ))}
              </div>
            </div>
          ),
        )}
      </main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}

/** On a narrow page the steps are a strip; the one in hand is brought into it. */
const bring = (at: HTMLElement | null) => {
  const strip = at?.parentElement;
  if (at && strip) strip.scrollLeft = at.offsetLeft - strip.offsetLeft - 60;
};

/** About as many letters of the story as the tag shows. */
const tagHolds = 44;

function One({ id, step }: { id: string; step?: string }) {
  const { data: view, error } = useCase(id);
  const vocabulary = useVocabulary();
  const session = useSession();
  const go = useNavigate();
  const change = useChange(id);
  const calls = useCaseCalls(id);
  const say = useToast();
  const order = Object.keys(panes);
  const [opened, setOpened] = useState({ id: '', at: '' });
  const needs = view?.steps.find((s) => s.state === 'next' || s.state === 'waits')?.id ?? 'story';
  const now = step && panes[step] ? step : opened.id === id ? opened.at : needs;
  // Without a step in the address the bench opens where the sample needs one, and stays there,
  // whatever is done on it before the address has caught up.
  useEffect(() => {
    if (!view) return;
    if (step) {
      setOpened((o) => (o.id ? { id: '', at: '' } : o));
      return;
    }
    if (opened.id === id) return; // asked for once: whoever chose another step meanwhile keeps it
    setOpened({ id, at: now });
    go(`/bench/${id}/${now}`, { replace: true });
  }, [view, step, now, id, opened.id, go]);
  // A step has its own title, and says itself to who cannot see it.
  const head = useRef<HTMLHeadingElement>(null);
  const title = view && `${view.number} ${view.intake.plant}: ${view.steps.find((s) => s.id === now)?.name}`;
  useEffect(() => {
    if (!title) return;
    document.title = `${title} · Botanik`;
    if (document.activeElement === document.body) head.current?.focus({ preventScroll: true });
    return () => {
      document.title = 'Botanik';
    };
  }, [title]);
  const undo = () =>
    change.mutate(calls.post('/api/v1/cases/{id}/undo', {}), {
      onSuccess: () => say({ text: `Took back: ${view?.mayUndo}` }),
      onError: (e) => say({ text: e.message }),
    });
  const onward = () => {
    const after = view?.steps.slice(order.indexOf(now) + 1) ?? [];
    const s =
      after.find((x) => x.state === 'next' || x.state === 'waits') ?? after.find((x) => x.state === 'open') ?? after[0];
    if (s) go(`/bench/${id}/${s.id}`);
  };
  useKeys([
    { key: '.', does: 'on to what needs you', run: onward },
    { key: ',', does: 'step back', run: () => go(`/bench/${id}/${order[Math.max(0, order.indexOf(now) - 1)]}`) },
    ...(view?.mayUndo ? [{ key: 'u', does: 'undo', run: undo }] : []),
  ]);
  if (error)
    return (
      <main id="room">
        <Trouble of={error} />
        <Button component={Link} to="/">
          Back to the counter
        </Button>
      </main>
    );
  if (!view || !vocabulary.data)
    return (
      <main id="room">
        <p className="quiet" data-loading>
          Fetching the sample…
        </p>
      </main>
    );
  const i = view.intake;
  const Pane = panes[now] as (p: { view: View }) => React.ReactNode;
  const facts = [
    i.place,
    i.inBloom && 'in flower',
    i.edible && `eaten${i.daysToHarvest === undefined ? '' : `, picked in ${i.daysToHarvest} days`}`,
    i.cat && 'a cat',
    i.dog && 'a dog',
    i.children && 'children',
    i.pond && 'a pond near by',
    ...(i.treated ?? []).map((t) => `${(t.what || t.remedy) ?? ''} ${t.on.slice(8)}.${t.on.slice(5, 7)}.`),
  ].filter(Boolean);
  return (
    <>
      <main id="room">
        <h1 className="vh" tabIndex={-1} ref={head}>
          {view.number} {i.plant}: {view.steps.find((s) => s.id === now)?.name}
        </h1>
        <div className="benchhead">
          <LyingTag
            tag={{
              id: view.id,
              number: view.number,
              plant: i.plant,
              line: i.story,
              certainty: view.certainty,
              urgency: i.urgency ?? 0,
            }}
          />
          <div style={{ minWidth: 0 }}>
            <div>
              <b>{i.grower}</b> <span className="quiet">brought it {moment(view.createdAt)}</span>
              {i.contact && <span className="quiet"> · {i.contact}</span>}
            </div>
            <small>{facts.join(' · ')}</small>
            <div className="noprint">
              <WhoseCase view={view} />
            </div>
            {i.story.length > tagHolds && <p className="told">“{i.story}”</p>}
          </div>
          {view.mayUndo && (
            <Button
              className="noprint"
              size="small"
              variant="outlined"
              onClick={undo}
              title={view.mayUndo}
              data-do="undo"
            >
              Undo&nbsp;<kbd>u</kbd>
            </Button>
          )}
          {view.stage === 'closed' && <b className="quiet">closed: {view.closing?.outcome}</b>}
        </div>
        <nav className="steps" aria-label="Steps">
          {view.steps.map((s) => (
            <Link
              key={s.id}
              to={`/bench/${id}/${s.id}`}
              className={s.id === now ? 'step on' : 'step'}
              aria-current={s.id === now ? 'step' : undefined}
              title={s.note}
              data-state={s.state}
              ref={s.id === now ? bring : undefined}
            >
              <StepMark state={s.state} />
              {s.name}
              <span className="vh">, {s.note || words[s.state]}</span>
            </Link>
          ))}
        </nav>
        <RefusedLooks view={view} />
        {view.unusual && ['in', 'look', 'verdict'].includes(now) && (
          <div className="notice" style={{ marginBottom: 10 }} data-unusual>
            <b>{view.unusual}</b> Looks are weighed by the season; correct it on{' '}
            <Link to={`/bench/${id}/in`}>Brought in</Link> if something slipped.
          </div>
        )}
        {view.verdict?.needsReview && now !== 'verdict' && (
          <div className="notice pond" style={{ marginBottom: 10 }}>
            <b>{view.verdict.by}'s verdict waits for an advisor.</b> Nothing goes to the grower before.{' '}
            <Link to={`/bench/${id}/verdict`}>See it</Link>
          </div>
        )}
        {view.houseNews.length > 0 && (
          <div className="notice" style={{ marginBottom: 10 }} data-house-news>
            <b>The house rules changed since this was decided.</b> {view.houseNews.join(' ')}{' '}
            <Link to={`/bench/${id}/remedy`}>Look at the ladder again</Link>
          </div>
        )}
        {view.handover && !view.closing && ['act', 'remedy', 'mix', 'days'].includes(now) && (
          <div className="notice pond" style={{ marginBottom: 10 }} data-handed>
            <b>This round is handed over,</b> and the grower holds its page. To do something else,{' '}
            <Link to={`/bench/${id}/story`}>start the next round</Link>.
          </div>
        )}
        {view.closing && !['look', 'story', 'in'].includes(now) && (
          <div className="notice" style={{ marginBottom: 10 }}>
            <b>The case is closed.</b> <Link to={`/bench/${id}/story`}>Open it again</Link> to change it.
          </div>
        )}
        <Boundary key={`${id}${now}`}>
          <Pane view={view} />
        </Boundary>
      </main>
      <KeyLine end={`kept ${clock(view.updatedAt)} · ${session.data?.person.name}, ${session.data?.person.role}`} />
    </>
  );
}
