import { THREADS } from '../../core/gland/thread-table';
import { GROUPS } from '../../core/hazard/group';
import { LEVELS } from '../../core/hazard/level';
import { KIND_IDS } from '../../core/record/kind-ids';
import { flag, len, len0, num, pick, string, text, words, type Field, type TableForm } from './fields';

const THREAD_NAMES = THREADS.map(({ designation }) => designation);
const ARMOURS = ['wire', 'braid', 'tape'];
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
};
