import { readCell } from './cells';
import type { Column } from './columns';

/** A record while its cells are written into it. */
export type Filling = Record<string, unknown>;

/** What an object begins with that a cell is the first to write into. */
const BEGINNINGS: Readonly<Record<string, unknown>> = {
  armour: { type: null, sizeMm: null, material: null, areaMm2: null },
  ambientC: [null, null],
  span: [null, null],
  outlineM: { x: null, y: null, width: null, height: null },
  positionM: { x: null, y: null, z: null },
};

/** Writes a value at a dotted path; what lies above it is copied, as records are never changed in place. */
export function put(record: Filling, path: string, value: unknown): Filling {
  const [field, ...rest] = path.split('.') as [string, ...string[]];
  if (rest.length === 0) return { ...record, [field]: value };
  const inside = record[field] ?? BEGINNINGS[field] ?? {};
  if (!Array.isArray(inside)) return { ...record, [field]: put(inside as Filling, rest.join('.'), value) };
  const list = inside.slice() as unknown[];
  const at = Number(rest[0]);
  list[at] = rest.length === 1 ? value : put((list[at] ?? {}) as Filling, rest.slice(1).join('.'), value);
  return { ...record, [field]: list };
}

/** A cell with its column, and the unit that the heading gives. */
export interface Cell {
  column: Column;
  unit: string | null;
  text: string;
}

/** Number of cores alone, or with the area of each: `4 x 1.5 mm²`. */
const CORES = /^(\d+)(?:\s*[x×*]\s*(\d+(?:[.,]\d+)?)\s*(?:mm2|mm²)?)?$/i;

/**
 * Writes what a cell says into a record.
 *
 * @returns the record with it; or why it says nothing
 */
export function filled(record: Filling, { column, unit, text }: Cell): Filling | { fault: string } {
  const { read, path } = column;
  if (read.as === 'cores') {
    const match = CORES.exec(text);
    if (!match) return { fault: `"${text}" is no number of cores; write it like 4 or 4 x 1.5.` };
    const counted = put(record, path, Number(match[1]));
    return match[2] ? put(counted, 'cores.0.areaMm2', Number(match[2].replace(',', '.'))) : counted;
  }
  if (read.as === 'refers') return put(record, path, text);
  if (path === 'armour.type' && /^(none|no|unarmoured)$/i.test(text)) return put(record, 'armour', null);
  const said = readCell(read, text, unit);
  if ('fault' in said) return said;
  const next = put(record, path, said.value);
  if (read.as !== 'measure' || read.of === 'number' || column.id.startsWith('span')) return next;
  return withTyped(next, path, said.typed);
}

/** Keeps how a figure was written where that is not how it is shown. */
function withTyped(record: Filling, path: string, typed: string | undefined): Filling {
  const { [path]: was, ...others } = (record.typed ?? {}) as Record<string, string>;
  if (typed === undefined && was === undefined) return record;
  const kept = typed === undefined ? others : { ...others, [path]: typed };
  if (Object.keys(kept).length > 0) return { ...record, typed: kept };
  const { typed: _, ...rest } = record;
  return rest;
}
