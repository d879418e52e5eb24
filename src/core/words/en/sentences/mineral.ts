import { day, figure, mm, ohm } from '../format';
import { degrees, moment, n, s, type Sentence } from './parts';
import type { Facts } from '../../../record/finding';

const megohm = (value: number): string => `${figure(value, value < 10 ? 2 : 0)} MΩ`;
const least = (f: Facts) => `at least ${megohm(n(f, 'thresholdMegohm'))} is asked for`;
const WHY: Record<string, string> = {
  open: 'the far end was open',
  temperature: 'the end of the cable was too cold or too hot',
  saturated: 'the tester showed more than it can measure, and that proves less than is asked for',
};
const sheath = (f: Facts) =>
  `${figure(n(f, 'lengthM'))} m of ${figure(n(f, 'sheathMm2'))} mm² copper predict ${ohm(n(f, 'predictedOhm'))}`;
const path = (f: Facts) => `Sheath ${ohm(n(f, 'ohm'))} ± ${ohm(n(f, 'uncertaintyOhm'))}`;

/** Sentences about mineral-insulated ends. */
export const MINERAL: Record<string, Sentence> = {
  'e16.not-mineral': (f) =>
    `Cable ${s(f, 'cable')} is not recorded as mineral insulated; a ${s(f, 'kind')} takes no other.`,
  'e16.mineral': (f) =>
    `Cable ${s(f, 'cable')} is mineral insulated; a ${s(f, 'kind')} does not keep moisture out of it.`,
  'e26.bend': (f) =>
    `A bend of ${mm(n(f, 'radiusMm'))} radius; a sheath of ${mm(n(f, 'sheathMm'))} bears no less than ${mm(n(f, 'leastMm'))}.`,
  'm.not-recorded': (f) =>
    `Cable ${s(f, 'cable')} is not recorded as mineral insulated, so nothing of it is tested.`,
  'm.no-test': (f) => `No insulation test ${s(f, 'when')} is recorded for this end.`,
  'm.pairs': (f) => `Insulation ${s(f, 'when')}: ${s(f, 'pairs')} not read on ${day(s(f, 'at'))}.`,
  'm.invalid': (f) =>
    `Insulation ${s(f, 'when')} on ${day(s(f, 'at'))} says nothing about ${s(f, 'pairs')}: ${WHY[s(f, 'why')] ?? s(f, 'why')}.`,
  'm.short': (f) =>
    `Insulation ${s(f, 'when')}: ${s(f, 'pairs')} short, ${s(f, 'pair')} reads ${megohm(n(f, 'megohm'))}; ${least(f)}.`,
  'm.damp': (f) =>
    `Insulation ${s(f, 'when')}: ${s(f, 'pairs')} damp, ${s(f, 'pair')} reads ${megohm(n(f, 'megohm'))}; ${least(f)}.`,
  'm.sound': (f) =>
    `Insulation ${s(f, 'when')} on ${day(s(f, 'at'))}: the worst of ${n(f, 'pairs')} pairs, ${s(f, 'pair')}, reads ${megohm(n(f, 'megohm'))}; ${least(f)}.`,
  'm01.no-pot': (f) => `Sheet ${s(f, 'sheet')} says nothing about the pot of size ${s(f, 'size')}.`,
  'm01.no-stub': (f) =>
    `Cable ${s(f, 'cable')} is screened; the pot of size ${s(f, 'size')} has no place for its screen.`,
  'm01.no-path': (f) => `The path that cable ${s(f, 'cable')} has to fit is not recorded.`,
  'm04.one-test': () =>
    'Insulation before and after sealing cannot be compared: one of the tests is missing.',
  'm04.fell': (f) =>
    `${s(f, 'pair')} fell from ${megohm(n(f, 'beforeMegohm'))} before sealing to ${megohm(n(f, 'afterMegohm'))} on ${day(s(f, 'at'))}, both at 20 °C, by more than the factor ${figure(n(f, 'factor'))}.`,
  'm04.held': (f) => `No pair fell by more than the factor ${figure(n(f, 'factor'))} at sealing.`,
  'm05.not-sealed': () => 'When the pot was filled is not recorded.',
  'm05.in-time': (f) =>
    `Sealed ${figure(n(f, 'tookMin'), 0)} min after the oldest reading; ${figure(n(f, 'windowMin'), 0)} min are allowed.`,
  'm05.late': (f) =>
    `Sealed ${figure(n(f, 'tookMin'), 0)} min after the oldest reading; ${figure(n(f, 'windowMin'), 0)} min are allowed: the end may have drawn moisture meanwhile.`,
  'm06.none': (f) => `The conductors of cable ${s(f, 'cable')} have not been traced from end to end.`,
  'm06.missing': (f) => `Not traced from end to end: ${s(f, 'names')}.`,
  'm06.broken': (f) => `Nothing comes through at the far end of ${s(f, 'names')}.`,
  'm06.crossed': (f) => `Crossed: ${s(f, 'pairs')} at the far end.`,
  'm06.agrees': (f) => `All ${n(f, 'count')} conductors come out under their own sleeves.`,
  'm07.area-unknown': (f) =>
    `The copper sheath of cable ${s(f, 'cable')} has no cross-section on record, so nothing is predicted.`,
  'm07.not-measured': (f) => `The sheath is not measured as earth conductor; ${sheath(f)}.`,
  'm08.sheath-unknown': (f) =>
    `How hot the sheath of cable ${s(f, 'cable')} gets in service is not recorded.`,
  'm08.pot': (f) =>
    `Pot and compound bear ${degrees(n(f, 'maxC'))} °C; the ${s(f, 'from')} reaches ${degrees(n(f, 'hottestC'))} °C.`,
  'm08.class': (f) =>
    `The sheath reaches ${degrees(n(f, 'sheathC'))} °C; ${s(f, 'class')} allows ${degrees(n(f, 'limitC'))} °C.`,
  'm08.suits': (f) =>
    `Pot and compound bear ${degrees(n(f, 'maxC'))} °C; at most ${degrees(n(f, 'hottestC'))} °C is met.`,

  'm.unnamed': (f) =>
    `Cable ${s(f, 'cable')} has ${n(f, 'cores')} cores and ${n(f, 'names')} named conductors: a pair of the unnamed one would never be asked for.`,
  'm.future': (f) =>
    `The insulation test ${s(f, 'when')} is dated ${day(s(f, 'at'))}, which is still to come.`,
  'm02.late': (f) =>
    `${s(f, 'pairs')} of the test before sealing were read after the pot was filled at ${moment(s(f, 'sealedAt'))}: they say nothing about before.`,
  'm04.invalid': () =>
    'One of the tests before and after sealing says nothing, so there is no fall to judge.',
  'm05.backwards': (f) =>
    `The pot was filled ${figure(-n(f, 'tookMin'), 0)} min before the readings of the test before sealing: one of the times is wrong.`,
  'm05.future': (f) => `The pot was filled at ${moment(s(f, 'sealedAt'))}, which is still to come.`,
  'm06.future': (f) => `The tracing is dated ${day(s(f, 'at'))}, which is still to come.`,
  'm07.over': (f) =>
    `${path(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed. ${sheath(f)}: a joint or the sheath is broken.`,
  'm07.path-unknown': (f) => `${path(f)}, but whether one end was disconnected is not recorded.`,
  'm07.parallel': (f) => `${path(f)}, but parallel paths remain, so it proves nothing.`,
  'm07.low': (f) => `${path(f)} is far less than predicted: ${sheath(f)}; the current took another way.`,
  'm07.far': (f) =>
    `${path(f)} is more than ${figure(n(f, 'factor'), 1)} times the prediction: ${sheath(f)}; a joint is greasy, painted or slack.`,
  'm07.close': (f) => `${path(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed, nearer than the uncertainty.`,
  'm07.agrees': (f) =>
    `${path(f)}; ${sheath(f)}${f.limitOhm === null ? ', and no limit is set' : `, at most ${ohm(n(f, 'limitOhm'))} is allowed`}.`,
  'm08.no-class': (f) => `The temperature class of ${s(f, 'area')} is not recorded.`,
  'm08.no-dust': (f) =>
    `Ignition temperatures of cloud and layer in ${s(f, 'area')}, and the depth of the layer, are not all recorded.`,
  'm08.cloud': (f) =>
    `The sheath reaches ${degrees(n(f, 'sheathC'))} °C; two thirds of the cloud's ignition temperature are ${degrees(n(f, 'limitC'))} °C.`,
  'm08.layer': (f) =>
    `The sheath reaches ${degrees(n(f, 'sheathC'))} °C; under the layer's ignition temperature less 75 K, ${degrees(n(f, 'limitC'))} °C are allowed.`,
  'm08.deep-layer': (f) =>
    `Dust lies up to ${mm(n(f, 'dustLayerMm'))} deep in ${s(f, 'area')}: above 5 mm the standard's curve decides.`,
};
