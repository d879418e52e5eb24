import { diameter, type Diameter, type DiameterMethod } from '../measuring/diameter';
import { fingerprintOf } from '../record/fingerprint';
import { conditionNumber } from '../record/kinds/looks';
import { KINDS, lookOf, placeOf } from '../record/kinds';
import type { Slice } from '../record/slice';
import type {
  Area,
  AsLeft,
  Cable,
  Certificate,
  Enclosure,
  Entry,
  GlandSize,
  Grade,
  Id,
  Instrument,
  Look,
  Pour,
  Reading,
  Round,
  Site,
} from '../record/types';
import { mineralRecordsOf, type MineralRecords } from './mineral-records';
import { resolveReferences, type ReferenceSet } from './references';
import { transitRecordsOf, type TransitRecords } from './transit-records';
import { skippedHolds, type SkippedHold } from './skipped';

/** Everything that judging one entry reads. */
export interface Dossier {
  site: Site;
  area: Area;
  enclosure: Enclosure;
  entry: Entry;
  cable: Cable | null;
  certificate: Certificate | null;
  /** The size of the certificate's sheet that the entry names. */
  size: GlandSize | null;
  round: Round | null;
  /** Readings of the round that are not struck out, in the order they were taken. */
  readings: readonly Reading[];
  /** The latest answer to each look of the round. */
  looks: ReadonlyMap<string, Look>;
  instruments: ReadonlyMap<Id, Instrument>;
  /** Those readings by place, grouped as they are judged; hidden places also from the sealed record. */
  groups: ReadonlyMap<string, readonly ReadingGroup[]>;
  /** Compound or resin of the round, else of the sealed record; in the order of packing. */
  pours: readonly Pour[];
  /** Sealed record that speaks for what the closed entry hides; null when there is none that holds. */
  record: AsLeft | null;
  /** Places and looks that the sealed record answers, because the round does not. */
  recorded: ReadonlySet<string>;
  /** Hold points of the make-off that were passed over, by place or look. */
  skipped: ReadonlyMap<string, SkippedHold>;
  /** Newest sealed record of the entry before this round: its day; null before the first. */
  lastSealed: string | null;
  /** Entry of the round at which questions about the whole enclosure are asked; null when it is this one. */
  askedAt: Entry | null;
  /** Tests of a mineral-insulated cable; null for another kind of entry. */
  mineral: MineralRecords | null;
  /** How a transit is packed; null for another kind of entry, or where it is not recorded. */
  transit: TransitRecords | null;
  /** References that findings are printed with. */
  references: ReferenceSet;
}

/** Readings of one place by one person with one instrument and method: one diameter. */
export interface ReadingGroup {
  instrument: Instrument;
  by: string;
  method: DiameterMethod | null;
  readings: Reading[];
  /** Why the group cannot count; null when it can. */
  fault: Reading['fault'];
}

/** What a check is run with. */
export interface Context extends Dossier {
  grade: Grade;
  /** Time of judging, ISO 8601. */
  at: string;
  /** Diameters that this judgement has worked out already: several checks ask for the same. */
  diameters: Map<ReadingGroup, Diameter>;
}

/** The round that an entry is judged in: the newest one that it belongs to; null before the first. */
export function currentRound(slice: Slice, entry: Id, site: Id): Round | null {
  const rounds = slice.by('round', 'site', site).filter((round) => round.entries.includes(entry));
  rounds.sort((a, b) => (a.started < b.started ? -1 : a.started > b.started ? 1 : 0));
  return rounds[rounds.length - 1] ?? null;
}

/**
 * Collects what judging an entry reads.
 *
 * @param round the round whose readings count; null for none
 * @returns null when the entry or the place it belongs to does not exist
 */
export function dossierOf(slice: Slice, entryId: Id, round: Round | null): Dossier | null {
  const entry = slice.get('entry', entryId);
  const enclosure = entry && slice.get('enclosure', entry.enclosure);
  const area = enclosure && slice.get('area', enclosure.area);
  const site = entry && slice.get('site', entry.site);
  if (!entry || !enclosure || !area || !site) return null;
  const certificate = entry.certificate === null ? null : slice.get('certificate', entry.certificate);
  const cable = entry.cable === null ? null : slice.get('cable', entry.cable);
  const readings = slice
    .by('reading', 'entry', entryId)
    .filter((reading) => reading.round === round?.id && !reading.struck)
    .sort(byTime);
  const looks = new Map<string, Look>();
  for (const look of slice.by('look', 'entry', entryId).sort(byTime)) {
    if (look.round === round?.id) looks.set(look.look, look);
  }
  const instruments = new Map<Id, Instrument>();
  for (const { instrument } of readings) {
    const record = slice.get('instrument', instrument);
    if (record) instruments.set(instrument, record);
  }
  const groups = groupReadings(readings, instruments);
  const records = slice.by('asleft', 'entry', entryId).sort(byTime);
  const record = looks.get('unaltered')?.answer === 'altered' ? null : validRecord(records, entry, cable);
  const recorded = record ? answerFrom(record, entry, groups, looks) : NOTHING;
  const own = slice.by('pour', 'entry', entryId).filter((pour) => pour.round === round?.id);
  return {
    site,
    area,
    enclosure,
    entry,
    cable,
    certificate,
    size: certificate?.sheet.sizes.find(({ size }) => size === entry.size) ?? null,
    round,
    readings,
    looks,
    instruments,
    groups,
    pours: (own.length > 0 ? own : (record?.pours ?? own)).sort(byPacking),
    record,
    recorded,
    skipped: skippedHolds(
      entry,
      slice.by('makeoff', 'entry', entryId).filter((work) => work.round === round?.id),
      record,
    ),
    lastSealed: lastSealed(slice, records, entryId, round),
    askedAt: askedAt(slice, entry, round),
    mineral: mineralRecordsOf(slice, entry, cable),
    transit: transitRecordsOf(slice, entry, certificate),
    references: resolveReferences(site.references, (id) => slice.get('reference', id)),
  };
}

const NOTHING: ReadonlySet<string> = new Set();

/** The newest sealed record, if cable and gland are still those that it was made of. */
function validRecord(records: readonly AsLeft[], entry: Entry, cable: Cable | null): AsLeft | null {
  const newest = records[records.length - 1];
  return newest && newest.fingerprint === fingerprintOf(entry, cable) ? newest : null;
}

/** Whether a place or look cannot be reached once the entry is closed, or only while it is being closed. */
const isHidden = (entry: Entry, id: string): boolean => {
  const asked = placeOf(entry.kind, id) ?? lookOf(entry.kind, id);
  if (asked === null) return conditionNumber(id) !== null;
  return asked.grade === 'detailed' || JOINT_ANSWER.test(id);
};

const JOINT_ANSWER = /^(turns|torque|faces|grip)-/;

/** Adds the answers of a sealed record to hidden places and looks that the round leaves open; says which. */
function answerFrom(
  record: AsLeft,
  entry: Entry,
  groups: Map<string, ReadingGroup[]>,
  looks: Map<string, Look>,
): ReadonlySet<string> {
  const recorded = new Set<string>();
  const instruments = new Map(record.instruments.map((instrument) => [instrument.id, instrument]));
  for (const [place, found] of groupReadings(record.readings, instruments)) {
    if (groups.has(place) || !isHidden(entry, place)) continue;
    groups.set(place, found);
    recorded.add(place);
  }
  for (const look of record.looks) {
    if (looks.has(look.look) || !isHidden(entry, look.look)) continue;
    looks.set(look.look, look);
    recorded.add(look.look);
  }
  return recorded;
}

function lastSealed(slice: Slice, records: readonly AsLeft[], entry: Id, round: Round | null): string | null {
  let newest: string | null = null;
  const earlier = [...records, ...slice.by('inspection', 'entry', entry)];
  for (const { at, round: of } of earlier) {
    if (of !== round?.id && (newest === null || at > newest)) newest = at;
  }
  return newest;
}

/** Questions about the enclosure are asked once, at the first of its entries in the round. */
function askedAt(slice: Slice, entry: Entry, round: Round | null): Entry | null {
  if (!round) return null;
  let first = entry;
  for (const other of slice.by('entry', 'enclosure', entry.enclosure)) {
    const before = other.label < first.label || (other.label === first.label && other.id < first.id);
    if (before && round.entries.includes(other.id)) first = other;
  }
  return first === entry ? null : first;
}

const byPacking = (a: Pour, b: Pour): number => {
  const [first, second] = [a.packedAt ?? a.mixedAt, b.packedAt ?? b.mixedAt];
  return first < second ? -1 : first > second ? 1 : 0;
};

const byTime = (a: { at: string; id: Id }, b: { at: string; id: Id }): number =>
  a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1;

/**
 * Readings grouped by place, then by instrument, method and person; a faulty reading makes a group of its own.
 */
function groupReadings(
  readings: readonly Reading[],
  instruments: ReadonlyMap<Id, Instrument>,
): Map<string, ReadingGroup[]> {
  const places = new Map<string, ReadingGroup[]>();
  for (const reading of readings) {
    const instrument = instruments.get(reading.instrument);
    if (!instrument) continue;
    let groups = places.get(reading.place);
    if (!groups) places.set(reading.place, (groups = []));
    const same = groups.find(
      (group) =>
        group.instrument.id === reading.instrument &&
        group.method === reading.method &&
        group.by === reading.by &&
        group.fault === reading.fault,
    );
    const { by, method, fault } = reading;
    if (same) same.readings.push(reading);
    else groups.push({ instrument, by, method, readings: [reading], fault });
  }
  return places;
}

const NO_GROUPS: readonly ReadingGroup[] = [];

/** Readings of a place, as they are judged. */
export const groupsOf = (dossier: Dossier, place: string): readonly ReadingGroup[] =>
  dossier.groups.get(place) ?? NO_GROUPS;

/** Diameter of a group; a soft sheath takes the instrument's repeatability for soft sheaths. */
export function diameterOf(dossier: Dossier | Context, group: ReadingGroup, soft: boolean): Diameter {
  if (!('diameters' in dossier)) return workOut(dossier, group, soft);
  let known = dossier.diameters.get(group);
  if (!known) dossier.diameters.set(group, (known = workOut(dossier, group, soft)));
  return known;
}

function workOut(dossier: Dossier, group: ReadingGroup, soft: boolean): Diameter {
  const { instrument, method } = group;
  return diameter(
    method ?? 'caliper',
    group.readings.map(({ value }) => value),
    {
      expandedUncertaintyMm: instrument.expandedUncertainty,
      coverageFactor: instrument.coverageFactor,
      resolutionMm: instrument.resolution,
      repeatabilityMm: soft ? instrument.repeatabilitySoft : instrument.repeatability,
    },
    method === 'tape' ? { thicknessMm: 0, ovalityAllowancePct: dossier.site.ovalityAllowancePct } : null,
  );
}

/** Expanded uncertainty of a single value of an instrument, in its own unit. */
export function singleUncertainty({
  expandedUncertainty,
  coverageFactor,
  resolution,
  repeatability,
}: Instrument): number {
  // Squared by hand: every reading asks for it, and hypot is many times dearer.
  const uCal = expandedUncertainty / coverageFactor;
  const uRep = repeatability ?? 0;
  return 2 * Math.sqrt(uCal * uCal + (resolution * resolution) / 12 + uRep * uRep);
}

/** Whether the enclosure is flameproof: the consequence of a bad joint is then the highest. */
export const isFlameproof = ({ enclosure }: Dossier): boolean =>
  enclosure.concepts.some((concept) => concept[0] === 'd');

/** Traits of the entry's kind. */
export const kindOf = ({ entry }: Pick<Dossier, 'entry'>) => KINDS[entry.kind];

/** Whether the enclosure is dust-ignition-proof. */
export const isDustProof = ({ enclosure }: Dossier): boolean =>
  enclosure.concepts.some((concept) => concept[0] === 't');
