import type { SiteStore } from '../../store/site-store';
import { toCsv } from './csv';
import { findingRecord, judgeSite } from './judge-site';
import { SIZE_COLUMNS, sizeRows } from './import-sizes';
import { exportSite } from './site-file';

/** What can be taken out of a site. */
export const EXPORTS = [
  'findings.csv',
  'findings.json',
  'defects.csv',
  'defects.json',
  'sizes.csv',
  'site.json',
] as const;
export type ExportName = (typeof EXPORTS)[number];

const FINDING_COLUMNS = [
  'site', 'area', 'enclosure', 'label', 'check', 'title', 'grade', 'verdict', 'statement', 'margin_mm',
  'settle', 'basis', 'round', 'date', 'inspector', 'instrument', 'certificate', 'entry',
]; // prettier-ignore

const DEFECT_COLUMNS = [
  'site', 'area', 'enclosure', 'label', 'check', 'severity', 'severity_reason', 'state', 'due', 'owner',
  'statement', 'action', 'basis', 'hazard', 'found_at', 'found_by', 'repeats', 'photos', 'defect',
]; // prettier-ignore

const CSV = 'text/csv; charset=utf-8';
const JSON_TYPE = 'application/json; charset=utf-8';

/** Content type of an export. */
export const typeOf = (name: ExportName): string => (name.endsWith('.csv') ? CSV : JSON_TYPE);

/** One export of a site as text with its content type. */
export function exportOf(store: SiteStore, name: ExportName, at: string): { type: string; text: string } {
  if (name === 'site.json') return asJson(exportSite(store, at));
  if (name === 'sizes.csv') {
    const certificates = store.records.all('certificate');
    return { type: CSV, text: toCsv(SIZE_COLUMNS, sizeRows(certificates)) };
  }
  const rows = name.startsWith('findings') ? findingRows(store, at) : defectRows(store);
  if (name.endsWith('.json')) {
    return asJson({
      site: store.site!.name,
      exported_at: at,
      journal: store.journal.head(),
      rows,
    });
  }
  const columns = name.startsWith('findings') ? FINDING_COLUMNS : DEFECT_COLUMNS;
  return { type: CSV, text: toCsv(columns, rows) };
}

const asJson = (value: unknown) => ({
  type: JSON_TYPE,
  text: `${JSON.stringify(value, null, 2)}\n`,
});

function findingRows(store: SiteStore, at: string): Record<string, unknown>[] {
  return judgeSite(store.records, store.id, at).flatMap((judged) =>
    judged.findings.map((finding) => findingRecord(judged, finding)),
  );
}

function defectRows({ records, site }: SiteStore): Record<string, unknown>[] {
  const defects = records.all('defect').sort((a, b) => (a.due < b.due ? -1 : 1));
  return defects.map((defect) => {
    const entry = records.get('entry', defect.entry);
    const enclosure = entry && records.get('enclosure', entry.enclosure);
    const area = enclosure && records.get('area', enclosure.area);
    return {
      site: site!.name,
      area: area?.name,
      enclosure: enclosure?.tag,
      label: entry?.label,
      check: defect.check ?? 'observation',
      severity: defect.severity,
      severity_reason: defect.severityReason,
      state: defect.state,
      due: defect.due,
      owner: defect.owner,
      statement: defect.statement,
      action: defect.action,
      basis: defect.basis,
      hazard: defect.hazard,
      found_at: defect.foundAt,
      found_by: defect.foundBy,
      repeats: defect.repeats,
      photos: defect.photos.join(' '),
      defect: defect.id,
    };
  });
}
