import { Refusal, type Payloads } from './commands';
import type { Draft } from './draft';
import { isSealed } from './apply-inspection';
import { nounOf, usersOf } from './references';
import type { Change, Id, TableName, Tables } from './types';

/**
 * Takes a command back, by restoring what was before it. Refused when something later builds on it or when it
 * is sealed. An undo can itself be undone.
 */
export function applyUndo(draft: Draft, payload: Payloads['undo']): void {
  const change = draft.need('change', payload.command, 'command');
  if (change.undone) throw new Refusal('invalid', 'command', 'This change is undone already.');
  if (change.kind === 'inspection.seal') {
    throw new Refusal('sealed', 'command', 'A seal is not undone. Correct it with a new round.');
  }
  const own = new Set(change.records.map(({ id }) => id));
  for (const { table, id, before } of change.records) {
    needUntouched(draft, change, table, id);
    if (before === null) needUnused(draft, table, id, own);
    needUnsealed(draft, draft.get(table, id));
  }
  for (const { table, id, before } of change.records) {
    draft.restore(table, id, before as Tables[TableName] | null);
  }
  draft.put('change', { ...change, undone: draft.command.id });
}

function needUntouched(draft: Draft, change: Change, table: TableName, id: Id): void {
  const now = draft.get(table, id);
  // A removed record has no revision: that it is still gone is all that can be asked.
  if (now === null ? wasRemoved(change, table, id) : now.rev === change.id || isRestored(change, now.rev))
    return;
  throw new Refusal(
    'depends',
    'command',
    `A later change of this ${nounOf(table)} depends on it. Undo that one first.`,
  );
}

const wasRemoved = (change: Change, table: TableName, id: Id): boolean =>
  change.records.some((record) => record.table === table && record.id === id && record.before !== null);

/** An undo restores records with their old revision, so its own mark is not on them. */
const isRestored = (change: Change, rev: Id | undefined): boolean =>
  change.kind === 'undo' && rev !== undefined && rev < change.id;

function needUnused(draft: Draft, table: TableName, id: Id, own: ReadonlySet<Id>): void {
  const users = usersOf(draft, table, id, own);
  if (users)
    throw new Refusal('depends', 'command', `This ${nounOf(table)} is used by ${users}. Undo those first.`);
}

function needUnsealed(draft: Draft, record: Tables[TableName] | null): void {
  if (!record || !('round' in record) || !('entry' in record)) return;
  if (isSealed(draft, record.entry, record.round)) {
    throw new Refusal('sealed', 'command', 'The inspection is sealed; correct it with a new round.');
  }
}
