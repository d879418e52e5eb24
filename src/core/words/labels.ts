import type { DefectState, Grade } from '../record/types';
import type { Severity } from '../defects/severity';
import type { EntryState, Outcome } from '../rulebook/finding';

/** Outcomes as they are said. */
export const OUTCOME_WORDS: Record<Outcome, string> = {
  conforms: 'Sound',
  marginal: 'Close call',
  fails: 'Failed',
  unread: 'Not read',
  'not-applicable': 'Does not apply',
};

/** States of an entry as they are said. */
export const STATE_WORDS: Record<EntryState, string> = {
  failed: 'Not sound',
  incomplete: 'Not all read',
  doubtful: 'Doubtful',
  sound: 'Sound',
};

export const GRADE_WORDS: Record<Grade, string> = { visual: 'Visual', close: 'Close', detailed: 'Detailed' };

/** Severity with what it asks for. */
export const SEVERITY_WORDS: Record<Severity, string> = {
  4: 'Make safe now',
  3: 'Within 7 days',
  2: 'Within 90 days',
  1: 'Next shutdown or 12 months',
};

export const DEFECT_STATE_WORDS: Record<DefectState, string> = {
  open: 'Open',
  assigned: 'Assigned',
  done: 'Done, not proven',
  proven: 'Proven',
};

/** Why a typed length was not taken, and what to type. */
export const LENGTH_FAULT_WORDS: Record<string, string> = {
  empty: 'Type a reading, for example 23.92.',
  'not-a-length': 'That is not a length. Type for example 23.92, 23,92 mm or 15/16 in.',
  negative: 'A length cannot be negative.',
  'too-long': 'At most 1 000 000 mm.',
  'zero-divisor': 'The lower figure of a fraction cannot be 0.',
};
