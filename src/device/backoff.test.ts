import { describe, expect, it } from 'vitest';
import { Backoff } from './backoff';

describe('pauses between tries', () => {
  it('grow to a limit, and begin anew once it worked', () => {
    const backoff = new Backoff(1000, 60_000, () => 1);
    const pauses = Array.from({ length: 9 }, () => backoff.next());
    expect(pauses).toEqual([1000, 2000, 4000, 8000, 16_000, 32_000, 60_000, 60_000, 60_000]);
    backoff.reset();
    expect(backoff.next()).toBe(1000);
  });
  it('are spread between half and the whole', () => {
    expect(new Backoff(1000, 60_000, () => 0).next()).toBe(500);
    expect(new Backoff(1000, 60_000, () => 0.5).next()).toBe(750);
  });
});
