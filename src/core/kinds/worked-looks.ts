import type { JointId, School } from '../record/types';
import { jointAnswer, jointGrade, jointSeen } from './joints';
import { look, where, type LookQuestion, type Spot } from './look';

/** Where one stands to see a joint: what is hidden lies in the opened gland. */
const jointSpot = (joint: JointId): Spot =>
  joint === 'entry' ? 'wall' : jointGrade(joint) === 'detailed' ? 'inside' : 'outside';

/** How a joint that is closed by looking was found; null for a school that is measured. */
export function jointLook(joint: JointId, school: School): LookQuestion | null {
  if (school !== 'faces' && school !== 'grip') return null;
  const bad = school === 'faces' ? 'gap' : 'loose';
  const seen = look(jointAnswer(joint, school), jointGrade(joint), {
    spot: jointSpot(joint),
    good: ['yes'],
    bad: [bad],
  });
  return { ...seen, words: `joint-${school}`, joint };
}

/** How a joint that was counted or torqued looks from outside; null for another school, or one that is hidden. */
export function jointLookFromOutside(joint: JointId, school: School): LookQuestion | null {
  if ((school !== 'turns' && school !== 'torque') || jointGrade(joint) === 'detailed') return null;
  const seen = look(
    jointSeen(joint),
    'close',
    { spot: jointSpot(joint), good: ['yes'], bad: ['daylight', 'moves'] },
    'joint-seen',
  );
  // Asked where nobody counts or torques it in this round, and no record speaks for it.
  return where({ ...seen, joint }, ({ round, certificate, groups }) => {
    if (round?.grade === 'detailed') return false;
    const own = certificate?.sheet.joints.find((one) => one.joint === joint);
    return own !== undefined && (groups.get(jointAnswer(own.joint, own.school))?.length ?? 0) === 0;
  });
}

const CONDITION = /^condition-(\d{1,2})$/;

/** The tick of a special condition of the certificate. */
export function conditionLook(number: number, text: string): LookQuestion {
  const tick = look(
    `condition-${number}`,
    'detailed',
    { spot: 'conditions', good: ['met'], bad: ['not-met'] },
    'condition',
  );
  return { ...tick, condition: { number, text } };
}

/** Number of the special condition that a look is the tick of; null for another look. */
export function conditionNumber(lookId: string): number | null {
  const match = CONDITION.exec(lookId);
  return match ? Number(match[1]) : null;
}
