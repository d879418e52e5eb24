import { s, upper } from '../sentences/parts';
import type { Facts } from '../../../record/finding';
import type { CheckWords } from './words';

/** Where a level comes from that nobody marked. */
const implied = (f: Facts): string =>
  f.from === 'concept'
    ? ' (implied by the concept, none is marked)'
    : f.from === 'category'
      ? ' (by its category, no level is marked)'
      : '';

export const e02: CheckWords = {
  title: 'Level suits the zone',
  sentences: {
    'e02.no-level': (f) =>
      `${upper(s(f, 'said'))} takes ${s(f, 'accepted')}; the certificate names no level and no concept that implies one.`,
    'e02.listed': (f) => `Listed for ${s(f, 'has')}, which serves ${s(f, 'said')}.`,
    'e02.other-hazard': (f) =>
      f.dust
        ? `Gas marks (${s(f, 'has')}) prove nothing in dust: ${s(f, 'said')} takes ${s(f, 'accepted')}.`
        : `Dust marks (${s(f, 'has')}) prove nothing in gas: ${s(f, 'said')} takes ${s(f, 'accepted')}.`,
    'e02.suits': (f) =>
      `Level ${s(f, 'has')}${implied(f)} suits ${s(f, 'said')}, which takes ${s(f, 'accepted')}.`,
    'e02.not-suited': (f) =>
      `${upper(s(f, 'said'))} takes ${s(f, 'accepted')}; the gland has ${s(f, 'has')}${implied(f)}.`,
  },
};
