import { CONCEPTS } from '../core/hazard/concept';
import { GROUPS } from '../core/hazard/group';
import { CATEGORIES, LEVELS } from '../core/hazard/level';
import { KIND_IDS } from '../core/record/kind-ids';
import { ARMOUR_TYPES, JOINTS, SCHOOLS } from '../core/record/types';
import {
  Name,
  Flag,
  IdText,
  Means,
  Nested,
  NestedList,
  Nullable,
  Num,
  OneOf,
  Optional,
  RangeOf,
  SomeOf,
  Text,
  TextList,
  Time,
  TypedTexts,
} from './decorators';
import { LENGTH, POSITIVE, TEMPERATURE, SHAPES, ListedShape } from './common';
import { TransitSheetShape } from './transit';

class SealShape {
  @Nullable() @RangeOf(POSITIVE) rangeMm!: number[] | null;
  @Nullable() @Num({ min: 0, max: 100 }) ovalityPct!: number | null;
  @Nullable() @Num(TEMPERATURE) maxC!: number | null;
  @Optional() @Nullable() @Num(TEMPERATURE) minC?: number | null;
  @Nullable() @Flag() coldFlow!: boolean | null;
  @SomeOf(SHAPES) shapes!: string[];
}

class ClampFaceShape {
  @Means("Letter on the ring's face, or both.") @Text(20) face!: string;
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
  @Name(80) name!: string;
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
  @Optional() @Nullable() @Num(TEMPERATURE) minC?: number | null;
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
  @Optional() @Nullable() @Num(LENGTH) longestTailMm?: number | null;
  @Optional() @Nullable() @Flag() warms?: boolean | null;
}

class SizeShape {
  @Name(20) size!: string;
  @Nullable() @Text(20) thread!: string | null;
  @Nullable() @Num(POSITIVE) maleLengthMm!: number | null;
  @Nullable() @Num(LENGTH) runoutMm!: number | null;
  @Nullable() @Num(LENGTH) washerMm!: number | null;
  @Nullable() @Num(POSITIVE) acrossMm!: number | null;
  @Nullable() @Num(POSITIVE) bodyLengthMm!: number | null;
  @Nested(() => SealShape) outer!: SealShape;
  @Nullable() @Nested(() => SealShape) inner!: SealShape | null;
  @NestedList(() => ClampFaceShape) clamp!: ClampFaceShape[];
  @Nullable() @Nested(() => BackNutShape) backNut!: BackNutShape | null;
  @Nullable() @RangeOf(POSITIVE) armourLengthMm!: number[] | null;
  @Nullable() @Num(LENGTH) innerProudMm!: number | null;
  @Nullable() @Nested(() => PotShape) pot!: PotShape | null;
  @Means("From the cut of armour or sheath to the seal's inner face.")
  @Nullable()
  @Num(LENGTH)
  sealDepthMm!: number | null;
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
  @Name(20) size!: string;
}

class SheetShape {
  @Name(60) number!: string;
  @NestedList(() => SizeShape) sizes!: SizeShape[];
  @NestedList(() => JointShape) joints!: JointShape[];
  @Nullable() @Num({ min: 0, max: 1000 }) expectedBondOhm!: number | null;
  @Nullable() @Nested(() => CompoundShape) compound!: CompoundShape | null;
  @Nullable() @OneOf(['shroud', 'boot', 'none']) shroud!: string | null;
  @Means('Size that the sheet proposes by cores and conductor area.')
  @NestedList(() => ChartRowShape)
  chart!: ChartRowShape[];
  @Nullable() @Nested(() => TransitSheetShape) transit!: TransitSheetShape | null;
}

/** A certificate with its assembly sheet. */
export class CertificateShape {
  @IdText() id!: string;
  @TypedTexts() typed?: Record<string, string>;
  @Name(60) number!: string;
  @Text(80) maker!: string;
  @Text(200) title!: string;
  @OneOf(KIND_IDS) kind!: string;
  @Nullable() @Time() issued!: string | null;
  @Nullable() @OneOf(['valid', 'superseded', 'withdrawn']) state!: string | null;
  @SomeOf(CONCEPTS) concepts!: string[];
  @SomeOf(LEVELS) levels!: string[];
  @SomeOf(GROUPS) groups!: string[];
  @Nullable() @RangeOf(TEMPERATURE) serviceC!: number[] | null;
  @Nullable() @Text(40) ingress!: string | null;
  @Nullable() @Flag() sealing!: boolean | null;
  @Nullable() @TextList(500) specialConditions!: string[] | null;
  @NestedList(() => ListedShape) divisions!: ListedShape[];
  @Nullable() @Flag() reducedRetention!: boolean | null;
  @Optional() @Nullable() @OneOf(['safety', 'other']) withdrawn?: string | null;
  @Optional() @SomeOf(CATEGORIES) categories?: string[];
  @Optional() @Nullable() @Flag() oRing?: boolean | null;
  @Optional() @Nullable() @Flag() demandsBarrier?: boolean | null;
  @Nested(() => SheetShape) sheet!: SheetShape;
}
