import { bad, good, look, where } from './look';
import { INNER, OUTER, THREAD_MAJOR } from './places';
import { coreCount, type Situation } from './situation';

/** Whether a tape was wrapped round a sheath, and nothing else says whether it is round. */
const wrapped = ({ groups }: Situation): boolean =>
  [OUTER, INNER].some(({ id }) => {
    const own = groups.get(id) ?? [];
    return own.length > 0 && own.every(({ method }) => method === 'tape');
  });

export const MARKING = look(
  'marking',
  'Marking',
  'visual',
  'Does the marking on the gland agree with the certificate and size on file?',
  good('yes', 'It agrees'),
  bad('no', 'It differs'),
  bad('unreadable', 'Cannot be read'),
);
/** Asked once per enclosure, at the first of its entries in the round. */
export const UNUSED = where(
  look(
    'unused-entries',
    'Unused entries',
    'visual',
    'Is every entry that no cable uses closed with a plug that comes out only with a tool, and none left open?',
    good('yes', 'All closed as recorded'),
    good('none', 'There are none'),
    bad('open', 'One is open'),
    bad('transport', 'A transport plug is in one'),
    bad('adaptor', 'A plug sits in an adaptor'),
  ),
  ({ askedAt }) => askedAt === null,
);
export const BARE = look(
  'outer-bare',
  'Under the outer seal',
  'close',
  'Is the sheath under the outer seal bare and whole: no tape, sleeve, label, rib or embossing, and one cable per hole?',
  good('yes', 'Bare and whole'),
  bad('no', 'Something is under the seal'),
  bad('two', 'More than one cable in the hole'),
);
/** Asked where a tape was wrapped: it hides whether the cable is round. */
export const FLATS = where(
  look(
    'flats',
    'Flats on the sheath',
    'close',
    'Where the tape was wrapped: is the sheath round to the eye and the finger, without flats?',
    good('none', 'Round, no flats'),
    bad('flats', 'It has flats'),
  ),
  wrapped,
);
/** Asked where a measured thread can be a parallel or a taper one. */
export const TAPER = where(
  look(
    'thread-taper',
    'Form of the thread',
    'detailed',
    'Two diameters along the thread compared: is it parallel or taper?',
    good('parallel', 'Parallel'),
    good('taper', 'Taper'),
  ),
  ({ groups }) => (groups.get(THREAD_MAJOR.id)?.length ?? 0) > 0,
);
export const SEATED = look(
  'armour-seated',
  'Armour on the cone',
  'detailed',
  'Clamp open: does the armour lie on the cone all round, none crossed, none beside or inside it, wires whole?',
  good('yes', 'All round, whole'),
  bad('crossed', 'Crossed'),
  bad('inside', 'Inside the cone'),
  bad('beside', 'On the thread beside the cone'),
  bad('broken', 'Wires broken or missing'),
);
export const RING = look(
  'ring-thick-end',
  'Way of the ring',
  'detailed',
  'Clamp open: does the thick end of the ring face the back of the gland?',
  good('yes', 'Thick end to the back'),
  bad('no', 'Thick end to the box'),
);
export const DIAPHRAGM = look(
  'diaphragm-lip',
  'Lip of the diaphragm',
  'detailed',
  'Is the lip of the diaphragm pulled back along the inner sheath, whole and not cut?',
  good('yes', 'Pulled back, whole'),
  bad('folded', 'Folded under'),
  bad('cut', 'Cut'),
);
export const INSIDE = look(
  'inside-cable',
  'Inside the cable',
  'detailed',
  'Can gas or liquid travel inside the cable to another area?',
  good('same-area', 'Both ends are in one area'),
  good('stopped', 'It is stopped by a seal'),
  bad('open', 'It can travel on'),
);
export const SCORED = look(
  'conductors',
  'Conductors and inner sheath',
  'detailed',
  'Are inner sheath and insulation whole where they were cut back: nothing scored, nicked or burnt?',
  good('yes', 'Whole'),
  bad('scored', 'Scored or nicked'),
);
export const VOIDS = look(
  'compound-face',
  'Face of the compound',
  'detailed',
  'Cured and opened: is the compound whole up to the edge, with the cores apart and none touching the pot?',
  good('yes', 'Whole, cores apart'),
  good('mended', 'Voids mended with fresh compound'),
  bad('voids', 'Voids'),
  bad('touching', 'A core touches the pot or another'),
);
export const WITNESS = look(
  'compound-witness',
  'Hardness of the compound',
  'detailed',
  'Is the surplus that was pressed on the sheath beside the gland hard?',
  good('hard', 'Hard'),
  bad('soft', 'Soft'),
  bad('none', 'No surplus was kept'),
);
export const SPIGOT = look(
  'spigot-held',
  'Spigot of the pot',
  'detailed',
  'Was the compound spigot held in its place while the gland was fitted?',
  good('yes', 'Held, not turned'),
  bad('no', 'It turned with the body'),
);
export const DAM = look(
  'resin-dam',
  'Dam and fill',
  'detailed',
  'Was the first shot thrown away, is the fibre dam whole, and did resin come out at the vent?',
  good('yes', 'Dam whole, seen at the vent'),
  bad('short', 'No resin at the vent'),
  bad('dam', 'Dam torn or missing'),
  bad('first-shot', 'The first shot was used'),
);
export const GROMMET = look(
  'grommet-nut',
  'Turned after the resin',
  'detailed',
  'Since the resin was injected, has nothing but the grommet nut been turned, and is the armour engaged?',
  good('yes', 'Only the grommet nut'),
  bad('body', 'The body was turned'),
  bad('armour', 'The armour is not engaged'),
);
export const WASHER = look(
  'washer',
  'Sealing washer',
  'visual',
  'Is there a sealing washer between gland and wall, whole and seated?',
  good('fitted', 'Fitted, whole'),
  good('o-ring', 'A certified O-ring seals instead'),
  good('none', 'None fitted'),
  bad('damaged', 'Damaged or squeezed out'),
);
export const BOND_LOOK = look(
  'bond-tight',
  'Bond and tag',
  'visual',
  'Are the bond and the earth tag, where one is fitted, present and tight?',
  good('yes', 'Present and tight'),
  bad('loose', 'Loose'),
  bad('no', 'Missing'),
);
export const BOND_PATH = look(
  'bond-path',
  'Path of the bond reading',
  'detailed',
  'Was one end disconnected for the bond reading, so that no parallel path carries the test current?',
  good('yes', 'One end disconnected'),
  bad('parallel', 'Parallel paths remain'),
);
export const SHROUD = look(
  'shroud',
  'Shroud and weather side',
  'visual',
  'Is the shroud or deluge boot on, whole and the right way round, and does water run off the entry?',
  good('fitted', 'On, whole'),
  good('none', 'None fitted, water runs off'),
  bad('missing', 'Missing'),
  bad('cut', 'Cut, slipped or the wrong way round'),
  bad('pools', 'Water stands on the entry'),
);
export const SUPPORTED = look(
  'cable-held',
  'Cable held',
  'visual',
  'Is the cable held near the gland, bent no tighter than it may, and without pull on the gland?',
  good('yes', 'Held, no strain'),
  bad('loose', 'Not held'),
  bad('bend', 'Bent too tightly'),
  bad('strain', 'Pulls on the gland'),
);
export const CORES = look(
  'unused-cores',
  'Unused cores',
  'close',
  'Is every unused core terminated or earthed?',
  good('yes', 'All terminated'),
  good('none', 'No unused cores'),
  bad('no', 'Some are loose'),
);
export const UNALTERED = look(
  'unaltered',
  'As it was sealed',
  'visual',
  'Held against the marks and the photo of the last sealed record: has nothing been altered?',
  good('same', 'As it was'),
  good('first', 'There is no earlier record'),
  bad('altered', 'Altered'),
);
export const DAMAGE = look(
  'damage',
  'Damage',
  'visual',
  'Are cable, gland and wall free of corrosion, cracks, paint on seals, attack and dust layers?',
  good('yes', 'Undamaged'),
  bad('corroded', 'Corroded'),
  bad('unlike', 'Unlike metals eat each other'),
  bad('cracked', 'Cracked'),
  bad('painted', 'Paint on a seal'),
  bad('attacked', 'Chemical or UV attack'),
  bad('dust', 'Dust layer'),
);
export const SEAL_STATE = look(
  'seal-state',
  'State of the seal',
  'detailed',
  'Is the seal the original, soft and uncut, not used again against its sheet, and the cable sheath not necked?',
  good('yes', 'Original, soft, whole'),
  bad('hard', 'Hardened'),
  bad('cut', 'Cut'),
  bad('reused', 'Used again against its sheet'),
  bad('necked', 'Sheath necked'),
);
export const SINGLE = where(
  look(
    'single-core',
    'Single-core precautions',
    'close',
    'One phase conductor alone: is the plate non-magnetic or slotted, armour and ring non-ferrous, the sheath bonded as designed?',
    good('yes', 'Taken, bonded as designed'),
    bad('no', 'Ferrous metal closes round it'),
    bad('bonding', 'Bonded otherwise than designed'),
  ),
  (of) => (coreCount(of) ?? 1) === 1,
);

export const POT_SQUARE = look(
  'pot-square',
  'Pot on its mark',
  'detailed',
  'Is the pot screwed on square, its rear face at the mark, no copper chips in it?',
  good('yes', 'Square, on its mark, clean'),
  bad('tilted', 'Tilted'),
  bad('off', 'Off its mark'),
  bad('chips', 'Chips or dirt inside'),
);
export const DRAIN = where(
  look(
    'drain-wire',
    'Drain wire',
    'detailed',
    'Is the drain nut home and the drain wire set square to the conductors, touching none?',
    good('yes', 'Home and square'),
    bad('touching', 'Touches a conductor'),
    bad('loose', 'Loose'),
  ),
  ({ cable }) => cable?.mineral?.screened !== false,
);
export const POT_FILLED = look(
  'pot-filled',
  'Filled and crimped',
  'detailed',
  'Was compound pressed in from one side without voids, slightly overfull; is the disc home, are the sleeves pulled snug, and is it crimped at every point?',
  good('yes', 'Full, disc home, crimped'),
  bad('voids', 'Voids'),
  bad('disc', 'Disc not home'),
  bad('sleeves', 'Sleeves loose or pushed'),
  bad('crimp', 'Not crimped at every point'),
);
export const FACING = look(
  'shrouds-facing',
  'Way of the shrouds',
  'visual',
  'Do two shrouds sit on the cable, facing opposite ways, each opening to its own accessory?',
  good('yes', 'Both, each to its own'),
  bad('turned', 'One faces the wrong way'),
  bad('one', 'Only one is on the cable'),
);

export const APPROVAL = look(
  'marking',
  'Marking',
  'visual',
  'Does the marking on frame or sealant agree with the approval on file, and is it the one that this wall asks for?',
  good('yes', 'It agrees'),
  bad('no', 'It differs'),
  bad('unreadable', 'Cannot be read'),
);
export const BOTH_SIDES = look(
  'both-sides',
  'Both sides',
  'close',
  'Were both sides of the wall looked at, and are both as they should be?',
  good('yes', 'Both, as they should be'),
  good('one-sided', 'Closed on one side by its sheet'),
  bad('one', 'Only one side is finished'),
);
/** What cannot be seen or reached from the face is said, with its reason, and asked when it is opened. */
export const FROM_FACE = look(
  'from-face',
  'Seen from the face',
  'close',
  'Could everything be counted, seen and reached from the face: layers, plates, cores, daylight?',
  good('all', 'All of it'),
  good('part', 'Not all; the note says what and why'),
);
export const STRAIGHT = look(
  'transit-cables',
  'Cables through the transit',
  'close',
  'Do the cables run straight through, lubricated blocks, held on both sides, none pulling on a block?',
  good('yes', 'Straight, held, lubricated'),
  bad('dry', 'Blocks were packed dry'),
  bad('bent', 'A cable bends at the face'),
  bad('loose', 'Not held beside the transit'),
);
export const BRAID = look(
  'braid',
  'Braid and bare faces',
  'detailed',
  'Is the braid folded back over the block, free of grease, and are frame and block faces bare metal?',
  good('yes', 'Folded, bare, clean'),
  bad('grease', 'Grease on braid or armour'),
  bad('paint', 'Paint on a face'),
  bad('loose', 'Braid not folded round'),
);
export const FRAME_FIXED = look(
  'frame-fixed',
  'Frame in the wall',
  'close',
  'Is the frame fixed and sealed to the wall all round, its weld or gasket whole, the flange free of corrosion?',
  good('yes', 'Fixed and sealed all round'),
  good('unseen', 'Cannot be seen from here; the note says why'),
  bad('gap', 'A gap round the frame'),
  bad('loose', 'Loose'),
  bad('corroded', 'Corroded'),
);
export const RELAXED = look(
  'bolts-again',
  'Bolts checked again',
  'close',
  'Were the bolts of wedge or compression unit checked again after the sheet’s time?',
  good('yes', 'Checked again'),
  good('not-yet', 'The time has not passed yet'),
  bad('no', 'Never checked again'),
);
export const ADHESION = look(
  'adhesion',
  'Adhesion',
  'close',
  'Cables moved, edge looked at: does the sealant hold to cables and wall, its skin smooth, nothing lifting?',
  good('yes', 'Holds all round, smooth'),
  bad('lifts', 'Lifts at a cable'),
  bad('wall', 'Lifts at the wall'),
  bad('rough', 'Rough or torn'),
);
export const BEHIND = look(
  'sleeves-behind',
  'Behind the sealant',
  'detailed',
  'Before it was closed: opening and cables clean and dry, every cable wrapped, fillers to the edge, the recess even?',
  good('yes', 'Clean, wrapped, filled'),
  bad('dirty', 'Dirty or wet'),
  bad('bare', 'A cable without its sleeve'),
  bad('hollow', 'Fillers missing'),
);
