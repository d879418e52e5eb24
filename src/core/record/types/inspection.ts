import type { Hazard, Severity } from '../../defects/severity';
import type { EntryState, Finding, Outcome } from '../finding';
import type { Base, Frozen, Grade, Id } from './base';

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

/** Findings in words, as they were shown to whoever gave the command, in their language. */
export interface Said {
  /** Language of the sentences, e.g. `en`. */
  language: string;
  sentences: { check: string; text: string }[];
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
  /** The findings as they were shown; absent in a seal of before. */
  said?: Said;
  references: string;
  previous: string | null;
  /** Rule by which it was sealed; absent for the first. */
  rule?: number;
  /** What it was judged on; absent in a seal by rule 1. */
  frozen?: Frozen;
  hash: string;
}

/** A value that a seal rests on, kept by its content: its id is the SHA-256 of its canonical JSON. */
export interface FrozenBody extends Base {
  body: unknown;
}

export const DEFECT_STATES = ['open', 'assigned', 'done', 'proven'] as const;
export type DefectState = (typeof DEFECT_STATES)[number];

export interface Defect extends Base {
  entry: Id;
  round: Id;
  /** Check of the rule book that failed; null for an observation beside it. */
  check: string | null;
  /** What was found, as facts; null for an observation, and where it was kept as a sentence only. */
  finding: Finding | null;
  /** The sentence as it was shown; empty where none was given. */
  statement: string;
  /** Language of that sentence. */
  language: string;
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

/** Why an interval is what it is, in the order in which it came about. */
export type DueReason = 'never' | 'site' | 'surroundings' | 'failed' | 'sound-again' | 'capped' | 'movable';

/** When an entry is due for a grade. */
export interface Due {
  grade: Grade;
  /** Day in the site’s time zone; null: it was never inspected at this grade, the initial inspection is due. */
  day: string | null;
  months: number;
  /** When the inspection was sealed that it counts from. */
  since: string | null;
  reasons: DueReason[];
}

/** Derived: where an entry stands, at which grade and when it was last looked at. */
export interface EntryStatus {
  entry: Id;
  site: Id;
  /** Round that was judged, at which grade, and its newest answer; the state is what is known now. */
  round: Id | null;
  grade: Grade;
  at: string | null;
  state: EntryState;
  counts: Record<Outcome, number>;
  /** The last sealed inspection; null before the first. */
  sealed_round: Id | null;
  sealed_grade: Grade | null;
  sealed_at: string | null;
  sealed_state: EntryState | null;
  /** The round that is not sealed yet, and how many of its questions are answered; null where none runs. */
  running_round: Id | null;
  running_grade: Grade | null;
  running_state: EntryState | null;
  running_asked: number;
  running_answered: number;
  /** Defects that hold the state at failed until they are proven. */
  held: HeldDefect[];
}

/** The same with what its programme asks for next; null where the site has no programme. */
export interface Standing extends EntryStatus {
  due: Due | null;
  /** Defects that are not proven, and the highest level among them; 0 where there is none. */
  open_defects: number;
  worst: Severity | 0;
  /** When time alone can alter this at the earliest; null: never. */
  changes_at: string | null;
}

/** A defect that is not proven. */
export interface HeldDefect {
  id: Id;
  check: string | null;
  severity: Severity;
  foundAt: string;
}
