import type { S } from '../../api/client';

const leaf = 'M0 0 C-9 -5 -9 -16 0 -22 C9 -16 9 -5 0 0 Z';

/** Which leaves, shoots or places are counted: a plant with the ones that are taken ringed. */
export function HowTo({ of }: { of: S['Sampling'] }) {
  return (
    <div className="howto">
      <Where spots={of.spots} />
      <p>
        <b>Count {of.where}.</b> {of.how.slice(0, 1).toUpperCase() + of.how.slice(1)}.{' '}
        <small>{of.take} mostly do.</small>
      </p>
    </div>
  );
}

function Where({ spots }: { spots: string }) {
  const ring = (x: number, y: number, r = 9) => (
    <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill="none" stroke="var(--mari)" strokeWidth="3" />
  );
  const ground = (
    <>
      <path d="M4 70 Q50 60 96 70 V94 H4 Z" fill="var(--leaf)" stroke="var(--leaf-line)" strokeWidth="1.6" />
      {[18, 34, 50, 66, 82].map((x, i) => (
        <rect
          key={x}
          x={x - 5}
          y={72 + (i % 2) * 6}
          width="10"
          height="10"
          fill="none"
          stroke="var(--mari)"
          strokeWidth="3"
        />
      ))}
    </>
  );
  const leaves: [number, number, number][] = [
    [50, 84, -62],
    [50, 78, 62],
    [50, 62, -58],
    [50, 56, 60],
    [50, 42, -52],
    [50, 36, 52],
    [50, 22, -34],
    [50, 18, 36],
  ];
  const plant = (x: number, k: number) => (
    <g key={x} transform={`translate(${x} 0) scale(${k})`}>
      <path d="M50 96 V12" stroke="var(--leaf-line)" strokeWidth="2.4" fill="none" />
      {leaves.map(([lx, ly, turn]) => (
        <path
          key={`${ly}`}
          d={leaf}
          transform={`translate(${lx} ${ly}) rotate(${turn})`}
          fill="var(--leaf)"
          stroke="var(--leaf-line)"
          strokeWidth="1.4"
        />
      ))}
      <path
        d={leaf}
        transform="translate(50 14) scale(.7)"
        fill="var(--leaf)"
        stroke="var(--leaf-line)"
        strokeWidth="2"
      />
    </g>
  );
  return (
    <svg viewBox="0 0 100 100" width="96" height="96" role="img" aria-label="Where they are taken">
      {spots === 'ground' && ground}
      {spots === 'plants' && [-14, 16, 46].map((x) => plant(x, 0.72))}
      {spots === 'plants' && [22, 82].map((x) => ring(x, 44, 14))}
      {!['ground', 'plants'].includes(spots) && plant(0, 1)}
      {spots === 'leaves' && [...[33, 67].map((x) => ring(x, 50)), ring(32, 74), ring(66, 30)]}
      {spots === 'tips' && [ring(50, 8, 8), ring(40, 10, 7), ring(61, 8, 7)]}
      {spots === 'flowers' && (
        <>
          {[30, 50, 70].map((x) => (
            <circle key={x} cx={x} cy={x === 50 ? 12 : 22} r="7" fill="#d98cb0" stroke="var(--leaf-line)" />
          ))}
          {ring(30, 22, 11)}
          {ring(70, 22, 11)}
        </>
      )}
    </svg>
  );
}
