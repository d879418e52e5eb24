import { mm, day, figure } from '../format';
import type { Facts } from '../../../record/finding';
import { n, range, s } from '../sentences/parts';
import type { CheckWords } from './words';

const left = (f: Facts) =>
  `Opening ${s(f, 'opening')}: rows and plates leave ${mm(n(f, 'leftMm'))}; the compression unit needs ${range(f)}`;

const wedge = (f: Facts) =>
  `Opening ${s(f, 'opening')}: the wedge reads ${mm(n(f, 'wedgeMm'))}; ${range(f)} is home`;

export const t06: CheckWords = {
  title: 'Compression',
  sentences: {
    't06.too-little': (f) => `${left(f)}: a row or a plate too many.`,
    't06.too-much': (f) => `${left(f)}: a row or a plate too few.`,
    't06.unread': (f) => `Opening ${s(f, 'opening')}: the wedge is not read.`,
    't06.short': (f) => `${wedge(f)}: a row too many, or blocks not home.`,
    't06.far': (f) => `${wedge(f)}: it travelled too far, a row or a block is missing.`,
    't06.home': (f) => `${wedge(f)}.`,
    't06.bolts-early': (f) =>
      `The bolts were checked again sooner than ${n(f, 'relaxH')} h after they were tightened.`,
    't06.bolts-due': (f) =>
      `The sheet's ${figure(n(f, 'relaxH'), 0)} h are over since ${day(s(f, 'due'))}: the bolts have not been checked again.`,
  },
};
