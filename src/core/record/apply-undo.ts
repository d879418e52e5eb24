import { Refusal, type Payloads } from './commands';
import type { Draft } from './draft';
import { isSealed } from './apply-inspection';
import { nounOf, usersOf } from './references';
import type { Id, TableName, Tables } from './types';

/**
 * Takes a command back, by restoring what was before it. Refused when something later builds on it or when it
 * is sealed. An undo can itself be undone.
 */
export function applyUndo(draft: Draft, payload: Payloads['undo']): void {
  const change = draft.need('change', payload.command, 'command');
  if (change.undone) throw new Refusal('invalid', 'command', 'This change is undone already.');
  if (change.kind === 'inspection.seal' || change.kind === 'asleft.seal') {
    throw new Refusal('sealed', 'command', 'A seal is not undone. Correct it with a new round.');
  }
  const own = new Set(change.records.map(({ id }) => id));
  for (const { table, id, before, rev } of change.records) {
    needUntouched(draft, table, id, rev);
    if (before === null) needUnused(draft, table, id, own);
    needUnsealed(draft, draft.get(table, id));
  }
  for (const { table, id, before } of change.records) {
    draft.restore(table, id, before as Tables[TableName] | null);
  }
  draft.put('change', { ...change, undone: draft.command.id });
}

function needUntouched(draft: Draft, table: TableName, id: Id, rev: Id | null): void {
  if ((draft.get(table, id)?.rev ?? null) === rev) return;
  throw new Refusal(
    'depends',
    'command',
    `A later change of this ${nounOf(table)} depends on it. Undo that one first.`,
  );
}

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
