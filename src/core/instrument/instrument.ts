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

/** What is known of an instrument; numbers in its unit. */
export interface InstrumentFields {
  id: string;
  /** Site that it is used on. */
  site: string;
  tag: string;
  kind: InstrumentKind;
  unit: Unit;
  span: [least: number, most: number];
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
}

/** Faults of a measurement, not of what was measured. */
export const READING_FAULTS = [
  'past-calibration',
  'outside-span',
  'found-out',
  'wrong-kind',
  'no-instrument',
  'before-round',
  'in-future',
] as const;
export type ReadingFault = (typeof READING_FAULTS)[number];
