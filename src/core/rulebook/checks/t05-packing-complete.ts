import { unfilledColumns, widthMissing } from '../transit-found';
import { type Check, type None, saying } from '../check';
import { type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import type { OpeningState } from '../transit-records';
import {
  ofBlocks,
  where,
  noRecord,
  openings,
  packedOf,
  outOfSight,
  bothSides,
  type OfBlock,
} from '../blocks';

/** What it says, and the facts of each. */
type Says = {
  't05.complete': None;
  't05.width': { opening: string; row: number; missingMm: number };
  't05.column': {
    opening: string;
    row: number;
    column: number;
    wanted: number;
    have: number;
    heightMm: number;
  };
  't05.plate': { opening: string; row: number };
  't05.plate-unread': { opening: string; row: number };
  't05.core': OfBlock;
  't05.core-unread': OfBlock;
};
const { conforms, fails, unread } = saying<Says>();

/** Rows and columns are full, each row has its plate, spare blocks have their cores, both sides were looked at. */
export const t05: Check = {
  id: 'T-05',
  kinds: ofBlocks,
  basis: { 'iec-2013': 'Assembly sheet, packing; IEC 60079-14:2013, 9.6.4', certificate: true },
  grade: 'close',
  hazard: 'explosion',
  place: 'both-sides',
  consequence: () => 3,
  run(context) {
    const none = noRecord(context);
    if (none) return [none];
    const aspects: Aspect[] = openings(context);
    for (const opening of packedOf(context)) {
      aspects.push(...rows(context, opening), ...cores(context, opening));
    }
    const both = bothSides(context);
    return aspects.length > 0 ? [...aspects, both] : [conforms('t05.complete', {}), both];
  },
};

const NO_ASPECTS: Aspect[] = [];

function rows(context: Context, { frame, packed }: OpeningState): Aspect[] {
  return packed.rows.flatMap((row, r) => {
    const missingMm = widthMissing(frame.widthMm, row);
    const unfilled = unfilledColumns(row);
    if (Math.abs(missingMm) <= 1e-6 && unfilled.length === 0 && row.plate) return NO_ASPECTS;
    const facts = { opening: frame.label, row: r + 1 };
    const aspects: Aspect[] = [];
    if (Math.abs(missingMm) > 1e-6) aspects.push(fails('t05.width', { ...facts, missingMm }));
    for (const { column, wanted, have } of unfilled) {
      aspects.push(
        fails('t05.column', { ...facts, column: column + 1, wanted, have, heightMm: row.heightMm }),
      );
    }
    if (row.plate === false) aspects.push(fails('t05.plate', facts));
    if (row.plate === null && !outOfSight(context))
      aspects.push(unread('t05.plate-unread', facts, 'settle.plates'));
    return aspects;
  });
}

function cores(context: Context, { frame, blocks }: OpeningState): Aspect[] {
  return blocks.flatMap((state): Aspect[] => {
    if (state.block.cable !== null || state.block.core) return NO_ASPECTS;
    const facts = where(frame.label, state);
    if (state.block.core === false) return [fails('t05.core', facts)];
    if (state.block.core === null && !outOfSight(context))
      return [unread('t05.core-unread', facts, 'settle.cores')];
    return [];
  });
}
