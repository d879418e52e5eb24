import { day, figure } from '../format';
import { n, s, type Sentence } from './parts';
import type { Facts } from '../../../record/finding';
import { when } from './terms';

export const megohm = (value: number): string => `${figure(value, value < 10 ? 2 : 0)} MΩ`;

const least = (f: Facts) => `at least ${megohm(n(f, 'thresholdMegohm'))} is asked for`;

const WHY: Record<string, string> = {
  open: 'the far end was open',
  temperature: 'the end of the cable was too cold or too hot',
  saturated: 'the tester showed more than it can measure, and that proves less than is asked for',
};

/** Sentences about mineral-insulated ends. */
export const MINERAL: Record<string, Sentence> = {
  'm.not-recorded': (f) =>
    `Cable ${s(f, 'cable')} is not recorded as mineral insulated, so nothing of it is tested.`,
  'm.no-test': (f) => `No insulation test ${when(f)} is recorded for this end.`,
  'm.pairs': (f) => `Insulation ${when(f)}: ${s(f, 'pairs')} not read on ${day(s(f, 'at'))}.`,
  'm.invalid': (f) =>
    `Insulation ${when(f)} on ${day(s(f, 'at'))} says nothing about ${s(f, 'pairs')}: ${WHY[s(f, 'why')] ?? s(f, 'why')}.`,
  'm.short': (f) =>
    `Insulation ${when(f)}: ${s(f, 'pairs')} short, ${s(f, 'pair')} reads ${megohm(n(f, 'megohm'))}; ${least(f)}.`,
  'm.damp': (f) =>
    `Insulation ${when(f)}: ${s(f, 'pairs')} damp, ${s(f, 'pair')} reads ${megohm(n(f, 'megohm'))}; ${least(f)}.`,
  'm.sound': (f) =>
    `Insulation ${when(f)} on ${day(s(f, 'at'))}: the worst of ${n(f, 'pairs')} pairs, ${s(f, 'pair')}, reads ${megohm(n(f, 'megohm'))}; ${least(f)}.`,
  'm.unnamed': (f) =>
    `Cable ${s(f, 'cable')} has ${n(f, 'cores')} cores and ${n(f, 'names')} named conductors: a pair of the unnamed one would never be asked for.`,
  'm.future': (f) => `The insulation test ${when(f)} is dated ${day(s(f, 'at'))}, which is still to come.`,
};
