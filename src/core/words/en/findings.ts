import type { Aspect, Finding } from '../../record/finding';
import { barrierPath } from './checks/e15-barrier';
import { CHECKS } from './checks/index';
import { day } from './format';
import { CLOSING } from './sentences/closing';
import { MEASURE } from './sentences/measure';
import { MINERAL } from './sentences/mineral';
import { TRANSIT } from './sentences/transit';
import type { Sentence } from './sentences/parts';
import { RECORD } from './sentences/record';
import { SETTLES } from './sentences/settles';

/** One sentence per key, with numbers and units. A second language is a second table. */
const SENTENCES: Record<string, Sentence> = {
  ...RECORD,
  ...MEASURE,
  ...CLOSING,
  ...MINERAL,
  ...TRANSIT,
  ...Object.assign({}, ...Object.values(CHECKS).map(({ sentences }) => sentences)),
};

/** The sentence of one aspect. */
export function sentence(aspect: Pick<Aspect, 'key' | 'facts'>): string {
  const write = SENTENCES[aspect.key];
  if (!write) throw new Error(`No sentence for ${aspect.key}`);
  return write(aspect.facts);
}

/** The statement of a finding: its worst aspect, then the others that do not conform. */
export function statement(finding: Finding): string {
  const said = [finding, ...finding.also].map(sentence).join(' ');
  return finding.record ? `${said} From the as-left record of ${day(finding.record)}.` : said;
}

/** A finding for the eye: what is told as questions and answers stands apart from its sentence. */
export function statementParts(finding: Finding): { sentence: string; points: string[] } {
  const points = barrierPath(finding.facts);
  if (points.length === 0) return { sentence: statement(finding), points };
  return { sentence: statement({ ...finding, facts: { ...finding.facts, path: '' } }), points };
}

/** What would settle an aspect; empty when nothing has to be settled. */
export const settling = (aspect: Pick<Aspect, 'settle'>): string =>
  aspect.settle === null ? '' : (SETTLES[aspect.settle] ?? '');

/** Keys of every sentence, for the tests. */
export const sentenceKeys = (): string[] => Object.keys(SENTENCES);
/** Keys of every settling text, for the tests. */
export const settleKeys = (): string[] => Object.keys(SETTLES);
