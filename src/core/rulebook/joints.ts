import { GAP } from '../kinds/places';
import { taskOfJoint } from '../kinds/joints';
import { measures } from '../kinds/kinds';
import { jointAnswer, jointGrade, jointSeen } from '../kinds/joints';
import type { Joint } from '../record/types';
import { type None, saying } from './check';
import { groupsOf, kindOf, type Context } from './dossier';
import { asksFor } from './grades';
import type { Aspect } from '../record/finding';
import { judgeValues } from './judge-value';
import { judgeLook } from './look';

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e12.no-seal': { size: string; sheet: string };
  'joint.no-school': { part: string; sheet: string };
  'joint.by-gap': { part: string };
  'joint.no-limits': { part: string; school: string; sheet: string };
};
const { unread, notApplicable } = saying<Says>();

/**
 * Joints of an entry, each by the school that its sheet names: turns, faces, gap, torque or grip.
 *
 * @param which joints that the check is about; those that the kind does not have are left out
 */
export function judgeJoints(context: Context, which: readonly Joint['joint'][]): Aspect[] {
  const { certificate } = context;
  if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
  const { joints } = kindOf(context);
  const { sheet } = certificate;
  const aspects: Aspect[] = [];
  for (const id of which) {
    if (!joints.includes(id)) continue;
    const joint = sheet.joints.find((one) => one.joint === id);
    if (joint) aspects.push(...judgeJoint(context, joint));
    else aspects.push(withoutSchool(context, id, sheet.number));
  }
  return aspects;
}

function withoutSchool({ size }: Context, id: Joint['joint'], sheet: string): Aspect {
  // A size without an inner seal has no such joint.
  if (id === 'inner-seal' && size && !size.inner)
    return notApplicable('e12.no-seal', { size: size.size, sheet });
  return unread('joint.no-school', { part: id, sheet }, 'settle.sheet');
}

function judgeJoint(context: Context, joint: Joint): Aspect[] {
  const { school, range } = joint;
  const part = joint.joint;
  if (school === 'faces' || school === 'grip') return [judgeLook(context, jointAnswer(joint.joint, school))];
  // The outer seal's gap follows from the cable, and has a check of its own that holds it against the scale.
  if (school === 'gap' && joint.joint === 'outer-seal' && measures(kindOf(context), GAP.id))
    return [notApplicable('joint.by-gap', { part })];
  if (range === null) {
    const sheet = context.certificate!.sheet.number;
    return [unread('joint.no-limits', { part, school, sheet }, 'settle.sheet')];
  }
  const task = taskOfJoint(joint)!;
  const seen = jointSeen(joint.joint);
  if (seenInstead(context, joint)) return [judgeLook(context, seen)];
  const values = judgeValues(context, task);
  // What moves or lets light through is known, however it was counted.
  const bad = context.looks.has(seen) ? judgeLook(context, seen) : null;
  return bad?.outcome === 'fails' ? [...values, bad] : values;
}

/**
 * Whether a joint that nobody counted or torqued here, and no sealed record speaks for, is asked by its look:
 * without opening it, all that can be known is that there is no daylight and nothing moves.
 */
function seenInstead(context: Context, { joint, school }: Joint): boolean {
  if (asksFor(context.grade, 'detailed') || jointGrade(joint) === 'detailed' || school === 'gap')
    return false;
  const place = jointAnswer(joint, school);
  return groupsOf(context, place).length === 0 && !context.skipped.has(place);
}
