import { blocks, curve, lattice, levels } from '../../src/core/programme/walk/instances.test.data';
import { walk } from '../../src/core/programme/walk/walk';

/** How long each walk is looked for, ms. */
const AFTER_MS = 2000;

/** How much longer than the best that is known the walks of 300 stops are after two seconds, three draws of each. */
export function walks(): void {
  for (const [name, made] of Object.entries({ lattice, levels, curve, blocks })) {
    const over = [1, 2, 3].map((seed) => {
      const { job, bestM } = made(seed);
      const end = performance.now() + AFTER_MS;
      const { lengthM } = walk(job, { swaps: Infinity, isOver: () => performance.now() > end });
      return 100 * (lengthM / bestM - 1);
    });
    console.log(`walk of 300 stops, ${name}: ${over.map((pct) => `${pct.toFixed(2)} %`).join(', ')} over the best after ${AFTER_MS / 1000} s`); // prettier-ignore
  }
}
