import { count, figure, mm, plusMinus } from '../format';
import {
  n,
  s,
  range,
  seen,
  takes,
  part,
  title,
  measured,
  answered,
  expired,
  outside,
  amount,
  read,
  allowed,
  upper,
  stop,
  lower,
  moment,
  type Sentence,
  tool,
  readingsSaid,
} from './parts';

/** Sentences about what is measured and looked at: fits, threads, seals, clamps, lengths. */
export const MEASURE: Record<string, Sentence> = {
  'fit.no-readings': (f) => `${takes(f)}; nothing has been measured.`,
  'fit.undecidable': (f) =>
    `${takes(f)}; ± ${mm(n(f, 'uncertaintyMm'))} is too coarse to decide so narrow a range.`,
  'fit.above': (f) =>
    `${takes(f)}; it measures up to ${plusMinus(n(f, 'maxMm'), n(f, 'uncertaintyMm'))}, ${mm(n(f, 'excessMm'))} too large.`,
  'fit.below': (f) =>
    `${takes(f)}; it measures down to ${plusMinus(n(f, 'minMm'), n(f, 'uncertaintyMm'))}, ${mm(n(f, 'excessMm'))} too small.`,
  'fit.oval': (f) =>
    `${part(f)} is certified for round cable up to ${figure(n(f, 'allowedPct'), 1)} % oval; it measures ${figure(n(f, 'ovalityPct'), 1)} % (${mm(n(f, 'minMm'))} to ${mm(n(f, 'maxMm'))}).`,
  'fit.shape': (f) =>
    `${part(f)}, ${range(f)}, is certified for ${s(f, 'shapes')} cable; this cable is ${s(f, 'shape')}, so no size fits.`,
  'fit.marginal': (f) =>
    n(f, 'marginMm') < 0
      ? `${takes(f)}; found ${seen(f)}, ${mm(-n(f, 'marginMm'))} outside, but within the uncertainty.`
      : `${takes(f)}; found ${seen(f)}, which leaves ${mm(n(f, 'marginMm'))}, less than the uncertainty.`,
  'fit.few-readings': (f) =>
    `${takes(f)}; found ${seen(f)} from ${count(n(f, 'readings'), 'reading')}, three are needed.`,
  'fit.repeatability-unknown': (f) =>
    `${takes(f)}; found ${seen(f)}, but the repeatability of ${tool(f)} is not known.`,
  'fit.probability': (f) =>
    `${takes(f)}; found ${seen(f)}, inside with a probability of ${figure(100 * n(f, 'probability'), 1)} %, 95 % is wanted here.`,
  'fit.inside': (f) => `${takes(f)}; found ${seen(f)}, ${mm(n(f, 'marginMm'))} to the nearer limit.`,
  'hold.skipped': (f) =>
    `Hold point passed over at make-off by ${s(f, 'by')}: ${lower(title(f))}. ${s(f, 'reason') ? stop(upper(s(f, 'reason'))) : 'No reason is recorded.'}`,
  'pot.no-size': () => 'No size is named, so the pot is not known.',
  'pot.full': (f) => `The cores fill the whole pot of ${mm(n(f, 'boreMm'))}.`,
  'pot.free': (f) =>
    `Compound fills ${figure(n(f, 'freePct'), 1)} % of the pot along ${mm(n(f, 'depthMm'))}; 20 % and 20 mm are needed.`,
  'pot.too-full': (f) =>
    `Compound fills only ${figure(n(f, 'freePct'), 1)} % of the pot along ${mm(n(f, 'depthMm'))}; 20 % and 20 mm are needed.`,
  'pot.too-thin': (f) =>
    `The compound is ${mm(n(f, 'depthMm'))} thick; a seal asks for ${mm(n(f, 'leastMm'))}.`,
  'pot.fill': (f) =>
    `Conductors fill ${figure(n(f, 'filledPct'), 1)} % of the seal; ${figure(n(f, 'mostPct'), 0)} % is allowed.`,
  'value.none': (f) => `${part(f)}: not measured; ${allowed(f)}.`,
  'value.inside': (f) => `${part(f)}: ${read(f)}; ${allowed(f)}.`,
  'value.close': (f) => `${part(f)}: ${read(f)}; ${allowed(f)}, nearer than the uncertainty.`,
  'value.under': (f) =>
    `${part(f)}: ${read(f)}, ${amount(n(f, 'excess'), s(f, 'unit'))} too little; ${allowed(f)}.`,
  'value.over': (f) =>
    `${part(f)}: ${read(f)}, ${amount(n(f, 'excess'), s(f, 'unit'))} too much; ${allowed(f)}.`,
  'look.none': (f) => `${title(f)}: not looked at yet.`,
  'look.unknown': (f) => `The question "${s(f, 'look')}" does not belong to this kind of entry.`,
  'look.good': (f) =>
    `${title(f)}: ${lower(answered(f))}, seen by ${s(f, 'by')}${'together' in f ? ', answered in one with what else was seen there' : ''}.`,
  'look.bad': (f) => `${title(f)}: ${lower(answered(f))}, seen by ${s(f, 'by')}; none is allowed.`,
  'measured.past-calibration': (f) => `${measured(f)}: ${expired(f)}.`,
  'measured.outside-span': (f) => `${measured(f)}: ${outside(f)}.`,
  'measured.found-out': (f) =>
    `${measured(f)}: ${tool(f)} was found to have run out at its next calibration; its readings of that time cannot count.`,
  'measured.wrong-kind': (f) => `${measured(f)}: ${tool(f)} cannot measure this place.`,
  'measured.no-instrument': (f) => `${measured(f)}: read with ${tool(f)}.`,
  'measured.before-round': (f) =>
    `${measured(f)}: a reading with ${tool(f)} is dated before its round began: a clock was wrong.`,
  'measured.in-future': (f) => `${measured(f)}: a reading with ${tool(f)} lies in the future.`,
  'place.disagree': (f) => `${part(f)}: readings contradict each other: ${readingsSaid(f)}.`,
  'look.future': (f) => `${title(f)}: answered at ${moment(s(f, 'at'))}, which is still to come.`,
  'fit.ovality-unknown': (f) => `${part(f)}: the highest ovality that it is certified for is not recorded.`,
  'fit.ovality-hidden': (f) =>
    `${takes(f)}, found ${seen(f)} by tape; a tape hides whether the cable is round, and the site's allowance of ${figure(n(f, 'allowancePct'), 1)} % is more than the ${figure(n(f, 'allowedPct'), 1)} % of the sheet.`,
  'fit.flats-unseen': (f) =>
    `${takes(f)}, found ${seen(f)} by tape; a tape hides whether the cable is round, and nobody looked for flats.`,
};
