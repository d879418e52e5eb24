import { useSyncExternalStore } from 'react';

/** One value that stands outside the page's tree: whoever reads it is drawn again when it changes, and nobody else. */
export class Cell<T> {
  readonly #listeners = new Set<() => void>();

  constructor(public value: T) {}

  set(value: T): void {
    this.value = value;
    for (const listener of this.#listeners) listener();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };
}

/** What a part of the page reads of a cell. */
export const useCell = <T, Read>(cell: Cell<T>, read: (value: T) => Read): Read =>
  useSyncExternalStore(cell.subscribe, () => read(cell.value));
