import { THREADS } from '../../core/gland/thread-table';
import { GROUPS } from '../../core/hazard/group';
import { LEVELS } from '../../core/hazard/level';
import { TEMPERATURE_CLASSES } from '../../core/hazard/temperature';
import { choices, concepts, len, measure, num, pick, string, ternary, text, type TableForm } from './fields';
import { MOVABLES } from '../../core/record/types';
import { LISTED_FIELD } from './listed-field';

const THREAD_NAMES = THREADS.map(({ designation }) => designation);
const CLASSES = Object.keys(TEMPERATURE_CLASSES);

/** Whether equipment is moved about. */
const MOVABLE_WORDS: Readonly<Record<string, string>> = {
  fixed: 'yes, fixed',
  moved: 'no, it is moved',
  'moved-and-opened': 'no, moved and often opened',
};

/** The form of an enclosure and its unused entries. */
export const ENCLOSURE_FORM: TableForm = {
  title: 'Enclosures',
  one: 'enclosure',
  name: (r) => string(r.tag),
  beside: (r) => string(r.what),
  empty: 'Make the first enclosure; it hangs in an area.',
  fields: [
    text('tag', 'Tag'),
    text('what', 'What it is'),
    { path: 'area', title: 'Area', type: 'reference', table: 'area' },
    concepts('concepts', 'Protection as marked'),
    pick('group', 'Group', GROUPS),
    pick('temperatureClass', 'Temperature class', CLASSES),
    text('ingress', 'Ingress rating', 'for example IP66'),
    measure('volumeCm3', 'Volume', 'volume'),
    len('wallMm', 'Wall thickness at the entries'),
    measure('entryTemperatureC', 'Marked entry temperature', 'temperature'),
    measure('branchTemperatureC', 'Marked temperature at the branching point', 'temperature'),
    {
      path: 'measuredTemperature',
      title: 'Entry temperature measured at full load',
      type: 'group',
      nullable: true,
      fields: [
        measure('atC', 'Measured', 'temperature'),
        measure('ambientC', 'Ambient then', 'temperature'),
        measure('branchC', 'At the branching point', 'temperature'),
      ],
    },
    {
      path: 'derating',
      title: 'Recorded ingress derating',
      type: 'group',
      nullable: true,
      fields: [text('ingress', 'Ingress'), text('reason', 'Reason')],
    },
    measure('positionM.x', 'On the plan, from the left', 'distance'),
    measure('positionM.y', 'On the plan, from the top', 'distance'),
    measure('positionM.z', 'Height', 'distance'),
    pick('material', 'Wall of', ['metal', 'insulating']),
    ternary('ignitionSource', 'Parts inside arc, spark or run hot'),
    ternary('indirectEntry', 'Cables end in a bushing or a chamber that is not flameproof'),
    ternary('demandsBarrier', 'Its certificate asks for barrier glands'),
    ternary('onlyIntrinsic', 'Nothing but intrinsically safe circuits inside'),
    text('type', 'Enclosure type of the division scheme'),
    num('surroundings', 'Harsh surroundings shorten its intervals by a factor of 0.5 to 1'),
    pick('movable', 'It stays where it is', MOVABLES, MOVABLE_WORDS),
    {
      path: 'unused',
      title: 'Entries that no cable uses',
      type: 'list',
      nullable: true,
      fields: [
        text('label', 'Label'),
        pick('closure', 'Closed by', ['plug', 'transport-plug', 'none'], {
          'transport-plug': 'transport plug',
        }),
        ternary('needsTool', 'Comes out only with a tool'),
        ternary('inAdaptor', 'Sits in an adaptor'),
        concepts('concepts', 'Protection of the plug'),
        text('certificate', 'Certificate of the plug'),
        choices('levels', 'Levels', LEVELS),
        choices('groups', 'Groups', GROUPS),
        LISTED_FIELD,
        pick('thread', 'Thread of the plug', THREAD_NAMES),
        pick('hole', 'Thread of the entry', THREAD_NAMES),
        text('ingress', 'Ingress rating of the plug'),
        len('engagedMm', 'Thread engaged, as measured'),
      ],
    },
  ],
  extra: { positionM: { x: 2, y: 3, z: 0 } },
};
