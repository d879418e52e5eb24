import { day, figure } from '../format';
import { schoolWords } from '../kinds/titles';
import { n, s, degrees, moment, type Sentence, part } from './parts';

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
  'joint.no-school': (f) => `${part(f)}: sheet ${s(f, 'sheet')} does not say how it is closed.`,
  'joint.no-limits': (f) =>
    `${part(f)}: sheet ${s(f, 'sheet')} closes it ${schoolWords(s(f, 'school'))}, but gives no limits.`,
  'joint.by-gap': (f) => `${part(f)} is closed by its gap, which has a check of its own.`,
  'pour.order': (f) =>
    `${s(f, 'name')}: mixed ${moment(s(f, 'mixedAt'))}, packed ${moment(s(f, 'packedAt'))}, looked at ${moment(s(f, 'lookedAt'))}: one of the times is wrong.`,
  'pour.future': (f) => `${s(f, 'name')}: one of its times lies in the future.`,
};
