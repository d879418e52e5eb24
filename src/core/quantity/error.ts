/** An input that a calculation cannot take: the dotted path of the field and what to do about it. */
export class InputError extends Error {
  constructor(
    /** Dotted path of the first offending field, e.g. `readings_mm.2`. */
    readonly field: string,
    message: string,
  ) {
    super(message);
    this.name = 'InputError';
  }
}

/** Throws unless every number is finite: core code never trusts its caller's numbers. */
export function requireFinite(values: Record<string, number>): void {
  for (const [field, value] of Object.entries(values)) {
    if (!Number.isFinite(value)) throw new InputError(field, `${field} must be a finite number`);
  }
}
