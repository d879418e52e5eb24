import { type Check, type None, saying } from '../check';
import { kindOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { judgeValues } from '../judge-value';
import { judgeLook } from '../look';
import { valueTaskOf } from '../value-task';

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'e12.no-seal': { size: string; sheet: string };
  'e20.no-length': { size: string; sheet: string };
};
const { unread, notApplicable } = saying<Says>();

/** The inner sheath stands proud of its seal by what the sheet asks; conductors are not scored. */
export const e20: Check = {
  id: 'E-20',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 10.2; assembly sheet', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'inner-proud',
  consequence: () => 3,
  run: (context) => [...proud(context), judgeLook(context, 'conductors')],
};

function proud(context: Context): Aspect[] {
  const { size, certificate } = context;
  // Where cores go through a pot, or nothing sits on the inner sheath, only the look is asked.
  if (kindOf(context).inner === 'none') return [];
  if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
  if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
  const facts = { size: size.size, sheet: certificate.sheet.number };
  if (!size.inner) return [notApplicable('e12.no-seal', facts)];
  if (size.innerProudMm === null) return [unread('e20.no-length', facts, 'settle.sheet')];
  return judgeValues(context, valueTaskOf(context, 'inner-proud')!);
}
