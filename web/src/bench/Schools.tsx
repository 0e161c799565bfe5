import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useCaseCalls, useChange } from '../api/change';
import type { S, View } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { ChangeTrouble } from '../parts/ChangeTrouble';

/** Where good advisors disagree: which answer holds here, who chose it and why; the case may choose another. */
export function Schools({ view, chosen }: { view: View; chosen: S['Chosen'][] }) {
  const { data: kb } = useVocabulary();
  const change = useChange(view.id);
  const { put } = useCaseCalls(view.id);
  const [all, setAll] = useState(false);
  const now = new Map(chosen.map((c) => [c.school, c]));
  const list = (kb?.schools ?? []).filter((x) => all || now.get(x.id)?.near || now.get(x.id)?.by === 'case');
  return (
    <div className="sheet pad stack" data-schools>
      <h3>Where good advisors disagree</h3>
      {list.map((x) => {
        const c = now.get(x.id);
        const o = x.options.find((y) => y.id === c?.option);
        return (
          <div key={x.id}>
            <TextField
              select
              fullWidth
              size="small"
              label={x.question}
              value={c?.option ?? x.default}
              disabled={change.isPending}
              onChange={(e) =>
                change.mutate(put('/api/v1/cases/{id}/school', { school: x.id, option: e.target.value }))
              }
              slotProps={{ htmlInput: { 'data-school': x.id } }}
            >
              {x.options.map((y) => (
                <MenuItem key={y.id} value={y.id}>
                  {y.name}
                </MenuItem>
              ))}
            </TextField>
            <small>
              {o?.does}.{' '}
              {c?.by === 'case' ? (
                <>
                  Chosen for this case.{' '}
                  <button
                    type="button"
                    className="plain"
                    onClick={() => change.mutate(put('/api/v1/cases/{id}/school', { school: x.id, option: '' }))}
                  >
                    As the house
                  </button>
                </>
              ) : c?.by === 'house' ? (
                'The house chose it.'
              ) : (
                `The usual choice: ${x.why}.`
              )}
            </small>
          </div>
        );
      })}
      <ChangeTrouble id={view.id} change={change} />
      <button type="button" className="plain" style={{ textDecoration: 'underline' }} onClick={() => setAll((a) => !a)}>
        {all ? 'Only those that matter here' : `All ${kb?.schools.length ?? 0} questions`}
      </button>
    </div>
  );
}
