import { applyDefectEdit, applyDefectRaise } from './apply-defect';
import { applyLend } from './apply-lend';
import { applyAdd, applyEdit, applyImport, applyRemove, applySiteAdd, applySiteEdit } from './apply-dossier';
import { applyLook, applyLooksTogether, applySeal, applyStrike, applyTake } from './apply-inspection';
import { applyAsLeft, applyPour, applyPourEdit } from './apply-as-left';
import { applyContinuity, applyInsulationRead, applyInsulationStart } from './apply-insulation';
import { applyMakeOffStart, applyTick, applyUntick } from './apply-make-off';
import { applyPacking } from './apply-packing';
import { applyUndo } from './apply-undo';
import { Refusal, type AnyCommand, type DossierTable } from './commands';
import { Draft } from './draft';
import type { RecordChange, Slice } from '../record/slice';

/**
 * The one reducer: what a command changes in a site's records. Pure; the page's overlay and the store both
 * write exactly the changes it gives.
 *
 * @param by who gave the command, from the session
 * @throws Refusal when the records do not allow it, with the field and what to do
 */
export function apply(slice: Slice, command: AnyCommand, by: string): RecordChange[] {
  const draft = new Draft(slice, command, by);
  if (command.kind !== 'site.add' && !slice.get('site', command.site)) {
    throw new Refusal('unknown-id', 'site', 'site.none');
  }
  run(draft, command);
  return draft.finish();
}

function run(draft: Draft, command: AnyCommand): void {
  switch (command.kind) {
    case 'site.add':
      return applySiteAdd(draft, command.payload);
    case 'site.edit':
      return applySiteEdit(draft, command.payload);
    case 'instrument.lend':
      return applyLend(draft, command.payload);
    case 'dossier.import':
      return applyImport(draft, command.payload.items);
    case 'reading.take':
      return applyTake(draft, command.payload);
    case 'reading.strike':
      return applyStrike(draft, command.payload);
    case 'look.answer':
      return applyLook(draft, command.payload);
    case 'look.together':
      return applyLooksTogether(draft, command.payload);
    case 'pour.record':
      return applyPour(draft, command.payload);
    case 'pour.edit':
      return applyPourEdit(draft, command.payload);
    case 'makeoff.start':
      return applyMakeOffStart(draft, command.payload);
    case 'makeoff.tick':
      return applyTick(draft, command.payload);
    case 'makeoff.untick':
      return applyUntick(draft, command.payload);
    case 'insulation.start':
      return applyInsulationStart(draft, command.payload);
    case 'insulation.read':
      return applyInsulationRead(draft, command.payload);
    case 'continuity.record':
      return applyContinuity(draft, command.payload);
    case 'packing.set':
      return applyPacking(draft, command.payload);
    case 'asleft.seal':
      return applyAsLeft(draft, command.payload);
    case 'inspection.seal':
      return applySeal(draft, command.payload);
    case 'defect.raise':
      return applyDefectRaise(draft, command.payload);
    case 'defect.edit':
      return applyDefectEdit(draft, command.payload);
    case 'undo':
      return applyUndo(draft, command.payload);
    default:
      return runDossier(draft, command);
  }
}

function runDossier(draft: Draft, command: AnyCommand): void {
  const [table, verb] = command.kind.split('.') as [DossierTable, 'add' | 'edit' | 'remove'];
  const payload = command.payload as never;
  if (verb === 'add') return applyAdd(draft, table, payload);
  if (verb === 'edit') return applyEdit(draft, table, payload);
  return applyRemove(draft, table, payload);
}
