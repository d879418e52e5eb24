import { SPOTS } from '../core/kinds/look';
import { HAZARDS } from '../core/defects/severity';
import { INSULATION_STAGES } from '../core/mineral/insulation';
import { DEFECT_STATES, GRADES, ARMOUR_FINISHES, HABITS, SEAL_FATES, WHYS } from '../core/record/types';
import {
  Name,
  Flag,
  IdList,
  IdText,
  Means,
  Nested,
  NestedList,
  Nullable,
  Num,
  NumList,
  OneOf,
  Optional,
  Text,
  Time,
  TimeZone,
} from './decorators';

/** What every command carries around its payload. */
export class EnvelopeShape {
  @IdText() id!: string;
  @Text(40) kind!: string;
  @IdText() site!: string;
  @Time() at!: string;
  @Optional() @IdText() person?: string;
  @Optional() @IdText() batch?: string;
}

class EnclosureTypeShape {
  @Text(20) type!: string;
  @Text(40) ingress!: string;
}

class UsualMinutesShape {
  @Means('Words of a step of the work.') @Text(40) step!: string;
  @Means('Minutes that it takes here.') @Num({ min: 0, max: 1440 }) minutes!: number;
}

/** Months between two inspections; the longest that is ever asked for is ten years. */
const MONTHS = { min: 1, max: 120, whole: true };

class IntervalsShape {
  @Nullable() @Num(MONTHS) visual!: number | null;
  @Nullable() @Num(MONTHS) close!: number | null;
  @Nullable() @Num(MONTHS) detailed!: number | null;
}

class SeverityDays {
  @Num({ min: 0, max: 3650, whole: true }) 4!: number;
  @Num({ min: 0, max: 3650, whole: true }) 3!: number;
  @Num({ min: 0, max: 3650, whole: true }) 2!: number;
  @Num({ min: 0, max: 3650, whole: true }) 1!: number;
}

export class SiteShape {
  @IdText() id!: string;
  @Name(120) name!: string;
  @OneOf(['simple', 'guarded', 'guarded-reject']) acceptance!: string;
  @IdText() references!: string;
  @OneOf(['zones', 'divisions']) scheme!: string;
  @OneOf(['2013', '2007']) barrierSchool!: string;
  @Num({ min: 0, max: 100 }) ovalityAllowancePct!: number;
  @Num({ above: 0, max: 1000 }) bondLimitOhm!: number;
  @Num({ min: 1, max: 1000 }) bondPredictionFactor!: number;
  @Nested(() => SeverityDays) severityDays!: SeverityDays;
  @TimeZone() timeZone!: string;
  @Optional() @NestedList(() => EnclosureTypeShape) enclosureTypes?: EnclosureTypeShape[];
  @Optional() @NestedList(() => UsualMinutesShape) usualMinutes?: UsualMinutesShape[];
  @Optional() @Nested(() => IntervalsShape) intervals?: IntervalsShape;
  @Optional() @Num(MONTHS) longestMonths?: number;
}

export class IdOnlyShape {
  @IdText() id!: string;
}

export class TakeShape {
  @IdText() id!: string;
  @IdText() entry!: string;
  @IdText() round!: string;
  @Text(40) place!: string;
  @Means('In the unit of the place: mm, Ω, turns, N·m or °C.') @Num({ min: 0, max: 1e6 }) value!: number;
  @Text(40) typed!: string;
  @Nullable() @OneOf(['caliper', 'tape']) method!: string | null;
  @IdText() instrument!: string;
  @OneOf(['typed', 'instrument']) source!: string;
}

export class StrikeShape {
  @IdText() id!: string;
  @Text(300) reason!: string;
}

export class LookShape {
  @IdText() id!: string;
  @IdText() entry!: string;
  @IdText() round!: string;
  @Text(40) look!: string;
  @Text(40) answer!: string;
  @Nullable() @IdText() photo!: string | null;
  @Optional() @Text(500, { blank: true }) note?: string;
}

class SeenShape {
  @IdText() id!: string;
  @Text(40) look!: string;
}

export class LooksShape {
  @IdText() entry!: string;
  @IdText() round!: string;
  @OneOf(SPOTS) spot!: string;
  @NestedList(() => SeenShape, { atLeast: 1 }) answers!: SeenShape[];
}

export class PourShape {
  @IdText() id!: string;
  @IdText() entry!: string;
  @IdText() round!: string;
  @Nullable() @Text(60) batch!: string | null;
  @Nullable() @Time() expires!: string | null;
  @Nullable() @Flag() ratioKept!: boolean | null;
  @Time() mixedAt!: string;
  @Means('Null while it is mixed and not packed.') @Nullable() @Time() packedAt!: string | null;
  @Nullable() @Num({ min: -100, max: 200 }) temperatureC!: number | null;
  @Nullable() @Num({ min: -100, max: 200 }) lowestC!: number | null;
  @Nullable() @Time() lookedAt!: string | null;
}

export class PourSetShape {
  @Time() packedAt!: string;
  @Nullable() @Num({ min: -100, max: 200 }) lowestC!: number | null;
  @Nullable() @Time() lookedAt!: string | null;
}

class ArmourEndShape {
  @OneOf(ARMOUR_FINISHES) finish!: string;
  @Means('Length of the piece, tube or bushing, mm; 0 for a window.')
  @Num({ min: 0, max: 500 })
  finishMm!: number;
  @Means('Armour past the block, mm.') @Num({ min: 0, max: 500 }) overhangMm!: number;
}

export class MakeOffShape {
  @IdText() id!: string;
  @IdText() entry!: string;
  @IdText() round!: string;
  @OneOf(WHYS) why!: string;
  @OneOf(HABITS) habit!: string;
  @Optional() @Nullable() @Nested(() => ArmourEndShape) armourEnd?: ArmourEndShape | null;
}

export class TickShape {
  @IdText() id!: string;
  @Text(40) step!: string;
  @Text(8) initials!: string;
  @Nullable() @Text(300) skipped!: string | null;
}

export class UntickShape {
  @IdText() id!: string;
  @Text(40) step!: string;
}

export class InsulationStartShape {
  @IdText() id!: string;
  @IdText() cable!: string;
  @Nullable() @IdText() entry!: string | null;
  @OneOf(INSULATION_STAGES) stage!: string;
  @Flag() drying!: boolean;
  @IdText() instrument!: string;
  @Num({ min: -100, max: 1000 }) temperatureC!: number;
  @Flag() farEndSealed!: boolean;
}

export class InsulationReadShape {
  @IdText() id!: string;
  @Text(80) pair!: string;
  @Num({ above: 0, max: 1e9 }) megohm!: number;
  @Flag() saturated!: boolean;
}

class TracedShape {
  @Text(40) near!: string;
  @Nullable() @Text(40) far!: string | null;
}

export class ContinuityShape {
  @IdText() id!: string;
  @IdText() cable!: string;
  @NestedList(() => TracedShape, { atLeast: 1 }) found!: TracedShape[];
}

const LENGTH = { min: 0, max: 1e6 };

class SideReadingsShape {
  @NumList({ above: 0, max: 1e4 }) readingsMm!: number[];
  @Nullable() @IdText() instrument!: string | null;
  @Text(80) by!: string;
  @Time() at!: string;
}

class BlockSideShape {
  @Nullable() @NumList({ min: 0, max: 100, whole: true }, { length: 2 }) layers!: number[] | null;
  @NumList({ above: 0, max: 1e4 }, { atLeast: 0 }) readingsMm!: number[];
  @Nullable() @IdText() instrument!: string | null;
  @Nullable() @Flag() daylight!: boolean | null;
  @Optional() @NestedList(() => SideReadingsShape) others?: SideReadingsShape[];
  @Optional() @Nullable() @Text(80) readBy?: string | null;
  @Optional() @Nullable() @Time() readAt?: string | null;
}

class PackedBlockShape {
  @Nullable() @IdText() cable!: string | null;
  @Nullable() @Flag() core!: boolean | null;
  @Nested(() => BlockSideShape) jacket!: BlockSideShape;
  @Nullable() @Nested(() => BlockSideShape) armour!: BlockSideShape | null;
  @Nullable() @Num({ min: 0, max: 1e6 }) bondOhm!: number | null;
  @Optional() @Nullable() @IdText() bondInstrument?: string | null;
  @Optional() @Nullable() @Time() bondAt?: string | null;
}

class PackedColumnShape {
  @Num({ above: 0, max: 1e6 }) widthMm!: number;
  @NestedList(() => PackedBlockShape, { atLeast: 1 }) blocks!: PackedBlockShape[];
}

class PackedRowShape {
  @Num({ above: 0, max: 1e6 }) heightMm!: number;
  @Nullable() @Flag() plate!: boolean | null;
  @NestedList(() => PackedColumnShape, { atLeast: 1 }) columns!: PackedColumnShape[];
}

class SealedCableShape {
  @IdText() cable!: string;
  @Num({ min: -1e6, max: 1e6 }) xMm!: number;
  @Num({ min: -1e6, max: 1e6 }) yMm!: number;
  @Optional() @NestedList(() => SideReadingsShape) readings?: SideReadingsShape[];
}

class PackedOpeningShape {
  @Name(40) label!: string;
  @NestedList(() => PackedRowShape) rows!: PackedRowShape[];
  @Nullable() @Num(LENGTH) wedgeMm!: number | null;
  @NestedList(() => SealedCableShape) cables!: SealedCableShape[];
  @NumList(LENGTH, { atLeast: 0 }) recessMm!: number[];
  @Optional() @NumList(LENGTH, { atLeast: 0 }) recessFarMm?: number[];
  @Optional() @Flag() plug?: boolean;
  @Optional() @Nullable() @Time() packedAt?: string | null;
}

export class PackingShape {
  @IdText() id!: string;
  @IdText() entry!: string;
  @NestedList(() => PackedOpeningShape, { atLeast: 1 }) openings!: PackedOpeningShape[];
}

export class AsLeftShape {
  @IdText() id!: string;
  @IdText() entry!: string;
  @IdText() round!: string;
  @OneOf(WHYS) why!: string;
  @OneOf(SEAL_FATES) outerSeal!: string;
  @OneOf(SEAL_FATES) innerSeal!: string;
  @Text(500, { blank: true }) note!: string;
}

class SentenceShape {
  @Text(10) check!: string;
  @Text(4000) text!: string;
}

/** Findings as they were shown. */
export class SaidShape {
  @Text(10) language!: string;
  @NestedList(() => SentenceShape) sentences!: SentenceShape[];
}

export class SealShape {
  @IdText() id!: string;
  @IdText() entry!: string;
  @IdText() round!: string;
  @Optional() @Nested(() => SaidShape) said?: SaidShape;
}

class Observation {
  @Text(500) statement!: string;
  @Num({ min: 1, max: 4, whole: true }) consequence!: number;
  @OneOf(HAZARDS) hazard!: string;
}

export class RaiseShape {
  @IdText() id!: string;
  @IdText() entry!: string;
  @IdText() round!: string;
  @Nullable() @Text(10) check!: string | null;
  @OneOf(GRADES) grade!: string;
  @IdList() photos!: string[];
  @Text(1000, { blank: true }) action!: string;
  @Nullable() @Nested(() => Observation) observation!: Observation | null;
  @Optional() @Nested(() => SaidShape) said?: SaidShape;
}

export class DefectSetShape {
  @Nullable() @Name(80) owner!: string | null;
  @OneOf(DEFECT_STATES) state!: string;
  @Text(1000, { blank: true }) action!: string;
  @Num({ min: 1, max: 4, whole: true }) severity!: number;
  @Text(500, { blank: true }) severityReason!: string;
  @Time() due!: string;
  @IdList() photos!: string[];
}

export class UndoShape {
  @IdText() command!: string;
}
