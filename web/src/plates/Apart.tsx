import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useVocabulary } from '../api/hooks';

/** The looks that tell two or three causes apart, best look per minute first. */
export const useSplit = (causes: string[]) =>
  useQuery<S['SplitLook'][], Problem>({
    queryKey: ['split', ...causes],
    queryFn: () => unwrap<S['SplitLook'][]>(api.GET('/api/v1/split', { params: { query: { cause: causes } } })),
    enabled: causes.length >= 2,
    staleTime: Number.POSITIVE_INFINITY,
  });

/** Chooses two or three causes of the herbarium. */
export function TwoOrThree({ causes, set, name }: { causes: string[]; set: (ids: string[]) => void; name: string }) {
  const { data: kb } = useVocabulary();
  return (
    <Autocomplete
      multiple
      size="small"
      sx={{ flex: 1 }}
      options={kb?.causes ?? []}
      value={causes.flatMap((id) => kb?.causes.find((c) => c.id === id) ?? [])}
      getOptionLabel={(c) => c.name}
      getOptionKey={(c) => c.id}
      getOptionDisabled={() => causes.length >= 3}
      onChange={(_, v) => set(v.map((c) => c.id).slice(0, 3))}
      renderInput={(p) => <TextField {...p} label="Any two or three causes" name={name} />}
    />
  );
}

/** What each of them would show, look by look. */
export function SplitTable({ causes, looks }: { causes: string[]; looks: S['SplitLook'][] }) {
  const { data: kb } = useVocabulary();
  return (
    <div style={{ overflowX: 'auto' }}>
      <table className="lines">
        <thead>
          <tr>
            <th scope="col">Look</th>
            {causes.map((c) => (
              <th scope="col" key={c}>
                {kb?.causes.find((k) => k.id === c)?.name ?? c}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {looks.map((l) => (
            <tr key={l.finding} data-differs={l.finding}>
              <th scope="row">{l.name}</th>
              {l.expect.map((e, i) => (
                <td key={causes[i]}>{e.join(' or ') || <span className="quiet">it varies</span>}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
