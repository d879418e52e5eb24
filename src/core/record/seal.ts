import { canonical } from './canonical';
import { sha256Hex } from './sha256';
import type { Slice } from './slice';
import type { AsLeft, Base, Id, Inspection } from './types';

/**
 * Rule by which seals are made now: the hash is over the sealed record itself, which names by content everything
 * that it was judged on. By rule 1 an inspection's hash was over the live records as they stood, without packing,
 * insulation and continuity, and an as-left record froze nothing beside what lies in it.
 * Chosen: counted up with each change of the rule.
 */
export const SEAL_RULE = 2;

/** SHA-256 over canonical JSON (RFC 8785), in hex. */
export function canonicalHash(value: unknown): string {
  const text = canonical(value);
  if (text === undefined) throw new TypeError('Only JSON values can be hashed.');
  return sha256Hex(text);
}

/** A record without what the reducer keeps for itself, so that its hash can be checked from an export. */
export function bare<R extends Base>({ rev: _rev, stamps: _stamps, ...record }: R): R {
  return record as unknown as R;
}

/** Hash of a sealed record: over everything in it but the hash. */
export function hashOfSeal<R extends Base>(sealed: R): string {
  const { hash: _hash, ...content } = bare(sealed) as R & { hash?: string };
  return canonicalHash(content);
}

/** A sealed record that does not match its hash, or rests on one that does not. */
export interface BrokenSeal {
  table: 'asleft' | 'inspection';
  id: Id;
  by: string;
  at: string;
}

/**
 * Those of an entry's sealed records that match what they were sealed as, and those that do not. An inspection
 * sealed by rule 1 cannot be told from itself; it is taken at its word here and checked by verifying.
 * Frozen bodies are checked where the slice has them: a device holds none.
 */
export function partSeals<R extends AsLeft | Inspection>(
  slice: Slice,
  table: BrokenSeal['table'],
  records: readonly R[],
): { whole: R[]; broken: BrokenSeal[] } {
  const whole: R[] = [];
  const broken: BrokenSeal[] = [];
  for (const record of records) {
    if (isWhole(slice, table, record)) whole.push(record);
    else broken.push({ table, id: record.id, by: record.by, at: record.at });
  }
  return { whole, broken };
}

function isWhole(slice: Slice, table: BrokenSeal['table'], record: AsLeft | Inspection): boolean {
  if (record.rule === undefined && table === 'inspection') return true;
  if (!isItself(record)) return false;
  return frozenIn(record).every((hash) => {
    const frozen = slice.get('frozen', hash);
    return frozen === null || bodyHash(frozen) === hash;
  });
}

/** Hashes of every body that a sealed record rests on. */
export const frozenIn = ({ frozen }: Pick<AsLeft | Inspection, 'frozen'>): Id[] =>
  Object.values(frozen ?? {}).flatMap((hash) => hash ?? []);

// Records are never changed in place: what was hashed once stays so.
const selves = new WeakMap<object, boolean>();
const bodies = new WeakMap<object, string>();

function isItself(record: AsLeft | Inspection): boolean {
  let same = selves.get(record);
  if (same === undefined) selves.set(record, (same = hashOfSeal(record) === record.hash));
  return same;
}

function bodyHash(frozen: { body: unknown }): string {
  let hash = bodies.get(frozen);
  if (hash === undefined) bodies.set(frozen, (hash = canonicalHash(frozen.body)));
  return hash;
}
