import { useEffect, useState } from 'react';
import { NavLink } from 'react-router';
import { useSession } from '../api/hooks';

/** A room hangs on the rail only once it works. */
export const rooms = [
  { digit: '1', name: 'Counter', to: '/', d: 'M3 19h20M5 19V9h16v10M9 9c0-3 1-4 4-4s4 1 4 4M13 3v2' },
  { digit: '2', name: 'Bench', to: '/bench', d: 'M3 11h20M6 11v10M20 11v10M8 11c0-5 2-7 5-7s5 2 5 7M13 4v7' },
  {
    digit: '3',
    name: 'Scope',
    to: '/scope',
    d: 'M10 4h4l1 9h-6zM12 13v3M6 22h14M9 22c-3-6-1-9 3-9 6 0 8 5 5 9M8 16h8',
  },
  { digit: '4', name: 'Mixing shelf', to: '/mixing', d: 'M9 8h8l2 13H7zM11 8V5h4v3M15 5h5l2 3M8.4 14h9.4' },
  {
    digit: '5',
    name: 'Spray days',
    to: '/spray-days',
    d: 'M4 7h18v15H4zM4 11h18M9 4v5M17 4v5M8 15h3M13 15h1M17 15h1M8 18h1M12 18h3',
  },
  {
    digit: '6',
    name: 'Rounds',
    to: '/rounds',
    d: 'M13 4a9 9 0 1 1-8 5M5 4v5h5M13 8v5l4 2',
  },
  {
    digit: '7',
    name: 'Plates',
    to: '/plates',
    d: 'M5 4h16v18H5zM13 20V9M13 13c-4 0-5-3-5-5 3 0 5 2 5 5zM13 16c3 0 5-2 5-4-3 0-5 1-5 4z',
  },
  { digit: '8', name: 'Drill', to: '/drill', d: 'M4 8 13 4l9 4-9 4zM8 10v6c3 3 7 3 10 0v-6M22 8v8' },
  { digit: '9', name: 'Season', to: '/season', d: 'M4 22V10M9 22v-8M14 22V6M19 22v-5M23 22H3M4 7c4-3 6 2 10-3' },
  { digit: '0', name: 'House rules', to: '/house', d: 'M4 12 13 4l9 8M7 10v11h12V10M11 21v-6h4v6' },
];

/** The numbers of the rooms stand beside them only while Alt is held: they are keys and no counts. */
function useAltHeld() {
  const [held, set] = useState(false);
  useEffect(() => {
    const on = (e: KeyboardEvent) => set(e.altKey);
    const off = () => set(false);
    window.addEventListener('keydown', on);
    window.addEventListener('keyup', on);
    window.addEventListener('blur', off);
    return () => {
      window.removeEventListener('keydown', on);
      window.removeEventListener('keyup', on);
      window.removeEventListener('blur', off);
    };
  }, []);
  return held;
}

type Props = { shade: string; flip: () => void; onFind: () => void; onHelp: () => void };

export function Rail({ shade, flip, onFind, onHelp }: Props) {
  const { data } = useSession();
  const alt = useAltHeld();
  return (
    <nav className="rail" aria-label="Rooms">
      {rooms.map((r) => (
        <NavLink
          key={r.to}
          to={r.to}
          end={r.to === '/'}
          className={({ isActive }) => (isActive ? 'peg active' : 'peg')}
        >
          <span>
            <svg viewBox="0 0 26 26" aria-hidden="true">
              <path d={r.d} />
            </svg>
            {r.name}
          </span>
          {alt && (
            <span className="n" aria-hidden="true">
              {r.digit}
            </span>
          )}
        </NavLink>
      ))}
      <span className="me" />
      <button type="button" className="plain peg" onClick={onFind}>
        <span>
          <svg viewBox="0 0 26 26" aria-hidden="true">
            <path d="M11 4a7 7 0 1 1 0 14a7 7 0 0 1 0-14M16 16l6 6" />
          </svg>
          Find
        </span>
      </button>
      <button type="button" className="plain peg keyboard" onClick={onHelp}>
        <span>
          <svg viewBox="0 0 26 26" aria-hidden="true">
            <path d="M3 8h20v11H3zM7 12h1M12 12h1M17 12h1M9 16h8" />
          </svg>
          Keys
        </span>
      </button>
      <button
        type="button"
        className="plain peg"
        onClick={flip}
        aria-label={shade === 'dark' ? 'Light theme' : 'Dark theme'}
      >
        <span>
          <svg viewBox="0 0 26 26" aria-hidden="true">
            <path d="M13 4a9 9 0 1 0 9 9a7 7 0 0 1-9-9z" />
          </svg>
          {shade === 'dark' ? 'Light' : 'Dark'}
        </span>
      </button>
      <NavLink to="/house" className="peg" aria-label={`${data?.person.name}, ${data?.person.role}: your account`}>
        <span>
          <svg viewBox="0 0 26 26" aria-hidden="true">
            <path d="M13 4a4.5 4.5 0 1 1 0 9a4.5 4.5 0 0 1 0-9M4.5 22c1-5 4-7 8.500-7s7.500 2 8.500 7" />
          </svg>
          {data?.person.name}
        </span>
      </NavLink>
    </nav>
  );
}
