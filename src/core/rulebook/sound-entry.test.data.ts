import { KINDS, looksOf, measures, placesOf, placeOf } from '../kinds/kinds';
import type { KindId } from '../record/kind-ids';
import { MemorySlice, type Written } from '../record/slice';
import type {
  Area,
  AsLeft,
  AssemblySheet,
  BlockSide,
  Cable,
  Certificate,
  Continuity,
  Enclosure,
  Entry,
  Frame,
  GlandSize,
  Inspection,
  InsulationTest,
  Instrument,
  InstrumentKind,
  MakeOff,
  Mineral,
  MineralPot,
  PackedBlock,
  PackedOpening,
  Pour,
  Reading,
  ReferenceRecord,
  Round,
  Seal,
  Site,
  TransitSheet,
} from '../record/types';
import { pairsOf } from '../mineral/insulation';
import { dossierOf, type Dossier } from './dossier';
import { gapFor } from './gap-scale';

/** How a test's entry differs from the sound one. */
export interface Change {
  kind?: KindId;
  site?: Partial<Site>;
  area?: Partial<Area>;
  enclosure?: Partial<Enclosure>;
  cable?: Partial<Cable>;
  certificate?: Partial<Certificate>;
  sheet?: Partial<AssemblySheet>;
  size?: Partial<GlandSize>;
  entry?: Partial<Entry>;
  instrument?: Partial<Instrument>;
  round?: Partial<Round>;
  /** Readings per place, instead of the sound ones. */
  truth?: Record<string, number[]>;
  /** Readings beside the sound ones. */
  readings?: Reading[];
  /** Answers instead of the good ones; null: not looked at. */
  looks?: Record<string, string | null>;
  /** Notes beside the answers. */
  notes?: Record<string, string>;
  /** The mixing, or null for none. */
  pour?: Partial<Pour> | null;
  /** Fault of every reading. */
  fault?: Reading['fault'];
  /** Other records of the slice. */
  entries?: Entry[];
  asleft?: AsLeft[];
  inspections?: Inspection[];
  references?: ReferenceRecord[];
  /** What the mineral-insulated cable has beside, and its tests; null for none. */
  mineral?: Partial<Mineral>;
  tests?: InsulationTest[];
  traced?: Continuity['found'] | null;
  sealedAt?: string | null;
  /** How the transit is packed otherwise than it should be; null for not recorded. */
  packed?: ((opening: PackedOpening) => PackedOpening) | null;
  transit?: Partial<TransitSheet>;
}

const base = { site: 's' };
let made = 0;

/** Instrument of the test per kind of instrument. */
const INSTRUMENT: Record<InstrumentKind, string> = {
  caliper: 'c', tape: 'w', 'milliohm-meter': 'o', 'pitch-gauge': 'g', rule: 'u', 'turn-mark': 't',
  'torque-driver': 'n', feeler: 'c', thermometer: 'c', 'insulation-tester': 'i',
}; // prettier-ignore

const instrumentFor = (place: string): InstrumentKind => {
  if (place === 'bond' || place === 'sheath-earth') return 'milliohm-meter';
  if (place === 'sheath-length') return 'rule';
  if (place === 'thread-pitch') return 'pitch-gauge';
  if (place.startsWith('torque-')) return 'torque-driver';
  if (place.includes('turns')) return 'turn-mark';
  return place === 'support-distance' ? 'rule' : 'caliper';
};

/** A reading by A. Vell with the test's instrument for the place. */
export function reading(place: string, value: number): Reading {
  const kind = instrumentFor(place);
  return {
    ...base,
    id: `r${++made}`,
    entry: 'e',
    round: 'r',
    place,
    value,
    typed: String(value),
    method: kind === 'caliper' ? 'caliper' : null,
    instrument: INSTRUMENT[kind],
    source: 'typed',
    by: 'A. Vell',
    at: '2026-03-04T09:00:00.000Z',
    fault: null,
    struck: null,
  };
}

const BACK_NUT = {
  freeBoreMm: 24.6, freeOutsideMm: 31, freeLengthMm: 14, housingBoreMm: 31.5, handOnGapMm: 10, turns: 0.5,
  pitchMm: 1.5, toleranceMm: 0.4, indentPct: 15,
}; // prettier-ignore

/** Gap that is right on a cable of the sound size. */
export const SOUND_GAP_MM = gapFor(BACK_NUT, 20.7).gapMm;

const SOUND: Record<string, number[]> = {
  'outer-sheath': [20.68, 20.72, 20.7],
  'inner-sheath': [15.2, 15.18, 15.22],
  'over-cores': [9.9, 9.92, 9.9],
  armour: [1.25, 1.26, 1.25],
  'armour-length': [18],
  'thread-engagement': [11],
  'back-nut-gap': [SOUND_GAP_MM],
  'inner-proud': [8],
  'compound-reach': [12],
  bond: [0.011],
  'pot-projection': [2],
  'sheath-length': [1654],
  'sheath-earth': [0.06],
  'torque-entry': [35],
  'turns-outer-seal': [0.87],
  'turns-clamp': [0.87],
};
/** Corrugated armour is measured over its ridges. */
const OVER_ARMOUR = [17.7, 17.72, 17.7];

const MINERAL_POT: MineralPot = {
  threadLengthMm: 12, projectionMm: [1, 3], gripMm: 20, toolStopOffsetMm: 33, screenStubMm: 10, maxC: 105, longestTailMm: 200, warms: null,
}; // prettier-ignore

/** What a mineral-insulated cable has beside: 40 m of 12 mm² copper predict 0.0573 Ω. */
export const SOUND_MINERAL: Mineral = {
  conductors: ['L', 'N'], screened: true, jacketed: false, testVoltage: 500, newMegohm: 100, serviceMegohm: 20,
  windowMin: 15, fallFactor: 2, sheathMm2: 12, sheathC: 90, earthLimitOhm: 0.4,
  link: {
    straightsMm: [480, 946], bends: [{ angleDeg: 90, radiusMm: 130, right: false }], entryMm: [12, 12],
    tailMm: [120, 120], trimMm: 20, fitMm: 3,
  },
}; // prettier-ignore

/** An insulation test of the sound end, every pair at one figure. */
export const insulationTest = (
  id: string,
  stage: InsulationTest['stage'],
  at: string,
  megohm: number,
  change: Partial<InsulationTest> = {},
): InsulationTest => ({
  ...base, id, cable: 'k', entry: stage === 'in-service' ? null : 'e', stage, drying: false, instrument: 'i',
  temperatureC: 20, farEndSealed: true, by: 'A. Vell', at,
  readings: pairsOf(['L', 'N'], true).map((pair) => ({ pair, megohm, saturated: false, by: 'A. Vell', at })),
  ...change,
}); // prettier-ignore

/** When the sound pot was filled. */
export const SEALED_AT = '2026-03-03T09:10:00.000Z';
/** When the end was cut: what is older does not count. */
const CUT_AT = '2026-03-03T08:40:00.000Z';
const filled = (at: string): MakeOff => ({
  ...base, id: 'w', entry: 'e', round: 'r', why: 'make-off', habit: 'body-first', armourEnd: null, by: 'A. Vell', finished: at, at: CUT_AT,
  ticks: [{ step: 'fill', initials: 'AV', by: 'A. Vell', at, skipped: null }],
}); // prettier-ignore
const TESTS: InsulationTest[] = [
  insulationTest('t1', 'before-seal', '2026-03-03T09:00:00.000Z', 800),
  insulationTest('t2', 'after-seal', '2026-03-03T09:30:00.000Z', 780),
];

/** What the maker says about the sound transit. */
export const SOUND_TRANSIT: TransitSheet = {
  blocks: [{ sizeMm: 30, boreMm: 10.1, layerMm: 1, layersPerHalf: 6, keepLayers: 1, rangeMm: [10, 25] }, { sizeMm: 60, boreMm: 27, layerMm: 1, layersPerHalf: 14, keepLayers: 1, rangeMm: [28, 54] }],
  gapMm: [0.2, 1], maxLayerDifference: 1, stayPlateMm: 1, compressionMm: [20, 30], wedgeMm: [8, 12], relaxH: 24, shapes: ['round'],
  sealant: { name: 'Dessel sealant', depthMm: 20, wastePct: 10, cartridgeMl: 310, maxFillPct: 40, cableGapMm: 15, wallGapMm: 15, sleeve: { outerMm: 32, innerMm: 20, lengthMm: 70 }, coreClearanceMm: 4 },
  bonded: { blockDepthMm: 60, braidMm: [22, 44], leastContactMm: 20, overhangMm: 10, toleranceMm: 1, window: false },
}; // prettier-ignore

const side = (cable: string | null, layers: [number, number], readingsMm: number[]): BlockSide => ({
  layers: cable === null ? null : layers, readingsMm: cable === null ? [] : readingsMm,
  instrument: cable === null ? null : 'c', readBy: null, readAt: null, others: [], daylight: cable === null ? null : false,
}); // prettier-ignore

/** Readings of the sound cable in sealant. */
export const SEALED_READINGS = [
  { readingsMm: [20.68, 20.72, 20.7], instrument: 'c', by: 'A. Vell', at: '2026-03-04T09:00:00.000Z' },
];

/** A block of the sound transit; with the cable it is peeled for 20.7 mm, on the armour side for 17.7 mm. */
export const soundBlock = (cable: string | null, bonded: boolean): PackedBlock => ({
  cable, core: cable === null ? true : null,
  jacket: side(cable, [5, 5], [20.68, 20.72, 20.7]),
  armour: bonded ? side(cable, [4, 3], [17.69, 17.71, 17.7]) : null,
  bondOhm: bonded && cable !== null ? 0.011 : null, bondInstrument: bonded && cable !== null ? 'o' : null, bondAt: null,
}); // prettier-ignore

const REST = { recessFarMm: [], plug: false, packedAt: '2026-03-02T09:00:00.000Z' };
const soundOpening = (transit: 'blocks' | 'bonded' | 'sealant'): PackedOpening =>
  transit === 'sealant'
    ? { label: '1', rows: [], wedgeMm: null, cables: [{ cable: 'k', xMm: 60, yMm: 70, readings: SEALED_READINGS }], recessMm: [20, 21, 20], ...REST }
    : {
        label: '1', wedgeMm: 10, cables: [], recessMm: [], ...REST,
        rows: [{ heightMm: 30, plate: true, columns: ['k', null].map((cable) => ({ widthMm: 30, blocks: [soundBlock(cable, transit === 'bonded')] })) }],
      }; // prettier-ignore

const FRAME = (sealant: boolean): Frame => ({
  where: 'wall', wallDepthMm: 200, sides: 1, otherArea: null,
  openings: [sealant ? { label: '1', shape: 'rect', widthMm: 200, heightMm: 150 } : { label: '1', shape: 'rect', widthMm: 60, heightMm: 56 }],
}); // prettier-ignore

const seal = (low: number, high: number, coldFlow = false): Seal => ({
  rangeMm: [low, high],
  ovalityPct: 5,
  maxC: 95,
  minC: null,
  coldFlow,
  shapes: ['round'],
});

/** The size of a kind that the sound cable fits. */
function sizeOf(kind: KindId): GlandSize {
  const { ring, armour, inner, pot } = KINDS[kind];
  const [wire, braid] = ring === 'universal' ? ['both', 'both'] : ['wire', 'braid'];
  const wires = [
    { face: wire!, armour: 'wire' as const, rangeMm: [1.15, 1.65] as [number, number] },
    { face: braid!, armour: 'braid' as const, rangeMm: [0.2, 0.7] as [number, number] },
  ];
  const ridges = [{ face: 'both', armour: 'corrugated' as const, rangeMm: [16, 19] as [number, number] }];
  return {
    size: 'S3', thread: 'M25x1.5', maleLengthMm: 15, runoutMm: 1.5, washerMm: 0, acrossMm: 37, bodyLengthMm: 58,
    outer: seal(16.9, 24.1),
    inner: inner === 'none' ? null : seal(11.2, 18.3, inner === 'diaphragm'),
    clamp: armour === 'none' ? [] : armour === 'gripped' ? ridges : wires,
    backNut: measures(KINDS[kind], 'back-nut-gap') ? BACK_NUT : null,
    armourLengthMm: armour === 'cone' ? [15, 20] : null,
    innerProudMm: inner === 'none' ? null : 5,
    pot: pot === 'none' ? null : { boreMm: 16, depthMm: 25, mostCores: 7, overCoresMm: [6, 13] },
    sealDepthMm: 17,
    mineral: KINDS[kind].mineral ? MINERAL_POT : null,
  }; // prettier-ignore
}

function joints(kind: KindId): AssemblySheet['joints'] {
  const schools = {
    entry: { school: 'torque', range: [30, 40] },
    clamp: { school: 'faces', range: null },
    'inner-seal': { school: 'faces', range: null },
    'outer-seal': { school: 'turns', range: [0.6, 1.1] },
    pot: { school: 'grip', range: null },
    'resin-port': { school: 'grip', range: null },
  } as const;
  return KINDS[kind].joints.map((joint) => ({ joint, ...schools[joint] }) as AssemblySheet['joints'][number]);
}

/** Everything that a sound entry of a kind answers otherwise than with the first good answer. */
const PREFERRED: Record<string, string> = { 'unused-entries': 'none', unaltered: 'first' };

/** The records of a sound entry, changed as a test asks; flameproof in zone 1 unless the kind is an ordinary one. */
export function recordsWith(change: Change = {}): MemorySlice {
  const kind = change.kind ?? 'gland-double-seal';
  const traits = KINDS[kind];
  const slice = new MemorySlice();
  const caliper: Instrument = {
    ...base, id: 'c', tag: 'Caliper 07', kind: 'caliper', unit: 'mm', span: [0, 150], resolution: 0.01,
    expandedUncertainty: 0.03, coverageFactor: 2, repeatability: 0.02, repeatabilitySoft: 0.05,
    calibratedUntil: '2027-01-01', calibration: 'CAL 1', calibrations: [], pooledPlaces: null, simulated: true, of: null, lentAt: null,
    ...change.instrument,
  }; // prettier-ignore
  const others: Instrument[] = [
    { ...caliper, id: 'o', tag: 'Ohmmeter 02', kind: 'milliohm-meter', unit: 'ohm', span: [0, 20], resolution: 0.0001, expandedUncertainty: 0.001, repeatability: 0.0005 },
    { ...caliper, id: 'u', tag: 'Rule 01', kind: 'rule', span: [0, 3000], resolution: 1, expandedUncertainty: 0.5, repeatability: 0.2 },
    { ...caliper, id: 't', tag: 'Mark', kind: 'turn-mark', unit: 'turns', span: [0, 40], resolution: 0.05, expandedUncertainty: 0.05, repeatability: 0.02 },
    { ...caliper, id: 'i', tag: 'Tester 01', kind: 'insulation-tester', unit: 'megohm', span: [0.001, 1000], resolution: 0.1, expandedUncertainty: 5, repeatability: 1 },
    { ...caliper, id: 'g', tag: 'Pitch gauge 01', kind: 'pitch-gauge', span: [0.25, 6], resolution: 0.05, expandedUncertainty: 0.02 },
    { ...caliper, id: 'w', tag: 'Tape 11', kind: 'tape', span: [0, 2000], resolution: 0.5, expandedUncertainty: 0.3, repeatability: 0.2 },
    { ...caliper, id: 'n', tag: 'Driver 04', kind: 'torque-driver', unit: 'Nm', span: [1, 100], resolution: 0.1, expandedUncertainty: 1, repeatability: 0.3 },
  ]; // prettier-ignore
  const ordinary = !traits.certified;
  const gripped = traits.armour === 'gripped';
  // A transit stands in a wall of the building, unless it is made for cabinets.
  const wall = traits.transit !== null && traits.wall === 'building';
  const certificate = {
    ...base, id: 'q', number: 'FRN 24.0117', maker: 'Fernholt', title: 'Gland', kind, issued: '2024-01-01', state: 'valid',
    concepts: ordinary ? [] : ['db', 'eb', 'tb'], levels: ordinary ? [] : ['Gb', 'Db'], groups: ordinary ? [] : ['IIC', 'IIIC'],
    serviceC: [-40, 95], ingress: 'IP66', sealing: true, specialConditions: [], divisions: [], reducedRetention: false,
    withdrawn: null, categories: [], oRing: false, demandsBarrier: false,
    sheet: {
      number: 'FS 117', expectedBondOhm: 0.012, joints: joints(kind), shroud: ordinary ? 'shroud' : 'none', chart: [{ cores: 4, areaMm2: 4, size: 'S3' }],
      sizes: [{ ...sizeOf(kind), ...change.size }],
      compound: traits.pot === 'none' ? null : {
        name: 'Dessel compound', packMl: 40, wastePct: 15, ratio: '1 : 1', referenceC: 20, q10: 2, workingMinutes: 30,
        cureHours: 4, energiseHours: 6, minimumC: 5, maxC: 110, extrapolates: false, reachMm: 30, minC: null,
      },
      transit: traits.transit ? { ...SOUND_TRANSIT, ...change.transit } : null,
      ...change.sheet,
    },
    ...change.certificate,
  } as Certificate; // prettier-ignore
  const records: [Written['table'], object][] = [
    ['site', {
      ...base, id: 's', name: 'Works', acceptance: 'guarded', references: 'iec-2013', scheme: 'zones', barrierSchool: '2013',
      ovalityAllowancePct: 3, bondLimitOhm: 0.1, bondPredictionFactor: 3, severityDays: { 4: 0, 3: 7, 2: 90, 1: 365 }, enclosureTypes: [], usualMinutes: [], intervals: { visual: null, close: null, detailed: null }, longestMonths: 36,
      timeZone: 'UTC', lastSeal: null, ...change.site,
    }],
    ['area', {
      ...base, id: 'a', name: 'Hall', zone: ordinary ? 'unclassified' : '1', group: ordinary ? null : 'IIB', temperatureClass: ordinary ? null : 'T3', substances: '',
      division: null, weather: 'indoors', beside: null, cloudIgnitionC: null, layerIgnitionC: null, dustLayerMm: null,
      ambientC: [-5, 40], ingressNeed: 'IP54', outlineM: { x: 0, y: 0, width: 9, height: 9 }, levelM: 0, ...change.area,
    }],
    ['enclosure', {
      ...base, id: 'b', area: 'a', tag: 'JB-1', what: 'box', concepts: ordinary || wall ? [] : ['db'], group: 'IIB', temperatureClass: null,
      ingress: 'IP66', derating: null, volumeCm3: 1800, wallMm: 12, entryTemperatureC: null, material: 'metal',
      ignitionSource: false, indirectEntry: false, demandsBarrier: false, unused: [],
      branchTemperatureC: null, onlyIntrinsic: null, type: null, surroundings: null, movable: null, measuredTemperature: null, positionM: { x: 1, y: 1, z: 0 }, ...change.enclosure,
    }],
    ['cable', {
      ...base, id: 'k', tag: 'P-1', from: '', to: '', lengthM: 40, cores: [{ count: traits.mineral ? 2 : 4, areaMm2: 4, diameterMm: 4.1 }],
      shape: 'round', coldFlow: false, innerMm: 15.2,
      armour: traits.armour === 'none' && traits.transit !== 'bonded' ? null : { type: gripped ? 'corrugated' : 'wire', sizeMm: 1.25, material: 'steel', areaMm2: null },
      unarmoured: traits.armour === 'none' && traits.transit !== 'bonded' ? { by: 'A. Vell', on: '2026-01-02' } : null, sheathMm: 1.5,
      outerMm: 20.7, toleranceMm: 0.4, maxC: 90, minC: -40, screened: false, filling: 'filled', breathing: null,
      mineral: traits.mineral ? { ...SOUND_MINERAL, ...change.mineral } : null, ...change.cable,
    }],
    ['certificate', certificate],
    ['instrument', caliper],
    ...others.map((one) => ['instrument', one] as [Written['table'], object]),
    ['entry', {
      ...base, id: 'e', enclosure: 'b', label: 'A', kind,
      hole: { form: 'threaded', thread: 'M25x1.5', diameterMm: null, chamfersMm: 1 }, certificate: 'q', size: 'S3',
      ringFace: traits.ring === 'reversible' || traits.ring === 'dedicated' ? 'wire' : null, cable: 'k', washerMm: 2,
      compartment: null, sealingDevice: false, factoryFitted: null, factoryThreaded: null, raceway: null,
      foundMadeOff: null, cableSince: null, adaptors: [], tailMm: 180, frame: traits.transit ? FRAME(traits.transit === 'sealant') : null, ...change.entry,
    }],
    ['round', {
      ...base, id: 'r', name: 'Round', grade: 'detailed', entries: ['e', ...(change.entries ?? []).map(({ id }) => id)],
      started: '2026-03-04', closed: null, ...change.round,
    }],
  ]; // prettier-ignore
  for (const entry of change.entries ?? []) records.push(['entry', entry]);
  for (const record of change.asleft ?? []) records.push(['asleft', record]);
  for (const record of change.inspections ?? []) records.push(['inspection', record]);
  if (traits.transit && change.packed !== null) {
    const openings = [(change.packed ?? ((same) => same))(soundOpening(traits.transit))];
    records.push(['packing', { ...base, id: 'e', entry: 'e', openings, by: 'A. Vell', at: '2026-03-04T09:00:00.000Z' }]); // prettier-ignore
  }
  if (traits.mineral) {
    for (const test of change.tests ?? TESTS) records.push(['insulation', test]);
    const found = change.traced === undefined ? [{ near: 'L', far: 'L' }, { near: 'N', far: 'N' }] : change.traced; // prettier-ignore
    if (found) records.push(['continuity', { ...base, id: 'n', cable: 'k', found, by: 'A. Vell', at: '2026-03-03T08:50:00.000Z' }]); // prettier-ignore
    const sealedAt = change.sealedAt === undefined ? SEALED_AT : change.sealedAt;
    if (sealedAt) records.push(['makeoff', filled(sealedAt)]);
  }
  for (const record of change.references ?? []) records.push(['reference', record]);
  const sound: Record<string, number[]> = gripped ? { ...SOUND, armour: OVER_ARMOUR } : SOUND;
  const asked = new Set(placesOf(kind, certificate.sheet).map(({ id }) => id));
  const truth = Object.fromEntries(Object.entries(sound).filter(([place]) => asked.has(place)));
  const readings = Object.entries({ ...truth, ...change.truth }).flatMap(([place, values]) =>
    values.map((value) => ({ ...reading(place, value), fault: change.fault ?? null })),
  );
  for (const item of [...readings, ...(change.readings ?? [])]) {
    if (placeOf(kind, item.place)) records.push(['reading', item]);
  }
  for (const { id, answers } of looksOf(kind, certificate)) {
    const usual = PREFERRED[id] ?? answers.find(({ good }) => good)!.id;
    const answer = change.looks?.[id] === undefined ? usual : change.looks[id];
    if (answer === null) continue;
    const note = change.notes?.[id] ?? (id.startsWith('condition-') ? 'seen at the clamp' : '');
    const look = {
      ...base, id: `l-${id}`, entry: 'e', round: 'r', look: id, answer, by: 'A. Vell',
      at: '2026-03-04T09:00:00.000Z', photo: null, note,
    }; // prettier-ignore
    records.push(['look', look]);
  }
  if (traits.pot !== 'none' && change.pour !== null) {
    const pour: Pour = {
      ...base, id: 'p', entry: 'e', round: 'r', batch: 'B 77', expires: '2027-01-01', ratioKept: true,
      mixedAt: '2026-03-01T09:00:00.000Z', packedAt: '2026-03-01T09:20:00.000Z', temperatureC: 20, lowestC: 18,
      lookedAt: '2026-03-03T09:00:00.000Z', by: 'A. Vell', at: '2026-03-03T09:00:00.000Z', ...change.pour,
    }; // prettier-ignore
    records.push(['pour', pour]);
  }
  slice.write(
    records.map(
      ([table, record]) => ({ table, id: (record as { id: string }).id, after: record }) as Written,
    ),
  );
  return slice;
}

/** The dossier of that entry. */
export function dossierWith(change: Change = {}): Dossier {
  const slice = recordsWith(change);
  return dossierOf(slice, 'e', slice.get('round', 'r'))!;
}
