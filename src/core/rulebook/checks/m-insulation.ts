import { fallsBetween, newestByPair, stateOfTest } from '../../mineral/cable-tests';
import { atMost } from '../../quantity/compare';
import type { InsulationTest } from '../../record/types';
import { conforms, fails, unread, type Check } from '../check';
import type { Context } from '../dossier';
import type { Aspect } from '../finding';
import { testBefore, testsAfter, worstPair } from '../mineral-records';
import { passedOver } from '../passed-over';

/** The test by which the end was sealed; null before, or where there is no mineral-insulated cable. */
const beforeOf = ({ mineral, entry }: Context): InsulationTest | null =>
  mineral && testBefore(mineral, entry.id);
const afterOf = ({ mineral, entry }: Context): InsulationTest[] =>
  mineral ? testsAfter(mineral, entry.id) : [];

/** A short between conductors is live when it is energised; damp is not yet. */
const weigh = (context: Context, test: InsulationTest | null): 3 | 4 =>
  test && [...stateOfTest(context.cable!, test, 0).judged.values()].some(({ verdict }) => verdict === 'short')
    ? 4
    : 3;

/** Insulation before the end was sealed. */
export const m02: Check = {
  id: 'M-02',
  title: 'Insulation before sealing',
  grade: 'detailed',
  hazard: 'explosion',
  place: 'insulation-before',
  consequence: (context) => weigh(context, beforeOf(context)),
  run(context) {
    const test = beforeOf(context);
    if (test) return [beforeSealing(context, judgeTest(context, test, 'before sealing'))];
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

/** Insulation since the end was sealed. */
export const m03: Check = {
  id: 'M-03',
  title: 'Insulation after sealing',
  grade: 'detailed',
  hazard: 'explosion',
  place: 'insulation-after',
  consequence: (context) => weigh(context, afterOf(context).at(-1) ?? null),
  run(context) {
    const test = afterOf(context).at(-1);
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
    const after = afterOf(context).filter(({ stage }) => stage === 'after-seal');
    if (!before || after.length === 0)
      return [noCable(context) ?? unread('m04.one-test', {}, 'settle.ir-after')];
    const { cable } = context;
    const { fallFactor } = cable!.mineral!;
    for (const test of after) {
      const [fall] = fallsBetween(cable!, before, test);
      if (fall) return [fails('m04.fell', { ...fall, factor: fallFactor, at: test.at })];
    }
    return [conforms('m04.held', { factor: fallFactor, tests: after.length })];
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
    const { windowMin } = context.cable!.mineral!;
    const oldest = [...newestByPair(before.readings).values()].map(({ at }) => at).sort()[0];
    if (oldest === undefined) return [unread('m.no-test', { when: 'before sealing' }, 'settle.ir-before')];
    const tookMin = (Date.parse(sealedAt) - Date.parse(oldest)) / 60_000;
    const facts = { tookMin, windowMin };
    return [atMost(tookMin, windowMin) ? conforms('m05.in-time', facts) : fails('m05.late', facts)];
  },
};

/** Without a cable that is recorded as mineral insulated there is nothing to test. */
export function noCable({ cable, mineral }: Context): Aspect | null {
  if (!cable) return unread('cable.none', {}, 'settle.cable');
  return mineral ? null : unread('m.not-recorded', { cable: cable.tag }, 'settle.cable');
}

function judgeTest({ cable }: Context, test: InsulationTest, when: string): Aspect {
  const state = stateOfTest(cable!, test, 0);
  const { missing, judged, thresholdMegohm } = state;
  const facts = { when, at: test.at, thresholdMegohm };
  const verdicts = [...judged.values()];
  const worst = worstPair(state);
  const bad = (verdict: string) => verdicts.filter((one) => one.verdict === verdict).map(({ pair }) => pair);
  const invalid = bad('invalid');
  if (invalid.length > 0) {
    const why = !test.farEndSealed
      ? 'open'
      : test.temperatureC < 5 || test.temperatureC > 40
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
