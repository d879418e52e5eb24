import { NOT_ON_RECORD } from './readings';
import { isSoft } from '../measuring/soft';
import { atMost, below, SLACK } from '../quantity/compare';
import { DECISIVE_READINGS, diameter, type Diameter } from '../measuring/diameter';
import { readingFault, repeatabilityOn } from '../instrument/calibration';
import type {
  BlockSide,
  Cable,
  FrameOpening,
  Id,
  Instrument,
  PackedBlock,
  PackedOpening,
  ReadingFault,
  SideReadings,
  TransitBlock,
  TransitSheet,
} from '../record/types';
import { peel, peelable, peelingOf, type MeasuredCable, type Peeling } from '../transit/peel';

/** What is wrong with one side of a block. */
export type SideFault = 'range' | 'wide' | 'tight' | 'difference' | 'last-layer' | 'daylight';

/** Why a diameter cannot count, or not settle anything. */
export type SideOpen =
  | { why: 'not-measured' }
  | { why: 'fault'; fault: ReadingFault; instrument: string; until: string }
  | { why: 'disagree'; said: string }
  | { why: 'few'; readings: number }
  | { why: 'repeatability'; instrument: string };

/** One side of a block as it was found. */
export interface SideState {
  side: 'jacket' | 'armour';
  /** The cable as measured, or as its record says; null where neither is known. */
  cable: MeasuredCable | null;
  /** Measured with instruments that count; a record never stands in for a measurement. */
  measured: boolean;
  /** What keeps the diameter from settling anything; null where it does. */
  open: SideOpen | null;
  layers: readonly [number, number] | null;
  /** Null: not looked at. */
  daylight: boolean | null;
  /** What the layers counted leave; null where they were not counted. */
  found: Peeling | null;
  /** What should be peeled; null where the block does not take the cable. */
  right: Peeling | null;
  faults: SideFault[];
  /** Measured, counted and looked at, with nothing wrong: no rule about a side has anything to say. */
  clear: boolean;
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

/** A diameter of a transit's cable, from its readings or from its record with its tolerance. */
export interface KnownDiameter {
  cable: MeasuredCable | null;
  measured: boolean;
  open: SideOpen | null;
}

/** A group of readings: one person, one instrument. */
interface Group {
  diameter: Diameter;
  tag: string;
  by: string;
  fault: ReadingFault | null;
  until: string;
}

/** What measures a cable in a transit. */
const CALIPER = { instruments: ['caliper'], unit: 'mm' } as const;

function groupOf(
  { readingsMm, instrument, by, at }: SideReadings,
  soft: boolean,
  instruments: ReadonlyMap<Id, Instrument>,
): Group {
  const record = instrument === null ? null : (instruments.get(instrument) ?? null);
  let fault: ReadingFault | null = null;
  for (const value of readingsMm) fault ??= readingFault({ fault: null, value, at }, record, CALIPER, null);
  const means = {
    expandedUncertaintyMm: record?.expandedUncertainty ?? 0,
    coverageFactor: record?.coverageFactor ?? 1,
    resolutionMm: record?.resolution ?? 0,
    repeatabilityMm: record ? repeatabilityOn(record, soft) : null,
  };
  return {
    diameter: diameter('caliper', readingsMm, means, null),
    tag: record?.tag ?? NOT_ON_RECORD,
    by,
    fault,
    until: record?.calibratedUntil ?? '',
  };
}

/**
 * The diameter of a cable in a transit by its groups of readings: decisive ones that agree, the widest of them;
 * without readings its record stands in for planning, never for a judgement.
 *
 * @param recordMm by the cable's record; null where it does not say
 */
export function knownDiameter(
  readings: readonly SideReadings[],
  recordMm: number | null,
  cable: Cable | null,
  instruments: ReadonlyMap<Id, Instrument>,
): KnownDiameter {
  const groups = readings
    .filter(({ readingsMm }) => readingsMm.length > 0)
    .map((one) => groupOf(one, isSoft(cable), instruments));
  if (groups.length === 0) {
    const u = cable?.toleranceMm ?? 0;
    const known = recordMm === null ? null : { minMm: recordMm, maxMm: recordMm, meanMm: recordMm, expandedUncertaintyMm: u }; // prettier-ignore
    return { cable: known, measured: false, open: { why: 'not-measured' } };
  }
  const decisive = groups.filter((group) => group.diameter.decisive && !group.fault);
  const counted = decisive.length > 0 ? decisive : groups;
  return { cable: widest(counted), measured: true, open: openOf(groups, decisive) };
}

/** What has to hold the smallest and the largest of all that counts. */
function widest(groups: readonly Group[]): MeasuredCable {
  const u = Math.max(...groups.map(({ diameter: d }) => d.expandedUncertaintyMm));
  return {
    minMm: Math.min(...groups.map(({ diameter: d }) => d.minMm)),
    maxMm: Math.max(...groups.map(({ diameter: d }) => d.maxMm)),
    meanMm: groups.reduce((sum, { diameter: d }) => sum + d.meanMm, 0) / groups.length,
    expandedUncertaintyMm: u,
  };
}

function openOf(groups: readonly Group[], decisive: readonly Group[]): SideOpen | null {
  const spans = groups.map(({ diameter: { minMm, maxMm, expandedUncertaintyMm: u } }) => [minMm - u, maxMm + u] as const); // prettier-ignore
  const against = decisive.length > 0 ? groups.filter((one) => decisive.includes(one)) : [];
  const apart = against.some((one) => {
    const [low, high] = spans[groups.indexOf(one)]!;
    return spans.some(([otherLow, otherHigh]) => otherLow > high || low > otherHigh);
  });
  if (apart) {
    const said = groups.map(({ diameter: d, tag, by }) => `${d.meanMm.toFixed(2)} mm (${tag}, ${by})`);
    return { why: 'disagree', said: said.join('; ') };
  }
  if (decisive.length > 0) return null;
  const faulty = groups.find(({ fault }) => fault);
  if (faulty) return { why: 'fault', fault: faulty.fault!, instrument: faulty.tag, until: faulty.until };
  const most = Math.max(...groups.map(({ diameter: d }) => d.n));
  if (most < DECISIVE_READINGS) return { why: 'few', readings: most };
  return { why: 'repeatability', instrument: groups[0]!.tag };
}

/** A cable's diameter on a side of its block. */
export function cableOn(
  side: 'jacket' | 'armour',
  record: BlockSide,
  cable: Cable | null,
  instruments: ReadonlyMap<Id, Instrument>,
  taken: { by: string; at: string },
): KnownDiameter {
  const { readingsMm, instrument, others, readBy, readAt } = record;
  const recordMm = cable && (side === 'jacket' ? cable.outerMm : overArmour(cable));
  const own = { readingsMm, instrument, by: readBy ?? taken.by, at: readAt ?? taken.at };
  return knownDiameter([own, ...(others ?? [])], recordMm, cable, instruments);
}

/** Diameter of the termination side by the record: over the armour, a folded braid lying double. */
function overArmour({ innerMm, armour }: Cable): number | null {
  if (!armour || innerMm === null || armour.sizeMm === null) return null;
  return innerMm + (armour.type === 'braid' ? 4 : 2) * armour.sizeMm;
}

/** Every block of an opening with what is wrong with it. */
export function blocksOf(
  opening: PackedOpening,
  sheet: TransitSheet,
  cables: ReadonlyMap<Id, Cable>,
  instruments: ReadonlyMap<Id, Instrument>,
  taken: { by: string; at: string } = { by: '', at: '' },
): BlockState[] {
  return opening.rows.flatMap(({ columns }, row) =>
    columns.flatMap(({ widthMm, blocks }, column) =>
      blocks.map((block, index): BlockState => {
        const of = sheet.blocks.find(({ sizeMm }) => sizeMm === widthMm) ?? null;
        const cable = block.cable === null ? null : (cables.get(block.cable) ?? null);
        const sides: SideState[] = [];
        if (block.cable !== null && of) {
          sides.push(sideOf('jacket', block.jacket, of, sheet, cable, instruments, taken));
          if (block.armour) sides.push(sideOf('armour', block.armour, of, sheet, cable, instruments, taken));
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
  { gapMm, maxLayerDifference, shapes }: TransitSheet,
  cable: Cable | null,
  instruments: ReadonlyMap<Id, Instrument>,
  taken: { by: string; at: string },
): SideState {
  const known = cableOn(side, record, cable, instruments, taken);
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
  const seen = known.open === null && layers !== null && record.daylight !== null;
  const clear = seen && faults.length === 0 && cable?.shape != null && shapes.includes(cable.shape);
  return { side, ...known, layers, daylight: record.daylight, found, right, faults, clear };
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

/** Columns of a row whose blocks do not fill its height: how many blocks it takes, and how many there are. */
export function unfilledColumns({ heightMm, columns }: PackedOpening['rows'][number]): {
  column: number;
  wanted: number;
  have: number;
}[] {
  return columns.flatMap(({ widthMm, blocks }, column) => {
    const wanted = heightMm / widthMm;
    return Math.abs(wanted - blocks.length) > SLACK ? [{ column, wanted, have: blocks.length }] : [];
  });
}
