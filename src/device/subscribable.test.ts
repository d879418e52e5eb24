import { describe, expect, it } from 'vitest';
import { Subscribable } from './subscribable';

class Counter extends Subscribable {
  value = 0;
  add(by: number): void {
    this.value += by;
    this.changed();
  }
}

describe('what others look at', () => {
  it('tells them once per turn, and not after they have left', async () => {
    const counter = new Counter();
    const seen: number[] = [];
    const leave = counter.subscribe(() => seen.push(counter.value));
    counter.add(1);
    counter.add(2);
    expect(seen).toEqual([]);
    await Promise.resolve();
    expect(seen).toEqual([3]);
    counter.add(4);
    await Promise.resolve();
    leave();
    counter.add(5);
    await Promise.resolve();
    expect(seen).toEqual([3, 7]);
  });
});
