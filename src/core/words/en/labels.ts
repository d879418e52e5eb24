import type { DefectState, Grade, ReadingFault } from '../../record/types';
import type { Severity } from '../../defects/severity';
import type { EntryState } from '../../record/finding';

/** Kinds of instruments as they are called on site. */
export const INSTRUMENT_WORDS: Record<string, string> = {
  caliper: 'caliper',
  tape: 'diameter tape',
  'milliohm-meter': 'milliohm meter',
  'pitch-gauge': 'pitch gauge',
  rule: 'rule',
  'turn-mark': 'mark on the nut, for turns',
  'torque-driver': 'torque driver',
  feeler: 'feeler gauge',
  thermometer: 'thermometer',
  'insulation-tester': 'insulation tester',
};

/** Units of instruments as they are written. */
export const UNIT_TITLES: Record<string, string> = {
  mm: 'mm',
  ohm: 'Ω',
  turns: 'turns',
  Nm: 'N·m',
  degC: '°C',
  megohm: 'MΩ',
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

/** Why a reading does not count. */
export const READING_FAULT_WORDS: Record<ReadingFault, string> = {
  'past-calibration': 'instrument past its calibration date',
  'outside-span': 'outside the instrument’s span',
  'found-out': 'instrument found to have run out',
  'wrong-kind': 'instrument cannot measure this place',
  'no-instrument': 'instrument not on record',
  'before-round': 'dated before its round',
  'in-future': 'dated in the future',
};
