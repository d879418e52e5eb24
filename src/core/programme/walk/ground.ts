import type { Place, WalkJob, WalkStop } from './types';

/**
 * What lies between the places of a walk. Stops at one place that may be visited together are one node, since no way gets
 * shorter by coming back to a place. Node 0 is the start; a walk that stays where it ends has a last node that is as near
 * to every other and stands beside the start, so that each walk is a ring.
 */
export interface Ground {
  /** Nodes, the start and the end included. */
  size: number;
  /** The stops of each node; none at the start and the end. */
  stops: readonly WalkStop[][];
  /** Number of what each node is visited together with; 0 where it stands alone. */
  group: Int32Array;
  /** What it costs to go from one node to another: metres, less the {@link Ground.bond} between nodes of one group. */
  cost: (from: number, to: number) => number;
  /** Metres alone. */
  metres: (from: number, to: number) => number;
  /** What keeps two nodes of one group beside each other: longer than any way can be, m. */
  bond: number;
  /** The node at which a walk ends that does not return; null where it returns. */
  end: number | null;
}

/** Nodes up to which what lies between any two is written down. Chosen: 18 MB. */
const MOST_WRITTEN = 1500;

/** Number of the start and the end of a walk that does not return: they are one group. Chosen: the first of all groups. */
const ENDS = 1;

/** Lays out what a job is walked on. */
export function groundOf({ start, stops, climb, returns }: WalkJob): Ground {
  const nodes = merged(stops);
  const size = nodes.length + (returns ? 1 : 2);
  const end = returns ? null : size - 1;
  const groups = new Map<string, number>();
  const group = new Int32Array(size);
  nodes.forEach(([{ together }], i) => {
    if (together === null) return;
    if (!groups.has(together)) groups.set(together, groups.size + ENDS + 1);
    group[i + 1] = groups.get(together)!;
  });
  if (end !== null) group[0] = group[end] = ENDS;
  const places: Place[] = [start, ...nodes.map(([stop]) => stop)];
  const metres = between(places, climb, end);
  const bond = size * (1 + longest(places, climb));
  const cost = written(size, (from, to) => {
    const apart = metres(from, to);
    return group[from] !== 0 && group[from] === group[to] ? apart - bond : apart;
  });
  return { size, stops: [[], ...nodes, ...(returns ? [] : [[]])], group, cost, metres, bond, end };
}

type Merged = [WalkStop, ...WalkStop[]];

/** Stops at one place that may be visited together, as one. */
function merged(stops: readonly WalkStop[]): Merged[] {
  const found = new Map<string, Merged>();
  for (const stop of stops) {
    const key = JSON.stringify([stop.xM, stop.yM, stop.zM, stop.together]);
    const same = found.get(key);
    if (same) same.push(stop);
    else found.set(key, [stop]);
  }
  return [...found.values()];
}

function between(places: readonly Place[], climb: number, end: number | null): Ground['metres'] {
  return (from, to) => {
    if (from === end || to === end) return 0;
    return distanceM(places[from]!, places[to]!, climb);
  };
}

/**
 * How far it is from one place to another: along the plan, and the climb between levels as so many metres on the flat.
 *
 * @param climb metres on the flat that a metre of climbing is worth, 0 or more
 * @returns m
 */
export const distanceM = (from: Place, to: Place, climb: number): number =>
  Math.sqrt((from.xM - to.xM) ** 2 + (from.yM - to.yM) ** 2) + climb * Math.abs(from.zM - to.zM);

/** No two places are further apart, m. */
function longest(places: readonly Place[], climb: number): number {
  const span = (of: (place: Place) => number) => {
    let [low, high] = [Infinity, -Infinity];
    for (const place of places) {
      low = Math.min(low, of(place));
      high = Math.max(high, of(place));
    }
    return high - low;
  };
  return span(({ xM }) => xM) + span(({ yM }) => yM) + climb * span(({ zM }) => zM);
}

/** What lies between any two, written down where it is not too much. */
function written(size: number, cost: Ground['cost']): Ground['cost'] {
  if (size > MOST_WRITTEN) return cost;
  const all = new Float64Array(size * size);
  for (let from = 0; from < size; from++)
    for (let to = 0; to < size; to++) all[from * size + to] = cost(from, to);
  return (from, to) => all[from * size + to]!;
}
