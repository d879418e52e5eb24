import { useEffect, useRef } from 'react';

/** One key of a view: what it does, and what it is called in the list. */
export interface KeyBinding {
  /** As `KeyboardEvent.key`, e.g. "d", " ", "ArrowLeft", or "ctrl+k". */
  key: string;
  title: string;
  run: () => void;
  /** Works while a text is being typed. */
  always?: boolean;
}

const SWITCH = 'yendral.letters';

/** Whether single letters work as keys; a person may switch them off. */
export const lettersOn = (): boolean => localStorage.getItem(SWITCH) !== 'off';
/** Switches single letters on or off. */
export const setLetters = (on: boolean): void => localStorage.setItem(SWITCH, on ? 'on' : 'off');

/** Name of a key as it is shown. */
export const keyName = (key: string): string =>
  ({ ' ': 'Space', ArrowLeft: '←', ArrowRight: '→', ArrowUp: '↑', ArrowDown: '↓', 'ctrl+k': 'Ctrl K' })[
    key
  ] ?? (key.length === 1 ? key.toUpperCase() : key);

/** Listens to the keys of a view while it is shown. */
export function useKeys(bindings: readonly KeyBinding[]): void {
  const latest = useRef(bindings);
  useEffect(() => {
    latest.current = bindings;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const binding = latest.current.find((b) => matches(b, event));
      if (!binding) return;
      event.preventDefault();
      binding.run();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}

function matches({ key, always }: KeyBinding, event: KeyboardEvent): boolean {
  const control = event.ctrlKey || event.metaKey;
  if (key.startsWith('ctrl+')) return control && event.key.toLowerCase() === key.slice(5);
  if (control || event.altKey || event.key.toLowerCase() !== key.toLowerCase()) return false;
  const { target } = event;
  if (!(target instanceof HTMLElement)) return false;
  if (document.querySelector('[role="dialog"]') && !always) return false;
  if (target.matches('input, textarea, select, [contenteditable]')) return Boolean(always);
  // Space and Enter belong to the button that has the focus.
  if ((key === ' ' || key === 'Enter') && target.matches('button, a, summary, [role="button"]')) return false;
  return key.length > 1 || key === ' ' || key === '?' || lettersOn();
}
