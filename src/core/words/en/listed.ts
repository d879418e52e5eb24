import type { Slice } from '../../record/slice';
import type { Entry, TableName, Tables } from '../../record/types';
import { kindTitle } from './kinds/kinds';

/** What a record is called in lists, and what else it is found by. */
export interface Listed {
  title: string;
  words: string;
}

/** Tables whose records are found by what they are called. */
export const LISTED_TABLES = [
  'entry',
  'enclosure',
  'cable',
  'certificate',
  'defect',
  'round',
] as const satisfies readonly TableName[];
type ListedTable = (typeof LISTED_TABLES)[number];

const OF: { [T in Exclude<ListedTable, 'entry'>]: (record: Tables[T]) => Listed } = {
  enclosure: ({ tag, what }) => ({ title: tag, words: ['enclosure', what].filter(Boolean).join(', ') }),
  cable: ({ tag, cores }) => ({ title: tag, words: `cable, ${cores.length} cores` }),
  certificate: ({ number, title }) => ({ title: number, words: `certificate, ${title}` }),
  defect: ({ check, statement }) => ({ title: `Defect ${check ?? ''}`.trim(), words: statement }),
  round: ({ name, grade }) => ({ title: name, words: `round, ${grade}` }),
};

/** What a record is called; null for one of a table that is not listed, or an entry: {@link entryListed}. */
export function recordListed(table: TableName, record: Tables[TableName]): Listed | null {
  if (!(table in OF)) return null;
  return (OF[table as keyof typeof OF] as (record: unknown) => Listed)(record);
}

/** What an entry is called, and by what else it is found: kind, size, cable and area. */
export function entryListed(slice: Slice, { enclosure, label, kind, size, cable }: Entry): Listed {
  const box = slice.get('enclosure', enclosure);
  const area = box && slice.get('area', box.area);
  const tag = cable === null ? null : (slice.get('cable', cable)?.tag ?? null);
  const words = [kindTitle(kind), size, tag && `cable ${tag}`, area?.name];
  return { title: `${box?.tag ?? '?'}, entry ${label}`, words: words.filter(Boolean).join(', ') };
}
