import type { EntryState } from './finding';
import type { EntryStatus } from './types';

/**
 * The state that stands: while a round runs, that of the last sealed inspection, unless something is known to
 * fail meanwhile.
 */
export const standingState = ({
  state,
  sealed_state: sealed,
  running_round: runs,
}: EntryStatus): EntryState => (runs !== null && sealed !== null && state !== 'failed' ? sealed : state);
