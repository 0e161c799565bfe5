import { useEffect, useRef, useState } from 'react';

/** Whether what a press asks for can be done: now, once something is worked out, or not. */
export type Readiness = 'ready' | 'working' | 'no';

/**
 * A press that comes while its answer is still being worked out waits for it and is then done: nobody presses twice, and
 * nothing is lost between two screens. It is forgotten when it turns out that it cannot be done, or when what it was about
 * changes meanwhile.
 */
export function usePress(ready: Readiness, run: () => void, about = '') {
  const [waits, setWaits] = useState<{ about: string } | undefined>();
  const latest = useRef(run);
  latest.current = run;
  // Two presses in one moment are one: the second finds the first not yet drawn.
  const done = useRef(false);
  done.current = false;
  const once = () => {
    if (done.current) return;
    done.current = true;
    latest.current();
  };
  const press = () => {
    if (ready === 'ready') once();
    else if (ready === 'working') setWaits({ about });
  };
  useEffect(() => {
    if (!waits) return;
    if (ready === 'working' && waits.about === about) return;
    setWaits(undefined);
    if (ready === 'ready' && waits.about === about) latest.current();
  }, [waits, ready, about]);
  return {
    press,
    waits: !!waits,
    /** For the button: pressed while it works, it says that it is busy and stays. */
    button: { disabled: ready === 'no', 'aria-busy': !!waits || undefined },
  };
}
