// @vitest-environment jsdom
import { act } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { show } from '../../tests/dom/page';
import { afterPaint } from './after-paint';

const frame = () => act(() => new Promise((resolve) => setTimeout(resolve, 60)));
const press = (at: Element, key: string) =>
  at.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));

describe('what follows a press', () => {
  it('comes after the paint, once', async () => {
    const run = vi.fn();
    afterPaint(run);
    await Promise.resolve();
    expect(run).not.toHaveBeenCalled();
    await frame();
    await frame();
    expect(run).toHaveBeenCalledTimes(1);
  });

  it('is done before the next key, which belongs to what has the focus by then', async () => {
    const answered: string[] = [];
    let next: () => void;
    function Two() {
      const [at, setAt] = useState('first');
      next = () => setAt('second');
      return ['first', 'second'].map((id) => (
        // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- as a look has it
        <div
          key={id}
          role="group"
          data-id={id}
          tabIndex={-1}
          ref={(row) => {
            if (at === id) row?.focus();
          }}
          onKeyDown={({ key }) => answered.push(`${id} ${key}`)}
        />
      ));
    }
    show(<Two />);
    const first = document.querySelector('[data-id="first"]')!;
    await act(async () => {
      press(first, '1');
      afterPaint(() => next());
      press(first, '2');
      press(document.activeElement!, '3');
    });
    expect(answered).toEqual(['first 1', 'second 2', 'second 3']);
  });
});
