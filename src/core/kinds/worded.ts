import type { JointId } from '../record/types';

/** What a row is called: the key of its words, which stand in `core/words`, and what they are filled with. */
export interface Worded {
  words: string;
  /** The joint that it is about, where the same words serve all joints. */
  joint?: JointId;
  /** A special condition of the certificate: its number, and its text as the certificate has it. */
  condition?: { number: number; text: string };
}

/** A row's name as facts of a finding or a refusal. */
export function titleFacts({ words, joint, condition }: Worded): Record<string, string | number> {
  const facts: Record<string, string | number> = { title: words };
  if (joint) facts.joint = joint;
  if (condition) facts.number = condition.number;
  return facts;
}
