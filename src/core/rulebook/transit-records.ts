import { blocksOf, type BlockState } from '../transit/found';
import { KINDS } from '../record/kinds';
import type { Slice } from '../record/slice';
import type { Cable, Certificate, Entry, FrameOpening, Id, Instrument, PackedOpening } from '../record/types';

/** One opening of a transit: as it is framed, as it was packed, block by block. */
export interface OpeningState {
  frame: FrameOpening;
  packed: PackedOpening;
  blocks: BlockState[];
}

/** What is recorded of a transit. */
export interface TransitRecords {
  openings: OpeningState[];
  cables: ReadonlyMap<Id, Cable>;
  instruments: ReadonlyMap<Id, Instrument>;
}

/** Collects it; null for an entry of another kind, or a transit whose frame, packing or sheet is not recorded. */
export function transitRecordsOf(
  slice: Slice,
  entry: Entry,
  certificate: Certificate | null,
): TransitRecords | null {
  const sheet = certificate?.sheet.transit;
  const packing = slice.get('packing', entry.id);
  if (!KINDS[entry.kind].transit || !entry.frame || !packing || !sheet) return null;
  const cables = new Map<Id, Cable>();
  const instruments = new Map<Id, Instrument>();
  for (const { rows, cables: sealed } of packing.openings) {
    const blocks = rows.flatMap(({ columns }) => columns.flatMap((column) => column.blocks));
    for (const id of [...blocks.map(({ cable }) => cable), ...sealed.map(({ cable }) => cable)]) {
      const cable = id === null ? null : slice.get('cable', id);
      if (cable) cables.set(cable.id, cable);
    }
    for (const id of blocks.flatMap(({ jacket, armour }) => [
      jacket.instrument,
      armour?.instrument ?? null,
    ])) {
      const instrument = id === null ? null : slice.get('instrument', id);
      if (instrument) instruments.set(instrument.id, instrument);
    }
  }
  const openings = entry.frame.openings.flatMap((frame): OpeningState[] => {
    const packed = packing.openings.find(({ label }) => label === frame.label);
    return packed ? [{ frame, packed, blocks: blocksOf(packed, sheet, cables, instruments) }] : [];
  });
  return { openings, cables, instruments };
}
