import type { TableName } from './types';

/** Every table of a site's records, in the order in which they refer to each other. */
export const TABLES = [
  'site', 'area', 'enclosure', 'cable', 'certificate', 'instrument', 'entry', 'round',
  'reference', 'reading', 'look', 'pour', 'makeoff', 'insulation', 'continuity', 'packing', 'asleft', 'frozen', 'inspection', 'defect', 'change',
] as const satisfies readonly TableName[]; // prettier-ignore
