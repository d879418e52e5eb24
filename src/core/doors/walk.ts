import { walk as walkOf } from '../programme/walk/walk';
import type { Place } from '../programme/walk/types';
import { InputError } from '../quantity/error';

interface WalkPlace {
  x_m: number;
  y_m: number;
  z_m: number;
}

export interface WalkInput {
  start: WalkPlace;
  stops: (WalkPlace & { id: string; together: string | null })[];
  climb: number;
  return_to_start: boolean;
}

export interface WalkOutput {
  order: string[];
  length_m: number;
}

/**
 * Door `walk`: stops in the order in which there is little to walk.
 *
 * @throws InputError on `stops` with a repeated id
 */
export function walk({ start, stops, climb, return_to_start }: WalkInput): WalkOutput {
  if (new Set(stops.map(({ id }) => id)).size < stops.length) {
    throw new InputError('stops', 'repeated', { field: 'stops' });
  }
  const { order, lengthM } = walkOf({
    start: placeOf(start),
    stops: stops.map((stop) => ({ id: stop.id, together: stop.together, ...placeOf(stop) })),
    climb,
    returns: return_to_start,
  });
  return { order, length_m: lengthM };
}

const placeOf = ({ x_m, y_m, z_m }: WalkPlace): Place => ({ xM: x_m, yM: y_m, zM: z_m });
