import { BULK_TABLES, COLUMNS, type BulkTable } from '../../core/bulk/columns';
import type { SheetSaid } from '../../core/bulk/preview';
import { KIND_IDS, type KindId } from '../../core/record/kind-ids';
import { HttpError } from '../base/error';

const refusal = (field: string, message: string): HttpError => new HttpError(422, 'invalid', message, field);

/**
 * What somebody says of the sheets of a file, from JSON.
 *
 * @param text as it came; null or blank: nothing is said
 * @throws HttpError where it is not of that form
 */
export function saidOfSheets(text: string | null): SheetSaid[] {
  if (!text) return [];
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw refusal('said', 'said must be JSON.');
  }
  if (!Array.isArray(value) || !value.every(isSaid)) {
    throw refusal('said', `said is a list of {"name", "table", "mapping"}; tables: ${BULK_TABLES.join(', ')}; columns as in the templates.`); // prettier-ignore
  }
  return value;
}

function isSaid(value: unknown): value is SheetSaid {
  const { name, table, mapping } = (value ?? {}) as Record<string, unknown>;
  if (typeof name !== 'string') return false;
  if (table !== null && !BULK_TABLES.includes(table as BulkTable)) return false;
  if (mapping === null) return true;
  const columns = table === null ? [] : COLUMNS[table as BulkTable].map(({ id }) => id);
  return Array.isArray(mapping) && mapping.every((one) => isMapped(one, columns));
}

function isMapped(value: unknown, columns: readonly string[]): boolean {
  const { heading, column, unit } = (value ?? {}) as Record<string, unknown>;
  const isText = (text: unknown) => text === null || typeof text === 'string';
  return (
    typeof heading === 'string' && isText(unit) && (column === null || columns.includes(column as string))
  );
}

/** @throws HttpError where a text is no kind of entry */
export function kindOfEntries(text: string | null): KindId {
  if (KIND_IDS.includes(text as KindId)) return text as KindId;
  throw refusal('kind', `Say which kind the entries are of: ${KIND_IDS.join(', ')}.`);
}
