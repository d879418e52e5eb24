import type { Base, Id, Range } from './base';
import type { CableShape } from './cable';

/** A pair of rubber halves of a transit system; lengths mm. */
export interface TransitBlock {
  /** Side of the square. */
  sizeMm: number;
  /** Bore with the core out and nothing peeled, and the diameter gained per layer taken from one half. */
  boreMm: number;
  layerMm: number;
  layersPerHalf: number;
  /** Layers that must stay in each half. */
  keepLayers: number;
  /** Diameters that it takes. */
  rangeMm: Range;
}

/** Sleeves and sealant of a system; lengths mm. */
export interface SealantSheet {
  name: string;
  depthMm: number;
  wastePct: number;
  cartridgeMl: number;
  maxFillPct: number;
  /** Least distances between cables, and from a cable to the wall. */
  cableGapMm: number;
  wallGapMm: number;
  sleeve: { outerMm: number; innerMm: number; lengthMm: number };
  /** How much wider than its cable a hole is cored. */
  coreClearanceMm: number;
}

/** What the maker says about a transit: its blocks and plates, or its sleeves and sealant; lengths mm. */
export interface TransitSheet {
  /** Empty for a sealant system. */
  blocks: TransitBlock[];
  /** Visible gap between loose halves round a cable. */
  gapMm: Range;
  /** How many layers the halves may differ by. */
  maxLayerDifference: number;
  stayPlateMm: number;
  /** What the wedge or compression unit needs, and what it reads when it is home. */
  compressionMm: Range;
  wedgeMm: Range;
  /** Until the bolts are checked again, h. */
  relaxH: number;
  /** Shapes of cable that its bores take. */
  shapes: CableShape[];
  sealant: SealantSheet | null;
  /** What a bonded block asks of the cable in it; null or absent: the sheet says nothing, or is for others. */
  bonded?: BondedBlockSheet | null;
}

/** A block that carries the armour to the frame; lengths mm, from its jacket-side face. */
interface BondedBlockSheet {
  blockDepthMm: number;
  /** Section of the block in which braid or armour touches it. */
  braidMm: Range;
  /** Contact that the braid has at least. */
  leastContactMm: number;
  /** How far the armour goes past the armour-side face, at least. */
  overhangMm: number;
  /** How far the jacket’s end may lie off its mark. */
  toleranceMm: number;
  /** Whether the jacket may be taken off over the braid section alone and go on behind it; null: it says nothing. */
  window: boolean | null;
}

/** Where a transit sits; lengths mm. */
export interface Frame {
  where: 'wall' | 'deck';
  wallDepthMm: number;
  /** Sides that are closed with sealant, or looked at. */
  sides: 1 | 2;
  /** Area on the other side; null: not recorded, or the same one. */
  otherArea: Id | null;
  openings: FrameOpening[];
}

/** An opening; a round one is as wide as it is high. */
export interface FrameOpening {
  label: string;
  shape: 'rect' | 'round';
  widthMm: number;
  heightMm: number;
}

/** How a transit is packed, and how it was found; its id is that of its entry. */
export interface TransitPacking extends Base {
  entry: Id;
  openings: PackedOpening[];
  by: string;
  at: string;
}

export interface PackedOpening {
  label: string;
  /** From the far end to the wedge; empty for sealant. */
  rows: PackedRow[];
  /** Reading of the wedge or clip, mm; null: not read. */
  wedgeMm: number | null;
  /** Cables in sealant, on the face; empty for blocks. */
  cables: SealedCable[];
  /** Depth of the sealant at several points, mm; on the far side too where both sides are closed. */
  recessMm: number[];
  recessFarMm: number[];
  /** Closed by a plug instead of blocks. */
  plug: boolean;
  /** When the bolts were tightened; null: when this was written down. */
  packedAt: string | null;
}

interface PackedRow {
  heightMm: number;
  /** Whether its stay plate is in; null: not looked at. */
  plate: boolean | null;
  columns: { widthMm: number; blocks: PackedBlock[] }[];
}

/** A pair of halves, with a cable or spare. */
export interface PackedBlock {
  cable: Id | null;
  /** Whether a spare block has its core; null: not looked at, or it holds a cable. */
  core: boolean | null;
  jacket: BlockSide;
  /** Termination side of a bonded block; null where there is none. */
  armour: BlockSide | null;
  /** From the armour through the frame to earth, Ω, and the instrument; null: not measured. */
  bondOhm: number | null;
  bondInstrument: Id | null;
  bondAt: string | null;
}

/** One side of a block, as it was counted and measured. */
export interface BlockSide {
  /** Layers peeled from each half; null: not counted. */
  layers: [number, number] | null;
  /** Diameters by one person with one instrument; those of others stand beside. */
  readingsMm: number[];
  instrument: Id | null;
  /** By whom and when they were read; null: with the packing. */
  readBy: string | null;
  readAt: string | null;
  others: SideReadings[];
  /** Daylight between the halves or at the cable; null: not looked at. */
  daylight: boolean | null;
}

/** Diameters of one side by one person with one instrument, mm. */
export interface SideReadings {
  readingsMm: number[];
  instrument: Id | null;
  by: string;
  at: string;
}

/** A cable in sealant: its centre on the face from the opening's lower left corner or its centre, mm. */
export interface SealedCable {
  cable: Id;
  xMm: number;
  yMm: number;
  /** Its diameters as measured, group by group. */
  readings: SideReadings[];
}
