import type { ListedDivision } from '../../hazard/division';
import type { Group } from '../../hazard/group';
import type { Level } from '../../hazard/level';
import type { KeepsTyped, Range } from './base';
import type { ArmourType, CableShape } from './cable';
import type { KindId } from '../kind-ids';
import type { TransitSheet } from './transit';

/** A seal of one gland size. */
export interface Seal {
  rangeMm: Range;
  /** Highest ovality it is certified for, %. */
  ovalityPct: number;
  maxC: number;
  /** Marked for sheaths that flow cold. */
  coldFlow: boolean;
  /** Shapes it is certified for. */
  shapes: CableShape[];
}

/** One way of clamping the armour: a face of the ring and what it may hold. */
export interface ClampFace {
  /** Letter on the ring's face, or "both" for a ring that fits either way. */
  face: string;
  armour: ArmourType;
  rangeMm: Range;
}

/** One size of a gland series. */
export interface GlandSize {
  size: string;
  thread: string;
  maleLengthMm: number;
  runoutMm: number;
  washerMm: number;
  /** Width over the largest part, mm. */
  acrossMm: number;
  /** Length of the body outside the wall, back nut included, mm. */
  bodyLengthMm: number;
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
  /** Resistance across the gland from armour to wall that a sound joint has at most, Ω. */
  expectedBondOhm: number;
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
export interface ChartRow {
  cores: number;
  areaMm2: number;
  size: string;
}

export interface Certificate extends KeepsTyped {
  number: string;
  maker: string;
  title: string;
  kind: KindId;
  issued: string;
  state: 'valid' | 'superseded' | 'withdrawn';
  concepts: string[];
  levels: Level[];
  groups: Group[];
  serviceC: Range;
  ingress: string;
  /** Whether it counts as a sealing gland for nR. */
  sealing: boolean;
  specialConditions: string[];
  /** Listed classes, divisions and groups, where there are any. */
  divisions: ListedDivision[];
  /** The gland does not hold the cable by itself: it is clamped beside it. */
  reducedRetention: boolean;
  sheet: AssemblySheet;
}
