import type { DiameterMethod } from '../measuring/diameter';
import { isLater, readingFault } from '../instrument/calibration';
import { placeOf } from '../kinds/kinds';
import type { KindId } from '../record/kind-ids';
import type { Id, Instrument, Reading, ReadingFault } from '../record/types';

/** Readings of one place by one person with one instrument and method: one diameter. */
export interface ReadingGroup {
  instrument: Instrument;
  by: string;
  method: DiameterMethod | null;
  readings: Reading[];
  /** Why the group cannot count; null when it can. */
  fault: ReadingFault | null;
}

/** Tag of an instrument that nobody has on record, as a key of words. */
export const NOT_ON_RECORD = 'not-on-record';

/** Stands where a reading names an instrument that nobody has on record: it is told, never left out. */
const unknownInstrument = (id: Id, site: Id): Instrument => ({
  id,
  site,
  tag: NOT_ON_RECORD,
  kind: 'caliper',
  unit: 'mm',
  span: [0, 0],
  resolution: 0,
  expandedUncertainty: 0,
  coverageFactor: 1,
  repeatability: null,
  repeatabilitySoft: null,
  calibratedUntil: '',
  calibration: '',
  calibrations: [],
  pooledPlaces: null,
  simulated: false,
  of: null,
  lentAt: null,
});

/** What readings are grouped with. */
export interface GroupWith {
  kind: KindId;
  /** Records as they stand now, and as they were sealed: a fault by either is one. */
  instruments: readonly ReadonlyMap<Id, Instrument>[];
  /** Day on which the round began; null where it does not matter. */
  since: string | null;
}

/**
 * Readings grouped by place, then by instrument, method and person; a faulty reading makes a group of its own.
 */
export function groupReadings(
  readings: readonly Reading[],
  { kind, instruments, since }: GroupWith,
): Map<string, ReadingGroup[]> {
  const places = new Map<string, ReadingGroup[]>();
  for (const reading of readings) {
    let fault: ReadingFault | null = null;
    let instrument: Instrument | null = null;
    const place = placeOf(kind, reading.place);
    for (const records of instruments) {
      const record = records.get(reading.instrument);
      if (!record) continue;
      instrument ??= record;
      fault ??= readingFault(reading, record, place, since);
    }
    if (!instrument) {
      instrument = unknownInstrument(reading.instrument, reading.site);
      fault = 'no-instrument';
    }
    let groups = places.get(reading.place);
    if (!groups) places.set(reading.place, (groups = []));
    const { by, method } = reading;
    const id = instrument.id;
    const same = groups.find(
      (group) =>
        group.instrument.id === id && group.method === method && group.by === by && group.fault === fault,
    );
    if (same) same.readings.push(reading);
    else groups.push({ instrument, by, method, readings: [reading], fault });
  }
  return places;
}

/** The same with readings that lie in the future of a judgement marked as such. */
export function withoutFuture(
  groups: ReadonlyMap<string, readonly ReadingGroup[]>,
  at: string,
): ReadonlyMap<string, readonly ReadingGroup[]> {
  const marked = new Map<string, readonly ReadingGroup[]>();
  for (const [place, of] of groups) {
    marked.set(
      place,
      of.map((group) =>
        group.readings.some((reading) => isLater(reading.at, at)) ? { ...group, fault: 'in-future' } : group,
      ),
    );
  }
  return marked;
}

/** What a group says: an interval with its uncertainty, and whether it settles anything. */
export interface Weighed {
  low: number;
  high: number;
  decisive: boolean;
}

/**
 * Groups of a place that count: the decisive ones; one that is not decisive counts only where it stands
 * alone, or where it contradicts them. Null: the groups that have to agree do not meet.
 */
export function countedGroups(
  groups: readonly ReadingGroup[],
  weigh: (group: ReadingGroup) => Weighed,
): readonly ReadingGroup[] | null {
  if (groups.length <= 1) return groups;
  const weighed = groups.map(weigh);
  const decisive = weighed.filter((one) => one.decisive);
  if (decisive.length === 0) return groups;
  const meet = weighed.every((one) =>
    decisive.every((other) => one.low <= other.high && other.low <= one.high),
  );
  return meet ? groups.filter((_, i) => weighed[i]!.decisive) : null;
}
