import type { Conductor } from '../earth/path';
import type { Hazard, Severity } from '../defects/severity';
import type { AreaGroup, Group } from '../hazard/group';
import type { Level, Zone } from '../hazard/level';
import type { TemperatureClass } from '../hazard/temperature';
import type { AcceptanceRule } from '../measuring/fit';
import type { DiameterMethod } from '../measuring/diameter';
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
  /** Reference set that findings are printed with. */
  references: 'iec-2013';
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

export interface Area extends Base {
  name: string;
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
}

export type ArmourType = 'wire' | 'braid' | 'tape';
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
}

/** How a joint is closed; each joint names its school. */
export interface Joint {
  joint: 'entry' | 'clamp' | 'inner-seal' | 'outer-seal';
  school: 'turns' | 'faces' | 'gap' | 'torque' | 'grip';
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
  sheet: AssemblySheet;
}

export type InstrumentKind = 'caliper' | 'tape' | 'milliohm-meter' | 'pitch-gauge';

export interface Instrument extends Base {
  tag: string;
  kind: InstrumentKind;
  unit: 'mm' | 'ohm';
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
  /** Ring face towards the box. */
  ringFace: string | null;
  cable: Id | null;
  /** Washer fitted between gland and wall, mm; 0 for none. */
  washerMm: number;
}

/** One measured value, as the instrument or the person gave it. */
export interface Reading extends Base {
  entry: Id;
  round: Id;
  place: string;
  /** In the place's unit: mm, Ω or turns. */
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
