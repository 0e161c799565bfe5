import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useSession, useVocabulary } from '../api/hooks';
import { useWorkload } from '../parts/WhoseCase';
import { useAddress, useAddressField } from '../ui/address';
import { shortDay, Trouble } from '../ui/bits';
import { useToast } from '../ui/toast';

const pageSize = 50;
const named = (x: string) => ({ id: x, name: x });

/** What can be asked for, beside words. */
function useFilters(): { key: string; label: string; options: { id: string; name: string }[] }[] {
  const { data: kb } = useVocabulary();
  const load = useWorkload();
  return [
    { key: 'cause', label: 'Verdict', options: [{ id: '-', name: 'none' }, ...(kb?.causes ?? [])] },
    { key: 'host', label: 'Plant', options: [{ id: '-', name: 'not in the book' }, ...(kb?.hosts ?? [])] },
    { key: 'place', label: 'Place', options: (kb?.places ?? []).map(named) },
    {
      key: 'stage',
      label: 'Stage',
      options: (kb?.stages ?? []).map(named),
    },
    {
      key: 'outcome',
      label: 'End',
      options: [{ id: '-', name: 'none yet' }, ...(kb?.outcomes ?? []).map(named)],
    },
    { key: 'remedy', label: 'Remedy', options: kb?.remedies ?? [] },
    { key: 'keeper', label: 'Whose', options: [{ id: '-', name: 'nobody’s' }, ...(load.data?.people ?? [])] },
    {
      key: 'photos',
      label: 'Picture',
      options: [
        { id: 'yes', name: 'with' },
        { id: 'no', name: 'without' },
      ],
    },
  ];
}

/** Any case by words and by what it is; the question stands in the address. */
export function FindCases() {
  const [params, change] = useAddress({ replace: false });
  const filters = useFilters();
  const page = Number(params.get('page') ?? 0);
  const set = (part: Record<string, string>) => change({ page: '', ...part });
  const [words, setWords] = useAddressField(params.get('words') ?? '', (w) => set({ words: w }));
  const query = Object.fromEntries([...params].filter(([k, v]) => k !== 'page' && v.trim()));
  const found = useQuery<S['FoundCases'], Problem>({
    queryKey: ['find', JSON.stringify(query), page],
    queryFn: () =>
      unwrap<S['FoundCases']>(
        api.GET('/api/v1/find', { params: { query: { ...query, skip: page * pageSize, most: pageSize } } }),
      ),
    placeholderData: (old) => old,
    retry: false,
  });
  return (
    <div className="stack" data-found={found.data?.n ?? ''}>
      <div className="findbar sheet pad">
        <TextField
          label="Words"
          name="find-words"
          placeholder="moth, Reeve, 26-0012, she says"
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
        {filters.map((f) => (
          <TextField
            key={f.key}
            select
            label={f.label}
            value={f.options.some((o) => o.id === params.get(f.key)) ? params.get(f.key) : ''}
            onChange={(e) => set({ [f.key]: e.target.value })}
            slotProps={{
              htmlInput: { name: `find-${f.key}` },
              select: { displayEmpty: true },
              inputLabel: { shrink: true },
            }}
          >
            <MenuItem value="">any</MenuItem>
            {f.options.map((o) => (
              <MenuItem key={o.id} value={o.id}>
                {o.name}
              </MenuItem>
            ))}
          </TextField>
        ))}
        <TextField
          label="Square"
          value={params.get('square') ?? ''}
          placeholder="any"
          onChange={(e) => set({ square: e.target.value.toUpperCase().slice(0, 2) })}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        {(['from', 'to'] as const).map((k) => (
          <TextField
            key={k}
            type="date"
            label={k === 'from' ? 'Brought in from' : 'to, with it'}
            value={params.get(k) ?? ''}
            onChange={(e) => set({ [k]: e.target.value })}
            slotProps={{ inputLabel: { shrink: true } }}
          />
        ))}
      </div>
      <Trouble of={found.error} />
      <Asked
        query={query}
        n={found.data?.n}
        clear={() => set(Object.fromEntries([...params.keys()].map((k) => [k, ''])))}
      />
      <Grid
        found={found.data}
        loading={found.isFetching}
        page={page}
        sort={params.get('sort') ?? ''}
        onPage={(p) => change({ page: String(p) })}
        onSort={(sort) => set({ sort })}
      />
    </div>
  );
}

/** How many there are, and what can be done with the question: keep it, take its cases out. */
function Asked({ query, n, clear }: { query: Record<string, string>; n?: number; clear: () => void }) {
  const client = useQueryClient();
  const say = useToast();
  const go = useNavigate();
  const session = useSession();
  const [name, setName] = useState<string | null>(null);
  const kept = useQuery<S['SavedSearch'][], Problem>({
    queryKey: ['searches'],
    queryFn: () => unwrap<S['SavedSearch'][]>(api.GET('/api/v1/searches')),
  });
  const save = useMutation<S['SavedSearch'][], Problem>({
    mutationFn: () =>
      unwrap<S['SavedSearch'][]>(
        api.POST('/api/v1/searches', { body: { name: name ?? '', query: new URLSearchParams(query).toString() } }),
      ),
    onSuccess: (list) => {
      client.setQueryData(['searches'], list);
      setName(null);
    },
  });
  const drop = useMutation<S['SavedSearch'][], Problem, string>({
    mutationFn: (id) => unwrap<S['SavedSearch'][]>(api.DELETE('/api/v1/searches/{id}', { params: { path: { id } } })),
    onSuccess: (list) => client.setQueryData(['searches'], list),
  });
  const out = useMutation<S['Job'], Problem>({
    mutationFn: () => unwrap<S['Job']>(api.POST('/api/v1/records/export', { body: { what: 'cases', find: query } })),
    onSuccess: () => {
      say({ text: 'It is being written: fetch it under Records.' });
      go('/season/records');
    },
  });
  return (
    <div className="row mid findasked">
      <b aria-live="polite">
        {n === undefined ? 'Looking…' : n === 1 ? '1 case' : `${n.toLocaleString('en-GB')} cases`}
      </b>
      <div className="wrap">
        {kept.data?.map((k) => (
          <span key={k.id} className="keptsearch">
            <button type="button" className="chip small" onClick={() => go(`/season/find?${k.query}`)}>
              {k.name}
            </button>
            <button type="button" className="plain" aria-label={`Forget ${k.name}`} onClick={() => drop.mutate(k.id)}>
              ×
            </button>
          </span>
        ))}
        {name === null ? (
          <Button size="small" onClick={() => setName('')} disabled={!Object.keys(query).length} data-do="keep-search">
            Keep this question
          </Button>
        ) : (
          <form
            className="wrap"
            onSubmit={(e) => {
              e.preventDefault();
              save.mutate();
            }}
          >
            <TextField
              size="small"
              label="Called"
              name="search-name"
              value={name}
              autoFocus
              onChange={(e) => setName(e.target.value)}
              error={!!save.error}
              helperText={save.error?.field('name')}
            />
            <Button type="submit" size="small" variant="contained">
              Keep
            </Button>
          </form>
        )}
        {Object.keys(query).length > 0 && (
          <Button size="small" onClick={clear}>
            Ask anew
          </Button>
        )}
        {session.data?.person.role !== 'trainee' && (
          <Button size="small" variant="outlined" onClick={() => out.mutate()} disabled={!n} data-do="export-found">
            Take these out as CSV
          </Button>
        )}
        <Button size="small" variant="outlined" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <Trouble of={out.error} />
    </div>
  );
}

const sorts: Record<string, string> = {
  number: 'number',
  createdAt: 'brought',
  plant: 'plant',
  grower: 'grower',
  causeName: 'cause',
  place: 'place',
  stage: 'stage',
  outcome: 'outcome',
  square: 'square',
};

const columns: GridColDef<S['FoundCase']>[] = [
  { field: 'number', headerName: 'Number', width: 100, cellClassName: 'num' },
  {
    field: 'createdAt',
    headerName: 'Brought in',
    width: 120,
    valueFormatter: (v: string) => `${shortDay(v).replace(/^\w+,? /, '')} ${v.slice(0, 4)}`,
  },
  { field: 'plant', headerName: 'Plant', flex: 1, minWidth: 120 },
  { field: 'grower', headerName: 'Grower', flex: 1, minWidth: 120 },
  {
    field: 'causeName',
    headerName: 'Verdict',
    flex: 1.4,
    minWidth: 150,
    valueGetter: (v: string | undefined, r) => v ?? r.degree ?? '',
  },
  { field: 'place', headerName: 'Place', width: 105 },
  { field: 'square', headerName: 'Square', width: 80 },
  { field: 'stage', headerName: 'Stage', width: 95 },
  { field: 'outcome', headerName: 'End', width: 100 },
  {
    field: 'photos',
    headerName: 'Pictures',
    width: 90,
    sortable: false,
    valueFormatter: (v: number) => (v ? String(v) : ''),
  },
];

function Grid({
  found,
  loading,
  page,
  sort,
  onPage,
  onSort,
}: {
  found?: S['FoundCases'];
  loading: boolean;
  page: number;
  sort: string;
  onPage: (p: number) => void;
  onSort: (s: string) => void;
}) {
  const go = useNavigate();
  const field = Object.entries(sorts).find(([, v]) => v === sort.replace('-', ''))?.[0];
  return (
    <div className="findgrid">
      <DataGrid
        nonce={document.querySelector<HTMLMetaElement>('meta[name=csp-nonce]')?.content}
        rows={found?.cases ?? []}
        columns={columns}
        rowCount={found?.n ?? 0}
        loading={loading}
        paginationMode="server"
        sortingMode="server"
        pageSizeOptions={[pageSize]}
        paginationModel={{ page, pageSize }}
        onPaginationModelChange={(m) => m.page !== page && onPage(m.page)}
        sortModel={field ? [{ field, sort: sort.startsWith('-') ? 'desc' : 'asc' }] : []}
        onSortModelChange={(m) => onSort(m[0] ? `${m[0].sort === 'desc' ? '-' : ''}${sorts[m[0].field]}` : '')}
        onRowClick={(r) => go(`/bench/${r.id}`)}
        onCellKeyDown={(p, e) => {
          if (e.key !== 'Enter') return;
          e.stopPropagation();
          go(`/bench/${p.id}`);
        }}
        disableColumnFilter
        disableColumnMenu
        disableRowSelectionOnClick
        density="compact"
        aria-label="Cases found"
        localeText={{ noRowsLabel: 'Nothing is like that. Ask with fewer words.' }}
      />
    </div>
  );
}
