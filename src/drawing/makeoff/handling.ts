import type { Grip } from '../../core/kinds/steps';
import type { Dossier } from '../../core/rulebook/dossier';
import { coreCount } from '../../core/kinds/situation';
import { GRIP_WORDS, gripSentence, stepHandling, stepTitle } from '../../core/words/en/kinds/steps';
import { Stage } from '../looks/stage';
import { circle, rectangle, type Drawing, type Point } from '../shapes';
import { AROUND } from './around';
import {
  block,
  bundle,
  cable,
  corrugated,
  duct,
  fan,
  knife,
  MID,
  pot,
  ringCut,
  rows,
  sleeves,
  type Draw,
} from './scenes';

/** Pictures of what hands do with tool and part, by the words of a step. */
const PICTURES: Record<string, Draw> = {
  'cable-end': (s) => s.box('sheath-outer', 12, 14, 60, 26).box('washer', 20, 9, 34, 31).arrow([36, 6], [20, 6]).say('wiped', 27, 37), // prettier-ignore
  'shroud-cut': (s) => s.box('sheath-outer', 0, 15, 60, 25).shape('shroud', [[10, 6], [46, 14], [46, 26], [10, 34]]).path([[36, 9], [36, 31]], 2, 'void').say('snug here: cut', 36, 5), // prettier-ignore
  'cut-armour-wire': (s) => ringCut(cable(s, { sheath: 34, armour: 24, inner: 4 }), 24).path([[24, 14], [18, 9], [12, 10]], 1.4, 'armour').path([[24, 26], [18, 31], [12, 30]], 1.4, 'armour').say('half the wire, then bent', 30, 37), // prettier-ignore
  'cut-armour-braid': (s) => { cable(s, { sheath: 36, armour: 36, inner: 4 }); for (let i = -3; i <= 3; i++) s.path([[36, MID + i * 1.8], [22, MID + i * 4.4]], 1, 'armour'); s.path([[22, 4], [16, 34]], 2, 'void').say('combed out, snips', 30, 38); }, // prettier-ignore
  'cut-armour-tape': (s) => knife(cable(s, { sheath: 34, armour: 20, inner: 4 }), 20).path([[20, 14], [26, 26]], 1, 'void').say('along its edge', 34, 38), // prettier-ignore
  'cut-armour-corrugated': (s) => corrugated(s),
  'cut-armour-interlocked': (s) => corrugated(s),
  'cut-connector': (s) => corrugated(s),
  'strip-outer': (s) => knife(cable(s, { sheath: 36, armour: 22, inner: 4 }), 36),
  'strip-outer-plain': (s, seen) => knife(fan(s, seen, 30, 0).box('sheath-outer', 30, 13, 60, 27), 30),
  'jacket-back': (s) => knife(corrugated(s), 40),
  'strip-inner': (s, seen) => knife(fan(cable(s, { inner: 22 }), seen, 22, 0), 22),
  'cores-bundled': (s, seen) => fan(s, seen, 30, -0.3).box('washer', 8, 13, 13, 27).box('sheath-inner', 30, 13, 42, 27).box('armour', 36, 11, 60, 29), // prettier-ignore
  measure: (s) => cable(s).box('brass', 46, 4, 48, 12.5).box('brass', 46, 27.5, 48, 36).box('brass', 46, 2, 58, 5), // prettier-ignore
  spread: (s) => { s.box('sheath-inner', 0, 15, 60, 25); for (const m of [-1, 1]) s.path([[60, MID + 7 * m], [38, MID + 7 * m], [22, MID + 14 * m]], 2.4, 'armour').shape('brass', [[14, MID + 5 * m], [14, MID + 15 * m], [20, MID + 15 * m], [36, MID + 6 * m], [36, MID + 5 * m]]); s.say('ends at the shoulder', 30, 38); }, // prettier-ignore
  'ring-face': (s) => s.box('sheath-inner', 0, 15, 60, 25).shape('brass', [[22, 4], [22, 12], [38, 14], [38, 4]]).shape('brass', [[22, 36], [22, 28], [38, 26], [38, 36]]).arrow([18, 8], [8, 8]).say('face of this armour', 6, 3, 'start'), // prettier-ignore
  cap: (s, seen) => { fan(s, seen, 44, 0).box('sheath-inner', 44, 13, 60, 27); for (let i = 0; i < seen.cores; i++) { const y = MID + (i - (seen.cores - 1) / 2) * 2.6; s.box('shroud', 3, y - 1.2, 10, y + 1.2); } s.say('tips capped', 8, 37, 'start'); }, // prettier-ignore
  uncap: (s, seen) => fan(s, seen, 44, 0.4).box('sheath-inner', 44, 13, 60, 27).box('shroud', 4, 33, 11, 36).arrow([14, 34], [26, 34]), // prettier-ignore
  cores: (s, seen) =>
    fan(s, seen, 40, 1.1).box('sheath-inner', 40, 14, 60, 26).say('flush at the crotch', 40, 36),
  mix: (s) => { s.disc('compound', 16, 20, 10).disc('compound', 44, 20, 10); s.path([[37, 16], [45, 14], [51, 18]], 1.6, 'void').path([[38, 24], [45, 26], [50, 23]], 1.6, 'void').say('one colour', 16, 37).say('streaks: on', 44, 37); }, // prettier-ignore
  pack: (s, seen) => { pot(s, seen, 0.75); s.box('washer', 7, 12, 10, 28).arrow([34, 37], [40, 25]).say('crotch first', 32, 38.5, 'end'); }, // prettier-ignore
  'pot-over': (s, seen) => { fan(s, seen, 48, 0.2).shape('compound', rectangle(30, 12, 48, 28)); s.box('sheath-inner', 48, 14, 60, 26).box('brass', 14, 6, 34, 11).box('brass', 14, 29, 34, 34).arrow([14, 3], [30, 3]).say('surplus off the faces', 24, 38); }, // prettier-ignore
  'mend-pack': (s, seen) => { pot(s, seen, 1); s.disc('void', 28, 18, 2.4).arrow([16, 6], [26, 16]).say('fresh into the void', 4, 4.5, 'start'); }, // prettier-ignore
  grommet: (s) =>
    corrugated(s).box('brass', 40, 8, 46, 32).box('rubber', 30, 10, 38, 30).arrow([28, 5], [42, 5]),
  engage: (s) => corrugated(s).box('brass', 6, 9, 26, 13).box('brass', 6, 27, 26, 31).turn(16, MID, 16).say('by hand', 40, 38), // prettier-ignore
  fibre: (s, seen) => { fan(s, seen, 48, 1); s.box('brass', 20, 3, 52, 6).box('brass', 20, 34, 52, 37); for (let i = 0; i < 5; i++) s.path([[40 + i, 8 + i * 2], [44 - i, 16], [40 + i, 24], [44, 32 - i]], 1.6, 'dam'); s.path([[6, 6], [36, 14]], 2.2, 'washer').say('no metal', 5, 4.5, 'start'); }, // prettier-ignore
  inject: (s, seen) => { fan(s, seen, 50, 0.8); s.box('brass', 14, 5, 54, 9).box('brass', 14, 31, 54, 35).shape('resin', rectangle(14, 9, 46, 31)); s.box('dam', 46, 9, 50, 31).box('washer', 20, 0, 23, 8).arrow([30, 2], [24, 2]).disc('resin', 40, 3, 2).say('seen at the vent', 40, 39); }, // prettier-ignore
  'square-cut': (s) => s.box('wall', 20, 4, 34, 14).box('wall', 20, 26, 34, 36).box('sheath-outer', 8, 15, 60, 25).path([[12, 4], [12, 36]], 2.2, 'void').say('square', 12, 38.5), // prettier-ignore
  jacket: (s) => knife(s.box('conductor', 4, 15, 60, 25).box('sheath-outer', 36, 13.5, 60, 26.5), 36),
  'first-end': (s) => s.box('wall', 0, 4, 6, 36).box('brass', 6, 11, 18, 29).box('conductor', 18, 17, 60, 23).arrow([28, 12], [48, 12]).say('pulled fully back', 40, 9), // prettier-ignore
  length: (s) => s.box('wall', 0, 4, 5, 36).box('wall', 55, 4, 60, 36).path([[5, 20], [16, 30], [34, 30], [46, 20], [58, 20]], 3.4, 'conductor').path([[55, 12], [55, 28]], 2.2, 'void').say('mark at the second face', 54, 8, 'end'), // prettier-ignore
  facing: (s) => { s.box('conductor', 0, 17, 60, 23); s.shape('shroud', [[8, 8], [24, 15], [24, 25], [8, 32]]); s.shape('shroud', [[52, 8], [36, 15], [36, 25], [52, 32]]); s.arrow([22, 5], [8, 5]).arrow([38, 5], [52, 5]); }, // prettier-ignore
  'strip-sheath': (s, seen) => fan(s, seen, 26, 0).box('conductor', 26, 13, 60, 27).box('brass', 28, 5, 44, 12).path([[46, 9], [46, 31]], 1.6, 'void').turn(36, MID, 15).say('stop', 47, 8, 'start'), // prettier-ignore
  clean: (s, seen) => { fan(s, seen, 34, 0.8).box('conductor', 34, 12, 60, 28); for (const [x, y] of [[10, 33], [15, 36], [20, 34]] as const) s.disc('washer', x, y, 0.9); s.arrow([30, 10], [14, 31]).say('picked out, not blown', 58, 37, 'end'); }, // prettier-ignore
  tails: (s, seen) => fan(s, seen, 40, 0.3).box('brass', 40, 9, 56, 31).path([[12, 5], [12, 35]], 2, 'void').say('longest tail', 12, 38.5), // prettier-ignore
  warm: (s) => s.box('brass', 18, 9, 40, 31).box('conductor', 40, 14, 60, 26).path([[8, 12], [12, 16], [8, 20], [12, 24]], 1.6, 'void').say('just warm to the hand', 30, 37), // prettier-ignore
  fill: (s, seen) => { pot(s, seen, 0.6); s.arrow([8, 34], [20, 28]).say('from one side only', 4, 38, 'start'); }, // prettier-ignore
  crimp: (s, seen) => { pot(s, seen, 1); s.box('rubber', 21, 10, 24, 30); for (const y of [8, 32]) s.disc('void', 23, y, 1.4); s.arrow([16, 20], [6, 20]).say('sleeves pulled', 4, 37, 'start'); }, // prettier-ignore
  panel: (s) =>
    s
      .box('wall', 28, 2, 33, 38)
      .box('brass', 23, 9, 28, 31)
      .box('brass', 33, 9, 38, 31)
      .box('brass', 12, 14, 50, 26),
  offcuts: (s) => s.box('conductor', 6, 6, 16, 9).box('conductor', 10, 14, 20, 17).shape('wall', [[34, 14], [54, 14], [51, 37], [37, 37]]).arrow([20, 10], [40, 12]), // prettier-ignore
  'frame-lube': (s) => { rows(s, 0); for (const [x, y] of [[9, 5], [51, 5], [9, 36], [51, 36]] as const) s.disc('washer', x, y, 2.6); s.say('corners first', 30, 21); }, // prettier-ignore
  'frame-bare': (s) => { rows(s, 0); s.path([[8, 10], [8, 34]], 3, 'armour').arrow([20, 12], [10, 12]).say('bare', 22, 13, 'start'); }, // prettier-ignore
  'earth-lead': (s) => { rows(s, 0); s.path([[0, 30], [20, 26], [34, 20]], 2.6, 'armour').disc('brass', 36, 19, 3.4, 6); }, // prettier-ignore
  peel: (s) => { block(s, 18, 20, 13, 4); block(s, 46, 20, 13, 2); s.path([[40, 10], [52, 5], [56, 9]], 1.6, 'rubber').say('same of both halves', 30, 38.5); }, // prettier-ignore
  'block-marks': (s) => { s.box('rubber', 18, 4, 42, 36).box('sheath-outer', 0, 13, 26, 27).box('armour', 24, 15, 48, 25).box('sheath-outer', 44, 14, 48, 26).box('sheath-inner', 48, 16.5, 60, 23.5); s.say('b1', 26, 11).say('B', 42, 3).say('o', 45, 12); }, // prettier-ignore
  braid: (s) => { s.box('rubber', 16, 3, 44, 13).box('rubber', 16, 27, 44, 37).box('sheath-outer', 0, 14, 24, 26).box('sheath-inner', 24, 16, 60, 24); for (const m of [-1, 1]) s.path([[24, MID + 5 * m], [32, MID + 7 * m], [42, MID + 4 * m]], 2, 'armour'); s.say('dry', 34, 39); }, // prettier-ignore
  lubricate: (s) => { block(s, 30, 20, 15, 3); s.path(circle(30, 20, 17.5).slice(0, 20), 1.6, 'washer'); }, // prettier-ignore
  'lubricate-rubber': (s) => { block(s, 30, 20, 15, 3); s.path([[15, 6], [15, 34]], 2, 'washer').say('rubber alone', 30, 39); }, // prettier-ignore
  rows: (s) => rows(s, 2),
  plates: (s) => { rows(s, 1); s.box('brass', 8, 8, 52, 9).arrow([30, 20], [30, 11]).say('held up', 32, 17, 'start'); }, // prettier-ignore
  'frame-outside': (s) => s.box('wall', 28, 1, 33, 39).box('rubber', 25.5, 6, 28, 34).box('brass', 18, 6, 25.5, 34).box('brass', 33, 8, 38, 32).say('outside', 10, 21).say('inside', 50, 21), // prettier-ignore
  'cables-in': (s) => s.box('wall', 28, 1, 33, 10).box('wall', 28, 30, 33, 39).box('sheath-outer', 0, 17, 44, 23).box('brass', 44, 14, 54, 26).arrow([8, 12], [22, 12]), // prettier-ignore
  'blocks-turned': (s) => { s.box('wall', 4, 1, 8, 39).box('wall', 52, 1, 56, 39); block(s, 18, 29, 8, 2); s.shape('rubber', [[30, 12], [44, 5], [49, 17], [35, 24]]); s.turn(42, 15, 13).say('at an angle, then in line', 30, 3); }, // prettier-ignore
  ties: (s) => { for (const y of [8, 14, 20, 26]) s.box('sheath-outer', 0, y, 60, y + 3); s.path([[30, 6], [30, 31]], 2, 'void').arrow([36, 34], [36, 39]); }, // prettier-ignore
  'clean-dry': (s) => { duct(s); s.box('washer', 18, 7, 30, 10).arrow([20, 31], [34, 31]).say('air, no flame', 58, 20.5, 'end'); }, // prettier-ignore
  wrap: (s) => { s.box('wall', 4, 1, 56, 39).box('air', 8, 5, 52, 35); s.disc('sheath-outer', 20, 16, 6).disc('sheath-outer', 40, 24, 5); bundle(s, 30, 28); for (const [x, y] of [[12, 9], [46, 10], [46, 32], [12, 30]] as const) s.disc('rubber', x, y, 2.2); s.say('bundle in the largest gap', 30, 38.4); }, // prettier-ignore
  'push-in': (s) => { duct(s); sleeves(s, 30); s.arrow([58, 19], [47, 19]).say('together', 59, 36, 'end'); }, // prettier-ignore
  seal: (s) => { duct(s); sleeves(s, 20); s.shape('compound', rectangle(36, 7, 40, 33)); s.shape('brass', [[58, 6], [44, 17], [45, 19], [59, 9]]); s.box('washer', 41, 22, 47, 32).say('damp cloth', 59, 36, 'end'); }, // prettier-ignore
  holds: (s) => { duct(s); s.shape('compound', rectangle(36, 7, 40, 33)); s.arrow([50, 19], [50, 10]).arrow([50, 20], [50, 29]); }, // prettier-ignore
  'take-cut': (s) => { duct(s); s.shape('compound', rectangle(36, 7, 40, 33)); s.shape('rubber', [[56, 9], [40, 11], [40, 12.4], [56, 12]]); s.say('plastic, no blade', 59, 6, 'end'); }, // prettier-ignore
  'put-punch': (s) => { duct(s); s.shape('compound', rectangle(36, 7, 40, 33)); s.box('brass', 32, 17, 58, 18.4).box('brass', 32, 21.6, 58, 23).arrow([58, 30], [46, 24]); }, // prettier-ignore
  'take-plate': (s) => { rows(s, 2); s.arrow([30, 14], [30, 3]); }, // prettier-ignore
  'take-block': (s) => { rows(s, 1); block(s, 30, 12, 5, 2); s.arrow([36, 12], [50, 12]); }, // prettier-ignore
};

/** A spanner on a part: its jaw round the part, its handle up or down. */
function spanner(s: Stage, x: number, up: boolean): void {
  const m = up ? -1 : 1;
  const y = (mm: number) => MID + m * mm;
  s.shape('void', [[x - 5, y(8)], [x + 5, y(8)], [x + 5, y(12)], [x + 1.6, y(14)], [x + 1.6, y(18)], [x - 1.6, y(18)], [x - 1.6, y(14)], [x - 5, y(12)]]); // prettier-ignore
}

/** Two parts beside each other, the one that is held and the one that is turned, each with its spanner. */
function twoSpanners(s: Stage, { held, turned, loosens }: Grip): void {
  s.box('wall', 0, 6, 4, 34)
    .box('brass', 4, 14, 14, 26)
    .box('brass', 14, 11, 26, 29)
    .box('brass', 30, 11, 42, 29);
  s.box('sheath-outer', 42, 15, 60, 25);
  spanner(s, 20, false);
  spanner(s, 36, true);
  const arc: Point[] = Array.from({ length: 7 }, (_, i): Point => {
    const angle = -0.9 + i * 0.3;
    return [50 + 5 * Math.sin(angle), 6 - 4 * Math.cos(angle)];
  });
  const path = loosens ? [...arc].reverse() : arc;
  const tip = path.at(-1)!;
  s.path(path, 1.6).arrow(path.at(-2)!, tip);
  s.say(`hold: ${GRIP_WORDS[held]}`, 24, 38, 'start').say(`${loosens ? 'loosen' : 'turn'}: ${GRIP_WORDS[turned]}`, 32, 4, 'end'); // prettier-ignore
}

/**
 * How a hand does a step: what is held and turned, or the handling itself; drawn for the cable of the entry, not to
 * scale.
 *
 * @returns null for a step that nobody drew
 */
export function drawHandling(
  step: { words: string; grip: Grip | null },
  dossier: Pick<Dossier, 'cable'>,
): Drawing | null {
  const own = PICTURES[step.words] ?? AROUND[step.words];
  if (!own && !step.grip) return null;
  const stage = new Stage();
  const seen = { cores: Math.min(Math.max(coreCount(dossier) ?? 4, 1), 5) };
  if (own) own(stage, seen);
  else twoSpanners(stage, step.grip!);
  const said = [stepTitle(step), stepHandling(step), step.grip ? gripSentence(step.grip) : ''];
  return stage.drawing(said.filter(Boolean).join(' '));
}
