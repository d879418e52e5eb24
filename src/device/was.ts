import type { CommandKind } from '../core/commands/commands';
import type { Slice } from '../core/record/slice';
import type { Id, TableName } from '../core/record/types';

/** Tables that can be changed field by field. */
const EDIT = /^(site|area|enclosure|cable|certificate|instrument|entry|round|reference|defect)\.edit$/;

/** A change with what stood in its fields before, unless its giver knows that better. */
export function withWas(slice: Slice, kind: CommandKind, payload: object): object {
  if ('was' in payload) return payload;
  if (kind === 'packing.set') {
    const before = slice.get('packing', (payload as { id: Id }).id);
    return before ? { ...payload, was: before.openings } : payload;
  }
  const table = EDIT.exec(kind)?.[1] as TableName | undefined;
  if (!table) return payload;
  const { id, set } = payload as { id: Id; set: object };
  const before = slice.get(table, id) as unknown as Record<string, unknown> | null;
  if (!before) return payload;
  const fields = Object.keys(set).filter((field) => before[field] !== undefined);
  return { ...payload, was: Object.fromEntries(fields.map((field) => [field, before[field]])) };
}
