import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, type Problem, type S, unwrap, type View } from '../api/client';
import { SheetPage } from '../parts/Sheet';
import { Chips } from '../ui/bits';

/** What else of this grower's could be handed over, and what was. */
export const useTogether = (view: View) =>
  useQuery<S['JointHandout'], Problem>({
    queryKey: ['together', view.id, view.version],
    queryFn: () =>
      unwrap<S['JointHandout']>(api.GET('/api/v1/cases/{id}/together', { params: { path: { id: view.id } } })),
    enabled: !!view.verdict,
    placeholderData: (old) => old,
    retry: false,
  });

/** Hands this case over with others of the same grower, all or none. */
export function usePairing(view: View, done: (v: View) => void) {
  const client = useQueryClient();
  return useMutation<View, Problem, S['Tag'][]>({
    mutationFn: (others) =>
      unwrap<View>(
        api.POST('/api/v1/handover-together', {
          body: { cases: [view, ...others].map((x) => ({ id: x.id, version: x.version })) },
        }),
      ),
    onSuccess: (v) => {
      client.setQueryData(['case', v.id], v);
      void client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'case' || q.queryKey[1] !== v.id });
      done(v);
    },
  });
}

/** Before the hand-over: what goes along, and what is not ready. */
export function AlsoTheirs({
  of,
  chosen,
  choose,
}: {
  of: S['JointHandout'];
  chosen: string[];
  choose: (v: string[]) => void;
}) {
  if (!of.ready.length && !of.notYet.length) return null;
  return (
    <div className="sheet pad stack" data-also={of.ready.length}>
      {of.ready.length > 0 && (
        <Chips
          label={`${of.grower} also takes home`}
          options={of.ready.map((r) => ({ id: r.id, name: `${r.plant}: ${r.causeName ?? 'sent on'}` }))}
          value={chosen}
          onChange={choose}
          many
          small
        />
      )}
      {of.notYet.map((r) => (
        <small key={r.id}>
          <Link to={`/bench/${r.id}`}>
            {r.number}, {r.plant}
          </Link>
          : {r.why}
        </small>
      ))}
    </div>
  );
}

/** After it: one list of days and of what to buy for all plants, then the page of each. */
export function TogetherPages({ of }: { of: S['JointHandout'] }) {
  return (
    <div className="together" data-together={of.sheets.length}>
      <article className="paper">
        <div className="row" style={{ borderBottom: '2px solid var(--ink)', paddingBottom: 6 }}>
          <b>{of.desk}</b>
          <span className="num">{of.sheets.length} pages</span>
        </div>
        <p className="quiet" style={{ marginTop: 6 }}>
          For {of.grower}, {of.date}
        </p>
        <h1>All your plants together</h1>
        <ul className="tight">
          {of.sheets.map((s) => (
            <li key={s.number}>
              <b>{s.plant}</b> <span className="num">{s.number}</span>: {s.title}
            </li>
          ))}
        </ul>
        {of.days.length > 0 && (
          <>
            <h2>Day by day</h2>
            <table className="lines days-table">
              <tbody>
                {of.days.map((d) => (
                  <tr key={d.on}>
                    <td className="tick" aria-hidden="true" />
                    <td>
                      <b>{d.day}</b>
                    </td>
                    <td>
                      {d.what.map((w) => (
                        <div key={w}>{w}</div>
                      ))}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        )}
        {of.buy.length > 0 && (
          <>
            <h2>To buy, for all of them and all their treatments</h2>
            <ul className="tight">
              {of.buy.map((b) => (
                <li key={b}>{b}</li>
              ))}
            </ul>
          </>
        )}
        <p>
          Each plant has its own page after this one: what it is, how it is done, and what to mind. Read the label on
          the bottle first; the label and local law hold before any page.
        </p>
      </article>
      {of.sheets.map((s) => (
        <SheetPage key={s.number} s={s} />
      ))}
    </div>
  );
}
