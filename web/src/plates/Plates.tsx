import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, type S, take } from '../api/client';
import { useSession, useVocabulary } from '../api/hooks';
import { Chips, Trouble } from '../ui/bits';
import { KeyLine, useKeys } from '../ui/keys';
import { Mark } from './Mark';
import { Plate } from './Plate';

const kinds = ['pest', 'helper', 'harmless', 'disease', 'disorder', 'injury'].map((id) => ({ id, name: id }));

export default function Plates() {
  const { id } = useParams();
  const session = useSession();
  return (
    <>
      <main id="room">{id ? <One id={id} /> : <All />}</main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}

function All() {
  const { data: kb } = useVocabulary();
  const go = useNavigate();
  const [q, setQ] = useState('');
  const [kind, setKind] = useState<string[]>([]);
  const words = q.toLowerCase().split(/\s+/).filter(Boolean);
  const list = (kb?.causes ?? [])
    .filter((c) => !kind.length || kind.includes(c.kind))
    .filter((c) =>
      words.every((w) => `${c.name} ${c.scientific ?? ''} ${c.class} ${c.group}`.toLowerCase().includes(w)),
    )
    .sort((a, b) => a.name.localeCompare(b.name));
  useKeys([{ key: 'Enter', does: 'open the first', run: () => list[0] && go(`/plates/${list[0].id}`) }]);
  return (
    <>
      <div className="row mid" style={{ marginBottom: 12, flexWrap: 'wrap' }}>
        <h1>
          Plates <span className="quiet">· {list.length}</span>
        </h1>
        <div style={{ width: 280 }}>
          <TextField label="Find a plate" value={q} onChange={(e) => setQ(e.target.value)} name="find-plate" />
        </div>
        <Chips label="Kind" options={kinds} value={kind} onChange={setKind} many small />
      </div>
      {list.length === 0 && <p>Nothing by that name. Try a plainer word.</p>}
      <div style={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: 10 }}>
        {list.map((c) => (
          <Link
            key={c.id}
            to={`/plates/${c.id}`}
            className="sheet"
            style={{
              textDecoration: 'none',
              padding: 10,
              display: 'grid',
              justifyItems: 'center',
              gap: 6,
              textAlign: 'center',
            }}
            data-plate-link={c.id}
          >
            <Mark drawing={c.drawing} size={84} />
            <span style={{ lineHeight: 1.2 }}>
              {c.name}
              <small style={{ display: 'block' }}>{c.kind}</small>
            </span>
          </Link>
        ))}
      </div>
    </>
  );
}

function One({ id }: { id: string }) {
  const { data: kb } = useVocabulary();
  const { data: c, error } = useQuery({
    queryKey: ['cause', id],
    queryFn: () => take<S['Cause']>(api.GET('/api/v1/causes/{id}', { params: { path: { id } } })),
    staleTime: Number.POSITIVE_INFINITY,
  });
  if (error) return <Trouble of={error} />;
  if (!c || !kb) return null;
  const name = (x: string) => kb.causes.find((k) => k.id === x)?.name ?? x;
  const remedy = (x: string) => kb.remedies.find((k) => k.id === x)?.name ?? x;
  const find = (x: string) => kb.findings.find((f) => f.id === x);
  const state = (f: string, s: string) => find(f)?.states.find((x) => x.id === s);
  const signs = Object.entries(c.findings)
    .flatMap(([f, st]) => Object.entries(st).map(([s, w]) => ({ f, s, w })))
    .filter((x) => ['often', 'usually', 'always'].includes(x.w) && !state(x.f, x.s)?.absent);
  return (
    <div className="stack">
      <small>
        <Link to="/plates">All plates</Link>
      </small>
      <div className="two" style={{ gridTemplateColumns: '350px minmax(0,1fr)' }}>
        <div className="sheet pad stack">
          <Plate id={c.id} d={c.drawing} name={c.name} size={c.sizeMm} width={318} />
          {c.regulated && <div className="notice brick">May be regulated: {c.regulated}</div>}
          {c.labOnly && <div className="notice">{c.labOnly}</div>}
          <small>
            {c.kind}, {c.class} · seriousness {c.seriousness} · {c.from}
          </small>
        </div>
        <div className="stack">
          <div className="sheet pad stack">
            <div>
              <h1>{c.name}</h1>
              <i className="quiet">{c.scientific}</i>
            </div>
            <p>{c.plain}</p>
            <div>
              <h3>What to look for</h3>
              <ul className="tight">
                {signs.map((x) => (
                  <li key={x.f + x.s}>
                    {state(x.f, x.s)?.said || `${find(x.f)?.short}: ${state(x.f, x.s)?.name}`} <small>{x.w}</small>
                    {c.confirms?.some((k) => k.finding === x.f && k.states.includes(x.s)) && (
                      <b style={{ color: 'var(--lichen)' }}> settles it</b>
                    )}
                  </li>
                ))}
              </ul>
            </div>
            {c.lookAlikes.length > 0 && (
              <div>
                <h3>Look-alikes</h3>
                <ul className="tight">
                  {c.lookAlikes.map((l) => (
                    <li key={l.cause}>
                      <Link to={`/plates/${l.cause}`}>{name(l.cause)}</Link>: {l.split}
                    </li>
                  ))}
                </ul>
              </div>
            )}
          </div>
          <div className="sheet pad">
            <table className="lines">
              <tbody>
                <tr>
                  <th scope="row">Why it happens</th>
                  <td>{c.why.join(', ')}</td>
                </tr>
                <tr>
                  <th scope="row">Spreads</th>
                  <td>
                    {c.spread}
                    {c.carries && `; carries ${c.carries}`}
                  </td>
                </tr>
                <tr>
                  <th scope="row">Borne</th>
                  <td>
                    {c.tolerable.text} <small>({c.tolerable.source})</small>
                  </td>
                </tr>
                <tr>
                  <th scope="row">What to do</th>
                  <td>
                    {c.actions.map((a) => (
                      <div key={a.remedy}>
                        {remedy(a.remedy)} <small>{a.when}</small>
                      </div>
                    ))}
                  </td>
                </tr>
                {c.mustNot && c.mustNot.length > 0 && (
                  <tr>
                    <th scope="row">Must not</th>
                    <td>{c.mustNot.map((m) => `${m.what}: ${m.why}`).join('; ')}</td>
                  </tr>
                )}
                <tr>
                  <th scope="row">Recovers</th>
                  <td>{c.recovers}</td>
                </tr>
                <tr>
                  <th scope="row">Throw away</th>
                  <td>
                    {c.disposal} {c.disposalNote}
                  </td>
                </tr>
                <tr>
                  <th scope="row">Source</th>
                  <td>{c.source}</td>
                </tr>
              </tbody>
            </table>
          </div>
        </div>
      </div>
    </div>
  );
}
