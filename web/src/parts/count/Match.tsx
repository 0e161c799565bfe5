import { useId } from 'react';
import { lines, rings, taper } from '../../plates/kit/geo';
import { blade, outline, shares, sick } from '../../plates/severity';

const veins = lines(blade.sides);
const rib = rings(blade.ribs.map((r) => taper(r, 3, 0.8)));

/** A drawn leaf with so many per cent of its area sick; the line round the sick part is drawn within it, so that the area stays true. */
export function SickLeaf({ share, width = 56, seed = 'a' }: { share: number; width?: number; seed?: string }) {
  const id = useId();
  const d = sick(seed, share);
  return (
    <svg viewBox="2 0 96 142" width={width} height={(width * 142) / 96} aria-hidden="true">
      <clipPath id={`${id}l`}>
        <path d={outline} />
      </clipPath>
      <clipPath id={`${id}s`}>
        <path d={d} clipRule="evenodd" />
      </clipPath>
      <path d={outline} fill="var(--leaf-line)" transform="translate(1 .9)" />
      <path d={outline} fill="var(--leaf)" />
      <g clipPath={`url(#${id}l)`}>
        <path d="M50 0H100V140H50Z" fill="var(--leaf-shade)" opacity=".17" />
        <path d={veins} fill="none" stroke="var(--vein)" strokeWidth="1.2" />
        <path d={rib} fill="var(--vein)" />
        <path d={d} fill="#8a5a30" fillRule="evenodd" />
        <g clipPath={`url(#${id}s)`}>
          <path d={d} fill="none" stroke="#4d2c12" strokeWidth="2" />
        </g>
      </g>
      <path d={outline} fill="none" stroke="var(--leaf-line)" strokeWidth="1" />
    </svg>
  );
}

/** Hold a leaf beside the drawn ones and press the nearest; what was matched stands below. 0 is none, as in every count. */
export function Match({ severity, onMatch }: { severity: number[]; onMatch: (share: number) => void }) {
  return (
    <div className="match">
      <p className="quiet">Hold each leaf beside these and press the nearest: share of its area, true to the figure.</p>
      <div className="refs">
        {shares.map((s, i) => (
          <button type="button" key={s} onClick={() => onMatch(s)} data-share-of={s} aria-label={`${s} in 100`}>
            <SickLeaf share={s} />
            <span className="num">{s}</span>
            <i className="key" aria-hidden="true">
              {i}
            </i>
          </button>
        ))}
      </div>
      {severity.length > 0 && (
        <p className="num" data-matched>
          {severity.join(' · ')}
        </p>
      )}
    </div>
  );
}
