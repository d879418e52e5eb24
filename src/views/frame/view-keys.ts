import { useEffect } from 'react';
import { useKeys, type KeyBinding } from '../../ui/keys';

let shown: readonly KeyBinding[] = [];

/** Keys of the view that is shown, for the list of keys. */
export const viewKeys = (): readonly KeyBinding[] => shown;

/** Figures that open the tabs of a view. */
export const tabKeys = <Tab extends string>(
  tabs: readonly (readonly [id: Tab, title: string])[],
  open: (tab: Tab) => void,
): KeyBinding[] =>
  tabs.map(([id, title], i) => ({
    key: String(i + 1),
    title: `Open ${title.toLowerCase()}`,
    run: () => open(id),
  }));

/** Listens to a view's own keys while it is shown, and names them in the list of keys. */
export function useViewKeys(bindings: readonly KeyBinding[]): void {
  useKeys(bindings);
  useEffect(() => {
    shown = bindings;
    return () => {
      shown = [];
    };
  });
}
