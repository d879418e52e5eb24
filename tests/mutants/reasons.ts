import type { ChangeOf } from './mutation';

/** Why no mutant stands for a field and a change. */
export interface Reason {
  field: RegExp;
  changes: readonly ChangeOf[];
  why: string;
}

const RECORD = /^(site|area|enclosure|entry|cable|certificate|size)\./;
const ALL: readonly ChangeOf[] = ['blank', 'out', 'unit', 'kind', 'day', 'person', 'file'];

/** In this order; the first that fits a field and a change is the reason. */
export const REASONS: readonly Reason[] = [
  { field: RECORD, changes: ['day', 'person'], why: 'A fact of the dossier is told without a day and a person; the journal knows who wrote it when.' },
  { field: RECORD, changes: ['file'], why: 'A record of another site has another id, and what points at it finds nothing: entry.certificate and entry.cable stand for all of them.' },
  {
    field: /^look:(seen-entry|seen-outer-seal)$/,
    changes: ALL,
    why: 'Asked only where a round does not measure: torque and turns are measured in the sound entry, and their own blanks stand for it.',
  },
  { field: /^look:/, changes: ['unit'], why: 'An answer has no unit.' },
  { field: /^(area\.name|cable\.tag|enclosure\.tag|certificate\.sheet\.number|size\.size|certificate\.kind|entry\.kind|entry\.id|entry\.label)$/, changes: ALL, why: 'A name that is printed, or the id by which everything else is found: renaming is harmless, another kind has its own sound entry.' },
  { field: /\.(zone|group|temperatureClass|concepts|levels|groups|ingress|ingressNeed|armour|coldFlow|filling|shape|unarmoured|hole|number|state|thread|ringFace|cable|certificate|scheme|demandsBarrier|specialConditions|indirectEntry|reducedRetention|derating|unused|compartment|adaptors|beside|size|joints|issued|tests)$/, changes: ['unit', 'kind'], why: 'A word, a mark or a list has no unit; where it could be one of another kind a mutant above says so.' },
  { field: /^(cable\.cores|cable\.lengthM|cable\.maxC|cable\.minC|cable\.outerMm|cable\.sheathMm|cable\.toleranceMm|area\.ambientC|area\.cloudIgnitionC|area\.layerIgnitionC|area\.dustLayerMm|certificate\.serviceC|enclosure\.\w+C|enclosure\.measuredTemperature|enclosure\.wallMm|enclosure\.volumeCm3|entry\.washerMm|entry\.tailMm|size\.\w+|site\.bond\w+|cable\.mineral|certificate\.sheet\.compound|certificate\.sheet\.transit)$/, changes: ['kind'], why: 'A figure is of one kind.' },
  { field: /^(area\.(zone|group)|certificate\.(number|kind|levels|sealing)|enclosure\.(derating|wallMm|onlyIntrinsic)|entry\.(washerMm|compartment)|site\.\w+|size\.(maleLengthMm|runoutMm|washerMm|pot))$/, changes: ['blank'], why: 'The record is not taken without it, or its blank asks nothing: no derating, no compartment, no wall but a threaded one, no geometry where the engagement is measured.' },
  { field: /^(cable\.(breathing|sheathMm|toleranceMm)|area\.dustLayerMm|certificate\.(sealing|withdrawn)|certificate\.sheet\.(expectedBondOhm|sizes)|enclosure\.(ignitionSource|material|onlyIntrinsic|volumeCm3)|entry\.sealingDevice|site\.(acceptance|barrierSchool|bondPredictionFactor|scheme)|size\.washerMm)$/, changes: ALL, why: 'Read only to choose a rule or to print a figure; in the sound entry no value of it makes the entry unsafe.' },
  { field: /^cable\.(minC|maxC|lengthM|filling)$/, changes: ['blank', 'unit'], why: 'A mild place asks for no lower bound, and a unit slip of a bound that is kept with room stays inside it.' },
  { field: /^(enclosure\.(branchTemperatureC|entryTemperatureC|measuredTemperature)|certificate\.serviceC)$/, changes: ['blank', 'unit'], why: 'Where nothing is marked the assumed figures count.' },
  { field: /^(area\.(group|cloudIgnitionC|layerIgnitionC|temperatureClass|beside)|cable\.(cores|armour|mineral|coldFlow|shape|unarmoured)|certificate\.(concepts|groups|number|issued)|entry\.(size|compartment|ringFace)|enclosure\.\w+|size\.\w+|certificate\.sheet\.(compound|joints|transit)|site\.scheme|certificate\.reducedRetention)$/, changes: ['out', 'unit'], why: 'The value that would be out is that of another kind, told above, or the sound certificate covers every value.' },
  { field: /^size\.(backNut|mineral|innerProudMm)$/, changes: ['blank'], why: 'A sheet without a scale asks for none.' },
  { field: /^place:thread-engagement$/, changes: ['blank'], why: 'What the parts let engage is worked out of sheet, wall and washers; a reading only confirms it.' },
  { field: /^place:(thread-major|thread-pitch|thread-turns|support-distance)$/, changes: ALL, why: 'Measured only where the thread is in doubt, or where the certificate holds the cable less; the sound entry has no such reading.' },
  { field: /^(askedAt|broken|lastSealed|otherEnds)$/, changes: ALL, why: 'Found from other records of the site: another entry, an earlier seal, the other end of the cable; the sound entry has none, and broken seals have tests of their own.' },
  { field: /^(mineral|transit)\.(faults|at|newest|instruments|cables|unpacked|sealedAt|continuity)$/, changes: ALL, why: 'Worked out of tests, packing and their instruments, whose own mutants stand for it.' },
  { field: /^(pours|mineral\.tests)$/, changes: ['kind', 'person'], why: 'One mixing by one person: nobody mixes against another.' },
]; // prettier-ignore
