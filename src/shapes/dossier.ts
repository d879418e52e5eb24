import { CONCEPTS } from '../core/hazard/concept';
import { DIVISION_CLASSES, DIVISION_GROUPS } from '../core/hazard/division';
import { AREA_GROUPS, GROUPS } from '../core/hazard/group';
import { LEVELS, ZONES } from '../core/hazard/level';
import { TEMPERATURE_CLASSES } from '../core/hazard/temperature';
import { KIND_IDS } from '../core/record/kind-ids';
import { GRADES, INSTRUMENT_KINDS, RACEWAY_MEANS, UNITS, WEATHERS, MOVABLES } from '../core/record/types';
import { SHIPPED } from '../core/rulebook/references';
import {
  Name,
  Flag,
  IdList,
  IdText,
  Nested,
  NestedList,
  Nullable,
  Num,
  OneOf,
  Optional,
  OrWord,
  Means,
  RangeOf,
  SomeOf,
  Text,
  Time,
  TypedTexts,
} from './decorators';
import { LENGTH, POSITIVE, TEMPERATURE, PLACE_M, ListedShape } from './common';
import { FrameShape } from './transit';
import type { DossierFields } from '../core/commands/commands';
import { CableShapeClass } from './cable';
import { CertificateShape } from './certificate';

const CLASSES = Object.keys(TEMPERATURE_CLASSES);

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

class BesideShape {
  @OneOf(ZONES) zone!: string;
  @Nullable() @OneOf(AREA_GROUPS) group!: string | null;
}

class AreaShape {
  @IdText() id!: string;
  @Name() name!: string;
  @Nullable() @OneOf([...ZONES, 'unclassified']) zone!: string | null;
  @Nullable() @OneOf(AREA_GROUPS) group!: string | null;
  @Nullable() @OneOf(CLASSES) temperatureClass!: string | null;
  @Text(500, { blank: true }) substances!: string;
  @Nullable() @RangeOf(TEMPERATURE) ambientC!: number[] | null;
  @Nullable() @Text(40) ingressNeed!: string | null;
  @Nested(() => Outline) outlineM!: Outline;
  @Num(PLACE_M) levelM!: number;
  @Nullable()
  @OrWord('unclassified')
  @Nested(() => DivisionShape)
  division!: DivisionShape | 'unclassified' | null;
  @Optional() @Nullable() @Nested(() => BesideShape) beside?: BesideShape | null;
  @Optional() @Nullable() @Num(TEMPERATURE) cloudIgnitionC?: number | null;
  @Optional() @Nullable() @Num(TEMPERATURE) layerIgnitionC?: number | null;
  @Optional() @Nullable() @Num(LENGTH) dustLayerMm?: number | null;
  @Nullable() @OneOf(WEATHERS) weather!: string | null;
}

class Derating {
  @Text(40) ingress!: string;
  @Text(500) reason!: string;
}

class MeasuredTemperature {
  @Num(TEMPERATURE) atC!: number;
  @Num(TEMPERATURE) ambientC!: number;
  @Optional() @Nullable() @Num(TEMPERATURE) branchC?: number | null;
}

class Position {
  @Num(PLACE_M) x!: number;
  @Num(PLACE_M) y!: number;
  @Num(PLACE_M) z!: number;
}

class UnusedShape {
  @Name(20) label!: string;
  @OneOf(['plug', 'transport-plug', 'none']) closure!: string;
  @Flag() needsTool!: boolean;
  @Flag() inAdaptor!: boolean;
  @SomeOf(CONCEPTS) concepts!: string[];
  @Optional() @Nullable() @Text(60) certificate?: string | null;
  @Optional() @SomeOf(LEVELS) levels?: string[];
  @Optional() @SomeOf(GROUPS) groups?: string[];
  @Optional() @NestedList(() => ListedShape) divisions?: ListedShape[];
  @Optional() @Nullable() @Text(20) thread?: string | null;
  @Optional() @Nullable() @Text(20) hole?: string | null;
  @Optional() @Nullable() @Text(40) ingress?: string | null;
  @Optional() @Nullable() @Num(LENGTH) engagedMm?: number | null;
}

class EnclosureShape {
  @IdText() id!: string;
  @TypedTexts() typed?: Record<string, string>;
  @IdText() area!: string;
  @Name(60) tag!: string;
  @Text(200, { blank: true }) what!: string;
  @SomeOf(CONCEPTS) concepts!: string[];
  @Nullable() @OneOf(GROUPS) group!: string | null;
  @Nullable() @OneOf(CLASSES) temperatureClass!: string | null;
  @Nullable() @Text(40) ingress!: string | null;
  @Nullable() @Nested(() => Derating) derating!: Derating | null;
  @Nullable() @Num({ above: 0, max: 1e9 }) volumeCm3!: number | null;
  @Nullable() @Num(LENGTH) wallMm!: number | null;
  @Nullable() @Num(TEMPERATURE) entryTemperatureC!: number | null;
  @Nullable() @Nested(() => MeasuredTemperature) measuredTemperature!: MeasuredTemperature | null;
  @Nested(() => Position) positionM!: Position;
  @Nullable() @OneOf(['metal', 'insulating']) material!: string | null;
  @Nullable() @Flag() ignitionSource!: boolean | null;
  @Nullable() @Flag() indirectEntry!: boolean | null;
  @Nullable() @Flag() demandsBarrier!: boolean | null;
  @Nullable() @NestedList(() => UnusedShape) unused!: UnusedShape[] | null;
  @Optional() @Nullable() @Num(TEMPERATURE) branchTemperatureC?: number | null;
  @Optional() @Nullable() @Flag() onlyIntrinsic?: boolean | null;
  @Optional() @Nullable() @Text(20) type?: string | null;
  @Optional() @Nullable() @Num({ min: 0.5, max: 1 }) surroundings?: number | null;
  @Optional() @Nullable() @OneOf(MOVABLES) movable?: string | null;
}

class CalibrationShape {
  @Nullable() @Time() from!: string | null;
  @Time() to!: string;
  @Nullable() @OneOf(['within', 'out']) found!: string | null;
  @Text(120, { blank: true }) certificate!: string;
}

class InstrumentShape {
  @IdText() id!: string;
  @Name(60) tag!: string;
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
  @Optional() @NestedList(() => CalibrationShape) calibrations?: CalibrationShape[];
  @Optional() @Nullable() @Num({ min: 1, max: 1e5, whole: true }) pooledPlaces?: number | null;
}

/** A version of an instrument of the register. */
export class LendShape extends InstrumentShape {
  @IdText() of!: string;
}

class Hole {
  @Nullable() @OneOf(['threaded', 'clearance']) form!: string | null;
  @Nullable() @Text(20) thread!: string | null;
  @Nullable() @Num(POSITIVE) diameterMm!: number | null;
  @Nullable() @Num(LENGTH) chamfersMm!: number | null;
}

class AdaptorShape {
  @OneOf(['adaptor', 'reducer']) what!: string;
  @Text(20) male!: string;
  @Text(20) female!: string;
  @SomeOf(CONCEPTS) concepts!: string[];
  @SomeOf(LEVELS) levels!: string[];
  @SomeOf(GROUPS) groups!: string[];
  @Optional() @NestedList(() => ListedShape) divisions?: ListedShape[];
  @Optional() @Nullable() @Num(LENGTH) maleLengthMm?: number | null;
  @Optional() @Nullable() @Num(LENGTH) runoutMm?: number | null;
  @Optional() @Nullable() @Num(LENGTH) femaleDepthMm?: number | null;
}

class CompartmentShape {
  @OneOf(CONCEPTS) concept!: string;
  @Nullable() @Num({ above: 0, max: 1e9 }) volumeCm3!: number | null;
  @Text(80) by!: string;
  @Time() on!: string;
}

class RacewayShape {
  @Nullable() @OneOf(RACEWAY_MEANS) means!: string | null;
}

class FoundShape {
  @Text(80) by!: string;
  @Time() on!: string;
}

class EntryShape {
  @IdText() id!: string;
  @TypedTexts() typed?: Record<string, string>;
  @IdText() enclosure!: string;
  @Name(20) label!: string;
  @OneOf(KIND_IDS) kind!: string;
  @Nested(() => Hole) hole!: Hole;
  @Nullable() @IdText() certificate!: string | null;
  @Nullable() @Name(20) size!: string | null;
  @Nullable() @Text(20) ringFace!: string | null;
  @Nullable() @IdText() cable!: string | null;
  @Nullable() @Num(LENGTH) washerMm!: number | null;
  @Nullable() @NestedList(() => AdaptorShape) adaptors!: AdaptorShape[] | null;
  @Means('Conductors beyond the inner sheath, slack included.')
  @Nullable()
  @Num(LENGTH)
  tailMm!: number | null;
  @Nullable() @Nested(() => FrameShape) frame!: FrameShape | null;
  @Optional() @Nullable() @Nested(() => CompartmentShape) compartment?: CompartmentShape | null;
  @Optional() @Nullable() @Flag() sealingDevice?: boolean | null;
  @Optional() @Nullable() @Flag() factoryFitted?: boolean | null;
  @Optional() @Nullable() @Flag() factoryThreaded?: boolean | null;
  @Optional() @Nullable() @Nested(() => RacewayShape) raceway?: RacewayShape | null;
  @Optional() @Nullable() @Nested(() => FoundShape) foundMadeOff?: FoundShape | null;
}

class RoundShape {
  @IdText() id!: string;
  @Name(80) name!: string;
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
