import { type Plan, pen, tone } from './pen';

/** Mealybugs, cochineal and scales, each seen from above in a box of 100, head up. */
export const scales: Record<string, Plan> = {
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
  'soft-scale': (d) => {
    const ball = d.cover === 'half-ball';
    const waxy = d.cover === 'waxy';
    return (
      <>
        <path
          d={
            ball
              ? 'M50 12 C76 12 90 32 88 54 C86 78 70 88 50 88 C30 88 14 78 12 54 C10 32 24 12 50 12 Z'
              : waxy
                ? 'M50 10 C78 8 92 30 90 54 C92 80 70 92 50 88 C28 92 8 78 10 52 C8 30 24 10 50 10 Z'
                : 'M50 12 C68 12 74 38 72 58 C70 80 60 90 50 90 C40 90 30 80 28 58 C26 38 32 12 50 12 Z'
          }
          fill={tone(d)}
          {...pen}
        />
        {ball ? (
          <>
            <path d="M28 34 q12 -14 26 -13" stroke="#f7e6cf" strokeWidth="6" fill="none" strokeLinecap="round" />
            <path d="M20 70 q30 18 60 0" fill="none" stroke="#3b2413" strokeWidth="2.4" />
          </>
        ) : waxy ? (
          <>
            <path
              d="M24 40 q12 8 26 2 q14 -6 26 4 M20 58 q16 8 30 2 q14 -6 30 4"
              fill="none"
              stroke="#e9d9c3"
              strokeWidth="4"
            />
            <path d="M32 24 q16 -8 34 0" stroke="#fff" strokeWidth="4" fill="none" />
          </>
        ) : (
          <path d="M50 20 V80 M36 36 q14 8 28 0 M34 54 q16 8 32 0" fill="none" stroke="#5a3a20" strokeWidth="1.7" />
        )}
        <path d="M44 90 L50 78 L56 90" fill="none" {...pen} strokeWidth={1.6} />
      </>
    );
  },
  'armored-scale': (d) => {
    const cover = String(d.cover ?? 'round-flat');
    const long: Record<string, string> = {
      boat: 'M50 8 C60 14 66 34 66 56 C66 78 60 92 50 96 C40 92 34 78 34 56 C34 34 40 14 50 8 Z',
      oyster: 'M46 8 C56 10 58 28 60 44 C66 66 66 84 54 94 C38 92 32 70 38 46 C38 28 36 12 46 8 Z',
      pear: 'M50 8 C58 10 60 22 64 38 C74 60 72 84 50 94 C28 84 26 60 36 38 C40 22 42 10 50 8 Z',
    };
    const shape = long[cover];
    const off = cover === 'nipple' ? [58, 42] : [47, 50];
    return (
      <>
        {shape ? (
          <path d={shape} fill={tone(d)} {...pen} />
        ) : (
          <circle
            cx="47"
            cy="50"
            r={cover === 'small' ? 24 : 35}
            fill={tone(d)}
            fillOpacity={cover === 'clear' ? 0.55 : 1}
            {...pen}
          />
        )}
        {cover === 'clear' && (
          <path
            d="M47 30 C58 32 62 46 58 58 C52 68 42 68 36 58 C32 46 36 32 47 30 Z"
            fill="#e2803c"
            {...pen}
            strokeWidth={1.2}
          />
        )}
        {cover === 'dome' && (
          <>
            <circle cx="47" cy="50" r="25" fill="#ffffff26" stroke="#5e625d" strokeWidth="1.4" />
            <path d="M26 38 q8 -14 20 -16" stroke="#fff" strokeWidth="4" fill="none" strokeLinecap="round" />
          </>
        )}
        {cover === 'boat' && <path d="M50 20 V92" {...pen} strokeWidth={2.6} />}
        {cover === 'nipple' && (
          <>
            <circle cx={off[0]} cy={off[1]} r="13" fill="none" stroke="#5e625d" strokeWidth="1.8" />
            <circle cx={off[0]} cy={off[1]} r="6.5" fill="#33261c" />
          </>
        )}
        {cover === 'round-flat' && <circle cx="47" cy="50" r="22" fill="none" stroke="#a8885c" strokeWidth="1.6" />}
        {shape ? (
          <ellipse cx={cover === 'oyster' ? 46 : 50} cy="17" rx="7" ry="9" fill="#b06a2c" {...pen} strokeWidth={1.3} />
        ) : (
          cover !== 'nipple' &&
          cover !== 'clear' && (
            <circle
              cx="47"
              cy="50"
              r={cover === 'small' ? 6 : 8}
              fill={d.spot ? String(d.spot) : '#8a5a2b'}
              {...pen}
              strokeWidth={1.3}
            />
          )
        )}
        <path d="M74 76 C82 70 94 74 94 84 C94 94 80 96 75 90 Z" fill="#ecd24d" {...pen} />
        <path d="M70 66 C76 62 80 64 84 68" fill="none" {...pen} strokeWidth={1.4} strokeDasharray="3 2.6" />
      </>
    );
  },
};
