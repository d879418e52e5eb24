import { DOSSIER_TABLES, type AnyCommand, type DossierTable } from '../core/commands/commands';
import { shapeError, check, guard, offencesOf, type Offence } from './check';
import { DOSSIER_SHAPES, LendShape } from './dossier';
import * as shapes from './work';

type Check = (payload: unknown) => void;

const whole =
  (Shape: new () => object): Check =>
  (payload) =>
    check(Shape, payload, { path: 'payload.', guarded: true });

const edit =
  (Shape: new () => object): Check =>
  (payload) => {
    const { id, set, was, rest } = parts(payload, ['id', 'set', 'was']);
    check(shapes.IdOnlyShape, { id }, { path: 'payload.', guarded: true });
    check(Shape, set, { path: 'payload.set.', partial: true, guarded: true });
    if ('id' in (set as object)) throw shapeError('payload.set.id', 'payload.set.id cannot be changed');
    if (was !== undefined) checkWas(was, set as object);
    refuseRest(rest);
  };

/** What stood in the fields before: of any earlier day, so nothing is asked of it but to be of these fields. */
function checkWas(was: unknown, set: object): void {
  if (typeof was !== 'object' || was === null || Array.isArray(was)) throw shapeError('payload.was', 'payload.was must be an object'); // prettier-ignore
  const stray = Object.keys(was).find((key) => !Object.hasOwn(set, key));
  if (stray !== undefined) throw shapeError(`payload.was.${stray}`, `payload.was.${stray} is not among the fields that are set`); // prettier-ignore
}

const PAYLOADS: Record<string, Check> = {
  'site.add': whole(shapes.SiteShape),
  'site.edit': edit(shapes.SiteShape),
  'instrument.lend': whole(LendShape),
  'dossier.import': checkImport,
  'reading.take': whole(shapes.TakeShape),
  'reading.strike': whole(shapes.StrikeShape),
  'look.answer': whole(shapes.LookShape),
  'look.together': whole(shapes.LooksShape),
  'pour.record': whole(shapes.PourShape),
  'pour.edit': edit(shapes.PourSetShape),
  'makeoff.start': whole(shapes.MakeOffShape),
  'makeoff.tick': whole(shapes.TickShape),
  'makeoff.untick': whole(shapes.UntickShape),
  'insulation.start': whole(shapes.InsulationStartShape),
  'insulation.read': whole(shapes.InsulationReadShape),
  'continuity.record': whole(shapes.ContinuityShape),
  'packing.set': packing,
  'asleft.seal': whole(shapes.AsLeftShape),
  'inspection.seal': whole(shapes.SealShape),
  'defect.raise': whole(shapes.RaiseShape),
  'defect.edit': edit(shapes.DefectSetShape),
  undo: whole(shapes.UndoShape),
};
for (const table of DOSSIER_TABLES) {
  PAYLOADS[`${table}.add`] = whole(DOSSIER_SHAPES[table]);
  PAYLOADS[`${table}.edit`] = edit(DOSSIER_SHAPES[table]);
  PAYLOADS[`${table}.remove`] = whole(shapes.IdOnlyShape);
}

/** A packing, with how it was before where somebody changes one. */
function packing(payload: unknown): void {
  const { was, ...own } = (payload ?? {}) as { was?: unknown };
  check(shapes.PackingShape, typeof payload === 'object' ? own : payload, {
    path: 'payload.',
    guarded: true,
  });
  if (was === undefined) return;
  if (!Array.isArray(was)) throw shapeError('payload.was', 'payload.was must be a list');
  check(shapes.PackingShape, { ...own, openings: was }, { path: 'payload.', guarded: true });
}

/**
 * Reads a command from an untrusted JSON value.
 *
 * @throws InputError with the dotted path of the first offence
 */
export function parseCommand(value: unknown): AnyCommand {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    throw shapeError('', 'A command is a JSON object.');
  }
  guard(value, '');
  const { payload, ...envelope } = value as Record<string, unknown>;
  const { kind } = check(shapes.EnvelopeShape, envelope, { guarded: true });
  const checkPayload = Object.hasOwn(PAYLOADS, kind) ? PAYLOADS[kind] : undefined;
  if (!checkPayload) throw shapeError('kind', `There is no command "${kind}".`);
  checkPayload(payload);
  return value as AnyCommand;
}

/** Everything that is wrong with a dossier record, or with a site: what a form says at its fields. */
export const recordOffences = (table: DossierTable | 'site', record: object): Offence[] =>
  offencesOf(table === 'site' ? shapes.SiteShape : DOSSIER_SHAPES[table], record);

/** Checks one dossier record, whole; used by imports before they become a command. */
export function checkRecord(table: DossierTable, record: unknown, path: string): void {
  check(DOSSIER_SHAPES[table], record, { path });
}

function checkImport(payload: unknown): void {
  const { source, items, rest } = parts(payload, ['source', 'items']);
  if (typeof source !== 'string' || source.trim() === '' || source.length > 200) {
    throw shapeError('payload.source', 'payload.source must name the file');
  }
  if (!Array.isArray(items) || items.length === 0) {
    throw shapeError('payload.items', 'payload.items must hold at least 1');
  }
  items.forEach((item: unknown, i) => {
    const path = `payload.items.${i}.`;
    const { table, record, rest: stray } = parts(item, ['table', 'record'], path);
    if (!DOSSIER_TABLES.includes(table as DossierTable)) {
      throw shapeError(`${path}table`, `${path}table must be one of: ${DOSSIER_TABLES.join(', ')}`);
    }
    checkRecord(table as DossierTable, record, `${path}record.`);
    refuseRest(stray, path);
  });
  refuseRest(rest);
}

/** Named parts of an object and the names of what is left. */
function parts(value: unknown, names: readonly string[], path = 'payload.') {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    const field = path.replace(/\.$/, '');
    throw shapeError(field, `${field} must be an object`);
  }
  const record = value as Record<string, unknown>;
  const named = Object.fromEntries(names.map((name) => [name, record[name]]));
  return { ...named, rest: Object.keys(record).filter((key) => !names.includes(key)) } as Record<
    string,
    unknown
  > & {
    rest: string[];
  };
}

function refuseRest(rest: readonly string[], path = 'payload.'): void {
  if (rest[0] !== undefined) throw shapeError(path + rest[0], `${path}${rest[0]} is not a known field`);
}
