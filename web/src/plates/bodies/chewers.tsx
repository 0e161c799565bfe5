import { legs, type Plan, pen, sixLegs, tone } from './pen';

/** Chewers, miners and what lives in the soil, each seen from above in a box of 100, head up. */
export const chewers: Record<string, Plan> = {
  caterpillar: (d) => {
    const n = Number(d.prolegs ?? 5);
    if (d.marks === 'curled')
      return (
        <g>
          <path
            d="M30 30 C52 8 92 24 90 58 C86 90 44 96 28 78 C22 70 30 60 40 66 C52 76 72 70 72 54 C70 38 50 36 42 44 C34 52 22 40 30 30 Z"
            fill={tone(d)}
            {...pen}
          />
          {[0, 1, 2, 3, 4].map((i) => (
            <path
              key={i}
              d={`M${46 + i * 9} ${20 + i * i * 2.2} q-4 9 -2 ${14 + i}`}
              fill="none"
              {...pen}
              strokeWidth={1.1}
            />
          ))}
          <circle cx="33" cy="37" r="7" fill="#4d3320" {...pen} />
          <path d="M44 50 l-3 8 M50 48 l-2 9 M56 50 l-1 8" {...pen} strokeWidth={1.6} />
        </g>
      );
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
        {d.marks === 'rolled' && (
          <path d="M60 34 q16 -12 34 4 M58 72 q18 10 36 -4" stroke="#fff" strokeWidth="3" fill="none" />
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
  nematode: (d) => (
    <path
      d="M18 78 C34 92 46 62 40 50 C34 36 52 18 62 30 C72 44 56 66 72 74 C82 78 88 66 84 54"
      fill="none"
      stroke={tone(d)}
      strokeWidth="8"
      strokeLinecap="round"
    />
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
};
