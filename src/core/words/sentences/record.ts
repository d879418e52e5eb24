import { count, day, figure, mm } from '../format';
import {
  n,
  s,
  range,
  seen,
  degrees,
  signed,
  from,
  SEAL_WORDS,
  gaps,
  upper,
  stop,
  type Sentence,
} from './parts';

/** Sentences about what the records say of device, area, enclosure and cable. */
export const RECORD: Record<string, Sentence> = {
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
