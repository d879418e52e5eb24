import type { Slice } from '../../core/record/slice';
import type { Tables } from '../../core/record/types';

/** A record as it is called in a choice. */
export function titleOf(slice: Slice, table: string, record: Tables[keyof Tables]): string {
  if (table === 'entry') {
    const entry = record as Tables['entry'];
    return `${slice.get('enclosure', entry.enclosure)?.tag ?? '?'}, entry ${entry.label}`;
  }
  const { tag, number, name, id } = record as unknown as Record<string, string | undefined>;
  return tag ?? number ?? name ?? id ?? '';
}
