/** How heavy it is, by what anybody sees. */
export const heavies = [
  { id: 'light', name: 'light: a few, one has to look for them', mark: <Sprig hit={[0, 2, 0, 0]} /> },
  { id: 'moderate', name: 'moderate: on many leaves, the plant grows on', mark: <Sprig hit={[5, 4, 6, 3]} /> },
  { id: 'heavy', name: 'heavy: leaves yellow, curl or fall, growth stops', mark: <Sprig hit={[9, 8]} sick /> },
];

/** A sprig of four leaves as it looks at each degree: so many specks on each; sick, they are yellow, hang, and two are gone. */
function Sprig({ hit, sick }: { hit: number[]; sick?: boolean }) {
  const places = [
    [14, -50],
    [22, 40],
    [30, -60],
    [38, 55],
  ] as const;
  return (
    <svg viewBox="0 0 48 56" width="40" height="46" aria-hidden="true" style={{ flex: 'none' }}>
      <path
        d={sick ? 'M24 55 V20 Q24 10 32 8' : 'M24 55 V6'}
        stroke="var(--leaf-line)"
        strokeWidth="2.2"
        fill="none"
        strokeLinecap="round"
      />
      {places.slice(0, hit.length).map(([y, turn], i) => (
        <g key={y} transform={`translate(24 ${y + 4}) rotate(${sick ? turn * 2.4 : turn})`}>
          <path
            d="M0 0 C-9 -6 -8 -16 0 -20 C8 -16 9 -6 0 0 Z"
            fill={sick ? '#e3cf6a' : 'var(--leaf)'}
            stroke="var(--leaf-line)"
            strokeWidth="1.3"
          />
          {Array.from({ length: hit[i] ?? 0 }, (_, k) => (
            <circle key={k} cx={((k * 5) % 9) - 4} cy={-5 - ((k * 7) % 12)} r="1.5" fill="#3a2c12" />
          ))}
        </g>
      ))}
    </svg>
  );
}
