import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Problem, type S, settled, unwrap } from '../api/client';
import { Chips } from '../ui/bits';

const leaves = ['sparse', 'ordinary', 'dense'].map((id) => ({ id, name: id }));

/** How much for these plants: counted and measured by eye, rounded up to what a jug shows. */
export function NeedPanel({ onTake }: { onTake: (volume: string) => void }) {
  const [open, setOpen] = useState(false);
  const [count, setCount] = useState('1');
  const [high, setHigh] = useState('');
  const [wide, setWide] = useState('');
  const [leaf, setLeaf] = useState('ordinary');
  const num = (s: string) => Number(s.replace(',', '.'));
  const body: S['NeedInput'] = {
    plants: [{ count: Math.round(num(count)) || 0, heightCm: num(high), widthCm: num(wide), leaf: leaf as 'sparse' }],
  };
  const ready = open && !!high && !!wide && !!count;
  const { data, error } = useQuery<S['Need'], Problem>({
    queryKey: ['need', JSON.stringify(body)],
    queryFn: async ({ signal }) => {
      await settled(signal);
      return unwrap<S['Need']>(api.POST('/api/v1/need', { body }));
    },
    enabled: ready,
    retry: false,
  });
  if (!open)
    return (
      <button
        type="button"
        className="plain"
        style={{ textDecoration: 'underline' }}
        onClick={() => setOpen(true)}
        data-need
      >
        How much for these plants?
      </button>
    );
  return (
    <fieldset className="need" data-need-open>
      <legend>For these plants</legend>
      <div className="thirds">
        {[
          ['plants', count, setCount, 'need-count'] as const,
          ['cm high', high, setHigh, 'need-high'] as const,
          ['cm wide', wide, setWide, 'need-wide'] as const,
        ].map(([label, v, set, name]) => (
          <TextField
            key={name}
            label={label}
            name={name}
            value={v}
            onChange={(e) => set(e.target.value)}
            slotProps={{ htmlInput: { className: 'num', inputMode: 'decimal' } }}
          />
        ))}
      </div>
      <Chips label="How leafy" options={leaves} value={[leaf]} onChange={(v) => setLeaf(v[0] ?? 'ordinary')} small />
      {ready && error && (
        <div className="notice brick" role="alert">
          {error.errors.length
            ? error.errors.map((e) => (
                <div key={e.field}>
                  <b>{e.problem}</b>; {e.mend}
                </div>
              ))
            : error.message}
        </div>
      )}
      {data && ready && (
        <div className="row mid">
          <span>
            about{' '}
            <b className="num" data-need-text>
              {data.text}
            </b>{' '}
            <small>{data.rule}</small>
          </span>
          <Button
            variant="outlined"
            onClick={() => {
              onTake(data.text);
              setOpen(false);
            }}
            data-do="take-need"
          >
            Use it
          </Button>
        </div>
      )}
    </fieldset>
  );
}
