import { sampleSize as sizeOf } from '../programme/sample';

export interface SampleSizeInput {
  population: number;
  tolerable_pct: number;
  confidence_pct: number;
}

export interface SampleSizeOutput {
  sample: number;
}

/** Door `sample-size`: fewest to draw so that finding none defective supports a claim. */
export const sampleSize = (input: SampleSizeInput): SampleSizeOutput => ({
  sample: sizeOf(input.population, input.tolerable_pct, input.confidence_pct),
});
