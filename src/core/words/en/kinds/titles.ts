import type { Worded } from '../../../kinds/worded';
import type { Facts } from '../../../record/finding';
import type { JointId, School } from '../../../record/types';
import { LOOK_WORDS } from './looks';
import { PLACE_WORDS } from './places';

const JOINT_TITLES: Record<JointId, string> = {
  entry: 'Gland into the wall',
  clamp: 'Armour clamp',
  'inner-seal': 'Inner seal',
  'outer-seal': 'Outer seal',
  pot: 'Pot',
  'resin-port': 'Resin port',
};

/** How a joint is closed, as a fitter says it. */
export const SCHOOL_WORDS: Record<School, string> = {
  faces: 'until the faces meet',
  grip: 'until it grips',
  turns: 'by turns after hand-tight',
  torque: 'to a torque',
  gap: 'to the gap under the back nut',
};

/** How a joint is closed; a way that this version does not know stays as it is told. */
export const schoolWords = (school: string): string => SCHOOL_WORDS[school as School] ?? `by ${school}`;

/** What a joint is called. */
export const jointTitle = (joint: JointId): string => JOINT_TITLES[joint];

/** Tests that a step waits for. */
const TEST_TITLES: Record<string, string> = {
  continuity: 'Continuity and sleeves',
  'insulation-before': 'Insulation before sealing',
  'insulation-after': 'Insulation after sealing',
};

/** What a place, a look or a test is called. */
export function titleOf({ words, joint, condition }: Worded): string {
  return titled(words, joint, condition?.number);
}

/** The name that a finding's facts carry; one that was given in words before stays as it is. */
export const titleIn = ({ title, joint, number }: Readonly<Record<string, unknown>>): string =>
  titled(String(title ?? ''), joint as JointId | undefined, number as number | undefined);

function titled(words: string, joint: JointId | undefined, number: number | undefined): string {
  const own = PLACE_WORDS[words]?.title ?? LOOK_WORDS[words]?.title ?? TEST_TITLES[words] ?? words;
  if (number !== undefined) return `${own} ${number}`;
  if (joint === undefined) return own;
  // A look says how the joint is found, a place what of it is read.
  return words in LOOK_WORDS ? `${jointTitle(joint)}: ${own}` : `${jointTitle(joint)}, ${own}`;
}

/** What ranges and values belong to. */
export const PARTS: Record<string, string> = {
  ...JOINT_TITLES,
  'ring-face': 'Ring face',
  'ring-own': 'Ring',
  'clamp-of': 'Clamp',
  diaphragm: 'Diaphragm',
  bore: 'Bore over the cores',
  'inner-proud': 'Inner sheath proud of the seal',
  'armour-exposed': 'Armour exposed',
  'compound-reach': 'Compound beyond the crotch',
  support: 'Gland to cable clamp',
  'pot-projection': 'Sheath proud in the pot',
  'sheath-length': 'Sheath, end to end',
  'thread-major': 'Thread major diameter',
  'thread-pitch': 'Thread pitch',
  'thread-engagement': 'Thread engagement',
  'back-nut-gap': 'Back-nut gap',
  'bond-resistance': 'Bond resistance',
  'sheath-resistance': 'Sheath resistance',
};

/** What a range or a value belongs to; one that was given in words before stays as it is. */
export function partTitle(part: string, on?: { face: string; armour: string }): string {
  if (on && part === 'ring-face') return `Ring face ${on.face}, ${on.armour}`;
  if (on && part === 'ring-own') return `Ring ${on.face}, ${on.armour}`;
  if (on && part === 'clamp-of') return `Clamp, ${on.armour}`;
  return PARTS[part] ?? part;
}

/** The part that a finding's facts name, with its range where a fault speaks of it. */
export function partIn({ part, face, armour }: Facts): string {
  const on = armour === undefined ? undefined : { face: String(face), armour: String(armour) };
  return partTitle(String(part ?? ''), on);
}
