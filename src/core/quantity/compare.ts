/** Slack of every comparison in the core: a value on a limit meets it. Chosen: rounding in the last digits decides nothing. */
export const SLACK = 1e-9;

/** `a ≤ b`, a value on the limit included. */
export const atMost = (a: number, b: number): boolean => a <= b + SLACK;

/** `a < b`, strictly: a value on the limit is not below it. */
export const below = (a: number, b: number): boolean => !atMost(b, a);

/** Largest whole number not above `x`, forgiving rounding of the last digits. */
export const floorSlack = (x: number): number => Math.floor(x + SLACK);

/** Smallest whole number not below `x`, forgiving rounding of the last digits. */
export const ceilSlack = (x: number): number => Math.ceil(x - SLACK);

/** `x` held within [lo, hi]. */
export const clamp = (x: number, lo: number, hi: number): number => Math.min(hi, Math.max(lo, x));
