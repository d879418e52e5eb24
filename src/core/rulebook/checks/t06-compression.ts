import { atMost, below } from '../../quantity/compare';
import { compressionOf } from '../transit-found';
import { type Check, saying } from '../check';
import { type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { judgeLook } from '../look';
import { ofBlocks, noRecord, openings, packedOf } from '../blocks';

type OfShort = { opening: string; wedgeMm: number; lowMm: number; highMm: number };

type OfStack = { opening: string; leftMm: number; lowMm: number; highMm: number };

/** What it says, and the facts of each. */
type Says = {
  't06.bolts-early': { relaxH: number };
  't06.bolts-due': { relaxH: number; due: string };
  't06.unread': { opening: string };
  't06.short': OfShort;
  't06.far': OfShort;
  't06.home': OfShort;
  't06.too-little': OfStack;
  't06.too-much': OfStack;
};
const { conforms, fails, unread } = saying<Says>();

/** An hour: exactly so many milliseconds. */
const HOUR_MS = 3_600_000;

/** Bolts are checked again after the sheet's time; until it has passed "not yet" is no fault, afterwards it is open. */
function boltsAgain(context: Context): Aspect {
  const look = judgeLook(context, 'bolts-again');
  const given = context.looks.get('bolts-again');
  const { relaxH } = context.certificate!.sheet.transit!;
  if (given && given.answer !== 'not-yet') {
    // The rubber has relaxed only so long after they were tightened: what was checked sooner says nothing.
    const early = context.transit!.openings.some(
      ({ packed: { packedAt } }) =>
        packedAt && Date.parse(given.at) < Date.parse(packedAt) + relaxH * HOUR_MS,
    );
    return early && look.outcome === 'conforms'
      ? unread('t06.bolts-early', { relaxH }, 'settle.bolts')
      : look;
  }
  if (!given || context.at === '') return look;
  const packed = context.transit!.openings.map(({ packed: { packedAt } }) => packedAt ?? context.transit!.at);
  // They were tightened before somebody said that the time has not passed yet.
  const since = [given.at, ...packed].map((at) => Date.parse(at));
  const due = Math.min(...since) + relaxH * HOUR_MS;
  if (Date.parse(context.at) <= due) return look;
  return unread('t06.bolts-due', { relaxH, due: new Date(due).toISOString() }, 'settle.bolts');
}

/** What rows and plates leave lies in the window of the compression unit, and its reading too. */
export const t06: Check = {
  id: 'T-06',
  kinds: ofBlocks,
  basis: { 'iec-2013': 'Assembly sheet, compression', certificate: true },
  grade: 'close',
  hazard: 'explosion',
  place: 'bolts-again',
  consequence: () => 3,
  run(context) {
    const none = noRecord(context);
    if (none) return [none];
    const sheet = context.certificate!.sheet.transit!;
    const [lowMm, highMm] = sheet.wedgeMm;
    const aspects = packedOf(context).flatMap(({ frame, packed, blocks }): Aspect[] => {
      const { leftMm, state } = compressionOf(frame, packed, sheet, blocks);
      const facts = {
        opening: frame.label,
        leftMm,
        lowMm: sheet.compressionMm[0],
        highMm: sheet.compressionMm[1],
      };
      const stack = state === 'fits' ? [] : [fails(`t06.${state}`, facts)];
      if (packed.wedgeMm === null)
        return [...stack, unread('t06.unread', { opening: frame.label }, 'settle.wedge')];
      const reading = { opening: frame.label, wedgeMm: packed.wedgeMm, lowMm, highMm };
      if (below(packed.wedgeMm, lowMm)) return [...stack, fails('t06.short', reading)];
      if (!atMost(packed.wedgeMm, highMm)) return [...stack, fails('t06.far', reading)];
      return stack.length > 0 ? stack : [conforms('t06.home', reading)];
    });
    return [...openings(context), ...aspects, boltsAgain(context)];
  },
};
