import * as touches from './touches';
import type { Touches } from './touches';
import type { TableName, Tables } from './types';

/** What is known of a table of a site's records; everything that walks over tables derives from it. */
export interface Table<T extends TableName = TableName> {
  /** Fields that hold the id of a record, and of which table. */
  references: Readonly<Record<string, TableName>>;
  /** Further fields that records are looked up by, beside the site and those that refer. */
  lookups: readonly string[];
  /** Fields that hold a list of ids, each of which they are looked up by. */
  lists?: readonly string[];
  /** Where its records lie: in the open format of a site, or in the database alone. */
  lies: 'file' | 'database';
  /** With what its records are taken along: with the site, an entry, a cable; by what refers to them; or not at all. */
  taken: 'whole' | 'entry' | 'cable' | 'reached' | 'left';
  /** Entries whose judgement a record of it can alter. */
  touches: Touches<Tables[T]>;
}

const OF_ROUND = { references: { entry: 'entry', round: 'round' }, lookups: [], lies: 'file', taken: 'entry', touches: touches.itsEntry } as const; // prettier-ignore
const ALONE = { references: {}, lookups: [], lies: 'file', taken: 'whole' } as const;

/** Every table, in the order in which they refer to each other: a new one is a line here. */
const TABLE: { [T in TableName]: Table<T> } = {
  site: { ...ALONE, touches: touches.wholeSite },
  area: { ...ALONE, lookups: ['name'], touches: touches.area },
  enclosure: { ...ALONE, references: { area: 'area' }, lookups: ['tag'], taken: 'reached', touches: touches.enclosure },
  cable: { ...ALONE, taken: 'reached', touches: touches.cable },
  certificate: { ...ALONE, touches: touches.certificate },
  instrument: { ...ALONE, touches: touches.instrument },
  entry: { ...ALONE, references: { enclosure: 'enclosure', certificate: 'certificate', cable: 'cable' }, lookups: ['kind'], taken: 'reached', touches: touches.entry },
  round: { ...ALONE, lists: ['entries'], taken: 'reached', touches: touches.round },
  reference: { ...ALONE, touches: touches.wholeSite },
  reading: { ...OF_ROUND, references: { ...OF_ROUND.references, instrument: 'instrument' } },
  look: OF_ROUND,
  pour: OF_ROUND,
  makeoff: OF_ROUND,
  insulation: { ...ALONE, references: { cable: 'cable', instrument: 'instrument', entry: 'entry' }, taken: 'cable', touches: touches.itsCable },
  continuity: { ...ALONE, references: { cable: 'cable' }, taken: 'cable', touches: touches.itsCable },
  packing: { ...ALONE, references: { entry: 'entry' }, taken: 'entry', touches: touches.itsEntry },
  asleft: OF_ROUND,
  frozen: { ...ALONE, taken: 'left', touches: touches.nothing },
  inspection: OF_ROUND,
  defect: OF_ROUND,
  change: { ...ALONE, lies: 'database', taken: 'left', touches: touches.nothing },
}; // prettier-ignore

/** Every table of a site's records, in the order in which they refer to each other. */
export const TABLES = Object.keys(TABLE) as readonly TableName[];

/** What is known of a table. */
export const tableOf = <T extends TableName>(table: T): Table<T> => TABLE[table];

/** Tables of the open format of a site, beside the site itself. */
export const FILE_TABLES = TABLES.filter((table) => table !== 'site' && TABLE[table].lies === 'file');

/** Whether a field of a table holds a list of ids. */
export const isListField = (table: TableName, field: string): boolean =>
  TABLE[table].lists?.includes(field) ?? false;

/** Fields that records of a table can be looked up by. */
export const lookupsOf = (table: TableName): readonly string[] => LOOKUPS.get(table)!;

// Bodies that are found by their content belong to a site like everything, and nobody looks for a site's.
const LOOKUPS = new Map<TableName, readonly string[]>(
  TABLES.map((table) => {
    const { references, lookups, lists = [] } = TABLE[table];
    const own = table === 'site' || table === 'frozen' ? [] : ['site'];
    return [table, [...own, ...Object.keys(references), ...lookups, ...lists]];
  }),
);
