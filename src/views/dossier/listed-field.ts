import { DIVISION_CLASSES, DIVISION_GROUPS } from '../../core/hazard/division';
import { choices, pick, type Field } from './fields';

/** Listings of a device for classes and divisions. */
export const LISTED_FIELD: Field = {
  path: 'divisions',
  title: 'Listed classes and divisions',
  type: 'list',
  fields: [
    pick('class', 'Class', DIVISION_CLASSES),
    pick('division', 'Division', [1, 2]),
    choices('groups', 'Groups', DIVISION_GROUPS),
  ],
};
