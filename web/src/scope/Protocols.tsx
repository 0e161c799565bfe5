import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { useDraft } from '../ui/draft';
import { useToast } from '../ui/toast';

type Step = { text: string; minutes?: number };
type Protocol = { id: string; name: string; mind: string; steps: Step[] };

/** Short bench protocols, general practice; times are usual ones and marked so where they vary. */
const protocols: Protocol[] = [
  {
    id: 'scale',
    name: 'Scale or mealybug, cleared',
    mind: 'Potassium hydroxide burns skin and eyes: goggles, gloves, tray, water at hand. Never heat it over a flame.',
    steps: [
      { text: 'Lift the grown female off under the lens; prick her in the middle of the back.' },
      {
        text: 'Into 10 per cent potassium hydroxide, warm, covered, until she is clear (usually 20 to 40 minutes).',
        minutes: 30,
      },
      { text: 'Press the contents out with a blunt needle; rinse twice in water.', minutes: 5 },
      { text: 'Stain, if you have one; rinse until no more colour comes.', minutes: 10 },
      { text: 'Through alcohol of rising strength, five minutes each.', minutes: 15 },
      { text: 'Clove oil, then a drop of mountant; lower the cover glass at a slant, belly up.', minutes: 10 },
    ],
  },
  {
    id: 'thrips',
    name: 'Thrips or mite, quick mount',
    mind: 'Hoyer’s holds chloral hydrate, which is regulated in many places: lactic acid clears as well, for a day.',
    steps: [
      {
        text: 'From alcohol into a drop of lactic acid on the slide, wings spread, legs free; of mites take a male on its side.',
      },
      { text: 'Cover glass on; warm on the plate, not boiling, until clear.', minutes: 10 },
      { text: 'Look within the day, or ring the glass with varnish.' },
    ],
  },
  {
    id: 'spores',
    name: 'Spores from a leaf',
    mind: 'A moist chamber breeds moulds: open it under a hood or outdoors, and bin it tied shut.',
    steps: [
      { text: 'Tape pressed on the growth and laid on a drop of water; or a scrape, or a torn piece.' },
      { text: 'Nothing to see? Wet paper, a closed box, a warm room.', minutes: 1440 },
      { text: 'Look at 10x how they are borne, then at 40x measure ten.' },
    ],
  },
  {
    id: 'strip',
    name: 'Strip test on sap',
    mind: 'Without a control line, or with a line too faint to be sure of, it is no test: take another strip.',
    steps: [
      { text: 'A thumbnail of the youngest sick leaf into the bag of buffer; rub until it is green.', minutes: 1 },
      { text: 'Stand the strip in it, no deeper than its mark.', minutes: 10 },
      { text: 'Read the control line first, then the test line; later lines do not count.' },
    ],
  },
];

/** How a slide or a strip is made ready, step by step, with a clock for each step that takes its time. */
export function Protocols() {
  const [open, setOpen] = useState('scale');
  const at = protocols.find((p) => p.id === open) ?? (protocols[0] as Protocol);
  return (
    <div className="two">
      <div className="sheet pad stack" data-protocol={at.id}>
        <h2>{at.name}</h2>
        <div className="notice brick">
          <b>Mind:</b> {at.mind}
        </div>
        <ol className="tight protocol">
          {at.steps.map((s, i) => (
            <li key={s.text}>
              {s.text}
              {s.minutes && <Clock id={`${at.id}.${i}`} minutes={s.minutes} what={s.text} />}
            </li>
          ))}
        </ol>
        <small>General bench practice; times vary with the animal and the warmth. The maker’s sheet comes first.</small>
      </div>
      <div className="sheet pad stack">
        <h2>What is made ready</h2>
        {protocols.map((p) => (
          <button
            type="button"
            key={p.id}
            className="plain"
            style={{ textAlign: 'left', fontWeight: p.id === at.id ? 700 : 400 }}
            aria-pressed={p.id === at.id}
            onClick={() => setOpen(p.id)}
          >
            {p.name}
          </button>
        ))}
      </div>
    </div>
  );
}

const left = (ms: number) => {
  const s = Math.max(0, Math.ceil(ms / 1000));
  return s >= 3600
    ? `${Math.floor(s / 3600)} h ${String(Math.floor((s % 3600) / 60)).padStart(2, '0')} min`
    : `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
};
const none = { until: 0 };

/** A clock that runs on while one is elsewhere: it keeps the moment it ends, not what is left. */
function Clock({ id, minutes, what }: { id: string; minutes: number; what: string }) {
  const [at, set, clear] = useDraft(`clock.${id}`, none);
  const [now, setNow] = useState(Date.now());
  const say = useToast();
  const runs = at.until > 0;
  const over = runs && now >= at.until;
  useEffect(() => {
    if (!runs || over) return;
    const t = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(t);
  }, [runs, over]);
  useEffect(() => {
    if (over) say({ text: `Time: ${what}` });
  }, [over, say, what]);
  const usual = minutes >= 60 ? `${minutes / 60} hours` : minutes === 1 ? 'a minute' : `${minutes} minutes`;
  return (
    <span className="clock" data-clock={id} data-state={over ? 'over' : runs ? 'runs' : 'still'}>
      <b className="num" role="timer">
        {runs ? (over ? 'time' : left(at.until - now)) : usual}
      </b>
      <Button
        size="small"
        variant="outlined"
        onClick={() => {
          setNow(Date.now());
          if (runs) clear();
          else set({ until: Date.now() + minutes * 60_000 });
        }}
      >
        {runs ? 'Stop' : 'Start'}
      </Button>
    </span>
  );
}
