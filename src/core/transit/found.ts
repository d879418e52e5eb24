import { atMost, below } from '../quantity/compare';
import { diameter } from '../measuring/diameter';
import type {
  BlockSide,
  Cable,
  FrameOpening,
  Id,
  Instrument,
  PackedBlock,
  PackedOpening,
  TransitBlock,
  TransitSheet,
} from '../record/types';
import { peel, peelable, peelingOf, type MeasuredCable, type Peeling } from './peel';

/** What is wrong with one side of a block. */
export type SideFault = 'range' | 'wide' | 'tight' | 'difference' | 'last-layer' | 'daylight';

/** One side of a block as it was found. */
export interface SideState {
  side: 'jacket' | 'armour';
  /** The cable as measured, or as its record says; null where neither is known. */
  cable: MeasuredCable | null;
  /** Measured with an instrument, or taken from the record. */
  measured: boolean;
  layers: readonly [number, number] | null;
  /** What the layers counted leave; null where they were not counted. */
  found: Peeling | null;
  /** What should be peeled; null where the block does not take the cable. */
  right: Peeling | null;
  faults: SideFault[];
}

/** One block of an opening, and where it is. */
export interface BlockState {
  row: number;
  column: number;
  index: number;
  widthMm: number;
  block: PackedBlock;
  /** Its line on the sheet; null where the sheet has no such size. */
  sheet: TransitBlock | null;
  cable: Cable | null;
  /** Empty for a spare block. */
  sides: SideState[];
}

/** A cable's diameter on a side, from its readings or from its record with its tolerance. */
export function cableOn(
  side: 'jacket' | 'armour',
  { readingsMm, instrument }: BlockSide,
  cable: Cable | null,
  instruments: ReadonlyMap<Id, Instrument>,
): { cable: MeasuredCable | null; measured: boolean } {
  const by = instrument === null ? null : (instruments.get(instrument) ?? null);
  if (readingsMm.length > 0 && by) {
    const { meanMm, minMm, maxMm, expandedUncertaintyMm } = diameter(
      'caliper',
      readingsMm,
      {
        expandedUncertaintyMm: by.expandedUncertainty,
        coverageFactor: by.coverageFactor,
        resolutionMm: by.resolution,
        repeatabilityMm: cable?.coldFlow ? by.repeatabilitySoft : by.repeatability,
      },
      null,
    );
    return { cable: { minMm, maxMm, meanMm, expandedUncertaintyMm }, measured: true };
  }
  const mm = cable && (side === 'jacket' ? cable.outerMm : overArmour(cable));
  if (mm === null) return { cable: null, measured: false };
  return {
    cable: { minMm: mm, maxMm: mm, meanMm: mm, expandedUncertaintyMm: cable!.toleranceMm / 2 },
    measured: false,
  };
}

/** Diameter of the termination side by the record: over the armour, a folded braid lying double. */
function overArmour({ innerMm, armour }: Cable): number | null {
  if (!armour) return null;
  return innerMm + (armour.type === 'braid' ? 4 : 2) * armour.sizeMm;
}

/** Every block of an opening with what is wrong with it. */
export function blocksOf(
  opening: PackedOpening,
  sheet: TransitSheet,
  cables: ReadonlyMap<Id, Cable>,
  instruments: ReadonlyMap<Id, Instrument>,
): BlockState[] {
  return opening.rows.flatMap(({ columns }, row) =>
    columns.flatMap(({ widthMm, blocks }, column) =>
      blocks.map((block, index): BlockState => {
        const of = sheet.blocks.find(({ sizeMm }) => sizeMm === widthMm) ?? null;
        const cable = block.cable === null ? null : (cables.get(block.cable) ?? null);
        const sides: SideState[] = [];
        if (block.cable !== null && of) {
          sides.push(sideOf('jacket', block.jacket, of, sheet, cable, instruments));
          if (block.armour) sides.push(sideOf('armour', block.armour, of, sheet, cable, instruments));
        }
        return { row, column, index, widthMm, block, sheet: of, cable, sides };
      }),
    ),
  );
}

function sideOf(
  side: 'jacket' | 'armour',
  record: BlockSide,
  block: TransitBlock,
  { gapMm, maxLayerDifference }: TransitSheet,
  cable: Cable | null,
  instruments: ReadonlyMap<Id, Instrument>,
): SideState {
  const known = cableOn(side, record, cable, instruments);
  const faults: SideFault[] = [];
  const { layers } = record;
  const found = known.cable && layers && peelingOf(block, known.cable, layers);
  const [least, most] = block.rangeMm;
  if (known.cable) {
    const { minMm, maxMm, expandedUncertaintyMm: u } = known.cable;
    if (!atMost(least, minMm - u) || !atMost(maxMm + u, most)) faults.push('range');
  }
  if (found) {
    if (!atMost(gapMm[0], found.gapMinMm)) faults.push('tight');
    if (!atMost(found.gapMaxMm, gapMm[1])) faults.push('wide');
  }
  if (layers) {
    if (Math.abs(layers[0] - layers[1]) > maxLayerDifference) faults.push('difference');
    if (Math.max(...layers) > peelable(block)) faults.push('last-layer');
  }
  if (record.daylight) faults.push('daylight');
  const right = known.cable && peel(block, gapMm, known.cable, maxLayerDifference);
  return { side, ...known, layers, found, right, faults };
}

/** Height of an opening that rows and plates leave, and the room that the wedge finds before compression, mm. */
export interface Compression {
  leftMm: number;
  /** Each pair stands proud by its gap before it is pressed together. */
  firstRoomMm: number;
  /** A row or plate too many, too few, or none. */
  state: 'fits' | 'too-little' | 'too-much';
}

/** The stack of an opening against what the compression unit needs. */
export function compressionOf(
  { heightMm }: Pick<FrameOpening, 'heightMm'>,
  { rows }: PackedOpening,
  sheet: TransitSheet,
  blocks: readonly BlockState[],
): Compression {
  const plates = rows.filter(({ plate }) => plate !== false).length;
  const stack = rows.reduce((sum, row) => sum + row.heightMm, 0);
  const leftMm = heightMm - stack - plates * sheet.stayPlateMm;
  const proud = rows.reduce((sum, _, r) => sum + proudOf(blocks, r), 0);
  const [low, high] = sheet.compressionMm;
  const state = below(leftMm, low) ? 'too-little' : below(high, leftMm) ? 'too-much' : 'fits';
  return { leftMm, firstRoomMm: leftMm - proud, state };
}

/** What the gaps of a row's fullest column add before compression, mm. */
function proudOf(blocks: readonly BlockState[], row: number): number {
  const columns = new Map<number, number>();
  for (const { row: r, column, sides } of blocks) {
    if (r !== row) continue;
    const gap = Math.max(0, ...sides.map(({ found, right }) => (found ?? right)?.gapMm ?? 0));
    columns.set(column, (columns.get(column) ?? 0) + gap);
  }
  return Math.max(0, ...columns.values());
}

/** Width of a row that its columns do not fill, or fill too much, mm. */
export const widthMissing = (widthMm: number, { columns }: PackedOpening['rows'][number]): number =>
  widthMm - columns.reduce((sum, column) => sum + column.widthMm, 0);
