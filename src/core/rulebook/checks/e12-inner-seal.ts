import { fails, notApplicable, unread, type Check } from '../check';
import { isFlameproof } from '../dossier';
import { fitTaskOf } from '../fit-task';
import { judgeFit } from '../judge-fit';

/** The inner seal holds the inner sheath as measured. */
export const e12: Check = {
  id: 'E-12',
  title: 'Inner seal',
  grade: 'detailed',
  hazard: 'explosion',
  place: 'inner-sheath',
  consequence: (context) => (isFlameproof(context) ? 4 : 3),
  run(context) {
    const { size, cable, certificate } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    if (!size.inner)
      return [notApplicable('e12.no-seal', { size: size.size, sheet: certificate.sheet.number })];
    if (!cable) return [unread('cable.none', {}, 'settle.cable')];
    const { shapes } = size.inner;
    if (!shapes.includes(cable.shape)) {
      return [fails('fit.shape', { part: 'The inner seal', shape: cable.shape, shapes: shapes.join(', ') })];
    }
    return [judgeFit(context, fitTaskOf(context, 'inner-sheath')!)];
  },
};
