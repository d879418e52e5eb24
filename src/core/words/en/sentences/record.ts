import { day } from '../format';
import { s, type Sentence } from './parts';
import { blankOf } from './terms';

/** Sentences about what the records say of device, area, enclosure and cable. */
export const RECORD: Record<string, Sentence> = {
  'area.no-zone': (f) => `The zone of ${s(f, 'area')} is not recorded.`,
  'area.no-group': (f) => `The gas or dust group of ${s(f, 'area')} is not recorded.`,
  'area.unclassified': (f) => `${s(f, 'area')} is recorded as unclassified, so nothing is asked for.`,
  'record.blank': (f) => `Not recorded: ${blankOf(f)}.`,
  'cable.none': () => 'No cable is recorded for this entry.',
  'area.dust-group': (f) =>
    `${s(f, 'area')}: zone and group contradict each other: dust has a group of dust, gas one of gas.`,
  'area.division': (f) =>
    `${s(f, 'area')}: class, division and group contradict each other (groups A to D are gas, E to G dust; group E has no Division 2).`,
  'area.beside': (f) => `${s(f, 'area')}: what is recorded beside its zone contradicts it.`,
  'cable.armour-twice': (f) =>
    `Cable ${s(f, 'cable')} is recorded with ${s(f, 'type')} armour, and as unarmoured by ${s(f, 'by')} on ${day(s(f, 'on'))}: one of the two is wrong.`,
  'old.failed': (f) =>
    `Failed when it was last asked, on ${day(s(f, 'at'))}, and nobody has answered it since.`,
};
