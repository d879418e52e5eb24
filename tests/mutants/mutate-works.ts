import { kindOf, type ChangeOf, type Mutation } from './mutation';
import { drop, type Records } from './records';

const m = (field: string, change: ChangeOf, reason: string, edit: Mutation['edit']): Mutation => ({
  field,
  change,
  reason,
  edit,
});
const LATER = '2026-03-20T09:00:00.000Z';
const BEFORE = '2026-02-11T09:00:00.000Z';

/* eslint-disable @typescript-eslint/no-explicit-any -- packings are spoilt in ways that no type allows */
const blocksOf = (r: Records): any[] => (r.opening?.rows ?? []).flatMap((row: any) => row.columns.flatMap((column: any) => column.blocks)); // prettier-ignore
const held = (r: Records) => blocksOf(r).find(({ cable }) => cable !== null);
const spare = (r: Records) => blocksOf(r).find(({ cable }) => cable === null);
const blocks = (
  field: string,
  change: ChangeOf,
  reason: string,
  edit: (opening: any, r: Records) => unknown,
) => m(field, change, reason, (r) => (r.opening && r.opening.rows.length > 0 ? edit(r.opening, r) : false));
const sealant = (change: ChangeOf, reason: string, edit: (opening: any, r: Records) => unknown) =>
  m('transit.openings', change, reason, (r) =>
    r.opening && r.opening.rows.length === 0 ? edit(r.opening, r) : false,
  );
const own = 'transit.openings';

const sideChanges = (side: 'jacket' | 'armour'): Mutation[] => {
  const on = (change: ChangeOf, reason: string, edit: (record: any, r: Records) => unknown) =>
    blocks(own, change, `${side}: ${reason}`, (_opening, r) =>
      held(r)?.[side] ? edit(held(r)[side], r) : false,
    );
  const instrument = (r: Records, change: object) => void Object.assign(r.instruments.get('c')!, change);
  return [
    on('blank', 'Nobody counted the layers.', (record) => (record.layers = null)),
    on('blank', 'Nobody measured the cable.', (record) => (record.readingsMm = [])),
    on('blank', 'One reading where three are asked for.', (record) => (record.readingsMm = [record.readingsMm[0]])),
    on('blank', 'Nobody looked for daylight.', (record) => (record.daylight = null)),
    on('blank', 'Nobody noted the instrument.', (record) => (record.instrument = null)),
    on('out', 'Daylight shows.', (record) => (record.daylight = true)),
    ...[[0, 0], [1, 1], [6, 6], [6, 1], [2, 2], [7, 7], [5, 2]].map((layers) =>
      on('out', `With ${layers.join(' and ')} layers peeled the halves press too much, or leave a gap, or are too unlike.`, (record) => (record.layers = layers)),
    ),
    ...[-9, -4, 4, 9, 30].map((by) => on('out', `The cable is ${by} mm off what the peeled halves take.`, (record) => (record.readingsMm = record.readingsMm.map((mm: number) => mm + by)))),
    ...[0.1, 10, 25.4, 1 / 25.4].map((factor) => on('unit', 'The diameter was written in another unit.', (record) => (record.readingsMm = record.readingsMm.map((mm: number) => mm * factor)))),
    ...['o', 'i', 'n', 't'].map((id) => on('kind', 'Such an instrument measures no diameter.', (record) => (record.instrument = id))),
    on('day', 'It was read on a day that has not come.', (record) => (record.readAt = LATER)),
    on('day', 'The caliper’s calibration had run out.', (_record, r) => instrument(r, { calibratedUntil: '2026-03-01' })),
    on('day', 'The caliper was found out at its next calibration.', (_record, r) => instrument(r, { calibrations: [{ from: '2026-01-01', to: '2026-06-01', found: 'out', certificate: 'CAL 2' }] })),
    on('person', 'Somebody else read another diameter.', (record) => (record.others = [{ readingsMm: record.readingsMm.map((mm: number) => mm + 3), instrument: 'c', by: 'M. Okonjo', at: '2026-03-04T09:20:00.000Z' }])),
    on('file', 'Nobody knows the caliper.', (record) => (record.instrument = 'elsewhere')),
    on('file', 'It reads past the caliper’s span.', (_record, r) => instrument(r, { span: [100, 150] })),
  ]; // prettier-ignore
};

const TRANSITS: Mutation[] = [
  ...sideChanges('jacket'),
  ...sideChanges('armour'),
  m('transit.openings', 'blank', 'Nobody recorded how it is packed.', (r) => {
    const had = r.opening !== null;
    drop(r, 'packing', () => true);
    return had;
  }),
  ...['2', 'B'].map((label) => m('transit.unpacked', 'blank', 'An opening of the frame has no packing: it is open.', (r) => {
    if (!r.opening) return false;
    r.entry.frame.openings.push({ ...r.entry.frame.openings[0], label });
  })),
  m('transit.openings', 'kind', 'The packing is that of another opening.', (r) => (r.opening ? (r.opening.label = 'elsewhere') : false)),
  blocks(own, 'blank', 'Nobody looked whether a spare has its core.', (_o, r) => (spare(r) ? (spare(r).core = null) : false)),
  blocks(own, 'out', 'A spare has lost its core.', (_o, r) => (spare(r) ? (spare(r).core = false) : false)),
  blocks(own, 'blank', 'Nobody looked whether a stay plate is in.', (opening) => (opening.rows[0].plate = null)),
  blocks(own, 'out', 'A stay plate is missing.', (opening) => (opening.rows[0].plate = false)),
  blocks(own, 'blank', 'Nobody read the wedge.', (opening) => (opening.wedgeMm = null)),
  ...[4, 7, 13.5, 20].map((mm) => blocks(own, 'out', 'The wedge is not home, or too far.', (opening) => (opening.wedgeMm = mm))),
  ...[0.1, 10, 1 / 25.4].map((factor) => blocks(own, 'unit', 'The wedge was read in another unit.', (opening) => (opening.wedgeMm *= factor))),
  blocks(own, 'out', 'A block of a row is missing.', (opening) => void opening.rows[0].columns.pop()),
  blocks(own, 'out', 'A row is missing.', (opening) => void opening.rows.push({ ...structuredClone(opening.rows[0]), columns: [] })),
  ...[20, 45, 60].map((mm) => blocks(own, 'out', 'The row is higher or lower than its blocks.', (opening) => (opening.rows[0].heightMm = mm))),
  ...[20, 45].map((mm) => blocks(own, 'kind', 'The sheet has no block of this size.', (opening) => (opening.rows[0].columns[0].widthMm = mm))),
  blocks(own, 'out', 'One cable is in two blocks.', (_o, r) => (spare(r) ? (spare(r).cable = held(r).cable) : false)),
  blocks(own, 'file', 'The cable of a block is in another site’s file.', (_o, r) => (held(r).cable = 'elsewhere')),
  blocks(own, 'day', 'The bolts were tightened a moment ago: nobody can have come back a day later.', (opening) => (opening.packedAt = '2026-03-04T08:30:00.000Z')),
  blocks(own, 'day', 'It is packed on a day that has not come.', (opening) => (opening.packedAt = LATER)),
  ...[56 + 9, 56 - 9, 120].map((mm) => m('entry.frame', 'out', 'Rows and plates leave the wedge too much or too little of this opening.', (r) => (r.opening?.rows.length ? (r.entry.frame.openings[0].heightMm = mm) : false))),
  ...[90, 45].map((mm) => m('entry.frame', 'out', 'The blocks of a row do not fill this opening.', (r) => (r.opening?.rows.length ? (r.entry.frame.openings[0].widthMm = mm) : false))),
  ...[0.1, 1 / 25.4].map((factor) => m('entry.frame', 'unit', 'The opening was written in another unit.', (r) => {
    const [opening] = (r.entry.frame?.openings ?? []) as any[];
    if (!opening) return false;
    opening.widthMm *= factor;
    opening.heightMm *= factor;
  })),
  m('entry.frame', 'kind', 'The frame has two openings of one name.', (r) => {
    if (!r.opening) return false;
    r.entry.frame.openings.push({ ...r.entry.frame.openings[0] });
  }),
  m('entry.frame', 'blank', 'The frame has no openings.', (r) => (r.opening ? (r.entry.frame.openings = []) : false)),
  m('entry.frame', 'out', 'Two sides are to be closed, and one is recorded.', (r) => (r.opening && r.opening.rows.length === 0 ? (r.entry.frame.sides = 2) : false)),
  m('entry.frame', 'out', 'The wall is shallower than the sealant.', (r) => (r.opening && r.opening.rows.length === 0 ? (r.entry.frame.wallDepthMm = 12) : false)),
  m('transit.cables', 'kind', 'A flat cable fits no round bore.', (r) => (r.opening?.rows.length ? (r.cable.shape = 'flat') : false)),
  // Bonded: from the armour through the frame to earth.
  ...[
    ['blank', 'Nobody measured the bond.', { bondOhm: null }],
    ['out', 'The bond is over the limit.', { bondOhm: 0.4 }],
    ['out', 'The bond is over the limit.', { bondOhm: 2 }],
    ['unit', 'The bond was written in milliohms.', { bondOhm: 11 }],
    ['kind', 'A caliper measures no resistance.', { bondInstrument: 'c' }],
    ['kind', 'An insulation tester measures no bond.', { bondInstrument: 'i' }],
    ['blank', 'Nobody noted the instrument.', { bondInstrument: null }],
    ['file', 'Nobody knows the instrument.', { bondInstrument: 'elsewhere' }],
    ['day', 'It was measured on a day that has not come.', { bondAt: LATER }],
    ['blank', 'The armour’s side is not recorded.', { armour: null }],
  ].map(([change, reason, value]) => blocks(own, change as ChangeOf, reason as string, (_o, r) => (held(r)?.armour ? void Object.assign(held(r), value) : false))),
  blocks('transit.instruments', 'day', 'The meter’s calibration had run out.', (_o, r) => (held(r)?.armour ? (r.instruments.get('o')!.calibratedUntil = '2026-03-01') : false)),
  // Sealant.
  sealant('blank', 'Nobody measured how deep the sealant is.', (opening) => (opening.recessMm = [])),
  sealant('out', 'At one point the sealant is too shallow.', (opening) => (opening.recessMm = [20, 21, 14])),
  sealant('out', 'The sealant is too shallow.', (opening) => (opening.recessMm = [12, 12, 12])),
  sealant('unit', 'The depth was written in centimetres or inches.', (opening) => (opening.recessMm = [2, 2.1, 2])),
  sealant('unit', 'The depth was written in centimetres or inches.', (opening) => (opening.recessMm = [0.79, 0.83, 0.79])),
  ...[[12, 70], [60, 148], [199, 75], [-20, 40]].map(([xMm, yMm]) => sealant('out', 'A cable is too near to the wall.', (opening) => void Object.assign(opening.cables[0], { xMm, yMm }))),
  sealant('out', 'Two cables touch, and are one.', (opening) => void opening.cables.push({ ...opening.cables[0], xMm: 75 })),
  sealant('file', 'The cable is in another site’s file.', (opening) => (opening.cables[0].cable = 'elsewhere')),
  sealant('blank', 'Nobody measured the cable.', (opening) => (opening.cables[0].readings = [])),
  ...[['kind', 'Such an instrument measures no diameter.', { instrument: 'o' }], ['kind', 'Such an instrument measures no diameter.', { instrument: 'i' }], ['file', 'Nobody knows the caliper.', { instrument: 'elsewhere' }], ['day', 'It was read on a day that has not come.', { at: LATER }], ['unit', 'The diameter was written in metres.', { readingsMm: [20.68e3, 20.72e3, 20.7e3] }], ['out', 'So thick a cable is too near to the wall.', { readingsMm: [110, 110.1, 110] }], ['blank', 'One reading where three are asked for.', { readingsMm: [20.7] }]].map(
    ([change, reason, value]) => sealant(change as ChangeOf, reason as string, (opening) => void Object.assign(opening.cables[0].readings[0], value)),
  ),
  sealant('person', 'Somebody else read another diameter.', (opening) => void opening.cables[0].readings.push({ readingsMm: [24, 24.1, 24], instrument: 'c', by: 'M. Okonjo', at: '2026-03-04T09:20:00.000Z' })),
  ...[['gapMm', [2, 3]], ['gapMm', [0.01, 0.1]], ['compressionMm', [1, 4]], ['compressionMm', [40, 60]], ['wedgeMm', [12.8, 15]], ['wedgeMm', [2, 7]], ['stayPlateMm', 15], ['shapes', ['flat']], ['blocks', []]].map(([key, value]) =>
    m('certificate.sheet.transit', key === 'shapes' ? 'kind' : key === 'blocks' ? 'blank' : 'out', `By its sheet (${String(key)}) the packing is wrong, or nobody can know.`, (r) => (r.opening && r.opening.rows.length > 0 ? (r.certificate.sheet.transit[key as string] = value) : false)),
  ),
  m('certificate.sheet.transit', 'out', 'The sheet asks for a deeper sealant.', (r) => (r.opening && r.opening.rows.length === 0 ? (r.certificate.sheet.transit.sealant.depthMm = 40) : false)),
  m('certificate.sheet.transit', 'unit', 'Written in cm, no gap is small enough.', (r) => (r.opening && r.opening.rows.length > 0 ? (r.certificate.sheet.transit.gapMm = [0.02, 0.1]) : false)),
  m('certificate.sheet.transit', 'blank', 'Nobody has the sheet of the transit.', (r) => (r.opening ? (r.certificate.sheet.transit = null) : false)),
]; // prettier-ignore

const MINERAL: Mutation[] = [
  m('mineral.tests', 'blank', 'Nobody tested it before it was sealed.', (r) => mineralDrop(r, 'before-seal')),
  m('mineral.tests', 'blank', 'Nobody tested it after it was sealed.', (r) => mineralDrop(r, 'after-seal')),
  m('mineral.tests', 'blank', 'One pair was not tested.', (r) => eachTest(r, (test) => void test.readings.pop())),
  ...[0.05, 1, 30, 90].map((megohm) => m('mineral.tests', 'out', 'Its insulation is below what a new cable has.', (r) => eachTest(r, (test) => setMegohm(test, megohm)))),
  m('mineral.tests', 'out', 'It fell by more than the factor while it was sealed.', (r) => (r.tests[1] ? setMegohm(r.tests[1], 200) : false)),
  ...[1e-3, 1e-6].map((factor) => m('mineral.tests', 'unit', 'Written in GΩ or TΩ it is below what a new cable has.', (r) => eachTest(r, (test) => test.readings.forEach((one: any) => (one.megohm *= factor))))),
  ...['c', 'o', 'n'].map((id) => m('mineral.tests', 'kind', 'Such an instrument measures no insulation.', (r) => eachTest(r, (test) => (test.instrument = id)))),
  m('mineral.tests', 'kind', 'The far end was open while it was tested.', (r) => eachTest(r, (test) => (test.farEndSealed = false))),
  m('mineral.tests', 'day', 'Tested on a day that has not come.', (r) => eachTest(r, (test) => moveTest(test, LATER))),
  m('mineral.tests', 'day', 'Tested before the end was cut.', (r) => eachTest(r, (test) => moveTest(test, BEFORE))),
  m('mineral.tests', 'day', 'The tester’s calibration had run out.', (r) => (r.tests.length ? (r.instruments.get('i')!.calibratedUntil = '2026-03-01') : false)),
  m('mineral.tests', 'file', 'Nobody knows the tester.', (r) => eachTest(r, (test) => (test.instrument = 'elsewhere'))),
  m('mineral.tests', 'person', 'Somebody else tested it lower after it was sealed.', (r) => {
    const [, after] = r.tests;
    if (!after) return false;
    after.readings = [...after.readings, ...after.readings.map((one: any) => ({ ...one, megohm: 3, by: 'M. Okonjo', at: '2026-03-03T09:40:00.000Z' }))];
  }),
  m('mineral.sealedAt', 'blank', 'Nobody noted when it was sealed.', (r) => {
    const had = r.works.length > 0;
    r.works.forEach((work) => void Object.assign(work, { finished: null, ticks: [] }));
    return had;
  }),
  m('mineral.sealedAt', 'out', 'It was sealed longer after the test than it stays dry.', (r) => {
    const [work] = r.works;
    if (!work) return false;
    const late = '2026-03-03T09:28:00.000Z';
    work.ticks = work.ticks.map((tick: any) => ({ ...tick, at: late }));
  }),
  m('mineral.continuity', 'blank', 'Nobody traced the conductors.', (r) => {
    const had = r.continuity.length > 0;
    drop(r, 'continuity', () => true);
    return had;
  }),
  m('mineral.continuity', 'out', 'Two conductors are crossed.', (r) => (r.continuity[0] ? (r.continuity[0].found = [{ near: 'L', far: 'N' }, { near: 'N', far: 'L' }]) : false)),
  m('mineral.continuity', 'out', 'One conductor does not run through.', (r) => (r.continuity[0] ? (r.continuity[0].found = [{ near: 'L', far: 'L' }, { near: 'N', far: null }]) : false)),
  m('mineral.continuity', 'blank', 'One conductor was not traced.', (r) => (r.continuity[0] ? (r.continuity[0].found = [{ near: 'L', far: 'L' }]) : false)),
  m('cable.mineral', 'blank', 'Nobody recorded what the mineral cable is.', (r) => (kindOf(r).mineral ? (r.cable.mineral = null) : false)),
  ...[['newMegohm', 5000], ['fallFactor', 1.01], ['windowMin', 2], ['earthLimitOhm', 0.01], ['sheathMm2', 900], ['sheathC', 190], ['conductors', ['L', 'N', 'E']]].map(([key, value]) =>
    m('cable.mineral', key === 'sheathMm2' ? 'unit' : 'out', `By its record (${String(key)}) the cable or its tests are wrong.`, (r) => (r.cable.mineral ? (r.cable.mineral[key as string] = value) : false)),
  ),
]; // prettier-ignore

function mineralDrop(r: Records, stage: string): boolean {
  const had = r.tests.some((test) => test.stage === stage);
  drop(r, 'insulation', (test) => test.stage === stage);
  return had;
}
function eachTest(r: Records, change: (test: any) => void): boolean {
  r.tests.forEach(change);
  return r.tests.length > 0;
}
const setMegohm = (test: any, megohm: number) =>
  void test.readings.forEach((one: any) => (one.megohm = megohm));
const moveTest = (test: any, when: string) => {
  test.at = when;
  test.readings.forEach((one: any) => (one.at = when));
};

const pour = (change: ChangeOf, reason: string, values: object): Mutation =>
  m('pours', change, reason, (r) => (r.pours[0] ? void Object.assign(r.pours[0], values) : false));
const POURS: Mutation[] = [
  m('pours', 'blank', 'Nobody recorded the mixing.', (r) => {
    const had = r.pours.length > 0;
    drop(r, 'pour', () => true);
    return had;
  }),
  pour('blank', 'Nobody noted the batch’s date.', { expires: null }),
  pour('blank', 'Nobody noted whether the ratio was kept.', { ratioKept: null }),
  pour('blank', 'Nobody has looked since it was packed.', { lookedAt: null }),
  pour('out', 'The ratio was not kept.', { ratioKept: false }),
  pour('day', 'The batch had expired.', { expires: '2026-02-20' }),
  pour('day', 'The batch had expired.', { expires: '2020-01-01' }),
  pour('day', 'It was looked at before it had cured.', { lookedAt: '2026-03-01T10:00:00.000Z' }),
  pour('day', 'It was packed before it was mixed.', { packedAt: '2026-03-01T08:00:00.000Z' }),
  pour('day', 'It is mixed on a day that has not come.', { mixedAt: LATER, packedAt: LATER, lookedAt: LATER }),
  pour('out', 'It was packed longer after mixing than it can be worked.', { packedAt: '2026-03-01T10:20:00.000Z' }),
  pour('out', 'It was packed longer after mixing than it can be worked.', { packedAt: '2026-03-01T19:00:00.000Z' }),
  pour('out', 'So warm, it could be worked for a shorter time than it took.', { temperatureC: 45 }),
  pour('out', 'It was colder than it cures at.', { lowestC: 1 }),
  pour('out', 'It was colder than it cures at.', { lowestC: -12 }),
  pour('unit', 'Written in °F it could not have been worked so long.', { temperatureC: 68 }),
  pour('file', 'The mixing belongs to another round.', { round: 'elsewhere' }),
  ...[['maxC', 40], ['workingMinutes', 5], ['minimumC', 25], ['cureHours', 400]].map(([key, value]) =>
    m('certificate.sheet.compound', 'out', `By its sheet (${String(key)}) it was worked, kept or cured wrongly.`, (r) => (r.certificate.sheet.compound && r.pours.length ? (r.certificate.sheet.compound[key as string] = value) : false)),
  ),
  m('certificate.sheet.compound', 'blank', 'The sheet says nothing about the compound.', (r) => (r.pours.length ? (r.certificate.sheet.compound = null) : false)),
]; // prettier-ignore

/** Every way to spoil packings, tests and mixings. */
export const WORK_MUTATIONS: readonly Mutation[] = [...TRANSITS, ...MINERAL, ...POURS];
