import type { Adaptor, Certificate, Enclosure, Entry, Joint, UnusedEntry } from '../record/types';
import type { Outcome } from '../record/finding';
import { insulationTest, reading, type Change } from './sound-entry.test.data';

const B: Change = { kind: 'gland-barrier' };
const I: Change = { kind: 'gland-industrial' };
const M: Change = { kind: 'mi-pot' };
const DIVISION = (of: 'I' | 'II', division: 1 | 2, group: 'C' | 'E' | 'G' | 'A'): Change => ({
  site: { scheme: 'divisions' },
  area: { division: { class: of, division, group } },
});
const LISTED: Partial<Certificate> = { divisions: [{ class: 'I', division: 1, groups: ['C', 'D'] }] };
const compartment = (concept: string, volumeCm3: number | null = 1800): Partial<Entry> => ({
  compartment: { concept, volumeCm3, by: 'A. Vell', on: '2026-03-01' },
});
const BOTH: Partial<Enclosure> = { concepts: ['db', 'eb'] };
const adaptor = (change: Partial<Adaptor> = {}): Change => ({
  entry: { adaptors: [{ what: 'adaptor', male: 'M25x1.5', female: 'M25x1.5', concepts: ['db'], levels: ['Gb'], groups: ['IIC'], divisions: [], maleLengthMm: 15, runoutMm: 1.5, femaleDepthMm: 16, ...change }] },
}); // prettier-ignore
const plug = (change: Partial<UnusedEntry>): Change => ({
  enclosure: {
    unused: [{ label: 'Z', closure: 'plug', needsTool: true, inAdaptor: false, concepts: ['db'], certificate: 'FRN 24.0601', levels: ['Gb'], groups: ['IIC'], divisions: [], thread: 'M25x1.5', hole: 'M25x1.5', ingress: 'IP66', engagedMm: 11, ...change }],
  },
  looks: { 'unused-entries': 'yes' },
}); // prettier-ignore
const gap = (joint: Joint['joint'], range: [number, number] | null): Change => ({
  sheet: { joints: [{ joint, school: 'gap', range }, { joint: 'inner-seal', school: 'faces', range: null }] },
}); // prettier-ignore
const by = (place: string, value: number, who: string) => ({ ...reading(place, value), by: who });
const TAPER_HOLE: Partial<Entry> = {
  hole: { form: 'threaded', thread: 'NPT 1', diameterMm: null, chamfersMm: 1 },
};
const TAPER = { size: { thread: 'NPT 1', maleLengthMm: 20 } };
const TAPE = { method: 'tape' as const, instrument: 'w' };
const taped = [65.0, 65.1, 65.0].map((value) => ({ ...reading('outer-sheath', value), ...TAPE }));
const wrapped = (change: Change = {}): Change => ({
  truth: { 'outer-sheath': [] },
  readings: taped,
  ...change,
});

/** What a blank, a contradiction, another scheme or another person's reading leaves of a sound entry. */
export const MORE_CASES: [check: string, wanted: Outcome, why: string, change: Change][] = [
  ['E-01', 'fails', 'a component certificate', { certificate: { number: 'FRN 24.0117U' } }],
  ['E-01', 'fails', 'a component certificate whose mark stands in the middle', { certificate: { number: 'FRN 24.0117 U issue 2' } }],
  ['E-01', 'conforms', 'a component that the enclosure’s certificate covers', { certificate: { number: 'FRN 24.0117U' }, entry: { factoryFitted: true } }],
  ['E-01', 'unread', 'a certificate from the future', { certificate: { issued: '2031-01-01' } }],
  ['E-01', 'conforms', 'an ordinary gland on a box of intrinsically safe circuits', { ...I, area: { zone: '1', group: 'IIB', temperatureClass: 'T3' }, enclosure: { concepts: ['ib'], onlyIntrinsic: true } }],
  ['E-02', 'conforms', 'a level that follows from the category', { certificate: { levels: [], categories: ['2G'] } }],
  ['E-02', 'fails', 'a category too low', { certificate: { levels: [], categories: ['3G'] } }],
  ['E-02', 'unread', 'an area that is unclassified by zone, on a division site', { site: { scheme: 'divisions' }, area: { zone: 'unclassified' } }],
  ['E-02', 'not-applicable', 'an area confirmed as unclassified on a division site', { site: { scheme: 'divisions' }, area: { division: 'unclassified' } }],
  ['E-02', 'unread', 'metal dust in Division 2', DIVISION('II', 2, 'E')],
  ['E-02', 'unread', 'a gas group in Class II', DIVISION('II', 1, 'A')],
  ['E-02', 'unread', 'a dust zone with a gas group', { area: { zone: '21', group: 'IIB' } }],
  ['E-02', 'fails', 'dust beside gas, and a gland for gas', { area: { beside: { zone: '21', group: 'IIIB' } }, certificate: { levels: ['Gb'] } }],
  ['E-03', 'unread', 'a dust zone with a gas group', { area: { zone: '21', group: 'IIB' } }],
  ['E-03', 'fails', 'dust beside gas, and a gland without a dust group', { area: { beside: { zone: '21', group: 'IIIB' } }, certificate: { groups: ['IIC'] } }],
  ['E-03', 'fails', 'II without a letter on an i device', { certificate: { groups: ['II'], concepts: ['ib'] } }],
  ['E-03', 'fails', 'a group by zone where only a listing counts', { ...DIVISION('I', 1, 'C'), certificate: { divisions: [{ class: 'I', division: 1, groups: ['D'] }] } }],
  ['E-04', 'unread', 'an ambient range the wrong way round', { area: { ambientC: [80, -30] } }],
  ['E-04', 'fails', 'an entry marked cooler than the ambient', { area: { ambientC: [-5, 60] }, enclosure: { entryTemperatureC: 40 }, cable: { maxC: 50 } }],
  ['E-04', 'marginal', 'a cable for 75 °C where nothing is marked', { cable: { maxC: 75 } }],
  ['E-04', 'fails', 'a cable for 75 °C at a branching point marked 80 °C', { cable: { maxC: 75 }, enclosure: { entryTemperatureC: 70, branchTemperatureC: 80 } }],
  ['E-04', 'fails', 'a seal that is not made for the cold', { size: { outer: { rangeMm: [16.9, 24.1], ovalityPct: 5, maxC: 95, minC: 0, coldFlow: false, shapes: ['round'] } } }],
  ['E-04', 'unread', 'a cable in deep cold that nobody knows bears it', { area: { ambientC: [-35, 40] }, cable: { minC: null } }],
  ['E-04', 'conforms', 'a gland without a mark in a mild place', { certificate: { serviceC: null } }],
  ['E-04', 'fails', 'a gland without a mark in the cold', { certificate: { serviceC: null }, area: { ambientC: [-30, 40] } }],
  ['E-05', 'fails', 'immersion for jets', { certificate: { ingress: 'IP67' } }],
  ['E-05', 'conforms', 'immersion and jets', { certificate: { ingress: 'IP66/IP68' } }],
  ['E-05', 'fails', 'jets only, where the box is marked for immersion too', { enclosure: { ingress: 'IP66/IP68' } }],
  ['E-05', 'fails', 'a derating without a reason', { certificate: { ingress: 'IP54' }, enclosure: { derating: { ingress: 'IP54', reason: ' ' } } }],
  ['E-05', 'unread', 'an enclosure type that is not in the table', { ...DIVISION('I', 2, 'C'), enclosure: { type: '4X' } }],
  ['E-05', 'fails', 'an enclosure type above the rating', { site: { scheme: 'divisions', enclosureTypes: [{ type: '6P', ingress: 'IP68' }] }, area: { division: { class: 'I', division: 2, group: 'C' } }, enclosure: { type: '6P' } }],
  ['E-06', 'unread', 'a box in d and e, and nobody looked where the entry opens', { enclosure: BOTH }],
  ['E-06', 'fails', 'e gland into the d compartment', { enclosure: BOTH, entry: compartment('db'), certificate: { concepts: ['eb'] } }],
  ['E-06', 'conforms', 'e gland into the e compartment', { enclosure: BOTH, entry: compartment('eb'), certificate: { concepts: ['eb'] } }],
  ['E-06', 'conforms', 'a gas gland on a box marked for gas and dust, in gas', { enclosure: { concepts: ['eb', 'tb'] }, certificate: { concepts: ['eb'] } }],
  ['E-06', 'fails', 'the same where dust lies beside', { enclosure: { concepts: ['eb', 'tb'] }, certificate: { concepts: ['eb'] }, area: { beside: { zone: '21', group: 'IIIB' } } }],
  ['E-06', 'conforms', 'what stands in square brackets is for circuits outside', { enclosure: { concepts: ['db', '[ia]'] } }],
  ['E-06', 'not-applicable', 'an unclassified area', { area: { zone: 'unclassified' } }],
  ['E-06', 'fails', 'an explosionproof box and a gland that is not listed', DIVISION('I', 1, 'C')],
  ['E-06', 'conforms', 'an explosionproof box and a listed gland', { ...DIVISION('I', 1, 'C'), certificate: LISTED }],
  ['E-07', 'fails', 'a taper thread in a clearance hole', { ...TAPER, enclosure: { concepts: ['eb'] }, entry: { hole: { form: 'clearance', thread: 'NPT 1', diameterMm: 33.6, chamfersMm: 0 } } }],
  ['E-07', 'unread', 'another person measured another thread', { readings: [reading('thread-pitch', 1.5), reading('thread-major', 24.8), by('thread-major', 19.8, 'M. Okonjo')] }],
  ['E-07', 'unread', 'a thread measured past the calibration date', { fault: 'past-calibration', truth: { 'thread-major': [24.8], 'thread-pitch': [1.5] } }],
  ['E-08', 'unread', 'more thread than the wall has', { enclosure: { wallMm: 4 } }],
  ['E-08', 'unread', 'an inch that was read as a millimetre', { truth: { 'thread-engagement': [279.4] } }],
  ['E-08', 'fails', 'six turns, less half of one', { truth: { 'thread-engagement': [] }, readings: [reading('thread-turns', 5.4)] }],
  ['E-08', 'unread', 'an adaptor whose joint with the gland nobody knows', adaptor({ femaleDepthMm: null })],
  ['E-08', 'fails', 'an adaptor that the gland hardly enters', adaptor({ femaleDepthMm: 6 })],
  ['E-08', 'conforms', 'an adaptor that engages at both ends', adaptor()],
  ['E-08', 'unread', 'a compartment whose volume nobody recorded', { entry: compartment('db', null), truth: { 'thread-engagement': [7.9] } }],
  ['E-08', 'fails', 'four and a half threads of a taper in a division', { ...DIVISION('I', 1, 'C'), ...TAPER, certificate: LISTED, entry: TAPER_HOLE, truth: { 'thread-engagement': [10.5] } }],
  ['E-08', 'conforms', 'the same in an entry that the maker threaded', { ...DIVISION('I', 1, 'C'), ...TAPER, certificate: LISTED, entry: { ...TAPER_HOLE, factoryThreaded: true }, truth: { 'thread-engagement': [10.5] } }],
  ['E-09', 'fails', 'an adaptor without a group that counts', adaptor({ groups: [] })],
  ['E-09', 'unread', 'an adaptor on an encapsulated box', { ...adaptor(), enclosure: { concepts: ['mb'] } }],
  ['E-09', 'conforms', 'an adaptor whose level follows from its concept', adaptor({ levels: [] })],
  ['E-10', 'fails', 'a plug of a component certificate', plug({ certificate: 'FRN 24.0601U' })],
  ['E-10', 'unread', 'a plug without a certificate', plug({ certificate: null })],
  ['E-10', 'fails', 'a plug of a level too low', plug({ levels: ['Gc'] })],
  ['E-10', 'fails', 'a plug of a group too low', { ...plug({ groups: ['IIA'] }) }],
  ['E-10', 'fails', 'a plug of another thread', plug({ thread: 'M20x1.5' })],
  ['E-10', 'fails', 'a plug of a rating too low', plug({ ingress: 'IP54' })],
  ['E-10', 'fails', 'a plug that hardly engages', plug({ engagedMm: 6 })],
  ['E-10', 'unread', 'a plug that nobody unscrewed', plug({ engagedMm: null })],
  ['E-10', 'unread', 'all closed as recorded, and none is', { looks: { 'unused-entries': 'yes' } }],
  ['E-10', 'fails', 'an open hole in a cabinet whose entries are transits', { kind: 'transit-cabinet', looks: { 'unused-entries': 'open' } }],
  ['E-11', 'unread', 'a reading with an instrument that is gone', { readings: [], truth: { 'outer-sheath': [] } }],
  ['E-11', 'conforms', 'one more reading by another person that agrees', { readings: [by('outer-sheath', 20.71, 'M. Okonjo')] }],
  ['E-11', 'unread', 'one more reading by another person that contradicts', { readings: [by('outer-sheath', 23.9, 'M. Okonjo')] }],
  ['E-11', 'unread', 'a tape, and nobody looked for flats', wrapped({ looks: { flats: null } })],
  ['E-11', 'fails', 'a tape, and it has flats', wrapped({ looks: { flats: 'flats' } })],
  ['E-11', 'conforms', 'a tape, and it is round', wrapped()],
  ['E-11', 'unread', 'a tape that hides more than the seal takes', wrapped({ site: { ovalityAllowancePct: 8 } })],
  ['E-11', 'unread', 'an instrument found to have run out', { instrument: { calibrations: [{ from: '2025-01-01', to: '2027-01-01', found: 'out', certificate: '' }] } }],
  ['E-11', 'unread', 'a reading between two calibrations', { instrument: { calibrations: [{ from: '2025-01-01', to: '2026-02-01', found: 'within', certificate: '' }, { from: '2026-04-01', to: '2027-01-01', found: null, certificate: '' }] } }],
  ['E-11', 'unread', 'an instrument past its date, whatever the reading says', { instrument: { calibratedUntil: '2026-01-01' } }],
  ['E-11', 'marginal', 'a repeatability pooled from too few places', { instrument: { pooledPlaces: 9 } }],
  ['E-11', 'conforms', 'a repeatability pooled from ten places', { instrument: { pooledPlaces: 10 } }],
  ['E-12', 'unread', 'a caliper that measures ohms', { instrument: { unit: 'ohm' } }],
  ['E-13', 'unread', 'an armour that is recorded twice', { cable: { unarmoured: { by: 'A. Vell', on: '2026-01-02' } } }],
  ['E-15', 'fails', 'a gland’s certificate that asks for a barrier', { certificate: { demandsBarrier: true } }],
  ['E-15', 'unread', 'a gland’s certificate nobody asked', { certificate: { demandsBarrier: null } }],
  ['E-15', 'conforms', 'a certified sealing device at the entry', { cable: { lengthM: 2 }, entry: { sealingDevice: true } }],
  ['E-15', 'unread', 'a breathing test marked against its own figure', { cable: { filling: 'not-filled', breathing: { passed: true, halfTimeS: 2, by: 'A. Vell', on: '2026-01-02' } } }],
  ['E-15', 'not-applicable', 'Class II asks for no seal at a cable', DIVISION('II', 1, 'G')],
  ['E-15', 'fails', 'a raceway into a dust-ignitionproof box that nothing closes', { ...DIVISION('II', 1, 'G'), enclosure: { concepts: ['tb'] }, entry: { raceway: { means: 'none' } } }],
  ['E-15', 'unread', 'a raceway nobody looked at', { ...DIVISION('II', 1, 'G'), enclosure: { concepts: ['tb'] }, entry: { raceway: { means: null } } }],
  ['E-15', 'conforms', 'a raceway that a seal closes', { ...DIVISION('II', 1, 'G'), enclosure: { concepts: ['tb'] }, entry: { raceway: { means: 'seal' } } }],
  ['E-15', 'unread', 'a box in d and e, and nobody looked', { enclosure: BOTH, cable: { lengthM: 2 } }],
  ['E-17', 'unread', 'packed before it was mixed', { ...B, pour: { packedAt: '2026-03-01T08:00:00.000Z' } }],
  ['E-17', 'unread', 'voids mended without a pour', { ...B, looks: { 'compound-face': 'mended' } }],
  ['E-17', 'conforms', 'an entry found made off, opened and looked at', { ...B, pour: null, entry: { foundMadeOff: { by: 'A. Vell', on: '2026-03-01' } } }],
  ['E-18b', 'unread', 'a clamp closed by its gap, not measured', gap('clamp', [0.2, 0.6])],
  ['E-18b', 'fails', 'a clamp closed by its gap, too wide', { ...gap('clamp', [0.2, 0.6]), readings: [reading('gap-clamp', 0.9)] }],
  ['E-18b', 'conforms', 'a clamp closed by its gap', { ...gap('clamp', [0.2, 0.6]), readings: [reading('gap-clamp', 0.4)] }],
  ['E-18a', 'unread', 'an outer seal closed by a gap that no scale judges', { ...I, sheet: { joints: [{ joint: 'entry', school: 'torque', range: [30, 40] }, { joint: 'outer-seal', school: 'gap', range: null }] } }],
  ['E-19', 'unread', 'two people’s gaps that contradict each other', { readings: [by('back-nut-gap', 2, 'M. Okonjo')] }],
  ['E-22', 'fails', 'a washer thinner than the sheet asks', { size: { washerMm: 3 } }],
  ['E-22', 'unread', 'a washer on record, and none seen', { looks: { washer: 'none' } }],
  ['E-22', 'conforms', 'a certified O-ring', { certificate: { oRing: true }, looks: { washer: 'o-ring' } }],
  ['E-22', 'unread', 'an O-ring that the certificate does not name', { certificate: { oRing: null }, looks: { washer: 'o-ring' } }],
  ['E-25', 'unread', 'an X that does not stand last', { certificate: { number: 'FRN 24.0117X issue 2' } }],
  ['E-25', 'unread', 'a small x', { certificate: { number: 'FRN 24.0117x' } }],
  ['E-27', 'unread', 'another person’s readings that contradict', { readings: [21.9, 21.9, 21.9].map((value) => by('outer-sheath', value, 'M. Okonjo')) }],
  ['E-28', 'unread', 'as it was sealed, and nothing ever was', { looks: { unaltered: 'same' } }],
  ['M-02', 'unread', 'a tester past its date', { ...M, instrument: { calibratedUntil: '2026-01-01' } }],
  ['M-02', 'unread', 'readings taken after the pot was filled', { ...M, tests: [{ ...insulationTest('t1', 'before-seal', '2026-03-03T09:00:00.000Z', 800), readings: insulationTest('t1', 'before-seal', '2026-03-03T09:20:00.000Z', 800).readings }] }],
  ['M-05', 'unread', 'readings taken after the pot was filled', { ...M, tests: [{ ...insulationTest('t1', 'before-seal', '2026-03-03T09:00:00.000Z', 800), readings: insulationTest('t1', 'before-seal', '2026-03-03T09:20:00.000Z', 800).readings }] }],
  ['M-03', 'unread', 'fewer names than cores', { ...M, mineral: { conductors: ['L'] } }],
  ['M-04', 'unread', 'a test at 41 °C', { ...M, tests: [insulationTest('t1', 'before-seal', '2026-03-03T09:00:00.000Z', 800, { temperatureC: 41 }), insulationTest('t2', 'after-seal', '2026-03-03T09:30:00.000Z', 300)] }],
  ['M-02', 'conforms', 'each conductor against all the others', { ...M, tests: [{ ...insulationTest('t1', 'before-seal', '2026-03-03T09:00:00.000Z', 800), readings: ['L-rest', 'N-rest', 'screen-rest'].map((pair) => ({ pair, megohm: 800, saturated: false, by: 'A. Vell', at: '2026-03-03T09:00:00.000Z' })) }, insulationTest('t2', 'after-seal', '2026-03-03T09:30:00.000Z', 780)] }],
  ['M-08', 'unread', 'a gas area without a class', { ...M, area: { temperatureClass: null } }],
  ['M-08', 'unread', 'a dust area without its temperatures', { ...M, area: { zone: '21', group: 'IIIB' } }],
  ['M-08', 'fails', 'a sheath too hot for the dust layer', { ...M, area: { zone: '21', group: 'IIIB', cloudIgnitionC: 400, layerIgnitionC: 160, dustLayerMm: 4 } }],
  ['M-08', 'fails', 'a sheath too hot for the dust cloud', { ...M, area: { zone: '21', group: 'IIIB', cloudIgnitionC: 130, layerIgnitionC: 260, dustLayerMm: 4 } }],
  ['M-08', 'unread', 'a layer deeper than the rule', { ...M, area: { zone: '21', group: 'IIIB', cloudIgnitionC: 400, layerIgnitionC: 260, dustLayerMm: 9 } }],
  ['M-08', 'conforms', 'a sheath that suits the dust', { ...M, area: { zone: '21', group: 'IIIB', cloudIgnitionC: 400, layerIgnitionC: 260, dustLayerMm: 4 } }],
]; // prettier-ignore
