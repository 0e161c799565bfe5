import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Problem, unwrap } from '../api/client';
import { useSession } from '../api/hooks';
import { Trouble } from '../ui/bits';
import { useToast } from '../ui/toast';
import { SignedIn } from './SignedIn';

/** One's own password, and an end to every session of one's own. */
export function OwnPassword() {
  const [form, setForm] = useState({ old: '', password: '' });
  const [open, setOpen] = useState(false);
  const say = useToast();
  const me = useSession().data?.person;
  const keep = useMutation<unknown, Problem>({
    mutationFn: () => unwrap(api.PUT('/api/v1/session/password', { body: form })),
    onSuccess: () => {
      setForm({ old: '', password: '' });
      setOpen(false);
      say({ text: 'Kept. Everywhere else you are signed out.' });
    },
  });
  const everywhere = useMutation({
    mutationFn: () => unwrap(api.DELETE('/api/v1/sessions')),
    onSuccess: () => window.location.assign('/'),
  });
  const field = (k: keyof typeof form, label: string, complete: string) => (
    <TextField
      type="password"
      label={label}
      value={form[k]}
      autoComplete={complete}
      onChange={(e) => setForm({ ...form, [k]: e.target.value })}
      error={!!keep.error?.field(k)}
      helperText={keep.error?.field(k)}
    />
  );
  return (
    <form
      className="sheet pad form"
      aria-label="Your account"
      onSubmit={(e) => {
        e.preventDefault();
        keep.mutate();
      }}
    >
      <h2>Your account</h2>
      <div className="wrap">
        {!open && (
          <Button size="small" variant="outlined" onClick={() => setOpen(true)}>
            Change your password
          </Button>
        )}
        <Button size="small" onClick={() => everywhere.mutate()}>
          Sign out on every machine
        </Button>
      </div>
      {open && (
        <>
          <div className="halves">
            {field('old', 'The one you have', 'current-password')}
            {field('password', 'The new one', 'new-password')}
          </div>
          {!keep.error?.errors?.length && <Trouble of={keep.error} />}
          <div className="wrap">
            <Button
              type="submit"
              variant="contained"
              size="small"
              disabled={!form.old || !form.password || keep.isPending}
            >
              Keep the new one
            </Button>
            <Button size="small" onClick={() => setOpen(false)}>
              Not now
            </Button>
          </div>
        </>
      )}
      {me && <SignedIn id={me.id} name={me.name} />}
    </form>
  );
}
