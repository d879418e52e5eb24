import { blocksOf, type BlockState } from './transit-found';
import { measuredIn, type MeasuredInSealant } from './transit-sealed';
import { instrumentNow } from '../record/instruments';
import { KINDS } from '../kinds/kinds';
import { namesIn } from '../record/packing';
import type { Slice } from '../record/slice';
import type {
  BlockSide,
  Cable,
  Certificate,
  Entry,
  FrameOpening,
  Id,
  Instrument,
  PackedOpening,
  TransitPacking,
} from '../record/types';

/** One opening of a transit: as it is framed, as it was packed, block by block. */
export interface OpeningState {
  frame: FrameOpening;
  packed: PackedOpening;
  blocks: BlockState[];
  /** Cables in sealant as they were measured. */
  sealed: MeasuredInSealant[];
}

/** A packing that cannot be: one cable in two places, a plug with cables. */
interface PackingFault {
  is: 'twice' | 'plug-and-cables';
  opening: string;
  /** Tag of the cable, or its id; empty for a plug. */
  cable: string;
}

/** What is recorded of a transit. */
export interface TransitRecords {
  /** Openings that are packed, or plugged. */
  openings: OpeningState[];
  /** Labels of openings that nobody packed or looked at: holes in the wall, for all that is known. */
  unpacked: readonly string[];
  faults: readonly PackingFault[];
  cables: ReadonlyMap<Id, Cable>;
  instruments: ReadonlyMap<Id, Instrument>;
  /** When and by whom it was written down. */
  at: string;
  by: string;
  /** The latest time that it names. */
  newest: string;
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
  const { cables, instruments } = namedIn(slice, packing);
  const openings: OpeningState[] = [];
  const unpacked: string[] = [];
  for (const frame of entry.frame.openings) {
    const packed = packing.openings.find(({ label }) => label === frame.label);
    // Of two openings with one name nobody knows which is packed.
    if (packed && !openings.some(({ frame: { label } }) => label === frame.label))
      openings.push({
        frame,
        packed,
        blocks: blocksOf(packed, sheet, cables, instruments, packing),
        sealed: measuredIn(packed, cables, instruments),
      });
    else unpacked.push(frame.label);
  }
  const faults = openings.flatMap((opening) => faultsOf(opening, cables));
  return {
    openings,
    unpacked,
    faults,
    cables,
    instruments,
    at: packing.at,
    by: packing.by,
    newest: newestOf(packing),
  };
}

function faultsOf({ frame, packed }: OpeningState, cables: ReadonlyMap<Id, Cable>): PackingFault[] {
  const held: Id[] = packed.cables.map(({ cable }) => cable);
  for (const { columns } of packed.rows) {
    for (const { blocks } of columns) for (const { cable } of blocks) if (cable !== null) held.push(cable);
  }
  const faults: PackingFault[] = [];
  const twice = held.find((id, i) => held.indexOf(id) !== i);
  if (twice !== undefined) {
    faults.push({ is: 'twice', opening: frame.label, cable: cables.get(twice)?.tag ?? twice });
  }
  if (packed.plug && held.length > 0) faults.push({ is: 'plug-and-cables', opening: frame.label, cable: '' });
  return faults;
}

/** The latest time that a packing names anywhere. */
function newestOf({ at, openings }: TransitPacking): string {
  let newest = at;
  const see = (time: string | null | undefined) => {
    if (time && time > newest) newest = time;
  };
  const seeSide = (side: BlockSide | null) => {
    see(side?.readAt);
    for (const other of side?.others ?? []) see(other.at);
  };
  for (const { packedAt, cables, rows } of openings) {
    see(packedAt);
    for (const { readings } of cables) for (const one of readings ?? []) see(one.at);
    for (const block of rows.flatMap(({ columns }) => columns.flatMap(({ blocks }) => blocks))) {
      see(block.bondAt);
      seeSide(block.jacket);
      seeSide(block.armour);
    }
  }
  return newest;
}

/** Cables and instruments that a packing names, as far as they are on record. */
function namedIn(slice: Slice, packing: TransitPacking) {
  const cables = new Map<Id, Cable>();
  const instruments = new Map<Id, Instrument>();
  const ids = namesIn(packing);
  for (const id of ids.cables) {
    const record = slice.get('cable', id);
    if (record) cables.set(id, record);
  }
  for (const id of ids.instruments) {
    const record = instrumentNow(slice, id);
    if (record) instruments.set(id, record);
  }
  return { cables, instruments };
}
