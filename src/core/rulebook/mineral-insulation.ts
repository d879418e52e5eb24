import { stateWhenRead } from './cable-tests';
import type { ReadingFault } from '../instrument/instrument';
import { COLDEST_C, HOTTEST_C } from '../mineral/insulation';
import { isLater } from '../instrument/calibration';
import type { InsulationTest } from '../record/types';
import { coreCount } from '../kinds/situation';
import { saying, type Keyed, type None } from './check';
import type { Context } from './dossier';
import type { Aspect } from '../record/finding';
import { testBefore, testsAfter, worstPair } from './mineral-records';

type OfShort = {
  when: string;
  at: string;
  thresholdMegohm: number;
  pair: string;
  megohm: number;
  pairs: string;
};

type OfFault = { part: string; when: string; instrument: string; until: string };

/** What it says, and the facts of each. */
type Says = Keyed<'measured', ReadingFault, OfFault> & {
  'm.short': OfShort;
  'cable.none': None;
  'm.not-recorded': { cable: string };
  'm.unnamed': { cable: string; cores: number; names: number };
  'm.future': { when: string; at: string };
  'm.invalid': {
    when: string;
    at: string;
    thresholdMegohm: number;
    why: string;
    pairs: string;
    temperatureC: number;
  };
  'm.damp': OfShort;
  'm.pairs': { when: string; at: string; thresholdMegohm: number; pairs: string };
  'm.sound': {
    when: string;
    at: string;
    thresholdMegohm: number;
    pair: string;
    megohm: number;
    pairs: number;
  };
};
const { conforms, fails, unread } = saying<Says>();

/** The test by which the end was sealed; null before, or where there is no mineral-insulated cable. */
export const beforeOf = ({ mineral, entry, cable }: Context): InsulationTest | null =>
  mineral && cable && testBefore(mineral, cable, entry.id);

export const afterOf = ({ mineral, entry }: Context): InsulationTest[] =>
  mineral ? testsAfter(mineral, entry.id) : [];

/** A short between conductors is live when it is energised; damp is not yet. */
export const weigh = (context: Context, test: InsulationTest | null): 3 | 4 =>
  test && [...stateWhenRead(context.cable!, test).judged.values()].some(({ verdict }) => verdict === 'short')
    ? 4
    : 3;

export const isShort = ({ key }: Aspect): boolean => key === 'm.short';

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

export function judgeTest(
  context: Context,
  test: InsulationTest,
  when: 'before' | 'after' | 'in-service',
): Aspect {
  const none = noCable(context);
  if (none) return none;
  const { cable, mineral, at } = context;
  const fault = mineral!.faults.get(test.id);
  if (fault) {
    const { tag, until } = mineral!.testers.get(test.id)!;
    return unread(
      `measured.${fault}`,
      { part: 'insulation', when, instrument: tag, until },
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
