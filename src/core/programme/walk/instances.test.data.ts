import { randomAt } from '../../quantity/random';
import type { WalkJob, WalkStop } from './types';

/** Stops whose best walk is known by how they are laid out. */
export interface Instance {
  job: WalkJob;
  bestM: number;
}

const START = { xM: 0, yM: 0, zM: 0 };

const stopAt = (xM: number, yM: number, zM = 0, together: string | null = null): WalkStop => ({
  id: `${xM}/${yM}/${zM}`,
  xM,
  yM,
  zM,
  together,
});

/** Drawn in an order that says nothing of how they lie. */
function shuffled(stops: WalkStop[], seed: number): WalkStop[] {
  for (let i = stops.length - 1; i > 0; i--) {
    const other = Math.floor(randomAt(seed, i) * (i + 1));
    [stops[i], stops[other]] = [stops[other]!, stops[i]!];
  }
  return stops;
}

function grid(wide: number, high: number, zM = 0): WalkStop[] {
  return Array.from({ length: wide * high }, (_, i) => stopAt(i % wide, Math.floor(i / wide), zM));
}

/** An even lattice, from a corner and back: with an even number of places each leg has the length of one step. */
export function lattice(seed: number): Instance {
  const stops = shuffled(grid(20, 15), seed);
  return { job: { start: START, stops, climb: 3, returns: true }, bestM: 300 };
}

/** Three even lattices above each other: up and down once, all other legs one step. */
export function levels(seed: number): Instance {
  const stops = shuffled(
    [0, 4, 8].flatMap((zM) => grid(10, 10, zM)),
    seed,
  );
  return { job: { start: START, stops, climb: 3, returns: true }, bestM: 296 + 4 * 12 };
}

/** Along a convex curve and back: the best way goes round it. */
export function curve(seed: number): Instance {
  const stops = Array.from({ length: 300 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 300;
    return stopAt(120 * Math.cos(angle), 70 * Math.sin(angle));
  });
  const legs = stops.map((stop, i) => {
    const next = stops[(i + 1) % stops.length]!;
    return Math.hypot(stop.xM - next.xM, stop.yM - next.yM);
  });
  const bestM = legs.reduce((sum, leg) => sum + leg, 0);
  return { job: { start: stops[0]!, stops: shuffled(stops.slice(), seed), climb: 3, returns: true }, bestM };
}

/** Scaffolds side by side, each of thirty places: the best way does one after the other, each leg one step. */
export function blocks(seed: number): Instance {
  const stops = grid(60, 5).map((stop) => ({ ...stop, together: `scaffold ${Math.floor(stop.xM / 6)}` }));
  const start = { xM: -1, yM: 0, zM: 0 };
  return { job: { start, stops: shuffled(stops, seed), climb: 3, returns: false }, bestM: 300 };
}
