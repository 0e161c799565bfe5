import { useCallback, useEffect, useRef, useState } from 'react';

/** State that survives a reload, a sign-out or a dropped connection, until it is cleared. */
export function useDraft<T>(key: string, empty: T): [T, (v: T | ((old: T) => T)) => void, () => void] {
  const store = `botanik.draft.${key}`;
  const read = useCallback((): T => {
    try {
      const raw = localStorage.getItem(store);
      return raw ? { ...empty, ...(JSON.parse(raw) as T) } : empty;
    } catch {
      return empty;
    }
  }, [store, empty]);
  const [value, setValue] = useState<T>(read);
  const first = useRef(store);
  useEffect(() => {
    if (first.current !== store) {
      first.current = store;
      setValue(read());
    }
  }, [store, read]);
  const set = useCallback(
    (v: T | ((old: T) => T)) =>
      setValue((old) => {
        const next = typeof v === 'function' ? (v as (o: T) => T)(old) : v;
        localStorage.setItem(store, JSON.stringify(next));
        return next;
      }),
    [store],
  );
  const clear = useCallback(() => {
    localStorage.removeItem(store);
    setValue(empty);
  }, [store, empty]);
  return [value, set, clear];
}
