import { type Check, type None, saying } from '../check';
import { kindOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { judgeValues } from '../judge-value';
import { judgeLook } from '../look';
import { valueTaskOf } from '../value-task';
import { atMost } from '../../quantity/compare';
import { noCable } from '../mineral-insulation';

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'm01.no-pot': { size: string; sheet: string };
  'm01.no-stub': { size: string; cable: string };
  'm01.no-path': { cable: string };
  'm01.no-tail': { longestMm: number };
  'm01.tail': { tailMm: number; longestMm: number };
};
const { fails, unread } = saying<Says>();

/** The pot on its mark, the sheath proud in it by what the sheet asks, filled and crimped; a link cut to length. */
export const m01: Check = {
  id: 'M-01',
  kinds: ({ mineral }) => mineral,
  basis: { 'iec-2013': 'Assembly sheet, pot and projection', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'pot-projection',
  consequence: () => 3,
  run(context) {
    const { size, certificate, cable } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    if (!size.mineral) {
      return [unread('m01.no-pot', { size: size.size, sheet: certificate.sheet.number }, 'settle.sheet')];
    }
    const aspects = [
      ...judgeValues(context, valueTaskOf(context, 'pot-projection')!),
      judgeLook(context, 'pot-square'),
      judgeLook(context, 'pot-filled'),
    ];
    if (cable?.mineral?.screened) {
      aspects.push(judgeLook(context, 'drain-wire'));
      if (size.mineral.screenStubMm === null)
        aspects.push(fails('m01.no-stub', { size: size.size, cable: cable.tag }));
    }
    const { longestTailMm } = size.mineral;
    const { tailMm } = context.entry;
    if (longestTailMm != null && tailMm === null)
      aspects.push(unread('m01.no-tail', { longestMm: longestTailMm }, 'settle.tail'));
    else if (longestTailMm != null && !atMost(tailMm!, longestTailMm))
      aspects.push(fails('m01.tail', { tailMm: tailMm!, longestMm: longestTailMm }));
    return kindOf(context).link ? [...aspects, ...length(context)] : aspects;
  },
};

/** The sheath of a link against the path that it has to fit. */
function length(context: Context): Aspect[] {
  const none = noCable(context);
  if (none) return [none];
  const task = valueTaskOf(context, 'sheath-length');
  if (!task) return [unread('m01.no-path', { cable: context.cable!.tag }, 'settle.path')];
  return judgeValues(context, task);
}
