import { s, n, near, signed } from '../sentences/parts';
import { mm } from '../format';
import type { CheckWords } from './words';
import { threadOf } from '../sentences/terms';

export const e07: CheckWords = {
  title: 'Thread form and size',
  sentences: {
    'e07.unknown': (f) =>
      `Thread "${s(f, 'thread')}" is not in the thread table; write it like M25x1.5 or NPT 3/4.`,
    'e07.agree': (f) => `${threadOf(f)} and ${s(f, 'into')} are both declared ${s(f, 'gland')}.`,
    'e07.near-miss': (f) =>
      `Threads only nearly fit: ${near(f)}; major diameter ${signed(n(f, 'majorDifferenceMm'))}, pitch ${signed(n(f, 'pitchDifferenceMm'))}. Prove the hole with a plug gauge or by its minor diameter.`,
    'e07.differ': (f) =>
      `Threads differ: ${near(f)}; major diameter ${signed(n(f, 'majorDifferenceMm'))}, pitch ${signed(n(f, 'pitchDifferenceMm'))}.`,
    'e07.hole-unmeasured': (f) => `The clearance hole for ${s(f, 'thread')} is not measured.`,
    'e07.hole-too-small': (f) =>
      `The hole of ${mm(n(f, 'holeMm'))} is ${mm(-n(f, 'playMm'))} smaller than ${s(f, 'thread')}.`,
    'e07.hole-too-wide': (f) =>
      `The hole of ${mm(n(f, 'holeMm'))} is ${mm(n(f, 'playMm'))} wider than ${s(f, 'thread')}; ${mm(n(f, 'allowedMm'))} is allowed.`,
    'e07.hole': (f) =>
      `The hole of ${mm(n(f, 'holeMm'))} has ${mm(n(f, 'playMm'))} of play round ${s(f, 'thread')}; ${mm(n(f, 'allowedMm'))} is allowed.`,
    'e07.half-measured': (f) =>
      f.majorMm === null
        ? `Pitch ${mm(n(f, 'pitchMm'))} is measured, the major diameter is not.`
        : `Major diameter ${mm(n(f, 'majorMm'))} is measured, the pitch is not.`,
    'e07.none-matches': (f) =>
      `Measured ${mm(n(f, 'majorMm'))} at pitch ${mm(n(f, 'pitchMm'))} is no thread of the table${f.near ? `; the nearest is ${s(f, 'near')}` : ''}.`,
    'e07.other-thread': (f) =>
      `Measured ${mm(n(f, 'majorMm'))} at pitch ${mm(n(f, 'pitchMm'))} is ${s(f, 'found').replaceAll(', ', ' or ')}; the sheet says ${s(f, 'gland')}.`,
    'e07.ambiguous': (f) =>
      `Measured ${mm(n(f, 'majorMm'))} at pitch ${mm(n(f, 'pitchMm'))} can be ${s(f, 'found').replaceAll(', ', ' or ')}.`,
    'e07.identified': (f) =>
      `Measured ${mm(n(f, 'majorMm'))} at pitch ${mm(n(f, 'pitchMm'))} is ${s(f, 'gland')}, as declared.`,
    'e07.taper-in-clearance': (f) =>
      `${s(f, 'thread')} is taper: it wedges in a thread, and may not stand in a clearance hole.`,
  },
};
