import { useQuery } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap } from '../api/client';

/** How one does, and the course. */
export const usePractice = () =>
  useQuery<S['Practice'], Problem>({
    queryKey: ['practice'],
    queryFn: () => unwrap<S['Practice']>(api.GET('/api/v1/drill')),
  });
