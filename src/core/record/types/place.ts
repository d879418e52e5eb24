import type { BarrierEdition } from '../../gland/barrier';
import type { AreaDivision } from '../../hazard/division';
import type { AreaGroup, Group } from '../../hazard/group';
import type { Level, Zone } from '../../hazard/level';
import type { TemperatureClass } from '../../hazard/temperature';
import type { AcceptanceRule } from '../../measuring/fit';
import type { Base, Id, KeepsTyped, Range } from './base';
import type { KindId } from '../kind-ids';
import type { Frame } from './transit';

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
  /** Where a transit sits; null for a gland, or not recorded. */
  frame: Frame | null;
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
