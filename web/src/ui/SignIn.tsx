import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { api, type Problem, setToken, unwrap } from '../api/client';
import { Trouble } from './bits';

export function SignIn({ onIn }: { onIn: () => void }) {
  const client = useQueryClient();
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const [trouble, setTrouble] = useState<Problem | null>(null);
  const [busy, setBusy] = useState(false);
  const go = async (e: FormEvent) => {
    e.preventDefault();
    setBusy(true);
    try {
      const s = await unwrap(api.POST('/api/v1/session', { body: { login, password } }));
      setToken(s.token);
      client.setQueryData(['session'], s);
      onIn();
    } catch (x) {
      setTrouble(x as Problem);
    } finally {
      setBusy(false);
    }
  };
  return (
    <main className="signin">
      <form onSubmit={go} className="sheet pad form">
        <svg viewBox="0 0 120 74" width="120" aria-hidden="true">
          <path
            d="M8 2h104a4 4 0 0 1 4 4v34c0 8-44 6-49 32H53C48 46 4 48 4 40V6a4 4 0 0 1 4-4z"
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth="2"
          />
          <path d="M5 43c8 5 43 6 48 29h14c5-23 40-24 48-29z" fill="var(--aub2)" />
          <text x="18" y="29" fontSize="21" fontWeight="700" fill="var(--ink)">
            Botanik
          </text>
        </svg>
        <h1>Sign in to the plant desk</h1>
        <TextField
          label="Sign-in name"
          value={login}
          onChange={(e) => setLogin(e.target.value)}
          autoComplete="username"
          autoFocus
          required
          name="login"
        />
        <TextField
          label="Password"
          type="password"
          value={password}
          onChange={(e) => setPassword(e.target.value)}
          autoComplete="current-password"
          required
          name="password"
        />
        <Trouble of={trouble} />
        <Button type="submit" variant="contained" size="large" disabled={busy}>
          Sign in
        </Button>
        <small>What you typed before signing out is kept on this device.</small>
      </form>
    </main>
  );
}
