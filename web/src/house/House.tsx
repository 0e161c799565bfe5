import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useHouse, useSession, useVocabulary } from '../api/hooks';
import { Trouble } from '../ui/bits';
import { KeyLine } from '../ui/keys';
import { useToast } from '../ui/toast';
import { Borne } from './Borne';
import { Calendars } from './Calendars';
import { Growers } from './Growers';
import { Keeping } from './Keeping';
import { Labels } from './Labels';
import { OwnPassword } from './OwnPassword';
import { People } from './People';
import { SchoolRules } from './SchoolRules';
import { ThisDesk } from './ThisDesk';
import { WhereWeAre } from './WhereWeAre';
import { Words } from './Words';

/** Policy, law and the bottles on this shelf: changed by the coordinator, effective at once. */
export default function House() {
  const session = useSession();
  const client = useQueryClient();
  const say = useToast();
  const { data: kb } = useVocabulary();
  const boss = session.data?.person.role === 'coordinator';
  const house = useHouse();
  const save = useMutation<S['House'], Problem, S['House']>({
    mutationFn: (body) =>
      unwrap(api.PUT('/api/v1/house', { params: { header: { 'If-Match': house.data?.version ?? '0' } }, body })),
    onSuccess: () => {
      say({ text: 'Kept. Open cases see it at once.' });
      void client.invalidateQueries();
    },
    onError: (e) => {
      if (e.status === 412) void house.refetch();
    },
  });
  const out = useMutation({
    mutationFn: () => unwrap(api.DELETE('/api/v1/session')),
    onSuccess: () => window.location.assign('/'),
  });
  const rules = house.data?.rules;
  const products = (kb?.policed ?? []).flatMap((id) => kb?.remedies.filter((r) => r.id === id) ?? []);
  const ingredients = [...new Set(products.map((r) => r.ingredient).filter((x): x is string => !!x))];
  const policy = (id: string, patch: Partial<S['Policy']>) => {
    if (!rules) return;
    const now = rules.policy?.[id] ?? { use: 'yes' };
    save.mutate({ ...rules, policy: { ...rules.policy, [id]: { ...now, ...patch } as S['Policy'] } });
  };
  const law = (id: string, patch: Partial<S['Law']>) => {
    if (!rules) return;
    const now = rules.law?.[id] ?? { status: 'allowed' };
    save.mutate({ ...rules, law: { ...rules.law, [id]: { ...now, ...patch } as S['Law'] } });
  };
  return (
    <>
      <main id="room">
        <div className="row mid" style={{ marginBottom: 12 }}>
          <h1>House rules</h1>
          <Button variant="outlined" onClick={() => out.mutate()}>
            Sign out {session.data?.person.name}
          </Button>
        </div>
        {!boss && (
          <p className="quiet" style={{ marginBottom: 10 }}>
            The coordinator changes these; you can read what holds here.
          </p>
        )}
        <Trouble of={house.error ?? save.error} />
        <div className="two">
          <div className="stack">
            <SchoolRules rules={rules} boss={boss} onChange={(h) => save.mutate(h)} />
            <section className="sheet pad">
              <h2>What this house recommends</h2>
              <table className="lines" style={{ marginTop: 8 }}>
                <thead>
                  <tr>
                    <th scope="col">Remedy</th>
                    <th scope="col">Use</th>
                    <th scope="col">Why</th>
                  </tr>
                </thead>
                <tbody>
                  {products.map((r) => {
                    const p = rules?.policy?.[r.id];
                    return (
                      <tr key={r.id} data-policy={r.id}>
                        <td>
                          {r.name} <small>rung {r.rung}</small>
                        </td>
                        <td style={{ width: 170 }}>
                          <TextField
                            select
                            value={p?.use ?? 'yes'}
                            disabled={!boss || save.isPending}
                            onChange={(e) => policy(r.id, { use: e.target.value as 'yes' })}
                            slotProps={{ htmlInput: { 'aria-label': `Use of ${r.name}` } }}
                          >
                            <MenuItem value="yes">yes</MenuItem>
                            <MenuItem value="heavy">heavy pressure only</MenuItem>
                            <MenuItem value="no">no</MenuItem>
                          </TextField>
                        </td>
                        <td>
                          <Edit
                            value={p?.why ?? ''}
                            label={`Why for ${r.name}`}
                            hint="why"
                            disabled={!boss}
                            onSave={(why) => policy(r.id, { why })}
                          />
                        </td>
                      </tr>
                    );
                  })}
                </tbody>
              </table>
            </section>
            <People boss={boss} />
            {boss && <Keeping />}
            {boss && <Growers />}
          </div>
          <div className="stack">
            <ThisDesk boss={boss} />
            <OwnPassword />
            <Calendars />
            <Words boss={boss} />
            <Labels rules={rules} boss={boss} error={save.error} onChange={(h) => save.mutate(h)} />
            <section className="sheet pad">
              <h2>Local law, by active ingredient</h2>
              <table className="lines" style={{ marginTop: 8 }}>
                <tbody>
                  {ingredients.map((i) => {
                    const w = rules?.law?.[i];
                    return (
                      <tr key={i}>
                        <td>{i}</td>
                        <td style={{ width: 130 }}>
                          <TextField
                            select
                            value={w?.status ?? 'allowed'}
                            disabled={!boss || save.isPending}
                            onChange={(e) => law(i, { status: e.target.value as 'allowed' })}
                            slotProps={{ htmlInput: { 'aria-label': `Law on ${i}` } }}
                          >
                            {['allowed', 'restricted', 'licensed', 'banned'].map((x) => (
                              <MenuItem key={x} value={x}>
                                {x === 'licensed' ? 'licensed only' : x}
                              </MenuItem>
                            ))}
                          </TextField>
                        </td>
                        <td>
                          <Edit
                            value={w?.reference ?? ''}
                            label={`Reference for ${i}`}
                            hint="by which law"
                            disabled={!boss}
                            onSave={(reference) => law(i, { reference })}
                          />
                        </td>
                      </tr>
                    );
                  })}
                </tbody>
              </table>
            </section>
            <Borne rules={rules} boss={boss} onChange={(h) => save.mutate(h)} />
            <WhereWeAre rules={rules} boss={boss} onChange={(h) => save.mutate(h)} />
          </div>
        </div>
      </main>
      <KeyLine end={`${session.data?.person.name}, ${session.data?.person.role}`} />
    </>
  );
}

/** A short text kept when one leaves it. */
function Edit({
  value,
  label,
  hint,
  disabled,
  onSave,
}: {
  value: string;
  label: string;
  hint: string;
  disabled: boolean;
  onSave: (v: string) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  return (
    <TextField
      value={text ?? value}
      disabled={disabled}
      multiline
      fullWidth
      placeholder={disabled ? '' : hint}
      onChange={(e) => setText(e.target.value)}
      onBlur={() => {
        if (text !== null && text !== value) onSave(text);
        setText(null);
      }}
      slotProps={{ htmlInput: { 'aria-label': label } }}
    />
  );
}
