import { backNutState } from '../back-nut-state';
import { conforms, fails, marginal, notApplicable, unread, type Check } from '../check';
import { groupsOf, singleUncertainty, type Context, type ReadingGroup } from '../dossier';
import type { Aspect, Facts } from '../finding';
import { faultOfGroup } from '../judge-value';

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
    const { nut, cableMm, bandMm } = state.scale;
    const allowedPct = context.cable?.coldFlow ? size.backNut.indentPct / 2 : size.backNut.indentPct;
    const facts: Facts = {
      cableMm, bandMm, gapMm: nut.gapMm, turns: size.backNut.turns, indentPct: nut.indentPct, allowedPct,
    }; // prettier-ignore
    if (nut.bottoms) return [fails('e19.bottoms', facts, nut.gapMm)];
    const indent = nut.indentPct > allowedPct + 1e-9 ? [fails('e19.indent', facts)] : [];
    const groups = groupsOf(context, 'back-nut-gap');
    if (groups.length === 0) return [unread('e19.not-measured', facts, 'settle.gap'), ...indent];
    return [...groups.map((group) => judgeGap(context, group, facts)), ...indent];
  },
};

function judgeGap(_context: Context, group: ReadingGroup, scale: Facts): Aspect {
  const fault = faultOfGroup('Back-nut gap', group);
  if (fault) return fault;
  const values = group.readings.map(({ value }) => value);
  const foundMm = Math.min(...values);
  const uncertaintyMm = singleUncertainty(group.instrument);
  const offMm = foundMm - Number(scale.gapMm);
  const bandMm = Number(scale.bandMm);
  const facts = { ...scale, foundMm, uncertaintyMm, offMm };
  const margin = bandMm - Math.abs(offMm);
  if (Math.abs(offMm) > bandMm + uncertaintyMm + 1e-9) {
    return fails(offMm > 0 ? 'e19.wide' : 'e19.narrow', facts, margin);
  }
  if (margin < -1e-9) return marginal('e19.close', facts, 'settle.gap-again', margin);
  return conforms('e19.agrees', facts, margin);
}
