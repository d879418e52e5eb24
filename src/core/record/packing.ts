import type { BlockSide, Id, TransitPacking } from './types';

/** Ids of the cables and instruments that a packing names. */
export function namesIn({ openings }: Pick<TransitPacking, 'openings'>): {
  cables: Set<Id>;
  instruments: Set<Id>;
} {
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
