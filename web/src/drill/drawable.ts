import { useMemo } from 'react';
import type { S, View } from '../api/client';

/** A made-up sample as the drawing reads a case: what it was and what was seen; the rest of a view is never read. */
export const useDrawable = (of: S['PracticeCase'], looks: S['PracticeCase']['looks']) =>
  useMemo(
    () =>
      ({
        id: of.id,
        intake: { grower: '', plant: of.plant, host: of.host, place: of.place, story: of.story },
        looks: looks.map((l) => ({ ...l, by: '', at: '' })),
      }) as unknown as View,
    [of, looks],
  );
