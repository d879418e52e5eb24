import { jointPlace, jointTitle } from '../record/kinds/places';
import type { Dossier } from './dossier';
import { SUPPORT_WITHIN_MM } from './limits';
import type { ValueTask } from './judge-value';

/** What a place of single values is held against; null where sheet and certificate do not say, or for another place. */
export function valueTaskOf({ size, certificate }: Dossier, place: string): ValueTask | null {
  switch (place) {
    case 'armour-length': {
      if (!size?.armourLengthMm) return null;
      const [low, high] = size.armourLengthMm;
      return { place, part: 'Armour exposed', unit: 'mm', low, high, settle: 'settle.open-measure' };
    }
    case 'inner-proud': {
      if (size?.innerProudMm == null) return null;
      const part = 'Inner sheath proud of the seal';
      return { place, part, unit: 'mm', low: size.innerProudMm, high: null, settle: 'settle.open-measure' };
    }
    case 'compound-reach': {
      const compound = certificate?.sheet.compound;
      if (!compound) return null;
      const part = 'Compound beyond the crotch';
      return { place, part, unit: 'mm', low: 0, high: compound.reachMm, settle: 'settle.reach' };
    }
    case 'support-distance':
      if (!certificate?.reducedRetention) return null;
      return { place, part: 'Gland to cable clamp', unit: 'mm', low: null, high: SUPPORT_WITHIN_MM, settle: 'settle.support' }; // prettier-ignore
    default:
      return jointTask(certificate, place);
  }
}

/** Turns or torque of a joint whose school gives limits. */
function jointTask(certificate: Dossier['certificate'], place: string): ValueTask | null {
  const joint = certificate?.sheet.joints.find((one) => place === `${one.school}-${one.joint}`);
  const measured = joint && jointPlace(joint.joint, joint.school);
  if (!joint?.range || !measured) return null;
  const [low, high] = joint.range;
  const unit = measured.unit === 'turns' ? 'turns' : 'N·m';
  return { place, part: jointTitle(joint.joint), unit, low, high, settle: `settle.${joint.school}` };
}
