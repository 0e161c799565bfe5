import type { ReactNode } from 'react';
import type { Problem } from '../api/client';

/** Within a group the arrows move, as in any group of radios or boxes, and nowhere else; with `choose` they also choose. */
export function arrows(e: React.KeyboardEvent<HTMLElement>, css: string, choose?: boolean) {
  const d = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[e.key];
  if (!d || e.altKey || e.ctrlKey || e.metaKey) return;
  const each = [...e.currentTarget.querySelectorAll<HTMLElement>(css)];
  const to = each[(each.indexOf(e.target as HTMLElement) + d + each.length) % each.length];
  to?.focus();
  if (choose) to?.click();
  e.preventDefault();
  e.stopPropagation();
}

/** One of several, or several of several, as chips that are quick to hit with wet hands: one Tab stop a group. */
export function Chips({
  label,
  options,
  value,
  onChange,
  many,
  small,
}: {
  label: string;
  options: { id: string; name: string; mark?: ReactNode }[];
  value: string[];
  onChange: (v: string[]) => void;
  many?: boolean;
  small?: boolean;
}) {
  const stop = Math.max(
    0,
    options.findIndex((o) => value.includes(o.id)),
  );
  return (
    <fieldset>
      <legend>{label}</legend>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: its role follows the kind of group */}
      <div
        className="chips"
        {...{ role: many ? 'group' : 'radiogroup', 'aria-label': label }}
        onKeyDown={(e) => arrows(e, '[data-chip]', !many)}
      >
        {options.map((o, i) => {
          const on = value.includes(o.id);
          return (
            <button
              type="button"
              key={o.id}
              className={small ? 'chip small' : 'chip'}
              {...{ role: many ? 'checkbox' : 'radio', 'aria-checked': on }}
              tabIndex={i === stop ? 0 : -1}
              data-chip={o.id}
              onClick={() => onChange(many ? (on ? value.filter((x) => x !== o.id) : [...value, o.id]) : [o.id])}
            >
              {o.mark}
              {o.name}
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}

const statusClass = (s: string) => ({ go: 'go', care: 'care', 'not now': 'wait', no: 'no' })[s] ?? 'no';

/** Go a filled disc, care a triangle, not now an hourglass, no a crossed ring: never by colour alone. */
export function StatusMark({ status, children }: { status: string; children?: ReactNode }) {
  const shapes: Record<string, ReactNode> = {
    go: <circle cx="8" cy="8" r="6.5" fill="currentColor" />,
    care: <path d="M8 1.5 L15 14 H1 Z" fill="none" stroke="currentColor" strokeWidth="2" strokeLinejoin="round" />,
    wait: (
      <path
        d="M3 1.5 H13 L8 8 L13 14.5 H3 L8 8 Z"
        fill="currentColor"
        stroke="currentColor"
        strokeWidth="1"
        strokeLinejoin="round"
      />
    ),
    no: (
      <g fill="none" stroke="currentColor" strokeWidth="2">
        <circle cx="8" cy="8" r="6.3" />
        <path d="M3.6 12.4 L12.4 3.6" />
      </g>
    ),
  };
  const c = statusClass(status);
  return (
    <span className={`st ${c}`}>
      <svg viewBox="0 0 16 16" aria-hidden="true">
        {shapes[c]}
      </svg>
      {children ?? status}
    </span>
  );
}

export function Trouble({ of }: { of: Problem | Error | null | undefined }) {
  if (!of) return null;
  const errors = 'errors' in of ? of.errors : [];
  return (
    <div className="notice brick" role="alert">
      <b>{of.message}</b>
      {errors.length > 1 && (
        <ul className="tight">
          {errors.slice(1).map((e) => (
            <li key={e.field + e.problem}>
              {e.field && <span className="num">{e.field}</span>} {e.problem}; {e.mend}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

export const weekday = (iso: string) =>
  new Date(`${iso.slice(0, 10)}T12:00:00`).toLocaleDateString('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
  });

/** Whole days from one calendar day to another, both YYYY-MM-DD. */
export const daysBetween = (a: string, b: string) => Math.round((Date.parse(b) - Date.parse(a)) / 86_400_000);

export const shortDay = (iso: string) =>
  new Date(`${iso.slice(0, 10)}T12:00:00`).toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
  });

export const dayAndMonth = (iso: string) => shortDay(iso).replace(/^\w+,? /, '');

export const clock = (iso: string) => new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

export const moment = (iso: string) => {
  const d = new Date(iso);
  return `${d.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })} ${clock(iso)}`;
};

/** What the house, the law or an unusual bottle says to the advisor; not for the grower. */
export function Mind({ of }: { of?: string[] }) {
  return (of ?? []).map((m) => (
    <div key={m} className="notice" data-mind>
      {m}
    </div>
  ));
}
