import type { Slice } from '../record/slice';
import type { Area, Enclosure, Id } from '../record/types';
import type { BulkTable } from './columns';
import type { Filling } from './fill';

/** Tables that cells refer to by what their records are called. */
type Named = 'area' | 'cable' | 'certificate' | 'enclosure';

/** Field that a record is called by. */
const NAME: Readonly<Record<Named | 'instrument', string>> = {
  area: 'name',
  cable: 'tag',
  certificate: 'number',
  enclosure: 'tag',
  instrument: 'tag',
};

/** What is on file of a site together with what the sheets have brought so far. */
export class OnFile {
  readonly #brought = new Map<string, Filling>();
  readonly #byName = new Map<string, Id>();
  readonly #whole = new Map<string, Map<string, Id>>();
  readonly #seen = new Map<string, number>();
  readonly #refused = new Set<string>();

  constructor(
    private readonly slice: Slice,
    private readonly site: Id,
  ) {}

  /** A record as it is on file, without what the sheets have brought and what the reducer keeps; null: none. */
  byId(table: BulkTable, id: Id): Filling | null {
    const record = this.slice.get(table, id) as Filling | null;
    if (record === null) return null;
    const {
      site: _site,
      rev: _rev,
      stamps: _stamps,
      cableSince: _since,
      of: _of,
      lentAt: _lent,
      ...own
    } = record;
    return own;
  }

  /** A record with what the sheets have brought. */
  now(table: BulkTable, id: Id): Filling | null {
    return this.#brought.get(`${table} ${id}`) ?? this.byId(table, id);
  }

  put(table: BulkTable, record: Filling): void {
    this.#brought.set(`${table} ${record.id as Id}`, record);
    if (table !== 'entry') this.#byName.set(`${table} ${record[NAME[table]] as string}`, record.id as Id);
  }

  /** Id of the record that is called so; null: none. */
  named(table: Named | 'instrument', name: string): Id | null {
    return this.#byName.get(`${table} ${name}`) ?? this.#onFile(table, name);
  }

  /** The record that a row speaks of, with what the sheets have brought; null for a new one. */
  find(table: BulkTable, name: string, enclosure: Id | null): Filling | null {
    if (table !== 'entry') {
      const id = this.named(table, name);
      return id === null ? null : this.now(table, id);
    }
    const entry = this.slice.by('entry', 'enclosure', enclosure!).find(({ label }) => label === name);
    return entry ? this.now('entry', entry.id) : null;
  }

  /** The row that has brought this record already. */
  seen(table: BulkTable, name: string, enclosure: Id | null): { row: number } | null {
    const row = this.#seen.get(keyOf(table, name, enclosure));
    return row === undefined ? null : { row };
  }

  see(table: BulkTable, name: string, enclosure: Id | null, row: number): void {
    this.#seen.set(keyOf(table, name, enclosure), row);
  }

  /** Notes that a row was refused: what refers to it is told so. */
  refuse(table: BulkTable, name: string): void {
    this.#refused.add(`${table} ${name}`);
  }

  isRefused(table: Named, name: string): boolean {
    return this.#refused.has(`${table} ${name}`);
  }

  /** Outlines of the areas on file. */
  outlines(): Area['outlineM'][] {
    return this.slice.by('area', 'site', this.site).map(({ outlineM }) => outlineM);
  }

  enclosuresIn(area: Id): Enclosure[] {
    return this.slice.by('enclosure', 'area', area);
  }

  #onFile(table: Named | 'instrument', name: string): Id | null {
    // Tags of enclosures have an index; of the others there are few, or all are asked for.
    if (table === 'enclosure')
      return this.slice.by('enclosure', 'tag', name).find(({ site }) => site === this.site)?.id ?? null;
    let whole = this.#whole.get(table);
    if (!whole) {
      const records = this.slice.by(table, 'site', this.site) as unknown as Record<string, string>[];
      this.#whole.set(table, (whole = new Map(records.map((one) => [one[NAME[table]]!, one.id!]))));
    }
    return whole.get(name) ?? null;
  }
}

const keyOf = (table: BulkTable, name: string, enclosure: Id | null): string =>
  `${table} ${enclosure ?? ''} ${name}`;
