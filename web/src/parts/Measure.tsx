import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

/** An amount as it was typed. */
export type Amount = { number: string; unit: string };

/** What the desk reads. */
export const amountText = (a: Amount) => `${a.number} ${a.unit}`;

/** "500 mL" or "2 gal" typed into one field is a number and a unit; a bare gallon or pint is the one of the list. */
export function readTyped(text: string, units: string[], unit: string): Amount {
  const m = /^\s*(half an?|½|[\d.,/ ]+)\s*([a-zA-Z][a-zA-Z .]*)?$/.exec(text);
  const word = (m?.[2] ?? '').trim().toLowerCase();
  if (!m || !word) return { number: text, unit };
  const tail = (u: string) => u.toLowerCase().replace(/^(us|imperial) /, '');
  const aka: Record<string, string> = {
    litre: 'l',
    liter: 'l',
    litres: 'l',
    liters: 'l',
    ml: 'ml',
    millilitre: 'ml',
    gallon: 'gal',
    gallons: 'gal',
    gals: 'gal',
    pints: 'pint',
    pt: 'pint',
    quarts: 'quart',
    qt: 'quart',
    oz: 'fl oz',
  };
  const want = aka[word] ?? word;
  const hit =
    units.find((u) => u.toLowerCase() === want) ??
    (tail(unit) === want ? unit : undefined) ??
    units.find((u) => tail(u) === want);
  return hit
    ? {
        number:
          m[1]
            ?.replace(/^half an?/, '0.5')
            .replace('½', '0.5')
            .trim() ?? '',
        unit: hit,
      }
    : { number: text, unit };
}

/** A number with its unit. A unit chosen after a number keeps the number: one types first and chooses then. */
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
  return (
    <div className="measure">
      <TextField
        label={label}
        name={name}
        value={value.number}
        placeholder={placeholder}
        onChange={(e) => set(readTyped(e.target.value, units, value.unit))}
        slotProps={{ htmlInput: { className: 'num', inputMode: 'decimal' } }}
      />
      <TextField
        select
        label="unit"
        value={value.unit}
        onChange={(e) => set({ number: value.number, unit: e.target.value })}
        slotProps={{ htmlInput: { name: `${name}-unit` } }}
      >
        {units.map((u) => (
          <MenuItem key={u} value={u}>
            {u}
          </MenuItem>
        ))}
      </TextField>
    </div>
  );
}
