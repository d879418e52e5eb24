/** An area as it is classified. */
const AREA = ['area.beside', 'area.group', 'area.zone', 'site.scheme'];
const NAMED_AREA = [...AREA, 'area.name'];
/** The protection where an entry opens. */
const HERE = ['enclosure.concepts', 'entry.compartment', 'entry.kind'];
const HEAT = [
  'area.ambientC',
  'enclosure.branchTemperatureC',
  'enclosure.entryTemperatureC',
  'enclosure.measuredTemperature',
];
/** What a resistance to earth is held against. */
const EARTH = ['look:bond-path', 'site.acceptance', 'site.bondLimitOhm', 'site.bondPredictionFactor'];
/** The tests of a mineral-insulated cable, and when its end was sealed. */
const TESTS = [
  'cable.lengthM',
  'cable.mineral',
  'entry.id',
  'mineral.faults',
  'mineral.sealedAt',
  'mineral.tests',
];
/** A transit as it is framed and packed, and what cannot be about it. */
const PACKED = [
  'certificate.sheet.transit',
  'entry.frame',
  'transit.faults',
  'transit.newest',
  'transit.openings',
  'transit.unpacked',
];

/**
 * What each check reads of a sound entry of any kind: fields of the dossier (`cable.outerMm`), readings of a place
 * (`place:bond`) and answers to a look (`look:washer`). A check that reads anything else, or no longer reads what
 * stands here, is found out: whoever changes a rule says here what it rests on.
 */
export const READS: Readonly<Record<string, readonly string[]>> = {
  'E-01': [...AREA, 'certificate.concepts', 'certificate.issued', 'certificate.kind', 'certificate.number', 'certificate.sheet.sizes', 'certificate.state', 'certificate.withdrawn', 'entry.kind', 'entry.size', 'look:marking'],
  'E-02': [...NAMED_AREA, 'certificate.levels', 'enclosure.onlyIntrinsic'],
  'E-03': [...NAMED_AREA, 'certificate.concepts', 'certificate.groups', 'enclosure.onlyIntrinsic'],
  'E-04': [...HEAT, 'cable.maxC', 'cable.minC', 'certificate.serviceC', 'certificate.sheet.compound', 'size.inner', 'size.outer'],
  'E-05': [...AREA, 'area.ingressNeed', 'certificate.ingress', 'enclosure.concepts', 'enclosure.derating', 'enclosure.ingress'],
  'E-06': [...NAMED_AREA, ...HERE, 'certificate.concepts', 'certificate.sealing', 'enclosure.tag', 'entry.frame'],
  'E-07': ['enclosure.concepts', 'entry.adaptors', 'entry.compartment', 'entry.hole', 'entry.label', 'place:thread-major', 'place:thread-pitch', 'size.thread'],
  'E-08': [...NAMED_AREA, 'enclosure.concepts', 'enclosure.volumeCm3', 'enclosure.wallMm', 'entry.adaptors', 'entry.compartment', 'entry.hole', 'entry.washerMm', 'place:thread-engagement', 'place:thread-turns', 'size.maleLengthMm', 'size.runoutMm', 'size.thread'],
  'E-09': ['enclosure.concepts', 'entry.adaptors', 'entry.compartment'],
  'E-10': [...AREA, ...HERE, 'askedAt', 'enclosure.derating', 'enclosure.ingress', 'enclosure.tag', 'enclosure.unused', 'enclosure.volumeCm3', 'look:unused-entries'],
  'E-11': [...HERE, 'cable.coldFlow', 'cable.shape', 'look:outer-bare', 'place:outer-sheath', 'site.acceptance', 'size.outer'],
  'E-12': [...HERE, 'cable.coldFlow', 'cable.cores', 'cable.shape', 'look:diaphragm-lip', 'place:inner-sheath', 'place:over-cores', 'site.acceptance', 'size.inner', 'size.pot'],
  'E-13': [...HERE, 'cable.armour', 'cable.tag', 'cable.unarmoured', 'certificate.number', 'entry.ringFace', 'look:ring-thick-end', 'place:armour', 'site.acceptance', 'size.clamp', 'size.size'],
  'E-14': ['entry.kind', 'look:armour-seated'],
  'E-15': [...NAMED_AREA, ...HERE, 'cable.breathing', 'cable.filling', 'cable.lengthM', 'cable.mineral', 'cable.shape', 'certificate.demandsBarrier', 'enclosure.demandsBarrier', 'enclosure.ignitionSource', 'enclosure.indirectEntry', 'enclosure.tag', 'enclosure.volumeCm3', 'entry.sealingDevice', 'site.barrierSchool'],
  'E-16': ['cable.armour', 'cable.coldFlow', 'cable.cores', 'cable.lengthM', 'cable.mineral', 'cable.shape', 'cable.tag', 'cable.unarmoured', 'enclosure.concepts', 'entry.kind', 'look:inside-cable', 'otherEnds'],
  'E-17': ['cable.cores', 'certificate.sheet.compound', 'certificate.sheet.number', 'entry.kind', 'look:compound-face', 'look:compound-witness', 'look:spigot-held', 'place:compound-reach', 'pours', 'site.acceptance', 'site.scheme', 'size.pot'],
  'E-18a': ['certificate.sheet.joints', 'entry.kind', 'look:grip-resin-port', 'look:seen-entry', 'look:seen-outer-seal', 'place:torque-entry', 'place:turns-outer-seal', 'site.acceptance'],
  'E-18b': ['certificate.sheet.joints', 'entry.kind', 'look:faces-clamp', 'look:faces-inner-seal', 'look:grip-pot'],
  'E-19': ['cable.coldFlow', 'place:back-nut-gap', 'place:outer-sheath', 'size.backNut'],
  'E-20': ['certificate.sheet.number', 'entry.kind', 'look:conductors', 'place:inner-proud', 'site.acceptance', 'size.inner', 'size.innerProudMm', 'size.size'],
  'E-21': ['entry.kind', 'place:armour-length', 'site.acceptance', 'size.armourLengthMm'],
  'E-22': ['area.ingressNeed', 'enclosure.derating', 'enclosure.ingress', 'enclosure.wallMm', 'entry.hole', 'entry.kind', 'entry.washerMm', 'look:washer', 'size.thread', 'size.washerMm'],
  'E-23a': ['enclosure.material', 'entry.kind', 'look:bond-tight'],
  'E-23b': [...EARTH, 'certificate.sheet.expectedBondOhm', 'place:bond'],
  'E-24': ['entry.kind', 'look:shroud', 'look:shrouds-facing'],
  'E-25': ['certificate.number', 'certificate.specialConditions'],
  'E-26': ['cable.mineral', 'cable.outerMm', 'cable.sheathMm', 'certificate.reducedRetention', 'entry.kind', 'look:cable-held', 'place:support-distance'],
  'E-27': ['cable.armour', 'cable.coldFlow', 'cable.mineral', 'cable.outerMm', 'cable.sheathMm', 'cable.tag', 'cable.toleranceMm', 'entry.kind', 'look:unused-cores', 'otherEnds', 'place:inner-sheath', 'place:outer-sheath'],
  'E-28': ['broken', 'entry.kind', 'lastSealed', 'look:unaltered'],
  'E-29': [...HERE, 'look:damage'],
  'E-30': [...HERE, 'look:seal-state'],
  'E-31': ['cable.cores', 'cable.tag'],
  'M-01': ['cable.cores', 'cable.mineral', 'entry.kind', 'entry.tailMm', 'look:drain-wire', 'look:pot-filled', 'look:pot-square', 'place:pot-projection', 'place:sheath-length', 'site.acceptance', 'size.mineral'],
  'M-02': [...TESTS, 'cable.cores'],
  'M-03': [...TESTS, 'cable.cores'],
  'M-04': [...TESTS],
  'M-05': [...TESTS],
  'M-06': ['cable.cores', 'cable.mineral', 'mineral.continuity'],
  'M-07': ['cable.cores', 'cable.lengthM', 'cable.mineral', 'look:bond-path', 'place:sheath-earth', 'site.acceptance', 'site.bondPredictionFactor'],
  'M-08': [...NAMED_AREA, ...HEAT, 'area.cloudIgnitionC', 'area.dustLayerMm', 'area.layerIgnitionC', 'area.temperatureClass', 'cable.cores', 'cable.mineral', 'size.mineral'],
  'R-01': [...HERE, 'look:resin-dam'],
  'R-02': ['certificate.sheet.compound', 'certificate.sheet.number', 'enclosure.concepts', 'entry.compartment', 'pours'],
  'R-03': [...HERE, 'look:grommet-nut'],
  'S-01': [...PACKED],
  'S-02': [...PACKED],
  'S-03': [...PACKED],
  'S-04': ['entry.kind', 'look:adhesion'],
  'S-05': ['entry.kind', 'look:both-sides'],
  'S-06': ['entry.kind', 'look:sleeves-behind'],
  'T-01': [...PACKED, 'entry.kind'],
  'T-02': [...PACKED, 'entry.kind'],
  'T-03': [...PACKED, 'entry.kind'],
  'T-04': [...PACKED, 'entry.kind'],
  'T-05': [...PACKED, 'entry.kind', 'look:both-sides'],
  'T-06': [...PACKED, 'entry.kind', 'look:bolts-again'],
  'T-07': ['certificate.sheet.transit', 'entry.frame', 'transit.openings'],
  'T-08': ['entry.kind', 'look:transit-cables'],
  'T-09': [...PACKED, ...EARTH, 'entry.kind', 'look:armour-past', 'look:braid', 'transit.at', 'transit.instruments'],
  'T-10': ['entry.kind', 'look:frame-fixed'],
}; // prettier-ignore
