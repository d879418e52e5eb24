/** A repeatable random number in [0, 1) from a seed and a position (mulberry32). */
export function randomAt(seed: number, position: number): number {
  let t = (seed + Math.imul(position + 1, 0x6d2b79f5)) >>> 0;
  t = Math.imul(t ^ (t >>> 15), t | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}

/** A repeatable normal deviate, mean 0 and standard deviation 1 (Box and Muller). */
export function normalAt(seed: number, position: number): number {
  const u = 1 - randomAt(seed, 2 * position);
  const v = randomAt(seed, 2 * position + 1);
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * v);
}
