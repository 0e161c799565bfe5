import { act, fireEvent, render, renderHook, screen } from '@testing-library/react';
import { useState } from 'react';
import { MemoryRouter, useNavigate } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import { useAddress, useAddressField } from './address';
import { KeyHost, useKeys } from './keys';
import { type Readiness, usePress } from './press';

describe('a press', () => {
  const pressed = (first: Readiness, about = 'a') => {
    const run = vi.fn();
    const hook = renderHook(({ ready, about }: { ready: Readiness; about: string }) => usePress(ready, run, about), {
      initialProps: { ready: first, about },
    });
    return { run, hook, press: () => act(() => hook.result.current.press()) };
  };

  it('while it is being worked out is done once, when it is', () => {
    const { run, hook, press } = pressed('working');
    press();
    press();
    expect(run).not.toHaveBeenCalled();
    expect(hook.result.current.waits).toBe(true);
    expect(hook.result.current.button).toEqual({ disabled: false, 'aria-busy': true });
    hook.rerender({ ready: 'ready', about: 'a' });
    expect(run).toHaveBeenCalledTimes(1);
    hook.rerender({ ready: 'working', about: 'a' });
    hook.rerender({ ready: 'ready', about: 'a' });
    expect(run).toHaveBeenCalledTimes(1);
  });
  it('is forgotten when it cannot be done, or is about something else by then', () => {
    for (const [ready, about] of [
      ['no', 'a'],
      ['working', 'b'],
    ] as [Readiness, string][]) {
      const { run, hook, press } = pressed('working');
      press();
      hook.rerender({ ready, about });
      hook.rerender({ ready: 'ready', about });
      expect(run).not.toHaveBeenCalled();
      expect(hook.result.current.waits).toBe(false);
    }
  });
  it('counts once where two come in one moment, and not at all where it cannot be done', () => {
    const twice = pressed('ready');
    act(() => {
      twice.hook.result.current.press();
      twice.hook.result.current.press();
    });
    expect(twice.run).toHaveBeenCalledTimes(1);
    const never = pressed('no');
    never.press();
    expect(never.run).not.toHaveBeenCalled();
    expect(never.hook.result.current.button.disabled).toBe(true);
  });
});

function Room({ run }: { run: (k: string) => void }) {
  useKeys([
    { key: '2', does: 'first', run: () => run('2') },
    { key: 'w', does: 'second', run: () => run('w') },
  ]);
  return <p>the room</p>;
}

function Coming({ run }: { run: (k: string) => void }) {
  const [here, setHere] = useState(false);
  return (
    <KeyHost>
      <button type="button" onClick={() => setHere(true)}>
        come
      </button>
      {here ? <Room run={run} /> : <p data-loading>on its way</p>}
    </KeyHost>
  );
}

describe('keys pressed while a room is fetched', () => {
  it('are kept for it and done in their order', () => {
    const run = vi.fn();
    render(<Coming run={run} />);
    for (const key of ['2', 'Tab', 'w']) fireEvent.keyDown(document.body, { key });
    expect(run).not.toHaveBeenCalled();
    fireEvent.click(screen.getByText('come'));
    expect(run.mock.calls.map(([k]) => k)).toEqual(['2', 'w']);
    fireEvent.keyDown(document.body, { key: '2' });
    expect(run).toHaveBeenCalledTimes(3);
  });
});

describe('what stands in the address', () => {
  const at = (start: string) => ({
    wrapper: ({ children }: { children: React.ReactNode }) => (
      <MemoryRouter initialEntries={[start]}>{children}</MemoryRouter>
    ),
  });
  it('keeps every one of several changes made before it is drawn again', () => {
    const hook = renderHook(() => useAddress(), at('/?plant=rose'));
    act(() => {
      hook.result.current[1]({ sort: 'plant' });
      hook.result.current[1]({ words: 'rust' });
      hook.result.current[1]({ has: ['a', 'b'], plant: '' });
    });
    expect(hook.result.current[0].toString()).toBe('sort=plant&words=rust&has=a&has=b');
  });
  it('takes one more and one fewer of a list, pressed faster than it is drawn', () => {
    const hook = renderHook(() => useAddress(), at('/?with=a'));
    const toggle = (id: string) =>
      hook.result.current[1]((now) => {
        const had = now.getAll('with');
        return { with: had.includes(id) ? had.filter((x) => x !== id) : [...had, id] };
      });
    act(() => ['b', 'c', 'a'].forEach(toggle));
    expect(hook.result.current[0].getAll('with')).toEqual(['b', 'c']);
  });
  it('follows a field when its writer pauses, and never takes letters back', () => {
    vi.useFakeTimers();
    try {
      const field = () => {
        const [params, set] = useAddress();
        const go = useNavigate();
        return { field: useAddressField(params.get('q') ?? '', (q) => set({ q })), params, go };
      };
      const hook = renderHook(field, at('/'));
      const type = (words: string, pause: number) => {
        act(() => hook.result.current.field[1](words));
        act(() => void vi.advanceTimersByTime(pause));
      };
      type('po', 100);
      type('powd', 350);
      expect(hook.result.current.params.get('q')).toBe('powd');
      type('powdery', 100);
      expect(hook.result.current.field[0]).toBe('powdery');
      act(() => void vi.advanceTimersByTime(400));
      expect(hook.result.current.params.get('q')).toBe('powdery');
      act(() => hook.result.current.go('/?q=rust'));
      expect(hook.result.current.field[0]).toBe('rust');
    } finally {
      vi.useRealTimers();
    }
  });
});
