import type { Stage } from '../looks/stage';
import { circle, rectangle } from '../shapes';
import { block, duct, fan, MID, pot, rows, type Draw } from './scenes';

/** Parts of a gland beside each other on the bench; what stays out lies apart, in a tray. */
function parts(s: Stage, out: 'nothing' | 'seal' | 'pot'): void {
  s.box('brass', 3, 14, 13, 26).box('brass', 16, 12, 22, 28).box('brass', 25, 11, 36, 29);
  if (out === 'nothing') s.box('rubber', 39, 14, 45, 26).box('brass', 48, 12, 57, 28);
  else {
    s.shape('wall', [[40, 20], [58, 20], [56, 34], [42, 34]]); // prettier-ignore
    if (out === 'seal') s.box('rubber', 45, 14, 53, 26);
    else s.box('brass', 44, 11, 54, 26).box('air', 46.5, 11, 51.5, 26);
    s.say('stays out: on the list', 57, 38.4, 'end');
  }
}

/** A gland from the side on its wall. */
const gland = (s: Stage): Stage =>
  s.box('wall', 0, 3, 6, 37).box('brass', 6, 11, 16, 29).box('brass', 18, 12, 28, 28).box('sheath-outer', 28, 15, 60, 25); // prettier-ignore

/** A meter with its two leads to where they touch. */
function meter(
  s: Stage,
  unit: string,
  from: readonly [number, number],
  to: readonly [number, number],
): Stage {
  s.disc('brass', 30, 33, 5).say(unit, 30, 34.4);
  return s.path([[25, 33], from], 1.2).path([[35, 33], to], 1.2); // prettier-ignore
}

/** A cable whose conductors stand open at the left and are sealed off at the right. */
function ends(s: Stage): Stage {
  for (const y of [12, 16, 20]) s.box('conductor', 3, y - 1, 16, y + 1);
  return s.box('conductor', 16, 9, 50, 23).box('shroud', 50, 8, 57, 24);
}

/** A cabinet's door in which a look is had, by lamp and eye. */
const lamp = (s: Stage, x: number, y: number): Stage =>
  s.shape('brass', [[x, y - 3], [x + 8, y - 5], [x + 8, y + 5], [x, y + 3]]).path([[x - 2, y - 2], [x - 12, y - 6]], 1).path([[x - 2, y + 2], [x - 12, y + 6]], 1); // prettier-ignore

/** A cable on a ladder at both faces of a wall. */
function through(s: Stage): Stage {
  s.box('wall', 26, 2, 34, 38).box('rubber', 24, 10, 36, 30).box('sheath-outer', 0, 17, 60, 23);
  for (const x of [9, 49]) s.box('brass', x, 15, x + 3, 25).path([[x + 1.5, 25], [x + 1.5, 36]], 2); // prettier-ignore
  return s;
}

/** Pictures of what comes before, between and after the handling: laying out, testing, looking; by the words of a step. */
export const AROUND: Record<string, Draw> = {
  safe: (s) => s.box('wall', 4, 6, 26, 36).box('brass', 11, 12, 19, 24).disc('brass', 15, 27, 4).disc('void', 15, 27, 1.4).path([[30, 22], [56, 22]], 4, 'armour').path([[40, 12], [50, 32]], 2, 'void').say('locked', 15, 4).say('dead, identified', 44, 37), // prettier-ignore
  'lay-out': (s) => { for (const [i, y] of [8, 18, 28].entries()) s.box('dam', 34, y, 39, y + 5).path([[35, y + 2.4], [36.4, y + 4], [38.4, y + 0.8]], 1.4).box('dimension', 42, y + 2, 56 - i * 3, y + 2.6); s.box('brass', 4, 8, 14, 16).box('rubber', 17, 8, 24, 16).box('shroud', 5, 20, 23, 26).path([[5, 32], [24, 32]], 3, 'armour'); }, // prettier-ignore
  apart: (s) => parts(s, 'nothing'),
  'apart-seal': (s) => parts(s, 'seal'),
  'apart-pot': (s) => parts(s, 'pot'),
  'look-open': (s, seen) => { fan(s, seen, 30, 0.4).box('sheath-inner', 30, 14, 44, 26); lamp(s, 48, 12); }, // prettier-ignore
  held: (s) => gland(s).box('brass', 38, 12, 42, 28).path([[40, 28], [40, 37]], 2).path([[16, 34], [38, 34]], 1).say('within 300 mm', 26, 39), // prettier-ignore
  bond: (s) => meter(gland(s).path([[12, 11], [12, 4], [22, 4]], 1.6, 'armour').say('one end off', 24, 5, 'start'), 'Ω', [4, 30], [14, 28]), // prettier-ignore
  'bond-seen': (s) => lamp(gland(s).box('brass', 8, 6, 14, 11).path([[11, 6], [11, 2]], 1.6, 'armour'), 44, 8), // prettier-ignore
  shroud: (s) => { gland(s); for (const m of [-1, 1]) s.path([[7, MID + 12 * m], [30, MID + 12 * m], [38, MID + 6 * m], [44, MID + 6 * m]], 2.4, 'shroud'); s.arrow([54, 9], [42, 9]); }, // prettier-ignore
  'ring-way': (s) => s.box('sheath-inner', 0, 28, 60, 36).shape('brass', [[6, 28], [6, 14], [14, 14], [32, 26], [32, 28]]).path([[8, 12], [14, 13], [33, 25], [60, 27]], 2.4, 'armour').shape('brass', [[20, 5], [20, 13], [38, 23.5], [38, 5]]).say('thick end: back', 30, 39).arrow([32, 3], [44, 3]), // prettier-ignore
  diaphragm: (s) => s.box('sheath-inner', 0, 24, 60, 36).box('brass', 30, 4, 46, 12).shape('rubber', [[36, 12], [40, 12], [40, 21], [36, 21]]).shape('rubber', [[40, 21], [40, 24], [16, 24], [18, 22], [36, 21]]).arrow([34, 18], [18, 18]).say('lip back along it', 4, 14, 'start'), // prettier-ignore
  mend: (s, seen) => { pot(s, seen, 1); s.disc('void', 28, 18, 2.4).disc('void', 36, 25, 1.6); lamp(s, 14, 34); }, // prettier-ignore
  'mend-cure': (s, seen) => { pot(s, seen, 1); s.path([...circle(10, 8, 6), circle(10, 8, 6)[0]!], 1).path([[10, 8], [10, 4]], 1.2).path([[10, 8], [13, 10]], 1.2); }, // prettier-ignore
  'resin-cure': (s) => { s.box('brass', 10, 8, 44, 12).box('brass', 10, 28, 44, 32).shape('resin', rectangle(10, 12, 44, 28)).box('armour', 44, 15, 60, 25); s.path([...circle(52, 6, 5), circle(52, 6, 5)[0]!], 1).path([[52, 6], [52, 3]], 1.2).path([[52, 6], [54.6, 7]], 1.2).say('nothing is turned', 30, 38); }, // prettier-ignore
  kit: (s) => { for (const [i, y] of [6, 12, 18].entries()) s.box('core', 6, y, 26 - i * 3, y + 3); s.disc('rubber', 42, 11, 6).disc('void', 40, 10, 1.2).disc('void', 44, 12, 1.2).path([[8, 29], [26, 32]], 1.4, 'armour').box('compound', 36, 24, 54, 34).say('whole', 30, 39); }, // prettier-ignore
  mark: (s) => { s.box('conductor', 4, 15, 60, 25); for (const [x, w] of [[20, 'strip'], [34, 'pot'], [50, 'stop']] as const) s.path([[x, 12], [x, 28]], 1.6, 'void').say(w, x, 33); s.path([[4, 8], [50, 8]], 1).path([[4, 6], [4, 10]], 1).say('from the square cut', 6, 5, 'start'); }, // prettier-ignore
  projection: (s) => { s.box('brass', 20, 6, 44, 12).box('brass', 20, 28, 44, 34).box('conductor', 26, 14, 60, 26); s.path([[20, 4], [20, 37]], 0.8).path([[26, 4], [26, 14]], 0.8).path([[14, 4], [32, 4]], 1).say('by the sheet', 34, 4.6, 'start'); }, // prettier-ignore
  continuity: (s) => meter(ends(s), 'Ω', [4, 20], [54, 24]).say('end to end', 30, 5),
  'test-before': (s) => meter(ends(s), 'MΩ', [4, 20], [20, 23]).say('far end sealed', 46, 5),
  'test-after': (s) => meter(ends(s).box('brass', 14, 7, 24, 25).box('rubber', 12, 9, 14, 23), 'MΩ', [4, 20], [24, 25]).say('sealed', 19, 5), // prettier-ignore
  earth: (s) => meter(s.box('conductor', 6, 10, 54, 20), 'mΩ', [8, 20], [52, 20]).say('sheath, end to end', 30, 7), // prettier-ignore
  'close-off': (s) => s.box('wall', 24, 1, 34, 39).box('air', 24, 10, 34, 30).box('shroud', 20, 8, 24, 32).box('shroud', 34, 8, 38, 32).arrow([4, 20], [18, 20]).say('permit', 48, 8), // prettier-ignore
  'take-blank': (s) => { block(s, 30, 20, 15, 3); s.disc('rubber', 30, 20, 5.4).arrow([52, 34], [36, 23]).say('core back', 30, 3.6); }, // prettier-ignore
  'put-peel': (s) => { block(s, 22, 20, 15, 2); s.path([[36, 9], [48, 4], [52, 8]], 1.6, 'rubber').arrow([56, 20], [38, 20]).say('tried on its cable', 30, 39); }, // prettier-ignore
  'put-back': (s) => { rows(s, 2); s.arrow([30, 2], [30, 12]); for (const x of [14, 46]) s.disc('washer', x, 14, 1.8); }, // prettier-ignore
  'frame-clean': (s) => { rows(s, 0); s.box('washer', 12, 8, 26, 14).arrow([28, 11], [46, 11]).say('sealed all round', 30, 30); }, // prettier-ignore
  through,
  'other-side': (s) => { lamp(through(s), 50, 7); s.arrow([8, 5], [44, 5]); }, // prettier-ignore
  resistance: (s) => { s.box('wall', 40, 2, 46, 38).box('rubber', 34, 4, 52, 12).box('rubber', 34, 24, 52, 28).box('armour', 4, 14, 44, 22); meter(s, 'mΩ', [10, 22], [46, 36]); }, // prettier-ignore
  'take-seal': (s) => { duct(s); s.shape('compound', rectangle(30, 7, 40, 33)).box('washer', 41, 17, 46, 22).arrow([56, 19.5], [47, 19.5]).say('full depth', 58, 36, 'end'); }, // prettier-ignore
};
