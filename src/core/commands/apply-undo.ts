import { needOwnName, needReferences } from './apply-dossier';
import { isRefusal, Refusal, type Payloads } from './commands';
import type { Draft } from './draft';
import { isSealed } from './apply-inspection';
import { usersOf } from '../record/references';
import { reverse } from '../record/slice';
import type { Id, TableName, Tables } from '../record/types';

/**
 * Takes a command back, by restoring what was before it. Refused when something later builds on it or when it
 * is sealed. An undo can itself be undone.
 */
export function applyUndo(draft: Draft, payload: Payloads['undo']): void {
  const change = draft.need('change', payload.command, 'command');
  if (change.undone) throw new Refusal('invalid', 'command', 'change.undone');
  if (change.kind === 'inspection.seal' || change.kind === 'asleft.seal') {
    throw new Refusal('sealed', 'command', 'seal.stays');
  }
  const own = new Set(change.records.map(({ id }) => id));
  for (const { table, id, before, rev } of change.records) {
    needUntouched(draft, table, id, rev);
    if (before === null) needUnused(draft, table, id, own);
    needUnsealed(draft, table, draft.get(table, id));
  }
  for (const { table, id, after } of reverse(change)) draft.restore(table, id, after);
  for (const { table, id, before } of change.records)
    if (before) needWhole(draft, table, id, before as object);
  draft.put('change', { ...change, undone: draft.command.id });
}

/** What is restored has to find what it points at, and its name has to be free. */
function needWhole(draft: Draft, table: TableName, id: Id, record: object): void {
  try {
    needReferences(draft, table, record, '');
    needOwnName(draft, table, record, id, '');
  } catch (error) {
    if (!isRefusal(error)) throw error;
    throw new Refusal('depends', 'command', 'undo.gone', {}, error);
  }
}

function needUntouched(draft: Draft, table: TableName, id: Id, rev: Id | null): void {
  if ((draft.get(table, id)?.rev ?? null) === rev) return;
  throw new Refusal('depends', 'command', 'undo.later', { table });
}

function needUnused(draft: Draft, table: TableName, id: Id, own: ReadonlySet<Id>): void {
  const users = usersOf(draft, table, id, own);
  if (users.length > 0) throw new Refusal('depends', 'command', 'undo.used', { table, users });
}

/** Tables of a cable's tests and a transit's packing: they belong to no round, and a seal rests on them all the same. */
const BY_CABLE: ReadonlySet<TableName> = new Set(['insulation', 'continuity']);

function needUnsealed(draft: Draft, table: TableName, record: Tables[TableName] | null): void {
  if (!record) return;
  if (BY_CABLE.has(table)) {
    const { cable, at } = record as Tables['continuity'];
    const ends = draft.by('entry', 'cable', cable).map(({ id }) => id);
    return ends.forEach((entry) => needNoSealAfter(draft, entry, at));
  }
  if (table === 'packing') {
    const { entry, at } = record as Tables['packing'];
    return needNoSealAfter(draft, entry, at);
  }
  if (!('round' in record) || !('entry' in record)) return;
  if (isSealed(draft, record.entry, record.round)) {
    throw new Refusal('sealed', 'command', 'undo.inspection-sealed');
  }
}

function needNoSealAfter(draft: Draft, entry: Id, at: string): void {
  const seals = [...draft.by('inspection', 'entry', entry), ...draft.by('asleft', 'entry', entry)];
  if (seals.some((seal) => seal.at > at)) {
    throw new Refusal('sealed', 'command', 'undo.sealed');
  }
}
