import { atMost } from '../../quantity/compare';
import { conforms, fails, marginal, unread, type Check } from '../check';
import { groupsOf, singleUncertainty, type Context, type ReadingGroup } from '../dossier';
import type { Aspect } from '../finding';
import { passedOver } from '../passed-over';

/** Resistance of the bond against the site's limit and against what the sheet predicts. */
export const e23b: Check = {
  id: 'E-23b',
  title: 'Bond resistance',
  grade: 'detailed',
  hazard: 'shock',
  place: 'bond',
  consequence: () => 3,
  run(context) {
    const { certificate, site } = context;
    const groups = groupsOf(context, 'bond');
    const expectedOhm = certificate?.sheet.expectedBondOhm ?? null;
    if (groups.length === 0) {
      const none = unread('e23b.not-measured', { limitOhm: site.bondLimitOhm, expectedOhm }, 'settle.bond');
      return [passedOver(context, 'bond') ?? none];
    }
    return groups.map((group) => judgeBond(context, group, expectedOhm));
  },
};

function judgeBond({ site, looks }: Context, group: ReadingGroup, expectedOhm: number | null): Aspect {
  const { tag, calibratedUntil } = group.instrument;
  if (group.fault) {
    const facts = { part: 'Bond resistance', instrument: tag, until: calibratedUntil };
    return unread(`measured.${group.fault}`, facts, 'settle.other-instrument');
  }
  const ohm = Math.max(...group.readings.map(({ value }) => value));
  const uncertaintyOhm = singleUncertainty(group.instrument);
  const limitOhm = site.bondLimitOhm;
  const facts = { ohm, uncertaintyOhm, limitOhm, expectedOhm, factor: site.bondPredictionFactor };
  if (!atMost(ohm, limitOhm)) return fails('e23b.over', facts);
  if (expectedOhm !== null && !atMost(ohm - uncertaintyOhm, expectedOhm * site.bondPredictionFactor)) {
    return fails('e23b.far', facts);
  }
  // A parallel path hides a bad joint behind a low value.
  const path = looks.get('bond-path')?.answer;
  if (path === undefined) return unread('e23b.path-unknown', facts, 'settle.bond-path');
  if (path !== 'yes') return unread('e23b.parallel', facts, 'settle.bond');
  if (!atMost(ohm + uncertaintyOhm, limitOhm)) return marginal('e23b.close', facts, 'settle.bond-finer');
  return conforms('e23b.low', facts);
}
