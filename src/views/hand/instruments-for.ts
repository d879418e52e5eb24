import { now } from '../../client/clock';
import type { Instrument } from '../../core/record/types';

/** Instruments that measure a place, the usual one first and those in calibration before those past it. */
export function instrumentsFor(
  all: readonly Instrument[],
  kinds: readonly Instrument['kind'][],
): Instrument[] {
  const today = now().slice(0, 10);
  const rank = ({ kind, calibratedUntil }: Instrument) =>
    kinds.indexOf(kind) + (calibratedUntil.slice(0, 10) < today ? 10 : 0);
  return all.filter(({ kind }) => kinds.includes(kind)).sort((a, b) => rank(a) - rank(b));
}
