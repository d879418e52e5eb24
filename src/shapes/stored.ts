import { HAZARDS } from '../core/defects/severity';
import { SPOTS } from '../core/kinds/look';
import { READING_FAULTS } from '../core/instrument/instrument';
import { ENTRY_STATES } from '../core/record/finding';
import { DEFECT_STATES, GRADES, type TableName } from '../core/record/types';
import {
  Flag,
  Hash,
  IdList,
  IdText,
  Means,
  Name,
  Nested,
  NestedList,
  Nullable,
  Num,
  OneOf,
  Optional,
  Text,
  TextList,
  Time,
  Whatever,
} from './decorators';
import { DOSSIER_SHAPES } from './dossier';
import {
  AsLeftShape,
  ContinuityShape,
  InsulationStartShape,
  LookShape,
  MakeOffShape,
  PackingShape,
  PourShape,
  SaidShape,
  SiteShape,
  TakeShape,
} from './work';

/**
 * Records as they lie in a site: what the command gave, and what the program wrote beside it. They describe the open
 * format; what comes in as a command is checked by the shapes of commands.
 */

type Shape<T extends object = object> = new () => T;

/** A shape of a command with the site that its record belongs to. */
function inSite<T extends object>(Base: Shape<T>): Shape<T> {
  class InSite extends (Base as Shape) {
    @IdText() site!: string;
  }
  return InSite as Shape<T>;
}

/** The same with who gave it, and when. */
function signed<T extends object>(Base: Shape<T>): Shape<T> {
  class Signed extends (inSite(Base) as Shape) {
    @Text(80) by!: string;
    @Time() at!: string;
  }
  return Signed as Shape<T>;
}

/** What a seal rests on: a hash by what it is, several, or null for what there was not. */
const FROZEN = {
  type: 'object',
  description: 'What the seal rests on: hashes of frozen bodies, by what they are.',
  additionalProperties: {
    anyOf: [
      { type: 'string', pattern: '^[0-9a-f]{64}$' },
      { type: 'array', items: { type: 'string', pattern: '^[0-9a-f]{64}$' } },
      { type: 'null' },
    ],
  },
};

class StoredSite extends inSite(SiteShape) {
  @Means('Hash of the last seal of the site; null before the first.')
  @Nullable()
  @Text(64)
  lastSeal!: string | null;
}

class StoredInstrument extends inSite(DOSSIER_SHAPES.instrument) {
  @Means('Instrument of the register that this is a version of.')
  @Optional()
  @Nullable()
  @IdText()
  of?: string | null;
  @Optional() @Nullable() @Time() lentAt?: string | null;
}

class StoredEntry extends inSite(DOSSIER_SHAPES.entry) {
  @Means('When the cable that is in it came in; null: not recorded.')
  @Optional()
  @Nullable()
  @Time()
  cableSince?: string | null;
}

class Struck {
  @Text(80) by!: string;
  @Time() at!: string;
  @Text(300) reason!: string;
}

class StoredReading extends signed(TakeShape) {
  @Nullable() @OneOf(READING_FAULTS) fault!: string | null;
  @Nullable() @Nested(() => Struck) struck!: Struck | null;
}

class StoredLook extends signed(LookShape) {
  @Means('Answered in one with the others of this spot, all of them seen.')
  @Optional()
  @OneOf(SPOTS)
  together?: string;
}
class StoredPour extends signed(PourShape) {}

class StoredTick {
  @Text(40) step!: string;
  @Text(8) initials!: string;
  @Text(80) by!: string;
  @Time() at!: string;
  @Means("Why the step's hold point was passed over; null when it was kept.")
  @Nullable()
  @Text(300)
  skipped!: string | null;
}

class StoredMakeOff extends signed(MakeOffShape) {
  @NestedList(() => StoredTick) ticks!: StoredTick[];
  @Nullable() @Time() finished!: string | null;
}

class StoredPair {
  @Text(80) pair!: string;
  @Num({ above: 0, max: 1e9 }) megohm!: number;
  @Flag() saturated!: boolean;
  @Text(80) by!: string;
  @Time() at!: string;
}

class StoredInsulation extends signed(InsulationStartShape) {
  @NestedList(() => StoredPair) readings!: StoredPair[];
}

/** What every seal carries. */
function sealed<T extends object>(Base: Shape<T>): Shape<T> {
  class Sealed extends (signed(Base) as Shape) {
    @Nullable() @Text(64) previous!: string | null;
    @Text(64) hash!: string;
    @Means('Rule by which it was sealed; missing for the first.')
    @Optional()
    @Num({ min: 2, whole: true })
    rule?: number;
    @Optional() @Whatever(FROZEN) frozen?: object;
  }
  return Sealed as Shape<T>;
}

class StoredAsLeft extends sealed(AsLeftShape) {
  @NestedList(() => StoredReading) readings!: StoredReading[];
  @NestedList(() => StoredLook) looks!: StoredLook[];
  @NestedList(() => StoredInstrument) instruments!: StoredInstrument[];
  @NestedList(() => StoredPour) pours!: StoredPour[];
  @Means('Of entry, cable and size as they were: with others the record speaks for nothing.')
  @Text(64)
  fingerprint!: string;
  @Means('Steps whose hold point nobody answered.') @TextList(60) skipped!: string[];
}

class InspectionShape {
  @IdText() id!: string;
  @IdText() entry!: string;
  @IdText() round!: string;
  @OneOf(GRADES) grade!: string;
  @OneOf(ENTRY_STATES) state!: string;
  @Whatever({ type: 'array', items: { type: 'object' } }) findings!: object[];
  @Optional() @Nested(() => SaidShape) said?: SaidShape;
  @Text(60) references!: string;
}

class DefectShape {
  @IdText() id!: string;
  @IdText() entry!: string;
  @IdText() round!: string;
  @Nullable() @Text(10) check!: string | null;
  @Nullable() @Whatever({ type: 'object' }) finding!: object | null;
  @Text(4000, { blank: true }) statement!: string;
  @Text(10) language!: string;
  @Text(500) basis!: string;
  @OneOf(HAZARDS) hazard!: string;
  @Means('Level by the rules.') @Num({ min: 1, max: 4, whole: true }) computed!: number;
  @Means('Level that stands.') @Num({ min: 1, max: 4, whole: true }) severity!: number;
  @Nullable() @Text(500, { blank: true }) severityReason!: string | null;
  @Time() foundAt!: string;
  @Text(80) foundBy!: string;
  @IdList() photos!: string[];
  @Text(1000, { blank: true }) action!: string;
  @Nullable() @Name(80) owner!: string | null;
  @Time() due!: string;
  @OneOf(DEFECT_STATES) state!: string;
  @Num({ min: 0, whole: true }) repeats!: number;
}

class StoredBody {
  @Hash() id!: string;
  @IdText() site!: string;
  @Means(
    'A value that seals rest on, once, by its content: the id is the SHA-256 of its canonical JSON (RFC 8785).',
  )
  @Whatever()
  body!: unknown;
}

/** The shape of every table's records; changes lie in the database alone. */
export const STORED_SHAPES: Record<Exclude<TableName, 'change'>, Shape> = {
  site: StoredSite,
  area: inSite(DOSSIER_SHAPES.area),
  enclosure: inSite(DOSSIER_SHAPES.enclosure),
  cable: inSite(DOSSIER_SHAPES.cable),
  certificate: inSite(DOSSIER_SHAPES.certificate),
  instrument: StoredInstrument,
  entry: StoredEntry,
  round: inSite(DOSSIER_SHAPES.round),
  reference: inSite(DOSSIER_SHAPES.reference),
  reading: StoredReading,
  look: StoredLook,
  pour: StoredPour,
  makeoff: StoredMakeOff,
  insulation: StoredInsulation,
  continuity: signed(ContinuityShape),
  packing: signed(PackingShape),
  asleft: StoredAsLeft,
  frozen: StoredBody,
  inspection: sealed(InspectionShape),
  defect: inSite(DefectShape),
};
