import type { Draft } from './draft';
import { dividerOf } from './parts';
import type { Id, TableName, Tables } from '../record/types';

/** When a value was written, and by which command: the greater one stands. */
type Stamp = [at: string, command: Id];

/** A record's own table and what stands there before a change. */
interface Merging<T extends TableName> {
  draft: Draft;
  table: T;
  before: Tables[T];
}

/**
 * The record with fields set. What its writer changed is told by what they saw before (`was`): a field that several
 * people fill at once is merged part by part, and where two changed the same, the later stands and the other goes to
 * the history with its author's name. Without `was` the whole field counts as changed.
 */
export function merged<T extends TableName>(
  draft: Draft,
  table: T,
  before: Tables[T],
  set: Partial<Tables[T]>,
  was: Partial<Tables[T]> = {},
): Tables[T] {
  const of: Merging<T> = { draft, table, before };
  const stamps: Record<string, Stamp> = { ...before.stamps };
  const after: Record<string, unknown> = { ...before };
  // In the order of names: a command says the same whatever order its fields were sent in.
  for (const [field, mine] of Object.entries(set).sort(([a], [b]) => (a < b ? -1 : 1))) {
    const seen = Object.hasOwn(was, field) ? { was: (was as Record<string, unknown>)[field] } : null;
    after[field] = mergedField(of, field, mine, seen, stamps);
  }
  return { ...after, stamps } as unknown as Tables[T];
}

function mergedField<T extends TableName>(
  of: Merging<T>,
  field: string,
  mine: unknown,
  seen: { was: unknown } | null,
  stamps: Record<string, Stamp>,
): unknown {
  const now = (of.before as unknown as Record<string, unknown>)[field];
  const divider = seen && dividerOf(of.table, field);
  const parts = divider && {
    was: divider.split(seen.was ?? []),
    mine: divider.split(mine),
    now: divider.split(now),
  };
  if (!divider || !parts || !parts.was || !parts.mine || !parts.now)
    return wholeField(of, field, mine, now, seen, stamps);
  const next = new Map(parts.now);
  for (const name of [...new Set([...parts.was.keys(), ...parts.mine.keys()])].sort()) {
    const [old, own, stands] = [parts.was.get(name), parts.mine.get(name), parts.now.get(name)];
    if (isSame(own, old) || isSame(own, stands)) continue;
    const value = wholeField(of, `${field}.${name}`, own, stands, { was: old }, stamps);
    if (value === undefined) next.delete(name);
    else next.set(name, value);
  }
  return divider.join(next, [now, mine]);
}

/** One field or part: mine, unless a later one stands; what loses goes to the history. */
function wholeField<T extends TableName>(
  { draft, table, before }: Merging<T>,
  path: string,
  mine: unknown,
  now: unknown,
  seen: { was: unknown } | null,
  stamps: Record<string, Stamp>,
): unknown {
  const { at, id } = draft.command;
  const stamp = stamps[path];
  // Who saw what stands, and changed it, contradicts nobody.
  const agreed = seen !== null && isSame(seen.was, now);
  if (stamp && !agreed && isLater(stamp, [at, id])) {
    draft.lose({ table, id: before.id, field: path, value: mine ?? null, by: draft.person, stands: now ?? null, standsBy: authorOf(draft, stamp) }); // prettier-ignore
    return now;
  }
  if (stamp && !agreed && !isSame(mine, now))
    draft.lose({ table, id: before.id, field: path, value: now ?? null, by: authorOf(draft, stamp), stands: mine ?? null, standsBy: draft.person }); // prettier-ignore
  stamps[path] = [at, id];
  return mine;
}

/** Name of who gave a command; null where its change is older than what is here. */
const authorOf = (draft: Draft, [, command]: Stamp): string | null =>
  draft.get('change', command)?.by ?? null;

const isLater = (a: Stamp, b: Stamp): boolean => a[0] > b[0] || (a[0] === b[0] && a[1] > b[1]);

/** Whether two JSON values say the same, whatever the order of their fields. */
function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const [keysA, keysB] = [Object.keys(a), Object.keys(b)];
  return (
    keysA.length === keysB.length &&
    keysA.every((key) => Object.hasOwn(b, key) && isSame((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key])) // prettier-ignore
  );
}
