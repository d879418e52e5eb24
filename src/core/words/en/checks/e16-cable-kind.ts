import { s, n, range, lower, part } from '../sentences/parts';
import { figure, mm } from '../format';
import type { CheckWords } from './words';
import { kindOfEntry } from '../sentences/terms';

export const e16: CheckWords = {
  title: 'Cable kind',
  sentences: {
    'e16.not-mineral': (f) =>
      `Cable ${s(f, 'cable')} is not recorded as mineral insulated; a ${kindOfEntry(f)} takes no other.`,
    'e16.mineral': (f) =>
      `Cable ${s(f, 'cable')} is mineral insulated; a ${kindOfEntry(f)} does not keep moisture out of it.`,
    'e16.suits': (f) =>
      `Cable ${s(f, 'cable')}, ${s(f, 'shape')}, ${figure(n(f, 'lengthM'), 1)} m, suits the gland.`,
    'e16.armoured': (f) =>
      `Cable ${s(f, 'cable')} has ${s(f, 'type')} armour of ${mm(n(f, 'sizeMm'))}; a ${kindOfEntry(f)} does not clamp it.`,
    'e16.cold-flow': (f) =>
      `The sheath of cable ${s(f, 'cable')} (${mm(n(f, 'sheathMm'))}) flows cold; the ${lower(part(f))}, ${range(f)}, squeezes it and will slacken: the sheet does not mark it for such sheaths.`,
    'e16.filling-unknown': (f) =>
      `Whether cable ${s(f, 'cable')} is effectively filled is not recorded; restricted breathing asks.`,
    'e16.not-filled': (f) =>
      `Cable ${s(f, 'cable')} is not effectively filled and breathes; the enclosure is in nR.`,
    'e16.breathes': (f) =>
      `Cable ${s(f, 'cable')} failed its breathing test${f.halfTimeS === null ? '' : ` (${figure(n(f, 'halfTimeS'), 1)} s, 5 s are needed)`}; the enclosure is in nR.`,
    'e16.breathing-contradicts': (f) =>
      `The breathing test of cable ${s(f, 'cable')} is marked against its own figure (${figure(n(f, 'halfTimeS'), 1)} s; 5 s are needed).`,
    'e16.other-area': (f) =>
      `Both ends are said to be in one area; cable ${s(f, 'cable')} ends in ${s(f, 'tag')}, entry ${s(f, 'label')}, which is in another.`,
  },
};
