import type { Aspect, Facts, Finding } from '../rulebook/finding';
import { count, day, figure, limits, mm, ohm, plusMinus } from './format';

type Sentence = (facts: Facts) => string;

const n = (facts: Facts, name: string): number => Number(facts[name]);
const s = (facts: Facts, name: string): string => String(facts[name] ?? '');

const range = (f: Facts) => limits(n(f, 'lowMm'), n(f, 'highMm'));
const seen = (f: Facts) => plusMinus(n(f, 'meanMm'), n(f, 'uncertaintyMm'));
const takes = (f: Facts) => `${s(f, 'part')} takes ${range(f)}`;
const near = (f: Facts) => `gland ${s(f, 'gland')}, hole ${s(f, 'hole')}`;
const bond = (f: Facts) => `Bond ${ohm(n(f, 'ohm'))} ± ${ohm(n(f, 'uncertaintyOhm'))}`;
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
    `Zone ${s(f, 'zone')} takes ${s(f, 'accepted')}; the certificate names no level and no concept that implies one.`,
  'e02.suits': (f) =>
    `Level ${s(f, 'has')}${f.implied ? ' (implied by the concept, none is marked)' : ''} suits zone ${s(f, 'zone')}, which takes ${s(f, 'accepted')}.`,
  'e02.not-suited': (f) =>
    `Zone ${s(f, 'zone')} takes ${s(f, 'accepted')}; the gland has ${s(f, 'has')}${f.implied ? ' (implied by the concept)' : ''}.`,

  'e03.none-marked': (f) => `The area asks for ${s(f, 'asked')}; the certificate names no group.`,
  'e03.covered': (f) => `Group ${s(f, 'has')} covers ${s(f, 'asked')}.`,
  'e03.not-covered': (f) => `The area asks for ${s(f, 'asked')}; the gland is for ${s(f, 'has')}.`,

  'e04.ambient': (f) =>
    `The gland serves ${n(f, 'leastC')} to ${n(f, 'mostC')} °C; the area reaches ${n(f, 'coldestC')} to ${n(f, 'hottestC')} °C.`,
  'e04.too-hot': (f) =>
    `${s(f, 'part')} bears ${n(f, 'maxC')} °C; the entry reaches ${n(f, 'worstC')} °C (${from(f)}), ${figure(n(f, 'worstC') - n(f, 'maxC'), 1)} °C too hot.`,
  'e04.suits': (f) =>
    `The entry reaches ${n(f, 'worstC')} °C (${from(f)}); the weakest part, ${s(f, 'part').toLowerCase()}, bears ${n(f, 'maxC')} °C; ambient ${n(f, 'coldestC')} to ${n(f, 'hottestC')} °C is within ${n(f, 'leastC')} to ${n(f, 'mostC')} °C.`,

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
  'e07.agree': (f) => `Gland and hole are both declared ${s(f, 'gland')}.`,
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
    `${s(f, 'part')} is certified for ${s(f, 'shapes')} cable; the record says ${s(f, 'shape')}.`,
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

  'e12.no-seal': (f) => `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no inner seal.`,
  'e13.unarmoured': (f) =>
    `Cable ${s(f, 'cable')} has no armour (confirmed by ${s(f, 'by')} on ${day(s(f, 'on'))}); an armoured gland has nothing to clamp.`,
  'e13.armour-unknown': (f) => `The armour of cable ${s(f, 'cable')} is not recorded.`,
  'e13.not-listed': (f) =>
    `Cable ${s(f, 'cable')} has ${s(f, 'armour')} armour; certificate ${s(f, 'certificate')} lists ${s(f, 'listed')} for size ${s(f, 'sizes')}.`,
  'e13.face-unknown': (f) =>
    `Which face of the ring is towards the box is not recorded; ${s(f, 'armour')} needs its own.`,
  'e13.wrong-face': (f) =>
    `Ring face ${s(f, 'face')} is towards the box; ${s(f, 'armour')} armour of cable ${s(f, 'cable')} needs face ${s(f, 'wanted')}.`,

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
  'settle.bond-finer': 'Clean and retighten the joint, or measure with a finer meter.',
};

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** The sentence of one aspect. */
export function sentence(aspect: Pick<Aspect, 'key' | 'facts'>): string {
  const write = SENTENCES[aspect.key];
  if (!write) throw new Error(`No sentence for ${aspect.key}`);
  return write(aspect.facts);
}

/** The statement of a finding: its worst aspect, then the others that do not conform. */
export const statement = (finding: Finding): string => [finding, ...finding.also].map(sentence).join(' ');

/** What would settle an aspect; empty when nothing has to be settled. */
export const settling = (aspect: Pick<Aspect, 'settle'>): string =>
  aspect.settle === null ? '' : (SETTLES[aspect.settle] ?? '');

/** Keys of every sentence, for the tests. */
export const sentenceKeys = (): string[] => Object.keys(SENTENCES);
/** Keys of every settling text, for the tests. */
export const settleKeys = (): string[] => Object.keys(SETTLES);
