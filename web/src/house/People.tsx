import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Problem, type S, unwrap } from '../api/client';
import { moment, Trouble } from '../ui/bits';
import { useToast } from '../ui/toast';
import { SignedIn, Trace } from './SignedIn';

type Role = S['Account']['role'];
const roles: Role[] = ['coordinator', 'advisor', 'trainee'];
const nobody = { login: '', name: '', role: 'advisor' as Role, password: '' };

/** Who may sign in. The coordinator lets people in, changes their role, gives a new password, and switches them off. */
export function People({ boss }: { boss: boolean }) {
  const { data } = useQuery({ queryKey: ['people'], queryFn: () => unwrap(api.GET('/api/v1/people')) });
  const client = useQueryClient();
  const say = useToast();
  const [secret, setSecret] = useState<{ id: string; text: string } | null>(null);
  const [add, setAdd] = useState<typeof nobody | null>(null);
  const kept = (text: string) => () => {
    setSecret(null);
    setAdd(null);
    say({ text });
    void client.invalidateQueries({ queryKey: ['people'] });
  };
  const change = useMutation<S['Account'], Problem, { id: string; body: S['Change'] }>({
    mutationFn: ({ id, body }) => unwrap(api.PUT('/api/v1/people/{id}', { params: { path: { id } }, body })),
    onSuccess: (a) => kept(a.active ? `Kept for ${a.name}.` : `${a.name} is switched off and signed out.`)(),
  });
  const join = useMutation<S['Person'], Problem, S['NewPerson']>({
    mutationFn: (body) => unwrap(api.POST('/api/v1/people', { body })),
    onSuccess: (p) => kept(`${p.name} may sign in.`)(),
  });
  const [asked, setAsked] = useState<S['Invite'] | null>(null);
  const [seen, setSeen] = useState('');
  const invite = useMutation<S['Invite'], Problem, S['NewInvite']>({
    mutationFn: (body) => unwrap<S['Invite']>(api.POST('/api/v1/people/invite', { body })),
    onSuccess: (i) => {
      kept(`${i.person.name} may choose a password.`)();
      setAsked(i);
    },
  });
  const again = useMutation<S['Invite'], Problem, string>({
    mutationFn: (id) => unwrap<S['Invite']>(api.POST('/api/v1/people/{id}/invite', { params: { path: { id } } })),
    onSuccess: setAsked,
  });
  const refused = join.error ?? invite.error;
  const typed = (k: keyof typeof nobody, label: string, type = 'text') =>
    add && (
      <TextField
        label={label}
        type={type}
        value={add[k]}
        onChange={(e) => setAdd({ ...add, [k]: e.target.value })}
        error={!!refused?.field(k)}
        helperText={refused?.field(k)}
        autoComplete="off"
      />
    );
  return (
    <section className="sheet pad stack" data-people>
      <div className="row mid">
        <h2>People</h2>
        {boss && !add && (
          <Button size="small" variant="outlined" onClick={() => setAdd(nobody)}>
            Let somebody in
          </Button>
        )}
      </div>
      <Trouble of={change.error} />
      {add && (
        <form
          className="form"
          onSubmit={(e) => {
            e.preventDefault();
            if (add.password) join.mutate(add);
            else invite.mutate({ login: add.login, name: add.name, role: add.role });
          }}
        >
          <div className="halves">
            {typed('name', 'Name')}
            {typed('login', 'Sign-in name')}
          </div>
          <div className="halves">
            <RolePick value={add.role} label="Role of the new person" onPick={(role) => setAdd({ ...add, role })} />
            {typed('password', 'First password', 'password')}
          </div>
          <small>Without a password they choose their own, at an address you give them.</small>
          <Trouble of={refused && refused.errors.length === 0 ? refused : null} />
          <div className="wrap">
            <Button type="submit" variant="contained" size="small" disabled={join.isPending || invite.isPending}>
              Let them in
            </Button>
            <Button size="small" onClick={() => setAdd(null)}>
              Not now
            </Button>
          </div>
        </form>
      )}
      {asked && (
        <div className="notice pond" data-invite={asked.path}>
          Give {asked.person.name} this address; it is good once, until {moment(asked.until)}:{' '}
          <b style={{ overflowWrap: 'anywhere' }}>{window.location.origin + asked.path}</b>
        </div>
      )}
      <ul className="people">
        {data?.map((p) => (
          <li key={p.id} data-person={p.login} className={p.active ? 'person' : 'person off'}>
            <span>
              <b>{p.name}</b> <small>{p.login}</small>
            </span>
            {boss ? (
              <span className="wrap">
                <RolePick
                  value={p.role}
                  label={`Role of ${p.name}`}
                  onPick={(role) => change.mutate({ id: p.id, body: { role } })}
                />
                <Button size="small" onClick={() => setSecret({ id: p.id, text: '' })}>
                  New password
                </Button>
                <Button size="small" onClick={() => again.mutate(p.id)}>
                  Address
                </Button>
                <Button size="small" onClick={() => setSeen(seen === p.id ? '' : p.id)} aria-expanded={seen === p.id}>
                  Signed in
                </Button>
                <Button size="small" onClick={() => change.mutate({ id: p.id, body: { active: !p.active } })}>
                  {p.active ? 'Switch off' : 'Let in again'}
                </Button>
              </span>
            ) : (
              <span className="quiet">{p.active ? p.role : 'switched off'}</span>
            )}
            {seen === p.id && <SignedIn id={p.id} name={p.name} />}
            {secret?.id === p.id && (
              <form
                className="wrap"
                onSubmit={(e) => {
                  e.preventDefault();
                  change.mutate({ id: p.id, body: { password: secret.text } });
                }}
              >
                <TextField
                  type="password"
                  label={`New password for ${p.name}`}
                  value={secret.text}
                  autoFocus
                  autoComplete="new-password"
                  onChange={(e) => setSecret({ id: p.id, text: e.target.value })}
                />
                <Button type="submit" variant="contained" size="small">
                  Keep it
                </Button>
              </form>
            )}
          </li>
        ))}
      </ul>
      {boss && <Trace />}
    </section>
  );
}

function RolePick({ value, label, onPick }: { value: Role; label: string; onPick: (r: Role) => void }) {
  return (
    <TextField
      select
      size="small"
      value={value}
      onChange={(e) => onPick(e.target.value as Role)}
      slotProps={{ htmlInput: { 'aria-label': label } }}
      style={{ minWidth: 132 }}
    >
      {roles.map((r) => (
        <MenuItem key={r} value={r}>
          {r}
        </MenuItem>
      ))}
    </TextField>
  );
}
