import { DOSSIER_TABLES, type AnyCommand, type DossierTable, type ImportItem } from './commands';
import { completed } from '../record/completed';

/**
 * A command of an earlier version of the program as this version takes it. Commands wait on devices for days: what
 * was typed under the version before must not be refused for a field that nobody could know then.
 */
export function upgradeCommand(command: AnyCommand): AnyCommand {
  const [table, verb] = command.kind.split('.') as [DossierTable, string];
  if (command.kind === 'dossier.import') {
    const { source, items } = command.payload;
    const lifted = items.map(({ table: of, record }) => ({ table: of, record: completedFields(of, record) }));
    return { ...command, payload: { source, items: lifted as ImportItem[] } };
  }
  if (command.kind === 'site.add') return { ...command, payload: completedFields('site', command.payload) };
  if (command.kind === 'packing.set') return { ...command, payload: completed('packing', command.payload) };
  if (verb !== 'add' || !DOSSIER_TABLES.includes(table)) return command;
  return { ...command, payload: completedFields(table, command.payload) } as AnyCommand;
}

/** Fields that the reducer keeps. */
interface Kept {
  cableSince?: unknown;
  of?: unknown;
  lentAt?: unknown;
}

/** A record with the fields that came since; what the reducer keeps is not told. */
function completedFields<R extends object>(table: DossierTable | 'site', record: R): R {
  const { cableSince: _c, of: _o, lentAt: _l, ...whole } = completed(table, record) as R & Kept;
  return whole as unknown as R;
}
