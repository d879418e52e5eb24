/** Highest resistance that is taken as one, Ω. */
export const MAX_RESISTANCE_OHM = 1e6;

/**
 * Reads a resistance as people write it: `0.012`, `12 mΩ`, `12 mohm`, `0,012 ohm`. Without a unit it is ohms.
 *
 * @returns ohms (0 to 1e6), or null when the text is no resistance
 */
export function parseResistance(text: string): number | null {
  const match = /^(\d+(?:[.,]\d+)?|[.,]\d+)\s*(mΩ|mohm|Ω|ohm)?$/i.exec(text.trim());
  if (!match) return null;
  const value = Number(match[1]!.replace(',', '.'));
  const ohms = match[2]?.toLowerCase().startsWith('m') ? value / 1000 : value;
  return ohms <= MAX_RESISTANCE_OHM ? ohms : null;
}
