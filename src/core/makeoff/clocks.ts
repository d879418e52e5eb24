import { compoundTimes } from '../gland/compound';
import type { Slice } from '../record/slice';
import { newestByPair, stateOfTest } from '../rulebook/cable-tests';
import type { CompoundData, Entry, Id, InsulationTest, Pour } from '../record/types';
import { currentRound } from '../rulebook/dossier';
import { clocksOf } from '../rulebook/judge-pour';

/** Where a clock runs: an enclosure's tag with the label of the entry, or a cable's tag with none. */
export interface Where {
  tag: string;
  label: string | null;
}

/** One thing that time runs against. */
export interface Clock {
  id: string;
  is: 'working-life' | 'look' | 'energise' | 'stale-test';
  /** Fixed moment, ISO 8601. */
  due: string;
  /** When it began to run. */
  from: string;
  /** Pour and entry of a compound's clock; null for an insulation test. */
  pour: Id | null;
  entry: Id | null;
  /** Cable of an insulation test; null for a compound's clock. */
  cable: Id | null;
  where: Where;
  /** Compound that cures; null for an insulation test. */
  compound: string | null;
  /** The lowest temperature since packing is below the sheet's minimum: the cure stands still. */
  stopped: boolean;
  /** Temperature that it runs at, °C; null: not recorded, the sheet's own time is shown. */
  temperatureC: number | null;
  /** Something waits to be done, however long ago it ran out. */
  waits: boolean;
}

/** A pot whose compound was packed after it had stiffened. */
interface PackedLate {
  pour: Id;
  entry: Id;
  where: Where;
  /** Minutes after it was stiff. */
  byMin: number;
}

/** A clock that ran out so long ago, where it waits for nobody, is no news any more, ms. A day in milliseconds. */
const NEWS_MS = 86_400_000;

/** Clocks, and pots that were packed late. */
export interface Clocks {
  clocks: Clock[];
  late: PackedLate[];
}

/**
 * Every clock of a site that still matters, as far as its records are here: working life until the compound is packed,
 * the look until it is done, energising until an as-left record is sealed, a sound insulation test until it is too old
 * to seal by. Those that are due first come first.
 *
 * @param nowMs ms since 1970; without it what ran out long ago is shown too
 */
export function clocksOfSite(slice: Slice, site: Id, nowMs = -Infinity): Clocks {
  const poured = new Set(slice.by('pour', 'site', site).map(({ entry }) => entry));
  const tested = new Set(slice.by('insulation', 'site', site).map(({ cable }) => cable));
  return inOrder(
    [...[...poured].map((entry) => clocksOfPours(slice, site, entry)), { clocks: [...tested].flatMap((cable) => staleClock(slice, cable)), late: [] }],
    nowMs,
  );
} // prettier-ignore

/** The same of one entry and its cable: what an index keeps of it. */
export function clocksOfEntry(slice: Slice, site: Id, { id, cable }: Pick<Entry, 'id' | 'cable'>): Clocks {
  const { clocks, late } = clocksOfPours(slice, site, id);
  return { clocks: cable === null ? clocks : [...clocks, ...staleClock(slice, cable)], late };
}

/** Clocks from many places as one list: each once, without what is no news any more, those that are due first first. */
export function inOrder(many: Iterable<Clocks>, nowMs: number): Clocks {
  const clocks = new Map<string, Clock>();
  const late = new Map<Id, PackedLate>();
  for (const some of many) {
    for (const clock of some.clocks) if (isNews(clock, nowMs)) clocks.set(clock.id, clock);
    for (const one of some.late) late.set(one.pour, one);
  }
  return {
    clocks: [...clocks.values()].sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id < b.id ? -1 : 1)),
    late: [...late.values()],
  };
} // prettier-ignore

const isNews = ({ due, waits }: Clock, nowMs: number): boolean => waits || nowMs - Date.parse(due) < NEWS_MS;

/**
 * How long a sound test before sealing may still be sealed by: its oldest reading counts. None where there is
 * nothing to seal, or the next test has been started.
 */
function staleClock(slice: Slice, id: Id): Clock[] {
  const cable = slice.get('cable', id);
  if (!cable?.mineral) return [];
  const tests = slice.by('insulation', 'cable', id).filter(({ drying }) => !drying);
  const newest = tests.reduce<InsulationTest | null>(
    (last, one) => (!last || one.at > last.at ? one : last),
    null,
  );
  if (!newest || newest.stage !== 'before-seal') return [];
  const { missing, judged } = stateOfTest(cable, newest, 0);
  if (missing.length > 0 || [...judged.values()].some(({ verdict }) => verdict !== 'sound')) return [];
  const from = [...newestByPair(newest.readings).values()].map(({ at }) => at).sort()[0]!;
  const due = Date.parse(from) + cable.mineral.windowMin * 60_000;
  return [
    {
      id: `${newest.id} stale-test`,
      is: 'stale-test',
      due: new Date(due).toISOString(),
      from,
      pour: null,
      entry: null,
      cable: id,
      where: { tag: cable.tag, label: null },
      compound: null,
      stopped: false,
      temperatureC: newest.temperatureC,
      waits: false,
    },
  ];
}

/** Clocks of what was mixed for an entry in its round. */
function clocksOfPours(slice: Slice, site: Id, id: Id): Clocks {
  const all: Clocks = { clocks: [], late: [] };
  const pours = slice.by('pour', 'entry', id).sort(byPacking);
  const entry = pours.length > 0 ? slice.get('entry', id) : null;
  const compound = entry?.certificate ? slice.get('certificate', entry.certificate)?.sheet.compound : null;
  if (!entry || !compound) return all;
  const round = currentRound(slice, id, site)?.id;
  const where = { tag: slice.get('enclosure', entry.enclosure)?.tag ?? '?', label: entry.label };
  const own = pours.filter((pour) => pour.round === round && !isOver(slice, pour));
  own.forEach((pour, i) => {
    const { found, late: byMin } = clocksOfPour(compound, pour);
    // Mended with fresh compound: the cure that counts is the newest's.
    const counting = i === own.length - 1 ? found : found.filter(({ is }) => is === 'working-life');
    all.clocks.push(...counting.map((clock) => ({ ...clock, where, entry: id, compound: compound.name, cable: null })));
    if (byMin !== null) all.late.push({ pour: pour.id, entry: id, where, byMin });
  });
  return all;
} // prettier-ignore

const byPacking = (a: Pour, b: Pour): number =>
  (a.packedAt ?? a.mixedAt) < (b.packedAt ?? b.mixedAt) ? -1 : 1;

/** Whether nothing of a pour has to be waited for any more. */
function isOver(slice: Slice, pour: Pour): boolean {
  const sealedAfter = (records: { round: Id; at: string }[]) =>
    records.some(({ round, at }) => round === pour.round && at >= pour.at);
  if (sealedAfter(slice.by('inspection', 'entry', pour.entry))) return true;
  return pour.lookedAt !== null && sealedAfter(slice.by('asleft', 'entry', pour.entry));
}

type Bare = Omit<Clock, 'where' | 'entry' | 'compound' | 'cable'>;

function clocksOfPour(compound: CompoundData, pour: Pour): { found: Bare[]; late: number | null } {
  // Without a temperature the sheet's own times are shown; the judgement says that it is missing.
  const known = pour.temperatureC === null ? { ...pour, temperatureC: compound.referenceC } : pour;
  const times = clocksOf(compound, known)!;
  const coldest = pour.lowestC ?? pour.temperatureC;
  const stopped = coldest !== null && !compoundTimes(compound, coldest).mayMix;
  const clock = (is: Clock['is'], due: string, from: string, temperatureC: number | null): Bare => ({
    id: `${pour.id} ${is}`,
    is,
    due,
    from,
    pour: pour.id,
    stopped: is !== 'working-life' && stopped,
    temperatureC,
    waits: is !== 'energise' || pour.lookedAt === null,
  });
  if (pour.packedAt === null)
    return { found: [clock('working-life', times.stiffAt, pour.mixedAt, pour.temperatureC)], late: null };
  const byMin = (Date.parse(pour.packedAt) - Date.parse(times.stiffAt)) / 60_000;
  const found: Bare[] = [];
  if (pour.lookedAt === null) found.push(clock('look', times.lookAt!, pour.packedAt, coldest));
  found.push(clock('energise', times.energiseAt!, pour.packedAt, coldest));
  return { found, late: byMin > 0 ? byMin : null };
}
