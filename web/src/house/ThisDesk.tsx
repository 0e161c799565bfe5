import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Problem, type S, unwrap } from '../api/client';
import { useIdentity } from '../api/hooks';
import { Trouble } from '../ui/bits';
import { useToast } from '../ui/toast';

type Identity = S['Identity'];

const fields: [keyof Identity, string, string][] = [
  ['name', 'What it is called', ''],
  ['place', 'Where it stands', 'covered market, by the north door'],
  ['reach', 'How growers reach it', 'telephone, days and hours'],
  ['authority', 'Whom to call about a regulated suspect', ''],
  ['lab', 'Where undetermined samples go, and how packed', ''],
  ['zone', 'Time zone', 'Europe/London'],
  ['public', 'Address growers reach this program at', 'https://desk.example'],
  ['gateway', 'Message gateway or mail server', 'empty: none, or the simulated one of the demo desk'],
  ['scopeCamera', 'Microscope camera’s bridge', 'empty: none, or the simulated one of the demo desk'],
  ['weatherStation', 'Weather station’s address', 'empty: none, or the simulated one of the demo desk'],
];
/** Where devices stand in the house's network: only whoever names them is told. */
const devices: (keyof Identity)[] = ['gateway', 'scopeCamera', 'weatherStation'];
const spoons = [
  ['metric', '5 and 15 mL'],
  ['au', '5 and 20 mL'],
  ['us', 'US spoons'],
  ['imperial', 'Imperial spoons'],
];

/** What stands at the head and foot of every page a grower takes home. */
export function ThisDesk({ boss }: { boss: boolean }) {
  const client = useQueryClient();
  const say = useToast();
  const { data } = useIdentity();
  const [draft, setDraft] = useState<Partial<Identity>>({});
  const save = useMutation<Identity, Problem>({
    mutationFn: () =>
      unwrap<Identity>(
        api.PUT('/api/v1/identity', {
          params: { header: { 'If-Match': data?.version ?? '0' } },
          body: { ...(data?.identity as Identity), ...draft },
        }),
      ),
    onSuccess: () => {
      setDraft({});
      say({ text: 'Kept. It stands on every page from now on.' });
      void client.invalidateQueries({ queryKey: ['identity'] });
      void client.invalidateQueries({ queryKey: ['session'] });
    },
  });
  if (!data) return null;
  const now = { ...data.identity, ...draft };
  return (
    <section className="sheet pad stack" data-this-desk>
      <h2>This desk, as growers read it</h2>
      {fields
        .filter(([k]) => boss || !devices.includes(k))
        .map(([k, label, hint]) => (
          <TextField
            key={k}
            id={`desk-${k}`}
            // Linked to from where its want is felt.
            autoFocus={window.location.hash === `#desk-${k}`}
            label={label}
            name={`desk-${k}`}
            placeholder={hint}
            value={now[k] ?? ''}
            disabled={!boss}
            multiline={k === 'authority' || k === 'lab' || k === 'reach'}
            error={!!save.error?.field(k)}
            helperText={save.error?.field(k)}
            onChange={(e) => setDraft((d) => ({ ...d, [k]: e.target.value }))}
          />
        ))}
      <TextField
        type="number"
        label="How wide a square of the district is, km"
        name="desk-gridKm"
        value={now.gridKm ?? 1}
        disabled={!boss}
        error={!!save.error?.field('gridKm')}
        helperText={save.error?.field('gridKm') ?? 'nine by nine squares with the desk in the middle'}
        onChange={(e) => setDraft((d) => ({ ...d, gridKm: Number(e.target.value) }))}
      />
      <TextField
        select
        label="Spoons offered first"
        value={now.units}
        disabled={!boss}
        onChange={(e) => setDraft((d) => ({ ...d, units: e.target.value as 'metric' }))}
      >
        {spoons.map(([id, name]) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <Trouble of={save.error && save.error.errors.length === 0 ? save.error : null} />
      {boss && (
        <div>
          <Button
            variant="contained"
            disabled={Object.keys(draft).length === 0 || save.isPending}
            onClick={() => save.mutate()}
            data-do="keep-desk"
          >
            Keep it
          </Button>
        </div>
      )}
      <p>
        <a href="/licences.txt">What ships inside this program, and its licences</a>
      </p>
    </section>
  );
}
