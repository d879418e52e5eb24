import type { RecordChange, Slice } from './slice';
import type { Id, Tables } from './types';

const OF_ENTRY: ReadonlySet<string> = new Set([
  'reading',
  'look',
  'pour',
  'makeoff',
  'asleft',
  'inspection',
  'packing',
]);

/**
 * Entries whose judgement a set of changes can alter. Read from the slice after the changes were written;
 * `before` gives the records as they were.
 */
export function touchedEntries(
  slice: Slice,
  changes: readonly RecordChange[],
  before: (change: RecordChange) => Tables[keyof Tables] | null,
): Set<Id> {
  const touched = new Set<Id>();
  const addAll = (records: readonly { id: Id }[]) => records.forEach(({ id }) => touched.add(id));
  for (const change of changes) {
    const record = (change.after ?? before(change)) as Tables[keyof Tables] | null;
    if (!record) continue;
    const { id } = change;
    if (change.table === 'entry') touched.add(id);
    if (OF_ENTRY.has(change.table)) {
      touched.add((record as Tables['reading']).entry);
    }
    if (change.table === 'enclosure') addAll(slice.by('entry', 'enclosure', id));
    if (change.table === 'area') {
      for (const enclosure of slice.by('enclosure', 'area', id))
        addAll(slice.by('entry', 'enclosure', enclosure.id));
    }
    if (change.table === 'insulation' || change.table === 'continuity')
      addAll(slice.by('entry', 'cable', (record as Tables['continuity']).cable));
    // A cable may lie in any transit of its site.
    if (change.table === 'cable')
      addAll(slice.by('packing', 'site', record.site).map(({ entry }) => ({ id: entry })));
    if (change.table === 'cable') addAll(slice.by('entry', 'cable', id));
    if (change.table === 'certificate') addAll(slice.by('entry', 'certificate', id));
    if (change.table === 'instrument') {
      for (const reading of slice.by('reading', 'instrument', id)) touched.add(reading.entry);
    }
    if (change.table === 'round') {
      const was = before(change) as Tables['round'] | null;
      for (const entry of [...(was?.entries ?? []), ...(record as Tables['round']).entries])
        touched.add(entry);
    }
    if (change.table === 'site') addAll(slice.by('entry', 'site', id));
    if (change.table === 'reference') addAll(slice.by('entry', 'site', record.site));
  }
  return touched;
}
