import { pair, picturesOf, type Pair, type Pictures } from '../looks/pair';
import type { Stage } from '../looks/stage';
import type { Point } from '../shapes';

/** The seat of an inner seal, half in section: cone, seal, cable below. */
const seat = (s: Stage): Stage =>
  s.box('sheath-inner', 0, 26, 60, 38).shape('brass', [[8, 4], [46, 4], [46, 14], [34, 14], [34, 24], [28, 24], [28, 10], [8, 10]]); // prettier-ignore

/** A frame with rows of blocks; the last ones may be missing, and the plate between rows. */
function frame(s: Stage, full: number, plates: number): void {
  s.box('wall', 2, 1, 58, 39).box('air', 6, 4, 54, 37);
  for (let r = 0; r < full; r++) {
    for (let c = 0; c < 4; c++) {
      const [x, y] = [8 + c * 11.4, 27.5 - r * 11];
      s.box('rubber', x, y, x + 10, y + 9).disc('sheath-outer', x + 5, y + 4.5, 2.6);
    }
    if (r < plates) s.box('brass', 6, 26 - r * 11, 54, 27.2 - r * 11);
  }
}

/** A pair of halves round a cable, the layers that are left in each drawn. */
function halves(s: Stage, above: number, below: number): void {
  s.box('rubber', 14, 3, 46, 19).box('rubber', 14, 21, 46, 37);
  s.disc('sheath-outer', 30, 20, 7);
  for (let i = 0; i < above; i++) s.path(arc(30, 19, 8.5 + i * 2, true), 0.9, 'air');
  for (let i = 0; i < below; i++) s.path(arc(30, 21, 8.5 + i * 2, false), 0.9, 'air');
}

const arc = (x: number, y: number, r: number, up: boolean): Point[] =>
  Array.from({ length: 13 }, (_, i): Point => {
    const angle = (Math.PI * i) / 12;
    return [x + r * Math.cos(angle), y + (up ? -1 : 1) * r * Math.sin(angle)];
  });

/** Two threads, one inside the other: in line or crossed. */
function thread(s: Stage, ok: boolean): void {
  const off = ok ? 0 : 5;
  s.box('wall', 20, 1, 40, 11).box('wall', 20, 29, 40, 39);
  s.shape('brass', [[6, 12 - off], [52, 12 + off], [52, 28 + off], [6, 28 - off]]); // prettier-ignore
  for (let x = 22; x < 40; x += 4) s.path([[x, 11], [x + 2, 13], [x + 4, 11]], 1, 'void'); // prettier-ignore
  s.turn(50, 20, 9);
}

/** Cable in its armour, every wire cut at one place or one left standing, the sheath under it scored. */
function wiresCut(s: Stage, ok: boolean): void {
  s.box('sheath-inner', 2, 13, 60, 27);
  for (let i = 0; i < 6; i++) {
    const y = 10.5 + i * 3.8;
    s.path([[!ok && i === 1 ? 12 : 28, y], [44, y]], 2.2, 'armour'); // prettier-ignore
  }
  s.box('sheath-outer', 44, 8, 60, 32);
  if (!ok) s.path([[20, 13], [20, 27]], 1.4, 'void'); // prettier-ignore
}

/** Half a section of cone and armour: ends at the shoulder, or short of it. */
function shoulder(s: Stage, ok: boolean): void {
  s.box('sheath-inner', 0, 28, 60, 38).shape('brass', [[8, 6], [16, 6], [16, 14], [38, 26], [38, 28], [8, 28]]); // prettier-ignore
  s.path([ok ? [17, 12.5] : [26, 17.5], [38, 24], [60, 26]], 2.6, 'armour'); // prettier-ignore
  if (!ok) s.path([[17, 10], [25, 14.5]], 1.2, 'void').say('short', 26, 10, 'start'); // prettier-ignore
}

/** A ring between cone and nut: the face with the right width for the armour at the cone. */
function ringFace(s: Stage, ok: boolean): void {
  s.box('sheath-inner', 0, 27, 60, 38).shape('brass', [[4, 27], [4, 10], [12, 10], [32, 24], [32, 27]]); // prettier-ignore
  s.path([[12, 9], [34, 24], [60, 26]], 2.4, 'armour'); // prettier-ignore
  // The face that fits lies along the armour; the other one touches it at an edge alone.
  const ring: Point[] = ok ? [[20, 3], [20, 12], [38, 23.5], [38, 3]] : [[20, 3], [20, 8], [32, 21], [38, 8], [38, 3]]; // prettier-ignore
  s.shape('brass', ring).say(ok ? 'flat on it' : 'an edge alone', 40, 8, 'start');
}

/** A pot of compound from the side: whole round the cores, or with voids. */
function packed(s: Stage, ok: boolean): void {
  s.box('sheath-inner', 44, 11, 60, 29).box('compound', 14, 8, 46, 32);
  for (const y of [14, 20, 26]) s.box('core', 2, y - 1.4, 44, y + 1.4);
  if (!ok) s.disc('void', 34, 17, 1.8).disc('void', 24, 23, 2.2).disc('void', 40, 23, 1.4);
}

/** A pot pushed over its compound, its joint face and top clean or smeared. */
function faces(s: Stage, ok: boolean): void {
  s.box('brass', 14, 6, 40, 12).box('brass', 14, 28, 40, 34).box('compound', 14, 12, 40, 28);
  for (const y of [16, 20, 24]) s.box('core', 2, y - 1.2, 14, y + 1.2);
  s.box('sheath-inner', 40, 13, 60, 27).path([[40, 3], [40, 37]], 1, 'void').say('joint', 44, 5, 'start'); // prettier-ignore
  if (!ok) s.disc('compound', 40, 8, 3).disc('compound', 41, 32, 2.6).disc('compound', 14, 8, 2.2);
}

/** A cable in its barrel: the armour run in, or short of the thread. */
function engaged(s: Stage, ok: boolean): void {
  const from = ok ? 14 : 34;
  s.box('sheath-inner', 4, 16, 60, 24);
  for (let x = from; x < 54; x += 4) s.box('armour', x, 13, x + 2.4, 27);
  s.box('brass', 8, 6, 34, 12).box('brass', 8, 28, 34, 34);
}

/** The sheath after the first finger's breadth: the layer under the blade whole, or cut. */
function blade(s: Stage, ok: boolean): void {
  for (const y of [14, 20, 26]) s.box('conductor', 2, y - 1.6, 24, y + 1.6);
  s.box('conductor', 24, 8, 60, 32).shape('brass', [[24, 2], [30, 2], [26, ok ? 9 : 15]]); // prettier-ignore
  if (!ok) s.path([[18, 12], [22, 16]], 1.6, 'void').path([[14, 13], [18, 16]], 1.6, 'void'); // prettier-ignore
}

/** A plate of an enclosure with a locknut on each side, or on one. */
function locknuts(s: Stage, ok: boolean): void {
  s.box('wall', 27, 1, 33, 39).box('brass', 8, 14, 52, 26).box('brass', 33, 8, 39, 32);
  if (ok) s.box('brass', 21, 8, 27, 32);
}

/** A wedge in its opening: reading home and lubricant squeezed out, or short. */
function wedge(s: Stage, ok: boolean): void {
  s.box('wall', 2, 1, 58, 7).box('brass', 6, 24, 54, 26).box('rubber', 6, 26, 54, 39);
  s.shape('rubber', [[8, 8], [28, 8], [28, 23], [14, 23]]).shape('rubber', [[52, 8], [32, 8], [32, 23], [46, 23]]); // prettier-ignore
  s.box('brass', 28, 4, 32, ok ? 12 : 22);
  if (ok) for (const x of [10, 50]) s.disc('washer', x, 24, 1.6);
}

/** A core in a lug through the opening to its stud, or hanging. */
function lead(s: Stage, ok: boolean): void {
  s.box('wall', 2, 1, 58, 8).box('wall', 2, 32, 58, 39).disc('brass', 46, 20, 4, 6);
  s.path(ok ? [[2, 28], [22, 26], [46, 20]] : [[2, 28], [20, 28], [26, 36]], 2.6, 'armour'); // prettier-ignore
}

/** A frame's face that carries current: bare, or painted. */
function bare(s: Stage, ok: boolean): void {
  s.box('wall', 6, 4, 26, 36).box('brass', 26, 10, 44, 30);
  if (!ok) s.box('void', 24, 4, 26.4, 36).say('paint', 22, 3.6, 'end');
}

/** Braid at the block's contact: dry, or with lubricant under it. */
function dry(s: Stage, ok: boolean): void {
  s.box('brass', 10, 3, 36, 9).path([[58, 14], [36, 11], [12, 11]], 3, 'armour').box('sheath-inner', 2, 15, 60, 27).box('rubber', 36, 3, 50, 10); // prettier-ignore
  if (!ok) for (const x of [14, 22, 30]) s.disc('washer', x, 10, 1.8);
  s.disc('washer', 43, 5, 1.6);
}

/** A block in a cabinet's frame, against its stop or short of it. */
function stop(s: Stage, ok: boolean): void {
  s.box('wall', 14, 1, 46, 6)
    .box('wall', 14, 34, 46, 39)
    .box('wall', 10, 1, 16, 10)
    .box('wall', 10, 30, 16, 39);
  s.box('rubber', ok ? 16 : 22, 7, ok ? 42 : 48, 33).say('stop', 8, 21, 'end');
}

/** Two openings: both units in, none tightened; or one tightened with the other out. */
function units(s: Stage, ok: boolean): void {
  for (const [i, x] of [4, 32].entries()) {
    s.box('wall', x, 2, x + 24, 38)
      .box('air', x + 3, 5, x + 21, 35)
      .box('rubber', x + 3, 18, x + 21, 35);
    if (ok || i === 0) s.box('brass', x + 5, ok ? 8 : 11, x + 19, 17).disc('void', x + 12, ok ? 10 : 13, 1.6);
  }
}

/** The end of a pot with the drain nut: the screen flush with it, or standing out. */
function flush(s: Stage, ok: boolean): void {
  s.box('conductor', 30, 14, 60, 26).box('brass', 22, 6, 36, 14).box('brass', 22, 26, 36, 34);
  s.box('armour', ok ? 22 : 12, 15, 40, 25);
  for (const y of [18, 22]) s.box('core', 2, y - 1, ok ? 22 : 12, y + 1);
}

/** Cores past their end by the sheet's longest tail, or beyond it. */
function tails(s: Stage, ok: boolean): void {
  s.box('brass', 38, 8, 56, 32).path([[12, 3], [12, 37]], 1.6, 'void').say('longest', 14, 5, 'start'); // prettier-ignore
  for (const y of [15, 20, 25]) s.box('core', ok || y !== 20 ? 14 : 4, y - 1.3, 38, y + 1.3);
}

/** A seal that lies on the cable all round before the faces meet, or not. */
function formed(s: Stage, ok: boolean): void {
  const y = ok ? 16 : 25;
  s.box('sheath-outer', 0, y, 60, 38)
    .box('brass', 8, 3, 26, 10)
    .box('brass', ok ? 29 : 26.4, 3, 50, 10);
  s.shape('rubber', [[14, 10], [44, 10], [40, 15.6], [18, 15.6]]); // prettier-ignore
  if (!ok) s.say('faces met, no grip', 30, 21.5);
}

/** A cleat near the gland, or far from it. */
function cleat(s: Stage, ok: boolean): void {
  const x = ok ? 34 : 54;
  s.box('wall', 0, 2, 6, 34).box('brass', 6, 9, 16, 25).box('sheath-outer', 16, 13, 60, 21);
  s.box('brass', x - 2, 10, x + 2, 24).path([[x, 24], [x, 34]], 2).path([[16, 30], [36, 30]], 1).say('300', 26, 38); // prettier-ignore
}

/** Conductors of a cable that is held: they reach their terminals, or stop short. */
function reach(s: Stage, ok: boolean): void {
  s.box('wall', 30, 1, 34, 14).box('wall', 30, 26, 34, 39).box('sheath-outer', 34, 15, 60, 25);
  for (const y of [16.5, 20, 23.5]) s.box('core', ok ? 8 : 17, y - 1.2, 34, y + 1.2);
  s.box('brass', 2, 12, 9, 28);
}

/** What is ticked as seen, drawn as it should be and as a beginner leaves it; what no eye tells has none. */
const PAIRS: Record<string, Pair> = {
  reaches: pair('Reaches the terminals from where it is held', 'Too short', reach),
  'wires-cut': pair('All cut, the sheath under them whole', 'One left standing, the sheath scored', wiresCut),
  'by-hand': pair('Square, turned in by hand', 'Crossed', thread),
  'at-shoulder': pair('Ends at the shoulder', 'Short of the shoulder', shoulder),
  'ring-face': pair('Its face lies along the armour', 'The other face: an edge alone', ringFace),
  'no-stray': pair('All on the cone', 'A wire on the thread', (s, ok) => {
    shoulder(s, true);
    s.box('brass', 40, 6, 52, 12);
    if (!ok) s.path([[58, 24], [50, 14], [36, 8], [28, 8]], 1.8, 'armour'); // prettier-ignore
  }),
  'seal-seat': pair('In its seat', 'Seat empty', (s, ok) => {
    seat(s);
    if (ok) s.shape('rubber', [[10, 10], [27, 10], [27, 26], [14, 26]]); // prettier-ignore
    else s.shape('rubber', [[50, 2], [58, 2], [58, 10], [52, 10]]).say('left out', 52, 15); // prettier-ignore
  }),
  formed: pair('Grips before the faces meet', 'Faces met first: cable too small', formed),
  'held-300': pair('Held close to the gland', 'Held too far away', cleat),
  'no-voids': pair('Compound round every core', 'Voids between the cores', packed),
  'faces-clean': pair('Joint face and top clean', 'Compound on joint face and top', faces),
  engaged: pair('Armour run into the barrel', 'Armour short of its thread', engaged),
  'under-blade': pair('Layer under the blade whole', 'Blade too deep', blade),
  'screen-flush': pair('Flush with the drain nut', 'Screen stands out of the nut', flush),
  'tail-length': pair('None beyond the sheet’s figure', 'One too long', tails),
  'both-locknuts': pair('One on each side', 'Nothing behind the panel', locknuts),
  'halves-equal': pair('Same in both, last layer on', 'One half bare, the other full', (s, ok) =>
    halves(s, ok ? 2 : 3, ok ? 2 : 0),
  ),
  'rows-counted': pair('Rows and plates as planned', 'A plate forgotten', (s, ok) => frame(s, 2, ok ? 2 : 1)),
  'two-plates': pair('Two plates, the upper one held up', 'One plate: the second does not go in', (s, ok) => {
    frame(s, 1, 1);
    if (ok) s.box('brass', 6, 10, 54, 11.2).arrow([30, 22], [30, 13]); // prettier-ignore
  }),
  home: pair('Home; lubricant came out', 'Not home', wedge),
  'lead-through': pair('Through, on its stud', 'Left hanging', lead),
  'faces-bare': pair('Bare metal on bare metal', 'Paint between', bare),
  'finish-outside': pair('Finish outside the block', 'Finish under the block', (s, ok) => {
    const end = ok ? 52 : 40;
    s.box('sheath-inner', 0, 17, 60, 23).box('armour', 10, 15, end, 25).box('rubber', 12, 3, 34, 14.6);
    s.box('rubber', 12, 25.4, 34, 37).box('shroud', end - 14, 13, end, 27);
  }),
  'braid-dry': pair('Lubricant on rubber alone', 'Lubricant under the braid', dry),
  'against-stop': pair('Against the stop', 'Short of the stop', stop),
  'all-units-in': pair('Both in, none tightened', 'One tightened, the other still out', units),
  offcuts: pair('In the bin', 'On the floor', (s, ok) => {
    s.shape('wall', [[34, 8], [56, 8], [52, 36], [38, 36]]).path([[2, 37], [58, 37]], 1.2, 'void'); // prettier-ignore
    const [x, y] = ok ? [40, 26] : [8, 34];
    s.box('conductor', x, y, x + 11, y + 2.6).box('conductor', x + 1, y - 4, x + 9, y - 1.6);
  }),
  'pulled-back': pair('Fully back in its accessory', 'Slack left in it', (s, ok) => {
    s.box('wall', 0, 2, 5, 38).box('brass', 5, 9, 24, 15).box('brass', 5, 25, 24, 31);
    s.box('conductor', ok ? 24 : 40, 16, 60, 24).box('brass', ok ? 10 : 27, 12, ok ? 24 : 41, 28);
    if (!ok) s.arrow([40, 34], [26, 34]); // prettier-ignore
  }),
  closed: pair('Closed for the time of the work', 'Open through the wall', (s, ok) => {
    s.box('wall', 24, 1, 34, 39).box('air', 24, 10, 34, 30);
    if (ok) s.box('shroud', 21, 8, 24, 32);
    else s.arrow([6, 20], [54, 20]); // prettier-ignore
  }),
};

/**
 * What is ticked as seen before the work goes on, right beside wrong; not to scale.
 *
 * @param key of what is seen
 * @returns null for what is written, counted or felt, and no picture tells
 */
export const seenPictures = (key: string): Pictures | null => {
  const found = PAIRS[key];
  return found ? picturesOf(found) : null;
};
