import {
  Flag,
  Name,
  IdText,
  Nested,
  NestedList,
  Nullable,
  Num,
  OneOf,
  Optional,
  RangeOf,
  SomeOf,
} from './decorators';

const LENGTH = { min: 0, max: 1e6 };
const POSITIVE = { above: 0, max: 1e6 };

class TransitBlockShape {
  @Num(POSITIVE) sizeMm!: number;
  @Num(POSITIVE) boreMm!: number;
  @Num(LENGTH) layerMm!: number;
  @Num({ min: 0, max: 100, whole: true }) layersPerHalf!: number;
  @Num({ min: 0, max: 100, whole: true }) keepLayers!: number;
  @RangeOf(LENGTH) rangeMm!: number[];
}

class SleeveShape {
  @Num(POSITIVE) outerMm!: number;
  @Num(POSITIVE) innerMm!: number;
  @Num(LENGTH) lengthMm!: number;
}

class SealantShape {
  @Name(80) name!: string;
  @Num(POSITIVE) depthMm!: number;
  @Num({ min: 0, max: 1000 }) wastePct!: number;
  @Num({ above: 0, max: 1e5 }) cartridgeMl!: number;
  @Num({ min: 0, max: 100 }) maxFillPct!: number;
  @Num(LENGTH) cableGapMm!: number;
  @Num(LENGTH) wallGapMm!: number;
  @Nested(() => SleeveShape) sleeve!: SleeveShape;
  @Num(LENGTH) coreClearanceMm!: number;
}

/** What the sheet of a transit says. */
class BondedBlockShape {
  @Num(POSITIVE) blockDepthMm!: number;
  @RangeOf(LENGTH) braidMm!: number[];
  @Num(LENGTH) leastContactMm!: number;
  @Num(LENGTH) overhangMm!: number;
  @Num(LENGTH) toleranceMm!: number;
  @Nullable() @Flag() window!: boolean | null;
}

export class TransitSheetShape {
  @NestedList(() => TransitBlockShape) blocks!: TransitBlockShape[];
  @RangeOf(LENGTH) gapMm!: number[];
  @Num({ min: 0, max: 100, whole: true }) maxLayerDifference!: number;
  @Num(LENGTH) stayPlateMm!: number;
  @RangeOf(LENGTH) compressionMm!: number[];
  @RangeOf(LENGTH) wedgeMm!: number[];
  @Num({ min: 0, max: 1e4 }) relaxH!: number;
  @Optional() @SomeOf(['round', 'flat', 'sector'], { atLeast: 1 }) shapes?: string[];
  @Nullable() @Nested(() => SealantShape) sealant!: SealantShape | null;
  @Optional() @Nullable() @Nested(() => BondedBlockShape) bonded?: BondedBlockShape | null;
}

class FrameOpeningShape {
  @Name(40) label!: string;
  @OneOf(['rect', 'round']) shape!: string;
  @Num(POSITIVE) widthMm!: number;
  @Num(POSITIVE) heightMm!: number;
}

/** Where a transit sits, and its openings. */
export class FrameShape {
  @OneOf(['wall', 'deck']) where!: string;
  @Num(POSITIVE) wallDepthMm!: number;
  @OneOf([1, 2]) sides!: number;
  @Optional() @Nullable() @IdText() otherArea?: string | null;
  @NestedList(() => FrameOpeningShape, { atLeast: 1 }) openings!: FrameOpeningShape[];
}
