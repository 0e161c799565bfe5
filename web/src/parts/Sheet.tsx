import type { S } from '../api/client';

/** The one page a grower takes home: plain words, all cautions, black on paper. */
export function SheetPage({ s }: { s: S['Sheet'] }) {
  return (
    <article className="paper">
      <div className="row" style={{ borderBottom: '2px solid var(--ink)', paddingBottom: 6 }}>
        <b>{s.desk}</b>
        <span className="num">{s.number}</span>
      </div>
      <p className="quiet" style={{ marginTop: 6 }}>
        For {s.grower}, {s.date} · your {s.plant.toLowerCase()}
      </p>
      {s.first && (
        <div className="notice brick" style={{ margin: '12px 0' }}>
          <b>First of all.</b> {s.first}
        </div>
      )}
      {s.drawing && (
        <img className="portrait" src={`/drawings/${s.drawing}.svg`} alt={`${s.title}, drawn`} width={200} />
      )}
      <h1>{s.title}</h1>
      <p>
        {s.what} <b>{s.sure}</b>
      </p>
      {s.again && (
        <div className="notice" style={{ margin: '12px 0' }}>
          <b>{s.again}</b>
        </div>
      )}
      {s.moved && (
        <div className="notice" style={{ margin: '12px 0' }} data-moved>
          <b>The weather has turned.</b> {s.moved.join(' ')}
        </div>
      )}
      {s.refer && (
        <div className="notice brick" style={{ margin: '12px 0' }}>
          {s.refer}
        </div>
      )}
      {s.lookFor.length > 0 && (
        <>
          <h2>What to look for</h2>
          <ul className="tight">
            {s.lookFor.map((x) => (
              <li key={x}>{x}</li>
            ))}
          </ul>
        </>
      )}
      {s.besides && <Besides of={s.besides} />}
      {s.steps.length > 0 && <h2>What to do</h2>}
      <ol className="tight">
        {s.steps.map((t) => (
          <Step key={t.name} of={t} />
        ))}
      </ol>
      {s.together.length > 0 && (
        <ul className="tight">
          {s.together.map((t) => (
            <li key={t}>{t}</li>
          ))}
        </ul>
      )}
      {s.amounts.length > 0 && (
        <>
          <h2>How much of it</h2>
          <ul className="tight">
            {s.amounts.map((t) => (
              <li key={t}>{t}</li>
            ))}
          </ul>
        </>
      )}
      {s.mix && <HowMuch of={s.mix} />}
      {s.days.length > 0 && (
        <>
          <h2>When</h2>
          {s.table ? (
            <table className="lines days-table">
              <tbody>
                {s.table.map((d) => (
                  <tr key={d.day + d.what}>
                    <td className="tick" aria-hidden="true" />
                    <td>
                      <b>{d.day}</b>
                    </td>
                    <td>
                      {d.what}
                      {d.much && <small style={{ display: 'block' }}>{d.much}</small>}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : (
            <b>{s.days.join(' · ')}. </b>
          )}
          <p>{s.hour}</p>
          {s.beside?.map((x) => (
            <p key={x.what} data-beside>
              <b>{x.what}:</b> {x.days.join(', ')}. {x.why}
            </p>
          ))}
          {s.notUntil && (
            <p>
              <b>Do not pick or eat any of it before {s.notUntil}.</b>
            </p>
          )}
        </>
      )}
      {(s.next ?? []).length > 0 && (
        <>
          <h2>So that it does not come back</h2>
          <ul className="tight">
            {s.next?.map((n) => (
              <li key={n}>{n}</li>
            ))}
          </ul>
        </>
      )}
      {s.mustNot.length > 0 && (
        <>
          <h2>Please do not</h2>
          <ul className="tight">
            {s.mustNot.map((m) => (
              <li key={m}>{m}</li>
            ))}
          </ul>
        </>
      )}
      {(s.why.length > 0 || s.recovers || s.disposal) && (
        <>
          <h2>Good to know</h2>
          <p>
            {s.why.length > 0 && <>It is favoured by: {s.why.join(', ')}. </>}
            {s.recovers && <>Will it recover? {s.recovers.charAt(0).toUpperCase() + s.recovers.slice(1)}. </>}
            {s.disposal}
          </p>
        </>
      )}
      <div className="always">
        <b>Always</b>
        <ul className="tight">
          {s.always.map((a) => (
            <li key={a}>{a}</li>
          ))}
        </ul>
      </div>
      <p style={{ marginTop: 12 }}>
        {s.askOn ? (
          <>
            We will ask how it went on <b>{s.askOn}</b>.
          </>
        ) : (
          'We will ask how it went.'
        )}{' '}
        {s.bring} Your advisor: {s.advisor}.
      </p>
      <footer className="quiet">
        {s.desk}
        {s.place && `, ${s.place}`}
        {s.reach && ` · ${s.reach}`} · <span className="num">{s.number}</span>
      </footer>
    </article>
  );
}

/** The mix in the grower's own measures, step by step as it is filled. */
function HowMuch({ of }: { of: S['SheetMix'] }) {
  return (
    <>
      <h2>How much</h2>
      <div className="mix">
        {of.lines.map((l) => (
          <div key={l}>
            <b>{of.product}:</b> {l}
          </div>
        ))}
      </div>
      {of.fills && (
        <div className="fills">
          {of.fills.map((f) => (
            <img key={f.text} alt={f.text} src={`data:image/svg+xml,${encodeURIComponent(f.picture ?? '')}`} />
          ))}
        </div>
      )}
      <ol className="tight" style={{ marginTop: 6 }}>
        {of.order.map((o) => (
          <li key={o}>{o}</li>
        ))}
      </ol>
      <p>
        {of.notes.join(' ')} You need {of.buy.join(', ')}.
      </p>
    </>
  );
}

/** A second trouble on the same plant, with what is done about it by hand. */
function Besides({ of }: { of: NonNullable<S['Sheet']['besides']> }) {
  return (
    <div className="notice" style={{ margin: '12px 0' }} data-besides>
      <b>And besides it: {of.title}.</b> {of.what}
      {of.refer && <b> {of.refer}</b>}
      {of.steps.length > 0 && (
        <ul className="tight">
          {of.steps.map((t) => (
            <Step key={t.name} of={t} />
          ))}
        </ul>
      )}
    </div>
  );
}

/** One thing to do, with when, how, what to wear and what to mind. */
function Step({ of: t }: { of: S['SheetStep'] }) {
  return (
    <li>
      <b>{t.name}.</b>
      {t.when && <i> {t.when}</i>} {t.hour} {t.how.join(' ')} {t.again}
      {t.wear.length > 0 && (
        <>
          {' '}
          <b>Wear:</b> {t.wear.join(', ')}.
        </>
      )}{' '}
      {t.cautions.length > 0 && (
        <>
          <b>Mind:</b> {t.cautions.join(' ')}{' '}
        </>
      )}
      {t.storage && <span>Keep it {t.storage}.</span>}
    </li>
  );
}
