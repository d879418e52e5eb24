import { s, n, SEAL_WORDS, gaps } from '../sentences/parts';
import type { Facts } from '../../../record/finding';
import { figure } from '../format';
import type { CheckWords } from './words';

/** The questions of the barrier path in a few words. */
const QUESTIONS: Record<string, string> = {
  'certificate-demands': 'certificate asks for one',
  'mineral-insulated': 'mineral insulated',
  'sealing-device': 'sealing device at the entry',
  'indirect-entry': 'indirect entry',
  'class-a': 'compact, effectively filled cable',
  'breathing-test': 'breathing test passed',
  'length-3m': 'connected length 3 m or more',
  'ignition-source': 'ignition source inside',
  'group-iic': 'group IIC',
  'zone-2': 'zone 2',
  'over-2dm3': 'volume over 2 dm³',
};

/** The path of questions and answers; one that was told in words before stays as it is. */
const path = (f: Facts): string =>
  s(f, 'path').includes('=')
    ? s(f, 'path')
        .split(' ')
        .map((step) => step.split('='))
        .map(([question, answer]) => `${QUESTIONS[question!]}: ${answer}`)
        .join(', ')
    : s(f, 'path');

/** "rule of 2013: certificate asks for one: no, …"; without the path where that stands by itself. */
const ruled = (f: Facts): string => {
  const steps = path(f);
  return steps === '' ? `rule of ${s(f, 'edition')}` : `rule of ${s(f, 'edition')}: ${steps}`;
};

/** The questions of the barrier path, each with its answer; none where it was told in words before. */
export function barrierPath(facts: Facts): string[] {
  const told = typeof facts.path === 'string' ? facts.path : '';
  return told.includes('=')
    ? path(facts)
        .split(', ')
        .map((one) => one[0]!.toUpperCase() + one.slice(1))
    : [];
}

export const e15: CheckWords = {
  title: 'Barrier where one is asked for',
  sentences: {
    'e15.not-flameproof': (f) =>
      `The enclosure is in ${s(f, 'concepts')}: the barrier rule is for flameproof entries.`,
    'e15.no-seal-asked': (f) =>
      `Division ${n(f, 'division')}, and ${s(f, 'tag')} need not be explosionproof: no cable seal is asked for.`,
    'e15.seal-fitted': (f) =>
      `Division ${n(f, 'division')} asks for a seal (${SEAL_WORDS[s(f, 'reason')]}); one is fitted.`,
    'e15.seal-missing': (f) =>
      `Division ${n(f, 'division')} asks for a seal (${SEAL_WORDS[s(f, 'reason')]}); this gland has none round each conductor.`,
    'e15.undecided': (f) =>
      `Whether a barrier is asked for (rule of ${s(f, 'edition')}) is open: not recorded is ${gaps(f)}.`,
    'e15.fitted-unasked': (f) =>
      `A barrier is fitted; whether one is asked for (rule of ${s(f, 'edition')}) need not be known.`,
    'e15.fitted-anyway': (f) => `A barrier is fitted, though none is asked for (${ruled(f)}).`,
    'e15.none-needed': (f) => `No barrier is asked for (${ruled(f)}).`,
    'e15.fitted': (f) => `A barrier is asked for and fitted (${ruled(f)}).`,
    'e15.missing': (f) =>
      `A barrier is asked for and none is fitted (${ruled(f)}; connected ${figure(n(f, 'lengthM'), 1)} m, ${figure(n(f, 'volumeDm3'), 1)} dm³).`,
    'e15.no-raceway': () => 'Dust asks for no seal at a cable, and no raceway ends here.',
    'e15.raceway': (f) => `The raceway is closed against dust (${s(f, 'means')}).`,
    'e15.raceway-not-asked': (f) =>
      `${s(f, 'tag')} is not dust-ignitionproof, so its raceway asks for no seal.`,
    'e15.raceway-open': (f) => `The raceway into ${s(f, 'tag')} is not closed against dust.`,
    'e15.raceway-unknown': (f) => `What closes the raceway into ${s(f, 'tag')} against dust is not recorded.`,
  },
};
