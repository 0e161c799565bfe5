import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { View } from '../api/client';
import { aCase, askedAt, desk, show, vocabulary } from '../test/desk';
import { LeftOver } from './LeftOver';

const glassy = {
  finding: 'spots',
  state: 'glassy',
  short: 'spots',
  said: 'glassy patches',
  by: ['soft-rot'],
  names: ['bacterial soft rot'],
};

describe('what is left over', () => {
  const open = (over: Partial<View>) => {
    desk('GET /api/v1/vocabulary', vocabulary);
    desk('PUT /api/v1/cases/01X/looks/spots/aside', aCase({ version: 4 }));
    return show(<LeftOver view={aCase(over)} keys />);
  };
  it('is named with what would explain it, and let go with one key and its reason', async () => {
    open({ leftOver: [glassy] });
    expect(screen.getByText(/glassy patches/)).toBeTruthy();
    expect(document.querySelector('.leftover')?.textContent).toContain('bacterial soft rot');
    await userEvent.keyboard('l');
    await waitFor(() =>
      expect(askedAt('PUT /api/v1/cases/01X/looks/spots/aside')[0]?.body).toEqual({
        state: 'glassy',
        why: 'an old scar',
      }),
    );
  });
  it('stays to be seen when it was let go, and counts again when somebody says so', async () => {
    open({ looks: [{ finding: 'spots', state: 'glassy', aside: 'an old scar' }] as unknown as View['looks'] });
    expect(document.querySelector('[data-aside=spots]')?.textContent).toContain('Let go as an old scar');
    await userEvent.click(screen.getByText('It counts after all'));
    await waitFor(() =>
      expect(askedAt('PUT /api/v1/cases/01X/looks/spots/aside')[0]?.body).toEqual({ state: 'glassy', why: '' }),
    );
  });
  it('is not there where all is explained', () => {
    open({});
    expect(document.querySelector('.leftover')).toBeNull();
  });
});
