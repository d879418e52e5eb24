import type { Base, Range } from './base';

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
  /** A simulated instrument can send by itself. */
  simulated: boolean;
}
