import { versionsOf } from '../record/instruments';
import { namesIn } from '../record/packing';
import type { RecordChange, Slice } from '../record/slice';
import type { Cable, Enclosure, Entry, Id, TableName, Tables, TransitPacking } from '../record/types';

const OF_ENTRY: ReadonlySet<TableName> = new Set([
  'reading',
  'look',
  'pour',
  'makeoff',
  'asleft',
  'inspection',
  'packing',
  'defect',
]);

/**
 * Entries whose judgement a set of changes can alter, by the records as they were and as they are. Read from
 * the slice after the changes were written; `before` gives the records as they were.
 */
export function touchedEntries(
  slice: Slice,
  changes: readonly RecordChange[],
  before: (change: RecordChange) => Tables[keyof Tables] | null,
): Set<Id> {
  const touched = new Set<Id>();
  for (const change of changes) {
    for (const record of [before(change), change.after]) {
      if (record) addTouched(slice, change.table, record, touched);
    }
  }
  return touched;
}

function addTouched(slice: Slice, table: TableName, record: Tables[TableName], touched: Set<Id>): void {
  const addAll = (entries: readonly { id: Id }[]) => entries.forEach(({ id }) => touched.add(id));
  if (OF_ENTRY.has(table)) {
    touched.add((record as Tables['reading']).entry);
    return;
  }
  switch (table) {
    case 'entry':
      return addEntry(slice, record as Entry, addAll, touched);
    case 'enclosure':
      return addEnclosure(slice, record as Enclosure, addAll);
    case 'area':
      addAll(inArea(slice, record.id));
      return addAll(transitsTo(slice, record.site, record.id));
    case 'cable':
      return addCable(slice, record as Cable, addAll, touched);
    case 'certificate':
      return addAll(slice.by('entry', 'certificate', record.id));
    case 'instrument':
      // What later versions tell counts for what was measured with earlier ones.
      for (const one of versionsOf(slice, record as Tables['instrument']))
        addInstrument(slice, one, addAll, touched);
      return addInstrument(slice, record, addAll, touched);
    case 'insulation':
    case 'continuity':
      return addAll(slice.by('entry', 'cable', (record as Tables['continuity']).cable));
    case 'round':
      return addRound(slice, record as Tables['round'], addAll, touched);
    case 'site':
      return addAll(slice.by('entry', 'site', record.id));
    case 'reference':
      return addAll(slice.by('entry', 'site', record.site));
    default:
  }
}

type AddAll = (entries: readonly { id: Id }[]) => void;

/** An entry, its sisters in the enclosure (questions are asked at the first of them) and the other ends of its cable. */
function addEntry(slice: Slice, entry: Entry, addAll: AddAll, touched: Set<Id>): void {
  touched.add(entry.id);
  addAll(slice.by('entry', 'enclosure', entry.enclosure));
  if (entry.cable !== null) addAll(slice.by('entry', 'cable', entry.cable));
}

/** Its entries, and the other ends of their cables, which ask in which area this one is. */
function addEnclosure(slice: Slice, { id }: Enclosure, addAll: AddAll): void {
  const own = slice.by('entry', 'enclosure', id);
  addAll(own);
  for (const { cable } of own) if (cable !== null) addAll(slice.by('entry', 'cable', cable));
}

const inArea = (slice: Slice, area: Id): Entry[] =>
  slice.by('enclosure', 'area', area).flatMap(({ id }) => slice.by('entry', 'enclosure', id));

const transitsTo = (slice: Slice, site: Id, area: Id): Entry[] =>
  slice.by('entry', 'site', site).filter(({ frame }) => frame?.otherArea === area);

/** Entries that it ends in, and transits that it lies in. */
function addCable(slice: Slice, { id, site }: Cable, addAll: AddAll, touched: Set<Id>): void {
  addAll(slice.by('entry', 'cable', id));
  for (const packing of packings(slice, site))
    if (namesIn(packing).cables.has(id)) touched.add(packing.entry);
}

/** Whatever was measured or tested with it, sealed records included. */
function addInstrument(
  slice: Slice,
  { id, site }: { id: Id; site: Id },
  addAll: AddAll,
  touched: Set<Id>,
): void {
  for (const reading of slice.by('reading', 'instrument', id)) touched.add(reading.entry);
  for (const { cable } of slice.by('insulation', 'instrument', id)) addAll(slice.by('entry', 'cable', cable));
  for (const packing of packings(slice, site)) {
    if (namesIn(packing).instruments.has(id)) touched.add(packing.entry);
  }
  for (const { entry, instruments } of slice.by('asleft', 'site', site)) {
    if (instruments.some((one) => one.id === id)) touched.add(entry);
  }
}

const packings = (slice: Slice, site: Id): TransitPacking[] => slice.by('packing', 'site', site);

/** Its entries, and their sisters: the first entry of an enclosure in a round answers for it. */
function addRound(slice: Slice, { entries }: Tables['round'], addAll: AddAll, touched: Set<Id>): void {
  for (const id of entries) {
    touched.add(id);
    const entry = slice.get('entry', id);
    if (entry) addAll(slice.by('entry', 'enclosure', entry.enclosure));
  }
}
