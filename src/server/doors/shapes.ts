import { LEVELS } from '../../core/hazard/level';
import { Flag, Nested, Nullable, Num, NumList, OneOf } from '../validation/decorators';

/** Bounds of the doors. */
const LENGTH = { min: 0, max: 1e6 };
const POSITIVE = { above: 0, max: 1e6 };
/** The longest length, 1e6 mm, in metres. */
const LENGTH_M = { min: 0, max: 1000 };
const TEMPERATURE = { min: -100, max: 1000 };
const PERCENT = { min: 0, max: 100 };

class Tape {
  @Num(LENGTH) thickness_mm!: number;
  @Num(PERCENT) ovality_allowance_pct!: number;
}

class InstrumentShape {
  @Num(LENGTH) expanded_uncertainty_mm!: number;
  @Num({ above: 0 }) coverage_factor!: number;
  @Num(LENGTH) resolution_mm!: number;
  @Nullable() @Num(LENGTH) repeatability_mm!: number | null;
}

export class DiameterShape {
  @OneOf(['caliper', 'tape']) method!: 'caliper' | 'tape';
  @NumList(POSITIVE) readings_mm!: number[];
  @Nullable() @Nested(() => Tape) tape!: Tape | null;
  @Nested(() => InstrumentShape) instrument!: InstrumentShape;
}

export class FitShape {
  @NumList(LENGTH, { length: 2 }) range_mm!: [number, number];
  @Num(LENGTH) min_mm!: number;
  @Num(LENGTH) max_mm!: number;
  @Num(LENGTH) mean_mm!: number;
  @Num(LENGTH) standard_uncertainty_mm!: number;
  @OneOf(['simple', 'guarded', 'guarded-reject']) rule!: 'simple' | 'guarded' | 'guarded-reject';
}

export class ThreadIdentifyShape {
  @Num(POSITIVE) major_mm!: number;
  @Num(POSITIVE) pitch_mm!: number;
  @Nullable() @Flag() taper_seen!: boolean | null;
}

export class ThreadEngagementShape {
  @Num(POSITIVE) pitch_mm!: number;
  @Num(LENGTH) engaged_length_mm!: number;
  @Num(LENGTH) expanded_uncertainty_mm!: number;
  @Num({ above: 0 }) enclosure_volume_cm3!: number;
  @Flag() taper!: boolean;
}

export class ArmourCountShape {
  @Num(POSITIVE) bedding_mm!: number;
  @Num(POSITIVE) wire_mm!: number;
  @Nullable() @Num(POSITIVE) lay_mm!: number | null;
}

export class EarthPathShape {
  @OneOf(['steel', 'copper', 'aluminium']) material!: 'steel' | 'copper' | 'aluminium';
  @Num(LENGTH_M) length_m!: number;
  @Num({ above: 0 }) length_factor!: number;
  @Num({ above: 0 }) area_mm2!: number;
  @Num(TEMPERATURE) temperature_c!: number;
  @Num({ min: 0 }) fault_current_a!: number;
  @Num({ min: 0 }) duration_s!: number;
  @Num({ above: 0 }) k!: number;
}

export class SeverityShape {
  @Num({ min: 1, max: 4, whole: true }) consequence!: 1 | 2 | 3 | 4;
  @OneOf(['explosion', 'shock', 'record']) hazard!: 'explosion' | 'shock' | 'record';
  @OneOf(LEVELS) area_level!: (typeof LEVELS)[number];
}
