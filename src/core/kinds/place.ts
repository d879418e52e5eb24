import type { Grade, InstrumentKind, Unit } from '../record/types';
import type { PlaceFunctions } from './situation';

/** A place of an entry that is measured; the drawing's hit areas carry its id. */
export interface Place extends PlaceFunctions {
  id: string;
  title: string;
  unit: Unit;
  /** Least grade at which the place can be reached. */
  grade: Grade;
  /** What can measure it, the usual one first. */
  instruments: readonly InstrumentKind[];
  /** Readings that are asked for; 0 for a place that is measured only when in doubt. */
  wanted: number;
  /** A short word on where and how. */
  how: string;
}

export const place = (
  id: string,
  title: string,
  grade: Grade,
  wanted: number,
  how: string,
  instruments: readonly InstrumentKind[] = ['caliper'],
  unit: Unit = 'mm',
): Place => ({ id, title, unit, grade, instruments, wanted, how });

/** A place with what it says of one entry. */
export const saying = (row: Place, functions: PlaceFunctions): Place => ({ ...row, ...functions });
