import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { S } from '../api/client';
import { Problem } from '../api/client';
import { askedAt, desk, refusal, show, vocabulary, write } from '../test/desk';
import { Toasts } from '../ui/toast';
import { Growers } from './Growers';
import House from './House';
import { Keeping } from './Keeping';
import { Labels } from './Labels';
import { People } from './People';
import { SchoolRules } from './SchoolRules';
import { WhereWeAre } from './WhereWeAre';
import { Words } from './Words';

const rules = {
  labels: { soap: { repeatMinDays: 5, crops: ['bean'] } },
  policy: { soap: { use: 'heavy', why: 'smells' } },
  law: {},
  schools: {},
} as unknown as S['House'];
const health = {
  bytes: 2 << 20,
  cases: 31,
  lines: 400,
  photos: 2,
  people: 20,
  folder: '/data/backups',
  keeping: { every: 'day', hour: 3, keep: 14 },
  version: 4,
  backups: [{ at: '2026-07-11T03:00:00Z', file: 'botanik-1.db', bytes: 4096, cases: 30, there: true }],
  book: { causes: 333, findings: 100, remedies: 60, hosts: 90, own: 0, version: 'abc' },
  looked: '2026-07-11T03:00:00Z',
  running: '2026-07-01T08:00:00Z',
};
const type = async (label: string, words: string) => {
  await userEvent.clear(screen.getByLabelText(label));
  if (words) await write(screen.getByLabelText(label), words);
};
const choose = async (label: string | RegExp, option: string) => {
  await userEvent.click(screen.getByRole('combobox', { name: label }));
  await userEvent.click(within(screen.getByRole('listbox')).getByText(option));
};

beforeEach(() => {
  desk('GET /api/v1/vocabulary', vocabulary);
  desk('GET /api/v1/people', [{ id: 'a', login: 'ansel', name: 'Ansel', role: 'advisor' }]);
  desk('GET /api/v1/house', () => ({ body: rules, headers: { ETag: '"8"' } }));
  desk('GET /api/v1/calendars', []);
  desk('GET /api/v1/keeping', health);
  desk('GET /api/v1/keeping/troubles', []);
  desk('GET /api/v1/people/trace', [{ at: '2026-07-11T10:00:00Z', who: 'Odile', text: 'made Ansel advisor' }]);
  desk('GET /api/v1/people/o/sessions', []);
  desk('GET /api/v1/templates', () => ({
    body: { page: '{link}', moved: '{what}', ask: 'How is it?' },
    headers: { ETag: '"2"' },
  }));
});

describe('what is kept of a person', () => {
  it('is taken out only after it was asked twice, and says of how many cases', async () => {
    desk('GET /api/v1/growers', [{ id: 'g-1', name: 'Tamsin Reeve', cases: 2, earlier: [] }]);
    desk('GET /api/v1/growers/mentions', [{ word: 'Tamsin', case: 'c1', number: '26-0001', text: 'says Tamsin' }]);
    desk('POST /api/v1/growers/forget', { cases: 2, exports: 1, copies: 3, gone: '2026-07-25' });
    show(
      <Toasts>
        <Growers />
      </Toasts>,
    );
    await write(document.querySelector('input[name=whose]') as Element, 'Tam');
    await userEvent.click(await screen.findByText('Tamsin Reeve, 2'));
    await userEvent.click(await screen.findByText('Take the person out'));
    await userEvent.click(await screen.findByRole('checkbox', { name: 'Tamsin' }));
    expect(askedAt('POST /api/v1/growers/forget')).toEqual([]);
    await userEvent.click(screen.getByText('Take Tamsin Reeve out of 2 cases, for good'));
    await waitFor(() =>
      expect(askedAt('POST /api/v1/growers/forget')[0]?.body).toEqual({ person: 'g-1', also: ['Tamsin'] }),
    );
    const said = await screen.findByText(/Taken out: 2 cases stay without a name/);
    expect(said.textContent).toContain('3 copies of the desk still hold them; the last goes on Saturday');
  });
});

describe('the words of messages', () => {
  it('are kept with what was read, and a refusal names the one', async () => {
    desk('PUT /api/v1/templates', () => refusal(422, 'page', 'says nothing without {link}', 'put it in'));
    show(
      <Toasts>
        <Words boss />
      </Toasts>,
    );
    const field = await waitFor(() => {
      const x = document.querySelector('textarea[name=words-page]');
      expect(x).toBeTruthy();
      return x as HTMLTextAreaElement;
    });
    await userEvent.clear(field);
    await write(field, 'Hello');
    await userEvent.click(screen.getByText('Keep these words'));
    expect(await screen.findByText(/says nothing without/)).toBeTruthy();
    const sent = askedAt('PUT /api/v1/templates')[0];
    expect(sent?.body).toEqual({ page: 'Hello', moved: '{what}', ask: 'How is it?' });
    expect(sent?.headers.get('If-Match')).toContain('2');
  });
});

describe('people', () => {
  const people = [
    { id: 'o', login: 'odile', name: 'Odile', role: 'coordinator', active: true },
    { id: 'a', login: 'ansel', name: 'Ansel', role: 'advisor', active: true },
    { id: 'b', login: 'brann', name: 'Brann', role: 'advisor', active: false },
  ];
  const row = (login: string) => within(document.querySelector(`[data-person=${login}]`) as HTMLElement);
  const open = async (boss: boolean) => {
    desk('GET /api/v1/people', people);
    show(
      <Toasts>
        <People boss={boss} />
      </Toasts>,
    );
    await screen.findByText('Ansel');
  };
  it('are switched off, let in again and given a new password by the coordinator', async () => {
    desk('PUT /api/v1/people/a', { ...people[1], active: false });
    desk('PUT /api/v1/people/b', { ...people[2], active: true });
    await open(true);
    await userEvent.click(row('ansel').getByText('Switch off'));
    expect(await screen.findByText('Ansel is switched off and signed out.')).toBeTruthy();
    expect(askedAt('PUT /api/v1/people/a')[0]?.body).toEqual({ active: false });
    await userEvent.click(row('brann').getByText('Let in again'));
    await waitFor(() => expect(askedAt('PUT /api/v1/people/b')[0]?.body).toEqual({ active: true }));
    await userEvent.click(row('ansel').getByText('New password'));
    await userEvent.type(screen.getByLabelText('New password for Ansel'), 'a-new-password{Enter}');
    await waitFor(() => expect(askedAt('PUT /api/v1/people/a')[1]?.body).toEqual({ password: 'a-new-password' }));
  });
  it('say why somebody cannot be switched off', async () => {
    desk('PUT /api/v1/people/o', () => refusal(422, 'role', 'Odile is the only coordinator', 'make somebody else one'));
    await open(true);
    await userEvent.click(row('odile').getByText('Switch off'));
    expect((await screen.findByRole('alert')).textContent).toContain('only coordinator');
  });
  it('are let in with a role and a first password', async () => {
    desk('POST /api/v1/people', people[1]);
    await open(true);
    await userEvent.click(screen.getByText('Let somebody in'));
    await type('Name', 'Isolde');
    await type('Sign-in name', 'isolde');
    await type('First password', 'a-long-password');
    await userEvent.click(screen.getByText('Let them in'));
    await waitFor(() => expect(askedAt('POST /api/v1/people')).toHaveLength(1));
    expect(askedAt('POST /api/v1/people')[0]?.body).toEqual({
      login: 'isolde',
      name: 'Isolde',
      role: 'advisor',
      password: 'a-long-password',
    });
  });
  it('choose their own password when none is given, at an address told once', async () => {
    const invite = { person: people[1], path: '/join/abc', until: '2026-07-14T10:00:00Z' };
    desk('POST /api/v1/people/invite', invite);
    await open(true);
    await userEvent.click(screen.getByText('Let somebody in'));
    await type('Name', 'Isolde');
    await type('Sign-in name', 'isolde');
    await userEvent.click(screen.getByText('Let them in'));
    await waitFor(() =>
      expect(askedAt('POST /api/v1/people/invite')[0]?.body).toEqual({
        login: 'isolde',
        name: 'Isolde',
        role: 'advisor',
      }),
    );
    expect((await screen.findByText(/\/join\/abc/)).textContent).toContain('http');
  });
  it('are signed in somewhere, and that is ended', async () => {
    const at = { begun: '2026-07-11T08:00:00Z', last: '2026-07-11T09:00:00Z', until: '2026-07-15T08:00:00Z' };
    desk('GET /api/v1/people/a/sessions', [{ id: 's1', ...at }]);
    desk('DELETE /api/v1/people/a/sessions/s1', []);
    await open(true);
    await userEvent.click(row('ansel').getByText('Signed in'));
    await userEvent.click(await row('ansel').findByText('End it'));
    expect(await screen.findByText('Ansel is signed in nowhere.')).toBeTruthy();
  });
  it('are only read by anybody else', async () => {
    await open(false);
    expect(screen.queryByText('Switch off')).toBeNull();
    expect(screen.getByText('switched off')).toBeTruthy();
  });
});

describe('the bottles on this shelf', () => {
  const open = async (kept: (h: S['House']) => void = () => {}, boss = true, error?: Problem) => {
    show(<Labels rules={rules} boss={boss} error={error} onChange={kept} />);
    await userEvent.click(await screen.findByText('Insecticidal soap'));
  };
  it('show what was written down, beside what is usual', async () => {
    await open();
    expect(screen.getByText('gap 5 days · for bean')).toBeTruthy();
    expect(screen.getByLabelText('Gap, days')).toHaveProperty('value', '5');
    expect(screen.getByLabelText('Top rate')).toHaveProperty('placeholder', 'usual 20 mL per L');
    expect(screen.getByLabelText('Most a season')).toHaveProperty('placeholder', 'usual 6');
  });
  it('keep what is filled in and nothing else', async () => {
    const kept = vi.fn();
    await open(kept);
    await type('Top rate', ' 12 mL per L ');
    await type('Gap, days', '');
    await type('Most a season', '3');
    await type('Crops it names, by plant, group or family', 'Bean, , Fabaceae');
    await userEvent.click(screen.getByText('Keep this label'));
    expect(kept.mock.calls[0]?.[0].labels).toEqual({
      soap: { high: '12 mL per L', mostPerSeason: 3, crops: ['bean', 'fabaceae'] },
    });
  });
  it('drop a label that is emptied', async () => {
    const kept = vi.fn();
    await open(kept);
    await type('Gap, days', '');
    await type('Crops it names, by plant, group or family', '');
    await userEvent.click(screen.getByText('Keep this label'));
    expect(kept.mock.calls[0]?.[0].labels).toEqual({});
  });
  it.each(['a week', '7.5', '-1'])('take no %s for a number of days', async (words) => {
    const kept = vi.fn();
    await open(kept);
    await type('Gap, days', words);
    expect(screen.getByText('a whole number, like 7')).toBeTruthy();
    expect(screen.getByText('Keep this label')).toHaveProperty('disabled', true);
    expect(kept).not.toHaveBeenCalled();
  });
  it('mark the field the desk refused', async () => {
    await open(
      undefined,
      true,
      new Problem(422, 'x', 'x', [{ field: 'labels.soap.low', problem: 'is above', mend: 'swap' }]),
    );
    expect(screen.getByLabelText('Lowest rate').getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByLabelText('Top rate').getAttribute('aria-invalid')).toBe('false');
  });
  it('are changed by the coordinator alone', async () => {
    await open(undefined, false);
    expect(screen.getByLabelText('Gap, days')).toHaveProperty('disabled', true);
    expect(screen.getByText('Keep this label')).toHaveProperty('disabled', true);
  });
});

describe('where good advisors disagree', () => {
  it('takes another answer and says which was usual', async () => {
    const kept = vi.fn();
    const r = show(<SchoolRules rules={rules} boss onChange={kept} />);
    expect(await screen.findByText('usual: its strength is known')).toBeTruthy();
    await choose('Which soap?', 'castile');
    expect(kept.mock.calls[0]?.[0].schools).toEqual({ soap: 'castile' });
    r.unmount();
    show(<SchoolRules rules={{ ...rules, schools: { soap: 'castile' } }} boss={false} onChange={kept} />);
    expect(await screen.findByText('usual: insecticidal soap')).toBeTruthy();
    expect(screen.getByText('castile as good')).toBeTruthy();
  });
});

describe('the house', () => {
  const open = async (role: string) => {
    desk('GET /api/v1/session', { person: { id: 'o', name: 'Odile', role }, desk: {} });
    show(<House />);
    await screen.findByText('Local law, by active ingredient').catch(() => undefined);
    await waitFor(() => expect(document.querySelector('[data-policy=soap]')).toBeTruthy());
  };
  it('sends a policy with the version it read, and keeps its reason', async () => {
    desk('PUT /api/v1/house', rules);
    await open('coordinator');
    await choose('Use of Insecticidal soap', 'no');
    await waitFor(() => expect(askedAt('PUT /api/v1/house')).toHaveLength(1));
    const sent = askedAt('PUT /api/v1/house')[0];
    expect(sent?.headers.get('If-Match')).toBe('8');
    expect(sent?.body).toMatchObject({ policy: { soap: { use: 'no', why: 'smells' } } });
  });
  it('keeps a reason when one leaves its field, and only when it changed', async () => {
    desk('PUT /api/v1/house', rules);
    await open('coordinator');
    const why = screen.getByLabelText('Why for Insecticidal soap');
    await userEvent.click(why);
    await userEvent.tab();
    expect(askedAt('PUT /api/v1/house')).toHaveLength(0);
    await userEvent.clear(why);
    await write(why, 'stains');
    await userEvent.tab();
    await waitFor(() => expect(askedAt('PUT /api/v1/house')).toHaveLength(1));
    expect(askedAt('PUT /api/v1/house')[0]?.body).toMatchObject({ policy: { soap: { why: 'stains' } } });
  });
  it('reads the rules again when somebody was quicker, and says so', async () => {
    desk('PUT /api/v1/house', () => refusal(412, 'If-Match', 'is old', 'read it again'));
    await open('coordinator');
    const before = askedAt('GET /api/v1/house').length;
    await choose('Use of Insecticidal soap', 'no');
    expect(await screen.findByRole('alert')).toBeTruthy();
    await waitFor(() => expect(askedAt('GET /api/v1/house').length).toBeGreaterThan(before));
  });
  it('is read by an advisor, not changed', async () => {
    await open('advisor');
    expect(screen.getByRole('combobox', { name: 'Use of Insecticidal soap' }).getAttribute('aria-disabled')).toBe(
      'true',
    );
    expect(screen.getByLabelText('Why for Insecticidal soap')).toHaveProperty('disabled', true);
  });
});

describe("the desk's file", () => {
  it('is copied when the coordinator says, and by itself as often as they like', async () => {
    desk('POST /api/v1/keeping/now', health.backups[0]);
    desk('POST /api/v1/keeping/check', { at: '2026-07-11T10:00:00Z', whole: true, said: 'every page is whole' });
    desk('PUT /api/v1/keeping', { ...health, keeping: { every: 'week', hour: 3, keep: 14 }, version: 5 });
    show(
      <Toasts>
        <Keeping />
      </Toasts>,
    );
    await screen.findByText(/31 cases with 400 lines/);
    await userEvent.click(screen.getByText('Look it over'));
    expect(await screen.findByText(/every page is whole/)).toBeTruthy();
    await userEvent.click(screen.getByText('Copy it now'));
    expect(await screen.findByText('Copied and looked over: botanik-1.db.')).toBeTruthy();
    await choose('Copied by itself', 'every Monday');
    await userEvent.click(screen.getByText('Keep'));
    await waitFor(() => expect(askedAt('PUT /api/v1/keeping')).toHaveLength(1));
    expect(askedAt('PUT /api/v1/keeping')[0]?.headers.get('If-Match')).toBe('4');
  });
});

describe('where the desk is', () => {
  it('says what is met and reported here, and takes a word back', async () => {
    const kept: S['House'][] = [];
    const onChange = (h: S['House']) => kept.push(h);
    const causes = [
      { ...vocabulary.causes[0], id: 'fire-blight', name: 'Fire blight', regulated: true, mayTreat: true },
      { ...vocabulary.causes[0], id: 'xylella', name: 'Leaf scorch', regulated: true, mayTreat: false },
      { ...vocabulary.causes[0], id: 'hornworm', name: 'Hornworm', regulated: false, mayTreat: false },
    ];
    desk('GET /api/v1/vocabulary', { ...vocabulary, causes });
    const local = { causes: { hornworm: { here: 'seldom' } } };
    show(<WhereWeAre rules={{ ...rules, local } as S['House']} boss onChange={onChange} />);
    await screen.findByText('Hornworm');
    await choose('Climate', 'mild and wet');
    expect(kept.at(-1)?.local).toEqual({ ...local, climate: 'mild' });
    await choose('Whether Fire blight is reported here', 'need not be');
    expect(kept.at(-1)?.local?.causes?.['fire-blight']).toEqual({ report: 'no' });
    await choose('How often Hornworm is met here', 'as the book');
    expect(kept.at(-1)?.local?.causes).toEqual({});
    const fixed = screen.getByRole('combobox', { name: 'Whether Leaf scorch is reported here' });
    expect(fixed.getAttribute('aria-disabled')).toBe('true');
    expect(kept.at(-1)?.labels).toEqual(rules.labels);
  });
});
