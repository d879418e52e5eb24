import { atMost } from '../quantity/compare';
import type { TransitSheet } from '../record/types';
import type { BlockState } from './transit-found';
import { peel, type MeasuredCable, type Peeling } from '../transit/peel';

/** A spare block that can take one more cable. */
export interface OneMore {
  row: number;
  column: number;
  index: number;
  sizeMm: number;
  peeling: Peeling;
  /** Rows between it and the wedge, which come out first. */
  rowsOut: number;
  /** Spare blocks that are left afterwards. */
  sparesLeft: number;
}

/** Every spare block that can take a cable, those that are reached first first; the smallest block first among them. */
export function oneMore(
  blocks: readonly BlockState[],
  rows: number,
  { gapMm, maxLayerDifference }: TransitSheet,
  cable: MeasuredCable,
): OneMore[] {
  const spares = blocks.filter(({ block }) => block.cable === null);
  const { minMm, maxMm, expandedUncertaintyMm: u } = cable;
  return spares
    .flatMap(({ row, column, index, sheet }) => {
      if (!sheet || !atMost(sheet.rangeMm[0], minMm - u) || !atMost(maxMm + u, sheet.rangeMm[1])) return [];
      const peeling = peel(sheet, gapMm, cable, maxLayerDifference);
      if (!peeling) return [];
      const found = { row, column, index, sizeMm: sheet.sizeMm, peeling };
      return { ...found, rowsOut: rows - 1 - row, sparesLeft: spares.length - 1 };
    })
    .sort((a, b) => a.rowsOut - b.rowsOut || a.sizeMm - b.sizeMm);
}
