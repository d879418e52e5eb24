import { now } from '../../client/clock';
import { DIVISION_CLASSES, DIVISION_GROUPS } from '../../core/hazard/division';
import { AREA_GROUPS } from '../../core/hazard/group';
import { ZONES } from '../../core/hazard/level';
import { TEMPERATURE_CLASSES } from '../../core/hazard/temperature';
import { CHECK_IDS } from '../../core/record/check-ids';
import { GRADES, INSTRUMENT_KINDS, UNITS, WEATHERS } from '../../core/record/types';
import { SHIPPED } from '../../core/rulebook/references';
import {
  date,
  free,
  len,
  measure,
  num,
  pick,
  string,
  ternary,
  text,
  type Field,
  type TableForm,
} from './fields';
import { TIMED_STEPS } from '../../core/words/en/kinds/steps';
import { INSTRUMENT_WORDS, UNIT_TITLES } from '../../core/words/en/labels';
import { CABLE_FORM } from './cable-form';
import { CERTIFICATE_FORM } from './certificate-form';
import { ENCLOSURE_FORM } from './enclosure-form';
import { ENTRY_FORM } from './entry-form';
import type { DossierTable } from '../../core/commands/commands';

const CLASSES = Object.keys(TEMPERATURE_CLASSES);

/** The form of each table of the dossier, in the order in which they are filled. */
export const FORMS: Record<DossierTable, TableForm> = {
  area: {
    title: 'Areas',
    one: 'area',
    name: (r) => string(r.name),
    beside: (r) =>
      r.zone === 'unclassified'
        ? 'unclassified'
        : `zone ${string(r.zone) || 'not recorded'}, ${string(r.group)}`,
    empty: 'Make the first area: its name, zone, group and ambient range.',
    fields: [
      text('name', 'Name'),
      pick('zone', 'Zone', [...ZONES, 'unclassified']),
      pick('group', 'Group', AREA_GROUPS),
      pick('temperatureClass', 'Temperature class', CLASSES),
      free('substances', 'Substances'),
      measure('ambientC.0', 'Coldest ambient', 'temperature'),
      measure('ambientC.1', 'Hottest ambient', 'temperature'),
      text('ingressNeed', 'Ingress asked for', 'for example IP54'),
      measure('outlineM.x', 'On the plan, from the left', 'distance'),
      measure('outlineM.y', 'On the plan, from the top', 'distance'),
      measure('outlineM.width', 'Width', 'distance'),
      measure('outlineM.height', 'Depth', 'distance'),
      measure('levelM', 'Level of the floor', 'distance'),
      {
        path: 'division',
        title: 'Class and division, on a site that classifies so',
        type: 'group',
        nullable: true,
        word: { value: 'unclassified', title: 'Confirmed as unclassified' },
        fields: [
          pick('class', 'Class', DIVISION_CLASSES),
          pick('division', 'Division', [1, 2]),
          pick('group', 'Group', DIVISION_GROUPS),
        ],
      },
      {
        path: 'beside',
        title: 'Dust beside gas, or gas beside dust',
        type: 'group',
        nullable: true,
        fields: [pick('zone', 'Zone', ZONES), pick('group', 'Group', AREA_GROUPS)],
      },
      measure('cloudIgnitionC', 'A cloud of the dust ignites at', 'temperature'),
      measure('layerIgnitionC', 'A layer of the dust ignites at', 'temperature'),
      len('dustLayerMm', 'Dust may lie as deep as'),
      pick('weather', 'Exposed to', WEATHERS),
    ],
    extra: { outlineM: { x: 0, y: 0, width: 20, height: 12 }, levelM: 0 },
  },
  enclosure: ENCLOSURE_FORM,
  cable: CABLE_FORM,
  certificate: CERTIFICATE_FORM,
  instrument: {
    title: 'Instruments',
    one: 'instrument',
    name: (r) => string(r.tag),
    beside: (r) => `${string(r.kind)}, calibrated to ${string(r.calibratedUntil)}`,
    empty: 'Make the first instrument with its calibration; readings name it.',
    fields: [
      text('tag', 'Tag'),
      pick('kind', 'Kind', INSTRUMENT_KINDS, INSTRUMENT_WORDS),
      pick('unit', 'Unit', UNITS, UNIT_TITLES),
      num('span.0', 'Span from', 'in its unit'),
      num('span.1', 'Span to', 'in its unit'),
      num('resolution', 'Resolution', 'in its unit'),
      num('expandedUncertainty', 'Expanded uncertainty', 'in its unit'),
      num('coverageFactor', 'Coverage factor'),
      num('repeatability', 'Repeatability of one reading', 'in its unit; without it no fit is decided'),
      num('repeatabilitySoft', 'Repeatability on soft sheaths', 'in its unit'),
      date('calibratedUntil', 'Calibrated to'),
      free('calibration', 'Calibration certificate'),
      {
        path: 'calibrations',
        title: 'Calibrations, the oldest first',
        type: 'list',
        fields: [
          date('from', 'From'),
          date('to', 'To'),
          pick('found', 'Found at its end', ['within', 'out'], {
            within: 'within its limits',
            out: 'out of its limits',
          }),
          free('certificate', 'Certificate'),
        ],
      },
      num('pooledPlaces', 'Repeatability pooled from so many places'),
      ternary('simulated', 'Simulated, sends by itself'),
    ],
    extra: { simulated: false, pooledPlaces: null },
  },
  entry: ENTRY_FORM,
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
      date('started', 'Started'),
      date('closed', 'Closed, empty while it runs'),
      { path: 'entries', title: 'Entries', type: 'references', table: 'entry' },
    ],
    extra: () => ({ grade: 'detailed', started: now() }),
  },
  reference: {
    title: 'References',
    one: 'set of references',
    name: (r) => string(r.title),
    beside: (r) => `${(r.basis as unknown[]).length} checks of its own, over ${string(r.over)}`,
    empty:
      'The site prints the references that ship with the product. Make a set of your own for a later edition or your own rules, then name it in the site’s settings.',
    fields: [
      text('title', 'Title', 'documents and editions'),
      pick(
        'over',
        'For the other checks',
        SHIPPED.map(({ id }) => id),
      ),
      {
        path: 'basis',
        title: 'Checks and their basis',
        type: 'list',
        fields: [pick('check', 'Check', CHECK_IDS), text('text', 'Document, clause, topic')],
      },
    ],
  },
};

/** How readings near a limit are taken. */
const ACCEPTANCE_WORDS: Readonly<Record<string, string>> = {
  guarded: 'sound only where inside by the uncertainty',
  simple: 'as they are read',
  'guarded-reject': 'failed only where outside by the uncertainty',
};

/** Fields of a site. */
export const SITE_FIELDS: readonly Field[] = [
  text('name', 'Name'),
  pick('acceptance', 'Readings near a limit', ['guarded', 'simple', 'guarded-reject'], ACCEPTANCE_WORDS),
  pick('scheme', 'Areas classified by', ['zones', 'divisions']),
  pick('barrierSchool', 'Barrier rule of', ['2013', '2007']),
  { path: 'references', title: 'References', type: 'reference-set' },
  measure('ovalityAllowancePct', 'What a tape may hide', 'percent', '% oval'),
  measure('bondLimitOhm', 'Highest bond resistance', 'bond'),
  num('bondPredictionFactor', 'Bond may exceed its prediction by a factor of'),
  num('severityDays.4', 'Days for level 4'),
  num('severityDays.3', 'Days for level 3'),
  num('severityDays.2', 'Days for level 2'),
  num('severityDays.1', 'Days for level 1'),
  num('intervals.visual', 'Visual inspection every', 'months, empty: not by programme'),
  num('intervals.close', 'Close inspection every', 'months, empty: not by programme'),
  num('intervals.detailed', 'Detailed inspection every', 'months, empty: not by programme'),
  num('longestMonths', 'Longest interval of fixed equipment', 'months'),
  text('timeZone', 'Time zone', 'for example Europe/London'),
  {
    path: 'enclosureTypes',
    title: 'Enclosure types of the division scheme and the rating that each stands for',
    type: 'list',
    fields: [text('type', 'Type'), text('ingress', 'Rating', 'for example IP66')],
  },
  {
    path: 'usualMinutes',
    title: 'Steps of the work that take longer or shorter here than they usually do',
    type: 'list',
    fields: [
      pick('step', 'Step', Object.keys(TIMED_STEPS), TIMED_STEPS),
      num('minutes', 'Takes here', 'min'),
    ],
  },
];

/** A new site before anything is typed. */
export const blankSite = (id: string) => ({
  id,
  name: '',
  acceptance: 'guarded' as const,
  references: 'iec-2013',
  scheme: 'zones' as const,
  barrierSchool: '2013' as const,
  ovalityAllowancePct: 3,
  bondLimitOhm: 0.1,
  bondPredictionFactor: 3,
  severityDays: { 4: 0, 3: 7, 2: 90, 1: 365 },
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  enclosureTypes: [] as { type: string; ingress: string }[],
  usualMinutes: [] as { step: string; minutes: number }[],
  intervals: { visual: null, close: null, detailed: null },
  longestMonths: 36,
});
