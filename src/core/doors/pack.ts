import { InputError } from '../quantity/error';
import { below } from '../quantity/compare';
import { pack as packOpenings } from '../transit/pack/pack';
import type { Solve } from '../transit/pack/types';

export interface PackInput {
  opening: { width_mm: number; height_mm: number; stay_plate_mm: number; compression_mm: number[] };
  blocks: { size_mm: number; range_mm: number[] }[];
  cables: { id: string; min_mm: number; max_mm: number }[];
  spare_pct: number;
}

export type PackOutput =
  | { fits: false; reason: { code: 'no-block' | 'height' | 'width'; cables: string[]; missing_mm: number } }
  | {
      fits: true;
      rows: { height_mm: number; columns: { width_mm: number; blocks: (string | null)[] }[] }[];
      compression_mm: number;
      cable_rows_height_mm: number;
      spare_pct: number;
      proven_best: boolean;
    };

/** How long a packing may be searched for, s. Chosen: a caller of a door waits no longer. */
const SECONDS = 20;

/**
 * Door `pack`: blocks of one opening for its cables.
 *
 * @param solve solver of integer programs
 * @throws InputError on a range that is none, `max_mm` below `min_mm`, a repeated size or id
 */
export function pack({ opening, blocks, cables, spare_pct }: PackInput, solve: Solve): PackOutput {
  requireRange(opening.compression_mm, 'opening.compression_mm');
  blocks.forEach(({ range_mm }, i) => requireRange(range_mm, `blocks.${i}.range_mm`));
  requireUnique(blocks.map(({ size_mm }) => size_mm), 'blocks'); // prettier-ignore
  cables.forEach(({ min_mm, max_mm }, i) => {
    if (below(max_mm, min_mm)) {
      throw new InputError(`cables.${i}.max_mm`, 'readings.below');
    }
  });
  requireUnique(cables.map(({ id }) => id), 'cables'); // prettier-ignore
  const [lo, hi] = opening.compression_mm as [number, number];
  const result = packOpenings(
    {
      openings: [
        {
          id: 'opening',
          widthMm: opening.width_mm,
          heightMm: opening.height_mm,
          plateMm: opening.stay_plate_mm,
          compressionMm: [lo, hi],
        },
      ],
      blocks: blocks.map(({ size_mm, range_mm }) => ({
        sizeMm: size_mm,
        rangeMm: range_mm as [number, number],
      })),
      cables: cables.map(({ id, min_mm, max_mm }) => ({ id, minMm: min_mm, maxMm: max_mm })),
      sparePct: spare_pct,
    },
    solve,
    { seconds: SECONDS },
  );
  if (!result.fits) {
    const { code, cables: ids, missingMm } = result.reason;
    return { fits: false, reason: { code, cables: ids, missing_mm: missingMm } };
  }
  const { packing } = result;
  const [only] = packing.openings;
  return {
    fits: true,
    rows: only!.rows.map(({ heightMm, columns }) => ({
      height_mm: heightMm,
      columns: columns.map(({ widthMm, blocks: held }) => ({ width_mm: widthMm, blocks: held })),
    })),
    compression_mm: only!.compressionMm,
    cable_rows_height_mm: packing.cableRowsHeightMm,
    spare_pct: packing.sparePct,
    proven_best: packing.provenBest,
  };
}

function requireRange([low, high]: number[], field: string): void {
  if (!below(low!, high!)) throw new InputError(field, 'range.order');
}

function requireUnique(values: readonly (string | number)[], field: string): void {
  if (new Set(values).size < values.length) throw new InputError(field, 'repeated', { field });
}
