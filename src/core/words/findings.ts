import type { Aspect, Facts, Finding } from '../rulebook/finding';
import { count, day, figure, limits, mm, ohm, plusMinus } from './format';

type Sentence = (facts: Facts) => string;

const n = (facts: Facts, name: string): number => Number(facts[name]);
const s = (facts: Facts, name: string): string => String(facts[name] ?? '');

const range = (f: Facts) => limits(n(f, 'lowMm'), n(f, 'highMm'));
const seen = (f: Facts) => plusMinus(n(f, 'meanMm'), n(f, 'uncertaintyMm'));
const takes = (f: Facts) => `${s(f, 'part')} takes ${range(f)}`;
const near = (f: Facts) => `${lower(s(f, 'by'))} ${s(f, 'gland')}, ${s(f, 'into')} ${s(f, 'hole')}`;
const bond = (f: Facts) => `Bond ${ohm(n(f, 'ohm'))} ± ${ohm(n(f, 'uncertaintyOhm'))}`;
const degrees = (value: number) => `${value < 0 ? '−' : ''}${Math.round(Math.abs(value) * 10) / 10}`;
const signed = (value: number) => `${value < 0 ? '−' : '+'}${mm(Math.abs(value))}`;
const FROM: Record<string, string> = {
  measured: 'measured at full load and carried to the highest ambient',
  marked: 'marked on the enclosure',
  unmarked: 'assumed, nothing is marked',
};
const from = (f: Facts) => FROM[s(f, 'from')] ?? '';
const expired = (f: Facts) =>
  `${s(f, 'instrument')} was past its calibration date ${day(s(f, 'until'))} when read; the reading is kept and cannot count`;
const outside = (f: Facts) => `a reading lies outside the span of ${s(f, 'instrument')}`;

const SEAL_WORDS: Record<string, string> = {
  'every-termination': 'at every termination',
  explosionproof: 'the enclosure has to be explosionproof',
};
const GAP_WORDS: Record<string, string> = {
  demands: 'whether the enclosure’s certificate asks for a barrier',
  indirect: 'whether the entry is indirect',
  cable: 'the cable',
  filling: 'whether the cable is effectively filled',
  ignition: 'whether parts inside spark or run hot',
  group: 'the area’s group',
};
const gaps = (f: Facts) =>
  s(f, 'missing')
    .split(', ')
    .map((word) => GAP_WORDS[word] ?? word)
    .join(', ');
const DECIMALS: Record<string, number> = { mm: 2, turns: 2, 'N·m': 1 };
const amount = (value: number, unit: string) => `${figure(value, DECIMALS[unit] ?? 2)} ${unit}`;
const read = (f: Facts) =>
  `${figure(n(f, 'value'), DECIMALS[s(f, 'unit')])} ± ${amount(n(f, 'uncertainty'), s(f, 'unit'))}`;
function allowed(f: Facts): string {
  const unit = s(f, 'unit');
  if (f.low === null) return `at most ${amount(n(f, 'high'), unit)} is asked for`;
  if (f.high === null) return `at least ${amount(n(f, 'low'), unit)} is asked for`;
  return `${figure(n(f, 'low'), DECIMALS[unit])} to ${amount(n(f, 'high'), unit)} is asked for`;
}
const gap = (f: Facts) => `${mm(n(f, 'gapMm'))} ± ${mm(n(f, 'bandMm'))}`;
const found = (f: Facts) => plusMinus(n(f, 'foundMm'), n(f, 'uncertaintyMm'));
const moment = (iso: string) => (iso ? `${day(iso)} ${iso.slice(11, 16)} UTC` : 'an unknown time');

/** One sentence per key, with numbers and units. A second language is a second table. */
const SENTENCES: Record<string, Sentence> = {
  'area.no-zone': (f) => `The zone of ${s(f, 'area')} is not recorded.`,
  'area.no-group': (f) => `The gas or dust group of ${s(f, 'area')} is not recorded.`,
  'area.unclassified': (f) => `${s(f, 'area')} is recorded as unclassified, so nothing is asked for.`,
  'cable.none': () => 'No cable is recorded for this entry.',

  'e01.no-certificate': () => 'No certificate is named for this entry.',
  'e01.not-valid': (f) => `Certificate ${s(f, 'certificate')} is ${s(f, 'state')}.`,
  'e01.other-kind': (f) =>
    `Certificate ${s(f, 'certificate')} covers ${s(f, 'covers')}, the entry is a ${s(f, 'kind')}.`,
  'e01.no-size': (f) => `No size of certificate ${s(f, 'certificate')} is named for this entry.`,
  'e01.size-not-listed': (f) => `Certificate ${s(f, 'certificate')} lists no size ${s(f, 'size')}.`,
  'e01.covered': (f) => `Size ${s(f, 'size')} is covered by certificate ${s(f, 'certificate')}.`,

  'e02.no-level': (f) =>
    `${upper(s(f, 'said'))} takes ${s(f, 'accepted')}; the certificate names no level and no concept that implies one.`,
  'e02.suits': (f) =>
    `Level ${s(f, 'has')}${f.implied ? ' (implied by the concept, none is marked)' : ''} suits ${s(f, 'said')}, which takes ${s(f, 'accepted')}.`,
  'e02.not-suited': (f) =>
    `${upper(s(f, 'said'))} takes ${s(f, 'accepted')}; the gland has ${s(f, 'has')}${f.implied ? ' (implied by the concept)' : ''}.`,

  'e03.none-marked': (f) => `The area asks for ${s(f, 'asked')}; the certificate names no group.`,
  'e03.covered': (f) => `Group ${s(f, 'has')} covers ${s(f, 'asked')}.`,
  'e03.not-covered': (f) => `The area asks for ${s(f, 'asked')}; the gland is for ${s(f, 'has')}.`,

  'e04.ambient': (f) =>
    `The gland serves ${degrees(n(f, 'leastC'))} to ${degrees(n(f, 'mostC'))} °C; the area reaches ${degrees(n(f, 'coldestC'))} to ${degrees(n(f, 'hottestC'))} °C.`,
  'e04.too-hot': (f) =>
    `${s(f, 'part')} bears ${degrees(n(f, 'maxC'))} °C; the entry reaches ${degrees(n(f, 'worstC'))} °C (${from(f)}), ${figure(n(f, 'worstC') - n(f, 'maxC'), 1)} °C too hot.`,
  'e04.suits': (f) =>
    `The entry reaches ${degrees(n(f, 'worstC'))} °C (${from(f)}); the weakest part, ${s(f, 'part').toLowerCase()}, bears ${degrees(n(f, 'maxC'))} °C; ambient ${degrees(n(f, 'coldestC'))} to ${degrees(n(f, 'hottestC'))} °C is within ${degrees(n(f, 'leastC'))} to ${degrees(n(f, 'mostC'))} °C.`,

  'e05.unreadable': (f) => `Ingress rating "${s(f, 'rating')}" cannot be read; write it like IP66.`,
  'e05.too-low': (f) => `${s(f, 'asked')} is asked for by ${s(f, 'by')}; the gland has ${s(f, 'has')}.`,
  'e05.enough': (f) =>
    `${s(f, 'has')} meets the ${s(f, 'area')} that the area asks for and the ${s(f, 'marked')} of the enclosure.`,

  'e06.enclosure-unmarked': (f) => `No protection concept is recorded for ${s(f, 'enclosure')}.`,
  'e06.none-asked': (f) =>
    `Protection ${s(f, 'concept')} with only such circuits asks for no marked gland; the ingress rating counts.`,
  'e06.enclosure-certificate': (f) =>
    `For protection ${s(f, 'concept')} the enclosure's own certificate says which glands may be used.`,
  'e06.suits': (f) => `The gland's ${s(f, 'by')} suits the enclosure's ${s(f, 'concept')}.`,
  'e06.not-suited': (f) =>
    `An enclosure in ${s(f, 'concept')} takes a gland in ${s(f, 'allowed')}; this one is in ${s(f, 'has')}.`,

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
  'e08.not-measured': (f) =>
    `Threads engaged are not measured; the records give ${mm(n(f, 'expectedMm'))}, ${count(n(f, 'expectedThreads'), 'thread')}.`,
  'e08.parallel': (f) =>
    `${count(n(f, 'threads'), 'full thread')} engaged, ${plusMinus(n(f, 'engagedMm'), n(f, 'uncertaintyMm'))}; ${n(f, 'requiredThreads')} and ${mm(n(f, 'requiredDepthMm'))} are needed at ${n(f, 'volumeCm3')} cm³.`,
  'e08.parallel-short': (f) =>
    `Only ${count(n(f, 'threads'), 'full thread')} engaged, ${plusMinus(n(f, 'engagedMm'), n(f, 'uncertaintyMm'))}; ${n(f, 'requiredThreads')} and ${mm(n(f, 'requiredDepthMm'))} are needed at ${n(f, 'volumeCm3')} cm³.`,
  'e08.taper': (f) =>
    `${figure(n(f, 'turns'))} threads of ${s(f, 'thread')} engaged; 4.5 are needed, wrench-tight.`,
  'e08.taper-short': (f) =>
    `Only ${figure(n(f, 'turns'))} threads of ${s(f, 'thread')} engaged; 4.5 are needed, wrench-tight.`,

  'fit.no-readings': (f) => `${takes(f)}; nothing has been measured.`,
  'fit.past-calibration': (f) => `${takes(f)}; ${expired(f)}.`,
  'fit.outside-span': (f) => `${takes(f)}; ${outside(f)}.`,
  'measured.past-calibration': (f) => `${s(f, 'part')}: ${expired(f)}.`,
  'measured.outside-span': (f) => `${s(f, 'part')}: ${outside(f)}.`,
  'fit.undecidable': (f) =>
    `${takes(f)}; ± ${mm(n(f, 'uncertaintyMm'))} is too coarse to decide so narrow a range.`,
  'fit.above': (f) =>
    `${takes(f)}; it measures up to ${plusMinus(n(f, 'maxMm'), n(f, 'uncertaintyMm'))}, ${mm(n(f, 'excessMm'))} too large.`,
  'fit.below': (f) =>
    `${takes(f)}; it measures down to ${plusMinus(n(f, 'minMm'), n(f, 'uncertaintyMm'))}, ${mm(n(f, 'excessMm'))} too small.`,
  'fit.oval': (f) =>
    `${s(f, 'part')} is certified for round cable up to ${figure(n(f, 'allowedPct'), 1)} % oval; it measures ${figure(n(f, 'ovalityPct'), 1)} % (${mm(n(f, 'minMm'))} to ${mm(n(f, 'maxMm'))}).`,
  'fit.ovality-hidden': (f) =>
    `${takes(f)}, found ${seen(f)} by tape; a tape hides whether the cable is round.`,
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

  'e01.industrial': (f) =>
    `An industrial gland without a certificate for explosive atmospheres (sheet ${s(f, 'certificate')}) stands in ${s(f, 'said')}, ${s(f, 'area')}: it may not be used there.`,
  'e01.no-concept': (f) =>
    `Certificate ${s(f, 'certificate')} names no protection, and the gland stands in ${s(f, 'said')}, ${s(f, 'area')}.`,
  'e01.sheet': (f) =>
    `Size ${s(f, 'size')} is on sheet ${s(f, 'certificate')}; nothing is classified here, so no certificate is asked for.`,
  'e02.listed': (f) => `Listed for ${s(f, 'has')}, which serves ${s(f, 'said')}.`,
  'e02.other-hazard': (f) =>
    f.dust
      ? `Gas marks (${s(f, 'has')}) prove nothing in dust: ${s(f, 'said')} takes ${s(f, 'accepted')}.`
      : `Dust marks (${s(f, 'has')}) prove nothing in gas: ${s(f, 'said')} takes ${s(f, 'accepted')}.`,
  'e03.listed': (f) => `Listed for groups ${s(f, 'has')}, which include ${s(f, 'asked')}.`,
  'e06.none-marked': (f) =>
    `Certificate ${s(f, 'certificate')} names no protection to hold against the enclosure.`,

  'e09.unknown': () => 'Whether adaptors stand between gland and wall is not recorded.',
  'e09.none': () => 'No adaptor stands between gland and wall.',
  'e09.several': (f) =>
    `${n(f, 'count')} adaptors stand between gland and flameproof wall; at most 1 is allowed.`,
  'e09.reducers': (f) => `${n(f, 'reducers')} reducers are screwed into each other; 1 is the most.`,
  'e09.concept': (f) =>
    `The ${s(f, 'name')} is in ${s(f, 'has') || 'no protection'}; an enclosure in ${s(f, 'concept')} takes ${s(f, 'allowed')}.`,
  'e09.level': (f) =>
    `The ${s(f, 'name')} has level ${s(f, 'has') || 'none'}; ${s(f, 'said')} takes ${s(f, 'accepted')}.`,
  'e09.group': (f) =>
    `The ${s(f, 'name')} is for ${s(f, 'has') || 'no group'}; the area asks for ${s(f, 'asked')}.`,
  'e09.suits': (f) => `${count(n(f, 'count'), 'adaptor')} into ${s(f, 'thread')} suits enclosure and area.`,

  'e10.elsewhere': (f) => `Unused entries of ${s(f, 'tag')} are judged at its entry ${s(f, 'label')}.`,
  'e10.unknown': (f) =>
    `Which entries of ${s(f, 'tag')} no cable uses, and what closes them, is not recorded.`,
  'e10.contradiction': (f) =>
    `${count(n(f, 'count'), 'unused entry', 'unused entries')} of ${s(f, 'tag')} are recorded, and the look says that there are none.`,
  'e10.open': (f) => `Unused entry ${s(f, 'label')} of ${s(f, 'tag')} is open.`,
  'e10.transport': (f) =>
    `Unused entry ${s(f, 'label')} of ${s(f, 'tag')} holds a transport plug, which is no closure.`,
  'e10.no-tool': (f) =>
    `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} comes out without a tool, which is no closure.`,
  'e10.in-adaptor': (f) =>
    `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} sits in an adaptor; it belongs into the wall.`,
  'e10.concept': (f) =>
    `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} has ${s(f, 'has')}, which does not suit protection ${s(f, 'concept')}.`,

  'e12.no-pot': (f) => `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no pot.`,
  'e12.too-many-cores': (f) =>
    `The pot of ${mm(n(f, 'boreMm'))} takes ${n(f, 'most')} cores at most; the cable has ${n(f, 'cores')}.`,
  'e12.cores': (f) =>
    `The pot of ${mm(n(f, 'boreMm'))} takes ${n(f, 'most')} cores; the cable has ${n(f, 'cores')}.`,

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
  'e15.fitted-anyway': (f) =>
    `A barrier is fitted, though none is asked for (rule of ${s(f, 'edition')}: ${s(f, 'path')}).`,
  'e15.none-needed': (f) => `No barrier is asked for (rule of ${s(f, 'edition')}: ${s(f, 'path')}).`,
  'e15.fitted': (f) => `A barrier is asked for and fitted (rule of ${s(f, 'edition')}: ${s(f, 'path')}).`,
  'e15.missing': (f) =>
    `A barrier is asked for and none is fitted (rule of ${s(f, 'edition')}: ${s(f, 'path')}; connected ${figure(n(f, 'lengthM'), 1)} m, ${figure(n(f, 'volumeDm3'), 1)} dm³).`,

  'e16.suits': (f) =>
    `Cable ${s(f, 'cable')}, ${s(f, 'shape')}, ${figure(n(f, 'lengthM'), 1)} m, suits the gland.`,
  'e16.armoured': (f) =>
    `Cable ${s(f, 'cable')} has ${s(f, 'type')} armour of ${mm(n(f, 'sizeMm'))}; a ${s(f, 'kind')} does not clamp it.`,
  'e16.cold-flow': (f) =>
    `The sheath of cable ${s(f, 'cable')} (${mm(n(f, 'sheathMm'))}) flows cold; the ${s(f, 'part')}, ${range(f)}, squeezes it and will slacken: the sheet does not mark it for such sheaths.`,
  'e16.filling-unknown': (f) =>
    `Whether cable ${s(f, 'cable')} is effectively filled is not recorded; restricted breathing asks.`,
  'e16.not-filled': (f) =>
    `Cable ${s(f, 'cable')} is not effectively filled and breathes; the enclosure is in nR.`,
  'e16.breathes': (f) =>
    `Cable ${s(f, 'cable')} failed its breathing test${f.halfTimeS === null ? '' : ` (${figure(n(f, 'halfTimeS'), 1)} s, 5 s are needed)`}; the enclosure is in nR.`,

  'pour.no-sheet': (f) => `Sheet ${s(f, 'sheet')} says nothing about its ${s(f, 'what')}.`,
  'pour.none': (f) =>
    `No mixing of ${s(f, 'name')} is recorded: batch, expiry, ratio, times and temperature.`,
  'pour.no-batch': (f) => `${s(f, 'name')} was used without a known batch.`,
  'pour.no-expiry': (f) => `${s(f, 'name')}, batch ${s(f, 'batch')}, was used without a known expiry.`,
  'pour.expired': (f) =>
    `${s(f, 'name')}, batch ${s(f, 'batch')}, expired on ${day(s(f, 'expires'))} and was mixed on ${day(s(f, 'mixedAt'))}.`,
  'pour.ratio-unknown': (f) => `Whether ${s(f, 'name')} was mixed ${s(f, 'ratio')} is not recorded.`,
  'pour.ratio': (f) => `${s(f, 'name')}, batch ${s(f, 'batch')}, was not mixed ${s(f, 'ratio')}.`,
  'pour.no-temperature': (f) =>
    `The temperature at which ${s(f, 'name')} was mixed is not recorded, so its life is not known.`,
  'pour.too-cold': (f) =>
    `${s(f, 'name')} was mixed at ${degrees(n(f, 'temperatureC'))} °C; below ${degrees(n(f, 'minimumC'))} °C it may not be.`,
  'pour.not-packed': (f) => `${s(f, 'name')} is mixed and not packed yet.`,
  'hold.skipped': (f) =>
    `Hold point passed over at make-off by ${s(f, 'by')}: ${lower(s(f, 'title'))}. ${s(f, 'reason') ? stop(upper(s(f, 'reason'))) : 'No reason is recorded.'}`,
  'pour.in-time': (f) =>
    `${s(f, 'name')}, batch ${s(f, 'batch')}, was packed after ${figure(n(f, 'tookMin'), 0)} min; at ${degrees(n(f, 'temperatureC'))} °C it works for ${figure(n(f, 'workingMin'), 0)} min.`,
  'pour.too-late': (f) =>
    `${s(f, 'name')}, batch ${s(f, 'batch')}, was packed after ${figure(n(f, 'tookMin'), 0)} min; at ${degrees(n(f, 'temperatureC'))} °C it works for ${figure(n(f, 'workingMin'), 0)} min: it was stiff.`,
  'pour.no-lowest': (f) =>
    `The lowest temperature since ${s(f, 'name')} was packed is not recorded, so its cure is not known.`,
  'pour.cure-stopped': (f) =>
    `It fell to ${degrees(n(f, 'lowestC'))} °C since packing; below ${degrees(n(f, 'minimumC'))} °C the cure of ${s(f, 'name')} stops.`,
  'pour.curing': (f) =>
    `${s(f, 'name')} cures until ${moment(s(f, 'lookAt'))}; then it is opened and looked at.`,
  'pour.not-looked': (f) =>
    `${s(f, 'name')} was cured at ${moment(s(f, 'lookAt'))}; nobody has looked at it since.`,
  'pour.looked-too-early': (f) =>
    `${s(f, 'name')} was looked at on ${moment(s(f, 'lookedAt'))}, before it was cured at ${moment(s(f, 'lookAt'))}.`,
  'pour.cured': (f) =>
    `${s(f, 'name')} was cured at ${moment(s(f, 'lookAt'))} and looked at on ${moment(s(f, 'lookedAt'))}.`,
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

  'joint.no-school': (f) => `${s(f, 'part')}: sheet ${s(f, 'sheet')} does not say how it is closed.`,
  'joint.no-limits': (f) =>
    `${s(f, 'part')}: sheet ${s(f, 'sheet')} closes it by ${s(f, 'school')}, but gives no limits.`,
  'joint.by-gap': (f) => `${s(f, 'part')} is closed by its gap, which has a check of its own.`,

  'e19.no-rubber': (f) =>
    `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no seal data, so there is no scale for the gap.`,
  'e19.no-scale': (f) =>
    `Sheet ${s(f, 'sheet')} closes the outer seal by ${s(f, 'school')} and gives no scale for the gap.`,
  'e19.no-cable': () => 'The outer sheath is not measured, so the gap has no place on the scale.',
  'e19.impossible': (f) => `For a cable of ${mm(n(f, 'cableMm'))} the scale has no gap. ${stop(s(f, 'why'))}`,
  'e19.bottoms': (f) =>
    `On a cable of ${mm(n(f, 'cableMm'))} the faces meet ${mm(-n(f, 'gapMm'))} before the seal grips: the cable is too small for this seal.`,
  'e19.indent': (f) =>
    `${figure(n(f, 'turns'))} turns indent the sheath by ${figure(n(f, 'indentPct'), 1)} %; ${figure(n(f, 'allowedPct'), 1)} % is allowed.`,
  'e19.not-measured': (f) => `Back-nut gap: not measured; on this cable ${gap(f)} is right.`,
  'e19.agrees': (f) => `Back-nut gap ${found(f)}; on a cable of ${mm(n(f, 'cableMm'))} ${gap(f)} is right.`,
  'e19.close': (f) =>
    `Back-nut gap ${found(f)}; ${gap(f)} is right, and it lies outside by less than the uncertainty.`,
  'e19.wide': (f) =>
    `Back-nut gap ${found(f)}, ${mm(n(f, 'offMm'))} wider than ${gap(f)}: slack, or a thicker cable or another ring than recorded.`,
  'e19.narrow': (f) =>
    `Back-nut gap ${found(f)}, ${mm(-n(f, 'offMm'))} narrower than ${gap(f)}: over-tightened, or a thinner cable.`,

  'e20.no-length': (f) =>
    `Sheet ${s(f, 'sheet')} does not say how far the inner sheath of size ${s(f, 'size')} stands proud.`,
  'e21.no-length': (f) => `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no length of armour.`,

  'e22.missing': (f) => `No sealing washer under ${s(f, 'thread')}: ${s(f, 'reasons')}.`,
  'e22.thickness': (f) => `A washer is fitted under ${s(f, 'thread')}, and its thickness is not recorded.`,
  'e22.fitted': (f) => `A washer of ${mm(n(f, 'washerMm'))} is fitted: ${s(f, 'reasons')}.`,
  'e22.none-asked': (f) =>
    n(f, 'washerMm') > 0
      ? `A washer of ${mm(n(f, 'washerMm'))} is fitted; none is asked for.`
      : 'No washer is asked for.',

  'e23a.material-unknown': (f) =>
    `Whether ${s(f, 'tag')} is of metal or insulating is not recorded; on an insulating box the tag ring has to be bonded.`,
  'e24.weather-unknown': (f) => `Whether ${s(f, 'area')} stands in the weather is not recorded.`,
  'e24.sheet-asks': (f) =>
    `No ${s(f, 'what')} is on the gland${f.acrossMm === null ? '' : ` of ${mm(n(f, 'acrossMm'))} across`}; sheet ${s(f, 'sheet')} asks for one.`,
  'e24.deluge': (f) => `No boot is on the gland, and ${s(f, 'area')} is under deluge.`,
  'e25.not-listed': (f) =>
    `Certificate ${s(f, 'certificate')} ends in X, and its special conditions are not on file.`,
  'e25.none': (f) => `Certificate ${s(f, 'certificate')} has no special conditions.`,
  'e25.open': (f) => `Special condition ${n(f, 'number')} is not ticked: ${stop(s(f, 'text'))}`,
  'e25.not-met': (f) =>
    `Special condition ${n(f, 'number')} is not met, seen by ${s(f, 'by')}: ${stop(s(f, 'text'))}`,
  'e25.no-evidence': (f) =>
    `Special condition ${n(f, 'number')} is ticked without evidence: ${stop(s(f, 'text'))}`,
  'e25.met': (f) =>
    `Special condition ${n(f, 'number')} is met, seen by ${s(f, 'by')}${f.note ? ` (${s(f, 'note')})` : ', with a photo'}.`,
  'e28.there-is-one': (f) =>
    `A record was sealed on ${day(s(f, 'lastSealed'))}, and the look says that there is none: hold the entry against it.`,
  'e31.several': (f) => `Cable ${s(f, 'cable')} has ${n(f, 'cores')} cores, so no phase runs alone.`,
  'e31.steel': (f) =>
    `The one core of cable ${s(f, 'cable')} runs in steel ${s(f, 'type')} armour of ${mm(n(f, 'sizeMm'))}: ferrous metal closes round it.`,

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

  'e23b.not-measured': (f) =>
    `Bond from armour to wall is not measured; at most ${ohm(n(f, 'limitOhm'))} is allowed${f.expectedOhm === null ? '' : `, ${ohm(n(f, 'expectedOhm'))} is expected`}.`,
  'e23b.over': (f) => `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed.`,
  'e23b.far': (f) =>
    `${bond(f)} is more than ${figure(n(f, 'factor'), 1)} times the ${ohm(n(f, 'expectedOhm'))} that the sheet predicts.`,
  'e23b.path-unknown': (f) => `${bond(f)} is low, but whether one end was disconnected is not recorded.`,
  'e23b.parallel': (f) => `${bond(f)} is low, but parallel paths remain, so it proves nothing.`,
  'e23b.close': (f) =>
    `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed, nearer than the uncertainty.`,
  'e23b.low': (f) => `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed.`,

  'e27.not-measured': (f) =>
    `The outer sheath is not measured, so cable ${s(f, 'cable')} cannot be held against its record.`,
  'e27.overall-agrees': (f) =>
    `The sheath measures ${seen(f)}; cable ${s(f, 'cable')} is recorded as ${mm(n(f, 'recordMm'))}, ± ${mm(n(f, 'allowedMm'))} is allowed.`,
  'e27.overall-differs': (f) =>
    `The sheath measures ${seen(f)}; cable ${s(f, 'cable')} is recorded as ${mm(n(f, 'recordMm'))}, off by ${signed(n(f, 'differenceMm'))}, ± ${mm(n(f, 'allowedMm'))} is allowed: the wrong cable, the wrong record or a misreading.`,
  'e27.layers-agree': (f) =>
    `Armour and sheath together measure ${mm(n(f, 'foundMm'))}, the record gives ${mm(n(f, 'expectedMm'))}.`,
  'e27.layers-differ': (f) =>
    `Outer less inner sheath is ${mm(n(f, 'foundMm'))}; armour and sheath of cable ${s(f, 'cable')} give ${mm(n(f, 'expectedMm'))}, ± ${mm(n(f, 'allowedMm'))} is allowed: the wrong cable, the wrong record or a misreading.`,
};

/** What would settle an open question. */
const SETTLES: Record<string, string> = {
  'settle.take-three': 'Take three readings 60° apart where the part sits.',
  'settle.more-readings': 'More readings, a finer instrument or another size would settle it.',
  'settle.finer-instrument': 'Use a finer instrument.',
  'settle.other-instrument':
    'Read again with an instrument in calibration, then strike the reading out with that reason.',
  'settle.caliper': 'Take three caliper readings 60° apart.',
  'settle.repeatability': 'Find the instrument’s repeatability on this kind of sheath and record it.',
  'settle.certificate': 'Add the certificate to the dossier and name it on the entry.',
  'settle.size': 'Read the size on the gland and name it on the entry.',
  'settle.cable': 'Complete the cable’s record.',
  'settle.area': 'Complete the area’s record.',
  'settle.enclosure': 'Complete the enclosure’s record from its marking and certificate.',
  'settle.hole': 'Measure the hole and record its thread or diameter.',
  'settle.thread': 'Measure both the major diameter and the pitch.',
  'settle.taper': 'Compare two diameters along the thread: equal is parallel, shrinking is taper.',
  'settle.engagement': 'Unscrew and measure the engaged length.',
  'settle.ring-face': 'Open the clamp and record the letter of the face towards the box.',
  'settle.bond': 'Measure four-wire with one end disconnected.',
  'settle.bond-path': 'Say whether one end was disconnected.',
  'settle.sheet': 'Complete the certificate’s assembly sheet.',
  'settle.adaptors': 'Look between gland and wall and record every adaptor, or that there is none.',
  'settle.unused': 'Count the unused entries and record what closes each.',
  'settle.barrier': 'Complete enclosure, area and cable, or do a breathing test of a sample.',
  'settle.filling': 'Look at a cut end, or do a breathing test of a sample.',
  'settle.pour': 'Record batch, expiry, ratio, times and temperature of the mixing.',
  'settle.lowest': 'Read the lowest temperature since packing.',
  'settle.warm': 'Warm it above the sheet’s minimum and let the cure run again from then.',
  'settle.look-after-cure': 'Open it after the cure, look, mend voids, close it again.',
  'settle.reach': 'Open it and measure how far the compound reaches.',
  'settle.open-measure': 'Open the gland and measure it.',
  'settle.turns': 'Slacken to hand-tight, close it again and count the turns.',
  'settle.torque': 'Set the driver and read the torque at which it just moves on.',
  'settle.gap': 'Measure the gap under the back nut.',
  'settle.gap-again': 'Measure the gap again at three places, or the cable with a finer instrument.',
  'settle.value-finer': 'Read it again, or with a finer instrument.',
  'settle.washer': 'Measure the washer and record its thickness on the entry.',
  'settle.support': 'Measure from the back of the gland to the first clamp.',
  'settle.condition': 'Look, and tick it with a note or a photo.',
  'settle.open-look': 'Open it again, look or measure, and close it.',
  'settle.evidence': 'Add a note or a photo to the tick.',
  'settle.unaltered': 'Hold the entry against marks and photo of the sealed record.',
  'settle.bond-finer': 'Clean and retighten the joint, or measure with a finer meter.',
};

/** What the ring face that is in use would hold. */
const held = (f: Facts) =>
  f.holds === null ? 'nothing that the sheet lists' : `${s(f, 'holds')} of ${range(f)}`;
const armourOf = (f: Facts) => `${s(f, 'armour')} armour of ${mm(n(f, 'armourMm'))}`;

const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
/** A text of the record as the end of a sentence. */
const stop = (text: string) => `${text.replace(/\.+$/, '')}.`;
const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** The sentence of one aspect. */
export function sentence(aspect: Pick<Aspect, 'key' | 'facts'>): string {
  const write = SENTENCES[aspect.key];
  if (!write) throw new Error(`No sentence for ${aspect.key}`);
  return write(aspect.facts);
}

/** The statement of a finding: its worst aspect, then the others that do not conform. */
export function statement(finding: Finding): string {
  const said = [finding, ...finding.also].map(sentence).join(' ');
  return finding.record ? `${said} From the as-left record of ${day(finding.record)}.` : said;
}

/** What would settle an aspect; empty when nothing has to be settled. */
export const settling = (aspect: Pick<Aspect, 'settle'>): string =>
  aspect.settle === null ? '' : (SETTLES[aspect.settle] ?? '');

/** Keys of every sentence, for the tests. */
export const sentenceKeys = (): string[] => Object.keys(SENTENCES);
/** Keys of every settling text, for the tests. */
export const settleKeys = (): string[] => Object.keys(SETTLES);
