import type { Ground } from './ground';

/**
 * The best of all orders, found by the best ways through ever larger sets of nodes: it takes size² · 2^size steps, so it is
 * for some twelve.
 *
 * @returns the ring of nodes from the start
 * Source: Held and Karp 1962.
 */
export function exactRing({ size, cost }: Ground): Int32Array {
  const many = size - 1;
  const sets = 2 ** many;
  const least = new Float64Array(sets * many).fill(Infinity);
  const before = new Int8Array(sets * many).fill(-1);
  for (let last = 0; last < many; last++) least[(1 << last) * many + last] = cost(0, last + 1);
  for (let set = 1; set < sets; set++) {
    for (let last = 0; last < many; last++) {
      const sofar = least[set * many + last]!;
      if (sofar === Infinity) continue;
      for (let next = 0; next < many; next++) {
        if (set & (1 << next)) continue;
        const place = (set | (1 << next)) * many + next;
        const found = sofar + cost(last + 1, next + 1);
        if (found >= least[place]!) continue;
        least[place] = found;
        before[place] = last;
      }
    }
  }
  return traced(least, before, { size, cost });
}

/** The best ring, from its end back to the start. */
function traced(
  least: Float64Array,
  before: Int8Array,
  { size, cost }: Pick<Ground, 'size' | 'cost'>,
): Int32Array {
  const many = size - 1;
  let set = 2 ** many - 1;
  let last = 0;
  const closed = (node: number) => least[set * many + node]! + cost(node + 1, 0);
  for (let node = 1; node < many; node++) if (closed(node) < closed(last)) last = node;
  const ring = new Int32Array(size);
  for (let place = many; place > 0; place--) {
    ring[place] = last + 1;
    const previous = before[set * many + last]!;
    set ^= 1 << last;
    last = previous;
  }
  return ring;
}
