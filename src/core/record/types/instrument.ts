import type { Base, Id, Range } from './base';

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

/** One calibration: the days that it speaks for. */
export interface Calibration {
  /** First day; null: not recorded, as far back as the one before. */
  from: string | null;
  /** Last day. */
  to: string;
  /** How the instrument was found at the end: one that had run out takes its readings with it. Null: not known yet. */
  found: 'within' | 'out' | null;
  certificate: string;
}

/**
 * An instrument as a site has it: a version, as it stood when the installation lent it. A recalibration is lent as a new
 * version; what was measured before points to the one it was measured with.
 */
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
  /** Every calibration, the oldest first; empty: only the date above is known. */
  calibrations: Calibration[];
  /** From how many places the repeatability was pooled; null: it stands on the record by itself. */
  pooledPlaces: number | null;
  /** A simulated instrument can send by itself. */
  simulated: boolean;
  /** The instrument of the register that this is a version of; null: its own id, for the first. */
  of: Id | null;
  /** When it was lent to the site; null for the first version. */
  lentAt: string | null;
}
