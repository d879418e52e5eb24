import type { Defect } from './types';

/** Where a defect may go next, by state. */
export const NEXT_STATES: Record<Defect['state'], readonly Defect['state'][]> = {
  open: ['assigned', 'done'],
  assigned: ['open', 'done'],
  done: ['open', 'proven'],
  proven: ['open'],
};
