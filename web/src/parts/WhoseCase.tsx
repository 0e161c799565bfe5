import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useCaseCalls, useChange } from '../api/change';
import { api, type Problem, type S, unwrap, type View } from '../api/client';
import { ChangeTrouble } from './ChangeTrouble';

/** Whose cases are whose, and who is away. */
export const useWorkload = () =>
  useQuery<S['Workload'], Problem>({
    queryKey: ['workload'],
    queryFn: () => unwrap<S['Workload']>(api.GET('/api/v1/workload')),
    staleTime: 15_000,
  });

/** Whose case it is, and to whom it is given; who is away today cannot be chosen. */
export function WhoseCase({ view }: { view: View }) {
  const load = useWorkload();
  const change = useChange(view.id);
  const { post } = useCaseCalls(view.id);
  if (!load.data || view.stage === 'closed') return null;
  const known = load.data.people.some((p) => p.id === view.keeper?.id);
  return (
    <>
      <TextField
        select
        size="small"
        className="whose"
        value={known ? view.keeper?.id : ''}
        onChange={(e) => change.mutate(post('/api/v1/cases/{id}/keeper', { to: e.target.value }))}
        slotProps={{
          htmlInput: { 'aria-label': 'Whose case it is', name: 'whose-case' },
          select: { displayEmpty: true, renderValue: () => `${view.keeper?.name ?? 'nobody'}’s case` },
        }}
      >
        {load.data.people.map((p) => (
          <MenuItem key={p.id} value={p.id} disabled={p.awayToday}>
            {p.name}
            {p.awayToday ? ', away' : `, ${p.bench} on the bench`}
          </MenuItem>
        ))}
      </TextField>
      <ChangeTrouble id={view.id} change={change} />
    </>
  );
}
