import { type ReactNode, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';

/** Draws what is dear to draw when it comes near what is seen, and all of it before the page is printed; until then it keeps its place. */
export function Near({ width, height, children }: { width: number; height: number; children: ReactNode }) {
  const at = useRef<HTMLSpanElement>(null);
  const [near, setNear] = useState(false);
  useEffect(() => {
    const el = at.current;
    if (!el || near) return;
    const now = () => setNear(true);
    if (typeof IntersectionObserver === 'undefined') return now();
    const watch = new IntersectionObserver((list) => list.some((e) => e.isIntersecting) && now(), {
      rootMargin: '500px 0px',
    });
    watch.observe(el);
    // Paper takes the page as it stands when the listeners are done.
    const print = () => flushSync(now);
    window.addEventListener('beforeprint', print);
    return () => {
      watch.disconnect();
      window.removeEventListener('beforeprint', print);
    };
  }, [near]);
  return near ? children : <span ref={at} style={{ display: 'inline-block', width, height }} aria-hidden="true" />;
}
