import type { Facts } from '../../../record/finding';
import { KIND_TITLES } from '../kinds/kinds';

/** What a record or a sheet does not say. */
export const BLANKS: Record<string, string> = {
  'ambient-range': 'the ambient range',
  state: 'the state',
  'day-of-issue': 'the day of issue',
  'range-of-the-outer-seal': 'the range of the outer seal',
  'shapes-that-the-outer-seal-takes': 'the shapes that the outer seal takes',
  shape: 'the shape',
  'armour-size-sheath-thickness-or-their-tolerance': 'armour size, sheath thickness or their tolerance',
  'overall-diameter-or-its-tolerance': 'the overall diameter or its tolerance',
  'it-is-mineral-insulated': 'whether it is mineral insulated',
  'sheath-flows-cold': 'whether the sheath flows cold',
  'range-of-the-inner-seal': 'the range of the inner seal',
  'shapes-that-the-inner-seal-takes': 'the shapes that the inner seal takes',
  cores: 'the cores',
  'gland-holds-the-cable-by-itself': 'whether the gland holds the cable by itself',
  'overall-diameter': 'the overall diameter',
  'ingress-rating': 'the ingress rating',
  'ingress-asked-for': 'the ingress asked for',
  'material-of-the-armour': 'the material of the armour',
  length: 'the length',
  volume: 'the volume',
  'washer-that-the-sheet-asks-for': 'the washer that the sheet asks for',
  'hole-is-threaded': 'whether the hole is threaded',
  'wall-thickness': 'the wall thickness',
  thread: 'the thread',
  'thread-of-the-hole': 'the thread of the hole',
  'special-conditions': 'the special conditions',
  'outer-seal-cold-flow': 'whether the outer seal is marked for sheaths that flow cold',
  'inner-seal-cold-flow': 'whether the inner seal is marked for sheaths that flow cold',
  'outer-seal-temperature': 'the highest temperature of the outer seal',
  'inner-seal-temperature': 'the highest temperature of the inner seal',
};

/** What is not known of a plug. */
export const OF_PLUG: Record<string, string> = {
  'plug-certificate': 'its certificate',
  'plug-level': 'its level',
  'plug-group': 'its group',
  'plug-thread-of-plug-and-entry': 'thread of plug and entry',
  'plug-ingress-rating': 'its ingress rating',
  'plug-ingress-rating-that-can-be-read': 'an ingress rating that can be read',
  'plug-how-far-it-engages': 'how far it engages',
};

const fact = (f: Facts, name: string): string => String(f[name] ?? '');
// A fact that was told in words before stays as it is.
const word = (table: Readonly<Record<string, string>>, key: string): string => table[key] ?? key;

/** What is blank, and of what. */
export const blankOf = (f: Facts): string =>
  `${word(BLANKS, fact(f, 'what'))} of ${f.entry === undefined ? fact(f, 'of') : `entry ${f.entry}`}`;

/** What is not known of a plug. */
export const ofPlug = (f: Facts): string =>
  fact(f, 'what') === 'plug-table-thread'
    ? `a thread of the table (${fact(f, 'thread')})`
    : word(OF_PLUG, fact(f, 'what'));

/** What threatens in the area: "zone 1" or "Class I, Division 1, Group C". */
export function hazard(f: Facts): string {
  if (f.inZone !== undefined) return `zone ${f.inZone}`;
  return f.inClass === undefined
    ? fact(f, 'said')
    : `Class ${f.inClass}, Division ${f.inDivision}, Group ${f.inGroup}`;
}

/** The kind of an entry. */
export const kindOfEntry = (f: Facts): string => word(KIND_TITLES, fact(f, 'kind'));

const WHEN: Record<string, string> = {
  before: 'before sealing',
  after: 'after sealing',
  'in-service': 'in service',
};

/** When an insulation test was made. */
export const when = (f: Facts): string => word(WHEN, fact(f, 'when'));

/** An adaptor with its two threads. */
export const adaptor = (f: Facts): string =>
  f.male === undefined ? fact(f, 'name') : `${fact(f, 'what')} ${fact(f, 'male')} to ${fact(f, 'female')}`;

const JOINTS: Record<string, string> = { wall: 'in the wall', adaptor: 'in the adaptor' };

/** Which threaded joint is spoken of. */
export const jointWhere = (f: Facts): string => word(JOINTS, fact(f, 'where'));

const THREAD_OF: Record<string, string> = { gland: 'Gland', adaptor: 'Adaptor' };

/** Whose male thread is spoken of. */
export const threadOf = (f: Facts): string => word(THREAD_OF, fact(f, 'by'));
