// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { show } from '../../tests/dom/page';
import { keyName, lettersOn, setLetters, useKeys, type KeyBinding } from './keys';

function View({ bindings }: { bindings: readonly KeyBinding[] }) {
  useKeys(bindings);
  return (
    <>
      <input aria-label="text" />
      <button>press</button>
    </>
  );
}

/** A view that counts what its keys did. */
function counted(extra: Partial<KeyBinding> = {}) {
  const run = { d: vi.fn(), space: vi.fn(), k: vi.fn(), one: vi.fn(), left: vi.fn() };
  const bindings: KeyBinding[] = [
    { key: 'd', title: 'Defect', run: run.d, ...extra },
    { key: ' ', title: 'Take', run: run.space },
    { key: 'ctrl+k', title: 'Find', run: run.k, always: true },
    { key: '1', title: 'First', run: run.one },
    { key: 'ArrowLeft', title: 'Back', run: run.left },
  ];
  return { ...show(<View bindings={bindings} />), run };
}

afterEach(() => localStorage.clear());

describe('the keys of a view', () => {
  it('do what they are bound to, in small and in capital letters', async () => {
    const { hands, run } = counted();
    await hands.keyboard('d');
    await hands.keyboard('D');
    await hands.keyboard('{ArrowLeft}');
    expect(run.d).toHaveBeenCalledTimes(2);
    expect(run.left).toHaveBeenCalledTimes(1);
  });

  it('leave a text alone that is being typed, but for those that work always', async () => {
    const { hands, run } = counted();
    await hands.click(screen.getByLabelText('text'));
    await hands.keyboard('d 1');
    expect(screen.getByLabelText<HTMLInputElement>('text').value).toBe('d 1');
    expect([run.d, run.space, run.one].map(({ mock }) => mock.calls.length)).toEqual([0, 0, 0]);
    await hands.keyboard('{Control>}k{/Control}');
    expect(run.k).toHaveBeenCalledTimes(1);
  });

  it('leave Space to a button that has the focus', async () => {
    const { hands, run } = counted();
    screen.getByRole('button').focus();
    await hands.keyboard(' ');
    expect(run.space).not.toHaveBeenCalled();
    (document.activeElement as HTMLElement).blur();
    await hands.keyboard(' ');
    expect(run.space).toHaveBeenCalledTimes(1);
  });

  it('are no keys with Control, Alt or Command held', async () => {
    const { hands, run } = counted();
    for (const held of ['Control', 'Alt', 'Meta']) await hands.keyboard(`{${held}>}d{/${held}}`);
    expect(run.d).not.toHaveBeenCalled();
  });

  it('rest while a dialog is open', async () => {
    const { hands, run } = counted();
    const dialog = document.createElement('div');
    dialog.setAttribute('role', 'dialog');
    document.body.append(dialog);
    await hands.keyboard('d');
    await hands.keyboard('{Control>}k{/Control}');
    expect(run.d).not.toHaveBeenCalled();
    expect(run.k).toHaveBeenCalledTimes(1);
    dialog.remove();
    await hands.keyboard('d');
    expect(run.d).toHaveBeenCalledTimes(1);
  });

  it('of single letters can be switched off; arrows and Space stay', async () => {
    const { hands, run } = counted();
    setLetters(false);
    expect(lettersOn()).toBe(false);
    await hands.keyboard('d1');
    await hands.keyboard('{ArrowLeft}');
    (document.activeElement as HTMLElement).blur();
    await hands.keyboard(' ');
    expect(run.d).not.toHaveBeenCalled();
    expect(run.one).not.toHaveBeenCalled();
    expect(run.left).toHaveBeenCalledTimes(1);
    expect(run.space).toHaveBeenCalledTimes(1);
    setLetters(true);
    await hands.keyboard('d');
    expect(run.d).toHaveBeenCalledTimes(1);
  });

  it('go with their view', async () => {
    const { hands, run, unmount } = counted();
    unmount();
    await hands.keyboard('d');
    expect(run.d).not.toHaveBeenCalled();
  });

  it.each([
    [' ', 'Space'],
    ['ArrowLeft', '←'],
    ['ctrl+k', 'Ctrl K'],
    ['d', 'D'],
    ['Enter', 'Enter'],
  ])('%j is called %s', (key, name) => expect(keyName(key)).toBe(name));
});
