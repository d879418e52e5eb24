import type { ReadingFault, Unit } from './instrument';

/** One line of the instrument stream; the same for every simulated instrument. */
export interface InstrumentLine {
  instrument: string;
  sample: number;
  /** Value as shown, in `unit`; null when the instrument refuses to send. */
  value: number | null;
  unit: Unit;
  /** Whether it has come to rest and may be taken as a reading. */
  stable: boolean;
  /** Why it refuses, or null. */
  fault: ReadingFault | null;
  /** It shows more than it can measure: the value is a lower bound. */
  over: boolean;
  /** Turn of a caliper's jaws round the cable, degrees; null for the others. */
  angle_deg: number | null;
}
