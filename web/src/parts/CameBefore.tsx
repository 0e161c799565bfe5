import { useQuery } from '@tanstack/react-query';
import { api, type Problem, type S, take } from '../api/client';
import { dayAndMonth } from '../ui/bits';
import type { Form } from './intake';

/** Who came before, while a name or an address is typed; and what they brought. One press takes name and address. */
export function CameBefore({ form, setForm }: { form: Form; setForm: (f: (old: Form) => Form) => void }) {
  const words = form.grower.trim() || form.contact.trim();
  const { data } = useQuery<S['Grower'][], Problem>({
    queryKey: ['growers', words],
    queryFn: () => take<S['Grower'][]>(api.GET('/api/v1/growers', { params: { query: { q: words } } })),
    enabled: words.length >= 2,
    staleTime: 30_000,
    placeholderData: (old) => old,
    retry: false,
  });
  const list = words.length >= 2 ? (data ?? []) : [];
  const same = list.find((g) => g.name.toLowerCase() === form.grower.trim().toLowerCase());
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
  if (!list.length || form.contact) return null;
  return (
    <div className="wrap" data-growers={list.length}>
      {list.map((g) => (
        <button
          type="button"
          key={g.name}
          className="chip small"
          tabIndex={-1}
          onClick={() => setForm((f) => ({ ...f, grower: g.name, contact: g.contact ?? f.contact }))}
        >
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
