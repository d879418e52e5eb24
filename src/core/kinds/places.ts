import {
  JOINTS,
  SCHOOLS,
  type Grade,
  type InstrumentKind,
  type JointId,
  type School,
  type Unit,
} from '../record/types';

/** A place of an entry that is measured; the drawing's hit areas carry its id. */
export interface Place {
  id: string;
  title: string;
  unit: Unit;
  /** Least grade at which the place can be reached. */
  grade: Grade;
  /** What can measure it, the usual one first. */
  instruments: readonly InstrumentKind[];
  /** Readings that are asked for; 0 for a place that is measured only when in doubt. */
  wanted: number;
  /** A short word on where and how. */
  how: string;
}

const place = (
  id: string,
  title: string,
  grade: Grade,
  wanted: number,
  how: string,
  instruments: readonly InstrumentKind[] = ['caliper'],
  unit: Unit = 'mm',
): Place => ({ id, title, unit, grade, instruments, wanted, how });

/** Where the outer seal sits. */
export const OUTER = place(
  'outer-sheath',
  'Outer sheath',
  'close',
  3,
  'three readings 60° apart, where the outer seal sits',
  ['caliper', 'tape'],
);
/** Gland into its adaptor: that joint counts like the one in the wall. */
export const ADAPTOR_ENGAGEMENT = place(
  'adaptor-engagement',
  'Thread engaged in the adaptor',
  'detailed',
  0,
  'engaged length of the gland in its adaptor; asked for where there is one',
);
/** Where the inner seal or the diaphragm sits. */
export const INNER = place(
  'inner-sheath',
  'Inner sheath',
  'detailed',
  3,
  'three readings 60° apart, where the inner seal sits',
  ['caliper', 'tape'],
);
/** The bundle that goes through the bore of a pot. */
export const OVER_CORES = place(
  'over-cores',
  'Over the cores',
  'detailed',
  3,
  'three readings 60° apart over the bundle of cores, where it enters the pot',
);
export const ARMOUR = place(
  'armour',
  'Armour',
  'detailed',
  3,
  'three wires, or three places of the braid or tape',
);
/** Corrugated and interlocked armour is gripped from outside. */
export const OVER_ARMOUR = place(
  'armour',
  'Over the armour',
  'detailed',
  3,
  'three readings 60° apart over the ridges of the armour',
);
export const ENGAGEMENT = place(
  'thread-engagement',
  'Thread engaged',
  'detailed',
  1,
  'engaged length: male thread less washer and run-out, or wall less chamfers',
);
/** Counted while unscrewing, instead of the length or beside it. */
export const THREAD_TURNS = place(
  'thread-turns',
  'Turns while unscrewing',
  'detailed',
  0,
  'turns counted until the thread comes free; they count like the engaged length',
  ['turn-mark'],
  'turns',
);
export const THREAD_MAJOR = place(
  'thread-major',
  'Thread major diameter',
  'detailed',
  0,
  'over the crests of the gland’s male thread',
);
export const THREAD_PITCH = place(
  'thread-pitch',
  'Thread pitch',
  'detailed',
  0,
  'with the pitch gauge, or ten pitches with the caliper divided by ten',
  ['pitch-gauge', 'caliper'],
);
export const GAP = place(
  'back-nut-gap',
  'Back-nut gap',
  'close',
  1,
  'between back nut and body, at the narrowest',
  ['caliper', 'feeler'],
);
export const INNER_PROUD = place(
  'inner-proud',
  'Inner sheath proud',
  'detailed',
  1,
  'from the face of the inner seal to the end of the inner sheath',
  ['caliper', 'rule'],
);
export const ARMOUR_LENGTH = place(
  'armour-length',
  'Armour exposed',
  'detailed',
  1,
  'from the cut of the outer sheath to the end of the armour',
  ['caliper', 'rule'],
);
export const REACH = place(
  'compound-reach',
  'Compound beyond the crotch',
  'detailed',
  1,
  'from the crotch of the cores to the far face of the compound',
  ['caliper', 'rule'],
);
export const SUPPORT = place(
  'support-distance',
  'Gland to cable clamp',
  'close',
  0,
  'from the back of the gland to the first clamp of the cable; asked for where the gland does not hold it by itself',
  ['rule'],
);
export const BOND = place(
  'bond',
  'Bond, armour to wall',
  'detailed',
  1,
  'four-wire, one end disconnected',
  ['milliohm-meter'],
  'ohm',
);

/** What the gland of a mineral-insulated cable grips. */
export const MI_SHEATH = place(
  'outer-sheath',
  'Metal sheath',
  'close',
  3,
  'three readings 60° apart on the bare metal, where the gland grips it',
);
export const PROJECTION = place(
  'pot-projection',
  'Sheath proud in the pot',
  'detailed',
  1,
  'from the end of the pot’s thread to the end of the sheath, inside the pot',
  ['caliper', 'rule'],
);
/** A cable that is cut to fit. */
export const SHEATH_LENGTH = place(
  'sheath-length',
  'Sheath, end to end',
  'detailed',
  1,
  'along the sheath, from its first end to its second, before the second pot goes on',
  ['rule'],
);
export const SHEATH_EARTH = place(
  'sheath-earth',
  'Sheath as earth conductor',
  'detailed',
  1,
  'four-wire along the sheath from end to end, one end disconnected',
  ['milliohm-meter'],
  'ohm',
);

/** Places whose readings make a diameter. */
export const DIAMETERS: ReadonlySet<string> = new Set([
  'outer-sheath',
  'inner-sheath',
  'over-cores',
  'armour',
]);

const JOINT_TITLE: Record<JointId, string> = {
  entry: 'Gland into the wall',
  clamp: 'Armour clamp',
  'inner-seal': 'Inner seal',
  'outer-seal': 'Outer seal',
  pot: 'Pot',
  'resin-port': 'Resin port',
};

/** What a joint is called. */
export const jointTitle = (joint: JointId): string => JOINT_TITLE[joint];

/** Id of the place or look at which a joint is answered, by its school. */
export const jointAnswer = (joint: JointId, school: School): string => ANSWERS[school][joint];

const ANSWERS = Object.fromEntries(
  SCHOOLS.map((school) => [school, Object.fromEntries(JOINTS.map((joint) => [joint, `${school}-${joint}`]))]),
) as Record<School, Record<JointId, string>>;

/** Id of the look by which a joint that was counted or torqued is judged from outside. */
export const jointSeen = (joint: JointId): string => SEEN[joint];

const SEEN = Object.fromEntries(JOINTS.map((joint) => [joint, `seen-${joint}`])) as Record<JointId, string>;

/** Joints that close what nobody sees afterwards. */
const HIDDEN: ReadonlySet<JointId> = new Set(['clamp', 'inner-seal', 'pot']);

/** Grade at which a joint can be reached. */
export const jointGrade = (joint: JointId): Grade => (HIDDEN.has(joint) ? 'detailed' : 'close');

/** The place that a joint is measured at; null for a school that is looked at. */
export function jointPlace(joint: JointId, school: School): Place | null {
  const title = JOINT_TITLE[joint];
  const grade = jointGrade(joint);
  const id = `${school}-${joint}`;
  if (school === 'turns') {
    return place(
      id,
      `${title}, turns`,
      grade,
      1,
      'turns after hand-tight, by a mark on the nut',
      ['turn-mark'],
      'turns',
    );
  }
  if (school === 'torque') {
    return place(
      id,
      `${title}, torque`,
      grade,
      1,
      'torque at which it just moves on',
      ['torque-driver'],
      'Nm',
    );
  }
  if (school === 'gap') {
    return place(id, `${title}, gap`, grade, 1, 'between the faces, at the narrowest', ['feeler', 'caliper']);
  }
  return null;
}
