import type { Ground } from './ground';

/** How many of the nearest nodes each is tried beside. Chosen: more find hardly a shorter way and take longer. */
const NEAREST = 10;

/** For each node those that are nearest to it, the nearest first; of its own group, and of others. */
export function neighbours({ size, group, metres, cost, end }: Ground): Int32Array[] {
  const all: Int32Array[] = [];
  for (let node = 0; node < size; node++) {
    const [own, others] = [new Nearest(), new Nearest()];
    for (let other = 0; other < size; other++) {
      if (other === node || other === end) continue;
      const isOwn = group[node] !== 0 && group[node] === group[other];
      (isOwn ? own : others).offer(other, metres(node, other));
    }
    all.push(Int32Array.from([...own.nodes, ...others.nodes].sort((a, b) => cost(node, a) - cost(node, b))));
  }
  return all;
}

/** The nearest of those that are offered. */
class Nearest {
  readonly nodes: number[] = [];
  readonly #apart: number[] = [];

  offer(node: number, apart: number): void {
    let place = this.nodes.length;
    if (place === NEAREST && apart >= this.#apart[place - 1]!) return;
    while (place > 0 && this.#apart[place - 1]! > apart) place--;
    this.nodes.splice(place, 0, node);
    this.#apart.splice(place, 0, apart);
    if (this.nodes.length <= NEAREST) return;
    this.nodes.pop();
    this.#apart.pop();
  }
}
