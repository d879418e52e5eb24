import type { Clocks } from '../makeoff/clocks';
import type { EntryState } from '../record/finding';
import type { KindId } from '../record/kind-ids';
import type { Defect, Id, Standing } from '../record/types';
import type { DueWhen } from './due-when';

/** A part of a list that has many. */
export interface ListPage<R> {
  rows: R[];
  /** What the next page comes after; null at the end. */
  next: string | null;
  /** How many rows answer the question; told with the first page, null with the others. */
  matching: number | null;
  /** Entries that are being judged anew: where they stand may be of before. */
  judging: number;
}

/** What is asked of any list. */
export interface ListAsk {
  /** Words that a row holds, in any order: beginnings of words, or parts of its tag. */
  q: string;
  /** What the page comes after, as the page before said; null for the first. */
  after: string | null;
  /** Rows of the page at most. */
  limit: number;
}

/** Orders of the list of entries. */
export const ENTRY_SORTS = ['tag', 'area', 'state', 'due', 'time'] as const;
export type EntrySort = (typeof ENTRY_SORTS)[number];

/** What is asked of the list of entries; null lets everything through. */
export interface EntryAsk extends ListAsk {
  state: EntryState | null;
  area: Id | null;
  /** Any of these kinds. */
  kinds: readonly KindId[] | null;
  due: DueWhen | null;
  sort: EntrySort;
  /** The day in the site’s time zone. */
  today: string;
}

/** An entry as lists show it. */
export interface EntryRow {
  id: Id;
  /** Tag and label. */
  title: string;
  /** Kind, size, cable and area in words. */
  words: string;
  kind: KindId;
  enclosure: Id;
  area: { id: Id; name: string };
  status: Standing;
}

/** A defect as lists show it. */
export interface DefectRow extends Defect {
  /** Tag and label of its entry. */
  where: string;
}

/** What is counted of the entries of a site. */
export interface EntryCounts {
  of: number;
  state: Record<EntryState, number>;
  due: Record<DueWhen, number>;
  judging: number;
}

/** What is counted of the entries of an area. */
export interface AreaCounts {
  area: Id;
  state: Record<EntryState, number>;
  /** Defects that are not proven. */
  open: number;
  /** Entries that are overdue by the programme. */
  overdue: number;
}

/** An enclosure as a plan marks it: by the worst of its entries. */
interface EnclosureMark {
  id: Id;
  tag: string;
  /** Where it hangs, m. */
  x: number;
  y: number;
  /** How many entries it has. */
  entries: number;
  /** The entry that stands worst. */
  worst: { id: Id; kind: KindId; state: EntryState };
}

/** Enclosures of an area, the worst first, as many as a plan draws. */
export interface AreaMarks {
  marks: EnclosureMark[];
  /** How many enclosures with entries the area has. */
  of: number;
}

/** What time runs against on a site. */
export interface RunningClocks extends Clocks {
  /** How many clocks there are in all. */
  of: number;
}

/** Something that a search has found. */
export interface Found {
  table: 'entry' | 'enclosure' | 'cable' | 'certificate' | 'defect' | 'round';
  id: Id;
  title: string;
  words: string;
  /** Kind of an entry; null for anything else. */
  kind: KindId | null;
}
