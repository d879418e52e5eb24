import { ARMOUR_TYPES } from '../core/record/types';
import {
  Name,
  Flag,
  IdText,
  Nested,
  NestedList,
  Nullable,
  Num,
  NumList,
  OneOf,
  Optional,
  Text,
  TextList,
  Time,
  TypedTexts,
} from './decorators';
import { LENGTH, POSITIVE, TEMPERATURE, SHAPES } from './common';

class Core {
  @Num({ min: 1, max: 200, whole: true }) count!: number;
  @Num(POSITIVE) areaMm2!: number;
  @Num(POSITIVE) diameterMm!: number;
}

class Armour {
  @OneOf(ARMOUR_TYPES) type!: string;
  @Nullable() @Num(POSITIVE) sizeMm!: number | null;
  @Nullable() @OneOf(['steel', 'copper', 'aluminium']) material!: string | null;
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
  @Optional() @Nullable() @Num({ above: 0, max: 1e6 }) earthLimitOhm?: number | null;
}

/** A cable of the dossier. */
export class CableShapeClass {
  @IdText() id!: string;
  @TypedTexts() typed?: Record<string, string>;
  @Name(60) tag!: string;
  @Text(200, { blank: true }) from!: string;
  @Text(200, { blank: true }) to!: string;
  @Nullable() @Num({ min: 0, max: 1e5 }) lengthM!: number | null;
  @NestedList(() => Core) cores!: Core[];
  @Nullable() @OneOf(SHAPES) shape!: string | null;
  @Nullable() @Flag() coldFlow!: boolean | null;
  @Nullable() @Num(POSITIVE) innerMm!: number | null;
  @Nullable() @Nested(() => Armour) armour!: Armour | null;
  @Nullable() @Nested(() => Unarmoured) unarmoured!: Unarmoured | null;
  @Nullable() @Num(POSITIVE) sheathMm!: number | null;
  @Nullable() @Num(POSITIVE) outerMm!: number | null;
  @Nullable() @Num(LENGTH) toleranceMm!: number | null;
  @Nullable() @Num(TEMPERATURE) maxC!: number | null;
  @Nullable() @OneOf(['filled', 'not-filled']) filling!: string | null;
  @Nullable() @Nested(() => BreathingShape) breathing!: BreathingShape | null;
  @Nullable() @Nested(() => MineralShape) mineral!: MineralShape | null;
  @Optional() @Nullable() @Num(TEMPERATURE) minC?: number | null;
  @Optional() @Nullable() @Flag() screened?: boolean | null;
}
