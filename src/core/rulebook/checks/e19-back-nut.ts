import { GAP } from '../../kinds/places';
import { measures } from '../../kinds/kinds';
import { isSoft } from '../../measuring/soft';
import { type Check, type None, saying } from '../check';
import { SLACK } from '../../quantity/compare';
import { groupsOf, singleUncertainty, type Context, type ReadingGroup } from '../dossier';
import type { Aspect } from '../../record/finding';
import { gapScales, type GapScale } from '../gap-scale';
import { faultOfGroup, valuesDisagree, weighValue } from '../judge-value';
import { passedOver } from '../passed-over';
import { countedGroups } from '../readings';

type OfSheet = { sheet: string; size: string; school: string };
type OfScale = {
  cableMm: number;
  bandMm: number;
  gapMm: number;
  turns: number;
  indentPct: number;
  allowedPct: number;
  foundMm: number;
  uncertaintyMm: number;
  offMm: number;
};

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'e19.no-rubber': OfSheet;
  'e19.no-scale': OfSheet;
  'e19.no-cable': None;
  'e19.cable-disagrees': None;
  'e19.impossible': { cableMm: number; why: string };
  'e19.bottoms': OfScale;
  'e19.not-measured': OfScale;
  'e19.indent': OfScale;
  'e19.wide': OfScale;
  'e19.narrow': OfScale;
  'e19.close': OfScale;
  'e19.agrees': OfScale;
};
const { conforms, fails, marginal, unread, notApplicable } = saying<Says>();

/** The gap under the back nut against the scale that follows from the cable's diameter. */
export const e19: Check = {
  id: 'E-19',
  kinds: (kind) => measures(kind, GAP.id),
  basis: { 'iec-2013': 'Assembly sheet; seal of constant volume', certificate: true },
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
    const found = gapScales(context);
    if (found.is === 'unmeasured') {
      const none = unread('e19.no-cable', {}, 'settle.take-three');
      return [passedOver(context, 'back-nut-gap') ?? none];
    }
    if (found.is === 'disagree') return [unread('e19.cable-disagrees', {}, 'settle.measure-again')];
    if (found.is === 'impossible')
      return [fails('e19.impossible', { cableMm: found.cableMm, why: found.why })];
    const { indentPct: sheetPct, turns } = size.backNut;
    const allowedPct = isSoft(context.cable) ? sheetPct / 2 : sheetPct;
    return found.scales.flatMap((of) => judgeScale(context, { of, turns, allowedPct }));
  },
};

/** Every gap that was read, against the scale of one diameter of the cable. */
function judgeScale(context: Context, scale: Scale): Aspect[] {
  const { nut } = scale.of;
  if (nut.bottoms) return [fails('e19.bottoms', factsOf(scale, 0, 0), nut.gapMm)];
  const groups = groupsOf(context, 'back-nut-gap');
  const aspects: Aspect[] = [];
  if (groups.length === 0) {
    const none = unread('e19.not-measured', factsOf(scale, 0, 0), 'settle.gap');
    aspects.push(passedOver(context, 'back-nut-gap') ?? none);
  } else {
    const kept = countedGroups(groups, (group) => weighValue(group));
    if (!kept) aspects.push(valuesDisagree({ part: 'back-nut-gap' }, 'mm', groups));
    for (const group of kept ?? []) aspects.push(judgeGap(group, scale));
  }
  if (nut.indentPct > scale.allowedPct + SLACK) aspects.push(fails('e19.indent', factsOf(scale, 0, 0)));
  return aspects;
}

interface Scale {
  of: GapScale;
  turns: number;
  allowedPct: number;
}

const factsOf = (
  { of: { cableMm, bandMm, nut }, turns, allowedPct }: Scale,
  foundMm: number,
  uncertaintyMm: number,
) => ({
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
  const fault = faultOfGroup({ part: 'back-nut-gap' }, group);
  if (fault) return fault;
  // Of several readings the one that is furthest off speaks.
  const right = scale.of.nut.gapMm;
  const foundMm = group.readings
    .map(({ value }) => value)
    .reduce((far, value) => (Math.abs(value - right) > Math.abs(far - right) ? value : far));
  const uncertaintyMm = singleUncertainty(group.instrument);
  const offMm = foundMm - scale.of.nut.gapMm;
  const facts = factsOf(scale, foundMm, uncertaintyMm);
  const margin = scale.of.bandMm - Math.abs(offMm);
  if (margin < -uncertaintyMm - SLACK) return fails(offMm > 0 ? 'e19.wide' : 'e19.narrow', facts, margin);
  if (margin < -SLACK) return marginal('e19.close', facts, 'settle.gap-again', margin);
  return conforms('e19.agrees', facts, margin);
}
