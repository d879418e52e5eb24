import { day, figure } from '../format';
import { n, s } from '../sentences/parts';
import { megohm } from '../sentences/mineral';
import type { CheckWords } from './words';

export const m04: CheckWords = {
  title: 'Fall of insulation at sealing',
  sentences: {
    'm04.one-test': () =>
      'Insulation before and after sealing cannot be compared: one of the tests is missing.',
    'm04.fell': (f) =>
      `${s(f, 'pair')} fell from ${megohm(n(f, 'beforeMegohm'))} before sealing to ${megohm(n(f, 'afterMegohm'))} on ${day(s(f, 'at'))}, both at 20 °C, by more than the factor ${figure(n(f, 'factor'))}.`,
    'm04.held': (f) => `No pair fell by more than the factor ${figure(n(f, 'factor'))} at sealing.`,
    'm04.invalid': () =>
      'One of the tests before and after sealing says nothing, so there is no fall to judge.',
  },
};
