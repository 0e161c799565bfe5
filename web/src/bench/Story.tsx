import { useQuery } from '@tanstack/react-query';
import { api, unwrap, type View } from '../api/client';
import { Ending } from '../parts/Ending';
import { HowItWent } from '../parts/HowItWent';
import { moment } from '../ui/bits';

/** How it went, what comes next, and every step with who and when. */
export function Story({ view }: { view: View }) {
  const { data } = useQuery({
    queryKey: ['story', view.id, view.version],
    queryFn: () => unwrap(api.GET('/api/v1/cases/{id}/story', { params: { path: { id: view.id } } })),
    placeholderData: (old) => old,
  });
  return (
    <div className="two">
      <div className="sheet pad">
        <h2 style={{ marginBottom: 6 }}>The story so far</h2>
        {data?.map((l) => (
          <div className="storyline" key={l.seq} data-kind={l.kind}>
            <small>{moment(l.at)}</small>
            <small>{l.who}</small>
            <span>{l.text}</span>
          </div>
        ))}
      </div>
      <div className="stack">
        {view.handover && view.stage !== 'closed' && <HowItWent view={view} />}
        <Ending view={view} />
      </div>
    </div>
  );
}
