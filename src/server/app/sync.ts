import type { AnyCommand } from '../../core/commands/commands';
import type { JournalNews, SiteNews } from '../../core/commands/news';
import { NOTHING } from '../../core/record/closure';
import type { Written } from '../../core/record/slice';
import { TABLES } from '../../core/record/tables';
import type { Id, TableName } from '../../core/record/types';
import type { SiteStore } from '../../store/site-store';
import { slicePieces } from '../files/slice';

/** Lines that one answer holds. */
const MOST_LINES = 500;

/**
 * Entries of a site up to which a page keeps all of it. Chosen: some ten megabytes, which a telephone takes and reads
 * in seconds; of larger sites it takes along what it needs.
 */
export const WHOLE_MOST = 1000;

/** Changes that a page gets with its snapshot, so that it can undo them. */
const RECENT_CHANGES = 200;

/**
 * What a page keeps of a site at first: all of it; of one of more entries than `most`, what belongs to no entry.
 */
export function firstCopyOf(store: SiteStore, most: number): string {
  if (store.records.count('entry') <= most) return snapshotOf(store);
  let text = '';
  for (const piece of slicePieces(store, NOTHING)) if ('text' in piece) text += piece.text;
  return text;
}

/** Everything a page keeps of a site: a `Snapshot` as JSON, put together from what is kept as such. */
export function snapshotOf(store: SiteStore): string {
  return store.db.transaction(() => {
    const texts = (table: TableName): string[] => {
      // What seals rest on stays here: nobody judges by it.
      if (table === 'frozen') return [];
      if (table === 'change') return store.records.recentChanges(store.id, RECENT_CHANGES);
      return store.records.texts(table);
    };
    const records = TABLES.map((table) => `"${table}":[${texts(table).join()}]`).join();
    const head = JSON.stringify({ journal: store.journalName, ...store.journal.head() });
    return `${head.slice(0, -1)},"records":{${records}},"statuses":[${store.statuses.standing().join()}]}`;
  })();
}

/**
 * Commands of a site after a line of the journal, in order, and the line where the journal stands.
 *
 * @param hash of the line `after`, as the asker knows it; empty where they do not. Another one says that the journal
 * was put back, as by an older backup.
 */
export function commandsAfter(store: SiteStore, after: number, hash = ''): JournalNews {
  return store.db.transaction((): JournalNews => {
    const journal = store.journalName;
    const head = store.journal.head();
    if (!store.journal.holds(after, hash)) return { journal, ...head, back: true, commands: [], more: false };
    const commands = store.journal.after(after, MOST_LINES).map((line) => ({
      seq: line.seq,
      hash: line.hash,
      person: line.person,
      command: JSON.parse(line.command) as AnyCommand,
    }));
    const more = commands.length === MOST_LINES && commands.at(-1)!.seq < head.seq;
    return { journal, ...head, back: false, commands, more };
  })();
}

/**
 * What the commands of a site after a line of the journal have altered, as it is by now: a device takes it as it is.
 *
 * @param hash of the line `after`, as for `commandsAfter`
 */
export function newsAfter(store: SiteStore, after: number, hash = ''): SiteNews {
  return store.db.transaction((): SiteNews => {
    const journal = store.journalName;
    const head = store.journal.head();
    if (!store.journal.holds(after, hash))
      return { journal, ...head, back: true, taken: [], changes: [], more: false };
    const lines = store.journal.after(after, MOST_LINES);
    const last = lines.at(-1);
    const more = lines.length === MOST_LINES && last!.seq < head.seq;
    const { seq, hash: reached } = more ? last! : head;
    const altered = new Map<string, { table: TableName; id: Id }>();
    for (const { id } of lines) {
      for (const { table, id: record } of store.records.get('change', id)?.records ?? [])
        altered.set(`${table} ${record}`, { table, id: record });
      altered.set(`change ${id}`, { table: 'change', id });
    }
    const changes: Written[] = [];
    for (const { table, id } of altered.values())
      if (table !== 'frozen') changes.push({ table, id, after: store.records.get(table, id) });
    return { journal, seq, hash: reached, back: false, taken: lines.map(({ id, seq: line }) => ({ id, seq: line })), changes, more };
  })();
} // prettier-ignore
