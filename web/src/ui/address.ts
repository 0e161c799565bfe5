import { useCallback, useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';

/** What changes in the address: a key with its value or values; an empty one takes it out. */
type Patch = Record<string, string | string[]>;
/** A change that hangs on what stands there: it is given what was last asked for, drawn or not. */
type Change = Patch | ((now: URLSearchParams) => Patch);

const laid = (old: URLSearchParams, patch: Patch) => {
  const next = new URLSearchParams(old);
  for (const [k, v] of Object.entries(patch)) {
    next.delete(k);
    for (const x of Array.isArray(v) ? v : [v]) if (x) next.append(k, x);
  }
  return next;
};

/**
 * The question of a room, as it stands in the address, and a way to change part of it. Several changes before the address
 * has taken the first are all kept: each is laid over the last that was asked for, not over what was drawn.
 */
export function useAddress(options: { replace?: boolean } = { replace: true }) {
  const [params, setParams] = useSearchParams();
  const drawn = params.toString();
  const latest = useRef(drawn);
  // What was asked for and has not been drawn yet, the oldest first.
  const out = useRef<string[]>([]);
  // An address that nobody here asked for (the way back, a link) is where the next change begins.
  useEffect(() => {
    latest.current = drawn;
    const at = out.current.lastIndexOf(drawn);
    out.current = at < 0 ? [] : out.current.slice(at + 1);
  }, [drawn]);
  const { replace } = options;
  const set = useCallback(
    (change: Change) => {
      const from = out.current.at(-1) ?? latest.current;
      const now = new URLSearchParams(from);
      const next = laid(now, typeof change === 'function' ? change(now) : change);
      if (next.toString() === from) return;
      out.current.push(next.toString());
      setParams(next, { replace });
    },
    [setParams, replace],
  );
  return [params, set] as const;
}

/**
 * A field whose words stand in the address as well. The words are the writer's own; the address follows when they pause,
 * and gives words back only when it was changed elsewhere (the way back, a link). All of that is decided after a drawing
 * is done: on a busy machine a drawing is begun, thrown away and begun anew, and what it noted on the way would stay.
 */
export function useAddressField(held: string, write: (words: string) => void, pause = 300) {
  const [words, setWords] = useState(held);
  // What was written from here and has not come back from the address yet, the oldest first.
  const out = useRef<string[]>([]);
  const last = useRef(held);
  const latest = useRef(write);
  latest.current = write;
  useEffect(() => {
    if (last.current === held) return;
    last.current = held;
    const at = out.current.lastIndexOf(held);
    if (at >= 0) out.current = out.current.slice(at + 1);
    else {
      out.current = [];
      setWords(held);
    }
  }, [held]);
  useEffect(() => {
    const wait = setTimeout(() => {
      if (words === (out.current.at(-1) ?? last.current)) return;
      out.current.push(words);
      latest.current(words);
    }, pause);
    return () => clearTimeout(wait);
  }, [words, pause]);
  return [words, setWords] as const;
}
