import type { Connection } from '../../finder/connection';
import type { Clock } from '../../makeoff/clocks';
import type { CutMarks, Mark } from '../../makeoff/marks';
import type { PlanStep } from '../../makeoff/plan';
import { jointTitle } from './kinds/titles';
import type { ArmourFinish, Habit, MakeOff } from '../../record/types';
import type { BondedFault } from '../../transit/bonded-marks';
import { figure, limits } from './format';

export const HABIT_WORDS: Record<Habit, string> = {
  'body-first': 'Body into the box first, cable after',
  'cable-first': 'Gland on the cable first, body into the box after',
};

/** What is done at each mark. */
export const MARK_WORDS: Record<Mark['id'], string> = {
  'inner-sheath': 'Cut the inner sheath',
  armour: 'Cut the armour',
  'outer-sheath': 'Cut the outer sheath',
  screen: 'Cut the screen',
  strip: 'Strip',
  pot: 'Pot’s rear',
  stop: 'Tool’s stop',
  jacket: 'Jacket back to',
  'block-jacket': 'Cut the jacket',
  'block-piece': 'Cut the jacket again',
  'block-armour': 'Cut the armour',
};

/** What cut marks are measured from. */
export const FROM_WORDS: Record<CutMarks['from'], string> = {
  'conductor-ends': 'conductors’ ends',
  'inner-cut': 'cut of the inner sheath',
  'square-cut': 'fresh square cut',
  'block-face': 'block’s jacket-side face',
};

/** How the end of the armour is finished behind a bonded block. */
export const FINISH_WORDS: Record<ArmourFinish, string> = {
  'own-sheath': 'a piece of its own sheath',
  tube: 'a shrunk tube',
  bushing: 'a bushing',
  window: 'a window in the jacket, nothing to finish',
};

/** What does not go together with the sheet of a bonded block, and what to do. */
export const BONDED_FAULT_WORDS: Record<BondedFault, string> = {
  contact:
    'The braid section of the sheet is shorter than the contact that it asks for. Correct the sheet under Certificates.',
  overhang: 'The armour goes less far past the block than the sheet asks. Cut it longer.',
  'finish-inside':
    'The finish is longer than the armour’s overhang: it would lie under the block. Shorten it, or leave more armour.',
  window: 'The sheet allows no window. Choose another finish.',
};

export const WHY_WORDS: Record<MakeOff['why'], string> = {
  'make-off': 'made off anew',
  opening: 'opened up and closed again',
  'cable-out': 'a cable taken out',
  'cable-in': 'a cable put in',
};

/** How far a joint is closed, with numbers and units. */
export function closingWords({ joint, gap }: NonNullable<PlanStep['closing']>): string {
  const part = jointTitle(joint.joint);
  const { school, range } = joint;
  if (school === 'faces') return `${part}: until the faces meet.`;
  if (school === 'grip') return `${part}: until it clearly grips, then a tug.`;
  if (school === 'gap') {
    return gap
      ? `${part}: until the gap under the back nut is ${limits(gap.lowMm, gap.highMm)}, on a cable of ${figure(gap.cableMm)} mm.`
      : `${part}: by the gap under the back nut; measure the outer sheath first, then the gap is known.`;
  }
  if (range === null) return `${part}: the sheet gives no limits. Ask for them before closing it.`;
  const [low, high] = range;
  return school === 'turns'
    ? `${part}: ${limits(low, high, 'turns')} after hand-tight.`
    : `${part}: ${limits(low, high, 'N·m')}.`;
}

/** What keeps a mark from being known, and where it is recorded. */
export const MISSING_WORDS: Record<CutMarks['missing'][number], string> = {
  tail: 'The tail to the terminal is not recorded: the marks are measured from the cut of the inner sheath. Measure it and record it on the entry.',
  'inner-proud':
    'The sheet does not say how far the inner sheath stands proud of its seal, so armour and outer sheath have no mark. Complete it under Certificates.',
  'seal-depth':
    'The sheet does not say how far the seal lies behind the cut: armour and sheath have no mark. Complete the size of the certificate.',
  'armour-length':
    'The sheet does not say how much armour is left: the outer sheath has no mark. Complete the size of the certificate.',
  pot: 'The sheet says nothing about the pot of this size. Complete the size of the certificate.',
  size: 'The entry names no size: choose the gland first.',
  'bonded-block':
    'The sheet does not say where a cable is cut for its bonded block. Complete it under Certificates.',
};

export const CLOCK_WORDS: Record<Clock['is'], string> = {
  'working-life': 'Pack before it stiffens',
  look: 'Open and look',
  energise: 'May be energised',
  'stale-test': 'Seal before the test is too old',
};

/** What a clock asks for once it has run out. */
export const DUE_WORDS: Record<Clock['is'], string> = {
  'working-life': 'It is stiff: throw it away and mix anew',
  look: 'Cured: open it, look, mend voids, close it',
  energise: 'The cure for energising is over',
  'stale-test': 'The insulation test is too old: test every pair again',
};

/** A span of time, e.g. "1 h 05 min", "4 min 30 s", "2 d 3 h". */
export function span(ms: number): string {
  const s = Math.max(0, Math.floor(ms / 1000));
  const [d, h, m] = [Math.floor(s / 86_400), Math.floor(s / 3600) % 24, Math.floor(s / 60) % 60];
  if (d > 0) return `${d} d ${h} h`;
  if (h > 0) return `${h} h ${String(m).padStart(2, '0')} min`;
  return m >= 10 ? `${m} min` : `${m} min ${String(s % 60).padStart(2, '0')} s`;
}

/** What stands between a gland and its hole, in words. */
export function connectionWords({ how, adaptor, note }: Connection): string {
  const why = note ? NOTE_WORDS[note] : '';
  if (how === 'impossible') return why;
  if (how === 'direct') return 'Straight into the thread of the hole.';
  if (how === 'locknut') return 'Through the clearance hole, with washer and locknut.';
  return `With one ${adaptor!.what}, ${adaptor!.male} to ${adaptor!.female}.${why ? ` ${why}` : ''}`;
}

const NOTE_WORDS: Record<NonNullable<Connection['note']>, string> = {
  'one-adaptor-only': 'It would need a second adaptor; a flameproof enclosure takes one at most.',
  'clearance-on-flameproof': 'A clearance hole is no flameproof joint.',
  'hole-small': 'Its thread does not go through the hole.',
  'hole-wide': 'The hole is too wide for its thread.',
  'taper-in-clearance': 'A taper thread may not stand in a clearance hole.',
  'hole-unknown': 'The hole is not known: measure it and record it on the entry.',
  'near-miss': 'The two threads nearly screw together: never force one into the other.',
};
