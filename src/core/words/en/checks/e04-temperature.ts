import { n, degrees, s, from } from '../sentences/parts';
import type { Facts } from '../../../record/finding';
import { figure } from '../format';
import type { CheckWords } from './words';

const BEARERS: Record<string, string> = {
  gland: 'The gland',
  'outer-seal': 'The outer seal',
  'inner-seal': 'The inner seal',
  compound: 'The compound',
  cable: 'The cable',
};

/** What has to bear the temperature. */
const bearer = (f: Facts): string => BEARERS[s(f, 'part')] ?? s(f, 'part');

export const e04: CheckWords = {
  title: 'Temperature',
  sentences: {
    'e04.ambient': (f) =>
      `The gland serves ${degrees(n(f, 'leastC'))} to ${degrees(n(f, 'mostC'))} °C; the area reaches ${degrees(n(f, 'coldestC'))} to ${degrees(n(f, 'hottestC'))} °C.`,
    'e04.too-hot': (f) =>
      `${bearer(f)} bears ${degrees(n(f, 'maxC'))} °C; the entry reaches ${degrees(n(f, 'worstC'))} °C (${from(f)}), ${figure(n(f, 'worstC') - n(f, 'maxC'), 1)} °C too hot.`,
    'e04.suits': (f) =>
      `The entry reaches ${degrees(n(f, 'worstC'))} °C (${from(f)}); the weakest part, ${bearer(f).toLowerCase()}, bears ${degrees(n(f, 'maxC'))} °C; ambient ${degrees(n(f, 'coldestC'))} to ${degrees(n(f, 'hottestC'))} °C is within ${degrees(n(f, 'leastC'))} to ${degrees(n(f, 'mostC'))} °C.`,
    'e04.ambient-reversed': (f) =>
      `The ambient range of ${s(f, 'area')} runs from ${degrees(n(f, 'coldestC'))} to ${degrees(n(f, 'hottestC'))} °C: its limits are the wrong way round.`,
    'e04.bound': (f) =>
      `${bearer(f)} bears ${degrees(n(f, 'maxC'))} °C; nothing is marked, so up to ${degrees(n(f, 'worstC'))} °C may be met: that is a bound, not a reading.`,
    'e04.cable-cold': (f) =>
      `The area reaches ${degrees(n(f, 'coldestC'))} °C; how cold cable ${s(f, 'cable')} may get is not recorded.`,
    'e04.cable-unknown': (f) => `How hot cable ${s(f, 'cable')} may get is not recorded.`,
    'e04.too-cold': (f) =>
      `${bearer(f)} serves down to ${degrees(n(f, 'minC'))} °C; the area reaches ${degrees(n(f, 'coldestC'))} °C.`,
  },
};
