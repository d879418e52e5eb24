import { wireArmour } from '../gland/armour';

export interface ArmourCountInput {
  bedding_mm: number;
  wire_mm: number;
  lay_mm: number | null;
}

export interface ArmourCountOutput {
  wires: number;
  area_mm2: number;
  length_factor: number;
}

/**
 * Door `armour-count`: wires, cross-section and lay factor of a wire armour.
 *
 * @throws InputError on `wire_mm` when the wire cannot lie round this bedding
 */
export function armourCount(input: ArmourCountInput): ArmourCountOutput {
  const { wires, areaMm2, lengthFactor } = wireArmour(input.bedding_mm, input.wire_mm, input.lay_mm);
  return { wires, area_mm2: areaMm2, length_factor: lengthFactor };
}
