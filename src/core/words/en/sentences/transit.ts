import { count, day, mm } from '../format';
import type { Facts } from '../../../record/finding';
import { n, s, type Sentence, tool, readingsSaid } from './parts';

export const at = (f: Facts) => `opening ${s(f, 'opening')}, row ${s(f, 'row')}`;

export const block = (f: Facts) => `Cable ${s(f, 'cable')} (${at(f)})`;

export const side = (f: Facts) => (f.side === 'armour' ? 'on the armour side ' : '');

export const peeled = (f: Facts) => `${s(f, 'first')} + ${s(f, 'second')} layers`;

/** Sentences about transits of blocks, and of sleeves and sealant. */
export const TRANSIT: Record<string, Sentence> = {
  't.no-sheet': (f) => `Sheet ${s(f, 'sheet')} says nothing about blocks or sealant.`,
  't.no-frame': () => 'The frame and its openings are not recorded.',
  't.no-packing': () => 'How the frame is packed is not recorded.',
  't.no-size': (f) => `${block(f)}: the sheet has no block of ${mm(n(f, 'sizeMm'))}.`,
  't.unpacked': (f) => `Opening ${s(f, 'opening')}: how it is packed or plugged is not recorded.`,
  't.future': (f) => `The packing is dated ${day(s(f, 'at'))}, which is still to come.`,
  't.twice': (f) =>
    `Opening ${s(f, 'opening')}: cable ${s(f, 'cable')} lies in two places, and one cable has one bore.`,
  't.plug-and-cables': (f) => `Opening ${s(f, 'opening')} is recorded as plugged, and with cables.`,
  't.no-armour-side': (f) =>
    `${block(f)}: its armour or screen side is not recorded, and nobody confirmed that it has neither.`,
  't.not-measured': (f) =>
    `${block(f)}: its diameter ${side(f)}is not measured; its record does not stand in for that.`,
  't.disagree': (f) => `${block(f)}: readings ${side(f)}contradict each other: ${readingsSaid(f)}.`,
  't.few': (f) =>
    `${block(f)}: ${side(f)}${mm(n(f, 'meanMm'))} from ${count(n(f, 'readings'), 'reading')}, three are needed.`,
  't.repeatability': (f) =>
    `${block(f)}: ${side(f)}${mm(n(f, 'meanMm'))}, but the repeatability of ${tool(f)} is not known.`,
  't.past-calibration': (f) =>
    `${block(f)}: ${tool(f)} was past its calibration date ${s(f, 'until') ? day(s(f, 'until')) : ''} when read.`,
  't.outside-span': (f) => `${block(f)}: a reading lies outside the span of ${tool(f)}.`,
  't.found-out': (f) => `${block(f)}: ${tool(f)} was found to have run out at its next calibration.`,
  't.wrong-kind': (f) => `${block(f)}: ${tool(f)} cannot measure this.`,
  't.no-instrument': (f) => `${block(f)}: the instrument of a reading is not on record.`,
  's.no-record': (f) => `Cable ${s(f, 'cable')} in opening ${s(f, 'opening')} is not on record.`,
};
