import { ulid } from 'ulid';
import type { AnyCommand } from '../core/record/commands';
import type { JournalNews, Snapshot } from '../core/record/snapshot';
import type { Id, Tables } from '../core/record/types';
import { TABLES } from '../core/record/tables';
import type { App } from './app';

/** Changes that a page gets with its snapshot, so that it can undo them. */
const RECENT_CHANGES = 200;

/** Names the journal of this database, so that a page notices when the server has started anew. */
const journalId = (store: App['store']): string => store.people.setting('journal-id', ulid);

/** Everything a page keeps of a site. */
export function snapshotOf({ store }: App, site: Tables['site']): Snapshot {
  return store.db.transaction(() => {
    const records = Object.fromEntries(
      TABLES.map((table) => {
        if (table === 'site') return [table, [site]];
        if (table === 'change') return [table, store.records.recentChanges(site.id, RECENT_CHANGES)];
        return [table, store.records.by(table, 'site', site.id)];
      }),
    ) as unknown as Snapshot['records'];
    return { journal: journalId(store), ...store.journal.head(), records };
  })();
}

/**
 * Commands of a site after a line of the journal, in order, and the line where the journal stands.
 *
 * @param hash of the line `after`, as the asker knows it; empty where they do not. Another one says that the journal
 * was put back, as by an older backup.
 */
export function commandsAfter({ store }: App, site: Id, after: number, hash = ''): JournalNews {
  return store.db.transaction((): JournalNews => {
    const journal = journalId(store);
    const head = store.journal.head();
    if (!store.journal.holds(after, hash)) return { journal, ...head, back: true, commands: [] };
    const commands = store.journal.after(site, after).map((line) => ({
      seq: line.seq,
      hash: line.hash,
      person: line.person,
      command: JSON.parse(line.command) as AnyCommand,
    }));
    return { journal, ...head, back: false, commands };
  })();
}
