import { Link } from 'react-router';

const tables = [
  { id: 'queue', name: 'The queue', to: '/rounds' },
  { id: 'whose', name: 'Whose', to: '/rounds/whose' },
  { id: 'day', name: 'The day', to: '/rounds/day' },
];

/** The tables of this room. */
export function Tables({ at }: { at: string }) {
  return (
    <nav className="steps noprint" aria-label="Tables of the rounds">
      {tables.map((t) => (
        <Link
          key={t.id}
          to={t.to}
          className={t.id === at ? 'step on' : 'step'}
          aria-current={t.id === at ? 'page' : undefined}
        >
          {t.name}
        </Link>
      ))}
    </nav>
  );
}
