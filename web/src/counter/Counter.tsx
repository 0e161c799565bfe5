import { Link, useNavigate, useSearchParams } from 'react-router';
import { useSession, useToday } from '../api/hooks';
import { Trouble } from '../ui/bits';
import { KeyLine, useKeys } from '../ui/keys';
import { StandingTag } from '../ui/Tag';
import { CheckIn } from './CheckIn';

const minutes = (n: number) => (n >= 90 ? `${Math.floor(n / 60)} h ${n % 60} min` : `${n} minutes`);

/** Today: check in on the left; trays, notices and who to ask on the right. */
export function Counter() {
  const { data, error } = useToday();
  const session = useSession();
  const [params, setParams] = useSearchParams();
  const go = useNavigate();
  const links = () => [...document.querySelectorAll<HTMLElement>('.tag[data-case], .ask')];
  const move = (d: number) => {
    const all = links();
    const i = all.indexOf(document.activeElement as HTMLElement);
    all[Math.max(0, Math.min(all.length - 1, i + d))]?.focus();
  };
  useKeys([
    { key: 'ArrowDown', does: 'next tag', run: () => move(1) },
    { key: 'ArrowUp', does: 'tag before', run: () => move(-1) },
    { key: 'ArrowRight', does: 'next tag', hidden: true, run: () => move(1) },
    { key: 'ArrowLeft', does: 'tag before', hidden: true, run: () => move(-1) },
    {
      key: 'b',
      does: 'take the oldest to the bench',
      run: () => data?.waiting[0] && go(`/bench/${data.waiting[0].id}/look`),
    },
  ]);
  const trays = data
    ? [
        {
          name: 'Waiting',
          tags: data.waiting,
          count: data.counts.waiting,
          none: 'Nobody waits. Press n when someone puts a bag on the counter.',
          step: 'look',
        },
        { name: 'On the bench', tags: data.bench, count: data.counts.bench, none: 'The bench is clear.', step: '' },
        {
          name: 'Ready to hand over',
          tags: data.ready,
          count: data.counts.ready,
          none: 'Nothing to hand over yet.',
          step: 'handover',
        },
      ]
    : [];
  const late = data?.ask.filter((a) => a.late > 0).length ?? 0;
  return (
    <>
      <main id="room">
        <div className="row" style={{ justifyContent: 'flex-start', marginBottom: 12, flexWrap: 'wrap' }}>
          <h1>{data ? `${data.date.split(' ')[0]} at the counter` : 'The counter'}</h1>
          {data && (
            <span className="quiet">
              {data.date.replace(/^\w+ /, '').replace(/ \d{4}$/, '')} · {data.brought} brought in so far
              {data.longestMinutes > 0 ? ` · the longest has waited ${minutes(data.longestMinutes)}` : ''}
            </span>
          )}
        </div>
        <Trouble of={error} />
        <div className="counter">
          <CheckIn
            focus={params.get('new') === '1'}
            onFocused={() => setParams({}, { replace: true })}
            onDone={(v, open) => go(open ? `/bench/${v.id}/look` : `/?in=${v.id}`)}
          />
          <section style={{ minWidth: 0 }} aria-label="Today">
            {data?.notices.map((n) => (
              <div
                key={n.bold}
                className={n.kind === 'regulated' ? 'notice brick' : n.kind === 'evening' ? 'notice pond' : 'notice'}
                style={{ marginBottom: 8 }}
              >
                <b>{n.bold}</b> {n.text}
              </div>
            ))}
            {trays.map((t) => (
              <div key={t.name} className="shelf">
                <div className="row">
                  <h2>
                    {t.name} <span className="quiet">· {t.count}</span>
                  </h2>
                  {t.name === 'Waiting' && t.tags.length > 1 && (
                    <small>{t.count > t.tags.length ? `the oldest ${t.tags.length} first` : 'oldest first'}</small>
                  )}
                </div>
                {t.tags.length === 0 ? (
                  <p className="none">{t.none}</p>
                ) : (
                  <div className="tags">
                    {t.tags.map((tag) => (
                      <StandingTag key={tag.id} tag={tag} to={`/bench/${tag.id}${t.step ? `/${t.step}` : ''}`} />
                    ))}
                  </div>
                )}
              </div>
            ))}
            <Link to="/tags" data-do="bag-tags">
              Tags for the bags
            </Link>
            <div className="row" style={{ marginTop: 4 }}>
              <h2>
                <Link to="/rounds">Ask how it went</Link>
              </h2>
              <small>{data && `${data.counts.ask} due${late ? `, ${late} late` : ''}`}</small>
            </div>
            {data?.ask.length === 0 && <p className="quiet">Nobody is due today.</p>}
            {data?.ask.map((a) => (
              <a
                key={a.id}
                className="ask"
                href={`/bench/${a.id}/story`}
                onClick={(e) => {
                  e.preventDefault();
                  go(`/bench/${a.id}/story`);
                }}
              >
                <span className={a.late > 0 ? 'late' : ''}>{a.when}</span>
                <span>
                  {a.grower} · {a.plant}
                </span>
                <small>{a.what}</small>
                <small>{a.call ? <b className="late">telephone: silent twice</b> : a.contact || 'no contact'}</small>
              </a>
            ))}
          </section>
        </div>
      </main>
      <KeyLine end={`${session.data?.person.name}, ${session.data?.person.role} · ${data?.desk ?? ''}`} />
    </>
  );
}
