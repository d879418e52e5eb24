import { WHYS, type ArmourType, type JointId, type Why } from '../../record/types';
import type { Situation } from '../situation';

/** A part that goes on the cable before it is made off, in the order of slipping on. */
export interface Part {
  id: string;
  /** Key of its name and of which way round it goes. */
  words: string;
  /** Whether it is left off where the sheet has no shroud. */
  shroud: boolean;
}

/** What of an entry stands at a stage of the work: sheaths cut, parts on and closed. */
export type Reach =
  | 'outerCut'
  | 'innerCut'
  | 'inWall'
  | 'spread'
  | 'clamped'
  | 'innerSeal'
  | 'pot'
  | 'drain'
  | 'filled'
  | 'nut';

/** What is held still and what is turned when something is closed; keys of parts of the sheet. */
export interface Grip {
  held: string;
  turned: string;
  /** Whether it is loosened rather than tightened. */
  loosens: boolean;
}

/** A step of making off. */
export interface Step {
  id: string;
  /** Key of what it says: what is done, and how a hand does it. */
  words: string;
  /** Whether the handling differs by the armour of the cable. */
  byArmour: boolean;
  /** Look, place or test that has to be answered before the work goes on; null for a plain step. */
  hold: string | null;
  /** Keys of what has to be seen before the work goes on, each ticked for itself. */
  seen: readonly string[];
  /** Key of what can hurt somebody here; null where nothing does. */
  caution: string | null;
  /** Joint that the step closes, by the school of the sheet; null for another step. */
  joint: JointId | null;
  /** What is held and what is turned; null where nothing is closed or opened. */
  grip: Grip | null;
  /** Keys of what is needed at hand. */
  tools: readonly string[];
  /** Looks that are answered here too, though the work does not wait for them. */
  asks: readonly string[];
  /** Keys of what comes out, or on, for a while at this step, and has to go back, or off, before the end. */
  out: readonly string[];
  /** Keys of what goes back, or off, at it. */
  back: readonly string[];
  /** Whether it comes before anything is slipped on. */
  first: boolean;
  /** Whether the list of parts, tools, packs and instruments is ticked off at it. */
  lays: boolean;
  /** Whether it is opened and tried again until it looks right; each try is counted. */
  tries: boolean;
  /** At which work it is gone through. */
  whys: readonly Why[];
  /** Whether it brings the body into the wall, which the habit of the yard puts first or late. */
  body: boolean;
  /** What of the entry stands once it is done. */
  reaches: readonly Reach[];
  /** What is done with compound or resin at it; null at the others. */
  pour: 'mix' | 'inject' | 'pack' | 'cure' | null;
  /** How long it usually takes, min. Chosen: a practised hand, waiting for a cure left out. */
  minutes: number;
  /** Whether there is something to do at it; left out: always. */
  asked?(of: Situation): boolean;
}

export const part = (id: string, words = id): Part => ({ id, words, shroud: false });

/** What is held, and what is turned against it. */
export const grip = (held: string, turned: string, loosens = false): Grip => ({ held, turned, loosens });

const PLAIN: Omit<Step, 'id' | 'words'> = {
  byArmour: false,
  hold: null,
  seen: [],
  caution: null,
  joint: null,
  grip: null,
  tools: [],
  asks: [],
  out: [],
  back: [],
  first: false,
  lays: false,
  tries: false,
  whys: ['make-off', 'opening'],
  body: false,
  reaches: [],
  pour: null,
  minutes: 3,
};

/** A step that is gone through anew as well as when an entry is opened up. */
export const step = (id: string, rest: Partial<Step> = {}): Step => ({ ...PLAIN, id, words: id, ...rest });

/** A step that there is something to do at only when an entry is made off anew. */
export const anew = (id: string, rest: Partial<Step> = {}): Step => step(id, { whys: ['make-off'], ...rest });

/** A step of every work: what makes it safe, and what is looked at afterwards. */
export const always = (id: string, rest: Partial<Step> = {}): Step => step(id, { whys: WHYS, ...rest });

/** A step that there is something to do at only sometimes. */
export const where = (one: Step, asked: NonNullable<Step['asked']>): Step => ({ ...one, asked });

/** The same step said in other words, or with other parts. */
export const as = (one: Step, rest: Partial<Step>): Step => ({ ...one, ...rest });

/** Key of the handling of a step, by the armour of the cable where that matters; wire where none is recorded. */
export const handlingOf = (
  { words, byArmour }: Pick<Step, 'words' | 'byArmour'>,
  armour: ArmourType | null,
): string => (byArmour ? `${words}-${armour ?? 'wire'}` : words);

/** Tests that a step can wait for: which conductor is which, and the insulation before and after sealing. */
export const TEST_HOLDS = ['continuity', 'insulation-before', 'insulation-after'] as const;
export type TestHold = (typeof TEST_HOLDS)[number];

/** Whether a hold point waits for a test of the cable. */
export const isTestHold = (hold: string): hold is TestHold =>
  (TEST_HOLDS as readonly string[]).includes(hold);
