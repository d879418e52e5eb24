import { MINERAL_CABLES } from './mineral-cables';
import { areasOf, enclosuresOf, FAULTY_ENTRIES } from './plant';
import { SITE_RULES, type EntrySpec, type MineralSpec, type SiteSpec } from './spec';
import { soundTransit } from './transits';

/** Entries whose planted fault is really there; every other one of the plant is as it should be. */
const FAULTY = new Set([
  'JB-201 C', 'JB-204 C', 'JB-221 B', 'AX-31 B', 'AX-32 A', 'HC-4 B', 'PM-3 A', 'TY-2 C', 'TR-4 B',
]); // prettier-ignore

/** The entry without its fault, unless the fault is one of those that are there. */
function lookedAfter(entry: EntrySpec): EntrySpec {
  if (!entry.planted || FAULTY.has(`${entry.enclosure} ${entry.label}`)) return entry;
  const { planted: _planted, twist: _twist, certificate: _certificate, sealed: _sealed, ...rest } = entry;
  return rest.transit ? { ...rest, transit: soundTransit(rest) } : rest;
}

/** One cable slowly draws moisture; the others are as they were laid. */
function dry({ planted, crossed: _crossed, sheathC: _sheathC, ...cable }: MineralSpec): MineralSpec {
  return planted === 'damp over the years' ? { ...cable, planted } : cable;
}

/** Extraction of scents from plants: gas and dust areas, three years of rounds, about nine in ten entries sound. */
export const MARROWICK: SiteSpec = {
  prefix: 'mb',
  site: { ...SITE_RULES, id: 'marrowick', name: 'Marrowick Botanicals' },
  areas: areasOf('mb'),
  enclosures: enclosuresOf('mb').map(({ unused, ...one }) =>
    unused?.some(({ closure }) => closure !== 'plug') ? one : { ...one, unused },
  ),
  // Nobody who looks after a plant fits a gland without a certificate in the tank yard.
  entries: FAULTY_ENTRIES.filter(({ certificate }) => certificate !== 'industrial-outdoor').map(lookedAfter),
  minerals: MINERAL_CABLES.map(dry),
  years: 3,
};
