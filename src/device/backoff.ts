/** Pauses between tries: each twice the one before, up to a minute, spread so that devices do not come together. */
export class Backoff {
  #tries = 0;

  constructor(
    private readonly firstMs = 1000,
    private readonly mostMs = 60_000,
    private readonly random: () => number = Math.random,
  ) {}

  /** The next pause, ms. */
  next(): number {
    const whole = Math.min(this.firstMs * 2 ** this.#tries++, this.mostMs);
    return whole * (0.5 + this.random() / 2);
  }

  /** It worked: the next pause is a short one again. */
  reset(): void {
    this.#tries = 0;
  }
}
