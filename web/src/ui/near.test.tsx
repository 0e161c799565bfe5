import { act, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Near } from './Near';

afterEach(() => vi.unstubAllGlobals());

/** An observer that reports when it is told to. */
function watched() {
  const told: ((list: { isIntersecting: boolean }[]) => void)[] = [];
  vi.stubGlobal(
    'IntersectionObserver',
    class {
      constructor(f: (list: { isIntersecting: boolean }[]) => void) {
        told.push(f);
      }
      observe() {}
      disconnect() {}
    },
  );
  return (isIntersecting: boolean) => act(() => told.forEach((f) => void f([{ isIntersecting }])));
}
const three = () =>
  render(
    [1, 2, 3].map((n) => (
      <Near key={n} width={10} height={10}>
        <i>drawn</i>
      </Near>
    )),
  );

describe('what is dear to draw', () => {
  it('waits until it comes near, keeping its place, and then stays', () => {
    const report = watched();
    const { container } = three();
    expect(screen.queryAllByText('drawn')).toHaveLength(0);
    expect(container.querySelectorAll('span')).toHaveLength(3);
    report(false);
    expect(screen.queryAllByText('drawn')).toHaveLength(0);
    report(true);
    expect(screen.queryAllByText('drawn')).toHaveLength(3);
  });
  it('is all there before the page is printed', () => {
    watched();
    three();
    act(() => void window.dispatchEvent(new Event('beforeprint')));
    expect(screen.queryAllByText('drawn')).toHaveLength(3);
  });
  it('is drawn at once where nobody can watch', () => {
    vi.stubGlobal('IntersectionObserver', undefined);
    three();
    expect(screen.queryAllByText('drawn')).toHaveLength(3);
  });
});
