/** Why a calculation cannot take an input. */
export type InputKey =
  | 'cable.bore'
  | 'cables.larger'
  | 'earth.k'
  | 'gap.order'
  | 'instrument.figures'
  | 'number.finite'
  | 'opening.missing'
  | 'opening.stray'
  | 'pot.full'
  | 'range.order'
  | 'reading.later'
  | 'reading.zero'
  | 'readings.below'
  | 'readings.mean'
  | 'readings.none'
  | 'readings.order'
  | 'repeated'
  | 'sample.defective'
  | 'sample.population'
  | 'screen.stub'
  | 'seal.outside'
  | 'sleeve.outer'
  | 'tape.caliper'
  | 'tape.figures'
  | 'tape.needs'
  | 'turns.shut'
  | 'wire.thick'
  /** What a shape says is in its own words already. */
  | 'shape';

/** An input that a calculation cannot take: the dotted path of the field and what is wrong with it. */
export class InputError extends Error {
  constructor(
    /** Dotted path of the first offending field, e.g. `readings_mm.2`. */
    readonly field: string,
    /** Names the sentence in `core/words`. */
    readonly key: InputKey,
    readonly facts: Readonly<Record<string, string | number>> = {},
  ) {
    super(typeof facts.says === 'string' ? facts.says : key);
    this.name = 'InputError';
  }
}

/** Throws unless every number is finite: core code never trusts its caller's numbers. */
export function requireFinite(values: Record<string, number>): void {
  for (const [field, value] of Object.entries(values)) {
    if (!Number.isFinite(value)) throw new InputError(field, 'number.finite', { field });
  }
}
