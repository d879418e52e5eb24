import type { Facts } from '../../../record/finding';
import { count, day, figure, mm, plusMinus } from '../format';
import {
  n,
  s,
  range,
  seen,
  takes,
  near,
  signed,
  expired,
  outside,
  amount,
  read,
  allowed,
  held,
  armourOf,
  upper,
  stop,
  lower,
  moment,
  type Sentence,
} from './parts';

const source = (f: Facts): string => (f.by === 'geometry' ? ' by the records' : '');
const length = (f: Facts): string =>
  f.by === 'geometry' ? mm(n(f, 'engagedMm')) : plusMinus(n(f, 'engagedMm'), n(f, 'uncertaintyMm'));
const engaged = (f: Facts): string =>
  `${count(n(f, 'threads'), 'full thread')} engaged ${s(f, 'where')}${source(f)}, ${length(f)}`;
const needed = (f: Facts): string =>
  `${n(f, 'requiredThreads')} and ${mm(n(f, 'requiredDepthMm'))} are needed${f.volumeCm3 === null ? '' : ` at ${n(f, 'volumeCm3')} cm³`}`;
const turned = (f: Facts): string =>
  `${figure(n(f, 'turns'))} threads of ${s(f, 'thread')} engaged ${s(f, 'where')}${source(f)}`;

/** Sentences about what is measured and looked at: fits, threads, seals, clamps, lengths. */
export const MEASURE: Record<string, Sentence> = {
  'e07.unknown': (f) =>
    `Thread "${s(f, 'thread')}" is not in the thread table; write it like M25x1.5 or NPT 3/4.`,
  'e07.agree': (f) => `${s(f, 'by')} and ${s(f, 'into')} are both declared ${s(f, 'gland')}.`,
  'e07.near-miss': (f) =>
    `Threads only nearly fit: ${near(f)}; major diameter ${signed(n(f, 'majorDifferenceMm'))}, pitch ${signed(n(f, 'pitchDifferenceMm'))}. Prove the hole with a plug gauge or by its minor diameter.`,
  'e07.differ': (f) =>
    `Threads differ: ${near(f)}; major diameter ${signed(n(f, 'majorDifferenceMm'))}, pitch ${signed(n(f, 'pitchDifferenceMm'))}.`,
  'e07.hole-unmeasured': (f) => `The clearance hole for ${s(f, 'thread')} is not measured.`,
  'e07.hole-too-small': (f) =>
    `The hole of ${mm(n(f, 'holeMm'))} is ${mm(-n(f, 'playMm'))} smaller than ${s(f, 'thread')}.`,
  'e07.hole-too-wide': (f) =>
    `The hole of ${mm(n(f, 'holeMm'))} is ${mm(n(f, 'playMm'))} wider than ${s(f, 'thread')}; ${mm(n(f, 'allowedMm'))} is allowed.`,
  'e07.hole': (f) =>
    `The hole of ${mm(n(f, 'holeMm'))} has ${mm(n(f, 'playMm'))} of play round ${s(f, 'thread')}; ${mm(n(f, 'allowedMm'))} is allowed.`,
  'e07.half-measured': (f) =>
    f.majorMm === null
      ? `Pitch ${mm(n(f, 'pitchMm'))} is measured, the major diameter is not.`
      : `Major diameter ${mm(n(f, 'majorMm'))} is measured, the pitch is not.`,
  'e07.none-matches': (f) =>
    `Measured ${mm(n(f, 'majorMm'))} at pitch ${mm(n(f, 'pitchMm'))} is no thread of the table${f.near ? `; the nearest is ${s(f, 'near')}` : ''}.`,
  'e07.other-thread': (f) =>
    `Measured ${mm(n(f, 'majorMm'))} at pitch ${mm(n(f, 'pitchMm'))} is ${s(f, 'found')}; the sheet says ${s(f, 'gland')}.`,
  'e07.ambiguous': (f) =>
    `Measured ${mm(n(f, 'majorMm'))} at pitch ${mm(n(f, 'pitchMm'))} can be ${s(f, 'found')}.`,
  'e07.identified': (f) =>
    `Measured ${mm(n(f, 'majorMm'))} at pitch ${mm(n(f, 'pitchMm'))} is ${s(f, 'gland')}, as declared.`,

  'e08.no-joint': (f) => `The enclosure is in ${s(f, 'concepts')}: the thread is no flameproof joint.`,
  'e08.clearance': (f) =>
    `The gland stands in a clearance hole for ${s(f, 'thread')} with a locknut: 0 threads engaged in a flameproof wall, 5 are needed.`,
  'e08.taper-form': (f) =>
    `${s(f, 'thread')} is taper; of the taper threads only NPT makes a flameproof joint.`,

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

  'e12.no-range': (f) =>
    `Sheet ${s(f, 'sheet')} does not say what the inner seal of size ${s(f, 'size')} takes.`,
  'e12.no-pot': (f) => `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no pot.`,
  'e12.too-many-cores': (f) =>
    `The pot of ${mm(n(f, 'boreMm'))} takes ${n(f, 'most')} cores at most; the cable has ${n(f, 'cores')}.`,
  'e12.cores': (f) =>
    `The pot of ${mm(n(f, 'boreMm'))} takes ${n(f, 'most')} cores; the cable has ${n(f, 'cores')}.`,

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

  'e20.no-length': (f) =>
    `Sheet ${s(f, 'sheet')} does not say how far the inner sheath of size ${s(f, 'size')} stands proud.`,
  'e21.no-length': (f) => `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no length of armour.`,

  'e12.no-seal': (f) => `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no inner seal.`,
  'e13.unarmoured': (f) =>
    `Cable ${s(f, 'cable')} has no armour (confirmed by ${s(f, 'by')} on ${day(s(f, 'on'))}); an armoured gland has nothing to clamp.`,
  'e13.armour-unknown': (f) => `The armour of cable ${s(f, 'cable')} is not recorded.`,
  'e13.not-listed': (f) =>
    `Cable ${s(f, 'cable')} has ${s(f, 'armour')} armour; certificate ${s(f, 'certificate')} lists ${s(f, 'listed')} for size ${s(f, 'sizes')}.`,
  'e13.face-unknown': (f) =>
    `Which face of the ring is towards the box is not recorded; ${s(f, 'armour')} needs its own.`,
  'e13.wrong-face': (f) =>
    `Ring face ${s(f, 'face')} is towards the box, which takes ${held(f)}; ${armourOf(f)} of cable ${s(f, 'cable')} needs face ${s(f, 'wanted')}.`,

  'e13.wrong-ring': (f) =>
    `Ring ${s(f, 'face')} is fitted, which takes ${held(f)}; ${armourOf(f)} of cable ${s(f, 'cable')} needs ring ${s(f, 'wanted')}.`,

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
  'e07.taper-in-clearance': (f) =>
    `${s(f, 'thread')} is taper: it wedges in a thread, and may not stand in a clearance hole.`,
  'e08.not-measured': (f) =>
    `Threads engaged ${s(f, 'where')} are not measured, and the records do not give them either.`,
  'e08.parallel': (f) => `${engaged(f)}; ${needed(f)}.`,
  'e08.parallel-short': (f) => `Only ${lower(engaged(f))}; ${needed(f)}.`,
  'e08.taper': (f) => `${turned(f)}; ${n(f, 'requiredThreads')} are needed, wrench-tight.`,
  'e08.taper-short': (f) => `Only ${lower(turned(f))}; ${n(f, 'requiredThreads')} are needed, wrench-tight.`,
  'e08.too-long': (f) =>
    `Threads engaged ${s(f, 'where')}: ${plusMinus(n(f, 'engagedMm'), n(f, 'uncertaintyMm'))} is measured, and wall and thread allow ${mm(n(f, 'expectedMm'))} by the records: one of the two is wrong.`,
  'e08.volume': (f) =>
    `${engaged(f)}: enough for a small compartment only, and the volume of this one is not recorded.`,
};
