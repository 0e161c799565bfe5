import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Problem, S } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Sample } from '../plates/Sample';
import { Trouble } from '../ui/bits';
import { useDrawable } from './drawable';

/** What the case was, what it was worth, and the same once more beside an expert. */
export function Replay({
  of,
  sample,
  onNext,
  trouble,
}: {
  of: S['Score'];
  sample: S['PracticeCase'];
  onNext: () => void;
  trouble: Problem | null;
}) {
  return (
    <div className="two" data-score={of.points}>
      <div className="stack">
        {of.faults.map((f) => (
          <div key={f} className="notice brick" role="alert">
            <b>First of all.</b> {f}
          </div>
        ))}
        <section className="sheet pad stack">
          <div className="row mid">
            <h2>It was {of.truthId ? <Link to={`/plates/${of.truthId}`}>{of.truth.toLowerCase()}</Link> : of.truth}</h2>
            <b className="num scorenum">{of.points}</b>
          </div>
          <table className="lines">
            <tbody>
              {of.parts.map((p) => (
                <tr key={p.name}>
                  <th scope="row">{p.name}</th>
                  <td className="num">
                    {p.points}/{p.most}
                  </td>
                  <td>{p.why}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {of.tilt && <p>{of.tilt}</p>}
          <Trouble of={trouble} />
          <Button
            variant="contained"
            className="primary"
            onClick={onNext}
            style={{ justifySelf: 'start' }}
            data-do="next-case"
          >
            Another
          </Button>
        </section>
        <Split of={of} sample={sample} />
      </div>
      <div className="stack">
        <Path name="What you asked" steps={of.steps} minutes={of.minutes} mine />
        <Path name="What the book would have asked" steps={of.expert} minutes={of.expertMinutes} />
      </div>
    </div>
  );
}

/** The look that split it, on the drawing of what was there. */
function Split({ of, sample }: { of: S['Score']; sample: S['PracticeCase'] }) {
  const { data: kb } = useVocabulary();
  const looks = useMemo(() => of.expert.flatMap((s) => s.looks), [of]);
  const view = useDrawable(sample, looks);
  const f = kb?.findings.find((x) => x.id === of.split);
  const [under, setUnder] = useState<boolean | null>(null);
  if (!f || f.part === 'asked') return null;
  return (
    <section className="sheet pad split" data-split-drawn={f.id}>
      <Sample
        view={view}
        part={f.part}
        under={under ?? f.where === 'underside'}
        onFlip={() => setUnder(!(under ?? f.where === 'underside'))}
        onGo={() => {}}
        onPlace={() => {}}
      />
    </section>
  );
}

/** Look by look: how likely the right plan was after each, as a bar. */
function Path({
  name,
  steps,
  minutes,
  mine,
}: {
  name: string;
  steps: S['LookTaken'][];
  minutes: number;
  mine?: boolean;
}) {
  return (
    <section className="sheet pad stack" data-path={steps.length}>
      <div className="row mid">
        <h2>{name}</h2>
        <small className="num">{minutes < 10 ? minutes.toFixed(1) : Math.round(minutes)} min</small>
      </div>
      {steps.length === 0 && <p className="quiet">Nothing.</p>}
      <ol className="path">
        {steps.map((s) => (
          <li key={s.finding} className={s.needless ? 'needless' : ''}>
            <div>
              {s.name}: <b>{s.saw.join(', ') || 'nothing of it'}</b>
              {mine && s.needless && <small> told nothing{s.destructive && ', and used the sample up'}</small>}
              {mine && s.better && (s.betterBits ?? 0) > s.bits + 0.3 && (
                <small style={{ display: 'block' }}>
                  here: {s.better.toLowerCase()} ({s.betterBits?.toFixed(1)} bits, yours {s.bits.toFixed(1)})
                </small>
              )}
            </div>
            <svg
              viewBox="0 0 100 8"
              preserveAspectRatio="none"
              role="img"
              aria-label={`right plan ${Math.round(s.p * 100)} in 100`}
            >
              <rect width="100" height="8" className="base" />
              <rect width={100 * s.p} height="8" className="bar" />
            </svg>
            <small>{s.leads} leads</small>
          </li>
        ))}
      </ol>
    </section>
  );
}
