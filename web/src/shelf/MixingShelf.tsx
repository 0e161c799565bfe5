import Button from '@mui/material/Button';
import { useState } from 'react';
import { useSession } from '../api/hooks';
import { emptyMix, MixAnswer, MixFields, type MixForm, useBlend } from '../parts/Mixer';
import { emptyPlace, type PlaceForm, PlacePanel } from '../parts/PlacePanel';
import { useDraft } from '../ui/draft';
import { KeyLine, useKeys } from '../ui/keys';

/** The mixer on its own, for the question across the counter. It remembers the last units. */
export default function MixingShelf() {
  const session = useSession();
  const [form, set] = useDraft<MixForm>('mixing', emptyMix);
  const [place, setPlace] = useDraft<PlaceForm>('place', emptyPlace);
  const [shown, setShown] = useState(false);
  const blend = useBlend(form);
  useKeys([
    {
      key: shown ? 'Escape' : 'g',
      does: shown ? 'back' : 'show it to the grower',
      run: () => setShown((s) => !s && !!blend.data),
    },
  ]);
  if (shown && blend.data)
    return (
      <main id="room" className="shown" data-shown>
        <div className="row mid">
          <h1>{blend.data.plan.buy.map((b) => b.name).join(' with ')}</h1>
          <Button variant="outlined" onClick={() => setShown(false)}>
            Back&nbsp;<kbd>Esc</kbd>
          </Button>
        </div>
        <MixAnswer mixed={blend.data} error={blend.error} forGrower />
        <p>
          <b>The label in your hand comes first.</b> Gloves on; children and pets away until it is dry; nothing on open
          flowers; mix only what you use, and never in a drink bottle.
        </p>
      </main>
    );
  return (
    <>
      <main id="room">
        <div className="row mid" style={{ marginBottom: 12 }}>
          <h1>How much goes in?</h1>
          <Button
            variant="outlined"
            disabled={!blend.data || !!blend.error}
            onClick={() => setShown(true)}
            data-do="show"
          >
            Show it to the grower&nbsp;<kbd>g</kbd>
          </Button>
        </div>
        <div className="two asked-and-answered">
          <div className="sheet pad">
            <MixFields form={form} set={set} />
          </div>
          <div className="sheet pad answer">
            <MixAnswer mixed={form.remedy ? blend.data : undefined} error={blend.error} />
          </div>
          <div className="sheet pad stack">
            <h2>Without water: on a bed, in pots, on leaves</h2>
            <PlacePanel form={{ ...place, spoons: form.spoons }} set={setPlace} />
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
