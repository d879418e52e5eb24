import { linkLengths } from '../mineral/link';
import { jointAnswer, jointTitle } from '../kinds/places';
import type { Joint } from '../record/types';
import type { Dossier } from './dossier';
import { SUPPORT_WITHIN_MM } from './limits';
import type { ValueTask } from './judge-value';

/** What a place of single values is held against; null where sheet and certificate do not say, or for another place. */
export function valueTaskOf({ size, certificate, cable }: Dossier, place: string): ValueTask | null {
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
    case 'pot-projection': {
      if (!size?.mineral) return null;
      const [low, high] = size.mineral.projectionMm;
      return { place, part: 'Sheath proud in the pot', unit: 'mm', low, high, settle: 'settle.open-measure' };
    }
    case 'sheath-length': {
      const link = cable?.mineral?.link;
      if (!link) return null;
      const { sheathMm } = linkLengths(link);
      const part = 'Sheath, end to end';
      return { place, part, unit: 'mm', low: sheathMm - link.fitMm, high: sheathMm + link.fitMm, settle: 'settle.open-measure' }; // prettier-ignore
    }
    case 'support-distance':
      if (!certificate?.reducedRetention) return null;
      return { place, part: 'Gland to cable clamp', unit: 'mm', low: null, high: SUPPORT_WITHIN_MM, settle: 'settle.support' }; // prettier-ignore
    default:
      return jointTask(certificate, place);
  }
}

/** Turns, torque or gap of a joint whose school gives limits; null for one that is looked at. */
function jointTask(certificate: Dossier['certificate'], place: string): ValueTask | null {
  const joint = certificate?.sheet.joints.find((one) => place === jointAnswer(one.joint, one.school));
  return joint ? taskOfJoint(joint) : null;
}

const MEASURED = {
  turns: { unit: 'turns', settle: 'settle.turns' },
  torque: { unit: 'N·m', settle: 'settle.torque' },
  gap: { unit: 'mm', settle: 'settle.gap' },
} as const;

/** What a joint's turns, torque or gap are held against; null for another school, or without limits. */
export function taskOfJoint({ joint, school, range }: Joint): ValueTask | null {
  if (range === null || (school !== 'turns' && school !== 'torque' && school !== 'gap')) return null;
  const { unit, settle } = MEASURED[school];
  return {
    place: jointAnswer(joint, school),
    part: jointTitle(joint),
    unit,
    low: range[0],
    high: range[1],
    settle,
  };
}
