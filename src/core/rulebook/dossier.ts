import { diameter, type Diameter } from '../measuring/diameter';
import { repeatabilityOn } from '../instrument/calibration';
import { instrumentNow } from '../record/instruments';
import { KINDS } from '../kinds/kinds';
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
  Inspection,
  Instrument,
  Look,
  Pour,
  Reading,
  Round,
  Site,
} from '../record/types';
import { partSeals, type BrokenSeal } from '../record/seal';
import { answerFrom, cutOf, isHidden, NOTHING, validRecord } from './closed';
import { groupReadings, type ReadingGroup } from './readings';
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
  /** Time of the newest reading, look or record: what lies after a judgement's own time cannot be. Empty before the first. */
  newest: string;
  /** Whether it was made off in these records, or was found so. */
  madeOffHere: boolean;
  /** Other entries that the same cable ends in. */
  otherEnds: readonly CableEnd[];
  /** Area on the other side of a transit; null where none is recorded. */
  otherArea: Area | null;
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
  /** Sealed records of the entry that do not match their seal: they speak for nothing. */
  broken: readonly BrokenSeal[];
  /** Entry of the round at which questions about the whole enclosure are asked; null when it is this one. */
  askedAt: Entry | null;
  /** Tests of a mineral-insulated cable; null for another kind of entry. */
  mineral: MineralRecords | null;
  /** How a transit is packed; null for another kind of entry, or where it is not recorded. */
  transit: TransitRecords | null;
  /** References that findings are printed with. */
  references: ReferenceSet;
}

export type { ReadingGroup };

/** An end of a cable: enclosure, entry and area. */
interface CableEnd {
  label: string;
  tag: string;
  area: Id;
}

/** What a check is run with. */
export interface Context extends Dossier {
  grade: Grade;
  /** Time of judging, ISO 8601. */
  at: string;
  /** Whether anything in the dossier lies after that time. */
  late: boolean;
  /** Diameters that this judgement has worked out already: several checks ask for the same. */
  diameters: Map<ReadingGroup, Diameter>;
}

/** The round that an entry is judged in: the newest one that it belongs to; null before the first. */
export function currentRound(slice: Slice, entry: Id, site: Id): Round | null {
  const rounds = slice.by('round', 'entries', entry).filter((round) => round.site === site);
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
  const works = slice.by('makeoff', 'entry', entryId);
  const cutAt = cutOf(entry, works);
  const readings = slice
    .by('reading', 'entry', entryId)
    .filter((reading) => reading.round === round?.id && !reading.struck)
    .sort(byTime);
  const everyLook = slice.by('look', 'entry', entryId).sort(byTime);
  const looks = looksOfRound(everyLook, entry, round, cutAt);
  const instruments = instrumentsOf(slice, readings);
  const groups = groupReadings(
    readings.filter(({ at }) => at >= cutAt),
    { kind: entry.kind, instruments: [instruments], since: round?.started ?? null },
  );
  const everyRecord = slice.by('asleft', 'entry', entryId).sort(byTime);
  const { whole: records, broken } = partSeals(slice, 'asleft', everyRecord);
  const inspections = partSeals(slice, 'inspection', slice.by('inspection', 'entry', entryId));
  // Only the newest says how it was left: one before a broken one is outdated.
  const newest = records.at(-1) === everyRecord.at(-1) ? records : NO_RECORDS;
  const record = validRecord(newest, entry, cable, works, everyLook);
  const recorded = record ? answerFrom(slice, record, entry, groups, looks) : NOTHING;
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
    newest: newestOf(readings, looks, record),
    pours: (own.length > 0 ? own : (record?.pours ?? own)).sort(byPacking),
    record,
    recorded,
    skipped: skippedHolds(entry, works.filter((work) => work.round === round?.id), record), // prettier-ignore
    madeOffHere: works.some(({ why }) => why === 'make-off'),
    lastSealed: lastSealed([...records, ...inspections.whole], round),
    broken:
      broken.length + inspections.broken.length === 0 ? NONE_BROKEN : [...broken, ...inspections.broken],
    askedAt: askedAt(slice, entry, round),
    otherEnds: otherEnds(slice, entry),
    otherArea: entry.frame?.otherArea ? slice.get('area', entry.frame.otherArea) : null,
    mineral: mineralRecordsOf(slice, entry, cable),
    transit: transitRecordsOf(slice, entry, certificate),
    references: resolveReferences(site.references, (id) => slice.get('reference', id)),
  };
}

/** The newest look of each question in a round. */
function looksOfRound(
  every: readonly Look[],
  entry: Entry,
  round: Round | null,
  cutAt: string,
): Map<string, Look> {
  const looks = new Map<string, Look>();
  for (const look of every) {
    // What is hidden was looked at before the entry was opened again: that look says nothing more.
    if (look.round !== round?.id || (look.at < cutAt && isHidden(entry, look.look))) continue;
    looks.set(look.look, look);
  }
  return looks;
}

/** Instruments that readings were taken with, as they are now. */
function instrumentsOf(slice: Slice, readings: readonly Reading[]): Map<Id, Instrument> {
  const instruments = new Map<Id, Instrument>();
  for (const { instrument } of readings) {
    const record = instrumentNow(slice, instrument);
    if (record) instruments.set(instrument, record);
  }
  return instruments;
}

function newestOf(
  readings: readonly Reading[],
  looks: ReadonlyMap<string, Look>,
  record: AsLeft | null,
): string {
  let newest = record?.at ?? '';
  for (const { at } of readings) if (at > newest) newest = at;
  for (const { at } of looks.values()) if (at > newest) newest = at;
  return newest;
}

const NO_RECORDS: readonly AsLeft[] = [];
const NONE_BROKEN: readonly BrokenSeal[] = [];

function lastSealed(earlier: readonly (AsLeft | Inspection)[], round: Round | null): string | null {
  let newest: string | null = null;
  for (const { at, round: of } of earlier) {
    if (of !== round?.id && (newest === null || at > newest)) newest = at;
  }
  return newest;
}

/** Questions about the enclosure are asked once, at the first of its entries in the round whose kind asks them. */
function askedAt(slice: Slice, entry: Entry, round: Round | null): Entry | null {
  if (!round || !asksForUnused(entry)) return null;
  let first = entry;
  for (const other of slice.by('entry', 'enclosure', entry.enclosure)) {
    const before = other.label < first.label || (other.label === first.label && other.id < first.id);
    if (before && asksForUnused(other) && round.entries.includes(other.id)) first = other;
  }
  return first === entry ? null : first;
}

const asksForUnused = ({ kind }: Entry): boolean => KINDS[kind].wall === 'enclosure';

/** Where else the cable of an entry ends. */
function otherEnds(slice: Slice, entry: Entry): readonly CableEnd[] {
  if (entry.cable === null) return NO_ENDS;
  const ends: CableEnd[] = [];
  for (const other of slice.by('entry', 'cable', entry.cable)) {
    if (other.id === entry.id) continue;
    const enclosure = slice.get('enclosure', other.enclosure);
    if (enclosure) ends.push({ label: other.label, tag: enclosure.tag, area: enclosure.area });
  }
  return ends;
}

const NO_ENDS: readonly CableEnd[] = [];

const byPacking = (a: Pour, b: Pour): number => {
  const [first, second] = [a.packedAt ?? a.mixedAt, b.packedAt ?? b.mixedAt];
  return first < second ? -1 : first > second ? 1 : 0;
};

const byTime = (a: { at: string; id: Id }, b: { at: string; id: Id }): number =>
  a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1;

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
      repeatabilityMm: repeatabilityOn(instrument, soft),
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

/** Traits of the entry's kind. */
export const kindOf = ({ entry }: Pick<Dossier, 'entry'>) => KINDS[entry.kind];

export { isDustProof, isFlameproof } from '../kinds/compartment';
