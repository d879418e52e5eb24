import type { InputKey } from '../../../quantity/error';
import { inputSentence } from '../inputs';
import { day, figure, mm, ohm } from '../format';
import { n, s, bond, degrees, gap, found, moment, stop, type Sentence } from './parts';

/** Sentences about how an entry is closed and kept: compound, joints, back nut, washer, bond, cover. */
export const CLOSING: Record<string, Sentence> = {
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
  'joint.no-school': (f) => `${s(f, 'part')}: sheet ${s(f, 'sheet')} does not say how it is closed.`,
  'joint.no-limits': (f) =>
    `${s(f, 'part')}: sheet ${s(f, 'sheet')} closes it by ${s(f, 'school')}, but gives no limits.`,
  'joint.by-gap': (f) => `${s(f, 'part')} is closed by its gap, which has a check of its own.`,

  'e19.no-rubber': (f) =>
    `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no seal data, so there is no scale for the gap.`,
  'e19.no-scale': (f) =>
    `Sheet ${s(f, 'sheet')} closes the outer seal by ${s(f, 'school')} and gives no scale for the gap.`,
  'e19.no-cable': () => 'The outer sheath is not measured, so the gap has no place on the scale.',
  'e19.impossible': (f) =>
    `For a cable of ${mm(n(f, 'cableMm'))} the scale has no gap. ${stop(inputSentence({ key: s(f, 'why') as InputKey, facts: {} }))}`,
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
  'e23b.not-measured': (f) =>
    `Bond from armour to wall is not measured; at most ${ohm(n(f, 'limitOhm'))} is allowed${f.expectedOhm === null ? '' : `, ${ohm(n(f, 'expectedOhm'))} is expected`}.`,

  'e23b.over': (f) => `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed.`,
  'e23b.path-unknown': (f) => `${bond(f)} is low, but whether one end was disconnected is not recorded.`,
  'e23b.parallel': (f) => `${bond(f)} is low, but parallel paths remain, so it proves nothing.`,
  'e23b.close': (f) =>
    `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed, nearer than the uncertainty.`,
  'e23b.agrees': (f) =>
    `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed across the joint, for which nothing is predicted.`,
  'pour.order': (f) =>
    `${s(f, 'name')}: mixed ${moment(s(f, 'mixedAt'))}, packed ${moment(s(f, 'packedAt'))}, looked at ${moment(s(f, 'lookedAt'))}: one of the times is wrong.`,
  'pour.future': (f) => `${s(f, 'name')}: one of its times lies in the future.`,
  'e17.look-early': (f) =>
    `The face was looked at on ${moment(s(f, 'at'))}, before the compound was cured at ${moment(s(f, 'lookAt'))}.`,
  'e17.mended-unrecorded': (f) =>
    `Voids were mended, and no second pour of ${s(f, 'name')} is recorded: batch, expiry, temperature and times.`,
  'e19.cable-disagrees': () =>
    'Readings of the outer sheath contradict each other, so the gap has no place on the scale.',
  'e22.contradiction': (f) =>
    `A washer of ${mm(n(f, 'washerMm'))} under ${s(f, 'thread')} is recorded, and the look says that none is fitted.`,
  'e22.thin': (f) =>
    `A washer of ${mm(n(f, 'washerMm'))} is fitted under ${s(f, 'thread')}; the sheet asks for ${mm(n(f, 'askedMm'))}.`,
  'e22.o-ring': (f) => `Certificate ${s(f, 'certificate')} seals by an O-ring, so no washer is asked for.`,
  'e22.no-o-ring': (f) => `Certificate ${s(f, 'certificate')} has no O-ring, so a washer is asked for.`,
  'e22.o-ring-unknown': (f) =>
    `Whether certificate ${s(f, 'certificate')} seals by an O-ring is not recorded.`,
};
