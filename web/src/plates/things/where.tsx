import { HindEnd, type HindEndForm, HindEndLengths, hindEndSpots } from './hindend';

type Ring = [number, number, number, number];
const line = 'var(--slide-ink)';
const body = '#f3e2b8';

/** A cleared scale seen whole at low power, for what is not on its hind end. */
function WholeScale({ shape }: { shape?: string }) {
  const outline: Record<string, string> = {
    round: 'M160 20 C230 20 262 84 258 140 C254 200 206 240 160 250 C114 240 66 200 62 140 C58 84 90 20 160 20 Z',
    pear: 'M160 20 C236 20 250 88 236 132 C224 178 184 230 160 250 C136 230 96 178 84 132 C70 88 84 20 160 20 Z',
    long: 'M160 18 C184 20 196 56 206 110 C216 170 200 220 160 250 C120 220 104 170 114 110 C124 56 136 20 160 18 Z',
    kidney: 'M160 24 C236 22 276 86 262 168 C256 226 214 236 192 206 L160 216 L128 206 C106 236 64 226 58 168 C44 86 84 22 160 24 Z',
    swollen: 'M160 20 C244 20 256 100 214 122 C204 150 196 210 160 250 C124 210 116 150 106 122 C64 100 76 20 160 20 Z',
    eared: 'M160 28 C188 28 206 40 214 54 C236 46 244 70 226 78 C232 140 204 214 160 250 C116 214 88 140 94 78 C76 70 84 46 106 54 C114 40 132 28 160 28 Z',
    thread: 'M160 12 C174 12 178 60 178 130 C178 200 172 240 160 254 C148 240 142 200 142 130 C142 60 146 12 160 12 Z',
  };
  return (
    <g>
      <path d={outline[shape ?? 'pear'] ?? outline.pear} fill={body} stroke={line} strokeWidth="2" />
      <path d="M148 84 q12 -14 24 0 q-4 20 -12 22 q-8 -2 -12 -22 Z" fill="#e8c88a" stroke={line} strokeWidth="1.4" />
      <path d="M124 104 h10 M186 104 h10 M122 146 h10 M188 146 h10" stroke={line} strokeWidth="3" />
      <path d="M136 218 q24 10 48 0" fill="none" stroke={line} strokeWidth="1.4" />
    </g>
  );
}

/** The cover as it lies on the plant. */
function Cover({ shape }: { shape?: string }) {
  const outline: Record<string, string> = {
    round: 'M160 46 a92 88 0 1 1 -0.1 0 Z',
    oyster: 'M188 30 C232 60 226 170 150 240 C96 222 116 140 138 92 C150 64 160 34 188 30 Z',
    pear: 'M160 34 C196 60 232 150 214 214 C190 250 130 250 106 214 C88 150 124 60 160 34 Z',
    narrow: 'M150 28 C176 26 184 60 184 140 C184 214 178 244 160 248 C142 244 136 214 136 140 C136 60 130 32 150 28 Z',
    skin: 'M160 34 C190 44 204 90 204 140 C204 200 184 240 160 246 C136 240 116 200 116 140 C116 90 130 44 160 34 Z',
  };
  return (
    <g>
      <path d={outline[shape ?? 'round'] ?? outline.round} fill="#d9c39a" stroke={line} strokeWidth="2" />
      <ellipse cx="160" cy="72" rx="18" ry="22" fill="#a9783a" stroke={line} strokeWidth="1.4" />
      <path d="M122 130 q38 18 76 0 M120 166 q40 18 80 0" fill="none" stroke="#b79a62" strokeWidth="1.4" />
    </g>
  );
}

function Mealybug() {
  return (
    <g>
      <ellipse cx="160" cy="138" rx="84" ry="112" fill={body} stroke={line} strokeWidth="2" />
      {[80, 104, 128, 152, 176, 200].map((y) => (
        <path key={y} d={`M88 ${y} Q160 ${y + 12} 232 ${y}`} fill="none" stroke="#c9ae72" strokeWidth="1.2" />
      ))}
      {Array.from({ length: 9 }, (_, i) => 50 + i * 22).map((y) =>
        [-1, 1].map((s) => {
          const x = 160 + s * 84 * Math.sqrt(Math.max(0.05, 1 - ((y - 138) / 112) ** 2));
          return <path key={`${y}${s}`} d={`M${x} ${y} l${s * 9} -3 M${x} ${y} l${s * 9} 3`} stroke={line} strokeWidth="1.3" />;
        }),
      )}
      <path d="M138 40 q-26 -8 -30 -30 M182 40 q26 -8 30 -30" fill="none" stroke={line} strokeWidth="3" strokeDasharray="7 2" />
      <path d="M104 96 l-30 -8 M216 96 l30 -8 M98 140 l-32 6 M222 140 l32 6 M110 184 l-24 24 M210 184 l24 24" stroke={line} strokeWidth="3" />
      <circle cx="160" cy="164" r="9" fill="none" stroke={line} strokeWidth="1.6" />
      <path d="M150 236 h20 l-10 -18 Z" fill="#a9783a" stroke={line} strokeWidth="1.2" />
      <path d="M146 252 l-10 16 M174 252 l10 16" stroke={line} strokeWidth="1.4" />
    </g>
  );
}

function Thrips() {
  return (
    <g fill={body} stroke={line} strokeWidth="1.8">
      <path d="M138 60 h44 v34 h-44 Z" />
      <path d="M128 94 h64 v38 h-64 Z" />
      <path d="M124 132 h72 v32 h-72 Z" />
      <path d="M128 164 C124 214 146 252 160 258 C174 252 196 214 192 164 Z" />
      {[184, 202, 220, 236].map((y) => (
        <path key={y} d={`M${130 + (y - 164) * 0.3} ${y} H${190 - (y - 164) * 0.3}`} strokeWidth="1.1" />
      ))}
      <circle cx="144" cy="76" r="7" fill="#7a3b2e" />
      <circle cx="176" cy="76" r="7" fill="#7a3b2e" />
      <path d="M156 66 h1 M164 66 h1 M160 62 h1" strokeWidth="3" />
      <path d="M150 60 L128 14 M170 60 L192 14" strokeDasharray="8 2" strokeWidth="4" fill="none" />
      <path d="M194 138 C250 130 286 168 300 214 C262 206 214 190 196 162 Z" fill="#fbf6e6" />
      <path d="M204 146 C244 148 276 176 292 208" fill="none" strokeWidth="1.2" />
      <path
        d={Array.from({ length: 14 }, (_, i) => `M${214 + i * 6} ${188 + i * 2.2} l4 26 M${106 - i * 6} ${188 + i * 2.2} l-4 26`).join(' ')}
        fill="none"
        strokeWidth=".9"
      />
      <path d="M126 138 C70 130 34 168 20 214 C58 206 106 190 124 162 Z" fill="#fbf6e6" />
      <path d="M132 96 l-10 -14 M188 96 l10 -14 M130 130 l-14 8 M190 130 l14 8" />
    </g>
  );
}

function Mite() {
  return (
    <g fill={body} stroke={line} strokeWidth="1.8">
      <ellipse cx="160" cy="140" rx="66" ry="88" />
      {[96, 124, 152, 184].map((y) => [-1, 1].map((s) => <path key={`${y}${s}`} d={`M${160 + s * 26} ${y} l${s * 8} -18`} strokeWidth="1.3" />))}
      <path d="M112 84 L70 44 L44 50 M208 84 L250 44 L276 50" fill="none" strokeWidth="5" />
      <path d="M98 116 L48 108 M222 116 L272 108 M98 170 L44 190 M222 170 L276 190" fill="none" strokeWidth="5" />
      <path d="M110 204 L70 244 M210 204 L250 244" fill="none" strokeWidth="5" />
      <path d="M44 50 l-12 -2 M44 50 l-10 8 M44 50 l-6 -8" strokeWidth="1.4" />
      <path d="M154 56 l-4 -18 M166 56 l4 -18" strokeWidth="3" />
      <path d="M160 226 q2 18 -8 24 q10 2 14 -4" fill="none" strokeWidth="2.4" />
    </g>
  );
}

/** Spores as they are borne, each kind by its bearing; without one told, those met most. */
function Spores({ bearing }: { bearing?: string }) {
  const ball = (x: number, y: number, r = 9) => <circle key={`${x} ${y}`} cx={x} cy={y} r={r} />;
  const kinds: Record<string, React.ReactNode> = {
    chains: [90, 160, 230].map((x) => [0, 1, 2, 3].map((i) => <ellipse key={`${x}${i}`} cx={x} cy={200 - i * 38} rx="12" ry="19" />)),
    trees: (
      <>
        <path
          d="M160 250 V120 M160 170 L110 120 M160 150 L214 100 M110 120 L86 80 M110 120 L130 74 M214 100 L194 54 M214 100 L246 64"
          fill="none"
          strokeWidth="3"
        />
        {[
          [84, 66],
          [132, 60],
          [192, 40],
          [250, 50],
          [160, 104],
        ].map(([x, y]) => (
          <path key={x} d={`M${x} ${(y as number) - 17} c14 6 14 26 0 30 c-14 -4 -14 -24 0 -30 l0 -6`} />
        ))}
      </>
    ),
    clusters: (
      <>
        <path d="M160 250 V110 M160 130 L120 90 M160 130 L200 90" fill="none" strokeWidth="3" />
        {[
          [120, 80],
          [108, 92],
          [132, 92],
          [118, 68],
          [200, 80],
          [188, 92],
          [212, 92],
          [202, 68],
          [160, 100],
          [148, 88],
          [172, 88],
          [160, 74],
        ].map(([x, y]) => ball(x as number, y as number))}
      </>
    ),
    pustules: (
      <>
        <path d="M30 200 Q160 120 290 200" fill="none" strokeWidth="3" />
        {[70, 100, 130, 160, 190, 220, 250].map((x, i) => ball(x, 168 - (i % 3) * 26, 13))}
      </>
    ),
    dots: (
      <>
        <path d="M100 250 C40 170 120 110 150 100 C152 92 168 92 170 100 C200 110 280 170 220 250 Z" />
        {[0, 1, 2, 3, 4].map((i) => (
          <path key={i} d={`M${150 + i * 5} 96 C${120 + i * 22} 60 ${130 + i * 16} 40 ${100 + i * 32} 18`} fill="none" strokeWidth="4" />
        ))}
      </>
    ),
    cushions: (
      <>
        <path d="M40 220 Q160 150 280 220 Z" />
        {[80, 130, 190, 240].map((x) => (
          <path key={x} d={`M${x} 196 L${x + 4} 96`} strokeWidth="4" />
        ))}
        {[104, 152, 172, 214].map((x, i) => (
          <ellipse key={x} cx={x} cy={140 - (i % 2) * 26} rx="7" ry="20" transform={`rotate(${i * 12 - 18} ${x} 140)`} />
        ))}
      </>
    ),
    single: (
      <>
        <path d="M80 250 V180 M160 250 V190 M240 250 V180" fill="none" strokeWidth="5" />
        {[80, 160, 240].map((x) => (
          <g key={x}>
            <path
              d={`M${x - 14} 172 C${x - 20} 130 ${x - 8} 100 ${x - 3} 60 L${x} 20 L${x + 3} 60 C${x + 8} 100 ${x + 20} 130 ${x + 14} 172 Z`}
              fill="#b08a50"
            />
            <path d={`M${x - 16} 150 H${x + 16} M${x - 14} 126 H${x + 14} M${x - 9} 102 H${x + 9} M${x} 150 V126`} />
          </g>
        ))}
      </>
    ),
  };
  return (
    <g fill={body} stroke={line} strokeWidth="1.8">
      {kinds[bearing ?? 'trees']}
    </g>
  );
}

const spots: Record<string, Record<string, Ring>> = {
  'soft scale or mealybug': {
    tail: [160, 236, 26, 22],
    margin: [76, 140, 18, 110],
    head: [160, 24, 62, 26],
    ducts: [190, 96, 28, 26],
    legs: [92, 200, 30, 26],
    belly: [160, 164, 26, 26],
    back: [160, 120, 56, 60],
  },
  thrips: {
    head: [160, 40, 56, 46],
    body: [160, 110, 44, 30],
    shield: [160, 112, 48, 26],
    wing: [250, 170, 58, 46],
    tail: [160, 232, 34, 26],
    back: [160, 148, 38, 18],
  },
  mite: {
    foot: [44, 50, 26, 22],
    back: [160, 130, 56, 66],
    organ: [158, 240, 20, 18],
    legs: [74, 226, 44, 30],
    body: [160, 140, 78, 98],
  },
};

/** Where a character is looked for: the animal of its group with a ring round the place, armored scales by what was seen. */
export function Where({
  group,
  spot,
  form,
  width = 320,
}: {
  group: string;
  spot?: string;
  form: HindEndForm & { body?: string; cover?: string };
  width?: number;
}) {
  const armored = group === 'armored scale';
  const whole = armored && ['body', 'breathing-pores', 'spurs'].includes(spot ?? '');
  const cover = armored && spot === 'cover';
  const rings: Record<string, Ring> = armored
    ? {
        ...hindEndSpots,
        body: [160, 134, 112, 124],
        'breathing-pores': [128, 104, 20, 14],
        spurs: [104, 190, 18, 34],
        cover: [160, 140, 112, 112],
      }
    : (spots[group] ?? {});
  const ring = spot ? rings[spot] : undefined;
  return (
    <svg
      viewBox="0 0 320 270"
      width={width}
      role="img"
      aria-label={`Where it lies: ${spot ?? 'the whole'}`}
      style={{ display: 'block', maxWidth: '100%' }}
      data-where={spot ?? ''}
    >
      <rect width="320" height="270" rx="10" fill="var(--behind)" />
      {cover ? (
        <Cover shape={form.cover} />
      ) : whole ? (
        <WholeScale shape={form.body} />
      ) : armored ? (
        <HindEnd form={form} />
      ) : group === 'thrips' ? (
        <Thrips />
      ) : group === 'spores' ? (
        <Spores bearing={(form as { bearing?: string }).bearing} />
      ) : group === 'mite' ? (
        <Mite />
      ) : (
        <Mealybug />
      )}
      {armored && ['opening', 'gap'].includes(spot ?? '') ? (
        <HindEndLengths form={form} spot={spot ?? ''} />
      ) : (
        ring && <ellipse cx={ring[0]} cy={ring[1]} rx={ring[2]} ry={ring[3]} fill="none" stroke="var(--mari)" strokeWidth="4" />
      )}
    </svg>
  );
}
