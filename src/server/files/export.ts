import type { SiteStore } from '../../store/site-store';
import { defectStatement } from '../../core/words/en/defects';
import { bare } from '../../core/record/seal';
import type { Base } from '../../core/record/types';
import { csvHead, csvRows, toCsv } from './csv';
import { findingRecord, judgeOne } from './judge-site';
import { SIZE_COLUMNS, sizeRows } from './import-sizes';
import { LISTS, siteHead } from './site-file';

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

/** A piece of a long work: text of its answer, or how far it has come. */
export type Piece = { text: string } | { done: number; of: number };

/** One export of a site, piece by piece: nothing holds all of a large one. */
export function* exportPieces(store: SiteStore, name: ExportName, at: string): Generator<Piece> {
  if (name === 'site.json') return yield* sitePieces(store, at);
  if (name === 'sizes.csv')
    return yield { text: toCsv(SIZE_COLUMNS, sizeRows(store.records.all('certificate'))) };
  const findings = name.startsWith('findings');
  const rows = findings ? findingRows(store, at) : batchesOf(defectRows(store));
  if (name.endsWith('.csv')) {
    const columns = findings ? FINDING_COLUMNS : DEFECT_COLUMNS;
    yield { text: csvHead(columns) };
    for (const piece of rows) yield 'rows' in piece ? { text: csvRows(columns, piece.rows) } : piece;
    return;
  }
  const head = { site: store.site!.name, exported_at: at, journal: store.journal.head() };
  yield { text: openObject(head) };
  yield* listPieces('rows', rows);
  yield { text: '\n}\n' };
}

/** An export as one text. */
export function exportText(store: SiteStore, name: ExportName, at: string): string {
  let text = '';
  for (const piece of exportPieces(store, name, at)) if ('text' in piece) text += piece.text;
  return text;
}

/** Rows that belong together, or how far the work has come. */
type Rows<R> = { rows: R[] } | { done: number; of: number };

/** Rows of one piece. */
const MANY = 200;

function* batchesOf<R>(rows: readonly R[]): Generator<Rows<R>> {
  for (let i = 0; i < rows.length; i += MANY) yield { rows: rows.slice(i, i + MANY) };
}

/** Every finding, entry by entry. */
function* findingRows({ records, id }: SiteStore, at: string): Generator<Rows<Record<string, unknown>>> {
  const entries = records.by('entry', 'site', id);
  for (let done = 0; done < entries.length; done++) {
    const judged = judgeOne(records, entries[done]!, at);
    if (judged) yield { rows: judged.findings.map((finding) => findingRecord(judged, finding)) };
    yield { done: done + 1, of: entries.length };
  }
}

function* sitePieces(store: SiteStore, at: string): Generator<Piece> {
  yield { text: openObject(siteHead(store, at)) };
  for (let done = 0; done < LISTS.length; done++) {
    const table = LISTS[done]!;
    yield* listPieces(table, bareBatches(store, table));
    yield { done: done + 1, of: LISTS.length };
  }
  yield { text: '\n}\n' };
}

function* bareBatches({ records }: SiteStore, table: (typeof LISTS)[number]): Generator<Rows<object>> {
  for (const some of records.batches(table, MANY)) yield { rows: some.map((record) => bare(record as Base)) };
}

/** The beginning of an object, to which fields are still to come. */
const openObject = (fields: object): string => JSON.stringify(fields, null, 2).replace(/\n\}$/, '');

/** A further field that is a list, piece by piece, as `JSON.stringify` indents it. */
function* listPieces(field: string, rows: Iterable<Rows<object>>): Generator<Piece> {
  yield { text: `,\n  "${field}": [` };
  let first = true;
  for (const piece of rows) {
    if (!('rows' in piece)) {
      yield piece;
      continue;
    }
    let text = '';
    for (const row of piece.rows) {
      text += `${first ? '' : ','}\n    ${JSON.stringify(row, null, 2).replaceAll('\n', '\n    ')}`;
      first = false;
    }
    if (text !== '') yield { text };
  }
  yield { text: first ? ']' : '\n  ]' };
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
      statement: defectStatement(defect),
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
