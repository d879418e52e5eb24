import { s, n, stop, gap, found } from '../sentences/parts';
import type { InputKey } from '../../../quantity/error';
import { inputSentence } from '../inputs';
import { mm, figure } from '../format';
import { schoolWords } from '../kinds/titles';
import type { CheckWords } from './words';

export const e19: CheckWords = {
  title: 'Back-nut gap',
  sentences: {
    'e19.no-rubber': (f) =>
      `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no seal data, so there is no scale for the gap.`,
    'e19.no-scale': (f) =>
      `Sheet ${s(f, 'sheet')} closes the outer seal ${schoolWords(s(f, 'school'))} and gives no scale for the gap.`,
    'e19.no-cable': () => 'The outer sheath is not measured, so the gap has no place on the scale.',
    'e19.impossible': (f) =>
      `For a cable of ${mm(n(f, 'cableMm'))} the scale has no gap. ${stop(inputSentence({ key: s(f, 'why') as InputKey, facts: {} }))}`,
    'e19.bottoms': (f) =>
      `On a cable of ${mm(n(f, 'cableMm'))} the faces meet ${mm(-n(f, 'gapMm'))} before the seal grips: the cable is too small for this seal.`,
    'e19.indent': (f) =>
      `${figure(n(f, 'turns'))} turns indent the sheath by ${figure(n(f, 'indentPct'), 1)} %; ${figure(n(f, 'allowedPct'), 1)} % is allowed.`,
    'e19.not-measured': (f) => `Back-nut gap: not measured; on this cable ${gap(f)} is right.`,
    'e19.agrees': (f) => `Back-nut gap ${found(f)}; on a cable of ${mm(n(f, 'cableMm'))} ${gap(f)} is right.`,
    'e19.close': (f) =>
      `Back-nut gap ${found(f)}; ${gap(f)} is right, and it lies outside by less than the uncertainty.`,
    'e19.wide': (f) =>
      `Back-nut gap ${found(f)}, ${mm(n(f, 'offMm'))} wider than ${gap(f)}: slack, or a thicker cable or another ring than recorded.`,
    'e19.narrow': (f) =>
      `Back-nut gap ${found(f)}, ${mm(-n(f, 'offMm'))} narrower than ${gap(f)}: over-tightened, or a thinner cable.`,
    'e19.cable-disagrees': () =>
      'Readings of the outer sheath contradict each other, so the gap has no place on the scale.',
  },
};
