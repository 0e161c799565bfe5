import { by6, type Drawing, dots, feelers, Hull, ink, legs, lines, mirror, type P, type Profile, pen, side, soft, tone, xy } from './pen';

export const drawBug = (d: Drawing) => {
  const s = String(d.shape ?? '');
  const p: Profile =
    s === 'shield'
      ? xy('10 6, 15 10, 22 14, 30 30, 34 35, 44 32, 60 31, 76 25, 88 13, 93 4')
      : s === 'chinch'
        ? xy('10 5, 16 8, 24 12, 34 15, 50 16, 70 15, 84 10, 92 4')
        : s === 'flower'
          ? xy('10 4, 16 7, 24 12, 34 16, 50 19, 68 19, 82 13, 91 4')
          : s === 'leaf-foot'
            ? xy('8 4, 13 7, 20 10, 30 19, 40 19, 56 17, 74 15, 88 9, 94 3')
            : xy('10 5, 15 9, 23 13, 34 18, 50 19, 68 18, 82 12, 92 4');
  const leg = `color-mix(in srgb, ${tone(d)} 72%, #2c2014)`;
  return (
    <>
      {legs(by6('12 32 28 24 36 12, 16 46 35 48 45 60, 15 60 30 72 36 96'), 3.2, leg)}
      {s === 'leaf-foot' && mirror((q) => <path d={soft(side(q, '29 72, 40 78, 41 92, 35 96, 30 88'))} fill={leg} {...pen} strokeWidth="1" />)}
      <Hull p={p} fill={tone(d)} />
      <path d={s === 'shield' ? 'M20 34Q50 40 80 34' : `M${50 - 17} 35Q50 40 ${50 + 17} 35`} fill="none" {...pen} strokeWidth="1" />
      <path d={s === 'shield' ? 'M36 37L50 62L64 37Z' : 'M41 37L50 52L59 37Z'} fill={`color-mix(in srgb, ${tone(d)} 80%, #fff)`} {...pen} strokeWidth="1" />
      <path d={s === 'shield' ? 'M50 62L36 90M50 62L64 90' : 'M50 52L38 82M50 52L62 82'} fill="none" {...pen} strokeWidth="1" />
      <path d={s === 'shield' ? 'M41 77L50 64L59 77Q50 93 41 77Z' : 'M42 74L50 55L58 74Q50 92 42 74Z'} fill="#3a3026" opacity=".45" />
      {s === 'shield' && (
        <path
          d={lines(
            [0, 1, 2, 3].flatMap((i): P[][] => [
              [
                [19 + i * 2, 52 + i * 8],
                [24 + i * 2, 52 + i * 8],
              ],
              [
                [81 - i * 2, 52 + i * 8],
                [76 - i * 2, 52 + i * 8],
              ],
            ]),
          )}
          stroke="#f1e3bf"
          strokeWidth="3.4"
        />
      )}
      {s === 'chinch' && <path d="M36 42L50 60L64 42L60 88Q50 94 40 88Z" fill="#f6f3e8" stroke={ink} strokeWidth="1" />}
      {s === 'chinch' && <path d="M36 60l8 6l-6 6zM64 60l-8 6l6 6z" fill="#1b1817" />}
      {s === 'flower' && <path d="M33 38L48 44L42 64L34 58ZM67 38L52 44L58 64L66 58Z" fill="#f6f0dc" stroke={ink} strokeWidth=".9" />}
      {s === 'flower' && <path d="M40 70L50 62L60 70L56 88Q50 92 44 88Z" fill="#f6f3e8" stroke={ink} strokeWidth=".9" opacity=".9" />}
      {s === 'capsid' && <path d="M44 76L50 62L56 76Z" fill="#6b4a1c" opacity=".6" />}
      {s === 'leaf-foot' && <path d="M34 56l8-3l6 4l8-4l9 3" fill="none" stroke="#f6ecd0" strokeWidth="2.6" />}
      <path
        d={dots(
          s === 'shield'
            ? [
                [40, 19],
                [60, 19],
              ]
            : [
                [42, 19],
                [58, 19],
              ],
        )}
        stroke="#1e1a17"
        strokeWidth="4.4"
        strokeLinecap="round"
      />
      {feelers('thread', 4, 12, s === 'leaf-foot' ? 22 : 19, -9, 1.6)}
      {s === 'shield' && <path d="M31 8l4-1M69 8l-4-1M27 5l2 0M73 5l-2 0" stroke="#f6ecd0" strokeWidth="1.6" />}
    </>
  );
};

export const drawLace = (d: Drawing) => {
  const wing = (s: 1 | -1): P[] => [
    [50 + s * 6, 32],
    [50 + s * 24, 30],
    [50 + s * 33, 42],
    [50 + s * 34, 66],
    [50 + s * 28, 90],
    [50 + s * 14, 94],
    [50, 82],
  ];
  return (
    <>
      {legs(by6('12 34 28 26 36 14, 14 46 36 50 45 60, 14 60 34 76 40 92'), 2.4, '#c9b48a')}
      <Hull p={xy('30 9, 44 13, 60 13, 78 9, 86 4')} fill="#5a4534" light={0} />
      {mirror((s) => (
        <>
          <path d={soft(wing(s))} fill={tone(d)} fillOpacity=".78" {...pen} strokeWidth="1.1" />
          <path
            d={lines(
              Array.from({ length: 6 }, (_, r) =>
                Array.from({ length: 4 }, (_, c): P[] => {
                  const x = 50 + s * (9 + c * 7 + (r % 2) * 2);
                  const y = 38 + r * 9;
                  return [
                    [x - 3.4, y],
                    [x, y - 4.4],
                    [x + 3.4, y],
                    [x, y + 4.4],
                    [x - 3.4, y],
                  ];
                }),
              ).flat(),
            )}
            fill="none"
            stroke="#4a3a2a"
            strokeWidth=".8"
          />
          <path d={soft(side(s, '12 44, 31 50, 31 58, 14 56'))} fill="#4a3324" opacity=".75" />
        </>
      ))}
      <path d={soft(xy('50 8, 60 14, 64 26, 58 34, 42 34, 36 26, 40 14'))} fill="#e9e2c4" {...pen} />
      <path
        d={lines([
          [
            [42, 16],
            [58, 16],
          ],
          [
            [40, 23],
            [60, 23],
          ],
          [
            [42, 30],
            [58, 30],
          ],
          [
            [46, 11],
            [44, 33],
          ],
          [
            [54, 11],
            [56, 33],
          ],
        ])}
        stroke="#4a3a2a"
        strokeWidth=".8"
      />
      {feelers('club', 5, 12, 14, -10, 1.2)}
    </>
  );
};
