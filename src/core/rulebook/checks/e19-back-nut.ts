import { backNutState } from '../back-nut-state';
import { conforms, fails, marginal, notApplicable, unread, type Check } from '../check';
import { SLACK } from '../../quantity/compare';
import { groupsOf, singleUncertainty, type ReadingGroup } from '../dossier';
import type { Aspect, Facts } from '../finding';
import type { GapScale } from '../gap-scale';
import { faultOfGroup } from '../judge-value';
import { passedOver } from '../passed-over';

/** The gap under the back nut against the scale that follows from the cable's diameter. */
export const e19: Check = {
  id: 'E-19',
  title: 'Back-nut gap',
  grade: 'close',
  hazard: 'explosion',
  place: 'back-nut-gap',
  consequence: () => 3,
  run(context) {
    const { size, certificate } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    const { sheet } = certificate;
    if (!size.backNut) {
      const school = sheet.joints.find(({ joint }) => joint === 'outer-seal')?.school;
      const facts = { sheet: sheet.number, size: size.size, school: school ?? '' };
      if (school === undefined || school === 'gap') return [unread('e19.no-rubber', facts, 'settle.sheet')];
      return [notApplicable('e19.no-scale', facts)];
    }
    const state = backNutState(context);
    if (state.is === 'unmeasured') return [unread('e19.no-cable', {}, 'settle.take-three')];
    if (state.is === 'impossible')
      return [fails('e19.impossible', { cableMm: state.cableMm, why: state.why })];
    const { indentPct: sheetPct, turns } = size.backNut;
    const allowedPct = context.cable?.coldFlow ? sheetPct / 2 : sheetPct;
    const scale: Scale = { of: state.scale, turns, allowedPct };
    const { nut } = state.scale;
    if (nut.bottoms) return [fails('e19.bottoms', factsOf(scale, 0, 0), nut.gapMm)];
    const groups = groupsOf(context, 'back-nut-gap');
    const aspects =
      groups.length === 0
        ? [
            passedOver(context, 'back-nut-gap') ??
              unread('e19.not-measured', factsOf(scale, 0, 0), 'settle.gap'),
          ]
        : groups.map((group) => judgeGap(group, scale));
    if (nut.indentPct > scale.allowedPct + SLACK) aspects.push(fails('e19.indent', factsOf(scale, 0, 0)));
    return aspects;
  },
};

interface Scale {
  of: GapScale;
  turns: number;
  allowedPct: number;
}

const factsOf = (
  { of: { cableMm, bandMm, nut }, turns, allowedPct }: Scale,
  foundMm: number,
  uncertaintyMm: number,
): Facts => ({
  cableMm,
  bandMm,
  gapMm: nut.gapMm,
  turns,
  indentPct: nut.indentPct,
  allowedPct,
  foundMm,
  uncertaintyMm,
  offMm: foundMm - nut.gapMm,
});

function judgeGap(group: ReadingGroup, scale: Scale): Aspect {
  const fault = faultOfGroup('Back-nut gap', group);
  if (fault) return fault;
  // The narrowest place is what was asked for.
  let foundMm = Infinity;
  for (const { value } of group.readings) if (value < foundMm) foundMm = value;
  const uncertaintyMm = singleUncertainty(group.instrument);
  const offMm = foundMm - scale.of.nut.gapMm;
  const facts = factsOf(scale, foundMm, uncertaintyMm);
  const margin = scale.of.bandMm - Math.abs(offMm);
  if (margin < -uncertaintyMm - SLACK) return fails(offMm > 0 ? 'e19.wide' : 'e19.narrow', facts, margin);
  if (margin < -SLACK) return marginal('e19.close', facts, 'settle.gap-again', margin);
  return conforms('e19.agrees', facts, margin);
}
