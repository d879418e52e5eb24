import type { Facts } from '../../../record/finding';
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

/** Where a level comes from that nobody marked. */
const implied = (f: Facts): string =>
  f.from === 'concept'
    ? ' (implied by the concept, none is marked)'
    : f.from === 'category'
      ? ' (by its category, no level is marked)'
      : '';

/** Sentences about what the records say of device, area, enclosure and cable. */
export const RECORD: Record<string, Sentence> = {
  'area.no-zone': (f) => `The zone of ${s(f, 'area')} is not recorded.`,
  'area.no-group': (f) => `The gas or dust group of ${s(f, 'area')} is not recorded.`,
  'area.unclassified': (f) => `${s(f, 'area')} is recorded as unclassified, so nothing is asked for.`,
  'record.blank': (f) => `Not recorded: ${s(f, 'what')} of ${s(f, 'of')}.`,
  'cable.none': () => 'No cable is recorded for this entry.',

  'e01.no-certificate': () => 'No certificate is named for this entry.',
  'e01.other-kind': (f) =>
    `Certificate ${s(f, 'certificate')} covers ${s(f, 'covers')}, the entry is a ${s(f, 'kind')}.`,
  'e01.no-size': (f) => `No size of certificate ${s(f, 'certificate')} is named for this entry.`,
  'e01.size-not-listed': (f) => `Certificate ${s(f, 'certificate')} lists no size ${s(f, 'size')}.`,
  'e01.covered': (f) => `Size ${s(f, 'size')} is covered by certificate ${s(f, 'certificate')}.`,

  'e06.sealing-unknown': (f) =>
    `${s(f, 'enclosure')} is of protection ${s(f, 'concept')}, and whether the gland counts as a sealing gland is not recorded.`,

  'e02.no-level': (f) =>
    `${upper(s(f, 'said'))} takes ${s(f, 'accepted')}; the certificate names no level and no concept that implies one.`,

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

  'e09.unknown': () => 'Whether adaptors stand between gland and wall is not recorded.',
  'e09.none': () => 'No adaptor stands between gland and wall.',
  'e09.several': (f) =>
    `${n(f, 'count')} adaptors stand between gland and flameproof wall; at most 1 is allowed.`,
  'e09.reducers': (f) => `${n(f, 'reducers')} reducers are screwed into each other; 1 is the most.`,
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

  'e25.none': (f) => `Certificate ${s(f, 'certificate')} has no special conditions.`,
  'e25.open': (f) => `Special condition ${n(f, 'number')} is not ticked: ${stop(s(f, 'text'))}`,
  'e25.not-met': (f) =>
    `Special condition ${n(f, 'number')} is not met, seen by ${s(f, 'by')}: ${stop(s(f, 'text'))}`,
  'e25.no-evidence': (f) =>
    `Special condition ${n(f, 'number')} is ticked without evidence: ${stop(s(f, 'text'))}`,
  'e25.met': (f) =>
    `Special condition ${n(f, 'number')} is met, seen by ${s(f, 'by')}${f.note ? ` (${s(f, 'note')})` : ', with a photo'}.`,
  'e28.broken': (f) =>
    `The ${f.what === 'asleft' ? 'as-left record' : 'inspection'} that ${s(f, 'by')} sealed on ${day(s(f, 'sealedAt'))} does not match its seal: it was changed since, and speaks for nothing.`,
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

  'area.dust-group': (f) =>
    `${s(f, 'area')}: zone and group contradict each other: dust has a group of dust, gas one of gas.`,
  'area.division': (f) =>
    `${s(f, 'area')}: class, division and group contradict each other (groups A to D are gas, E to G dust; group E has no Division 2).`,
  'area.beside': (f) => `${s(f, 'area')}: what is recorded beside its zone contradicts it.`,
  'cable.armour-twice': (f) =>
    `Cable ${s(f, 'cable')} is recorded with ${s(f, 'type')} armour, and as unarmoured by ${s(f, 'by')} on ${day(s(f, 'on'))}: one of the two is wrong.`,
  'old.failed': (f) =>
    `Failed when it was last asked, on ${day(s(f, 'at'))}, and nobody has answered it since.`,
  'e01.component': (f) =>
    `Certificate ${s(f, 'certificate')} is one of a component (U), not of equipment: it counts only where the enclosure's certificate covers the part.`,
  'e01.future': (f) =>
    `Certificate ${s(f, 'certificate')} is dated ${day(s(f, 'issued'))}, which is still to come.`,
  'e01.size-twice': (f) =>
    `The sheet of certificate ${s(f, 'certificate')} gives size ${s(f, 'size')} in ${n(f, 'lines')} lines, and nobody can tell which is meant.`,
  'e01.superseded': (f) =>
    `Certificate ${s(f, 'certificate')} is superseded: what is installed may stay, new parts follow the new one.`,
  'e01.withdrawn': (f) => `Certificate ${s(f, 'certificate')} was withdrawn for reasons of safety.`,
  'e01.withdrawn-other': (f) =>
    `Certificate ${s(f, 'certificate')} was withdrawn, not for reasons of safety; new parts need another one.`,
  'e01.withdrawn-why': (f) => `Certificate ${s(f, 'certificate')} was withdrawn; why is not recorded.`,
  'e02.suits': (f) =>
    `Level ${s(f, 'has')}${implied(f)} suits ${s(f, 'said')}, which takes ${s(f, 'accepted')}.`,
  'e02.not-suited': (f) =>
    `${upper(s(f, 'said'))} takes ${s(f, 'accepted')}; the gland has ${s(f, 'has')}${implied(f)}.`,
  'e03.not-listed': (f) =>
    `The area asks for group ${s(f, 'asked')}; the certificate is listed for ${s(f, 'has')}, and its zone marking is not accepted here.`,
  'e04.ambient-reversed': (f) =>
    `The ambient range of ${s(f, 'area')} runs from ${degrees(n(f, 'coldestC'))} to ${degrees(n(f, 'hottestC'))} °C: its limits are the wrong way round.`,
  'e04.bound': (f) =>
    `${s(f, 'part')} bears ${degrees(n(f, 'maxC'))} °C; nothing is marked, so up to ${degrees(n(f, 'worstC'))} °C may be met: that is a bound, not a reading.`,
  'e04.cable-cold': (f) =>
    `The area reaches ${degrees(n(f, 'coldestC'))} °C; how cold cable ${s(f, 'cable')} may get is not recorded.`,
  'e04.cable-unknown': (f) => `How hot cable ${s(f, 'cable')} may get is not recorded.`,
  'e04.too-cold': (f) =>
    `${s(f, 'part')} serves down to ${degrees(n(f, 'minC'))} °C; the area reaches ${degrees(n(f, 'coldestC'))} °C.`,
  'e05.type-unknown': (f) =>
    `${s(f, 'tag')} is marked type ${s(f, 'type')}; the site's table of types does not say which rating that is.`,
  'e06.enclosure-unmarked': (f) =>
    `No protection against ${s(f, 'against') || 'gas'} is recorded for ${s(f, 'enclosure')}.`,
  'e06.circuits-unknown': (f) =>
    `Whether ${s(f, 'enclosure')} (${s(f, 'concept')}) holds nothing but intrinsically safe circuits is not recorded.`,
  'e06.compartment': (f) =>
    `${s(f, 'enclosure')} is marked ${s(f, 'concepts')}; which compartment this entry opens into is not recorded.`,
  'e06.building-wall': (f) =>
    `${s(f, 'tag')} is a ${s(f, 'where')} of the building, no enclosure: its approval counts.`,
  'e06.listed': (f) => `Listed for ${s(f, 'said')}, as ${s(f, 'enclosure')} asks.`,
  'e06.not-listed': (f) =>
    `${s(f, 'enclosure')} asks for an entry listed for ${s(f, 'said')}; this one is not.`,
  'e06.no-listing-asked': (f) => `${s(f, 'enclosure')} asks for no listed entry in ${s(f, 'said')}.`,
  'e09.not-suited': (f) =>
    `The ${s(f, 'name')} is in ${s(f, 'has') || 'no protection'}; an enclosure in ${s(f, 'concept')} takes ${s(f, 'allowed')}.`,
  'e09.not-listed': (f) =>
    `The ${s(f, 'name')} is not listed for ${s(f, 'said')}, as ${s(f, 'enclosure')} asks.`,
  'e10.not-suited': (f) =>
    `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} has ${s(f, 'has')}, which does not suit protection ${s(f, 'concept')}.`,
  'e10.not-listed': (f) =>
    `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} is not listed for ${s(f, 'said')}.`,
  'e10.component': (f) =>
    `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} has certificate ${s(f, 'certificate')} of a component (U), which is none of equipment.`,
  'e10.contradiction-none': (f) =>
    `No unused entry of ${s(f, 'tag')} is recorded, and the look says that all are closed as recorded.`,
  'e10.engaged': (f) =>
    `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} engages ${mm(n(f, 'engagedMm'))}, ${count(n(f, 'threads'), 'full thread')}; ${n(f, 'requiredThreads')}${f.requiredDepthMm === null ? '' : ` and ${mm(n(f, 'requiredDepthMm'))}`} are needed.`,
  'e10.group': (f) =>
    `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} is for ${s(f, 'has')}; the area asks for ${s(f, 'asked')}.`,
  'e10.ingress': (f) =>
    `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} has ${s(f, 'has')}; the enclosure is ${s(f, 'asked')}.`,
  'e10.level': (f) =>
    `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} has level ${s(f, 'has')}, which does not suit ${s(f, 'said')}.`,
  'e10.not-known': (f) =>
    `Of the plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} is not recorded: ${s(f, 'what')}.`,
  'e10.thread': (f) =>
    `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} is ${s(f, 'plug')}, the entry ${s(f, 'hole')}.`,
  'e15.no-raceway': () => 'Dust asks for no seal at a cable, and no raceway ends here.',
  'e15.raceway': (f) => `The raceway is closed against dust (${s(f, 'means')}).`,
  'e15.raceway-not-asked': (f) =>
    `${s(f, 'tag')} is not dust-ignitionproof, so its raceway asks for no seal.`,
  'e15.raceway-open': (f) => `The raceway into ${s(f, 'tag')} is not closed against dust.`,
  'e15.raceway-unknown': (f) => `What closes the raceway into ${s(f, 'tag')} against dust is not recorded.`,
  'e16.breathing-contradicts': (f) =>
    `The breathing test of cable ${s(f, 'cable')} is marked against its own figure (${figure(n(f, 'halfTimeS'), 1)} s; 5 s are needed).`,
  'e16.other-area': (f) =>
    `Both ends are said to be in one area; cable ${s(f, 'cable')} ends in ${s(f, 'tag')}, entry ${s(f, 'label')}, which is in another.`,
  'e25.not-listed': (f) =>
    `Certificate ${s(f, 'certificate')} carries an X, and its special conditions are not on file.`,
  'e27.disagree': (f) =>
    `Readings of cable ${s(f, 'cable')} contradict each other, so it cannot be held against its record.`,
  'e27.ends': (f) => `Cable ${s(f, 'cable')} has two ends, and it is recorded in ${s(f, 'places')} too.`,
  'e28.there-is-none': () => 'The look says that it is as it was sealed; nothing was ever sealed here.',
};
