import { cleanup, configure } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';
import { answer, forget } from './desk';

// A busy machine is slow; what is waited for is waited for.
configure({ asyncUtilTimeout: 20_000 });

// The client takes Request and fetch when it is loaded; jsdom knows no address
// for a page's own paths, so that they are given one here.
const Real = globalThis.Request;
globalThis.Request = class extends Real {
  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(typeof input === 'string' && input.startsWith('/') ? `http://desk${input}` : input, init);
  }
};
globalThis.fetch = vi.fn((r: RequestInfo | URL) => answer(r as Request)) as unknown as typeof fetch;
// No style sheet is loaded here, so that an element's style is what stands on it; asked in
// full, jsdom holds every rule of every widget against it, at each key and each click.
globalThis.getComputedStyle = ((e: HTMLElement) => e.style) as typeof globalThis.getComputedStyle;
// jsdom draws nothing and so scrolls nothing.
Element.prototype.scrollIntoView = () => {};

beforeEach(() => {
  localStorage.clear();
  forget();
});
afterEach(cleanup);
