import type { ReactNode } from 'react';

/** What a drawing is told by the herbarium. */
export type Drawing = Record<string, unknown>;

const tones: Record<string, string> = {
  straw: '#c6cf7f',
  green: '#8fb04c',
  brick: '#b3452f',
  brown: '#7b5334',
  amber: '#d98f3d',
  pale: '#e6e7c4',
  white: '#f7f7f0',
  dark: '#3a342f',
  black: '#2a2726',
  purple: '#6d4560',
  crimson: '#a3203c',
  tan: '#c9a878',
  cream: '#f0e6c8',
  yellow: '#e4c940',
  red: '#c23b2e',
  grey: '#8f9590',
  orange: '#d9742b',
  pink: '#d99a9a',
  blue: '#6b86a8',
};
export const tone = (d: Drawing) => tones[String(d.colour)] ?? '#b9b39a';
const pen = {
  stroke: 'var(--pen, #2b2a26)',
  strokeWidth: 1.8,
  strokeLinecap: 'round' as const,
  strokeLinejoin: 'round' as const,
};

const legs = (pairs: [number, number, number, number, number, number][]) =>
  pairs.flatMap(([x1, y1, x2, y2, x3, y3], i) =>
    [1, -1].map((s) => (
      <path
        key={`${i}${s}`}
        d={`M${50 + s * x1} ${y1} L${50 + s * x2} ${y2} L${50 + s * x3} ${y3}`}
        fill="none"
        {...pen}
        strokeWidth={1.6}
      />
    )),
  );

const sixLegs = legs([
  [9, 40, 20, 32, 27, 22],
  [10, 50, 24, 50, 32, 56],
  [9, 58, 20, 66, 26, 82],
]);

type Plan = (d: Drawing) => ReactNode;

/** One body plan each, seen from above in a box of 100, head up; size is said by the size bar. */
export const bodies: Record<string, Plan> = {
  mite: (d) => {
    const long = d['front-legs'] === 'long';
    const pearShape = d.shape === 'pear';
    const body = pearShape
      ? 'M50 26 C60 26 64 38 70 56 C74 72 64 82 50 82 C36 82 26 72 30 56 C36 38 40 26 50 26 Z'
      : 'M50 22 C66 22 74 38 74 54 C74 72 64 84 50 84 C36 84 26 72 26 54 C26 38 34 22 50 22 Z';
    return (
      <>
        {legs([
          long ? [12, 32, 24, 12, 22, -6] : [14, 32, 28, 20, 34, 10],
          long ? [18, 42, 36, 34, 46, 26] : [20, 40, 34, 32, 43, 30],
          [22, 58, 36, 62, 45, 72],
          [18, 68, 30, 80, 36, 94],
        ])}
        <path d={body} fill={tone(d)} {...pen} />
        {d.marks === 'two-spots' && (
          <g fill="#3a3b22">
            <path d="M33 46 q7 -5 10 3 q1 10 -6 14 q-8 -4 -4 -17z" />
            <path d="M67 46 q-7 -5 -10 3 q-1 10 6 14 q8 -4 4 -17z" />
          </g>
        )}
        {d.marks === 'bristles' && (
          <g {...pen} strokeWidth={1.2}>
            {[34, 44, 56, 66].flatMap((x) =>
              [36, 52, 68].map((y) => <path key={`${x}${y}`} d={`M${x} ${y} l${(x - 50) / 3} -7`} />),
            )}
            {[38, 62].map((x) => (
              <circle key={x} cx={x} cy="44" r="1.6" fill="#f0cfc4" stroke="none" />
            ))}
          </g>
        )}
        {d.marks === 'shiny' && (
          <path
            d="M42 42 q4 -8 10 -8 M40 52 q0 -4 1 -6"
            fill="none"
            stroke="#fff"
            strokeWidth="3"
            strokeLinecap="round"
          />
        )}
        <path d="M45 22 L43 15 M55 22 L57 15" {...pen} strokeWidth={1.5} />
        <circle cx="43" cy="33" r="1.7" fill="#7d1f14" />
        <circle cx="57" cy="33" r="1.7" fill="#7d1f14" />
      </>
    );
  },
  thrips: (d) => (
    <>
      {legs([
        [6, 34, 17, 30, 22, 22],
        [7, 44, 19, 46, 24, 54],
        [7, 52, 18, 60, 22, 70],
      ])}
      {[-1, 1].map((s) => (
        <g key={s}>
          <path
            d={`M${50 + s * 5} 42 C${50 + s * 14} 56 ${50 + s * 13} 76 ${50 + s * 7} 90`}
            fill="none"
            {...pen}
            strokeWidth={d.wings === 'banded' ? 5 : 2.4}
            stroke={d.wings === 'banded' ? '#efe9da' : 'var(--pen, #2b2a26)'}
          />
          {d.wings === 'banded' && (
            <path
              d={`M${50 + s * 5} 42 C${50 + s * 14} 56 ${50 + s * 13} 76 ${50 + s * 7} 90`}
              fill="none"
              stroke="#2a2521"
              strokeWidth="5"
              strokeDasharray="9 9"
            />
          )}
          {Array.from({ length: 9 }, (_, i) => (
            <path key={i} d={`M${50 + s * (8 + i * 0.5)} ${50 + i * 4.4} l${s * 12} 6`} {...pen} strokeWidth={0.9} />
          ))}
        </g>
      ))}
      <path
        d="M50 14 C56 14 57 22 56 28 C60 34 60 46 58 56 C57 74 54 90 50 96 C46 90 43 74 42 56 C40 46 40 34 44 28 C43 22 44 14 50 14 Z"
        fill={tone(d)}
        {...pen}
      />
      {d.marks === 'bands' && <path d="M43 48 h14 M43 60 h14 M45 72 h10" stroke="#f3ead2" strokeWidth="3.4" />}
      <path d="M47 14 L42 3 M53 14 L58 3" {...pen} strokeWidth={2.2} fill="none" />
      <circle cx="46" cy="20" r="1.8" fill="#1e1a16" />
      <circle cx="54" cy="20" r="1.8" fill="#1e1a16" />
    </>
  ),
  aphid: (d) => (
    <>
      {d.wax === 'wool' && (
        <g fill="none" stroke="#ffffff" strokeWidth="4" strokeLinecap="round">
          {Array.from({ length: 16 }, (_, i) => (
            <path
              key={i}
              d={`M50 60 q${Math.cos(i * 0.41) * 26} ${Math.sin(i * 0.41) * 22} ${Math.cos(i * 0.41 + 0.4) * 46} ${Math.sin(i * 0.41 + 0.4) * 40}`}
            />
          ))}
        </g>
      )}
      {sixLegs}
      <path
        d="M50 24 C58 24 60 30 61 36 C72 44 76 60 70 74 C64 88 36 88 30 74 C24 60 28 44 39 36 C40 30 42 24 50 24 Z"
        fill={tone(d)}
        {...pen}
      />
      <path d="M40 38 q10 5 20 0" fill="none" {...pen} strokeWidth={1.3} />
      {d.tubes !== undefined && <path d="M37 74 L30 88 M63 74 L70 88" {...pen} strokeWidth={4} />}
      {d.tubes !== undefined && <path d="M50 84 V93" {...pen} strokeWidth={3} />}
      <path d="M46 25 C38 14 30 12 22 14 M54 25 C62 14 70 12 78 14" fill="none" {...pen} strokeWidth={1.5} />
      <circle cx="44" cy="29" r="2" fill="#451515" />
      <circle cx="56" cy="29" r="2" fill="#451515" />
      {d.wax === 'wool' && (
        <g fill="none" stroke="#fff" strokeWidth="3.4" strokeLinecap="round">
          <path d="M36 52 q-16 4 -24 18 M42 72 q-10 10 -8 22 M58 72 q12 8 8 22 M66 54 q16 6 20 20 M50 66 q2 14 -4 26" />
        </g>
      )}
      {d.wax === 'meal' && (
        <path d="M36 56 h28 M35 66 h30 M40 46 h20" stroke="#fff" strokeWidth="3" strokeDasharray="2 3" />
      )}
    </>
  ),
  leafhopper: (d) => (
    <>
      {legs([
        [10, 36, 20, 32, 26, 24],
        [10, 46, 20, 50, 26, 58],
        [8, 56, 24, 62, 20, 86],
      ])}
      <path
        d="M50 12 C61 14 66 22 66 30 L60 88 C56 95 44 95 40 88 L34 30 C34 22 39 14 50 12 Z"
        fill={tone(d)}
        {...pen}
      />
      <path
        d="M50 32 V92 M50 32 L36 30 M50 32 L64 30 M43 36 L45 84 M57 36 L55 84"
        fill="none"
        {...pen}
        strokeWidth={1.1}
      />
      {d.marks === 'spots' && (
        <g fill="#33201a">
          {[
            [42, 24],
            [58, 24],
            [42, 42],
            [58, 42],
            [44, 58],
            [56, 58],
          ].map(([x, y]) => (
            <circle key={`${x}${y}`} cx={x} cy={y} r="3" />
          ))}
        </g>
      )}
      {d.marks === 'zigzag' && (
        <path d="M40 38 l6 10 l-5 10 l6 10 M60 38 l-6 10 l5 10 l-6 10" stroke="#a3452c" strokeWidth="3" fill="none" />
      )}
      {d.marks === 'bands' && <path d="M37 44 h26 M38 64 h24" stroke="#7d2a20" strokeWidth="4" />}
      <circle cx="39" cy="22" r="4" fill="#2c2a20" />
      <circle cx="61" cy="22" r="4" fill="#2c2a20" />
      <path d="M46 13 L44 5 M54 13 L56 5" {...pen} strokeWidth={1} />
    </>
  ),
  'lace-bug': (d) => (
    <>
      {sixLegs}
      <path
        d="M50 20 C62 20 66 26 70 32 C80 34 82 56 78 84 C74 94 60 92 50 88 C40 92 26 94 22 84 C18 56 20 34 30 32 C34 26 38 20 50 20 Z"
        fill={tone(d)}
        fillOpacity=".75"
        {...pen}
      />
      <g fill="none" {...pen} strokeWidth={1}>
        {[38, 48, 58, 68, 78].flatMap((y) =>
          [28, 37, 63, 72].map((x) => <path key={`${x}${y}`} d={`M${x - 4} ${y} l4 -4.6 l4 4.6 l-4 4.6 z`} />),
        )}
        <path d="M50 34 V86 M36 34 Q44 60 46 88 M64 34 Q56 60 54 88" />
      </g>
      <path d="M24 60 h10 M76 60 h-10" stroke="#3d2c22" strokeWidth="4" />
      <path d="M50 12 C58 14 60 24 58 32 H42 C40 24 42 14 50 12 Z" fill="#4a3728" {...pen} />
      <path d="M46 14 L38 2 M54 14 L62 2" {...pen} strokeWidth={1.6} />
    </>
  ),
  whitefly: (d) => (
    <>
      {legs([
        [6, 36, 14, 30, 18, 22],
        [6, 46, 16, 48, 20, 56],
      ])}
      <path
        d="M50 26 L84 40 C90 56 84 76 70 84 C60 80 54 64 50 44 C46 64 40 80 30 84 C16 76 10 56 16 40 Z"
        fill={tone(d)}
        {...pen}
      />
      <path d="M50 30 L74 72 M50 30 L26 72" fill="none" {...pen} strokeWidth={1} />
      <path
        d="M50 14 C56 14 58 22 57 28 C58 40 55 56 50 64 C45 56 42 40 43 28 C42 22 44 14 50 14 Z"
        fill="#e8cf6c"
        {...pen}
      />
      <circle cx="45" cy="20" r="2.4" fill="#7d1f14" />
      <circle cx="55" cy="20" r="2.4" fill="#7d1f14" />
      <path d="M47 14 L42 5 M53 14 L58 5" {...pen} strokeWidth={1.2} />
    </>
  ),
  mealybug: (d) => (
    <>
      {d.wax !== 'dusty' &&
        Array.from({ length: 17 }, (_, i) => {
          const a = (-80 + i * 21) * (Math.PI / 180);
          const s = d.tails === 'long' && i >= 11 && i <= 13 ? 30 : 9;
          return (
            <path
              key={i}
              d={`M${50 + 26 * Math.cos(a)} ${54 + 32 * Math.sin(a)} l${Math.cos(a) * s} ${Math.sin(a) * s}`}
              stroke="#fff"
              strokeWidth="4.4"
              strokeLinecap="round"
            />
          );
        })}
      {d.tails === 'long' && (
        <path
          d="M44 84 C40 98 38 104 34 112 M56 84 C60 98 62 104 66 112"
          stroke="#fff"
          strokeWidth="4.4"
          fill="none"
          strokeLinecap="round"
        />
      )}
      <ellipse
        cx="50"
        cy="54"
        rx={d.wax === 'dusty' ? 18 : 25}
        ry={d.wax === 'dusty' ? 30 : 31}
        fill={tone(d)}
        {...pen}
      />
      {[38, 46, 54, 62, 70].map((y) => (
        <path
          key={y}
          d={`M${d.wax === 'dusty' ? 36 : 29} ${y} q${d.wax === 'dusty' ? 14 : 21} 6 ${d.wax === 'dusty' ? 28 : 42} 0`}
          fill="none"
          stroke="#c99f8f"
          strokeWidth="1.6"
        />
      ))}
      <path d="M50 30 V80" stroke="#e8d3c8" strokeWidth="2.4" />
      <path d="M44 25 L40 17 M56 25 L60 17" {...pen} strokeWidth={1.6} />
    </>
  ),
  cochineal: (d) => (
    <>
      <path
        d="M18 70 C10 48 24 26 50 24 C76 26 90 48 82 70 C86 86 66 90 50 86 C34 90 14 86 18 70 Z"
        fill="#fff"
        {...pen}
      />
      {Array.from({ length: 12 }, (_, i) => (
        <path
          key={i}
          d={`M${24 + i * 5} ${36 + (i % 3) * 12} q6 8 2 18`}
          stroke="#d8d8d0"
          strokeWidth="2"
          fill="none"
        />
      ))}
      <ellipse cx="50" cy="60" rx="20" ry="15" fill={tone(d)} {...pen} />
      <path d="M36 58 q14 6 28 0 M38 65 q12 5 24 0" fill="none" stroke="#5d0f20" strokeWidth="1.5" />
      <path d="M74 80 q8 6 4 12 q-6 0 -6 -6 q0 -4 2 -6" fill="#a3203c" />
    </>
  ),
  'cottony-scale': (d) => (
    <>
      <path d="M26 48 L30 92 C38 98 62 98 70 92 L74 48 Z" fill="#fff" {...pen} />
      {[34, 42, 50, 58, 66].map((x) => (
        <path key={x} d={`M${x} 50 L${40 + (x - 34) * 0.62} 93`} stroke="#bdbdb2" strokeWidth="2" />
      ))}
      <ellipse cx="50" cy="34" rx="26" ry="20" fill={tone(d)} {...pen} />
      <path d="M30 30 q20 8 40 0 M30 40 q20 8 40 0" fill="none" {...pen} strokeWidth={1.2} />
      <path d="M50 15 V54" stroke="#e8b27a" strokeWidth="2.4" />
    </>
  ),
  'soft-scale': (d) => (
    <>
      <path
        d="M50 18 C70 18 78 40 76 58 C74 78 62 86 50 86 C38 86 26 78 24 58 C22 40 30 18 50 18 Z"
        fill={tone(d)}
        {...pen}
      />
      <path d="M50 26 V74 M34 34 q16 8 32 0 M32 50 q18 8 36 0" fill="none" stroke="#5a3a20" strokeWidth="1.7" />
      <path d="M44 86 L50 74 L56 86" fill="none" {...pen} strokeWidth={1.6} />
      <path d="M36 36 q4 -10 12 -11" stroke="#f3e3c8" strokeWidth="3.4" fill="none" strokeLinecap="round" />
    </>
  ),
  'armored-scale': (d) => (
    <>
      {d.cover === 'long' ? (
        <path
          d="M40 14 C58 10 66 22 64 40 C66 66 62 88 50 92 C38 88 34 66 36 40 C34 28 34 18 40 14 Z"
          fill={tone(d)}
          {...pen}
        />
      ) : (
        <circle cx="47" cy="50" r="34" fill={tone(d)} {...pen} />
      )}
      {d.cover === 'long' ? (
        <ellipse cx="49" cy="23" rx="8" ry="9" fill="#8a5a2b" {...pen} />
      ) : (
        <circle cx="47" cy="50" r="9" fill="#8a5a2b" {...pen} />
      )}
      {d.cover !== 'long' && <circle cx="47" cy="50" r="22" fill="none" stroke="#a8885c" strokeWidth="1.6" />}
      <path d="M74 76 C82 70 94 74 94 84 C94 94 80 96 75 90 Z" fill="#ecd24d" {...pen} />
      <path d="M70 66 C76 62 80 64 84 68" fill="none" {...pen} strokeWidth={1.4} strokeDasharray="3 2.6" />
    </>
  ),
  'ladybird-larva': (d) =>
    d.wax === 'shaggy' ? (
      <>
        {sixLegs}
        {Array.from({ length: 15 }, (_, i) => {
          const s = i % 2 ? 1 : -1;
          const y = 24 + i * 4.4;
          return (
            <path
              key={i}
              d={`M50 ${y} q${s * 22} -4 ${s * 34} ${8 + (i % 4) * 5}`}
              stroke="#fff"
              strokeWidth="7"
              fill="none"
              strokeLinecap="round"
            />
          );
        })}
        <ellipse cx="50" cy="54" rx="16" ry="34" fill="#fbfbf4" stroke="#cfcfc4" strokeWidth="1.6" />
        <path d="M42 36 h16 M40 48 h20 M40 60 h20 M42 72 h16" stroke="#d6d6ca" strokeWidth="2" />
        <ellipse cx="50" cy="20" rx="9" ry="7" fill="#4a4038" {...pen} />
        <path d="M45 14 L42 7 M55 14 L58 7" {...pen} strokeWidth={2.2} />
      </>
    ) : (
      <>
        {sixLegs}
        <path
          d="M50 16 C60 16 66 30 66 46 C66 66 58 88 50 94 C42 88 34 66 34 46 C34 30 40 16 50 16 Z"
          fill={tone(d)}
          {...pen}
        />
        <g fill="#e0782b">
          <circle cx="42" cy="46" r="3.4" />
          <circle cx="58" cy="46" r="3.4" />
          <circle cx="43" cy="62" r="3.4" />
          <circle cx="57" cy="62" r="3.4" />
        </g>
        <path d="M36 40 h28 M36 54 h28 M38 68 h24" {...pen} strokeWidth={1.2} />
      </>
    ),
  caterpillar: (d) => {
    const n = Number(d.prolegs ?? 5);
    return (
      <g>
        {[22, 28, 34].map((x) => (
          <path key={x} d={`M${x} 60 l-1 8 l-3 3`} fill="none" {...pen} />
        ))}
        {Array.from({ length: n }, (_, i) => {
          const x = n <= 2 ? 78 + i * 10 : i === n - 1 ? 88 : 50 + i * (30 / Math.max(1, n - 1));
          return <path key={i} d={`M${x - 3} 60 v9 h6 v-9`} fill={tone(d)} {...pen} strokeWidth={1.5} />;
        })}
        <path
          d={
            n <= 2
              ? 'M14 52 C18 40 30 40 38 52 C46 20 64 16 76 50 C84 44 94 48 94 58 C92 66 80 66 74 62 C64 40 54 42 44 62 C34 68 18 66 14 60 Z'
              : 'M14 54 C14 42 24 40 32 42 H84 C94 42 96 54 92 60 C88 66 80 64 76 64 H30 C20 66 14 62 14 54 Z'
          }
          fill={tone(d)}
          {...pen}
        />
        {n > 2 &&
          [36, 46, 56, 66, 76].map((x) => (
            <path key={x} d={`M${x} 43 q-3 10 0 20`} fill="none" {...pen} strokeWidth={1} />
          ))}
        {d.marks === 'stripes' && (
          <path d="M30 49 H88 M30 57 H88" stroke="#2c2f1a" strokeWidth="2.4" strokeDasharray="6 3" />
        )}
        {d.marks === 'horn' && <path d="M90 44 q4 -12 8 -16" {...pen} strokeWidth={3} fill="none" />}
        {d.marks === 'cocoons' &&
          [38, 50, 62, 74].map((x) => (
            <ellipse key={x} cx={x} cy="36" rx="4.4" ry="9" fill="#fff" {...pen} strokeWidth={1.2} />
          ))}
        <circle cx="19" cy="53" r="6" fill={d.marks === 'stripes' ? '#2c2a20' : tone(d)} {...pen} />
      </g>
    );
  },
  'sawfly-larva': (d) => (
    <g>
      {[22, 28, 34].map((x) => (
        <path key={x} d={`M${x} 60 l-1 8 l-3 3`} fill="none" {...pen} />
      ))}
      {Array.from({ length: Number(d.prolegs ?? 7) }, (_, i) => (
        <path key={i} d={`M${40 + i * 7.2} 60 v8 h5 v-8`} fill={tone(d)} {...pen} strokeWidth={1.4} />
      ))}
      <path
        d="M12 52 C12 42 24 40 32 42 H80 C94 42 99 28 94 18 C104 30 100 60 84 64 H30 C20 66 12 62 12 52 Z"
        fill={tone(d)}
        {...pen}
      />
      <g fill="#222">
        {[32, 42, 52, 62, 72, 82].flatMap((x) =>
          [48, 56].map((y) => <circle key={`${x}${y}`} cx={x} cy={y} r="1.9" />),
        )}
      </g>
      <circle cx="18" cy="52" r="7.4" fill="#1f1d1a" {...pen} />
    </g>
  ),
  'grub-c': (d) => (
    <>
      <path
        d="M30 26 C60 10 88 28 86 58 C84 84 52 92 38 78 C32 72 36 62 44 66 C56 74 70 66 70 54 C70 40 54 34 40 42 C30 46 24 34 30 26 Z"
        fill={tone(d)}
        {...pen}
      />
      {[0, 1, 2, 3, 4, 5].map((i) => (
        <path
          key={i}
          d={`M${48 + i * 6.6} ${22 + i * i * 1.6} q-4 8 -3 ${13 + i}`}
          fill="none"
          {...pen}
          strokeWidth={1.1}
        />
      ))}
      <circle cx="31" cy="34" r="10" fill="#9a5a28" {...pen} />
      <path d="M24 40 l-5 5 M28 43 l-3 7" {...pen} strokeWidth={2} />
      {Number(d.legs) > 0 && <path d="M44 42 l-6 10 M52 42 l-4 11 M60 44 l-2 11" fill="none" {...pen} />}
    </>
  ),
  weevil: (d) => (
    <>
      {sixLegs}
      <path d="M50 40 C66 40 70 58 66 74 C62 88 38 88 34 74 C30 58 34 40 50 40 Z" fill={tone(d)} {...pen} />
      <path d="M44 14 h12 l3 14 c4 4 4 12 0 14 h-18 c-4 -2 -4 -10 0 -14 z" fill={tone(d)} {...pen} />
      <path d="M46 16 L36 10 L32 22 M54 16 L64 10 L68 22" fill="none" {...pen} />
      <g fill="#c9a46a">
        {[44, 56].flatMap((x) => [54, 64, 74].map((y) => <circle key={`${x}${y}`} cx={x} cy={y} r="1.5" />))}
      </g>
      <path d="M50 42 V86" {...pen} strokeWidth={1.2} />
    </>
  ),
  beetle: (d) => (
    <>
      {sixLegs}
      <path d="M50 38 C72 38 74 60 68 76 C62 90 38 90 32 76 C26 60 28 38 50 38 Z" fill={tone(d)} {...pen} />
      <path d="M38 26 h24 q6 6 4 13 h-32 q-2 -7 4 -13 z" fill={d.collar ? String(d.collar) : tone(d)} {...pen} />
      <ellipse cx="50" cy="20" rx="9" ry="7" fill="#2b2622" {...pen} />
      <path d="M50 38 V88" {...pen} strokeWidth={1.4} />
      {d.marks === 'spots' &&
        [42, 58].flatMap((x) =>
          [50, 62, 74].map((y) => <circle key={`${x}${y}`} cx={x} cy={y} r="3.4" fill="#1e1a17" />),
        )}
      {d.marks === 'stripes' && <path d="M40 44 V80 M60 44 V80" stroke="#1e1a17" strokeWidth="4.4" />}
      {d.marks === 'cross' && <path d="M50 42 V86 M36 54 H64 M38 72 H62" stroke="#f1e6c8" strokeWidth="4" />}
      {d.marks === 'tufts' &&
        [44, 54, 64, 74].flatMap((y) =>
          [30, 70].map((x) => (
            <circle key={`${x}${y}`} cx={x} cy={y} r="2.6" fill="#fff" stroke="#555" strokeWidth=".8" />
          )),
        )}
      <path d="M45 15 C40 6 34 4 28 6 M55 15 C60 6 66 4 72 6" fill="none" {...pen} strokeWidth={1.4} />
    </>
  ),
  bug: (d) => (
    <>
      {sixLegs}
      <path
        d={
          d.shape === 'shield'
            ? 'M50 18 L78 36 C80 60 68 84 50 92 C32 84 20 60 22 36 Z'
            : 'M50 16 C60 16 64 28 66 40 C68 66 60 88 50 94 C40 88 32 66 34 40 C36 28 40 16 50 16 Z'
        }
        fill={tone(d)}
        {...pen}
      />
      <path d="M36 40 L50 62 L64 40 Z" fill="#ffffff55" {...pen} strokeWidth={1.4} />
      <path d="M50 62 L40 86 M50 62 L60 86" fill="none" {...pen} strokeWidth={1.2} />
      {d.shape === 'leaf-foot' && (
        <path d="M70 74 l12 8 l-6 12 l-8 -8 z M30 74 l-12 8 l6 12 l8 -8 z" fill={tone(d)} {...pen} />
      )}
      <path d="M46 16 L34 4 M54 16 L66 4" {...pen} />
      <circle cx="43" cy="22" r="2.4" fill="#1e1a17" />
      <circle cx="57" cy="22" r="2.4" fill="#1e1a17" />
    </>
  ),
  fly: (d) => (
    <>
      {sixLegs}
      <path
        d="M54 36 C74 40 88 60 82 78 C68 78 56 60 52 44 Z M46 36 C26 40 12 60 18 78 C32 78 44 60 48 44 Z"
        fill="#f4f6f4"
        fillOpacity=".85"
        {...pen}
        strokeWidth={1.2}
      />
      <path
        d="M50 30 C58 30 58 44 57 52 C56 72 54 84 50 88 C46 84 44 72 43 52 C42 44 42 30 50 30 Z"
        fill={tone(d)}
        {...pen}
      />
      <circle cx="50" cy="23" r="8" fill={tone(d)} {...pen} />
      <circle cx="44" cy="22" r="4" fill="#7d2a1f" />
      <circle cx="56" cy="22" r="4" fill="#7d2a1f" />
      {d.feelers === 'long' && (
        <path d="M46 16 C40 4 30 0 22 2 M54 16 C60 4 70 0 78 2" fill="none" {...pen} strokeWidth={1.3} />
      )}
      {d.marks === 'bands' && <path d="M43 56 h14 M43 66 h14 M45 76 h10" stroke="#f2d54a" strokeWidth="4" />}
    </>
  ),
  maggot: (d) => (
    <>
      <path
        d="M14 60 C18 44 40 38 66 42 C84 44 92 54 88 62 C80 72 52 72 34 70 C22 70 14 66 14 60 Z"
        fill={tone(d)}
        {...pen}
      />
      {[30, 42, 54, 66, 78].map((x) => (
        <path key={x} d={`M${x} 44 q-4 12 0 24`} fill="none" {...pen} strokeWidth={1} />
      ))}
      {d.head === 'black' ? (
        <circle cx="16" cy="59" r="6" fill="#1c1917" />
      ) : (
        <path d="M14 58 l-4 -3 M14 62 l-4 2" {...pen} />
      )}
    </>
  ),
  psyllid: (d) => (
    <>
      {legs([
        [8, 34, 18, 28, 24, 20],
        [9, 42, 20, 44, 26, 52],
        [8, 50, 18, 58, 16, 72],
      ])}
      <path
        d="M52 34 C74 44 80 70 70 92 C58 88 52 66 50 46 Z M48 34 C26 44 20 70 30 92 C42 88 48 66 50 46 Z"
        fill="#eef2ee"
        fillOpacity=".85"
        {...pen}
        strokeWidth={1.3}
      />
      <path
        d="M50 16 C60 16 62 26 60 36 C60 54 56 66 50 72 C44 66 40 54 40 36 C38 26 40 16 50 16 Z"
        fill={tone(d)}
        {...pen}
      />
      <path d="M45 16 L36 2 M55 16 L64 2" {...pen} strokeWidth={1.6} />
      <circle cx="42" cy="22" r="3.4" fill="#5d1d14" />
      <circle cx="58" cy="22" r="3.4" fill="#5d1d14" />
    </>
  ),
  froghopper: (d) => (
    <>
      <g fill="#fff" stroke="#b9c4c4" strokeWidth="1.4">
        {[
          [30, 60, 16],
          [52, 70, 18],
          [72, 58, 15],
          [44, 46, 15],
          [62, 42, 12],
          [26, 42, 9],
          [80, 74, 9],
        ].map(([x, y, r]) => (
          <circle key={`${x}${y}`} cx={x} cy={y} r={r} />
        ))}
      </g>
      <ellipse cx="52" cy="58" rx="13" ry="9" fill={tone(d)} {...pen} />
      <circle cx="42" cy="54" r="2.4" fill="#2b2622" />
    </>
  ),
  slug: (d) => (
    <>
      {d.shell !== undefined && (
        <path
          d="M44 58 C40 34 62 20 78 34 C92 48 82 70 62 68 C52 66 48 52 60 46 C70 44 74 56 66 58"
          fill="#c9a06a"
          {...pen}
        />
      )}
      <path
        d="M10 62 C10 50 24 46 36 54 C54 58 76 54 92 70 C80 76 30 76 16 72 C12 70 10 66 10 62 Z"
        fill={tone(d)}
        {...pen}
      />
      <path d="M16 50 L10 36 M24 48 L24 34" {...pen} />
      <circle cx="10" cy="35" r="2" fill="#222" />
      <circle cx="24" cy="33" r="2" fill="#222" />
      <path d="M6 80 C30 84 60 78 96 82" stroke="#b9c4c8" strokeWidth="3" fill="none" />
    </>
  ),
  earwig: (d) => (
    <>
      {sixLegs}
      <path d="M43 22 h14 l3 14 v34 c0 8 -20 8 -20 0 v-34 z" fill={tone(d)} {...pen} />
      <path d="M42 40 h16 M41 50 h18 M41 60 h18" {...pen} strokeWidth={1.2} />
      <path d="M44 74 C36 84 40 94 47 96 M56 74 C64 84 60 94 53 96" fill="none" {...pen} strokeWidth={3} />
      <path d="M46 22 C40 10 32 6 24 8 M54 22 C60 10 68 6 76 8" fill="none" {...pen} />
    </>
  ),
  woodlouse: (d) => (
    <>
      {legs(
        [0, 1, 2, 3, 4, 5].map((i): [number, number, number, number, number, number] => [
          22,
          34 + i * 8,
          30,
          36 + i * 8,
          34,
          40 + i * 8,
        ]),
      )}
      <ellipse cx="50" cy="54" rx="25" ry="34" fill={tone(d)} {...pen} />
      {[34, 42, 50, 58, 66, 74].map((y) => (
        <path key={y} d={`M27 ${y} q23 8 46 0`} fill="none" {...pen} strokeWidth={1.4} />
      ))}
      <path d="M42 22 L34 10 M58 22 L66 10" {...pen} />
    </>
  ),
  millipede: (d) => (
    <>
      {Array.from({ length: 14 }, (_, i) => (
        <path key={i} d={`M${14 + i * 5.4} 60 l-2 11 M${14 + i * 5.4} 44 l-2 -10`} {...pen} strokeWidth={1.2} />
      ))}
      <path d="M8 52 C8 44 16 42 24 43 H82 C94 43 94 61 82 61 H24 C16 62 8 60 8 52 Z" fill={tone(d)} {...pen} />
      {Array.from({ length: 12 }, (_, i) => (
        <path key={i} d={`M${20 + i * 6} 43 v18`} {...pen} strokeWidth={1} />
      ))}
    </>
  ),
  'lacewing-egg': () => (
    <>
      <path d="M6 84 H94" stroke="var(--leaf-line)" strokeWidth="4" strokeLinecap="round" />
      {[22, 42, 62, 80].map((x, i) => (
        <g key={x}>
          <path d={`M${x} 84 C${x + 2} 64 ${x - 2} 50 ${x} ${32 + i * 3}`} fill="none" {...pen} strokeWidth={1.1} />
          <ellipse cx={x} cy={26 + i * 3} rx="5" ry="8.5" fill="#eef3d2" {...pen} strokeWidth={1.4} />
        </g>
      ))}
    </>
  ),
  'lacewing-larva': (d) => (
    <>
      {sixLegs}
      <path
        d="M50 28 C60 28 66 44 64 58 C62 76 54 90 50 94 C46 90 38 76 36 58 C34 44 40 28 50 28 Z"
        fill={tone(d)}
        {...pen}
      />
      <path d="M38 44 h24 M37 56 h26 M39 68 h22" stroke="#8a4a2b" strokeWidth="3" />
      <path d="M44 28 C40 20 40 12 47 6 M56 28 C60 20 60 12 53 6" fill="none" {...pen} strokeWidth={2.6} />
      {[42, 54, 66].flatMap((y) =>
        [1, -1].map((s) => (
          <path key={`${y}${s}`} d={`M${50 + s * 14} ${y} l${s * 8} -3`} {...pen} strokeWidth={1.1} />
        )),
      )}
    </>
  ),
  'hover-larva': (d) => (
    <>
      <path
        d="M50 8 C56 20 66 46 64 66 C62 86 56 94 50 94 C44 94 38 86 36 66 C34 46 44 20 50 8 Z"
        fill={tone(d)}
        {...pen}
      />
      <path d="M50 20 V84" stroke="#fff" strokeWidth="4" />
      {[38, 52, 66, 80].map((y) => (
        <path
          key={y}
          d={`M${y < 50 ? 41 : 38} ${y} q12 6 ${y < 50 ? 18 : 24} 0`}
          fill="none"
          {...pen}
          strokeWidth={1}
        />
      ))}
    </>
  ),
  mummy: (d) => (
    <>
      {legs([
        [16, 46, 24, 40, 28, 34],
        [17, 60, 26, 64, 30, 70],
      ])}
      <path
        d="M50 24 C70 24 76 44 74 58 C72 78 62 86 50 86 C38 86 28 78 26 58 C24 44 30 24 50 24 Z"
        fill={tone(d)}
        {...pen}
      />
      <circle cx="56" cy="64" r="9" fill="#1d1712" {...pen} strokeWidth={1.4} />
      <path d="M66 58 q6 -8 10 0 q-2 8 -10 8" fill={tone(d)} {...pen} strokeWidth={1.3} />
      <path d="M36 40 q4 -10 12 -10" stroke="#fff8e0" strokeWidth="3" fill="none" />
    </>
  ),
  'beetle-eggs': (d) => (
    <>
      {Array.from({ length: 11 }, (_, i) => (
        <ellipse
          key={i}
          cx={26 + (i % 4) * 16 + (Math.floor(i / 4) % 2) * 7}
          cy={34 + Math.floor(i / 4) * 19}
          rx="5.2"
          ry="11"
          fill={tone(d)}
          {...pen}
          strokeWidth={1.3}
        />
      ))}
    </>
  ),
  pupa: (d) => (
    <>
      <path
        d="M50 18 C70 20 78 44 72 66 C68 82 58 88 50 88 C42 88 32 82 28 66 C22 44 30 20 50 18 Z"
        fill={tone(d)}
        {...pen}
      />
      <path d="M32 46 h36 M30 58 h40 M34 70 h32" {...pen} strokeWidth={1.3} />
      <g fill="#1e1a17">
        {[40, 60].flatMap((x) => [36, 52, 64].map((y) => <circle key={`${x}${y}`} cx={x} cy={y} r="3" />))}
      </g>
      <path d="M42 88 v8 h16 v-8" fill="#3b352e" {...pen} />
    </>
  ),
  spider: (d) => (
    <>
      {legs([
        [8, 36, 28, 18, 38, 4],
        [10, 42, 34, 34, 46, 26],
        [10, 46, 34, 56, 46, 68],
        [8, 50, 26, 74, 34, 94],
      ])}
      <ellipse cx="50" cy="66" rx="17" ry="21" fill={tone(d)} {...pen} />
      <ellipse cx="50" cy="38" rx="11" ry="12" fill={tone(d)} {...pen} />
      <path d="M44 62 q6 -8 12 0 M44 72 q6 -8 12 0" fill="none" stroke="#fff" strokeWidth="2" />
    </>
  ),
  springtail: (d) => (
    <>
      {sixLegs}
      <path
        d="M50 20 C60 20 62 32 62 44 C62 66 58 80 50 84 C42 80 38 66 38 44 C38 32 40 20 50 20 Z"
        fill={tone(d)}
        {...pen}
      />
      <path d="M50 84 V92 L44 103 M50 92 L56 103" {...pen} strokeWidth={2} />
      <path d="M46 20 C42 10 36 6 30 8 M54 20 C58 10 64 6 70 8" fill="none" {...pen} strokeWidth={1.4} />
    </>
  ),
  psocid: (d) => (
    <>
      {sixLegs}
      <path d="M50 34 C62 36 68 54 64 72 C60 86 40 86 36 72 C32 54 38 36 50 34 Z" fill={tone(d)} {...pen} />
      <circle cx="50" cy="24" r="12" fill={tone(d)} {...pen} />
      <path d="M42 14 C30 4 20 2 10 4 M58 14 C70 4 80 2 90 4" fill="none" {...pen} strokeWidth={1.2} />
      <path d="M38 50 h24 M37 62 h26" {...pen} strokeWidth={1.1} />
    </>
  ),
  bee: (d) => (
    <>
      {sixLegs}
      <path
        d="M54 36 C76 26 90 38 84 54 C70 60 58 52 52 44 Z M46 36 C24 26 10 38 16 54 C30 60 42 52 48 44 Z"
        fill="#eef2f2"
        fillOpacity=".85"
        {...pen}
        strokeWidth={1.2}
      />
      <path d="M50 32 C66 34 68 56 64 72 C60 88 40 88 36 72 C32 56 34 34 50 32 Z" fill={tone(d)} {...pen} />
      <path d="M35 52 h30 M35 63 h30 M39 75 h22" stroke="#2a2521" strokeWidth="4.4" />
      <circle cx="50" cy="24" r="10" fill="#3d342b" {...pen} />
      <path d="M44 16 C40 8 34 6 30 8 M56 16 C60 8 66 6 70 8" fill="none" {...pen} />
    </>
  ),
  nematode: (d) => (
    <path
      d="M18 78 C34 92 46 62 40 50 C34 36 52 18 62 30 C72 44 56 66 72 74 C82 78 88 66 84 54"
      fill="none"
      stroke={tone(d)}
      strokeWidth="8"
      strokeLinecap="round"
    />
  ),
  ant: (d) => (
    <>
      {sixLegs}
      <ellipse cx="50" cy="72" rx="13" ry="18" fill={tone(d)} {...pen} />
      <ellipse cx="50" cy="46" rx="8" ry="11" fill={tone(d)} {...pen} />
      <circle cx="50" cy="24" r="11" fill={tone(d)} {...pen} />
      <path d="M44 15 L36 8 L30 14 M56 15 L64 8 L70 14" fill="none" {...pen} />
    </>
  ),
};

export const hasBody = (d: Drawing) => typeof d.body === 'string' && d.body in bodies;
export const Body = ({ d }: { d: Drawing }) => <>{bodies[String(d.body)]?.(d)}</>;
