import { isLater } from '../../instrument/calibration';
import { type Check, saying } from '../check';
import type { Aspect } from '../../record/finding';
import { passedOver } from '../passed-over';
import { noCable } from '../mineral-insulation';

/** What it says, and the facts of each. */
type Says = {
  'm06.future': { at: string };
  'm06.none': { cable: string };
  'm06.crossed': { pairs: string };
  'm06.broken': { names: string };
  'm06.missing': { names: string };
  'm06.agrees': { count: number };
};
const { conforms, fails, unread } = saying<Says>();

/** Every conductor comes out under its own sleeve. */
export const m06: Check = {
  id: 'M-06',
  kinds: ({ mineral }) => mineral,
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, cables; assembly sheet, sleeves' },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'continuity',
  consequence: () => 3,
  run(context) {
    const none = noCable(context);
    if (none) return [none];
    const traced = context.mineral!.continuity;
    if (traced && isLater(traced.at, context.at))
      return [unread('m06.future', { at: traced.at }, 'settle.clock')];
    if (!traced) {
      return [
        passedOver(context, 'continuity') ??
          unread('m06.none', { cable: context.cable!.tag }, 'settle.trace'),
      ];
    }
    const { conductors } = context.cable!.mineral!;
    const far = new Map(traced.found.map((one) => [one.near, one.far]));
    const broken = conductors.filter((name) => far.get(name) === null);
    const missing = conductors.filter((name) => !far.has(name));
    const crossed = conductors.filter((name) => far.get(name) && far.get(name) !== name);
    const aspects: Aspect[] = [];
    if (crossed.length > 0) {
      aspects.push(
        fails('m06.crossed', {
          pairs: crossed.map((name) => `${name} comes out as ${far.get(name)}`).join(', '),
        }),
      );
    }
    if (broken.length > 0) aspects.push(fails('m06.broken', { names: broken.join(', ') }));
    if (missing.length > 0)
      aspects.push(unread('m06.missing', { names: missing.join(', ') }, 'settle.trace'));
    return aspects.length > 0 ? aspects : [conforms('m06.agrees', { count: conductors.length })];
  },
};
