import { legs, type Plan, pen, sixLegs, tone } from './pen';

/** Helpers, and creatures that do no harm, each seen from above in a box of 100, head up. */
export const helpers: Record<string, Plan> = {
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
