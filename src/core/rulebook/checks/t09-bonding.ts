import type { ReadingFault } from '../../instrument/instrument';
import { readingFault } from '../../instrument/calibration';
import type { BlockState } from '../transit-found';
import { type Check, saying, type Keyed } from '../check';
import { singleUncertainty, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { judgeEarth } from '../judge-earth';
import { judgeLook } from '../look';
import { parallelPath } from '../parallel-path';
import { NOT_ON_RECORD } from '../readings';
import { noArmourSide, noRecord, openings, packedOf, type OfCable } from '../blocks';

type OfBond = OfCable & { limitOhm: number };

/** What it says, and the facts of each. */
type Says = Keyed<'t', ReadingFault, OfCable & { instrument: string; until: string }> & {
  't.no-armour-side': OfBond;
  't09.low': { count: number; limitOhm: number };
  't09.unread': OfBond;
};
const { conforms, unread } = saying<Says>();

/** Braid folded and clean, faces bare, and the resistance from each armour through the frame to earth. */
export const t09: Check = {
  id: 'T-09',
  kinds: ({ transit }) => transit === 'bonded',
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, earthing; site limit' },
  grade: 'detailed',
  hazard: 'explosion',
  shock: () => true,
  place: 'braid',
  consequence: () => 3,
  run(context) {
    const none = noRecord(context);
    if (none) return [none];
    const limitOhm = context.site.bondLimitOhm;
    const aspects: Aspect[] = openings(context);
    let count = 0;
    for (const { frame, blocks } of packedOf(context)) {
      for (const state of blocks) {
        const { block, cable, row, column, index } = state;
        if (block.cable === null) continue;
        const facts = {
          opening: frame.label, row: row + 1, column: column + 1, index: index + 1, cable: cable?.tag ?? block.cable, limitOhm,
        }; // prettier-ignore
        if (noArmourSide(context, state))
          aspects.push(unread('t.no-armour-side', facts, 'settle.armour-side'));
        if (!block.armour) continue;
        count++;
        const aspect = judgeBond(context, state, facts);
        if (aspect.outcome !== 'conforms') aspects.push(aspect);
      }
    }
    const looks = [judgeLook(context, 'braid'), judgeLook(context, 'armour-past')];
    return aspects.length > 0 ? [...aspects, ...looks] : [conforms('t09.low', { count, limitOhm }), ...looks];
  },
};

const MEANS = { instruments: ['milliohm-meter'], unit: 'ohm' } as const;

/** One armour's way through the frame to earth: across a joint alone, so the limit judges it. */
function judgeBond(context: Context, { block }: BlockState, facts: OfBond): Aspect {
  const { bondOhm: ohm, bondInstrument, bondAt } = block;
  if (ohm === null) return unread('t09.unread', facts, 'settle.bond');
  const { instruments, at } = context.transit!;
  const meter = bondInstrument ? (instruments.get(bondInstrument) ?? null) : null;
  const fault = readingFault({ fault: null, value: ohm, at: bondAt ?? at }, meter, MEANS, null);
  if (fault || !meter) {
    const said = { ...facts, instrument: meter?.tag ?? NOT_ON_RECORD, until: meter?.calibratedUntil ?? '' };
    return unread(`t.${fault ?? 'no-instrument'}`, said, 'settle.other-instrument');
  }
  return judgeEarth(context, { ohm, uncertaintyOhm: singleUncertainty(meter) }, {
    limitOhm: context.site.bondLimitOhm, predictedOhm: null, parallel: parallelPath(context), facts, key: 't09',
  }); // prettier-ignore
}
