import {
  createContext,
  type ReactNode,
  useContext,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';

export type Key = {
  key: string;
  does: string;
  run: (e: KeyboardEvent) => void;
  inFields?: boolean;
  hidden?: boolean;
  /** It opens a field: the letters that follow are meant for that. */
  opens?: boolean;
};

/** Letters that follow each other quicker than this, in milliseconds, are somebody typing words, not giving commands. */
const rush = 160;

/**
 * Somebody types a sentence with nothing in focus. From its second letter on nothing acts: it is gathered, and given to
 * whoever on the page takes words, until there is a pause.
 */
function typist() {
  let [text, last, at] = ['', '', Number.NEGATIVE_INFINITY];
  const forget = () => {
    [text, last, at] = ['', '', Number.NEGATIVE_INFINITY];
  };
  const take = (e: KeyboardEvent): string | undefined => {
    const since = e.timeStamp - at;
    if (!/\p{L}/u.test(e.key) && text.length < 2) {
      forget();
      return undefined;
    }
    const words = text.length > 1 ? since < 5 * rush : since < rush && e.key !== last;
    text = words ? text + e.key : e.key;
    [last, at] = [e.key, e.timeStamp];
    return words ? text : undefined;
  };
  return { take, forget };
}

/** How long a key pressed too early is kept, in milliseconds, and how many are. */
const [patient, mostEarly] = [20_000, 8];
/** Keys that mean the page itself, whatever room is coming. */
const plainKeys = new Set(['Tab', 'Shift', 'Control', 'Alt', 'Meta', 'Escape', 'PageUp', 'PageDown', 'Home', 'End']);
/** Whether a room is being fetched. */
const coming = () => document.querySelector('[data-loading]') !== null;

const inField = (t: EventTarget | null) =>
  t instanceof HTMLElement && (t.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(t.tagName));

const Ctx = createContext<{ set: (id: symbol, keys: Key[]) => void; all: Key[] }>({ set: () => {}, all: [] });

/** Letters, digits and signs alone act only as long as they are switched on: some people speak to the page, or tremble. */
const single = 'botanik.keys';
export const singleKeys = () => localStorage.getItem(single) !== 'off';
export const setSingleKeys = (on: boolean) => localStorage.setItem(single, on ? 'on' : 'off');

/** Gathers the keys of whatever is on screen; the newest piece wins. Nothing fires while a dialog is open. */
export function KeyHost({ children }: { children: ReactNode }) {
  const [sets, setSets] = useState<Map<symbol, Key[]>>(new Map());
  const api = useMemo(
    () => ({
      set: (id: symbol, keys: Key[]) =>
        setSets((m) => {
          const n = new Map(m);
          n.delete(id);
          if (keys.length) n.set(id, keys);
          return n;
        }),
    }),
    [],
  );
  const all = useMemo(() => [...sets.values()].reverse().flat(), [sets]);
  const ref = useRef(all);
  ref.current = all;
  // Pressed while a room is still being fetched: kept for it, and done in their order once it is there.
  const early = useRef<{ name: string; e: KeyboardEvent }[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: whenever the keys of the screen change
  useEffect(() => {
    early.current = early.current.filter(({ e }) => performance.now() - e.timeStamp < patient);
    while (early.current[0]) {
      const hit = ref.current.find((k) => k.key === early.current[0]?.name);
      if (!hit && coming()) return;
      const [first] = early.current.splice(0, 1);
      hit?.run(first?.e as KeyboardEvent);
    }
  }, [all]);
  useEffect(() => {
    const typed = typist();
    const on = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || document.querySelector('[role=dialog]')) return;
      const name = e.altKey ? `Alt+${e.key}` : e.key;
      if (e.key.length === 1 && !e.altKey && !inField(e.target) && !singleKeys()) return;
      if (e.key.length > 1 || e.altKey || inField(e.target)) typed.forget();
      else {
        const words = typed.take(e);
        if (words) {
          e.preventDefault();
          window.dispatchEvent(new CustomEvent('words', { detail: words }));
          return;
        }
      }
      const hit = ref.current.find((k) => k.key === name && (k.inFields || e.altKey || !inField(e.target)));
      if (!hit) {
        // Escape leaves a field, so that the keys work again.
        if (e.key === 'Escape' && inField(e.target)) (e.target as HTMLElement).blur();
        else if (coming() && !inField(e.target) && !plainKeys.has(e.key)) {
          e.preventDefault();
          early.current = [...early.current, { name, e }].slice(-mostEarly);
        }
        return;
      }
      // Enter on a button or link is that button's own; an answer or a chip is given with Space or its digit,
      // so that Enter keeps what was chosen, by mouse as well.
      const at = e.target;
      if (
        e.key === 'Enter' &&
        at instanceof HTMLElement &&
        ['BUTTON', 'A'].includes(at.tagName) &&
        !['radio', 'checkbox'].includes(at.getAttribute('role') ?? '') &&
        !at.hasAttribute('aria-pressed')
      )
        return;
      e.preventDefault();
      if (hit.opens) typed.forget();
      hit.run(e);
    };
    window.addEventListener('keydown', on);
    return () => window.removeEventListener('keydown', on);
  }, []);
  return <Ctx.Provider value={{ ...api, all }}>{children}</Ctx.Provider>;
}

/** Registers keys while mounted. The functions may change on every render; the list is by key names. */
export function useKeys(keys: Key[]) {
  const { set } = useContext(Ctx);
  const latest = useRef(keys);
  latest.current = keys;
  const names = keys.map((k) => `${k.key}|${k.does}|${k.inFields}|${k.hidden}`).join('\n');
  // Before it is painted: what can be seen answers its keys, and not those of what was there before.
  useLayoutEffect(() => {
    const id = Symbol('keys');
    const n = names.split('\n').filter(Boolean).length;
    set(
      id,
      Array.from({ length: n }, (_, i) => {
        const k = latest.current[i] as Key;
        return { ...k, run: (e: KeyboardEvent) => latest.current[i]?.run(e) };
      }),
    );
    return () => set(id, []);
  }, [set, names]);
}

/** Takes the words somebody types with nothing in focus. */
export function useWords(take: (text: string) => void) {
  const latest = useRef(take);
  latest.current = take;
  useLayoutEffect(() => {
    const on = (e: Event) => latest.current((e as CustomEvent<string>).detail);
    window.addEventListener('words', on);
    return () => window.removeEventListener('words', on);
  }, []);
}

export const useAllKeys = () => useContext(Ctx).all;

const shown: Record<string, string> = {
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
  Escape: 'Esc',
  ' ': 'Space',
};

/** The line of keys at the foot of a room. */
export function KeyLine({ end }: { end?: ReactNode }) {
  const seen = new Set<string>();
  const keys = useAllKeys().filter((k) => !k.hidden && !seen.has(k.key) && seen.add(k.key));
  return (
    <footer className="keys">
      <span className="list">
        {keys.slice(0, 10).map((k) => (
          <span key={k.key}>
            <kbd>{shown[k.key] ?? k.key}</kbd> {k.does}
          </span>
        ))}
      </span>
      <span className="end">{end}</span>
    </footer>
  );
}

export function KeyTable() {
  const seen = new Set<string>();
  const keys = useAllKeys().filter((k) => !seen.has(k.key) && seen.add(k.key));
  return (
    <table className="lines">
      <tbody>
        {keys.map((k) => (
          <tr key={k.key}>
            <th scope="row">
              <kbd>{shown[k.key] ?? k.key}</kbd>
            </th>
            <td>{k.does}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
