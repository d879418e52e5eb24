/** Highest surface temperature of each class, °C (IEC 60079-0). */
export const TEMPERATURE_CLASSES = { T1: 450, T2: 300, T3: 200, T4: 135, T5: 100, T6: 85 } as const;
export type TemperatureClass = keyof typeof TEMPERATURE_CLASSES;

/** Entry temperature where nothing is marked, °C (IEC 60079-14:2013, 9.3). */
export const UNMARKED_ENTRY_C = 70;
/** Branching point temperature where nothing is marked, °C. */
export const UNMARKED_BRANCH_C = 80;

/** What is known of the temperature at an entry, °C. */
export interface EntryTemperature {
  /** Marked on the enclosure, or null. */
  markedC: number | null;
  /** Measured at full load, with the ambient at that time, or null. */
  measured: { atC: number; ambientC: number } | null;
}

/** Worst temperature at the entry: measured and carried to the highest ambient, or marked, or the default. */
export function worstEntryTemperature(
  entry: EntryTemperature,
  highestAmbientC: number,
): { worstC: number; from: 'measured' | 'marked' | 'unmarked' } {
  if (entry.measured) {
    return { worstC: entry.measured.atC + (highestAmbientC - entry.measured.ambientC), from: 'measured' };
  }
  if (entry.markedC !== null) return { worstC: entry.markedC, from: 'marked' };
  return { worstC: UNMARKED_ENTRY_C, from: 'unmarked' };
}
