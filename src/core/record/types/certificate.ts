import type { ListedDivision } from '../../hazard/division';
import type { Group } from '../../hazard/group';
import type { Level } from '../../hazard/level';
import type { KeepsTyped, Range } from './base';
import type { ArmourType, CableShape } from './cable';
import type { KindId } from '../kind-ids';
import type { TransitSheet } from './transit';

/** A seal of one gland size. */
export interface Seal {
  /** Null: not recorded. */
  rangeMm: Range | null;
  /** Highest ovality it is certified for, %; null: not recorded. */
  ovalityPct: number | null;
  /** Highest temperature, °C; null: not recorded. */
  maxC: number | null;
  /** Lowest temperature, °C; null: the gland's own. */
  minC: number | null;
  /** Marked for sheaths that flow cold; null: not recorded. */
  coldFlow: boolean | null;
  /** Shapes it is certified for. */
  shapes: CableShape[];
}

/** One way of clamping the armour: a face of the ring and what it may hold. */
export interface ClampFace {
  /** Name of the ring's face by the certificate, or "both" for a ring that fits either way. */
  face: string;
  armour: ArmourType;
  rangeMm: Range;
}

/** One size of a gland series. */
export interface GlandSize {
  size: string;
  /** Everything below that may be null: not recorded. */
  thread: string | null;
  maleLengthMm: number | null;
  runoutMm: number | null;
  washerMm: number | null;
  /** Width over the largest part, mm. */
  acrossMm: number | null;
  /** Length of the body outside the wall, back nut included, mm. */
  bodyLengthMm: number | null;
  outer: Seal;
  inner: Seal | null;
  clamp: ClampFace[];
  /** The rubber of the outer seal, from which the back-nut gap follows; null where the sheet is silent. */
  backNut: BackNutSheet | null;
  /** Armour that is left standing for the clamp, mm; null without armour. */
  armourLengthMm: Range | null;
  /** How far the inner sheath stands proud of the seal at least, mm; null where the sheet is silent. */
  innerProudMm: number | null;
  /** The pot of compound or resin; null without one. */
  pot: Pot | null;
  /** From the end of the armour, or of the outer sheath without armour, to the seal's inner face or the pot's mouth, mm; null where the sheet is silent. */
  sealDepthMm: number | null;
  /** The screw-on pot of a mineral-insulated cable; null for any other gland. */
  mineral: MineralPot | null;
}

/** A screw-on pot that seals the end of a mineral-insulated cable, and the gland behind it; lengths mm. */
export interface MineralPot {
  /** Length of the thread that the pot cuts on the sheath. */
  threadLengthMm: number;
  /** How far the sheath stands proud of the thread inside the pot. */
  projectionMm: Range;
  /** Sheath that the gland grips behind the pot. */
  gripMm: number;
  /** Between the stripping tool's blade and the face that runs against the jacket. */
  toolStopOffsetMm: number;
  /** Inner screen that is left standing; null where the pot takes no screened pairs. */
  screenStubMm: number | null;
  /** Highest temperature of pot, sleeves and compound, °C. */
  maxC: number;
  /** Longest tail that the sheet allows, from the disc to the terminal; null or absent: it says nothing. */
  longestTailMm?: number | null;
  /** Whether end and pot are warmed before the compound goes in; null or absent: it says nothing. */
  warms?: boolean | null;
}

/** The outer seal's rubber and its nut; all lengths mm. */
export interface BackNutSheet {
  freeBoreMm: number;
  freeOutsideMm: number;
  freeLengthMm: number;
  housingBoreMm: number;
  /** Gap when the nut is tightened by hand. */
  handOnGapMm: number;
  /** Turns after the seal touches the sheath, and the pitch of the nut's thread. */
  turns: number;
  pitchMm: number;
  toleranceMm: number;
  /** How far the sheath may be indented, % of its diameter. */
  indentPct: number;
}

/** A pot that is filled with compound or resin. */
export interface Pot {
  boreMm: number;
  /** Depth that is filled. */
  depthMm: number;
  mostCores: number;
  /** Diameter over the bundle of cores. */
  overCoresMm: Range;
}

/** The compound or resin of a sheet. */
export interface CompoundData {
  name: string;
  packMl: number;
  wastePct: number;
  ratio: string;
  referenceC: number;
  q10: number;
  workingMinutes: number;
  /** Until it may be opened for a look, and until the circuit may be energised, h at the reference temperature. */
  cureHours: number;
  energiseHours: number;
  minimumC: number;
  maxC: number;
  /** Lowest temperature in service, °C; null: the gland's own. */
  minC: number | null;
  /** The sheet itself gives other temperatures. */
  extrapolates: boolean;
  /** How far compound may reach beyond the crotch, mm. */
  reachMm: number;
}

export const JOINTS = ['entry', 'clamp', 'inner-seal', 'outer-seal', 'pot', 'resin-port'] as const;
export type JointId = (typeof JOINTS)[number];
export const SCHOOLS = ['turns', 'faces', 'gap', 'torque', 'grip'] as const;
export type School = (typeof SCHOOLS)[number];

/** How a joint is closed; each joint names its school. */
export interface Joint {
  joint: JointId;
  school: School;
  /** Turns after hand-tight, gap in mm or torque in N·m, by school; null for faces and grip. */
  range: Range | null;
}

/** What the maker says about fitting a certified gland. */
export interface AssemblySheet {
  number: string;
  sizes: GlandSize[];
  joints: Joint[];
  /** Resistance across the gland from armour to wall that a sound joint has at most, Ω; null: not recorded. */
  expectedBondOhm: number | null;
  /** Compound or resin that belongs to the gland; null without. */
  compound: CompoundData | null;
  /** What covers the gland outdoors by the sheet; null where the sheet is silent. */
  shroud: 'shroud' | 'boot' | 'none' | null;
  /** Sizes that the sheet proposes by conductor area and cores; a measurement decides. */
  chart: ChartRow[];
  /** Blocks, or sleeves and sealant, of a transit; null for a gland. */
  transit: TransitSheet | null;
}

/** One line of a sheet's chart. */
interface ChartRow {
  cores: number;
  areaMm2: number;
  size: string;
}

export interface Certificate extends KeepsTyped {
  number: string;
  maker: string;
  title: string;
  kind: KindId;
  /** Null: not recorded. */
  issued: string | null;
  state: 'valid' | 'superseded' | 'withdrawn' | null;
  /** Why it was withdrawn; null: not recorded, or not withdrawn. */
  withdrawn: 'safety' | 'other' | null;
  concepts: string[];
  levels: Level[];
  /** Categories as marked, e.g. 2G; a level follows where none is marked. */
  categories: string[];
  groups: Group[];
  /** Service range as marked, °C; null: not marked. */
  serviceC: Range | null;
  /** One rating or several, e.g. "IP66/IP68"; null: not recorded. */
  ingress: string | null;
  /** Whether a certified O-ring seals it against the wall; null: not recorded. */
  oRing: boolean | null;
  /** Whether it asks for a barrier; null: not recorded. */
  demandsBarrier: boolean | null;
  /** Whether it counts as a sealing gland for nR; null: not recorded. */
  sealing: boolean | null;
  /** Null: not recorded; empty: it has none. */
  specialConditions: string[] | null;
  /** Listed classes, divisions and groups, where there are any. */
  divisions: ListedDivision[];
  /** The gland does not hold the cable by itself: it is clamped beside it. Null: not recorded. */
  reducedRetention: boolean | null;
  sheet: AssemblySheet;
}
