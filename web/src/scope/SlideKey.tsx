import { useEffect, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { S, View } from '../api/client';
import { useIdentify, useSlideKey } from '../api/scope';
import { HindEnd, type HindEndForm } from '../plates/things/hindend';
import { Where } from '../plates/things/where';
import { arrows, Chips, Trouble } from '../ui/bits';
import { dropDrafts, useDraft } from '../ui/draft';
import { useKeys } from '../ui/keys';
import { TakeLook } from './TakeLook';

type Seen = { group: string; seen: S['Seen'][] };

/** What scrolls is reached by keys as well. */
const reachable = { tabIndex: 0 };

/** A key in any order: what was seen so far, every species still possible, and the character that divides best next. */
export function SlideKey({ view }: { view?: View }) {
  const { data: key, error } = useSlideKey();
  const [params] = useSearchParams();
  const wanted = key?.characters.find((c) => c.looks?.finding === params.get('finding'));
  const [form, set, clear] = useDraft<Seen>(`slide.${view?.id ?? 'none'}`, { group: '', seen: [] });
  const group = form.group || wanted?.group || key?.groups[0] || '';
  const answer = useIdentify({ group, seen: form.seen, ...(view ? { case: view.id } : {}) });
  const characters = (key?.characters ?? []).filter((c) => c.group === group);
  const next = answer.data?.next;
  const [at, setAt] = useState('');
  const here = characters.find((c) => c.id === (at || next?.character || wanted?.id)) ?? characters[0];
  const give = (x: S['Seen'] | null, id: string) => {
    set((old) => ({ group, seen: [...old.seen.filter((s) => s.character !== id), ...(x ? [x] : [])] }));
    setAt('');
  };
  const list = useRef<HTMLDivElement>(null);
  const asked = next?.character;
  useEffect(() => {
    const l = list.current; // where the list has its own scrolling; a telephone's page stays where it is
    if (asked && l && l.scrollHeight > l.clientHeight + 4)
      l.querySelector(`[data-character="${asked}"]`)?.scrollIntoView?.({ block: 'nearest' });
  }, [asked]);
  const states = here?.states ?? [];
  useKeys([
    ...'123456789'.split('').map((k, i) => ({
      key: k,
      does: 'answer',
      hidden: i > 0,
      run: () => {
        const s = states[i];
        if (here && s) give({ character: here.id, state: s.id }, here.id);
      },
    })),
    { key: 'x', does: 'not seen', run: () => here && give(null, here.id) },
  ]);
  if (error) return <Trouble of={error} />;
  if (!key || !here) return null;
  return (
    <div className="slidekey">
      <section className="sheet" aria-label="What was seen">
        <div className="pad" style={{ paddingBottom: 6 }}>
          <Chips
            label="What lies on the slide"
            options={key.groups.map((g) => ({ id: g, name: g }))}
            value={[group]}
            onChange={(v) => {
              set({ group: v[0] ?? '', seen: [] });
              setAt('');
            }}
            small
          />
        </div>
        <div className="scroll" ref={list}>
          {characters.map((c) => (
            <CharacterRow
              key={c.id}
              c={c}
              seen={form.seen.find((s) => s.character === c.id)}
              at={c.id === here.id}
              next={c.id === next?.character}
              onAt={() => setAt(c.id)}
              onGive={(x) => give(x, c.id)}
            />
          ))}
        </div>
      </section>
      <section className="sheet" aria-label="Where it lies">
        <section className="scroll pad stack" aria-label="The drawing and what each answer would leave" {...reachable}>
          <h2>{here.name}</h2>
          <p className="quiet">
            <span className="term">{here.term}</span> · {here.hint}
          </p>
          <Where group={group} spot={here.spot} form={drawn(form.seen)} width={340} />
          {next && next.character === here.id && <Couplet of={next} />}
        </section>
      </section>
      <section
        className="sheet"
        aria-label="What it can be"
        data-leader={answer.data?.fits[0]?.species ?? ''}
        data-sure={answer.data?.sure ?? false}
      >
        <div className="pad stack" style={{ paddingBottom: 6 }}>
          <h2>What it can be</h2>
          <p aria-live="polite">{answer.data?.says}</p>
          {answer.data?.notes.map((n) => (
            <div key={n} className="notice">
              {n}
            </div>
          ))}
          <Trouble of={answer.error} />
        </div>
        <section className="scroll" aria-label="Species" {...reachable}>
          {answer.data?.fits
            .filter((f) => f.possible || form.seen.length === 0)
            .map((f) => (
              <FitRow key={f.species} f={f} of={key.species.find((s) => s.id === f.species)} />
            ))}
          <Out fits={(answer.data?.fits ?? []).filter((f) => !f.possible && form.seen.length > 0)} />
        </section>
        {view && (answer.data?.looks.length ?? 0) > 0 && (
          <div className="pad stack takes">
            {answer.data?.looks.map((l) => (
              <TakeLook key={l.finding} view={view} look={l} />
            ))}
          </div>
        )}
        {form.seen.length > 0 && (
          <button
            type="button"
            className="plain onward"
            onClick={() => {
              clear();
              dropDrafts(`ratio.${view?.id ?? 'none'}.`); // what was measured is of the slide that is put away
            }}
            data-do="another-slide"
          >
            Another slide
          </button>
        )}
      </section>
    </div>
  );
}

/** What was seen so far, as the drawing takes it. */
const drawn = (seen: S['Seen'][]) => {
  const form: Record<string, string | number> = {};
  for (const s of seen) if (s.state) form[s.character] = s.state;
  const ratio = (id: string) => seen.find((s) => s.character === id)?.ratio;
  return { ...form, ...lengths(ratio('opening-lobe'), ratio('gap-opening')) };
};

/** Lobe, anal opening and the gap between it and the lobes, in units of the drawing, by their ratios. */
function lengths(open?: number, gap?: number) {
  const lobe = 34;
  const opening = open ? Math.min(60, open * lobe) : 22;
  return { lobe, opening, ...(gap ? { gap: Math.min(120 - opening / 2, gap * opening) } : {}) };
}

function CharacterRow({
  c,
  seen,
  at,
  next,
  onAt,
  onGive,
}: {
  c: S['Character'];
  seen?: S['Seen'];
  at: boolean;
  next: boolean;
  onAt: () => void;
  onGive: (x: S['Seen'] | null) => void;
}) {
  const stop = Math.max(0, c.states?.findIndex((s) => s.id === seen?.state) ?? 0);
  return (
    <div className={`find${at ? ' at' : ''}${next ? ' next' : ''}`} data-character={c.id}>
      <button type="button" className="plain" style={{ textAlign: 'left' }} onClick={onAt}>
        {c.name}
        <small style={{ display: 'block' }}>
          {next && <b style={{ color: 'var(--mari-ink)' }}>look here next · </b>}
          {c.term}
        </small>
      </button>
      {c.measure ? (
        <RatioField c={c} seen={seen} onGive={onGive} />
      ) : (
        <div className="seg wide" role="radiogroup" aria-label={c.name} onKeyDown={(e) => arrows(e, '[data-state]')}>
          {c.states?.map((s, i) => (
            <button
              type="button"
              role="radio"
              key={s.id}
              aria-checked={seen?.state === s.id}
              tabIndex={i === stop ? 0 : -1}
              data-state={s.id}
              onClick={() => onGive(seen?.state === s.id ? null : { character: c.id, state: s.id })}
            >
              {at && (
                <i className="key" aria-hidden="true">
                  {i + 1}
                </i>
              )}
              {s.name}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

function RatioField({
  c,
  seen,
  onGive,
}: {
  c: S['Character'];
  seen?: S['Seen'];
  onGive: (x: S['Seen'] | null) => void;
}) {
  const [text, setText] = useState(seen?.ratio ? String(seen.ratio) : '');
  const v = Number(text.replace(',', '.'));
  const good = v > 0 && v < 1000;
  return (
    <span className="ratiofield">
      <input
        aria-label={c.measure?.b ? `${c.measure.a} divided by ${c.measure.b}` : c.measure?.a}
        className="num"
        inputMode="decimal"
        placeholder={c.measure?.b ? 'ratio' : 'µm'}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => {
          if (!text.trim()) onGive(null);
          else if (good) onGive({ character: c.id, ratio: v });
        }}
        onKeyDown={(e) => e.key === 'Enter' && (e.target as HTMLInputElement).blur()}
        aria-invalid={text.trim() !== '' && !good}
      />
      <small>
        {c.measure?.b ? `${c.measure.a} ÷ ${c.measure.b}` : c.measure?.a}; keys divide at {c.measure?.line}
      </small>
    </span>
  );
}

function Couplet({ of }: { of: S['Couplet'] }) {
  return (
    <table className="lines couplet">
      <caption>
        <b>What each answer would leave</b>
      </caption>
      <tbody>
        {of.leaves.map((l) => (
          <tr key={l.state}>
            <th scope="row">{l.name}</th>
            <td>
              <small>
                {l.species.slice(0, 3).join(', ')}
                {l.more + Math.max(0, l.species.length - 3) > 0 &&
                  ` and ${l.more + Math.max(0, l.species.length - 3)} more`}
              </small>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The hind end of a species as the key has it, each character in its first state and each length in the middle of its range. */
function hindEndOf(of: S['Species']): HindEndForm {
  const form: Record<string, string | number> = {};
  for (const [c, states] of Object.entries(of.states)) if (states?.[0]) form[c] = states[0];
  return { ...form, ...lengths(middle(of.ranges?.['opening-lobe']), middle(of.ranges?.['gap-opening'])) };
}
const middle = (r?: number[] | null) => (r?.length === 2 ? ((r[0] as number) + (r[1] as number)) / 2 : undefined);

function FitRow({ f, of }: { f: S['SpeciesFit']; of?: S['Species'] }) {
  return (
    <div className="cand fit" data-species={f.species}>
      {of?.group === 'armored scale' && (
        <svg viewBox="34 30 252 212" className="hind" role="img" aria-label={`Hind end of ${f.name}`}>
          <HindEnd form={hindEndOf(of)} />
        </svg>
      )}
      <span>
        <b>{f.name}</b> <i className="quiet">{f.scientific}</i>
        {f.against.length > 0 && <small style={{ display: 'block' }}>though: {f.against.join(', ')}</small>}
        {f.onHost && <small> · met on this plant</small>}
        {f.cause && (
          <small>
            {' · '}
            <Link to={`/plates/${f.cause}`}>its plate</Link>
          </small>
        )}
        <span className="bar">
          <i style={{ width: `${Math.max(1, 100 * f.p)}%` }} />
        </span>
      </span>
      <b className="num">{Math.round(Math.min(99, 100 * f.p))}</b>
    </div>
  );
}

/** What was ruled out, and by what. */
function Out({ fits }: { fits: S['SpeciesFit'][] }) {
  const [open, setOpen] = useState(false);
  if (!fits.length) return null;
  return (
    <>
      <button type="button" className="plain fold" aria-expanded={open} onClick={() => setOpen(!open)}>
        ruled out <small>{fits.length} species</small>
      </button>
      {open && (
        <ul className="tight pad">
          {fits.map((f) => (
            <li key={f.species}>
              {f.name}: <small>{f.against.join(', ') || 'less likely by all of it together'}</small>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
