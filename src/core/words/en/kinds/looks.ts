import type { Spot } from '../../../kinds/look';
import type { Worded } from '../../../kinds/worded';

/** Name of each look, its question, and its answers by their ids. */
export interface LookWords {
  title: string;
  question: string;
  answers: Readonly<Record<string, string>>;
}

/** Where one stands to answer. */
export const SPOT_WORDS: Record<Spot, string> = {
  outside: 'From outside',
  wall: 'At the wall',
  box: 'In the open box',
  inside: 'In the opened gland',
  conditions: 'What the certificate asks for',
};

/** Words of the looks, by the keys of their rows. */
export const LOOK_WORDS: Record<string, LookWords> = {
  marking: {
    title: 'Marking',
    question: 'Does the marking on the gland agree with the certificate and size on file?',
    answers: { yes: 'It agrees', no: 'It differs', unreadable: 'Cannot be read' },
  },
  'unused-entries': {
    title: 'Unused entries',
    question:
      'Is every entry that no cable uses closed with a plug that comes out only with a tool, and none left open?',
    answers: {
      yes: 'All closed as recorded',
      none: 'There are none',
      open: 'One is open',
      transport: 'A transport plug is in one',
      adaptor: 'A plug sits in an adaptor',
    },
  },
  'outer-bare': {
    title: 'Under the outer seal',
    question:
      'Is the sheath under the outer seal bare and whole: no tape, sleeve, label, rib or embossing, and one cable per hole?',
    answers: {
      yes: 'Bare and whole',
      no: 'Something is under the seal',
      two: 'More than one cable in the hole',
    },
  },
  flats: {
    title: 'Flats on the sheath',
    question: 'Where the tape was wrapped: is the sheath round to the eye and the finger, without flats?',
    answers: { none: 'Round, no flats', flats: 'It has flats' },
  },
  'thread-taper': {
    title: 'Form of the thread',
    question: 'Two diameters along the thread compared: is it parallel or taper?',
    answers: { parallel: 'Parallel', taper: 'Taper' },
  },
  'armour-seated': {
    title: 'Armour on the cone',
    question:
      'Clamp open: does the armour lie on the cone all round, none crossed, none beside or inside it, wires whole?',
    answers: {
      yes: 'All round, whole',
      crossed: 'Crossed',
      inside: 'Inside the cone',
      beside: 'On the thread beside the cone',
      broken: 'Wires broken or missing',
    },
  },
  'ring-thick-end': {
    title: 'Way of the ring',
    question: 'Clamp open: does the thick end of the ring face the back of the gland?',
    answers: { yes: 'Thick end to the back', no: 'Thick end to the box' },
  },
  'diaphragm-lip': {
    title: 'Lip of the diaphragm',
    question: 'Is the lip of the diaphragm pulled back along the inner sheath, whole and not cut?',
    answers: { yes: 'Pulled back, whole', folded: 'Folded under', cut: 'Cut' },
  },
  'inside-cable': {
    title: 'Inside the cable',
    question: 'Can gas or liquid travel inside the cable to another area?',
    answers: {
      'same-area': 'Both ends are in one area',
      stopped: 'It is stopped by a seal',
      open: 'It can travel on',
    },
  },
  conductors: {
    title: 'Conductors and inner sheath',
    question:
      'Are inner sheath and insulation whole where they were cut back: nothing scored, nicked or burnt?',
    answers: { yes: 'Whole', scored: 'Scored or nicked' },
  },
  'compound-face': {
    title: 'Face of the compound',
    question:
      'Cured and opened: is the compound whole up to the edge, with the cores apart and none touching the pot?',
    answers: {
      yes: 'Whole, cores apart',
      mended: 'Voids mended with fresh compound',
      voids: 'Voids',
      touching: 'A core touches the pot or another',
    },
  },
  'compound-witness': {
    title: 'Hardness of the compound',
    question: 'Is the surplus that was pressed on the sheath beside the gland hard?',
    answers: { hard: 'Hard', soft: 'Soft', none: 'No surplus was kept' },
  },
  'spigot-held': {
    title: 'Spigot of the pot',
    question: 'Was the compound spigot held in its place while the gland was fitted?',
    answers: { yes: 'Held, not turned', no: 'It turned with the body' },
  },
  'resin-dam': {
    title: 'Dam and fill',
    question: 'Was the first shot thrown away, is the fibre dam whole, and did resin come out at the vent?',
    answers: {
      yes: 'Dam whole, seen at the vent',
      short: 'No resin at the vent',
      dam: 'Dam torn or missing',
      'first-shot': 'The first shot was used',
    },
  },
  'grommet-nut': {
    title: 'Turned after the resin',
    question:
      'Since the resin was injected, has nothing but the grommet nut been turned, and is the armour engaged?',
    answers: {
      yes: 'Only the grommet nut',
      body: 'The body was turned',
      armour: 'The armour is not engaged',
    },
  },
  washer: {
    title: 'Sealing washer',
    question: 'Is there a sealing washer between gland and wall, whole and seated?',
    answers: {
      fitted: 'Fitted, whole',
      'o-ring': 'A certified O-ring seals instead',
      none: 'None fitted',
      damaged: 'Damaged or squeezed out',
    },
  },
  'bond-tight': {
    title: 'Bond and tag',
    question: 'Are the bond and the earth tag, where one is fitted, present and tight?',
    answers: { yes: 'Present and tight', loose: 'Loose', no: 'Missing' },
  },
  'bond-path': {
    title: 'Path of the bond reading',
    question:
      'Was one end disconnected for the bond reading, so that no parallel path carries the test current?',
    answers: { yes: 'One end disconnected', parallel: 'Parallel paths remain' },
  },
  shroud: {
    title: 'Shroud and weather side',
    question:
      'Is the shroud or deluge boot on, whole and the right way round, and does water run off the entry?',
    answers: {
      fitted: 'On, whole',
      none: 'None fitted, water runs off',
      missing: 'Missing',
      cut: 'Cut, slipped or the wrong way round',
      pools: 'Water stands on the entry',
    },
  },
  'cable-held': {
    title: 'Cable held',
    question: 'Is the cable held near the gland, bent no tighter than it may, and without pull on the gland?',
    answers: {
      yes: 'Held, no strain',
      loose: 'Not held',
      bend: 'Bent too tightly',
      strain: 'Pulls on the gland',
    },
  },
  'unused-cores': {
    title: 'Unused cores',
    question: 'Is every unused core terminated or earthed?',
    answers: { yes: 'All terminated', none: 'No unused cores', no: 'Some are loose' },
  },
  unaltered: {
    title: 'As it was sealed',
    question: 'Held against the marks and the photo of the last sealed record: has nothing been altered?',
    answers: { same: 'As it was', first: 'There is no earlier record', altered: 'Altered' },
  },
  damage: {
    title: 'Damage',
    question: 'Are cable, gland and wall free of corrosion, cracks, paint on seals, attack and dust layers?',
    answers: {
      yes: 'Undamaged',
      corroded: 'Corroded',
      unlike: 'Unlike metals eat each other',
      cracked: 'Cracked',
      painted: 'Paint on a seal',
      attacked: 'Chemical or UV attack',
      dust: 'Dust layer',
    },
  },
  'seal-state': {
    title: 'State of the seal',
    question:
      'Is the seal the original, soft and uncut, not used again against its sheet, and the cable sheath not necked?',
    answers: {
      yes: 'Original, soft, whole',
      hard: 'Hardened',
      cut: 'Cut',
      reused: 'Used again against its sheet',
      necked: 'Sheath necked',
    },
  },
  'single-core': {
    title: 'Single-core precautions',
    question:
      'One phase conductor alone: is the plate non-magnetic or slotted, armour and ring non-ferrous, the sheath bonded as designed?',
    answers: {
      yes: 'Taken, bonded as designed',
      no: 'Ferrous metal closes round it',
      bonding: 'Bonded otherwise than designed',
    },
  },
  'pot-square': {
    title: 'Pot on its mark',
    question: 'Is the pot screwed on square, its rear face at the mark, no copper chips in it?',
    answers: {
      yes: 'Square, on its mark, clean',
      tilted: 'Tilted',
      off: 'Off its mark',
      chips: 'Chips or dirt inside',
    },
  },
  'drain-wire': {
    title: 'Drain wire',
    question: 'Is the drain nut home and the drain wire set square to the conductors, touching none?',
    answers: { yes: 'Home and square', touching: 'Touches a conductor', loose: 'Loose' },
  },
  'pot-filled': {
    title: 'Filled and crimped',
    question:
      'Was compound pressed in from one side without voids, slightly overfull; is the disc home, are the sleeves pulled snug, and is it crimped at every point?',
    answers: {
      yes: 'Full, disc home, crimped',
      voids: 'Voids',
      disc: 'Disc not home',
      sleeves: 'Sleeves loose or pushed',
      crimp: 'Not crimped at every point',
    },
  },
  'shrouds-facing': {
    title: 'Way of the shrouds',
    question: 'Do two shrouds sit on the cable, facing opposite ways, each opening to its own accessory?',
    answers: {
      yes: 'Both, each to its own',
      turned: 'One faces the wrong way',
      one: 'Only one is on the cable',
    },
  },
  approval: {
    title: 'Marking',
    question:
      'Does the marking on frame or sealant agree with the approval on file, and is it the one that this wall asks for?',
    answers: { yes: 'It agrees', no: 'It differs', unreadable: 'Cannot be read' },
  },
  'both-sides': {
    title: 'Both sides',
    question: 'Were both sides of the wall looked at, and are both as they should be?',
    answers: {
      yes: 'Both, as they should be',
      'one-sided': 'Closed on one side by its sheet',
      one: 'Only one side is finished',
    },
  },
  'from-face': {
    title: 'Seen from the face',
    question: 'Could everything be counted, seen and reached from the face: layers, plates, cores, daylight?',
    answers: { all: 'All of it', part: 'Not all; the note says what and why' },
  },
  'transit-cables': {
    title: 'Cables through the transit',
    question:
      'Do the cables run straight through, lubricated blocks, held on both sides, none pulling on a block?',
    answers: {
      yes: 'Straight, held, lubricated',
      dry: 'Blocks were packed dry',
      bent: 'A cable bends at the face',
      loose: 'Not held beside the transit',
    },
  },
  braid: {
    title: 'Braid and bare faces',
    question:
      'Is the braid folded back over the block, free of grease, and are frame and block faces bare metal?',
    answers: {
      yes: 'Folded, bare, clean',
      grease: 'Grease on braid or armour',
      paint: 'Paint on a face',
      loose: 'Braid not folded round',
    },
  },
  'armour-past': {
    title: 'Armour past the block',
    question:
      'Armour side: is the end of the armour seen past the block, finished, with its finish wholly outside the block?',
    answers: {
      yes: 'Seen past it, finished outside',
      window: 'The jacket goes on behind a window: no end',
      short: 'It ends inside the block',
      raw: 'Its end is not finished',
      inside: 'The finish lies under the block',
    },
  },
  'frame-fixed': {
    title: 'Frame in the wall',
    question:
      'Is the frame fixed and sealed to the wall all round, its weld or gasket whole, the flange free of corrosion?',
    answers: {
      yes: 'Fixed and sealed all round',
      unseen: 'Cannot be seen from here; the note says why',
      gap: 'A gap round the frame',
      loose: 'Loose',
      corroded: 'Corroded',
    },
  },
  'bolts-again': {
    title: 'Bolts checked again',
    question: 'Were the bolts of wedge or compression unit checked again after the sheet’s time?',
    answers: { yes: 'Checked again', 'not-yet': 'The time has not passed yet', no: 'Never checked again' },
  },
  adhesion: {
    title: 'Adhesion',
    question:
      'Cables moved, edge looked at: does the sealant hold to cables and wall, its skin smooth, nothing lifting?',
    answers: {
      yes: 'Holds all round, smooth',
      lifts: 'Lifts at a cable',
      wall: 'Lifts at the wall',
      rough: 'Rough or torn',
    },
  },
  'sleeves-behind': {
    title: 'Behind the sealant',
    question:
      'Before it was closed: opening and cables clean and dry, every cable wrapped, fillers to the edge, the recess even?',
    answers: {
      yes: 'Clean, wrapped, filled',
      dirty: 'Dirty or wet',
      bare: 'A cable without its sleeve',
      hollow: 'Fillers missing',
    },
  },
  'joint-faces': {
    title: 'faces',
    question: 'Do the faces meet all round, with no gap?',
    answers: { yes: 'They meet', gap: 'A gap is left' },
  },
  'joint-grip': {
    title: 'grip',
    question: 'Does it grip: it does not turn by hand, and the cable does not move when tugged?',
    answers: { yes: 'It grips', loose: 'It turns or moves' },
  },
  'joint-seen': {
    title: 'as it stands',
    question: 'No daylight, and nothing moves by hand or by spanner?',
    answers: { yes: 'Shut, nothing moves', daylight: 'Daylight', moves: 'It moves' },
  },
  condition: {
    title: 'Special condition',
    question: '',
    answers: { met: 'Met, with evidence', 'not-met': 'Not met' },
  },
};

/** What a look asks: a special condition is asked in the certificate's own words. */
export const lookQuestion = ({ words, condition }: Worded): string =>
  condition?.text ?? LOOK_WORDS[words]?.question ?? words;

/** What an answer to a look says. */
export const answerTitle = ({ words }: Pick<Worded, 'words'>, answer: string): string =>
  LOOK_WORDS[words]?.answers[answer] ?? answer;
