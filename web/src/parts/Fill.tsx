import { useId } from 'react';
import type { S } from '../api/client';

const tones: Record<string, string> = {
  water: 'color-mix(in srgb, var(--pond) 30%, var(--sheet))',
  emulsifier: 'var(--ochre)',
  powder: 'var(--wood)',
  oil: 'var(--mari)',
  soap: 'var(--lichen)',
  alcohol: 'var(--aub2)',
  liquid: 'var(--brick)',
};
const H = 96;

const sprayer = 'M22 20 H56 V26 C56 30 66 32 66 40 V128 a5 5 0 0 1 -5 5 H17 a5 5 0 0 1 -5 -5 V40 C12 32 22 30 22 26 Z';
const outlines: Record<string, string> = {
  sprayer,
  jar: 'M16 22 H62 V30 H16 Z M18 30 C14 33 12 35 12 40 V128 a5 5 0 0 0 5 5 H61 a5 5 0 0 0 5 -5 V40 C66 35 64 33 60 30',
  bowl: 'M2 26 H76 C76 84 68 116 52 133 H26 C10 116 2 84 2 26 Z',
  'watering can':
    'M12 32 H66 V128 a5 5 0 0 1 -5 5 H17 a5 5 0 0 1 -5 -5 Z M66 112 L76 60 M73 58 L78 62 M18 32 C18 14 60 14 60 32',
};

/** One small vessel for each step, of the kind it is mixed in: what is in it so far, and what goes in now, lit on top. */
export function Fill({ tank, vessel }: { tank: S['Tank']; vessel?: string }) {
  const clip = useId();
  const outline = outlines[vessel ?? 'sprayer'] ?? sprayer;
  // A bowl is wider than it is straight: what is in it follows its side.
  const inside = vessel === 'bowl' ? { x: 2, width: 74, clipPath: `url(#${clip})` } : { x: 13, width: 52 };
  return (
    <ol className="fill" data-fill={tank.steps.length}>
      {tank.steps.map((s, i) => {
        const before = tank.steps[i - 1]?.levelMl ?? 0;
        const share = (ml: number) => (ml / tank.volume) * H;
        // What is poured in is drawn at least as a line: 12 mL in 1 L would not be seen.
        const top = Math.max(share(s.levelMl) - share(before), 4);
        const y0 = 128 - share(before);
        const layers = tank.steps.slice(0, i).reduce<{ y: number; h: number; form: string }[]>((a, x, k) => {
          const from = tank.steps[k - 1]?.levelMl ?? 0;
          const h = Math.max(share(x.levelMl - from), x.form === 'water' ? 0 : 3);
          a.push({ y: 128 - share(from) - h, h, form: x.form });
          return a;
        }, []);
        return (
          <li key={`${s.adds}${i}`}>
            <svg viewBox="0 0 78 142" width="78" role="img" aria-label={`Step ${i + 1}: ${s.text}`}>
              <clipPath id={clip}>
                <path d={outline} />
              </clipPath>
              {layers.map((l, k) => (
                <rect key={k} {...inside} y={l.y} height={l.h} fill={tones[l.form] ?? tones.liquid} opacity=".55" />
              ))}
              <rect {...inside} y={y0 - top} height={top} fill={tones[s.form] ?? tones.liquid} />
              <path d={outline} fill="none" stroke="var(--ink)" strokeWidth="1.6" strokeLinejoin="round" />
              <path d={`M7 ${y0 - top} H17`} stroke="var(--brick)" strokeWidth="2" />
              <path
                d={`M39 4 V${Math.max(10, y0 - top - 6)}`}
                stroke={tones[s.form] ?? tones.liquid}
                strokeWidth="4"
                strokeLinecap="round"
                strokeDasharray={s.form === 'powder' ? '2 5' : undefined}
              />
            </svg>
            <span>
              <b>{i + 1}.</b> {s.text}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
