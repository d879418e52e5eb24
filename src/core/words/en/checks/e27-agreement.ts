import { s, n, seen, signed } from '../sentences/parts';
import { mm } from '../format';
import type { CheckWords } from './words';

export const e27: CheckWords = {
  title: 'Cable agrees with its record',
  sentences: {
    'e27.not-measured': (f) =>
      `The outer sheath is not measured, so cable ${s(f, 'cable')} cannot be held against its record.`,
    'e27.overall-agrees': (f) =>
      `The sheath measures ${seen(f)}; cable ${s(f, 'cable')} is recorded as ${mm(n(f, 'recordMm'))}, ± ${mm(n(f, 'allowedMm'))} is allowed.`,
    'e27.overall-differs': (f) =>
      `The sheath measures ${seen(f)}; cable ${s(f, 'cable')} is recorded as ${mm(n(f, 'recordMm'))}, off by ${signed(n(f, 'differenceMm'))}, ± ${mm(n(f, 'allowedMm'))} is allowed: the wrong cable, the wrong record or a misreading.`,
    'e27.layers-agree': (f) =>
      `Armour and sheath together measure ${mm(n(f, 'foundMm'))}, the record gives ${mm(n(f, 'expectedMm'))}.`,
    'e27.layers-differ': (f) =>
      `Outer less inner sheath is ${mm(n(f, 'foundMm'))}; armour and sheath of cable ${s(f, 'cable')} give ${mm(n(f, 'expectedMm'))}, ± ${mm(n(f, 'allowedMm'))} is allowed: the wrong cable, the wrong record or a misreading.`,
    'e27.disagree': (f) =>
      `Readings of cable ${s(f, 'cable')} contradict each other, so it cannot be held against its record.`,
    'e27.ends': (f) => `Cable ${s(f, 'cable')} has two ends, and it is recorded in ${s(f, 'places')} too.`,
  },
};
