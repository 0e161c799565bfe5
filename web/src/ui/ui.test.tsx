import { act, render, renderHook, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { Chips, StatusMark } from './bits';
import { useDraft } from './draft';
import { KeyHost, useKeys } from './keys';

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
});
