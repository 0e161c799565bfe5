import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { S } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Chips } from '../ui/bits';
import { useTyped } from '../ui/draft';

/** What this house bears of a trouble before it acts, in place of the book's own figure. */
export function Borne({
  rules,
  boss,
  onChange,
}: {
  rules?: S['House'];
  boss: boolean;
  onChange: (h: S['House']) => void;
}) {
  const { data: kb } = useVocabulary();
  const [{ of, per, way, source }, set, clear] = useTyped('borne', { of: '', per: '', way: 'perUnit', source: '' });
  const own = Object.entries(rules?.borne ?? {});
  const n = Number(per.replace(',', '.'));
  const good = per.trim() !== '' && n > 0 && (way === 'perUnit' ? n <= 10_000 : n <= 90);
  const cause = kb?.causes.find((c) => c.id === of) ?? null;
  const name = (id: string) => kb?.causes.find((c) => c.id === id);
  const put = (id: string, x?: S['Borne']) => {
    const { [id]: _, ...rest } = rules?.borne ?? {};
    onChange({ ...rules, borne: x ? { ...rest, [id]: x } : rest } as S['House']);
  };
  return (
    <section className="sheet pad stack" data-house-borne={own.length}>
      <h2>What is left alone</h2>
      <p className="quiet">
        Below such a level nothing is treated. The book has a figure for most troubles; where this house bears more or
        less, its own counts on the Act step of every open case.
      </p>
      {own.length > 0 && (
        <table className="lines">
          <tbody>
            {own.map(([id, x]) => (
              <tr key={id}>
                <th scope="row">
                  {name(id)?.name ?? id}
                  <small style={{ display: 'block' }}>the book: {name(id)?.tolerable}</small>
                </th>
                <td className="num">
                  {x.perUnit
                    ? `${x.perUnit} a ${name(id)?.unit || 'leaf'}`
                    : `${Math.round(100 * (x.share ?? 0))} in 100`}
                  {x.source && <small style={{ display: 'block' }}>{x.source}</small>}
                </td>
                <td>
                  {boss && (
                    <button
                      type="button"
                      className="plain"
                      style={{ textDecoration: 'underline' }}
                      onClick={() => put(id)}
                    >
                      drop
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {boss && rules && (
        <form
          className="form"
          onSubmit={(e) => {
            e.preventDefault();
            if (!cause || !good) return;
            put(cause.id, {
              ...(way === 'perUnit' ? { perUnit: n } : { share: n / 100 }),
              ...(source.trim() ? { source } : {}),
            });
            clear();
          }}
        >
          <Autocomplete
            options={kb?.causes ?? []}
            getOptionLabel={(c) => c.name}
            getOptionKey={(c) => c.id}
            value={cause}
            onChange={(_, c) => set({ of: c?.id ?? '' })}
            renderInput={(p) => (
              <TextField {...p} label="Of what" helperText={cause && `the book: ${cause.tolerable}`} />
            )}
          />
          <Chips
            label="Counted"
            options={[
              { id: 'perUnit', name: `animals a ${cause?.unit || 'leaf'}` },
              { id: 'share', name: 'in 100 leaves' },
            ]}
            value={[way]}
            onChange={(v) => set({ way: v[0] ?? 'perUnit' })}
            small
          />
          <TextField
            label="Left alone up to"
            value={per}
            onChange={(e) => set({ per: e.target.value })}
            error={per.trim() !== '' && !good}
            helperText={per.trim() !== '' && !good && (way === 'perUnit' ? 'a number above 0' : 'from 1 to 90')}
            name="borne"
            slotProps={{ htmlInput: { inputMode: 'decimal', className: 'num' } }}
          />
          <TextField
            label="Where the figure is from"
            placeholder="this house"
            value={source}
            onChange={(e) => set({ source: e.target.value })}
            name="borne-source"
          />
          <Button type="submit" variant="outlined" disabled={!cause || !good} data-do="borne">
            Keep it
          </Button>
        </form>
      )}
    </section>
  );
}
