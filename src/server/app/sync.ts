import type { AnyCommand } from '../../core/commands/commands';
import type { JournalNews } from '../../core/commands/news';
import { TABLES } from '../../core/record/tables';
import type { TableName } from '../../core/record/types';
import type { SiteStore } from '../../store/site-store';

/** Lines that one answer holds. */
const MOST_LINES = 500;

/** Changes that a page gets with its snapshot, so that it can undo them. */
const RECENT_CHANGES = 200;

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
