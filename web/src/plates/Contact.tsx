import { Link } from 'react-router';
import { useVocabulary } from '../api/hooks';
import { Near } from '../ui/Near';
import { Plate } from './Plate';

/** Every drawing on one sheet, for the wall and for looking them over. */
export function Contact() {
  const { data: kb } = useVocabulary();
  const list = [...(kb?.causes ?? [])].sort((a, b) => a.class.localeCompare(b.class) || a.name.localeCompare(b.name));
  return (
    <>
      <div className="row mid" style={{ marginBottom: 10 }}>
        <h1>
          All plates <span className="quiet">· {list.length}</span>
        </h1>
        <Link to="/plates" className="quiet">
          back to browsing
        </Link>
      </div>
      <div className="contact" data-contact={list.length}>
        {list.map((c) => (
          <Link key={c.id} to={`/plates/${c.id}`}>
            <Near width={118} height={104}>
              <Plate id={c.id} d={c.drawing} name={c.name} size={c.sizeMm} width={150} />
            </Near>
            <small>{c.name}</small>
          </Link>
        ))}
      </div>
    </>
  );
}
