import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { useSlideKey } from '../api/scope';
import { Trouble } from '../ui/bits';
import { useDraft } from '../ui/draft';
import { useToast } from '../ui/toast';

/** How a slide or a strip is made ready, step by step, with a clock for each step that takes its time. */
export function Protocols() {
  const { data: key, error } = useSlideKey();
  const [open, setOpen] = useState('');
  const protocols = key?.protocols ?? [];
  const at = protocols.find((p) => p.id === open) ?? protocols[0];
  if (error) return <Trouble of={error} />;
  if (!at) return null;
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
        <small>{at.source}. Times vary with the animal and the warmth; the maker’s sheet comes first.</small>
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
