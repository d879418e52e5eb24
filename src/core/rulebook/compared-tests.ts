import type { Id, InsulationTest } from '../record/types';

/** Time after sealing from which a test is "a day later", ms. Chosen: the next morning counts. */
const DAY_LATER_MS = 12 * 3_600_000;

/** The tests that are set side by side at an end: before sealing, after it, and a day later. */
export interface ComparedTests {
  before: InsulationTest | null;
  first: InsulationTest | null;
  later: InsulationTest | null;
}

/**
 * The newest test of each kind: one that was taken again after drying out replaces the damp one before it.
 *
 * @param entry the end; tests of the finished cable count for both ends
 * @param sealedAt when its pot was sealed, ISO 8601; null where nobody recorded it: then a test after sealing says so
 */
export function comparedTests(
  tests: readonly InsulationTest[],
  entry: Id,
  sealedAt: string | null,
): ComparedTests {
  const own = tests
    .filter(
      (test) => !test.drying && (test.entry === entry || test.entry === null) && test.readings.length > 0,
    )
    .sort((a, b) => (a.at < b.at ? -1 : 1));
  const before = own.filter(({ stage, at }) => stage === 'before-seal' && (sealedAt === null || at <= sealedAt)).at(-1) ?? null; // prettier-ignore
  const from = sealedAt ?? before?.at ?? '';
  const after = own.filter(({ stage, at }) => stage === 'after-seal' && at >= from);
  const sealedMs = Date.parse(sealedAt ?? after[0]?.at ?? '');
  const isLater = ({ at }: InsulationTest) => Date.parse(at) - sealedMs >= DAY_LATER_MS;
  return {
    before,
    first: after.filter((test) => !isLater(test)).at(-1) ?? null,
    later: after.filter(isLater).at(-1) ?? null,
  };
}
