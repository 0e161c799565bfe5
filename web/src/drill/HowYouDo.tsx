import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useMay, useVocabulary } from '../api/hooks';
import { Chips, Trouble } from '../ui/bits';
import { useDraft } from '../ui/draft';
import { usePractice } from './practice';

/** One's own practice: how far certainty can be trusted, form by form; for the coordinator the course and each learner. */
export function HowYouDo() {
  const { data, error } = usePractice();
  const boss = useMay()('see how others practise');
  if (!data) return <Trouble of={error} />;
  return (
    <div className="two">
      <div className="stack">
        <Curve of={data.calibration} />
        <section className="sheet pad stack">
          <h2>Form by form</h2>
          <table className="lines counts">
            <tbody>
              {data.kinds.map((k) => (
                <tr key={k.kind}>
                  <th scope="row">{k.name}</th>
                  <td>
                    <i style={{ width: `${k.n ? (100 * k.right) / k.n : 0}%` }} />
                  </td>
                  <td className="num">{k.n ? `${k.right} of ${k.n}` : '·'}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {data.cases.length > 0 && <p>Whole cases, of a hundred: {data.cases.join(', ')}</p>}
        </section>
      </div>
      <div className="stack">
        {boss && <Course of={data} />}
        {boss && <Learners />}
      </div>
    </div>
  );
}

/** How sure against how often right: on the line, certainty can be trusted. */
function Curve({ of }: { of: S['Calibrated'] }) {
  const most = Math.max(1, ...of.levels.map((l) => l.n));
  return (
    <section className="sheet pad stack" data-calibration={of.n}>
      <h2>Can your certainty be trusted?</h2>
      {of.says.map((s) => (
        <p key={s}>{s}</p>
      ))}
      {of.n > 0 && (
        <svg viewBox="-14 -6 124 124" className="trustcurve" role="img" aria-label={of.says.join(' ')}>
          <path d="M0 0 V100 H100" className="axis" />
          <path d="M0 100 L100 0" className="ideal" />
          {of.levels.map((l) => (
            <g key={l.sure}>
              <line
                x1={100 * l.sure}
                x2={100 * l.sure}
                y1={100 - 100 * l.sure}
                y2={100 - (100 * l.right) / l.n}
                className="gap"
              />
              <circle cx={100 * l.sure} cy={100 - (100 * l.right) / l.n} r={1.6 + 2.6 * Math.sqrt(l.n / most)} />
              <title>{`${Math.round(l.sure * 100)} in 100 sure: right ${l.right} of ${l.n}`}</title>
            </g>
          ))}
          <text x="50" y="114" textAnchor="middle">
            how sure
          </text>
          <text x="-8" y="50" textAnchor="middle" transform="rotate(-90 -8 50)">
            how often right
          </text>
        </svg>
      )}
      {of.n > 0 && (
        <small>
          Brier {of.brier.toFixed(3)} (0 is perfect, 0.25 a coin): {of.reliability.toFixed(3)} for misplaced certainty,
          less {of.resolution.toFixed(3)} for telling right from wrong, of {of.uncertainty.toFixed(3)} there is.
        </small>
      )}
    </section>
  );
}

function Course({ of }: { of: S['Practice'] }) {
  const client = useQueryClient();
  const { data: kb } = useVocabulary();
  const [draft, setDraft] = useDraft<S['Course'] | null>('drill.course', null);
  const now = draft ?? of.course;
  const classes = [...new Set((kb?.causes ?? []).map((c) => c.class).filter(Boolean))].sort();
  const save = useMutation<S['Practice'], Problem>({
    mutationFn: () =>
      unwrap<S['Practice']>(
        api.PUT('/api/v1/drill/course', { params: { header: { 'If-Match': String(of.version) } }, body: now }),
      ),
    onSuccess: (p) => {
      setDraft(null);
      client.setQueryData(['practice'], p);
    },
  });
  return (
    <section className="sheet pad stack" data-course={of.course.name}>
      <h2>Course</h2>
      <TextField
        label="What is to be practised"
        name="course"
        placeholder="scales before spring"
        value={now.name}
        onChange={(e) => setDraft({ ...now, name: e.target.value })}
      />
      <Chips
        label="About"
        options={classes.map((c) => ({ id: c, name: c.replaceAll('-', ' ') }))}
        value={now.classes}
        onChange={(classes) => setDraft({ ...now, classes })}
        many
        small
      />
      <Chips
        label="By"
        options={of.kinds.map((k) => ({ id: k.kind, name: k.name }))}
        value={now.kinds}
        onChange={(kinds) => setDraft({ ...now, kinds })}
        many
        small
      />
      <Trouble of={save.error} />
      {draft && (
        <Button
          variant="contained"
          size="small"
          onClick={() => save.mutate()}
          style={{ justifySelf: 'start' }}
          data-do="keep-course"
        >
          Keep it
        </Button>
      )}
    </section>
  );
}

/** Each by themselves, in no order of merit. */
function Learners() {
  const { data, error } = useQuery<S['Learner'][], Problem>({
    queryKey: ['learners'],
    queryFn: () => unwrap<S['Learner'][]>(api.GET('/api/v1/drill/learners')),
  });
  return (
    <section className="sheet pad stack" data-learners={data?.length}>
      <h2>Who practises</h2>
      <Trouble of={error} />
      {data?.length === 0 && <p className="quiet">Nobody has practised yet.</p>}
      {data?.map((l) => (
        <div key={l.id}>
          <b>{l.name}</b>{' '}
          <small>
            {l.n === 0
              ? 'has not begun'
              : `${l.right} of ${l.n} right, on ${l.days} days of four weeks, ${l.due} fading, ${l.course} on the course`}
          </small>
          {l.n > 0 &&
            l.says.map((s) => (
              <small key={s} style={{ display: 'block' }}>
                {s}
              </small>
            ))}
        </div>
      ))}
    </section>
  );
}
