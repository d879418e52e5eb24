import { namesIn } from './packing';
import { MemorySlice, type Slice } from './slice';
import { tableOf, TABLES } from './tables';
import type { Id, TableName, Tables } from './types';

/** What somebody takes along of a site. */
export interface Scope {
  rounds: readonly Id[];
  areas: readonly Id[];
  enclosures: readonly Id[];
  /** Cables with what is known of their ends; their entries are judged elsewhere. */
  cables: readonly Id[];
  entries: readonly Id[];
}

/** Lists of a scope. */
const NAMED = ['rounds', 'areas', 'enclosures', 'cables', 'entries'] as const satisfies (keyof Scope)[];

/** Nothing but what belongs to no entry. */
export const NOTHING: Scope = { rounds: [], areas: [], enclosures: [], cables: [], entries: [] };

/** How many a scope names. */
export const namedIn = (scope: Scope): number => NAMED.reduce((sum, list) => sum + scope[list].length, 0);

/**
 * Two scopes as one, what came later last.
 *
 * @example joined(NOTHING, { ...NOTHING, rounds: ['r'] }) // { ...NOTHING, rounds: ['r'] }
 */
export const joined = (one: Scope, other: Scope): Scope =>
  mapped((list) => [...one[list].filter((id) => !other[list].includes(id)), ...new Set(other[list])]);

/**
 * A scope without what another names.
 *
 * @example without({ ...NOTHING, areas: ['a', 'b'] }, { areas: ['a'] }) // { ...NOTHING, areas: ['b'] }
 */
export const without = (scope: Scope, less: Partial<Scope>): Scope =>
  mapped((list) => scope[list].filter((id) => !less[list]?.includes(id)));

const mapped = (of: (list: keyof Scope) => Id[]): Scope =>
  Object.fromEntries(NAMED.map((list) => [list, of(list)])) as unknown as Scope;

/** What a scope holds. */
export interface Closure {
  /** Entries of the scope: each is judged by its records as by the whole site’s. */
  entries: ReadonlySet<Id>;
  /** Every record that is needed for that. */
  records: MemorySlice;
  /** How many. */
  size: number;
}

/**
 * Everything that the entries of a scope are inspected, judged and sealed with: what they refer to, every entry of the
 * same enclosures, all ends of each cable with their rounds and seals, whole packings with their cables, and what a
 * site has few of (areas, certificates, instruments, references). The bodies that seals rest on stay behind.
 */
export function closure(slice: Slice, site: Id, scope: Scope): Closure {
  const taken = new Taken(slice);
  for (const table of TABLES)
    if (tableOf(table).taken === 'whole')
      for (const record of table === 'site' ? [slice.get('site', site)] : slice.by(table, 'site', site)) taken.add(table, record);
  const entries = new Set(entriesOf(slice, scope));
  for (const id of entries) taken.add('enclosure', slice.get('enclosure', slice.get('entry', id)!.enclosure));
  for (const area of scope.areas) for (const box of slice.by('enclosure', 'area', area)) taken.add('enclosure', box);
  for (const id of scope.enclosures) taken.add('enclosure', slice.get('enclosure', id));
  const sisters = taken.all('enclosure').flatMap(({ id }) => slice.by('entry', 'enclosure', id));
  for (const entry of sisters) taken.addEntry(entry);
  for (const id of scope.cables) taken.addCable(id);
  // What lies in the enclosures of the scope is whole; the other ends of its cables are known, with their rounds and seals.
  for (const { id } of taken.all('cable')) for (const end of slice.by('entry', 'cable', id)) taken.addEnd(end);
  return { entries, records: taken.records, size: taken.size };
} // prettier-ignore

/** Entries that a scope names, or that lie in what it names. */
export function entriesOf(slice: Slice, { rounds, areas, enclosures, entries }: Scope): Id[] {
  const boxes = areas.flatMap((area) => slice.by('enclosure', 'area', area).map(({ id }) => id));
  const all = [
    ...entries,
    ...rounds.flatMap((round) => slice.get('round', round)?.entries ?? []),
    ...[...boxes, ...enclosures].flatMap((id) => slice.by('entry', 'enclosure', id).map((entry) => entry.id)),
  ];
  return all.filter((id) => slice.get('entry', id) !== null);
}

/** Whether an entry is here with all that it is inspected with; the other end of a cable may be known without that. */
export function isWhole(slice: Slice, scope: Scope, entry: Id): boolean {
  const box = slice.get('enclosure', slice.get('entry', entry)?.enclosure ?? '');
  if (!box) return false;
  if (scope.areas.includes(box.area) || scope.enclosures.includes(box.id)) return true;
  const rounds = scope.rounds.map((id) => slice.get('round', id));
  return slice
    .by('entry', 'enclosure', box.id)
    .some(({ id }) => scope.entries.includes(id) || rounds.some((round) => round?.entries.includes(id)));
}

/** Records that were taken, each once. */
class Taken {
  readonly records = new MemorySlice();
  size = 0;

  constructor(private readonly slice: Slice) {}

  all<T extends TableName>(table: T): Tables[T][] {
    return this.records.all(table);
  }

  add(table: TableName, record: Tables[TableName] | null): void {
    if (record === null || this.records.get(table, record.id) !== null) return;
    this.size++;
    this.records.write([{ table, id: record.id, after: record }]);
  }

  /** An entry with everything that belongs to it, and to its cables. */
  addEntry(entry: Tables['entry']): void {
    this.add('entry', entry);
    for (const round of this.slice.by('round', 'entries', entry.id)) this.add('round', round);
    for (const table of TABLES)
      if (tableOf(table).taken === 'entry')
        for (const record of this.slice.by(table, 'entry', entry.id)) this.add(table, record);
    if (entry.cable !== null) this.addCable(entry.cable);
    for (const packing of this.slice.by('packing', 'entry', entry.id))
      for (const cable of namesIn(packing).cables) this.addCable(cable);
  }

  /** Another end of a cable of the scope: where it is, and what of it is sealed. */
  addEnd(entry: Tables['entry']): void {
    this.add('entry', entry);
    this.add('enclosure', this.slice.get('enclosure', entry.enclosure));
    for (const round of this.slice.by('round', 'entries', entry.id)) this.add('round', round);
    for (const table of ['inspection', 'makeoff', 'asleft'] as const)
      for (const record of this.slice.by(table, 'entry', entry.id)) this.add(table, record);
  }

  /** A cable with its tests. */
  addCable(id: Id): void {
    const cable = this.slice.get('cable', id);
    if (cable === null || this.records.get('cable', id) !== null) return;
    this.add('cable', cable);
    for (const table of TABLES)
      if (tableOf(table).taken === 'cable')
        for (const record of this.slice.by(table, 'cable', id)) this.add(table, record);
  }
}
