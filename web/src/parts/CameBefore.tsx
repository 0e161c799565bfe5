import { useQuery } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap } from '../api/client';
import { dayAndMonth } from '../ui/bits';
import type { Form } from './intake';

/** Whether two addresses are one, as far as the page can tell: the desk has the last word. */
function alike(a: string, b: string) {
  const plain = (x: string) => x.toLowerCase().replace(/[^a-z0-9@.+]/g, '');
  return plain(a) === plain(b);
}

/** Who came before, while a name or an address is typed; and what they brought. One press takes name and address. */
export function CameBefore({ form, setForm }: { form: Form; setForm: (f: (old: Form) => Form) => void }) {
  const words = form.grower.trim() || form.contact.trim();
  const { data } = useQuery<S['Grower'][], Problem>({
    queryKey: ['growers', words],
    queryFn: () => unwrap<S['Grower'][]>(api.GET('/api/v1/growers', { params: { query: { q: words } } })),
    enabled: words.length >= 2,
    staleTime: 30_000,
    placeholderData: (old) => old,
    retry: false,
  });
  const list = words.length >= 2 ? (data ?? []) : [];
  const choose = (g: S['Grower']) =>
    setForm((f) => ({ ...f, grower: g.name, person: g.id, contact: f.contact.trim() ? f.contact : (g.contact ?? '') }));
  const named = list.filter((g) => g.name.toLowerCase() === form.grower.trim().toLowerCase());
  const same =
    named.find((g) => g.id === form.person) ??
    (named.length === 1 && (!form.contact.trim() || !named[0]?.contact || alike(form.contact, named[0].contact))
      ? named[0]
      : named.find((g) => form.contact.trim() && alike(form.contact, g.contact ?? '')));
  if (same)
    return (
      <p className="quiet" data-came-before={same.name} style={{ margin: 0 }}>
        {same.name} was here before:{' '}
        {same.earlier.map((c, i) => (
          <span key={c.id}>
            {i > 0 && ' · '}
            <a href={`/bench/${c.id}/story`}>
              {c.plant}, {dayAndMonth(c.createdAt)}
            </a>
            {c.causeName && ` ${c.causeName.toLowerCase()}`}
          </span>
        ))}
      </p>
    );
  if (named.length > 0)
    return (
      <div className="stack" style={{ gap: 4 }} data-namesakes={named.length}>
        <small>Somebody of that name came before. The same person, or another?</small>
        <div className="wrap">
          {named.map((g) => (
            <button type="button" key={g.id} className="chip small" onClick={() => choose(g)}>
              {g.contact || 'no address'}
              <small>
                {' '}
                {g.cases} {g.cases === 1 ? 'case' : 'cases'}, the last {g.earlier[0]?.plant.toLowerCase()}
              </small>
            </button>
          ))}
        </div>
      </div>
    );
  if (!list.length || form.contact) return null;
  return (
    <div className="wrap" data-growers={list.length}>
      {list.map((g) => (
        <button type="button" key={g.id} className="chip small" tabIndex={-1} onClick={() => choose(g)}>
          {g.name}
          <small>
            {' '}
            {g.contact ? `${g.contact}, ` : ''}
            {g.cases} {g.cases === 1 ? 'case' : 'cases'}
          </small>
        </button>
      ))}
    </div>
  );
}
