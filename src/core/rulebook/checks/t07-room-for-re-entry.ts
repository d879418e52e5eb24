import { type Check, type None, saying } from '../check';
import { ofBlocks, noRecord, packedOf } from '../blocks';

/** What it says, and the facts of each. */
type Says = {
  't07.room': { count: number };
  't07.none': None;
};
const { conforms, fails } = saying<Says>();

/** At least one spare block is left for the next cable: a note for planning, no hazard. */
export const t07: Check = {
  id: 'T-07',
  kinds: ofBlocks,
  basis: { 'iec-2013': 'Assembly sheet, spare blocks; plant rule' },
  grade: 'close',
  hazard: 'record',
  place: null,
  consequence: () => 1,
  run(context) {
    const none = noRecord(context);
    if (none) return [none];
    const spares = packedOf(context).flatMap(({ blocks }) =>
      blocks.filter(({ block }) => block.cable === null),
    );
    return [spares.length > 0 ? conforms('t07.room', { count: spares.length }) : fails('t07.none', {})];
  },
};
