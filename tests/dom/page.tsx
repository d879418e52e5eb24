import { MantineProvider } from '@mantine/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { afterEach } from 'vitest';

// What a browser has and this document has not.
window.matchMedia = (media) =>
  ({
    matches: false,
    media,
    addEventListener: () => {},
    removeEventListener: () => {},
  }) as unknown as MediaQueryList;
window.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
window.print = () => {};
Element.prototype.scrollIntoView = () => {};
// A box of a list is so high; a row of it is a line.
Object.defineProperty(Element.prototype, 'clientHeight', {
  get(this: Element) {
    return this.classList.contains('list-box') ? 600 : 0;
  },
});
Object.defineProperty(HTMLElement.prototype, 'offsetHeight', { get: () => 40 });
globalThis.CSS ??= { escape: (text: string) => text.replace(/[^\w-]/g, '\\$&') } as typeof CSS;
Object.defineProperty(document, 'fonts', {
  value: Object.assign(new EventTarget(), { ready: new Promise(() => {}) }),
});
// Charts are drawn by the real browser's tests.
HTMLCanvasElement.prototype.getContext = () => null;

afterEach(cleanup);

/** Shows a component as it stands in a page, and gives the hands of whoever uses it. */
export function show(what: ReactElement) {
  const hands = userEvent.setup();
  const page = render(what, {
    wrapper: ({ children }) => <MantineProvider env="test">{children}</MantineProvider>,
  });
  return { hands, ...page };
}

/** Puts another text into the field of a label. */
export async function type(hands: ReturnType<typeof userEvent.setup>, label: string | RegExp, text: string) {
  const field = screen.getByLabelText(label);
  await hands.clear(field);
  if (text !== '') await hands.type(field, text);
}

/** What a status or an alert says, with its white space made single. */
export const said = (role: 'status' | 'alert' = 'status'): string[] =>
  screen.queryAllByRole(role).map((one) => one.textContent!.replace(/\s+/g, ' ').trim());
