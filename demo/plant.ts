import { MORE_ENCLOSURES, MORE_ENTRIES } from './plant-kinds';
import type { AreaSpec, EnclosureSpec, EntrySpec } from './spec';

const area = (
  id: string,
  name: string,
  rest: Pick<AreaSpec, 'zone' | 'group' | 'temperatureClass' | 'substances'> & Partial<AreaSpec>,
  [x, y, width, height]: [number, number, number, number],
): AreaSpec => ({
  id,
  name,
  ambientC: [-5, 40],
  ingressNeed: 'IP54',
  levelM: 0,
  outlineM: { x, y, width, height },
  division: null,
  weather: 'indoors',
  beside: null,
  cloudIgnitionC: null,
  layerIgnitionC: null,
  dustLayerMm: null,
  ...rest,
});

/** Areas; their ids get the prefix of the site. */
const AREAS: AreaSpec[] = [
  area(
    'hall',
    'Extraction hall',
    { zone: '1', group: 'IIB', temperatureClass: 'T3', substances: 'hexane and ethanol vapour' },
    [0, 0, 37, 22],
  ),
  area(
    'hall-2',
    'Extraction hall, gallery',
    { zone: '2', group: 'IIB', temperatureClass: 'T3', substances: 'hexane and ethanol vapour', levelM: 4 },
    [0, 22, 37, 10],
  ),
  area(
    'cell',
    'Hydrogenation cell',
    { zone: '1', group: 'hydrogen', temperatureClass: 'T1', substances: 'hydrogen' },
    [39, 0, 23, 14],
  ),
  area(
    'loft',
    'Distillation loft',
    {
      zone: '1',
      group: 'IIB',
      temperatureClass: 'T2',
      substances: 'ethanol vapour',
      ambientC: [0, 55],
      levelM: 8,
    },
    [39, 16, 23, 14],
  ),
  area(
    'mill',
    'Petal mill',
    {
      zone: '21',
      group: 'IIIB',
      temperatureClass: null,
      substances: 'petal dust',
      ingressNeed: 'IP65',
      cloudIgnitionC: 430,
      layerIgnitionC: 285,
      dustLayerMm: 4,
    },
    [64, 0, 23, 14],
  ),
  area(
    'yard',
    'Tank yard',
    {
      zone: '2',
      group: 'IIB',
      temperatureClass: 'T3',
      substances: 'hexane storage, outdoors, sea air',
      weather: 'weather',
      ambientC: [-15, 38],
      ingressNeed: 'IP65',
    },
    [64, 16, 34, 20],
  ),
  area(
    'shop',
    'Workshop and control room',
    { zone: 'unclassified', group: null, temperatureClass: null, substances: '', ingressNeed: 'IP4X' },
    [0, 34, 62, 9],
  ),
];

const ENCLOSURES: EnclosureSpec[] = [
  {
    tag: 'JB-201',
    area: 'hall',
    what: 'junction box, pump P-12',
    x: 3,
    y: 7,
    concepts: ['db'],
    volumeCm3: 1800,
  },
  {
    tag: 'JB-202',
    area: 'hall',
    what: 'junction box, agitator A-3',
    x: 14,
    y: 7,
    concepts: ['db'],
    volumeCm3: 900,
  },
  { tag: 'JB-203', area: 'hall', what: 'junction box, lighting', x: 3, y: 13, concepts: ['eb'] },
  {
    tag: 'JB-204',
    area: 'hall',
    what: 'junction box, pump P-14',
    x: 14,
    y: 13,
    concepts: ['db'],
    volumeCm3: 1800,
  },
  {
    tag: 'LS-11',
    area: 'hall',
    what: 'limit switch, charge lid',
    x: 26,
    y: 7,
    concepts: ['db'],
    volumeCm3: 95,
  },
  {
    tag: 'MT-12',
    area: 'hall',
    what: 'motor terminal box, pump P-12',
    x: 26,
    y: 13,
    concepts: ['db'],
    volumeCm3: 3200,
  },
  {
    tag: 'JB-221',
    area: 'hall-2',
    what: 'junction box, gallery fans',
    x: 6,
    y: 29,
    z: 4,
    concepts: ['eb'],
  },
  {
    tag: 'JB-222',
    area: 'hall-2',
    what: 'junction box, gas heads',
    x: 17,
    y: 29,
    z: 4,
    concepts: ['eb'],
  },
  {
    tag: 'HC-1',
    area: 'cell',
    what: 'junction box, hydrogen compressor',
    x: 41,
    y: 6,
    concepts: ['db'],
    group: 'IIC',
    volumeCm3: 2600,
  },
  {
    tag: 'HC-2',
    area: 'cell',
    what: 'solenoid box, feed valve',
    x: 41,
    y: 11,
    concepts: ['eb'],
    group: 'IIC',
  },
  {
    tag: 'DL-1',
    area: 'loft',
    what: 'junction box, column heater',
    x: 41,
    y: 21.6,
    z: 8,
    concepts: ['db'],
    volumeCm3: 1500,
    entryTemperatureC: 78,
  },
  {
    tag: 'DL-2',
    area: 'loft',
    what: 'junction box, condenser',
    x: 53,
    y: 21.6,
    z: 8,
    concepts: ['eb'],
    entryTemperatureC: 72,
  },
  {
    tag: 'PM-1',
    area: 'mill',
    what: 'junction box, mill drive',
    x: 66,
    y: 6,
    concepts: ['tb'],
    group: 'IIIC',
  },
  {
    tag: 'PM-2',
    area: 'mill',
    what: 'level probe box, hopper',
    x: 66,
    y: 11,
    concepts: ['tb'],
    group: 'IIIC',
  },
  {
    tag: 'TY-1',
    area: 'yard',
    what: 'junction box, tank 1',
    x: 66,
    y: 22,
    concepts: ['db'],
    volumeCm3: 1200,
  },
  { tag: 'TY-2', area: 'yard', what: 'junction box, tank 2', x: 79, y: 22, concepts: ['eb'] },
  { tag: 'TY-3', area: 'yard', what: 'junction box, loading arm', x: 66, y: 27.5, concepts: ['eb'] },
];

const D = 'gland-double-seal' as const;
const R = 'gland-reversible-ring' as const;

const sound = (
  enclosure: string,
  label: string,
  kind: EntrySpec['kind'],
  size: string,
  read: EntrySpec['read'] = 'all',
): EntrySpec => ({
  enclosure,
  label,
  kind,
  size,
  read,
});

const BRAID = { type: 'braid', sizeMm: 0.4, material: 'copper', areaMm2: 6 } as const;
const TAPE = { type: 'tape', sizeMm: 0.4, material: 'steel', areaMm2: 14 } as const;

/** Entries; `planted` names the checks that the twist makes fail. Everything else must not fail. */
const ENTRIES: EntrySpec[] = [
  sound('JB-201', 'A', D, 'S3'),
  { ...sound('JB-201', 'B', D, 'S3'), certificate: 'withdrawn', planted: ['E-01'] },
  { ...sound('JB-201', 'C', R, 'S2'), twist: { looks: { marking: 'no' } }, planted: ['E-01'] },
  {
    ...sound('JB-201', 'D', D, 'S4'),
    twist: { truth: { 'thread-engagement': 6.2 } },
    planted: ['E-08'],
  },
  sound('JB-202', 'A', R, 'S3'),
  {
    ...sound('JB-202', 'B', D, 'S2'),
    twist: { entry: { hole: { form: 'threaded', thread: 'Pg 13.5', diameterMm: null, chamfersMm: 1 } } },
    planted: ['E-07'],
  },
  {
    ...sound('JB-202', 'C', D, 'S3'),
    twist: { entry: { hole: { form: 'threaded', thread: 'M32x1.5', diameterMm: null, chamfersMm: 1 } } },
    planted: ['E-07'],
  },
  {
    ...sound('JB-202', 'D', R, 'S2'),
    twist: { entry: { hole: { form: 'clearance', thread: 'M20x1.5', diameterMm: 20.5, chamfersMm: 1 } } },
    planted: ['E-08'],
  },
  sound('JB-203', 'A', D, 'S2'),
  // A sheath thicker than the outer seal takes; the record says so too.
  {
    ...sound('JB-203', 'B', R, 'S3'),
    twist: { cable: { innerMm: 17.4, sheathMm: 2.1, outerMm: 24.1 }, truth: { 'outer-sheath': 24.32 } },
    planted: ['E-11'],
  },
  {
    ...sound('JB-203', 'C', D, 'S3'),
    twist: { looks: { 'outer-bare': 'no' } },
    planted: ['E-11'],
  },
  { ...sound('JB-203', 'D', D, 'S2'), twist: { cable: { shape: 'flat' } }, planted: ['E-11', 'E-12'] },
  sound('JB-204', 'A', D, 'S4'),
  sound('JB-204', 'B', R, 'S4', 'outside'),
  // The walk of the handbook's sketch: one failure, one close call, two unread.
  {
    ...sound('JB-204', 'C', D, 'S3'),
    twist: {
      cable: { innerMm: 18.23, sheathMm: 1.85, outerMm: 24.43 },
      truth: { 'inner-sheath': 18.23, 'outer-sheath': 24.44 },
      count: { bond: 0 },
    },
    planted: ['E-11'],
  },
  sound('JB-204', 'D', R, 'S3', 'none'),
  // Small switch body: five millimetres are enough, five threads are not reached.
  { ...sound('LS-11', 'A', D, 'S2'), twist: { truth: { 'thread-engagement': 7.3 } }, planted: ['E-08'] },
  { ...sound('MT-12', 'A', D, 'S5'), certificate: 'eonly', planted: ['E-06'] },
  { ...sound('MT-12', 'B', R, 'S3'), twist: { looks: { damage: 'cracked' } }, planted: ['E-29'] },
  sound('JB-221', 'A', R, 'S3'),
  { ...sound('JB-221', 'B', D, 'S3'), twist: { looks: { damage: 'corroded' } }, planted: ['E-29'] },
  { ...sound('JB-221', 'C', D, 'S2'), twist: { looks: { 'unused-cores': 'no' } }, planted: ['E-27'] },
  sound('JB-222', 'A', D, 'S2'),
  // Another cable than the record's lies in this entry.
  { ...sound('JB-222', 'B', D, 'S3'), twist: { truth: { 'outer-sheath': 22.6 } }, planted: ['E-27'] },
  { ...sound('HC-1', 'A', R, 'S4'), certificate: 'iib', planted: ['E-03'] },
  { ...sound('HC-1', 'B', D, 'S3'), certificate: 'eonly', planted: ['E-06'] },
  sound('HC-1', 'C', D, 'S4'),
  { ...sound('HC-2', 'A', D, 'S2'), certificate: 'zone2', planted: ['E-02'] },
  { ...sound('HC-2', 'B', R, 'S2'), certificate: 'iib', planted: ['E-03'] },
  { ...sound('DL-1', 'A', D, 'S3'), certificate: 'mild', planted: ['E-04'] },
  { ...sound('DL-1', 'B', R, 'S3'), twist: { cable: { maxC: 70 } }, planted: ['E-04'] },
  // Inner sheath too small for the inner seal, and too large.
  {
    ...sound('DL-1', 'C', D, 'S3'),
    twist: {
      cable: {
        innerMm: 11.0,
        armour: { type: 'wire', sizeMm: 1.25, material: 'steel', areaMm2: null },
        sheathMm: 3.1,
        outerMm: 19.7,
      },
    },
    planted: ['E-12'],
  },
  {
    ...sound('DL-2', 'A', D, 'S2'),
    twist: { cable: { innerMm: 13.3, sheathMm: 1.4, outerMm: 17.9 } },
    planted: ['E-12'],
  },
  { ...sound('DL-2', 'B', R, 'S3'), twist: { entry: { ringFace: 'braid' } }, planted: ['E-13'] },
  {
    ...sound('PM-1', 'A', D, 'S3'),
    twist: { cable: { armour: { ...TAPE }, outerMm: 19.0 } },
    planted: ['E-13'],
  },
  {
    ...sound('PM-1', 'B', R, 'S3'),
    twist: {
      cable: { armour: { type: 'wire', sizeMm: 1.8, material: 'steel', areaMm2: null }, outerMm: 21.8 },
    },
    planted: ['E-13'],
  },
  { ...sound('PM-1', 'C', R, 'S2'), certificate: 'ip54', planted: ['E-05'] },
  sound('PM-2', 'A', D, 'S2'),
  { ...sound('PM-2', 'B', R, 'S2'), certificate: 'ip54', planted: ['E-05'] },
  { ...sound('PM-2', 'C', D, 'S2'), certificate: 'zone2', planted: ['E-02'] },
  { ...sound('TY-1', 'A', D, 'S4'), twist: { looks: { 'armour-seated': 'crossed' } }, planted: ['E-14'] },
  { ...sound('TY-1', 'B', R, 'S3'), twist: { looks: { 'armour-seated': 'inside' } }, planted: ['E-14'] },
  { ...sound('TY-2', 'A', D, 'S3'), twist: { looks: { 'bond-tight': 'loose' } }, planted: ['E-23a'] },
  { ...sound('TY-2', 'B', R, 'S3'), twist: { looks: { 'bond-tight': 'no' } }, planted: ['E-23a'] },
  { ...sound('TY-2', 'C', D, 'S4'), twist: { truth: { bond: 0.142 } }, planted: ['E-23b'] },
  { ...sound('TY-3', 'A', D, 'S3'), twist: { truth: { bond: 0.128 } }, planted: ['E-23b'] },
  // Braid on the braid face: sound, though the ring lies the other way round.
  { ...sound('TY-3', 'B', R, 'S3'), twist: { cable: { armour: { ...BRAID }, outerMm: 19.0 } } },
  // Read with the instrument that is past its calibration date: nothing fails, the fit is unread.
  { ...sound('TY-3', 'C', D, 'S3'), twist: { instrument: { 'outer-sheath': 'caliper-03' } } },
  sound('TY-3', 'D', R, 'S4', 'none'),
  // Two readings only: nothing fails, the fit stays doubtful.
  { ...sound('JB-222', 'C', D, 'S3'), twist: { count: { 'outer-sheath': 2 } } },
  // A sheath within the guard zone of its seal: a close call.
  {
    ...sound('TY-2', 'D', R, 'S3'),
    twist: { cable: { sheathMm: 3.18, outerMm: 24.06 }, truth: { 'outer-sheath': 24.06 }, oval: 0.01 },
  },
  sound('JB-221', 'D', D, 'S3'),
  sound('LS-11', 'B', R, 'S2'),
  sound('PM-2', 'D', D, 'S3'),
  sound('HC-2', 'C', R, 'S3'),
  sound('MT-12', 'C', D, 'S5'),
  sound('DL-2', 'C', R, 'S2'),
];

/** Areas of the plant for a site, their ids under its prefix. */
export const areasOf = (prefix: string): AreaSpec[] =>
  AREAS.map((one) => ({ ...one, id: `${prefix}-${one.id}` }));

/** Its enclosures. */
export const enclosuresOf = (prefix: string): EnclosureSpec[] =>
  [...ENCLOSURES, ...MORE_ENCLOSURES].map((one) => ({ ...one, area: `${prefix}-${one.area}` }));

/** Its entries, one fault per rule and kind planted in them. */
export const FAULTY_ENTRIES: readonly EntrySpec[] = [...ENTRIES, ...MORE_ENTRIES];
