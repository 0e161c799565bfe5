import { Link } from 'react-router';

/** The tables of a room, one of them in front. */
export function Tables({
  room,
  at,
  tables,
}: {
  room: string;
  at?: string;
  tables: { id: string; name: string; to: string }[];
}) {
  return (
    <nav className="steps noprint" aria-label={`Tables of the ${room}`}>
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
