import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap } from '../api/client';
import { versioned } from '../api/hooks';
import { Trouble } from '../ui/bits';
import { useDraft } from '../ui/draft';
import { useToast } from '../ui/toast';

const unwritten = {};
const names: [keyof S['Templates'] & ('page' | 'moved' | 'ask'), string][] = [
  ['page', 'With the page'],
  ['moved', 'When the weather moved a day'],
  ['ask', 'How did it go'],
];

/** The words of messages to growers; what stands in braces is filled in. */
export function Words({ boss }: { boss: boolean }) {
  const say = useToast();
  const { data, refetch } = useQuery({
    queryKey: ['templates'],
    queryFn: async () => {
      const { body, version } = await versioned<S['Templates']>(api.GET('/api/v1/templates'));
      return { words: body, version };
    },
  });
  const [draft, setDraft, forget] = useDraft<Partial<S['Templates']>>('words', unwritten);
  const save = useMutation<S['Templates'], Problem>({
    mutationFn: () =>
      unwrap<S['Templates']>(
        api.PUT('/api/v1/templates', {
          params: { header: { 'If-Match': data?.version ?? '0' } },
          body: { ...(data?.words as S['Templates']), ...draft },
        }),
      ),
    onSuccess: () => {
      forget();
      say({ text: 'Kept. The next message has these words.' });
      void refetch();
    },
  });
  if (!data?.words) return null;
  return (
    <section className="sheet pad stack" data-words>
      <h2>What messages say</h2>
      <p className="quiet">
        Filled in: {'{grower} {plant} {number} {desk} {reach} {link} {day} {what}'}. Nobody who wants none gets one, and
        none goes out twice.
      </p>
      {names.map(([k, label]) => (
        <TextField
          key={k}
          multiline
          minRows={2}
          label={label}
          name={`words-${k}`}
          value={draft[k] ?? data.words[k]}
          disabled={!boss}
          error={!!save.error?.field(k)}
          onChange={(e) => setDraft((d) => ({ ...d, [k]: e.target.value }))}
        />
      ))}
      <Trouble of={save.error} />
      {boss && (
        <Button
          variant="outlined"
          style={{ justifySelf: 'start' }}
          disabled={!Object.keys(draft).length || save.isPending}
          onClick={() => save.mutate()}
          data-do="keep-words"
        >
          Keep these words
        </Button>
      )}
    </section>
  );
}
