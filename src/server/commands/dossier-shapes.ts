import { AREA_GROUPS, GROUPS } from '../../core/hazard/group';
import { LEVELS, ZONES } from '../../core/hazard/level';
import { TEMPERATURE_CLASSES } from '../../core/hazard/temperature';
import type { DossierFields } from '../../core/record/commands';
import { DIVISION_CLASSES, DIVISION_GROUPS } from '../../core/hazard/division';
import { KIND_IDS } from '../../core/record/kind-ids';
import { SHIPPED } from '../../core/rulebook/references';
import {
  ARMOUR_TYPES,
  GRADES,
  INSTRUMENT_KINDS,
  JOINTS,
  SCHOOLS,
  UNITS,
  WEATHERS,
} from '../../core/record/types';
import {
  Flag,
  IdList,
  IdText,
  Nested,
  NestedList,
  Nullable,
  Num,
  NumList,
  OneOf,
  RangeOf,
  SomeOf,
  Text,
  TextList,
  Time,
  TypedTexts,
} from '../validation/decorators';

import { FrameShape, TransitSheetShape } from './transit-shapes';

const CONCEPTS = [
  'd', 'da', 'db', 'dc', 'e', 'eb', 'ec', 'ia', 'ib', 'ic', 'ma', 'mb', 'mc', 'n', 'nA', 'nC', 'nR',
  'o', 'px', 'py', 'pz', 'q', 's', 't', 'ta', 'tb', 'tc',
]; // prettier-ignore
const CLASSES = Object.keys(TEMPERATURE_CLASSES);
const LENGTH = { min: 0, max: 1e6 };
const POSITIVE = { above: 0, max: 1e6 };
const TEMPERATURE = { min: -100, max: 1000 };
const PLACE_M = { min: -1e5, max: 1e5 };
const SHAPES = ['round', 'flat', 'sector'];

class Outline {
  @Num(PLACE_M) x!: number;
  @Num(PLACE_M) y!: number;
  @Num({ above: 0, max: 1e5 }) width!: number;
  @Num({ above: 0, max: 1e5 }) height!: number;
}

class DivisionShape {
  @OneOf(DIVISION_CLASSES) class!: string;
  @OneOf([1, 2]) division!: number;
  @OneOf(DIVISION_GROUPS) group!: string;
}

class AreaShape {
  @IdText() id!: string;
  @Text() name!: string;
  @Nullable() @OneOf([...ZONES, 'unclassified']) zone!: string | null;
  @Nullable() @OneOf(AREA_GROUPS) group!: string | null;
  @Nullable() @OneOf(CLASSES) temperatureClass!: string | null;
  @Text(500, { blank: true }) substances!: string;
  @RangeOf(TEMPERATURE) ambientC!: number[];
  @Text(8) ingressNeed!: string;
  @Nested(() => Outline) outlineM!: Outline;
  @Num(PLACE_M) levelM!: number;
  @Nullable() @Nested(() => DivisionShape) division!: DivisionShape | null;
  @Nullable() @OneOf(WEATHERS) weather!: string | null;
}

class Derating {
  @Text(8) ingress!: string;
  @Text(500) reason!: string;
}

class MeasuredTemperature {
  @Num(TEMPERATURE) atC!: number;
  @Num(TEMPERATURE) ambientC!: number;
}

class Position {
  @Num(PLACE_M) x!: number;
  @Num(PLACE_M) y!: number;
  @Num(PLACE_M) z!: number;
}

class UnusedShape {
  @Text(20) label!: string;
  @OneOf(['plug', 'transport-plug', 'none']) closure!: string;
  @Flag() needsTool!: boolean;
  @Flag() inAdaptor!: boolean;
  @SomeOf(CONCEPTS) concepts!: string[];
}

class EnclosureShape {
  @IdText() id!: string;
  @TypedTexts() typed?: Record<string, string>;
  @IdText() area!: string;
  @Text(60) tag!: string;
  @Text(200) what!: string;
  @SomeOf(CONCEPTS) concepts!: string[];
  @OneOf(GROUPS) group!: string;
  @Nullable() @OneOf(CLASSES) temperatureClass!: string | null;
  @Text(8) ingress!: string;
  @Nullable() @Nested(() => Derating) derating!: Derating | null;
  @Num({ above: 0, max: 1e9 }) volumeCm3!: number;
  @Num(LENGTH) wallMm!: number;
  @Nullable() @Num(TEMPERATURE) entryTemperatureC!: number | null;
  @Nullable() @Nested(() => MeasuredTemperature) measuredTemperature!: MeasuredTemperature | null;
  @Nested(() => Position) positionM!: Position;
  @Nullable() @OneOf(['metal', 'insulating']) material!: string | null;
  @Nullable() @Flag() ignitionSource!: boolean | null;
  @Nullable() @Flag() indirectEntry!: boolean | null;
  @Nullable() @Flag() demandsBarrier!: boolean | null;
  @Nullable() @NestedList(() => UnusedShape) unused!: UnusedShape[] | null;
}

class Core {
  @Num({ min: 1, max: 200, whole: true }) count!: number;
  @Num(POSITIVE) areaMm2!: number;
  @Num(POSITIVE) diameterMm!: number;
}

class Armour {
  @OneOf(ARMOUR_TYPES) type!: string;
  @Num(POSITIVE) sizeMm!: number;
  @OneOf(['steel', 'copper', 'aluminium']) material!: string;
  @Nullable() @Num(POSITIVE) areaMm2!: number | null;
}

class Unarmoured {
  @Text(80) by!: string;
  @Time() on!: string;
}

class BreathingShape {
  @Flag() passed!: boolean;
  @Nullable() @Num({ min: 0, max: 1e6 }) halfTimeS!: number | null;
  @Text(80) by!: string;
  @Time() on!: string;
}

class LinkBendShape {
  @Num({ min: 0, max: 360 }) angleDeg!: number;
  @Num(POSITIVE) radiusMm!: number;
  @Flag() right!: boolean;
}

class LinkShape {
  @NumList(LENGTH, { atLeast: 1 }) straightsMm!: number[];
  @NestedList(() => LinkBendShape) bends!: LinkBendShape[];
  @NumList(LENGTH, { length: 2 }) entryMm!: number[];
  @NumList(LENGTH, { length: 2 }) tailMm!: number[];
  @Num(LENGTH) trimMm!: number;
  @Num(LENGTH) fitMm!: number;
}

class MineralShape {
  @TextList(20, { atLeast: 1 }) conductors!: string[];
  @Flag() screened!: boolean;
  @Flag() jacketed!: boolean;
  @Num({ above: 0, max: 1e5 }) testVoltage!: number;
  @Num({ above: 0, max: 1e6 }) newMegohm!: number;
  @Num({ above: 0, max: 1e6 }) serviceMegohm!: number;
  @Num({ min: 0, max: 1e5 }) windowMin!: number;
  @Num({ min: 1, max: 1e6 }) fallFactor!: number;
  @Nullable() @Num({ above: 0, max: 1e4 }) sheathMm2!: number | null;
  @Nullable() @Num(TEMPERATURE) sheathC!: number | null;
  @Nullable() @Nested(() => LinkShape) link!: LinkShape | null;
}

class CableShapeClass {
  @IdText() id!: string;
  @TypedTexts() typed?: Record<string, string>;
  @Text(60) tag!: string;
  @Text(200, { blank: true }) from!: string;
  @Text(200, { blank: true }) to!: string;
  @Num({ min: 0, max: 1e5 }) lengthM!: number;
  @NestedList(() => Core, { atLeast: 1 }) cores!: Core[];
  @OneOf(SHAPES) shape!: string;
  @Flag() coldFlow!: boolean;
  @Num(POSITIVE) innerMm!: number;
  @Nullable() @Nested(() => Armour) armour!: Armour | null;
  @Nullable() @Nested(() => Unarmoured) unarmoured!: Unarmoured | null;
  @Num(POSITIVE) sheathMm!: number;
  @Num(POSITIVE) outerMm!: number;
  @Num(LENGTH) toleranceMm!: number;
  @Num(TEMPERATURE) maxC!: number;
  @Nullable() @OneOf(['filled', 'not-filled']) filling!: string | null;
  @Nullable() @Nested(() => BreathingShape) breathing!: BreathingShape | null;
  @Nullable() @Nested(() => MineralShape) mineral!: MineralShape | null;
}

class SealShape {
  @RangeOf(POSITIVE) rangeMm!: number[];
  @Num({ min: 0, max: 100 }) ovalityPct!: number;
  @Num(TEMPERATURE) maxC!: number;
  @Flag() coldFlow!: boolean;
  @SomeOf(SHAPES, { atLeast: 1 }) shapes!: string[];
}

class ClampFaceShape {
  @Text(10) face!: string;
  @OneOf(ARMOUR_TYPES) armour!: string;
  @RangeOf(POSITIVE) rangeMm!: number[];
}

class BackNutShape {
  @Num(POSITIVE) freeBoreMm!: number;
  @Num(POSITIVE) freeOutsideMm!: number;
  @Num(POSITIVE) freeLengthMm!: number;
  @Num(POSITIVE) housingBoreMm!: number;
  @Num(LENGTH) handOnGapMm!: number;
  @Num({ min: 0, max: 1000 }) turns!: number;
  @Num(POSITIVE) pitchMm!: number;
  @Num(LENGTH) toleranceMm!: number;
  @Num({ min: 0, max: 100 }) indentPct!: number;
}

class PotShape {
  @Num(POSITIVE) boreMm!: number;
  @Num(POSITIVE) depthMm!: number;
  @Num({ min: 1, max: 1000, whole: true }) mostCores!: number;
  @RangeOf(POSITIVE) overCoresMm!: number[];
}

class CompoundShape {
  @Text(80) name!: string;
  @Num(POSITIVE) packMl!: number;
  @Num({ min: 0, max: 1000 }) wastePct!: number;
  @Text(20) ratio!: string;
  @Num(TEMPERATURE) referenceC!: number;
  @Num({ min: 1, max: 10 }) q10!: number;
  @Num({ above: 0, max: 1e5 }) workingMinutes!: number;
  @Num({ above: 0, max: 1e4 }) cureHours!: number;
  @Num({ above: 0, max: 1e4 }) energiseHours!: number;
  @Num(TEMPERATURE) minimumC!: number;
  @Num(TEMPERATURE) maxC!: number;
  @Flag() extrapolates!: boolean;
  @Num(LENGTH) reachMm!: number;
}

class MineralPotShape {
  @Num(POSITIVE) threadLengthMm!: number;
  @RangeOf(LENGTH) projectionMm!: number[];
  @Num(LENGTH) gripMm!: number;
  @Num(LENGTH) toolStopOffsetMm!: number;
  @Nullable() @Num(LENGTH) screenStubMm!: number | null;
  @Num(TEMPERATURE) maxC!: number;
}

class SizeShape {
  @Text(20) size!: string;
  @Text(20) thread!: string;
  @Num(POSITIVE) maleLengthMm!: number;
  @Num(LENGTH) runoutMm!: number;
  @Num(LENGTH) washerMm!: number;
  @Num(POSITIVE) acrossMm!: number;
  @Num(POSITIVE) bodyLengthMm!: number;
  @Nested(() => SealShape) outer!: SealShape;
  @Nullable() @Nested(() => SealShape) inner!: SealShape | null;
  @NestedList(() => ClampFaceShape) clamp!: ClampFaceShape[];
  @Nullable() @Nested(() => BackNutShape) backNut!: BackNutShape | null;
  @Nullable() @RangeOf(POSITIVE) armourLengthMm!: number[] | null;
  @Nullable() @Num(LENGTH) innerProudMm!: number | null;
  @Nullable() @Nested(() => PotShape) pot!: PotShape | null;
  @Nullable() @Num(LENGTH) sealDepthMm!: number | null;
  @Nullable() @Nested(() => MineralPotShape) mineral!: MineralPotShape | null;
}

class JointShape {
  @OneOf(JOINTS) joint!: string;
  @OneOf(SCHOOLS) school!: string;
  @Nullable() @RangeOf({ min: 0, max: 1e4 }) range!: number[] | null;
}

class ChartRowShape {
  @Num({ min: 1, max: 1000, whole: true }) cores!: number;
  @Num({ above: 0, max: 1e4 }) areaMm2!: number;
  @Text(20) size!: string;
}

class SheetShape {
  @Text(60) number!: string;
  @NestedList(() => SizeShape) sizes!: SizeShape[];
  @NestedList(() => JointShape) joints!: JointShape[];
  @Num({ min: 0, max: 1000 }) expectedBondOhm!: number;
  @Nullable() @Nested(() => CompoundShape) compound!: CompoundShape | null;
  @Nullable() @OneOf(['shroud', 'boot', 'none']) shroud!: string | null;
  @NestedList(() => ChartRowShape) chart!: ChartRowShape[];
  @Nullable() @Nested(() => TransitSheetShape) transit!: TransitSheetShape | null;
}

class ListedShape {
  @OneOf(DIVISION_CLASSES) class!: string;
  @OneOf([1, 2]) division!: number;
  @SomeOf(DIVISION_GROUPS, { atLeast: 1 }) groups!: string[];
}

class CertificateShape {
  @IdText() id!: string;
  @TypedTexts() typed?: Record<string, string>;
  @Text(60) number!: string;
  @Text(80) maker!: string;
  @Text(200) title!: string;
  @OneOf(KIND_IDS) kind!: string;
  @Time() issued!: string;
  @OneOf(['valid', 'superseded', 'withdrawn']) state!: string;
  @SomeOf(CONCEPTS) concepts!: string[];
  @SomeOf(LEVELS) levels!: string[];
  @SomeOf(GROUPS) groups!: string[];
  @RangeOf(TEMPERATURE) serviceC!: number[];
  @Text(8) ingress!: string;
  @Flag() sealing!: boolean;
  @TextList(500) specialConditions!: string[];
  @NestedList(() => ListedShape) divisions!: ListedShape[];
  @Flag() reducedRetention!: boolean;
  @Nested(() => SheetShape) sheet!: SheetShape;
}

class InstrumentShape {
  @IdText() id!: string;
  @Text(60) tag!: string;
  @OneOf(INSTRUMENT_KINDS) kind!: string;
  @OneOf(UNITS) unit!: string;
  @RangeOf({ min: -100, max: 1e6 }) span!: number[];
  @Num({ above: 0, max: 1e3 }) resolution!: number;
  @Num({ min: 0, max: 1e3 }) expandedUncertainty!: number;
  @Num({ above: 0, max: 100 }) coverageFactor!: number;
  @Nullable() @Num({ min: 0, max: 1e3 }) repeatability!: number | null;
  @Nullable() @Num({ min: 0, max: 1e3 }) repeatabilitySoft!: number | null;
  @Time() calibratedUntil!: string;
  @Text(120, { blank: true }) calibration!: string;
  @Flag() simulated!: boolean;
}

class Hole {
  @OneOf(['threaded', 'clearance']) form!: string;
  @Text(20) thread!: string;
  @Nullable() @Num(POSITIVE) diameterMm!: number | null;
  @Num(LENGTH) chamfersMm!: number;
}

class AdaptorShape {
  @OneOf(['adaptor', 'reducer']) what!: string;
  @Text(20) male!: string;
  @Text(20) female!: string;
  @SomeOf(CONCEPTS) concepts!: string[];
  @SomeOf(LEVELS) levels!: string[];
  @SomeOf(GROUPS) groups!: string[];
}

class EntryShape {
  @IdText() id!: string;
  @TypedTexts() typed?: Record<string, string>;
  @IdText() enclosure!: string;
  @Text(20) label!: string;
  @OneOf(KIND_IDS) kind!: string;
  @Nested(() => Hole) hole!: Hole;
  @Nullable() @IdText() certificate!: string | null;
  @Nullable() @Text(20) size!: string | null;
  @Nullable() @Text(10) ringFace!: string | null;
  @Nullable() @IdText() cable!: string | null;
  @Num(LENGTH) washerMm!: number;
  @Nullable() @NestedList(() => AdaptorShape) adaptors!: AdaptorShape[] | null;
  @Nullable() @Num(LENGTH) tailMm!: number | null;
  @Nullable() @Nested(() => FrameShape) frame!: FrameShape | null;
}

class RoundShape {
  @IdText() id!: string;
  @Text(80) name!: string;
  @OneOf(GRADES) grade!: string;
  @IdList() entries!: string[];
  @Time() started!: string;
  @Nullable() @Time() closed!: string | null;
}

class BasisShape {
  @Text(10) check!: string;
  @Text(300) text!: string;
}

class ReferenceShape {
  @IdText() id!: string;
  @Text(200) title!: string;
  @OneOf(SHIPPED.map(({ id }) => id)) over!: string;
  @NestedList(() => BasisShape) basis!: BasisShape[];
}

/** The class that checks each dossier record. */
export const DOSSIER_SHAPES: Record<keyof DossierFields, new () => object> = {
  area: AreaShape,
  enclosure: EnclosureShape,
  cable: CableShapeClass,
  certificate: CertificateShape,
  instrument: InstrumentShape,
  entry: EntryShape,
  round: RoundShape,
  reference: ReferenceShape,
};
