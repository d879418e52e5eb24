import { count, day, figure, mm, ohm } from '../format';
import type { Facts } from '../../../record/finding';
import { n, range, s, stop, type Sentence } from './parts';

const at = (f: Facts) => `opening ${s(f, 'opening')}, row ${s(f, 'row')}`;
const block = (f: Facts) => `Cable ${s(f, 'cable')} (${at(f)})`;
const side = (f: Facts) => (f.side === 'armour' ? 'on the armour side ' : '');
const peeled = (f: Facts) => `${s(f, 'first')} + ${s(f, 'second')} layers`;
const right = (f: Facts) =>
  f.right === null ? 'no number of layers fits this block' : `${s(f, 'right')} would be right`;
const wedge = (f: Facts) =>
  `Opening ${s(f, 'opening')}: the wedge reads ${mm(n(f, 'wedgeMm'))}; ${range(f)} is home`;
const left = (f: Facts) =>
  `Opening ${s(f, 'opening')}: rows and plates leave ${mm(n(f, 'leftMm'))}; the compression unit needs ${range(f)}`;
const bond = (f: Facts) =>
  `${block(f)}: ${ohm(n(f, 'ohm'))} ± ${ohm(n(f, 'uncertaintyOhm'))} from armour to earth`;
const farSide = (f: Facts) => (f.side === 'far' ? ', far side' : '');

/** Sentences about transits of blocks, and of sleeves and sealant. */
export const TRANSIT: Record<string, Sentence> = {
  'e01.approved': (f) => `The transit is covered by approval ${s(f, 'certificate')}.`,
  't.no-sheet': (f) => `Sheet ${s(f, 'sheet')} says nothing about blocks or sealant.`,
  't.no-frame': () => 'The frame and its openings are not recorded.',
  't.no-packing': () => 'How the frame is packed is not recorded.',
  't.no-size': (f) => `${block(f)}: the sheet has no block of ${mm(n(f, 'sizeMm'))}.`,
  't01.unread': (f) => `${block(f)}: its diameter ${side(f)}is not known.`,
  't01.range': (f) =>
    `${block(f)}: ${side(f)}${mm(n(f, 'meanMm'))} ± ${mm(n(f, 'uncertaintyMm'))} is no diameter that its block takes.`,
  't01.takes': (f) =>
    `Every cable lies in a block that takes it (${count(n(f, 'count'), 'side')} looked at).`,
  't02.unread': (f) => `${block(f)}: the layers ${side(f)}are not counted.`,
  't02.wide': (f) =>
    `${block(f)}: ${side(f)}${peeled(f)} leave a gap of ${mm(n(f, 'gapMm'))}; ${range(f)} is asked for, so more must come out; ${right(f)}.`,
  't02.tight': (f) =>
    `${block(f)}: ${side(f)}${peeled(f)} ${n(f, 'gapMm') < 0 ? `leave a bore ${mm(-n(f, 'gapMm'))} wider than the cable` : `leave a gap of ${mm(n(f, 'gapMm'))}`}; a gap of ${range(f)} is asked for, so it is loose; ${right(f)}.`,
  't02.daylight': (f) => `${block(f)}: ${side(f)}daylight between the halves or at the cable.`,
  't02.right': (f) => `The layers leave the gap of the sheet on every side (${n(f, 'count')}).`,
  't03.unread': (f) => `${block(f)}: the layers ${side(f)}are not counted.`,
  't03.difference': (f) =>
    `${block(f)}: ${side(f)}${peeled(f)}; the halves may differ by ${n(f, 'difference')}.`,
  't03.alike': (f) => `Both halves are peeled alike on every side (${n(f, 'count')}).`,
  't04.unread': (f) => `${block(f)}: the layers ${side(f)}are not counted.`,
  't04.last-layer': (f) => `${block(f)}: ${side(f)}${peeled(f)}: the layer that must stay is gone.`,
  't04.stays': (f) => `The layers that must stay are there on every side (${n(f, 'count')}).`,
  't05.width': (f) =>
    `${at(f).replace('opening', 'Opening')}: ${mm(Math.abs(n(f, 'missingMm')))} of its width ${n(f, 'missingMm') > 0 ? 'is empty' : 'too much'}.`,
  't05.plate': (f) => `${at(f).replace('opening', 'Opening')} has no stay plate.`,
  't05.plate-unread': (f) => `${at(f).replace('opening', 'Opening')}: nobody looked for its stay plate.`,
  't05.core': (f) => `${at(f).replace('opening', 'Opening')}: a spare block has lost its core.`,
  't05.core-unread': (f) =>
    `${at(f).replace('opening', 'Opening')}: nobody looked for the core of a spare block.`,
  't05.complete': () => 'Rows are full, plates and cores are in.',
  't06.too-little': (f) => `${left(f)}: a row or a plate too many.`,
  't06.too-much': (f) => `${left(f)}: a row or a plate too few.`,
  't06.unread': (f) => `Opening ${s(f, 'opening')}: the wedge is not read.`,
  't06.short': (f) => `${wedge(f)}: a row too many, or blocks not home.`,
  't06.far': (f) => `${wedge(f)}: it travelled too far, a row or a block is missing.`,
  't06.home': (f) => `${wedge(f)}.`,
  't07.room': (f) => `${count(n(f, 'count'), 'spare block')} for further cables.`,
  't07.none': () => 'No spare block is left: one more cable cannot be taken in.',
  't09.unread': (f) =>
    `${block(f)}: the path from its armour to earth is not measured; at most ${ohm(n(f, 'limitOhm'))} is allowed.`,
  't09.low': (f) => `${count(n(f, 'count'), 'armour')} measured, each below ${ohm(n(f, 'limitOhm'))}.`,
  's01.fill': (f) =>
    `Opening ${s(f, 'opening')} is filled to ${figure(n(f, 'fillPct'), 1)} %; at most ${figure(n(f, 'mostPct'), 1)} % is allowed.`,
  's01.full': (f) =>
    `Opening ${s(f, 'opening')} is filled to ${figure(n(f, 'fillPct'), 1)} %; at most ${figure(n(f, 'mostPct'), 1)} % is allowed.`,
  's01.wraps': (f) => `Opening ${s(f, 'opening')} has no room for the cables with their sleeves.`,
  's02.cables': (f) =>
    `${s(f, 'cable')} lie ${mm(n(f, 'apartMm'))} apart in opening ${s(f, 'opening')}; at least ${mm(n(f, 'leastMm'))} is asked for.`,
  's02.wall': (f) =>
    `${s(f, 'cable')} lies ${mm(n(f, 'apartMm'))} from the wall of opening ${s(f, 'opening')}; at least ${mm(n(f, 'leastMm'))} is asked for.`,
  's02.kept': (f) =>
    `Opening ${s(f, 'opening')}: cables at least ${mm(n(f, 'apartMm'))} apart, ${mm(n(f, 'wallMm'))} from the wall.`,

  't.unpacked': (f) => `Opening ${s(f, 'opening')}: how it is packed or plugged is not recorded.`,
  't.future': (f) => `The packing is dated ${day(s(f, 'at'))}, which is still to come.`,
  't.twice': (f) =>
    `Opening ${s(f, 'opening')}: cable ${s(f, 'cable')} lies in two places, and one cable has one bore.`,
  't.plug-and-cables': (f) => `Opening ${s(f, 'opening')} is recorded as plugged, and with cables.`,
  't.no-armour-side': (f) =>
    `${block(f)}: its armour or screen side is not recorded, and nobody confirmed that it has neither.`,
  't.not-measured': (f) =>
    `${block(f)}: its diameter ${side(f)}is not measured; its record does not stand in for that.`,
  't.disagree': (f) => `${block(f)}: readings ${side(f)}contradict each other: ${s(f, 'said')}.`,
  't.few': (f) =>
    `${block(f)}: ${side(f)}${mm(n(f, 'meanMm'))} from ${count(n(f, 'readings'), 'reading')}, three are needed.`,
  't.repeatability': (f) =>
    `${block(f)}: ${side(f)}${mm(n(f, 'meanMm'))}, but the repeatability of ${s(f, 'instrument')} is not known.`,
  't.past-calibration': (f) =>
    `${block(f)}: ${s(f, 'instrument')} was past its calibration date ${s(f, 'until') ? day(s(f, 'until')) : ''} when read.`,
  't.outside-span': (f) => `${block(f)}: a reading lies outside the span of ${s(f, 'instrument')}.`,
  't.found-out': (f) =>
    `${block(f)}: ${s(f, 'instrument')} was found to have run out at its next calibration.`,
  't.wrong-kind': (f) => `${block(f)}: ${s(f, 'instrument')} cannot measure this.`,
  't.no-instrument': (f) => `${block(f)}: the instrument of a reading is not on record.`,
  't01.shape': (f) =>
    `${block(f)} is ${s(f, 'shape')}; the bores of this system take ${s(f, 'shapes')} cable.`,
  't02.daylight-unseen': (f) => `${block(f)}: ${side(f)}nobody looked for daylight.`,
  't05.column': (f) =>
    `${at(f).replace('opening', 'Opening')}, column ${n(f, 'column')}: ${count(n(f, 'have'), 'block')} in a row of ${mm(n(f, 'heightMm'))}, ${figure(n(f, 'wanted'), 1)} fill it.`,
  't05.two-sides': () =>
    'The frame is recorded as closed on two sides, and the look says that its sheet asks for one.',
  't06.bolts-early': (f) =>
    `The bolts were checked again sooner than ${n(f, 'relaxH')} h after they were tightened.`,
  't06.bolts-due': (f) =>
    `The sheet's ${figure(n(f, 'relaxH'), 0)} h are over since ${day(s(f, 'due'))}: the bolts have not been checked again.`,
  't09.over': (f) => `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed.`,
  't09.path-unknown': (f) => `${bond(f)}, but whether one end was disconnected is not recorded.`,
  't09.parallel': (f) => `${bond(f)}, but parallel paths remain, so it proves nothing.`,
  't09.close': (f) => `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed, nearer than the uncertainty.`,
  't09.agrees': (f) => `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed.`,
  't10.unseen': (f) => `Frame in the wall: cannot be seen from here: ${stop(s(f, 'reason'))}`,
  't10.unseen-why': () => 'Frame in the wall: said to be out of sight, without the reason.',
  's.no-record': (f) => `Cable ${s(f, 'cable')} in opening ${s(f, 'opening')} is not on record.`,
  's03.unread': (f) =>
    `Opening ${s(f, 'opening')}${farSide(f)}: the sealant’s depth is measured at ${count(n(f, 'count'), 'point')}; three are needed, ${mm(n(f, 'depthMm'))} is asked for.`,
  's03.shallow': (f) =>
    `Opening ${s(f, 'opening')}${farSide(f)}: the sealant is ${mm(n(f, 'leastMm'))} deep at one point; ${mm(n(f, 'depthMm'))} is asked for.`,
  's03.deep': (f) =>
    `Opening ${s(f, 'opening')}${farSide(f)}: at least ${mm(n(f, 'leastMm'))} of sealant at ${count(n(f, 'count'), 'point')}; ${mm(n(f, 'depthMm'))} is asked for.`,
  's03.wall': (f) =>
    `Opening ${s(f, 'opening')}: the wall of ${mm(n(f, 'wallDepthMm'))} is shallower than ${mm(n(f, 'depthMm'))} of sealant on ${count(n(f, 'sides'), 'side')}.`,
  's03.sleeves': (f) =>
    `Opening ${s(f, 'opening')}: sleeves and sealant need ${mm(n(f, 'neededMm'))}, the wall is ${mm(n(f, 'wallDepthMm'))} deep; to which length the sleeves were cut is not recorded.`,
};
