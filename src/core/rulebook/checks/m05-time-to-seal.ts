import { newestByPair } from '../cable-tests';
import { isLater } from '../../instrument/calibration';
import { atMost, below } from '../../quantity/compare';
import { type Check, type None, saying } from '../check';
import { beforeOf, noCable } from '../mineral-insulation';

/** What it says, and the facts of each. */
type Says = {
  'm05.not-sealed': None;
  'm.no-test': { when: string };
  'm05.future': { sealedAt: string };
  'm05.backwards': { tookMin: number; windowMin: number };
  'm05.in-time': { tookMin: number; windowMin: number };
  'm05.late': { tookMin: number; windowMin: number };
};
const { conforms, fails, unread } = saying<Says>();

/** The pot was sealed while the oldest reading of the test before it was fresh. */
export const m05: Check = {
  id: 'M-05',
  kinds: ({ mineral }) => mineral,
  basis: { 'iec-2013': 'Assembly sheet, time to seal', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run(context) {
    const before = beforeOf(context);
    const sealedAt = context.mineral?.sealedAt ?? null;
    if (sealedAt === null) return [noCable(context) ?? unread('m05.not-sealed', {}, 'settle.ir-after')];
    if (!before) return [unread('m.no-test', { when: 'before' }, 'settle.ir-before')];
    if (isLater(sealedAt, context.at)) return [unread('m05.future', { sealedAt }, 'settle.clock')];
    const { windowMin } = context.cable!.mineral!;
    const times = [...newestByPair(before.readings).values()].map(({ at }) => at).sort();
    const oldest = times[0];
    if (oldest === undefined) return [unread('m.no-test', { when: 'before' }, 'settle.ir-before')];
    const tookMin = (Date.parse(sealedAt) - Date.parse(oldest)) / 60_000;
    const facts = { tookMin, windowMin };
    if (below(tookMin, 0)) return [unread('m05.backwards', facts, 'settle.ir-before')];
    return [atMost(tookMin, windowMin) ? conforms('m05.in-time', facts) : fails('m05.late', facts)];
  },
};
