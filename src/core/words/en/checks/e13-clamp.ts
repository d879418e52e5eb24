import { day } from '../format';
import { s, held, armourOf } from '../sentences/parts';
import type { CheckWords } from './words';

export const e13: CheckWords = {
  title: 'Armour type, ring face, clamping range',
  sentences: {
    'e13.unarmoured': (f) =>
      `Cable ${s(f, 'cable')} has no armour (confirmed by ${s(f, 'by')} on ${day(s(f, 'on'))}); an armoured gland has nothing to clamp.`,
    'e13.armour-unknown': (f) => `The armour of cable ${s(f, 'cable')} is not recorded.`,
    'e13.not-listed': (f) =>
      `Cable ${s(f, 'cable')} has ${s(f, 'armour')} armour; certificate ${s(f, 'certificate')} lists ${s(f, 'listed')} for size ${s(f, 'sizes')}.`,
    'e13.face-unknown': (f) =>
      `Which face of the ring is towards the box is not recorded; ${s(f, 'armour')} needs its own.`,
    'e13.wrong-face': (f) =>
      `Ring face ${s(f, 'face')} is towards the box, which takes ${held(f)}; ${armourOf(f)} of cable ${s(f, 'cable')} needs face ${s(f, 'wanted')}.`,
    'e13.wrong-ring': (f) =>
      `Ring ${s(f, 'face')} is fitted, which takes ${held(f)}; ${armourOf(f)} of cable ${s(f, 'cable')} needs ring ${s(f, 'wanted')}.`,
  },
};
