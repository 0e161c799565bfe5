import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { api, type Problem, type S, take } from '../api/client';
import { Trouble } from '../ui/bits';

/** An amount as it was typed or switched. `exact` stands behind a switched number until somebody types over it. */
export type Amount = { number: string; unit: string; exact?: string };

/** What the desk reads: the exact fraction where there is one. */
export const amountText = (a: Amount) => `${a.exact || a.number} ${a.unit}`;

/** A number with its unit. Choosing another unit shows the same physical amount in it. */
export function Measure({
  label,
  name,
  value,
  units,
  placeholder,
  set,
}: {
  label: string;
  name: string;
  value: Amount;
  units: string[];
  placeholder?: string;
  set: (a: Amount) => void;
}) {
  const [trouble, setTrouble] = useState<Problem | null>(null);
  const change = async (unit: string) => {
    if (!value.number.trim()) return set({ number: '', unit });
    try {
      const c = await take<S['Converted']>(
        api.POST('/api/v1/convert', { body: { amount: amountText(value), to: unit } }),
      );
      setTrouble(null);
      set({ number: c.number, unit, exact: c.exact });
    } catch (e) {
      setTrouble(e as Problem);
    }
  };
  return (
    <>
      <div className="measure">
        <TextField
          label={label}
          name={name}
          value={value.number}
          placeholder={placeholder}
          onChange={(e) => set({ number: e.target.value, unit: value.unit })}
          slotProps={{ htmlInput: { className: 'num', inputMode: 'decimal' } }}
        />
        <TextField
          select
          label="unit"
          value={value.unit}
          onChange={(e) => void change(e.target.value)}
          slotProps={{ htmlInput: { name: `${name}-unit` } }}
        >
          {units.map((u) => (
            <MenuItem key={u} value={u}>
              {u}
            </MenuItem>
          ))}
        </TextField>
      </div>
      <Trouble of={trouble} />
    </>
  );
}
