import { memo, useId } from 'react';
import { Body, type Drawing, extent, hasBody } from './bodies';
import { Habit, type Tint } from './habit/Habit';
import { cuts } from './kit/bites';
import type { P } from './kit/geo';
import { leafOf } from './kit/leaf';
import { ctxOf, pick } from './kit/spread';
import type { Light } from './lit';
import { below } from './marks';
import { hash } from './random';
import { damageOf, lookOf, Part, partOf } from './things';
import { rootPerches } from './things/root';
import { Slide, slideForm } from './things/slide';
import { perches } from './things/stem';

/** A unit of CSS is a ninety-sixth of an inch: what a millimetre is on the screen and on paper. */
const cssPerMm = 96 / 25.4;
const W = 340;
const H = 300;

/** Which leaves of the habit show it: where on the plant a sign begins is half of what tells it. */
const tints: Record<string, Tint> = {
  'chlorosis-young': { where: 'young', colour: '#efe78a' },
  'interveinal-young': { where: 'young', colour: '#efe78a' },
  'broad-green': { where: 'young', colour: '#e3e09a' },
  'chlorosis-old': { where: 'old', colour: '#e6cf4e' },
  'old-edges': { where: 'old', colour: '#d9b85a' },
  'even-yellow': { where: 'old', colour: '#e3d05a' },
  'blocked-edge': { where: 'tips', colour: '#a8803c' },
  'one-side': { where: 'side', colour: '#a8803c' },
  'bleached-top': { where: 'young', colour: '#efe3b4' },
  'edge-burn': { where: 'tips', colour: '#b58a48' },
  'tip-burn': { where: 'young', colour: '#b58a48' },
  'low-patch': { where: 'old', colour: '#a8793c' },
  'splash-low': { where: 'old', colour: '#a8793c' },
  'yellow-fall': { where: 'old', colour: '#e3d05a' },
  rolled: { where: 'old', colour: '#93ad72' },
  'red-roll': { where: 'old', colour: '#b5586a' },
  'strap-leaf': { where: 'young', colour: '#c6d69a' },
  'narrow-white': { where: 'young', colour: '#f3f0da' },
  'fern-leaf': { where: 'young', colour: '#b9cc8a' },
  bronzing: { where: 'old', colour: '#b38a58' },
  silvering: { where: 'tips', colour: '#dfe6e2' },
  mosaic: { where: 'young', colour: '#d9dc92' },
  'half-wilted': { where: 'side', colour: '#d9c75a' },
  'brown-ring': { where: 'side', colour: '#cdb457' },
  powder: { where: 'tips', colour: '#eef1e8' },
};

/** How large the culprits are drawn on the part, and how many: small ones larger than life, or they would be dust. */
const crowd = (mm: number, body: string): [number, number] => {
  if (body === 'caterpillar' || body === 'sawfly-larva' || body === 'slug')
    return mm > 35 ? [1, 0.62] : mm > 16 ? [2, 0.42] : [3, 0.34];
  return mm > 14 ? [1, 0.46] : mm > 6 ? [3, 0.3] : mm > 2.4 ? [6, 0.2] : [9, 0.15];
};

function Crowd({ d, part, seed, mm, body }: { body: string; d: Drawing; part: string; seed: number; mm: number }) {
  // Within the buds they are not seen.
  if (!hasBody(d) || damageOf(d).includes('fat-buds')) return null;
  const [n, k] = crowd(mm, String(d.body));
  const look = lookOf(d);
  const hidden = damageOf(d).some((w) => ['froth', 'webbed-nest', 'rolled-leaf', 'blotch-mines'].includes(w));
  const at: [P, number][] =
    part === 'leaf'
      ? pick(ctxOf(leafOf(look.spec), 'crowd', seed), n, { u: [0.14, 0.86], v: [-0.7, 0.7] }).map((s) => [
          s.p,
          s.r * 300 - 150,
        ])
      : part === 'stem'
        ? perches({ d, seed, look }).map((p, i): [P, number] => [p, i % 2 ? 12 : -8])
        : part === 'root'
          ? rootPerches.map((p, i): [P, number] => [p, i * 70])
          : part === 'fruit'
            ? [[[128, 128], 30]]
            : part === 'flower'
              ? [
                  [[124, 96], 50],
                  [[84, 128], -40],
                ]
              : [];
  const size = part === 'stem' ? Math.max(k, 0.2) : k;
  return (
    <g data-crowd>
      {at.slice(0, part === 'leaf' ? (hidden ? Math.min(n, 2) : n) : at.length).map(([p, turn], i) => (
        <g
          key={i}
          transform={`translate(${p[0].toFixed(1)} ${p[1].toFixed(1)}) rotate(${turn.toFixed(0)}) scale(${size}) translate(-50 -50)`}
        >
          <use href={`#${body}`} />
        </g>
      ))}
    </g>
  );
}

/** A length for people: two figures below a millimetre, one below twelve. */
const lengthText = (mm: number) => String(mm < 1 ? mm : mm < 12 ? Math.round(mm * 10) / 10 : Math.round(mm));

/** The animal enlarged, a bar as long as its body and beside it, and itself at life size. */
function Inset({
  d,
  mm,
  width,
  alone,
  body,
}: {
  body: string;
  d: Drawing;
  mm: number;
  width: number;
  alone?: boolean;
}) {
  const [from, to] = extent(d);
  const k = alone ? 2.1 : 0.92;
  const [x, y] = alone ? [128, 146] : [278, 206];
  const life = (mm * cssPerMm * W) / width / (to - from);
  const room = alone ? 52 : 46;
  // At the size of a list there is no room for it.
  const shown = width >= 230 && mm > 0 && life * (to - from) <= (alone ? 190 : 44) && life * 100 <= (alone ? 200 : 56);
  const at = (v: number) => y + (v - 50) * k;
  const barX = alone ? 252 : 331;
  return (
    <g>
      {alone ? (
        <rect x="6" y="6" width="236" height="288" rx="14" fill="var(--behind)" />
      ) : (
        <circle cx={x} cy={y} r="54" fill="var(--lens)" stroke="var(--quiet)" strokeWidth="1.2" data-lens />
      )}
      <g transform={`translate(${x} ${y}) scale(${k}) translate(-50 -50)`} data-body-at={`${from} ${to}`}>
        <use href={`#${body}`} />
      </g>
      {mm > 0 && (
        <g
          stroke="var(--ink)"
          strokeWidth="1.5"
          fill="none"
          data-bar={`${(at(to) - at(from)).toFixed(2)}`}
          data-mm={mm}
        >
          <path
            d={`M${barX} ${at(from).toFixed(1)}V${at(to).toFixed(1)}M${barX - 4} ${at(from).toFixed(1)}h8M${barX - 4} ${at(to).toFixed(1)}h8`}
          />
          <text
            x={alone ? barX + 8 : x}
            y={alone ? at(50) : y + 70}
            fontSize={alone ? 15 : 13}
            stroke="none"
            fill="var(--ink)"
            textAnchor={alone ? 'start' : 'middle'}
          >
            {lengthText(mm)} mm
          </text>
        </g>
      )}
      {shown && (
        <g data-life={life.toFixed(4)}>
          <g transform={alone ? `translate(290 ${room})` : 'translate(236 262)'}>
            <g transform={`scale(${life.toFixed(4)}) translate(-50 -50)`}>
              <use href={`#${body}`} />
            </g>
            {life * (to - from) < 3 && <circle r="1" fill="var(--ink)" />}
          </g>
          <text
            x={alone ? 290 : 236}
            y={alone ? room + 18 + (life * (to - from)) / 2 : 296}
            fontSize={alone ? 12 : 11}
            fill="var(--quiet)"
            textAnchor="middle"
          >
            life size
          </text>
        </g>
      )}
    </g>
  );
}

/** Beside the large organ where nobody is to be shown: the other face, an early sign, or a sound one. */
function Second({
  part,
  d,
  seed,
  under,
  again,
}: {
  again?: string;
  part: string;
  d: Drawing;
  seed: number;
  under: boolean;
}) {
  const words = damageOf(d);
  const upper = words.filter((w) => !below.has(w));
  // Many small leaflets would only be small again: a sound leaf is the better neighbour.
  const sound = part === 'leaf' && again !== undefined && lookOf(d).leaf.blades.length > 9;
  const word = part === 'leaf' && !sound ? (under ? 'above' : 'early') : part === 'plant' ? 'sound' : 'sound';
  return (
    <g>
      <g transform="translate(238 152) scale(.46)">
        {part === 'leaf' ? (
          <Part
            part="leaf"
            d={{
              ...d,
              damage: sound ? [] : under ? upper : words.filter((w) => w !== 'tubes' && w !== 'narrow-white'),
            }}
            seed={seed + 3}
            amount={under ? 1 : 0.3}
            again={again}
          />
        ) : part === 'plant' ? (
          <g transform="translate(4 46) scale(1.9)">
            <Habit look={lookOf(d)} />
          </g>
        ) : (
          <Part
            part={part}
            d={{ subject: d.subject, plant: d.plant, leaf: d.leaf, form: d.form, damage: [] }}
            seed={seed}
          />
        )}
      </g>
      <text x="284" y="293" fontSize="11" fill="var(--quiet)" textAnchor="middle">
        {word}
      </text>
    </g>
  );
}

/**
 * A cause's drawing from its own characters, composed as a plate: the plant's habit, the part large with its damage,
 * and whoever did it enlarged beside a bar as long as its body and itself at life size; else the other face, an early
 * sign or a sound one.
 */
export const Plate = memo(function Plate({
  id,
  d,
  name,
  size,
  seed = hash(id),
  width = 320,
  light,
}: {
  id: string;
  d: Drawing;
  name: string;
  size?: number[];
  seed?: number;
  width?: number /** Beside others: what differs is lit, the rest faded. */;
  light?: Light;
}) {
  const own = useId();
  const part = partOf(d);
  const who = hasBody(d);
  const alone = part === 'pest';
  const mm = size?.[1] ?? size?.[0] ?? 0;
  const small = width < 110;
  const look = lookOf(d);
  const words = damageOf(d);
  // A twig's many leaves have no one face; there the upper one is shown.
  const under =
    part === 'leaf' &&
    look.leaf.as !== 'twig' &&
    words.some((w) => below.has(w)) &&
    (!who || words.every((w) => below.has(w)));
  const faces = under && !who ? words.filter((w) => below.has(w) || w === 'curl') : words;
  const shownWords = (only?: Set<string>) => (only ? faces.filter((w) => only.has(w)) : faces);
  const tint = words.map((w) => tints[w]).find(Boolean);
  const lean = part === 'leaf' && !look.leaf.as.startsWith('need');
  const organ = (only?: Set<string>, bare?: boolean) => (
    <Part
      part={part}
      d={{ ...d, damage: shownWords(only) }}
      seed={seed}
      bare={bare}
      under={under}
      name={light ? undefined : `${own}f`}
    >
      {!bare && (!light || light.body) && part !== 'pot' && part !== 'turf' && (
        <Crowd d={d} part={part} seed={seed} mm={mm} body={`${own}w`} />
      )}
    </Part>
  );
  return (
    <svg
      viewBox={small ? (alone ? '0 0 250 300' : who ? '0 0 340 300' : '0 0 220 300') : `0 0 ${W} ${H}`}
      width={width}
      role="img"
      aria-label={`Drawing of ${name}`}
      style={{ display: 'block', maxWidth: '100%' }}
      data-plate={id}
    >
      {who && (
        <defs>
          <g id={`${own}w`}>
            <Body d={d} />
          </g>
        </defs>
      )}
      {!alone && (
        <g transform={`translate(8 8)${lean ? ' rotate(-6 100 150)' : ''}`} data-organ={part}>
          {light && (
            <g opacity=".22" data-faded>
              {organ()}
            </g>
          )}
          <g data-lit={light ? 'part' : undefined}>{light ? organ(light.words, !light.part) : organ()}</g>
        </g>
      )}
      {!alone && !small && look.id && part !== 'plant' && part !== 'turf' && (
        <g transform="translate(226 4) scale(1.08)" opacity={light ? 0.22 : 1}>
          <Habit
            look={look}
            tint={tint}
            limp={words.some((w) =>
              [
                'rotten-roots',
                'waterlogged',
                'brown-ring',
                'streams',
                'wet-stem',
                'black-shoot',
                'clubs',
                'chewed-roots',
                'black-foot',
                'big-grub',
                'half-wilted',
              ].includes(w),
            )}
          />
        </g>
      )}
      {who ? (
        <g opacity={light && !light.body ? 0.22 : 1}>
          <Inset d={d} mm={mm} width={width} alone={alone} body={`${own}w`} />
        </g>
      ) : (
        !small &&
        part !== 'pot' && (
          <Second
            part={part}
            d={d}
            seed={seed}
            under={under}
            again={
              under || light || words.some((w) => cuts.includes(w) || w === 'tubes' || w === 'narrow-white')
                ? undefined
                : `${own}f`
            }
          />
        )
      )}
    </svg>
  );
});

/** The plate of a scale that is settled on a slide: the hind end at stated lengths, below the drawing. */
export function SlidePlate({ d, width }: { d: Drawing; width?: number }) {
  const f = slideForm(d.slide);
  return f ? <Slide form={f} width={width} /> : null;
}
