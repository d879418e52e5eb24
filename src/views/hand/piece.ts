import type { Workpiece } from '../../core/instrument/caliper';

/** Something between the jaws: its mean diameter and how far it is out of round, mm. */
export const pieceOf = (meanMm: number, ovalMm: number): Workpiece => ({
  minorMm: Math.max(meanMm - ovalMm / 2, 0.01),
  majorMm: meanMm + ovalMm / 2,
});
