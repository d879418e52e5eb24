import { InputError } from '../quantity/error';
import { diameterOf, groupsOf, type Dossier } from './dossier';
import { gapFor, gapScale, type GapScale } from './gap-scale';

/** What the scale says for the cable as measured. */
export type BackNutState =
  | { is: 'unmeasured' }
  | { is: 'impossible'; cableMm: number; why: string }
  | { is: 'scale'; scale: GapScale };

/** The scale of an entry whose sheet has one; a cable for which there is none says why. */
export function backNutState(dossier: Dossier): BackNutState {
  const scale = gapScale(dossier);
  if (scale) return { is: 'scale', scale };
  const group = groupsOf(dossier, 'outer-sheath').find(({ fault }) => !fault);
  const sheet = dossier.size?.backNut;
  if (!group || !sheet) return { is: 'unmeasured' };
  const cableMm = diameterOf(dossier, group, dossier.cable?.coldFlow ?? false).meanMm;
  try {
    gapFor(sheet, cableMm);
    return { is: 'unmeasured' };
  } catch (error) {
    if (error instanceof InputError) return { is: 'impossible', cableMm, why: error.message };
    throw error;
  }
}
