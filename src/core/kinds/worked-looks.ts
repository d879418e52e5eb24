import type { JointId, School } from '../record/types';
import { jointAnswer, jointGrade, jointSeen, jointTitle } from './joints';
import { bad, good, look, where, type LookQuestion } from './look';

/** How a joint that is closed by looking was found; null for a school that is measured. */
export function jointLook(joint: JointId, school: School): LookQuestion | null {
  const title = jointTitle(joint);
  const grade = jointGrade(joint);
  if (school === 'faces') {
    return look(
      `faces-${joint}`,
      `${title}: faces`,
      grade,
      'Do the faces meet all round, with no gap?',
      good('yes', 'They meet'),
      bad('gap', 'A gap is left'),
    );
  }
  if (school === 'grip') {
    return look(
      `grip-${joint}`,
      `${title}: grip`,
      grade,
      'Does it grip: it does not turn by hand, and the cable does not move when tugged?',
      good('yes', 'It grips'),
      bad('loose', 'It turns or moves'),
    );
  }
  return null;
}

/** How a joint that was counted or torqued looks from outside; null for another school, or one that is hidden. */
export function jointLookFromOutside(joint: JointId, school: School): LookQuestion | null {
  if ((school !== 'turns' && school !== 'torque') || jointGrade(joint) === 'detailed') return null;
  const seen = look(
    jointSeen(joint),
    `${jointTitle(joint)}: as it stands`,
    'close',
    'No daylight, and nothing moves by hand or by spanner?',
    good('yes', 'Shut, nothing moves'),
    bad('daylight', 'Daylight'),
    bad('moves', 'It moves'),
  );
  // Asked where nobody counts or torques it in this round, and no record speaks for it.
  return where(seen, ({ round, certificate, groups }) => {
    if (round?.grade === 'detailed') return false;
    const own = certificate?.sheet.joints.find((one) => one.joint === joint);
    return own !== undefined && (groups.get(jointAnswer(own.joint, own.school))?.length ?? 0) === 0;
  });
}

const CONDITION = /^condition-(\d{1,2})$/;

/** The tick of a special condition of the certificate. */
export function conditionLook(number: number, text: string): LookQuestion {
  return look(
    `condition-${number}`,
    `Special condition ${number}`,
    'detailed',
    text,
    good('met', 'Met, with evidence'),
    bad('not-met', 'Not met'),
  );
}

/** Number of the special condition that a look is the tick of; null for another look. */
export function conditionNumber(lookId: string): number | null {
  const match = CONDITION.exec(lookId);
  return match ? Number(match[1]) : null;
}
