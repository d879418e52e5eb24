import { s, n } from '../sentences/parts';
import { day } from '../format';
import type { CheckWords } from './words';
import { hazard } from '../sentences/terms';

export const e01: CheckWords = {
  title: 'Identified and certified',
  sentences: {
    'e01.no-certificate': () => 'No certificate is named for this entry.',
    'e01.other-kind': (f) =>
      `Certificate ${s(f, 'certificate')} covers ${s(f, 'covers')}, the entry is a ${s(f, 'kind')}.`,
    'e01.no-size': (f) => `No size of certificate ${s(f, 'certificate')} is named for this entry.`,
    'e01.size-not-listed': (f) => `Certificate ${s(f, 'certificate')} lists no size ${s(f, 'size')}.`,
    'e01.covered': (f) => `Size ${s(f, 'size')} is covered by certificate ${s(f, 'certificate')}.`,
    'e01.industrial': (f) =>
      `An industrial gland without a certificate for explosive atmospheres (sheet ${s(f, 'certificate')}) stands in ${hazard(f)}, ${s(f, 'area')}: it may not be used there.`,
    'e01.no-concept': (f) =>
      `Certificate ${s(f, 'certificate')} names no protection, and the gland stands in ${hazard(f)}, ${s(f, 'area')}.`,
    'e01.sheet': (f) =>
      `Size ${s(f, 'size')} is on sheet ${s(f, 'certificate')}; nothing is classified here, so no certificate is asked for.`,
    'e01.component': (f) =>
      `Certificate ${s(f, 'certificate')} is one of a component (U), not of equipment: it counts only where the enclosure's certificate covers the part.`,
    'e01.future': (f) =>
      `Certificate ${s(f, 'certificate')} is dated ${day(s(f, 'issued'))}, which is still to come.`,
    'e01.size-twice': (f) =>
      `The sheet of certificate ${s(f, 'certificate')} gives size ${s(f, 'size')} in ${n(f, 'lines')} lines, and nobody can tell which is meant.`,
    'e01.superseded': (f) =>
      `Certificate ${s(f, 'certificate')} is superseded: what is installed may stay, new parts follow the new one.`,
    'e01.withdrawn': (f) => `Certificate ${s(f, 'certificate')} was withdrawn for reasons of safety.`,
    'e01.withdrawn-other': (f) =>
      `Certificate ${s(f, 'certificate')} was withdrawn, not for reasons of safety; new parts need another one.`,
    'e01.withdrawn-why': (f) => `Certificate ${s(f, 'certificate')} was withdrawn; why is not recorded.`,
    'e01.approved': (f) => `The transit is covered by approval ${s(f, 'certificate')}.`,
  },
};
