import { canonicalHash, frozenIn, hashOfSeal } from '../../core/record/seal';
import { hashByRule1 } from '../../core/commands/seal-by-rule-1';
import { MemorySlice, reverse } from '../../core/record/slice';
import { TABLES } from '../../core/record/tables';
import type { AsLeft, Change, Id, Inspection } from '../../core/record/types';
import type { SiteStore } from '../../store/site-store';

/** What was found of a site's seals. */
export interface SealsFound {
  /** What does not match, in words. */
  damages: string[];
  /** What older seals did not cover, or can no longer show; null where there are none. */
  note: string | null;
}

/** Checks every seal of a site by its own rule: its hash, the frozen bodies that it rests on, and the one before it. */
export function checkSeals(store: SiteStore): SealsFound {
  const asLefts = store.records.all('asleft');
  const inspections = store.records.all('inspection');
  const damages = [
    ...asLefts.flatMap((seal) => faultOf(store, 'as-left record', seal)),
    ...inspections.flatMap((seal) => (seal.rule === undefined ? [] : faultOf(store, 'inspection', seal))),
    ...brokenRow(store, [...asLefts, ...inspections]),
  ];
  const older = inspections.filter(({ rule }) => rule === undefined);
  return { damages, note: older.length === 0 ? null : noteOf(older, provenBy(store, older)) };
}

function faultOf({ records }: SiteStore, noun: string, seal: AsLeft | Inspection): string[] {
  const named = `${noun} ${seal.id}, sealed by ${seal.by} on ${seal.at.slice(0, 10)},`;
  if (hashOfSeal(seal) !== seal.hash) return [`${named} does not match its seal: it was changed since.`];
  for (const hash of frozenIn(seal)) {
    const frozen = records.get('frozen', hash);
    if (!frozen) return [`${named} rests on ${hash}, which is gone.`];
    if (canonicalHash(frozen.body) !== hash) return [`${named} rests on ${hash}, which was changed.`];
  }
  return [];
}

/** Each seal names the one before it: none may be missing between. */
function brokenRow(store: SiteStore, seals: readonly (AsLeft | Inspection)[]): string[] {
  const before = new Map(seals.map(({ hash, previous }) => [hash, previous]));
  let hash = store.site?.lastSeal ?? null;
  let followed = 0;
  while (hash !== null && before.has(hash) && followed < seals.length) {
    followed++;
    hash = before.get(hash)!;
  }
  if (hash !== null) return [`seal ${hash} is named by the one after it, and is gone.`];
  return followed === seals.length ? [] : [`the row of seals leaves out ${seals.length - followed} of them.`];
}

/** Seals by rule 1 that match the records as they were: taken back change by change to the moment of each seal. */
function provenBy(store: SiteStore, older: readonly Inspection[]): ReadonlySet<Id> {
  const slice = new MemorySlice();
  for (const table of TABLES)
    slice.write(store.records.all(table).map((after) => ({ table, id: after.id, after })));
  const open = new Map(older.map((inspection) => [inspection.id, inspection]));
  const proven = new Set<Id>();
  for (const change of newestFirst(store)) {
    slice.write(reverse(change));
    for (const { table, id } of change.records) {
      const inspection = table === 'inspection' ? open.get(id) : undefined;
      if (inspection && hashByRule1(slice, inspection) === inspection.hash) proven.add(id);
    }
  }
  return proven;
}

function newestFirst({ journal, records }: SiteStore): Change[] {
  const line = new Map([...journal.lines()].map(({ id, seq }) => [id, seq]));
  const order = ({ id }: Change) => line.get(id) ?? 0;
  // Changes from before the site had a journal of its own go by their time.
  return records.all('change').sort((a, b) => order(b) - order(a) || (a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? 1 : -1)); // prettier-ignore
}

function noteOf(older: readonly Inspection[], proven: ReadonlySet<Id>): string {
  const lost = older.filter(({ id }) => !proven.has(id)).map(({ id }) => id);
  const rest =
    lost.length === 0
      ? 'All of them match the records as they were.'
      : `${proven.size} match the records as they were; of ${lost.join(', ')} that cannot be shown any more: records that they rest on have gained fields since.`;
  return `${older.length} inspections were sealed by rule 1, which did not cover packing, insulation and continuity. ${rest}`;
}
