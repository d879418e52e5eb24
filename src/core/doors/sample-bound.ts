import { upperDefectives } from '../programme/sample';
import { InputError } from '../quantity/error';

export interface SampleBoundInput {
  population: number;
  sample: number;
  defective: number;
  confidence_pct: number;
}

export interface SampleBoundOutput {
  upper_defectives: number;
  upper_share: number;
}

/**
 * Door `sample-bound`: how many of a population may be defective after a sample was looked at.
 *
 * @throws InputError on `sample` above the population, `defective` above the sample
 */
export function sampleBound(input: SampleBoundInput): SampleBoundOutput {
  const { population, sample, defective, confidence_pct } = input;
  if (sample > population) throw new InputError('sample', 'sample.population');
  if (defective > sample) throw new InputError('defective', 'sample.defective');
  const upper = upperDefectives(population, sample, defective, confidence_pct);
  return { upper_defectives: upper, upper_share: upper / population };
}
