import { atMost } from '../quantity/compare';

export type Conductor = 'steel' | 'copper' | 'aluminium';

/** Resistivity at 20 °C (Ω·m), temperature coefficient (per K) and the limits of the adiabatic constant k. Source: IEC 60287-1-1, table 1, rounded; k. Chosen: the span of IEC 60364-5-54, annex A. */
export const CONDUCTORS: Record<Conductor, { rho20: number; alpha: number; k: readonly [number, number] }> = {
  steel: { rho20: 1.38e-7, alpha: 0.0045, k: [46, 52] },
  copper: { rho20: 1.72e-8, alpha: 0.00393, k: [128, 144] },
  aluminium: { rho20: 2.82e-8, alpha: 0.00403, k: [85, 95] },
};

/**
 * Resistance of an armour or sheath, R = ρ·L·f/A, corrected to its temperature.
 *
 * @param lengthM cable length, m
 * @param lengthFactor longer way of a wire along its lay, 1 for a sheath
 * @param areaMm2 cross-section, mm², > 0
 * @returns Ω
 */
export function pathResistance(
  material: Conductor,
  lengthM: number,
  lengthFactor: number,
  areaMm2: number,
  temperatureC: number,
): number {
  const { rho20, alpha } = CONDUCTORS[material];
  const at20 = (rho20 * lengthM * lengthFactor) / (areaMm2 * 1e-6);
  return at20 * (1 + alpha * (temperatureC - 20));
}

/** Smallest cross-section (mm²) that bears a fault: √(I²t)/k. */
export function minimumArea(faultCurrentA: number, durationS: number, k: number): number {
  return Math.sqrt(faultCurrentA * faultCurrentA * durationS) / k;
}

/** Whether an area bears a fault of which the smallest area is known; on the limit it does. */
export const withstands = (areaMm2: number, minimumMm2: number): boolean => atMost(minimumMm2, areaMm2);
