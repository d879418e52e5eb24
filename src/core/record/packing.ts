import type { BlockSide, Id, TransitPacking } from './types';

/** What a packing names. */
interface Names {
  cables: ReadonlySet<Id>;
  instruments: ReadonlySet<Id>;
}

// Records are never changed in place: what one names is looked for once.
const known = new WeakMap<object, Names>();

/** Ids of the cables and instruments that a packing names. */
export function namesIn(packing: Pick<TransitPacking, 'openings'>): Names {
  let names = known.get(packing);
  if (!names) known.set(packing, (names = foundIn(packing)));
  return names;
}

function foundIn({ openings }: Pick<TransitPacking, 'openings'>): Names {
  const cables = new Set<Id>();
  const instruments = new Set<Id>();
  const side = (one: BlockSide | null) => {
    if (one?.instrument) instruments.add(one.instrument);
    for (const { instrument } of one?.others ?? []) if (instrument) instruments.add(instrument);
  };
  for (const { rows, cables: sealed } of openings) {
    for (const { cable, readings } of sealed) {
      cables.add(cable);
      for (const { instrument } of readings ?? []) if (instrument) instruments.add(instrument);
    }
    for (const block of rows.flatMap(({ columns }) => columns.flatMap(({ blocks }) => blocks))) {
      if (block.cable) cables.add(block.cable);
      if (block.bondInstrument) instruments.add(block.bondInstrument);
      side(block.jacket);
      side(block.armour);
    }
  }
  return { cables, instruments };
}
