import type { SiteSpec } from './scenario';

/** A small grain plant, to show that sites are kept apart. */
export const OXGATE: SiteSpec = {
  prefix: 'om',
  site: {
    id: 'oxgate',
    name: 'Oxgate Malt',
    acceptance: 'simple',
    references: 'iec-2013',
    ovalityAllowancePct: 3,
    bondLimitOhm: 0.1,
    bondPredictionFactor: 3,
    severityDays: { 4: 0, 3: 7, 2: 90, 1: 365 },
    timeZone: 'Europe/London',
  },
  areas: [
    {
      id: 'om-floor',
      name: 'Malting floor',
      zone: '22',
      group: 'IIIB',
      temperatureClass: null,
      substances: 'grain dust',
      ambientC: [0, 40],
      ingressNeed: 'IP54',
      outlineM: { x: 0, y: 0, width: 30, height: 18 },
      levelM: 0,
    },
    {
      id: 'om-silo',
      name: 'Silo head',
      zone: '21',
      group: 'IIIB',
      temperatureClass: null,
      substances: 'grain dust',
      ambientC: [-10, 40],
      ingressNeed: 'IP65',
      outlineM: { x: 32, y: 0, width: 16, height: 18 },
      levelM: 12,
    },
  ],
  enclosures: [
    { tag: 'MF-1', area: 'om-floor', what: 'junction box, turner drive', x: 8, y: 6, concepts: ['tc'], group: 'IIIC' },
    { tag: 'SH-1', area: 'om-silo', what: 'level probe box', x: 38, y: 7, z: 12, concepts: ['tb'], group: 'IIIC' },
  ],
  entries: [
    { enclosure: 'MF-1', label: 'A', kind: 'gland-double-seal', size: 'S3', read: 'all' },
    { enclosure: 'MF-1', label: 'B', kind: 'gland-reversible-ring', size: 'S3', read: 'all' },
    {
      enclosure: 'SH-1',
      label: 'A',
      kind: 'gland-double-seal',
      size: 'S2',
      read: 'all',
      twist: { looks: { damage: 'dust' } },
      planted: ['E-29'],
    },
    { enclosure: 'SH-1', label: 'B', kind: 'gland-reversible-ring', size: 'S2', read: 'none' },
  ],
};
