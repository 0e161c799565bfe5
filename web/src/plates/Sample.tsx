import { useMemo } from 'react';
import type { View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Body, type Drawing } from './bodies';
import { dist, off, type P } from './kit/geo';
import type { Leaf } from './kit/leaf';
import { SignedLeaf } from './marks';
import { plantOf } from './plants/plants';
import { hash, scatter } from './random';
import { useSigns } from './signs';
import { Part } from './things';

type Props = {
  view: View;
  part: string;
  under: boolean;
  onFlip: () => void;
  next?: string;
  onGo: (finding: string) => void;
  /** A click on the drawing: where, and what kind of place it is. */
  onPlace: (spot: Spot, zone: string) => void;
};

export type Spot = { x: number; y: number };

/** What kind of place a point of the drawing is: on the leaf its margin, veins or axil; on the plant, another part. */
function zoneOf(part: string, p: Spot, leaf: Leaf): string {
  if (part === 'plant')
    return p.y > 232 ? 'pot' : p.y > 214 ? 'root' : p.y < 96 ? 'shoot' : Math.abs(p.x - 100) < 9 ? 'stem' : 'leaf';
  if (part !== 'leaf') return '';
  const q: P = [p.x, p.y];
  if (p.y > 238) return 'axil';
  if (leaf.blades.some((b) => off([...b.outline, b.outline[0] as P], q) < (b.wide > 60 ? 13 : 6))) return 'margin';
  return leaf.blades.some((b) => b.ribs.some((r) => off(r, q) < 8)) ? 'veins' : '';
}

/** Where the thing itself is drawn on each part, so that a leader ends on it: left, top, right, bottom. */
const bodies: Record<string, [number, number, number, number]> = {
  stem: [90, 40, 110, 250],
  root: [78, 130, 124, 236],
  fruit: [70, 92, 130, 176],
  flower: [76, 58, 126, 122],
  pot: [56, 168, 146, 232],
  plant: [78, 60, 122, 224],
};

/** The nearest point to where a leader would end that lies on what is drawn. */
function onThing(part: string, p: Spot, leaf: Leaf): Spot {
  const box = bodies[part];
  if (box) return { x: Math.max(box[0], Math.min(box[2], p.x)), y: Math.max(box[1], Math.min(box[3], p.y)) };
  const on = leaf.blades.flatMap((b) =>
    [0.2, 0.35, 0.5, 0.65, 0.8].flatMap((u) => [-0.6, 0, 0.6].map((v) => b.at(u, v))),
  );
  const [x, y] = on.reduce((best, q) => (dist(q, [p.x, p.y]) < dist(best, [p.x, p.y]) ? q : best), [100, 150] as P);
  return { x, y };
}

const titles: Record<string, string> = {
  asked: 'What the grower says',
  plant: 'The whole plant',
  shoot: 'Shoot tip',
  flower: 'Flower',
  fruit: 'Fruit',
  stem: 'Stem',
  root: 'Roots',
  pot: 'Pot and soil',
};

const rings: Record<string, [number, number]> = {
  leaf: [128, 120],
  shoot: [128, 90],
  stem: [100, 150],
  plant: [132, 130],
  flower: [130, 90],
  fruit: [126, 130],
  root: [100, 190],
  pot: [110, 160],
};

/** The picture becomes the sample: what was recorded is drawn where it was seen; what was looked at and absent is said below. */
export function Sample({ view, part, under, onFlip, next, onGo, onPlace }: Props) {
  const { data: kb } = useVocabulary();
  const seed = hash(view.id);
  const finds = useMemo(() => new Map((kb?.findings ?? []).map((f) => [f.id, f])), [kb]);
  const host = kb?.hosts.find((h) => h.id === view.intake.host);
  const look = plantOf(view.intake.host, host?.leaf);
  const where = part === 'shoot' ? 'leaf' : part;
  const { seen, absent, found, extra, add, animals, onThis, state } = useSigns(view, finds, part, under);
  const nextFind = next ? finds.get(next) : undefined;
  const glow = onThis(nextFind) ? rings[part] : undefined;
  const spots: [number, number, number, number, -1 | 1][] = [
    [-26, -6, 70, 64, -1],
    [-26, 298, 74, 176, -1],
    [226, 298, 130, 190, 1],
    [-26, 318, 90, 214, -1],
    [226, 318, 118, 220, 1],
    [-26, -26, 84, 40, -1],
  ];
  const labels = seen.slice(0, 6).map((x, i) => {
    const [lx, y, px, py, side] = spots[i] as [number, number, number, number, -1 | 1];
    const at = x.l.spot ?? onThing(part, { x: px, y: py }, look.leaf);
    return {
      text: state(x)?.said || `${x.f.short}: ${state(x)?.name}`,
      id: x.f.id,
      x: lx,
      y,
      px: at.x,
      py: at.y,
      side,
      room: i === 0 || i === 5 ? 38 : 24,
    };
  });
  const title = part === 'leaf' ? (under ? 'Underside' : 'Upper side') : (titles[part] ?? '');
  // The drawing is the dear part: it changes when what was recorded does, not with every key.
  const crowd = useMemo(
    () => (
      <>
        {animals.map((s, k) => {
          const a = { ...s.animals, ...(s.animals?.body === 'mite' ? extra : {}) } as Drawing;
          const box: [number, number, number, number] =
            where === 'stem' ? [84, 24, 116, 250] : where === 'root' ? [56, 120, 144, 240] : [48, 56, 152, 226];
          const big = ['caterpillar', 'sawfly-larva', 'grub-c', 'ladybird-larva'].includes(String(a.body))
            ? 0.42
            : 0.23;
          return scatter(seed + k * 17, s.n ?? 4, ...box).map((p, i) => (
            <g
              key={`${k}${i}`}
              transform={`translate(${p.x} ${p.y}) rotate(${p.r * 360}) scale(${big}) translate(-50 -50)`}
            >
              <Body d={a} />
            </g>
          ));
        })}
      </>
    ),
    [animals, extra, where, seed],
  );
  const drawn = useMemo(
    () =>
      part === 'leaf' || part === 'shoot' ? (
        <SignedLeaf
          spec={look.spec}
          under={under && part === 'leaf'}
          signs={found.flatMap((s) => (s.layers ?? []).map((name) => ({ name, amount: s.amount ?? 1 })))}
          seed={seed}
        >
          {crowd}
        </SignedLeaf>
      ) : part === 'asked' ? null : (
        <Part part={part} d={add} seed={seed} look={look} />
      ),
    [part, under, look, found, seed, crowd, add],
  );
  const said = [
    seen.length ? `seen: ${seen.map((x) => state(x)?.said || x.f.short).join(', ')}` : 'nothing recorded here yet',
    absent.length ? `looked, not there: ${absent.map((x) => x.f.short).join(', ')}` : '',
  ]
    .filter(Boolean)
    .join('; ');
  return (
    <div
      style={{ display: 'flex', flexDirection: 'column', minHeight: 0, flex: 1 }}
      data-sample={part}
      data-under={under}
    >
      <div className="row mid" style={{ padding: '8px 12px 0' }}>
        <span>
          <b>{title}</b>
          <small style={{ display: 'block' }}>
            {part === 'asked'
              ? 'sets the odds before you look'
              : host
                ? host.name.toLowerCase()
                : 'plant not known here'}
          </small>
        </span>
        {part === 'leaf' && (
          <button
            type="button"
            className="chip"
            onClick={onFlip}
            style={{ borderColor: 'var(--aub2)', fontWeight: 650 }}
          >
            Turn it over <kbd>f</kbd>
          </button>
        )}
      </div>
      {part === 'asked' ? (
        <dl className="pad" style={{ margin: 0, flex: 1, overflow: 'auto' }}>
          {seen.concat(absent).map((x) => (
            <div key={x.f.id} className="row" style={{ padding: '4px 0', borderBottom: '1px solid var(--hair)' }}>
              <dt className="quiet">{x.f.short}</dt>
              <dd style={{ margin: 0, textAlign: 'right' }}>{state(x)?.name}</dd>
            </div>
          ))}
          <p className="quiet" style={{ marginTop: 10 }}>
            “{view.intake.story}”
          </p>
        </dl>
      ) : (
        // biome-ignore lint/a11y/useKeyWithClickEvents: the list beside it does the same by keyboard
        <svg
          viewBox="-42 -58 284 400"
          style={{ flex: 1, minHeight: 0, width: '100%', cursor: 'crosshair' }}
          role="img"
          aria-label={`${title}: ${said}`}
          onClick={(e) => {
            const m = e.currentTarget.getScreenCTM();
            if (!m) return;
            const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m.inverse());
            const spot = { x: Math.round(p.x), y: Math.round(p.y) };
            onPlace(spot, zoneOf(part, spot, look.leaf));
          }}
        >
          {drawn}
          {['stem', 'root'].includes(part) && crowd}
          {labels.map((lab) => (
            <g key={lab.id}>
              <path
                d={`M${lab.x} ${lab.y + (lab.y < 100 ? 5 : -12)} L${lab.px} ${lab.py}`}
                stroke="var(--ink)"
                strokeWidth="1"
              />
              <circle cx={lab.px} cy={lab.py} r="2.6" fill="var(--ink)" />
              <text
                x={lab.side < 0 ? -38 : 238}
                y={lab.y}
                fontSize="11.5"
                textAnchor={lab.side < 0 ? 'start' : 'end'}
                fill="var(--ink)"
                style={{ paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 3 }}
              >
                {lab.text.length > lab.room ? `${lab.text.slice(0, lab.room - 1)}…` : lab.text}
              </text>
            </g>
          ))}
          {glow && nextFind && (
            // biome-ignore lint/a11y/noStaticElementInteractions: a convenience for the mouse; Enter does the same
            <g
              style={{ cursor: 'pointer' }}
              onClick={(e) => {
                e.stopPropagation();
                onGo(nextFind.id);
              }}
              data-glow={nextFind.id}
            >
              <circle cx={glow[0]} cy={glow[1]} r="27" fill="#e3a00822" stroke="var(--mari)" strokeWidth="3" />
              <path d={`M${glow[0] + 20} ${glow[1] - 20} L206 -2`} stroke="var(--mari)" strokeWidth="2" />
              <text
                x="238"
                y="-8"
                textAnchor="end"
                fontSize="12.5"
                fontWeight="700"
                fill="var(--mari-ink)"
                style={{ paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 3 }}
              >
                {nextFind.short}?
              </text>
            </g>
          )}
        </svg>
      )}
      <div style={{ padding: '2px 12px 8px', minHeight: 40 }}>
        <small>
          {absent.length
            ? `Looked, not there: ${absent.map((x) => x.f.short).join(' · ')}`
            : seen.length
              ? ''
              : 'Nothing recorded here yet.'}
        </small>
      </div>
    </div>
  );
}
