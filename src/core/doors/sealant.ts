import { InputError } from '../quantity/error';
import { atMost, below } from '../quantity/compare';
import { cablesMm2, openingMm2, sealantNeed, type SealantOpening } from '../transit/sealant';

export interface SealantInput {
  opening: { shape: 'round' | 'rect'; diameter_mm?: number; width_mm?: number; height_mm?: number };
  cables_mm: number[];
  depth_mm: number;
  sides: 1 | 2;
  wall_depth_mm: number;
  waste_pct: number;
  cartridge_ml: number;
  sleeve: { outer_mm: number; inner_mm: number; length_mm: number };
  max_fill_pct: number;
}

export interface SealantOutput {
  fits: boolean;
  free_area_mm2: number;
  fill_pct: number;
  fill_conforms: boolean;
  sealant_ml: number;
  cartridges: number;
  wrap_sleeves_per_side: number;
  filler_sleeves_per_side: number;
  depth_conforms: boolean;
}

/**
 * Door `sealant`: what closing an opening by sleeves and sealant takes.
 *
 * @throws InputError on `cables_mm` larger than the opening, `sleeve.outer_mm` not above the inner diameter
 */
export function sealant(input: SealantInput): SealantOutput {
  const { sleeve, cables_mm } = input;
  const opening = openingOf(input.opening);
  if (!below(sleeve.inner_mm, sleeve.outer_mm)) {
    throw new InputError('sleeve.outer_mm', 'sleeve.outer');
  }
  if (!atMost(cablesMm2(cables_mm), openingMm2(opening))) {
    throw new InputError('cables_mm', 'cables.larger');
  }
  const need = sealantNeed({
    opening,
    cablesMm: cables_mm,
    depthMm: input.depth_mm,
    sides: input.sides,
    wallDepthMm: input.wall_depth_mm,
    wastePct: input.waste_pct,
    cartridgeMl: input.cartridge_ml,
    sleeve: { outerMm: sleeve.outer_mm, innerMm: sleeve.inner_mm, lengthMm: sleeve.length_mm },
    maxFillPct: input.max_fill_pct,
  });
  return {
    fits: need.fits,
    free_area_mm2: need.freeAreaMm2,
    fill_pct: need.fillPct,
    fill_conforms: need.fillConforms,
    sealant_ml: need.sealantMl,
    cartridges: need.cartridges,
    wrap_sleeves_per_side: need.wrapSleevesPerSide,
    filler_sleeves_per_side: need.fillerSleevesPerSide,
    depth_conforms: need.depthConforms,
  };
}

/** Round with a diameter, or rectangular with width and height: never both. */
function openingOf({ shape, diameter_mm, width_mm, height_mm }: SealantInput['opening']): SealantOpening {
  const sizes = { diameter_mm, width_mm, height_mm };
  const asked = shape === 'round' ? ['diameter_mm'] : ['width_mm', 'height_mm'];
  for (const name of asked) {
    if (sizes[name as keyof typeof sizes] === undefined) {
      throw new InputError(`opening.${name}`, 'opening.missing', { name });
    }
  }
  for (const [name, value] of Object.entries(sizes)) {
    if (value !== undefined && !asked.includes(name)) {
      throw new InputError(`opening.${name}`, 'opening.stray', { name });
    }
  }
  return shape === 'round'
    ? { shape, diameterMm: diameter_mm! }
    : { shape, widthMm: width_mm!, heightMm: height_mm! };
}
