import { LATER, type Later } from './completed';
import type { TableName } from './types';

/** A record without every field that came since the first of its kind: as the first version of the program wrote it. */
export function earliest<R extends object>(table: TableName, record: R): R {
  const later = LATER[table];
  return later ? stripped(record, later) : record;
}

function stripped<R extends object>(record: R, { own, inside }: Later): R {
  const entries = Object.entries(record).filter(([key]) => !own || !Object.hasOwn(own, key));
  const inner = entries.map(([key, value]: [string, unknown]) => {
    const later = inside?.[key];
    if (!later || typeof value !== 'object' || value === null) return [key, value];
    return [
      key,
      Array.isArray(value) ? value.map((one: object) => stripped(one, later)) : stripped(value, later),
    ];
  });
  return Object.fromEntries(inner) as R;
}
