import { outline, shares, sick } from '../../plates/severity';

/** A drawn leaf with so many per cent of its area sick. */
export function SickLeaf({ share, width = 56, seed = 'a' }: { share: number; width?: number; seed?: string }) {
  return (
    <svg viewBox="2 0 96 140" width={width} height={(width * 140) / 96} aria-hidden="true">
      <path d={outline} fill="var(--leaf)" stroke="var(--leaf-line)" strokeWidth="2" />
      <path d={sick(seed, share)} fill="#7a4a22" fillRule="evenodd" />
      <path d="M50 8 V138" stroke="var(--leaf-line)" strokeWidth="1.4" />
    </svg>
  );
}

/** Hold a leaf beside the drawn ones and press the nearest; what was matched stands below. */
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
              {(i + 1) % 10}
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
