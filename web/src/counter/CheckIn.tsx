import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api, type Problem, unwrap, type View } from '../api/client';
import { IntakeFields } from '../parts/IntakeFields';
import { emptyForm, type Form, readEarlier, toIntake } from '../parts/intake';
import { Chips, Trouble } from '../ui/bits';
import { useDraft } from '../ui/draft';
import { useToast } from '../ui/toast';

/** What have you brought? The draft and its key survive reload, sign-out and a lost connection. */
export function CheckIn({
  focus,
  onFocused,
  onDone,
}: {
  focus: boolean;
  onFocused: () => void;
  onDone: (v: View, open: boolean) => void;
}) {
  const [form, setForm, clear] = useDraft<Form>('checkin', emptyForm);
  const [then, setThen] = useDraft<string>('checkin.then', 'open');
  const [trouble, setTrouble] = useState<Problem | null>(null);
  const [busy, setBusy] = useState(false);
  const client = useQueryClient();
  const say = useToast();
  const grower = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (focus) {
      grower.current?.focus();
      onFocused();
    }
  }, [focus, onFocused]);

  const send = async () => {
    if (busy) return;
    setBusy(true);
    // The key is kept with the draft: a retry on bad wifi makes one case, not two.
    const key = form.key || crypto.randomUUID();
    setForm((f) => ({ ...f, key }));
    try {
      const v = await unwrap<View>(
        api.POST('/api/v1/cases', {
          params: { header: { 'Idempotency-Key': key } },
          body: toIntake(form, await readEarlier(form)),
        }),
      );
      client.setQueryData(['case', v.id], v);
      void client.invalidateQueries({ queryKey: ['today'] });
      clear();
      setTrouble(null);
      say({ text: `${v.number} is in the tray: write it on the bag.` });
      onDone(v, then === 'open');
      (document.activeElement as HTMLElement | null)?.blur(); // the room's keys work at once
    } catch (e) {
      const p = e as Problem;
      if (p.status === 409) setForm((f) => ({ ...f, key: '' }));
      setTrouble(p);
    } finally {
      setBusy(false);
    }
  };
  const retry = useRef(send);
  retry.current = send;
  const lost = trouble?.status === 0;
  useEffect(() => {
    if (!lost) return;
    const on = () => void retry.current();
    window.addEventListener('online', on);
    return () => window.removeEventListener('online', on);
  }, [lost]);

  return (
    <form
      className="sheet pad form"
      aria-label="Check in a sample"
      style={{ alignSelf: 'start' }}
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void send();
      }}
    >
      <div className="row">
        <h2>What have you brought?</h2>
        <kbd>n</kbd>
      </div>
      <IntakeFields form={form} setForm={setForm} trouble={trouble} growerRef={grower} />
      <Chips
        label="Then"
        options={[
          { id: 'open', name: 'open it on the bench' },
          { id: 'stay', name: 'stay for the next customer' },
        ]}
        value={[then]}
        onChange={(x) => setThen(x[0] ?? 'open')}
        small
      />
      <Trouble of={trouble} />
      <Button type="submit" className="primary" variant="contained" size="large" disabled={busy} data-do="check-in">
        {lost ? 'Try again, nothing is lost' : 'Put it in the tray'}&nbsp;<kbd>Enter</kbd>
      </Button>
    </form>
  );
}
