import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useMay } from '../api/hooks';
import { Trouble } from '../ui/bits';

/** The coordinator offers a closed case as practice, without its people; or no longer. */
export function OfferPractice({ id }: { id: string }) {
  const boss = useMay()("change the house's rules, words and course");
  const client = useQueryClient();
  const { data } = useQuery<S['OldCase'][], Problem>({
    queryKey: ['old-cases'],
    queryFn: () => unwrap<S['OldCase'][]>(api.GET('/api/v1/drill/old')),
    enabled: boss,
  });
  const offered = data?.some((c) => c.id === id);
  const offer = useMutation<S['OldCase'][], Problem>({
    mutationFn: () =>
      unwrap<S['OldCase'][]>(
        api.PUT('/api/v1/drill/old/{id}', { params: { path: { id } }, body: { offer: !offered } }),
      ),
    onSuccess: (list) => client.setQueryData(['old-cases'], list),
  });
  if (!boss || !data) return null;
  return (
    <>
      <Trouble of={offer.error} />
      <Button onClick={() => offer.mutate()} data-do="offer-practice">
        {offered ? 'No longer offer it as practice' : 'Offer it as practice'}
      </Button>
    </>
  );
}
