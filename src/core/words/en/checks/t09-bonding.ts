import { ohm, count } from '../format';
import { n } from '../sentences/parts';
import { block } from '../sentences/transit';
import type { Facts } from '../../../record/finding';
import type { CheckWords } from './words';

const bond = (f: Facts) =>
  `${block(f)}: ${ohm(n(f, 'ohm'))} ± ${ohm(n(f, 'uncertaintyOhm'))} from armour to earth`;

export const t09: CheckWords = {
  title: 'Bonding',
  sentences: {
    't09.unread': (f) =>
      `${block(f)}: the path from its armour to earth is not measured; at most ${ohm(n(f, 'limitOhm'))} is allowed.`,
    't09.low': (f) => `${count(n(f, 'count'), 'armour')} measured, each below ${ohm(n(f, 'limitOhm'))}.`,
    't09.over': (f) => `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed.`,
    't09.path-unknown': (f) => `${bond(f)}, but whether one end was disconnected is not recorded.`,
    't09.parallel': (f) => `${bond(f)}, but parallel paths remain, so it proves nothing.`,
    't09.close': (f) =>
      `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed, nearer than the uncertainty.`,
  },
};
