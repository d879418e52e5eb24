/** Something that others look at: they are told once per turn, however often it changed. */
export class Subscribable {
  readonly #listeners = new Set<() => void>();
  #telling = false;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Something changed; who listens is told when this turn is over. */
  protected changed(): void {
    if (this.#telling) return;
    this.#telling = true;
    queueMicrotask(() => {
      this.#telling = false;
      for (const listener of this.#listeners) listener();
    });
  }
}
