import { atMost, below } from '../../quantity/compare';
import { isLater } from '../../instrument/calibration';
import {
  compressionOf,
  unfilledColumns,
  widthMissing,
  type BlockState,
  type SideFault,
  type SideState,
} from '../transit-found';
import { blank, conforms, fails, marginal, unread, type Check } from '../check';
import { kindOf, type Context } from '../dossier';
import type { Aspect, Facts } from '../../record/finding';
import { asksFor } from '../grades';
import { judgeLook } from '../look';
import type { OpeningState } from '../transit-records';

/** A rule over every side of every block that holds a cable; a hole that nobody packed leaves it open. */
function overSides(
  context: Context,
  judge: (side: SideState, facts: Facts, state: BlockState) => Aspect | null,
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
  return aspects.length > 0 ? aspects : [conforms(sound, { count })];
}

const where = (opening: string, { row, column, index }: BlockState): Facts => ({
  opening,
  row: row + 1,
  column: column + 1,
  index: index + 1,
});

const ofCable = (opening: string, state: BlockState): Facts => ({
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
function outOfSight({ looks, grade }: Context): boolean {
  const said = looks.get('from-face');
  return said?.answer === 'part' && said.note.trim() !== '' && !asksFor(grade, 'detailed');
}

type Judge = (context: Context, side: SideState, facts: Facts, state: BlockState) => Aspect | null;

const sides = (id: string, title: string, sound: string, judge: Judge): Check => ({
  id,
  title,
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run: (context) => overSides(context, (side, facts, state) => judge(context, side, facts, state), sound),
});

/** A fault of a side as it was found; else what was not counted. */
const faulted = (
  context: Context,
  side: SideState,
  facts: Facts,
  of: readonly SideFault[],
  key: string,
): Aspect | null => {
  const hit = side.faults.find((one) => of.includes(one));
  return hit ? fails(`${key}.${hit}`, { ...facts, ...numbers(context, side) }) : null;
};

const uncounted = (context: Context, side: SideState, facts: Facts, key: string): Aspect | null =>
  side.layers === null && !outOfSight(context) ? unread(`${key}.unread`, facts, 'settle.layers') : null;

function numbers({ certificate }: Context, { cable, layers, found, right }: SideState): Facts {
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
  facts: Facts,
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

/** Every cable lies in a block that takes it, by its shape and by its diameters as measured. */
export const t01 = sides('T-01', 'Block range', 't01.takes', (context, side, facts, { cable }) => {
  if (!cable) return unread('t01.unread', facts, 'settle.cable');
  const { shapes } = context.certificate!.sheet.transit!;
  if (cable.shape === null) return blank('the shape', cable.tag, 'settle.cable');
  if (!shapes.includes(cable.shape)) {
    return fails('t01.shape', { ...facts, shape: cable.shape, shapes: shapes.join(', ') });
  }
  if (side.open?.why === 'not-measured') return diameterOpen(side, facts);
  return faulted(context, side, facts, ['range'], 't01') ?? diameterOpen(side, facts);
});

/** Layers peeled leave the gap of the sheet round the cable as measured; no daylight. */
export const t02 = sides('T-02', 'Peeling', 't02.right', (context, side, facts) => {
  const daylight = faulted(context, side, facts, ['daylight'], 't02');
  if (daylight) return daylight;
  if (side.daylight === null && !outOfSight(context))
    return unread('t02.daylight-unseen', facts, 'settle.daylight');
  if (side.open?.why === 'not-measured') return diameterOpen(side, facts);
  return (
    faulted(context, side, facts, ['wide', 'tight'], 't02') ??
    uncounted(context, side, facts, 't02') ??
    diameterOpen(side, facts)
  );
});

/** The halves are peeled alike. */
export const t03 = sides(
  'T-03',
  'Difference of the halves',
  't03.alike',
  (context, side, facts) =>
    faulted(context, side, facts, ['difference'], 't03') ?? uncounted(context, side, facts, 't03'),
);

/** The layers that must stay are there. */
export const t04 = sides(
  'T-04',
  'Last layer',
  't04.stays',
  (context, side, facts) =>
    faulted(context, side, facts, ['last-layer'], 't04') ?? uncounted(context, side, facts, 't04'),
);

/** Rows and columns are full, each row has its plate, spare blocks have their cores, both sides were looked at. */
export const t05: Check = {
  id: 'T-05',
  title: 'Packing complete',
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

/** Both sides as they should be; "closed on one side" cannot be where the frame says two. */
export function bothSides(context: Context): Aspect {
  const oneSided = context.looks.get('both-sides')?.answer === 'one-sided';
  if (oneSided && context.entry.frame?.sides === 2) return unread('t05.two-sides', {}, 'settle.frame');
  return judgeLook(context, 'both-sides');
}

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
  title: 'Compression',
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

/** At least one spare block is left for the next cable: a note for planning, no hazard. */
export const t07: Check = {
  id: 'T-07',
  title: 'Room for re-entry',
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
