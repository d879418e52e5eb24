import { standingState } from '../../core/record/standing';
import type { EntryState } from '../../core/record/finding';
import type { Slice } from '../../core/record/slice';
import type { Area, Enclosure, Entry, Id, Standing } from '../../core/record/types';

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

/** Every entry of a site that is on this device. */
export function stopsOf(slice: Slice, site: Id, statusOf: (entry: Id) => Standing | null): Stop[] {
  return slice.by('entry', 'site', site).flatMap((entry) => {
    const enclosure = slice.get('enclosure', entry.enclosure);
    const area = enclosure && slice.get('area', enclosure.area);
    if (!area) return [];
    const status = statusOf(entry.id);
    return [{ entry, enclosure, area, status, standing: status ? standingState(status) : 'incomplete' }];
  });
}
