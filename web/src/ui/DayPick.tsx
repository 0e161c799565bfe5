import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Chips, shortDay } from './bits';

const week = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
const iso = (d: Date) =>
  `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, '0')}-${String(d.getDate()).padStart(2, '0')}`;
const later = (day: string, n: number) => {
  const d = new Date(`${day}T12:00:00`);
  d.setDate(d.getDate() + n);
  return iso(d);
};

/** "tomorrow", "sat", "28", "28.11." or "2026-11-28" as a day from today on; what is none stays as it was typed. */
export function readDay(text: string, today: string): string {
  const t = text.trim().toLowerCase();
  if (t === 'today') return today;
  if (t === 'tomorrow') return later(today, 1);
  const wd = week.findIndex((w) => t.length >= 2 && (t.startsWith(w) || w.startsWith(t)));
  if (wd >= 0) {
    const now = new Date(`${today}T12:00:00`).getDay();
    return later(today, (wd - now + 7) % 7 || 7);
  }
  const m = /^(\d{1,2})(?:[./ ]+(\d{1,2}))?\.?$/.exec(t);
  if (!m) return text.trim();
  const start = new Date(`${today}T12:00:00`);
  for (let i = 0; i < 13; i++) {
    const d = new Date(start.getFullYear(), m[2] ? Number(m[2]) - 1 + 12 * i : start.getMonth() + i, Number(m[1]), 12);
    if (d.getDate() === Number(m[1]) && iso(d) >= today) return iso(d);
  }
  return text.trim();
}

/** A day of the coming week with one press, or any other as one says it. */
export function DayPick({
  label,
  name,
  today,
  value,
  onChange,
}: {
  label: string;
  name: string;
  today: string;
  value: string;
  onChange: (iso: string) => void;
}) {
  const [typed, setTyped] = useState('');
  if (!today) return null;
  const days = Array.from({ length: 7 }, (_, i) => later(today, i));
  const named = (d: string, i: number) => (i === 0 ? 'today' : i === 1 ? 'tomorrow' : shortDay(d));
  const other = value && !days.includes(value);
  return (
    <div className="form">
      <Chips
        label={label}
        options={[
          ...days.map((d, i) => ({ id: d, name: named(d, i) })),
          ...(other ? [{ id: value, name: /^\d{4}-/.test(value) ? shortDay(value) : value }] : []),
        ]}
        value={[value]}
        onChange={(v) => onChange(v[0] ?? '')}
        small
      />
      <TextField
        label="or another day"
        name={name}
        placeholder="Sat, 28.11. or 2026-11-28"
        value={typed}
        onChange={(e) => {
          setTyped(e.target.value);
          if (e.target.value.trim()) onChange(readDay(e.target.value, today));
        }}
      />
    </div>
  );
}
