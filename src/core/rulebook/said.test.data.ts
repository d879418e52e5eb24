import type { Certificate, Entry, Joint, UnusedEntry } from '../record/types';
import { reading, SEALED_READINGS, soundBlock, SOUND_TRANSIT, type Change } from './sound-entry.test.data';

const AT = '2026-03-04T10:00:00.000Z';
const EARLIER = '2026-03-04T08:00:00.000Z';

const B: Change = { kind: 'gland-barrier' };
const M: Change = { kind: 'mi-pot' };
const TB: Change = { kind: 'transit-block' };
const TS: Change = { kind: 'transit-sealant' };
const TX: Change = { kind: 'transit-block-bonded' };
const RULE: Change = { site: { acceptance: 'simple' } };
const DIVISION = (of: 'I' | 'II', group: 'C' | 'G'): Change => ({
  site: { scheme: 'divisions' },
  area: { division: { class: of, division: 1, group } },
});
const hole = (hole: Entry['hole']): Change => ({ entry: { hole } });
const clearance = (diameterMm: number | null): Change => ({
  enclosure: { concepts: ['eb'] },
  ...hole({ form: 'clearance', thread: 'M25x1.5', diameterMm, chamfersMm: 0 }),
});
const thread = (majorMm: number, pitchMm: number, more: Change = {}): Change => ({
  truth: { 'thread-major': [majorMm], 'thread-pitch': [pitchMm] },
  ...more,
});
const plug = (change: Partial<UnusedEntry>): Change => ({
  enclosure: {
    unused: [{ label: 'Z', closure: 'plug', needsTool: true, inAdaptor: false, concepts: ['db'], certificate: 'FRN 24.0601', levels: ['Gb'], groups: ['IIC'], divisions: [], thread: 'M25x1.5', hole: 'M25x1.5', ingress: 'IP66', engagedMm: 11, ...change }],
  },
  looks: { 'unused-entries': 'yes' },
}); // prettier-ignore
const sister = (label: string, change: Partial<Entry> = {}): Entry =>
  ({ ...SISTER, id: `e-${label}`, label, ...change }) as Entry;
const SISTER = {
  site: 's', enclosure: 'b', label: 'A0', kind: 'gland-double-seal', certificate: null, size: null, cable: null, ringFace: null,
  hole: { form: null, thread: null, diameterMm: null, chamfersMm: null }, washerMm: null, adaptors: null, joint: null,
}; // prettier-ignore
const gapOuter: Joint[] = [{ joint: 'outer-seal', school: 'gap', range: null }];
const wall = (wallDepthMm: number): Entry['frame'] => ({
  where: 'wall', wallDepthMm, sides: 1, otherArea: null, openings: [{ label: '1', shape: 'rect', widthMm: 200, heightMm: 150 }],
}); // prettier-ignore
const unlisted: Partial<Certificate> = { divisions: [{ class: 'I', division: 1, groups: ['C', 'D'] }] };

/** What makes a check say each sentence that no case of an outcome has said: the key, the change, the time of judging. */
export const SAID: [key: string, change: Change, at?: string][] = [
  ['record.blank', { certificate: { ingress: null } }],
  ['area.beside', { area: { zone: '1', beside: { zone: '2', group: 'IIB' } } }],
  ['fit.probability', { ...RULE, truth: { 'outer-sheath': [24.09, 24.1, 24.09] } }],
  ['fit.ovality-unknown', { size: { outer: { rangeMm: [16.9, 24.1], ovalityPct: null, maxC: 95, minC: null, coldFlow: false, shapes: ['round'] } } }],
  ['pot.no-size', { ...B, entry: { size: null } }],
  ['pot.too-thin', { ...B, ...DIVISION('I', 'C'), certificate: unlisted, size: { pot: { boreMm: 16, depthMm: 10, mostCores: 7, overCoresMm: [6, 13] } } }],
  ['measured.no-instrument', { truth: { 'outer-sheath': [] }, readings: [20, 20.1, 20].map((value) => ({ ...reading('outer-sheath', value), instrument: 'gone' })) }],
  ['measured.before-round', { round: { started: '2026-03-05T09:30:00.000Z' } }],
  ['value.none', { ...B, truth: { 'compound-reach': [] } }],
  ['value.none', { truth: { 'torque-entry': [] } }],
  ['pour.no-sheet', { ...B, sheet: { compound: null } }],
  ['pour.not-packed', { ...B, pour: { packedAt: null, lookedAt: null } }],
  ['pour.curing', { ...B, pour: { lookedAt: null, mixedAt: '2026-03-04T07:00:00.000Z', packedAt: '2026-03-04T07:10:00.000Z' } }, EARLIER],
  ['pour.future', { ...B, pour: { mixedAt: '2026-03-05T07:00:00.000Z', packedAt: '2026-03-05T07:10:00.000Z', lookedAt: '2026-03-06T07:00:00.000Z' } }],
  ['m.future', M, '2026-03-03T08:00:00.000Z'],
  ['t.plug-and-cables', { ...TB, packed: (o) => ({ ...o, plug: true }) }],
  ['t.repeatability', { ...TB, instrument: { repeatability: null } }],
  ['t.found-out', { ...TB, instrument: { calibrations: [{ from: '2025-01-01', to: '2027-01-01', found: 'out', certificate: '' }] } }],
  ['t.wrong-kind', { ...TB, instrument: { kind: 'torque-driver', unit: 'Nm' } }],
  ['t01.unread', { ...TB, packed: (o) => ({ ...o, rows: o.rows.map((row) => ({ ...row, columns: row.columns.map((column) => ({ ...column, blocks: column.blocks.map(() => ({ ...soundBlock('k', false), cable: 'gone' })) })) })) }) }],
  ['e04.cable-unknown', { cable: { maxC: null } }],
  ['e06.sealing-unknown', { enclosure: { concepts: ['nR'] }, certificate: { concepts: ['nC'], sealing: null } }],
  ['e07.hole-unmeasured', clearance(null)],
  ['e07.hole-too-small', clearance(24.8)],
  ['e07.none-matches', thread(29, 1.5)],
  ['e07.ambiguous', thread(20.8, 1.81, { looks: { 'thread-taper': null }, size: { thread: 'NPT 1/2', maleLengthMm: 20 }, ...hole({ form: 'threaded', thread: 'NPT 1/2', diameterMm: null, chamfersMm: 1 }) })],
  ['e07.identified', thread(24.85, 1.5)],
  ['e08.taper-form', { size: { thread: 'R 1', maleLengthMm: 20 }, ...hole({ form: 'threaded', thread: 'R 1', diameterMm: null, chamfersMm: 1 }) }],
  ['e09.not-listed', { ...DIVISION('I', 'C'), certificate: unlisted, entry: { adaptors: [{ what: 'adaptor', male: 'M25x1.5', female: 'M25x1.5', concepts: ['db'], levels: ['Gb'], groups: ['IIC'], divisions: [], maleLengthMm: 15, runoutMm: 1.5, femaleDepthMm: 16 }] } }],
  ['e10.elsewhere', { entries: [sister('0')] }],
  ['e10.not-listed', { ...DIVISION('I', 'C'), certificate: unlisted, ...plug({ divisions: [] }) }],
  ['e12.no-range', { size: { inner: null } }],
  ['e15.fitted-unasked', { ...B, cable: { filling: null } }],
  ['e15.raceway-not-asked', { ...DIVISION('II', 'G'), enclosure: { concepts: ['db'] }, entry: { raceway: { means: 'seal' } } }],
  ['e16.breathing-contradicts', { enclosure: { concepts: ['nR'] }, cable: { breathing: { passed: true, halfTimeS: 2, by: 'A. Vell', on: '2026-01-02' } } }],
  ['e17.look-early', { ...B, pour: { lookedAt: '2026-03-04T09:30:00.000Z', mixedAt: '2026-03-04T08:00:00.000Z', packedAt: '2026-03-04T08:10:00.000Z' } }],
  ['e22.no-o-ring', { certificate: { oRing: false }, looks: { washer: 'o-ring' } }],
  ['e23b.not-measured', { truth: { bond: [] } }],
  ['e23b.path-unknown', { looks: { 'bond-path': null } }],
  ['m05.future', { ...M, sealedAt: '2026-03-05T09:00:00.000Z' }],
  ['m06.future', M, '2026-03-03T08:00:00.000Z'],
  ['m07.path-unknown', { ...M, looks: { 'bond-path': null } }],
  ['s01.wraps', { ...TS, transit: { sealant: { ...SOUND_TRANSIT.sealant!, sleeve: { outerMm: 190, innerMm: 20, lengthMm: 70 } } } }],
  ['s02.cables', { ...TS, packed: (o) => ({ ...o, cables: [{ cable: 'k', xMm: 60, yMm: 70, readings: SEALED_READINGS }, { cable: 'k', xMm: 85, yMm: 70, readings: SEALED_READINGS }] }) }],
  ['s03.sleeves', { ...TS, entry: { frame: wall(60) } }],
  ['t06.bolts-early', { ...TB, packed: (o) => ({ ...o, packedAt: '2026-03-04T08:55:00.000Z' }) }],
  ['t06.bolts-due', { ...TB, looks: { 'bolts-again': 'not-yet' } }, '2026-04-04T10:00:00.000Z'],
  ['t09.path-unknown', { ...TX, looks: { 'bond-path': null } }],
  ['t10.unseen-why', { ...TB, looks: { 'frame-fixed': 'unseen' } }],
  ['joint.no-school', { sheet: { joints: gapOuter } }],
]; // prettier-ignore

/** Time of judging where a case names none. */
export const SAID_AT = AT;
