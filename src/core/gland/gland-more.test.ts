import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { barrierPath, decideBarrier, type BarrierAnswers, type BarrierFacts } from './barrier';
import { breathingFit } from './breathing';
import { separatedBy } from './thread-look';
import { threadOf } from './thread-table';

const facts: BarrierFacts = {
  certificateDemandsBarrier: false, mineralInsulated: false, sealingDevice: false, classA: true, breathingTestPassed: false,
  indirectEntry: false, lengthM: 5, ignitionSource: true, group: 'IIB', zone: 1, volumeDm3: 3,
}; // prettier-ignore

describe('the barrier path, question by question', () => {
  it.each(['2013', '2007'] as const)('of %s asks one question after the other and ends', (edition) => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 12, maxLength: 12 }), (given) => {
        const answers: BarrierAnswers = {};
        let at = 0;
        for (let found = barrierPath(edition, answers); found.next; found = barrierPath(edition, answers)) {
          expect(found.barrierRequired).toBeNull();
          expect(found.path.length).toBe(at);
          answers[found.next] = given[at++]!;
        }
        expect(barrierPath(edition, answers).barrierRequired).not.toBeNull();
      }),
    );
  });

  it('skips the breathing test for a filled cable', () => {
    const asked = decideBarrier('2013', facts).path.map(({ question }) => question);
    expect(asked).not.toContain('breathing-test');
    expect(decideBarrier('2013', { ...facts, classA: false }).path.at(-1)).toEqual({
      question: 'breathing-test',
      answer: false,
    });
  });

  it('an answer that no longer stands on the path is not asked again', () => {
    const answers: BarrierAnswers = { 'certificate-demands': true, 'class-a': false };
    expect(barrierPath('2013', answers)).toMatchObject({ barrierRequired: true, next: null });
  });
});

describe('the line beside a breathing test', () => {
  it('finds the time constant of a true exponential', () => {
    const tau = 8;
    const points = [0, 1, 2, 3, 4, 5].map((tS) => ({ tS, pKpa: 0.3 * Math.exp(-tS / tau) }));
    const fit = breathingFit(points)!;
    expect(fit.tauS).toBeCloseTo(tau, 9);
    expect(fit.startKpa).toBeCloseTo(0.3, 9);
    expect(fit.halfTimeS).toBeCloseTo(tau * Math.LN2, 9);
  });
  it('takes only the readings between the levels, and none of a record that does not fall', () => {
    const steep = [{ tS: 0, pKpa: 0.5 }, { tS: 1, pKpa: 0.28 }, { tS: 2, pKpa: 0.2 }, { tS: 9, pKpa: 0.01 }]; // prettier-ignore
    expect(breathingFit(steep)!.points).toBe(2);
    expect(breathingFit([{ tS: 0, pKpa: 0.2 }, { tS: 1, pKpa: 0.2 }])).toBeNull(); // prettier-ignore
    expect(breathingFit([{ tS: 0, pKpa: 0.2 }])).toBeNull();
  });
});

describe('what tells two threads apart', () => {
  it.each([
    ['NPT 1/2', 'M20x1.5', 'taper'],
    ['R 1/2', 'G 1/2', 'taper'],
    ['M20x1.5', 'ET 3/4', 'major'],
    ['Pg 13.5', 'M20x1.5', 'gauge'],
    ['M16x1.5', 'ET 5/8', 'gauge'],
    ['NPT 1/2', 'R 1/2', 'gauge'],
    ['ET 1', 'M25x1.5', 'gauge'],
    ['NPT 1', 'R 1', 'gauge'],
    ['Pg 29', 'M40x1.5', 'major'],
  ] as const)('%s and %s', (a, b, wanted) => {
    const [first, second] = [threadOf(a)!, threadOf(b)!];
    expect(separatedBy(first, second)).toBe(separatedBy(second, first));
    if (wanted) expect(['taper', 'pitch', 'major', 'gauge']).toContain(separatedBy(first, second));
    expect(separatedBy(first, second)).toBe(wanted);
  });
});
