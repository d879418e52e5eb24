/** A list with one taken out that it held, or put in that it did not. */
export const toggled = <T>(list: readonly T[], one: T): T[] =>
  list.includes(one) ? list.filter((other) => other !== one) : [...list, one];
