import type { AnyCommand, DossierTable } from '../../commands/commands';
import { DOSSIER_TABLES } from '../../commands/commands';
import { nounOf } from './tables';
import type { Slice } from '../../record/slice';
import { count } from './format';
import { SPOT_WORDS } from './kinds/looks';
import { nameOf } from './lost';

/** What a command is, as its giver would say it. */
export function commandWords(slice: Slice, command: AnyCommand): string {
  const { kind } = command;
  const [table, verb] = kind.split('.') as [DossierTable, string];
  if (DOSSIER_TABLES.includes(table)) {
    const { id } = command.payload as { id: string };
    const own = command.payload as Record<string, string>;
    const name = own.tag ?? own.number ?? own.name ?? own.label ?? own.title ?? nameOf(slice, table, id);
    return `${VERB[verb] ?? verb} ${nounOf(table)} ${name}`.trim();
  }
  switch (command.kind) {
    case 'reading.take':
      return `Reading ${command.payload.typed} at ${command.payload.place.replaceAll('-', ' ')} of ${nameOf(slice, 'entry', command.payload.entry)}`;
    case 'look.answer':
      return `Answer to “${command.payload.look.replaceAll('-', ' ')}” of ${nameOf(slice, 'entry', command.payload.entry)}`;
    case 'look.together':
      return `${count(command.payload.answers.length, 'look')} ${SPOT_WORDS[command.payload.spot].toLowerCase()} of ${nameOf(slice, 'entry', command.payload.entry)}, all as they should be`;
    case 'defect.raise':
      return `New defect ${command.payload.check ?? ''} of ${nameOf(slice, 'entry', command.payload.entry)}`;
    case 'defect.edit':
      return `Change of defect ${nameOf(slice, 'defect', command.payload.id)}`;
    case 'packing.set':
      return `Packing of ${nameOf(slice, 'entry', command.payload.entry)}`;
    case 'inspection.seal':
    case 'asleft.seal':
      return `Seal of ${nameOf(slice, 'entry', command.payload.entry)}`;
    case 'dossier.import':
      return `Import of ${command.payload.source}`;
    default:
      return OTHER[kind] ?? kind;
  }
}

const VERB: Record<string, string> = {
  lend: 'Lending of',
  add: 'New',
  edit: 'Change of',
  remove: 'Removal of',
};

const OTHER: Record<string, string> = {
  'site.add': 'New site',
  'site.edit': 'Change of the site',
  'reading.strike': 'Striking out a reading',
  'pour.record': 'A mixing',
  'pour.edit': 'Change of a mixing',
  'makeoff.start': 'Start of a make-off',
  'makeoff.tick': 'A step of a make-off',
  'makeoff.untick': 'Taking back a step of a make-off',
  'insulation.start': 'Start of an insulation test',
  'insulation.read': 'A reading of insulation',
  'continuity.record': 'A continuity test',
  undo: 'An undo',
};

/** Why a command was not taken: the sentence alone, with the field in words where it names one. */
export function refusalWords({ field, message }: { field: string; message: string }): string {
  const own = message.startsWith(field) ? message.slice(field.length).trim() : null;
  if (own === null || field === '') return message;
  const name = field.replace(/^payload\.(set\.)?/, '').replace(/\.\d+$/, '').replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`).replaceAll('.', ', '); // prettier-ignore
  return `${name} ${own}.`;
}
