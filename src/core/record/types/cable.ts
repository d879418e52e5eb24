import type { Conductor } from '../../earth/path';
import type { KeepsTyped } from './base';

export const ARMOUR_TYPES = ['wire', 'braid', 'tape', 'corrugated', 'interlocked'] as const;
export type ArmourType = (typeof ARMOUR_TYPES)[number];
export type CableShape = 'round' | 'flat' | 'sector';

export interface Cable extends KeepsTyped {
  tag: string;
  from: string;
  to: string;
  lengthM: number;
  cores: { count: number; areaMm2: number; diameterMm: number }[];
  shape: CableShape;
  /** Sheath flows cold under load. */
  coldFlow: boolean;
  /** Diameter over the bedding or inner sheath, mm. */
  innerMm: number;
  /** Null: unarmoured. */
  armour: { type: ArmourType; sizeMm: number; material: Conductor; areaMm2: number | null } | null;
  /** Positive proof that there is no armour: who looked and when. */
  unarmoured: { by: string; on: string } | null;
  /** Outer sheath thickness, mm. */
  sheathMm: number;
  /** Overall diameter, mm. */
  outerMm: number;
  /** Tolerance on the sum of armour and sheath, mm. */
  toleranceMm: number;
  /** Highest temperature of the cable, °C. */
  maxC: number;
  /** Filled: circular, compact, extruded bedding, non-hygroscopic fillers, effectively filled. Null: not known. */
  filling: 'filled' | 'not-filled' | null;
  /** Breathing test of a sample; null without one. */
  breathing: { passed: boolean; halfTimeS: number | null; by: string; on: string } | null;
  /** What a mineral-insulated cable has beside; null for any other. */
  mineral: Mineral | null;
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
}
