import type { SealantSheet } from '../record/types';
import { type Check, saying } from './check';
import type { Context } from './dossier';
import type { Aspect } from '../record/finding';
import type { OpeningState } from './transit-records';
import { diameterOpen, noRecord, openings, packedOf } from './blocks';

/** What it says, and the facts of each. */
type Says = {
  't.no-sheet': { sheet: string };
  's.no-record': { opening: string; row: number; cable: string; side: string };
};
const { unread } = saying<Says>();

/** A rule over every opening that is closed with sealant; a hole that nobody closed leaves it open. */
export const overOpenings = (
  context: Context,
  judge: (opening: OpeningState, sheet: SealantSheet) => Aspect[],
): Aspect[] => {
  const none = noRecord(context);
  if (none) return [none];
  const { sealant } = context.certificate!.sheet.transit!;
  if (!sealant) return [unread('t.no-sheet', { sheet: context.certificate!.sheet.number }, 'settle.sheet')];
  return [...openings(context), ...packedOf(context).flatMap((opening) => judge(opening, sealant))];
};

export const rule = (
  head: Pick<Check, 'id' | 'basis' | 'place'>,
  run: Check['run'],
  grade: Check['grade'] = 'close',
): Check => ({
  ...head,
  kinds: ({ transit }) => transit === 'sealant',
  grade,
  hazard: 'explosion',
  consequence: () => 3,
  run,
});

/** The cables of an opening as measured, and what is open about them. */
export function measured({ frame, sealed: cables }: OpeningState) {
  const open = cables.flatMap(({ open: why, id, cable }): Aspect[] => {
    const facts = { opening: frame.label, row: 1, cable: cable?.tag ?? id, side: 'jacket' };
    if (!cable) return [unread('s.no-record', facts, 'settle.cable')];
    return diameterOpen({ open: why, cable: null }, facts)
      ? [diameterOpen({ open: why, cable: null }, facts)!]
      : [];
  });
  return { cables, open };
}
