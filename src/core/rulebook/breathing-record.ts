import { below } from '../quantity/compare';
import type { Cable } from '../record/types';

/** Time in which the pressure may not halve in a breathing test, s (IEC 60079-14:2013, Annex E). */
const BREATHING_LEAST_S = 5;

/** What the record of a breathing test says; a test marked passed against its own figure contradicts itself. */
export function breathingOf({
  breathing,
}: Pick<Cable, 'breathing'>): 'none' | 'passed' | 'failed' | 'contradictory' {
  if (!breathing) return 'none';
  const { passed, halfTimeS } = breathing;
  if (halfTimeS !== null && passed === below(halfTimeS, BREATHING_LEAST_S)) return 'contradictory';
  return passed ? 'passed' : 'failed';
}
