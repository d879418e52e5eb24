import type { Hazard, Severity } from '../defects/severity';

/** How a check can end. */
export type Outcome = 'conforms' | 'marginal' | 'fails' | 'unread' | 'not-applicable';

/** State of an entry, worst first: any failure, any unread, any marginal, else sound. */
export const ENTRY_STATES = ['failed', 'incomplete', 'doubtful', 'sound'] as const;
export type EntryState = (typeof ENTRY_STATES)[number];

/** The facts of a sentence: numbers with the unit in their name, or words from the record. */
export type Facts = Record<string, number | string | boolean | null>;

/** One side of a check: a check may hold a size, a shape and a look at once. */
export interface Aspect {
  outcome: Outcome;
  /** Names the sentence in `core/words`. */
  key: string;
  facts: Facts;
  /** Distance to the nearest limit, mm; negative outside; null where there is none. */
  marginMm: number | null;
  /** What would settle a marginal or unread aspect, as a key in `core/words`. */
  settle: string | null;
}

/** What a check answered; it becomes a sentence at the edge. The check's worst aspect speaks for it. */
export interface Finding extends Aspect {
  check: string;
  /** Measured place or look that the finding is about; null for a check on the record alone. */
  place: string | null;
  consequence: Severity;
  hazard: Hazard;
  /** Whether it is a shock hazard beside that: the higher level counts. */
  shock: boolean;
  /** Time of the sealed as-left record that answers for the closed entry; null when the round itself does. */
  record: string | null;
  /** Other aspects that did not conform. */
  also: Aspect[];
}

/** The order of outcomes, best to worst. Chosen: what is known to fail stands above what is not known. */
const RANK: Record<Outcome, number> = { fails: 4, unread: 3, marginal: 2, conforms: 1, 'not-applicable': 0 };

/** Whether one outcome is worse than another. */
export const isWorse = (a: Outcome, b: Outcome): boolean => RANK[a] > RANK[b];

/** Worst state that a list of outcomes leaves an entry in. */
export function stateOf(findings: readonly { outcome: Outcome }[]): EntryState {
  let state: EntryState = 'sound';
  for (const { outcome } of findings) {
    if (outcome === 'fails') return 'failed';
    if (outcome === 'unread') state = 'incomplete';
    else if (outcome === 'marginal' && state === 'sound') state = 'doubtful';
  }
  return state;
}

/** How many findings ended in each way. */
export function countOutcomes(findings: readonly { outcome: Outcome }[]): Record<Outcome, number> {
  const counts: Record<Outcome, number> = {
    conforms: 0,
    marginal: 0,
    fails: 0,
    unread: 0,
    'not-applicable': 0,
  };
  for (const { outcome } of findings) counts[outcome]++;
  return counts;
}
