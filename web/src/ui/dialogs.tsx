import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Tag, unwrap } from '../api/client';
import { useVocabulary } from '../api/hooks';
import { Trouble } from './bits';
import { KeyTable, setSingleKeys, singleKeys } from './keys';

type Hit = { key: string; name: string; note: string; to: string };

/** Finds cases by any word, and plates by name. */
export function Find({ onClose }: { onClose: () => void }) {
  const go = useNavigate();
  const [q, setQ] = useState('');
  const [at, setAt] = useState(0);
  const words = q.trim();
  const cases = useQuery({
    queryKey: ['search', words],
    queryFn: () => unwrap<Tag[]>(api.GET('/api/v1/search', { params: { query: { q: words } } })),
    enabled: words.length > 0,
  });
  const vocabulary = useVocabulary();
  const low = words.toLowerCase();
  const hits: Hit[] = words
    ? [
        ...(cases.data ?? []).slice(0, 8).map((c) => ({
          key: c.id,
          name: `${c.number} ${c.plant}`,
          note: `${c.grower} · ${c.causeName || c.line}`,
          to: `/bench/${c.id}`,
        })),
        ...(vocabulary.data?.causes ?? [])
          .filter((c) => c.name.toLowerCase().includes(low) || c.scientific?.toLowerCase().includes(low))
          .slice(0, 6)
          .map((c) => ({ key: c.id, name: c.name, note: c.kind, to: `/plates/${c.id}` })),
      ]
    : [];
  const open = (h?: Hit) => {
    if (!h) return;
    go(h.to);
    onClose();
  };
  // Enter is often quicker than the desk: it opens what is found as soon as that is known.
  const eager = useRef(false);
  useEffect(() => {
    if (!eager.current || cases.isFetching) return;
    eager.current = false;
    open(hits[at]);
  });
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      slotProps={{ paper: { 'aria-label': 'Find', 'aria-labelledby': undefined } }}
    >
      <div className="pad stack">
        <TextField
          label="Find a case or a plate"
          autoFocus
          value={q}
          onChange={(e) => {
            setQ(e.target.value);
            setAt(0);
            eager.current = false;
          }}
          onKeyDown={(e) => {
            if (e.key === 'ArrowDown') setAt((a) => Math.min(a + 1, hits.length - 1));
            if (e.key === 'ArrowUp') setAt((a) => Math.max(a - 1, 0));
            if (e.key === 'Enter' && cases.isFetching) eager.current = true;
            else if (e.key === 'Enter') open(hits[at]);
          }}
        />
        <Trouble of={cases.error} />
        {words && hits.length === 0 && !cases.isFetching && !cases.error && (
          <p className="quiet">Nothing by that name. Try a number, a grower, a plant or a pest.</p>
        )}
        <div role="listbox" aria-label="Found">
          {hits.map((h, i) => (
            <button
              type="button"
              key={h.key}
              role="option"
              aria-selected={i === at}
              className={i === at ? 'plain find at' : 'plain find'}
              style={{ width: '100%' }}
              onClick={() => open(h)}
            >
              <span>
                {h.name}
                <small>{h.note}</small>
              </span>
              <span />
            </button>
          ))}
        </div>
      </div>
    </Dialog>
  );
}

export function Help({ onClose }: { onClose: () => void }) {
  const [on, setOn] = useState(singleKeys);
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="xs"
      slotProps={{ paper: { 'aria-label': 'Keys', 'aria-labelledby': undefined } }}
    >
      <div className="pad stack">
        <h2>Keys here</h2>
        <FormControlLabel
          control={
            <Checkbox
              checked={on}
              onChange={(e) => {
                setSingleKeys(e.target.checked);
                setOn(e.target.checked);
              }}
            />
          }
          label="Single keys act. Switched off, only Enter, Escape, the arrows and Alt with a digit do."
        />
        <KeyTable />
      </div>
    </Dialog>
  );
}
