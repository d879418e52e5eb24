import type { Conductor } from '../../earth/path';
import type { KeepsTyped } from './base';

export const ARMOUR_TYPES = ['wire', 'braid', 'tape', 'corrugated', 'interlocked'] as const;
export type ArmourType = (typeof ARMOUR_TYPES)[number];
export type CableShape = 'round' | 'flat' | 'sector';

export interface Cable extends KeepsTyped {
  tag: string;
  from: string;
  to: string;
  /** Length, m; null: not recorded. */
  lengthM: number | null;
  cores: { count: number; areaMm2: number; diameterMm: number }[];
  /** Null: not recorded. */
  shape: CableShape | null;
  /** Sheath flows cold under load; null: not recorded. */
  coldFlow: boolean | null;
  /** Diameter over the bedding or inner sheath, mm; null: not recorded. */
  innerMm: number | null;
  /** Null: none, or not recorded: only `unarmoured` says that there is none. */
  armour: Armour | null;
  /** Positive proof that there is no armour: who looked and when. */
  unarmoured: { by: string; on: string } | null;
  /** Outer sheath thickness, mm; null: not recorded. */
  sheathMm: number | null;
  /** Overall diameter, mm; null: not recorded. */
  outerMm: number | null;
  /** Tolerance on the sum of armour and sheath, mm; null: not recorded. */
  toleranceMm: number | null;
  /** Highest temperature of the cable, °C; null: not recorded. */
  maxC: number | null;
  /** Lowest temperature of the cable, °C; null: not recorded. */
  minC: number | null;
  /** Whether it has a screen; null: not recorded. */
  screened: boolean | null;
  /** Filled: circular, compact, extruded bedding, non-hygroscopic fillers, effectively filled. Null: not known. */
  filling: 'filled' | 'not-filled' | null;
  /** Breathing test of a sample; null without one. */
  breathing: { passed: boolean; halfTimeS: number | null; by: string; on: string } | null;
  /** What a mineral-insulated cable has beside; null for any other. */
  mineral: Mineral | null;
}

/** Armour as it was found or as the sheet says. */
interface Armour {
  type: ArmourType;
  /** Wire diameter or thickness, mm; null: not recorded. */
  sizeMm: number | null;
  /** Null: not recorded. */
  material: Conductor | null;
  areaMm2: number | null;
}

/** Build-up and insulation limits of a mineral-insulated cable, by its sheet or the site. */
export interface Mineral {
  /** Names of the conductors as their sleeves say. */
  conductors: string[];
  screened: boolean;
  /** Outer plastic jacket over the sheath. */
  jacketed: boolean;
  /** Test voltage, V d.c. */
  testVoltage: number;
  /** Least insulation resistance, new and in service, MΩ. */
  newMegohm: number;
  serviceMegohm: number;
  /** How old the oldest reading may be when the pot is sealed, min. */
  windowMin: number;
  /** A fall between two tests by more than this is a finding. */
  fallFactor: number;
  /** Cross-section of the copper sheath, the earth conductor, mm²; null: not recorded. */
  sheathMm2: number | null;
  /** Highest temperature of the sheath in service, °C; null: not recorded. */
  sheathC: number | null;
  /** Highest resistance of the sheath from end to end by sheet or site, Ω; null where none is set. */
  earthLimitOhm: number | null;
  /** The path that it is cut to fit; null for a cable that need not fit. */
  link: MineralLink | null;
}

/** The path of a cable that is cut to fit between two accessories, from outer face to outer face; lengths mm. */
export interface MineralLink {
  /** Tangent to tangent, a bend behind each straight as long as there are any. */
  straightsMm: number[];
  bends: { angleDeg: number; radiusMm: number; right: boolean }[];
  /** How far each sheath end lies inside its face. */
  entryMm: [number, number];
  tailMm: [number, number];
  /** Cut off when the end is squared. */
  trimMm: number;
  /** How far the sheath may be off, either way, and still fit. */
  fitMm: number;
}
