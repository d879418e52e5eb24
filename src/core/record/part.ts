import { entriesOf, type Scope } from './closure';
import { namesIn } from './packing';
import type { Slice, Written } from './slice';
import { tableOf } from './tables';
import type { Change, Enclosure, Entry, Id, Round, TableName, Tables, TransitPacking } from './types';

/**
 * What of a site’s news concerns a part of it, as it lies on a device: what it holds, and what is new in it. Made for
 * one lot of news, which is written into the slice one by one between the questions.
 */
class Part {
  readonly #scope: Scope;
  readonly #entries: ReadonlySet<Id>;
  /** Enclosures that are here with all their entries. */
  readonly #boxes: ReadonlySet<Id>;
  readonly #areas: ReadonlySet<Id>;
  /** Records of this lot that were here, removed ones as well. */
  readonly #concerned = new Set<string>();
  /** Records that were made in this lot: all that belongs to them is in it. */
  readonly #born = new Set<string>();

  /** @param news in the order in which it came about, the records of the changes with it */
  constructor(
    private readonly slice: Slice,
    scope: Scope,
    news: readonly Written[],
  ) {
    const met = new Set<string>();
    for (const { table, after } of news)
      for (const { table: of, id, before } of table === 'change' && after ? (after as Change).records : []) {
        if (before === null && !met.has(`${of} ${id}`)) this.#born.add(`${of} ${id}`);
        met.add(`${of} ${id}`);
      }
    const areas = new Set(scope.areas);
    const entries = new Set(entriesOf(slice, scope));
    const boxes = [...entries].map((id) => slice.get('entry', id)!.enclosure);
    for (const area of areas) for (const { id } of slice.by('enclosure', 'area', area)) boxes.push(id);
    boxes.push(...scope.enclosures);
    this.#scope = scope;
    this.#entries = entries;
    this.#areas = areas;
    this.#boxes = new Set(boxes);
  }

  /** Whether a change is to be written into the part: asked before it is. */
  concerns(change: Written): boolean {
    const concerned = this.slice.get(change.table, change.id) !== null || this.#isNew(change);
    if (concerned) this.#concerned.add(`${change.table} ${change.id}`);
    return concerned;
  }

  #isNew({ table, after }: Written): boolean {
    if (after === null) return false;
    if (table === 'change')
      return (after as Change).records.some(({ table: of, id }) => this.#concerned.has(`${of} ${id}`));
    if (table === 'round') {
      const { id, entries } = after as Round;
      return this.#scope.rounds.includes(id) || entries.some((entry) => this.#entries.has(entry));
    }
    if (table === 'entry') return this.#holdsEntry(after as Entry);
    if (table === 'enclosure')
      return this.#areas.has((after as Enclosure).area) || this.#scope.enclosures.includes(after.id);
    if (table === 'cable') return this.#scope.cables.includes(after.id);
    const { taken } = tableOf(table);
    if (taken === 'entry') return this.#has('entry', (after as unknown as { entry: Id }).entry);
    if (taken === 'cable') return this.#has('cable', (after as unknown as { cable: Id }).cable);
    return taken === 'whole';
  }

  #holdsEntry({ enclosure, cable }: Entry): boolean {
    return this.#boxes.has(enclosure) || (cable !== null && this.#has('cable', cable));
  }

  #has(table: 'entry' | 'cable' | 'enclosure', id: Id): boolean {
    return this.slice.get(table, id) !== null;
  }

  /**
   * Whether something is missing now that belongs to the part: what a change refers to, or what came with a record that
   * was elsewhere before. Asked after it was written; the part is then fetched again.
   *
   * @param was what stood there before
   */
  lacks({ table, after }: Written, was: Tables[typeof table] | null): boolean {
    if (after === null) return false;
    if (table === 'entry') {
      const { enclosure, cable } = after as Entry;
      if (!this.#has('enclosure', enclosure) || (cable !== null && !this.#has('cable', cable))) return true;
      // Moved in: what belongs to it has been elsewhere.
      const moved =
        was === null || (this.#boxes.has(enclosure) && !this.#boxes.has((was as Entry).enclosure));
      return moved && !this.#born.has(`entry ${after.id}`);
    }
    if (table === 'enclosure') {
      const { id, area } = after as Enclosure;
      return this.#areas.has(area) && (was as Enclosure | null)?.area !== area && !this.#born.has(`enclosure ${id}`); // prettier-ignore
    }
    if (table === 'packing')
      return [...namesIn(after as TransitPacking).cables].some((cable) => !this.#has('cable', cable));
    if (table === 'round' && this.#scope.rounds.includes(after.id))
      return (after as Round).entries.some((entry) => !this.#has('entry', entry));
    return false;
  }
}

/**
 * Writes what of some news concerns a part of a site into it.
 *
 * @returns what was written; and whether something is missing now, so that the part has to be fetched again
 */
export function partNews(
  slice: Slice & { write(changes: readonly Written[]): void },
  scope: Scope,
  news: readonly Written[],
): { written: Written[]; lacks: boolean } {
  const part = new Part(slice, scope, news);
  const concerned: { change: Written; was: Tables[TableName] | null }[] = [];
  for (const change of news) {
    if (!part.concerns(change)) continue;
    concerned.push({ change, was: slice.get(change.table, change.id) });
    slice.write([change]);
  }
  const lacks = concerned.some(({ change, was }) => part.lacks(change, was));
  return { written: concerned.map(({ change }) => change), lacks };
}
