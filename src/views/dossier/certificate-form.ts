import { THREADS } from '../../core/gland/thread-table';
import { GROUPS } from '../../core/hazard/group';
import { LEVELS } from '../../core/hazard/level';
import { DIVISION_CLASSES } from '../../core/hazard/division';
import { KIND_IDS } from '../../core/record/kind-ids';
import { ARMOUR_TYPES, JOINTS, SCHOOLS } from '../../core/record/types';
import { flag, len, len0, num, pick, string, text, words, type Field, type TableForm } from './fields';

const THREAD_NAMES = THREADS.map(({ designation }) => designation);
const CONCEPTS = 'for example db, eb, tb';

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
      pick('armour', 'Armour', ARMOUR_TYPES),
      len('rangeMm.0', 'From'),
      len('rangeMm.1', 'To'),
    ],
  },
  {
    path: 'armourLengthMm',
    title: 'Armour left for the clamp',
    type: 'group',
    nullable: true,
    blank: () => [15, 20],
    fields: [len('0', 'At least'), len('1', 'At most')],
  },
  len('innerProudMm', 'Inner sheath proud of its seal, at least', true),
  len('sealDepthMm', 'From the cut of armour or sheath to the seal’s inner face', true),
  {
    path: 'backNut',
    title: 'Outer seal’s rubber and nut, for the back-nut scale',
    type: 'group',
    nullable: true,
    blank: () => ({
      freeBoreMm: 0, freeOutsideMm: 0, freeLengthMm: 0, housingBoreMm: 0, handOnGapMm: 0, turns: 0.5,
      pitchMm: 1.5, toleranceMm: 0.4, indentPct: 10,
    }), // prettier-ignore
    fields: [
      len('freeBoreMm', 'Free bore'),
      len('freeOutsideMm', 'Free outside'),
      len('freeLengthMm', 'Free length'),
      len('housingBoreMm', 'Bore of the housing'),
      len0('handOnGapMm', 'Gap at hand-on'),
      num('turns', 'Turns after contact'),
      len('pitchMm', 'Pitch of the nut'),
      len0('toleranceMm', 'Tolerance of the gap'),
      num('indentPct', 'Sheath indented at most', '%'),
    ],
  },
  {
    path: 'pot',
    title: 'Pot of compound or resin',
    type: 'group',
    nullable: true,
    blank: () => ({ boreMm: 0, depthMm: 0, mostCores: 12, overCoresMm: [0, 0] }),
    fields: [
      len('boreMm', 'Bore'),
      len('depthMm', 'Depth that is filled'),
      num('mostCores', 'Cores at most'),
      len('overCoresMm.0', 'Over the cores, from'),
      len('overCoresMm.1', 'Over the cores, to'),
    ],
  },
  {
    path: 'mineral',
    title: 'Screw-on pot of a mineral-insulated cable',
    type: 'group',
    nullable: true,
    blank: () => ({
      threadLengthMm: 12, projectionMm: [1, 3], gripMm: 20, toolStopOffsetMm: 0, screenStubMm: null, maxC: 105,
    }), // prettier-ignore
    fields: [
      len('threadLengthMm', 'Thread on the sheath'),
      len0('projectionMm.0', 'Sheath proud in the pot, at least'),
      len0('projectionMm.1', 'Sheath proud in the pot, at most'),
      len0('gripMm', 'Sheath that the gland grips'),
      len0('toolStopOffsetMm', 'Tool, from blade to stop'),
      len0('screenStubMm', 'Inner screen left standing', true),
      num('maxC', 'Pot and compound up to', '°C'),
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
  backNut: null,
  armourLengthMm: [15, 20],
  innerProudMm: 5,
  pot: null,
  sealDepthMm: null,
  mineral: null,
});

/** The form of a certificate with its assembly sheet. */
export const CERTIFICATE_FORM: TableForm = {
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
    {
      path: 'divisions',
      title: 'Listed classes and divisions',
      type: 'list',
      blank: () => ({ class: 'I', division: 1, groups: ['C', 'D'] }),
      fields: [
        pick('class', 'Class', DIVISION_CLASSES),
        pick('division', 'Division', [1, 2]),
        words('groups', 'Groups', 'for example C, D'),
      ],
    },
    flag('reducedRetention', 'Does not hold the cable by itself'),
    pick('sheet.shroud', 'Cover by the sheet', ['shroud', 'boot', 'none'], true),
    {
      path: 'sheet.compound',
      title: 'Compound or resin',
      type: 'group',
      nullable: true,
      blank: () => ({
        name: '', packMl: 50, wastePct: 15, ratio: '1 : 1', referenceC: 21, q10: 2, workingMinutes: 30,
        cureHours: 4, energiseHours: 8, minimumC: 5, maxC: 95, extrapolates: false, reachMm: 30,
      }), // prettier-ignore
      fields: [
        text('name', 'Name'),
        num('packMl', 'Contents of a pack', 'ml'),
        num('wastePct', 'Waste', '%'),
        text('ratio', 'Ratio'),
        num('referenceC', 'Times hold at', '°C'),
        num('q10', 'Factor per 10 K'),
        num('workingMinutes', 'Working life', 'min'),
        num('cureHours', 'Until it may be looked at', 'h'),
        num('energiseHours', 'Until it may be energised', 'h'),
        num('minimumC', 'Not mixed below', '°C'),
        num('maxC', 'Highest temperature', '°C'),
        flag('extrapolates', 'The sheet itself gives other temperatures'),
        len0('reachMm', 'Beyond the crotch at most'),
      ],
    },
    text('sheet.number', 'Assembly sheet'),
    num('sheet.expectedBondOhm', 'Expected bond resistance', 'Ω'),
    { path: 'sheet.sizes', title: 'Sizes', type: 'list', fields: SIZE, blank: blankSize },
    {
      path: 'sheet.joints',
      title: 'Joints and how they are closed',
      type: 'list',
      blank: () => ({ joint: 'entry', school: 'grip', range: null }),
      fields: [
        pick('joint', 'Joint', JOINTS),
        pick('school', 'Closed by', SCHOOLS),
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
    {
      path: 'sheet.chart',
      title: 'Chart: size by cores and conductor area',
      type: 'list',
      blank: () => ({ cores: 3, areaMm2: 1.5, size: '' }),
      fields: [num('cores', 'Cores'), num('areaMm2', 'Conductor area', 'mm²'), text('size', 'Size')],
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
    divisions: [],
    reducedRetention: false,
    sheet: {
      number: '',
      sizes: [blankSize()],
      joints: [],
      expectedBondOhm: 0.012,
      compound: null,
      shroud: null,
      chart: [],
    },
  }),
};
