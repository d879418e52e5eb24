import { coreCount } from '../../kinds/situation';
import { blank, type Check, type None, saying } from '../check';
import { isFlameproof, kindOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { fitTaskOf } from '../fit-task';
import { judgeFit } from '../judge-fit';
import { judgeLook } from '../look';

type OfCores = { cores: number; most: number; boreMm: number };

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'cable.none': None;
  'e12.no-seal': { size: string; sheet: string };
  'e12.no-range': { size: string; sheet: string };
  'fit.shape': { part: string; lowMm: number; highMm: number; shape: string; shapes: string };
  'e12.no-pot': { size: string; sheet: string };
  'e12.too-many-cores': OfCores;
  'e12.cores': OfCores;
};
const { conforms, fails, unread, notApplicable } = saying<Says>();

/** The inner seal or diaphragm holds the inner sheath as measured; a pot takes the cores, by size and number. */
export const e12: Check = {
  id: 'E-12',
  kinds: ({ inner, pot }) => inner !== 'none' || pot !== 'none',
  basis: { 'iec-2013': 'IEC 60079-14:2013, 10.2 and 10.6', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'inner-sheath',
  consequence: (context) => (isFlameproof(context) ? 4 : 3),
  run(context) {
    const { size, cable, certificate } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    if (!cable) return [unread('cable.none', {}, 'settle.cable')];
    const kind = kindOf(context);
    if (kind.pot !== 'none') return pot(context);
    if (!size.inner) {
      const facts = { size: size.size, sheet: certificate.sheet.number };
      // A gland for cables without armour may have one seal only.
      if (kind.inner === 'none' || kind.armour === 'none') return [notApplicable('e12.no-seal', facts)];
      return [unread('e12.no-range', facts, 'settle.sheet')];
    }
    const { shapes, rangeMm } = size.inner;
    const look = kind.inner === 'diaphragm' ? [judgeLook(context, 'diaphragm-lip')] : [];
    if (rangeMm === null) return [blank('range-of-the-inner-seal', size.size, 'settle.sheet'), ...look];
    if (shapes.length === 0)
      return [blank('shapes-that-the-inner-seal-takes', size.size, 'settle.sheet'), ...look];
    if (cable.shape === null) return [blank('shape', cable.tag, 'settle.cable'), ...look];
    if (!shapes.includes(cable.shape)) {
      const [lowMm, highMm] = rangeMm;
      const facts = { part: 'inner-seal', lowMm, highMm, shape: cable.shape, shapes: shapes.join(', ') };
      return [fails('fit.shape', facts), ...look];
    }
    return [judgeFit(context, fitTaskOf(context, 'inner-sheath')!), ...look];
  },
};

/** The bore over the cores, and how many of them. */
function pot(context: Context): Aspect[] {
  const { size, certificate } = context;
  const of = size!.pot;
  if (!of)
    return [unread('e12.no-pot', { size: size!.size, sheet: certificate!.sheet.number }, 'settle.sheet')];
  const cores = coreCount(context);
  if (cores === null) return [blank('cores', context.cable!.tag, 'settle.cable')];
  const facts = { cores, most: of.mostCores, boreMm: of.boreMm };
  const number = cores > of.mostCores ? fails('e12.too-many-cores', facts) : conforms('e12.cores', facts);
  return [judgeFit(context, fitTaskOf(context, 'over-cores')!), number];
}
