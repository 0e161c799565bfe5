import Autocomplete from '@mui/material/Autocomplete';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { S } from '../api/client';
import { useVocabulary } from '../api/hooks';

const climates = [
  ['cold', 'cold: hard winters'],
  ['mild', 'mild and wet'],
  ['dry summer', 'mild winter, dry summer'],
  ['hot and dry', 'hot and dry'],
  ['warm and wet', 'warm and wet'],
  ['tropical', 'tropical'],
];

type Word = { here?: '' | 'common' | 'seldom' | 'not here'; report?: '' | 'yes' | 'no' };

/** Where the desk is: what cannot be there weighs little, and what has to be reported here is for the authority. */
export function WhereWeAre({
  rules,
  boss,
  onChange,
}: {
  rules?: S['House'];
  boss: boolean;
  onChange: (h: S['House']) => void;
}) {
  const { data: kb } = useVocabulary();
  const local = rules?.local ?? {};
  const words = (local.causes ?? {}) as Record<string, Word>;
  const shown = (kb?.causes ?? []).filter((c) => c.regulated || words[c.id]);
  const set = (patch: Partial<S['Local']>) => rules && onChange({ ...rules, local: { ...local, ...patch } });
  const word = (id: string, patch: Word) => {
    const now = { ...words[id], ...patch };
    const causes = { ...words, [id]: now };
    if (!now.here && !now.report) delete causes[id];
    set({ causes: causes as S['Local']['causes'] });
  };
  const pick = (
    label: string,
    value: string,
    options: string[][],
    onPick: (v: string) => void,
    off = false,
    named = false,
  ) => (
    <TextField
      select
      fullWidth
      label={named ? label : undefined}
      value={value}
      disabled={!boss || !rules || off}
      onChange={(e) => onPick(e.target.value)}
      slotProps={{ htmlInput: { 'aria-label': label }, select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      {options.map(([id, name]) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <section className="sheet pad stack" data-where>
      <h2>Where this desk is</h2>
      <p className="quiet">
        What is not at home here weighs little, and is never ruled out: plants travel. What has to be reported here is
        raised first and goes to the authority.
      </p>
      <div className="halves">
        {pick(
          'Climate',
          local.climate ?? '',
          [['', 'not said'], ...climates],
          (v) => set({ climate: v as 'mild' }),
          false,
          true,
        )}
        {pick(
          'Part of the world',
          local.region ?? '',
          [['', 'not said'], ...(kb?.regions ?? []).map((r) => [r, r])],
          (v) => set({ region: v as 'Europe' }),
          false,
          true,
        )}
      </div>
      <table className="lines">
        <thead>
          <tr>
            <th scope="col">Cause</th>
            <th scope="col">Met here</th>
            <th scope="col">Reported here</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((c) => (
            <tr key={c.id} data-here={c.id}>
              <td>
                {c.name}
                <small style={{ display: 'block' }}>{c.scientific}</small>
              </td>
              <td style={{ width: 132 }}>
                {pick(
                  `How often ${c.name} is met here`,
                  words[c.id]?.here ?? '',
                  [
                    ['', 'as the book'],
                    ['common', 'common'],
                    ['seldom', 'seldom'],
                    ['not here', 'not here'],
                  ],
                  (v) => word(c.id, { here: v as Word['here'] }),
                )}
              </td>
              <td style={{ width: 132 }}>
                {pick(
                  `Whether ${c.name} is reported here`,
                  words[c.id]?.report || (c.regulated ? 'yes' : 'no'),
                  [
                    ['yes', 'reported'],
                    ['no', 'need not be'],
                  ],
                  (v) => word(c.id, { report: v as Word['report'] }),
                  c.regulated && !c.mayTreat,
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {boss && (
        <Autocomplete
          options={(kb?.causes ?? []).filter((c) => !shown.includes(c))}
          getOptionLabel={(c) => c.name}
          value={null}
          blurOnSelect
          onChange={(_, c) => c && word(c.id, { here: 'common' })}
          renderInput={(p) => <TextField {...p} label="Say it of another cause" />}
        />
      )}
    </section>
  );
}
