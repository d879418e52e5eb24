/** What a cable's record says of its sheath; null where nothing is known. */
export interface SheathedCable {
  /** Overall diameter, mm. */
  outerMm: number | null;
  /** Thickness of the jacket over the metal sheath, mm. */
  sheathMm: number | null;
  mineral: { jacketed: boolean } | null;
}

/**
 * Diameter of the bare metal sheath, mm: what gland and pot sit on. A jacketed cable's overall diameter holds
 * its jacket too; any other cable is as thick as its record says. Null where the record does not say.
 */
export const metalSheathMm = ({ outerMm, sheathMm, mineral }: SheathedCable): number | null => {
  if (!mineral?.jacketed || outerMm === null) return outerMm;
  return sheathMm === null ? null : outerMm - 2 * sheathMm;
};
