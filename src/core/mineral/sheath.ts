import type { Cable } from '../record/types';

/**
 * Diameter of the bare metal sheath, mm: what gland and pot sit on. A jacketed cable's overall diameter holds
 * its jacket too; any other cable is as thick as its record says. Null where the record does not say.
 */
export const metalSheathMm = ({
  outerMm,
  sheathMm,
  mineral,
}: Pick<Cable, 'outerMm' | 'sheathMm' | 'mineral'>): number | null => {
  if (!mineral?.jacketed || outerMm === null) return outerMm;
  return sheathMm === null ? null : outerMm - 2 * sheathMm;
};
