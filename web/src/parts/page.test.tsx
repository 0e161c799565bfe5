import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { S } from '../api/client';
import { SheetPage } from './Sheet';

const sheet = {
  desk: 'Merrin Sound Plant Desk',
  number: '26-0001',
  grower: 'Ilse',
  date: 'Friday 10 July 2026',
  plant: 'Runner Bean',
  title: 'Two-spotted spider mite',
  what: 'Tiny mites.',
  sure: 'We are sure of this.',
  refer: '',
  lookFor: ['two dark spots'],
  steps: [
    {
      name: 'Insecticidal soap',
      how: ['Spray in the evening.'],
      wear: ['gloves', 'eye protection'],
      cautions: ['Patch test.', 'Keep children off.'],
      storage: 'cool',
    },
    { name: 'Hose it off', how: ['In the morning.'], wear: [], cautions: [], storage: '' },
  ],
  together: ['Hose first.'],
  amounts: ['Iron phosphate bait: 10 g'],
  mix: {
    product: 'Soap',
    lines: ['15 mL in 1 L'],
    order: ['Half fill.'],
    notes: ['Mix what you use.'],
    buy: ['45 mL'],
  },
  days: ['Friday 10 July', 'Monday 13 July'],
  hour: 'in the evening',
  mustNot: ['Oil on ferns: it burns'],
  why: ['dry air'],
  recovers: 'flecked leaves stay flecked',
  disposal: 'Compost it.',
  always: ['The product label and local law come first.'],
  askOn: 'Friday 24 July',
  advisor: 'Ansel',
} as unknown as S['Sheet'];

describe('the grower’s page', () => {
  const text = (over: Partial<S['Sheet']> = {}) =>
    (render(<SheetPage s={{ ...sheet, ...over }} />).container.textContent ?? '').replace(/\s+/g, ' ');
  it('says everything once, in the order it is done', () => {
    const t = text();
    const order = [
      'For Ilse',
      'runner bean',
      'What to look for',
      'What to do',
      'Insecticidal soap.',
      'Hose first.',
      'How much',
      '15 mL in 1 L',
      'You need 45 mL',
      'When',
      'Monday 13 July. in the evening',
      'Please do not',
      'It is favoured by: dry air. Will it recover? Flecked leaves',
      'label and local law',
      'ask how it went on Friday 24 July',
    ];
    let at = -1;
    for (const part of order) {
      expect(t.indexOf(part, at), part).toBeGreaterThan(at);
      at = t.indexOf(part, at);
    }
  });
  it('gathers the cautions of a step behind one word, and gives none where there is none', () => {
    const t = text();
    expect(t).toContain('Wear: gloves, eye protection. Mind: Patch test. Keep children off. Keep it cool.');
    expect(t.match(/Mind:/g)).toHaveLength(1);
    expect(t.match(/Wear:/g)).toHaveLength(1);
  });
  it('leaves out what the case does not have, never the cautions', () => {
    const t = text({ steps: [], together: [], amounts: [], mix: undefined, days: [], mustNot: [], lookFor: [] });
    for (const head of ['What to do', 'How much', 'When', 'Please do not', 'What to look for'])
      expect(t).not.toContain(head);
    expect(t).toContain('label and local law come first');
  });
  it('puts the authority before everything that could be done', () => {
    const t = text({ refer: 'Call the authority; do not move it.' });
    expect(t.indexOf('Call the authority')).toBeLessThan(t.indexOf('What to do'));
  });
  it('says above everything when the desk looks at it once more', () => {
    const t = text({ again: 'Ask us before the next treatment.' });
    expect(t.indexOf('Ask us before')).toBeLessThan(t.indexOf('What to look for'));
  });
  it('promises to ask even without a day', () => {
    expect(text({ askOn: '' })).toContain('We will ask how it went. Your advisor: Ansel.');
  });
});
