import { LEVELS } from '../../core/hazard/level';
import { INSULATION_STAGES, type InsulationStage } from '../../core/mineral/insulation';
import {
  Flag,
  Nested,
  NestedList,
  Nullable,
  Num,
  NumList,
  OneOf,
  Optional,
  Text,
} from '../../shapes/decorators';

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

export class BarrierShape {
  @OneOf(['2013', '2007']) edition!: '2013' | '2007';
  @Flag() certificate_demands_barrier!: boolean;
  @Flag() mineral_insulated!: boolean;
  @Flag() sealing_device!: boolean;
  @Flag() class_a!: boolean;
  @Flag() breathing_test_passed!: boolean;
  @Flag() indirect_entry!: boolean;
  @Num(LENGTH_M) length_m!: number;
  @Flag() ignition_source!: boolean;
  @OneOf(['IIA', 'IIB', 'IIC']) group!: 'IIA' | 'IIB' | 'IIC';
  @OneOf([1, 2]) zone!: 1 | 2;
  @Num({ above: 0 }) volume_dm3!: number;
}

class BreathingPoint {
  @Num() t_s!: number;
  @Num({ above: 0 }) p_kpa!: number;
}

export class BreathingShape {
  @NestedList(() => BreathingPoint, { atLeast: 2 }) points!: BreathingPoint[];
  @Num() temperature_drift_k!: number;
}

class PotCore {
  @Num({ min: 1, whole: true }) count!: number;
  @Num(POSITIVE) diameter_mm!: number;
}

export class CompoundShape {
  @Num(POSITIVE) pot_bore_mm!: number;
  @Num(LENGTH) pot_depth_mm!: number;
  @NestedList(() => PotCore) cores!: PotCore[];
  @Num({ min: 0, max: 1000 }) waste_pct!: number;
  @Num({ above: 0 }) pack_ml!: number;
  @Num(TEMPERATURE) temperature_c!: number;
  @Num(TEMPERATURE) reference_temperature_c!: number;
  @Num({ above: 0 }) q10!: number;
  @Num({ min: 0 }) working_minutes!: number;
  @Num({ min: 0 }) cure_hours!: number;
  @Num(TEMPERATURE) minimum_temperature_c!: number;
  @Flag() sheet_extrapolates!: boolean;
}

class SealRing {
  @Num(POSITIVE) housing_bore_mm!: number;
  @Num(POSITIVE) free_bore_mm!: number;
  @Num(POSITIVE) free_outside_mm!: number;
  @Num(POSITIVE) free_length_mm!: number;
}

export class BackNutShape {
  @Nested(() => SealRing) seal!: SealRing;
  @Num(LENGTH) start_gap_mm!: number;
  @Num({ min: 0 }) turns_after_contact!: number;
  @Num(POSITIVE) pitch_mm!: number;
  @Num(POSITIVE) cable_mm!: number;
}

export class MiMarksShape {
  @Num(LENGTH) tail_mm!: number;
  @Num(LENGTH) tool_stop_offset_mm!: number;
  @Num(LENGTH) pot_rear_mm!: number;
  @Nullable() @Num(LENGTH) screen_stub_mm!: number | null;
  @Num(LENGTH) gland_grip_mm!: number;
}

class LinkBend {
  @Num({ min: 0, max: 360 }) angle_deg!: number;
  @Num(LENGTH) radius_mm!: number;
}

export class MiLinkShape {
  @NumList(LENGTH) straights_mm!: number[];
  @NestedList(() => LinkBend) bends!: LinkBend[];
  @Num(LENGTH) entry_1_mm!: number;
  @Num(LENGTH) entry_2_mm!: number;
  @Num(LENGTH) tail_1_mm!: number;
  @Num(LENGTH) tail_2_mm!: number;
  @Num(LENGTH) trim_mm!: number;
}

class InsulationTest {
  @Text(80) pair!: string;
  @Num({ min: 0 }) megohm!: number;
  @Flag() saturated!: boolean;
  @Num(TEMPERATURE) temperature_c!: number;
  @Flag() far_end_sealed!: boolean;
  @Num({ min: 0 }) age_min!: number;
}

export class InsulationShape {
  @OneOf(INSULATION_STAGES) stage!: InsulationStage;
  @Num({ above: 0 }) threshold_megohm!: number;
  @Num(LENGTH_M) length_m!: number;
  @Num({ min: 0 }) window_min!: number;
  @NestedList(() => InsulationTest, { atLeast: 1 }) tests!: InsulationTest[];
}

class PeelBlockShape {
  @Num(POSITIVE) bore_mm!: number;
  @Num(LENGTH) layer_mm!: number;
  @Num({ min: 0, max: 1000, whole: true }) layers_per_half!: number;
  @Num({ min: 0, max: 1000, whole: true }) keep_layers!: number;
}

class PeelCable {
  @Num(POSITIVE) min_mm!: number;
  @Num(POSITIVE) max_mm!: number;
  @Num(POSITIVE) mean_mm!: number;
  @Num(LENGTH) expanded_uncertainty_mm!: number;
}

export class PeelShape {
  @Nested(() => PeelBlockShape) block!: PeelBlockShape;
  @NumList(LENGTH, { length: 2 }) gap_mm!: number[];
  @Nested(() => PeelCable) cable!: PeelCable;
  @Num({ min: 0, max: 1000, whole: true }) max_layer_difference!: number;
}

class PackOpening {
  @Num(POSITIVE) width_mm!: number;
  @Num(POSITIVE) height_mm!: number;
  @Num(LENGTH) stay_plate_mm!: number;
  @NumList(LENGTH, { length: 2 }) compression_mm!: number[];
}

class PackBlock {
  @Num(POSITIVE) size_mm!: number;
  @NumList(LENGTH, { length: 2 }) range_mm!: number[];
}

class PackCable {
  @Text(80) id!: string;
  @Num(POSITIVE) min_mm!: number;
  @Num(POSITIVE) max_mm!: number;
}

export class PackShape {
  @Nested(() => PackOpening) opening!: PackOpening;
  @NestedList(() => PackBlock, { atLeast: 1 }) blocks!: PackBlock[];
  @NestedList(() => PackCable) cables!: PackCable[];
  @Num(PERCENT) spare_pct!: number;
}

class SealantOpeningShape {
  @OneOf(['round', 'rect']) shape!: 'round' | 'rect';
  @Optional() @Num(POSITIVE) diameter_mm?: number;
  @Optional() @Num(POSITIVE) width_mm?: number;
  @Optional() @Num(POSITIVE) height_mm?: number;
}

class SleeveShape {
  @Num(POSITIVE) outer_mm!: number;
  @Num(POSITIVE) inner_mm!: number;
  @Num(LENGTH) length_mm!: number;
}

export class SealantShape {
  @Nested(() => SealantOpeningShape) opening!: SealantOpeningShape;
  @NumList(POSITIVE, { atLeast: 0 }) cables_mm!: number[];
  @Num(LENGTH) depth_mm!: number;
  @OneOf([1, 2]) sides!: 1 | 2;
  @Num(LENGTH) wall_depth_mm!: number;
  @Num({ min: 0, max: 1000 }) waste_pct!: number;
  @Num({ above: 0 }) cartridge_ml!: number;
  @Nested(() => SleeveShape) sleeve!: SleeveShape;
  @Num(PERCENT) max_fill_pct!: number;
}

/** Most that a population may count. Chosen: far above any plant. */
const POPULATION = 1e9;

export class SampleSizeShape {
  @Num({ min: 1, max: POPULATION, whole: true }) population!: number;
  @Num({ min: 0, under: 100 }) tolerable_pct!: number;
  @Num({ above: 0, under: 100 }) confidence_pct!: number;
}

export class SampleBoundShape {
  @Num({ min: 1, max: POPULATION, whole: true }) population!: number;
  @Num({ min: 0, whole: true }) sample!: number;
  @Num({ min: 0, whole: true }) defective!: number;
  @Num({ above: 0, under: 100 }) confidence_pct!: number;
}

/** Where something may be on a plan, m. */
const POSITION_M = { min: -1e6, max: 1e6 };

class WalkPlaceShape {
  @Num(POSITION_M) x_m!: number;
  @Num(POSITION_M) y_m!: number;
  @Num(POSITION_M) z_m!: number;
}

class WalkStopShape {
  @Text(80) id!: string;
  @Num(POSITION_M) x_m!: number;
  @Num(POSITION_M) y_m!: number;
  @Num(POSITION_M) z_m!: number;
  @Nullable() @Text(80) together!: string | null;
}

export class WalkShape {
  @Nested(() => WalkPlaceShape) start!: WalkPlaceShape;
  @NestedList(() => WalkStopShape) stops!: WalkStopShape[];
  @Num({ min: 0, max: 1e6 }) climb!: number;
  @Flag() return_to_start!: boolean;
}
