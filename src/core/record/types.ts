import type { Conductor } from '../earth/path';
import type { Hazard, Severity } from '../defects/severity';
import type { BarrierEdition } from '../gland/barrier';
import type { AreaDivision, ListedDivision } from '../hazard/division';
import type { AreaGroup, Group } from '../hazard/group';
import type { Level, Zone } from '../hazard/level';
import type { TemperatureClass } from '../hazard/temperature';
import type { AcceptanceRule } from '../measuring/fit';
import type { DiameterMethod } from '../measuring/diameter';
import type { InsulationStage } from '../mineral/insulation';
import type { Finding, Outcome, EntryState } from '../rulebook/finding';
import type { KindId } from './kind-ids';

/** A ULID made on the device, or a readable id in imported dossiers. */
export type Id = string;

/** A range [lower, upper]; the unit is in the field's name. */
export type Range = [number, number];

/** How much of an entry is looked at: eyes only, with tools, or opened (IEC 60079-17). */
export const GRADES = ['visual', 'close', 'detailed'] as const;
export type Grade = (typeof GRADES)[number];

/** What every record carries. */
export interface Base {
  id: Id;
  site: Id;
  /** Command that last changed the record; kept by the reducer. */
  rev?: Id;
  /** Per edited field: time and command of the value that stands. */
  stamps?: Record<string, [at: string, command: Id]>;
}

/** A record of the dossier that keeps what was typed beside what is stored. */
interface KeepsTyped extends Base {
  /** Lengths as they were typed, by the field's dotted path, where that is more than the number. */
  typed?: Record<string, string>;
}

/** A plant. Its settings are limits that the site decides. */
export interface Site extends Base {
  name: string;
  /** How uncertainty is dealt with at a limit. */
  acceptance: AcceptanceRule;
  /** Reference set that findings are printed with: a shipped one, or one of the site's own. */
  references: Id;
  /** How areas are classified: zones and levels, or classes and divisions. */
  scheme: AreaScheme;
  /** Edition of the rule by which a barrier gland is asked for. */
  barrierSchool: BarrierEdition;
  /** What a wrapped tape may hide, %. */
  ovalityAllowancePct: number;
  /** Highest resistance of a bonding joint, Ω. */
  bondLimitOhm: number;
  /** How far a bond may lie above its prediction before it is a finding: factor ≥ 1. */
  bondPredictionFactor: number;
  /** Days allowed per severity 4, 3, 2, 1. */
  severityDays: { 4: number; 3: number; 2: number; 1: number };
  /** IANA time zone in which days are counted. */
  timeZone: string;
  /** Hash of the newest sealed inspection of the site; null before the first. */
  lastSeal: string | null;
}

export type AreaScheme = 'zones' | 'divisions';

/** What a place is exposed to: decides on shrouds and boots. */
export const WEATHERS = ['indoors', 'weather', 'deluge'] as const;
export type Weather = (typeof WEATHERS)[number];

export interface Area extends Base {
  name: string;
  /** Class, division and group on a site that classifies so; null: not recorded. */
  division: AreaDivision | null;
  /** Null: not recorded. */
  weather: Weather | null;
  /** Null: not recorded yet; "unclassified" is a positive fact. */
  zone: Zone | 'unclassified' | null;
  /** Null: not recorded, or none is needed in an unclassified area. */
  group: AreaGroup | null;
  temperatureClass: TemperatureClass | null;
  /** What the area is classified for, in words. */
  substances: string;
  /** Ambient range, °C. */
  ambientC: Range;
  /** Ingress that the surroundings ask for, e.g. IP54. */
  ingressNeed: string;
  /** On the site plan: position and size, m. */
  outlineM: { x: number; y: number; width: number; height: number };
  /** Level of the floor, m. */
  levelM: number;
}

export interface Enclosure extends KeepsTyped {
  area: Id;
  tag: string;
  what: string;
  /** Concepts as marked, e.g. ["db"]. */
  concepts: string[];
  group: Group;
  temperatureClass: TemperatureClass | null;
  ingress: string;
  /** Ingress accepted by a recorded derating instead of the marked one; null without. */
  derating: { ingress: string; reason: string } | null;
  volumeCm3: number;
  /** Wall thickness at the entries, mm. */
  wallMm: number;
  /** Entry temperature marked on the enclosure, °C; null when nothing is marked. */
  entryTemperatureC: number | null;
  /** Entry temperature measured at full load with the ambient then; null when not measured. */
  measuredTemperature: { atC: number; ambientC: number } | null;
  positionM: { x: number; y: number; z: number };
  /** What the wall is made of: an insulating one earths nothing. Null: not recorded. */
  material: 'metal' | 'insulating' | null;
  /** Whether parts inside arc, spark or run hot in normal operation; null: not recorded. */
  ignitionSource: boolean | null;
  /** Whether cables end in a bushing or a terminal chamber that is not flameproof; null: not recorded. */
  indirectEntry: boolean | null;
  /** Whether its certificate asks for barrier glands; null: not recorded. */
  demandsBarrier: boolean | null;
  /** Entries that no cable uses, and what closes them; null: not recorded. */
  unused: UnusedEntry[] | null;
}

/** An entry that no cable uses. */
export interface UnusedEntry {
  label: string;
  closure: 'plug' | 'transport-plug' | 'none';
  /** Whether it comes out only with a tool. */
  needsTool: boolean;
  /** Whether it sits in an adaptor instead of the wall. */
  inAdaptor: boolean;
  /** Concepts of its certificate. */
  concepts: string[];
}

export const ARMOUR_TYPES = ['wire', 'braid', 'tape', 'corrugated', 'interlocked'] as const;
export type ArmourType = (typeof ARMOUR_TYPES)[number];
export type CableShape = 'round' | 'flat' | 'sector';

export interface Cable extends KeepsTyped {
  tag: string;
  from: string;
  to: string;
  lengthM: number;
  cores: { count: number; areaMm2: number; diameterMm: number }[];
  shape: CableShape;
  /** Sheath flows cold under load. */
  coldFlow: boolean;
  /** Diameter over the bedding or inner sheath, mm. */
  innerMm: number;
  /** Null: unarmoured. */
  armour: { type: ArmourType; sizeMm: number; material: Conductor; areaMm2: number | null } | null;
  /** Positive proof that there is no armour: who looked and when. */
  unarmoured: { by: string; on: string } | null;
  /** Outer sheath thickness, mm. */
  sheathMm: number;
  /** Overall diameter, mm. */
  outerMm: number;
  /** Tolerance on the sum of armour and sheath, mm. */
  toleranceMm: number;
  /** Highest temperature of the cable, °C. */
  maxC: number;
  /** Filled: circular, compact, extruded bedding, non-hygroscopic fillers, effectively filled. Null: not known. */
  filling: 'filled' | 'not-filled' | null;
  /** Breathing test of a sample; null without one. */
  breathing: { passed: boolean; halfTimeS: number | null; by: string; on: string } | null;
  /** What a mineral-insulated cable has beside; null for any other. */
  mineral: Mineral | null;
}

/** Build-up and insulation limits of a mineral-insulated cable, by its sheet or the site. */
export interface Mineral {
  /** Names of the conductors as their sleeves say. */
  conductors: string[];
  screened: boolean;
  /** Outer plastic jacket over the sheath. */
  jacketed: boolean;
  /** Test voltage, V d.c. */
  testVoltage: number;
  /** Least insulation resistance, new and in service, MΩ. */
  newMegohm: number;
  serviceMegohm: number;
  /** How old the oldest reading may be when the pot is sealed, min. */
  windowMin: number;
  /** A fall between two tests by more than this is a finding. */
  fallFactor: number;
}

/** An insulation test of a mineral-insulated cable, filled pair by pair. */
export interface InsulationTest extends Base {
  cable: Id;
  stage: InsulationStage;
  /** Taken while the cable is being dried out. */
  drying: boolean;
  instrument: Id;
  /** Of the cable's end, °C. */
  temperatureC: number;
  farEndSealed: boolean;
  readings: PairReading[];
  by: string;
  at: string;
}

/** One reading of one pair; the newest of a pair counts. */
export interface PairReading {
  pair: string;
  megohm: number;
  /** The tester shows more than it can measure. */
  saturated: boolean;
  by: string;
  at: string;
}

/** A seal of one gland size. */
export interface Seal {
  rangeMm: Range;
  /** Highest ovality it is certified for, %. */
  ovalityPct: number;
  maxC: number;
  /** Marked for sheaths that flow cold. */
  coldFlow: boolean;
  /** Shapes it is certified for. */
  shapes: CableShape[];
}

/** One way of clamping the armour: a face of the ring and what it may hold. */
export interface ClampFace {
  /** Letter on the ring's face, or "both" for a ring that fits either way. */
  face: string;
  armour: ArmourType;
  rangeMm: Range;
}

/** One size of a gland series. */
export interface GlandSize {
  size: string;
  thread: string;
  maleLengthMm: number;
  runoutMm: number;
  washerMm: number;
  /** Width over the largest part, mm. */
  acrossMm: number;
  /** Length of the body outside the wall, back nut included, mm. */
  bodyLengthMm: number;
  outer: Seal;
  inner: Seal | null;
  clamp: ClampFace[];
  /** The rubber of the outer seal, from which the back-nut gap follows; null where the sheet is silent. */
  backNut: BackNutSheet | null;
  /** Armour that is left standing for the clamp, mm; null without armour. */
  armourLengthMm: Range | null;
  /** How far the inner sheath stands proud of the seal at least, mm; null where the sheet is silent. */
  innerProudMm: number | null;
  /** The pot of compound or resin; null without one. */
  pot: Pot | null;
  /** From the end of the armour, or of the outer sheath without armour, to the seal's inner face or the pot's mouth, mm; null where the sheet is silent. */
  sealDepthMm: number | null;
}

/** The outer seal's rubber and its nut; all lengths mm. */
export interface BackNutSheet {
  freeBoreMm: number;
  freeOutsideMm: number;
  freeLengthMm: number;
  housingBoreMm: number;
  /** Gap when the nut is tightened by hand. */
  handOnGapMm: number;
  /** Turns after the seal touches the sheath, and the pitch of the nut's thread. */
  turns: number;
  pitchMm: number;
  toleranceMm: number;
  /** How far the sheath may be indented, % of its diameter. */
  indentPct: number;
}

/** A pot that is filled with compound or resin. */
export interface Pot {
  boreMm: number;
  /** Depth that is filled. */
  depthMm: number;
  mostCores: number;
  /** Diameter over the bundle of cores. */
  overCoresMm: Range;
}

/** The compound or resin of a sheet. */
export interface CompoundData {
  name: string;
  packMl: number;
  wastePct: number;
  ratio: string;
  referenceC: number;
  q10: number;
  workingMinutes: number;
  /** Until it may be opened for a look, and until the circuit may be energised, h at the reference temperature. */
  cureHours: number;
  energiseHours: number;
  minimumC: number;
  maxC: number;
  /** The sheet itself gives other temperatures. */
  extrapolates: boolean;
  /** How far compound may reach beyond the crotch, mm. */
  reachMm: number;
}

export const JOINTS = ['entry', 'clamp', 'inner-seal', 'outer-seal', 'pot', 'resin-port'] as const;
export type JointId = (typeof JOINTS)[number];
export const SCHOOLS = ['turns', 'faces', 'gap', 'torque', 'grip'] as const;
export type School = (typeof SCHOOLS)[number];

/** How a joint is closed; each joint names its school. */
export interface Joint {
  joint: JointId;
  school: School;
  /** Turns after hand-tight, gap in mm or torque in N·m, by school; null for faces and grip. */
  range: Range | null;
}

/** What the maker says about fitting a certified gland. */
export interface AssemblySheet {
  number: string;
  sizes: GlandSize[];
  joints: Joint[];
  /** Resistance across the gland from armour to wall that a sound joint has at most, Ω. */
  expectedBondOhm: number;
  /** Compound or resin that belongs to the gland; null without. */
  compound: CompoundData | null;
  /** What covers the gland outdoors by the sheet; null where the sheet is silent. */
  shroud: 'shroud' | 'boot' | 'none' | null;
  /** Sizes that the sheet proposes by conductor area and cores; a measurement decides. */
  chart: ChartRow[];
}

/** One line of a sheet's chart. */
export interface ChartRow {
  cores: number;
  areaMm2: number;
  size: string;
}

export interface Certificate extends KeepsTyped {
  number: string;
  maker: string;
  title: string;
  kind: KindId;
  issued: string;
  state: 'valid' | 'superseded' | 'withdrawn';
  concepts: string[];
  levels: Level[];
  groups: Group[];
  serviceC: Range;
  ingress: string;
  /** Whether it counts as a sealing gland for nR. */
  sealing: boolean;
  specialConditions: string[];
  /** Listed classes, divisions and groups, where there are any. */
  divisions: ListedDivision[];
  /** The gland does not hold the cable by itself: it is clamped beside it. */
  reducedRetention: boolean;
  sheet: AssemblySheet;
}

export const INSTRUMENT_KINDS = [
  'caliper',
  'tape',
  'milliohm-meter',
  'pitch-gauge',
  'rule',
  'turn-mark',
  'torque-driver',
  'feeler',
  'thermometer',
  'insulation-tester',
] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];
export const UNITS = ['mm', 'ohm', 'turns', 'Nm', 'degC', 'megohm'] as const;
export type Unit = (typeof UNITS)[number];

export interface Instrument extends Base {
  tag: string;
  kind: InstrumentKind;
  unit: Unit;
  span: Range;
  resolution: number;
  expandedUncertainty: number;
  coverageFactor: number;
  /** Repeatability of one reading, in its unit; soft for soft sheaths; null when unknown. */
  repeatability: number | null;
  repeatabilitySoft: number | null;
  calibratedUntil: string;
  calibration: string;
  /** A simulated instrument can send by itself. */
  simulated: boolean;
}

export interface Entry extends KeepsTyped {
  enclosure: Id;
  label: string;
  kind: KindId;
  /** Thread or hole in the wall. */
  hole: { form: 'threaded' | 'clearance'; thread: string; diameterMm: number | null; chamfersMm: number };
  certificate: Id | null;
  size: string | null;
  /** Ring face towards the box, or the ring that is fitted. */
  ringFace: string | null;
  cable: Id | null;
  /** Washer fitted between gland and wall, mm; 0 for none. */
  washerMm: number;
  /** What stands between gland and wall; null: not recorded. */
  adaptors: Adaptor[] | null;
  /** Conductors beyond the inner sheath, to the terminal and with their slack, mm; null: not recorded. */
  tailMm: number | null;
}

/** A thread adaptor or reducer between gland and wall. */
export interface Adaptor {
  what: 'adaptor' | 'reducer';
  /** Thread into the wall, thread that takes the gland. */
  male: string;
  female: string;
  concepts: string[];
  levels: Level[];
  groups: Group[];
}

/** One measured value, as the instrument or the person gave it. */
export interface Reading extends Base {
  entry: Id;
  round: Id;
  place: string;
  /** In the place's unit. */
  value: number;
  /** Exactly what was typed or sent. */
  typed: string;
  method: DiameterMethod | null;
  instrument: Id;
  source: 'typed' | 'instrument';
  by: string;
  at: string;
  /** Why the reading cannot count as a measurement; it is kept. */
  fault: 'past-calibration' | 'outside-span' | null;
  /** Struck out, never erased: by whom and why. */
  struck: { by: string; at: string; reason: string } | null;
}

/** An answer to a question that is looked at, not measured. */
export interface Look extends Base {
  entry: Id;
  round: Id;
  look: string;
  answer: string;
  by: string;
  at: string;
  photo: Id | null;
  /** What was seen, in words; evidence for a special condition. */
  note: string;
}

/** Compound or resin mixed and packed into one entry. */
export interface Pour extends Base {
  entry: Id;
  round: Id;
  /** Batch and expiry on the label; null: not recorded. */
  batch: string | null;
  expires: string | null;
  /** Whether the ratio of the sheet was kept; null: not recorded. */
  ratioKept: boolean | null;
  mixedAt: string;
  /** Null while it is mixed and not packed yet. */
  packedAt: string | null;
  /** Temperature at mixing, and the lowest since packing, °C; null: not recorded. */
  temperatureC: number | null;
  lowestC: number | null;
  /** When the cured surface was opened and looked at; null before. */
  lookedAt: string | null;
  by: string;
  at: string;
}

/** The order in which gland and cable come together. */
export const HABITS = ['body-first', 'cable-first'] as const;
export type Habit = (typeof HABITS)[number];

/** Work on one entry, step by step: new, or opened up. */
export interface MakeOff extends Base {
  entry: Id;
  round: Id;
  why: 'make-off' | 'opening';
  habit: Habit;
  /** Steps that are done or skipped, in the order in which that was said. */
  ticks: Tick[];
  by: string;
  at: string;
  /** When the as-left record was sealed; null while the work goes on. */
  finished: string | null;
}

/** A step that is done, or a hold point that is skipped. */
export interface Tick {
  step: string;
  initials: string;
  by: string;
  at: string;
  /** Why the step's hold point was passed over; null when it was kept. */
  skipped: string | null;
}

/** What a closed entry hides, as it was when it was closed: sealed, with the hold points that were kept. */
export interface AsLeft extends Base {
  entry: Id;
  round: Id;
  why: 'make-off' | 'opening';
  /** What became of the seals. */
  outerSeal: SealFate;
  innerSeal: SealFate;
  note: string;
  readings: Reading[];
  looks: Look[];
  /** Instruments as they were. */
  instruments: Instrument[];
  pours: Pour[];
  /** Of entry, cable and size as they were: another cable or gland makes the record worthless. */
  fingerprint: string;
  /** Hold points without an answer. */
  skipped: string[];
  by: string;
  at: string;
  previous: string | null;
  hash: string;
}

export const SEAL_FATES = ['replaced', 'kept', 'none'] as const;
export type SealFate = (typeof SEAL_FATES)[number];

/** A site's own set of references: which document and clause each check rests on. */
export interface ReferenceRecord extends Base {
  title: string;
  /** Shipped set that speaks for the checks that this one leaves out. */
  over: Id;
  basis: { check: string; text: string }[];
}

export interface Round extends Base {
  name: string;
  grade: Grade;
  entries: Id[];
  started: string;
  closed: string | null;
}

/** A finished inspection of one entry in one round, sealed. */
export interface Inspection extends Base {
  entry: Id;
  round: Id;
  grade: Grade;
  by: string;
  at: string;
  state: EntryState;
  findings: Finding[];
  references: string;
  previous: string | null;
  hash: string;
}

export type DefectState = 'open' | 'assigned' | 'done' | 'proven';

export interface Defect extends Base {
  entry: Id;
  round: Id;
  /** Check of the rule book that failed; null for an observation beside it. */
  check: string | null;
  statement: string;
  basis: string;
  hazard: Hazard;
  /** Level by the rules. */
  computed: Severity;
  /** Level that stands. */
  severity: Severity;
  severityReason: string | null;
  foundAt: string;
  foundBy: string;
  photos: Id[];
  action: string;
  owner: string | null;
  due: string;
  state: DefectState;
  /** How often the same check failed again after the defect was closed. */
  repeats: number;
}

/** A stored photo; its bytes are a file. */
export interface Photo {
  id: Id;
  type: 'image/jpeg' | 'image/png';
  bytes: number;
  width: number;
  height: number;
  sha256: string;
}

/** What one command did, so that it can be undone. */
export interface Change extends Base {
  kind: string;
  by: string;
  at: string;
  /** `before` is null for a record that the command made; `rev` is the record's afterwards, null for one removed. */
  records: { table: TableName; id: Id; before: unknown; rev: Id | null }[];
  /** Set once the change is undone. */
  undone: Id | null;
  /** Values that lost against a later one, kept for the history. */
  lost: { table: TableName; id: Id; field: string; value: unknown }[];
}

/** Every table of a site's records and what is in it. */
export interface Tables {
  site: Site;
  area: Area;
  enclosure: Enclosure;
  cable: Cable;
  certificate: Certificate;
  instrument: Instrument;
  entry: Entry;
  round: Round;
  reading: Reading;
  look: Look;
  pour: Pour;
  makeoff: MakeOff;
  insulation: InsulationTest;
  asleft: AsLeft;
  reference: ReferenceRecord;
  inspection: Inspection;
  defect: Defect;
  change: Change;
}
export type TableName = keyof Tables;

/** Derived: where an entry stands, at which grade and when it was last looked at. */
export interface EntryStatus {
  entry: Id;
  site: Id;
  round: Id | null;
  grade: Grade;
  at: string | null;
  state: EntryState;
  counts: Record<Outcome, number>;
}
