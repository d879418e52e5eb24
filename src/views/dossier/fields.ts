import { AREA_GROUPS, GROUPS } from '../../core/hazard/group';
import { LEVELS, ZONES } from '../../core/hazard/level';
import { TEMPERATURE_CLASSES } from '../../core/hazard/temperature';
import { THREADS } from '../../core/gland/thread-table';
import type { DossierTable } from '../../core/record/commands';
import { KIND_IDS } from '../../core/record/kinds';
import { GRADES, type TableName } from '../../core/record/types';

/** One field of a form; `path` is the dotted place in the record. */
export type Field = { path: string; title: string } & (
  | { type: 'text'; nullable?: boolean; hint?: string }
  | { type: 'number'; unit?: string; nullable?: boolean }
  /** Typed as mm or inches, kept as mm; above 0 unless `zero`. */
  | { type: 'length'; nullable?: boolean; zero?: boolean }
  | { type: 'select'; options: readonly string[]; nullable?: boolean }
  /** Words with commas between them. */
  | { type: 'words'; hint?: string }
  | { type: 'flag' }
  | { type: 'date' }
  | { type: 'reference'; table: TableName; nullable?: boolean }
  | { type: 'references'; table: TableName }
  | { type: 'list'; fields: readonly Field[]; blank: () => object }
  /** An object that may be absent. */
  | { type: 'group'; fields: readonly Field[]; blank: () => object; nullable: boolean }
);

/** Words for one table of the dossier. */
export interface TableForm {
  title: string;
  one: string;
  /** What a record is called in a list. */
  name: (record: Record<string, unknown>) => string;
  /** What stands beside the name. */
  beside: (record: Record<string, unknown>) => string;
  empty: string;
  fields: readonly Field[];
  blank: (id: string) => object;
}

const THREAD_NAMES = THREADS.map(({ designation }) => designation);
const CLASSES = Object.keys(TEMPERATURE_CLASSES);
const SHAPES = ['round', 'flat', 'sector'];
const ARMOURS = ['wire', 'braid', 'tape'];
const MATERIALS = ['steel', 'copper', 'aluminium'];
const CONCEPTS = 'for example db, eb, tb';

const text = (path: string, title: string, hint?: string): Field => ({ path, title, type: 'text', hint });
const num = (path: string, title: string, unit?: string, nullable = false): Field => ({
  path,
  title,
  type: 'number',
  unit,
  nullable,
});
const len = (path: string, title: string, nullable = false): Field => ({
  path,
  title,
  type: 'length',
  nullable,
});
/** A length that may be 0. */
const len0 = (path: string, title: string): Field => ({ path, title, type: 'length', zero: true });
const pick = (path: string, title: string, options: readonly string[], nullable = false): Field => ({
  path,
  title,
  type: 'select',
  options,
  nullable,
});
const words = (path: string, title: string, hint?: string): Field => ({ path, title, type: 'words', hint });
const flag = (path: string, title: string): Field => ({ path, title, type: 'flag' });

const seal = (path: string, title: string, nullable: boolean): Field => ({
  path,
  title,
  type: 'group',
  nullable,
  blank: () => ({ rangeMm: [0, 0], ovalityPct: 5, maxC: 95, coldFlow: false, shapes: ['round'] }),
  fields: [
    len('rangeMm.0', 'Smallest cable'),
    len('rangeMm.1', 'Largest cable'),
    num('ovalityPct', 'Highest ovality', '%'),
    num('maxC', 'Highest temperature', '°C'),
    flag('coldFlow', 'For sheaths that flow cold'),
    words('shapes', 'Cable shapes', 'round, flat, sector'),
  ],
});

const SIZE: readonly Field[] = [
  text('size', 'Size'),
  pick('thread', 'Thread', THREAD_NAMES),
  len('maleLengthMm', 'Male thread length'),
  len0('runoutMm', 'Run-out'),
  len0('washerMm', 'Washer'),
  len('acrossMm', 'Width across the body'),
  len('bodyLengthMm', 'Length outside the wall'),
  seal('outer', 'Outer seal', false),
  seal('inner', 'Inner seal', true),
  {
    path: 'clamp',
    title: 'Clamping ring',
    type: 'list',
    blank: () => ({ face: 'both', armour: 'wire', rangeMm: [0, 0] }),
    fields: [
      text('face', 'Face', 'letter on the ring, or both'),
      pick('armour', 'Armour', ARMOURS),
      len('rangeMm.0', 'From'),
      len('rangeMm.1', 'To'),
    ],
  },
];

const blankSize = () => ({
  size: '',
  thread: 'M20x1.5',
  maleLengthMm: 15,
  runoutMm: 1.5,
  washerMm: 0,
  acrossMm: 30,
  bodyLengthMm: 52,
  outer: { rangeMm: [0, 0], ovalityPct: 5, maxC: 95, coldFlow: false, shapes: ['round'] },
  inner: { rangeMm: [0, 0], ovalityPct: 5, maxC: 95, coldFlow: false, shapes: ['round'] },
  clamp: [{ face: 'both', armour: 'wire', rangeMm: [0, 0] }],
});

const string = (value: unknown): string => (value == null ? '' : String(value));

/** The form of each table of the dossier, in the order in which they are filled. */
export const FORMS: Record<DossierTable, TableForm> = {
  area: {
    title: 'Areas',
    one: 'area',
    name: (r) => string(r.name),
    beside: (r) => `zone ${string(r.zone) || 'not recorded'} ${string(r.group)}`,
    empty: 'Make the first area: its name, zone, group and ambient range.',
    fields: [
      text('name', 'Name'),
      pick('zone', 'Zone', [...ZONES, 'unclassified'], true),
      pick('group', 'Group', AREA_GROUPS, true),
      pick('temperatureClass', 'Temperature class', CLASSES, true),
      text('substances', 'Substances'),
      num('ambientC.0', 'Coldest ambient', '°C'),
      num('ambientC.1', 'Hottest ambient', '°C'),
      text('ingressNeed', 'Ingress asked for', 'for example IP54'),
      num('outlineM.x', 'On the plan, from the left', 'm'),
      num('outlineM.y', 'On the plan, from the top', 'm'),
      num('outlineM.width', 'Width', 'm'),
      num('outlineM.height', 'Depth', 'm'),
      num('levelM', 'Level of the floor', 'm'),
    ],
    blank: (id) => ({
      id,
      name: '',
      zone: null,
      group: null,
      temperatureClass: null,
      substances: '',
      ambientC: [-20, 40],
      ingressNeed: 'IP54',
      outlineM: { x: 0, y: 0, width: 20, height: 12 },
      levelM: 0,
    }),
  },
  enclosure: {
    title: 'Enclosures',
    one: 'enclosure',
    name: (r) => string(r.tag),
    beside: (r) => string(r.what),
    empty: 'Make the first enclosure; it hangs in an area.',
    fields: [
      text('tag', 'Tag'),
      text('what', 'What it is'),
      { path: 'area', title: 'Area', type: 'reference', table: 'area' },
      words('concepts', 'Protection as marked', CONCEPTS),
      pick('group', 'Group', GROUPS),
      pick('temperatureClass', 'Temperature class', CLASSES, true),
      text('ingress', 'Ingress rating', 'for example IP66'),
      num('volumeCm3', 'Volume', 'cm³'),
      len0('wallMm', 'Wall thickness at the entries'),
      num('entryTemperatureC', 'Marked entry temperature', '°C', true),
      {
        path: 'measuredTemperature',
        title: 'Entry temperature measured at full load',
        type: 'group',
        nullable: true,
        blank: () => ({ atC: 40, ambientC: 20 }),
        fields: [num('atC', 'Measured', '°C'), num('ambientC', 'Ambient then', '°C')],
      },
      {
        path: 'derating',
        title: 'Recorded ingress derating',
        type: 'group',
        nullable: true,
        blank: () => ({ ingress: 'IP54', reason: '' }),
        fields: [text('ingress', 'Ingress'), text('reason', 'Reason')],
      },
      num('positionM.x', 'On the plan, from the left', 'm'),
      num('positionM.y', 'On the plan, from the top', 'm'),
      num('positionM.z', 'Height', 'm'),
    ],
    blank: (id) => ({
      id,
      area: '',
      tag: '',
      what: '',
      concepts: [],
      group: 'IIB',
      temperatureClass: null,
      ingress: 'IP66',
      derating: null,
      volumeCm3: 1000,
      wallMm: 10,
      entryTemperatureC: null,
      measuredTemperature: null,
      positionM: { x: 2, y: 3, z: 0 },
    }),
  },
  cable: {
    title: 'Cables',
    one: 'cable',
    name: (r) => string(r.tag),
    beside: (r) => `${string(r.from)} to ${string(r.to)}, ${string(r.outerMm)} mm`,
    empty: 'Make the first cable, or import the cable schedule.',
    fields: [
      text('tag', 'Tag'),
      text('from', 'From'),
      text('to', 'To'),
      num('lengthM', 'Length', 'm'),
      {
        path: 'cores',
        title: 'Cores',
        type: 'list',
        blank: () => ({ count: 3, areaMm2: 1.5, diameterMm: 2.9 }),
        fields: [
          num('count', 'Number'),
          num('areaMm2', 'Area', 'mm²'),
          len('diameterMm', 'Diameter over insulation'),
        ],
      },
      pick('shape', 'Shape', SHAPES),
      flag('coldFlow', 'Sheath flows cold under load'),
      len('innerMm', 'Inner sheath'),
      {
        path: 'armour',
        title: 'Armour',
        type: 'group',
        nullable: true,
        blank: () => ({ type: 'wire', sizeMm: 1.25, material: 'steel', areaMm2: null }),
        fields: [
          pick('type', 'Type', ARMOURS),
          len('sizeMm', 'Wire diameter or thickness'),
          pick('material', 'Material', MATERIALS),
          num('areaMm2', 'Area', 'mm²', true),
        ],
      },
      {
        path: 'unarmoured',
        title: 'Confirmed to be unarmoured',
        type: 'group',
        nullable: true,
        blank: () => ({ by: '', on: new Date().toISOString().slice(0, 10) }),
        fields: [text('by', 'Confirmed by'), { path: 'on', title: 'On', type: 'date' }],
      },
      len('sheathMm', 'Outer sheath thickness'),
      len('outerMm', 'Overall diameter'),
      len0('toleranceMm', 'Tolerance on armour and sheath'),
      num('maxC', 'Highest temperature', '°C'),
    ],
    blank: (id) => ({
      id,
      tag: '',
      from: '',
      to: '',
      lengthM: 10,
      cores: [{ count: 3, areaMm2: 1.5, diameterMm: 2.9 }],
      shape: 'round',
      coldFlow: false,
      innerMm: 0,
      armour: { type: 'wire', sizeMm: 0.9, material: 'steel', areaMm2: null },
      unarmoured: null,
      sheathMm: 0,
      outerMm: 0,
      toleranceMm: 0.4,
      maxC: 90,
    }),
  },
  certificate: {
    title: 'Certificates',
    one: 'certificate',
    name: (r) => string(r.number),
    beside: (r) => `${string(r.title)}, ${string(r.state)}`,
    empty: 'Type the first certificate with its assembly sheet, or import its file.',
    fields: [
      text('number', 'Number'),
      text('maker', 'Maker'),
      text('title', 'Title'),
      pick('kind', 'Kind of entry', KIND_IDS),
      { path: 'issued', title: 'Issued', type: 'date' },
      pick('state', 'State', ['valid', 'superseded', 'withdrawn']),
      words('concepts', 'Protection', CONCEPTS),
      words('levels', 'Levels as marked', LEVELS.join(', ')),
      words('groups', 'Groups', GROUPS.join(', ')),
      num('serviceC.0', 'Service from', '°C'),
      num('serviceC.1', 'Service to', '°C'),
      text('ingress', 'Ingress rating', 'for example IP66'),
      flag('sealing', 'Counts as a sealing gland'),
      words('specialConditions', 'Special conditions', 'one after the other, with commas'),
      text('sheet.number', 'Assembly sheet'),
      num('sheet.expectedBondOhm', 'Expected bond resistance', 'Ω'),
      { path: 'sheet.sizes', title: 'Sizes', type: 'list', fields: SIZE, blank: blankSize },
      {
        path: 'sheet.joints',
        title: 'Joints and how they are closed',
        type: 'list',
        blank: () => ({ joint: 'entry', school: 'grip', range: null }),
        fields: [
          pick('joint', 'Joint', ['entry', 'clamp', 'inner-seal', 'outer-seal']),
          pick('school', 'Closed by', ['turns', 'faces', 'gap', 'torque', 'grip']),
          {
            path: 'range',
            title: 'Limits (turns, mm or N·m)',
            type: 'group',
            nullable: true,
            blank: () => [0.75, 1],
            fields: [num('0', 'From'), num('1', 'To')],
          },
        ],
      },
    ],
    blank: (id) => ({
      id,
      number: '',
      maker: '',
      title: '',
      kind: 'gland-double-seal',
      issued: new Date().toISOString().slice(0, 10),
      state: 'valid',
      concepts: ['db', 'eb'],
      levels: ['Gb', 'Db'],
      groups: ['IIC', 'IIIC'],
      serviceC: [-20, 85],
      ingress: 'IP66',
      sealing: false,
      specialConditions: [],
      sheet: { number: '', sizes: [blankSize()], joints: [], expectedBondOhm: 0.012 },
    }),
  },
  instrument: {
    title: 'Instruments',
    one: 'instrument',
    name: (r) => string(r.tag),
    beside: (r) => `${string(r.kind)}, calibrated to ${string(r.calibratedUntil)}`,
    empty: 'Make the first instrument with its calibration; readings name it.',
    fields: [
      text('tag', 'Tag'),
      pick('kind', 'Kind', ['caliper', 'tape', 'milliohm-meter', 'pitch-gauge']),
      pick('unit', 'Unit', ['mm', 'ohm']),
      num('span.0', 'Span from'),
      num('span.1', 'Span to'),
      num('resolution', 'Resolution'),
      num('expandedUncertainty', 'Expanded uncertainty'),
      num('coverageFactor', 'Coverage factor'),
      num('repeatability', 'Repeatability', undefined, true),
      num('repeatabilitySoft', 'Repeatability on soft sheaths', undefined, true),
      { path: 'calibratedUntil', title: 'Calibrated to', type: 'date' },
      text('calibration', 'Calibration certificate'),
      flag('simulated', 'Simulated, sends by itself'),
    ],
    blank: (id) => ({
      id,
      tag: '',
      kind: 'caliper',
      unit: 'mm',
      span: [0, 150],
      resolution: 0.01,
      expandedUncertainty: 0.03,
      coverageFactor: 2,
      repeatability: null,
      repeatabilitySoft: null,
      calibratedUntil: new Date().toISOString().slice(0, 10),
      calibration: '',
      simulated: false,
    }),
  },
  entry: {
    title: 'Entries',
    one: 'entry',
    name: (r) => string(r.label),
    beside: (r) => `${string(r.kind)}, ${string(r.size)}`,
    empty: 'Make the first entry; it needs an enclosure.',
    fields: [
      { path: 'enclosure', title: 'Enclosure', type: 'reference', table: 'enclosure' },
      text('label', 'Label'),
      pick('kind', 'Kind of entry', KIND_IDS),
      { path: 'certificate', title: 'Certificate', type: 'reference', table: 'certificate', nullable: true },
      { path: 'size', title: 'Size as marked', type: 'text', nullable: true },
      {
        path: 'ringFace',
        title: 'Ring face towards the box',
        type: 'text',
        nullable: true,
        hint: 'letter on the ring',
      },
      { path: 'cable', title: 'Cable', type: 'reference', table: 'cable', nullable: true },
      pick('hole.form', 'Hole', ['threaded', 'clearance']),
      pick('hole.thread', 'Thread of the hole', THREAD_NAMES),
      len('hole.diameterMm', 'Diameter of a clearance hole', true),
      len0('hole.chamfersMm', 'Chamfers of the hole, together'),
      len0('washerMm', 'Washer between gland and wall'),
    ],
    blank: (id) => ({
      id,
      enclosure: '',
      label: '',
      kind: 'gland-double-seal',
      hole: { form: 'threaded', thread: 'M20x1.5', diameterMm: null, chamfersMm: 1 },
      certificate: null,
      size: null,
      ringFace: null,
      cable: null,
      washerMm: 0,
    }),
  },
  round: {
    title: 'Rounds',
    one: 'round',
    name: (r) => string(r.name),
    beside: (r) =>
      `${string(r.grade)}, ${(r.entries as unknown[]).length} entries${r.closed ? ', closed' : ''}`,
    empty: 'Start the first round: its grade and the entries to walk to.',
    fields: [
      text('name', 'Name'),
      pick('grade', 'Grade of inspection', GRADES),
      { path: 'started', title: 'Started', type: 'date' },
      {
        path: 'closed',
        title: 'Closed (empty while it runs)',
        type: 'text',
        nullable: true,
        hint: '2026-03-04',
      },
      { path: 'entries', title: 'Entries', type: 'references', table: 'entry' },
    ],
    blank: (id) => ({
      id,
      name: '',
      grade: 'detailed',
      entries: [],
      started: new Date().toISOString(),
      closed: null,
    }),
  },
};

/** Fields of a site. */
export const SITE_FIELDS: readonly Field[] = [
  text('name', 'Name'),
  pick('acceptance', 'Readings near a limit', ['guarded', 'simple', 'guarded-reject']),
  num('ovalityAllowancePct', 'What a tape may hide', '% oval'),
  num('bondLimitOhm', 'Highest bond resistance', 'Ω'),
  num('bondPredictionFactor', 'Bond may exceed its prediction by a factor of'),
  num('severityDays.4', 'Days for level 4'),
  num('severityDays.3', 'Days for level 3'),
  num('severityDays.2', 'Days for level 2'),
  num('severityDays.1', 'Days for level 1'),
  text('timeZone', 'Time zone', 'for example Europe/London'),
];

/** A new site before anything is typed. */
export const blankSite = (id: string) => ({
  id,
  name: '',
  acceptance: 'guarded' as const,
  references: 'iec-2013' as const,
  ovalityAllowancePct: 3,
  bondLimitOhm: 0.1,
  bondPredictionFactor: 3,
  severityDays: { 4: 0, 3: 7, 2: 90, 1: 365 },
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
});
