import type { BarrierEdition } from '../../gland/barrier';
import type { AreaDivision, ListedDivision } from '../../hazard/division';
import type { AreaGroup, Group } from '../../hazard/group';
import type { Level, Zone } from '../../hazard/level';
import type { TemperatureClass } from '../../hazard/temperature';
import type { AcceptanceRule } from '../../measuring/fit';
import type { Base, Grade, Id, KeepsTyped, Range } from './base';
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
  /** Ingress that an enclosure type of the division scheme stands for; never read backwards. */
  enclosureTypes: { type: string; ingress: string }[];
  /** Months between inspections of each grade; null: not by programme. */
  intervals: Record<Grade, number | null>;
  /** Longest interval of equipment that stays where it is, months: 36, or what an expert’s reasons allow. */
  longestMonths: number;
  /** How long steps of the work take here, min, where that is known better; by the words of the step. */
  usualMinutes: { step: string; minutes: number }[];
  /** IANA time zone in which days are counted. */
  timeZone: string;
  /** Hash of the newest sealed inspection of the site; null before the first. */
  lastSeal: string | null;
}

type AreaScheme = 'zones' | 'divisions';

/** What a place is exposed to: decides on shrouds and boots. */
export const WEATHERS = ['indoors', 'weather', 'deluge'] as const;
type Weather = (typeof WEATHERS)[number];

export interface Area extends Base {
  name: string;
  /** Class, division and group on a site that classifies so, or confirmed as unclassified; null: not recorded. */
  division: AreaDivision | 'unclassified' | null;
  /** What threatens beside: dust beside gas, or gas beside dust; null where nothing does. */
  beside: { zone: Zone; group: AreaGroup | null } | null;
  /** Lowest temperatures at which a cloud and a layer of the dust ignite, °C; null: not recorded, or no dust. */
  cloudIgnitionC: number | null;
  layerIgnitionC: number | null;
  /** How deep the dust may lie, mm; null: not recorded. */
  dustLayerMm: number | null;
  /** Null: not recorded. */
  weather: Weather | null;
  /** Null: not recorded yet; "unclassified" is a positive fact. */
  zone: Zone | 'unclassified' | null;
  /** Null: not recorded, or none is needed in an unclassified area. */
  group: AreaGroup | null;
  temperatureClass: TemperatureClass | null;
  /** What the area is classified for, in words. */
  substances: string;
  /** Ambient range, °C; null: not recorded. */
  ambientC: Range | null;
  /** Ingress that the surroundings ask for, e.g. IP54; null: not recorded. */
  ingressNeed: string | null;
  /** On the site plan: position and size, m. */
  outlineM: { x: number; y: number; width: number; height: number };
  /** Level of the floor, m. */
  levelM: number;
}

/** Whether equipment stays where it was put, is moved about, or moved and often opened. */
export const MOVABLES = ['fixed', 'moved', 'moved-and-opened'] as const;
export type Movable = (typeof MOVABLES)[number];

export interface Enclosure extends KeepsTyped {
  area: Id;
  tag: string;
  what: string;
  /** Concepts as marked, e.g. ["db"]; empty: not recorded. */
  concepts: string[];
  /** Null: not recorded. */
  group: Group | null;
  temperatureClass: TemperatureClass | null;
  /** Null: not recorded. */
  ingress: string | null;
  /** Ingress accepted by a recorded derating instead of the marked one; null without. */
  derating: { ingress: string; reason: string } | null;
  /** Free volume, cm³; null: not recorded. */
  volumeCm3: number | null;
  /** Wall thickness at the entries, mm; null: not recorded. */
  wallMm: number | null;
  /** Entry temperature marked on the enclosure, °C; null when nothing is marked. */
  entryTemperatureC: number | null;
  /** Temperature at the branching point marked on the enclosure, °C; null when nothing is marked. */
  branchTemperatureC: number | null;
  /** Temperature measured at full load at the entry, and at the branching point where it was, with the ambient then. */
  measuredTemperature: { atC: number; ambientC: number; branchC: number | null } | null;
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
  /** Whether nothing but intrinsically safe circuits are inside; null: not recorded. */
  onlyIntrinsic: boolean | null;
  /** Type of the division scheme, as marked; null without. */
  type: string | null;
  /** What corrosion, vibration, washdown, heat or sun make of its intervals, 0.5 to 1; null: not recorded, taken as 1. */
  surroundings: number | null;
  /** Whether it is moved about, and often opened then; null: not recorded, taken as staying where it is. */
  movable: Movable | null;
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
  /** Its certificate by number; null: not recorded. */
  certificate: string | null;
  levels: Level[];
  groups: Group[];
  /** Listed classes, divisions and groups, where there are any. */
  divisions: ListedDivision[];
  /** Thread of the plug and of the entry; null: not recorded. */
  thread: string | null;
  hole: string | null;
  ingress: string | null;
  /** Thread engaged, as measured, mm; null: not measured. */
  engagedMm: number | null;
}

export interface Entry extends KeepsTyped {
  enclosure: Id;
  label: string;
  kind: KindId;
  /** Thread or hole in the wall; each null: not recorded. */
  hole: Hole;
  certificate: Id | null;
  size: string | null;
  /** Ring face towards the box, or the ring that is fitted. */
  ringFace: string | null;
  cable: Id | null;
  /** Washer fitted between gland and wall, mm; 0 for none; null: not recorded. */
  washerMm: number | null;
  /** What stands between gland and wall; null: not recorded. */
  adaptors: Adaptor[] | null;
  /** Conductors beyond the inner sheath, to the terminal and with their slack, mm; null: not recorded. */
  tailMm: number | null;
  /** Where a transit sits; null for a gland, or not recorded. */
  frame: Frame | null;
  /** Compartment that this entry opens into, where the box has several; who looked. Null: not looked at. */
  compartment: Compartment | null;
  /** Whether a certified flameproof sealing device stands at the entry; null: not recorded. */
  sealingDevice: boolean | null;
  /** Whether the enclosure's certificate covers this part: a component certificate (U) counts only then. */
  factoryFitted: boolean | null;
  /** Whether the thread of the entry was cut and listed by the maker of the enclosure; null: not recorded. */
  factoryThreaded: boolean | null;
  /** What closes a raceway between dust-ignitionproof and other enclosures; null for a cable. */
  raceway: { means: RacewayMeans | null } | null;
  /** Found made off, before these records begin: who says so and when. */
  foundMadeOff: { by: string; on: string } | null;
  /** Since when this cable is in it: readings of another cable say nothing. Kept by the reducer. */
  cableSince: string | null;
}

/** Thread or hole in the wall. */
interface Hole {
  form: 'threaded' | 'clearance' | null;
  thread: string | null;
  diameterMm: number | null;
  /** Chamfers of the thread together, mm. */
  chamfersMm: number | null;
}

/** One compartment of an enclosure with several kinds of protection. */
interface Compartment {
  concept: string;
  /** Free volume; null: not recorded. */
  volumeCm3: number | null;
  by: string;
  on: string;
}

/** Means of 502.15 that stop dust in a raceway. */
export const RACEWAY_MEANS = ['seal', 'horizontal', 'downward', 'equivalent', 'putty', 'none'] as const;
type RacewayMeans = (typeof RACEWAY_MEANS)[number];

/** A thread adaptor or reducer between gland and wall. */
export interface Adaptor {
  what: 'adaptor' | 'reducer';
  /** Thread into the wall, thread that takes the gland. */
  male: string;
  female: string;
  concepts: string[];
  levels: Level[];
  groups: Group[];
  divisions: ListedDivision[];
  /** Male thread and its run-out, depth of the female thread, mm; null: not recorded. */
  maleLengthMm: number | null;
  runoutMm: number | null;
  femaleDepthMm: number | null;
}
