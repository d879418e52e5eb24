import { beforeAll, describe, expect, it } from 'vitest';
import { READS } from '../../src/core/rulebook/reads';
import { CHANGES } from './mutation';
import { REASONS } from './reasons';
import { bases, harmless, isSound, mutants, MUTATIONS, readsOf, type Mutant } from './run';

/** All of them when asked for, else every eighth: still more than three thousand. */
const STEP = process.env.YENDRAL_MUTANTS === 'all' ? 1 : 8;
const HARMLESS_STEP = STEP === 1 ? 1 : 5;
const told = ({ base, field, change, reason }: Mutant) => `${base}: ${field}, ${change}: ${reason}`;

describe('one thing changed at a time', () => {
  let spoilt: Mutant[];
  beforeAll(() => (spoilt = mutants(STEP)));

  it('starts from entries that are sound', () => {
    for (const { name, findings } of bases()) expect(isSound(findings), name).toBe(true);
  });

  it('leaves no unsafe or unknowable entry sound', () => {
    expect(spoilt.length).toBeGreaterThanOrEqual(3000);
    expect(spoilt.filter(({ findings }) => isSound(findings)).map(told)).toEqual([]);
  });

  it('raises no alarm where nothing is wrong', () => {
    const fine = harmless(HARMLESS_STEP);
    expect(fine.length).toBeGreaterThanOrEqual(500);
    expect(fine.filter(({ findings }) => !isSound(findings)).map(told)).toEqual([]);
  });

  it('changes everything that a check reads in every way, or says why not', () => {
    // With all of them made, what applied nowhere does not count.
    const source = STEP === 1 ? spoilt : MUTATIONS;
    const made = new Set(source.map(({ field, change }) => `${field} ${change}`));
    const used = new Set<unknown>();
    const open: string[] = [];
    for (const field of new Set(Object.values(READS).flat())) {
      for (const change of CHANGES) {
        if (made.has(`${field} ${change}`)) continue;
        const reason = REASONS.find((one) => one.changes.includes(change) && one.field.test(field));
        if (reason) used.add(reason);
        else open.push(`${field} ${change}`);
      }
    }
    expect(open).toEqual([]);
    expect(REASONS.filter((reason) => !used.has(reason)).map(({ why }) => why)).toEqual([]);
  });
});

describe('what a check declares that it reads', () => {
  const reads = readsOf();
  it.each(Object.keys(READS))('%s reads just that', (check) => {
    expect([...(reads.get(check) ?? [])].sort()).toEqual([...READS[check]!].sort());
  });
  it('is declared for every check that runs', () =>
    expect([...reads.keys()].sort()).toEqual(Object.keys(READS).sort()));
});
