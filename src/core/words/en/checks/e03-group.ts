import { s } from '../sentences/parts';
import type { CheckWords } from './words';

export const e03: CheckWords = {
  title: 'Group',
  sentences: {
    'e03.none-marked': (f) => `The area asks for ${s(f, 'asked')}; the certificate names no group.`,
    'e03.covered': (f) => `Group ${s(f, 'has')} covers ${s(f, 'asked')}.`,
    'e03.not-covered': (f) => `The area asks for ${s(f, 'asked')}; the gland is for ${s(f, 'has')}.`,
    'e03.listed': (f) => `Listed for groups ${s(f, 'has')}, which include ${s(f, 'asked')}.`,
    'e03.not-listed': (f) =>
      `The area asks for group ${s(f, 'asked')}; the certificate is listed for ${s(f, 'has')}, and its zone marking is not accepted here.`,
  },
};
