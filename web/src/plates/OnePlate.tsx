import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, type S, unwrap } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Trouble } from '../ui/bits';
import { Plate, SlidePlate } from './Plate';

const partNames: Record<string, string> = {
  asked: 'ask the grower',
  plant: 'the whole plant',
  shoot: 'shoot tips',
  leaf: 'leaves',
  flower: 'flowers',
  fruit: 'fruit',
  stem: 'stem and bark',
  root: 'roots',
  pot: 'pot and soil',
};
const monthNames = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A group of hosts in words: form:palm is palms. */
const kin = (k: string) => {
  const [by, x] = k.split(':');
  return by === 'form' ? (x === 'woody' ? 'shrubs and trees' : `${x}s`) : by === 'group' ? `${x} kinds` : `the ${x}`;
};

/** Months in words: a run as its ends, the whole year left out. */
const monthsText = (m?: number[]): string => {
  if (!m || m.length === 0 || m.length === 12) return 'all year';
  const runs: [number, number][] = [];
  const sorted = [...m].sort((a, b) => a - b);
  for (const x of sorted) {
    const last = runs[runs.length - 1];
    if (last && last[1] === x - 1) last[1] = x;
    else runs.push([x, x]);
  }
  const [first, final] = [runs[0], runs[runs.length - 1]];
  if (runs.length > 1 && first && final && first[0] === 1 && final[1] === 12) {
    first[0] = final[0];
    runs.pop();
  }
  return runs.map(([a, b]) => (a === b ? monthNames[a - 1] : `${monthNames[a - 1]}–${monthNames[b - 1]}`)).join(', ');
};

export function OnePlate({ id }: { id: string }) {
  const { data: kb } = useVocabulary();
  const { data: c, error } = useQuery({
    queryKey: ['cause', id],
    queryFn: () => unwrap<S['Cause']>(api.GET('/api/v1/causes/{id}', { params: { path: { id } } })),
    staleTime: Number.POSITIVE_INFINITY,
  });
  if (error) return <Trouble of={error} />;
  if (!c || !kb) return null;
  const name = (x: string) => kb.causes.find((k) => k.id === x)?.name ?? x;
  const drawing = (x: string) => kb.causes.find((k) => k.id === x)?.drawing ?? {};
  const remedy = (x: string) => kb.remedies.find((k) => k.id === x);
  const find = (x: string) => kb.findings.find((f) => f.id === x);
  const state = (f: string, s: string) => find(f)?.states.find((x) => x.id === s);
  const signs = Object.entries(c.findings)
    .flatMap(([f, st]) => Object.entries(st).map(([s, w]) => ({ f, s, w })))
    .filter((x) => ['often', 'usually', 'always'].includes(x.w) && !state(x.f, x.s)?.absent)
    // Size and legs stand beside the drawing; first sight is how one came here.
    .filter((x) => find(x.f)?.topic !== 'at first sight' && find(x.f)?.cluster !== 'creature');
  const settles = (x: { f: string; s: string }) =>
    c.confirms?.some((k) => k.finding === x.f && k.states.includes(x.s)) ?? false;
  const said = (x: { f: string; s: string }) =>
    state(x.f, x.s)?.said || `${find(x.f)?.short}: ${state(x.f, x.s)?.name}`;
  const where = (x: { f: string }) => {
    const f = find(x.f);
    if (f?.where === 'slide') return 'on a slide';
    return f?.part === 'leaf' && f.where ? f.where : (partNames[f?.part ?? ''] ?? '');
  };
  const hosts = Object.entries(c.hosts)
    .filter(([, w]) => w === 'strong' || w === 'usual')
    .map(([k]) =>
      k === 'any'
        ? 'many plants'
        : k.includes(':')
          ? kin(k)
          : (kb.hosts.find((h) => h.id === k)?.name.toLowerCase() ?? k),
    );
  return (
    <div className="stack">
      <div className="row mid">
        <h1>
          {c.name} <i className="quiet">{c.scientific}</i>
        </h1>
        <Link to="/plates" className="quiet">
          all plates
        </Link>
      </div>
      <div className="two plate-and-text">
        <div className="sheet pad stack">
          <Plate id={c.id} d={c.drawing} name={c.name} size={c.sizeMm} width={318} />
          <SlidePlate d={c.drawing} width={318} />
          {c.regulated && <div className="notice brick">May be regulated: {c.regulated}</div>}
          {c.labOnly && <div className="notice">{c.labOnly}</div>}
          <small>
            {c.kind}, {c.class} · seriousness {c.seriousness}
            {c.sizeMm && ` · ${c.sizeMm.join('–')} mm`} · {monthsText(c.months)}
          </small>
        </div>
        <div className="stack answer">
          <div className="sheet pad stack">
            <p className="plain-words">{c.plain}</p>
            <div>
              <h2>What to look for, and where</h2>
              <ul className="tight">
                {signs
                  .sort((a, b) => Number(settles(b)) - Number(settles(a)))
                  .map((x) => (
                    <li key={x.f + x.s}>
                      {said(x)}{' '}
                      <small>
                        {where(x)} · {x.w}
                      </small>
                      {settles(x) && <b style={{ color: 'var(--lichen)' }}> settles it</b>}
                    </li>
                  ))}
              </ul>
            </div>
          </div>
          <div className="sheet pad">
            <table className="lines">
              <tbody>
                <tr>
                  <th scope="row">Met on</th>
                  <td>{hosts.join(', ')}</td>
                </tr>
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
                  <th scope="row">Left alone up to</th>
                  <td>
                    {c.tolerable.text} <small>({c.tolerable.source})</small>
                  </td>
                </tr>
                <tr>
                  <th scope="row">What to do, mildest first</th>
                  <td>
                    {[...c.actions]
                      .sort((a, b) => (remedy(a.remedy)?.rung ?? 0) - (remedy(b.remedy)?.rung ?? 0))
                      .map((a) => (
                        <div key={a.remedy}>
                          {remedy(a.remedy)?.name ?? a.remedy}{' '}
                          <small>
                            {a.worth}
                            {a.when && `, ${a.when}`}
                            {a.how && `, ${a.how}`}
                          </small>
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
                  <td>
                    {c.source}
                    {c.from && <small> · written in {c.from}</small>}
                  </td>
                </tr>
              </tbody>
            </table>
            <small>The product label and local law come first, whatever stands here.</small>
          </div>
        </div>
        {c.lookAlikes.length > 0 && (
          <div className="sheet pad">
            <h2>Look-alikes</h2>
            <ul className="alike">
              {c.lookAlikes.map((l) => (
                <li key={l.cause}>
                  <Link
                    to={`/plates/compare?cause=${c.id}&cause=${l.cause}`}
                    aria-label={`${c.name} beside ${name(l.cause)}`}
                  >
                    <Plate id={l.cause} d={drawing(l.cause)} name={name(l.cause)} width={64} />
                  </Link>
                  <span>
                    <Link to={`/plates/${l.cause}`}>{name(l.cause)}</Link>
                    <small>{l.split}</small>
                  </span>
                </li>
              ))}
            </ul>
          </div>
        )}
      </div>
    </div>
  );
}
