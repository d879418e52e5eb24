import { KINDS } from '../kinds/kinds';
import type { AsLeft, Entry, MakeOff } from '../record/types';

/** A hold point that was passed over: who did, and why. */
export interface SkippedHold {
  by: string;
  reason: string;
}

/**
 * Hold points that were passed over, by place or look: those of the round's work, and those of the sealed
 * record that speaks for the closed entry.
 */
export function skippedHolds(
  { kind }: Entry,
  works: readonly MakeOff[],
  record: AsLeft | null,
): ReadonlyMap<string, SkippedHold> {
  if (works.length === 0 && !record?.skipped.length) return NONE;
  const skipped = new Map<string, SkippedHold>();
  for (const hold of record?.skipped ?? []) skipped.set(hold, { by: record!.by, reason: '' });
  const holds = new Map(KINDS[kind].steps.map(({ id, hold }) => [id, hold]));
  for (const { ticks } of works) {
    for (const { step, by, skipped: reason } of ticks) {
      const hold = holds.get(step);
      if (hold && reason !== null) skipped.set(hold, { by, reason });
    }
  }
  return skipped;
}

const NONE: ReadonlyMap<string, SkippedHold> = new Map();
