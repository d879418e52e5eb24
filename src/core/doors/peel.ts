import { InputError } from '../quantity/error';
import { below } from '../quantity/compare';
import { peel as peelBlock } from '../transit/peel';

export interface PeelInput {
  block: { bore_mm: number; layer_mm: number; layers_per_half: number; keep_layers: number };
  gap_mm: number[];
  cable: { min_mm: number; max_mm: number; mean_mm: number; expanded_uncertainty_mm: number };
  max_layer_difference: number;
}

export type PeelOutput =
  | { fits: false }
  | {
      fits: true;
      layers: number[];
      bore_mm: number;
      gap_mm: number;
      gap_min_mm: number;
      gap_max_mm: number;
    };

/**
 * Door `peel`: layers to take from each half of a block for a cable.
 *
 * @throws InputError on `gap_mm` that is no window, `cable.max_mm` below the least, `cable.mean_mm` outside both
 */
export function peel({ block, gap_mm, cable, max_layer_difference }: PeelInput): PeelOutput {
  const [low, high] = gap_mm as [number, number];
  if (!below(low, high)) throw new InputError('gap_mm', 'gap.order');
  if (below(cable.max_mm, cable.min_mm)) {
    throw new InputError('cable.max_mm', 'readings.below');
  }
  if (below(cable.mean_mm, cable.min_mm) || below(cable.max_mm, cable.mean_mm)) {
    throw new InputError('cable.mean_mm', 'readings.mean');
  }
  const found = peelBlock(
    {
      boreMm: block.bore_mm,
      layerMm: block.layer_mm,
      layersPerHalf: block.layers_per_half,
      keepLayers: block.keep_layers,
    },
    [low, high],
    {
      minMm: cable.min_mm,
      maxMm: cable.max_mm,
      meanMm: cable.mean_mm,
      expandedUncertaintyMm: cable.expanded_uncertainty_mm,
    },
    max_layer_difference,
  );
  if (!found) return { fits: false };
  return {
    fits: true,
    layers: [...found.layers],
    bore_mm: found.boreMm,
    gap_mm: found.gapMm,
    gap_min_mm: found.gapMinMm,
    gap_max_mm: found.gapMaxMm,
  };
}
