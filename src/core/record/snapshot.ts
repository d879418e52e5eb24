import type { AnyCommand } from './commands';
import type { TableName, Tables } from './types';

/** A site's records as they stand at a line of the journal. */
export interface Snapshot {
  seq: number;
  records: { [T in TableName]: Tables[T][] };
}

/** A command of the journal, as a page applies it to its copy. */
export interface JournalEntry {
  seq: number;
  person: string;
  command: AnyCommand;
}
