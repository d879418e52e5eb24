import type { Clock } from '../../core/makeoff/clocks';
import type { Id } from '../../core/record/types';

/** Where the work is that a clock runs against. */
export const clockAddress = ({ entry, cable }: Clock, site: Id): string =>
  entry !== null ? `/makeoff/?site=${site}&entry=${entry}` : `/mineral/?site=${site}&cable=${cable ?? ''}`;
