import { ARMOUR_TYPES } from '../../core/record/types';
import { date, free, len, measure, num, pick, string, ternary, text, type TableForm } from './fields';

const SHAPES = ['round', 'flat', 'sector'];
const MATERIALS = ['steel', 'copper', 'aluminium'];

/** The form of a cable. */
export const CABLE_FORM: TableForm = {
  title: 'Cables',
  one: 'cable',
  name: (r) => string(r.tag),
  beside: (r) =>
    `${string(r.from)} to ${string(r.to)}, ${r.outerMm == null ? 'diameter not recorded' : `${string(r.outerMm)} mm`}`,
  empty: 'Make the first cable, or import the cable schedule.',
  fields: [
    text('tag', 'Tag'),
    free('from', 'From'),
    free('to', 'To'),
    measure('lengthM', 'Length', 'distance'),
    {
      path: 'cores',
      title: 'Cores',
      type: 'list',
      fields: [
        num('count', 'Number'),
        measure('areaMm2', 'Area', 'area'),
        len('diameterMm', 'Diameter over insulation'),
      ],
    },
    pick('shape', 'Shape', SHAPES),
    ternary('coldFlow', 'Sheath flows cold under load'),
    len('innerMm', 'Inner sheath'),
    {
      path: 'armour',
      title: 'Armour',
      type: 'group',
      nullable: true,
      fields: [
        pick('type', 'Type', ARMOUR_TYPES),
        len('sizeMm', 'Wire diameter or thickness'),
        pick('material', 'Material', MATERIALS),
        measure('areaMm2', 'Area', 'area'),
      ],
    },
    {
      path: 'unarmoured',
      title: 'Confirmed to be unarmoured',
      type: 'group',
      nullable: true,
      fields: [text('by', 'Confirmed by'), date('on', 'On')],
    },
    len('sheathMm', 'Outer sheath thickness'),
    len('outerMm', 'Overall diameter'),
    len('toleranceMm', 'Tolerance on armour and sheath'),
    measure('maxC', 'Highest temperature', 'temperature'),
    measure('minC', 'Lowest temperature', 'temperature'),
    ternary('screened', 'It has a screen'),
    pick('filling', 'Compact, extruded bedding, effectively filled', ['filled', 'not-filled'], {
      filled: 'yes, filled',
      'not-filled': 'no',
    }),
    {
      path: 'breathing',
      title: 'Breathing test of a sample',
      type: 'group',
      nullable: true,
      fields: [
        ternary('passed', 'Passed'),
        measure('halfTimeS', 'From 0.30 to 0.15 kPa', 'seconds'),
        text('by', 'Tested by'),
        date('on', 'On'),
      ],
    },
    {
      path: 'mineral',
      title: 'Mineral insulated',
      type: 'group',
      nullable: true,
      extra: { link: null },
      fields: [
        { path: 'conductors', title: 'Conductors as sleeved', type: 'names', hint: 'for example L1, L2, N' },
        ternary('screened', 'Screened'),
        ternary('jacketed', 'Outer plastic jacket'),
        measure('testVoltage', 'Test voltage', 'voltage'),
        measure('newMegohm', 'Least insulation, new', 'insulation'),
        measure('serviceMegohm', 'Least insulation, in service', 'insulation'),
        measure('windowMin', 'A reading may be this old at sealing', 'minutes'),
        num('fallFactor', 'Largest fall between two tests, factor'),
        measure('sheathMm2', 'Copper sheath, cross-section', 'area'),
        measure('sheathC', 'Sheath in service at most', 'temperature'),
        measure('earthLimitOhm', 'Sheath from end to end at most', 'bond'),
      ],
    },
  ],
};
