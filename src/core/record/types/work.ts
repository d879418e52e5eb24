import type { ReadingFault } from '../../instrument/instrument';
import type { DiameterMethod } from '../../measuring/diameter';
import type { InsulationStage } from '../../mineral/insulation';
import type { Base, Frozen, Id } from './base';
import type { Instrument } from './instrument';

/** An insulation test of a mineral-insulated cable, filled pair by pair. */
export interface InsulationTest extends Base {
  cable: Id;
  /** The end that is being made off; null for a test of the finished cable. */
  entry: Id | null;
  stage: InsulationStage;
  /** Taken while the cable is being dried out. */
  drying: boolean;
  instrument: Id;
  /** Of the cable's end, °C. */
  temperatureC: number;
  farEndSealed: boolean;
  readings: PairReading[];
  by: string;
  at: string;
}

/** One reading of one pair; the newest of a pair counts. */
export interface PairReading {
  pair: string;
  megohm: number;
  /** The tester shows more than it can measure. */
  saturated: boolean;
  by: string;
  at: string;
}

/** Which conductor is which at both ends, and whether each runs through. */
export interface Continuity extends Base {
  cable: Id;
  /** Sleeve at the near end, and the sleeve of the same conductor at the far end; null: nothing came through. */
  found: { near: string; far: string | null }[];
  by: string;
  at: string;
}

export type { ReadingFault };

/** One measured value, as the instrument or the person gave it. */
export interface Reading extends Base {
  entry: Id;
  round: Id;
  place: string;
  /** In the place's unit. */
  value: number;
  /** Exactly what was typed or sent. */
  typed: string;
  method: DiameterMethod | null;
  instrument: Id;
  source: 'typed' | 'instrument';
  by: string;
  at: string;
  /** Why the reading cannot count as a measurement; it is kept. */
  fault: ReadingFault | null;
  /** Struck out, never erased: by whom and why. */
  struck: { by: string; at: string; reason: string } | null;
}

/** An answer to a question that is looked at, not measured. */
export interface Look extends Base {
  entry: Id;
  round: Id;
  look: string;
  answer: string;
  by: string;
  at: string;
  photo: Id | null;
  /** What was seen, in words; evidence for a special condition. */
  note: string;
  /** Answered in one with the others of this spot, all of them seen; left out where it was answered by itself. */
  together?: string;
}

/** Compound or resin mixed and packed into one entry. */
export interface Pour extends Base {
  entry: Id;
  round: Id;
  /** Batch and expiry on the label; null: not recorded. */
  batch: string | null;
  expires: string | null;
  /** Whether the ratio of the sheet was kept; null: not recorded. */
  ratioKept: boolean | null;
  mixedAt: string;
  /** Null while it is mixed and not packed yet. */
  packedAt: string | null;
  /** Temperature at mixing, and the lowest since packing, °C; null: not recorded. */
  temperatureC: number | null;
  lowestC: number | null;
  /** When the cured surface was opened and looked at; null before. */
  lookedAt: string | null;
  by: string;
  at: string;
}

/** The order in which gland and cable come together. */
export const HABITS = ['body-first', 'cable-first'] as const;
export type Habit = (typeof HABITS)[number];

/** Why an entry is worked on: made off anew, opened up and closed again, a cable taken out, or one put in. */
export const WHYS = ['make-off', 'opening', 'cable-out', 'cable-in'] as const;
export type Why = (typeof WHYS)[number];

/** How the end of a cable’s armour is finished behind a bonded block. */
export const ARMOUR_FINISHES = ['own-sheath', 'tube', 'bushing', 'window'] as const;
export type ArmourFinish = (typeof ARMOUR_FINISHES)[number];

/** Finish of the armour’s end, and how far the armour goes past the block; mm, 0 and 0 for a window. */
export interface ArmourEnd {
  finish: ArmourFinish;
  finishMm: number;
  overhangMm: number;
}

/** Work on one entry, step by step: new, or opened up. */
export interface MakeOff extends Base {
  entry: Id;
  round: Id;
  why: Why;
  habit: Habit;
  /** In a bonded block; null: its own sheath, as long as the sheet’s overhang, or not a bonded block. */
  armourEnd: ArmourEnd | null;
  /** Steps that are done or skipped, in the order in which that was said. */
  ticks: Tick[];
  by: string;
  at: string;
  /** When the as-left record was sealed; null while the work goes on. */
  finished: string | null;
}

/** A step that is done, or a hold point that is skipped. */
export interface Tick {
  step: string;
  initials: string;
  by: string;
  at: string;
  /** Why the step's hold point was passed over; null when it was kept. */
  skipped: string | null;
}

/** What a closed entry hides, as it was when it was closed: sealed, with the hold points that were kept. */
export interface AsLeft extends Base {
  entry: Id;
  round: Id;
  why: Why;
  /** What became of the seals. */
  outerSeal: SealFate;
  innerSeal: SealFate;
  note: string;
  readings: Reading[];
  looks: Look[];
  /** Instruments as they were. */
  instruments: Instrument[];
  pours: Pour[];
  /** Of entry, cable and size as they were: another cable or gland makes the record worthless. */
  fingerprint: string;
  /** Hold points without an answer. */
  skipped: string[];
  by: string;
  at: string;
  previous: string | null;
  /** Rule by which it was sealed; absent for the first. */
  rule?: number;
  /** What it rests on beside what lies in it; absent in a seal by rule 1. */
  frozen?: Frozen;
  hash: string;
}

export const SEAL_FATES = ['replaced', 'kept', 'none'] as const;
export type SealFate = (typeof SEAL_FATES)[number];
