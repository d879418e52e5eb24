import { InputError, requireFinite } from '../quantity/error';
import { floorSlack } from '../quantity/compare';

/** Single-wire armour round a bedding. */
export interface WireArmour {
  /** Wires that fit side by side. */
  wires: number;
  /** Cross-section of all wires, mm². */
  areaMm2: number;
  /** Length of a wire over the length of the cable, 1/cos β. */
  lengthFactor: number;
}

/**
 * Wires, area and lay factor of a wire armour.
 * tan β = π(D + w)/ℓ; N = ⌊π / asin(w/(cos β·(D + w)))⌋.
 *
 * @param beddingMm diameter over the bedding, mm, > 0
 * @param wireMm wire diameter, mm, > 0
 * @param layMm lay length, mm; null takes 10·(D + w)
 * @throws InputError on `wire_mm` when the wire is too thick to lie round this bedding at this lay
 */
export function wireArmour(beddingMm: number, wireMm: number, layMm: number | null): WireArmour {
  const centre = beddingMm + wireMm;
  const lay = layMm ?? 10 * centre;
  requireFinite({ bedding_mm: beddingMm, wire_mm: wireMm, lay_mm: lay });
  const beta = Math.atan((Math.PI * centre) / lay);
  const sine = wireMm / (Math.cos(beta) * centre);
  if (sine > 1) throw new InputError('wire_mm', 'wire.thick');
  const wires = floorSlack(Math.PI / Math.asin(sine));
  return { wires, areaMm2: (wires * Math.PI * wireMm * wireMm) / 4, lengthFactor: 1 / Math.cos(beta) };
}
