import {
  JOINTS,
  SCHOOLS,
  type Grade,
  type InstrumentKind,
  type Joint,
  type JointId,
  type School,
  type Unit,
} from '../record/types';
import { place, saying, type Place } from './place';
import type { PlaceFunctions, ValueTask } from './situation';

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

const MEASURED = {
  turns: { unit: 'turns', settle: 'settle.turns' },
  torque: { unit: 'N·m', settle: 'settle.torque' },
  gap: { unit: 'mm', settle: 'settle.gap' },
} as const;

/** What a joint's turns, torque or gap are held against; null for another school, or without limits. */
export function taskOfJoint({ joint, school, range }: Joint): ValueTask | null {
  if (range === null || (school !== 'turns' && school !== 'torque' && school !== 'gap')) return null;
  const { unit, settle } = MEASURED[school];
  return {
    place: jointAnswer(joint, school),
    part: joint,
    unit,
    low: range[0],
    high: range[1],
    settle,
  };
}

/** What a measured joint is held against, by the sheet. */
const ofJoint = (joint: JointId, school: School): PlaceFunctions => ({
  value({ certificate }) {
    const own = certificate?.sheet.joints.find((one) => one.joint === joint && one.school === school);
    return own ? taskOfJoint(own) : null;
  },
});

/** The place that a joint is measured at; null for a school that is looked at. */
export function jointPlace(joint: JointId, school: School): Place | null {
  const row = measuredJoint(joint, school);
  return row && saying(row, ofJoint(joint, school));
}

/** How each school that is measured is read: turns counted from hand-tight, torque at which it just moves on, the gap. */
const READ: Partial<Record<School, [instruments: readonly InstrumentKind[], unit: Unit]>> = {
  turns: [['turn-mark'], 'turns'],
  torque: [['torque-driver'], 'Nm'],
  gap: [['feeler', 'caliper'], 'mm'],
};

function measuredJoint(joint: JointId, school: School): Place | null {
  const read = READ[school];
  if (!read) return null;
  const row = place(jointAnswer(joint, school), jointGrade(joint), 1, ...read);
  return { ...row, words: `joint-${school}`, joint };
}
