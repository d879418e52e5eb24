import type { Facts } from '../../../record/finding';
import { answerTitle } from '../kinds/looks';
import { partIn, titleIn } from '../kinds/titles';
import { threadOf, when } from './terms';
import { day, figure, limits, mm, ohm, plusMinus } from '../format';

export type Sentence = (facts: Facts) => string;

export const n = (facts: Facts, name: string): number => Number(facts[name]);
export const s = (facts: Facts, name: string): string => String(facts[name] ?? '');

/** Keys that stand where a record has no name, or readings of a place several units. */
const NAMELESS: Record<string, string> = {
  'not-on-record': 'an instrument that is not on record',
  'as-read': 'as read',
};
const NAMELESS_KEY = new RegExp(`\\b(${Object.keys(NAMELESS).join('|')})\\b`, 'g');
const named = (text: string): string => text.replace(NAMELESS_KEY, (key) => NAMELESS[key]!);

/** The instrument that was read. */
export const tool = (f: Facts): string => named(s(f, 'instrument'));
/** Readings that contradict each other. */
export const readingsSaid = (f: Facts): string => named(s(f, 'said'));
export const range = (f: Facts) => limits(n(f, 'lowMm'), n(f, 'highMm'));
export const seen = (f: Facts) => plusMinus(n(f, 'meanMm'), n(f, 'uncertaintyMm'));
export const part = partIn;
export const title = titleIn;
/** What is measured, with its range where it has one. */
export const measured = (f: Facts) =>
  `${f.part === 'insulation' ? `Insulation ${when(f)}` : part(f)}${f.lowMm === undefined ? '' : `, ${f.lowMm} to ${f.highMm} mm`}`;
/** The answer that was given to a look. */
export const answered = (f: Facts) =>
  f.said === undefined ? answerTitle({ words: s(f, 'title') }, s(f, 'answer')) : s(f, 'said');
export const takes = (f: Facts) => `${part(f)} takes ${range(f)}`;
export const near = (f: Facts) => `${lower(threadOf(f))} ${s(f, 'gland')}, ${s(f, 'into')} ${s(f, 'hole')}`;
export const bond = (f: Facts) => `Bond ${ohm(n(f, 'ohm'))} ± ${ohm(n(f, 'uncertaintyOhm'))}`;
export const degrees = (value: number) => `${value < 0 ? '−' : ''}${Math.round(Math.abs(value) * 10) / 10}`;
export const signed = (value: number) => `${value < 0 ? '−' : '+'}${mm(Math.abs(value))}`;
const FROM: Record<string, string> = {
  measured: 'measured at full load and carried to the highest ambient',
  marked: 'marked on the enclosure',
  unmarked: 'the bound, nothing is marked',
  ambient: 'the highest ambient',
};
export const from = (f: Facts) => FROM[s(f, 'from')] ?? '';
export const expired = (f: Facts) =>
  `${tool(f)} was past its calibration date ${day(s(f, 'until'))} when read; the reading is kept and cannot count`;
export const outside = (f: Facts) => `a reading lies outside the span of ${tool(f)}`;

export const SEAL_WORDS: Record<string, string> = {
  'every-termination': 'at every termination',
  explosionproof: 'the enclosure has to be explosionproof',
};
const GAP_WORDS: Record<string, string> = {
  demands: 'whether the enclosure’s certificate asks for a barrier',
  shape: 'whether the cable is round',
  'gland-demands': 'whether the gland’s certificate asks for a barrier',
  breathing: 'which of the breathing test’s figure and mark is right',
  volume: 'the volume of the compartment',
  indirect: 'whether the entry is indirect',
  cable: 'the cable',
  filling: 'whether the cable is effectively filled',
  ignition: 'whether parts inside spark or run hot',
  group: 'the area’s group',
};
export const gaps = (f: Facts) =>
  s(f, 'missing')
    .split(', ')
    .map((word) => GAP_WORDS[word] ?? word)
    .join(', ');
/** Decimals of each unit. Chosen: what the instruments show. */
const DECIMALS: Record<string, number> = { mm: 2, turns: 2, 'N·m': 1 };
export const amount = (value: number, unit: string) => `${figure(value, DECIMALS[unit] ?? 2)} ${unit}`;
export const read = (f: Facts) =>
  `${figure(n(f, 'value'), DECIMALS[s(f, 'unit')])} ± ${amount(n(f, 'uncertainty'), s(f, 'unit'))}`;
export function allowed(f: Facts): string {
  const unit = s(f, 'unit');
  if (f.low === null) return `at most ${amount(n(f, 'high'), unit)} is asked for`;
  if (f.high === null) return `at least ${amount(n(f, 'low'), unit)} is asked for`;
  return `${figure(n(f, 'low'), DECIMALS[unit])} to ${amount(n(f, 'high'), unit)} is asked for`;
}
export const gap = (f: Facts) => `${mm(n(f, 'gapMm'))} ± ${mm(n(f, 'bandMm'))}`;
export const found = (f: Facts) => plusMinus(n(f, 'foundMm'), n(f, 'uncertaintyMm'));
export const moment = (iso: string) => (iso ? `${day(iso)} ${iso.slice(11, 16)} UTC` : 'an unknown time');

/** What the ring face that is in use would hold. */
export const held = (f: Facts) =>
  f.holds === null ? 'nothing that the sheet lists' : `${s(f, 'holds')} of ${range(f)}`;
export const armourOf = (f: Facts) => `${s(f, 'armour')} armour of ${mm(n(f, 'armourMm'))}`;

export const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
/** A text of the record as the end of a sentence. */
export const stop = (text: string) => `${text.replace(/\.+$/, '')}.`;
export const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
