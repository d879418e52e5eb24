import { Refusal, type DossierFields, type DossierTable, type ImportItem, type Payloads } from './commands';
import type { Draft } from './draft';
import { shippedSet } from '../rulebook/references';
import { nounOf, REFERENCES, usersOf } from './references';
import type { Id, TableName, Tables } from './types';

/** A new site, whose id is the command's site. */
export function applySiteAdd(draft: Draft, payload: Payloads['site.add']): void {
  if (payload.id !== draft.command.site) {
    throw new Refusal('invalid', 'id', 'A new site is added under its own id.');
  }
  draft.needFree('site', payload.id);
  if (!shippedSet(payload.references)) {
    throw new Refusal('invalid', 'references', 'A new site starts with a shipped set of references.');
  }
  draft.put('site', { ...payload, site: payload.id, lastSeal: null });
}

export function applySiteEdit(draft: Draft, { id, set }: Payloads['site.edit']): void {
  if (set.references !== undefined) needReferenceSet(draft, set.references, 'set.references');
  draft.put('site', merged(draft, 'site', draft.need('site', id, 'id'), set));
}

/** A shipped set of references, or one of the site's own. */
function needReferenceSet(draft: Draft, id: Id, field: string): void {
  if (!shippedSet(id)) draft.need('reference', id, field);
}

export function applyAdd<T extends DossierTable>(draft: Draft, table: T, record: DossierFields[T]): void {
  draft.needFree(table, record.id);
  needReferences(draft, table, record, '');
  draft.put(table, { ...record, site: draft.command.site } as unknown as Tables[T]);
}

export function applyEdit<T extends DossierTable>(
  draft: Draft,
  table: T,
  { id, set }: { id: Id; set: Partial<DossierFields[T]> },
): void {
  const before = draft.need(table, id, 'id');
  needReferences(draft, table, set, 'set.');
  draft.put(table, merged(draft, table, before, set as Partial<Tables[T]>));
}

export function applyRemove(draft: Draft, table: DossierTable, { id }: { id: Id }): void {
  draft.need(table, id, 'id');
  const site = draft.get('site', draft.command.site);
  const users =
    table === 'reference' && site?.references === id ? 'the site' : usersOf(draft, table, id, new Set());
  if (users) {
    throw new Refusal(
      'in-use',
      'id',
      `This ${nounOf(table)} is used by ${users}. Remove or change them first.`,
    );
  }
  draft.remove(table, id);
}

/** Adds what is new and changes what is there; one command, so that nothing is half-imported. */
export function applyImport(draft: Draft, items: readonly ImportItem[]): void {
  items.forEach(({ table, record }, i) => {
    needReferences(draft, table, record, `items.${i}.record.`);
    const before = draft.get(table, record.id);
    if (!before) {
      draft.put(table, { ...record, site: draft.command.site } as unknown as Tables[typeof table]);
      return;
    }
    if (before.site !== draft.command.site) {
      throw new Refusal('exists', `items.${i}.record.id`, 'This id belongs to another site. Make a new id.');
    }
    const { id: _, ...set } = record;
    draft.put(table, merged(draft, table, before, set as Partial<Tables[typeof table]>));
  });
}

/** The record with the fields set that are newer than what stands; older ones go to the history. */
function merged<T extends TableName>(
  draft: Draft,
  table: T,
  before: Tables[T],
  set: Partial<Tables[T]>,
): Tables[T] {
  const { at, id: command } = draft.command;
  const stamps = { ...before.stamps };
  const after: Record<string, unknown> = { ...before };
  for (const [field, value] of Object.entries(set)) {
    const stamp = stamps[field];
    if (stamp && isLater(stamp, [at, command])) {
      draft.lose(table, before.id, field, value);
      continue;
    }
    if (stamp) draft.lose(table, before.id, field, after[field]);
    after[field] = value;
    stamps[field] = [at, command];
  }
  return { ...after, stamps } as unknown as Tables[T];
}

const isLater = (a: [at: string, id: Id], b: [at: string, id: Id]): boolean =>
  a[0] > b[0] || (a[0] === b[0] && a[1] > b[1]);

function needReferences(draft: Draft, table: TableName, record: object, path: string): void {
  const values = record as Record<string, unknown>;
  for (const [field, to] of Object.entries(REFERENCES[table] ?? {})) {
    const id = values[field];
    if (typeof id === 'string') draft.need(to, id, `${path}${field}`);
  }
  if (table === 'round' && Array.isArray(values.entries)) {
    values.entries.forEach((id: Id, i) => draft.need('entry', id, `${path}entries.${i}`));
  }
}
