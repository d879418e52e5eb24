import type { DiameterMethod } from '../measuring/diameter';
import type { Cable, Certificate, Enclosure, Entry, GlandSize, Range, Round, Site } from '../record/types';
import type { CableShape } from '../record/types';
import type { Traits } from './traits';

/** What of an entry its places, looks and steps are asked by; a dossier of the rule book is one. */
export interface Situation {
  site: Site;
  enclosure: Enclosure;
  entry: Entry;
  cable: Cable | null;
  certificate: Certificate | null;
  size: GlandSize | null;
  round: Round | null;
  /** Entry of the round at which questions about the whole enclosure are asked; null when it is this one. */
  askedAt: Entry | null;
  /** Readings by place. */
  groups: ReadonlyMap<string, readonly { method: DiameterMethod | null }[]>;
}

/** What the readings of an entry were worked out to. */
export interface WorkedOut {
  /** Gap under the back nut that the cable as measured asks for, mm; null where there is none. */
  backNut(): { lowMm: number; highMm: number; nut: { gapMm: number } } | null;
}

/** What a diameter is held against: a certified range, mm. */
export interface FitTask {
  place: string;
  /** Key of what the range belongs to, e.g. `outer-seal`. */
  part: string;
  /** The face of the ring and the armour that the range is for; left out where it is for neither. */
  on?: { face: string; armour: string };
  rangeMm: Range;
  /** A seal also asks for a shape and for roundness; null for an armour clamp. */
  seal: { shapes: readonly CableShape[]; ovalityPct: number | null } | null;
  /** Readings were taken on a sheath that gives way. */
  soft: boolean;
}

/** A single value that is held against limits: turns, torque, a length. */
export interface ValueTask {
  place: string;
  /** Key of what is held against them, e.g. `armour-exposed`. */
  part: string;
  unit: 'mm' | 'turns' | 'N·m';
  low: number | null;
  high: number | null;
  /** What would settle it when nothing was read. */
  settle: string;
}

/** Limits in the unit of a place: null where an end is open. */
export type Limits = [low: number | null, high: number | null];

/** What a place says of one entry; what is left out is the same everywhere, or there is none. */
export interface PlaceFunctions {
  /** Readings that are asked for here. */
  wantedIn?(of: Situation): number;
  /** The range that a diameter is held against; null where the records do not say. */
  fit?(of: Situation, kind: Traits): Omit<FitTask, 'place'> | null;
  /** What a single value is held against; null where the records do not say. */
  value?(of: Situation): Omit<ValueTask, 'place'> | null;
  /** Limits of the strip, where neither of those gives them; null when nothing limits it. */
  limits?(of: Situation, worked: WorkedOut): Limits | null;
  /** What an instrument meets when nobody says otherwise: what the record promises, in the place's unit. */
  nominal?(of: Situation, kind: Traits, worked: WorkedOut): number;
}

/** Number of cores of the cable; null where they are not recorded. */
export const coreCount = ({ cable }: Pick<Situation, 'cable'>): number | null =>
  cable && cable.cores.length > 0 ? cable.cores.reduce((sum, { count }) => sum + count, 0) : null;
