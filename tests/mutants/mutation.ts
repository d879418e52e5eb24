import { KINDS, looksOf } from '../../src/core/kinds/kinds';
import type { KindId } from '../../src/core/record/kind-ids';
import type { Certificate } from '../../src/core/record/types';
import type { Records } from './records';

/** What can go wrong with a fact on its way into a record. */
export const CHANGES = ['blank', 'out', 'unit', 'kind', 'day', 'person', 'file'] as const;
/** Blank, out by more than U, a unit slip, another kind, another day, another person, another site's file. */
export type ChangeOf = (typeof CHANGES)[number];

/** One way to make a sound entry unsafe, or such that nobody can know. */
export interface Mutation {
  /** What is changed, named as the recorder names it. */
  field: string;
  change: ChangeOf;
  /** Why the entry is unsafe or cannot be known now, by its own records. */
  reason: string;
  /** Changes the records in place; `false` where it does not apply to them. */
  edit: (records: Records) => unknown;
}

/** A mutation for each of several values. */
export function each<V>(
  field: string,
  change: ChangeOf,
  reason: string,
  values: readonly V[],
  edit: (records: Records, value: V) => unknown,
): Mutation[] {
  return values.map((value) => ({ field, change, reason, edit: (records) => edit(records, value) }));
}

/** Traits of the entry's kind. */
export const kindOf = ({ entry }: Records) => KINDS[entry.kind as KindId];

/** Looks of the entry's kind. */
export const lookQuestions = ({ entry, certificate }: Records) =>
  looksOf(entry.kind as KindId, certificate as Certificate);

/** Readings of a place. */
export const at = ({ readings }: Records, place: string) =>
  readings.filter((reading) => reading.place === place);
