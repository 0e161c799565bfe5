import { useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { Link } from 'react-router';
import { useVocabulary } from '../api/hooks';
import { Plate } from './Plate';

type Named = { id: string; name: string; class: string; drawing: Record<string, unknown>; sizeMm?: number[] };

/** Draws a plate when it comes near what is seen; all of them when the sheet is printed. */
function Cell({ c, all }: { c: Named; all: boolean }) {
  const at = useRef<HTMLAnchorElement>(null);
  const [near, setNear] = useState(false);
  useEffect(() => {
    const el = at.current;
    if (!el || near) return;
    if (typeof IntersectionObserver === 'undefined') {
      setNear(true);
      return;
    }
    const watch = new IntersectionObserver((list) => list.some((e) => e.isIntersecting) && setNear(true), {
      rootMargin: '500px 0px',
    });
    watch.observe(el);
    return () => watch.disconnect();
  }, [near]);
  return (
    <Link ref={at} to={`/plates/${c.id}`}>
      {near || all ? (
        <Plate id={c.id} d={c.drawing} name={c.name} size={c.sizeMm} width={150} />
      ) : (
        <svg viewBox="0 0 340 300" width={150} aria-hidden="true" />
      )}
      <small>{c.name}</small>
    </Link>
  );
}

/** Every drawing on one sheet, for the wall and for looking them over. */
export function Contact() {
  const { data: kb } = useVocabulary();
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    // Before the page is taken down for paper, not some time after.
    const on = () => flushSync(() => setPrinting(true));
    const off = () => setPrinting(false);
    window.addEventListener('beforeprint', on);
    window.addEventListener('afterprint', off);
    return () => {
      window.removeEventListener('beforeprint', on);
      window.removeEventListener('afterprint', off);
    };
  }, []);
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
          <Cell key={c.id} c={c} all={printing} />
        ))}
      </div>
    </>
  );
}
