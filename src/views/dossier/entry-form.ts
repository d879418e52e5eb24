import { CONCEPTS } from '../../core/hazard/concept';
import { GROUPS } from '../../core/hazard/group';
import { LEVELS } from '../../core/hazard/level';
import { THREADS } from '../../core/gland/thread-table';
import { KIND_IDS } from '../../core/record/kind-ids';
import { RACEWAY_MEANS } from '../../core/record/types';
import {
  choices,
  concepts,
  date,
  len,
  measure,
  pick,
  said,
  string,
  ternary,
  text,
  type TableForm,
} from './fields';
import { LISTED_FIELD } from './listed-field';
import { kindTitle } from '../../core/words/en/kinds/kinds';

const THREAD_NAMES = THREADS.map(({ designation }) => designation);

const KIND_TITLES = Object.fromEntries(KIND_IDS.map((id) => [id, kindTitle(id)]));

/** The form of an entry: hole, gland, adaptors, compartment, frame. */
export const ENTRY_FORM: TableForm = {
  title: 'Entries',
  one: 'entry',
  name: (r) => string(r.label),
  beside: (r) => `${KIND_TITLES[string(r.kind)] ?? ''}, size ${said(r.size)}`,
  empty: 'Make the first entry; it needs an enclosure.',
  fields: [
    { path: 'enclosure', title: 'Enclosure', type: 'reference', table: 'enclosure' },
    text('label', 'Label'),
    pick('kind', 'Kind of entry', KIND_IDS, KIND_TITLES),
    { path: 'certificate', title: 'Certificate', type: 'reference', table: 'certificate' },
    { path: 'size', title: 'Size as marked', type: 'size', certificate: 'certificate' },
    text('ringFace', 'Ring face towards the box', 'by the name of the certificate, for example wire'),
    { path: 'cable', title: 'Cable', type: 'reference', table: 'cable' },
    pick('hole.form', 'Hole', ['threaded', 'clearance']),
    pick('hole.thread', 'Thread of the hole', THREAD_NAMES),
    len('hole.diameterMm', 'Diameter of a clearance hole'),
    len('hole.chamfersMm', 'Chamfers of the hole, together'),
    len('washerMm', 'Washer between gland and wall'),
    len('tailMm', 'Conductors beyond the inner sheath, slack included'),
    {
      path: 'frame',
      title: 'Frame of a transit',
      type: 'group',
      nullable: true,
      fields: [
        pick('where', 'Sits in a', ['wall', 'deck']),
        len('wallDepthMm', 'Depth of wall or deck'),
        pick('sides', 'Sides that are closed', [1, 2]),
        { path: 'otherArea', title: 'Area on the other side', type: 'reference', table: 'area' },
        {
          path: 'openings',
          title: 'Openings',
          type: 'list',
          fields: [
            text('label', 'Label'),
            pick('shape', 'Shape', ['rect', 'round']),
            len('widthMm', 'Width, or diameter'),
            len('heightMm', 'Height, or diameter'),
          ],
        },
      ],
    },
    {
      path: 'adaptors',
      title: 'Adaptors between gland and wall',
      type: 'list',
      nullable: true,
      fields: [
        pick('what', 'What', ['adaptor', 'reducer']),
        pick('male', 'Thread into the wall', THREAD_NAMES),
        pick('female', 'Thread that takes the gland', THREAD_NAMES),
        concepts('concepts', 'Protection'),
        choices('levels', 'Levels', LEVELS),
        choices('groups', 'Groups', GROUPS),
        LISTED_FIELD,
        len('maleLengthMm', 'Length of its male thread'),
        len('runoutMm', 'Run-out of its male thread'),
        len('femaleDepthMm', 'Depth of its female thread'),
      ],
    },
    {
      path: 'compartment',
      title: 'Compartment that it opens into, in a box with several',
      type: 'group',
      nullable: true,
      fields: [
        pick('concept', 'Protection of the compartment', CONCEPTS),
        measure('volumeCm3', 'Its volume', 'volume'),
        text('by', 'Looked at by'),
        date('on', 'On'),
      ],
    },
    ternary('sealingDevice', 'A certified flameproof sealing device stands at the entry'),
    ternary('factoryFitted', 'Fitted by the maker, covered by the enclosure’s certificate'),
    ternary('factoryThreaded', 'Thread cut and listed by the maker of the enclosure'),
    {
      path: 'raceway',
      title: 'A raceway ends here',
      type: 'group',
      nullable: true,
      fields: [pick('means', 'Closed against dust by', RACEWAY_MEANS)],
    },
    {
      path: 'foundMadeOff',
      title: 'Found made off, before these records begin',
      type: 'group',
      nullable: true,
      fields: [text('by', 'Said by'), date('on', 'On')],
    },
  ],
};
