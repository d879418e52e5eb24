import type { SheetSaid, SheetTaken } from '../../core/bulk/preview';

/** Where it is kept what headings were taken for. */
const KEPT = 'yendral.headings';
/** Sheets of different headings that are remembered. Chosen: more kinds of file than an office has. */
const MOST_KEPT = 50;

type Kept = { headings: string; table: SheetTaken['table']; mapping: SheetTaken['mapping'] };

const signed = (mapping: SheetTaken['mapping']): string => mapping.map(({ heading }) => heading).join('\n');

function kept(): Kept[] {
  try {
    const all: unknown = JSON.parse(localStorage.getItem(KEPT) ?? '[]');
    return Array.isArray(all) ? (all as Kept[]) : [];
  } catch {
    return [];
  }
}

/** Keeps what somebody took the headings of a sheet for, for the next file that has the same. */
export function keepMapping({ table, mapping }: Pick<SheetTaken, 'table' | 'mapping'>): void {
  const headings = signed(mapping);
  const others = kept().filter((one) => one.headings !== headings);
  localStorage.setItem(KEPT, JSON.stringify([{ headings, table, mapping }, ...others].slice(0, MOST_KEPT)));
}

/** What is known of the sheets of a file from one before; only those that it would change. */
export function knownOf(sheets: readonly SheetTaken[]): SheetSaid[] {
  const all = kept();
  return sheets.flatMap(({ name, table, mapping }) => {
    const known = all.find(({ headings }) => headings === signed(mapping));
    if (!known || (known.table === table && JSON.stringify(known.mapping) === JSON.stringify(mapping)))
      return [];
    return [{ name, table: known.table, mapping: known.mapping }];
  });
}
