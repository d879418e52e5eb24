import type { Point } from '../shapes';
import { pair, picturesOf, type Pair, type Pictures } from './pair';
import { Stage } from './stage';

/** Wires round a cone, seen from the box: all on it, or one inside and two crossed. */
function wires(stage: Stage, sound: boolean): void {
  stage.disc('brass', 30, 20, 13).disc('sheath-inner', 30, 20, 8);
  for (let i = 0; i < 18; i++) {
    const angle = (2 * Math.PI * i) / 18;
    const astray = !sound && (i === 3 || i === 12);
    const r = astray ? (i === 3 ? 9.5 : 17.5) : 14.6;
    stage.disc('armour', 30 + r * Math.cos(angle + (astray ? 0.2 : 0)), 20 + r * Math.sin(angle), 1.5, 12);
  }
}

/** Half a section: cone, armour, ring; its thick end away from the box or towards it. */
function wedge(stage: Stage, sound: boolean): void {
  stage.box('sheath-inner', 0, 28, 60, 36);
  stage.polygon('brass', [[10, 28], [10, 16], [20, 16], [36, 26], [36, 28]]); // prettier-ignore
  stage.path([[12, 15], [20, 15], [37, 25], [60, 27]], 2.4, 'armour'); // prettier-ignore
  const ring: Point[] = sound
    ? [[22, 6], [22, 14], [38, 23.5], [38, 6]]
    : [[22, 6], [22, 14], [38, 14], [38, 9], [30, 6]]; // prettier-ignore
  stage.polygon('brass', ring);
  stage.say('box', 3, 8, 'start').say('back', 57, 8, 'end');
}

/** The face of a box with three entries: a gland, a plug, and the third. */
function entries(stage: Stage, sound: boolean): void {
  stage.box('wall', 4, 4, 56, 36);
  stage.disc('brass', 15, 20, 7, 6).disc('sheath-outer', 15, 20, 4);
  stage.disc('brass', 31, 20, 6, 6).disc('brass', 31, 20, 2.6, 6);
  if (sound) stage.disc('brass', 46, 20, 6, 6).disc('brass', 46, 20, 2.6, 6);
  else stage.disc('core', 46, 20, 5.4).disc('void', 46, 20, 5.4);
}

/** A cured pot from the box: cores apart in whole compound, or a void and a core at the wall. */
function pot(stage: Stage, sound: boolean): void {
  stage.disc('brass', 30, 20, 18).disc('compound', 30, 20, 15);
  const at: Point[] = sound
    ? [[24, 15], [36, 15], [30, 26]]
    : [[24, 15], [36, 15], [41, 25]]; // prettier-ignore
  at.forEach(([x, y], i) =>
    stage.polygon('core', new Stage().disc('core', x, y, 3.6).shapes[0]!.points, undefined, i),
  );
  if (!sound) stage.disc('void', 26, 26, 3).disc('void', 32, 21, 1.6);
}

/** Half a section of a diaphragm: its lip along the sheath, or cut away. */
function lip(stage: Stage, sound: boolean): void {
  stage.box('sheath-inner', 0, 24, 60, 36).box('brass', 30, 4, 46, 12);
  stage.polygon('rubber', [[36, 12], [40, 12], [40, 21], [36, 21]]); // prettier-ignore
  if (sound) stage.polygon('rubber', [[40, 21], [40, 24], [16, 24], [18, 22], [36, 21]]); // prettier-ignore
  else stage.path([[35, 22], [38, 20.5], [41, 22.5]], 2, 'void'); // prettier-ignore
}

/** Half a section of the outer seal on bare sheath, or on tape. */
function seal(stage: Stage, sound: boolean): void {
  stage.box('sheath-outer', 0, 24, 60, 36).box('brass', 14, 4, 46, 10);
  stage.box('rubber', 16, 10, 44, 24);
  if (!sound) stage.box('void', 8, 22.4, 52, 24.2).say('tape', 54, 21, 'start');
}

/** The chamber of a resin connector, full to the vent or short of it. */
function chamber(stage: Stage, sound: boolean): void {
  stage.box('brass', 8, 6, 52, 34).box('resin', 12, sound ? 10 : 20, 48, 30);
  if (!sound) stage.box('void', 12, 10, 48, 20);
  stage.box('dam', 8, 10, 12, 30).box('resin', 40, 2, 44, sound ? 10 : 4);
  for (const y of [16, 22, 27]) stage.path([[2, y], [58, y]], 2.4, 'armour'); // prettier-ignore
  stage.say('vent', 42, 38).say('dam', 10, 38);
}

/** A shroud on the gland, or slipped back on the cable. */
function shroud(stage: Stage, sound: boolean): void {
  stage.gland();
  const x = sound ? 9 : 30;
  for (const side of [-1, 1]) {
    const y = (r: number) => 20 + side * r;
    stage.path([[x, y(12)], [x + 33, y(12)], [x + 40, y(6)], [x + 48, y(6)]], 2.6, 'shroud'); // prettier-ignore
  }
}

/** A cable clamped beside its gland, or hanging from it. */
function held(stage: Stage, sound: boolean): void {
  stage.box('wall', 0, 2, 8, 30).box('brass', 8, 9, 20, 21);
  const cable: Point[] = sound
    ? [[20, 12], [60, 12], [60, 18], [20, 18]]
    : [[20, 12], [30, 12], [36, 22], [37, 40], [31, 40], [29, 24], [26, 18], [20, 18]]; // prettier-ignore
  stage.polygon('sheath-outer', cable);
  if (sound) stage.box('brass', 40, 9, 45, 21).path([[42.5, 21], [42.5, 34]], 2).box('wall', 34, 34, 52, 38); // prettier-ignore
}

/** A meter from armour to wall, the far end lifted, or a second path beside it. */
function meter(stage: Stage, sound: boolean): void {
  stage.box('wall', 2, 4, 8, 36).box('brass', 8, 14, 18, 26).box('sheath-outer', 18, 17, 50, 23);
  stage.disc('brass', 28, 34, 4).path([[24, 34], [5, 34]]).path([[32, 34], [40, 34], [40, 23]]).say('mΩ', 28, 35.4); // prettier-ignore
  stage.box('wall', 54, 4, 58, 36);
  if (sound) stage.path([[50, 20], [53, 16]]).say('lifted', 48, 12); // prettier-ignore
  else stage.path([[50, 20], [54, 20]]).path([[8, 8], [54, 8]], 2, 'void').say('second path', 31, 6); // prettier-ignore
}

/** A slot between the holes of a plate, or steel that closes round one core. */
function plate(stage: Stage, sound: boolean): void {
  stage.box('wall', 4, 6, 56, 34);
  if (sound) stage.box('void', 16, 18.8, 44, 21.2);
  for (const x of [16, 30, 44]) stage.disc('sheath-outer', x, 20, 5).disc('core', x, 20, 3);
  if (!sound) stage.turn(30, 20, 8.5);
}

/** A cable into another area, stopped at the wall or open for gas. */
function travel(stage: Stage, sound: boolean): void {
  stage.box('wall', 27, 2, 33, 38).box('sheath-inner', 2, 15, 58, 25);
  if (sound) stage.box('compound', 22, 17, 38, 23).arrow([6, 20], [20, 20]); // prettier-ignore
  else stage.arrow([6, 20], [54, 20]); // prettier-ignore
  stage.say('hazard', 12, 10).say('other area', 47, 10);
}

/** Pairs by look; the two looks of joints stand under their schools. */
const PAIRS: Record<string, Pair> = {
  marking: pair('Size and number as on file', 'Another size is marked', (s, ok) =>
    s
      .gland()
      .say('S3', 14, 21)
      .say(ok ? 'on file: S3' : 'on file: S4', 48, 10),
  ),
  'unused-entries': pair('Plug that needs a tool', 'Open entry', entries),
  'outer-bare': pair('Seal on bare sheath', 'Tape under the seal', seal),
  'armour-seated': pair('Wires side by side on the cone', 'One inside, one riding up', wires),
  'ring-thick-end': pair('Thick end to the back', 'Thick end to the box', wedge),
  'diaphragm-lip': pair('Lip lies along the sheath', 'Lip cut away', lip),
  'inside-cable': pair('Stopped where it leaves the area', 'Open to the other area', travel),
  conductors: pair('Insulation whole at the cut', 'Nicked at the cut', (s, ok) => {
    s.box('sheath-inner', 30, 8, 60, 32);
    [12, 20, 28].forEach((y, i) => s.polygon('core', [[4, y - 2.6], [32, y - 2.6], [32, y + 2.6], [4, y + 2.6]], undefined, i)); // prettier-ignore
    if (!ok) s.path([[24, 8], [26, 12], [28, 8]], 2, 'void').path([[22, 17], [24, 20.5], [26, 17]], 2, 'void'); // prettier-ignore
  }),
  'compound-face': pair('Whole to the edge, cores apart', 'Voids, a core at the wall', pot),
  'compound-witness': pair(
    'Surplus hard: the nail leaves no mark',
    'Surplus soft: the nail goes in',
    (s, ok) => {
      s.box('sheath-outer', 0, 24, 60, 36);
      s.polygon('compound', ok ? [[20, 24], [24, 14], [38, 14], [42, 24]] : [[20, 24], [24, 14], [29, 14], [31, 20], [33, 14], [38, 14], [42, 24]]); // prettier-ignore
      s.arrow([31, 2], ok ? [31, 13] : [31, 19]);
    },
  ),
  'spigot-held': pair('Body turns, spigot stands still', 'Spigot turned with the body', (s, ok) => {
    s.disc('brass', 30, 22, 15, 6).disc('compound', 30, 22, 9).turn(30, 22, 18);
    if (ok)
      s.path([[30, 16], [30, 28]], 2.4); // prettier-ignore
    else s.turn(30, 22, 6);
  }),
  'resin-dam': pair('Resin stands at the vent', 'Not filled to the vent', chamber),
  'grommet-nut': pair('Only the grommet nut turns', 'The body was turned', (s, ok) =>
    s
      .gland()
      .turn(ok ? 35 : 14, 20, 13)
      .say(ok ? 'nut' : 'body', ok ? 35 : 14, 38),
  ),
  washer: pair('Washer between gland and wall', 'Bare metal on the wall', (s, ok) => {
    s.box('wall', 4, 2, 14, 38)
      .box('brass', ok ? 18 : 14.6, 8, 32, 32)
      .box('brass', 2, 14, ok ? 18 : 14.6, 26);
    if (ok) s.box('washer', 14, 6, 18, 34);
    s.box('sheath-outer', 32, 15, 60, 25);
  }),
  'bond-tight': pair('Tag flat, bolt tight', 'Bolt loose, a gap under it', (s, ok) => {
    s.box('wall', 4, 24, 56, 34).box('brass', 10, 20, 50, 24);
    const lift = ok ? 0 : 5;
    s.box('brass', 36, 16 - lift, 46, 20 - lift).box('brass', 38, 12 - lift, 44, 16 - lift);
    s.path([[41, 12 - lift], [56, 6 - lift]], 2.6, 'armour'); // prettier-ignore
  }),
  'bond-path': pair('Far end lifted for the reading', 'A second path carries the current', meter),
  shroud: pair('Shroud over the gland', 'Shroud slipped back', shroud),
  'cable-held': pair('Clamped beside the gland', 'Hangs on the gland', held),
  'unused-cores': pair('Every core in a terminal', 'A core ends loose', (s, ok) => {
    s.box('wall', 40, 4, 54, 36);
    [10, 20, 30].forEach((y, i) => {
      const end = !ok && i === 2 ? 28 : 42;
      s.polygon('core', [[4, y - 2.4], [end, y - 2.4], [end, y + 2.4], [4, y + 2.4]], undefined, i); // prettier-ignore
      s.box('brass', 42, y - 3.4, 52, y + 3.4);
    });
    if (!ok) s.path([[28, 30], [31, 33], [35, 31]], 2, 'void'); // prettier-ignore
  }),
  unaltered: pair(
    'Paint marks in line',
    'Paint marks apart',
    (s, ok) =>
    s.gland().path([[14, 12], [28, 12]], 3, 'void').path(ok ? [[28.8, 12], [39, 12]] : [[28.8, 20], [39, 20]], 3, 'void'), // prettier-ignore
  ),
  damage: pair(
    'Sound metal',
    'Cracked',
    (s, ok) => void (ok ? s.gland() : s.gland().crack(14, 11).crack(34, 14)),
  ),
  'seal-state': pair('Whole and soft', 'Cut', (s, ok) => {
    s.disc('rubber', 30, 20, 16).disc('sheath-inner', 30, 20, 9);
    if (!ok) s.path([[38, 12], [43, 7]], 3, 'void').path([[21, 27], [16, 33]], 3, 'void'); // prettier-ignore
  }),
  'pot-square': pair('Square, rear face on its mark', 'Tilted, off its mark', (s, ok) => {
    s.box('conductor', 12, 16, 60, 24).box('sheath-inner', 12, 17.2, 60, 22.8);
    const [x, tilt] = ok ? [38, 0] : [33, 3];
    s.polygon('brass', [[8, 8 - tilt], [x, 8 + tilt], [x, 16], [8, 14]]); // prettier-ignore
    s.polygon('brass', [[8, 32 - tilt], [x, 32 + tilt], [x, 24], [8, 26]]); // prettier-ignore
    s.path([[38, 10], [38, 30]], 1.2, 'void'); // prettier-ignore
  }),
  'drain-wire': pair('Square to the conductors, touching none', 'Lies on a conductor', (s, ok) => {
    s.disc('brass', 30, 20, 17).disc('sheath-inner', 30, 20, 13);
    s.disc('conductor', 24, 20, 3).disc('conductor', 36, 20, 3);
    s.path(ok ? [[30, 20], [30, 2]] : [[30, 26], [24, 20], [18, 8]], 2.4, 'armour'); // prettier-ignore
  }),
  'pot-filled': pair(
    'Full to the disc, crimped all round',
    'Voids under the disc, crimp missing',
    (s, ok) => {
      s.box('conductor', 36, 15, 60, 25).box('brass', 8, 6, 40, 10).box('brass', 8, 30, 40, 34);
      s.box('compound', 13, 10, 38, 30).box('rubber', 9, 10, 13, 30);
      for (const y of [16, 24])
        s.box('core', 1, y - 1.5, 13, y + 1.5).box('conductor', 13, y - 0.8, 38, y + 0.8);
      s.box('brass', 7, 9, 9, 13);
      if (ok) s.box('brass', 7, 27, 9, 31);
      else s.disc('void', 20, 14, 2.6).disc('void', 27, 27, 1.8);
    },
  ),
  'shrouds-facing': pair('Each opens to its own accessory', 'One faces the wrong way', (s, ok) => {
    s.box('brass', 1, 9, 9, 31).box('brass', 51, 9, 59, 31).box('conductor', 9, 17, 51, 23);
    s.path([[11, 10], [18, 10], [23, 16], [23, 24], [18, 30], [11, 30]], 1.8, 'shroud'); // prettier-ignore
    const [wide, narrow] = ok ? [49, 37] : [37, 49];
    const bend = (wide + narrow) / 2;
    s.path([[wide, 10], [bend, 10], [narrow, 16], [narrow, 24], [bend, 30], [wide, 30]], 1.8, 'shroud'); // prettier-ignore
  }),
  'both-sides': pair('Both faces finished', 'Only one face finished', (s, ok) => {
    s.box('wall', 24, 2, 36, 38).box('compound', 24, 10, 36, 30);
    s.box('brass', 20, 8, 24, 32);
    if (ok) s.box('brass', 36, 8, 40, 32);
    else s.disc('void', 40, 20, 4);
    s.box('sheath-outer', 2, 17, 58, 23);
  }),
  'transit-cables': pair('Straight through, held on both sides', 'Bends at the face', (s, ok) => {
    s.box('wall', 26, 2, 34, 38).box('rubber', 24, 10, 36, 30);
    if (ok) s.box('sheath-outer', 2, 17, 58, 23).box('brass', 8, 15, 12, 25).box('brass', 48, 15, 52, 25);
    else
      s.path(
        [
          [2, 20],
          [34, 20],
          [42, 30],
          [44, 38],
        ],
        6,
        'sheath-outer',
      ).path(
        [
          [36, 24],
          [40, 20],
        ],
        2,
        'void',
      );
  }),
  'armour-past': pair(
    'Seen past the block, its finish outside',
    'The finish lies under the block',
    (s, ok) => {
      s.box('rubber', 16, 3, 36, 37).box('sheath-inner', 0, 17, 60, 23).box('sheath-outer', 0, 14, 20, 26);
      const end = ok ? 46 : 34;
      s.box('armour', 20, 15, end, 25).box('shroud', end - 7, 13.5, end, 26.5);
    },
  ),
  braid: pair('Folded back, bare and clean', 'Grease under the braid', (s, ok) => {
    s.box('wall', 4, 4, 18, 36).box('rubber', 18, 8, 34, 32).box('sheath-outer', 34, 14, 58, 26);
    s.path(
      [
        [34, 14],
        [26, 12],
        [18, 12],
      ],
      3,
      'armour',
    ).path(
      [
        [34, 26],
        [26, 28],
        [18, 28],
      ],
      3,
      'armour',
    );
    if (!ok) s.disc('compound', 22, 15, 4).disc('compound', 22, 25, 3);
  }),
  'frame-fixed': pair('Sealed to the wall all round', 'A gap beside the frame', (s, ok) => {
    s.box('wall', 2, 2, 58, 38).box('air', 12, 6, 48, 34);
    const left = ok ? 12 : 18;
    s.box('brass', left, 6, left + 4, 34)
      .box('brass', 44, 6, 48, 34)
      .box('brass', left, 6, 48, 10)
      .box('brass', left, 30, 48, 34);
    if (!ok)
      s.path(
        [
          [15, 8],
          [15, 32],
        ],
        2,
        'void',
      );
  }),
  'bolts-again': pair('Tightened again', 'Slack since it settled', (s, ok) => {
    s.box('brass', 6, 22, 54, 32).box('dam', 6, 32, 54, 38);
    for (const x of [16, 44]) {
      const lift = ok ? 0 : 6;
      s.box('armour', x - 2, 10 - lift + 4, x + 2, 32).box('brass', x - 5, 15 - lift, x + 5, 21 - lift);
    }
    if (ok) s.turn(16, 14, 9);
  }),
  adhesion: pair('Holds all round', 'Lifts at the cable', (s, ok) => {
    s.box('wall', 2, 30, 58, 38).box('compound', 6, 18, 54, 30);
    s.box('sheath-outer', 26, 2, 34, 38);
    if (!ok) s.polygon('void', [[34, 18], [40, 18], [34, 29]]); // prettier-ignore
  }),
  'sleeves-behind': pair(
    'Every cable wrapped, filled to the edge',
    'A bare cable, fillers missing',
    (s, ok) => {
      s.box('wall', 4, 2, 56, 38).box('air', 9, 6, 51, 34);
      for (const [x, y] of [
        [20, 20],
        [38, 20],
      ] as const) {
        if (ok || x === 20) s.disc('rubber', x, y, 9);
        s.disc('sheath-outer', x, y, 6);
      }
      for (const x of [13, 29, 46]) if (ok || x === 13) s.disc('rubber', x, 11, 4).disc('rubber', x, 30, 4);
    },
  ),
  'single-core': pair('Slot between the holes', 'Steel closes round one core', plate),
  flats: pair('Round under the tape', 'Flat where the tape hides it', (s, ok) => {
    if (ok) s.disc('sheath-outer', 30, 20, 13).disc('sheath-inner', 30, 20, 9);
    else s.box('sheath-outer', 14, 12, 46, 28).box('sheath-inner', 18, 15, 42, 25);
    s.path([[12, 20], [16, 9], [30, 4], [44, 9], [48, 20], [44, 31], [30, 36], [16, 31], [12, 20]], 1.2); // prettier-ignore
  }),
  'thread-taper': pair('Two diameters alike: parallel', 'It shrinks to its end: taper', (s, ok) => {
    const end = ok ? 10 : 13;
    s.polygon('brass', [[10, 10], [50, end], [50, 40 - end], [10, 30]]); // prettier-ignore
    for (const x of [18, 26, 34, 42]) s.path([[x, 11], [x + 3, 29]], 0.8); // prettier-ignore
    s.path([[14, 4], [14, 36]], 1.2).path([[46, 4], [46, 36]], 1.2); // prettier-ignore
  }),
  'from-face': pair('Rows, layers and cores in sight', 'A cover hides part of it', (s, ok) => {
    s.box('brass', 6, 2, 54, 38).box('rubber', 10, 6, 50, 34);
    for (const x of [20, 40]) for (const y of [14, 27]) s.disc('sheath-outer', x, y, 4);
    if (!ok) s.box('wall', 30, 2, 54, 38);
  }),
  seen: pair('Shut, nothing moves', 'Daylight at the joint', (s, ok) => void s.gland(ok ? 0.8 : 4)),
  faces: pair('Faces meet all round', 'A gap is left', (s, ok) => void s.gland(ok ? 0 : 5)),
  grip: pair('Stands when it is tugged', 'Moves when it is tugged', (s, ok) => {
    s.gland();
    s.arrow([46, 8], [58, 8]);
    if (!ok) s.box('void', 40.8, 15, 45, 25);
  }),
};

/** The two pictures of a look; null for one whose answer no picture shows, such as a special condition. */
export function lookPictures(look: string): Pictures | null {
  const found = PAIRS[look] ?? PAIRS[/^(faces|grip|seen)-/.exec(look)?.[1] ?? ''];
  return found ? picturesOf(found) : null;
}
