import { jointTitle } from '../record/kinds/places';
import type { Joint } from '../record/types';
import { notApplicable, unread } from './check';
import { kindOf, type Context } from './dossier';
import type { Aspect } from './finding';
import { judgeValues } from './judge-value';
import { judgeLook } from './look';
import { valueTaskOf } from './value-task';

/**
 * Joints of an entry, each by the school that its sheet names: turns, faces, gap, torque or grip.
 *
 * @param which joints that the check is about; those that the kind does not have are left out
 */
export function judgeJoints(context: Context, which: readonly Joint['joint'][]): Aspect[] {
  const { certificate } = context;
  if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
  const { joints } = kindOf(context);
  const asked = which.filter((joint) => joints.includes(joint));
  return asked.flatMap((id) => {
    const joint = certificate.sheet.joints.find((one) => one.joint === id);
    const facts = { part: jointTitle(id), sheet: certificate.sheet.number };
    if (joint) return judgeJoint(context, joint);
    // A size without an inner seal has no such joint.
    if (id === 'inner-seal' && context.size && !context.size.inner) {
      return [notApplicable('e12.no-seal', { size: context.size.size, sheet: certificate.sheet.number })];
    }
    return [unread('joint.no-school', facts, 'settle.sheet')];
  });
}

function judgeJoint(context: Context, { joint, school, range }: Joint): Aspect[] {
  const part = jointTitle(joint);
  if (school === 'faces' || school === 'grip') return [judgeLook(context, `${school}-${joint}`)];
  // The gap has a check of its own, which holds it against the scale.
  if (school === 'gap') return [notApplicable('joint.by-gap', { part })];
  if (range === null) {
    return [
      unread('joint.no-limits', { part, school, sheet: context.certificate!.sheet.number }, 'settle.sheet'),
    ];
  }
  return judgeValues(context, valueTaskOf(context, `${school}-${joint}`)!);
}
