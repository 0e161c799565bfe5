import TextField from '@mui/material/TextField';
import { type ReactNode, useState } from 'react';
import { shares } from '../../plates/severity';
import { Chips } from '../../ui/bits';
import { useKeys } from '../../ui/keys';
import { addTen, chooseTallies, put, readCounts, type Tallied, takeBack, tallies } from './counts';
import { Match } from './Match';

const digits = [1, 2, 3, 4, 5, 6, 7, 8, 9, 0];
const pad = [1, 2, 3, 4, 5, 6, 7, 8, 9, 'ten', 0, 'back'] as const;

/** A counting pad: one key a leaf, large enough for wet fingers; several tallies are filled one after the other, leaf by leaf. */
export function Pad({
  of: t,
  set,
  unit,
  ways = true,
  onOdd,
  beside,
  typed = true,
}: {
  of: Tallied;
  set: (change: (old: Tallied) => Tallied) => void;
  unit: string;
  /** The line of text stands below the keys as well. */
  typed?: boolean;
  /** What stands beside the keys. */
  beside?: ReactNode;
  /** May the way of counting be changed; a recount keeps the first one's. */
  ways?: boolean;
  onOdd?: (odd: string | undefined) => void;
}) {
  const quick = t.way === 'with';
  const key = (n: number) =>
    set((old) =>
      old.way === 'match'
        ? { ...old, severity: [...old.severity, shares[n] ?? 0] }
        : old.way === 'with' && n > 1
          ? old
          : put(old, n),
    );
  const back = () =>
    set((old) => (old.way === 'match' ? { ...old, severity: old.severity.slice(0, -1) } : takeBack(old)));
  const ten = () => set(addTen);
  useKeys([
    ...digits.map((n, i) => ({
      key: String(n),
      does: t.way === 'match' ? 'the nearest leaf, 0 clean' : quick ? '1 with, 0 without' : `one ${unit}, 0 clean`,
      hidden: i > 0,
      run: () => key(n),
    })),
    { key: 'Backspace', does: 'take the last back', run: back },
    ...(t.way === 'each' ? [{ key: '+', does: 'ten more on it', run: ten }] : []),
  ]);
  const turn = t.of[t.hand.length];
  const begun = t.way !== 'match' && t.leaves.length + t.hand.length > 0;
  return (
    <div className="pad-count" data-leaves={t.way === 'match' ? t.severity.length : t.leaves.length}>
      {ways && begun && (
        <p className="quiet">
          {quick ? 'With or without' : 'Counted'}: {t.of.map((id) => tallies.find((x) => x.id === id)?.name).join(', ')}{' '}
          ·{' '}
          <button
            type="button"
            className="plain"
            style={{ textDecoration: 'underline' }}
            onClick={() => set((old) => ({ ...old, leaves: [], hand: [] }))}
            data-do="anew"
          >
            count anew
          </button>
        </p>
      )}
      {ways && !begun && (
        <Chips
          label="How it is counted"
          options={[
            { id: 'each', name: 'each one' },
            { id: 'with', name: 'with or without' },
            { id: 'match', name: 'match the leaf' },
          ]}
          value={[t.way]}
          onChange={(v) =>
            set((old) => {
              const way = (v[0] ?? 'each') as Tallied['way'];
              // Ones and noughts are no numbers, nor the other way round: what was counted the one way starts anew.
              return way === old.way || way === 'match' || old.way === 'match'
                ? { ...old, way }
                : { ...old, way, leaves: [], hand: [], of: way === 'with' ? [old.of[0] ?? 'pests'] : old.of };
            })
          }
          small
        />
      )}
      {t.way === 'match' ? (
        <Match severity={t.severity} onMatch={(s) => set((old) => ({ ...old, severity: [...old.severity, s] }))} />
      ) : (
        <>
          {ways && !begun && (
            <Chips
              label={quick ? 'With or without what' : 'Kept apart on each'}
              options={quick ? tallies.filter((x) => ['pests', 'young', 'adults', 'marks'].includes(x.id)) : tallies}
              value={t.of}
              onChange={(v) =>
                set((old) => {
                  const of = old.way === 'with' ? v.slice(-1) : chooseTallies(old.of, v);
                  return of.join() === old.of.join() ? old : { ...old, of, leaves: [], hand: [] };
                })
              }
              many={!quick}
              small
            />
          )}
          <Leaves of={t} unit={unit} />
          <div className="keys-and-run">
            <fieldset className="numpad" aria-label="Counting pad">
              {pad.map((n) =>
                n === 'ten' ? (
                  <button type="button" key={n} onClick={ten} disabled={quick} data-digit="ten">
                    +10
                  </button>
                ) : n === 'back' ? (
                  <button type="button" key={n} onClick={back} data-digit="back" aria-label="Take the last back">
                    ⌫
                  </button>
                ) : (
                  <button
                    type="button"
                    key={n}
                    onClick={() => key(n)}
                    data-digit={n}
                    disabled={quick && n > 1}
                    aria-label={quick ? (n ? 'with' : 'without') : n === 0 ? '0, clean' : String(n)}
                  >
                    {n}
                  </button>
                ),
              )}
            </fieldset>
            {beside}
          </div>
          <p className="quiet" aria-live="polite">
            {t.of.length > 1 ? (
              <>
                {unit} {t.leaves.length + 1}: <b>{tallies.find((x) => x.id === turn)?.name}</b>
              </>
            ) : quick ? (
              '1 with, 0 without: one key each'
            ) : (
              `one key a ${unit}: 0 is clean, + adds ten to the last`
            )}
          </p>
          {typed && t.of.length === 1 && !quick && <Typed t={t} set={set} unit={unit} onOdd={onOdd} />}
        </>
      )}
    </div>
  );
}

/** The same numbers as a line of text, for whoever has them on paper. */
function Typed({
  t,
  set,
  unit,
  onOdd,
}: {
  t: Tallied;
  set: (change: (old: Tallied) => Tallied) => void;
  unit: string;
  onOdd?: (odd: string | undefined) => void;
}) {
  const [text, setText] = useState<string>();
  const { odd } = readCounts(text ?? '');
  return (
    <TextField
      label={`or type them, a number for each ${unit}`}
      placeholder="12 0 7 31 4"
      value={text ?? t.leaves.map((r) => r[0]).join(' ')}
      onChange={(e) => {
        setText(e.target.value);
        const { counts, odd } = readCounts(e.target.value);
        onOdd?.(odd);
        if (odd === undefined) set((old) => ({ ...old, leaves: counts.map((n) => [n]), hand: [] }));
      }}
      onBlur={() => odd === undefined && setText(undefined)}
      error={odd !== undefined}
      helperText={odd !== undefined && `“${odd}” is not a count: whole numbers with blanks between, like 12 0 7`}
      slotProps={{ htmlInput: { inputMode: 'numeric', className: 'num' } }}
      name="counts"
    />
  );
}

/** Each leaf counted so far, its tallies one above the other, and the one in hand. */
function Leaves({ of: t, unit }: { of: Tallied; unit: string }) {
  const cells = [...t.leaves, t.hand];
  const from = Math.max(0, cells.length - 24);
  return (
    <ol className="leafcells" start={from + 1} aria-label={`Counted, a ${unit} each`}>
      {cells.slice(from).map((row, i) => {
        const hand = from + i === t.leaves.length;
        return (
          <li key={from + i} data-hand={hand} aria-current={hand ? 'step' : undefined}>
            {t.of.map((id, k) => (
              <span key={id} className="num" data-zero={row[k] === 0}>
                {row[k] ?? (hand && k === row.length ? '_' : '·')}
              </span>
            ))}
          </li>
        );
      })}
    </ol>
  );
}
