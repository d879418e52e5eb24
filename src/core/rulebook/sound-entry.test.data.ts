import { KINDS } from '../record/kinds';
import type { KindId } from '../record/kind-ids';
import { MemorySlice, type RecordChange } from '../record/slice';
import type {
  Area,
  Cable,
  Certificate,
  Enclosure,
  Entry,
  Instrument,
  Reading,
  Seal,
  Site,
} from '../record/types';
import { dossierOf, type Dossier } from './dossier';

/** How a test's entry differs from the sound one. */
export interface Change {
  kind?: KindId;
  site?: Partial<Site>;
  area?: Partial<Area>;
  enclosure?: Partial<Enclosure>;
  cable?: Partial<Cable>;
  certificate?: Partial<Certificate>;
  entry?: Partial<Entry>;
  instrument?: Partial<Instrument>;
  /** Readings per place, instead of the sound ones. */
  truth?: Record<string, number[]>;
  /** Readings beside the sound ones. */
  readings?: Reading[];
  /** Answers instead of the good ones; null: not looked at. */
  looks?: Record<string, string | null>;
  /** Fault of every reading. */
  fault?: Reading['fault'];
}

const base = { site: 's' };
let made = 0;

/** A reading by A. Vell with the test's caliper. */
export function reading(place: string, value: number): Reading {
  const ohm = place === 'bond';
  return {
    ...base,
    id: `r${++made}`,
    entry: 'e',
    round: 'r',
    place,
    value,
    typed: String(value),
    method: ohm ? null : 'caliper',
    instrument: ohm ? 'o' : 'c',
    source: 'typed',
    by: 'A. Vell',
    at: '2026-03-04T09:00:00.000Z',
    fault: null,
    struck: null,
  };
}

const SOUND: Record<string, number[]> = {
  'outer-sheath': [20.68, 20.72, 20.7],
  'inner-sheath': [15.2, 15.18, 15.22],
  armour: [1.25, 1.26, 1.25],
  'thread-engagement': [11],
  bond: [0.011],
};

const seal = (low: number, high: number): Seal => ({
  rangeMm: [low, high],
  ovalityPct: 5,
  maxC: 95,
  coldFlow: false,
  shapes: ['round'],
});

/** The records of a sound flameproof entry, changed as a test asks. */
export function recordsWith(change: Change = {}): MemorySlice {
  const kind = change.kind ?? 'gland-double-seal';
  const reversible = KINDS[kind].ring === 'reversible';
  const slice = new MemorySlice();
  const caliper: Instrument = {
    ...base, id: 'c', tag: 'Caliper 07', kind: 'caliper', unit: 'mm', span: [0, 150], resolution: 0.01,
    expandedUncertainty: 0.03, coverageFactor: 2, repeatability: 0.02, repeatabilitySoft: 0.05,
    calibratedUntil: '2027-01-01', calibration: 'CAL 1', simulated: true, ...change.instrument,
  }; // prettier-ignore
  const ohmmeter: Instrument = {
    ...caliper, id: 'o', tag: 'Ohmmeter 02', kind: 'milliohm-meter', unit: 'ohm', span: [0, 20],
    resolution: 0.0001, expandedUncertainty: 0.001, repeatability: 0.0005,
  }; // prettier-ignore
  const records: [RecordChange['table'], object][] = [
    ['site', {
      ...base, id: 's', name: 'Works', acceptance: 'guarded', references: 'iec-2013', ovalityAllowancePct: 3,
      bondLimitOhm: 0.1, bondPredictionFactor: 3, severityDays: { 4: 0, 3: 7, 2: 90, 1: 365 },
      timeZone: 'UTC', lastSeal: null, ...change.site,
    }],
    ['area', {
      ...base, id: 'a', name: 'Hall', zone: '1', group: 'IIB', temperatureClass: 'T3', substances: '',
      ambientC: [-5, 40], ingressNeed: 'IP54', outlineM: { x: 0, y: 0, width: 9, height: 9 }, levelM: 0, ...change.area,
    }],
    ['enclosure', {
      ...base, id: 'b', area: 'a', tag: 'JB-1', what: 'box', concepts: ['db'], group: 'IIB', temperatureClass: null,
      ingress: 'IP66', derating: null, volumeCm3: 1800, wallMm: 12, entryTemperatureC: null,
      measuredTemperature: null, positionM: { x: 1, y: 1, z: 0 }, ...change.enclosure,
    }],
    ['cable', {
      ...base, id: 'k', tag: 'P-1', from: '', to: '', lengthM: 40, cores: [{ count: 4, areaMm2: 4, diameterMm: 4.1 }],
      shape: 'round', coldFlow: false, innerMm: 15.2,
      armour: { type: 'wire', sizeMm: 1.25, material: 'steel', areaMm2: null }, unarmoured: null, sheathMm: 1.5,
      outerMm: 20.7, toleranceMm: 0.4, maxC: 90, ...change.cable,
    }],
    ['certificate', {
      ...base, id: 'q', number: 'FRN 24.0117X', maker: 'Fernholt', title: 'Gland', kind, issued: '2024-02-12',
      state: 'valid', concepts: ['db', 'eb', 'tb'], levels: ['Gb', 'Db'], groups: ['IIC', 'IIIC'], serviceC: [-40, 95],
      ingress: 'IP66', sealing: true, specialConditions: [],
      sheet: {
        number: 'FS 1', joints: [{ joint: 'clamp', school: 'faces', range: null }], expectedBondOhm: 0.012,
        sizes: [{
          size: 'S3', thread: 'M25x1.5', maleLengthMm: 15, runoutMm: 1.5, washerMm: 0, acrossMm: 37, bodyLengthMm: 58,
          outer: seal(16.9, 24.1), inner: seal(11.2, 18.3),
          clamp: [
            { face: reversible ? 'W' : 'both', armour: 'wire', rangeMm: [1.15, 1.65] },
            { face: reversible ? 'X' : 'both', armour: 'braid', rangeMm: [0.2, 0.7] },
          ],
        }],
      },
      ...change.certificate,
    }],
    ['instrument', caliper],
    ['instrument', ohmmeter],
    ['entry', {
      ...base, id: 'e', enclosure: 'b', label: 'A', kind,
      hole: { form: 'threaded', thread: 'M25x1.5', diameterMm: null, chamfersMm: 1 }, certificate: 'q', size: 'S3',
      ringFace: reversible ? 'W' : null, cable: 'k', washerMm: 0, ...change.entry,
    }],
    ['round', { ...base, id: 'r', name: 'Round', grade: 'detailed', entries: ['e'], started: '2026-03-04', closed: null }],
  ]; // prettier-ignore
  const readings = Object.entries({ ...SOUND, ...change.truth }).flatMap(([place, values]) =>
    values.map((value) => ({ ...reading(place, value), fault: change.fault ?? null })),
  );
  for (const item of [...readings, ...(change.readings ?? [])]) records.push(['reading', item]);
  for (const { id, answers } of KINDS[kind].looks) {
    const answer = change.looks?.[id] === undefined ? answers.find(({ good }) => good)!.id : change.looks[id];
    if (answer === null) continue;
    const look = {
      ...base,
      id: `l-${id}`,
      entry: 'e',
      round: 'r',
      look: id,
      answer,
      by: 'A. Vell',
      at: '2026-03-04T09:00:00.000Z',
      photo: null,
    };
    records.push(['look', look]);
  }
  slice.write(
    records.map(
      ([table, record]) => ({ table, id: (record as { id: string }).id, after: record }) as RecordChange,
    ),
  );
  return slice;
}

/** The dossier of that entry. */
export function dossierWith(change: Change = {}): Dossier {
  const slice = recordsWith(change);
  return dossierOf(slice, 'e', slice.get('round', 'r'))!;
}
