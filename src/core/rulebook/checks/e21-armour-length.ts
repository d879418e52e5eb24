import { type Check, type None, saying } from '../check';
import { judgeValues } from '../judge-value';
import { valueTaskOf } from '../value-task';

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'e21.no-length': { size: string; sheet: string };
};
const { unread } = saying<Says>();

/** Armour left standing for the clamp, against the sheet. */
export const e21: Check = {
  id: 'E-21',
  kinds: ({ armour }) => armour === 'cone',
  basis: { 'iec-2013': 'Assembly sheet, armour length', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'armour-length',
  consequence: () => 2,
  run(context) {
    const { size, certificate } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    if (!size.armourLengthMm) {
      return [unread('e21.no-length', { size: size.size, sheet: certificate.sheet.number }, 'settle.sheet')];
    }
    return judgeValues(context, valueTaskOf(context, 'armour-length')!);
  },
};
