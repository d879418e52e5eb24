/** What the barrier question is decided by. */
export interface BarrierFacts {
  certificateDemandsBarrier: boolean;
  mineralInsulated: boolean;
  sealingDevice: boolean;
  /** Circular, compact, extruded bedding, non-hygroscopic fillers, effectively filled. */
  classA: boolean;
  breathingTestPassed: boolean;
  /** Certified bushing, or a terminal chamber that is not flameproof. */
  indirectEntry: boolean;
  lengthM: number;
  ignitionSource: boolean;
  group: 'IIA' | 'IIB' | 'IIC';
  zone: 1 | 2;
  volumeDm3: number;
}

/** Edition of the selection rule. */
export type BarrierEdition = '2013' | '2007';

/** A question of the path. */
export type BarrierQuestion =
  | 'certificate-demands'
  | 'mineral-insulated'
  | 'sealing-device'
  | 'indirect-entry'
  | 'class-a'
  | 'breathing-test'
  | 'length-3m'
  | 'ignition-source'
  | 'group-iic'
  | 'zone-2'
  | 'over-2dm3';

export interface BarrierDecision {
  barrierRequired: boolean;
  /** Questions with their answers, up to and with the deciding one. */
  path: { question: BarrierQuestion; answer: boolean }[];
}

/** A step asks a question; an answer decides (true: barrier) or leads on. */
interface Step {
  question: BarrierQuestion;
  ask: (facts: BarrierFacts) => boolean;
  yes: boolean | 'next';
  no: boolean | 'next';
}

/** Connected length that makes a barrier needless in the 2013 rule, m. Source: IEC 60079-14:2013, 10.6.2. */
const LONG_ENOUGH_M = 3;
/** Volume above which the 2007 rule asks for a barrier, dm³. Source: IEC 60079-14:2007, 10.4.2. */
const LARGE_VOLUME_DM3 = 2;
/** Slack of a comparison. Chosen: rounding of the seventh digit decides nothing. */
const SLACK = 1e-9;

const FIRST: readonly Step[] = [
  { question: 'certificate-demands', ask: (f) => f.certificateDemandsBarrier, yes: true, no: 'next' },
  { question: 'mineral-insulated', ask: (f) => f.mineralInsulated, yes: false, no: 'next' },
  { question: 'sealing-device', ask: (f) => f.sealingDevice, yes: false, no: 'next' },
];

const RULES: Record<BarrierEdition, readonly Step[]> = {
  '2013': [
    ...FIRST,
    { question: 'indirect-entry', ask: (f) => f.indirectEntry, yes: false, no: 'next' },
    { question: 'class-a', ask: (f) => f.classA, yes: 'next', no: 'next' },
    { question: 'breathing-test', ask: (f) => f.breathingTestPassed, yes: 'next', no: true },
    { question: 'length-3m', ask: (f) => f.lengthM >= LONG_ENOUGH_M - SLACK, yes: false, no: true },
  ],
  '2007': [
    ...FIRST,
    { question: 'class-a', ask: (f) => f.classA, yes: 'next', no: true },
    { question: 'ignition-source', ask: (f) => f.ignitionSource, yes: 'next', no: false },
    { question: 'group-iic', ask: (f) => f.group === 'IIC', yes: true, no: 'next' },
    { question: 'zone-2', ask: (f) => f.zone === 2, yes: false, no: 'next' },
    { question: 'over-2dm3', ask: (f) => f.volumeDm3 > LARGE_VOLUME_DM3 + SLACK, yes: true, no: false },
  ],
};

/** Answers given so far, by question. */
export type BarrierAnswers = Partial<Record<BarrierQuestion, boolean>>;

export interface BarrierPath {
  /** Questions that were asked, with their answers. */
  path: { question: BarrierQuestion; answer: boolean }[];
  /** Question that is open; null when the path has ended. */
  next: BarrierQuestion | null;
  /** Null while a question is open. */
  barrierRequired: boolean | null;
}

/**
 * Walks the rule as far as the answers go: each answer decides or leads to the next question.
 *
 * @see IEC 60079-14:2013, 10.6.2; IEC 60079-14:2007, 10.4.2
 */
export function barrierPath(edition: BarrierEdition, answers: BarrierAnswers): BarrierPath {
  const path: BarrierPath['path'] = [];
  for (const { question, yes, no } of RULES[edition]) {
    // The breathing test is only asked of a cable that is not of class A.
    if (question === 'breathing-test' && answers['class-a']) continue;
    const answer = answers[question];
    if (answer === undefined) return { path, next: question, barrierRequired: null };
    path.push({ question, answer });
    const next = answer ? yes : no;
    if (next !== 'next') return { path, next: null, barrierRequired: next };
  }
  throw new Error('The barrier rule ended without an answer.');
}

/** The answers that an entry's facts give to every question of a rule. */
export const barrierAnswers = (edition: BarrierEdition, facts: BarrierFacts): BarrierAnswers =>
  Object.fromEntries(RULES[edition].map(({ question, ask }) => [question, ask(facts)]));

/**
 * Whether a flameproof entry needs a barrier gland, and the questions that decided it.
 *
 * @see IEC 60079-14:2013, 10.6.2; IEC 60079-14:2007, 10.4.2
 */
export function decideBarrier(edition: BarrierEdition, facts: BarrierFacts): BarrierDecision {
  const path: BarrierDecision['path'] = [];
  for (const { question, ask, yes, no } of RULES[edition]) {
    if (question === 'breathing-test' && facts.classA) continue;
    const answer = ask(facts);
    path.push({ question, answer });
    const next = answer ? yes : no;
    if (next !== 'next') return { path, barrierRequired: next };
  }
  throw new Error('The barrier rule ended without an answer.');
}
