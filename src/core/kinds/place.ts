import type { Grade, InstrumentKind, Unit } from '../record/types';
import type { PlaceFunctions } from './situation';
import type { Worded } from './worded';

/** A place of an entry that is measured; the drawing's hit areas carry its id. */
export interface Place extends PlaceFunctions, Worded {
  id: string;
  unit: Unit;
  /** Least grade at which the place can be reached. */
  grade: Grade;
  /** What can measure it, the usual one first. */
  instruments: readonly InstrumentKind[];
  /** Whether it is bare metal, which does not give way under the jaws. */
  metal?: boolean;
  /** Readings that are asked for; 0 for a place that is measured only when in doubt. */
  wanted: number;
}

export const place = (
  id: string,
  grade: Grade,
  wanted: number,
  instruments: readonly InstrumentKind[] = ['caliper'],
  unit: Unit = 'mm',
): Place => ({ id, words: id, unit, grade, instruments, wanted });

/** A place that shares its id with another, in words of its own. */
export const worded = (words: string, row: Place): Place => ({ ...row, words });

/** A place with what it says of one entry. */
export const saying = (row: Place, functions: PlaceFunctions): Place => ({ ...row, ...functions });
