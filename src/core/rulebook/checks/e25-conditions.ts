import { blank, type Check, type None, saying } from '../check';
import type { Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { isLater } from '../../instrument/calibration';
import { carries } from '../marks';

type OfCondition = { number: number; text: string; by: string; note: string };

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e25.not-listed': { certificate: string };
  'e25.none': { certificate: string };
  'e25.open': OfCondition;
  'look.future': { look?: string; title: string; at: string; joint?: string; number?: number };
  'e25.not-met': OfCondition;
  'e25.no-evidence': OfCondition;
  'e25.met': OfCondition;
};
const { conforms, fails, unread, notApplicable } = saying<Says>();

/** Every special condition of the certificate is met, with evidence: a note or a photo. */
export const e25: Check = {
  id: 'E-25',
  kinds: () => true,
  basis: { 'iec-2013': 'IEC 60079-0, certificates with X; IEC 60079-14:2013, 4.4', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'condition-1',
  consequence: () => 3,
  run(context) {
    const { certificate } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    const { number, specialConditions } = certificate;
    if (specialConditions === null) return [blank('special-conditions', number, 'settle.certificate')];
    if (specialConditions.length > 0) return specialConditions.map((text, i) => tick(context, i + 1, text));
    // The X of a certificate says that there are some.
    return carries(number, 'X')
      ? [unread('e25.not-listed', { certificate: number }, 'settle.certificate')]
      : [notApplicable('e25.none', { certificate: number })];
  },
};

function tick({ looks, at }: Context, number: number, text: string): Aspect {
  const given = looks.get(`condition-${number}`);
  const facts = { number, text, by: given?.by ?? '', note: given?.note ?? '' };
  if (!given) return unread('e25.open', facts, 'settle.condition');
  if (isLater(given.at, at)) return unread('look.future', { title: 'condition', number, at: given.at }, 'settle.clock'); // prettier-ignore
  if (given.answer !== 'met') return fails('e25.not-met', facts);
  if (given.note.trim() === '' && given.photo === null)
    return unread('e25.no-evidence', facts, 'settle.evidence');
  return conforms('e25.met', facts);
}
