import { greedy } from './greedy';
import { modelOf, type Model } from './model';
import type { Pattern } from './patterns';
import { place, type Counts } from './place';
import { programOf, type Goal } from './program';
import type { PackJob, PackResult, Packing, Solution, Solve } from './types';

/** How far the search has come. */
export type PackStep = 'first' | 'openings' | 'height' | 'sizes' | 'spare' | 'largest';

/** Rounds in which the spare share is raised as far as it goes. Chosen: each round at least halves what is left. */
const SHARE_ROUNDS = 8;

/**
 * Packs every cable into the openings: fewest openings first, least height of the rows with cables, fewest block
 * sizes, the wanted spare share or as near as possible, largest spare blocks. The rows' width is filled exactly,
 * and what is left lies in the window of the compression unit.
 *
 * @param seconds how long the search for better may take in all
 * @param news gets a complete packing each time that a step found one
 */
export function pack(
  job: PackJob,
  solve: Solve,
  {
    seconds = 20,
    news = () => undefined,
  }: { seconds?: number; news?: (packing: Packing, step: PackStep) => void } = {},
): PackResult {
  const model = modelOf(job);
  if ('code' in model) return { fits: false, reason: model };
  const started = Date.now();
  let best: Packing | null = null;
  const keep = (counts: Counts, proven: boolean, step: PackStep) => {
    const found = place(model, counts, proven && model.complete);
    if (best && isWorse(found, best, job.sparePct)) return;
    best = found;
    news(best, step);
  };
  const first = greedy(model);
  if (first) keep(first, false, 'first');
  const left = () => Math.max(0.5, seconds - (Date.now() - started) / 1000);
  const run = (goal: Goal): Solution => solve(programOf(model, goal), left());
  const reached: Partial<Goal> = {};
  let proven = true;
  const improve = (goal: Goal, step: PackStep): Counts | null => {
    const solution = run({ ...reached, ...goal });
    if (solution.status === 'infeasible' || solution.status === 'unknown') return null;
    if (step === 'openings' || step === 'height') proven &&= solution.status === 'optimal';
    const counts = countsOf(model, solution);
    keep(counts, proven, step);
    return counts;
  };
  if (job.openings.length > 1) {
    const counts = improve({ minimise: 'openings' }, 'openings');
    if (counts) reached.openings = used(model, counts);
  }
  const lowest = improve({ minimise: 'height' }, 'height');
  if (!lowest) {
    if (best) return { fits: true, packing: best };
    return { fits: false, reason: missing(model, run) };
  }
  reached.heightMm = lowest.rows.reduce(
    (sum, rows, o) => rows.reduce((s, { heightMm }) => s + heightMm + job.openings[o]!.plateMm, sum),
    0,
  );
  const fewest = improve({ minimise: 'sizes' }, 'sizes');
  if (fewest) reached.sizes = newSizes(model, fewest);
  shareOut(model, job.sparePct, reached, improve, () => best!);
  improve({ minimise: 'smallness' }, 'largest');
  return { fits: true, packing: best! };
}

/** A complete packing at once, without a search for better; null where that way finds none. */
export function greedyPack(job: PackJob): Packing | null {
  const model = modelOf(job);
  if ('code' in model) return null;
  const counts = greedy(model);
  return counts && place(model, counts, false);
}

/** Whether a packing is worse than another by what is asked for, in order. */
function isWorse(a: Packing, b: Packing, sparePct: number): boolean {
  const short = (packing: Packing) => Math.max(0, sparePct - packing.sparePct);
  const pairs: [number, number][] = [
    [a.openingsUsed, b.openingsUsed],
    [a.cableRowsHeightMm, b.cableRowsHeightMm],
    [a.sizesUsed, b.sizesUsed],
    [short(a), short(b)],
  ];
  for (const [mine, other] of pairs) if (Math.abs(mine - other) > 1e-6) return mine > other;
  return false;
}

/** The wanted spare share as a limit, or the largest share that there is. */
function shareOut(
  model: Model,
  sparePct: number,
  reached: Partial<Goal>,
  improve: (goal: Goal, step: PackStep) => Counts | null,
  best: () => Packing,
): void {
  if (model.types.length === 0 && model.locked.cableMm2 === 0) return;
  const takenShare = 1 - sparePct / 100;
  if (improve({ minimise: 'smallness', takenShare }, 'spare')) {
    reached.takenShare = takenShare;
    return;
  }
  // A share is a quotient: each round asks for what beats the share that the round before reached.
  for (let round = 0; round < SHARE_ROUNDS; round++) {
    const before = best().sparePct;
    if (!improve({ minimise: 'shortfall', worth: 1 - before / 100 }, 'spare')) break;
    if (best().sparePct <= before + 1e-7) break;
  }
  reached.takenShare = 1 - best().sparePct / 100;
}

/** Openings that hold a cable. */
const used = ({ locked }: Model, { rows }: Counts): number =>
  rows.filter((own, o) => own.length > 0 || locked.rows[o]!.length > 0).length;

/** Sizes that hold a cable, beside those that hold a locked one already. */
const newSizes = ({ sizesMm, locked }: Model, { taken }: Counts): number =>
  sizesMm.filter((size, j) => !locked.sizes.has(size) && taken.some((of) => of[j]! > 0)).length;

function countsOf({ job, sizesMm, types, widths, widthOf }: Model, { value }: Solution): Counts {
  const whole = (name: string) => Math.round(value(name));
  const waiting: Pattern[][] = widths.map(({ patterns }, w) =>
    patterns.flatMap((pattern, p) => new Array<Pattern>(whole(`x${w}_${p}`)).fill(pattern)),
  );
  const rows = job.openings.map((_, o) => {
    const pool = waiting[widthOf[o]!]!;
    return sizesMm.flatMap((heightMm, h) =>
      Array.from({ length: whole(`n${h}_${o}`) }, () => {
        const at = pool.findIndex((pattern) => pattern.heightMm === heightMm);
        return pool.splice(at, 1)[0]!;
      }),
    );
  });
  const spare = job.openings.map((_, o) =>
    sizesMm.flatMap((heightMm, h) => new Array<number>(whole(`r${h}_${o}`)).fill(heightMm)),
  );
  const taken = types.map(({ sizes }, k) =>
    sizesMm.map((_, j) => (sizes.includes(j) ? whole(`y${k}_${j}`) : 0)),
  );
  return { rows, spare, taken };
}

/** By how much the heights miss: of all openings together, as little as it can be. */
function missing(
  model: Model,
  run: (goal: Goal) => Solution,
): Extract<PackResult, { fits: false }>['reason'] {
  const solution = run({ minimise: 'misses' });
  if (solution.status === 'infeasible' || solution.status === 'unknown') {
    return { code: 'width', cables: [], missingMm: 0 };
  }
  const missingMm = model.job.openings.reduce((sum, _, o) => sum + Math.max(0, solution.value(`v${o}`)), 0);
  return { code: 'height', cables: [], missingMm };
}
