import { count, figure, mm, plusMinus } from '../format';
import {
  n,
  s,
  range,
  seen,
  takes,
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
    `${s(f, 'part')} is certified for round cable up to ${figure(n(f, 'allowedPct'), 1)} % oval; it measures ${figure(n(f, 'ovalityPct'), 1)} % (${mm(n(f, 'minMm'))} to ${mm(n(f, 'maxMm'))}).`,
  'fit.shape': (f) =>
    `${s(f, 'part')}, ${range(f)}, is certified for ${s(f, 'shapes')} cable; this cable is ${s(f, 'shape')}, so no size fits.`,
  'fit.marginal': (f) =>
    n(f, 'marginMm') < 0
      ? `${takes(f)}; found ${seen(f)}, ${mm(-n(f, 'marginMm'))} outside, but within the uncertainty.`
      : `${takes(f)}; found ${seen(f)}, which leaves ${mm(n(f, 'marginMm'))}, less than the uncertainty.`,
  'fit.few-readings': (f) =>
    `${takes(f)}; found ${seen(f)} from ${count(n(f, 'readings'), 'reading')}, three are needed.`,
  'fit.repeatability-unknown': (f) =>
    `${takes(f)}; found ${seen(f)}, but the repeatability of ${s(f, 'instrument')} is not known.`,
  'fit.probability': (f) =>
    `${takes(f)}; found ${seen(f)}, inside with a probability of ${figure(100 * n(f, 'probability'), 1)} %, 95 % is wanted here.`,
  'fit.inside': (f) => `${takes(f)}; found ${seen(f)}, ${mm(n(f, 'marginMm'))} to the nearer limit.`,
  'hold.skipped': (f) =>
    `Hold point passed over at make-off by ${s(f, 'by')}: ${lower(s(f, 'title'))}. ${s(f, 'reason') ? stop(upper(s(f, 'reason'))) : 'No reason is recorded.'}`,
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
  'value.none': (f) => `${s(f, 'part')}: not measured; ${allowed(f)}.`,
  'value.inside': (f) => `${s(f, 'part')}: ${read(f)}; ${allowed(f)}.`,
  'value.close': (f) => `${s(f, 'part')}: ${read(f)}; ${allowed(f)}, nearer than the uncertainty.`,
  'value.under': (f) =>
    `${s(f, 'part')}: ${read(f)}, ${amount(n(f, 'excess'), s(f, 'unit'))} too little; ${allowed(f)}.`,
  'value.over': (f) =>
    `${s(f, 'part')}: ${read(f)}, ${amount(n(f, 'excess'), s(f, 'unit'))} too much; ${allowed(f)}.`,
  'look.none': (f) => `${s(f, 'title')}: not looked at yet.`,
  'look.unknown': (f) => `The question "${s(f, 'look')}" does not belong to this kind of entry.`,
  'look.good': (f) => `${s(f, 'title')}: ${lower(s(f, 'said'))}, seen by ${s(f, 'by')}.`,
  'look.bad': (f) => `${s(f, 'title')}: ${lower(s(f, 'said'))}, seen by ${s(f, 'by')}; none is allowed.`,
  'measured.past-calibration': (f) => `${s(f, 'part')}: ${expired(f)}.`,
  'measured.outside-span': (f) => `${s(f, 'part')}: ${outside(f)}.`,
  'measured.found-out': (f) =>
    `${s(f, 'part')}: ${s(f, 'instrument')} was found to have run out at its next calibration; its readings of that time cannot count.`,
  'measured.wrong-kind': (f) => `${s(f, 'part')}: ${s(f, 'instrument')} cannot measure this place.`,
  'measured.no-instrument': (f) => `${s(f, 'part')}: read with ${s(f, 'instrument')}.`,
  'measured.before-round': (f) =>
    `${s(f, 'part')}: a reading with ${s(f, 'instrument')} is dated before its round began: a clock was wrong.`,
  'measured.in-future': (f) => `${s(f, 'part')}: a reading with ${s(f, 'instrument')} lies in the future.`,
  'place.disagree': (f) => `${s(f, 'part')}: readings contradict each other: ${s(f, 'said')}.`,
  'look.future': (f) => `${s(f, 'title')}: answered at ${moment(s(f, 'at'))}, which is still to come.`,
  'fit.ovality-unknown': (f) =>
    `${s(f, 'part')}: the highest ovality that it is certified for is not recorded.`,
  'fit.ovality-hidden': (f) =>
    `${takes(f)}, found ${seen(f)} by tape; a tape hides whether the cable is round, and the site's allowance of ${figure(n(f, 'allowancePct'), 1)} % is more than the ${figure(n(f, 'allowedPct'), 1)} % of the sheet.`,
  'fit.flats-unseen': (f) =>
    `${takes(f)}, found ${seen(f)} by tape; a tape hides whether the cable is round, and nobody looked for flats.`,
};
