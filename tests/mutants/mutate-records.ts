import { checksOf } from '../../src/core/rulebook/rules';
import { each, kindOf, type ChangeOf, type Mutation } from './mutation';
import { drop, type Records } from './records';

type Table = 'site' | 'area' | 'enclosure' | 'entry' | 'cable' | 'certificate' | 'size';

/** A field of a record that is given other values. */
const set = (
  field: string,
  change: ChangeOf,
  reason: string,
  values: readonly unknown[],
  when: (records: Records) => boolean = () => true,
): Mutation[] => {
  const [table, key] = field.split('.') as [Table, string];
  return each(field, change, reason, values, (records, value) => {
    if (!when(records)) return false;
    (records[table] as Record<string, unknown>)[key] = value;
  });
};
/** A field that is a list of one-line changes. */
const edit = (field: string, change: ChangeOf, reason: string, run: Mutation['edit']): Mutation => ({
  field,
  change,
  reason,
  edit: run,
});

const certified = (r: Records) => kindOf(r).certified && r.area.zone !== 'unclassified';
const single = (r: Records) => kindOf(r).transit === null;
const gland = (r: Records) => single(r) && certified(r);
const mineral = (r: Records) => kindOf(r).mineral;
const armoured = (r: Records) => r.cable.armour !== null && single(r);
const wired = (r: Records) => armoured(r) && r.cable.armour.type === 'wire';
const inner = (r: Records) => single(r) && r.size.inner !== null;
const potted = (r: Records) => r.certificate.sheet.compound !== null;
const flameproof = (r: Records) => gland(r) && r.enclosure.concepts.includes('db');
const asksBarrier = (r: Records) => flameproof(r) && kindOf(r).pot === 'none' && !kindOf(r).mineral;
const ring = (r: Records) => kindOf(r).ring === 'reversible' || kindOf(r).ring === 'dedicated';
/** Where it freezes. */
const cold = (r: Records) => gland(r) && r.area.ambientC[0] < 0;
const gas = (r: Records) => gland(r) && r.area.zone === '1';

const SITE: Mutation[] = [
  ...set('site.scheme', 'kind', 'The site goes by divisions, and the area has none.', ['divisions'], certified),
  ...set('site.bondLimitOhm', 'out', 'The bond reads more than the site allows.', [0.005, 0.001], (r) => r.readings.some(({ place }) => place === 'bond') || r.opening?.rows.some((row: Row) => row.columns.some((c) => c.blocks.some((b) => b.bondOhm !== null)))),
  ...set('site.bondLimitOhm', 'unit', 'Written in kΩ no bond is low enough.', [0.0001], (r) => r.readings.some(({ place }) => place === 'bond')),
]; // prettier-ignore

const AREA: Mutation[] = [
  ...set('area.zone', 'out', 'Zone 0 asks for a level that the gland has not.', ['0'], gas),
  ...set('area.zone', 'kind', 'A dust zone with a gas group cannot be.', ['20', '21', '22'], gas),
  ...set('area.group', 'blank', 'Nobody knows the group.', [null], gas),
  ...set('area.group', 'kind', 'A dust group in a gas zone cannot be.', ['IIIA', 'IIIB', 'IIIC'], gas),
  ...set('area.group', 'out', 'The gas asks for a group that the gland is not made for.', ['IIC'], (r) => gas(r) && !r.certificate.groups.includes('IIC')),
  ...set('area.temperatureClass', 'blank', 'Nobody knows what temperature lights it.', [null], (r) => gas(r) && mineral(r)),
  ...set('area.temperatureClass', 'out', 'The sheath is hotter than the class allows.', ['T6'], (r) => gas(r) && mineral(r)),
  ...set('area.cloudIgnitionC', 'blank', 'Nobody knows what lights the cloud of dust.', [null], (r) => mineral(r) && r.area.beside !== null),
  ...set('area.cloudIgnitionC', 'out', 'A cooler sheath lights the cloud of dust.', [100, 60], (r) => mineral(r) && r.area.beside !== null),
  ...set('area.layerIgnitionC', 'out', 'A cooler sheath lights the layer of dust.', [110, 90], (r) => mineral(r) && r.area.beside !== null),
  ...set('area.layerIgnitionC', 'blank', 'Nobody knows what lights the layer of dust.', [null], (r) => mineral(r) && r.area.beside !== null),
  ...set('area.ambientC', 'out', 'It is hotter there than gland, seal or cable bear.', [[-5, 96], [-5, 120]], gland),
  ...set('area.ambientC', 'out', 'It is colder there than the gland is made for.', [[-60, 40], [-90, 20]], gland),
  ...set('area.ambientC', 'blank', 'Nobody knows how hot or cold it gets.', [null], gland),
  ...set('area.ingressNeed', 'blank', 'Nobody knows what the place asks for.', [null], gland),
  ...set('area.ambientC', 'unit', 'Written in °F: hotter than anything there bears.', [[23, 104]], (r) => gland(r) && r.certificate.serviceC[1] < 104),
  ...set('area.ambientC', 'kind', 'The lower bound lies above the upper.', [[60, -20], [40, -5]], gland),
  ...set('area.ingressNeed', 'out', 'The place asks for more than the gland is rated.', ['IP68', 'IP67', 'IP69'], (r) => gland(r) && r.enclosure.ingress === 'IP66'),
  ...set('area.ingressNeed', 'kind', 'The need is no mark of ingress.', ['dry', 'IP', '66'], gland),
  ...set('area.beside', 'kind', 'Dust lies there too, and the gland has no level for dust.', [{ zone: '21', group: 'IIIB' }], (r) => gland(r) && !r.certificate.levels.includes('Db')),
  ...set('area.beside', 'out', 'Dust in zone 20 asks for a level that the gland has not.', [{ zone: '20', group: 'IIIB' }, { zone: '20', group: 'IIIC' }], gland),
  ...set('area.beside', 'blank', 'Another hazard lies beside, and nobody knows its group.', [{ zone: '21', group: null }], gland),
]; // prettier-ignore

const ENCLOSURE: Mutation[] = [
  ...set('enclosure.concepts', 'blank', 'Nobody knows how the box is protected.', [[]], gland),
  ...set('enclosure.concepts', 'out', 'Only the certificate of such a box says what may enter it.', [['qb'], ['ob'], ['s']], gas),
  ...set('enclosure.concepts', 'kind', 'The box has two kinds of protection, and nobody looked where the entry opens.', [['db', 'eb']], (r) => flameproof(r) && r.entry.compartment === null),
  ...set('enclosure.ingress', 'out', 'The gland is rated less than the box.', ['IP67', 'IP68', 'IP66/IP68', 'IP69'], gland),
  ...set('enclosure.ingress', 'blank', 'Nobody read the rating of the box.', [null], gland),
  ...set('enclosure.ingress', 'kind', 'The rating is no mark of ingress.', ['tight', 'IP'], gland),
  ...each('enclosure.derating', 'kind', 'It is rated less without a reason.', ['', ' '], (r, reason) => {
    if (!gland(r)) return false;
    r.certificate.ingress = 'IP54';
    r.enclosure.derating = { ingress: 'IP54', reason };
  }),
  ...set('enclosure.wallMm', 'out', 'The wall is thinner than the threads that are said to engage.', [4, 6, 8], (r) => flameproof(r) && r.entry.hole?.form === 'threaded'),
  ...set('enclosure.wallMm', 'unit', 'Written in cm or inches: thinner than the threads that are said to engage.', [1.2, 12 / 25.4], (r) => flameproof(r) && r.entry.hole?.form === 'threaded'),
  ...set('enclosure.wallMm', 'blank', 'Nobody knows how thick the wall is.', [null, 0], (r) => gland(r) && r.entry.hole?.form === 'clearance'),
  ...set('enclosure.entryTemperatureC', 'out', 'The entry gets hotter than cable and gland bear.', [96, 130], gland),
  ...set('enclosure.entryTemperatureC', 'unit', 'Written in °F: hotter than cable and gland bear.', [158], gland),
  ...set('enclosure.branchTemperatureC', 'out', 'The cable gets hotter at the branching point than it bears.', [91.5, 110, 140], gland),
  ...set('enclosure.branchTemperatureC', 'unit', 'Written in °F: hotter than the cable bears.', [176], gland),
  ...set('enclosure.measuredTemperature', 'out', 'Measured at rated load, raised to the highest ambient, it is hotter than anything bears.', [{ atC: 85, ambientC: 20, branchC: 95 }], gland),
  ...set('enclosure.unused', 'blank', 'Nobody said whether entries are unused.', [null], (r) => gland(r) && r.looks.some(({ look, answer }) => look === 'unused-entries' && answer === 'yes')),
  ...set('enclosure.unused', 'out', 'An unused entry is open, or closed for transport only.', [[UNUSED({ closure: 'none' })], [UNUSED({ closure: 'transport-plug' })]], gland),
  ...set('enclosure.unused', 'kind', 'The plug is not made for this box.', [[UNUSED({ concepts: ['nR'] })], [UNUSED({ levels: ['Gc'] })], [UNUSED({ groups: ['IIA'] })], [UNUSED({ needsTool: false })], [UNUSED({ thread: 'M20x1.5' })], [UNUSED({ inAdaptor: true })]], flameproof),
  ...set('enclosure.unused', 'file', 'The plug has no certificate.', [[UNUSED({ certificate: null, concepts: [], levels: [], groups: [] })]], flameproof),
  ...set('enclosure.volumeCm3', 'blank', 'Nobody knows the volume, and the group asks for more threads in a large one.', [null], (r) => flameproof(r) && r.entry.hole?.form === 'threaded' && r.readings.some(({ place, value }) => place === 'thread-engagement' && value < 7.9)),
  ...set('enclosure.indirectEntry', 'blank', 'Nobody knows whether the cable ends in a bushing.', [null], asksBarrier),
  ...set('enclosure.demandsBarrier', 'out', 'The box’s certificate asks for a barrier.', [true], asksBarrier),
  ...set('enclosure.demandsBarrier', 'blank', 'Nobody read whether the box’s certificate asks for a barrier.', [null], asksBarrier),
]; // prettier-ignore

function UNUSED(change: object): object {
  return {
    label: 'Z', closure: 'plug', needsTool: true, inAdaptor: false, concepts: ['db'], certificate: 'FRN 24.0601', levels: ['Gb'],
    groups: ['IIC'], divisions: [], thread: 'M25x1.5', hole: 'M25x1.5', ingress: 'IP66', engagedMm: 11, ...change,
  }; // prettier-ignore
}

const adaptor = (change: object = {}): object => ({
  what: 'adaptor', male: 'M25x1.5', female: 'M25x1.5', concepts: ['db'], levels: ['Gb'], groups: ['IIC'], divisions: [],
  maleLengthMm: 15, runoutMm: 1.5, femaleDepthMm: 16, ...change,
}); // prettier-ignore

const ENTRY: Mutation[] = [
  ...set('entry.hole', 'out', 'The gland’s thread is not that of the hole.', ['M20x1.5', 'M32x1.5', 'M25x2', 'NPT 3/4'].map((thread) => ({ form: 'threaded', thread, diameterMm: null, chamfersMm: 1 })), gland),
  ...set('entry.hole', 'blank', 'Nobody looked whether the hole is threaded, or by which thread.', [{ form: null, thread: null, diameterMm: null, chamfersMm: null }, { form: null, thread: 'M25x1.5', diameterMm: null, chamfersMm: 1 }, { form: 'threaded', thread: null, diameterMm: null, chamfersMm: 1 }, { form: 'clearance', thread: null, diameterMm: null, chamfersMm: null }], gland),
  ...set('entry.tailMm', 'blank', 'Nobody measured the tails, and the sheet allows no longer ones.', [null], (r) => r.size?.mineral?.longestTailMm != null),
  ...set('entry.tailMm', 'out', 'The tails are longer than the sheet allows.', [210, 400], (r) => r.size?.mineral?.longestTailMm != null),
  ...set('entry.tailMm', 'unit', 'Written in inches as if they were more: the tails are longer than the sheet allows.', [4572], (r) => r.size?.mineral?.longestTailMm != null),
  ...set('entry.washerMm', 'blank', 'A washer was seen, and nobody knows how thick it is.', [null], (r) => gland(r) && r.looks.some(({ look, answer }) => look === 'washer' && answer === 'fitted')),
  ...set('entry.hole', 'kind', 'A clearance hole in a flameproof wall holds no flame back.', [{ form: 'clearance', thread: null, diameterMm: 25.3, chamfersMm: 0 }], flameproof),
  ...set('entry.hole', 'unit', 'Its diameter in inches is no hole for this thread.', [{ form: 'clearance', thread: null, diameterMm: 1, chamfersMm: 0 }], gland),
  ...set('entry.certificate', 'file', 'The certificate is in another site’s file.', ['elsewhere'], () => true),
  ...set('entry.certificate', 'blank', 'Nobody knows the certificate.', [null], () => true),
  ...set('entry.size', 'blank', 'Nobody knows the size.', [null, ''], single),
  ...set('entry.size', 'kind', 'The sheet has no such size.', ['S9'], single),
  ...set('entry.cable', 'blank', 'Nobody knows the cable.', [null], single),
  ...set('entry.cable', 'file', 'The cable is in another site’s file.', ['elsewhere'], single),
  ...set('entry.ringFace', 'out', 'The other face of the ring is used.', ['braid'], ring),
  ...set('entry.ringFace', 'blank', 'Nobody looked which face of the ring is used.', [null], ring),
  ...set('entry.ringFace', 'kind', 'The sheet has no such face.', ['smooth'], ring),
  ...set('entry.washerMm', 'out', 'The washers leave fewer threads than are said to engage.', [5, 9, 13], flameproof),
  ...set('entry.washerMm', 'unit', 'Written in tenths: the washers leave fewer threads than are said to engage.', [20], flameproof),
  ...set('entry.adaptors', 'out', 'Two adaptors stand one in the other.', [[adaptor(), adaptor()]], flameproof),
  ...set('entry.adaptors', 'kind', 'The adaptor is not made for this box or this hole.', [[adaptor({ concepts: ['nR'] })], [adaptor({ levels: ['Gc'] })], [adaptor({ groups: ['IIA'] })], [adaptor({ male: 'M20x1.5' })], [adaptor({ female: 'M20x1.5' })]], flameproof),
  ...set('entry.adaptors', 'blank', 'Nobody knows what the adaptor is made for.', [[adaptor({ concepts: [], levels: [], groups: [] })]], flameproof),
  ...set('entry.compartment', 'out', 'It opens into a compartment that the gland is not made for.', [{ concept: 'nR', volumeCm3: 900, by: 'A. Vell', on: '2026-03-01' }], (r) => flameproof(r) && r.entry.compartment === null),
  ...set('entry.frame', 'blank', 'Nobody recorded the frame.', [null], (r) => !single(r)),
]; // prettier-ignore

const CABLE: Mutation[] = [
  ...set('cable.maxC', 'out', 'The cable bears less than the box gives.', [60, 45, 20], gland),
  ...set('cable.maxC', 'blank', 'Nobody knows what the cable bears.', [null], gland),
  ...set('cable.minC', 'out', 'It gets colder than the cable bears.', [0, 10], cold),
  ...set('cable.shape', 'kind', 'The seals are made for round cables.', ['flat', 'sector'], gland),
  ...set('cable.shape', 'blank', 'Nobody knows whether it is round.', [null], gland),
  ...set('cable.coldFlow', 'blank', 'Nobody knows whether the sheath flows cold.', [null], (r) => gland(r) && r.size.outer.coldFlow !== true && checksOf(kindOf(r).id).includes('E-16')),
  ...set('cable.outerMm', 'blank', 'What was measured cannot be compared with a record.', [null], (r) => single(r) && checksOf(kindOf(r).id).includes('E-27')),
  ...set('cable.toleranceMm', 'blank', 'Nobody knows how far the cable may be off its record.', [null], (r) => single(r) && checksOf(kindOf(r).id).includes('E-27')),
  ...set('cable.sheathMm', 'blank', 'What lies between the sheaths cannot be compared with a record.', [null], (r) => armoured(r) && checksOf(kindOf(r).id).includes('E-27')),
  ...set('cable.coldFlow', 'kind', 'The sheath flows cold, and the inner seal presses on it.', [true], (r) => gland(r) && kindOf(r).inner === 'seal'),
  ...set('cable.armour', 'kind', 'The ring has no face for such an armour.', [{ type: 'tape', sizeMm: 0.5, material: 'steel', areaMm2: null }, { type: 'corrugated', sizeMm: 1.25, material: 'steel', areaMm2: null }], wired),
  ...set('cable.armour', 'blank', 'No armour is on file, and nobody said that there is none.', [null], armoured),
  ...each('cable.armour', 'blank', 'Nobody knows how thick the armour is.', [null], (r, sizeMm) => {
    if (!armoured(r) || !checksOf(kindOf(r).id).includes('E-27')) return false;
    r.cable.armour.sizeMm = sizeMm;
  }),
  ...set('cable.armour', 'out', 'A wire that the clamp does not hold, by the record.', [{ type: 'wire', sizeMm: 2.5, material: 'steel', areaMm2: null }], (r) => wired(r) && inner(r)),
  ...set('cable.unarmoured', 'blank', 'Nobody saw that the cable has no armour.', [null], (r) => single(r) && r.cable.armour === null && !mineral(r)),
  ...set('cable.unarmoured', 'kind', 'It has an armour and has none.', [{ by: 'A. Vell', on: '2026-01-02' }], armoured),
  ...set('cable.filling', 'out', 'A cable that is not filled lets gas through where no barrier stands.', ['not-filled'], asksBarrier),
  ...set('cable.filling', 'blank', 'Nobody knows whether the cable is filled.', [null, 'unknown'], asksBarrier),
  ...set('cable.lengthM', 'out', 'So short a cable asks for a barrier.', [2.9, 1, 0.4], asksBarrier),
  ...set('cable.lengthM', 'unit', 'Written in kilometres: so short a cable asks for a barrier.', [0.04], asksBarrier),
  ...set('cable.lengthM', 'blank', 'Nobody knows how long it is.', [null], asksBarrier),
  edit('cable.cores', 'out', 'One core alone asks for its own precautions, and nobody saw them.', (r) => {
    if (!gland(r)) return false;
    r.cable.cores = [{ count: 1, areaMm2: 4, diameterMm: 4.1 }];
    drop(r, 'look', ({ look }) => look === 'single-core');
  }),
  ...set('cable.cores', 'blank', 'Nobody knows its cores.', [[]], (r) => potted(r) && r.size.pot !== null),
  ...set('cable.cores', 'kind', 'More cores than the pot takes.', [[{ count: 12, areaMm2: 1, diameterMm: 2 }]], (r) => potted(r) && r.size.pot !== null),
  ...set('cable.outerMm', 'out', 'What was measured is not the cable on file.', [24, 16, 30], single),
  ...set('cable.outerMm', 'unit', 'What was measured is not the cable on file, in another unit.', [2.07, 207, 0.815], single),
]; // prettier-ignore

const CERTIFICATE: Mutation[] = [
  ...set('certificate.number', 'kind', 'A component certificate: it stands only within another certificate.', ['FRN 24.0117U', 'FRN 24.0117 U'], certified),
  ...set('certificate.number', 'kind', 'An X: its special conditions are not on file.', ['FRN 24.0117X', 'FRN 24.0117 X issue 2'], certified),
  ...set('certificate.state', 'out', 'It was withdrawn.', ['withdrawn'], certified),
  ...set('certificate.state', 'blank', 'Nobody looked whether it still stands.', [null], certified),
  ...set('certificate.issued', 'blank', 'Nobody read when it was issued.', [null], certified),
  ...set('certificate.specialConditions', 'blank', 'Nobody read its special conditions.', [null], (r) => checksOf(kindOf(r).id).includes('E-25')),
  ...set('certificate.reducedRetention', 'blank', 'Nobody read whether it holds the cable by itself.', [null], (r) => checksOf(kindOf(r).id).includes('E-26')),
  ...set('certificate.issued', 'day', 'It is issued on a day that has not come.', ['2027-05-01', '2031-01-01'], certified),
  ...set('certificate.kind', 'kind', 'It is about another kind of entry.', ['gland-industrial', 'transit-sealant', 'gland-double-seal'], (r) => certified(r) && r.entry.kind !== 'gland-double-seal'),
  ...set('certificate.concepts', 'out', 'It does not name the protection of the box.', [['nR'], ['ma'], ['ia']], gland),
  ...set('certificate.concepts', 'blank', 'It names no protection.', [[]], gland),
  ...set('certificate.levels', 'out', 'Its level is below what the zone asks for.', [['Gc'], ['Gc', 'Dc'], ['Dc']], gas),
  ...set('certificate.levels', 'kind', 'Its level is for another hazard.', [['Db'], ['Da'], ['Mb']], gas),
  ...set('certificate.levels', 'blank', 'It names no level.', [[]], (r) => gland(r) && r.certificate.categories.length === 0 && !r.certificate.concepts.includes('db')),
  ...set('certificate.groups', 'out', 'Its group is below that of the gas.', [['IIA'], ['IIA', 'IIIC']], gas),
  ...set('certificate.groups', 'kind', 'Its group is for another hazard.', [['IIIC'], ['I']], gas),
  ...set('certificate.groups', 'blank', 'It names no group.', [[]], gas),
  ...set('certificate.serviceC', 'out', 'The place is hotter or colder than it is made for.', [[-40, 60], [0, 95], [-20, 30]], cold),
  ...set('certificate.serviceC', 'unit', 'Written in K: the place is colder than that.', [[233, 368]], gland),
  ...set('certificate.ingress', 'out', 'It is rated less than the box.', ['IP54', 'IP64', 'IP55', 'IP65', 'IP67', 'IP68'], gland),
  ...set('certificate.ingress', 'blank', 'It names no rating.', ['', null], gland),
  ...set('certificate.ingress', 'kind', 'Its rating is no mark of ingress.', ['tight', '66'], gland),
  ...set('certificate.specialConditions', 'out', 'A condition stands in it that nobody looked at.', [['The clamp is opened once.'], ['One.', 'Two.']], () => true),
  ...set('certificate.demandsBarrier', 'out', 'The gland’s certificate asks for a barrier.', [true], asksBarrier),
  ...set('certificate.demandsBarrier', 'blank', 'Nobody read whether its certificate asks for a barrier.', [null], asksBarrier),
  ...set('certificate.reducedRetention', 'kind', 'It holds the cable less, and nobody measured how far away the next support is.', [true], single),
  edit('certificate.sheet.joints', 'blank', 'The sheet does not say how its joints are closed.', (r) => {
    if (!single(r)) return false;
    r.certificate.sheet.joints = [];
  }),
  ...each('certificate.sheet.joints', 'out', 'The sheet asks for more than was turned.', ['entry', 'outer-seal'], (r, joint) => {
    const found = r.certificate.sheet.joints.find((one: { joint: string }) => one.joint === joint);
    if (!single(r) || !found?.range) return false;
    found.range = found.range.map((value: number) => value * 3);
  }),
  ...each('certificate.sheet.joints', 'kind', 'The sheet asks for a way to close that nobody followed.', ['entry', 'outer-seal', 'clamp', 'inner-seal', 'pot', 'resin-port'], (r, joint) => {
    const found = r.certificate.sheet.joints.find((one: { joint: string }) => one.joint === joint);
    if (!single(r) || !found) return false;
    [found.school, found.range] = found.school === 'torque' ? ['turns', [1, 2]] : ['torque', [30, 40]];
  }),
]; // prettier-ignore

/** A seal's figures. */
const seals = (part: 'outer' | 'inner', mm: number): Mutation[] => {
  const field = `size.${part}`;
  const has = part === 'outer' ? single : inner;
  const seal = (change: ChangeOf, reason: string, changes: object[]): Mutation[] =>
    each(field, change, reason, changes, (r, value) => {
      if (!has(r) || kindOf(r).mineral) return false;
      Object.assign(r.size[part], value);
    });
  return [
    ...seal('out', 'The cable is too thin or too thick for the seal.', [
      { rangeMm: [mm + 1, mm + 5] }, { rangeMm: [mm - 6, mm - 1] }, { rangeMm: [mm + 8, mm + 12] }, { rangeMm: [1, 3] },
    ]),
    ...seal('unit', 'The range is written in inches or centimetres: the cable is outside it.', [{ rangeMm: [0.66, 0.95] }, { rangeMm: [1.69, 2.41] }, { rangeMm: [169, 241] }]),
    ...seal('kind', 'The seal is made for another shape.', [{ shapes: ['flat'] }, { shapes: [] }]),
    ...seal('blank', 'The sheet leaves out what the seal is made for.', [{ rangeMm: null }, { ovalityPct: null }, { maxC: null }, { shapes: [] }]),
    ...seal('out', 'The seal bears less heat or cold than the place gives.', [{ maxC: 60 }, { maxC: 35 }]),
    ...each(field, 'out', 'The seal bears less cold than the place gives.', [0, 5], (r, minC) => {
      if (!has(r) || !cold(r) || kindOf(r).mineral) return false;
      r.size[part].minC = minC;
    }),
  ]; // prettier-ignore
};

const SIZE: Mutation[] = [
  ...seals('outer', 20.7),
  ...seals('inner', 15.2).map((one): Mutation => ({ ...one, edit: (r) => (r.cable.coldFlow ? false : one.edit(r)) })),
  ...set('size.inner', 'blank', 'The sheet has no figures of the inner seal.', [null], (r) => inner(r) && kindOf(r).armour !== 'none'),
  ...set('size.thread', 'out', 'Its thread is not that of the hole.', ['M20x1.5', 'M32x1.5', 'M25x2', 'NPT 1'], gland),
  ...set('size.thread', 'blank', 'The sheet names no thread.', ['', 'thread', null], gland),
  ...set('size.maleLengthMm', 'out', 'Its thread is shorter than what is said to engage.', [7, 9, 12], flameproof),
  ...set('size.maleLengthMm', 'unit', 'In inches or centimetres its thread is shorter than what is said to engage.', [0.59, 1.5], flameproof),
  ...set('size.runoutMm', 'out', 'Its run-out leaves less thread than is said to engage.', [4, 8, 12], flameproof),
  ...set('size.clamp', 'out', 'The wires are thinner or thicker than the clamp takes.', [[0.2, 0.7], [1.8, 2.5]].map((rangeMm) => ['wire', 'braid', 'both'].map((face) => ({ face, armour: 'wire', rangeMm }))), wired),
  ...set('size.clamp', 'unit', 'In inches no wire fits the clamp.', [['wire', 'braid', 'both'].map((face) => ({ face, armour: 'wire', rangeMm: [0.045, 0.065] }))], wired),
  ...set('size.clamp', 'kind', 'The clamp holds another kind of armour.', [['wire', 'braid', 'both'].map((face) => ({ face, armour: 'braid', rangeMm: [0.2, 1.9] }))], wired),
  ...set('size.clamp', 'blank', 'The sheet says nothing about the clamp.', [[]], armoured),
  ...set('size.armourLengthMm', 'out', 'More or less armour is exposed than the sheet asks for.', [[5, 10], [22, 30]], (r) => r.size.armourLengthMm !== null),
  ...set('size.armourLengthMm', 'unit', 'In inches the sheet asks for another length.', [[0.6, 0.8]], (r) => r.size.armourLengthMm !== null),
  ...set('size.armourLengthMm', 'blank', 'The sheet does not say how long.', [null], (r) => r.size.armourLengthMm !== null),
  ...set('size.innerProudMm', 'out', 'The sheath stands less proud than the sheet asks for.', [10, 15, 40], (r) => r.size.innerProudMm !== null && inner(r)),
  ...set('size.innerProudMm', 'blank', 'The sheet does not say how far proud.', [null], (r) => r.size.innerProudMm !== null && inner(r)),
  ...each('size.backNut', 'out', 'The gap on the scale is another.', [{ handOnGapMm: 14 }, { handOnGapMm: 5 }, { pitchMm: 6 }, { turns: 4 }], (r, value) => {
    if (!r.size.backNut || !single(r)) return false;
    Object.assign(r.size.backNut, value);
  }),
  ...each('size.pot', 'out', 'The cores do not fit the pot.', [{ mostCores: 2 }, { overCoresMm: [11, 13] }, { overCoresMm: [4, 8] }], (r, value) => {
    if (!r.size.pot || !potted(r) || !checksOf(kindOf(r).id).includes('E-17')) return false;
    Object.assign(r.size.pot, value);
  }),
  ...each('size.mineral', 'out', 'The pot stands otherwise than its sheet asks for.', [{ projectionMm: [4, 6] }, { projectionMm: [0.1, 0.4] }, { maxC: 60 }], (r, value) => {
    if (!r.size.mineral) return false;
    Object.assign(r.size.mineral, value);
  }),
  ...set('size.mineral', 'blank', 'The sheet has no figures of the pot.', [null], mineral),
]; // prettier-ignore

interface Row {
  columns: { blocks: { bondOhm: number | null }[] }[];
}

/** Every way to spoil what the dossier says. */
export const RECORD_MUTATIONS: readonly Mutation[] = [
  ...SITE, ...AREA, ...ENCLOSURE, ...ENTRY, ...CABLE, ...CERTIFICATE, ...SIZE,
]; // prettier-ignore
