import { conforms, fails, unread, type Check } from '../check';
import { answerTo, judgeLook } from '../look';
import { washerReasons } from '../washer';

/** A sealing washer where the sheet, a thin wall, a clearance hole or a rating above IP54 asks for one. */
export const e22: Check = {
  id: 'E-22',
  title: 'Sealing washer',
  grade: 'visual',
  hazard: 'explosion',
  place: 'washer',
  consequence: () => 2,
  run(context) {
    const look = judgeLook(context, 'washer');
    const answer = answerTo(context, 'washer');
    const { size, certificate, entry } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate'), look];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size'), look];
    const asked = washerReasons(context);
    if (answer === 'none' && asked.length > 0) {
      return [fails('e22.missing', { reasons: asked.join('; '), thread: size.thread })];
    }
    if (answer === 'fitted' && entry.washerMm === 0) {
      return [unread('e22.thickness', { thread: size.thread }, 'settle.washer')];
    }
    if (look.outcome !== 'conforms') return [look];
    const facts = { washerMm: entry.washerMm, reasons: asked.join('; ') };
    return [conforms(asked.length > 0 ? 'e22.fitted' : 'e22.none-asked', facts)];
  },
};
