import { fallsBetween, newestByPair, stateWhenRead } from '../cable-tests';
import { COLDEST_C, HOTTEST_C } from '../../mineral/insulation';
import { isLater } from '../../instrument/calibration';
import { atMost, below } from '../../quantity/compare';
import type { InsulationTest } from '../../record/types';
import { coreCount } from '../asked';
import { conforms, fails, unread, type Check } from '../check';
import type { Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { isValidTest, testBefore, testsAfter, worstPair } from '../mineral-records';
import { passedOver } from '../passed-over';

/** The test by which the end was sealed; null before, or where there is no mineral-insulated cable. */
const beforeOf = ({ mineral, entry, cable }: Context): InsulationTest | null =>
  mineral && cable && testBefore(mineral, cable, entry.id);
const afterOf = ({ mineral, entry }: Context): InsulationTest[] =>
  mineral ? testsAfter(mineral, entry.id) : [];
/** The newest test since the sealing, a valid one where there is any. */
const latestOf = (context: Context): InsulationTest | null => {
  const after = afterOf(context);
  const valid = after.filter((test) => isValidTest(context.mineral!, context.cable!, test));
  return valid.at(-1) ?? after.at(-1) ?? null;
};

/** A short between conductors is live when it is energised; damp is not yet. */
const weigh = (context: Context, test: InsulationTest | null): 3 | 4 =>
  test && [...stateWhenRead(context.cable!, test).judged.values()].some(({ verdict }) => verdict === 'short')
    ? 4
    : 3;

const isShort = ({ key }: Aspect): boolean => key === 'm.short';

/** Insulation before the end was sealed. */
export const m02: Check = {
  id: 'M-02',
  title: 'Insulation before sealing',
  grade: 'detailed',
  hazard: 'explosion',
  shock: isShort,
  place: 'insulation-before',
  consequence: (context) => weigh(context, beforeOf(context)),
  run(context) {
    const test = beforeOf(context);
    if (test) return [beforeSealing(context, judgeTest(context, test, 'before sealing')), ...lateReadings(context, test)]; // prettier-ignore
    return [
      noCable(context) ??
        passedOver(context, 'insulation-before') ??
        unread('m.no-test', { when: 'before sealing' }, 'settle.ir-before'),
    ];
  },
};

/** What is damp and not sealed yet is dried out and tested again: no defect so far. */
const beforeSealing = ({ mineral }: Context, aspect: Aspect): Aspect =>
  aspect.key === 'm.damp' && mineral!.sealedAt === null
    ? unread('m.damp', aspect.facts, 'settle.dry')
    : aspect;

/** Readings of the test before that lie behind the sealing cannot be. */
function lateReadings({ mineral }: Context, test: InsulationTest): Aspect[] {
  const { sealedAt } = mineral!;
  if (sealedAt === null) return [];
  const late = test.readings.filter(({ at }) => at > sealedAt).map(({ pair }) => pair);
  if (late.length === 0) return [];
  return [unread('m02.late', { pairs: late.join(', '), sealedAt }, 'settle.ir-before')];
}

/** Insulation since the end was sealed. */
export const m03: Check = {
  id: 'M-03',
  title: 'Insulation after sealing',
  grade: 'detailed',
  hazard: 'explosion',
  shock: isShort,
  place: 'insulation-after',
  consequence: (context) => weigh(context, latestOf(context)),
  run(context) {
    const test = latestOf(context);
    if (test) return [judgeTest(context, test, test.stage === 'in-service' ? 'in service' : 'after sealing')];
    return [
      noCable(context) ??
        passedOver(context, 'insulation-after') ??
        unread('m.no-test', { when: 'after sealing' }, 'settle.ir-after'),
    ];
  },
};

/** A fall between the test before sealing and those after it is a finding even above the threshold. */
export const m04: Check = {
  id: 'M-04',
  title: 'Fall of insulation at sealing',
  grade: 'detailed',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run(context) {
    const before = beforeOf(context);
    const all = afterOf(context).filter(({ stage }) => stage === 'after-seal');
    if (!before || all.length === 0)
      return [noCable(context) ?? unread('m04.one-test', {}, 'settle.ir-after')];
    const { cable, mineral } = context;
    const valid = all.filter((test) => isValidTest(mineral!, cable!, test));
    if (!isValidTest(mineral!, cable!, before) || valid.length === 0)
      return [unread('m04.invalid', {}, 'settle.ir-again')];
    const { fallFactor } = cable!.mineral!;
    for (const test of valid) {
      const [fall] = fallsBetween(cable!, before, test);
      if (fall) return [fails('m04.fell', { ...fall, factor: fallFactor, at: test.at })];
    }
    return [conforms('m04.held', { factor: fallFactor, tests: valid.length })];
  },
};

/** The pot was sealed while the oldest reading of the test before it was fresh. */
export const m05: Check = {
  id: 'M-05',
  title: 'Time to seal',
  grade: 'detailed',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run(context) {
    const before = beforeOf(context);
    const sealedAt = context.mineral?.sealedAt ?? null;
    if (sealedAt === null) return [noCable(context) ?? unread('m05.not-sealed', {}, 'settle.ir-after')];
    if (!before) return [unread('m.no-test', { when: 'before sealing' }, 'settle.ir-before')];
    if (isLater(sealedAt, context.at)) return [unread('m05.future', { sealedAt }, 'settle.clock')];
    const { windowMin } = context.cable!.mineral!;
    const times = [...newestByPair(before.readings).values()].map(({ at }) => at).sort();
    const oldest = times[0];
    if (oldest === undefined) return [unread('m.no-test', { when: 'before sealing' }, 'settle.ir-before')];
    const tookMin = (Date.parse(sealedAt) - Date.parse(oldest)) / 60_000;
    const facts = { tookMin, windowMin };
    if (below(tookMin, 0)) return [unread('m05.backwards', facts, 'settle.ir-before')];
    return [atMost(tookMin, windowMin) ? conforms('m05.in-time', facts) : fails('m05.late', facts)];
  },
};

/** Without a cable that is recorded as mineral insulated there is nothing to test; its conductors are all named. */
export function noCable(context: Context): Aspect | null {
  const { cable, mineral } = context;
  if (!cable) return unread('cable.none', {}, 'settle.cable');
  if (!mineral || !cable.mineral) return unread('m.not-recorded', { cable: cable.tag }, 'settle.cable');
  const cores = coreCount(context) ?? 0;
  const names = new Set(cable.mineral.conductors).size;
  if (names >= cores) return null;
  return unread('m.unnamed', { cable: cable.tag, cores, names }, 'settle.cable');
}

function judgeTest(context: Context, test: InsulationTest, when: string): Aspect {
  const none = noCable(context);
  if (none) return none;
  const { cable, mineral, at } = context;
  const fault = mineral!.faults.get(test.id);
  if (fault) {
    const { tag, until } = mineral!.testers.get(test.id)!;
    return unread(
      `measured.${fault}`,
      { part: `Insulation ${when}`, instrument: tag, until },
      'settle.other-instrument',
    );
  }
  if (isLater(test.at, at)) return unread('m.future', { when, at: test.at }, 'settle.clock');
  const state = stateWhenRead(cable!, test);
  const { missing, judged, thresholdMegohm } = state;
  const facts = { when, at: test.at, thresholdMegohm };
  const verdicts = [...judged.values()];
  const worst = worstPair(state);
  const bad = (verdict: string) => verdicts.filter((one) => one.verdict === verdict).map(({ pair }) => pair);
  const invalid = bad('invalid');
  if (invalid.length > 0) {
    const why = !test.farEndSealed
      ? 'open'
      : test.temperatureC < COLDEST_C || test.temperatureC > HOTTEST_C
        ? 'temperature'
        : 'saturated';
    return unread(
      'm.invalid',
      { ...facts, why, pairs: invalid.join(', '), temperatureC: test.temperatureC },
      'settle.ir-again',
    );
  }
  const found = { ...facts, pair: worst?.pair ?? '', megohm: worst?.judgedMegohm ?? 0 };
  if (bad('short').length > 0) return fails('m.short', { ...found, pairs: bad('short').join(', ') });
  if (bad('damp').length > 0) return fails('m.damp', { ...found, pairs: bad('damp').join(', ') });
  if (missing.length > 0)
    return unread('m.pairs', { ...facts, pairs: missing.join(', ') }, 'settle.ir-again');
  return conforms('m.sound', { ...found, pairs: judged.size });
}
