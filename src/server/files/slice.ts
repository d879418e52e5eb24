import { closure, type Scope } from '../../core/record/closure';
import { TABLES } from '../../core/record/tables';
import type { SiteStore } from '../../store/site-store';
import type { Piece } from './export';

/** Changes that a device gets with its records, so that it can undo them. */
const RECENT_CHANGES = 200;

/** Everything that a scope is inspected with: a `Snapshot` of it as JSON, table by table, with what it is of. */
export function* slicePieces(store: SiteStore, scope: Scope): Generator<Piece> {
  const { entries, records, size } = closure(store.records, store.id, scope);
  const head = { journal: store.journalName, ...store.journal.head(), scope, size };
  yield { text: `${JSON.stringify(head).slice(0, -1)},"records":{` };
  for (const [i, table] of TABLES.entries()) {
    const texts = table === 'change' ? store.records.recentChanges(store.id, RECENT_CHANGES) : records.all(table).map((record) => JSON.stringify(record));
    yield { text: `${i > 0 ? ',' : ''}"${table}":[${texts.join()}]` };
  }
  yield { text: `},"statuses":[${store.statuses.standing(entries).join()}]}` };
} // prettier-ignore
