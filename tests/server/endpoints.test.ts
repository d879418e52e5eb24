import { afterAll, beforeAll, expect, inject, it } from 'vitest';
import { fuzzEndpoints } from '../fuzz/endpoints';
import { serveDemo, type Served } from './served';

let served: Served;
beforeAll(async () => {
  served = await serveDemo({ seeded: inject('seeded') });
}, 180_000);
afterAll(() => served.stop());

/** One in so many of the requests; each with `YENDRAL_FUZZ_EVERY=1`. */
const EVERY = Number(process.env.YENDRAL_FUZZ_EVERY ?? 17);

it('wrong requests to every endpoint are answered: none is a fault, and the server stays up', async () => {
  const { asked, faults } = await fuzzEndpoints(served.address, EVERY);
  expect(faults).toEqual([]);
  expect(asked).toBeGreaterThan(5000 / EVERY);
}, 600_000);
