import type { Kind } from '../kinds/kind';
import { isLater } from '../instrument/calibration';
import type { ReadingFault } from '../instrument/instrument';
import { type BlockState, type SideFault, type SideState } from './transit-found';
import { type Check, saying, type Keyed, type None } from './check';
import { kindOf, type Context } from './dossier';
import type { Aspect, Facts } from '../record/finding';
import { asksFor } from './grades';
import { judgeLook } from './look';
import type { OpeningState } from './transit-records';

/** Where a block sits; a cable in sealant has no column. */
export type OfBlock = { opening: string; row: number; column?: number; index?: number };
/** The cable that a block holds. */
export type OfCable = OfBlock & { cable: string | null };
/** One side of it: on its jacket or on its armour. */
export type OfSide = OfCable & { side: string };

/** What it says, and the facts of each. */
type Says = Keyed<'t', ReadingFault, OfSide & { instrument: string; until: string }> & {
  't.no-size': OfCable & { sizeMm: number };
  't.no-armour-side': OfCable & { limitOhm?: number };
  'e01.no-certificate': None;
  't.no-sheet': { sheet: string };
  't.no-frame': None;
  't.no-packing': None;
  't.unpacked': { opening: string };
  't.twice': { opening: string; cable: string };
  't.plug-and-cables': { opening: string; cable: string };
  't.future': { at: string };
  't.not-measured': OfSide;
  't.disagree': OfSide & { said: string };
  't.few': OfSide & { meanMm: number; uncertaintyMm: number; readings: number };
  't.repeatability': OfSide & { meanMm: number; uncertaintyMm: number; instrument: string };
  't05.two-sides': None;
};
const { marginal, unread } = saying<Says>();
/** Keys that the checks of one fault give for themselves. */
const given = saying<Record<string, Facts>>();

/** Whether a kind holds its cables between blocks. */
export const ofBlocks = ({ transit }: Kind): boolean => transit === 'blocks' || transit === 'bonded';

/** A rule over every side of every block that holds a cable; a hole that nobody packed leaves it open. */
function overSides(
  context: Context,
  judge: (side: SideState, facts: OfSide, state: BlockState) => Aspect | null,
  sound: string,
): Aspect[] {
  const none = noRecord(context);
  if (none) return [none];
  let count = 0;
  const aspects: Aspect[] = openings(context);
  for (const { frame, blocks } of packedOf(context)) {
    for (const state of blocks) {
      if (state.block.cable === null) continue;
      if (!state.sheet) {
        const facts = { ...ofCable(frame.label, state), sizeMm: state.widthMm };
        aspects.push(unread('t.no-size', facts, 'settle.sheet'));
        continue;
      }
      for (const side of state.sides) {
        count++;
        if (side.clear) continue;
        const aspect = judge(side, { ...ofCable(frame.label, state), side: side.side }, state);
        if (aspect) aspects.push(aspect);
      }
      if (noArmourSide(context, state))
        aspects.push(unread('t.no-armour-side', ofCable(frame.label, state), 'settle.armour-side'));
    }
  }
  return aspects.length > 0 ? aspects : [given.conforms(sound, { count })];
}

export const where = (opening: string, { row, column, index }: BlockState): OfBlock => ({
  opening,
  row: row + 1,
  column: column + 1,
  index: index + 1,
});

const ofCable = (opening: string, state: BlockState): OfCable => ({
  ...where(opening, state),
  cable: state.cable?.tag ?? state.block.cable,
});

/** Whether a cable of a bonded frame lacks its termination side, and nobody confirmed that it has neither armour nor screen. */
export function noArmourSide(context: Context, { block, cable }: BlockState): boolean {
  if (kindOf(context).transit !== 'bonded' || block.armour) return false;
  return !(cable?.armour === null && cable.unarmoured !== null && cable.screened === false);
}

/** What is missing before anything can be said about a transit. */
export function noRecord({ transit, certificate, entry }: Context): Aspect | null {
  if (!certificate) return unread('e01.no-certificate', {}, 'settle.certificate');
  if (!certificate.sheet.transit)
    return unread('t.no-sheet', { sheet: certificate.sheet.number }, 'settle.sheet');
  if (!entry.frame) return unread('t.no-frame', {}, 'settle.frame');
  return transit && transit.openings.length > 0 ? null : unread('t.no-packing', {}, 'settle.packing');
}

/** Openings of the frame that nobody packed or looked at, openings packed before they were, cables in two places. */
export function openings({ transit, at }: Context): Aspect[] {
  const { unpacked, faults, newest } = transit!;
  const aspects: Aspect[] = [];
  for (const opening of unpacked) aspects.push(unread('t.unpacked', { opening }, 'settle.packing'));
  if (isLater(newest, at)) aspects.push(unread('t.future', { at: newest }, 'settle.clock'));
  for (const { is, opening, cable } of faults)
    aspects.push(unread(`t.${is}`, { opening, cable }, 'settle.packing'));
  return aspects;
}

/** Openings that hold blocks; a plugged one has none. */
export const packedOf = ({ transit }: Context): OpeningState[] =>
  transit!.openings.filter(({ packed }) => !packed.plug);

/**
 * Whether what is blank here was said to be out of sight from the face, with its reason: it is asked when the
 * transit is opened.
 */
export function outOfSight({ looks, grade }: Context): boolean {
  const said = looks.get('from-face');
  return said?.answer === 'part' && said.note.trim() !== '' && !asksFor(grade, 'detailed');
}

export type Judge = (context: Context, side: SideState, facts: OfSide, state: BlockState) => Aspect | null;

export const sides = (head: Pick<Check, 'id' | 'basis'>, sound: string, judge: Judge): Check => ({
  ...head,
  kinds: ofBlocks,
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run: (context) => overSides(context, (side, facts, state) => judge(context, side, facts, state), sound),
});

/** A fault of a side as it was found; else what was not counted. */
export const faulted = (
  context: Context,
  side: SideState,
  facts: OfSide,
  of: readonly SideFault[],
  key: string,
): Aspect | null => {
  const hit = side.faults.find((one) => of.includes(one));
  return hit ? given.fails(`${key}.${hit}`, { ...facts, ...numbers(context, side) }) : null;
};

export const uncounted = (context: Context, side: SideState, facts: OfSide, key: string): Aspect | null =>
  side.layers === null && !outOfSight(context) ? given.unread(`${key}.unread`, facts, 'settle.layers') : null;

function numbers({ certificate }: Context, { cable, layers, found, right }: SideState) {
  const { gapMm, maxLayerDifference } = certificate!.sheet.transit!;
  return {
    meanMm: cable?.meanMm ?? 0,
    uncertaintyMm: cable?.expandedUncertaintyMm ?? 0,
    first: layers?.[0] ?? 0,
    second: layers?.[1] ?? 0,
    gapMm: found?.gapMm ?? 0,
    lowMm: gapMm[0],
    highMm: gapMm[1],
    difference: maxLayerDifference,
    right: right ? right.layers.join(' + ') : null,
  };
}

/** Why a diameter settles nothing: nothing measured, readings that do not count or contradict each other, too few of them. */
export function diameterOpen(
  { open, cable }: Pick<SideState, 'open' | 'cable'>,
  facts: OfSide,
): Aspect | null {
  if (!open) return null;
  const said = { ...facts, meanMm: cable?.meanMm ?? 0, uncertaintyMm: cable?.expandedUncertaintyMm ?? 0 };
  switch (open.why) {
    case 'not-measured':
      return unread('t.not-measured', facts, 'settle.take-three');
    case 'fault':
      return unread(`t.${open.fault}`, { ...facts, instrument: open.instrument, until: open.until }, 'settle.other-instrument'); // prettier-ignore
    case 'disagree':
      return unread('t.disagree', { ...facts, said: open.said }, 'settle.measure-again');
    case 'few':
      return marginal('t.few', { ...said, readings: open.readings }, 'settle.take-three');
    case 'repeatability':
      return marginal('t.repeatability', { ...said, instrument: open.instrument }, 'settle.repeatability');
  }
}

/** Both sides as they should be; "closed on one side" cannot be where the frame says two. */
export function bothSides(context: Context): Aspect {
  const oneSided = context.looks.get('both-sides')?.answer === 'one-sided';
  if (oneSided && context.entry.frame?.sides === 2) return unread('t05.two-sides', {}, 'settle.frame');
  return judgeLook(context, 'both-sides');
}
