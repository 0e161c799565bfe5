import { describe, expect, it } from 'vitest';
import { askedAt, desk } from '../test/desk';
import { emptyForm, type Form, fromIntake, readEarlier, toIntake } from './intake';

const form: Form = {
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

describe('the form', () => {
  it('sends what was ticked and keeps it on the way back', () => {
    const i = toIntake(form, []);
    expect(i).toMatchObject({ grower: 'Ilse', edible: true, cat: true, dog: false, daysToHarvest: 4, urgency: 2 });
    expect(fromIntake(i)).toMatchObject({ mind: ['eaten', 'cat'], harvest: '4', urgency: '2' });
  });
  it('sends no harvest day for what is not eaten', () => {
    expect(toIntake({ ...emptyForm, harvest: '4' }, [])).not.toHaveProperty('daysToHarvest');
  });
});

describe('what was sprayed before', () => {
  it('is read by the desk, once for a text', async () => {
    const read = [{ what: 'neem', on: '2026-07-10', couldBe: ['neem-oil', 'azadirachtin'] }];
    desk('POST /api/v1/earlier', read);
    expect(await readEarlier({ treated: ' neem yesterday ', treatedFor: '', treatedList: [] })).toEqual(read);
    expect(askedAt('POST /api/v1/earlier')[0]?.body).toEqual({ text: 'neem yesterday' });
    expect(await readEarlier({ treated: 'x', treatedFor: 'x', treatedList: read })).toBe(read);
    expect(await readEarlier({ treated: '  ', treatedFor: 'x', treatedList: read })).toEqual([]);
    expect(askedAt('POST /api/v1/earlier')).toHaveLength(1);
  });
});
