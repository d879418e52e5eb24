import type { Scope } from '../record/closure';
import type { AnyCommand } from './commands';
import type { Written } from '../record/slice';
import type { Id, Standing, TableName, Tables } from '../record/types';

/** A site's records as they stand at a line of the journal. */
export interface Snapshot {
  /** Which journal the number is of: a server that started anew has another. */
  journal: string;
  seq: number;
  /** Hash of that line: who has it can tell whether the journal still holds it. */
  hash: string;
  records: { [T in TableName]: Tables[T][] };
  /** Where its entries stand, so that nobody has to judge a whole site to show it; one that is not known yet is missing. */
  statuses: Judged[];
  /** What it is a part of the site for; none: all of it is here. */
  scope?: Scope;
}

/** Where an entry stands, and the day by which it was judged. */
export interface Judged {
  /** ISO date. */
  day: string;
  status: Standing;
}

/** What the lines of a journal after one have altered, as it is by now. */
export interface SiteNews {
  journal: string;
  /** The line that they reach to. */
  seq: number;
  hash: string;
  /** The journal does not hold the line that was asked after: it has gone back behind it. */
  back: boolean;
  /** Ids of the commands, with their lines. */
  taken: { id: Id; seq: number }[];
  /** Every record that they altered, once. */
  changes: Written[];
  /** There are more after these: ask again after the last. */
  more: boolean;
}

/** What has been added to a journal after a line. */
export interface JournalNews {
  journal: string;
  seq: number;
  hash: string;
  /** The journal does not hold the line that was asked after: it has gone back behind it. */
  back: boolean;
  commands: JournalEntry[];
  /** There are more after these: ask again after the last. */
  more: boolean;
}

/** A command of the journal. */
interface JournalEntry {
  seq: number;
  hash: string;
  person: string;
  command: AnyCommand;
}

/** How far a long request of a page is. */
export interface TaskProgress {
  /** Name that the page has given it. */
  task: string;
  done: number;
  of: number;
}

/** How far judging a site anew on the server is. */
export interface JudgingProgress {
  site: Id;
  /** Entries that are still to be judged. */
  left: number;
  /** Somebody has stopped it: the rest waits until it is asked for. */
  stopped: boolean;
}

/** What a page is told when a site's journal has grown. */
export interface JournalEvent {
  site: Id;
  /** The line that the changes come after. */
  after: number;
  seq: number;
  head: string;
  /** What the lines changed; or they are too many to be told, and are asked for. */
  changes: Written[] | 'refetch';
}
