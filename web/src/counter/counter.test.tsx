import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { aCase, askedAt, desk, refusal, show, vocabulary, write } from '../test/desk';
import { CheckIn } from './CheckIn';
import { Counter } from './Counter';

const bean = { id: 'bean', name: 'Runner bean', scientific: 'Phaseolus coccineus', aliases: ['stick bean'] };
const tag = (id: string, plant: string) => ({
  id,
  number: `26-${id}`,
  stage: 'waiting',
  plant,
  grower: 'Ilse',
  line: 'pale',
  urgency: 0,
  certainty: 0,
});

beforeEach(() => {
  desk('GET /api/v1/vocabulary', { ...vocabulary, hosts: [bean] });
  desk('GET /api/v1/session', { person: { name: 'Ansel', role: 'advisor' }, desk: {}, now: '2026-07-11' });
});
const field = (label: RegExp) => screen.getByLabelText(label);

const soap = [{ what: 'soap', on: '2026-07-02', remedy: 'soap' }];
describe('checking in', () => {
  beforeEach(() => desk('POST /api/v1/earlier', soap));
  it('asks which, when a word could be two remedies', async () => {
    const two = [{ what: 'neem', on: '2026-07-10', couldBe: ['soap', 'alcohol'] }];
    desk('POST /api/v1/earlier', (a: { body: unknown }) => ({
      body: (a.body as { text: string }).text.startsWith('neem') ? two : soap,
    }));
    await open();
    await write(field(/^Already sprayed/), 'neem yesterday');
    expect(await screen.findByText(/Which neem was it/)).toBeTruthy();
    await userEvent.click(screen.getByText('Insecticidal soap', { selector: '.chip' }));
    expect(field(/^Already sprayed/)).toHaveProperty('value', 'Insecticidal soap yesterday');
    await waitFor(() => expect(screen.queryByText(/Which neem was it/)).toBeNull());
  });
  const open = async (done = vi.fn()) => {
    const r = show(<CheckIn focus={false} onFocused={() => {}} onDone={done} />);
    await waitFor(() => expect(askedAt('GET /api/v1/vocabulary')).toHaveLength(1));
    return { ...r, done };
  };
  const fill = async () => {
    await write(field(/^Grower/), 'Ilse Marrow');
    await write(field(/^Plant/), 'stick bean');
    await userEvent.tab();
    await userEvent.click(screen.getByText('garden'));
    await userEvent.click(screen.getByText('we eat it'));
    await write(field(/^Days until/), '4');
    await write(field(/^Already sprayed/), 'soap 9 days ago');
    await write(field(/^Their story/), 'pale');
  };
  it('sends what was said, the plant by any of its names, and clears the draft', async () => {
    desk('POST /api/v1/cases', aCase());
    const { done } = await open();
    await fill();
    expect(screen.getByText('Phaseolus coccineus')).toBeTruthy();
    expect(await screen.findByText('Insecticidal soap, Thursday 2 July')).toBeTruthy();
    await userEvent.click(screen.getByText('Put it in the tray'));
    await waitFor(() => expect(done).toHaveBeenCalledTimes(1));
    expect(askedAt('POST /api/v1/cases')[0]?.body).toMatchObject({
      grower: 'Ilse Marrow',
      plant: 'stick bean',
      host: 'bean',
      place: 'garden',
      edible: true,
      daysToHarvest: 4,
      treated: [{ remedy: 'soap', on: '2026-07-02' }],
    });
    expect(field(/^Grower/)).toHaveProperty('value', '');
  });
  it('keeps draft and key when the desk is not reached, so that a retry makes one case', async () => {
    desk('POST /api/v1/cases', () => {
      throw new Error('no wifi');
    });
    const first = await open();
    await fill();
    await userEvent.click(screen.getByText('Put it in the tray'));
    expect((await screen.findByRole('alert')).textContent).toContain('What you typed is kept');
    first.unmount();
    const { done } = await open();
    expect(field(/^Grower/)).toHaveProperty('value', 'Ilse Marrow');
    desk('POST /api/v1/cases', aCase());
    await userEvent.click(screen.getByText('Put it in the tray'));
    await waitFor(() => expect(done).toHaveBeenCalled());
    const keys = askedAt('POST /api/v1/cases').map((a) => a.headers.get('Idempotency-Key'));
    expect(keys).toHaveLength(2);
    expect(new Set(keys).size).toBe(1);
    expect(keys[0]).toBeTruthy();
  });
  it('tries again by itself when the connection is back', async () => {
    desk('POST /api/v1/cases', () => {
      throw new Error('no wifi');
    });
    const { done } = await open();
    await fill();
    await userEvent.click(screen.getByText('Put it in the tray'));
    await screen.findByText(/Try again, nothing is lost/);
    desk('POST /api/v1/cases', aCase());
    act(() => {
      window.dispatchEvent(new Event('online'));
    });
    await waitFor(() => expect(done).toHaveBeenCalledTimes(1));
  });
  it('puts each fault at its field and keeps the rest', async () => {
    desk('POST /api/v1/cases', () => refusal(422, 'treated[0].on', 'is in the future', 'give the day it was sprayed'));
    await open();
    await fill();
    await userEvent.click(screen.getByText('Put it in the tray'));
    await waitFor(() => expect(field(/^Already sprayed/).getAttribute('aria-invalid')).toBe('true'));
    expect(field(/^Their story/)).toHaveProperty('value', 'pale');
  });
  it('takes another key when the old one belongs to another sample', async () => {
    desk('POST /api/v1/cases', () => refusal(409, '', 'this key was used', 'send again'));
    await open();
    await fill();
    await userEvent.click(screen.getByText('Put it in the tray'));
    await screen.findByRole('alert');
    await userEvent.click(screen.getByText('Put it in the tray'));
    await waitFor(() => expect(askedAt('POST /api/v1/cases')).toHaveLength(2));
    const keys = askedAt('POST /api/v1/cases').map((a) => a.headers.get('Idempotency-Key'));
    expect(keys[0]).not.toBe(keys[1]);
  });
  it('asks what kind of plant an unknown one is', async () => {
    await open();
    await write(field(/^Plant/), 'triffid');
    expect(screen.getByText(/treated with care, by family and form/)).toBeTruthy();
    expect(screen.getByText('What kind of plant it is')).toBeTruthy();
  });
});

describe('the counter', () => {
  const today = {
    date: 'Saturday 11 July 2026',
    desk: 'Merrin Sound',
    brought: 3,
    longestMinutes: 95,
    waiting: [tag('1', 'Bean'), tag('2', 'Rose')],
    bench: [],
    ready: [tag('3', 'Bay')],
    counts: { waiting: 2, bench: 0, ready: 1, ask: 1 },
    notices: [{ kind: 'regulated', bold: 'Regulated suspect.', text: 'Keep it bagged.' }],
    ask: [
      { id: '4', grower: 'Orla', plant: 'Ivy', when: 'two days late', late: 2, what: 'soap', call: true, contact: '' },
    ],
  };
  beforeEach(() => desk('GET /api/v1/today', today));
  it('says how long the longest waits, who is late, and what is regulated first', async () => {
    const { container } = show(<Counter />);
    await screen.findByText('Saturday at the counter');
    const text = container.textContent ?? '';
    for (const part of ['1 h 35 min', '1 due, 1 late', 'telephone: silent twice', 'The bench is clear.'])
      expect(text).toContain(part);
    expect(container.querySelector('.notice.brick')?.textContent).toContain('Regulated suspect.');
  });
  it('is walked with the arrows, and the oldest taken with one key', async () => {
    show(<Counter />);
    await screen.findByText('Saturday at the counter');
    await userEvent.keyboard('{ArrowDown}{ArrowDown}');
    expect((document.activeElement as HTMLElement).dataset.case).toBe('26-2');
    await userEvent.keyboard('{ArrowUp}{ArrowUp}');
    expect((document.activeElement as HTMLElement).dataset.case).toBe('26-1');
    await userEvent.keyboard('b');
    expect(screen.getByTestId('at').textContent).toBe('/bench/1/look');
  });
});
