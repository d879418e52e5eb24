import { floorSlack } from '../quantity/compare';

/** Slack of comparisons of probabilities. Chosen: what adding up leaves in the last digits decides nothing. */
const PROBABILITY_SLACK = 1e-12;

/** Weights below this share of the largest add nothing to a sum. Chosen: far below the slack of probabilities. */
const NEGLIGIBLE = 1e-22;

/**
 * Fewest that have to be drawn, without putting back, so that finding none defective rules out that the share of
 * defectives is above what is tolerated. The claim holds for a simple random draw from this one population.
 *
 * @param population how many there are, whole, 1 or more
 * @param tolerablePct share of defectives that is tolerated, %, 0 to below 100
 * @param confidencePct confidence of the claim, %, above 0 and below 100
 * @returns 1 to the population: all of it where no smaller sample will do
 * Source: hypergeometric distribution.
 */
export function sampleSize(population: number, tolerablePct: number, confidencePct: number): number {
  const defectives = Math.min(population, floorSlack((tolerablePct * population) / 100) + 1);
  const most = 1 - confidencePct / 100 + PROBABILITY_SLACK;
  return smallest(1, population, (sample) => findsNone(population, defectives, sample, most));
}

/**
 * Exact upper bound of the number of defectives in a population of which a sample was looked at.
 *
 * @param population how many there are, whole, 1 or more
 * @param sample how many of them were drawn, whole, 0 to the population
 * @param defective how many of these were defective, whole, 0 to the sample
 * @param confidencePct confidence of the bound, %, above 0 and below 100
 * @returns the largest number of defectives that does not make so few found too unlikely
 * Source: hypergeometric distribution, one-sided exact bound.
 */
export function upperDefectives(
  population: number,
  sample: number,
  defective: number,
  confidencePct: number,
): number {
  const least = 1 - confidencePct / 100 + PROBABILITY_SLACK;
  const most = population - sample + defective;
  const isUnlikely = (defectives: number) => foundAtMost(population, defectives, sample, defective) <= least;
  // What was found is there in any case.
  return smallest(defective + 1, most + 1, (defectives) => defectives > most || isUnlikely(defectives)) - 1;
}

/** The smallest whole number of a range from which on something holds; it holds at its end. */
function smallest(from: number, to: number, holds: (value: number) => boolean): number {
  let [low, high] = [from, to];
  while (low < high) {
    const middle = low + Math.floor((high - low) / 2);
    if (holds(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** Whether a sample holds none of the defectives with a probability of at most this. */
function findsNone(population: number, defectives: number, sample: number, most: number): boolean {
  if (sample + defectives > population) return true;
  // Drawing and being defective are alike here: the shorter product has the fewer roundings.
  const [few, many] = [Math.min(sample, defectives), Math.max(sample, defectives)];
  let none = 1;
  for (let i = 0; i < few && none > most; i++) none *= (population - many - i) / (population - i);
  return none <= most;
}

/** Probability that a sample holds at most so many of the defectives. */
function foundAtMost(population: number, defectives: number, sample: number, found: number): number {
  const lowest = Math.max(0, sample - (population - defectives));
  const highest = Math.min(sample, defectives);
  const mode = Math.floor(((sample + 1) * (defectives + 1)) / (population + 2));
  const start = Math.min(highest, Math.max(lowest, mode));
  // How much likelier one more is.
  const rise = (k: number) =>
    ((defectives - k) * (sample - k)) / ((k + 1) * (population - defectives - sample + k + 1));
  let [all, upTo] = [0, 0];
  const add = (k: number, weight: number) => {
    all += weight;
    if (k <= found) upTo += weight;
  };
  // Each weight is one of the likeliest number's, so that nothing is too large or too small to be added up.
  for (let k = start, weight = 1; k <= highest && weight > NEGLIGIBLE; weight *= rise(k), k++) add(k, weight);
  for (let k = start - 1, weight = 1; k >= lowest; k--) {
    weight /= rise(k);
    if (weight <= NEGLIGIBLE) break;
    add(k, weight);
  }
  return upTo / all;
}
