import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type S, unwrap } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { useAddress, useAddressField } from '../ui/address';
import { Chips, Trouble } from '../ui/bits';
import { useKeys } from '../ui/keys';
import { Near } from '../ui/Near';
import { hasBody } from './bodies';
import { Mark } from './Mark';
import { partOf } from './things';

const kinds = ['pest', 'helper', 'harmless', 'disease', 'disorder', 'injury'].map((id) => ({ id, name: id }));

/** What a drawing shows at a glance, for browsing by the picture alone. */
export const pictures = [
  'leaf',
  'stem',
  'fruit',
  'flower',
  'root or bulb',
  'pot',
  'whole plant',
  'mites, spiders',
  'soft insects',
  'hoppers, bugs',
  'wool and scales',
  'larvae',
  'beetles, flies',
] as const;
const animals: Record<string, string[]> = {
  'mites, spiders': ['mite', 'spider'],
  'soft insects': ['aphid', 'whitefly', 'thrips', 'psyllid', 'psocid', 'springtail', 'mummy', 'nematode'],
  'hoppers, bugs': ['leafhopper', 'lace-bug', 'bug', 'froghopper'],
  'wool and scales': ['mealybug', 'cochineal', 'cottony-scale', 'soft-scale', 'armored-scale'],
  larvae: ['caterpillar', 'sawfly-larva', 'grub-c', 'maggot', 'ladybird-larva', 'lacewing-larva', 'hover-larva'],
};
export const drawnAs = (d: Record<string, unknown>): string => {
  if (hasBody(d)) return Object.entries(animals).find(([, l]) => l.includes(String(d.body)))?.[0] ?? 'beetles, flies';
  const part = partOf(d);
  return part === 'root' ? 'root or bulb' : part === 'plant' ? 'whole plant' : part === 'pest' ? 'leaf' : part;
};

export function Browse() {
  const { data: kb } = useVocabulary();
  const go = useNavigate();
  const [p, change] = useAddress();
  const set = (k: string, v: string | string[]) => change({ [k]: v });
  const q = p.get('q') ?? '';
  const host = p.get('host') ?? '';
  const seen = p.getAll('seen');
  const kind = p.getAll('kind');
  const picture = p.get('picture') ?? '';
  const picked = p.getAll('with');
  const found = useQuery({
    queryKey: ['browse', host, ...seen],
    queryFn: () =>
      unwrap<S['Match'][]>(api.GET('/api/v1/browse', { params: { query: { host: host || undefined, seen } } })),
    enabled: host !== '' || seen.length > 0,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const states = useMemo(
    () =>
      (kb?.findings ?? []).flatMap((f) =>
        f.states
          .filter((s) => !s.absent)
          .map((s) => ({ id: `${f.id}=${s.id}`, name: s.said || `${f.short}: ${s.name}`, part: f.part })),
      ),
    [kb],
  );
  const causes = kb?.causes ?? [];
  const order = found.data && (host || seen.length > 0) ? new Map(found.data.map((m, i) => [m.cause, i])) : null;
  const [typed, setTyped] = useAddressField(q, (words) => set('q', words));
  const words = useDeferredValue(typed).toLowerCase().split(/\s+/).filter(Boolean);
  const list = causes
    .filter((c) => !kind.length || kind.includes(c.kind))
    .filter((c) => !picture || drawnAs(c.drawing) === picture)
    .filter((c) => !order || order.has(c.id))
    .filter((c) =>
      words.every((w) => `${c.name} ${c.scientific ?? ''} ${c.class} ${c.group}`.toLowerCase().includes(w)),
    )
    .sort((a, b) =>
      order && seen.length ? (order.get(a.id) ?? 0) - (order.get(b.id) ?? 0) : a.name.localeCompare(b.name),
    );
  const toggle = (id: string) =>
    change((now) => {
      const had = now.getAll('with'); // two pressed in a row are both meant
      return { with: had.includes(id) ? had.filter((x) => x !== id) : [...had, id].slice(-3) };
    });
  const compare = () =>
    picked.length > 1 && go(`/plates/compare?${picked.map((x) => `cause=${encodeURIComponent(x)}`).join('&')}`);
  useKeys([
    { key: 'Enter', does: 'open the first', run: () => list[0] && go(`/plates/${list[0].id}`) },
    { key: 'c', does: 'side by side', run: compare },
  ]);
  return (
    <>
      <div className="row mid" style={{ marginBottom: 10, flexWrap: 'wrap', gap: 14 }}>
        <h1>
          Plates <span className="quiet">· {list.length}</span>
        </h1>
        <div style={{ width: 190 }}>
          <TextField label="Name" value={typed} onChange={(e) => setTyped(e.target.value)} name="find-plate" />
        </div>
        <Autocomplete
          multiple
          size="small"
          sx={{ flex: 1, minWidth: 240 }}
          options={states}
          groupBy={(o) => o.part}
          value={states.filter((s) => seen.includes(s.id))}
          getOptionLabel={(o) => o.name}
          getOptionKey={(o) => o.id}
          onChange={(_, v) =>
            set(
              'seen',
              v.map((x) => x.id),
            )
          }
          renderInput={(x) => <TextField {...x} label="What is seen" name="seen" />}
        />
        <Autocomplete
          size="small"
          sx={{ width: 190 }}
          options={kb?.hosts ?? []}
          value={kb?.hosts.find((h) => h.id === host) ?? null}
          getOptionLabel={(h) => h.name}
          getOptionKey={(h) => h.id}
          onChange={(_, v) => set('host', v?.id ?? '')}
          renderInput={(x) => <TextField {...x} label="On which plant" name="host" />}
        />
        <Link to="/plates/sheet" className="quiet">
          all on one sheet
        </Link>
      </div>
      <div className="row mid" style={{ marginBottom: 12, flexWrap: 'wrap', gap: 18, justifyContent: 'flex-start' }}>
        <Chips label="Kind" options={kinds} value={kind} onChange={(v) => set('kind', v)} many small />
        <Chips
          label="The drawing shows"
          options={pictures.map((x) => ({ id: x, name: x }))}
          value={picture ? [picture] : []}
          onChange={(v) => set('picture', v[0] === picture ? '' : (v[0] ?? ''))}
          small
        />
      </div>
      <Trouble of={found.error} />
      {list.length === 0 && !found.isFetching && (
        <p>Nothing here answers to that. Take a sign away, or try a plainer word.</p>
      )}
      <div className="plates">
        {list.map((c) => (
          <div key={c.id} className={picked.includes(c.id) ? 'sheet picked' : 'sheet'}>
            <Link to={`/plates/${c.id}`} data-plate-link={c.id}>
              <Near width={84} height={84}>
                <Mark drawing={c.drawing} size={84} />
              </Near>
              <span>
                {c.name}
                <small>{c.kind}</small>
              </span>
            </Link>
            <button
              type="button"
              aria-pressed={picked.includes(c.id)}
              aria-label={`${picked.includes(c.id) ? 'chosen' : 'compare'}: ${c.name}`}
              data-pick={c.id}
              onClick={() => toggle(c.id)}
            >
              {picked.includes(c.id) ? 'chosen' : 'compare'}
            </button>
          </div>
        ))}
      </div>
      {picked.length > 0 && (
        <div className="tray" role="status">
          <span>
            {picked.map((x) => causes.find((c) => c.id === x)?.name ?? x).join(' · ')}
            {picked.length < 2 && <small> and one or two more</small>}
          </span>
          <Button variant="contained" disabled={picked.length < 2} onClick={compare} data-compare>
            Side by side <kbd>c</kbd>
          </Button>
        </div>
      )}
    </>
  );
}
