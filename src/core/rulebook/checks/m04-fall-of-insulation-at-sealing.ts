import { fallsBetween } from '../cable-tests';
import { type Check, type None, saying } from '../check';
import { isValidTest } from '../mineral-records';
import { beforeOf, afterOf, noCable } from '../mineral-insulation';

/** What it says, and the facts of each. */
type Says = {
  'm04.one-test': None;
  'm04.invalid': None;
  'm04.fell': { pair: string; beforeMegohm: number; afterMegohm: number; factor: number; at: string };
  'm04.held': { factor: number; tests: number };
};
const { conforms, fails, unread } = saying<Says>();

/** A fall between the test before sealing and those after it is a finding even above the threshold. */
export const m04: Check = {
  id: 'M-04',
  kinds: ({ mineral }) => mineral,
  basis: { 'iec-2013': 'Assembly sheet, insulation before and after', certificate: true },
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
