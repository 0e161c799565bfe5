import { useQuery } from '@tanstack/react-query';
import { api, type Problem, type S, settled, unwrap, type View } from '../api/client';

/** The days of this round as the desk works them out, nothing written. */
export const usePlan = (view: View, body: S['DaysInput'], enabled = true) =>
  useQuery<S['DaysPlan'], Problem>({
    queryKey: ['plan', view.id, view.version, JSON.stringify(body)],
    queryFn: async ({ signal }) => {
      await settled(signal);
      return unwrap<S['DaysPlan']>(
        api.POST('/api/v1/cases/{id}/plan-days', { params: { path: { id: view.id } }, body }),
      );
    },
    enabled: enabled && !!view.treatment,
    retry: false,
    placeholderData: (o) => o,
  });
