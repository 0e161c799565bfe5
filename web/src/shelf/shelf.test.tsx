import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Problem, S } from '../api/client';
import { type Amount, Measure, readTyped } from '../parts/Measure';
import { emptyMix, MixAnswer, MixFields, type MixForm, mixInput } from '../parts/Mixer';
import { emptyPlace, type PlaceForm, PlacePanel } from '../parts/PlacePanel';
import { askedAt, desk, show, vocabulary, write } from '../test/desk';

const choose = async (label: string | RegExp, option: string, nth = 0) => {
  await userEvent.click(screen.getAllByRole('combobox', { name: label })[nth] as HTMLElement);
  await userEvent.click(within(screen.getByRole('listbox')).getByText(option));
};

beforeEach(() => {
  desk('GET /api/v1/vocabulary', vocabulary);
  desk('GET /api/v1/house', { labels: {}, policy: {}, law: {}, schools: {} });
});

let now: Amount;
function One({ start }: { start: Amount }) {
  const [a, set] = useState(start);
  now = a;
  return <Measure label="Holds" name="m" units={['L', 'US fl oz']} value={a} set={set} />;
}
let mix: MixForm;
function Fields({ start, only }: { start: Partial<MixForm>; only?: string[] }) {
  const [f, set] = useState<MixForm>({ ...emptyMix, ...start });
  mix = f;
  return <MixFields form={f} set={set} only={only} />;
}
function Place({ start }: { start: Partial<PlaceForm> }) {
  const [f, set] = useState<PlaceForm>({ ...emptyPlace, ...start });
  return <PlacePanel form={f} set={set} />;
}

describe('a measure', () => {
  it('keeps the number when the unit is chosen after it, as one types', async () => {
    show(<One start={{ number: '1', unit: 'L' }} />);
    await choose('unit', 'US fl oz');
    expect(now).toEqual({ number: '1', unit: 'US fl oz' });
  });
  it.each([
    ['500 mL', { number: '500', unit: 'mL' }],
    ['2 gal', { number: '2', unit: 'US gal' }],
    ['half a litre', { number: '0.5', unit: 'L' }],
    ['1.5 litres', { number: '1.5', unit: 'L' }],
    ['3 Imperial pint', { number: '3', unit: 'Imperial pint' }],
    ['2,5', { number: '2,5', unit: 'L' }],
    ['2 buckets', { number: '2 buckets', unit: 'L' }],
  ])('reads %s as it was typed', (text, want) => {
    expect(readTyped(text, ['mL', 'L', 'US fl oz', 'US gal', 'Imperial pint', 'Imperial gal'], 'L')).toEqual(want);
  });
  it('takes a bare gallon for the one that stands there', () => {
    expect(readTyped('2 gallons', ['L', 'US gal', 'Imperial gal'], 'Imperial gal').unit).toBe('Imperial gal');
  });
});

describe('what the mixer sends', () => {
  const form: MixForm = { ...emptyMix, remedy: 'soap' };
  it('one filling where no more is asked for', () => {
    expect(mixInput(form)).toEqual({ remedy: 'soap', use: 'middle', volume: '1 L', sprayer: '1 L', spoons: 'metric' });
  });
  it('the label in hand, the second part, the stock and the times', () => {
    expect(
      mixInput({
        ...form,
        use: 'custom',
        custom: '15 mL per L',
        volume: '2',
        vUnit: 'US gal',
        beside: 'alcohol',
        bothLabels: true,
        stock: '96',
        times: '3',
      }),
    ).toMatchObject({
      use: '15 mL per L',
      volume: '2 US gal',
      with: [{ remedy: 'alcohol', use: 'middle' }],
      bothLabels: true,
      stock: '96',
      treatments: 3,
    });
  });
});

describe('the fields of a mix', () => {
  it('show the usual range, and this desk’s own bottle where there is one', async () => {
    const first = show(<Fields start={{ remedy: 'soap' }} />);
    expect(await screen.findByText(/usual label range of 10 mL per L to 20 mL per L/)).toBeTruthy();
    first.unmount();
    desk('GET /api/v1/house', { labels: { soap: { high: '12 mL per L' } } });
    show(<Fields start={{ remedy: 'soap' }} />);
    expect(await screen.findByText(/10 mL per L to 12 mL per L of the bottle on this shelf/)).toBeTruthy();
  });
  it('ask for the strength of the bottle only where a strength is thinned', async () => {
    show(<Fields start={{ remedy: 'soap' }} />);
    await screen.findByText(/usual label range/);
    expect(screen.queryByLabelText('The bottle says, per cent')).toBeNull();
    await choose('What is mixed', 'Alcohol, cut and dabbed');
    expect(screen.getByLabelText('The bottle says, per cent')).toHaveProperty('placeholder', '70');
    await write(screen.getByLabelText('The bottle says, per cent'), '96');
    await choose('What is mixed', 'Insecticidal soap');
    expect(mix.stock, 'another bottle, another strength').toBe('');
  });
  it('ask how strong a concentrate is, unless its own rate is written down', async () => {
    const first = show(<Fields start={{ remedy: 'spinosad' }} />);
    await write(await screen.findByLabelText('How strong is their bottle?'), '0.5 %');
    expect(mixInput(mix)).toMatchObject({ remedy: 'spinosad', stock: '0.5 %' });
    expect(screen.getByText(/a litre holds 0.06 to 0.1 g of spinosad/)).toBeTruthy();
    first.unmount();
    desk('GET /api/v1/house', { labels: { spinosad: { high: '1 mL per L' } } });
    show(<Fields start={{ remedy: 'spinosad' }} />);
    expect(await screen.findByText(/of the bottle on this shelf/)).toBeTruthy();
    expect(screen.queryByLabelText('How strong is their bottle?')).toBeNull();
  });
  it('say how it is put on, and name its vessel', async () => {
    show(<Fields start={{ remedy: 'soap' }} />);
    await screen.findByLabelText('The sprayer holds');
    await userEvent.click(await screen.findByText('wiped leaf by leaf'));
    expect(screen.getByLabelText('The bowl holds')).toBeTruthy();
    expect(mixInput(mix).rate).toBe('wipe');
  });
  it('ask for both labels anew with each second part', async () => {
    show(<Fields start={{ remedy: 'soap', beside: 'alcohol', bothLabels: true }} />);
    expect(await screen.findByRole('checkbox')).toHaveProperty('checked', true);
    await choose('In the same tank', 'nothing else');
    expect(screen.queryByRole('checkbox')).toBeNull();
    expect(mix.bothLabels).toBe(false);
  });
  it('offer only what was chosen, and nothing that is not mixed', async () => {
    show(<Fields start={{}} only={['soap', 'iron-bait']} />);
    await waitFor(() => expect(askedAt('GET /api/v1/vocabulary')).toHaveLength(1));
    await userEvent.click(screen.getByRole('combobox', { name: 'What is mixed' }));
    await waitFor(() => expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['Insecticidal soap']));
  });
  it('take the need of the plants over as the mix wanted', async () => {
    desk('POST /api/v1/need', { text: '1.5 L', rule: 'estimated' });
    show(<Fields start={{ remedy: 'soap' }} />);
    await userEvent.click(screen.getByText('How much for these plants?'));
    await write(screen.getByLabelText('cm high'), '80');
    await write(screen.getByLabelText('cm wide'), '60,5');
    await userEvent.click(await screen.findByText('Use it'));
    expect(askedAt('POST /api/v1/need').at(-1)?.body).toEqual({
      plants: [{ count: 1, heightCm: 80, widthCm: 60.5, leaf: 'ordinary' }],
    });
    expect(mix).toMatchObject({ volume: '1.5', vUnit: 'L' });
  });
});

const plan = {
  fillings: 2,
  tanks: [
    {
      count: 2,
      text: '1 L',
      ml: 1000,
      waterText: '985 mL',
      waterMl: 985,
      doses: [
        {
          name: 'Insecticidal soap',
          text: '15 mL',
          ml: 15,
          spoons: { text: '1 tbsp', ml: 15, errorPct: 0, spoons: [{ name: 'tbsp', count: 1 }] },
        },
      ],
      steps: [],
    },
  ],
  marks: [{ name: 'Insecticidal soap', rate: '15 mL per L', low: '10 mL per L', high: '20 mL per L', share: 0.5 }],
  warnings: ['weigh it'],
  order: ['Half fill the sprayer.', 'Add the soap.'],
  buy: [{ name: 'Insecticidal soap', text: '30 mL' }],
  leftOver: 'nothing is left over',
};
const mixed = { plan, treatments: 1, mind: ['this house does not recommend it'] } as unknown as S['Mixed'];

describe('the answer', () => {
  it('gives measures, spoons, order and what to buy', () => {
    const { container } = show(<MixAnswer mixed={mixed} />);
    const text = container.textContent ?? '';
    for (const part of [
      '2 fillings of 1 L',
      '15 mL insecticidal soap',
      '1 tbsp',
      'exact',
      '985 mL of water',
      'label low 10 mL per L',
      'weigh it',
      'Half fill',
      'One treatment uses 30 mL of insecticidal soap; nothing is left over',
    ])
      expect(text).toContain(part);
  });
  it('tells the advisor what the house thinks, and the grower not', () => {
    const first = show(<MixAnswer mixed={mixed} />);
    expect(first.container.textContent).toContain('does not recommend');
    first.unmount();
    expect(show(<MixAnswer mixed={mixed} forGrower />).container.textContent).not.toContain('does not recommend');
  });
  it('names what may not share a tank rather than a field', () => {
    const error = {
      message: 'x',
      errors: [{ field: 'with[0]', problem: 'oil and sulfur never go into one tank', mend: 'spray them apart' }],
    } as unknown as Problem;
    show(<MixAnswer error={error} />);
    expect(screen.getByRole('alert').textContent).toBe('oil and sulfur never go into one tank. Spray them apart.');
  });
  it('says what to do first', () => {
    expect(show(<MixAnswer />).container.textContent).toContain('Choose what is mixed');
  });
});

describe('without water', () => {
  it('asks for the area and names what is strewn, how much, and what to mind', async () => {
    desk('POST /api/v1/place', {
      placed: { text: '10.5 g', range: '6 g to 15 g', lines: [], order: ['Put 10.5 g into a dry cup.'] },
      mind: ['local law restricts it'],
    });
    const { container } = show(<Place start={{ remedy: 'iron-bait' }} />);
    await write(await screen.findByLabelText('Over an area of'), '3');
    await waitFor(() => expect(container.textContent).toContain('Iron phosphate bait, thinly strewn: 10.5 g'));
    expect(container.textContent).toContain('local law restricts it');
    expect(container.querySelector('[data-order]')?.textContent).toBe('Put 10.5 g into a dry cup.');
    expect(askedAt('POST /api/v1/place').at(-1)?.body).toMatchObject({ remedy: 'iron-bait', area: '3 m2' });
  });
  it('offers only what has an amount for a place', async () => {
    show(<Place start={{}} />);
    await waitFor(() => expect(askedAt('GET /api/v1/vocabulary')).toHaveLength(1));
    await userEvent.click(screen.getByRole('combobox'));
    await waitFor(() => expect(screen.getAllByRole('option')).toHaveLength(1));
  });
});
