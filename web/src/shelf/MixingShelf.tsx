import { useSession } from '../api/hooks';
import { useDraft } from '../ui/draft';
import { KeyLine } from '../ui/keys';
import { emptyMix, MixAnswer, MixFields, type MixForm, useBlend } from './Mixer';

/** The mixer on its own, for the question across the counter. It remembers the last units. */
export default function MixingShelf() {
  const session = useSession();
  const [form, set] = useDraft<MixForm>('mixing', emptyMix);
  const blend = useBlend(form);
  return (
    <>
      <main id="room">
        <h1 style={{ marginBottom: 12 }}>How much goes in?</h1>
        <div className="two" style={{ gridTemplateColumns: 'minmax(0,1fr) minmax(0,1.2fr)' }}>
          <div className="sheet pad">
            <MixFields form={form} set={set} />
          </div>
          <div className="sheet pad">
            <MixAnswer mixed={form.remedy ? blend.data : undefined} error={blend.error} />
          </div>
        </div>
        <p className="quiet" style={{ marginTop: 12 }}>
          The label in hand comes first. These are typical ranges, and this desk's own bottles where the house has
          entered them.
        </p>
      </main>
      <KeyLine end={session.data?.person.name} />
    </>
  );
}
