import { Refusal, type DossierFields, type DossierTable, type ImportItem, type Payloads } from './commands';
import type { Draft } from './draft';
import { shippedSet } from '../rulebook/references';
import { usersOf } from '../record/references';
import { tableOf } from '../record/tables';
import { merged } from './merged';
import { withCalibrations } from '../instrument/calibration';
import type { Entry, Id, Instrument, TableName, Tables } from '../record/types';

/** A new site, whose id is the command's site. */
export function applySiteAdd(draft: Draft, payload: Payloads['site.add']): void {
  if (payload.id !== draft.command.site) {
    throw new Refusal('invalid', 'id', 'site.own-id');
  }
  draft.needFree('site', payload.id);
  if (!shippedSet(payload.references)) {
    throw new Refusal('invalid', 'references', 'site.references');
  }
  draft.put('site', { ...payload, site: payload.id, lastSeal: null });
}

export function applySiteEdit(draft: Draft, { id, set, was }: Payloads['site.edit']): void {
  if (set.references !== undefined) needReferenceSet(draft, set.references, 'set.references');
  draft.put('site', merged(draft, 'site', draft.need('site', id, 'id'), set, was));
}

/** A shipped set of references, or one of the site's own. */
function needReferenceSet(draft: Draft, id: Id, field: string): void {
  if (!shippedSet(id)) draft.need('reference', id, field);
}

export function applyAdd<T extends DossierTable>(draft: Draft, table: T, record: DossierFields[T]): void {
  draft.needFree(table, record.id);
  needReferences(draft, table, record, '');
  needOwnName(draft, table, record, record.id, '');
  const own = { ...record, site: draft.command.site } as unknown as Tables[T];
  draft.put(table, kept(draft, table, null, own));
}

export function applyEdit<T extends DossierTable>(
  draft: Draft,
  table: T,
  { id, set, was }: { id: Id; set: Partial<DossierFields[T]>; was?: Partial<DossierFields[T]> },
): void {
  const before = draft.need(table, id, 'id');
  needReferences(draft, table, set, 'set.');
  if (Object.keys(set).some((field) => NAMES[table]?.fields.includes(field)))
    needOwnName(draft, table, { ...before, ...set }, id, 'set.');
  const after = merged(
    draft,
    table,
    before,
    set as Partial<Tables[T]>,
    was as Partial<Tables[T]> | undefined,
  );
  draft.put(table, kept(draft, table, before, after));
}

/** What the reducer keeps beside what people fill in: since when a cable is in its entry, and calibrations as they come. */
function kept<T extends TableName>(
  draft: Draft,
  table: T,
  before: Tables[T] | null,
  after: Tables[T],
): Tables[T] {
  if (table === 'entry') {
    const [was, is] = [before as Entry | null, after as Entry];
    const changed = was !== null && was.cable !== is.cable;
    const cableSince = changed ? draft.command.at : (was?.cableSince ?? null);
    return { ...after, cableSince };
  }
  if (table !== 'instrument') return after;
  return withCalibrations(before as Instrument | null, after as Instrument, draft.command.at) as Tables[T];
}

export function applyRemove(draft: Draft, table: DossierTable, { id }: { id: Id }): void {
  draft.need(table, id, 'id');
  const site = draft.get('site', draft.command.site);
  const users =
    table === 'reference' && site?.references === id
      ? [{ table: 'site' as const, count: 1 }]
      : usersOf(draft, table, id, new Set());
  if (users.length > 0) {
    throw new Refusal('in-use', 'id', 'record.used', { table, users });
  }
  draft.remove(table, id);
}

/** Adds what is new and changes what is there; one command, so that nothing is half-imported. */
export function applyImport(draft: Draft, items: readonly ImportItem[]): void {
  items.forEach(({ table, record }, i) => {
    needReferences(draft, table, record, `items.${i}.record.`);
    needOwnName(draft, table, record, record.id, `items.${i}.record.`);
    const before = draft.get(table, record.id);
    if (!before) {
      const own = { ...record, site: draft.command.site } as unknown as Tables[typeof table];
      draft.put(table, kept(draft, table, null, own));
      return;
    }
    if (before.site !== draft.command.site) {
      throw new Refusal('exists', `items.${i}.record.id`, 'record.other-site');
    }
    const { id: _, ...set } = record;
    draft.put(
      table,
      kept(draft, table, before, merged(draft, table, before, set as Partial<Tables[typeof table]>)),
    );
  });
}

/** What a record is called by, and among whom the name stands once only. */
const NAMES: Partial<
  Record<TableName, { field: string; fields: readonly string[]; among: string; within: string }>
> = {
  area: { field: 'name', fields: ['name'], among: 'name', within: 'site' },
  enclosure: { field: 'tag', fields: ['tag'], among: 'tag', within: 'site' },
  entry: { field: 'label', fields: ['label', 'enclosure'], among: 'enclosure', within: 'enclosure' },
};

/** Refuses a name that another record has already: two of one name are told apart by nobody. */
export function needOwnName(draft: Draft, table: TableName, record: object, id: Id, path: string): void {
  const names = NAMES[table];
  if (!names) return;
  const values: Record<string, string | undefined> = { ...record, site: draft.command.site };
  const { field, among, within } = names;
  const name = values[field];
  if (name === undefined) return;
  const twin = draft
    .by(table, among, values[among]!)
    .map((one) => one as unknown as Record<string, string>)
    .find((one) => one.id !== id && one[field]!.trim() === name.trim() && one[within] === values[within]);
  if (!twin) return;
  throw twinRefusal(draft, table, twin, `${path}${field}`); // prettier-ignore
}

/** Says which record has a name already, so that it is found. */
function twinRefusal(draft: Draft, table: TableName, twin: Record<string, string>, field: string): Refusal {
  if (table === 'area')
    return new Refusal('exists', field, 'name.area', { name: twin.name!, substances: twin.substances ?? '' });
  if (table === 'enclosure') {
    const area = draft.get('area', twin.area!)?.name ?? null;
    return new Refusal('exists', field, 'name.enclosure', { tag: twin.tag!, what: twin.what!, area });
  }
  const tag = draft.get('enclosure', twin.enclosure!)?.tag ?? null;
  return new Refusal('exists', field, 'name.entry', { tag, label: twin.label! });
}

export function needReferences(draft: Draft, table: TableName, record: object, path: string): void {
  const values = record as Record<string, unknown>;
  for (const [field, to] of Object.entries(tableOf(table).references)) {
    const id = values[field];
    if (typeof id === 'string') draft.need(to, id, `${path}${field}`);
  }
  if (table === 'round' && Array.isArray(values.entries)) {
    values.entries.forEach((id: Id, i) => draft.need('entry', id, `${path}entries.${i}`));
  }
}
