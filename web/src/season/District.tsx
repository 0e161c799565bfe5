import { useNavigate } from 'react-router';
import type { S } from '../api/client';
import { casesOf } from './links';

const side = [0, 1, 2, 3, 4, 5, 6, 7, 8];
const name = (x: number, y: number) => `${String.fromCharCode(65 + x)}${y + 1}`;

/** The district as nine by nine squares with the desk in the middle; the fuller the disc, the more came from there. */
export function District({ of }: { of: S['Season'] }) {
  const go = useNavigate();
  const most = Math.max(1, ...of.squares.map((s) => s.n));
  const from = new Map(of.squares.map((s) => [s.square, s]));
  const told = (s: S['SquareCount']) =>
    `${s.square}: ${s.n}, ${s.most.map((m) => `${m.n} ${m.name.toLowerCase()}`).join(', ')}`;
  return (
    <section className="sheet pad stack district" data-district={of.squares.length}>
      <h2>Where from</h2>
      <svg viewBox="-16 -14 290 290" role="group" aria-label="Squares of the district">
        {side.map((x) => (
          <g key={x} className="names">
            <text x={x * 30 + 15} y="-3" textAnchor="middle">
              {String.fromCharCode(65 + x)}
            </text>
            <text x="-5" y={x * 30 + 19} textAnchor="end">
              {x + 1}
            </text>
          </g>
        ))}
        {side.flatMap((y) =>
          side.map((x) => {
            const s = from.get(name(x, y));
            const box = <rect x={x * 30} y={y * 30} width="30" height="30" className="square" />;
            if (!s) return <g key={name(x, y)}>{box}</g>;
            const open = () => go(casesOf({ square: s.square, from: of.from, to: of.to }));
            return (
              <g
                key={s.square}
                role="button"
                tabIndex={0}
                aria-label={told(s)}
                className="from"
                onClick={open}
                onKeyDown={(e) => {
                  if (e.key !== 'Enter') return;
                  e.preventDefault();
                  e.stopPropagation();
                  open();
                }}
              >
                <title>{told(s)}</title>
                {box}
                <circle cx={x * 30 + 15} cy={y * 30 + 15} r={5 + 9 * Math.sqrt(s.n / most)} />
                <text x={x * 30 + 15} y={y * 30 + 19} textAnchor="middle">
                  {s.n}
                </text>
              </g>
            );
          }),
        )}
        <path d="M135 126 l8 8 v9 h-16 v-9z" className="desk" />
      </svg>
      <small>
        A square is {of.gridKm} km wide; the desk stands in E5.
        {of.nowhere > 0 && ` Of ${of.nowhere} nobody said where they grow.`}
      </small>
    </section>
  );
}
