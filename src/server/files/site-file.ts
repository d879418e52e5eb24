import { MemorySlice, type Written } from '../../core/record/slice';
import type { Id, TableName, Tables } from '../../core/record/types';
import { namesIn } from '../../core/record/packing';
import { FILE_TABLES } from '../../core/record/tables';
import { completed } from '../../core/record/completed';
import { bare, frozenIn } from '../../core/record/seal';
import type { SiteStore } from '../../store/site-store';
import { schemaFaults, type FileFault } from './schema';

/** The open format of one site, `docs/schemas/site.schema.json`. */
const SITE_FORMAT = 'yendral-site-1' as const;

/** Tables of a site file, in its order. */
export const LISTS = FILE_TABLES as readonly FileTable[];
type FileTable = Exclude<TableName, 'site' | 'change'>;

/** A site with everything recorded of it. */
export type SiteFile = {
  format: typeof SITE_FORMAT;
  exportedAt: string;
  /** Where the journal stood; a file made elsewhere has none. */
  journal: { seq: number; hash: string } | null;
  site: Tables['site'];
} & { [T in FileTable]: Tables[T][] };

/** Writes a site as its open format. */
export function exportSite(store: SiteStore, at: string): SiteFile {
  const lists = Object.fromEntries(
    LISTS.map((table) => [table, store.records.all(table).map(bare)]),
  ) as unknown as { [T in FileTable]: Tables[T][] };
  return { ...siteHead(store, at), ...lists };
}

/** What stands before the lists. */
export const siteHead = (store: SiteStore, at: string) => ({
  format: SITE_FORMAT,
  exportedAt: at,
  journal: store.journal.head(),
  site: bare(store.site!),
});

/** Reads a site file into memory; every fault is named, and nothing is read when there is one. */
export function readSiteFile(text: string): { slice: MemorySlice; file: SiteFile } | { faults: FileFault[] } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { faults: [{ row: null, field: '(file)', message: 'is not JSON.' }] };
  }
  const faults = schemaFaults('site', value);
  if (faults.length > 0) return { faults };
  const file = value as SiteFile;
  file.site = completed('site', file.site);
  // Files of an earlier day lack tables and fields that came since.
  for (const table of LISTS)
    file[table] = (file[table] ?? []).map((record) => completed(table, record)) as never;
  const strays = strayReferences(file);
  if (strays.length > 0) return { faults: strays };
  const slice = new MemorySlice();
  const changes: Written[] = [{ table: 'site', id: file.site.id, after: file.site }];
  for (const table of LISTS)
    for (const record of file[table]) changes.push({ table, id: record.id, after: record });
  slice.write(changes);
  return { slice, file };
}

const POINTERS: [from: FileTable, field: string, to: FileTable][] = [
  ['enclosure', 'area', 'area'],
  ['entry', 'enclosure', 'enclosure'],
  ['entry', 'certificate', 'certificate'],
  ['entry', 'cable', 'cable'],
  ['reading', 'entry', 'entry'],
  ['reading', 'round', 'round'],
  ['reading', 'instrument', 'instrument'],
  ['look', 'entry', 'entry'],
  ['look', 'round', 'round'],
  ['pour', 'entry', 'entry'],
  ['pour', 'round', 'round'],
  ['makeoff', 'entry', 'entry'],
  ['makeoff', 'round', 'round'],
  ['asleft', 'round', 'round'],
  ['inspection', 'entry', 'entry'],
  ['inspection', 'round', 'round'],
  ['defect', 'round', 'round'],
  ['insulation', 'cable', 'cable'],
  ['insulation', 'instrument', 'instrument'],
  ['insulation', 'entry', 'entry'],
  ['continuity', 'cable', 'cable'],
  ['packing', 'entry', 'entry'],
  ['asleft', 'entry', 'entry'],
  ['defect', 'entry', 'entry'],
];

function strayReferences(file: SiteFile): FileFault[] {
  const known = new Map<string, Set<Id>>(
    LISTS.map((table) => [table, new Set(file[table].map(({ id }) => id))]),
  );
  const faults: FileFault[] = [];
  for (const [from, field, to] of POINTERS) {
    file[from].forEach((record, i) => {
      const id = (record as unknown as Record<string, Id | null>)[field];
      if (id !== null && id !== undefined && !known.get(to)!.has(id)) {
        faults.push({
          row: null,
          field: `${from}.${i}.${field}`,
          message: `names ${to} ${id}, which is not in the file.`,
        });
      }
    });
  }
  file.packing.forEach((packing, i) => {
    const { cables, instruments } = namesIn(packing);
    for (const [to, ids] of [
      ['cable', cables],
      ['instrument', instruments],
    ] as const) {
      for (const id of ids) {
        if (known.get(to)!.has(id)) continue;
        faults.push({
          row: null,
          field: `packing.${i}`,
          message: `names ${to} ${id}, which is not in the file.`,
        });
      }
    }
  });
  for (const from of ['asleft', 'inspection'] as const) {
    file[from].forEach((sealed, i) => {
      const lost = frozenIn(sealed).find((hash) => !known.get('frozen')!.has(hash));
      if (lost) faults.push({ row: null, field: `${from}.${i}.frozen`, message: `rests on ${lost}, which is not in the file.` }); // prettier-ignore
    });
  }
  return faults.slice(0, 20);
}
