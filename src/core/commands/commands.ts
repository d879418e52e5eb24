import type { Users } from '../record/references';
import type { Hazard, Severity } from '../defects/severity';
import type { Spot } from '../kinds/look';
import type {
  Area,
  AsLeft,
  Base,
  Cable,
  Certificate,
  Continuity,
  DefectState,
  Enclosure,
  Entry,
  Grade,
  Id,
  InsulationTest,
  Instrument,
  Look,
  MakeOff,
  PairReading,
  Pour,
  Reading,
  ReferenceRecord,
  Round,
  Said,
  Site,
  Tick,
  TransitPacking,
} from '../record/types';

/** The fields that people fill in: a record without what the reducer keeps. */
type Fields<R extends Base> = Omit<R, 'site' | 'rev' | 'stamps'>;

/** Records of the dossier, which people add, edit and remove. */
export interface DossierFields {
  area: Fields<Area>;
  enclosure: Fields<Enclosure>;
  cable: Fields<Cable>;
  certificate: Fields<Certificate>;
  instrument: Omit<Fields<Instrument>, 'of' | 'lentAt'>;
  entry: Omit<Fields<Entry>, 'cableSince'>;
  round: Fields<Round>;
  reference: Fields<ReferenceRecord>;
}
export type DossierTable = keyof DossierFields;

/** Tables of the dossier in the order in which they refer to each other. */
export const DOSSIER_TABLES = [
  'area',
  'certificate',
  'instrument',
  'cable',
  'enclosure',
  'entry',
  'round',
  'reference',
] as const satisfies readonly DossierTable[];

/** One record of an import. */
export type ImportItem = { [T in DossierTable]: { table: T; record: DossierFields[T] } }[DossierTable];

/** Fields that are set, and what their writer saw there before: so that what two people change at once is merged. */
type Edit<F> = { id: Id; set: Partial<Omit<F, 'id'>>; was?: Partial<Omit<F, 'id'>> };

/** What can be changed of a defect. */
interface DefectSet {
  owner?: string | null;
  state?: DefectState;
  action?: string;
  severity?: Severity;
  severityReason?: string | null;
  due?: string;
  photos?: Id[];
}

/** What each kind of command carries. */
export type Payloads = {
  'site.add': Omit<Fields<Site>, 'lastSeal'>;
  'site.edit': Edit<Omit<Fields<Site>, 'lastSeal'>>;
  /** A version of an instrument of the register. */
  'instrument.lend': DossierFields['instrument'] & { of: Id };
  'dossier.import': { source: string; items: ImportItem[] };
  'reading.take': Omit<Fields<Reading>, 'by' | 'at' | 'fault' | 'struck'>;
  'reading.strike': { id: Id; reason: string };
  'look.answer': Omit<Fields<Look>, 'by' | 'at' | 'note' | 'together'> & { note?: string };
  /** What was seen at one spot and is all as it should be. */
  'look.together': { entry: Id; round: Id; spot: Spot; answers: Pick<Look, 'id' | 'look'>[] };
  'pour.record': Omit<Fields<Pour>, 'by' | 'at'>;
  'pour.edit': Edit<Pick<Pour, 'id' | 'lowestC' | 'lookedAt'> & { packedAt: string }>;
  'makeoff.start': Pick<MakeOff, 'id' | 'entry' | 'round' | 'why' | 'habit'> &
    Partial<Pick<MakeOff, 'armourEnd'>>;
  'makeoff.tick': { id: Id } & Pick<Tick, 'step' | 'initials' | 'skipped'>;
  'makeoff.untick': { id: Id; step: string };
  'insulation.start': Omit<Fields<InsulationTest>, 'by' | 'at' | 'readings'>;
  'insulation.read': { id: Id } & Pick<PairReading, 'pair' | 'megohm' | 'saturated'>;
  'continuity.record': Pick<Continuity, 'id' | 'cable' | 'found'>;
  'packing.set': Pick<TransitPacking, 'id' | 'entry' | 'openings'> & { was?: TransitPacking['openings'] };
  'asleft.seal': Pick<AsLeft, 'id' | 'entry' | 'round' | 'why' | 'outerSeal' | 'innerSeal' | 'note'>;
  'inspection.seal': { id: Id; entry: Id; round: Id; said?: Said };
  'defect.raise': {
    id: Id;
    entry: Id;
    round: Id;
    /** Check that failed, or null for an observation beside the rule book. */
    check: string | null;
    grade: Grade;
    photos: Id[];
    action: string;
    observation: { statement: string; consequence: Severity; hazard: Hazard } | null;
    said?: Said;
  };
  'defect.edit': { id: Id; set: DefectSet; was?: DefectSet };
  undo: { command: Id };
} & { [T in DossierTable as `${T}.add`]: DossierFields[T] } & {
  [T in DossierTable as `${T}.edit`]: Edit<DossierFields[T]>;
} & { [T in DossierTable as `${T}.remove`]: { id: Id } };

export type CommandKind = keyof Payloads;

/** One change, made on the device. */
export interface Command<K extends CommandKind = CommandKind> {
  /** ULID made on the device. */
  id: Id;
  kind: K;
  site: Id;
  /** Time on the device, ISO 8601. */
  at: string;
  /** What is taken, refused and undone together has one; whoever gives it makes it. */
  batch?: Id;
  /** Id of who gave it, as the device knew them; the server takes it in nobody else's name. */
  person?: Id;
  payload: Payloads[K];
}

/** Any command, with its kind and payload belonging together. */
export type AnyCommand = { [K in CommandKind]: Command<K> }[CommandKind];

/** Why a command can be refused. */
export type RefusalKey =
  | 'cable.ends-sealed'
  | 'cable.not-mineral'
  | 'cable.twice'
  | 'change.undone'
  | 'check.not-failed'
  | 'command.exists'
  | 'defect.open'
  | 'defect.owner'
  | 'defect.proof'
  | 'defect.step'
  | 'entry.homeless'
  | 'entry.no-pot'
  | 'entry.no-transit'
  | 'entry.other-cable'
  | 'entry.sealed'
  | 'inspection.sealed'
  | 'instrument.no-tester'
  | 'instrument.past'
  | 'instrument.tester-past'
  | 'instrument.twin'
  | 'look.answers'
  | 'look.by-itself'
  | 'look.none'
  | 'name.area'
  | 'name.enclosure'
  | 'name.entry'
  | 'opening.once'
  | 'packing.id'
  | 'pair.none'
  | 'person.none'
  | 'program.opening'
  | 'person.other'
  | 'photo.bytes'
  | 'photo.room'
  | 'place.above-zero'
  | 'place.instrument'
  | 'place.none'
  | 'pour.looked-before'
  | 'pour.packed-before'
  | 'reading.struck'
  | 'record.exists'
  | 'record.none'
  | 'record.other-site'
  | 'record.used'
  | 'register.none'
  | 'round.closed'
  | 'round.not-in'
  | 'seal.stays'
  | 'severity.reason'
  | 'site.choose'
  | 'site.none'
  | 'site.own-id'
  | 'site.references'
  | 'site.twin'
  | 'sleeve.none'
  | 'sleeve.twice'
  | 'step.none'
  | 'test.sealed'
  | 'undo.gone'
  | 'undo.inspection-sealed'
  | 'undo.later'
  | 'undo.sealed'
  | 'undo.used'
  | 'work.running'
  | 'work.sealed';

/** What a refusal speaks of: ids, names and numbers; the sentence is made of them where somebody reads it. */
export type RefusalFacts = Readonly<Record<string, string | number | null | readonly Users[]>>;

/** Why a command is not applied. */
export class Refusal extends Error {
  constructor(
    readonly code: 'unknown-id' | 'exists' | 'in-use' | 'sealed' | 'depends' | 'invalid',
    /** Dotted path of the field in the payload. */
    readonly field: string,
    /** Names the sentence, which says what to do about it, in `core/words`. */
    readonly key: RefusalKey,
    readonly facts: RefusalFacts = {},
    /** What stands behind it; null where nothing does. */
    readonly because: Refusal | null = null,
  ) {
    super(key);
    this.name = 'Refusal';
  }
}

/**
 * Whether an error is a refusal. By its name, not its class: pages and server are bundled apart, so that one
 * may throw its own copy of the class.
 */
export const isRefusal = (error: unknown): error is Refusal =>
  error instanceof Error && error.name === 'Refusal';
