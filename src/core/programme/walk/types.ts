/** Where something is on the plan, m. */
export interface Place {
  xM: number;
  yM: number;
  /** Height of its level, m. */
  zM: number;
}

/** A place that a round calls at. */
export interface WalkStop extends Place {
  id: string;
  /** What it shares with others, so that they are visited without a break: an isolation, a scaffold. */
  together: string | null;
}

/** What is walked. */
export interface WalkJob {
  /** Where the walk starts: the permit office. */
  start: Place;
  stops: readonly WalkStop[];
  /** How many metres on the flat a metre of climbing is worth, 0 or more. */
  climb: number;
  /** Whether the walk ends where it started. */
  returns: boolean;
}

/** Stops in the order of walking, and how long the way is. */
export interface Walk {
  order: string[];
  /** Length with climbs weighted, m. */
  lengthM: number;
}
