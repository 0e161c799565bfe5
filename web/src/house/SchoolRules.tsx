import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { S } from '../api/client';
import { useVocabulary } from '../api/hooks';

/** Where good advisors disagree: the answer of this house, with the usual one and why it is usual. */
export function SchoolRules({
  rules,
  boss,
  onChange,
}: {
  rules?: S['House'];
  boss: boolean;
  onChange: (h: S['House']) => void;
}) {
  const { data: kb } = useVocabulary();
  return (
    <section className="sheet pad" data-house-schools>
      <h2>Where good advisors disagree</h2>
      <table className="lines" style={{ marginTop: 8 }}>
        <tbody>
          {kb?.schools.map((x) => {
            const now = rules?.schools?.[x.id] ?? x.default;
            return (
              <tr key={x.id} data-house-school={x.id}>
                <td>
                  {x.question}
                  <small style={{ display: 'block' }}>{x.options.find((o) => o.id === now)?.does}</small>
                </td>
                <td style={{ width: 220 }}>
                  <TextField
                    select
                    fullWidth
                    value={now}
                    disabled={!boss || !rules}
                    onChange={(e) =>
                      rules && onChange({ ...rules, schools: { ...rules.schools, [x.id]: e.target.value } })
                    }
                    slotProps={{ htmlInput: { 'aria-label': x.question } }}
                  >
                    {x.options.map((o) => (
                      <MenuItem key={o.id} value={o.id}>
                        {o.name}
                      </MenuItem>
                    ))}
                  </TextField>
                  <small>
                    {now === x.default
                      ? `usual: ${x.why}`
                      : `usual: ${x.options.find((o) => o.id === x.default)?.name}`}
                  </small>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
