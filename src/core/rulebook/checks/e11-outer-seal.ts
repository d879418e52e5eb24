import { blank, type Check, type None, saying } from '../check';
import { fitTaskOf } from '../fit-task';
import { judgeFit } from '../judge-fit';
import { judgeLook } from '../look';

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'cable.none': None;
  'fit.shape': { part: string; lowMm: number; highMm: number; shape: string; shapes: string };
};
const { fails, unread } = saying<Says>();

/** The outer seal holds the sheath as measured, on bare, round sheath. */
export const e11: Check = {
  id: 'E-11',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 10.2', certificate: true },
  grade: 'close',
  hazard: 'explosion',
  place: 'outer-sheath',
  consequence: () => 3,
  run(context) {
    const { size, cable, certificate } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    if (!cable) return [unread('cable.none', {}, 'settle.cable')];
    const look = judgeLook(context, 'outer-bare');
    const { shapes, rangeMm } = size.outer;
    if (rangeMm === null) return [blank('range-of-the-outer-seal', size.size, 'settle.sheet'), look];
    if (shapes.length === 0)
      return [blank('shapes-that-the-outer-seal-takes', size.size, 'settle.sheet'), look];
    if (cable.shape === null) return [blank('shape', cable.tag, 'settle.cable'), look];
    if (!shapes.includes(cable.shape)) {
      const [lowMm, highMm] = rangeMm;
      const facts = { part: 'outer-seal', lowMm, highMm, shape: cable.shape, shapes: shapes.join(', ') };
      return [fails('fit.shape', facts), look];
    }
    return [judgeFit(context, fitTaskOf(context, 'outer-sheath')!), look];
  },
};
