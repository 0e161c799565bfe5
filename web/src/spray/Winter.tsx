import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useCase, useSession, useVocabulary } from '../api/hooks';
import { Chips, dayAndMonth, daysBetween, StatusMark, Trouble, weekday } from '../ui/bits';
import { useDraft } from '../ui/draft';

type Ask = { host: string; causes: string[]; bad: boolean; materials: string[] };
const nothing: Ask = { host: '', causes: [], bad: false, materials: [] };

/** A dormant programme: only where last year deserves it, cleaning up first, two of three sprays on days of the weather. */
export function Winter() {
  const [params] = useSearchParams();
  const id = params.get('case') ?? '';
  const { data: view } = useCase(id);
  const { data: kb } = useVocabulary();
  const [draft, set] = useDraft<Ask>(`winter.${id}`, nothing);
  const own = view?.verdict?.cause;
  const ask: Ask = {
    ...draft,
    host: draft.host || view?.intake.host || '',
    causes: draft.causes.length || !own ? draft.causes : [own],
  };
  const hosts = (kb?.hosts ?? []).filter((h) => h.dormant);
  const causes = (kb?.causes ?? []).filter((c) => c.winter);
  const ready = !!ask.host && ask.causes.length > 0;
  const { data, error } = useQuery<S['WinterPlan'], Problem>({
    queryKey: ['winter', id, JSON.stringify(ask)],
    queryFn: () =>
      unwrap<S['WinterPlan']>(
        api.POST('/api/v1/spray-days/winter', {
          body: {
            host: ask.host,
            causes: ask.causes,
            badYear: ask.bad,
            ...(ask.materials.length ? { materials: ask.materials } : {}),
            ...(id ? { case: id } : {}),
          },
        }),
      ),
    enabled: ready,
    retry: false,
  });
  return (
    <div className="two wide-and-form">
      <div className="sheet pad stack" data-winter={data ? String(data.deserved) : ''}>
        {!ready && (
          <>
            <h2>A winter programme</h2>
            <p className="quiet">
              Choose the plant and what was bad on it last year. Most plants need none: cleaning up does more, and the
              sprays also kill the helpers that winter on the bark.
            </p>
          </>
        )}
        <Trouble of={error} />
        {data && !error && <Programme of={data} />}
      </div>
      <div className="sheet pad form">
        {view && (
          <p>
            for <b>{view.number}</b> {view.intake.plant} <Link to={`/bench/${view.id}/days`}>back to its days</Link>
          </p>
        )}
        <Autocomplete
          autoHighlight
          options={hosts}
          getOptionLabel={(h) => h.name}
          value={hosts.find((h) => h.id === ask.host) ?? null}
          onChange={(_, h) => set((a) => ({ ...a, host: h?.id ?? '', materials: [] }))}
          renderInput={(p) => <TextField {...p} label="Plant that drops its leaves" name="winter-host" />}
        />
        <Autocomplete
          multiple
          autoHighlight
          options={causes}
          getOptionLabel={(c) => c.name}
          value={causes.filter((c) => ask.causes.includes(c.id))}
          getOptionDisabled={() => ask.causes.length >= 3}
          onChange={(_, list) => set((a) => ({ ...a, causes: list.map((c) => c.id), materials: [] }))}
          renderInput={(p) => <TextField {...p} label="What troubled it last year" name="winter-causes" />}
        />
        <Chips
          label="Last year"
          options={[
            { id: 'some', name: 'some, or none' },
            { id: 'bad', name: 'a bad year' },
          ]}
          value={[ask.bad ? 'bad' : 'some']}
          onChange={(v) => set((a) => ({ ...a, bad: v[0] === 'bad', materials: [] }))}
        />
        {data && data.materials.length > 0 && data.deserved && (
          <Chips
            label="Which of them"
            options={data.materials.map((m) => ({ id: m.remedy, name: m.name }))}
            value={ask.materials.length ? ask.materials : data.materials.filter((m) => m.chosen).map((m) => m.remedy)}
            onChange={(v) => set((a) => ({ ...a, materials: v }))}
            many
            small
          />
        )}
      </div>
    </div>
  );
}

function Programme({ of: p }: { of: S['WinterPlan'] }) {
  return (
    <>
      <h2>{p.deserved ? 'The programme of this winter' : 'No winter spray'}</h2>
      {p.why.map((w) => (
        <p key={w}>{w}</p>
      ))}
      <Rest of={p} />
      {p.tasks.length > 0 && (
        <>
          <h3>First clean up</h3>
          <ul className="tight">
            {p.tasks.map((t) => (
              <li key={t.name}>
                <b>{t.name}.</b> {t.how[0]}
              </li>
            ))}
          </ul>
        </>
      )}
      {p.sprays.map((x, i) => (
        <section key={x.remedy + x.from} className="winterspray" data-spray={x.remedy}>
          <h3>
            {x.name}, {x.when}
          </h3>
          <p>
            {x.on ? (
              <b data-on={x.on.day}>{x.on.text.replace(/^\w+/, weekday(x.on.day))}</b>
            ) : (
              <b>
                {dayAndMonth(x.from)} to {dayAndMonth(x.to)}
              </b>
            )}
            . {x.says}
            {x.others.length > 0 && ` Also ${x.others.map((d) => weekday(d.day)).join(', ')}.`}
          </p>
          <p className="quiet">
            <b>Wear:</b> {x.wear.join(', ')}.{' '}
            {p.sprays.findIndex((y) => y.remedy === x.remedy) === i ? x.cautions.join(' ') : 'Mind the same as before.'}
          </p>
        </section>
      ))}
      {p.sprays.length > 0 && (
        <p>
          How much for the sprayer: <Link to="/mixing">the mixing shelf</Link>.
        </p>
      )}
      {p.rules.length > 0 && (
        <ul className="tight">
          {p.rules.map((r) => (
            <li key={r}>{r}</li>
          ))}
        </ul>
      )}
      {p.materials.some((m) => !m.chosen) && (
        <details>
          <summary>What is not used, and why</summary>
          {p.materials
            .filter((m) => !m.chosen)
            .map((m) => (
              <p key={m.remedy}>
                <StatusMark status={m.status} /> <b>{m.name}</b> against {m.against.join(', ').toLowerCase()}.{' '}
                {m.reasons[0]?.text}
              </p>
            ))}
        </details>
      )}
      <small>
        {p.always[0]} When the plant rests: {p.source}; what you see on the twig comes first.
      </small>
    </>
  );
}

/** The rest of the plant as a band from leaf fall to green buds, today and each spray upon it. */
function Rest({ of: p }: { of: S['WinterPlan'] }) {
  const session = useSession();
  const { leafFall, bare, swell, open } = p.winter;
  const from = leafFall;
  const whole = daysBetween(from, open);
  const at = (day: string) => Math.max(0, Math.min(100, (100 * daysBetween(from, day)) / whole));
  const part = (a: string, b: string) => ({ left: `${at(a)}%`, width: `${at(b) - at(a)}%` });
  return (
    <div
      className="rest"
      role="img"
      aria-label={`Leaf fall from ${dayAndMonth(leafFall)}, bare from ${dayAndMonth(bare)}, buds swell from ${dayAndMonth(swell)}, green from ${dayAndMonth(open)}; it is ${p.phase} now`}
    >
      <div className="band">
        <span data-part="fall" style={part(leafFall, bare)}>
          leaf fall
        </span>
        <span data-part="bare" style={part(bare, swell)}>
          bare
        </span>
        <span data-part="swell" style={part(swell, open)}>
          buds swell
        </span>
      </div>
      {p.sprays.map((x) => (
        <div key={x.remedy + x.from} style={part(x.from, x.to)} className="restspray">
          {x.name}
        </div>
      ))}
      {session.data && at(session.data.now.slice(0, 10)) > 0 && (
        <span className="now" style={{ left: `${at(session.data.now.slice(0, 10))}%` }} />
      )}
      <div className="weekline">
        {[leafFall, bare, swell, open].map((d, i) => (
          <small key={d} style={i === 3 ? { right: 0 } : { left: `${at(d)}%` }}>
            {dayAndMonth(d)}
          </small>
        ))}
      </div>
    </div>
  );
}
