import type { EntryState } from '../../core/record/finding';
import type { Area, Enclosure, Entry, Standing } from '../../core/record/types';

/** One entry as the plan and the list show it. */
export interface Stop {
  entry: Entry;
  enclosure: Enclosure;
  area: Area;
  /** Null until it has been judged on this device. */
  status: Standing | null;
  /** The state that stands while a round runs. */
  standing: EntryState;
}
