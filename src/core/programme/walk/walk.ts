import { exactRing } from './exact';
import { distanceM, groundOf, type Ground } from './ground';
import { RingSearch } from './search';
import type { Place, Walk, WalkJob, WalkStop } from './types';

/** Nodes beside the start up to which every order is compared. Chosen: so many take a tenth of a second. */
const MOST_EXACT = 13;

/** Swaps that are tried at once before what has been found is told. Chosen: some milliseconds. */
const SWAPS_AT_ONCE = 500;

/** How long is looked for a short way: so many swaps where nothing else is said. Chosen: two seconds for 300 stops. */
const SWAPS = 40_000;

export interface WalkOptions {
  /** Most swaps that are tried; fewer where the walk is long, so that it is found in about the same time. */
  swaps?: number;
  /** Whether to stop looking: asked now and then. */
  isOver?: () => boolean;
  /** Told of each shorter way. */
  news?: (walk: Walk) => void;
}

/**
 * Orders the stops of a round so that there is little to walk: the best of all orders for a few, for more what a search
 * finds. Stops that share something are visited without a break.
 *
 * @returns the same for the same job, unless it is told to stop early
 */
export function walk(job: WalkJob, { swaps = SWAPS, isOver, news }: WalkOptions = {}): Walk {
  const ground = groundOf(job);
  if (ground.size <= MOST_EXACT + 1) return walked(job, ground, exactRing(ground));
  const search = new RingSearch(ground);
  news?.(walked(job, ground, search.best));
  const most = Math.min(swaps, swaps * (300 / ground.size) ** 2);
  for (let done = 0; done < most && !isOver?.(); done += SWAPS_AT_ONCE) {
    const shorter = search.search(Math.min(SWAPS_AT_ONCE, most - done));
    if (shorter) news?.(walked(job, ground, search.best));
  }
  return walked(job, ground, search.best);
}

/** A ring as it is walked from the start. */
function walked(job: WalkJob, ground: Ground, ring: Int32Array): Walk {
  const from = ring.indexOf(0);
  const nodes = [...ring.subarray(from), ...ring.subarray(0, from)];
  // The end stands beside the start, on either side.
  if (ground.end !== null && nodes[1] === ground.end)
    nodes.splice(1, nodes.length - 1, ...nodes.slice(1).reverse());
  const stops = nodes.flatMap((node) => ground.stops[node]!);
  return { order: stops.map(({ id }) => id), lengthM: lengthOf(job, stops) };
}

/**
 * How long a walk is with its climbs weighted, m.
 *
 * @param stops in the order of walking
 */
export function lengthOf({ start, climb, returns }: WalkJob, stops: readonly WalkStop[]): number {
  if (stops.length === 0) return 0;
  let sum = 0;
  let here: Place = start;
  for (const stop of stops) {
    sum += distanceM(here, stop, climb);
    here = stop;
  }
  return returns ? sum + distanceM(here, start, climb) : sum;
}
