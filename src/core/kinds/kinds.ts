import type { KindId } from '../record/kind-ids';
import * as looks from './looks';
import { conditionLook, jointLook, jointLookFromOutside } from './worked-looks';
import * as places from './places';
import * as steps from './steps';
import type { LookQuestion } from './look';
import type { Place } from './places';
import type { Part, Step } from './steps';
import { JOINTS, SCHOOLS, type AssemblySheet, type JointId, type School } from '../record/types';

export type { LookQuestion } from './look';
export type { Place } from './places';
export type { Part, Step } from './steps';

/** One kind of entry. Rules, drawings and views ask for its traits; nobody asks which kind an entry is. */
export interface Kind {
  id: KindId;
  title: string;
  /** Parts in the order in which they are slipped on the cable. */
  parts: readonly Part[];
  places: readonly Place[];
  looks: readonly LookQuestion[];
  /** Make-off, in order, with the hold points. */
  steps: readonly Step[];
  /** Joints that its sheet can name a school for. */
  joints: readonly JointId[];
  /** A ring that fits either way, one whose faces differ, one per armour type, or none. */
  ring: 'universal' | 'reversible' | 'dedicated' | 'none';
  /** How the armour is held; none for cables without armour. */
  armour: 'cone' | 'gripped' | 'none';
  /** What sits on the inner sheath. */
  inner: 'seal' | 'diaphragm' | 'none';
  /** What fills the pot. */
  pot: 'compound' | 'resin' | 'none';
  /** Whether it ends a mineral-insulated cable, and only such a one. */
  mineral: boolean;
  /** Blocks, bonded blocks or sealant, many cables in one frame; null for an entry of one cable. */
  transit: 'blocks' | 'bonded' | 'sealant' | null;
  /** What it stands in: the wall of an enclosure, or one of the building. */
  wall: 'enclosure' | 'building';
  /** Whether the kind is made with a certificate for explosive atmospheres. */
  certified: boolean;
  /** Body that its section is drawn with. */
  drawing: 'gland' | 'industrial' | 'resin' | 'mineral' | 'transit';
}

const THREAD = [
  places.ENGAGEMENT,
  places.ADAPTOR_ENGAGEMENT,
  places.THREAD_TURNS,
  places.THREAD_MAJOR,
  places.THREAD_PITCH,
];
const OUTSIDE = [places.OUTER, places.GAP];
const CONE = [places.ARMOUR, places.ARMOUR_LENGTH];

const SEEN = [looks.MARKING, looks.UNUSED, looks.BARE, looks.FLATS, looks.TAPER];
const AROUND = [
  looks.WASHER, looks.BOND_LOOK, looks.SHROUD, looks.SUPPORTED, looks.CORES, looks.UNALTERED, looks.DAMAGE,
  looks.SEAL_STATE, looks.SINGLE,
]; // prettier-ignore
const CUT = [looks.INSIDE, looks.SCORED];

const SLEEVES = [steps.SHROUD_PART, steps.BACK_NUT, steps.MIDDLE_NUT];
const STRIPPED = [steps.STRIP_OUTER, steps.CUT_ARMOUR, steps.STRIP_INNER, steps.MEASURE, steps.BODY_IN];
const FINISHED = [steps.OUTER_SHUT, steps.TAG_BOND, steps.COVER];

type Rest = Partial<Kind> & Pick<Kind, 'id' | 'title'>;

/** An armoured gland with an inner seal; the other kinds differ from it. */
const armoured = (rest: Rest): Kind => ({
  parts: [...SLEEVES, steps.RING_EITHER],
  places: [places.INNER, ...CONE, ...OUTSIDE, ...THREAD, places.INNER_PROUD, places.SUPPORT, places.BOND],
  looks: [...SEEN, looks.SEATED, ...CUT, ...AROUND, looks.BOND_PATH],
  steps: [...STRIPPED, steps.SPREAD, steps.DRY_CLAMP, steps.INNER_BACK, steps.CLAMP_SHUT, ...FINISHED],
  joints: ['entry', 'clamp', 'inner-seal', 'outer-seal'],
  ring: 'universal',
  armour: 'cone',
  inner: 'seal',
  pot: 'none',
  mineral: false,
  transit: null,
  wall: 'enclosure',
  certified: true,
  drawing: 'gland',
  ...rest,
});

const MINERAL_PLACES = [
  places.MI_SHEATH, ...THREAD, places.PROJECTION, places.SHEATH_EARTH, places.BOND,
]; // prettier-ignore
const MINERAL_LOOKS = [
  looks.MARKING, looks.UNUSED, looks.BARE, looks.FLATS, looks.TAPER, looks.POT_SQUARE, looks.DRAIN, looks.POT_FILLED, looks.INSIDE, looks.SCORED,
  looks.WASHER, looks.BOND_LOOK, looks.BOND_PATH, looks.SHROUD, looks.SUPPORTED, looks.CORES, looks.UNALTERED,
  looks.DAMAGE, looks.SINGLE,
]; // prettier-ignore
const OPENED = [steps.SQUARE, steps.MARK, steps.STRIP_SHEATH, steps.CLEAN, steps.MEASURE];
const SEALED = [
  steps.POT_ON, steps.PROUD, steps.DRAIN_ON, steps.TRACE, steps.TEST_BEFORE, steps.FILL, steps.CRIMP,
  steps.TEST_AFTER, steps.GLAND_IN, steps.OUTER_GRIP, steps.TAG_BOND, steps.EARTH_PROVED,
]; // prettier-ignore

/** A screw-on pot on a mineral-insulated cable, and the gland behind it. */
const mineral = (rest: Rest): Kind =>
  armoured({
    parts: [steps.SHROUD_PART, steps.BACK_NUT_MI, steps.COMPRESSION, steps.GLAND_BODY],
    places: MINERAL_PLACES,
    looks: MINERAL_LOOKS,
    steps: [...OPENED, ...SEALED, steps.COVER],
    joints: ['entry', 'pot', 'outer-seal'],
    ring: 'none',
    armour: 'none',
    inner: 'none',
    mineral: true,
    drawing: 'mineral',
    ...rest,
  });

const TRANSIT_LOOKS = [
  looks.APPROVAL,
  looks.BOTH_SIDES,
  looks.FROM_FACE,
  looks.STRAIGHT,
  looks.FRAME_FIXED,
  looks.UNALTERED,
  looks.DAMAGE,
];
const PACKED = [
  steps.FRAME_CLEAN, steps.PEEL_BLOCKS, steps.LUBRICATE, steps.PLATES, steps.WEDGE, steps.THROUGH, steps.OTHER_SIDE,
  steps.BOLTS_AGAIN,
]; // prettier-ignore

/** A frame with many cables between rubber blocks, or in sealant. */
const transit = (rest: Rest): Kind =>
  armoured({
    parts: [],
    places: [],
    looks: [...TRANSIT_LOOKS, looks.RELAXED],
    steps: PACKED,
    joints: [],
    ring: 'none',
    armour: 'none',
    inner: 'none',
    transit: 'blocks',
    wall: 'building',
    drawing: 'transit',
    ...rest,
  });

/** What a part is ticked off as when it has been slipped on; steps are ticked under their own ids. */
export const partTick = (part: string): string => `part-${part}`;

/** The one table of entry kinds. */
export const KINDS: Record<KindId, Kind> = {
  'gland-double-seal': armoured({ id: 'gland-double-seal', title: 'double-seal gland' }),
  'gland-reversible-ring': armoured({
    id: 'gland-reversible-ring',
    title: 'reversible-ring gland',
    parts: [...SLEEVES, steps.RING_TURNED],
    ring: 'reversible',
  }),
  'gland-dedicated-ring': armoured({
    id: 'gland-dedicated-ring',
    title: 'dedicated-ring gland',
    parts: [...SLEEVES, steps.RING_OWN],
    looks: [...SEEN, looks.SEATED, looks.RING, ...CUT, ...AROUND, looks.BOND_PATH],
    ring: 'dedicated',
  }),
  'gland-diaphragm': armoured({
    id: 'gland-diaphragm',
    title: 'diaphragm gland',
    looks: [...SEEN, looks.SEATED, looks.DIAPHRAGM, ...CUT, ...AROUND, looks.BOND_PATH],
    steps: [...STRIPPED, steps.SPREAD, steps.DRY_CLAMP, steps.LIP_BACK, steps.CLAMP_SHUT, ...FINISHED],
    joints: ['entry', 'clamp', 'outer-seal'],
    inner: 'diaphragm',
  }),
  'gland-barrier': armoured({
    id: 'gland-barrier',
    title: 'barrier gland',
    places: [
      places.OVER_CORES, ...CONE, ...OUTSIDE, ...THREAD, places.REACH, places.SUPPORT, places.BOND,
    ], // prettier-ignore
    looks: [...SEEN, looks.SEATED, looks.VOIDS, looks.WITNESS, ...CUT, ...AROUND, looks.BOND_PATH],
    steps: [
      ...STRIPPED, steps.SPREAD, steps.DRY_CLAMP, steps.CORES_APART, steps.MIX, steps.PACK, steps.CURE_LOOK,
      steps.POT_SHUT, steps.CLAMP_SHUT, ...FINISHED,
    ], // prettier-ignore
    joints: ['entry', 'clamp', 'pot', 'outer-seal'],
    inner: 'none',
    pot: 'compound',
  }),
  'gland-barrier-plain': armoured({
    id: 'gland-barrier-plain',
    title: 'barrier gland for unarmoured cable',
    parts: [steps.SHROUD_PART, steps.BACK_NUT],
    places: [places.OVER_CORES, ...OUTSIDE, ...THREAD, places.REACH, places.SUPPORT],
    looks: [...SEEN, looks.VOIDS, looks.WITNESS, looks.SPIGOT, ...CUT, ...AROUND],
    steps: [
      steps.STRIP_OUTER, steps.CORES_APART, steps.MEASURE, steps.HOLD_SPIGOT, steps.BODY_IN, steps.MIX, steps.PACK,
      steps.CURE_LOOK, steps.POT_SHUT, steps.OUTER_SHUT, steps.BOND_ONLY, steps.COVER,
    ], // prettier-ignore
    joints: ['entry', 'pot', 'outer-seal'],
    ring: 'none',
    armour: 'none',
    inner: 'none',
    pot: 'compound',
  }),
  'gland-plain': armoured({
    id: 'gland-plain',
    title: 'plain gland',
    parts: [steps.SHROUD_PART, steps.BACK_NUT],
    places: [places.INNER, ...OUTSIDE, ...THREAD, places.INNER_PROUD, places.SUPPORT],
    looks: [...SEEN, ...CUT, ...AROUND],
    steps: [
      steps.STRIP_OUTER,
      steps.MEASURE,
      steps.BODY_IN,
      steps.INNER_BACK,
      steps.OUTER_SHUT,
      steps.BOND_ONLY,
      steps.COVER,
    ],
    joints: ['entry', 'inner-seal', 'outer-seal'],
    ring: 'none',
    armour: 'none',
  }),
  'gland-industrial': armoured({
    id: 'gland-industrial',
    title: 'industrial gland',
    parts: [steps.SHROUD_PART, steps.BACK_NUT, steps.TAG_PART],
    places: [...CONE, places.OUTER, ...THREAD, places.SUPPORT, places.BOND],
    looks: [...SEEN, looks.SEATED, ...CUT, ...AROUND, looks.BOND_PATH],
    steps: [...STRIPPED, steps.SPREAD, steps.DRY_CLAMP, steps.OUTER_GRIP, steps.TAG_BOND, steps.COVER],
    joints: ['entry', 'clamp', 'outer-seal'],
    inner: 'none',
    certified: false,
    drawing: 'industrial',
  }),
  'connector-resin': armoured({
    id: 'connector-resin',
    title: 'resin connector',
    parts: [steps.SHROUD_PART, steps.BACK_NUT],
    places: [places.OVER_CORES, places.OVER_ARMOUR, places.OUTER, ...THREAD, places.SUPPORT, places.BOND],
    looks: [...SEEN, looks.DAM, looks.GROMMET, ...CUT, ...AROUND, looks.BOND_PATH],
    steps: [
      steps.STRIP_OUTER, steps.CUT_ARMOUR, steps.CORES_APART, steps.MEASURE, steps.BODY_IN, steps.ARMOUR_IN, steps.INJECT,
      steps.RESIN_CURE, steps.OUTER_GRIP, steps.TAG_BOND, steps.COVER,
    ], // prettier-ignore
    joints: ['entry', 'outer-seal', 'resin-port'],
    ring: 'none',
    armour: 'gripped',
    inner: 'none',
    pot: 'resin',
    drawing: 'resin',
  }),
  'mi-pot': mineral({ id: 'mi-pot', title: 'mineral-insulated pot' }),
  'mi-link': mineral({
    id: 'mi-link',
    title: 'mineral-insulated link, cut to fit',
    parts: [steps.FAR_SHROUD, steps.SHROUD_PART, steps.BACK_NUT_MI, steps.COMPRESSION, steps.GLAND_BODY],
    places: [...MINERAL_PLACES, places.SHEATH_LENGTH],
    looks: [...MINERAL_LOOKS, looks.FACING],
    steps: [...OPENED, steps.CUT_TO_LENGTH, ...SEALED, steps.SHROUDS_ON, steps.COVER],
  }),
  'transit-block': transit({ id: 'transit-block', title: 'block transit' }),
  'transit-block-bonded': transit({
    id: 'transit-block-bonded',
    title: 'bonded block transit',
    looks: [...TRANSIT_LOOKS, looks.RELAXED, looks.BRAID, looks.BOND_PATH],
    steps: [...PACKED.slice(0, 2), steps.FOLD_BRAID, ...PACKED.slice(2)],
    transit: 'bonded',
  }),
  'transit-cabinet': transit({
    id: 'transit-cabinet',
    title: 'cabinet transit',
    wall: 'enclosure',
    looks: [...TRANSIT_LOOKS, looks.RELAXED, looks.UNUSED],
  }),
  'transit-sealant': transit({
    id: 'transit-sealant',
    title: 'sealant transit',
    looks: [
      ...TRANSIT_LOOKS.filter(({ id }) => id !== 'transit-cables' && id !== 'from-face'),
      looks.ADHESION,
      looks.BEHIND,
    ],
    steps: [steps.FRAME_CLEAN, steps.CLEAN_DRY, steps.WRAP, steps.SEAL_FACE, steps.HOLDS, steps.OTHER_SIDE],
    transit: 'sealant',
  }),
};

/** Whether a place belongs to every entry of a kind. */
export const measures = ({ places: own }: Kind, place: string): boolean => own.some(({ id }) => id === place);

/** Places of a kind with those by which the sheet's schools close its joints. */
export function placesOf(kind: KindId, sheet: AssemblySheet | null): readonly Place[] {
  const { places: own, joints } = KINDS[kind];
  const closing = (sheet?.joints ?? [])
    .filter(({ joint }) => joints.includes(joint))
    .filter(({ joint, school }) => !byScale(kind, joint, school))
    .flatMap(({ joint, school }) => places.jointPlace(joint, school) ?? []);
  return closing.length > 0 ? [...own, ...closing] : own;
}

/** Whether a joint's gap follows from the cable and is measured at the back nut. */
const byScale = (kind: KindId, joint: JointId, school: School): boolean =>
  school === 'gap' && joint === 'outer-seal' && measures(KINDS[kind], places.GAP.id);

/** Looks of a kind with those of its joints and a tick per special condition. */
export function looksOf(
  kind: KindId,
  certificate: { sheet: AssemblySheet; specialConditions: readonly string[] | null } | null,
): readonly LookQuestion[] {
  const { looks: own, joints } = KINDS[kind];
  if (!certificate) return own;
  const closing = certificate.sheet.joints
    .filter(({ joint }) => joints.includes(joint))
    .flatMap(({ joint, school }) => looksOfJoint(joint, school));
  const conditions = certificate.specialConditions ?? [];
  const ticks = conditions.map((text, i) => conditionLook(i + 1, text));
  return [...own, ...closing, ...ticks];
}

/** How a joint is looked at when it is closed, and from outside. */
const looksOfJoint = (joint: JointId, school: School): LookQuestion[] =>
  [jointLook(joint, school), jointLookFromOutside(joint, school)].filter((one) => one !== null);

/** Places and looks of every kind by their ids, those of joints by any school included. */
const PLACES = new Map<KindId, Map<string, Place>>();
const LOOKS = new Map<KindId, Map<string, LookQuestion>>();
for (const kind of Object.values(KINDS)) {
  const closing = kind.joints.flatMap((joint) => SCHOOLS.map((school) => [joint, school] as const));
  const jointPlaces = closing.flatMap(([joint, school]) =>
    byScale(kind.id, joint, school) ? [] : (places.jointPlace(joint, school) ?? []),
  );
  const jointLooks = closing.flatMap(([joint, school]) => looksOfJoint(joint, school));
  PLACES.set(kind.id, new Map([...kind.places, ...jointPlaces].map((p) => [p.id, p])));
  LOOKS.set(kind.id, new Map([...kind.looks, ...jointLooks].map((l) => [l.id, l])));
}

/** The place of a kind, or null. */
export const placeOf = (kind: KindId, place: string): Place | null => PLACES.get(kind)!.get(place) ?? null;

/** Every place by its id, the first of those that share one. */
const ROWS = new Map<string, Place>();
for (const row of Object.values(places)) {
  if (typeof row === 'object' && 'how' in row && !ROWS.has(row.id)) ROWS.set(row.id, row);
}
for (const joint of JOINTS)
  for (const school of SCHOOLS) {
    const row = places.jointPlace(joint, school);
    if (row) ROWS.set(row.id, row);
  }

/** What is known of a place: as the kind has it, else as any has; null for an id that no place has. */
export const placeRow = (kind: KindId, place: string): Place | null =>
  placeOf(kind, place) ?? ROWS.get(place) ?? null;

/** The look of a kind, or null; special conditions belong to certificates and are not found here. */
export const lookOf = (kind: KindId, look: string): LookQuestion | null => LOOKS.get(kind)!.get(look) ?? null;
