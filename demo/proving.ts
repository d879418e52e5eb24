import { MINERAL_CABLES } from './mineral-cables';
import { areasOf, enclosuresOf, FAULTY_ENTRIES } from './plant';
import { SITE_RULES, type SiteSpec } from './spec';

/** One fault per rule and kind, to try the rule book on: no plant that is looked after is like this. */
export const PROVING_GROUND: SiteSpec = {
  prefix: 'pg',
  site: { ...SITE_RULES, id: 'proving-ground', name: 'Proving Ground' },
  areas: areasOf('pg'),
  enclosures: enclosuresOf('pg'),
  entries: FAULTY_ENTRIES,
  minerals: MINERAL_CABLES,
  years: 1,
};
