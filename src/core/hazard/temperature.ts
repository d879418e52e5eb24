/** Highest surface temperature of each class, °C (IEC 60079-0). */
export const TEMPERATURE_CLASSES = { T1: 450, T2: 300, T3: 200, T4: 135, T5: 100, T6: 85 } as const;
export type TemperatureClass = keyof typeof TEMPERATURE_CLASSES;

/** Entry temperature up to which nothing is marked, °C (IEC 60079-14:2013, 9.3): a bound, not a reading. */
const UNMARKED_ENTRY_C = 70;
/** Branching point temperature up to which nothing is marked, °C. Source: IEC 60079-14:2013, 9.3. */
const UNMARKED_BRANCH_C = 80;
/** Service range of a certified gland without a mark, °C (IEC 60079-0, cable glands). */
export const UNMARKED_GLAND_C: readonly [number, number] = [-20, 80];
/** Ambient range of other certified equipment without a mark, °C (IEC 60079-0, ambient temperature). */
export const UNMARKED_DEVICE_C: readonly [number, number] = [-20, 40];
/** A cable's lowest temperature is asked for only below this, °C (chosen: common cables bear it). */
export const CABLE_COLD_C = -20;

/** What is known of the temperature at an entry, °C. */
export interface EntryTemperature {
  /** Marked on the enclosure for the entry and the branching point, or null. */
  markedC: number | null;
  branchC: number | null;
  /** Measured at full load, with the ambient at that time, or null. */
  measured: { atC: number; ambientC: number; branchC?: number | null } | null;
}

/** A temperature and where it comes from; an unmarked one is only a bound. */
export interface WorstC {
  worstC: number;
  from: 'measured' | 'marked' | 'unmarked' | 'ambient';
}

/** Worst temperature at the entry: measured and carried to the highest ambient, or marked, or the bound; never below the ambient. */
export function worstEntryTemperature(
  { markedC, measured }: Pick<EntryTemperature, 'markedC' | 'measured'>,
  highestAmbientC: number,
): WorstC {
  return atLeastAmbient(
    worstOf(measured?.atC ?? null, measured, markedC, UNMARKED_ENTRY_C, highestAmbientC),
    highestAmbientC,
  );
}

/** The same at the branching point of the conductors. What is marked for the entry alone is marked for both. */
export function worstBranchTemperature(
  { markedC, branchC, measured }: EntryTemperature,
  highestAmbientC: number,
): WorstC {
  const at = measured?.branchC ?? null;
  const branch = worstOf(at, measured, branchC ?? markedC, UNMARKED_BRANCH_C, highestAmbientC);
  return atLeastAmbient(branch, highestAmbientC);
}

function worstOf(
  atC: number | null,
  measured: EntryTemperature['measured'],
  markedC: number | null,
  boundC: number,
  highestAmbientC: number,
): WorstC {
  if (atC !== null && measured) {
    return { worstC: atC + (highestAmbientC - measured.ambientC), from: 'measured' };
  }
  return markedC === null ? { worstC: boundC, from: 'unmarked' } : { worstC: markedC, from: 'marked' };
}

const atLeastAmbient = (worst: WorstC, ambientC: number): WorstC =>
  worst.worstC < ambientC ? { worstC: ambientC, from: 'ambient' } : worst;

/** Share of a cloud's ignition temperature that a surface may reach (IEC 60079-14:2013, 5.6.3). */
export const CLOUD_SHARE = 2 / 3;
/** What a surface stays below a 5 mm layer's ignition temperature, K, and how deep the layer may be, mm. Source: IEC 60079-14:2013, 5.6.3. */
export const LAYER_MARGIN_K = 75;
export const LAYER_DEPTH_MM = 5;
