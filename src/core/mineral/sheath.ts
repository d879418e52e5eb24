import type { Cable } from '../record/types';

/**
 * Diameter of the bare metal sheath, mm: what gland and pot sit on. A jacketed cable's overall diameter holds
 * its jacket too; any other cable is as thick as its record says.
 */
export const metalSheathMm = ({
  outerMm,
  sheathMm,
  mineral,
}: Pick<Cable, 'outerMm' | 'sheathMm' | 'mineral'>): number =>
  mineral?.jacketed ? outerMm - 2 * sheathMm : outerMm;
