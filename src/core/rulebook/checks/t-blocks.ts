import { atMost, below } from '../../quantity/compare';
import {
  compressionOf,
  widthMissing,
  type BlockState,
  type SideFault,
  type SideState,
} from '../../transit/found';
import { conforms, fails, unread, type Check } from '../check';
import type { Context } from '../dossier';
import type { Aspect, Facts } from '../finding';
import { judgeLook } from '../look';

/** A rule over every side of every block that holds a cable. */
function overSides(
  context: Context,
  judge: (side: SideState, facts: Facts) => Aspect | null,
  sound: string,
): Aspect[] {
  const none = noRecord(context);
  if (none) return [none];
  let count = 0;
  const aspects: Aspect[] = [];
  for (const { frame, blocks } of context.transit!.openings) {
    for (const state of blocks) {
      if (state.block.cable === null) continue;
      const facts = { ...where(frame.label, state), cable: state.cable?.tag ?? state.block.cable };
      if (!state.sheet) {
        aspects.push(unread('t.no-size', { ...facts, sizeMm: state.widthMm }, 'settle.sheet'));
        continue;
      }
      for (const side of state.sides) {
        count++;
        const aspect = judge(side, { ...facts, side: side.side });
        if (aspect) aspects.push(aspect);
      }
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

/** What is missing before anything can be said about a transit. */
export function noRecord({ transit, certificate, entry }: Context): Aspect | null {
  if (!certificate) return unread('e01.no-certificate', {}, 'settle.certificate');
  if (!certificate.sheet.transit)
    return unread('t.no-sheet', { sheet: certificate.sheet.number }, 'settle.sheet');
  if (!entry.frame) return unread('t.no-frame', {}, 'settle.frame');
  return transit && transit.openings.length > 0 ? null : unread('t.no-packing', {}, 'settle.packing');
}

const fault = (id: string, title: string, of: readonly SideFault[], key: string, sound: string): Check => ({
  id,
  title,
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run: (context) =>
    overSides(
      context,
      (side, facts) => {
        const hit = side.faults.find((one) => of.includes(one));
        if (hit) return fails(`${key}.${hit}`, { ...facts, ...numbers(context, side) });
        const counted = of.includes('range') ? side.cable : side.layers;
        if (counted === null) return unread(`${key}.unread`, facts, 'settle.layers');
        return null;
      },
      sound,
    ),
});

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

/** Every cable lies in a block that takes it. */
export const t01: Check = fault('T-01', 'Block range', ['range'], 't01', 't01.takes');
/** Layers peeled leave the gap of the sheet; no daylight. */
export const t02: Check = fault('T-02', 'Peeling', ['wide', 'tight', 'daylight'], 't02', 't02.right');
/** The halves are peeled alike. */
export const t03: Check = fault('T-03', 'Difference of the halves', ['difference'], 't03', 't03.alike');
/** The layers that must stay are there. */
export const t04: Check = fault('T-04', 'Last layer', ['last-layer'], 't04', 't04.stays');

/** Rows are full, each has its plate, spare blocks have their cores, both sides were looked at. */
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
    const aspects: Aspect[] = [];
    for (const { frame, packed, blocks } of context.transit!.openings) {
      packed.rows.forEach((row, r) => {
        const facts = { opening: frame.label, row: r + 1 };
        const missingMm = widthMissing(frame.widthMm, row);
        if (Math.abs(missingMm) > 1e-6) aspects.push(fails('t05.width', { ...facts, missingMm }));
        if (row.plate === false) aspects.push(fails('t05.plate', facts));
        if (row.plate === null) aspects.push(unread('t05.plate-unread', facts, 'settle.plates'));
      });
      for (const state of blocks) {
        if (state.block.cable !== null) continue;
        const facts = where(frame.label, state);
        if (state.block.core === false) aspects.push(fails('t05.core', facts));
        if (state.block.core === null) aspects.push(unread('t05.core-unread', facts, 'settle.cores'));
      }
    }
    const sides = judgeLook(context, 'both-sides');
    return aspects.length > 0 ? [...aspects, sides] : [conforms('t05.complete', {}), sides];
  },
};

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
    const aspects = context.transit!.openings.flatMap(({ frame, packed, blocks }): Aspect[] => {
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
    return [...aspects, judgeLook(context, 'bolts-again')];
  },
};

/** At least one spare block is left for the next cable. */
export const t07: Check = {
  id: 'T-07',
  title: 'Room for re-entry',
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run(context) {
    const none = noRecord(context);
    if (none) return [none];
    const spares = context.transit!.openings.flatMap(({ blocks }) =>
      blocks.filter(({ block }) => block.cable === null),
    );
    return [spares.length > 0 ? conforms('t07.room', { count: spares.length }) : fails('t07.none', {})];
  },
};
