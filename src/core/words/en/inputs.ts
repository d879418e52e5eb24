import type { InputError, InputKey } from '../../quantity/error';

type Facts = InputError['facts'];

/** Why an input cannot be taken, and what to do about it. */
const INPUTS: Record<InputKey, string | ((facts: Facts) => string)> = {
  'cable.bore': 'The cable does not go through the free bore: take a larger seal.',
  'cables.larger': 'The cables are larger than the opening.',
  'earth.k': ({ material, least, most }) => `For ${material}, k must lie within ${least} to ${most}.`,
  'gap.order': 'The least gap must be below the greatest.',
  'instrument.figures': 'The instrument’s figures give no uncertainty.',
  'number.finite': ({ field }) => `${field} must be a finite number`,
  'opening.missing': ({ name }) => `opening.${name} must be given for this shape.`,
  'opening.stray': ({ name }) => `opening.${name} does not belong to this shape.`,
  'pot.full': 'The cores fill the whole pot: take a larger pot.',
  'range.order': 'The lower limit must be below the upper one.',
  'reading.later': 'Each reading must be later than the one before.',
  'reading.zero': 'Each reading must give a diameter above zero.',
  'readings.below': 'The largest reading must not be below the smallest.',
  'readings.mean': 'The mean must lie between the smallest and the largest reading.',
  'readings.none': 'Take at least one reading.',
  'readings.order': 'The largest reading is below the smallest one.',
  repeated: ({ field }) => `${field} must not repeat one.`,
  'sample.defective': 'No more of the sample can be defective than were drawn.',
  'sample.population': 'No more can be drawn than the population holds.',
  'screen.stub': 'The screen’s stub must be shorter than the tail.',
  'seal.outside': 'The seal’s outside must lie between its bore and the housing.',
  'sleeve.outer': 'The sleeve’s outer diameter must be above its inner one.',
  'tape.caliper': 'A caliper has no tape: set it to null, or use the method tape.',
  'tape.figures': 'Give the tape’s thickness and ovality allowance, or use the method caliper.',
  'tape.needs': 'A tape needs its thickness and allowance.',
  'turns.shut': 'So many turns would press the seal shut: check turns and pitch.',
  'wire.thick': 'The wire is too thick to lie round this bedding at this lay.',
  shape: ({ says }) => String(says),
};

/** What is wrong with an input, in words. */
export function inputSentence({ key, facts }: Pick<InputError, 'key' | 'facts'>): string {
  const wording = INPUTS[key] as (typeof INPUTS)[InputKey] | undefined;
  // A finding that was sealed before holds the sentence itself.
  if (wording === undefined) return key;
  return typeof wording === 'string' ? wording : wording(facts);
}
