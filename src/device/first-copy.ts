import type { Id } from '../core/record/types';

/**
 * A site's first copy, asked for while the server still says who is there. It counts for the opening of the page alone:
 * what came early is old by the time that a copy is fetched again.
 */
export class FirstCopy<T> {
  #early: { site: Id; answer: Promise<T> } | null = null;

  constructor(private readonly fetch: (site: Id) => Promise<T>) {}

  /** Asks at once. What is wrong with the answer is said by whoever asks again. */
  ask(site: Id): void {
    const answer = this.fetch(site);
    answer.catch(() => undefined);
    this.#early = { site, answer };
  }

  /** The copy of a site: the one that was asked for, once, or another. */
  of(site: Id): Promise<T> {
    const early = this.#early;
    this.forget();
    return early?.site === site ? early.answer.catch(() => this.fetch(site)) : this.fetch(site);
  }

  forget(): void {
    this.#early = null;
  }
}
