import { legs, type Plan, pen, sixLegs, tone } from './pen';

/** Sap suckers, each seen from above in a box of 100, head up. */
export const sap: Record<string, Plan> = {
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
      {d.shape === 'capsid' && (
        <path d="M41 44 V80 M59 44 V80 M44 66 L56 66" fill="none" stroke="#5a3a1c" strokeWidth="2.4" />
      )}
      {d.shape === 'flower' && (
        <path d="M36 44 h28 M34 70 L66 70 L50 90 Z" fill="#f4f1e4" stroke="#2b2a26" strokeWidth="1.6" />
      )}
      {d.shape === 'leaf-foot' && (
        <path d="M70 74 l12 8 l-6 12 l-8 -8 z M30 74 l-12 8 l6 12 l8 -8 z" fill={tone(d)} {...pen} />
      )}
      <path d="M46 16 L34 4 M54 16 L66 4" {...pen} />
      <circle cx="43" cy="22" r="2.4" fill="#1e1a17" />
      <circle cx="57" cy="22" r="2.4" fill="#1e1a17" />
    </>
  ),
};
