import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useSession } from '../api/hooks';

/** The dark squares of a code that leads to an address, row by row. */
export async function codeOf(address: string) {
  const { default: make } = await import('qrcode-generator');
  const code = make(0, 'M');
  code.addData(address);
  code.make();
  const n = code.getModuleCount();
  return Array.from({ length: n }, (_, y) => Array.from({ length: n }, (_, x) => code.isDark(y, x)));
}

const rim = 4; // light squares around it, as scanners want

/** An address as a code to be scanned. */
export function Code({ of, size = 140 }: { of: string; size?: number }) {
  const [rows, setRows] = useState<boolean[][]>();
  useEffect(() => {
    let here = true;
    void codeOf(of).then((c) => here && setRows(c));
    return () => {
      here = false;
    };
  }, [of]);
  const n = (rows?.length ?? 0) + 2 * rim;
  const d = rows?.flatMap((r, y) => r.map((dark, x) => (dark ? `M${x + rim} ${y + rim}h1v1h-1z` : ''))).join('');
  return (
    <svg viewBox={`0 0 ${n} ${n}`} width={size} height={size} role="img" aria-label={`Code that leads to ${of}`}>
      <rect width={n} height={n} fill="#fff" />
      <path d={d} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}

/** Where a telephone reaches this desk: the address its House rules name, else the one this page came from. */
export function useDeskAddress() {
  const named = useSession().data?.desk.public;
  const base = (named || window.location.origin).replace(/\/$/, '');
  // What only this machine itself can open is no use on paper.
  const only = /^https?:\/\/(localhost|127\.|\[::1\]|0\.0\.0\.0)/.test(base);
  return { base, reaches: !only };
}

/** Said in the place of a code that no telephone could open. */
export function NoCode() {
  const { base } = useDeskAddress();
  return (
    <div className="notice noprint" data-no-code>
      <b>No code yet.</b> The desk is known as {base.replace(/^https?:\/\//, '')}, which only this machine reaches: no
      telephone could open the code. A coordinator writes the desk's address as others reach it into{' '}
      <Link to="/house#desk-public">House rules</Link>.
    </div>
  );
}
