import { stateOfTest, stateWhenRead, type TestState } from './cable-tests';
import { instrumentNow } from '../record/instruments';
import { KINDS } from '../kinds/kinds';
import { FILL, type TestHold } from '../kinds/steps';
import type { Slice } from '../record/slice';
import { readingFault } from '../instrument/calibration';
import type { Cable, Continuity, Entry, Id, Instrument, InsulationTest, ReadingFault } from '../record/types';

/** Tests of the cable in a mineral-insulated entry, and when its pot was sealed. */
export interface MineralRecords {
  /** Insulation tests of the cable since this end was cut, drying-out left out, in the order they were begun. */
  tests: readonly InsulationTest[];
  /** The newest tracing of its conductors since then; null before the first. */
  continuity: Continuity | null;
  /** When compound was last pressed into this pot; null before. */
  sealedAt: string | null;
  /** Why the tester of a test cannot count, by its record as it stands now. */
  faults: ReadonlyMap<Id, ReadingFault>;
  /** Tester of each test: its name and the end of its calibration. */
  testers: ReadonlyMap<Id, { tag: string; until: string }>;
}

/** What an insulation test asks of its tester. */
const TESTER = { instruments: ['insulation-tester'], unit: 'megohm' } as const;

/** Collects them; null for an entry of another kind or without a cable. */
export function mineralRecordsOf(slice: Slice, entry: Entry, cable: Cable | null): MineralRecords | null {
  if (!KINDS[entry.kind].mineral || !cable?.mineral) return null;
  const work = slice
    .by('makeoff', 'entry', entry.id)
    .filter(({ why }) => why === 'make-off')
    .sort(byTime)
    .at(-1);
  // A new make-off begins with a fresh square cut: what was tested and traced before it says nothing more.
  const since = work?.at ?? '';
  const filled = work?.ticks.find(({ step, skipped }) => step === FILL.id && skipped === null);
  const tests = slice.by('insulation', 'cable', cable.id).filter(({ drying, at }) => !drying && at >= since);
  const traced = slice.by('continuity', 'cable', cable.id).filter(({ at }) => at >= since);
  const faults = new Map<Id, ReadingFault>();
  const testers = new Map<Id, { tag: string; until: string }>();
  for (const test of tests) {
    const tester = instrumentNow(slice, test.instrument);
    testers.set(test.id, {
      tag: tester?.tag ?? 'A tester that is not on record',
      until: tester?.calibratedUntil ?? '',
    });
    const fault = faultOfTest(test, tester);
    if (fault) faults.set(test.id, fault);
  }
  return {
    faults,
    testers,
    tests: tests.sort(byTime),
    continuity: traced.sort(byTime).at(-1) ?? null,
    sealedAt: filled?.at ?? null,
  };
}

/** Every reading of a test has to lie in the tester's calibration; what it shows at most is a lower bound, not a fault. */
function faultOfTest(test: InsulationTest, tester: Instrument | null): ReadingFault | null {
  const times = [test.at, ...test.readings.map(({ at }) => at)];
  for (const at of times) {
    const value = tester?.span[0] ?? 0;
    const fault = readingFault({ fault: null, value, at }, tester, TESTER, null);
    if (fault) return fault;
  }
  return null;
}

/** Whether a test says something: a tester that counts, a sealed far end, a temperature in bounds, nothing hidden by its span. */
export function isValidTest({ faults }: MineralRecords, cable: Cable, test: InsulationTest): boolean {
  if (faults.has(test.id)) return false;
  return [...stateWhenRead(cable, test).judged.values()].every(({ verdict }) => verdict !== 'invalid');
}

const byTime = (a: { at: string; id: Id }, b: { at: string; id: Id }): number =>
  a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1;

/** The test that an end was sealed by, or would be: the newest valid one before its pot was filled. */
export function testBefore(records: MineralRecords, cable: Cable, entry: Id): InsulationTest | null {
  const { tests, sealedAt } = records;
  const own = tests.filter(
    (test) =>
      test.entry === entry && test.stage === 'before-seal' && (sealedAt === null || test.at <= sealedAt),
  );
  return own.filter((test) => isValidTest(records, cable, test)).at(-1) ?? own.at(-1) ?? null;
}

/** Tests of the sealed end, or of the finished cable since. */
export function testsAfter({ tests, sealedAt }: MineralRecords, entry: Id): InsulationTest[] {
  if (sealedAt === null) return [];
  return tests.filter(
    (test) =>
      test.stage !== 'before-seal' && (test.entry === null || test.entry === entry) && test.at >= sealedAt,
  );
}

/**
 * Whether a test that the make-off waits for is there and allows going on.
 *
 * @param nowMs ms since 1970: a test before sealing grows too old
 */
export function holdIsMet(
  records: MineralRecords | null,
  cable: Cable | null,
  entry: Id,
  hold: TestHold,
  nowMs: number,
): boolean {
  if (!records || !cable?.mineral) return false;
  if (hold === 'continuity') return records.continuity !== null;
  const before = testBefore(records, cable, entry);
  const test = hold === 'insulation-before' ? before : (testsAfter(records, entry)[0] ?? null);
  if (!test || records.faults.has(test.id)) return false;
  // Once the pot is sealed its own time says whether the test was fresh enough.
  const at = records.sealedAt === null ? nowMs : Date.parse(records.sealedAt);
  const state = stateOfTest(cable, test, hold === 'insulation-before' ? at : 0);
  return hold === 'insulation-before' ? state.action === 'seal-now' : state.action === 'record';
}

/** The pair of a test with the least insulation, by what the verdict rests on. */
export function worstPair({ judged }: TestState): { pair: string; judgedMegohm: number } | null {
  let worst: { pair: string; judgedMegohm: number } | null = null;
  for (const one of judged.values()) if (!worst || one.judgedMegohm < worst.judgedMegohm) worst = one;
  return worst;
}
