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

/** Forgets every draft whose name begins so, of pieces that are not on screen. */
export function dropDrafts(begin: string) {
  for (const k of Object.keys(localStorage)) if (k.startsWith(`botanik.draft.${begin}`)) localStorage.removeItem(k);
}

const untouched = {};

/** What is typed over what the case holds: kept through a reload, and gone once it is saved and the case holds it. */
export function useTyped<T extends object>(
  key: string,
  held: T,
): [T, (patch: Partial<T> | ((now: T) => Partial<T>)) => void, () => void] {
  const [typed, set, clear] = useDraft<Partial<T>>(key, untouched);
  const over = (old: Partial<T>) => ({ ...held, ...old });
  return [
    over(typed),
    (patch) => set((old) => ({ ...old, ...(typeof patch === 'function' ? patch(over(old)) : patch) })),
    clear,
  ];
}
