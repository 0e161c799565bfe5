import { describe, expect, it } from 'vitest';
import { emptyForm, fromIntake, readTreated, toIntake } from './intake';

const remedies = [
  { id: 'soap', name: 'Insecticidal soap' },
  { id: 'summer-oil', name: 'Summer oil' },
  { id: 'copper', name: 'Fixed copper' },
  { id: 'azadirachtin', name: 'Azadirachtin' },
];

describe('what was sprayed before', () => {
  // 2026-07-11 is a Saturday.
  it.each([
    ['soap 9 days ago', 'soap', '2026-07-02'],
    ['soap 9', 'soap', '2026-07-02'],
    ['oil 2 weeks ago', 'summer-oil', '2026-06-27'],
    ['neem yesterday', 'azadirachtin', '2026-07-10'],
    ['copper on Tuesday', 'copper', '2026-07-07'],
    ['copper 2026-06-01', 'copper', '2026-06-01'],
    ['something from the shed 3 days ago', undefined, '2026-07-08'],
  ])('%s', (text, id, on) => {
    expect(readTreated(text, '2026-07-11', remedies)).toMatchObject([{ on, ...(id ? { remedy: id } : {}) }]);
  });
  it('reads several', () => {
    expect(readTreated('soap 9, oil 30 days ago', '2026-07-11', remedies).map((t) => t.remedy)).toEqual([
      'soap',
      'summer-oil',
    ]);
  });
});

describe('the form', () => {
  it('sends what was ticked and keeps it on the way back', () => {
    const f = {
      ...emptyForm,
      grower: ' Ilse ',
      plant: 'Bay',
      host: 'bay',
      place: 'balcony',
      mind: ['eaten', 'cat'],
      harvest: '4',
      story: 'sticky',
      urgency: '2',
    };
    const i = toIntake(f, '2026-07-11');
    expect(i).toMatchObject({ grower: 'Ilse', edible: true, cat: true, dog: false, daysToHarvest: 4, urgency: 2 });
    expect(fromIntake(i as never)).toMatchObject({ mind: ['eaten', 'cat'], harvest: '4', urgency: '2' });
  });
  it('sends no harvest day for what is not eaten', () => {
    expect(toIntake({ ...emptyForm, harvest: '4' }, '2026-07-11')).not.toHaveProperty('daysToHarvest');
  });
});
