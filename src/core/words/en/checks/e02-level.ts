import { s, upper } from '../sentences/parts';
import type { Facts } from '../../../record/finding';
import type { CheckWords } from './words';
import { hazard } from '../sentences/terms';

/** Where a level comes from that nobody marked. */
const implied = (f: Facts): string =>
  f.from === 'concept'
    ? ' (implied by the concept, none is marked)'
    : f.from === 'category'
      ? ' (by its category, no level is marked)'
      : '';

const listed = (f: Facts): string =>
  f.listedClass === undefined ? s(f, 'has') : `Class ${f.listedClass}, Division ${f.listedDivision}`;

export const e02: CheckWords = {
  title: 'Level suits the zone',
  sentences: {
    'e02.no-level': (f) =>
      `${upper(hazard(f))} takes ${s(f, 'accepted')}; the certificate names no level and no concept that implies one.`,
    'e02.listed': (f) => `Listed for ${listed(f)}, which serves ${hazard(f)}.`,
    'e02.other-hazard': (f) =>
      f.dust
        ? `Gas marks (${s(f, 'has')}) prove nothing in dust: ${hazard(f)} takes ${s(f, 'accepted')}.`
        : `Dust marks (${s(f, 'has')}) prove nothing in gas: ${hazard(f)} takes ${s(f, 'accepted')}.`,
    'e02.suits': (f) =>
      `Level ${s(f, 'has')}${implied(f)} suits ${hazard(f)}, which takes ${s(f, 'accepted')}.`,
    'e02.not-suited': (f) =>
      `${upper(hazard(f))} takes ${s(f, 'accepted')}; the gland has ${s(f, 'has')}${implied(f)}.`,
  },
};
