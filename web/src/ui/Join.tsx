import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Problem, type S, unwrap } from '../api/client';
import { Trouble } from './bits';

/** Somebody new chooses their own password, once, at the address they were given. */
export function Join({ token, onDone }: { token: string; onDone: () => void }) {
  const [password, setPassword] = useState('');
  const who = useQuery<S['InvitedAs'], Problem>({
    queryKey: ['join', token],
    queryFn: () => unwrap<S['InvitedAs']>(api.GET('/api/v1/join/{token}', { params: { path: { token } } })),
    retry: false,
  });
  const join = useMutation<S['Person'], Problem>({
    mutationFn: () =>
      unwrap<S['Person']>(api.POST('/api/v1/join/{token}', { params: { path: { token } }, body: { password } })),
  });
  return (
    <main className="signin">
      <form
        className="sheet pad stack"
        onSubmit={(e) => {
          e.preventDefault();
          join.mutate();
        }}
      >
        {who.error && (
          <>
            <h1>This address leads nowhere</h1>
            <p>It is good once and for three days. Ask the coordinator for another.</p>
          </>
        )}
        {who.data && !join.data && (
          <>
            <h1>{who.data.desk}</h1>
            <p>
              Welcome, {who.data.name}. You sign in as <b className="num">{who.data.login}</b>. Choose a password of at
              least eight signs that you use nowhere else.
            </p>
            <TextField
              type="password"
              label="Your password"
              name="join-password"
              value={password}
              autoComplete="new-password"
              onChange={(e) => setPassword(e.target.value)}
              error={!!join.error?.field('password')}
              helperText={join.error?.field('password')}
            />
            <Trouble of={join.error && !join.error.field('password') ? join.error : null} />
            <Button type="submit" variant="contained" className="primary" disabled={join.isPending}>
              Keep it
            </Button>
          </>
        )}
        {join.data && (
          <>
            <h1>You are in</h1>
            <p>
              Sign in as <b className="num">{join.data.login}</b> with the password you chose.
            </p>
            <Button variant="contained" className="primary" onClick={onDone}>
              To the sign-in
            </Button>
          </>
        )}
      </form>
    </main>
  );
}
