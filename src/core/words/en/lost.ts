import type { Slice } from '../../record/slice';
import type { Lost, TableName } from '../../record/types';
import { nounOf } from './tables';

/** What became of a value that another one replaced, as its author is told. */
export function lostWords(slice: Slice, { table, id, field, value, stands, standsBy }: Lost): string {
  const other = standsBy ?? 'Somebody else';
  return `${other} changed the same at the same time: ${fieldWords(field)} of ${nounOf(table)} ${nameOf(slice, table, id)} is ${valueWords(stands)} now; yours was ${valueWords(value)}. Both stand in its history.`;
}

/** A field's path in words: the parts of a name apart, indices as they are. */
export const fieldWords = (path: string): string =>
  path
    .replace(/\/[^/]*\//g, ', ')
    .replace(/(Mm|M|C|Pct|Ohm|Cm3)(?=\.|$)/g, '')
    .replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`)
    .replace(/\./g, ', ');

/** A value as it is said in a history: a text or figure as it is, anything larger by what it holds. */
export function valueWords(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'not recorded';
  if (typeof value === 'string') return `“${value.length > 80 ? `${value.slice(0, 79)}…` : value}”`;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return String(value);
  if (Array.isArray(value)) {
    const plain = value.every((one) => typeof one !== 'object');
    return plain && value.length <= 6 ? value.join(', ') || 'none' : `${value.length} of them`;
  }
  const entries = Object.entries(value).filter(([, of]) => of !== null && typeof of !== 'object');
  return (
    entries
      .slice(0, 4)
      .map(([key, of]) => `${fieldWords(key)} ${valueWords(of)}`)
      .join(', ') || 'another one'
  );
}

/** What a record is called. */
export function nameOf(slice: Slice, table: TableName, id: string): string {
  const record = slice.get(table, id) as unknown as Record<string, string> | null;
  if (!record) return '';
  if (table === 'entry')
    return `${slice.get('enclosure', record.enclosure!)?.tag ?? ''} ${record.label}`.trim();
  if (table === 'defect' || table === 'packing') {
    const entry = slice.get('entry', record.entry!);
    const box = entry && slice.get('enclosure', entry.enclosure);
    return `${record.check ? `${record.check}, ` : ''}${box?.tag ?? ''} ${entry?.label ?? ''}`.trim();
  }
  return record.tag ?? record.number ?? record.name ?? record.title ?? '';
}
