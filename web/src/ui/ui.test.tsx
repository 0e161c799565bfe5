import { act, render, renderHook, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import jsQR from 'jsqr';
import { describe, expect, it, vi } from 'vitest';
import type { S } from '../api/client';
import { aCase, desk, show, vocabulary } from '../test/desk';
import { Boundary } from './Boundary';
import { Chips, StatusMark } from './bits';
import { codeOf } from './Code';
import { Find } from './dialogs';
import { useDraft } from './draft';
import { KeyHost, setSingleKeys, useKeys } from './keys';
import { Tilt } from './Tilt';

describe('drafts', () => {
  it('outlive the component and are gone when cleared', () => {
    const empty = { a: '' };
    const first = renderHook(() => useDraft('t', empty));
    act(() => first.result.current[1]({ a: 'typed' }));
    first.unmount();
    const second = renderHook(() => useDraft('t', empty));
    expect(second.result.current[0].a).toBe('typed');
    act(() => second.result.current[2]());
    expect(renderHook(() => useDraft('t', empty)).result.current[0].a).toBe('');
  });
  it('survive what cannot be read', () => {
    localStorage.setItem('botanik.draft.t', '{broken');
    expect(renderHook(() => useDraft('t', { a: 'x' })).result.current[0].a).toBe('x');
  });
});

function Keyed({ run }: { run: () => void }) {
  useKeys([{ key: 'n', does: 'new', run }]);
  return <input aria-label="field" />;
}

describe('keys', () => {
  it('fire on the page, never inside a field', async () => {
    const run = vi.fn();
    render(
      <KeyHost>
        <Keyed run={run} />
      </KeyHost>,
    );
    await userEvent.keyboard('n');
    expect(run).toHaveBeenCalledTimes(1);
    await userEvent.type(screen.getByLabelText('field'), 'n');
    expect(run).toHaveBeenCalledTimes(1);
    expect(screen.getByLabelText('field')).toHaveProperty('value', 'n');
  });
});

describe('letters with nothing in focus', () => {
  it('act alone, and not as the letters of a word', async () => {
    const run = vi.fn();
    render(
      <KeyHost>
        <Keyed run={run} />
      </KeyHost>,
    );
    await userEvent.keyboard('sun on it');
    expect(run).not.toHaveBeenCalled();
    await new Promise((r) => setTimeout(r, 1000));
    await userEvent.keyboard('nn');
    expect(run).toHaveBeenCalledTimes(2);
  });
});

describe('single keys', () => {
  it('can be switched off, and arrows and Alt still act', async () => {
    const run = vi.fn();
    render(
      <KeyHost>
        <Keyed run={run} />
      </KeyHost>,
    );
    setSingleKeys(false);
    await userEvent.keyboard('n');
    expect(run).not.toHaveBeenCalled();
    setSingleKeys(true);
    await userEvent.keyboard('n');
    expect(run).toHaveBeenCalledTimes(1);
  });
});

describe('marks and chips', () => {
  it('say their word, with a shape of their own', () => {
    const shapes = ['go', 'care', 'not now', 'no'].map((s) => render(<StatusMark status={s} />).container);
    expect(shapes.map((c) => c.textContent)).toEqual(['go', 'care', 'not now', 'no']);
    expect(new Set(shapes.map((c) => c.querySelector('svg')?.innerHTML)).size).toBe(4);
  });
  it('hold one, or several', async () => {
    const on = vi.fn();
    const options = [
      { id: 'a', name: 'A' },
      { id: 'b', name: 'B' },
    ];
    render(<Chips label="l" options={options} value={['a']} onChange={on} many />);
    await userEvent.click(screen.getByText('B'));
    expect(on).toHaveBeenCalledWith(['a', 'b']);
  });
  it('are one Tab stop, and the arrows choose among radios and only move among boxes', async () => {
    const on = vi.fn();
    const options = ['a', 'b', 'c'].map((id) => ({ id, name: id.toUpperCase() }));
    const one = render(<Chips label="one" options={options} value={['b']} onChange={on} />);
    await userEvent.tab();
    expect(document.activeElement?.textContent).toBe('B');
    await userEvent.keyboard('{ArrowRight}{ArrowRight}');
    expect(on.mock.calls).toEqual([[['c']], [['a']]]);
    expect(screen.getAllByRole('radio')).toHaveLength(3);
    one.unmount();
    render(<Chips label="several" options={options} value={[]} onChange={on} many />);
    await userEvent.tab();
    await userEvent.keyboard('{ArrowLeft}');
    expect(document.activeElement?.textContent).toBe('C');
    expect(on).toHaveBeenCalledTimes(2);
  });
});

describe('the tilt', () => {
  const names = new Map([
    ['mite', 'Two-spotted spider mite'],
    ['grub', 'Vine weevil grubs'],
  ]);
  const reading = (p: number, over: object = {}) =>
    ({
      looked: 2,
      leader: 'mite',
      rival: 'grub',
      tiltTotal: 12,
      tilt: [
        { finding: 'walkers', short: 'walkers', said: 'specks walk', decibans: 13 },
        { finding: 'silk', short: 'no silk', said: 'no silk', decibans: -1 },
        { finding: 'dust', short: 'dust', said: 'dust', decibans: 0.2 },
      ],
      candidates: [
        { cause: 'mite', p: 0.9 },
        { cause: 'grub', p },
      ],
      ...over,
    }) as unknown as S['Ranking'];
  const text = (r: S['Ranking']) => render(<Tilt reading={r} names={names} />).container;
  it('names the rival that matters, and not one of next to no weight', () => {
    expect(text(reading(0.05)).textContent).toContain('Vine weevil grubs');
    const faint = text(reading(0.004)).textContent;
    expect(faint).not.toContain('Vine weevil grubs');
    expect(faint).toContain('any other plan');
  });
  it('weighs each look on its side and leaves out what weighs nothing', () => {
    const svg = text(reading(0.05));
    expect([...svg.querySelectorAll('.beam g')].map((g) => g.textContent)).toEqual(['walkers', 'no silk']);
    expect(svg.querySelector('svg')?.getAttribute('aria-label')).toContain(
      '12 decibans towards Two-spotted spider mite',
    );
  });
  it('stands level before anything was looked at', () => {
    const svg = text(reading(0.05, { looked: 0, tilt: [], tiltTotal: 3 }));
    expect(svg.querySelector<SVGGElement>('.beam')?.style.transform).toContain('rotate(0deg)');
    expect(svg.querySelector('svg')?.getAttribute('aria-label')).toBe('The tilt: nothing weighed yet');
  });
});

function Part({ of }: { of: { broken: boolean } }) {
  if (of.broken) throw new Error('null of a stored sheet');
  return <p>the sheet</p>;
}

describe('a part of the page that breaks', () => {
  it('says so, leaves the rest standing, and can be drawn again', async () => {
    vi.spyOn(console, 'error').mockImplementation(() => {});
    const part = { broken: true };
    show(
      <>
        <p>the rest</p>
        <Boundary>
          <Part of={part} />
        </Boundary>
      </>,
    );
    expect(screen.getByText('the rest')).toBeTruthy();
    expect(screen.getByRole('alert').textContent).toContain('our mistake');
    part.broken = false;
    await userEvent.click(screen.getByText('Draw it again'));
    expect(screen.getByText('the sheet')).toBeTruthy();
    vi.restoreAllMocks();
  });
});

describe('a code to be scanned', () => {
  it('leads another reader of codes to the address', async () => {
    const address = 'https://desk.example/p/4tMJQNlIHGaa0123456789';
    const rows = await codeOf(address);
    const [zoom, rim] = [4, 4];
    const n = (rows.length + 2 * rim) * zoom;
    const pixels = new Uint8ClampedArray(n * n * 4).fill(255);
    for (let y = 0; y < n; y++)
      for (let x = 0; x < n; x++)
        if (rows[Math.floor(y / zoom) - rim]?.[Math.floor(x / zoom) - rim])
          pixels.fill(0, (y * n + x) * 4, (y * n + x) * 4 + 3);
    expect(jsQR(pixels, n, n)?.data).toBe(address);
  });
});

describe('finding a case', () => {
  it('opens what is found as soon as it is known, when Enter was quicker than the desk', async () => {
    desk('GET /api/v1/vocabulary', vocabulary);
    let answer = (_: unknown) => {};
    desk(
      'GET /api/v1/search',
      () =>
        new Promise((go) => {
          answer = go;
        }),
    );
    const onClose = vi.fn();
    show(<Find onClose={onClose} />);
    await userEvent.keyboard('Ilse{Enter}');
    expect(onClose).not.toHaveBeenCalled();
    await act(async () => answer({ body: [{ ...aCase(), grower: 'Ilse', plant: 'Bean', line: 'pale' }] }));
    await vi.waitFor(() => expect(onClose).toHaveBeenCalled());
  });
});
